package juricast.server.classes;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.PlainName;
import juricast.core.identity.Role;
import juricast.core.limits.Limits;
import juricast.core.reading.Matter;
import juricast.core.roster.RosterChange;
import juricast.server.access.For;
import juricast.server.access.Position;
import juricast.server.access.SignedIn;
import juricast.server.data.Database;
import juricast.server.data.Ids;
import juricast.server.data.School;
import juricast.server.data.WrittenDay;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** Who belongs to a class, one by one: its adults and who leads it, its pupils, and those of them who are trusted to help. */
@RestController
@RequestMapping("/api/classes/{id}")
class MembersController {
    private static final int CANDIDATES = 20;
    private static final int MOST_YEARS_OF_TRUST = 2;

    private final Reading reading;
    private final AccessToClasses access;
    private final Classes classes;
    private final ClassController pages;
    private final People people;
    private final School school;
    private final Database database;
    private final Clock clock;

    MembersController(
            Reading reading,
            AccessToClasses access,
            Classes classes,
            ClassController pages,
            People people,
            School school,
            Database database,
            Clock clock) {
        this.reading = reading;
        this.access = access;
        this.classes = classes;
        this.pages = pages;
        this.people = people;
        this.school = school;
        this.database = database;
        this.clock = clock;
    }

    record HandOverRequest(String why) {}

    /** @param person somebody the school knows, or @param name somebody new, with a year group or none */
    record PupilRequest(@Nullable String person, @Nullable String name, @Nullable Integer year) {}

    record Candidate(String id, String name, int year) {}

    /** @param until the last day, as 2027-07-01 @param lesson for which alone; nothing for all of the class */
    record TrustRequest(String until, @Nullable String lesson) {}

    /** Lets another adult belong to the class from now on, besides those who do. */
    @PutMapping("/adults/{person}")
    @For({TEACHER, LEAD})
    ClassController.ClassPage addAdult(
            @PathVariable String id, @PathVariable String person, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.ledBy(caller, id);
        PersonId added = people.find(new PersonId(person))
                .filter(one -> one.position() == TEACHER)
                .map(People.Person::id)
                .orElseThrow(() -> Problem.notThere("This teacher"));
        if (member(found, added).isEmpty()) {
            database.write(sql -> {
                Classes.join(sql, found.id(), added, Role.SECOND_ADULT, clock.instant());
                return null;
            });
        }
        return pages.page(id, caller);
    }

    /** Ends that an adult belongs to a class; the lead adult stays until another one leads. A second adult may go by themselves. */
    @DeleteMapping("/adults/{person}")
    @For({TEACHER, LEAD})
    void removeAdult(@PathVariable String id, @PathVariable String person, @AuthenticationPrincipal SignedIn caller) {
        boolean goes = caller.person().value().equals(person);
        Classes.SchoolClass found = goes ? access.ofAdultsOrLead(caller, id) : access.ledBy(caller, id);
        Member known = member(found, new PersonId(person))
                .filter(one -> one.role().isAdultInCharge())
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
    }

    /** Lets another adult of the class lead it from now on; who led it stays as second adult. Who did it and why is kept. */
    @PostMapping("/adults/{person}/lead")
    @For({TEACHER, LEAD})
    ClassController.ClassPage handOver(
            @PathVariable String id,
            @PathVariable String person,
            @RequestBody HandOverRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.ledBy(caller, id);
        String why = wanted.why.strip();
        if (why.isEmpty() || why.length() > Limits.REASON) {
            throw notReadable("why", "Say why, in up to %d characters".formatted(Limits.REASON));
        }
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
            return sql.sql(
                            """
                    INSERT INTO lead_change (class, leads, before, by, why, at)
                    VALUES (:class, :leads, :before, :by, :why, :at)""")
                    .param("class", found.id().value())
                    .param("leads", next.person().value())
                    .param(
                            "before",
                            adults.stream()
                                    .filter(one -> one.role() == Role.LEAD_ADULT)
                                    .map(one -> one.person().value())
                                    .collect(Collectors.joining(" ")))
                    .param("by", caller.person().value())
                    .param("why", why)
                    .param("at", now.toEpochMilli())
                    .update();
        });
        return pages.page(id, caller);
    }

    /** Pupils of the school who are not in the class, by a part of their name. */
    @GetMapping("/candidates")
    @For({TEACHER, LEAD})
    List<Candidate> candidates(
            @PathVariable String id,
            @RequestParam(defaultValue = "") String name,
            @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = reading.ofClass(caller, Matter.CLASS_LIST, id);
        String wanted =
                name.substring(0, Math.min(name.length(), Limits.NAME)).strip().toLowerCase(Locale.ROOT);
        Set<PersonId> mine = classes.members(found.id(), clock.instant()).stream()
                .map(Member::person)
                .collect(Collectors.toSet());
        return people.pupils().stream()
                .filter(one -> !mine.contains(one.person())
                        && one.name().toLowerCase(Locale.ROOT).contains(wanted))
                .limit(CANDIDATES)
                .map(one -> new Candidate(
                        one.person().value(), one.name(), one.year().orElse(0)))
                .toList();
    }

    /** Adds one pupil: known to the school, or new to it. 409 if somebody of that name is known, so that nobody is there twice. */
    @PostMapping("/pupils")
    @For({TEACHER, LEAD})
    ClassController.ClassPage addPupil(
            @PathVariable String id, @RequestBody PupilRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.ofAdultsOrLead(caller, id);
        if (wanted.person != null) {
            PersonId known = people.find(new PersonId(wanted.person))
                    .filter(one -> one.position() == Position.PUPIL)
                    .map(People.Person::id)
                    .orElseThrow(() -> Problem.notThere("This pupil"));
            if (member(found, known).isEmpty()) {
                database.write(sql -> {
                    Classes.join(sql, found.id(), known, Role.PUPIL, clock.instant());
                    return null;
                });
            }
        } else {
            People.Person added = newPupil(wanted, found);
            database.write(sql -> {
                People.add(sql, added, "");
                Classes.join(sql, found.id(), added.id(), Role.PUPIL, clock.instant());
                return null;
            });
        }
        return pages.page(id, caller);
    }

    private People.Person newPupil(PupilRequest wanted, Classes.SchoolClass found) {
        String typed = wanted.name == null || wanted.name.length() > 4 * Limits.NAME ? "" : wanted.name;
        String name = PlainName.of(typed);
        int year = wanted.year == null ? found.year() : wanted.year;
        if (name.isEmpty() || name.length() > Limits.NAME) {
            throw notReadable("name", "Give the pupil's name, 1 to %d characters".formatted(Limits.NAME));
        }
        if (year < 0 || year > 13) {
            throw notReadable("year", "A year group is 1 to 13");
        }
        List<RosterChange.Pupil> same = people.pupils().stream()
                .filter(one -> one.name().equalsIgnoreCase(name))
                .toList();
        if (!same.isEmpty()) {
            throw Problem.refused(
                    "known-already",
                    "The school knows a pupil called “%s”".formatted(same.get(0).name()),
                    "Nobody was added.",
                    "Choose them from the list. If it is another child, import a roster with pupil numbers.");
        }
        return new People.Person(new PersonId(Ids.next()), name, Position.PUPIL, "", year, "");
    }

    /** Takes one pupil out of the class; what was before stays in its registers. */
    @DeleteMapping("/pupils/{person}")
    @For({TEACHER, LEAD})
    ClassController.ClassPage removePupil(
            @PathVariable String id, @PathVariable String person, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.ofAdultsOrLead(caller, id);
        PersonId pupil = pupil(found, person);
        database.write(sql -> {
            Classes.part(sql, found.id(), pupil, clock.instant());
            return null;
        });
        return pages.page(id, caller);
    }

    /** Makes a pupil class monitor until a day. Trusts a pupil to help as class monitor, in the class or in one lesson, until a day (need F7). */
    @PutMapping("/monitors/{person}")
    @For({TEACHER, LEAD})
    ClassController.ClassPage trust(
            @PathVariable String id,
            @PathVariable String person,
            @RequestBody TrustRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.ofAdultsOrLead(caller, id);
        PersonId pupil = pupil(found, person);
        String lesson = wanted.lesson == null ? "" : lesson(found, wanted.lesson);
        Instant until = lastDay(wanted.until);
        classes.trust(found.id(), new Classes.Monitor(pupil, lesson, until), caller.person(), clock.instant());
        return pages.page(id, caller);
    }

    /** A pupil is class monitor no more. */
    @DeleteMapping("/monitors/{person}")
    @For({TEACHER, LEAD})
    ClassController.ClassPage endTrust(
            @PathVariable String id,
            @PathVariable String person,
            @RequestParam(defaultValue = "") String lesson,
            @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.ofAdultsOrLead(caller, id);
        classes.endTrust(found.id(), lesson, new PersonId(person), clock.instant());
        return pages.page(id, caller);
    }

    private String lesson(Classes.SchoolClass found, String lesson) {
        return classes.lesson(new LessonId(lesson))
                .filter(one -> one.ofClass().equals(found.id()))
                .map(one -> one.id().value())
                .orElseThrow(() -> Problem.notThere("This lesson"));
    }

    private Instant lastDay(String day) {
        LocalDate today = school.date(clock.instant());
        try {
            LocalDate last = WrittenDay.parse(day);
            if (!last.isBefore(today) && !last.isAfter(today.plusYears(MOST_YEARS_OF_TRUST))) {
                return last.plusDays(1).atStartOfDay(school.zone()).toInstant();
            }
        } catch (DateTimeException unreadable) {
            // Said below.
        }
        throw notReadable(
                "until", "A day from today on, within %d years, such as 2027-07-01".formatted(MOST_YEARS_OF_TRUST));
    }

    private PersonId pupil(Classes.SchoolClass found, String person) {
        return member(found, new PersonId(person))
                .filter(one -> !one.role().isAdultInCharge())
                .map(Member::person)
                .orElseThrow(() -> Problem.notThere("This pupil"));
    }

    private Optional<Member> member(Classes.SchoolClass found, PersonId person) {
        return classes.members(found.id(), clock.instant()).stream()
                .filter(one -> one.person().equals(person))
                .findFirst();
    }

    private static Problem notReadable(String field, String message) {
        return Problem.notReadable(
                "This cannot be read",
                "Nothing was changed.",
                message + ".",
                List.of(new Problem.Wrong(field, message)));
    }
}
