package juricast.server.groups;

import static juricast.core.board.BoardPart.BOARD;
import static juricast.core.chat.ChatPart.CHAT;
import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.groups.GroupsPart.GROUPS;
import static juricast.core.recording.RecordingPart.RECORDING;
import static juricast.core.rights.RightsPart.RIGHTS;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.audience.GroupsDesk;
import juricast.core.audience.GroupsSeat;
import juricast.core.groups.GroupsState;
import juricast.core.groups.Standing;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.PlaceId;
import juricast.server.grouping.WishWords;
import juricast.server.lesson.Snapshot;
import juricast.server.words.GroupNames;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Groups on the wire. */
@Component
public class GroupsJson {
    /**
     * Groups as they are drawn up, or out.
     *
     * @param out the time in groups, while the class is apart
     * @param aloneTogether since when those in no group are without an adult, if they are
     * @param broken wishes that the groups break as they are drawn up
     */
    public record DeskGroups(
            String task,
            String how,
            @Nullable GroupsOut out,
            List<GroupTable> tables,
            int together,
            @Nullable Instant aloneTogether,
            List<BrokenWish> broken,
            List<Latecomer> late,
            @Nullable NextVisit next) {}

    /** @param ends when all are together again at the latest @param invited how many were asked and have not gone yet */
    public record GroupsOut(Instant since, Instant ends, boolean calledBack, int invited) {}

    /** @param binding whether it keeps the groups from being sent */
    public record BrokenWish(String says, boolean binding) {}

    /** @param to the group that needs them; nothing if none may have them */
    public record Latecomer(String id, String name, @Nullable String to, @Nullable String toName) {}

    /** The group to visit next. @param says why, in a few words */
    public record NextVisit(String group, String name, GroupsDesk.Why why, String says) {}

    /** @param board changes with its board page @param aloneSeconds how long it was without an adult, before {@code aloneSince} */
    public record GroupTable(
            String id,
            String name,
            boolean locked,
            List<GroupMate> mates,
            List<String> adults,
            List<String> looking,
            @Nullable GroupCall call,
            boolean quiet,
            @Nullable Instant aloneSince,
            long aloneSeconds,
            @Nullable Instant beyondAt,
            List<GroupSeen> seen,
            int held,
            @Nullable LastWords last,
            int marks,
            int board) {}

    /** When an adult was in it, or looked in. @param until nothing while it goes on */
    public record GroupSeen(Standing.Eye eye, Instant from, @Nullable Instant until) {}

    public record GroupMate(String id, String name, GroupsDesk.Where where) {}

    public record GroupCall(Instant since, String by) {}

    /** What was written last. */
    public record LastWords(String from, String text, Instant at) {}

    /** @param in the group this adult is in @param looking the group this adult looks into */
    public record DeskMineGroups(@Nullable String in, @Nullable String looking) {}

    /** The class apart, as those in one place see it. @param here nothing for those together */
    public record SeatGroups(Instant ends, boolean calledBack, @Nullable SeatGroup here) {}

    /** @param with who is in the same group, where it may be seen @param looking who looks in, where it may be seen */
    public record SeatGroup(
            String id,
            String name,
            String task,
            List<SeatMate> with,
            List<String> adults,
            List<String> looking,
            @Nullable Instant helpSince,
            boolean mayReturn,
            boolean quiet) {}

    public record SeatMate(String name, boolean in) {}

    /** Where one is asked to go, or may go. @param with who is meant to be in it, where it may be seen */
    public record SeatMineGroups(String name, List<String> with) {}

    /** What a group of a need is called. */
    public static String name(LessonState lesson, String group) {
        return GroupNames.of(new PlaceId(group), lesson);
    }

    public DeskGroups desk(Snapshot at, Instant now) {
        return at.timed(
                        "groups desk",
                        "all",
                        List.of(DOOR, GROUPS, RIGHTS, RECORDING, CHAT, BOARD),
                        now,
                        () -> make(at, now),
                        made -> made.until)
                .desk;
    }

    private record Made(DeskGroups desk, Instant until) {}

    private static Made make(Snapshot at, Instant now) {
        GroupsDesk seen = GroupsDesk.of(at.plan(), at.state(), at.rules(), now);
        LessonPlan plan = at.plan();
        var desk = new DeskGroups(
                seen.task(),
                seen.how(),
                seen.out()
                        .map(out -> new GroupsOut(
                                out.since(),
                                out.ends(),
                                out.isCalledBack(),
                                out.invited().size()))
                        .orElse(null),
                seen.tables().stream().map(table -> table(table, at)).toList(),
                seen.together().pupils(),
                seen.together().aloneSince().orElse(null),
                seen.broken().stream()
                        .map(wish -> new BrokenWish(WishWords.of(wish, plan::nameOf), wish.binding()))
                        .toList(),
                seen.late().stream()
                        .map(late -> new Latecomer(
                                late.person().value(),
                                plan.nameOf(late.person()),
                                late.to().map(PlaceId::value).orElse(null),
                                late.to()
                                        .map(to -> GroupNames.of(to, at.state()))
                                        .orElse(null)))
                        .toList(),
                seen.next()
                        .map(next -> new NextVisit(
                                next.place().value(),
                                GroupNames.of(next.place(), at.state()),
                                next.why(),
                                says(next.why())))
                        .orElse(null));
        return new Made(desk, seen.until(now));
    }

    private static String says(GroupsDesk.Why why) {
        return switch (why) {
            case CALLS -> "calls for an adult";
            case HELD -> "its words wait for you";
            case BEYOND -> "without an adult for too long";
            case SILENT -> "nothing said, written or drawn for a while";
            case LONGEST -> "longest without an adult";
        };
    }

    private static GroupTable table(GroupsDesk.Table table, Snapshot at) {
        LessonPlan plan = at.plan();
        return new GroupTable(
                table.group().id().value(),
                table.group().name(),
                table.group().locked(),
                table.mates().stream()
                        .map(mate -> new GroupMate(mate.person().value(), plan.nameOf(mate.person()), mate.where()))
                        .toList(),
                table.adults(),
                table.looking(),
                table.call()
                        .map(call -> new GroupCall(call.since(), plan.nameOf(call.person())))
                        .orElse(null),
                table.isQuiet(),
                table.standing().aloneSince().orElse(null),
                table.standing().alone().toSeconds(),
                table.beyondAt().orElse(null),
                table.standing().seen().stream()
                        .map(one ->
                                new GroupSeen(one.eye(), one.from(), one.until().orElse(null)))
                        .toList(),
                table.held(),
                table.last()
                        .map(words -> new LastWords(plan.nameOf(words.from()), words.text(), words.at()))
                        .orElse(null),
                table.marks(),
                at.state().of(BOARD).of(table.group().id()).changed());
    }

    public static DeskMineGroups deskMine(Snapshot at, PersonId me) {
        GroupsState groups = at.state().of(GROUPS);
        return new DeskMineGroups(
                Optional.of(groups.placeOf(me))
                        .filter(place -> !place.equals(PlaceId.TOGETHER))
                        .map(PlaceId::value)
                        .orElse(null),
                groups.whereabouts().looksInto(me).map(PlaceId::value).orElse(null));
    }

    /** For those who share a view: one role, one place. */
    public static @Nullable SeatGroups seat(Snapshot at, PersonId me, Role role, Instant now) {
        return GroupsSeat.of(at.plan(), at.state(), at.rights(now), me, role, now)
                .map(seen -> new SeatGroups(
                        seen.ends(),
                        seen.calledBack(),
                        seen.here().map(GroupsJson::here).orElse(null)))
                .orElse(null);
    }

    private static SeatGroup here(GroupsSeat.Here here) {
        return new SeatGroup(
                here.place().value(),
                here.name(),
                here.task(),
                here.with().stream()
                        .map(mate -> new SeatMate(mate.name(), mate.isIn()))
                        .toList(),
                here.adults(),
                here.looking(),
                here.helpSince().orElse(null),
                here.mayReturn(),
                here.isQuiet());
    }

    public static @Nullable SeatMineGroups seatMine(Snapshot at, PersonId me, Role role, Instant now) {
        if (!at.state().where().isApart()) {
            return null;
        }
        return GroupsSeat.asked(at.plan(), at.state(), at.rights(now), me, role, now)
                .map(asked -> new SeatMineGroups(asked.name(), asked.with()))
                .orElse(null);
    }
}
