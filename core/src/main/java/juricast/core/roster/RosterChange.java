package juricast.core.roster;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.identity.PersonId;
import juricast.core.identity.PlainName;

/**
 * What taking a roster would change in a class: shown first, then carried out exactly so.
 *
 * @param added pupils of the school who would join the class
 * @param created pupils the school does not know yet
 * @param renamed pupils whose name the file writes differently
 * @param moved pupils whom the file has in another year
 * @param staying pupils who are in both, renamed ones included
 * @param dropped pupils of the class who are not in the file
 * @param unclear rows whose name several pupils of the school bear, or whose number is another's
 * @param asked rows that may or may not mean a pupil of the school: nothing is done with either before somebody has said it
 */
public record RosterChange(
        List<Pupil> added,
        List<RosterReading.Row> created,
        List<Rename> renamed,
        List<NewYear> moved,
        List<Pupil> staying,
        List<Pupil> dropped,
        List<RosterReading.Row> unclear,
        List<Asked> asked) {
    /** A pupil the school knows. @param number the school's own number, empty if there is none */
    public record Pupil(PersonId person, String name, String number, OptionalInt year) {}

    /** A new name for a known pupil. */
    public record Rename(Pupil pupil, String name) {}

    /** A known pupil in another year. */
    public record NewYear(Pupil pupil, int year) {}

    /** A row of which it is not certain whom it means. @param pupil who it may be */
    public record Asked(RosterReading.Row row, Pupil pupil, Doubt why) {}

    /** Why a row may or may not mean a pupil of the same name, or number. */
    public enum Doubt {
        OTHER_YEAR,
        OTHER_NUMBER,
        /** A spreadsheet makes 7 of 007; the name is another. */
        NUMBER_WITHOUT_ZEROS
    }

    /** What somebody has said of a row. */
    public enum Answer {
        SAME,
        ANOTHER
    }

    /**
     * Compares: by the school's number first, then by name, within the year if the file names one.
     *
     * @param answers to what was asked, by the line of the row
     */
    public static RosterChange between(
            RosterReading file, List<Pupil> school, Set<PersonId> classNow, Map<Integer, Answer> answers) {
        var change = new RosterChange(
                new ArrayList<>(),
                new ArrayList<>(),
                new ArrayList<>(),
                new ArrayList<>(),
                new ArrayList<>(),
                new ArrayList<>(),
                new ArrayList<>(),
                new ArrayList<>());
        var index = new Index(school, classNow);
        var met = new LinkedHashSet<PersonId>();
        for (RosterReading.Row row : file.rows()) {
            List<Pupil> meant = index.meant(row);
            Optional<Asked> doubt = meant.isEmpty() ? index.doubted(row) : Optional.empty();
            Optional<Answer> said = Optional.ofNullable(answers.get(row.line()));
            Optional<Pupil> known = meant.stream().findFirst().or(() -> doubt.filter(
                            one -> said.equals(Optional.of(Answer.SAME)))
                    .map(Asked::pupil));
            if (meant.size() > 1
                    || known.filter(one -> met.contains(one.person)).isPresent()) {
                change.unclear.add(row);
            } else if (known.isPresent()) {
                met.add(known.get().person);
                change.take(row, known.get(), classNow);
            } else if (doubt.isPresent() && said.isEmpty()) {
                change.asked.add(doubt.get());
            } else {
                change.created.add(row);
            }
        }
        var keep = new HashSet<>(met);
        // Whoever a row may mean that is unclear, asked about or wrong is not dropped: nobody loses a place because of
        // a cell.
        Stream.of(change.unclear, file.unread()).flatMap(List::stream).forEach(row -> Stream.concat(
                        index.meant(row).stream(), index.doubted(row).stream().map(Asked::pupil))
                .forEach(pupil -> keep.add(pupil.person)));
        change.asked.forEach(one -> keep.add(one.pupil.person));
        school.stream()
                .filter(pupil -> classNow.contains(pupil.person) && !keep.contains(pupil.person))
                .forEach(change.dropped::add);
        return change.closed();
    }

    private void take(RosterReading.Row row, Pupil known, Set<PersonId> classNow) {
        (classNow.contains(known.person) ? staying : added).add(known);
        if (!known.name.equals(row.name())) {
            renamed.add(new Rename(known, row.name()));
        }
        if (row.year().isPresent() && !row.year().equals(known.year)) {
            moved.add(new NewYear(known, row.year().getAsInt()));
        }
    }

    private RosterChange closed() {
        return new RosterChange(
                List.copyOf(added),
                List.copyOf(created),
                List.copyOf(renamed),
                List.copyOf(moved),
                List.copyOf(staying),
                List.copyOf(dropped),
                List.copyOf(unclear),
                List.copyOf(asked));
    }

    /** The same for a list that is to be added to the class and leaves everybody else in it. */
    public RosterChange onlyAdding() {
        return new RosterChange(added, created, renamed, moved, staying, List.of(), unclear, asked);
    }

    /** The pupils of a school by what a row may say of them. */
    private static final class Index {
        private final Set<PersonId> classNow;
        private final Map<String, List<Pupil>> byNumber;
        private final Map<String, List<Pupil>> byBareNumber;
        private final Map<String, List<Pupil>> byName;

        Index(List<Pupil> school, Set<PersonId> classNow) {
            this.classNow = classNow;
            List<Pupil> numbered =
                    school.stream().filter(one -> !one.number.isEmpty()).toList();
            byNumber = numbered.stream().collect(Collectors.groupingBy(Pupil::number));
            byBareNumber = numbered.stream().collect(Collectors.groupingBy(one -> withoutZeros(one.number)));
            byName = school.stream().collect(Collectors.groupingBy(one -> key(one.name)));
        }

        List<Pupil> meant(RosterReading.Row row) {
            List<Pupil> namesakes = byName.getOrDefault(key(row.name()), List.of());
            List<Pupil> numbered = byNumber.getOrDefault(row.number(), List.of());
            if (!numbered.isEmpty()) {
                // A number of one and a name of another is a mistake, and nobody is renamed for it.
                boolean isRight = namesakes.isEmpty() || namesakes.stream().anyMatch(numbered::contains);
                return isRight
                        ? numbered
                        : Stream.concat(numbered.stream(), namesakes.stream()).toList();
            }
            List<Pupil> named = namesakes.stream()
                    .filter(pupil -> doubt(row, pupil).isEmpty())
                    .toList();
            List<Pupil> inClass =
                    named.stream().filter(one -> classNow.contains(one.person)).toList();
            return inClass.size() == 1 ? inClass : named;
        }

        /** Somebody whom a row may mean although it says something else of them; those of the class first. */
        Optional<Asked> doubted(RosterReading.Row row) {
            return Stream.concat(
                            byName.getOrDefault(key(row.name()), List.of()).stream(),
                            byBareNumber.getOrDefault(withoutZeros(row.number()), List.of()).stream())
                    .flatMap(pupil -> doubt(row, pupil).map(why -> new Asked(row, pupil, why)).stream())
                    .min(Comparator.comparing(one -> !classNow.contains(one.pupil.person)));
        }

        private static Optional<Doubt> doubt(RosterReading.Row row, Pupil pupil) {
            boolean hasBoth = !pupil.number.isEmpty() && !row.number().isEmpty();
            boolean isNumber = hasBoth && withoutZeros(pupil.number).equals(withoutZeros(row.number()));
            if (!key(pupil.name).equals(key(row.name()))) {
                return isNumber ? Optional.of(Doubt.NUMBER_WITHOUT_ZEROS) : Optional.empty();
            }
            if (hasBoth) {
                return isNumber ? Optional.empty() : Optional.of(Doubt.OTHER_NUMBER);
            }
            boolean isOtherYear = row.year().isPresent()
                    && pupil.year.isPresent()
                    && !row.year().equals(pupil.year);
            return isOtherYear ? Optional.of(Doubt.OTHER_YEAR) : Optional.empty();
        }

        private static String withoutZeros(String number) {
            return number.replaceFirst("^0+(?=.)", "");
        }

        private static String key(String name) {
            return PlainName.of(name).toLowerCase(Locale.ROOT);
        }
    }
}
