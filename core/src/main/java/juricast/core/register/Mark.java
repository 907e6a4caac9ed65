package juricast.core.register;

/** What stands in the register. */
public enum Mark {
    PRESENT(true),
    LATE(true),
    LEFT_EARLY(true),
    /** There for enough of the lesson not to be absent, and away for too much of it to be present. */
    PARTLY(true),
    ABSENT(false),
    /** Absent with a reason that the school accepts. */
    EXCUSED(false),
    /** Was not to come: joined the class later, or the lesson was not held for them. */
    NOT_EXPECTED(false),
    /** Was not there, and has watched enough of what was recorded, where the school counts that. New ones stand at the end: what is kept says a mark by its place. */
    WATCHED(true),
    /** Came to a help hour; nobody has to. */
    CAME(true);

    private final boolean attended;

    Mark(boolean attended) {
        this.attended = attended;
    }

    /** Whether the pupil was there, wholly or in part. */
    public boolean attended() {
        return attended;
    }

    /** Whether the pupil was to be there, so that it counts in a rate. */
    public boolean counts() {
        return this != NOT_EXPECTED && this != EXCUSED && this != CAME;
    }
}
