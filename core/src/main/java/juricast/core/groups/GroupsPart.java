package juricast.core.groups;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import juricast.core.live.Decision;
import juricast.core.live.Gone;
import juricast.core.live.LessonEvent;
import juricast.core.live.News;
import juricast.core.live.Part;
import juricast.core.live.PlaceId;
import juricast.core.live.Room;
import juricast.core.live.WhoIsThere;
import juricast.core.live.WhoIsWhere;
import juricast.core.rules.Fact;
import juricast.core.rules.Setting;
import juricast.core.rules.Situation;

/** Groups, and where everybody is (needs H1 to H4). */
public final class GroupsPart implements Part<GroupsState, GroupsOrder, GroupsEvent> {
    public static final GroupsPart GROUPS = new GroupsPart();

    private GroupsPart() {}

    @Override
    public String name() {
        return "groups";
    }

    @Override
    public Class<GroupsOrder> orders() {
        return GroupsOrder.class;
    }

    @Override
    public Class<GroupsEvent> events() {
        return GroupsEvent.class;
    }

    @Override
    public GroupsState begin() {
        return GroupsState.NEW;
    }

    @Override
    public GroupsState after(GroupsState was, GroupsEvent event, int number) {
        return event.match(new GroupsFold(was, number));
    }

    @Override
    public Decision decide(GroupsState is, GroupsOrder order, Room room) {
        return order.match(new GroupsRules(is, room));
    }

    @Override
    public GroupsState gone(GroupsState was, Gone gone) {
        return was.without(gone);
    }

    @Override
    public GroupsState counted(GroupsState was, WhoIsThere there, Instant at) {
        return was.counted(there, at);
    }

    @Override
    public Optional<WhoIsWhere> where(GroupsState is) {
        return Optional.of(is);
    }

    @Override
    public List<Setting> imposes(GroupsState is, PlaceId in) {
        return is.quiet().getOrDefault(in, List.of());
    }

    /** What is so in a place counts there: its own adult, its own visitor, its own number of people. */
    @Override
    public Situation situation(GroupsState is, PlaceId in, Situation before) {
        if (!is.isApart()) {
            return before;
        }
        if (in.equals(PlaceId.LESSON)) {
            return before.with(Fact.IN_GROUPS, true);
        }
        Standing here = is.standing(in);
        return before.withPresent(here.pupils())
                .with(Fact.VISITOR_PRESENT, here.visitor())
                .with(Fact.ADULT_PRESENT, here.hasAdult())
                .with(Fact.IN_GROUPS, !in.equals(PlaceId.TOGETHER));
    }

    /** The end of the time, latecomers who go by themselves, groups that go quiet and are seen again, and groups the clock sends. */
    @Override
    public List<LessonEvent> follows(GroupsState is, Room room, News news) {
        if (!room.there().isOpen()) {
            return List.of();
        }
        var apart = new Apart(is, room);
        if (!is.isApart()) {
            return room.plan().order().byTheClock() ? apart.sentByTheClock() : List.of();
        }
        List<LessonEvent> ended = apart.ended();
        if (!ended.isEmpty()) {
            return ended;
        }
        var all = new ArrayList<LessonEvent>(apart.goLate());
        all.addAll(apart.quietAndSeen());
        return all;
    }

    @Override
    public Optional<Instant> due(GroupsState is, Room room) {
        if (!room.there().isOpen()) {
            return Optional.empty();
        }
        var apart = new Apart(is, room);
        return Stream.concat(is.out().map(TimeOut::ends).stream(), apart.dueTimes())
                .min(Instant::compareTo);
    }
}
