package juricast.core.consent;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.stream.Stream;
import juricast.core.consent.Consent.Giver;
import juricast.core.consent.Consent.Said;

/**
 * What a file says about who may be recorded: a row for each word, its columns found by their headings. Nothing of it is guessed or
 * left out in silence: each row is understood, or says of somebody that nothing is known, or is named with what is wrong.
 *
 * @param unsaid rows that say nothing of somebody, as those of an own table of pupils of whom nothing is known
 */
public record ConsentReading(List<Row> rows, int unsaid, List<Fault> faults) {
    /** Rows beyond are not read. */
    public static final int MOST_ROWS = 5000;

    private static final int LONGEST_PAPER = 200;

    /** One understood row. @param line in the file, from 1 @param until the last day; nothing where no end is said */
    public record Row(
            int line, Whom whom, Said said, Giver giver, String paper, LocalDate from, Optional<LocalDate> until) {}

    /** Whom a row means. @param id the school's own for the pupil */
    public record Whom(String id, String name) {}

    /** A line as it stands in the file. */
    public record Line(int number, List<String> cells) {}

    /** @param line 0 for the file as a whole @param quote what stands there */
    public record Fault(int line, Problem problem, String quote) {}

    /** What is wrong. */
    public enum Problem {
        NO_ROWS,
        TOO_MANY_ROWS,
        /** Neither a name nor a number says whom it means. */
        NO_PERSON_COLUMN,
        NO_CONSENT_COLUMN,
        UNKNOWN_PUPIL,
        /** Several pupils are called so; the number tells them apart. */
        SEVERAL_PUPILS,
        /** The number is one pupil's and the name another's. */
        NUMBER_AND_NAME_DIFFER,
        NOT_A_WORD,
        NOT_A_GIVER,
        NOT_A_DAY,
        ENDS_BEFORE_IT_BEGINS,
        /** It has run out already, so it would change nothing. */
        OVER_ALREADY,
        PAPER_TOO_LONG,
        /** Another row says otherwise of the same pupil from the same day on. */
        CONTRADICTS
    }

    public ConsentReading {
        rows = List.copyOf(rows);
        faults = List.copyOf(faults);
    }

    /** A column, by the words that may stand above it. */
    private enum Column {
        NUMBER("number", "pupil number", "id"),
        NAME("name", "pupil"),
        SAID("consent", "recording", "may be recorded", "said"),
        GIVER("by", "given by", "said by"),
        PAPER("paper", "form", "on"),
        FROM("from", "since", "valid from"),
        UNTIL("until", "to", "valid until");

        private final List<String> headings;

        Column(String... headings) {
            this.headings = List.of(headings);
        }

        OptionalInt in(List<String> heading) {
            for (int i = 0; i < heading.size(); i++) {
                if (headings.contains(heading.get(i).strip().toLowerCase(Locale.ROOT))) {
                    return OptionalInt.of(i);
                }
            }
            return OptionalInt.empty();
        }
    }

    private static final Map<String, Said> WORDS = Map.of(
            "given", Said.GIVEN,
            "yes", Said.GIVEN,
            "refused", Said.REFUSED,
            "no", Said.REFUSED,
            "withdrawn", Said.WITHDRAWN);

    private static final List<String> UNSAID = List.of("", "unknown");

    /**
     * @param pupils of the school, by number and by name in small letters; several of one name under it
     * @param today from which on a word without a day counts
     */
    public static ConsentReading of(
            List<String> heading, List<Line> lines, Function<String, List<Whom>> pupils, LocalDate today) {
        var reader = new Reader(heading, pupils, today);
        return reader.read(lines);
    }

    private static final class Reader {
        private final List<String> heading;
        private final Function<String, List<Whom>> pupils;
        private final LocalDate today;
        private final List<Row> rows = new ArrayList<>();
        private final List<Fault> faults = new ArrayList<>();
        private int unsaid;

        Reader(List<String> heading, Function<String, List<Whom>> pupils, LocalDate today) {
            this.heading = heading;
            this.pupils = pupils;
            this.today = today;
        }

        ConsentReading read(List<Line> lines) {
            boolean saysWho = Column.NUMBER.in(heading).isPresent()
                    || Column.NAME.in(heading).isPresent();
            if (!saysWho) {
                fault(0, Problem.NO_PERSON_COLUMN, String.join(", ", heading));
            } else if (Column.SAID.in(heading).isEmpty()) {
                fault(0, Problem.NO_CONSENT_COLUMN, String.join(", ", heading));
            } else {
                lines.stream().limit(MOST_ROWS).forEach(this::row);
                if (lines.isEmpty()) {
                    fault(0, Problem.NO_ROWS, "");
                } else if (lines.size() > MOST_ROWS) {
                    fault(0, Problem.TOO_MANY_ROWS, "");
                }
            }
            return new ConsentReading(withoutContradictions(), unsaid, faults);
        }

        private void fault(int line, Problem problem, String quote) {
            faults.add(new Fault(line, problem, quote));
        }

        private String cell(Line line, Column column) {
            OptionalInt place = column.in(heading);
            return place.isPresent() && place.getAsInt() < line.cells.size()
                    ? line.cells.get(place.getAsInt()).strip()
                    : "";
        }

        private void row(Line line) {
            Optional<Whom> whom = whom(line);
            if (UNSAID.contains(cell(line, Column.SAID).toLowerCase(Locale.ROOT))) {
                unsaid++;
                return;
            }
            Optional<Said> said = word(line);
            Optional<Giver> giver = giver(line);
            Optional<LocalDate> from = day(line, Column.FROM).or(() -> isEmpty(line, Column.FROM));
            Optional<LocalDate> until = day(line, Column.UNTIL);
            boolean endIsClear = until.isPresent() || cell(line, Column.UNTIL).isEmpty();
            String paper = cell(line, Column.PAPER);
            if (paper.length() > LONGEST_PAPER) {
                fault(line.number, Problem.PAPER_TOO_LONG, paper);
                return;
            }
            boolean isClear =
                    whom.isPresent() && said.isPresent() && giver.isPresent() && from.isPresent() && endIsClear;
            if (!isClear) {
                return;
            }
            if (until.filter(end -> end.isBefore(from.get())).isPresent()) {
                fault(line.number, Problem.ENDS_BEFORE_IT_BEGINS, cell(line, Column.UNTIL));
            } else if (until.filter(end -> end.isBefore(today)).isPresent()) {
                fault(line.number, Problem.OVER_ALREADY, cell(line, Column.UNTIL));
            } else {
                rows.add(new Row(line.number, whom.get(), said.get(), giver.get(), paper, from.get(), until));
            }
        }

        /** Without a day it counts from today. */
        private Optional<LocalDate> isEmpty(Line line, Column column) {
            return cell(line, column).isEmpty() ? Optional.of(today) : Optional.empty();
        }

        private Optional<Whom> whom(Line line) {
            String number = cell(line, Column.NUMBER);
            String name = cell(line, Column.NAME);
            List<Whom> byNumber = number.isEmpty() ? List.of() : pupils.apply(number);
            List<Whom> byName = name.isEmpty() ? List.of() : pupils.apply(name.toLowerCase(Locale.ROOT));
            List<Whom> found = number.isEmpty() ? byName : byNumber;
            if (found.isEmpty()) {
                fault(
                        line.number,
                        Problem.UNKNOWN_PUPIL,
                        Stream.of(number, name)
                                .filter(one -> !one.isEmpty())
                                .findFirst()
                                .orElse(""));
                return Optional.empty();
            }
            if (!number.isEmpty() && !name.isEmpty() && byName.stream().noneMatch(found::contains)) {
                fault(line.number, Problem.NUMBER_AND_NAME_DIFFER, number + " " + name);
                return Optional.empty();
            }
            if (found.size() > 1) {
                fault(line.number, Problem.SEVERAL_PUPILS, name);
                return Optional.empty();
            }
            return Optional.of(found.get(0));
        }

        private Optional<Said> word(Line line) {
            String text = cell(line, Column.SAID);
            Optional<Said> said = Optional.ofNullable(WORDS.get(text.toLowerCase(Locale.ROOT)));
            if (said.isEmpty()) {
                fault(line.number, Problem.NOT_A_WORD, text);
            }
            return said;
        }

        /** Where nobody says by whom, a family usually was. */
        private Optional<Giver> giver(Line line) {
            String text = cell(line, Column.GIVER);
            if (text.isEmpty()) {
                return Optional.of(Giver.PARENT);
            }
            Optional<Giver> giver = Arrays.stream(Giver.values())
                    .filter(one -> one.name().equalsIgnoreCase(text))
                    .findFirst();
            if (giver.isEmpty()) {
                fault(line.number, Problem.NOT_A_GIVER, text);
            }
            return giver;
        }

        private Optional<LocalDate> day(Line line, Column column) {
            String text = cell(line, column);
            if (text.isEmpty()) {
                return Optional.empty();
            }
            try {
                LocalDate day = LocalDate.parse(text);
                if (day.getYear() >= 1900 && day.getYear() <= 9000) {
                    return Optional.of(day);
                }
            } catch (DateTimeParseException none) {
                // Said below, with the years that no clock counts.
            }
            fault(line.number, Problem.NOT_A_DAY, text);
            return Optional.empty();
        }

        /** Of rows that contradict each other none is taken: which of them is right is for a person to say. */
        private List<Row> withoutContradictions() {
            record Cell(String id, LocalDate from) {}
            var said = new HashMap<Cell, List<Row>>();
            rows.forEach(row -> said.computeIfAbsent(new Cell(row.whom.id, row.from), cell -> new ArrayList<>())
                    .add(row));
            var good = new ArrayList<Row>();
            for (Row row : rows) {
                List<Row> beside = said.get(new Cell(row.whom.id, row.from));
                if (beside.stream().anyMatch(other -> other.said != row.said || !other.until.equals(row.until))) {
                    fault(row.line, Problem.CONTRADICTS, row.whom.name);
                } else if (beside.get(0) == row) {
                    good.add(row);
                }
            }
            return good;
        }
    }
}
