package juricast.core.logs;

import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.util.ArrayList;
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
 * @param questions what a person has to say before it can be taken
 */
public record LogReading(List<Row> rows, List<Fault> faults, Set<Question> questions) {
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

    /** What a person has said. @param zone of times that name none @param order empty as long as nobody has said */
    public record Answers(ZoneId zone, Optional<DateOrder> order) {}

    private static final Set<String> NAME = Set.of(
            "name",
            "full name",
            "participant",
            "participant name",
            "attendee",
            "user",
            "user name",
            "display name",
            "pupil");
    private static final Set<String> JOINED = Set.of(
            "joined", "join", "join time", "joined at", "first join", "start", "start time", "from", "in", "entered");
    private static final Set<String> LEFT =
            Set.of("left", "leave", "leave time", "left at", "last leave", "end", "end time", "until", "out");
    private static final Set<String> MINUTES =
            Set.of("minutes", "duration", "duration minutes", "time in session minutes", "length");

    /** Reads a heading and the lines below it. @param lesson when it was planned, which gives times their day */
    public static LogReading of(List<String> heading, List<Line> lines, Span lesson, Answers answers) {
        return new Reader(heading, lesson, answers).read(lines);
    }

    private static final class Reader {
        private final int name;
        private final int joined;
        private final int left;
        private final int minutes;
        private final List<String> heading;
        private final Span lesson;
        private final Answers answers;
        private final List<Row> rows = new ArrayList<>();
        private final List<Fault> faults = new ArrayList<>();
        private final Set<Question> questions = EnumSet.noneOf(Question.class);

        Reader(List<String> heading, Span lesson, Answers answers) {
            this.heading = heading;
            List<String> plain = heading.stream()
                    .map(one -> one.toLowerCase(Locale.ROOT)
                            .replaceAll("[^\\p{L}\\p{N}]+", " ")
                            .strip())
                    .toList();
            name = find(plain, NAME);
            joined = find(plain, JOINED);
            left = find(plain, LEFT);
            minutes = find(plain, MINUTES);
            this.lesson = lesson;
            this.answers = answers;
        }

        private static int find(List<String> heading, Set<String> wanted) {
            for (int i = 0; i < heading.size(); i++) {
                if (wanted.contains(heading.get(i))) {
                    return i;
                }
            }
            return -1;
        }

        LogReading read(List<Line> lines) {
            if (name < 0 || joined < 0 || left < 0 && minutes < 0) {
                return failed(name < 0 ? Problem.NO_NAME_COLUMN : Problem.NO_TIME_COLUMNS, String.join(", ", heading));
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
            return new LogReading(rows, faults, questions);
        }

        private static LogReading failed(Problem problem, String quote) {
            return new LogReading(List.of(), List.of(new Fault(0, problem, quote)), Set.of());
        }

        private void row(Line line) {
            String who = cell(line, name);
            if (who.isEmpty()) {
                fault(line, Problem.NO_NAME, String.join(", ", line.cells()));
                return;
            }
            String from = cell(line, joined);
            String until = left < 0 ? "" : cell(line, left);
            String length = minutes < 0 ? "" : cell(line, minutes);
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
            return LocalDateTime.of(day, time).atZone(answers.zone).toInstant();
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
            int[] parts = java.util.Arrays.stream(written.split("[-/.]"))
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
