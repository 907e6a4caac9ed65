package juricast.core.rules;

/** Something that is so or not so in a lesson, or of the person in it, and that rules may depend on (need A4). */
public enum Fact {
    VISITOR_PRESENT("visitor-present"),
    RECORDING("recording"),
    IN_GROUPS("in-groups"),
    /** Pupils come with questions, and nobody has to. */
    HELP_HOUR("help-hour"),
    ADULT_PRESENT("adult-present"),
    /** The person is signed in with an account of the school. */
    SCHOOL_ACCOUNT("school-account");

    private final String text;

    Fact(String text) {
        this.text = text;
    }

    /** In files and on the wire. */
    public String text() {
        return text;
    }
}
