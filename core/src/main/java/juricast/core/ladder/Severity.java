package juricast.core.ladder;

/** How grave an act is, from the school's list. */
public enum Severity {
    SLIGHT,
    MIDDLE,
    GRAVE
}
