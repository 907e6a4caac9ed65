package juricast.server.exchange;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import juricast.core.identity.Member;
import juricast.core.identity.Role;
import juricast.core.timetable.SchoolCalendar;
import juricast.server.access.Position;
import juricast.server.classes.Calendar;
import juricast.server.classes.Classes;
import juricast.server.data.School;
import juricast.server.people.People;
import juricast.server.record.SchoolSignature;
import org.springframework.stereotype.Component;

/** The school as files: the core tables of the exchange format in its two versions, one method for each. */
@Component
class SchoolSheets {
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
    /** Of the later version, where roles stand in a table of their own. */
    private static final List<String> USER_OF_SECOND = List.of(
            "enabledUser",
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
            "password",
            "userMasterIdentifier",
            "resourceSourcedIds",
            "preferredGivenName",
            "preferredMiddleName",
            "preferredFamilyName",
            "primaryOrgSourcedId",
            "pronouns");

    private static final List<String> ROLE = List.of(
            "userSourcedId", "roleType", "role", "beginDate", "endDate", "orgSourcedId", "userProfileSourcedId");
    private static final List<String> ENROLLMENT =
            List.of("classSourcedId", "schoolSourcedId", "userSourcedId", "role", "primary", "beginDate", "endDate");

    private final People people;
    private final Classes classes;
    private final Calendar calendar;
    private final School school;
    private final SchoolSignature signature;
    private final Clock clock;

    SchoolSheets(
            People people, Classes classes, Calendar calendar, School school, SchoolSignature signature, Clock clock) {
        this.signature = signature;
        this.people = people;
        this.classes = classes;
        this.calendar = calendar;
        this.school = school;
        this.clock = clock;
    }

    byte[] write(SchoolZip.Version version) {
        Instant now = clock.instant();
        List<SchoolCalendar.Days> terms = terms();
        List<Classes.SchoolClass> all = classes.all();
        String name = school.identity().map(School.Identity::name).orElse("School");
        String org = id("school");
        var sheets = new ArrayList<>(List.of(
                sheet("academicSessions", SESSION, sessions(terms)),
                sheet("orgs", ORGS, List.of(row(org, name, "school", "", ""))),
                sheet("courses", COURSE, courses(all, org)),
                sheet("classes", CLASS, groups(all, terms, org))));
        if (version == SchoolZip.Version.FIRST) {
            sheets.add(sheet("users", USER, users(org)));
        } else {
            sheets.add(sheet("users", USER_OF_SECOND, usersOfSecond(org)));
            sheets.add(sheet("roles", ROLE, roles(org)));
        }
        sheets.add(sheet("enrollments", ENROLLMENT, enrollments(all, now, org)));
        return SchoolZip.write(version, sheets, name);
    }

    /** An id that is this school's own and always the same: whoever puts the files of two schools together has both. */
    private String id(String of) {
        byte[] key = signature.publicKey();
        byte[] name = of.getBytes(StandardCharsets.UTF_8);
        byte[] both = Arrays.copyOf(key, key.length + name.length);
        System.arraycopy(name, 0, both, key.length, name.length);
        return UUID.nameUUIDFromBytes(both).toString();
    }

    private List<List<String>> sessions(List<SchoolCalendar.Days> terms) {
        return terms.stream()
                .map(one -> row(
                        term(one),
                        one.name(),
                        "term",
                        one.first().toString(),
                        one.last().toString(),
                        "",
                        schoolYear(one.first())))
                .toList();
    }

    private static List<List<String>> courses(List<Classes.SchoolClass> all, String org) {
        return all.stream()
                .map(one -> row(course(one), "", one.title(), "", grade(one.year()), org, "", ""))
                .toList();
    }

    private List<List<String>> groups(List<Classes.SchoolClass> all, List<SchoolCalendar.Days> terms, String org) {
        String every = String.join(",", terms.stream().map(this::term).toList());
        return all.stream()
                .map(one -> row(
                        one.id().value(),
                        one.title(),
                        grade(one.year()),
                        course(one),
                        "",
                        "scheduled",
                        "",
                        org,
                        every,
                        one.subject(),
                        "",
                        ""))
                .toList();
    }

    private static String role(Position position) {
        return switch (position) {
            case PUPIL -> "student";
            case TEACHER -> "teacher";
            case LEAD -> "administrator";
        };
    }

    private List<People.Person> everybody() {
        return Stream.of(Position.values())
                .flatMap(position -> people.inPosition(position).stream())
                .toList();
    }

    private static String username(People.Person one) {
        return one.signIn().isEmpty() ? one.id().value() : one.signIn();
    }

    private static String givenName(People.Person one) {
        int cut = one.name().lastIndexOf(' ');
        return cut < 0 ? one.name() : one.name().substring(0, cut);
    }

    private static String familyName(People.Person one) {
        int cut = one.name().lastIndexOf(' ');
        return cut < 0 ? "" : one.name().substring(cut + 1);
    }

    private List<List<String>> users(String org) {
        return everybody().stream()
                .map(one -> row(
                        one.id().value(),
                        "true",
                        org,
                        role(one.position()),
                        username(one),
                        "",
                        givenName(one),
                        familyName(one),
                        "",
                        one.number(),
                        "",
                        "",
                        "",
                        "",
                        grade(one.year()),
                        ""))
                .toList();
    }

    private List<List<String>> usersOfSecond(String org) {
        return everybody().stream()
                .map(one -> row(
                        one.id().value(),
                        "true",
                        username(one),
                        "",
                        givenName(one),
                        familyName(one),
                        "",
                        one.number(),
                        "",
                        "",
                        "",
                        "",
                        grade(one.year()),
                        "",
                        "",
                        "",
                        "",
                        "",
                        "",
                        org,
                        ""))
                .toList();
    }

    private List<List<String>> roles(String org) {
        return everybody().stream()
                .map(one -> row(
                        one.id().value() + "-role",
                        one.id().value(),
                        "primary",
                        one.position() == Position.LEAD ? "siteAdministrator" : role(one.position()),
                        "",
                        "",
                        org,
                        ""))
                .toList();
    }

    private List<List<String>> enrollments(List<Classes.SchoolClass> all, Instant now, String org) {
        return all.stream()
                .flatMap(one -> classes.members(one.id(), now).stream().map(member -> enrollment(one, member, org)))
                .toList();
    }

    private static List<String> enrollment(Classes.SchoolClass of, Member member, String org) {
        boolean teaches = member.role().isAdultInCharge();
        return row(
                of.id().value() + "-" + member.person().value(),
                of.id().value(),
                org,
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

    private String term(SchoolCalendar.Days term) {
        return id("term " + term.first() + " " + term.name());
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
