package juricast.core.grouping;

/**
 * How groups are to be made.
 *
 * @param by whether {@code count} is a number of groups, or of people in each
 * @param count at least 1
 * @param balanced as many of each level in every group as can be
 * @param mixed as few as can be with whom they were lately
 * @param trusted one trusted pupil in each group, as far as there are any
 * @param smallest how many are in a group at least; 2 or more, so that nobody is alone
 * @param seed what chance goes by: the same seed gives the same groups
 */
public record Recipe(By by, int count, boolean balanced, boolean mixed, boolean trusted, int smallest, long seed) {
    /** What the count counts. */
    public enum By {
        NUMBER,
        SIZE
    }

    /** @throws IllegalArgumentException if there would be no group, or one of nobody */
    public Recipe {
        if (count < 1 || smallest < 1) {
            throw new IllegalArgumentException("Groups are at least one, of at least one");
        }
    }

    /** How many groups that makes. By size as near to it as even groups come: seven by threes are two groups, eight are three. */
    public int groupsOf(int people) {
        return by == By.NUMBER ? count : Math.max(1, (int) Math.round((double) people / count));
    }
}
