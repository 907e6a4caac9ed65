package juricast.core.live;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;

/** Who is in a lesson, in what role, and whether it goes on: what every part may ask. */
public interface WhoIsThere {
    boolean isOpen();

    boolean isOver();

    Optional<Instant> dismissedAt();

    /** All visits, in order of arrival. */
    List<Visit> visits();

    Optional<Visit> visit(VisitId id);

    /** The visits that are or may be of this person, in order of arrival. */
    List<Visit> visitsOf(PersonId person);

    boolean isPresent(PersonId person);

    /** Whether this person took charge of the room though not planned as its adult. */
    boolean tookCharge(PersonId person);

    /** Since when pupils are in the lesson without an adult in any of its places, if they are. */
    Optional<Instant> aloneSince();

    default boolean anAdultIsIn() {
        return visits().stream()
                .anyMatch(visit -> visit.isPresent() && visit.role().isAdultInCharge());
    }

    /** Adults and whoever signed in; not who came in by a name alone. */
    default boolean hasAccount(PersonId person) {
        for (Visit visit : visitsOf(person)) {
            if (visit.goesOn() && !visit.arrival().hasAccount()) {
                return false;
            }
        }
        return true;
    }

    /**
     * Whether this person may give all orders, and needs nobody to lend them a right: the lead adult, who took charge, and
     * every second adult as long as neither of those is in the room.
     */
    default boolean leads(PersonId person, LessonPlan plan) {
        if (isLead(person, plan)) {
            return true;
        }
        boolean isAdult =
                plan.member(person).filter(one -> one.role().isAdultInCharge()).isPresent();
        return isAdult
                && visits().stream()
                        .noneMatch(visit -> visit.isPresent()
                                && visit.person()
                                        .filter(one -> isLead(one, plan))
                                        .isPresent());
    }

    private boolean isLead(PersonId person, LessonPlan plan) {
        return plan.member(person)
                .filter(one -> one.role() == Role.LEAD_ADULT || tookCharge(person))
                .isPresent();
    }
}
