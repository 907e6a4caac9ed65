package juricast.core.notices;

import static juricast.core.live.Decision.done;
import static juricast.core.rules.Catalogue.ANNOUNCE;

import java.util.Optional;
import juricast.core.live.Decision;
import juricast.core.live.Part;
import juricast.core.live.Refusal;
import juricast.core.live.Room;

/** The welcome, and announcements (need J7). */
public final class NoticesPart implements Part<NoticesState, NoticesOrder, NoticesEvent> {
    public static final NoticesPart NOTICES = new NoticesPart();
    /** Characters of a welcome or an announcement. */
    public static final int TEXT = 400;
    /** Announcements that are up at once: more would push the lesson off the page. */
    public static final int MOST = 3;

    private NoticesPart() {}

    @Override
    public String name() {
        return "notices";
    }

    @Override
    public Class<NoticesOrder> orders() {
        return NoticesOrder.class;
    }

    @Override
    public Class<NoticesEvent> events() {
        return NoticesEvent.class;
    }

    @Override
    public NoticesState begin() {
        return NoticesState.NEW;
    }

    @Override
    public NoticesState after(NoticesState was, NoticesEvent event, int number) {
        return event.match(new NoticesState.Fold(was, number));
    }

    @Override
    public Decision decide(NoticesState is, NoticesOrder order, Room room) {
        return order.match(new Rules(is, room));
    }

    private record Rules(NoticesState is, Room room) implements NoticesOrder.Cases<Decision> {
        @Override
        public Decision welcome(NoticesOrder.Welcome order) {
            String text = order.text().strip();
            return room.who()
                    .adult(order.by(), ANNOUNCE)
                    .or(() -> text.length() > TEXT
                            ? Optional.of(Refusal.of(Refusal.Common.TEXT_TOO_LONG))
                            : Optional.empty())
                    .orElseGet(() -> done(new NoticesEvent.Welcomed(text, order.by(), room.now())));
        }

        @Override
        public Decision putUp(NoticesOrder.PutUp order) {
            String text = order.text().strip();
            return room.who()
                    .adult(order.by(), ANNOUNCE)
                    .or(() -> Refusal.ofText(text, TEXT))
                    .orElseGet(() -> is.up().size() >= MOST
                            ? Refusal.of(Refusal.Common.TOO_MUCH)
                            : done(new NoticesEvent.PutUp(text, order.by(), room.now())));
        }

        @Override
        public Decision takeDown(NoticesOrder.TakeDown order) {
            return room.who()
                    .adult(order.by(), ANNOUNCE)
                    .orElseGet(() -> is.up().stream().anyMatch(one -> one.number() == order.notice())
                            ? done(new NoticesEvent.TakenDown(order.notice(), order.by(), room.now()))
                            : Refusal.of(NoticesRefusal.NOT_UP));
        }
    }
}
