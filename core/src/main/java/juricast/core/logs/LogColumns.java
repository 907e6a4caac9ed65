package juricast.core.logs;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Which column of a log holds what. Columns are counted from 0; {@link #NONE} where there is none.
 *
 * @param minutes how long somebody stayed; may stand for a column of leaves
 */
public record LogColumns(int name, int joined, int left, int minutes) {
    public static final int NONE = -1;

    /** The likeliest first: where a meeting's own start stands beside the join of a person, the person's counts. */
    private static final List<String> NAMES = List.of(
            "participant name",
            "full name",
            "display name",
            "attendee",
            "participant",
            "pupil",
            "user name",
            "user",
            "name");

    private static final List<String> JOINS = List.of(
            "joined", "join time", "joined at", "join", "first join", "entered", "in", "from", "start", "start time");
    private static final List<String> LEAVES =
            List.of("left", "leave time", "left at", "leave", "last leave", "out", "until", "end", "end time");
    private static final List<String> LENGTHS =
            List.of("minutes", "time in session minutes", "time in session", "time in lesson", "length", "seconds");
    /** As “Duration (seconds)”. */
    private static final String LENGTH = "duration";

    /** What the headings of columns make likely. */
    public static LogColumns proposed(List<String> heading) {
        List<String> plain = heading.stream().map(LogColumns::plain).toList();
        return new LogColumns(find(plain, NAMES), find(plain, JOINS), find(plain, LEAVES), length(plain));
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

    private static int find(List<String> heading, List<String> wanted) {
        return wanted.stream()
                .map(heading::indexOf)
                .filter(place -> place >= 0)
                .findFirst()
                .orElse(NONE);
    }

    private static int length(List<String> heading) {
        return IntStream.range(0, heading.size())
                .filter(i -> heading.get(i).startsWith(LENGTH))
                .findFirst()
                .orElseGet(() -> find(heading, LENGTHS));
    }

    /** What a heading says of the unit of a length. */
    static Optional<LogReading.Unit> unit(String heading) {
        List<String> words = List.of(plain(heading).split(" "));
        if (words.stream().anyMatch(word -> word.startsWith("sec") || word.equals("s"))) {
            return Optional.of(LogReading.Unit.SECONDS);
        }
        return words.stream().anyMatch(word -> word.startsWith("min"))
                ? Optional.of(LogReading.Unit.MINUTES)
                : Optional.empty();
    }

    /** Whether a log can be read by them: names, joins, and leaves or minutes, each in a column that there is. */
    public boolean areEnough(int width) {
        return name >= 0
                && joined >= 0
                && (left >= 0 || minutes >= 0)
                && IntStream.of(name, joined, left, minutes).allMatch(one -> one >= NONE && one < width);
    }
}
