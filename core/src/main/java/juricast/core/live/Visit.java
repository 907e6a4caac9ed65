package juricast.core.live;

import java.time.Instant;
import java.util.Optional;
import juricast.core.entry.Arrival;
import juricast.core.entry.Verdict;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;

/**
 * One arrival and what became of it.
 *
 * @param person who it is, or who it is taken for while it waits
 * @param connected whether its device was heard of lately
 */
public record Visit(
        Arrival arrival,
        Optional<PersonId> person,
        Role role,
        Status status,
        Verdict verdict,
        Instant knockedAt,
        boolean connected) {
    /** Where a visit stands. */
    public enum Status {
        WAITING,
        IN,
        LEFT,
        TURNED_AWAY,
        REMOVED,
        DISMISSED
    }

    public VisitId id() {
        return arrival.visit();
    }

    public boolean isWaiting() {
        return status == Status.WAITING;
    }

    /** In, and heard of. */
    public boolean isPresent() {
        return status == Status.IN && connected;
    }

    /** In or waiting: the same device does not knock twice. */
    public boolean goesOn() {
        return status == Status.IN || status == Status.WAITING;
    }

    /** Whether it matters if its device is heard: it is in, waits, or has been dismissed and not gone yet. */
    public boolean isLookedFor() {
        return connected && (goesOn() || status == Status.DISMISSED);
    }

    public boolean isOf(PersonId who) {
        return person.isPresent() && person.get().equals(who);
    }

    public Visit with(Status status) {
        return new Visit(arrival, person, role, status, verdict, knockedAt, connected);
    }

    public Visit with(Verdict verdict) {
        return new Visit(arrival, person, role, status, verdict, knockedAt, connected);
    }

    public Visit connected(boolean heard) {
        return new Visit(arrival, person, role, status, verdict, knockedAt, heard);
    }

    public Visit admitted(PersonId as, Role role) {
        return new Visit(arrival, Optional.of(as), role, Status.IN, verdict, knockedAt, connected);
    }
}
