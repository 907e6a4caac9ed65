package juricast.core.roster;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import juricast.core.identity.PlainName;
import juricast.core.limits.Limits;

/**
 * What a table of pupils says. Columns are found by their heading, in any order; rows that are wrong are told with their
 * line and do not stop the others from being read.
 *
 * @param columns which column was read as what
 * @param unread wrong rows as far as they can be read: whoever stands in one is in the file all the same
 */
public record RosterReading(RosterColumns columns, List<Row> rows, List<Row> unread, List<Fault> faults) {
    /** Rows of one file; a class has some dozens. */
    public static final int MOST_ROWS = 5000;

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
        unread = List.copyOf(unread);
        faults = List.copyOf(faults);
    }

    /** One line of the file, with its number. */
    public record Line(int number, List<String> cells) {}

    /** Reads a heading and the lines below it. @param said which column is what; empty to go by the heading */
    public static RosterReading of(List<String> heading, List<Line> lines, Optional<RosterColumns> said) {
        RosterColumns columns = said.orElseGet(() -> RosterColumns.proposed(heading));
        if (!columns.areEnough(heading.size())) {
            return failed(columns, Problem.NO_NAME_COLUMN, String.join(", ", heading));
        }
        if (lines.isEmpty()) {
            return failed(columns, Problem.NO_ROWS, "");
        }
        if (lines.size() > MOST_ROWS) {
            return failed(columns, Problem.TOO_MANY_ROWS, Integer.toString(lines.size()));
        }
        var reading = new RosterReading(columns, List.of(), List.of(), List.of());
        var rows = new ArrayList<Row>();
        var unread = new ArrayList<Row>();
        var faults = new ArrayList<Fault>();
        var seen = new HashMap<String, Integer>();
        lines.forEach(line -> reading.read(line, seen, rows, unread, faults));
        return new RosterReading(columns, rows, unread, faults);
    }

    private void read(Line line, Map<String, Integer> seen, List<Row> good, List<Row> wrongRows, List<Fault> told) {
        String name = PlainName.of(columns.nameOf(line));
        String number = RosterColumns.cell(line, columns.number());
        String yearText = RosterColumns.cell(line, columns.year());
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
            told.add(new Fault(line.number, wrong.get(), quote));
            wrongRows.add(new Row(line.number, name, number, year));
        } else {
            good.add(new Row(line.number, name, number, year));
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

    private static RosterReading failed(RosterColumns columns, Problem problem, String quote) {
        return new RosterReading(columns, List.of(), List.of(), List.of(new Fault(0, problem, quote)));
    }
}
