package juricast.server.exchange;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import juricast.core.exchange.SchoolChange;
import juricast.core.exchange.SchoolFiles;
import juricast.core.identity.ClassId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.joining.JoinWord;
import juricast.core.joining.LinkKey;
import juricast.core.timetable.SchoolCalendar;
import juricast.server.access.Position;
import juricast.server.classes.Calendar;
import juricast.server.classes.Classes;
import juricast.server.data.Database;
import juricast.server.data.Ids;
import juricast.server.data.School;
import juricast.server.people.People;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Takes the files of a school, compared first and carried out as a whole, and writes the school as such files. */
@Component
class SchoolExchange {
    private static final String ORG = "school";
    private static final List<String> ROW = List.of("sourcedId", "status", "dateLastModified");

    private final People people;
    private final Classes classes;
    private final Calendar calendar;
    private final School school;
    private final Database database;
    private final Clock clock;

    SchoolExchange(People people, Classes classes, Calendar calendar, School school, Database database, Clock clock) {
        this.people = people;
        this.classes = classes;
        this.calendar = calendar;
        this.school = school;
        this.database = database;
        this.clock = clock;
    }

    SchoolChange compare(byte[] zip) {
        Instant now = clock.instant();
        List<SchoolChange.Known> known = new ArrayList<>();
        people.inPosition(Position.PUPIL).forEach(one -> known.add(known(one, true)));
        people.inPosition(Position.TEACHER).forEach(one -> known.add(known(one, false)));
        List<SchoolChange.KnownClass> all = classes.all().stream()
                .map(one -> {
                    List<Member> members = classes.members(one.id(), now);
                    return new SchoolChange.KnownClass(one.id(), one.title(), ids(members, false), ids(members, true));
                })
                .toList();
        return SchoolChange.between(SchoolFiles.of(SchoolZip.read(zip)), known, all);
    }

    private static SchoolChange.Known known(People.Person one, boolean isPupil) {
        return new SchoolChange.Known(
                one.id(),
                one.name(),
                one.number(),
                one.year() == 0 ? java.util.OptionalInt.empty() : java.util.OptionalInt.of(one.year()),
                isPupil);
    }

    private static Set<PersonId> ids(List<Member> members, boolean adults) {
        return members.stream()
                .filter(one -> one.role().isAdultInCharge() == adults)
                .map(Member::person)
                .collect(Collectors.toSet());
    }

    /** Carries it out, all of it or nothing. */
    void take(SchoolChange change) {
        Instant now = clock.instant();
        int firstLink = database.read()
                .sql("SELECT coalesce(max(link_number), 0) + 1 FROM class")
                .query(Integer.class)
                .single();
        var words = new HashSet<>(classes.joinWords());
        database.write(sql -> {
            Map<String, PersonId> made = people(sql, change);
            change.renamed().forEach(one -> People.rename(sql, one.person(), one.to()));
            var newClasses = new HashMap<String, ClassId>();
            IntStream.range(0, change.classes().size()).forEach(n -> {
                SchoolChange.NewClass one = change.classes().get(n);
                JoinWord word = JoinWord.choose(new SecureRandom(), words);
                words.add(word);
                var id = new ClassId(Ids.next());
                Classes.insert(
                        sql,
                        new Classes.SchoolClass(
                                id,
                                one.group().title(),
                                one.group().year().orElse(0),
                                one.group().subject(),
                                new LinkKey.Link(firstLink + n, 0),
                                word));
                Classes.join(sql, id, one.lead(), Role.LEAD_ADULT, now);
                newClasses.put(one.group().id(), id);
            });
            for (SchoolChange.Leave one : change.leaves()) {
                Classes.part(sql, one.ofClass(), one.pupil(), now);
            }
            for (SchoolChange.Join one : change.joins()) {
                ClassId of = one.ofClass()
                        .known()
                        .orElseGet(() -> newClasses.get(one.ofClass().inFile()));
                PersonId who =
                        one.who().known().orElseGet(() -> made.get(one.who().inFile()));
                Classes.join(sql, of, who, one.asPupil() ? Role.PUPIL : Role.SECOND_ADULT, now);
            }
            return null;
        });
    }

    private static Map<String, PersonId> people(JdbcClient sql, SchoolChange change) {
        var made = new HashMap<String, PersonId>();
        for (SchoolFiles.User one : change.pupils()) {
            var id = new PersonId(Ids.next());
            People.add(
                    sql,
                    new People.Person(
                            id,
                            one.name(),
                            Position.PUPIL,
                            one.number(),
                            one.year().orElse(0),
                            ""),
                    "");
            made.put(one.id(), id);
        }
        return made;
    }

    /** The six core tables of version 1.1. */
    byte[] write() {
        Instant now = clock.instant();
        List<SchoolCalendar.Days> terms = terms();
        List<String> termIds = IntStream.range(0, terms.size())
                .mapToObj(n -> "term-" + (n + 1))
                .toList();
        List<Classes.SchoolClass> all = classes.all();
        String name = school.identity().map(School.Identity::name).orElse("School");
        return SchoolZip.write(
                List.of(
                        sheet(
                                "academicSessions",
                                List.of("title", "type", "startDate", "endDate", "parentSourcedId", "schoolYear"),
                                IntStream.range(0, terms.size())
                                        .mapToObj(n -> row(
                                                termIds.get(n),
                                                terms.get(n).name(),
                                                "term",
                                                terms.get(n).first().toString(),
                                                terms.get(n).last().toString(),
                                                "",
                                                schoolYear(terms.get(n).first())))
                                        .toList()),
                        sheet(
                                "orgs",
                                List.of("name", "type", "identifier", "parentSourcedId"),
                                List.of(row(ORG, name, "school", "", ""))),
                        sheet(
                                "courses",
                                List.of(
                                        "schoolYearSourcedId",
                                        "title",
                                        "courseCode",
                                        "grades",
                                        "orgSourcedId",
                                        "subjects",
                                        "subjectCodes"),
                                all.stream()
                                        .map(one ->
                                                row(course(one), "", one.title(), "", grade(one.year()), ORG, "", ""))
                                        .toList()),
                        sheet(
                                "classes",
                                List.of(
                                        "title",
                                        "grades",
                                        "courseSourcedId",
                                        "classCode",
                                        "classType",
                                        "location",
                                        "schoolSourcedId",
                                        "termSourcedIds",
                                        "subjects",
                                        "subjectCodes",
                                        "periods"),
                                all.stream()
                                        .map(one -> row(
                                                one.id().value(),
                                                one.title(),
                                                grade(one.year()),
                                                course(one),
                                                "",
                                                "scheduled",
                                                "",
                                                ORG,
                                                String.join(",", termIds),
                                                one.subject(),
                                                "",
                                                ""))
                                        .toList()),
                        sheet(
                                "users",
                                List.of(
                                        "enabledUser",
                                        "orgSourcedIds",
                                        "role",
                                        "username",
                                        "userIds",
                                        "givenName",
                                        "familyName",
                                        "middleName",
                                        "identifier",
                                        "email",
                                        "sms",
                                        "phone",
                                        "agentSourcedIds",
                                        "grades",
                                        "password"),
                                users()),
                        sheet(
                                "enrollments",
                                List.of(
                                        "classSourcedId",
                                        "schoolSourcedId",
                                        "userSourcedId",
                                        "role",
                                        "primary",
                                        "beginDate",
                                        "endDate"),
                                all.stream()
                                        .flatMap(one -> classes.members(one.id(), now).stream()
                                                .map(member -> row(
                                                        one.id().value() + "-"
                                                                + member.person()
                                                                        .value(),
                                                        one.id().value(),
                                                        ORG,
                                                        member.person().value(),
                                                        member.role().isAdultInCharge() ? "teacher" : "student",
                                                        member.role().isAdultInCharge()
                                                                ? Boolean.toString(member.role() == Role.LEAD_ADULT)
                                                                : "",
                                                        "",
                                                        "")))
                                        .toList())),
                name);
    }

    /** Where the school says no terms, the year that its lessons fill. */
    private List<SchoolCalendar.Days> terms() {
        List<SchoolCalendar.Days> terms = calendar.now().terms();
        if (!terms.isEmpty()) {
            return terms;
        }
        LocalDate today = school.date(clock.instant());
        LocalDate first = today.getMonthValue() >= 8
                ? today.withDayOfYear(213)
                : today.minusYears(1).withDayOfYear(213);
        return List.of(new SchoolCalendar.Days(
                "The school year", first, first.plusYears(1).minusDays(1)));
    }

    /** The year in which the school year ends, as the binding has it. */
    private static String schoolYear(LocalDate first) {
        return Integer.toString(first.getMonthValue() >= 7 ? first.getYear() + 1 : first.getYear());
    }

    private static String course(Classes.SchoolClass one) {
        return "course-" + one.id().value();
    }

    private static String grade(int year) {
        return year == 0 ? "" : "%02d".formatted(year);
    }

    private List<List<String>> users() {
        var rows = new ArrayList<List<String>>();
        for (Position position : Position.values()) {
            for (People.Person one : people.inPosition(position)) {
                int cut = one.name().lastIndexOf(' ');
                rows.add(row(
                        one.id().value(),
                        "true",
                        ORG,
                        switch (position) {
                            case PUPIL -> "student";
                            case TEACHER -> "teacher";
                            case LEAD -> "administrator";
                        },
                        one.signIn().isEmpty() ? one.id().value() : one.signIn(),
                        "",
                        cut < 0 ? one.name() : one.name().substring(0, cut),
                        cut < 0 ? "" : one.name().substring(cut + 1),
                        "",
                        one.number(),
                        "",
                        "",
                        "",
                        "",
                        grade(one.year()),
                        ""));
            }
        }
        return rows;
    }

    private static SchoolZip.Sheet sheet(String name, List<String> columns, List<List<String>> rows) {
        var heading = new ArrayList<>(ROW);
        heading.addAll(columns);
        return new SchoolZip.Sheet(name, heading, rows);
    }

    /** In bulk files, status and date stay empty. */
    private static List<String> row(String id, String... cells) {
        var row = new ArrayList<>(List.of(id, "", ""));
        row.addAll(List.of(cells));
        return row;
    }
}
