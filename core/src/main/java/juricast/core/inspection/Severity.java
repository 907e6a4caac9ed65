package juricast.core.inspection;

/** How much a finding matters; what matters most stands first. */
public enum Severity {
    /** Somebody would be alone, in two places, or in a room with strangers. */
    DANGER,
    /** The lesson would work, against a rule or to somebody's loss. */
    WEAK_SPOT,
    /** Worth knowing; it may be meant so. */
    NOTE
}
