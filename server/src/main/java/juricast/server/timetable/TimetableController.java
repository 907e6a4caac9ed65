package juricast.server.timetable;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.inspection.Finding;
import juricast.core.inspection.InspectedClass;
import juricast.core.inspection.InspectedLesson;
import juricast.core.inspection.Inspection;
import juricast.core.inspection.PlannedSchool;
import juricast.core.inspection.Severity;
import juricast.core.limits.Limits;
import juricast.core.reading.About;
import juricast.core.reading.Matter;
import juricast.core.reading.Reader;
import juricast.core.time.Span;
import juricast.core.timetable.SchoolCalendar;
import juricast.core.timetable.Series;
import juricast.server.access.For;
import juricast.server.access.Position;
import juricast.server.access.SignedIn;
import juricast.server.classes.AccessToClasses;
import juricast.server.classes.Calendar;
import juricast.server.classes.Classes;
import juricast.server.classes.Reading;
import juricast.server.data.Database;
import juricast.server.data.School;
import juricast.server.data.WrittenDay;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** The timetable of some days, and changes of single lessons in it, each with who and why, and an undo. */
@RestController
@RequestMapping("/api/timetable")
class TimetableController {
    private static final int MOST_DAYS = 14;
    private static final int CHANGES_SHOWN = 12;

    private final Plan plan;
    private final Changes changes;
    private final Inspections inspections;
    private final Seen seen;
    private final Appearing appearing;
    private final Calendar calendar;
    private final Reading reading;
    private final AccessToClasses access;
    private final People people;
    private final School school;
    private final Database database;
    private final Clock clock;

    TimetableController(
            Plan plan,
            Changes changes,
            Inspections inspections,
            Seen seen,
            Appearing appearing,
            Calendar calendar,
            Reading reading,
            AccessToClasses access,
            People people,
            School school,
            Database database,
            Clock clock) {
        this.plan = plan;
        this.changes = changes;
        this.inspections = inspections;
        this.seen = seen;
        this.appearing = appearing;
        this.calendar = calendar;
        this.reading = reading;
        this.access = access;
        this.people = people;
        this.school = school;
        this.database = database;
        this.clock = clock;
    }

    /** @param changes the latest changes of the plan; a teacher's own only */
    record TimetablePage(String from, List<DayLine> days, List<LessonBox> lessons, List<PlanChange> changes) {}

    /** @param free what the day is called if there is no school on it; empty if there is */
    record DayLine(String date, boolean school, String free) {}

    /**
     * A lesson in the timetable.
     *
     * @param minute of the day of the school on which it begins
     * @param state planned, live, over or cancelled
     * @param covered whether somebody stands in
     * @param severity of the gravest weak spot; nothing if there is none
     * @param findings what was found about it, in sentences
     * @param reason why it is not as its series has it
     */
    record LessonBox(
            String id,
            String classId,
            String title,
            int year,
            String date,
            int minute,
            int minutes,
            Instant starts,
            Instant ends,
            State state,
            List<InCharge> adults,
            boolean covered,
            boolean mine,
            int pupils,
            @Nullable Severity severity,
            List<String> findings,
            @Nullable String reason) {}

    enum State {
        PLANNED,
        LIVE,
        OVER,
        CANCELLED
    }

    record InCharge(String id, String name) {}

    record PlanChange(String id, String what, String why, String by, Instant at, int lessons, boolean undone) {}

    /**
     * @param from when it is to begin, local, as 2026-11-26T10:05; as it is if not said
     * @param minutes how long it is to be; as it is if not said
     * @param cancelled whether it is not held
     * @param following whether the same is to happen to all that follow at the same hour
     */
    record LessonChangeRequest(
            @Nullable String from,
            @Nullable Integer minutes,
            @Nullable Boolean cancelled,
            boolean following,
            String why) {}

    /** @param insteadOf which adult of the class; nobody if they come besides @param through the last day, for a range */
    record CoverRequest(String adult, @Nullable String insteadOf, @Nullable String through, String why) {}

    /** @param appearing weak spots that the change brings */
    record PlanChanged(String change, String what, int lessons, List<String> appearing) {}

    /** The lessons of some days, with covers and changes. */
    @GetMapping
    @For({LEAD, TEACHER})
    TimetablePage page(@RequestParam String from, @RequestParam int days, @AuthenticationPrincipal SignedIn caller) {
        LocalDate first = date(from);
        if (days < 1 || days > MOST_DAYS) {
            throw Problem.notReadable(
                    "This cannot be shown",
                    "A timetable shows 1 to %d days.".formatted(MOST_DAYS),
                    "Ask for fewer.",
                    List.of(new Problem.Wrong("days", "1 to %d".formatted(MOST_DAYS))));
        }
        var window = new Span(
                first.atStartOfDay(school.zone()).toInstant(),
                first.plusDays(days).atStartOfDay(school.zone()).toInstant());
        SchoolCalendar known = calendar.now();
        return new TimetablePage(
                first.toString(),
                first.datesUntil(first.plusDays(days))
                        .map(day -> day(day, known))
                        .toList(),
                boxes(window, first.datesUntil(first.plusDays(days)).toList(), caller),
                plan
                        .changes(
                                reading.mayReadAll(caller, Matter.TIMETABLE)
                                        ? Optional.empty()
                                        : Optional.of(caller.person()),
                                CHANGES_SHOWN)
                        .stream()
                        .map(one -> new PlanChange(
                                one.id(), one.what(), one.why(), one.by(), one.at(), one.lessons(), one.undone()))
                        .toList());
    }

    private static DayLine day(LocalDate day, SchoolCalendar known) {
        String free =
                known.holidayOn(day).map(SchoolCalendar.Days::name).orElse(known.isOutOfTerm(day) ? "not in term" : "");
        return new DayLine(day.toString(), free.isEmpty() && known.isSchoolDay(day.getDayOfWeek()), free);
    }

    private List<LessonBox> boxes(Span window, List<LocalDate> days, SignedIn caller) {
        Inspection inspection = inspections.now();
        PlannedSchool planned = inspection.school();
        Map<LessonId, List<Finding>> found = findings(inspection, days);
        var names = seen.names(inspection, days);
        Map<LessonId, Plan.Made> reasons = plan.reasons(window);
        Map<LessonId, List<InspectedLesson.Cover>> covers = plan.covers(window.from());
        Map<String, State> stages = stages(window);
        Reader reader = reading.reader(caller, coveredBy(caller.person(), covers));
        return plan.within(window).stream()
                .filter(one -> planned.classes().containsKey(one.ofClass())
                        && reader.mayRead(Matter.TIMETABLE, About.ofLesson(one.id(), one.ofClass())))
                .map(one -> {
                    InspectedClass of = planned.classes().get(one.ofClass());
                    List<InspectedLesson.Cover> covered = covers.getOrDefault(one.id(), List.of());
                    var lesson = new InspectedLesson(one.id(), one.ofClass(), one.time(), covered, Set.of());
                    List<PersonId> adults = lesson.adults(of);
                    List<Finding> about = one.cancelled() ? List.of() : found.getOrDefault(one.id(), List.of());
                    LocalDateTime local = LocalDateTime.ofInstant(one.time().from(), school.zone());
                    return new LessonBox(
                            one.id().value(),
                            of.id().value(),
                            Classes.titled(of.title(), one.helpHour()),
                            of.year(),
                            local.toLocalDate().toString(),
                            local.getHour() * 60 + local.getMinute(),
                            (int) one.time().length().toMinutes(),
                            one.time().from(),
                            one.time().until(),
                            one.cancelled()
                                    ? State.CANCELLED
                                    : stages.getOrDefault(one.id().value(), State.PLANNED),
                            adults.stream()
                                    .map(id -> new InCharge(
                                            id.value(), names.people().apply(id)))
                                    .toList(),
                            !covered.isEmpty(),
                            reader.adultOf().contains(of.id())
                                    || reader.covers().contains(one.id()),
                            of.pupils().size(),
                            about.stream()
                                    .map(finding -> finding.kind().severity())
                                    .min(Severity::compareTo)
                                    .orElse(null),
                            about.stream()
                                    .map(finding -> seen.sentence(finding, names))
                                    .toList(),
                            Optional.ofNullable(reasons.get(one.id()))
                                    .map(made -> "%s: %s (%s)".formatted(made.what(), made.why(), made.by()))
                                    .orElse(null));
                })
                .toList();
    }

    private static Set<LessonId> coveredBy(PersonId adult, Map<LessonId, List<InspectedLesson.Cover>> covers) {
        return covers.entrySet().stream()
                .filter(one ->
                        one.getValue().stream().anyMatch(cover -> cover.adult().equals(adult)))
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
    }

    /** By the lesson it is about, and by the one it clashes with: both show it. */
    private Map<LessonId, List<Finding>> findings(Inspection inspection, List<LocalDate> days) {
        Set<String> accepted = inspections.accepted().keySet();
        var found = new java.util.HashMap<LessonId, List<Finding>>();
        for (Finding one : inspection.findings(days.get(0), days.size())) {
            if (!accepted.isEmpty() && accepted.contains(one.key())) {
                continue;
            }
            java.util.stream.Stream.concat(one.lesson().stream(), one.other().stream())
                    .forEach(lesson -> found.computeIfAbsent(lesson, id -> new java.util.ArrayList<>())
                            .add(one));
        }
        return found;
    }

    private Map<String, State> stages(Span window) {
        record Row(String lesson, State state) {}
        return database
                .read()
                .sql(
                        """
                    SELECT lesson, over IS NOT NULL FROM lesson_stage JOIN lesson ON lesson.id = lesson
                    WHERE ends > :from AND starts < :until AND opened IS NOT NULL""")
                .param("from", window.from().toEpochMilli())
                .param("until", window.until().toEpochMilli())
                .query((row, n) -> new Row(row.getString(1), row.getInt(2) == 1 ? State.OVER : State.LIVE))
                .list()
                .stream()
                .collect(Collectors.toMap(Row::lesson, Row::state));
    }

    /** Moves, shortens, lengthens, cancels or brings back a lesson, and those that follow it if wanted. */
    @PostMapping("/lessons/{lesson}/change")
    @For({LEAD, TEACHER})
    PlanChanged change(
            @PathVariable String lesson,
            @RequestBody LessonChangeRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        Plan.Planned found = allowed(lesson, caller);
        LocalDateTime was = LocalDateTime.ofInstant(found.time().from(), school.zone());
        LocalDateTime from = wanted.from == null ? was : localTime(wanted.from);
        Duration length = wanted.minutes == null ? found.time().length() : Duration.ofMinutes(wanted.minutes);
        boolean cancelled = wanted.cancelled == null ? found.cancelled() : wanted.cancelled;
        if (length.toMinutes() < Series.SHORTEST || length.toMinutes() > Series.LONGEST) {
            throw Problem.notReadable(
                    "minutes", "A lesson lasts %d to %d minutes".formatted(Series.SHORTEST, Series.LONGEST));
        }
        if (!from.atZone(school.zone()).toInstant().isAfter(clock.instant())) {
            throw Problem.notReadable("from", "It must still be to come");
        }
        String why = why(wanted.why);
        List<Plan.Planned> lessons = wanted.following ? plan.andFollowing(found) : List.of(found);
        String title = changes.titleOf(found.ofClass());
        String what = what(title, was, from, found, length, cancelled);
        Set<String> before = appearing.before();
        String change = changes.change(lessons, from, length, cancelled, what, why, caller.person());
        return new PlanChanged(change, what, lessons.size(), appearing.since(before));
    }

    private String what(
            String title,
            LocalDateTime was,
            LocalDateTime from,
            Plan.Planned found,
            Duration length,
            boolean cancelled) {
        String when = school.day(found.time().from()) + ", "
                + school.clockTime(found.time().from());
        if (cancelled != found.cancelled()) {
            return "%s %s, %s".formatted(title, cancelled ? "cancelled" : "brought back", when);
        }
        if (!from.equals(was)) {
            Instant to = from.atZone(school.zone()).toInstant();
            return "%s moved from %s to %s, %s".formatted(title, when, school.day(to), school.clockTime(to));
        }
        return "%s now lasts %d min, %s".formatted(title, length.toMinutes(), when);
    }

    /** Lets another adult take over one lesson, or all of the class until a day. Lets another adult take over one lesson, or all of the class until a day (need B7). */
    @PostMapping("/lessons/{lesson}/cover")
    @For({LEAD, TEACHER})
    PlanChanged cover(
            @PathVariable String lesson, @RequestBody CoverRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        Plan.Planned found = allowed(lesson, caller);
        var adult = new PersonId(String.valueOf(wanted.adult));
        String name = people.find(adult)
                .filter(one -> one.position() == Position.TEACHER)
                .map(People.Person::name)
                .orElseThrow(() -> Problem.notReadable("adult", "Choose a teacher"));
        InspectedClass of = inspections.now().school().classes().get(found.ofClass());
        Optional<PersonId> insteadOf = Optional.ofNullable(wanted.insteadOf).map(PersonId::new);
        boolean isInCharge = insteadOf
                .map(one -> of.adults().contains(one)
                        || plan.covers(found.id()).stream()
                                .anyMatch(cover -> cover.adult().equals(one)))
                .orElse(true);
        if (!isInCharge || insteadOf.equals(Optional.of(adult))) {
            throw Problem.notReadable("insteadOf", "Choose an adult who is in charge of this lesson");
        }
        String why = why(wanted.why);
        List<Plan.Planned> lessons = wanted.through == null
                ? List.of(found)
                : plan.ofClass(found.ofClass(), found.time().from(), end(wanted.through));
        String who = insteadOf
                .map(one -> "%s covers for %s".formatted(name, people.nameOf(one)))
                .orElse(name + " comes besides");
        String what = "%s in %s, %s"
                .formatted(who, of.title(), school.day(found.time().from()));
        Set<String> before = appearing.before();
        String change = changes.cover(lessons, adult, insteadOf, what, why, caller.person());
        return new PlanChanged(change, what, lessons.size(), appearing.since(before));
    }

    private Instant end(String through) {
        return date(through).plusDays(1).atStartOfDay(school.zone()).toInstant();
    }

    /** Takes a change back as a whole. 409 if one of its lessons was changed since. */
    @PostMapping("/changes/{change}/undo")
    @For({LEAD, TEACHER})
    void undo(@PathVariable String change, @AuthenticationPrincipal SignedIn caller) {
        PersonId by = plan.madeBy(change).orElseThrow(() -> Problem.notThere("This change"));
        if (!caller.isLead() && !by.equals(caller.person())) {
            throw Problem.notYours(
                    "This change was made by %s".formatted(people.nameOf(by)),
                    "Ask them to undo it, or the safeguarding lead.");
        }
        switch (plan.undo(change, caller.person(), clock.instant())) {
            case DONE -> {}
            case CHANGED_SINCE -> throw Problem.refused(
                    "changed-meanwhile",
                    "This cannot be undone as a whole any more",
                    "One of its lessons was changed again since. Nothing was changed.",
                    "Undo the later change first.");
            case HAS_BEGUN -> throw Problem.refused(
                    "has-begun",
                    "This cannot be undone any more",
                    "One of its lessons has begun, or would have. Nothing was changed.",
                    "Change the lessons that are still to come one by one.");
        }
    }

    private Plan.Planned allowed(String lesson, SignedIn caller) {
        Plan.Planned found = changes.stillToCome(lesson);
        if (!caller.isLead()) {
            access.runBy(caller, found.ofClass().value());
        }
        return found;
    }

    private static String why(@Nullable String why) {
        String said = why == null ? "" : why.strip();
        if (said.isEmpty() || said.length() > Limits.REASON) {
            throw Problem.notReadable("why", "Say why, in up to %d characters".formatted(Limits.REASON));
        }
        return said;
    }

    private static LocalDateTime localTime(String text) {
        try {
            return WrittenDay.parseWithTime(text);
        } catch (DateTimeParseException unreadable) {
            throw Problem.notReadable("from", "A day and a time such as 2026-11-26T10:05");
        }
    }

    private static LocalDate date(String text) {
        try {
            return WrittenDay.parse(text);
        } catch (DateTimeParseException unreadable) {
            throw Problem.notReadable("from", "A day such as 2026-11-26");
        }
    }
}
