package juricast.core.day;

/** The parts of the working day by which everything is found, in the order of the day; at most five. */
public enum Chapter {
    TODAY,
    PLAN,
    RULES,
    AFTERWARDS,
    SCHOOL
}
