package juricast.core.supervision;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.live.Decision;
import juricast.core.live.Gone;
import juricast.core.live.LessonEvent;
import juricast.core.live.News;
import juricast.core.live.Part;
import juricast.core.live.PlaceId;
import juricast.core.live.Room;
import juricast.core.live.Visit;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.core.rules.Setting;

/** Pupils are not alone, and an adult can stop everything at once (needs E5, G4, M2). */
public final class SupervisionPart implements Part<SupervisionState, SupervisionOrder, SupervisionEvent> {
    public static final SupervisionPart SUPERVISION = new SupervisionPart();

    private SupervisionPart() {}

    @Override
    public String name() {
        return "supervision";
    }

    @Override
    public Class<SupervisionOrder> orders() {
        return SupervisionOrder.class;
    }

    @Override
    public Class<SupervisionEvent> events() {
        return SupervisionEvent.class;
    }

    @Override
    public SupervisionState begin() {
        return SupervisionState.NEW;
    }

    @Override
    public SupervisionState after(SupervisionState was, SupervisionEvent event, int number) {
        return event.match(new SupervisionState.Fold(was));
    }

    @Override
    public Decision decide(SupervisionState is, SupervisionOrder order, Room room) {
        return order.match(new SupervisionRules(is, room));
    }

    @Override
    public SupervisionState gone(SupervisionState was, Gone gone) {
        return gone.isEverybody() ? SupervisionState.NEW : was;
    }

    @Override
    public List<Setting> imposes(SupervisionState is, PlaceId in) {
        return is.imposed();
    }

    /** Goes quiet without an adult, and is itself again as soon as one is there. */
    @Override
    public List<LessonEvent> follows(SupervisionState is, Room room, News news) {
        if (is.quietSince().isEmpty()) {
            return goesQuietAt(room)
                    .filter(at -> !room.now().isBefore(at))
                    .flatMap(at -> room.there().aloneSince())
                    .<List<LessonEvent>>map(since -> List.of(new SupervisionEvent.WentQuiet(since, room.now())))
                    .orElse(List.of());
        }
        return room.there().visits().stream()
                .filter(visit -> visit.isPresent() && visit.role().isAdultInCharge())
                .findFirst()
                .flatMap(Visit::person)
                .<List<LessonEvent>>map(adult -> List.of(new SupervisionEvent.Supervised(adult, room.now())))
                .orElse(List.of());
    }

    @Override
    public Optional<Instant> due(SupervisionState is, Room room) {
        return is.quietSince().isPresent() ? Optional.empty() : goesQuietAt(room);
    }

    /** How long pupils may be alone before the room goes quiet: a lost line is bridged, a step out is not possible. */
    private static Optional<Instant> goesQuietAt(Room room) {
        return room.there()
                .aloneSince()
                .map(since -> since.plus(room.rules()
                        .value(Catalogue.ALONE_MINUTES, Rule.ANSWERS, room.now())
                        .length()));
    }
}
