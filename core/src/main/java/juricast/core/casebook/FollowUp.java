package juricast.core.casebook;

import java.time.LocalDate;
import java.util.Optional;
import juricast.core.identity.PersonId;

/** What somebody is to do. @param number of the event that set it @param done the event by which it was done */
public record FollowUp(
        int number, String what, PersonId who, LocalDate until, PersonId setBy, Optional<CaseEvent.FollowUpDone> done) {
    public boolean isOpen() {
        return done.isEmpty();
    }

    /** Whether it should have been done before a day. */
    public boolean isLate(LocalDate today) {
        return isOpen() && until.isBefore(today);
    }
}
