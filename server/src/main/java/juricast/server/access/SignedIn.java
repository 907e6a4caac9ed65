package juricast.server.access;

import juricast.core.identity.PersonId;

/** Who is calling. */
public record SignedIn(PersonId person, String name, Position position) {
    public boolean isLead() {
        return position == Position.LEAD;
    }
}
