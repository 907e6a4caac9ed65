package juricast.server.demo;

import static juricast.core.recording.RecordingPart.RECORDING;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Supplier;
import juricast.core.live.LessonOrder;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonRules;
import juricast.core.live.LessonState;
import juricast.core.recording.Failure;
import juricast.core.recording.RecordingOrder;
import juricast.core.recording.RecordingState.Phase;
import juricast.core.rules.Catalogue;
import juricast.core.rules.PlannedRules;
import juricast.core.rules.Rule;

/** The recorder in lessons that are played at once: answers, lets the clock begin what is announced, and fails in every seventh. */
final class DemoRecorder {
    private static final Duration ANSWERS_AFTER = Duration.ofMillis(400);
    private static final Duration FAILS_AFTER = Duration.ofMinutes(21);

    private final LessonPlan plan;
    private final PlannedRules rules;
    private final Supplier<LessonState> lesson;
    private final BiConsumer<Instant, LessonOrder> play;
    private final boolean isNeeded;
    private boolean stillFails;
    private Instant last = Instant.EPOCH;

    DemoRecorder(
            LessonPlan plan, PlannedRules rules, Supplier<LessonState> lesson, BiConsumer<Instant, LessonOrder> play) {
        this.plan = plan;
        this.rules = rules;
        this.lesson = lesson;
        this.play = play;
        isNeeded = rules.value(
                        Catalogue.RECORDING_MODE, Rule.ANSWERS, plan.time().from())
                .text()
                .equals("required");
        stillFails = Math.floorMod(plan.lesson().value().hashCode(), 7) == 3;
    }

    /** Plays what the recorder and the clock do by themselves before an instant. */
    void until(Instant at) {
        Optional<Instant> next = next();
        while (isNeeded && next.isPresent() && next.get().isBefore(at)) {
            last = next.get();
            step(last);
            next = next();
        }
    }

    private Optional<Instant> next() {
        var is = lesson.get().of(RECORDING);
        return switch (is.phase()) {
            case OFF, ENDED -> Optional.empty();
            case ANNOUNCED -> is.starts();
            case ASKED -> Optional.of(is.since().plus(ANSWERS_AFTER));
            case ON -> stillFails ? Optional.of(plan.time().from().plus(FAILS_AFTER)) : Optional.empty();
            case FAILED -> Optional.of(new LessonRules(plan, lesson.get(), rules, is.since()).nextTick())
                    .filter(tick -> tick.isAfter(last));
        };
    }

    private void step(Instant at) {
        Phase phase = lesson.get().of(RECORDING).phase();
        if (phase == Phase.ASKED) {
            play.accept(at, RecordingOrder.Answer.BEGUN);
        } else if (phase == Phase.ON) {
            stillFails = false;
            play.accept(at, RecordingOrder.Answer.failed(Failure.LINE_LOST));
        } else {
            play.accept(at, new LessonOrder.Tick());
        }
    }
}
