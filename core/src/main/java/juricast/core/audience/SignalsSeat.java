package juricast.core.audience;

import static juricast.core.signals.SignalsPart.SIGNALS;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonState;
import juricast.core.signals.Sign;
import juricast.core.signals.SignalsState;

/**
 * One person's own hand and signal.
 *
 * @param handsBefore how many hands are up longer than theirs
 * @param asks who asks whether they would stand before everybody
 */
public record SignalsSeat(Optional<Instant> handSince, int handsBefore, Optional<Sign> sign, Optional<PersonId> asks) {
    public static final SignalsSeat FROM_OUTSIDE =
            new SignalsSeat(Optional.empty(), 0, Optional.empty(), Optional.empty());

    public static SignalsSeat of(LessonState lesson, PersonId me) {
        List<PersonId> hands = List.copyOf(lesson.of(SIGNALS).hands().keySet());
        return new SignalsSeat(
                Optional.ofNullable(lesson.of(SIGNALS).hands().get(me)),
                hands.contains(me) ? hands.indexOf(me) : hands.size(),
                lesson.of(SIGNALS).sign(me),
                lesson.of(SIGNALS).asked().filter(one -> one.waitsFor(me)).map(SignalsState.Asked::by));
    }
}
