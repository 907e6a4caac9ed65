package juricast.core.rules;

import java.time.Duration;

/** A whole number of minutes, 0 to 1440; the rule's type narrows the range. */
public record Minutes(int count) implements Value {
    /** @throws IllegalArgumentException if negative or longer than a day */
    public Minutes {
        if (count < 0 || count > 1440) {
            throw new IllegalArgumentException("Minutes must be 0 to 1440: " + count);
        }
    }

    public Duration length() {
        return Duration.ofMinutes(count);
    }

    @Override
    public String text() {
        return Integer.toString(count);
    }
}
