package juricast.core.register;

/** What stands in the register. */
public enum Mark {
    PRESENT,
    LATE,
    ABSENT,
    EXCUSED
}
