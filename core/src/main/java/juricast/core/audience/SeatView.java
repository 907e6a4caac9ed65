package juricast.core.audience;

import static juricast.core.board.BoardPart.BOARD;
import static juricast.core.material.MaterialPart.MATERIAL;
import static juricast.core.rights.RightsPart.RIGHTS;
import static juricast.core.signals.SignalsPart.SIGNALS;
import static juricast.core.supervision.SupervisionPart.SUPERVISION;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import juricast.core.chat.Words;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.Visit;
import juricast.core.material.Caption;
import juricast.core.material.Material;
import juricast.core.rights.Appliance;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.PlannedRules;

/**
 * A lesson as one arrival sees it, from the doorstep to the dismissal, a piece for each part. Only what this person may see is in it: no
 * other pupil's pass, curb, hand or removal, no verdict details, nobody else's private words, nobody unknown at the door.
 *
 * @param observers the names of those who look on, where this person may see them
 * @param on what this person has switched on
 * @param company who is there too
 * @param focus the name of who stands before everybody
 * @param captions the latest, where this person may read them
 * @param boardChanged changes whenever the board of the place does, where this person is
 * @param groups while the class is apart, or this person was asked to go; nothing while it is together
 * @param quiet whether the room is quiet because no adult is in it
 * @param stopped whether an adult has stopped everything
 * @param recording whether the lesson is recorded, from the door on
 * @param recorded what of this person is recorded now
 * @param words what this person may read
 */
public record SeatView(
        int number,
        Instant now,
        DoorSeat door,
        List<String> observers,
        RightsSeat rights,
        Set<Appliance> on,
        SignalsSeat signals,
        Company company,
        Optional<String> focus,
        ChatSeat chat,
        List<Material> handouts,
        List<Caption> captions,
        int boardChanged,
        Optional<GroupsSeat> groups,
        boolean quiet,
        boolean stopped,
        RecordingSeat recording,
        RecordingSeat.OfMe recorded,
        List<Words> words) {
    /** @throws IllegalArgumentException if there is no such visit */
    public static SeatView of(LessonPlan plan, LessonState lesson, PlannedRules rules, VisitId id, Instant now) {
        Visit visit = visit(lesson, id);
        SharedRights shared = SharedRights.of(lesson, rules, now);
        return visit.status() == Visit.Status.IN
                ? inside(plan, lesson, shared, visit, now)
                : outside(plan, lesson, rules, visit, now);
    }

    /** @throws IllegalArgumentException if there is none */
    public static Visit visit(LessonState lesson, VisitId id) {
        return lesson.there().visit(id).orElseThrow(() -> new IllegalArgumentException("No such visit: " + id));
    }

    /** The role somebody has now: they may have become class monitor since they came in. */
    public static Role roleOf(LessonPlan plan, Visit visit) {
        return visit.person().flatMap(plan::member).map(Member::role).orElse(visit.role());
    }

    /** The latest captions, where these people may read them (need F13). */
    public static List<Caption> captions(LessonState lesson, SharedRights rights, PersonId me, Role role, Instant now) {
        return rights.book(me).value(Catalogue.CAPTIONS, role, now) == Permission.OPEN
                ? lesson.of(MATERIAL).captions()
                : List.of();
    }

    private static SeatView outside(LessonPlan plan, LessonState lesson, PlannedRules rules, Visit visit, Instant now) {
        return new SeatView(
                lesson.number(),
                now,
                DoorSeat.of(plan, lesson, visit),
                List.of(),
                RightsSeat.FROM_OUTSIDE,
                Set.of(),
                SignalsSeat.FROM_OUTSIDE,
                Company.FROM_OUTSIDE,
                Optional.empty(),
                ChatSeat.FROM_OUTSIDE,
                List.of(),
                List.of(),
                0,
                Optional.empty(),
                lesson.of(SUPERVISION).quietSince().isPresent(),
                false,
                RecordingSeat.of(lesson, rules, now),
                RecordingSeat.OfMe.NOTHING,
                List.of());
    }

    private static SeatView inside(LessonPlan plan, LessonState lesson, SharedRights shared, Visit visit, Instant now) {
        PersonId me = visit.person().orElseThrow();
        Role role = roleOf(plan, visit);
        return new SeatView(
                lesson.number(),
                now,
                DoorSeat.of(plan, lesson, visit),
                DoorSeat.observers(plan, lesson, shared, me, role, now),
                RightsSeat.of(plan, lesson, shared, me, role, now),
                lesson.of(RIGHTS).on(me),
                SignalsSeat.of(lesson, me),
                Company.of(plan, lesson, Company.sight(lesson, shared, me, role, now)),
                lesson.of(SIGNALS).focus(lesson.there()).map(plan::nameOf),
                ChatSeat.of(plan, lesson, shared, me, role, now),
                lesson.of(MATERIAL).handouts(),
                captions(lesson, shared, me, role, now),
                lesson.of(BOARD).of(lesson.where().placeOf(me)).changed(),
                GroupsSeat.of(plan, lesson, shared, me, role, now),
                lesson.of(SUPERVISION).quietSince().isPresent(),
                lesson.of(SUPERVISION).stopped().isPresent(),
                RecordingSeat.of(lesson, shared.planned(), now),
                RecordingSeat.ofMe(lesson, me),
                ChatSeat.words(lesson, visit.id(), 0));
    }
}
