package juricast.core.recording;

/** Why the recorder does not record. */
public enum Failure {
    DISK_FULL,
    LINE_LOST,
    /** It never said that it began. */
    NO_ANSWER
}
