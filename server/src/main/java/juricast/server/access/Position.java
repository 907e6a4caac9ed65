package juricast.server.access;

/** What somebody is at the school; what they are in a lesson is its {@link juricast.core.identity.Role}. */
public enum Position {
    /** Safeguarding lead. */
    LEAD,
    TEACHER,
    PUPIL
}
