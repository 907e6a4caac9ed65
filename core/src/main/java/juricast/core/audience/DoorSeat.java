package juricast.core.audience;

import static juricast.core.door.DoorPart.DOOR;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.entry.Reason;
import juricast.core.entry.ReasonCode;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.Visit;
import juricast.core.rules.Catalogue;
import juricast.core.rules.YesNo;

/**
 * Where an arrival is.
 *
 * @param isVisitor whether they come from outside the class
 * @param reasons why somebody waits or was turned away, without the people of the class that the check thought of
 * @param name the name on the class list; empty until somebody is let in, so that the door tells nobody who is expected
 * @param allowedBack whether an adult has let a removed person come again
 */
public record DoorSeat(
        Visit.Status status,
        boolean isVisitor,
        List<ReasonCode> reasons,
        Optional<String> name,
        Optional<String> shownName,
        boolean allowedBack) {
    public static DoorSeat of(LessonPlan plan, LessonState lesson, Visit visit) {
        boolean isIn = visit.status() == Visit.Status.IN;
        Optional<PersonId> inside = visit.person().filter(person -> isIn);
        return new DoorSeat(
                visit.status(),
                visit.role() == Role.VISITOR,
                isIn
                        ? List.of()
                        : visit.verdict().reasons().stream().map(Reason::code).toList(),
                inside.map(plan::nameOf),
                inside.flatMap(lesson.of(DOOR)::shownName),
                isAllowedBack(lesson, visit));
    }

    private static boolean isAllowedBack(LessonState lesson, Visit visit) {
        return visit.status() == Visit.Status.REMOVED
                && lesson.of(DOOR).isOpen()
                && visit.person()
                        .filter(one -> lesson.of(DOOR).removal(one).isEmpty())
                        .isPresent();
    }

    /** The names of those who look on, where these people may see them (need M2). */
    public static List<String> observers(
            LessonPlan plan, LessonState lesson, SharedRights rights, PersonId me, Role role, Instant now) {
        return rights.book(me).value(Catalogue.SEE_OBSERVERS, role, now) == YesNo.YES
                ? observers(plan, lesson)
                : List.of();
    }

    /** The names of those who are in without being in charge or of the class. */
    public static List<String> observers(LessonPlan plan, LessonState lesson) {
        return lesson.there().visits().stream()
                .filter(visit -> visit.isPresent() && visit.role() == Role.OBSERVER)
                .flatMap(visit -> visit.person().stream())
                .distinct()
                .map(plan::nameOf)
                .toList();
    }
}
