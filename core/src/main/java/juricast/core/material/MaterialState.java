package juricast.core.material;

import java.util.List;
import juricast.core.limits.Limits;
import juricast.core.live.Copies;

/**
 * @param handouts what hangs for everybody to find, in the order it was handed out
 * @param captions the latest
 * @param serviceListens whether the caption service writes along
 */
public record MaterialState(List<Material> handouts, List<Caption> captions, boolean serviceListens) {
    static final MaterialState NEW = new MaterialState(List.of(), List.of(), false);

    /** One step of the fold. @param was the state before it @param number the number of the event */
    record Fold(MaterialState was, int number) implements MaterialEvent.Cases<MaterialState> {
        @Override
        public MaterialState handedOut(MaterialEvent.HandedOut event) {
            var material = new Material(number, event.by(), event.title(), event.body(), event.at());
            return new MaterialState(Copies.plus(was.handouts, material), was.captions, was.serviceListens);
        }

        @Override
        public MaterialState takenBack(MaterialEvent.TakenBack event) {
            return new MaterialState(
                    was.handouts.stream()
                            .filter(one -> one.number() != event.number())
                            .toList(),
                    was.captions,
                    was.serviceListens);
        }

        @Override
        public MaterialState captioned(MaterialEvent.Captioned event) {
            var caption = new Caption(number, event.by(), event.text(), event.heard(), event.at());
            List<Caption> all = Copies.plus(was.captions, caption);
            return new MaterialState(
                    was.handouts,
                    List.copyOf(all.subList(Math.max(0, all.size() - Limits.CAPTIONS), all.size())),
                    was.serviceListens);
        }

        @Override
        public MaterialState serviceListens(MaterialEvent.ServiceListens event) {
            return new MaterialState(was.handouts, was.captions, event.on());
        }
    }
}
