package juricast.core.consent;

/** How it stands with somebody's consent at an instant. */
public enum Standing {
    GIVEN,
    REFUSED,
    WITHDRAWN,
    /** Nobody has said anything, or what was said has run out: treated as if it had not been given. */
    UNKNOWN;

    /** Whether somebody said that this person is not to be recorded, or not any more. */
    public boolean isNo() {
        return this == REFUSED || this == WITHDRAWN;
    }
}
