package juricast.core.roster;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import juricast.core.identity.PlainName;
import juricast.core.limits.Limits;

/**
 * What a table of pupils says. Columns are found by their heading, in any order; rows that are wrong are told with their
 * line and do not stop the others from being read.
 */
public record RosterReading(List<Row> rows, List<Fault> faults) {
    /** Rows of one file; a class has some dozens. */
    public static final int MOST_ROWS = 5000;

    private static final Set<String> NAME =
            Set.of("name", "full name", "pupil", "pupil name", "student", "display name");
    private static final Set<String> FIRST = Set.of("first name", "first", "given name", "forename", "given");
    private static final Set<String> LAST =
            Set.of("last name", "last", "family name", "surname", "family", "second name");
    private static final Set<String> NUMBER =
            Set.of("number", "pupil number", "id", "pupil id", "student id", "admission number", "no");
    private static final Set<String> YEAR = Set.of("year", "year group", "grade", "yr");

    /** One pupil. @param number the school's own number, empty if the file has none @param line in the file, from 1 */
    public record Row(int line, String name, String number, OptionalInt year) {}

    /** One thing that is wrong. @param line in the file, from 1; 0 for the file as a whole @param quote what stood there */
    public record Fault(int line, Problem problem, String quote) {}

    /** What can be wrong. */
    public enum Problem {
        NO_ROWS,
        TOO_MANY_ROWS,
        NO_NAME_COLUMN,
        NO_NAME,
        NAME_TOO_LONG,
        SAME_NAME_TWICE,
        SAME_NUMBER_TWICE,
        NOT_A_YEAR
    }

    public RosterReading {
        rows = List.copyOf(rows);
        faults = List.copyOf(faults);
    }

    /** One line of the file, with its number. */
    public record Line(int number, List<String> cells) {}

    /** Reads a heading and the lines below it. */
    public static RosterReading of(List<String> heading, List<Line> lines) {
        Columns columns = Columns.of(heading);
        if (!columns.hasName()) {
            return failed(Problem.NO_NAME_COLUMN, String.join(", ", heading));
        }
        if (lines.isEmpty()) {
            return failed(Problem.NO_ROWS, "");
        }
        if (lines.size() > MOST_ROWS) {
            return failed(Problem.TOO_MANY_ROWS, Integer.toString(lines.size()));
        }
        var rows = new ArrayList<Row>();
        var faults = new ArrayList<Fault>();
        var seen = new HashMap<String, Integer>();
        for (Line line : lines) {
            read(line, columns, seen, rows, faults);
        }
        return new RosterReading(rows, faults);
    }

    private static void read(
            Line line, Columns columns, Map<String, Integer> seen, List<Row> rows, List<Fault> faults) {
        String name = PlainName.of(columns.name(line));
        String number = columns.cell(line, columns.number);
        String yearText = columns.cell(line, columns.year);
        OptionalInt year = yearOf(yearText);
        Optional<Problem> wrong = Optional.empty();
        String quote = name;
        if (name.isEmpty()) {
            wrong = Optional.of(Problem.NO_NAME);
        } else if (name.length() > Limits.NAME) {
            wrong = Optional.of(Problem.NAME_TOO_LONG);
        } else if (!number.isEmpty() && seen.putIfAbsent("number " + number, line.number) != null) {
            wrong = Optional.of(Problem.SAME_NUMBER_TWICE);
            quote = number;
        } else if (seen.putIfAbsent("name " + name.toLowerCase(Locale.ROOT), line.number) != null && number.isEmpty()) {
            wrong = Optional.of(Problem.SAME_NAME_TWICE);
        } else if (!yearText.isEmpty() && year.isEmpty()) {
            wrong = Optional.of(Problem.NOT_A_YEAR);
            quote = yearText;
        }
        if (wrong.isPresent()) {
            faults.add(new Fault(line.number, wrong.get(), quote));
        } else {
            rows.add(new Row(line.number, name, number, year));
        }
    }

    private static OptionalInt yearOf(String text) {
        String digits = text.toLowerCase(Locale.ROOT).replaceFirst("^(year|yr|y)\\s*", "");
        if (!digits.matches("\\d{1,2}")) {
            return OptionalInt.empty();
        }
        int year = Integer.parseInt(digits);
        return year >= 1 && year <= 13 ? OptionalInt.of(year) : OptionalInt.empty();
    }

    private static RosterReading failed(Problem problem, String quote) {
        return new RosterReading(List.of(), List.of(new Fault(0, problem, quote)));
    }

    /** Where what stands, -1 for a column that is missing. */
    private record Columns(int name, int first, int last, int number, int year) {
        static Columns of(List<String> heading) {
            List<String> plain = heading.stream()
                    .map(text -> text.toLowerCase(Locale.ROOT)
                            .replaceAll("[^\\p{L}\\p{N}]+", " ")
                            .strip())
                    .toList();
            return new Columns(
                    find(plain, NAME), find(plain, FIRST), find(plain, LAST), find(plain, NUMBER), find(plain, YEAR));
        }

        private static int find(List<String> heading, Set<String> wanted) {
            for (int i = 0; i < heading.size(); i++) {
                if (wanted.contains(heading.get(i))) {
                    return i;
                }
            }
            return -1;
        }

        boolean hasName() {
            return name >= 0 || first >= 0 && last >= 0;
        }

        String name(Line line) {
            return name >= 0 ? turned(cell(line, name)) : (cell(line, first) + " " + cell(line, last)).strip();
        }

        /** "Carrow, Ines" is Ines Carrow. */
        private static String turned(String name) {
            String[] parts = name.split("\\s*,\\s*", 2);
            return parts.length == 2 && !parts[1].isEmpty() ? parts[1] + " " + parts[0] : name;
        }

        String cell(Line line, int column) {
            return column < 0 || column >= line.cells.size()
                    ? ""
                    : line.cells.get(column).strip().replaceAll("\\s+", " ");
        }
    }
}
