package juricast.core.groups;

import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import juricast.core.identity.PersonId;
import juricast.core.live.Copies;

/**
 * One time in groups, from sending out to being together again.
 *
 * @param until when it ends by itself
 * @param backAt everybody was called back, and those who do not come by themselves are together again then
 * @param invited who was asked to go and has not gone yet
 * @param cameBack who came back by themselves, and is not sent again without being asked
 */
public record TimeOut(
        Instant since, Instant until, Optional<Instant> backAt, Set<PersonId> invited, Set<PersonId> cameBack) {
    public TimeOut {
        invited = Set.copyOf(invited);
        cameBack = Set.copyOf(cameBack);
    }

    /** When it is over at the latest. */
    public Instant ends() {
        return backAt.filter(until::isAfter).orElse(until);
    }

    /** Whether everybody is on the way back. */
    public boolean isCalledBack() {
        return backAt.isPresent();
    }

    TimeOut prolonged(Instant end) {
        return new TimeOut(since, end, Optional.empty(), invited, cameBack);
    }

    TimeOut calledBack(Instant at) {
        return new TimeOut(since, until, Optional.of(at), Set.of(), cameBack);
    }

    TimeOut gone(PersonId who) {
        return new TimeOut(since, until, backAt, Copies.without(invited, who), Copies.without(cameBack, who));
    }

    TimeOut back(PersonId who) {
        return new TimeOut(since, until, backAt, Copies.without(invited, who), Copies.with(cameBack, who));
    }
}
