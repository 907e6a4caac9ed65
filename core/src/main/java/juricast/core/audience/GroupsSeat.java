package juricast.core.audience;

import static juricast.core.groups.GroupsPart.GROUPS;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.groups.Apart;
import juricast.core.groups.Group;
import juricast.core.groups.GroupsState;
import juricast.core.groups.TimeOut;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.PlaceId;
import juricast.core.live.Room;
import juricast.core.live.Visit;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.YesNo;

/**
 * The class apart, as one person sees it: their own place and nothing of the others (needs H2, H3).
 *
 * @param ends when everybody is together again
 * @param calledBack whether everybody is on the way back
 * @param here the group they are in, if they are in one
 * @param asked the group they are asked to go to, or may go to late
 */
public record GroupsSeat(Instant ends, boolean calledBack, Optional<Here> here, Optional<Asked> asked) {
    /**
     * One's own group.
     *
     * @param task what is to be done
     * @param with who else is meant to be in it, and whether they are; empty where these people may not see it
     * @param adults who of the adults is in it
     * @param looking who looks in, where these people may see it
     * @param helpSince since when the group has called for help
     * @param mayReturn whether one may come back by oneself
     * @param isQuiet whether it is quiet because no adult has looked in
     */
    public record Here(
            PlaceId place,
            String name,
            String task,
            List<Mate> with,
            List<String> adults,
            List<String> looking,
            Optional<Instant> helpSince,
            boolean mayReturn,
            boolean isQuiet) {}

    /** Somebody of the same group. */
    public record Mate(String name, boolean isIn) {}

    /** Where to go. @param with who is meant to be in it, where this person may see it */
    public record Asked(String name, List<String> with) {}

    /** Nothing while the class is together. */
    public static Optional<GroupsSeat> of(
            LessonPlan plan, LessonState lesson, SharedRights shared, PersonId me, Role role, Instant now) {
        GroupsState groups = lesson.of(GROUPS);
        return groups.out()
                .map(out -> new GroupsSeat(
                        out.ends(),
                        out.isCalledBack(),
                        groups.group(groups.placeOf(me)).map(group -> here(plan, lesson, shared, group, me, role, now)),
                        asked(plan, lesson, shared, me, role, now)));
    }

    private static Here here(
            LessonPlan plan,
            LessonState lesson,
            SharedRights shared,
            Group group,
            PersonId me,
            Role role,
            Instant now) {
        GroupsState groups = lesson.of(GROUPS);
        boolean seesLookers = shared.book(me).value(Catalogue.SEE_OBSERVERS, role, now) == YesNo.YES;
        return new Here(
                group.id(),
                group.name(),
                groups.drawn().task(),
                mates(plan, lesson, shared, group, me, role, now),
                adults(plan, lesson, group.id()),
                seesLookers ? lookers(plan, lesson, group.id()) : List.of(),
                Optional.ofNullable(groups.calls().get(group.id())).map(GroupsState.Call::since),
                groups.out().filter(TimeOut::isCalledBack).isPresent()
                        || shared.book(me).value(Catalogue.GROUP_RETURN, role, now) == Permission.OPEN,
                groups.quiet().containsKey(group.id()));
    }

    /** Those of the group, oneself included: all who share the view see the same list. */
    private static List<Mate> mates(
            LessonPlan plan,
            LessonState lesson,
            SharedRights shared,
            Group group,
            PersonId me,
            Role role,
            Instant now) {
        return seesNames(shared, me, role, now)
                ? group.people().stream()
                        .map(one -> new Mate(
                                plan.nameOf(one),
                                lesson.there().isPresent(one)
                                        && lesson.where().placeOf(one).equals(group.id())))
                        .toList()
                : List.of();
    }

    private static boolean seesNames(SharedRights shared, PersonId me, Role role, Instant now) {
        return shared.book(me).value(Catalogue.SEE_LIST, role, now) == Permission.OPEN;
    }

    /** The names of the adults who are in a place. */
    static List<String> adults(LessonPlan plan, LessonState lesson, PlaceId place) {
        return adultsIn(lesson).stream()
                .filter(person -> lesson.where().placeOf(person).equals(place))
                .map(plan::nameOf)
                .toList();
    }

    /** The names of the adults who look into a place. */
    static List<String> lookers(LessonPlan plan, LessonState lesson, PlaceId place) {
        return adultsIn(lesson).stream()
                .filter(person -> lesson.of(GROUPS)
                        .whereabouts()
                        .looksInto(person)
                        .filter(place::equals)
                        .isPresent())
                .map(plan::nameOf)
                .toList();
    }

    private static List<PersonId> adultsIn(LessonState lesson) {
        return lesson.there().visits().stream()
                .filter(visit -> visit.isPresent() && visit.role().isAdultInCharge())
                .map(Visit::person)
                .flatMap(Optional::stream)
                .distinct()
                .toList();
    }

    /** Where somebody is asked to go, or may go late; nothing for who is in a group. */
    public static Optional<Asked> asked(
            LessonPlan plan, LessonState lesson, SharedRights shared, PersonId me, Role role, Instant now) {
        GroupsState groups = lesson.of(GROUPS);
        if (!groups.placeOf(me).equals(PlaceId.TOGETHER)
                || groups.out().filter(TimeOut::isCalledBack).isPresent()) {
            return Optional.empty();
        }
        boolean isInvited =
                groups.out().filter(out -> out.invited().contains(me)).isPresent();
        boolean mayGo = isInvited
                || Catalogue.GROUP_LATE.speaksOf(role)
                        && shared.book(me).value(Catalogue.GROUP_LATE, role, now) == Permission.OPEN;
        return mayGo
                ? new Apart(groups, new Room(plan, lesson, shared.planned(), now))
                        .placeFor(me)
                        .flatMap(groups::group)
                        .map(group -> new Asked(
                                group.name(),
                                seesNames(shared, me, role, now)
                                        ? group.people().stream()
                                                .map(plan::nameOf)
                                                .toList()
                                        : List.of()))
                : Optional.empty();
    }
}
