package juricast.core.recording;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;
import juricast.core.live.Room;
import juricast.core.recording.RecordingRules.Mode;
import juricast.core.recording.RecordingState.Phase;

/** What a recording does by itself: begins where it must, tries again, guards those without consent, waits, goes on, ends. */
record ByItself(RecordingState is, Room room) {
    /** How long the recorder may be silent after it was asked. */
    static final Duration ANSWERS_WITHIN = Duration.ofSeconds(20);

    private static final Duration FIRST_TRY_AFTER = Duration.ofSeconds(10);
    private static final Duration TRIES_AT_LEAST_EACH = Duration.ofSeconds(60);

    /** More steps than can follow from one another. */
    private static final int MOST = 10;

    /** Step by step, each in the room as the one before left it, so that rules with the condition "recording" are asked anew. */
    List<LessonEvent> all() {
        var all = new ArrayList<LessonEvent>();
        ByItself at = this;
        Optional<RecordingEvent> next = at.next();
        while (next.isPresent() && all.size() < MOST) {
            all.add(next.get());
            Room then = at.room.after(List.of(next.get()));
            at = new ByItself(then.of(RecordingPart.RECORDING), then);
            next = at.next();
        }
        return all;
    }

    private Optional<RecordingEvent> next() {
        if (room.there().isOver()) {
            return over();
        }
        if (!room.there().isOpen()) {
            return Optional.empty();
        }
        var who = new WhoMay(room);
        Mode mode = RecordingRules.mode(new RecordingRules(is, room).mode().value());
        if (mode != Mode.REQUIRED && !is.required() && !is.isGoing()) {
            return Optional.empty();
        }
        return required(who, mode)
                .or(() -> forbidden(mode))
                .or(this::begins)
                .or(this::asks)
                .or(this::fails)
                .or(this::goesOn)
                .or(() -> guards(who))
                .or(() -> waits(who));
    }

    private Optional<RecordingEvent> over() {
        return is.required()
                ? Optional.of(new RecordingEvent.Required(false, room.now()))
                : is.isGoing() ? Optional.of(new RecordingEvent.Ended(PersonId.RULES, room.now())) : Optional.empty();
    }

    /** It has to run from when the first pupil and an adult are in, for as long as a pupil is. */
    private Optional<RecordingEvent> required(WhoMay who, Mode mode) {
        boolean must = mode == Mode.REQUIRED && (is.required() || room.there().anAdultIsIn()) && who.somebodyToRecord();
        return must == is.required() ? Optional.empty() : Optional.of(new RecordingEvent.Required(must, room.now()));
    }

    private Optional<RecordingEvent> forbidden(Mode mode) {
        return mode == Mode.FORBIDDEN && is.isGoing()
                ? Optional.of(new RecordingEvent.Ended(PersonId.RULES, room.now()))
                : Optional.empty();
    }

    /** What an adult has ended is not begun again behind their back. */
    private Optional<RecordingEvent> begins() {
        boolean mayBegin =
                is.phase() == Phase.OFF || is.phase() == Phase.ENDED && is.by().equals(PersonId.RULES);
        return is.required() && mayBegin ? Optional.of(RecordingRules.begin(room, PersonId.RULES)) : Optional.empty();
    }

    private Optional<RecordingEvent> asks() {
        boolean isTime = is.starts().filter(this::isReached).isPresent()
                || triesAgain().filter(this::isReached).isPresent();
        return isTime ? Optional.of(new RecordingEvent.Asked(is.by(), room.now())) : Optional.empty();
    }

    private Optional<RecordingEvent> fails() {
        return silentUntil().filter(this::isReached).isPresent()
                ? Optional.of(new RecordingEvent.Failed(Failure.NO_ANSWER, room.now(), room.now()))
                : Optional.empty();
    }

    private Optional<RecordingEvent> goesOn() {
        return is.paused()
                .flatMap(RecordingEvent.Paused::until)
                .filter(this::isReached)
                .map(end -> new RecordingEvent.WentOn(PersonId.CLOCK, room.now()));
    }

    private Optional<RecordingEvent> guards(WhoMay who) {
        if (is.phase() != Phase.ASKED && is.phase() != Phase.ON) {
            return Optional.empty();
        }
        List<PersonId> closed = who.here(WhoMay.Without.CLOSED);
        return is.closed().equals(new HashSet<>(closed))
                ? Optional.empty()
                : Optional.of(new RecordingEvent.Guarded(closed, room.now()));
    }

    private Optional<RecordingEvent> waits(WhoMay who) {
        if (!is.isGoing() || is.phase() == Phase.ANNOUNCED) {
            return Optional.empty();
        }
        Optional<RecordingEvent.Waits> wanted = hindrance(who);
        boolean isSo = wanted.map(Why::of).equals(is.waiting().map(Why::of));
        return isSo
                ? Optional.empty()
                : Optional.of(wanted.<RecordingEvent>map(waits -> waits)
                        .orElseGet(() -> new RecordingEvent.WaitsNoMore(room.now())));
    }

    private record Why(Hindrance why, List<PersonId> about) {
        static Why of(RecordingEvent.Waits event) {
            return new Why(event.why(), event.about());
        }
    }

    private Optional<RecordingEvent.Waits> hindrance(WhoMay who) {
        if (room.where().isApart()) {
            return Optional.of(new RecordingEvent.Waits(Hindrance.GROUPS, List.of(), room.now()));
        }
        List<PersonId> never = who.here(WhoMay.Without.NO_RECORDING);
        if (!never.isEmpty()) {
            return Optional.of(new RecordingEvent.Waits(Hindrance.NO_CONSENT, never, room.now()));
        }
        List<PersonId> speaking = who.speaking();
        return speaking.isEmpty()
                ? Optional.empty()
                : Optional.of(new RecordingEvent.Waits(Hindrance.SPEAKS, speaking, room.now()));
    }

    private boolean isReached(Instant at) {
        return !room.now().isBefore(at);
    }

    /** When the recorder is asked again: after ten seconds, then twice as long each time, up to a minute. */
    Optional<Instant> triesAgain() {
        if (is.phase() != Phase.FAILED) {
            return Optional.empty();
        }
        Duration wait = FIRST_TRY_AFTER.multipliedBy(1L << Math.min(is.tries() - 1, 8));
        return Optional.of(is.since().plus(wait.compareTo(TRIES_AT_LEAST_EACH) > 0 ? TRIES_AT_LEAST_EACH : wait));
    }

    private Optional<Instant> silentUntil() {
        return is.phase() == Phase.ASKED ? Optional.of(is.since().plus(ANSWERS_WITHIN)) : Optional.empty();
    }

    /** When the clock matters next. */
    Optional<Instant> due() {
        if (!room.there().isOpen()) {
            return Optional.empty();
        }
        Stream<Optional<Instant>> all = Stream.of(
                is.starts(),
                triesAgain(),
                silentUntil(),
                is.paused().flatMap(RecordingEvent.Paused::until),
                is.isGoing() ? room.plan().consents().nextEdge(room.now()) : Optional.empty());
        return all.flatMap(Optional::stream).min(Instant::compareTo);
    }
}
