package juricast.core.logs;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Which column of a log holds what. Columns are counted from 0; {@link #NONE} where there is none.
 *
 * @param minutes how long somebody stayed; may stand for a column of leaves
 */
public record LogColumns(int name, int joined, int left, int minutes) {
    public static final int NONE = -1;

    private static final Set<String> NAMES = Set.of(
            "name",
            "full name",
            "participant",
            "participant name",
            "attendee",
            "user",
            "user name",
            "display name",
            "pupil");
    private static final Set<String> JOINS = Set.of(
            "joined", "join", "join time", "joined at", "first join", "start", "start time", "from", "in", "entered");
    private static final Set<String> LEAVES =
            Set.of("left", "leave", "leave time", "left at", "last leave", "end", "end time", "until", "out");
    private static final Set<String> LENGTHS =
            Set.of("minutes", "duration", "duration minutes", "time in session minutes", "length");

    /** What the headings of columns make likely. */
    public static LogColumns proposed(List<String> heading) {
        List<String> plain = heading.stream().map(LogColumns::plain).toList();
        return new LogColumns(find(plain, NAMES), find(plain, JOINS), find(plain, LEAVES), find(plain, LENGTHS));
    }

    /** The same for all files with these columns, so that what a person has said of one of them is known of the next. */
    public static String likeness(List<String> heading) {
        return heading.stream().map(LogColumns::plain).collect(Collectors.joining("|"));
    }

    private static String plain(String heading) {
        return heading.toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}\\p{N}]+", " ")
                .strip();
    }

    private static int find(List<String> heading, Set<String> wanted) {
        return IntStream.range(0, heading.size())
                .filter(i -> wanted.contains(heading.get(i)))
                .findFirst()
                .orElse(NONE);
    }

    /** Whether a log can be read by them: names, joins, and leaves or minutes, each in a column that there is. */
    public boolean areEnough(int width) {
        return name >= 0
                && joined >= 0
                && (left >= 0 || minutes >= 0)
                && IntStream.of(name, joined, left, minutes).allMatch(one -> one >= NONE && one < width);
    }
}
