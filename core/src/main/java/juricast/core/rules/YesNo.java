package juricast.core.rules;

/** A switch; which side is strict depends on the rule. */
public enum YesNo implements Value {
    /** It is so. */
    YES("yes"),
    /** It is not so. */
    NO("no");

    private final String text;

    YesNo(String text) {
        this.text = text;
    }

    @Override
    public String text() {
        return text;
    }
}
