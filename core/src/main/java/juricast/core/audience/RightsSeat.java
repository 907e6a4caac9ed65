package juricast.core.audience;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.rights.RightsPart.RIGHTS;
import static juricast.core.signals.SignalsPart.SIGNALS;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.Stance;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.Ruling;
import juricast.core.rules.Setting;

/**
 * What everybody with the same rights sees alike of them.
 *
 * @param showing who shows something to everybody
 * @param stance what the lesson is doing
 * @param helping what these people may help with, where they may
 */
public record RightsSeat(
        List<Right> rights, Optional<String> showing, Optional<String> stance, Optional<Helping> helping) {
    /** One right. @param loan their own pass or curb on it */
    public record Right(Ruling<Permission> ruling, Optional<Setting> loan) {}

    /**
     * What a trusted pupil helps with, and just what that takes.
     *
     * @param rights what they may help with
     * @param door who waits and is surely on the class list, longest first
     * @param hands whose hand is up, longest first
     * @param chatPaused whether the class chat is closed by a live order
     */
    public record Helping(List<Right> rights, List<Waiting> door, List<Member> hands, boolean chatPaused) {}

    /** Somebody at the door, by the name on the class list. */
    public record Waiting(VisitId visit, String name) {}

    private static final List<Rule<Permission>> PUPILS_HELP =
            List.of(Catalogue.HELP_DOOR, Catalogue.HELP_HANDS, Catalogue.HELP_CHAT);

    /** From outside nothing of it is seen. */
    public static final RightsSeat FROM_OUTSIDE =
            new RightsSeat(List.of(), Optional.empty(), Optional.empty(), Optional.empty());

    public static RightsSeat of(
            LessonPlan plan, LessonState lesson, SharedRights shared, PersonId me, Role role, Instant now) {
        return new RightsSeat(
                Stream.concat(shared.of(me, role, now).stream(), shared.rarelyOpen(me, role, now))
                        .map(ruling -> new Right(ruling, lesson.of(RIGHTS).loan(me, ruling.rule(), now)))
                        .toList(),
                lesson.of(RIGHTS)
                        .showing(lesson.where(), lesson.where().placeOf(me))
                        .map(plan::nameOf),
                lesson.of(RIGHTS).stance().map(Stance::name),
                helping(plan, lesson, shared, me, role, now));
    }

    private static Optional<Helping> helping(
            LessonPlan plan, LessonState lesson, SharedRights shared, PersonId me, Role role, Instant now) {
        var book = shared.book(me);
        List<Right> rights = PUPILS_HELP.stream()
                .filter(rule -> rule.speaksOf(role) && book.value(rule, role, now) == Permission.OPEN)
                .map(rule -> new Right(
                        book.ruling(rule, role, now), lesson.of(RIGHTS).loan(me, rule, now)))
                .toList();
        return rights.isEmpty()
                ? Optional.empty()
                : Optional.of(new Helping(
                        rights,
                        may(rights, Catalogue.HELP_DOOR) ? door(plan, lesson) : List.of(),
                        may(rights, Catalogue.HELP_HANDS) ? hands(plan, lesson) : List.of(),
                        chatIsPaused(lesson)));
    }

    private static List<Waiting> door(LessonPlan plan, LessonState lesson) {
        return lesson.of(DOOR).waiting().stream()
                .filter(visit -> visit.connected() && visit.verdict().onlyTheDoorIsBetween())
                .flatMap(visit -> visit.person().stream().map(person -> new Waiting(visit.id(), plan.nameOf(person))))
                .toList();
    }

    private static List<Member> hands(LessonPlan plan, LessonState lesson) {
        return lesson.of(SIGNALS).hands().keySet().stream()
                .flatMap(person -> plan.member(person).stream())
                .toList();
    }

    private static boolean chatIsPaused(LessonState lesson) {
        return lesson.of(RIGHTS).liveOrders().stream()
                .anyMatch(one -> one.set().rule().equals(Catalogue.CLASS_CHAT)
                        && one.set().value() == Permission.CLOSED);
    }

    private static boolean may(List<Right> rights, Rule<Permission> what) {
        return rights.stream().anyMatch(right -> right.ruling().rule().equals(what));
    }
}
