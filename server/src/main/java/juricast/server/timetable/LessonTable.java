package juricast.server.timetable;

import static juricast.core.exchange.TimetableReading.Problem.*;

import java.time.DateTimeException;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import juricast.core.exchange.TimetableChange;
import juricast.core.exchange.TimetableReading;
import juricast.core.identity.LessonId;
import juricast.core.time.Span;
import juricast.core.timetable.Series;
import juricast.server.data.WrittenDay;
import juricast.server.files.TableFile;

/** A timetable as CSV: a line for each lesson. Columns are found by their heading, in any order. */
final class LessonTable {
    static final List<String> HEADING = List.of("id", "class", "date", "starts", "ends", "adults", "state");

    private static final Set<String> CLASS = Set.of("class", "title", "subject", "course");
    private static final Set<String> DATE = Set.of("date", "day");
    private static final Set<String> STARTS = Set.of("starts", "start", "from", "time");
    private static final Set<String> ENDS = Set.of("ends", "end", "until", "to");
    private static final Set<String> MINUTES = Set.of("minutes", "length", "min");
    private static final Set<String> ID = Set.of("id", "lesson", "lesson id");
    private static final Set<String> STATE = Set.of("state", "status");

    private LessonTable() {}

    static TimetableReading read(byte[] bytes, ZoneId zone) {
        TableFile table = TableFile.read(bytes, "a timetable", TimetableReading.MOST_LESSONS);
        Columns columns = Columns.of(table.heading());
        if (columns.title < 0 || columns.date < 0 || columns.starts < 0 || columns.ends < 0 && columns.minutes < 0) {
            return failed(NO_SUCH_COLUMN, String.join(", ", table.heading()));
        }
        if (table.lines().isEmpty()) {
            return failed(NO_ENTRIES, "");
        }
        var entries = new ArrayList<TimetableReading.Entry>();
        var faults = new ArrayList<TimetableReading.Fault>();
        for (TableFile.Line line : table.lines()) {
            if (entries.size() >= TimetableReading.MOST_LESSONS) {
                faults.add(new TimetableReading.Fault(line.number(), TOO_MANY_LESSONS, ""));
                break;
            }
            String title = cell(line, columns.title);
            if (title.isEmpty()) {
                faults.add(new TimetableReading.Fault(line.number(), NO_TITLE, String.join(", ", line.cells())));
                continue;
            }
            try {
                LocalDateTime starts = WrittenDay.parse(cell(line, columns.date))
                        .atTime(LocalTime.parse(clock(cell(line, columns.starts))));
                long minutes = minutes(line, columns, starts);
                if (minutes < Series.SHORTEST || minutes > Series.LONGEST) {
                    faults.add(new TimetableReading.Fault(line.number(), NOT_A_LENGTH, minutes + " min"));
                    continue;
                }
                var from = starts.atZone(zone).toInstant();
                String id = cell(line, columns.id);
                String state = cell(line, columns.state).toLowerCase(Locale.ROOT);
                entries.add(new TimetableReading.Entry(
                        id.isEmpty()
                                ? "row " + TimetableChange.key(title) + " " + starts
                                : TimetableChange.uidOf(new LessonId(id)),
                        line.number(),
                        title,
                        List.of(new TimetableReading.Lesson(
                                starts,
                                new Span(from, from.plus(Duration.ofMinutes(minutes))),
                                state.startsWith("cancel")))));
            } catch (DateTimeException | NumberFormatException unreadable) {
                faults.add(new TimetableReading.Fault(
                        line.number(),
                        NOT_A_TIME,
                        cell(line, columns.date) + " " + cell(line, columns.starts) + " " + cell(line, columns.ends)));
            }
        }
        return new TimetableReading(entries, faults);
    }

    private static long minutes(TableFile.Line line, Columns columns, LocalDateTime starts) {
        String ends = cell(line, columns.ends);
        return ends.isEmpty()
                ? Long.parseLong(cell(line, columns.minutes))
                : Duration.between(starts, starts.toLocalDate().atTime(LocalTime.parse(clock(ends))))
                        .toMinutes();
    }

    /** 9:05 is 09:05. */
    private static String clock(String written) {
        return written.matches("\\d:\\d\\d.*") ? "0" + written : written;
    }

    private static String cell(TableFile.Line line, int column) {
        return column < 0 || column >= line.cells().size()
                ? ""
                : TableFile.plain(line.cells().get(column));
    }

    private static TimetableReading failed(TimetableReading.Problem problem, String quote) {
        return new TimetableReading(List.of(), List.of(new TimetableReading.Fault(0, problem, quote)));
    }

    /** Where what stands, -1 for a column that is missing. */
    private record Columns(int title, int date, int starts, int ends, int minutes, int id, int state) {
        static Columns of(List<String> heading) {
            List<String> plain = heading.stream()
                    .map(one -> one.toLowerCase(Locale.ROOT).strip())
                    .toList();
            return new Columns(
                    find(plain, CLASS),
                    find(plain, DATE),
                    find(plain, STARTS),
                    find(plain, ENDS),
                    find(plain, MINUTES),
                    find(plain, ID),
                    find(plain, STATE));
        }

        private static int find(List<String> heading, Set<String> wanted) {
            for (int i = 0; i < heading.size(); i++) {
                if (wanted.contains(heading.get(i))) {
                    return i;
                }
            }
            return -1;
        }
    }
}
