package juricast.core.logs;

import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import juricast.core.roster.RosterReading.Line;
import juricast.core.time.Span;

/**
 * What a log says: who joined and left when. Rows that are wrong are told with their line and do not stop the others; what is
 * not certain is asked and not guessed.
 *
 * @param columns which column was read as what
 * @param questions what a person has to say before it can be taken
 */
public record LogReading(LogColumns columns, List<Row> rows, List<Fault> faults, Set<Question> questions) {
    /** Rows of one log: a large lesson with weak links has some hundreds. */
    public static final int MOST_ROWS = 60_000;

    /** How long before and after a lesson a row still belongs to it. */
    private static final Duration AROUND = Duration.ofMinutes(60);

    public LogReading {
        rows = List.copyOf(rows);
        faults = List.copyOf(faults);
        questions = Set.copyOf(questions);
    }

    /** One stay. */
    public record Row(int line, String name, Span time) {}

    /** One thing that is wrong. @param line in the file, from 1; 0 for the file as a whole */
    public record Fault(int line, Problem problem, String quote) {}

    /** What can be wrong with a row. */
    public enum Problem {
        NO_NAME_COLUMN,
        NO_TIME_COLUMNS,
        NO_ROWS,
        TOO_MANY_ROWS,
        NO_NAME,
        NO_JOIN,
        NO_LEAVE,
        LEAVES_BEFORE_IT_JOINS,
        NOT_A_TIME,
        /** Clocks were put forward over it. */
        NO_SUCH_TIME,
        /** Clocks were put back, so that it was twice on that day. */
        TIME_WAS_TWICE,
        NOT_OF_THIS_LESSON
    }

    /** What cannot be known from the file. */
    public enum Question {
        /** 03/04 may be the third of April or the fourth of March. */
        DATE_ORDER,
        /** No row lies in the lesson; the times may be told in another zone. */
        ZONE
    }

    /** Which of two numbers in a date is the day. */
    public enum DateOrder {
        DAY_FIRST,
        MONTH_FIRST
    }

    /**
     * What a person has said.
     *
     * @param zone of times that name none
     * @param order empty as long as nobody has said
     * @param columns which column is what; empty to go by the heading
     */
    public record Answers(ZoneId zone, Optional<DateOrder> order, Optional<LogColumns> columns) {}

    /** Reads a heading and the lines below it. @param lesson when it was planned, which gives times their day */
    public static LogReading of(List<String> heading, List<Line> lines, Span lesson, Answers answers) {
        return new Reader(heading, lesson, answers).read(lines);
    }

    /** A time on a day on which clocks are changed, that cannot be known from what a clock showed. */
    private static final class ClockChange extends RuntimeException {
        private static final long serialVersionUID = 1L;
        private final Problem problem;

        ClockChange(Problem problem) {
            this.problem = problem;
        }
    }

    private static final class Reader {
        private final LogColumns columns;
        private final List<String> heading;
        private final Span lesson;
        private final Answers answers;
        private final List<Row> rows = new ArrayList<>();
        private final List<Fault> faults = new ArrayList<>();
        private final Set<Question> questions = EnumSet.noneOf(Question.class);

        Reader(List<String> heading, Span lesson, Answers answers) {
            this.heading = heading;
            columns = answers.columns.orElseGet(() -> LogColumns.proposed(heading));
            this.lesson = lesson;
            this.answers = answers;
        }

        LogReading read(List<Line> lines) {
            if (!columns.areEnough(heading.size())) {
                return failed(
                        columns.name() < 0 ? Problem.NO_NAME_COLUMN : Problem.NO_TIME_COLUMNS,
                        String.join(", ", heading));
            }
            if (lines.isEmpty()) {
                return failed(Problem.NO_ROWS, "");
            }
            if (lines.size() > MOST_ROWS) {
                return failed(Problem.TOO_MANY_ROWS, Integer.toString(lines.size()));
            }
            lines.forEach(this::row);
            boolean nothingFits =
                    rows.isEmpty() && faults.stream().anyMatch(fault -> fault.problem == Problem.NOT_OF_THIS_LESSON);
            if (nothingFits && questions.isEmpty()) {
                questions.add(Question.ZONE);
            }
            return new LogReading(columns, rows, faults, questions);
        }

        private LogReading failed(Problem problem, String quote) {
            return new LogReading(columns, List.of(), List.of(new Fault(0, problem, quote)), Set.of());
        }

        private void row(Line line) {
            String who = cell(line, columns.name());
            if (who.isEmpty()) {
                fault(line, Problem.NO_NAME, String.join(", ", line.cells()));
                return;
            }
            String from = cell(line, columns.joined());
            String until = columns.left() < 0 ? "" : cell(line, columns.left());
            String length = columns.minutes() < 0 ? "" : cell(line, columns.minutes());
            if (from.isEmpty()) {
                fault(line, Problem.NO_JOIN, who);
                return;
            }
            if (until.isEmpty() && length.isEmpty()) {
                fault(line, Problem.NO_LEAVE, who);
                return;
            }
            try {
                Instant begins = instant(from);
                Instant ends =
                        until.isEmpty() ? begins.plus(Duration.ofMinutes(Long.parseLong(length))) : instant(until);
                if (!begins.isBefore(ends)) {
                    fault(line, Problem.LEAVES_BEFORE_IT_JOINS, "%s: %s, %s".formatted(who, from, until));
                } else if (ends.isBefore(lesson.from().minus(AROUND))
                        || begins.isAfter(lesson.until().plus(AROUND))) {
                    fault(line, Problem.NOT_OF_THIS_LESSON, "%s: %s".formatted(who, from));
                } else {
                    rows.add(new Row(line.number(), who, new Span(begins, ends)));
                }
            } catch (ClockChange between) {
                fault(line, between.problem, "%s, %s".formatted(from, until.isEmpty() ? length : until));
            } catch (DateTimeException | NumberFormatException unreadable) {
                fault(line, Problem.NOT_A_TIME, "%s, %s".formatted(from, until.isEmpty() ? length : until));
            }
        }

        private void fault(Line line, Problem problem, String quote) {
            faults.add(new Fault(line.number(), problem, quote));
        }

        private static String cell(Line line, int column) {
            return column < line.cells().size()
                    ? line.cells().get(column).strip().replaceAll("\\s+", " ")
                    : "";
        }

        private static DateTimeFormatter format(String pattern) {
            return new DateTimeFormatterBuilder()
                    .parseCaseInsensitive()
                    .appendPattern(pattern)
                    .toFormatter(Locale.UK);
        }

        private static final List<DateTimeFormatter> CLOCK =
                List.of(format("H:mm[:ss]"), format("h:mm[:ss] a"), format("h:mm[:ss]a"));

        private Instant instant(String written) {
            if (written.matches("\\d{4}-\\d\\d-\\d\\d[T ].*(Z|[+-]\\d\\d:?\\d\\d)")) {
                return OffsetDateTime.parse(
                                written.replaceFirst(" ", "T").replaceFirst("([+-]\\d\\d)(\\d\\d)$", "$1:$2"))
                        .toInstant();
            }
            String[] parts = written.replace('T', ' ').replace(",", "").split(" ", 2);
            boolean hasDay = parts[0].matches("\\d+[-/.]\\d+[-/.]\\d+");
            LocalDate day = hasDay ? day(parts[0]) : LocalDate.ofInstant(lesson.from(), answers.zone);
            LocalTime time = time(hasDay ? parts.length > 1 ? parts[1] : "" : written);
            LocalDateTime local = LocalDateTime.of(day, time);
            List<ZoneOffset> offsets = answers.zone.getRules().getValidOffsets(local);
            if (offsets.size() != 1) {
                throw new ClockChange(offsets.isEmpty() ? Problem.NO_SUCH_TIME : Problem.TIME_WAS_TWICE);
            }
            return local.toInstant(offsets.get(0));
        }

        private static LocalTime time(String written) {
            for (DateTimeFormatter one : CLOCK) {
                try {
                    return LocalTime.parse(written.strip(), one);
                } catch (DateTimeException next) {
                    // Another way of writing it.
                }
            }
            throw new DateTimeException(written);
        }

        private LocalDate day(String written) {
            int[] parts = Arrays.stream(written.split("[-/.]"))
                    .mapToInt(Integer::parseInt)
                    .toArray();
            if (parts[0] > 31) {
                return LocalDate.of(parts[0], parts[1], parts[2]);
            }
            int year = parts[2] < 100 ? 2000 + parts[2] : parts[2];
            boolean both = parts[0] <= 12 && parts[1] <= 12 && parts[0] != parts[1];
            if (both && answers.order.isEmpty()) {
                questions.add(Question.DATE_ORDER);
            }
            boolean dayFirst =
                    parts[0] > 12 || parts[1] <= 12 && answers.order.orElse(DateOrder.DAY_FIRST) == DateOrder.DAY_FIRST;
            return dayFirst ? LocalDate.of(year, parts[1], parts[0]) : LocalDate.of(year, parts[0], parts[1]);
        }
    }
}
