package juricast.core.exchange;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import juricast.core.identity.PlainName;
import juricast.core.limits.Limits;
import juricast.core.roster.RosterReading.Line;

/**
 * A school as the tables of the 1EdTech OneRoster CSV binding have it, versions 1.1 and 1.2: users, classes and enrollments.
 * Organisations, sessions and courses are looked at for what refers to them and otherwise left as they are; grades, results
 * and demographics are none of this program's business and are never read.
 *
 * @param others users who are neither pupils nor teaching adults: parents, guardians, administrators and the like
 */
public record SchoolFiles(
        List<User> users, List<Group> classes, List<Enrollment> enrollments, int others, List<Fault> faults) {
    /** Rows of one table: a school of 1,200 pupils in eight classes each has some 10,000 enrollments. */
    public static final int MOST_ROWS = 40_000;

    /** @param id sourcedId @param number the school's own, {@code identifier} @param isPupil else a teaching adult */
    public record User(String id, String name, String number, OptionalInt year, boolean isPupil) {}

    /** @param id sourcedId */
    public record Group(String id, String title, OptionalInt year, String subject) {}

    /** Who belongs to a class. @param primary whether an adult is its lead adult */
    public record Enrollment(String ofClass, String user, boolean asPupil, boolean primary) {}

    /** One table. */
    public record Table(List<String> heading, List<Line> lines) {}

    /** Something that is not taken. @param line in the file, from 1; 0 for the file as a whole */
    public record Fault(String file, int line, Problem problem, String quote) {}

    /** Why something is not taken. */
    public enum Problem {
        MISSING_FILE,
        MISSING_COLUMN,
        TOO_MANY_ROWS,
        NO_ID,
        SAME_ID_TWICE,
        NO_NAME,
        NO_SUCH_USER,
        NO_SUCH_CLASS,
        UNKNOWN_ROLE,
        DELETED,
        SEVERAL_OF_THAT_NAME,
        ADULT_NOT_KNOWN,
        CLASS_WITHOUT_LEAD
    }

    public SchoolFiles {
        users = List.copyOf(users);
        classes = List.copyOf(classes);
        enrollments = List.copyOf(enrollments);
        faults = List.copyOf(faults);
    }

    private static final Set<String> PUPIL = Set.of("student");
    private static final Set<String> ADULT = Set.of("teacher", "aide");

    /** Reads what the tables say. @param tables by the name of the file, such as users.csv */
    public static SchoolFiles of(Map<String, Table> tables) {
        var reader = new Reader(tables);
        Map<String, String> roles = reader.roles();
        List<User> users = reader.users(roles);
        List<Group> classes = reader.classes();
        List<Enrollment> enrollments = reader.enrollments();
        return new SchoolFiles(users, classes, enrollments, reader.others.size(), reader.faults);
    }

    /** One row with its columns by name. */
    private record Row(int line, Map<String, String> cells) {
        String get(String column) {
            return cells.getOrDefault(column.toLowerCase(Locale.ROOT), "");
        }
    }

    private static final class Reader {
        private final Map<String, Table> tables;
        private final List<Fault> faults = new ArrayList<>();
        private final Set<String> users = new HashSet<>();
        private final Set<String> others = new HashSet<>();
        private final Set<String> classes = new HashSet<>();

        Reader(Map<String, Table> tables) {
            this.tables = tables;
        }

        /** Version 1.2 says in a table of its own who is what; the primary role goes first. */
        Map<String, String> roles() {
            var roles = new HashMap<String, String>();
            if (tables.containsKey("roles.csv")) {
                for (Row row : rows("roles.csv", "userSourcedId", "role")) {
                    boolean isPrimary = row.get("roleType").equalsIgnoreCase("primary");
                    String role = row.get("role").toLowerCase(Locale.ROOT);
                    if (isPrimary || !roles.containsKey(row.get("userSourcedId"))) {
                        roles.put(row.get("userSourcedId"), role);
                    }
                }
            }
            return roles;
        }

        List<User> users(Map<String, String> roles) {
            var found = new ArrayList<User>();
            for (Row row : rows("users.csv", "sourcedId", "givenName", "familyName")) {
                String id = row.get("sourcedId");
                String name = PlainName.of(row.get("givenName") + " " + row.get("familyName"));
                String role = roles.getOrDefault(id, row.get("role").toLowerCase(Locale.ROOT));
                if (!isNew(row, "users.csv", id, users)) {
                    continue;
                }
                if (name.isEmpty() || name.length() > Limits.NAME) {
                    faults.add(new Fault("users.csv", row.line, Problem.NO_NAME, id));
                } else if (PUPIL.contains(role) || ADULT.contains(role)) {
                    found.add(new User(id, name, row.get("identifier"), year(row.get("grades")), PUPIL.contains(role)));
                } else if (role.isEmpty()) {
                    faults.add(new Fault("users.csv", row.line, Problem.UNKNOWN_ROLE, name));
                } else {
                    others.add(id);
                }
            }
            return found;
        }

        /** The first of several; none if it is longer than a name. */
        private static String subject(String subjects) {
            String first = subjects.split(",", 2)[0].strip();
            return first.length() > Limits.NAME ? "" : first;
        }

        List<Group> classes() {
            var found = new ArrayList<Group>();
            for (Row row : rows("classes.csv", "sourcedId", "title")) {
                String id = row.get("sourcedId");
                if (!isNew(row, "classes.csv", id, classes)) {
                    continue;
                }
                if (row.get("title").isEmpty() || row.get("title").length() > Limits.NAME) {
                    faults.add(new Fault("classes.csv", row.line, Problem.NO_NAME, id));
                } else {
                    found.add(new Group(id, row.get("title"), year(row.get("grades")), subject(row.get("subjects"))));
                }
            }
            return found;
        }

        List<Enrollment> enrollments() {
            var found = new ArrayList<Enrollment>();
            for (Row row : rows("enrollments.csv", "classSourcedId", "userSourcedId", "role")) {
                String role = row.get("role").toLowerCase(Locale.ROOT);
                String user = row.get("userSourcedId");
                String ofClass = row.get("classSourcedId");
                if (isDeleted(row, "enrollments.csv", user)) {
                    continue;
                }
                if (!users.contains(user)) {
                    faults.add(new Fault("enrollments.csv", row.line, Problem.NO_SUCH_USER, user));
                } else if (!classes.contains(ofClass)) {
                    faults.add(new Fault("enrollments.csv", row.line, Problem.NO_SUCH_CLASS, ofClass));
                } else if (PUPIL.contains(role) || ADULT.contains(role)) {
                    found.add(new Enrollment(
                            ofClass,
                            user,
                            PUPIL.contains(role),
                            row.get("primary").equalsIgnoreCase("true")));
                } else {
                    faults.add(new Fault("enrollments.csv", row.line, Problem.UNKNOWN_ROLE, role));
                }
            }
            return found;
        }

        private boolean isNew(Row row, String file, String id, Set<String> known) {
            if (id.isEmpty()) {
                faults.add(new Fault(file, row.line, Problem.NO_ID, ""));
                return false;
            }
            if (isDeleted(row, file, id)) {
                return false;
            }
            if (!known.add(id)) {
                faults.add(new Fault(file, row.line, Problem.SAME_ID_TWICE, id));
                return false;
            }
            return true;
        }

        /** A delta file may mark rows as deleted; what is to go is told and not taken for something to keep. */
        private boolean isDeleted(Row row, String file, String quote) {
            boolean deleted = row.get("status").equalsIgnoreCase("tobedeleted");
            if (deleted) {
                faults.add(new Fault(file, row.line, Problem.DELETED, quote));
            }
            return deleted;
        }

        private List<Row> rows(String file, String... needed) {
            Table table = tables.get(file);
            if (table == null) {
                faults.add(new Fault(file, 0, Problem.MISSING_FILE, file));
                return List.of();
            }
            List<String> heading = table.heading.stream()
                    .map(one -> one.strip().toLowerCase(Locale.ROOT))
                    .toList();
            for (String column : needed) {
                if (!heading.contains(column.toLowerCase(Locale.ROOT))) {
                    faults.add(new Fault(file, 1, Problem.MISSING_COLUMN, column));
                    return List.of();
                }
            }
            if (table.lines.size() > MOST_ROWS) {
                faults.add(new Fault(file, 0, Problem.TOO_MANY_ROWS, Integer.toString(table.lines.size())));
                return List.of();
            }
            return table.lines.stream()
                    .map(line -> {
                        var cells = new HashMap<String, String>();
                        for (int i = 0;
                                i < Math.min(heading.size(), line.cells().size());
                                i++) {
                            cells.put(heading.get(i), line.cells().get(i).strip());
                        }
                        return new Row(line.number(), cells);
                    })
                    .toList();
        }

        /** The first of the grades, such as "08" or "8,9". */
        private static OptionalInt year(String grades) {
            String first = grades.split(",")[0].strip();
            if (!first.matches("0?\\d{1,2}")) {
                return OptionalInt.empty();
            }
            int year = Integer.parseInt(first);
            return year >= 1 && year <= 13 ? OptionalInt.of(year) : OptionalInt.empty();
        }
    }
}
