package juricast.core.rules;

/** One of the named possibilities of a rule; which there are stands at the rule. */
public record Choice(String text) implements Value {
    /** @throws IllegalArgumentException unless it is lower-case words joined by hyphens */
    public Choice {
        if (!text.matches("[a-z]+(-[a-z]+)*")) {
            throw new IllegalArgumentException("A choice is lower-case words joined by hyphens: " + text);
        }
    }
}
