package juricast.core.rules;

/** A whole number that is not a time of day: people, days, bits, parts of a hundred; the rule says which, and the range. */
public record Count(int number) implements Value {
    /** @throws IllegalArgumentException if negative */
    public Count {
        if (number < 0) {
            throw new IllegalArgumentException("A count must not be negative: " + number);
        }
    }

    @Override
    public String text() {
        return Integer.toString(number);
    }
}
