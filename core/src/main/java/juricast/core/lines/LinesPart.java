package juricast.core.lines;

import juricast.core.door.Acting;
import juricast.core.identity.PersonId;
import juricast.core.live.Decision;
import juricast.core.live.Gone;
import juricast.core.live.LessonEvent;
import juricast.core.live.Part;
import juricast.core.live.Room;
import juricast.core.rules.Catalogue;

/** Weak lines. */
public final class LinesPart implements Part<LinesState, LinesOrder, LinesEvent> {
    public static final LinesPart LINES = new LinesPart();

    private LinesPart() {}

    @Override
    public String name() {
        return "lines";
    }

    @Override
    public Class<LinesOrder> orders() {
        return LinesOrder.class;
    }

    @Override
    public Class<LinesEvent> events() {
        return LinesEvent.class;
    }

    @Override
    public LinesState begin() {
        return LinesState.NEW;
    }

    @Override
    public LinesState after(LinesState was, LinesEvent event, int number) {
        return event.match(was);
    }

    @Override
    public Decision decide(LinesState is, LinesOrder order, Room room) {
        return order.match(new Rules(is, room));
    }

    @Override
    public LinesState gone(LinesState was, Gone gone) {
        return was.without(gone);
    }

    private record Rules(LinesState is, Room room) implements LinesOrder.Cases<Decision> {
        @Override
        public Decision tell(LinesOrder.Tell order) {
            return Acting.present(
                    room,
                    order.visit(),
                    person -> is.weak().containsKey(person) == order.weak()
                            ? Decision.done()
                            : Decision.done(told(person, order.weak())));
        }

        private LessonEvent told(PersonId person, boolean weak) {
            return weak ? new LinesEvent.Weakened(person, room.now()) : new LinesEvent.Recovered(person, room.now());
        }

        @Override
        public Decision leave(LinesOrder.Leave order) {
            return room.who()
                    .adult(order.by(), Catalogue.HELP_STEER)
                    .orElseGet(() -> is.weak().size() > is.leftAt()
                            ? Decision.done(new LinesEvent.Left(order.by(), room.now()))
                            : Decision.done());
        }
    }
}
