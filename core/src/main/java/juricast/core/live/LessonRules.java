package juricast.core.live;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import juricast.core.rules.LiveRules;
import juricast.core.rules.PlannedRules;

/**
 * Decides what an order does: finds the part it belongs to, and gathers what follows by itself from all of them. Everything it
 * knows comes in, the time too; nothing is changed or stored.
 */
public record LessonRules(LessonPlan plan, LessonState lesson, PlannedRules planned, Instant now) {
    /** What follows is asked for this often at most; what would follow for ever is left for the clock, which asks again. */
    private static final int ROUNDS = 8;

    /** The events of an order and of what follows from it by itself. */
    public Decision decide(LessonOrder order) {
        return decided(order)
                .either(events -> new Decision.Done(new Following(events).toTheEnd()), Decision.Refused::new);
    }

    private Decision decided(LessonOrder order) {
        for (Part<?, ?, ?> part : lesson.parts()) {
            if (part.orders().isInstance(order)) {
                return AllParts.untyped(part).decide(lesson.of(part), order, room());
            }
        }
        if (order instanceof LessonOrder.Tick) {
            return Decision.done();
        }
        throw new IllegalArgumentException("No part knows what to do about " + order);
    }

    /** All that a part may ask. */
    public Room room() {
        return new Room(plan, lesson, planned, now);
    }

    /** When the clock should be asked again; {@link Instant#MAX} if nothing ends by itself. */
    public Instant nextTick() {
        LiveRules rules = lesson.rules(planned);
        Instant soonest = rules.nextEdge(now);
        for (Part<?, ?, ?> part : lesson.parts()) {
            Optional<Instant> due = AllParts.untyped(part).due(lesson.of(part), room());
            soonest = due.filter(soonest::isAfter).orElse(soonest);
        }
        return soonest;
    }

    /** Goes round the parts, those above first, until nothing more follows. */
    private final class Following {
        private final List<LessonEvent> all;
        private Room room;

        Following(List<LessonEvent> ordered) {
            all = new ArrayList<>(ordered);
            room = room().after(ordered);
        }

        List<LessonEvent> toTheEnd() {
            LiveRules.Books before = lesson.rules(planned).books();
            var news = new News(all, room.rules().books() != before);
            for (int round = 0; round < ROUNDS; round++) {
                before = room.rules().books();
                List<LessonEvent> more = round(news);
                if (more.isEmpty()) {
                    break;
                }
                news = new News(more, room.rules().books() != before);
            }
            return all;
        }

        private List<LessonEvent> round(News news) {
            var round = new ArrayList<LessonEvent>();
            for (int i = lesson.parts().size() - 1; i >= 0; i--) {
                Part<Object, LessonOrder, LessonEvent> part =
                        AllParts.untyped(lesson.parts().get(i));
                List<LessonEvent> more = part.follows(room.of(part), room, news);
                round.addAll(more);
                room = room.after(more);
            }
            all.addAll(round);
            return round;
        }
    }
}
