package juricast.server.classes;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.PUPIL;
import static juricast.server.access.Position.TEACHER;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.audience.DeskView;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.joining.JoinWord;
import juricast.core.joining.LinkKey;
import juricast.core.limits.Limits;
import juricast.core.time.Span;
import juricast.core.timetable.Recurrence;
import juricast.core.timetable.SchoolCalendar;
import juricast.core.timetable.Series;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.data.Database;
import juricast.server.data.Ids;
import juricast.server.data.School;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** Classes and their lessons: made, looked at, scheduled. */
@RestController
@RequestMapping("/api")
class ClassController {
    private static final int MOST_YEARS = 5;
    private static final int MOST_WEEKS = 8;

    private final AccessToClasses access;
    private final Classes classes;
    private final People people;
    private final School school;
    private final Database database;
    private final JoinLinks links;
    private final Calendar calendar;
    private final Clock clock;

    ClassController(
            AccessToClasses access,
            Classes classes,
            People people,
            School school,
            Database database,
            JoinLinks links,
            Calendar calendar,
            Clock clock) {
        this.access = access;
        this.classes = classes;
        this.people = people;
        this.school = school;
        this.database = database;
        this.links = links;
        this.calendar = calendar;
        this.clock = clock;
    }

    record ClassLine(String id, String title, int year, int pupils, List<String> adults, @Nullable Instant next) {}

    record NewClass(String title, int year, @Nullable String subject, @Nullable String secondAdult) {}

    record SubjectRequest(@Nullable String subject) {}

    record Colleague(String id, String name) {}

    /** A class with all that its page shows. */
    record ClassPage(
            String id,
            String title,
            int year,
            String subject,
            boolean mine,
            List<Person> adults,
            List<Person> pupils,
            List<LessonLine> lessons) {}

    record Person(String id, String name, Role role) {}

    /** A lesson of today or of a class, as its adults see it. */
    record LessonLine(
            String id,
            String classId,
            String title,
            Instant starts,
            Instant ends,
            DeskView.Phase phase,
            @Nullable Instant openedAt,
            List<String> adults,
            int pupils,
            boolean mine) {}

    /** @param everyWeeks 1 for every week, 2 for every second one, and so on; 1 if it is not said */
    record SeriesRequest(
            String first, String until, Set<DayOfWeek> days, String start, int minutes, @Nullable Integer everyWeeks) {}

    /**
     * @param left how many fell on a time when the class has a lesson already, and were left out
     * @param holidays how many fell on days on which there is no school, and were left out
     */
    record Scheduled(int added, int left, int holidays) {}

    /** Today's lessons: one's own, or all of the school for the safeguarding lead. */
    @GetMapping("/today")
    @For({TEACHER, LEAD})
    List<LessonLine> today(@AuthenticationPrincipal SignedIn caller) {
        Instant now = clock.instant();
        LocalDate date = school.date(now);
        var day = new Span(
                date.atStartOfDay(school.zone()).toInstant(),
                date.plusDays(1).atStartOfDay(school.zone()).toInstant());
        Set<ClassId> seen = (caller.isLead() ? classes.all() : classes.of(caller.person(), now))
                .stream().map(Classes.SchoolClass::id).collect(Collectors.toSet());
        Set<LessonId> covered = classes.coveredBy(caller.person(), day).stream()
                .map(Classes.Planned::id)
                .collect(Collectors.toSet());
        return classes.lessons(day).stream()
                .filter(one -> seen.contains(one.ofClass()) || covered.contains(one.id()))
                .map(one -> line(one, caller))
                .toList();
    }

    @GetMapping("/classes")
    @For({TEACHER, LEAD})
    List<ClassLine> list(@AuthenticationPrincipal SignedIn caller) {
        Instant now = clock.instant();
        return (caller.isLead() ? classes.all() : classes.of(caller.person(), now))
                .stream().map(one -> classLine(one, now)).toList();
    }

    /** Adults who could help with a class. */
    @GetMapping("/adults")
    @For({TEACHER, LEAD})
    List<Colleague> adults() {
        return people.inPosition(TEACHER).stream()
                .map(one -> new Colleague(one.id().value(), one.name()))
                .toList();
    }

    /** Makes a class whose lead adult is the caller. */
    @PostMapping("/classes")
    @For(TEACHER)
    ClassLine make(@RequestBody NewClass wanted, @AuthenticationPrincipal SignedIn caller) {
        String title = wanted.title == null ? "" : wanted.title.strip().replaceAll("\\s+", " ");
        if (title.isEmpty() || title.length() > Limits.NAME || wanted.year < 0 || wanted.year > 13) {
            throw Problem.notReadable(
                    "This class cannot be made",
                    "Nothing was stored.",
                    "Give a title of 1 to 80 characters, and a year group of 1 to 13 or none.",
                    List.of(new Problem.Wrong("title", "1 to 80 characters")));
        }
        var adults = new LinkedHashMap<PersonId, Role>();
        Optional.ofNullable(wanted.secondAdult)
                .filter(id -> !id.isBlank())
                .map(PersonId::new)
                .flatMap(people::find)
                .filter(one -> one.position() != PUPIL)
                .ifPresent(one -> adults.put(one.id(), Role.SECOND_ADULT));
        adults.put(caller.person(), Role.LEAD_ADULT);
        var made = new Classes.SchoolClass(
                new ClassId(Ids.next()),
                title,
                wanted.year,
                subject(wanted.subject),
                new LinkKey.Link(classes.nextLinkNumber(), 0),
                JoinWord.choose(new SecureRandom(), classes.joinWords()));
        if (!classes.add(made, adults, clock.instant())) {
            throw Problem.refused(
                    "title-taken",
                    "There is a class “%s” already".formatted(title),
                    "Nothing was stored.",
                    "Give it another title, such as the year group with it.");
        }
        return classLine(made, clock.instant());
    }

    @GetMapping("/classes/{id}")
    @For({TEACHER, LEAD})
    ClassPage page(@PathVariable String id, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.seenBy(caller, id);
        Instant now = clock.instant();
        List<Member> members = classes.members(found.id(), now);
        List<Classes.Planned> lessons = classes.lessonsOf(found.id());
        return new ClassPage(
                found.id().value(),
                found.title(),
                found.year(),
                found.subject(),
                members.stream().anyMatch(one -> one.person().equals(caller.person())),
                members.stream()
                        .filter(one -> one.role().isAdultInCharge())
                        .map(ClassController::person)
                        .toList(),
                members.stream()
                        .filter(one -> !one.role().isAdultInCharge())
                        .map(ClassController::person)
                        .toList(),
                lessons.stream().map(one -> line(one, caller)).toList());
    }

    /** Says what a class is about; attendance is counted by it. */
    @PutMapping("/classes/{id}/subject")
    @For({TEACHER, LEAD})
    ClassPage setSubject(
            @PathVariable String id, @RequestBody SubjectRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        classes.setSubject(access.seenBy(caller, id).id(), subject(wanted.subject));
        return page(id, caller);
    }

    private static String subject(@Nullable String said) {
        String subject = said == null ? "" : said.strip().replaceAll("\\s+", " ");
        if (subject.length() > Limits.NAME) {
            throw Problem.notReadable(
                    "This subject is too long",
                    "Nothing was stored.",
                    "Give at most %d characters.".formatted(Limits.NAME),
                    List.of(new Problem.Wrong("subject", "at most %d characters".formatted(Limits.NAME))));
        }
        return subject;
    }

    /** Schedules a lesson weekly on chosen days until a date. */
    @PostMapping("/classes/{id}/series")
    @For(TEACHER)
    Scheduled schedule(
            @PathVariable String id, @RequestBody SeriesRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.runBy(caller, id);
        Weekly weekly = read(wanted);
        LocalDate before = weekly.until.plusDays(1);
        List<Series.Fault> faults = weekly.series.faults(before);
        if (!faults.isEmpty()) {
            throw Problem.notReadable(
                    "This cannot be scheduled",
                    "Nothing was stored.",
                    "Mend what is marked.",
                    faults.stream().map(ClassController::wrong).toList());
        }
        List<Series.Slot> all = weekly.series.lessons(before);
        SchoolCalendar days = calendar.now();
        List<Series.Slot> held = all.stream()
                .filter(one -> days.holidayOn(one.slot().toLocalDate()).isEmpty())
                .toList();
        int added = classes.schedule(found.id(), weekly.series, held, caller.person(), clock.instant());
        return new Scheduled(added, held.size() - added, all.size() - held.size());
    }

    /** Lets another adult belong to the class from now on, besides those who do. */
    @PutMapping("/classes/{id}/adults/{person}")
    @For({TEACHER, LEAD})
    ClassPage addAdult(@PathVariable String id, @PathVariable String person, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.seenBy(caller, id);
        PersonId added = people.find(new PersonId(person))
                .filter(one -> one.position() == TEACHER)
                .map(People.Person::id)
                .orElseThrow(() -> Problem.notThere("This teacher"));
        boolean isIn = classes.members(found.id(), clock.instant()).stream()
                .anyMatch(one -> one.person().equals(added));
        if (!isIn) {
            database.write(sql -> {
                Classes.join(sql, found.id(), added, Role.SECOND_ADULT, clock.instant());
                return null;
            });
        }
        return page(id, caller);
    }

    /** Ends that an adult belongs to a class; the lead adult stays until another one leads. */
    @DeleteMapping("/classes/{id}/adults/{person}")
    @For({TEACHER, LEAD})
    ClassPage removeAdult(
            @PathVariable String id, @PathVariable String person, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.seenBy(caller, id);
        Member known = classes.members(found.id(), clock.instant()).stream()
                .filter(one -> one.person().value().equals(person) && one.role().isAdultInCharge())
                .findFirst()
                .orElseThrow(() -> Problem.notThere("This adult"));
        if (known.role() == Role.LEAD_ADULT) {
            throw Problem.refused(
                    "leads-the-class",
                    "%s leads this class".formatted(known.name()),
                    "A class is never without a lead adult.",
                    "Let somebody cover for a time in the timetable, or let another adult lead it.");
        }
        database.write(sql -> {
            Classes.part(sql, found.id(), known.person(), clock.instant());
            return null;
        });
        return page(id, caller);
    }

    /** Lets another adult of the class lead it from now on; who led it stays as second adult. */
    @PostMapping("/classes/{id}/adults/{person}/lead")
    @For({TEACHER, LEAD})
    ClassPage handOver(@PathVariable String id, @PathVariable String person, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.seenBy(caller, id);
        Instant now = clock.instant();
        List<Member> adults = classes.members(found.id(), now).stream()
                .filter(one -> one.role().isAdultInCharge())
                .toList();
        Member next = adults.stream()
                .filter(one -> one.person().value().equals(person))
                .findFirst()
                .orElseThrow(() -> Problem.notThere("This adult"));
        database.write(sql -> {
            adults.forEach(one -> {
                Classes.part(sql, found.id(), one.person(), now);
                Classes.join(
                        sql, found.id(), one.person(), one.equals(next) ? Role.LEAD_ADULT : Role.SECOND_ADULT, now);
            });
            return null;
        });
        return page(id, caller);
    }

    /** Renews the link; who comes with the old one is told so. */
    @PostMapping("/classes/{id}/link/renew")
    @For(TEACHER)
    ClassPage renew(@PathVariable String id, @AuthenticationPrincipal SignedIn caller) {
        classes.renewLink(access.runBy(caller, id).id(), clock.instant());
        return page(id, caller);
    }

    /** Renews the link that leads adults of the class to the desk. */
    @PostMapping("/classes/{id}/staff-link/renew")
    @For(TEACHER)
    ClassPage renewStaffLink(@PathVariable String id, @AuthenticationPrincipal SignedIn caller) {
        links.renewStaff(access.runBy(caller, id).id());
        return page(id, caller);
    }

    private ClassLine classLine(Classes.SchoolClass one, Instant now) {
        List<Member> members = classes.members(one.id(), now);
        return new ClassLine(
                one.id().value(),
                one.title(),
                one.year(),
                (int) members.stream()
                        .filter(member -> !member.role().isAdultInCharge())
                        .count(),
                adultNames(members),
                classes.lessonsOf(one.id()).stream()
                        .map(lesson -> lesson.time().from())
                        .filter(from -> from.isAfter(now))
                        .findFirst()
                        .orElse(null));
    }

    private LessonLine line(Classes.Planned one, SignedIn caller) {
        record Stage(DeskView.Phase phase, @Nullable Instant openedAt) {}
        Stage stage = database.read()
                .sql(
                        """
                    SELECT kind, json_extract(body, '$.at') AS at FROM lesson_event
                    WHERE lesson = :lesson AND kind IN ('Opened', 'Dismissed') ORDER BY number DESC LIMIT 1""")
                .param("lesson", one.id().value())
                .query((row, n) -> new Stage(
                        row.getString("kind").equals("Opened") ? DeskView.Phase.OPEN : DeskView.Phase.OVER,
                        Instant.parse(row.getString("at"))))
                .optional()
                .orElse(new Stage(DeskView.Phase.PLANNED, null));
        List<Member> members = classes.membersOf(one, clock.instant());
        return new LessonLine(
                one.id().value(),
                one.ofClass().value(),
                one.title(),
                one.time().from(),
                one.time().until(),
                stage.phase,
                stage.phase == DeskView.Phase.OPEN ? stage.openedAt : null,
                adultNames(members),
                (int) members.stream()
                        .filter(member -> !member.role().isAdultInCharge())
                        .count(),
                members.stream().anyMatch(member -> member.person().equals(caller.person())));
    }

    private static List<String> adultNames(List<Member> members) {
        return members.stream()
                .filter(member -> member.role().isAdultInCharge())
                .sorted((a, b) -> a.role().compareTo(b.role()))
                .map(Member::name)
                .toList();
    }

    private static Person person(Member member) {
        return new Person(member.person().value(), member.name(), member.role());
    }

    private record Weekly(Series series, LocalDate until) {}

    private Weekly read(SeriesRequest wanted) {
        var wrong = new ArrayList<Problem.Wrong>();
        LocalDate first = date(wanted.first, "first", wrong);
        LocalDate until = date(wanted.until, "until", wrong);
        LocalTime start = LocalTime.MIDNIGHT;
        try {
            start = LocalTime.parse(String.valueOf(wanted.start));
        } catch (DateTimeParseException unreadable) {
            wrong.add(new Problem.Wrong("start", "A time such as 10:05"));
        }
        Set<DayOfWeek> days = wanted.days == null ? Set.of() : wanted.days;
        int everyWeeks = wanted.everyWeeks == null ? 1 : wanted.everyWeeks;
        if (wrong.isEmpty()) {
            if (days.isEmpty()) {
                wrong.add(new Problem.Wrong("days", "Choose at least one day of the week"));
            } else if (until.isBefore(first)) {
                wrong.add(new Problem.Wrong("until", "The last date lies before the first"));
            } else if (until.isAfter(first.plusYears(MOST_YEARS))) {
                wrong.add(new Problem.Wrong("until", "A series lasts %d years at most".formatted(MOST_YEARS)));
            } else if (everyWeeks < 1 || everyWeeks > MOST_WEEKS) {
                wrong.add(new Problem.Wrong("everyWeeks", "Every 1 to %d weeks".formatted(MOST_WEEKS)));
            }
        }
        if (!wrong.isEmpty()) {
            throw Problem.notReadable("This cannot be scheduled", "Nothing was stored.", "Mend what is marked.", wrong);
        }
        // A series begins with its first lesson: the first of the chosen days from that date on.
        LocalDate begins = first.datesUntil(first.plusWeeks(1))
                .filter(day -> days.contains(day.getDayOfWeek()))
                .findFirst()
                .orElseThrow();
        if (begins.isAfter(until)) {
            throw Problem.notReadable(
                    "This cannot be scheduled",
                    "Nothing was stored.",
                    "Mend what is marked.",
                    List.of(wrong(Series.Fault.NO_LESSON_IN_THAT_TIME)));
        }
        return new Weekly(
                new Series(
                        begins.atTime(start),
                        wanted.minutes,
                        school.zone(),
                        Optional.of(Recurrence.weekly(days, everyWeeks, until)),
                        Set.of(),
                        Set.of()),
                until);
    }

    private static LocalDate date(@Nullable String text, String field, List<Problem.Wrong> wrong) {
        try {
            return LocalDate.parse(String.valueOf(text));
        } catch (DateTimeParseException unreadable) {
            wrong.add(new Problem.Wrong(field, "A date"));
            return LocalDate.EPOCH;
        }
    }

    private static Problem.Wrong wrong(Series.Fault fault) {
        return switch (fault) {
            case LENGTH_OUT_OF_RANGE -> new Problem.Wrong(
                    "minutes", "A lesson lasts %d to %d minutes".formatted(Series.SHORTEST, Series.LONGEST));
            case NO_LESSON_IN_THAT_TIME -> new Problem.Wrong("days", "None of these days lies between the two dates");
            case TOO_MANY_LESSONS -> new Problem.Wrong(
                    "until", "That would be more than %d lessons".formatted(Series.MOST));
        };
    }
}
