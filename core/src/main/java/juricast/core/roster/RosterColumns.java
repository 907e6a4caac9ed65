package juricast.core.roster;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Which column of a roster holds what. Columns are counted from 0; {@link #NONE} where there is none.
 *
 * @param name whole names; or else {@code first} and {@code last}
 * @param number the school's own number of a pupil
 */
public record RosterColumns(int name, int first, int last, int number, int year) {
    public static final int NONE = -1;

    private static final Set<String> NAME =
            Set.of("name", "full name", "pupil", "pupil name", "student", "display name");
    private static final Set<String> FIRST =
            Set.of("first name", "firstname", "first", "given name", "givenname", "forename", "given", "forenames");
    private static final Set<String> LAST =
            Set.of("last name", "lastname", "last", "family name", "familyname", "surname", "family", "second name");
    private static final Set<String> NUMBER =
            Set.of("number", "pupil number", "id", "pupil id", "student id", "admission number", "no");
    private static final Set<String> YEAR = Set.of("year", "year group", "grade", "yr");

    /** What the headings of columns make likely. A “name” beside a first name is what comes after it. */
    public static RosterColumns proposed(List<String> heading) {
        List<String> plain = heading.stream()
                .map(text -> text.toLowerCase(Locale.ROOT)
                        .replaceAll("[^\\p{L}\\p{N}]+", " ")
                        .strip())
                .toList();
        int name = find(plain, NAME);
        int first = find(plain, FIRST);
        int last = find(plain, LAST);
        boolean isSurname = name >= 0 && first >= 0 && last < 0;
        return new RosterColumns(
                isSurname ? NONE : name, first, isSurname ? name : last, find(plain, NUMBER), find(plain, YEAR));
    }

    private static int find(List<String> heading, Set<String> wanted) {
        return IntStream.range(0, heading.size())
                .filter(i -> wanted.contains(heading.get(i)))
                .findFirst()
                .orElse(NONE);
    }

    /** Whether names can be read by them, and each column is one that there is. */
    public boolean areEnough(int width) {
        return (name >= 0 || first >= 0 && last >= 0)
                && IntStream.of(name, first, last, number, year).allMatch(one -> one >= NONE && one < width);
    }

    String nameOf(RosterReading.Line line) {
        return name >= 0 ? turned(cell(line, name)) : (cell(line, first) + " " + cell(line, last)).strip();
    }

    /** "Carrow, Ines" is Ines Carrow. */
    private static String turned(String name) {
        String[] parts = name.split("\\s*,\\s*", 2);
        return parts.length == 2 && !parts[1].isEmpty() ? parts[1] + " " + parts[0] : name;
    }

    static String cell(RosterReading.Line line, int column) {
        return column < 0 || column >= line.cells().size()
                ? ""
                : line.cells().get(column).strip().replaceAll("\\s+", " ");
    }
}
