package juricast.server.exchange;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import juricast.core.identity.Member;
import juricast.core.identity.Role;
import juricast.core.timetable.SchoolCalendar;
import juricast.server.access.Position;
import juricast.server.classes.Calendar;
import juricast.server.classes.Classes;
import juricast.server.data.School;
import juricast.server.people.People;
import org.springframework.stereotype.Component;

/** The school as files: the six core tables of version 1.1 of the exchange format, one method for each. */
@Component
class SchoolSheets {
    private static final String ORG = "school";
    private static final List<String> ROW = List.of("sourcedId", "status", "dateLastModified");
    private static final List<String> SESSION =
            List.of("title", "type", "startDate", "endDate", "parentSourcedId", "schoolYear");
    private static final List<String> ORGS = List.of("name", "type", "identifier", "parentSourcedId");
    private static final List<String> COURSE =
            List.of("schoolYearSourcedId", "title", "courseCode", "grades", "orgSourcedId", "subjects", "subjectCodes");
    private static final List<String> CLASS = List.of(
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
            "periods");
    private static final List<String> USER = List.of(
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
            "password");
    private static final List<String> ENROLLMENT =
            List.of("classSourcedId", "schoolSourcedId", "userSourcedId", "role", "primary", "beginDate", "endDate");

    private final People people;
    private final Classes classes;
    private final Calendar calendar;
    private final School school;
    private final Clock clock;

    SchoolSheets(People people, Classes classes, Calendar calendar, School school, Clock clock) {
        this.people = people;
        this.classes = classes;
        this.calendar = calendar;
        this.school = school;
        this.clock = clock;
    }

    byte[] write() {
        Instant now = clock.instant();
        List<SchoolCalendar.Days> terms = terms();
        List<Classes.SchoolClass> all = classes.all();
        String name = school.identity().map(School.Identity::name).orElse("School");
        return SchoolZip.write(
                List.of(
                        sheet("academicSessions", SESSION, sessions(terms)),
                        sheet("orgs", ORGS, List.of(row(ORG, name, "school", "", ""))),
                        sheet("courses", COURSE, courses(all)),
                        sheet("classes", CLASS, groups(all, terms.size())),
                        sheet("users", USER, users()),
                        sheet("enrollments", ENROLLMENT, enrollments(all, now))),
                name);
    }

    private static List<List<String>> sessions(List<SchoolCalendar.Days> terms) {
        return IntStream.range(0, terms.size())
                .mapToObj(n -> row(
                        term(n),
                        terms.get(n).name(),
                        "term",
                        terms.get(n).first().toString(),
                        terms.get(n).last().toString(),
                        "",
                        schoolYear(terms.get(n).first())))
                .toList();
    }

    private static List<List<String>> courses(List<Classes.SchoolClass> all) {
        return all.stream()
                .map(one -> row(course(one), "", one.title(), "", grade(one.year()), ORG, "", ""))
                .toList();
    }

    private static List<List<String>> groups(List<Classes.SchoolClass> all, int terms) {
        String every = String.join(
                ",", IntStream.range(0, terms).mapToObj(SchoolSheets::term).toList());
        return all.stream()
                .map(one -> row(
                        one.id().value(),
                        one.title(),
                        grade(one.year()),
                        course(one),
                        "",
                        "scheduled",
                        "",
                        ORG,
                        every,
                        one.subject(),
                        "",
                        ""))
                .toList();
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

    private List<List<String>> enrollments(List<Classes.SchoolClass> all, Instant now) {
        return all.stream()
                .flatMap(one -> classes.members(one.id(), now).stream().map(member -> enrollment(one, member)))
                .toList();
    }

    private static List<String> enrollment(Classes.SchoolClass of, Member member) {
        boolean teaches = member.role().isAdultInCharge();
        return row(
                of.id().value() + "-" + member.person().value(),
                of.id().value(),
                ORG,
                member.person().value(),
                teaches ? "teacher" : "student",
                teaches ? Boolean.toString(member.role() == Role.LEAD_ADULT) : "",
                "",
                "");
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

    private static String term(int n) {
        return "term-" + (n + 1);
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
