package juricast.core.slates;

/** What is under the drawing on a slate. */
public enum Ground {
    BLANK,
    SQUARED,
    /** Lines to write on. */
    RULED,
    /** Two axes with their origin at the lower left. */
    AXES,
    /** A number line. */
    NUMBER_LINE
}
