package juricast.core.recording;

import static juricast.core.live.Decision.done;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.Decision;
import juricast.core.live.Refusal;
import juricast.core.live.Room;
import juricast.core.recording.RecordingState.Phase;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Choice;
import juricast.core.rules.Fact;
import juricast.core.rules.Rule;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Ruling;
import juricast.core.rules.YesNo;

/** Decides what adults and the recorder say about a recording. */
public record RecordingRules(RecordingState is, Room room) implements RecordingOrder.Cases<Decision> {
    /** How long before it begins everybody is told. */
    public static final Duration NOTICE = Duration.ofSeconds(10);

    /** What the rule makes of a lesson. */
    public enum Mode {
        REQUIRED,
        OPTIONAL,
        FORBIDDEN
    }

    /** Whether this lesson is recorded, and why; asked as if nothing were recorded, so that the answer does not turn itself over. */
    public Ruling<Choice> mode() {
        Rulebook all = room.rules().all();
        return all.in(all.situation().with(Fact.RECORDING, false))
                .ruling(Catalogue.RECORDING_MODE, Rule.ANSWERS, room.now());
    }

    /** @throws IllegalArgumentException if the rule has a value that this program does not know */
    public static Mode mode(Choice value) {
        return Mode.valueOf(value.text().toUpperCase(Locale.ROOT));
    }

    /** The refusal of a start by this person, if it would be one. */
    public Optional<Decision> mayStart(PersonId by) {
        return room.who().adult(by, Catalogue.START_RECORDING);
    }

    public Optional<Decision> mayPause(PersonId by) {
        return room.who().adult(by, Catalogue.PAUSE_RECORDING);
    }

    /** One that is required is ended before the lesson only by whom the rule lets. */
    public Optional<Decision> mayEnd(PersonId by) {
        return mode(mode().value()) == Mode.REQUIRED ? room.who().adult(by, Catalogue.END_RECORDING) : mayStart(by);
    }

    @Override
    public Decision start(RecordingOrder.Start order) {
        return mayStart(order.by()).orElseGet(() -> {
            Ruling<Choice> mode = mode();
            if (mode(mode.value()) == Mode.FORBIDDEN) {
                return Refusal.by(RecordingRefusal.FORBIDDEN, mode);
            }
            if (is.phase() == Phase.FAILED) {
                return done(new RecordingEvent.Asked(order.by(), room.now()));
            }
            if (is.isGoing()) {
                return done();
            }
            List<PersonId> never = new WhoMay(room).here(WhoMay.Without.NO_RECORDING);
            return never.isEmpty() || mode(mode.value()) == Mode.REQUIRED
                    ? done(begin(room, order.by()))
                    : Refusal.of(RecordingRefusal.MAY_NOT_BE_RECORDED, never.toArray(PersonId[]::new));
        });
    }

    /** Everybody is told some seconds before, unless the rule does without. */
    static RecordingEvent begin(Room room, PersonId by) {
        boolean announced = room.rules().value(Catalogue.ANNOUNCED, Rule.ANSWERS, room.now()) == YesNo.YES;
        return announced
                ? new RecordingEvent.Announced(room.now().plus(NOTICE), by, room.now())
                : new RecordingEvent.Asked(by, room.now());
    }

    @Override
    public Decision pause(RecordingOrder.Pause order) {
        return mayPause(order.by()).orElseGet(() -> {
            if (is.phase() != Phase.ASKED && is.phase() != Phase.ON && is.phase() != Phase.FAILED) {
                return Refusal.of(RecordingRefusal.NOT_RECORDING);
            }
            Optional<Instant> until = order.length().map(room.now()::plus);
            boolean isTooLong = until.filter(
                            end -> end.isAfter(room.plan().time().until())
                                    && room.now().isBefore(room.plan().time().until()))
                    .isPresent();
            boolean isTooShort = order.length()
                    .filter(length ->
                            length.compareTo(Duration.ofMinutes(1)) < 0 || length.compareTo(Duration.ofHours(3)) > 0)
                    .isPresent();
            return isTooShort || isTooLong
                    ? Refusal.of(RecordingRefusal.WRONG_PAUSE)
                    : done(new RecordingEvent.Paused(order.reason(), until, order.by(), room.now()));
        });
    }

    @Override
    public Decision goOn(RecordingOrder.GoOn order) {
        return mayPause(order.by())
                .orElseGet(
                        () -> is.paused().isEmpty() ? done() : done(new RecordingEvent.WentOn(order.by(), room.now())));
    }

    @Override
    public Decision end(RecordingOrder.End order) {
        return mayEnd(order.by())
                .orElseGet(() -> is.isGoing() ? done(new RecordingEvent.Ended(order.by(), room.now())) : done());
    }

    /** An answer to a question that nobody asks any more changes nothing. */
    @Override
    public Decision answer(RecordingOrder.Answer order) {
        boolean isAsked = is.phase() == Phase.ASKED;
        return order.failure()
                .map(why -> isAsked || is.phase() == Phase.ON
                        ? done(new RecordingEvent.Failed(why, since(order), room.now()))
                        : done())
                .orElseGet(() -> isAsked ? done(new RecordingEvent.Begun(room.now())) : done());
    }

    private Instant since(RecordingOrder.Answer order) {
        return order.since().filter(room.now()::isAfter).orElse(room.now());
    }
}
