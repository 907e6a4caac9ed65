package juricast.core.rules;

/** What becomes of someone who was removed and comes again, from strict to loose (need G2). */
public enum ReEntry implements Value {
    /** Turned away for the rest of the lesson. */
    NEVER("never"),
    /** Waits until an adult allows it. */
    AFTER_APPROVAL("after-approval"),
    /** Is treated as if nothing had been. */
    LIKE_ANYONE("like-anyone");

    private final String text;

    ReEntry(String text) {
        this.text = text;
    }

    @Override
    public String text() {
        return text;
    }
}
