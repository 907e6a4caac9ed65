package juricast.server.timetable;

import static juricast.core.exchange.TimetableReading.Problem.*;

import java.time.DateTimeException;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import juricast.core.exchange.TimetableChange;
import juricast.core.exchange.TimetableReading;
import juricast.core.identity.LessonId;
import juricast.core.time.Span;
import juricast.core.time.WrittenTimes;
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

    private static final Set<String> HELD = Set.of("", "planned", "held", "yes", "confirmed", "on");
    private static final Set<String> CALLED_OFF =
            Set.of("cancelled", "canceled", "called off", "off", "not held", "no", "dropped");

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
        var rows = new Rows(columns, zone, order(table, columns));
        for (TableFile.Line line : table.lines()) {
            if (rows.entries.size() >= TimetableReading.MOST_LESSONS) {
                rows.tell(line, TOO_MANY_LESSONS, "");
                break;
            }
            rows.take(line);
        }
        return new TimetableReading(rows.entries, rows.faults);
    }

    /** A spreadsheet writes days as its country does; one that can be read in one way only says how all are meant. */
    private static Optional<WrittenTimes.DayOrder> order(TableFile table, Columns columns) {
        return WrittenTimes.orderOf(
                table.lines().stream().map(line -> cell(line, columns.date)).toList());
    }

    /** What rows come to. */
    private static final class Rows {
        private final Columns columns;
        private final ZoneId zone;
        private final Optional<WrittenTimes.DayOrder> order;
        private final List<TimetableReading.Entry> entries = new ArrayList<>();
        private final List<TimetableReading.Fault> faults = new ArrayList<>();
        private boolean hasToldOrder;

        Rows(Columns columns, ZoneId zone, Optional<WrittenTimes.DayOrder> order) {
            this.columns = columns;
            this.zone = zone;
            this.order = order;
        }

        void tell(TableFile.Line line, TimetableReading.Problem problem, String quote) {
            faults.add(new TimetableReading.Fault(line.number(), problem, quote));
        }

        void take(TableFile.Line line) {
            String title = cell(line, columns.title);
            String day = cell(line, columns.date);
            String state = cell(line, columns.state).toLowerCase(Locale.ROOT);
            if (title.isEmpty()) {
                tell(line, NO_TITLE, String.join(", ", line.cells()));
            } else if (!HELD.contains(state) && !CALLED_OFF.contains(state)) {
                tell(line, STATE_NOT_UNDERSTOOD, state);
            } else if (WrittenTimes.isAmbiguous(day) && order.isEmpty()) {
                tell(line, DAY_OR_MONTH_FIRST, day);
            } else {
                try {
                    take(line, title, day, CALLED_OFF.contains(state));
                } catch (DateTimeException | NumberFormatException unreadable) {
                    tell(line, NOT_A_TIME, day + " " + cell(line, columns.starts) + " " + cell(line, columns.ends));
                }
            }
        }

        private void take(TableFile.Line line, String title, String day, boolean cancelled) {
            LocalDate date = WrittenTimes.day(day, order.orElse(WrittenTimes.DayOrder.DAY_FIRST));
            LocalDateTime starts =
                    WrittenDay.parse(date.toString()).atTime(WrittenTimes.timeOfDay(cell(line, columns.starts)));
            long minutes = minutes(line, columns, starts);
            if (minutes < Series.SHORTEST || minutes > Series.LONGEST) {
                tell(line, NOT_A_LENGTH, minutes + " min");
                return;
            }
            if (WrittenTimes.isAmbiguous(day) && !hasToldOrder) {
                boolean dayFirst = order.equals(Optional.of(WrittenTimes.DayOrder.DAY_FIRST));
                faults.add(new TimetableReading.Fault(
                        0, DATES_READ_AS, dayFirst ? "day, month, year" : "month, day, year"));
                hasToldOrder = true;
            }
            var from = starts.atZone(zone).toInstant();
            String id = cell(line, columns.id);
            entries.add(new TimetableReading.Entry(
                    id.isEmpty()
                            ? "row " + TimetableChange.key(title) + " " + starts
                            : TimetableChange.uidOf(new LessonId(id)),
                    line.number(),
                    title,
                    List.of(new TimetableReading.Lesson(
                            starts, new Span(from, from.plus(Duration.ofMinutes(minutes))), cancelled))));
        }
    }

    private static long minutes(TableFile.Line line, Columns columns, LocalDateTime starts) {
        String ends = cell(line, columns.ends);
        if (ends.isEmpty()) {
            String length = cell(line, columns.minutes);
            return WrittenTimes.length(length).map(Duration::toMinutes).orElseGet(() -> Long.parseLong(length));
        }
        return Duration.between(starts, starts.toLocalDate().atTime(WrittenTimes.timeOfDay(ends)))
                .toMinutes();
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
