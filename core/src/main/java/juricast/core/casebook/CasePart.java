package juricast.core.casebook;

/** What somebody had to do with an incident. */
public enum CasePart {
    DID,
    SUFFERED,
    SAW,
    /** The adult who took a step, or was told. */
    ACTED;

    /** Whether the incident is about them: such people never read it. */
    public boolean isAbout() {
        return this == DID || this == SUFFERED;
    }
}
