package juricast.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import juricast.core.exchange.SchoolChange.Known;
import juricast.core.exchange.SchoolChange.KnownClass;
import juricast.core.exchange.SchoolFiles.Problem;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
import juricast.core.roster.RosterReading.Line;
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

    private SchoolChange change() {
        return SchoolChange.between(SchoolFiles.of(tables), List.of(INES, JORY, ORLA), List.of(TIDES));
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
        assertThat(change.faults()).isEmpty();
        assertThat(SchoolFiles.of(tables).others()).isEqualTo(1);
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
        SchoolChange change =
                SchoolChange.between(SchoolFiles.of(tables), List.of(INES, JORY, ORLA, other), List.of(TIDES));
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
        SchoolFiles files = SchoolFiles.of(tables);
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
        assertThat(SchoolFiles.of(tables).classes())
                .extracting(SchoolFiles.Group::subject)
                .containsExactly("Navigation", "", "");
    }
}
