package juricast.core.logs;

import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import juricast.core.roster.RosterReading.Line;
import juricast.core.time.Span;
import juricast.core.time.WrittenTimes;
import juricast.core.time.WrittenTimes.DayOrder;

/**
 * What a log says: who joined and left when. Rows that are wrong are told with their line and do not stop the others; what is
 * not certain is asked and not guessed.
 *
 * @param columns which column was read as what
 * @param doubts rows that are taken and deserve a look
 * @param questions what a person has to say before it can be taken
 * @param proposed the likelier answers, by which it was read meanwhile
 */
public record LogReading(
        LogColumns columns,
        List<Row> rows,
        List<Fault> faults,
        List<Fault> doubts,
        Set<Question> questions,
        Proposed proposed) {
    /** Rows of one log: a large lesson with weak links has some hundreds. */
    public static final int MOST_ROWS = 60_000;

    /** How long before and after a lesson a row still belongs to it. */
    private static final Duration AROUND = Duration.ofMinutes(60);

    /** Nobody stays for so many minutes; a number that is larger is one of seconds. */
    private static final int LONG_IN_MINUTES = 300;

    /** Hours between the farthest zones, and the largest offset of one in seconds. */
    private static final int FARTHEST_ZONES = 14;

    private static final int MOST_OFFSET = 14 * 3600;

    private static final Pattern DAY = Pattern.compile("^\\d+[-/.]\\d+[-/.]\\d+");
    private static final Pattern SERIAL = Pattern.compile("([2-7]\\d{4})[.,](\\d+)");
    /** The day is all up to the last gap before a number with a colon, a point or an h. */
    private static final Pattern DAY_AND_TIME =
            Pattern.compile("(.*?[\\d.])(?:,? +|T)(\\d{1,2}(?:[:.h]\\d\\d.*| ?[AaPp]\\.?[Mm]\\.?))");

    public LogReading {
        rows = List.copyOf(rows);
        faults = List.copyOf(faults);
        doubts = List.copyOf(doubts);
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
        NOT_OF_THIS_LESSON,
        /** It is taken: only what lies in the lesson counts. */
        FAR_BEYOND_THE_LESSON
    }

    /** What cannot be known from the file. */
    public enum Question {
        /** 03/04 may be the third of April or the fourth of March. */
        DATE_ORDER,
        /** No row lies in the lesson, or all lie some hours beside it; the times may be told in another zone. */
        ZONE,
        /** 45 may be minutes or seconds, and 1:05 hours and minutes or minutes and seconds. */
        UNIT
    }

    /** What the last number of a length counts: 45 and 0:45 are of minutes, 2700 and 45:00 of seconds. */
    public enum Unit {
        MINUTES,
        SECONDS
    }

    /** @param zone in which all times would lie in the lesson; the one they were read in, if they do */
    public record Proposed(ZoneId zone, Unit unit) {}

    /**
     * What a person has said.
     *
     * @param zone of times that name none
     * @param isZoneSaid whether somebody has said so, and is not asked again as long as anything fits
     * @param order empty as long as nobody has said
     * @param unit of lengths that name none; empty as long as nobody has said
     * @param columns which column is what; empty to go by the heading
     */
    public record Answers(
            ZoneId zone,
            boolean isZoneSaid,
            Optional<DayOrder> order,
            Optional<Unit> unit,
            Optional<LogColumns> columns) {
        /** Nothing said yet. */
        public static Answers none(ZoneId school) {
            return new Answers(school, false, Optional.empty(), Optional.empty(), Optional.empty());
        }
    }

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
        /** Of rows that can be read, also those beside the lesson. */
        private final List<Span> times = new ArrayList<>();
        /** Whether times in it say their own zone. */
        private boolean hasOffsets;

        private final List<Row> rows = new ArrayList<>();
        private final List<Fault> faults = new ArrayList<>();
        private final List<Fault> doubts = new ArrayList<>();
        private Optional<DayOrder> order = Optional.empty();
        private Unit unit = Unit.MINUTES;
        private boolean isUnitSaid;
        private boolean isUnitShown;
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
            order = answers.order.or(() -> WrittenTimes.orderOf(days(lines)));
            chooseUnit(lines);
            lines.forEach(this::row);
            Optional<ZoneId> other = otherZone();
            boolean nothingFits =
                    rows.isEmpty() && faults.stream().anyMatch(fault -> fault.problem == Problem.NOT_OF_THIS_LESSON);
            boolean isBeside = other.isPresent() && !answers.isZoneSaid;
            if ((nothingFits || isBeside) && questions.isEmpty()) {
                questions.add(Question.ZONE);
            }
            return new LogReading(
                    columns, rows, faults, doubts, questions, new Proposed(other.orElse(answers.zone), unit));
        }

        private List<String> days(List<Line> lines) {
            return lines.stream()
                    .flatMap(line -> Stream.of(columns.joined(), columns.left())
                            .filter(column -> column >= 0)
                            .map(column -> cell(line, column)))
                    .map(DAY::matcher)
                    .filter(Matcher::find)
                    .map(Matcher::group)
                    .toList();
        }

        /** As somebody or the heading says; the likelier one is that in which nobody stays for five hours. */
        private void chooseUnit(List<Line> lines) {
            if (columns.minutes() < 0) {
                return;
            }
            Optional<Unit> said = answers.unit.or(() -> LogColumns.unit(heading.get(columns.minutes())));
            isUnitSaid = said.isPresent();
            List<String> cells =
                    lines.stream().map(line -> cell(line, columns.minutes())).toList();
            // One stay of 45:00 can only be minutes and seconds, and the others of the column are written alike.
            isUnitShown = cells.stream().anyMatch(cell -> cell.matches("\\d\\d+:\\d\\d"));
            boolean isLong = cells.stream()
                    .anyMatch(cell -> cell.matches("\\d{1,6}") && Integer.parseInt(cell) > LONG_IN_MINUTES);
            unit = said.orElse(isLong || isUnitShown ? Unit.SECONDS : Unit.MINUTES);
        }

        private Duration length(String written) {
            return WrittenTimes.length(written).orElseGet(() -> {
                String[] parts = written.split(":");
                boolean isKnown = parts.length == 2 ? answers.unit.isPresent() || isUnitShown : isUnitSaid;
                if (!isKnown) {
                    questions.add(Question.UNIT);
                }
                if (parts.length == 2) {
                    Unit last = isUnitShown ? Unit.SECONDS : answers.unit.orElse(Unit.MINUTES);
                    return in(last, Long.parseLong(parts[0])).multipliedBy(60).plus(in(last, Long.parseLong(parts[1])));
                }
                return in(unit, Long.parseLong(written));
            });
        }

        private static Duration in(Unit unit, long number) {
            return unit == Unit.SECONDS ? Duration.ofSeconds(number) : Duration.ofMinutes(number);
        }

        /** The zone in which rows would lie much better in the lesson: so many whole or half hours away. */
        private Optional<ZoneId> otherZone() {
            long now = inLesson(Duration.ZERO);
            Duration best = Duration.ZERO;
            long most = now;
            for (int halves = -2 * FARTHEST_ZONES; halves <= 2 * FARTHEST_ZONES; halves++) {
                Duration shift = Duration.ofMinutes(30L * halves);
                long then = inLesson(shift);
                if (then > most) {
                    most = then;
                    best = shift;
                }
            }
            long all = times.stream().mapToLong(one -> one.length().toSeconds()).sum();
            boolean isMuchBetter = most * 10 >= all * 6 && now * 2 < most;
            if (!isMuchBetter || hasOffsets) {
                return Optional.empty();
            }
            ZoneOffset ours = answers.zone.getRules().getOffset(lesson.from());
            int seconds = ours.getTotalSeconds() - (int) best.toSeconds();
            return Math.abs(seconds) > MOST_OFFSET
                    ? Optional.empty()
                    : Optional.of(seconds == 0 ? ZoneId.of("UTC") : ZoneOffset.ofTotalSeconds(seconds));
        }

        private long inLesson(Duration shift) {
            return times.stream()
                    .flatMap(one -> new Span(one.from().plus(shift), one.until().plus(shift)).within(lesson).stream())
                    .mapToLong(one -> one.length().toSeconds())
                    .sum();
        }

        private LogReading failed(Problem problem, String quote) {
            return new LogReading(
                    columns,
                    List.of(),
                    List.of(new Fault(0, problem, quote)),
                    List.of(),
                    Set.of(),
                    new Proposed(answers.zone, Unit.MINUTES));
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
                Instant ends = until.isEmpty() ? begins.plus(length(length)) : instant(until);
                Span.between(begins, ends).ifPresent(times::add);
                if (!begins.isBefore(ends)) {
                    fault(line, Problem.LEAVES_BEFORE_IT_JOINS, "%s: %s, %s".formatted(who, from, until));
                } else if (ends.isBefore(lesson.from().minus(AROUND))
                        || begins.isAfter(lesson.until().plus(AROUND))) {
                    fault(line, Problem.NOT_OF_THIS_LESSON, "%s: %s".formatted(who, from));
                } else {
                    rows.add(new Row(line.number(), who, new Span(begins, ends)));
                    if (begins.isBefore(lesson.from().minus(AROUND))
                            || ends.isAfter(lesson.until().plus(AROUND))) {
                        doubts.add(new Fault(
                                line.number(),
                                Problem.FAR_BEYOND_THE_LESSON,
                                "%s: %s to %s".formatted(who, from, until.isEmpty() ? length : until)));
                    }
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

        private Instant instant(String written) {
            String said = written.replaceFirst("(?i) ?(UTC|GMT)$", "Z");
            if (said.matches("\\d{4}-\\d\\d-\\d\\d[T ].*(Z|[+-]\\d\\d:?\\d\\d)")) {
                hasOffsets = true;
                return OffsetDateTime.parse(said.replaceFirst(" ", "T").replaceFirst("([+-]\\d\\d)(\\d\\d)$", "$1:$2"))
                        .toInstant();
            }
            if (said.matches("\\d{10}|\\d{13}")) {
                hasOffsets = true;
                long number = Long.parseLong(said);
                return said.length() == 10 ? Instant.ofEpochSecond(number) : Instant.ofEpochMilli(number);
            }
            LocalDateTime local = local(said);
            List<ZoneOffset> offsets = answers.zone.getRules().getValidOffsets(local);
            if (offsets.size() != 1) {
                throw new ClockChange(offsets.isEmpty() ? Problem.NO_SUCH_TIME : Problem.TIME_WAS_TWICE);
            }
            return local.toInstant(offsets.get(0));
        }

        /** A time of day alone, or with the day before it; between them a space, a comma, a T, or a point of a spreadsheet. */
        private LocalDateTime local(String written) {
            Matcher serial = SERIAL.matcher(written);
            if (serial.matches()) {
                return day(serial.group(1)).atTime(WrittenTimes.timeOfDay("0." + serial.group(2)));
            }
            Matcher whole = DAY_AND_TIME.matcher(written);
            return whole.matches()
                    ? day(whole.group(1)).atTime(WrittenTimes.timeOfDay(whole.group(2)))
                    : LocalDate.ofInstant(lesson.from(), answers.zone).atTime(WrittenTimes.timeOfDay(written));
        }

        private LocalDate day(String written) {
            if (order.isEmpty() && WrittenTimes.isAmbiguous(written)) {
                questions.add(Question.DATE_ORDER);
            }
            return WrittenTimes.day(written, order.orElse(DayOrder.DAY_FIRST));
        }
    }
}
