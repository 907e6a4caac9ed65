package juricast.core.exchange;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.identity.PlainName;
import juricast.core.limits.Limits;
import juricast.core.roster.RosterReading.Line;

/**
 * A school as the tables of the 1EdTech OneRoster CSV binding have it, versions 1.1 and 1.2: users, classes and enrollments.
 * Organisations say which school is meant; sessions and courses are left as they are; grades, results and demographics are none
 * of this program's business and are never read. What is not read is told.
 *
 * @param ended enrolments that are over, or that a file of changes takes back
 * @param onlyChanges whether the enrolments are those that changed, and all others stay (a delta, as the manifest says)
 * @param schools those in the files, if there are several and nobody has said which one is meant: nothing is read before
 */
public record SchoolFiles(
        List<User> users,
        List<Group> classes,
        List<Enrollment> enrollments,
        List<Enrollment> ended,
        boolean onlyChanges,
        List<Org> schools,
        List<Fault> faults) {
    /** Rows of one table: a school of 1,200 pupils in eight classes each has some 10,000 enrollments. */
    public static final int MOST_ROWS = 40_000;

    /** @param id sourcedId @param number the school's own, {@code identifier} @param isPupil else a teaching adult */
    public record User(String id, String name, String number, OptionalInt year, boolean isPupil) {}

    /** @param id sourcedId */
    public record Group(String id, String title, OptionalInt year, String subject) {}

    /** A school. @param id sourcedId @param users how many of the files' users belong to it */
    public record Org(String id, String name, int users) {}

    /** Who belongs to a class. @param line in enrollments.csv @param primary whether an adult is its lead adult */
    public record Enrollment(int line, String ofClass, String user, boolean asPupil, boolean primary) {}

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
        CLASS_WITHOUT_LEAD,
        OTHER_YEAR_OF_THAT_NAME,
        NOT_FOR_CLASSES,
        OF_ANOTHER_SCHOOL,
        ENDED,
        NOT_BEGUN,
        NOT_A_DAY,
        ADULT_STAYS,
        FILE_NOT_READ,
        COLUMNS_NOT_READ
    }

    public SchoolFiles {
        users = List.copyOf(users);
        classes = List.copyOf(classes);
        enrollments = List.copyOf(enrollments);
        ended = List.copyOf(ended);
        schools = List.copyOf(schools);
        faults = List.copyOf(faults);
    }

    private static final Set<String> PUPIL = Set.of("student");
    private static final Set<String> ADULT = Set.of("teacher", "aide");

    /** Files that are read; of the others only their names are told. */
    public static final Set<String> READ =
            Set.of("manifest.csv", "orgs.csv", "users.csv", "roles.csv", "classes.csv", "enrollments.csv");

    /** What people are reached by, and what else a user may be given; none of it is kept here. */
    private static final List<String> NOT_KEPT = List.of(
            "middleName",
            "email",
            "sms",
            "phone",
            "agentSourcedIds",
            "password",
            "preferredGivenName",
            "preferredFamilyName",
            "pronouns");

    /**
     * Reads what the tables say.
     *
     * @param tables by the name of the file, such as users.csv; those that are not read may be empty
     * @param today at the school: enrolments may be over, or not have begun
     * @param school sourcedId of the one that is meant, if somebody has said so
     */
    public static SchoolFiles of(Map<String, Table> tables, LocalDate today, Optional<String> school) {
        var reader = new Reader(tables, today);
        reader.whatIsNotRead();
        List<Org> schools = reader.schools();
        if (schools.size() > 1 && school.isEmpty()) {
            return new SchoolFiles(
                    List.of(), List.of(), List.of(), List.of(), false, schools, List.copyOf(reader.faults));
        }
        reader.school = schools.size() == 1 ? schools.get(0).id() : schools.isEmpty() ? "" : school.orElse("");
        Map<String, String> roles = reader.roles();
        List<User> users = reader.users(roles);
        List<Group> classes = reader.classes();
        List<Enrollment> enrollments = reader.enrollments();
        reader.count("users.csv", Problem.NOT_FOR_CLASSES, reader.others.size());
        reader.count("", Problem.OF_ANOTHER_SCHOOL, reader.elsewhere.size());
        reader.count("enrollments.csv", Problem.ENDED, reader.over);
        return new SchoolFiles(
                users, classes, enrollments, reader.ended, reader.isDelta("enrollments"), List.of(), reader.faults);
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
        private final Set<String> elsewhere = new HashSet<>();
        /** Districts and the like, of which whoever belongs to them belongs to no school yet. */
        private final Set<String> above = new HashSet<>();
        /** In the later version it is the role that belongs to a school. */
        private final Map<String, List<String>> ofRoles = new HashMap<>();

        private final List<Enrollment> ended = new ArrayList<>();
        private final Map<String, String> manifest = new HashMap<>();
        private final LocalDate today;
        private String school = "";
        private int over;

        Reader(Map<String, Table> tables, LocalDate today) {
            this.tables = tables;
            this.today = today;
            if (tables.containsKey("manifest.csv")) {
                rows("manifest.csv", "propertyName", "value")
                        .forEach(row -> manifest.put(
                                row.get("propertyName").toLowerCase(Locale.ROOT),
                                row.get("value").toLowerCase(Locale.ROOT)));
            }
        }

        /** Whether a table has only what changed since the last one. */
        boolean isDelta(String table) {
            return "delta".equals(manifest.get("file." + table));
        }

        void count(String file, Problem problem, int many) {
            if (many > 0) {
                faults.add(new Fault(file, 0, problem, Integer.toString(many)));
            }
        }

        void whatIsNotRead() {
            tables.keySet().stream()
                    .filter(name -> !READ.contains(name))
                    .sorted()
                    .forEach(name -> faults.add(new Fault(name, 0, Problem.FILE_NOT_READ, name)));
            if (!tables.containsKey("users.csv")) {
                return;
            }
            List<Row> all = rows("users.csv");
            String given = NOT_KEPT.stream()
                    .filter(column ->
                            all.stream().anyMatch(row -> !row.get(column).isEmpty()))
                    .collect(Collectors.joining(", "));
            if (!given.isEmpty()) {
                faults.add(new Fault("users.csv", 0, Problem.COLUMNS_NOT_READ, given));
            }
        }

        List<Org> schools() {
            if (!tables.containsKey("orgs.csv") || !tables.containsKey("users.csv")) {
                return List.of();
            }
            List<List<String>> belong =
                    rows("users.csv").stream().map(Reader::orgs).toList();
            List<Row> all = rows("orgs.csv", "sourcedId", "name", "type");
            all.stream()
                    .filter(row -> !row.get("type").equalsIgnoreCase("school"))
                    .forEach(row -> above.add(row.get("sourcedId")));
            return all.stream()
                    .filter(row -> row.get("type").equalsIgnoreCase("school"))
                    .map(row -> new Org(row.get("sourcedId"), row.get("name"), (int) belong.stream()
                            .filter(of -> of.contains(row.get("sourcedId")))
                            .count()))
                    .toList();
        }

        private static List<String> orgs(Row row) {
            String all = row.get("orgSourcedIds") + "," + row.get("primaryOrgSourcedId");
            return Arrays.stream(all.split(","))
                    .map(String::strip)
                    .filter(one -> !one.isEmpty())
                    .toList();
        }

        /** Whether a row is of another school than the one that is meant; one that names none is of all. */
        private boolean isElsewhere(List<String> orgs) {
            List<String> schools =
                    orgs.stream().filter(one -> !above.contains(one)).toList();
            return !school.isEmpty() && !schools.isEmpty() && !schools.contains(school);
        }

        /** Version 1.2 says in a table of its own who is what; the primary role goes first. */
        Map<String, String> roles() {
            var roles = new HashMap<String, String>();
            if (tables.containsKey("roles.csv")) {
                for (Row row : rows("roles.csv", "userSourcedId", "role")) {
                    Stream.of(row.get("orgSourcedId"))
                            .filter(one -> !one.isEmpty())
                            .forEach(one -> ofRoles.computeIfAbsent(row.get("userSourcedId"), any -> new ArrayList<>())
                                    .add(one));
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
                if (isElsewhere(orgs(row)) || isElsewhere(ofRoles.getOrDefault(id, List.of()))) {
                    elsewhere.add(id);
                } else if (name.isEmpty() || name.length() > Limits.NAME) {
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
                List<String> of = Stream.of(row.get("schoolSourcedId"))
                        .filter(one -> !one.isEmpty())
                        .toList();
                if (isElsewhere(of)) {
                    elsewhere.add(id);
                } else if (row.get("title").isEmpty() || row.get("title").length() > Limits.NAME) {
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
                boolean isPupil = PUPIL.contains(role);
                var enrollment = new Enrollment(
                        row.line, ofClass, user, isPupil, row.get("primary").equalsIgnoreCase("true"));
                boolean isKnownUser = users.contains(user) || isDelta("users") || isDelta("enrollments");
                boolean isKnownClass = classes.contains(ofClass) || isDelta("classes") || isDelta("enrollments");
                if (row.get("status").equalsIgnoreCase("tobedeleted")) {
                    end(enrollment);
                } else if (elsewhere.contains(user) || elsewhere.contains(ofClass)) {
                    elsewhere.add("enrollment " + row.line);
                } else if (others.contains(user)) {
                    continue; // told with the users
                } else if (!hasBegun(row)) {
                    faults.add(new Fault("enrollments.csv", row.line, Problem.NOT_BEGUN, row.get("beginDate")));
                } else if (isOver(row)) {
                    over++;
                    end(enrollment);
                } else if (!isKnownUser) {
                    faults.add(new Fault("enrollments.csv", row.line, Problem.NO_SUCH_USER, user));
                } else if (!isKnownClass) {
                    faults.add(new Fault("enrollments.csv", row.line, Problem.NO_SUCH_CLASS, ofClass));
                } else if (isPupil || ADULT.contains(role)) {
                    found.add(enrollment);
                } else {
                    faults.add(new Fault("enrollments.csv", row.line, Problem.UNKNOWN_ROLE, role));
                }
            }
            return found;
        }

        /** An adult stays one of a class until a person ends it. */
        private void end(Enrollment enrollment) {
            if (enrollment.asPupil()) {
                ended.add(enrollment);
            } else {
                faults.add(new Fault("enrollments.csv", enrollment.line(), Problem.ADULT_STAYS, enrollment.user()));
            }
        }

        private boolean hasBegun(Row row) {
            return day(row, "beginDate").filter(today::isBefore).isEmpty();
        }

        private boolean isOver(Row row) {
            return day(row, "endDate").filter(today::isAfter).isPresent();
        }

        /** One that is no day is told, and bounds nothing. */
        private Optional<LocalDate> day(Row row, String column) {
            String written = row.get(column);
            try {
                return written.isEmpty() ? Optional.empty() : Optional.of(LocalDate.parse(written));
            } catch (DateTimeException unreadable) {
                faults.add(new Fault("enrollments.csv", row.line, Problem.NOT_A_DAY, written));
                return Optional.empty();
            }
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
