package juricast.core.audience;

import static juricast.core.board.BoardPart.BOARD;
import static juricast.core.chat.ChatPart.CHAT;
import static juricast.core.groups.GroupsPart.GROUPS;
import static juricast.core.rights.RightsPart.RIGHTS;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import juricast.core.chat.Words;
import juricast.core.grouping.Wish;
import juricast.core.groups.Apart;
import juricast.core.groups.Group;
import juricast.core.groups.GroupsState;
import juricast.core.groups.Standing;
import juricast.core.groups.TimeOut;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.PlaceId;
import juricast.core.live.Room;
import juricast.core.rights.Appliance;
import juricast.core.rules.PlannedRules;

/**
 * Groups as the adults of a lesson see them, drawn up or out (needs H1 to H4).
 *
 * @param out the time in groups that goes on, if the class is apart
 * @param tables a line for each group, in their order
 * @param together how it stands with those who are in no group, while the class is apart
 * @param broken wishes that the groups break as they are drawn up
 * @param late who is in no group and should be in one, and where they are needed
 * @param next the group to visit next, if one is better than another
 */
public record GroupsDesk(
        String task,
        String how,
        Optional<TimeOut> out,
        List<Table> tables,
        Standing together,
        List<Wish> broken,
        List<Late> late,
        Optional<Next> next) {
    /** How long nothing is said, written or drawn before a group counts as silent. */
    static final Duration SILENT = Duration.ofMinutes(4);

    /** Where somebody of a group is. */
    public enum Where {
        IN,
        /** Asked to go, and not gone yet. */
        ON_THE_WAY,
        /** In the group, and the line is lost. */
        LOST,
        /** In the lesson, and in another place. */
        ELSEWHERE,
        MISSING
    }

    /** Somebody who is meant to be in a group. */
    public record Mate(PersonId person, Where where) {}

    /**
     * One group.
     *
     * @param adults who of the adults is in it
     * @param looking who looks in
     * @param beyondAt when it has been without an adult's eye for longer than the rule lets it, if it goes on so
     * @param silentAt when it counts as silent, if nothing happens in it
     * @param held how many of its messages wait for an adult
     * @param last what was written in it last
     * @param marks lines on its board page
     */
    public record Table(
            Group group,
            List<Mate> mates,
            List<String> adults,
            List<String> looking,
            Standing standing,
            Optional<GroupsState.Call> call,
            boolean isQuiet,
            Optional<Instant> beyondAt,
            Optional<Instant> silentAt,
            int held,
            Optional<Words> last,
            int marks) {}

    /** Somebody who came while the class is apart. @param to the group that needs them; empty if every one breaks a binding wish */
    public record Late(PersonId person, Optional<PlaceId> to) {}

    /** Which group to visit next, and why. */
    public record Next(PlaceId place, Why why) {}

    /** Why a group is the next, the most pressing first. */
    public enum Why {
        CALLS,
        HELD,
        BEYOND,
        SILENT,
        LONGEST
    }

    public static GroupsDesk of(LessonPlan plan, LessonState lesson, PlannedRules planned, Instant now) {
        GroupsState groups = lesson.of(GROUPS);
        var apart = new Apart(groups, new Room(plan, lesson, planned, now));
        List<Table> tables = groups.groups().stream()
                .map(group -> table(plan, lesson, group, apart.mayBeAlone()))
                .toList();
        return new GroupsDesk(
                groups.drawn().task(),
                groups.drawn().how(),
                groups.out(),
                tables,
                groups.standing(PlaceId.TOGETHER),
                plan.wishes().broken(groups.drawn().people()),
                apart.late().stream()
                        .map(person -> new Late(person, apart.placeFor(person)))
                        .toList(),
                groups.isApart() ? next(tables, now) : Optional.empty());
    }

    private static Table table(LessonPlan plan, LessonState lesson, Group group, Duration mayBeAlone) {
        GroupsState groups = lesson.of(GROUPS);
        Standing standing = groups.standing(group.id());
        List<Words> words = lesson.of(CHAT).words().stream()
                .filter(one -> one.to().place().filter(group.id()::equals).isPresent())
                .toList();
        Optional<Words> last = words.isEmpty() ? Optional.empty() : Optional.of(words.get(words.size() - 1));
        return new Table(
                group,
                group.people().stream()
                        .map(person -> new Mate(person, where(lesson, group, person)))
                        .toList(),
                GroupsSeat.adults(plan, lesson, group.id()),
                GroupsSeat.lookers(plan, lesson, group.id()),
                standing,
                Optional.ofNullable(groups.calls().get(group.id())),
                groups.quiet().containsKey(group.id()),
                standing.aloneSince().map(since -> since.plus(mayBeAlone)),
                silentAt(lesson, group, last),
                lesson.of(CHAT).heldIn(group.id()).size(),
                last,
                lesson.of(BOARD).marks(group.id()).size());
    }

    private static Where where(LessonState lesson, Group group, PersonId person) {
        GroupsState groups = lesson.of(GROUPS);
        boolean isHere = groups.placeOf(person).equals(group.id());
        if (!lesson.there().isPresent(person)) {
            return isHere ? Where.LOST : Where.MISSING;
        }
        boolean isAsked =
                groups.out().filter(out -> out.invited().contains(person)).isPresent();
        return isHere ? Where.IN : isAsked ? Where.ON_THE_WAY : Where.ELSEWHERE;
    }

    /** Somebody speaks, or something was written or drawn not long ago. */
    private static Optional<Instant> silentAt(LessonState lesson, Group group, Optional<Words> last) {
        GroupsState groups = lesson.of(GROUPS);
        boolean somebodySpeaks = lesson.of(RIGHTS).withSomethingOn().stream()
                .anyMatch(person -> groups.placeOf(person).equals(group.id())
                        && lesson.of(RIGHTS).on(person).contains(Appliance.MICROPHONE));
        return groups.out()
                .filter(out -> !somebodySpeaks && groups.standing(group.id()).pupils() > 0)
                .flatMap(out -> Stream.of(
                                Optional.of(out.since()),
                                last.map(Words::at),
                                lesson.of(BOARD).changedAt(group.id()))
                        .flatMap(Optional::stream)
                        .max(Comparator.naturalOrder()))
                .map(at -> at.plus(SILENT));
    }

    /**
     * Who calls, whose words wait, who has been without an adult too long, who is silent; else who has been without an adult longest. A
     * group on which an adult's eye is already is never the next.
     */
    private static Optional<Next> next(List<Table> tables, Instant now) {
        Comparator<Table> longest =
                Comparator.comparing((Table table) -> table.standing.alone(now)).reversed();
        return tables.stream()
                .filter(table -> table.standing.pupils() > 0 && table.standing.eye() == Standing.Eye.NONE)
                .min(Comparator.comparing((Table table) -> why(table, now))
                        .thenComparing(
                                table -> table.call.map(GroupsState.Call::since).orElse(Instant.MAX))
                        .thenComparing(longest))
                .map(table -> new Next(table.group.id(), why(table, now)));
    }

    private static Why why(Table table, Instant now) {
        if (table.call.isPresent()) {
            return Why.CALLS;
        }
        if (table.held > 0) {
            return Why.HELD;
        }
        return hasCome(table.beyondAt, now) ? Why.BEYOND : hasCome(table.silentAt, now) ? Why.SILENT : Why.LONGEST;
    }

    private static boolean hasCome(Optional<Instant> at, Instant now) {
        return at.filter(one -> !now.isBefore(one)).isPresent();
    }

    /** Until when it stays as it is while nothing happens, but for what the rules change. */
    public Instant until(Instant now) {
        return tables.stream()
                .flatMap(table -> Stream.of(table.beyondAt, table.silentAt))
                .flatMap(Optional::stream)
                .filter(now::isBefore)
                .min(Comparator.naturalOrder())
                .orElse(Instant.MAX);
    }
}
