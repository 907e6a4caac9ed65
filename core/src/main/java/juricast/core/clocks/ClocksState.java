package juricast.core.clocks;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import juricast.core.identity.PersonId;
import juricast.core.live.Copies;

/**
 * @param clock the one that all see
 * @param call the one that goes on, or was the last
 * @param timesFirst how often each had the word first in calls before
 */
public record ClocksState(Optional<Clock> clock, Optional<FirstToAnswer> call, Map<PersonId, Integer> timesFirst) {
    static final ClocksState NEW = new ClocksState(Optional.empty(), Optional.empty(), Map.of());

    /** The call that goes on. */
    public Optional<FirstToAnswer> open() {
        return call.filter(one -> !one.isOver());
    }

    /** One step of the fold. @param number the number of the event */
    record Fold(ClocksState was, int number) implements ClocksEvent.Cases<ClocksState> {
        @Override
        public ClocksState started(ClocksEvent.Started event) {
            return clock(Optional.of(new Clock(
                    number,
                    event.task(),
                    event.length(),
                    event.tone(),
                    Duration.ZERO,
                    Optional.of(event.at()),
                    Optional.empty())));
        }

        @Override
        public ClocksState paused(ClocksEvent.Paused event) {
            return clock(was.clock.map(one -> one.pausedAt(event.at())));
        }

        @Override
        public ClocksState wentOn(ClocksEvent.WentOn event) {
            return clock(was.clock.map(one -> one.goesOnAt(event.at())));
        }

        @Override
        public ClocksState lengthened(ClocksEvent.Lengthened event) {
            return clock(was.clock.map(one -> one.longer(event.more(), event.at())));
        }

        @Override
        public ClocksState ranOut(ClocksEvent.RanOut event) {
            return clock(was.clock.map(one -> one.overAt(event.at())));
        }

        @Override
        public ClocksState ended(ClocksEvent.Ended event) {
            return clock(Optional.empty());
        }

        private ClocksState clock(Optional<Clock> next) {
            return new ClocksState(next, was.call, was.timesFirst);
        }

        @Override
        public ClocksState called(ClocksEvent.Called event) {
            var call = new FirstToAnswer(number, event.task(), event.opens(), List.of(), 0, false);
            return new ClocksState(was.clock, Optional.of(call), was.timesFirst);
        }

        @Override
        public ClocksState pressed(ClocksEvent.Pressed event) {
            return call(one -> one.with(new FirstToAnswer.Press(event.person(), event.arrived(), event.delay())));
        }

        @Override
        public ClocksState passedOn(ClocksEvent.PassedOn event) {
            return call(FirstToAnswer::passedOn);
        }

        @Override
        public ClocksState callEnded(ClocksEvent.CallEnded event) {
            Map<PersonId, Integer> times = was.call
                    .flatMap(one -> one.row(was.timesFirst).stream().findFirst())
                    .map(first -> first.press().person())
                    .map(first -> Copies.with(was.timesFirst, first, was.timesFirst.getOrDefault(first, 0) + 1))
                    .orElse(was.timesFirst);
            return new ClocksState(was.clock, was.call.map(FirstToAnswer::over), times);
        }

        private ClocksState call(UnaryOperator<FirstToAnswer> how) {
            return new ClocksState(was.clock, was.call.map(how), was.timesFirst);
        }
    }
}
