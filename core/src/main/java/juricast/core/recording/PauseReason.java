package juricast.core.recording;

/** Why an adult pauses a recording (need I2). */
public enum PauseReason {
    /** Somebody tells something that is nobody else's. */
    CONFIDES,
    /** It is about somebody's health or family. */
    HEALTH_OR_FAMILY,
    /** Names, marks or addresses are shown. */
    PERSONAL_DATA,
    BREAK,
    OTHER
}
