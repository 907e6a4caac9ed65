package juricast.core.rules;

/** How arrivals are treated, from strict to loose (needs E3, E4). */
public enum Door implements Value {
    /** All wait, and are told that the door is shut. */
    SHUT("shut"),
    /** All wait until an adult lets them in. */
    KNOCK("knock"),
    /** Who is on the class list walks in. */
    OPEN("open");

    private final String text;

    Door(String text) {
        this.text = text;
    }

    @Override
    public String text() {
        return text;
    }
}
