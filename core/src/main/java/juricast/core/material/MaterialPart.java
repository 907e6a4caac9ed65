package juricast.core.material;

import static juricast.core.live.Decision.done;
import static juricast.core.live.Refusal.Common.LESSON_OVER;
import static juricast.core.live.Refusal.Common.NOT_PRESENT;
import static juricast.core.live.Refusal.Common.TEXT_TOO_LONG;
import static juricast.core.live.Refusal.Common.TOO_MUCH;
import static juricast.core.rights.RightsPart.RIGHTS;

import java.util.Optional;
import juricast.core.door.Acting;
import juricast.core.identity.PersonId;
import juricast.core.limits.Limits;
import juricast.core.live.Decision;
import juricast.core.live.Part;
import juricast.core.live.PlaceId;
import juricast.core.live.Refusal;
import juricast.core.live.Room;
import juricast.core.rights.Appliance;
import juricast.core.rules.Catalogue;

/** What hangs for everybody to find, latecomers too, and what is said in writing (needs F9, F13). */
public final class MaterialPart implements Part<MaterialState, MaterialOrder, MaterialEvent> {
    public static final MaterialPart MATERIAL = new MaterialPart();

    private MaterialPart() {}

    @Override
    public String name() {
        return "material";
    }

    @Override
    public Class<MaterialOrder> orders() {
        return MaterialOrder.class;
    }

    @Override
    public Class<MaterialEvent> events() {
        return MaterialEvent.class;
    }

    @Override
    public MaterialState begin() {
        return MaterialState.NEW;
    }

    @Override
    public MaterialState after(MaterialState was, MaterialEvent event, int number) {
        return event.match(new MaterialState.Fold(was, number));
    }

    @Override
    public Decision decide(MaterialState is, MaterialOrder order, Room room) {
        return order.match(new Rules(is, room));
    }

    private record Rules(MaterialState is, Room room) implements MaterialOrder.Cases<Decision> {
        @Override
        public Decision handOut(MaterialOrder.HandOut order) {
            if (!room.there().isPresent(order.person())) {
                return Refusal.of(room.there().isOver() ? LESSON_OVER : NOT_PRESENT, order.person());
            }
            String title = order.title().strip();
            return room.who()
                    .right(order.person(), Catalogue.HAND_OUT)
                    .or(() -> Refusal.ofText(title, Limits.TITLE))
                    .or(() -> order.body().length() > Limits.MESSAGE
                            ? Optional.of(Refusal.of(TEXT_TOO_LONG))
                            : Optional.empty())
                    .orElseGet(() -> is.handouts().size() >= Limits.MATERIALS
                            ? Refusal.of(TOO_MUCH)
                            : done(new MaterialEvent.HandedOut(
                                    order.person(), title, order.body().strip(), room.now())));
        }

        @Override
        public Decision takeBack(MaterialOrder.TakeBack order) {
            return room.who()
                    .adult(order.by(), Catalogue.HELP_STEER)
                    .orElseGet(() -> is.handouts().stream().anyMatch(one -> one.number() == order.number())
                            ? done(new MaterialEvent.TakenBack(order.number(), order.by(), room.now()))
                            : done());
        }

        @Override
        public Decision caption(MaterialOrder.Caption order) {
            String text = order.text().strip();
            return Refusal.ofText(text, Limits.MESSAGE)
                    .orElseGet(() -> Acting.present(room, order.visit(), person -> room.who()
                            .right(person, Catalogue.WRITE_CAPTIONS)
                            .orElseGet(() -> done(new MaterialEvent.Captioned(person, text, false, room.now())))));
        }

        @Override
        public Decision letServiceListen(MaterialOrder.LetServiceListen order) {
            return room.who()
                    .adult(order.by(), Catalogue.CAPTION_SERVICE)
                    .orElseGet(() -> is.serviceListens() == order.on()
                            ? done()
                            : done(new MaterialEvent.ServiceListens(order.on(), order.by(), room.now())));
        }

        /** Only what everybody hears: a voice in a group is not for those outside it, and one that is off was not heard. */
        @Override
        public Decision heard(MaterialOrder.Heard order) {
            PersonId speaker = order.speaker();
            String text = order.text().strip();
            boolean isHeardByAll = is.serviceListens()
                    && room.there().isPresent(speaker)
                    && room.where().placeOf(speaker).equals(PlaceId.TOGETHER)
                    && room.of(RIGHTS).on(speaker).contains(Appliance.MICROPHONE);
            return isHeardByAll && Refusal.ofText(text, Limits.MESSAGE).isEmpty()
                    ? done(new MaterialEvent.Captioned(speaker, text, true, room.now()))
                    : done();
        }
    }
}
