package juricast.core.roster;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import juricast.core.identity.PersonId;
import juricast.core.identity.PlainName;

/**
 * What taking a roster would change in a class: shown first, then carried out exactly so.
 *
 * @param added pupils of the school who would join the class
 * @param created pupils the school does not know yet
 * @param renamed pupils whose name the file writes differently
 * @param staying pupils who are in both, renamed ones included
 * @param dropped pupils of the class who are not in the file
 * @param unclear rows whose name several pupils of the school bear
 */
public record RosterChange(
        List<Pupil> added,
        List<RosterReading.Row> created,
        List<Rename> renamed,
        List<Pupil> staying,
        List<Pupil> dropped,
        List<RosterReading.Row> unclear) {
    /** A pupil the school knows. @param number the school's own number, empty if there is none */
    public record Pupil(PersonId person, String name, String number, OptionalInt year) {}

    /** A new name for a known pupil. */
    public record Rename(Pupil pupil, String name) {}

    /** Compares: by the school's number first, then by name, within the year if the file names one. */
    public static RosterChange between(List<RosterReading.Row> rows, List<Pupil> school, Set<PersonId> classNow) {
        var added = new ArrayList<Pupil>();
        var created = new ArrayList<RosterReading.Row>();
        var renamed = new ArrayList<Rename>();
        var staying = new ArrayList<Pupil>();
        var unclear = new ArrayList<RosterReading.Row>();
        var met = new LinkedHashSet<PersonId>();
        for (RosterReading.Row row : rows) {
            List<Pupil> meant = meant(row, school, classNow);
            if (meant.size() > 1 || meant.size() == 1 && met.contains(meant.get(0).person)) {
                unclear.add(row);
                continue;
            }
            Optional<Pupil> known = meant.stream().findFirst();
            if (known.isEmpty()) {
                created.add(row);
                continue;
            }
            met.add(known.get().person);
            (classNow.contains(known.get().person) ? staying : added).add(known.get());
            if (!known.get().name.equals(row.name())) {
                renamed.add(new Rename(known.get(), row.name()));
            }
        }
        var keep = new HashSet<>(met);
        // Whoever an unclear row may mean is not dropped: nobody loses a place because a file was ambiguous.
        unclear.forEach(row -> meant(row, school, classNow).forEach(pupil -> keep.add(pupil.person)));
        List<Pupil> dropped = school.stream()
                .filter(pupil -> classNow.contains(pupil.person) && !keep.contains(pupil.person))
                .toList();
        return new RosterChange(added, created, renamed, staying, dropped, unclear);
    }

    /** The same for a list that is to be added to the class and leaves everybody else in it. */
    public RosterChange onlyAdding() {
        return new RosterChange(added, created, renamed, staying, List.of(), unclear);
    }

    private static List<Pupil> meant(RosterReading.Row row, List<Pupil> school, Set<PersonId> classNow) {
        if (!row.number().isEmpty()) {
            List<Pupil> byNumber = school.stream()
                    .filter(pupil -> pupil.number.equals(row.number()))
                    .toList();
            if (!byNumber.isEmpty()) {
                return byNumber;
            }
        }
        List<Pupil> byName = school.stream()
                .filter(pupil -> key(pupil.name).equals(key(row.name())))
                .filter(pupil -> row.number().isEmpty() || pupil.number.isEmpty())
                .filter(pupil -> row.year().isEmpty() || pupil.year.equals(row.year()))
                .toList();
        List<Pupil> inClass =
                byName.stream().filter(pupil -> classNow.contains(pupil.person)).toList();
        return inClass.size() == 1 ? inClass : byName;
    }

    private static String key(String name) {
        return PlainName.of(name).toLowerCase(Locale.ROOT);
    }
}
