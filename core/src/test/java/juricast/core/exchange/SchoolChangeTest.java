package juricast.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import juricast.core.exchange.SchoolChange.Known;
import juricast.core.exchange.SchoolChange.KnownClass;
import juricast.core.exchange.SchoolFiles.Problem;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
import juricast.core.roster.RosterReading.Line;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;

class SchoolChangeTest {
    private static final Known INES = new Known(new PersonId("ines"), "Ines Carrow", "17", OptionalInt.of(8), true);
    private static final Known JORY = new Known(new PersonId("jory"), "Jory Pell", "", OptionalInt.of(8), true);
    private static final Known ORLA = new Known(new PersonId("orla"), "Orla Venn", "", OptionalInt.empty(), false);
    private static final KnownClass TIDES =
            new KnownClass(new ClassId("tides"), "Tidal Navigation 8", Set.of(INES.id(), JORY.id()), Set.of(ORLA.id()));

    private final Map<String, SchoolFiles.Table> tables = new HashMap<>(Map.of(
            "users.csv",
            table(
                    "sourcedId,status,dateLastModified,enabledUser,orgSourcedIds,role,username,givenName,familyName,identifier,grades",
                    "u1,,,true,s,student,i,Ines,Carrow,17,08",
                    "u2,,,true,s,student,n,Nial,Quist,18,08",
                    "u3,,,true,s,teacher,o,Orla,Venn,,",
                    "u4,,,true,s,parent,p,Pa,Carrow,,"),
            "classes.csv",
            table(
                    "sourcedId,status,dateLastModified,title,grades,courseSourcedId,classType,schoolSourcedId,termSourcedIds",
                    "c1,,,Tidal Navigation 8,08,k,scheduled,s,t",
                    "c2,,,Net Making,08,k,scheduled,s,t"),
            "enrollments.csv",
            table(
                    "sourcedId,status,dateLastModified,classSourcedId,schoolSourcedId,userSourcedId,role,primary",
                    "e1,,,c1,s,u1,student,false",
                    "e2,,,c1,s,u2,student,false",
                    "e3,,,c1,s,u3,teacher,true",
                    "e4,,,c2,s,u2,student,false",
                    "e5,,,c2,s,u3,teacher,true")));

    private static SchoolFiles.Table table(String heading, String... rows) {
        var lines = new ArrayList<Line>();
        for (String row : rows) {
            lines.add(new Line(lines.size() + 2, Arrays.asList(row.split(",", -1))));
        }
        return new SchoolFiles.Table(Arrays.asList(heading.split(",")), lines);
    }

    private static final SchoolFiles.Table OF_TWO_SCHOOLS = table(
            "sourcedId,orgSourcedIds,role,givenName,familyName,email",
            "u1,s,student,Ines,Carrow,i@x.example",
            "u2,x,student,Else,Where,",
            "u3,,teacher,Orla,Venn,");

    private static final LocalDate TODAY = LocalDate.parse("2026-09-14");

    private SchoolFiles files() {
        return SchoolFiles.of(tables, TODAY, Optional.empty());
    }

    private SchoolChange change() {
        return SchoolChange.between(files(), List.of(INES, JORY, ORLA), List.of(TIDES));
    }

    @Test
    void people_are_known_again_by_number_and_name_and_classes_by_title() {
        SchoolChange change = change();
        assertThat(change.pupils()).extracting(SchoolFiles.User::name).containsExactly("Nial Quist");
        assertThat(change.renamed()).isEmpty();
        assertThat(change.classes())
                .extracting(one -> one.group().title() + " by " + one.lead())
                .containsExactly("Net Making by orla");
        assertThat(change.joins())
                .extracting(one -> one.ofClass().title() + ": " + one.who().name())
                .as("one new pupil in two classes is one pupil")
                .containsExactly("Tidal Navigation 8: Nial Quist", "Net Making: Nial Quist");
        assertThat(change.leaves()).extracting(SchoolChange.Leave::name).containsExactly("Jory Pell");
        assertThat(change.faults())
                .containsExactly(new SchoolFiles.Fault("users.csv", 0, Problem.NOT_FOR_CLASSES, "1"));
    }

    @Test
    void in_the_later_version_a_table_of_its_own_says_who_is_what() {
        tables.put(
                "users.csv",
                table(
                        "sourcedId,status,enabledUser,username,givenName,familyName,identifier,grades",
                        "u1,,true,i,Ines,Carrow-Marr,17,08",
                        "u3,,true,o,Orla,Venn,,"));
        tables.put(
                "roles.csv",
                table(
                        "sourcedId,userSourcedId,roleType,role",
                        "r1,u1,primary,student",
                        "r2,u3,secondary,parent",
                        "r3,u3,primary,teacher"));
        SchoolChange change = change();
        assertThat(change.renamed()).extracting(SchoolChange.Rename::to).containsExactly("Ines Carrow-Marr");
        assertThat(change.faults())
                .extracting(SchoolFiles.Fault::problem)
                .as("u2 is enrolled and no user")
                .containsOnly(Problem.NO_SUCH_USER);
    }

    @Test
    void an_adult_is_never_made_and_a_class_is_never_without_one_who_leads() {
        tables.put(
                "users.csv",
                table(
                        "sourcedId,role,givenName,familyName",
                        "u1,student,Ines,Carrow",
                        "u2,student,Nial,Quist",
                        "u3,teacher,Nobody,Known"));
        SchoolChange change = change();
        assertThat(change.classes()).isEmpty();
        assertThat(change.faults())
                .extracting(SchoolFiles.Fault::problem)
                .containsExactly(Problem.ADULT_NOT_KNOWN, Problem.CLASS_WITHOUT_LEAD);
    }

    @Test
    void who_is_unclear_is_told_and_nobody_loses_a_place_because_of_it() {
        Known other = new Known(new PersonId("other"), "Jory Pell", "", OptionalInt.of(8), true);
        tables.put(
                "users.csv",
                table("sourcedId,role,givenName,familyName", "u1,student,Jory,Pell", "u3,teacher,Orla,Venn"));
        tables.put(
                "enrollments.csv",
                table("classSourcedId,userSourcedId,role,primary", "c1,u1,student,false", "c2,u3,teacher,true"));
        SchoolChange change = SchoolChange.between(files(), List.of(INES, JORY, ORLA, other), List.of(TIDES));
        assertThat(change.leaves()).isEmpty();
        assertThat(change.faults())
                .extracting(SchoolFiles.Fault::problem)
                .containsExactly(Problem.SEVERAL_OF_THAT_NAME);
    }

    @Test
    void what_is_wrong_is_told_with_file_and_line_and_the_rest_is_read() {
        tables.put(
                "users.csv",
                table(
                        "sourcedId,status,role,givenName,familyName",
                        ",,student,No,Id",
                        "u1,,student,Ines,Carrow",
                        "u1,,student,Twice,Told",
                        "u5,,student,,",
                        "u6,tobedeleted,student,Going,Away",
                        "u7,,,No,Role"));
        tables.remove("classes.csv");
        tables.put("enrollments.csv", table("userSourcedId,role", "u1,student"));
        SchoolFiles files = files();
        assertThat(files.users()).hasSize(1);
        assertThat(files.faults())
                .extracting(one -> one.file() + " " + one.line() + " " + one.problem())
                .containsExactly(
                        "users.csv 2 NO_ID",
                        "users.csv 4 SAME_ID_TWICE",
                        "users.csv 5 NO_NAME",
                        "users.csv 6 DELETED",
                        "users.csv 7 UNKNOWN_ROLE",
                        "classes.csv 0 MISSING_FILE",
                        "enrollments.csv 1 MISSING_COLUMN");
    }

    /** Rows in = taken + told, of users and of enrolments, whatever stands in them. */
    @Property
    void every_row_is_taken_or_told(
            @ForAll("cells") List<List<String>> users, @ForAll("cells") List<List<String>> enrollments) {
        var all = Map.of(
                "users.csv", rows(List.of("sourcedId", "role", "givenName", "familyName", "status"), users),
                "classes.csv", table("sourcedId,title", "c1,Tidal Navigation 8"),
                "enrollments.csv",
                        rows(List.of("classSourcedId", "role", "userSourcedId", "endDate", "status"), enrollments));
        SchoolFiles read = SchoolFiles.of(all, TODAY, Optional.empty());

        assertThat(read.users().size() + told(read, "users.csv", Problem.NOT_FOR_CLASSES))
                .isEqualTo(users.size());
        var heardOf = new HashSet<Integer>();
        read.enrollments().forEach(one -> heardOf.add(one.line()));
        read.ended().forEach(one -> heardOf.add(one.line()));
        read.faults().stream()
                .filter(one -> one.file().equals("enrollments.csv"))
                .forEach(one -> heardOf.add(one.line()));
        for (int i = 0; i < enrollments.size(); i++) {
            String user = enrollments.get(i).get(2);
            boolean isOfOthers = users.stream()
                    .anyMatch(one -> one.get(0).equals(user) && one.get(1).equals("parent"));
            assertThat(heardOf.contains(i + 2) || isOfOthers)
                    .as("%s; those of parents are told with the parents", enrollments.get(i))
                    .isTrue();
        }
        SchoolChange.between(read, List.of(INES, JORY, ORLA), List.of(TIDES));
    }

    /** Lines that are told one by one, and those that are counted. */
    private static long told(SchoolFiles read, String file, Problem counted) {
        return read.faults().stream()
                .filter(one -> one.file().equals(file))
                .mapToLong(one -> one.line() > 0 ? 1 : one.problem() == counted ? Long.parseLong(one.quote()) : 0)
                .sum();
    }

    private static SchoolFiles.Table rows(List<String> heading, List<List<String>> rows) {
        var lines = new ArrayList<Line>();
        rows.forEach(row -> lines.add(new Line(lines.size() + 2, row)));
        return new SchoolFiles.Table(heading, lines);
    }

    @Provide
    Arbitrary<List<List<String>>> cells() {
        return Combinators.combine(
                        Arbitraries.of("u1", "u2", "c1", "", "x"),
                        Arbitraries.of("student", "teacher", "parent", "", "STUDENT"),
                        Arbitraries.of("u1", "u2", "Ines", ""),
                        Arbitraries.of("Carrow", "", "2026-09-13", "soon", "2027-01-01"),
                        Arbitraries.of("", "", "active", "tobedeleted"))
                .as((a, b, c, d, e) -> List.of(a, b, c, d, e))
                .list()
                .ofMaxSize(6);
    }

    @Test
    void of_a_delta_only_what_it_says_changes_and_ids_of_an_earlier_file_are_known() {
        var ines = new Known(INES.id(), INES.name(), "", INES.year(), true, Set.of("u1"));
        var tides = new KnownClass(TIDES.id(), TIDES.title(), TIDES.pupils(), TIDES.adults(), Set.of("c1"));
        tables.clear();
        tables.put("manifest.csv", table("propertyName,value", "file.enrollments,delta", "file.users,delta"));
        tables.put("users.csv", table("sourcedId,role,givenName,familyName,grades", "u1,student,Inès,Carrow-Holt,09"));
        tables.put("classes.csv", table("sourcedId,title"));
        tables.put(
                "enrollments.csv",
                table(
                        "sourcedId,status,classSourcedId,userSourcedId,role",
                        "e1,tobedeleted,c1,u1,student",
                        "e2,active,c1,nobody,student",
                        "e3,active,nowhere,u1,student"));
        SchoolChange change = SchoolChange.between(files(), List.of(ines, JORY, ORLA), List.of(tides));

        assertThat(change.leaves())
                .extracting(SchoolChange.Leave::name)
                .as("and Jory, of whom it says nothing, stays")
                .containsExactly("Ines Carrow");
        assertThat(change.pupils())
                .as("a pupil of a new name and year is the same one")
                .isEmpty();
        assertThat(change.renamed()).extracting(SchoolChange.Rename::to).containsExactly("Inès Carrow-Holt");
        assertThat(change.moved()).extracting(SchoolChange.Move::year).containsExactly(9);
        assertThat(change.faults())
                .extracting(one -> one.line() + " " + one.problem())
                .containsExactlyInAnyOrder("3 NO_SUCH_USER", "4 NO_SUCH_CLASS");
    }

    @Test
    void in_a_delta_one_enrolment_in_the_place_of_another_and_one_to_come_take_nobody_out_and_no_adult_goes() {
        tables.put("manifest.csv", table("propertyName,value", "file.enrollments,delta"));
        tables.put(
                "enrollments.csv",
                table(
                        "sourcedId,status,classSourcedId,userSourcedId,role,beginDate",
                        "e1,tobedeleted,c1,u1,student,",
                        "e9,active,c1,u1,student,",
                        "e8,active,c1,u1,student,2026-10-01",
                        "e3,tobedeleted,c1,u3,teacher,",
                        "e7,tobedeleted,c1,nobody,student,"));
        SchoolChange change = change();

        assertThat(change.leaves()).isEmpty();
        assertThat(change.faults())
                .extracting(one -> one.line() + " " + one.problem())
                .contains("4 NOT_BEGUN", "5 ADULT_STAYS", "6 NO_SUCH_USER");
    }

    @Test
    void ids_of_the_file_are_kept_for_the_next_one() {
        assertThat(change().met()).extracting(SchoolChange.Ids::inFile).containsExactly("u1", "u3", "c1");
    }

    @Test
    void enrolments_that_are_over_or_have_not_begun_are_none_and_told() {
        tables.put(
                "enrollments.csv",
                table(
                        "sourcedId,classSourcedId,userSourcedId,role,beginDate,endDate",
                        "e1,c1,u1,student,2026-08-20,",
                        "e2,c1,u2,student,,2026-09-13",
                        "e3,c1,u2,student,2026-10-01,",
                        "e4,c1,u3,teacher,,2026-09-14"));
        SchoolChange change = change();

        assertThat(change.joins()).isEmpty();
        assertThat(change.faults()).extracting(SchoolFiles.Fault::problem).contains(Problem.NOT_BEGUN, Problem.ENDED);
    }

    @Test
    void of_several_schools_one_has_to_be_said_and_what_is_of_others_is_counted() {
        tables.put(
                "orgs.csv", table("sourcedId,name,type", "s,Halvorn Reach,school", "x,Other,school", "d,All,district"));
        tables.put("demographics.csv", table("sourcedId"));
        tables.put("users.csv", OF_TWO_SCHOOLS);
        SchoolFiles open = files();
        assertThat(open.schools())
                .extracting(one -> one.name() + " " + one.users())
                .containsExactly("Halvorn Reach 1", "Other 1");
        assertThat(open.users()).isEmpty();

        tables.put("orgs.csv", table("sourcedId,name,type", "s,Halvorn Reach,school", "d,All,district"));
        tables.put(
                "users.csv",
                table(
                        "sourcedId,orgSourcedIds,role,givenName,familyName",
                        "u1,s,student,Ines,Carrow",
                        "u2,x,student,Else,Where",
                        "u3,d,teacher,Orla,Venn"));
        assertThat(files().users())
                .as("of the one school there is, or of all that are above it")
                .extracting(SchoolFiles.User::id)
                .containsExactly("u1", "u3");
    }

    @Test
    void of_the_school_that_was_said_the_others_are_left_out_and_what_is_not_read_is_told() {
        tables.put("orgs.csv", table("sourcedId,name,type", "s,Halvorn Reach,school", "x,Other,school"));
        tables.put("demographics.csv", table("sourcedId"));
        tables.put("users.csv", OF_TWO_SCHOOLS);
        SchoolFiles said = SchoolFiles.of(tables, TODAY, Optional.of("s"));
        assertThat(said.users()).extracting(SchoolFiles.User::id).containsExactly("u1", "u3");
        assertThat(said.faults())
                .contains(
                        new SchoolFiles.Fault("demographics.csv", 0, Problem.FILE_NOT_READ, "demographics.csv"),
                        new SchoolFiles.Fault("users.csv", 0, Problem.COLUMNS_NOT_READ, "email"),
                        new SchoolFiles.Fault("", 0, Problem.OF_ANOTHER_SCHOOL, "3"));
    }

    @Test
    void a_namesake_of_another_year_is_told_and_no_second_pupil_is_made() {
        tables.put(
                "users.csv",
                table(
                        "sourcedId,role,givenName,familyName,grades",
                        "u1,student,Jory,Pell,09",
                        "u3,teacher,Orla,Venn,"));
        SchoolChange change = change();

        assertThat(change.pupils()).isEmpty();
        assertThat(change.leaves()).isEmpty();
        assertThat(change.faults()).extracting(SchoolFiles.Fault::problem).contains(Problem.OTHER_YEAR_OF_THAT_NAME);
    }

    @Test
    void the_subject_of_a_class_is_the_first_that_the_file_names() {
        tables.put(
                "classes.csv",
                new SchoolFiles.Table(
                        List.of("sourcedId", "title", "subjects"),
                        List.of(
                                new Line(2, List.of("c1", "Tidal Navigation 8", "Navigation, Physics")),
                                new Line(3, List.of("c2", "Net Making", "")),
                                new Line(4, List.of("c3", "Long", "x".repeat(200))))));
        assertThat(files().classes()).extracting(SchoolFiles.Group::subject).containsExactly("Navigation", "", "");
    }
}
