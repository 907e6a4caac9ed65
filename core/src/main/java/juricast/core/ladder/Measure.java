package juricast.core.ladder;

/** What a step does by itself, from mildest to most final. */
public enum Measure {
    /** A word, said or written by the adult. */
    WORD(true),
    /** The pupil reads which rule it was about. */
    REMINDER(true),
    /** A right is closed for some minutes. */
    CURB(true),
    /** Out of the room, to wait at the door; not removed. */
    TO_THE_DOOR(true),
    /** Removed from this lesson. */
    OUT_OF_LESSON(true),
    /** Removed, and not let into lessons of this class until somebody has talked. */
    OUT_OF_SERIES(false),
    /** Handed to those above; nothing changes in the lesson. */
    REFERRED(false);

    private final boolean needsPresence;

    Measure(boolean needsPresence) {
        this.needsPresence = needsPresence;
    }

    /** Whether it can only be taken against somebody who is in the room. */
    public boolean needsPresence() {
        return needsPresence;
    }
}
