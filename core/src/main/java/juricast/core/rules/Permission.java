package juricast.core.rules;

/** Whether somebody may do something, from strict to loose. */
public enum Permission implements Value {
    /** Nobody may. */
    CLOSED("closed"),
    /** An adult must give a pass. */
    ON_REQUEST("on-request"),
    /** Anybody of the role may. */
    OPEN("open");

    private final String text;

    Permission(String text) {
        this.text = text;
    }

    @Override
    public String text() {
        return text;
    }
}
