package juricast.core.signals;

/** What somebody can say without a voice (need F12). */
public enum Sign {
    AGREE,
    DISAGREE,
    SLOWER,
    FASTER,
    BREAK,
    CANNOT_HEAR
}
