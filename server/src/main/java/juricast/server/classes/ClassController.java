package juricast.server.classes;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.PUPIL;
import static juricast.server.access.Position.TEACHER;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.audience.DoorDesk;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.PlainName;
import juricast.core.identity.Role;
import juricast.core.joining.JoinWord;
import juricast.core.joining.LinkKey;
import juricast.core.limits.Limits;
import juricast.core.reading.Matter;
import juricast.core.time.Span;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.data.Ids;
import juricast.server.data.School;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import juricast.server.record.Stages;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** Classes and their lessons: made, looked at, scheduled. */
@RestController
@RequestMapping("/api")
class ClassController {

    private final Reading reading;
    private final AccessToClasses access;
    private final Classes classes;
    private final People people;
    private final School school;
    private final Stages stages;
    private final JoinLinks links;
    private final Calendar calendar;
    private final Clock clock;

    ClassController(
            Reading reading,
            AccessToClasses access,
            Classes classes,
            People people,
            School school,
            Stages stages,
            JoinLinks links,
            Calendar calendar,
            Clock clock) {
        this.reading = reading;
        this.access = access;
        this.classes = classes;
        this.people = people;
        this.school = school;
        this.stages = stages;
        this.links = links;
        this.calendar = calendar;
        this.clock = clock;
    }

    record ClassLine(String id, String title, int year, int pupils, List<String> adults, @Nullable Instant next) {}

    record NewClass(String title, int year, @Nullable String subject, @Nullable String secondAdult) {}

    record SubjectRequest(@Nullable String subject) {}

    record TitleRequest(String title) {}

    record Colleague(String id, String name) {}

    /** A class with all that its page shows. @param leading whether the asking person decides who its adults are */
    record ClassPage(
            String id,
            String title,
            int year,
            String subject,
            boolean mine,
            boolean leading,
            List<Person> adults,
            List<Person> pupils,
            List<MonitorLine> monitors,
            List<LessonLine> lessons) {}

    /** A trusted pupil. @param lesson of which alone; nothing for all of the class @param until the last day */
    record MonitorLine(String person, String name, @Nullable String lesson, String until) {}

    record Person(String id, String name, Role role) {}

    /** A lesson of today or of a class, as its adults see it. */
    record LessonLine(
            String id,
            String classId,
            String title,
            Instant starts,
            Instant ends,
            DoorDesk.Phase phase,
            @Nullable Instant openedAt,
            List<String> adults,
            int pupils,
            boolean mine) {}

    /** Today's lessons: one's own, or all of the school for the safeguarding lead. */
    @GetMapping("/today")
    @For({TEACHER, LEAD})
    List<LessonLine> today(@AuthenticationPrincipal SignedIn caller) {
        Instant now = clock.instant();
        LocalDate date = school.date(now);
        var day = new Span(
                date.atStartOfDay(school.zone()).toInstant(),
                date.plusDays(1).atStartOfDay(school.zone()).toInstant());
        Set<ClassId> seen = reading.titles(caller, Matter.CLASS).keySet();
        Set<LessonId> covered = classes.coveredBy(caller.person(), day).stream()
                .map(Classes.Planned::id)
                .collect(Collectors.toSet());
        return classes.lessons(day).stream()
                .filter(one -> seen.contains(one.ofClass()) || covered.contains(one.id()))
                .map(one -> line(one, caller))
                .toList();
    }

    /** The classes that may be seen. */
    @GetMapping("/classes")
    @For({TEACHER, LEAD})
    List<ClassLine> list(@AuthenticationPrincipal SignedIn caller) {
        Instant now = clock.instant();
        return reading.classes(caller, Matter.CLASS).stream()
                .map(one -> classLine(one, now))
                .toList();
    }

    /** Adults who could help with a class. */
    @GetMapping("/adults")
    @For(
            value = {TEACHER, LEAD},
            shows = Matter.COLLEAGUES)
    List<Colleague> adults() {
        return Stream.of(TEACHER, LEAD)
                .flatMap(position -> people.inPosition(position).stream())
                .map(one -> new Colleague(one.id().value(), one.name()))
                .toList();
    }

    /** Makes a class whose lead adult is the caller. */
    @PostMapping("/classes")
    @For({TEACHER, LEAD})
    ClassLine make(@RequestBody NewClass wanted, @AuthenticationPrincipal SignedIn caller) {
        String title = title(wanted.title);
        if (wanted.year < 0 || wanted.year > 13) {
            throw Problem.notReadable(
                    "This class cannot be made",
                    "Nothing was stored.",
                    "Give a year group of 1 to 13, or none.",
                    List.of(new Problem.Wrong("year", "1 to 13, or none")));
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
            throw taken(title);
        }
        return classLine(made, clock.instant());
    }

    /** Renames a class; its lessons, its link and its register are the same. 409 if another one is called so. */
    @PutMapping("/classes/{id}/title")
    @For({TEACHER, LEAD})
    ClassPage rename(
            @PathVariable String id, @RequestBody TitleRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        ClassId found = access.ofAdultsOrLead(caller, id).id();
        String title = title(wanted.title);
        if (!classes.rename(found, title)) {
            throw taken(title);
        }
        return page(id, caller);
    }

    private static String title(String typed) {
        String title = typed.length() > 4 * Limits.NAME ? "" : PlainName.of(typed);
        if (title.isEmpty() || title.length() > Limits.NAME) {
            throw Problem.notReadable(
                    "A class needs a title",
                    "Nothing was stored.",
                    "Give one of 1 to %d characters.".formatted(Limits.NAME),
                    List.of(new Problem.Wrong("title", "1 to %d characters".formatted(Limits.NAME))));
        }
        return title;
    }

    private static Problem taken(String title) {
        return Problem.refused(
                "title-taken",
                "There is a class “%s” already".formatted(title),
                "Nothing was stored.",
                "Give it another title, such as the year group with it.");
    }

    /** One class: its adults, pupils, lessons. */
    @GetMapping("/classes/{id}")
    @For({TEACHER, LEAD})
    ClassPage page(@PathVariable String id, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = reading.ofClass(caller, Matter.CLASS, id);
        Instant now = clock.instant();
        List<Member> members = classes.members(found.id(), now);
        List<Classes.Planned> lessons = classes.lessonsOf(found.id());
        return new ClassPage(
                found.id().value(),
                found.title(),
                found.year(),
                found.subject(),
                members.stream().anyMatch(one -> one.person().equals(caller.person())),
                AccessToClasses.decides(caller, members),
                members.stream()
                        .filter(one -> one.role().isAdultInCharge())
                        .map(ClassController::person)
                        .toList(),
                members.stream()
                        .filter(one -> !one.role().isAdultInCharge())
                        .map(ClassController::person)
                        .toList(),
                classes.monitors(found.id(), now).stream()
                        .map(one -> new MonitorLine(
                                one.person().value(),
                                members.stream()
                                        .filter(member -> member.person().equals(one.person()))
                                        .map(Member::name)
                                        .findFirst()
                                        .orElse(""),
                                one.lesson().isEmpty() ? null : one.lesson(),
                                school.date(one.until().minusMillis(1)).toString()))
                        .toList(),
                lessons.stream().map(one -> line(one, caller)).toList());
    }

    /** Says what a class is about; attendance is counted by it. */
    @PutMapping("/classes/{id}/subject")
    @For({TEACHER, LEAD})
    ClassPage setSubject(
            @PathVariable String id, @RequestBody SubjectRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        classes.setSubject(access.ofAdultsOrLead(caller, id).id(), subject(wanted.subject));
        return page(id, caller);
    }

    private static String subject(@Nullable String said) {
        String subject = said == null ? "" : PlainName.of(said.substring(0, Math.min(said.length(), Limits.MESSAGE)));
        if (subject.length() > Limits.NAME) {
            throw Problem.notReadable(
                    "This subject is too long",
                    "Nothing was stored.",
                    "Give at most %d characters.".formatted(Limits.NAME),
                    List.of(new Problem.Wrong("subject", "at most %d characters".formatted(Limits.NAME))));
        }
        return subject;
    }

    /** Renews the link; who comes with the old one is told so. */
    @PostMapping("/classes/{id}/link/renew")
    @For({TEACHER, LEAD})
    ClassPage renew(@PathVariable String id, @AuthenticationPrincipal SignedIn caller) {
        classes.renewLink(access.runBy(caller, id).id(), clock.instant());
        return page(id, caller);
    }

    /** Renews the link that leads adults of the class to the desk. */
    @PostMapping("/classes/{id}/staff-link/renew")
    @For({TEACHER, LEAD})
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
        Optional<Stages.Stage> stage = stages.of(one.id());
        List<Member> members = classes.membersOf(one, clock.instant());
        return new LessonLine(
                one.id().value(),
                one.ofClass().value(),
                one.title(),
                one.time().from(),
                one.time().until(),
                stage.map(known -> known.isOver() ? DoorDesk.Phase.OVER : DoorDesk.Phase.OPEN)
                        .orElse(DoorDesk.Phase.PLANNED),
                stage.filter(known -> !known.isOver()).map(Stages.Stage::opened).orElse(null),
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
}
