package juricast.core.conduct;

import java.util.ArrayList;
import java.util.List;
import juricast.core.door.DoorEvent;
import juricast.core.ladder.Measure;
import juricast.core.live.Decision;
import juricast.core.live.LessonEvent;
import juricast.core.live.News;
import juricast.core.live.Part;
import juricast.core.live.Room;

/** Steps of the ladder, moments marked for later, worries of pupils. */
public final class ConductPart implements Part<ConductState, ConductOrder, ConductEvent> {
    public static final ConductPart CONDUCT = new ConductPart();

    private ConductPart() {}

    @Override
    public String name() {
        return "conduct";
    }

    @Override
    public Class<ConductOrder> orders() {
        return ConductOrder.class;
    }

    @Override
    public Class<ConductEvent> events() {
        return ConductEvent.class;
    }

    @Override
    public ConductState begin() {
        return ConductState.NEW;
    }

    @Override
    public ConductState after(ConductState was, ConductEvent event, int number) {
        return event.match(new ConductState.Fold(was, number));
    }

    @Override
    public Decision decide(ConductState is, ConductOrder order, Room room) {
        return order.match(new ConductRules(is, room));
    }

    /** A removal that was ordered by itself is a step of the ladder too. */
    @Override
    public List<LessonEvent> follows(ConductState is, Room room, News news) {
        var steps = new ArrayList<LessonEvent>();
        LessonEvent.of(news.events(), DoorEvent.Removed.class)
                .filter(removed -> !room.who().isAdult(removed.person()) && !isStep(is, removed))
                .forEach(removed -> new ConductRules(is, room).byItself(removed).ifPresent(steps::add));
        return steps;
    }

    private static boolean isStep(ConductState is, DoorEvent.Removed removed) {
        return is.steps().stream()
                .map(Taken::event)
                .anyMatch(step -> step.at().equals(removed.at())
                        && step.isAgainst(removed.person())
                        && (step.step().measure() == Measure.OUT_OF_LESSON
                                || step.step().measure() == Measure.OUT_OF_SERIES));
    }
}
