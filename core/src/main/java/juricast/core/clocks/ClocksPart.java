package juricast.core.clocks;

import static juricast.core.live.Decision.done;
import static juricast.core.rules.Catalogue.START_ACTIVITY;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import juricast.core.door.Acting;
import juricast.core.identity.PersonId;
import juricast.core.limits.Limits;
import juricast.core.live.Decision;
import juricast.core.live.LessonEvent;
import juricast.core.live.News;
import juricast.core.live.Part;
import juricast.core.live.Refusal;
import juricast.core.live.Room;
import juricast.core.rules.Catalogue;

/** A clock that all see, and calls for the first to answer (needs J2, J3). */
public final class ClocksPart implements Part<ClocksState, ClocksOrder, ClocksEvent> {
    public static final ClocksPart CLOCKS = new ClocksPart();
    /** The longest count-down, and the most it is lengthened by at once. */
    public static final Duration LONGEST = Duration.ofHours(3);
    /** The longest wait before presses count. */
    public static final Duration LONGEST_CALL = Duration.ofSeconds(10);

    private ClocksPart() {}

    @Override
    public String name() {
        return "clocks";
    }

    @Override
    public Class<ClocksOrder> orders() {
        return ClocksOrder.class;
    }

    @Override
    public Class<ClocksEvent> events() {
        return ClocksEvent.class;
    }

    @Override
    public ClocksState begin() {
        return ClocksState.NEW;
    }

    @Override
    public ClocksState after(ClocksState was, ClocksEvent event, int number) {
        return event.match(new ClocksState.Fold(was, number));
    }

    @Override
    public Decision decide(ClocksState is, ClocksOrder order, Room room) {
        return order.match(new Rules(is, room));
    }

    @Override
    public List<LessonEvent> follows(ClocksState is, Room room, News news) {
        return is.clock()
                .flatMap(Clock::ends)
                .filter(ends -> !room.now().isBefore(ends))
                .<List<LessonEvent>>map(ends -> List.of(new ClocksEvent.RanOut(room.now())))
                .orElse(List.of());
    }

    @Override
    public Optional<Instant> due(ClocksState is, Room room) {
        return is.clock().flatMap(Clock::ends);
    }

    private record Rules(ClocksState is, Room room) implements ClocksOrder.Cases<Decision> {
        @Override
        public Decision start(ClocksOrder.Start order) {
            String task = order.task().strip();
            return adult(order.by(), () -> {
                if (task.length() > Limits.TITLE) {
                    return Refusal.of(Refusal.Common.TEXT_TOO_LONG);
                }
                return order.length().filter(one -> !isLength(one)).isPresent()
                        ? Refusal.of(ClocksRefusal.NO_LENGTH)
                        : done(new ClocksEvent.Started(task, order.length(), order.tone(), order.by(), room.now()));
            });
        }

        private static boolean isLength(Duration length) {
            return !length.isNegative() && !length.isZero() && length.compareTo(LONGEST) <= 0;
        }

        @Override
        public Decision pause(ClocksOrder.Pause order) {
            return clock(
                    order.by(),
                    one -> one.running().isPresent() ? done(new ClocksEvent.Paused(order.by(), room.now())) : done());
        }

        @Override
        public Decision goOn(ClocksOrder.GoOn order) {
            return clock(
                    order.by(),
                    one -> one.running().isEmpty() && one.over().isEmpty()
                            ? done(new ClocksEvent.WentOn(order.by(), room.now()))
                            : done());
        }

        @Override
        public Decision lengthen(ClocksOrder.Lengthen order) {
            return clock(
                    order.by(),
                    one -> !isLength(order.more())
                                    || one.length().isEmpty()
                                    || !isLength(one.length().get().plus(order.more()))
                            ? Refusal.of(ClocksRefusal.NO_LENGTH)
                            : done(new ClocksEvent.Lengthened(order.more(), order.by(), room.now())));
        }

        @Override
        public Decision end(ClocksOrder.End order) {
            return adult(
                    order.by(),
                    () -> is.clock().isEmpty() ? done() : done(new ClocksEvent.Ended(order.by(), room.now())));
        }

        private Decision clock(PersonId by, Function<Clock, Decision> then) {
            return adult(by, () -> is.clock().map(then).orElseGet(() -> Refusal.of(ClocksRefusal.NO_CLOCK)));
        }

        @Override
        public Decision call(ClocksOrder.Call order) {
            String task = order.task().strip();
            Duration after = order.after().compareTo(LONGEST_CALL) > 0 ? LONGEST_CALL : order.after();
            return adult(order.by(), () -> {
                if (task.length() > Limits.TITLE) {
                    return Refusal.of(Refusal.Common.TEXT_TOO_LONG);
                }
                if (after.isNegative()) {
                    return Refusal.of(ClocksRefusal.NO_LENGTH);
                }
                var events = new ArrayList<LessonEvent>();
                is.open().ifPresent(one -> events.add(new ClocksEvent.CallEnded(one.number(), order.by(), room.now())));
                events.add(new ClocksEvent.Called(task, room.now().plus(after), order.by(), room.now()));
                return new Decision.Done(events);
            });
        }

        @Override
        public Decision press(ClocksOrder.Press order) {
            return Acting.present(room, order.visit(), person -> Optional.of(Refusal.of(ClocksRefusal.NO_CALL))
                    .filter(none -> !Catalogue.ANSWER.speaksOf(room.who().roleOf(person)))
                    .or(() -> room.who().right(person, Catalogue.ANSWER))
                    .orElseGet(() -> call(one -> pressed(one, person, order))));
        }

        private Decision pressed(FirstToAnswer one, PersonId person, ClocksOrder.Press order) {
            if (one.hasPressed(person)) {
                return done();
            }
            if (order.arrived().isBefore(one.opens())) {
                return Refusal.of(ClocksRefusal.NOT_OPEN_YET);
            }
            Duration delay = order.delay().isNegative()
                    ? Duration.ZERO
                    : order.delay().compareTo(FirstToAnswer.MOST_DELAY) > 0 ? FirstToAnswer.MOST_DELAY : order.delay();
            return done(new ClocksEvent.Pressed(
                    one.number(), person, Duration.between(one.opens(), order.arrived()), delay, room.now()));
        }

        @Override
        public Decision passOn(ClocksOrder.PassOn order) {
            return adult(
                    order.by(),
                    () -> call(one -> one.passed() < one.presses().size()
                            ? done(new ClocksEvent.PassedOn(one.number(), order.by(), room.now()))
                            : done()));
        }

        @Override
        public Decision endCall(ClocksOrder.EndCall order) {
            return adult(order.by(), () -> is.open()
                    .map(one -> done(new ClocksEvent.CallEnded(one.number(), order.by(), room.now())))
                    .orElseGet(Decision::done));
        }

        private Decision call(Function<FirstToAnswer, Decision> then) {
            return is.open().map(then).orElseGet(() -> Refusal.of(ClocksRefusal.NO_CALL));
        }

        private Decision adult(PersonId by, Supplier<Decision> then) {
            return room.who().adult(by, START_ACTIVITY).orElseGet(then);
        }
    }
}
