package juricast.core.entry;

/** What becomes of an arrival. From mildest to strictest: this order is the rule of precedence. */
public enum Outcome {
    ADMIT,
    WAIT,
    TURN_AWAY
}
