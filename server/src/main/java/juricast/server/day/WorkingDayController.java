package juricast.server.day;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import juricast.core.day.Chapter;
import juricast.core.day.Duty;
import juricast.core.day.WorkingDay;
import juricast.core.reading.Matter;
import juricast.core.time.Span;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.classes.Planning;
import juricast.server.classes.Reading;
import juricast.server.data.School;
import juricast.server.people.People;
import juricast.server.record.Stages;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** An adult's working day: what waits, which lesson is next, who covers whom. */
@RestController
@RequestMapping("/api/working-day")
class WorkingDayController {
    private static final int DAYS_AHEAD = 7;

    private final List<Waits> known;
    private final Classes classes;
    private final Planning planning;
    private final Stages stages;
    private final Reading reading;
    private final People people;
    private final School school;
    private final Clock clock;

    WorkingDayController(
            List<Waits> known,
            Classes classes,
            Planning planning,
            Stages stages,
            Reading reading,
            People people,
            School school,
            Clock clock) {
        this.known = known;
        this.classes = classes;
        this.planning = planning;
        this.stages = stages;
        this.reading = reading;
        this.people = people;
        this.school = school;
        this.clock = clock;
    }

    /** @param waiting the most urgent first @param next the lesson that the caller runs now or next today */
    record Day(Instant now, List<WaitingLine> waiting, @Nullable NextLesson next) {}

    record WaitingLine(Duty duty, Chapter chapter, int count) {}

    record NextLesson(String id, String title, Instant starts, Instant ends, WorkingDay.Nearness nearness) {}

    record AheadLine(String lesson, String title, Instant starts, Instant ends) {}

    /** Somebody takes a lesson in another's place. @param mine whether it is the caller who does */
    record CoverLine(
            String lesson, String title, Instant starts, String adult, @Nullable String insteadOf, boolean mine) {}

    /** What waits for the caller, the most urgent first, and the lesson that is next: asked again by every page. */
    @GetMapping
    @For({TEACHER, LEAD})
    Day day(@AuthenticationPrincipal SignedIn caller) {
        Instant now = clock.instant();
        WorkingDay day =
                WorkingDay.of(known.stream().flatMap(one -> one.of(caller)).toList());
        List<Classes.Planned> own = classes.ownLessons(caller.person(), today(now), now);
        return new Day(
                now,
                day.waiting().stream()
                        .map(one -> new WaitingLine(one.duty(), one.duty().chapter(), one.count()))
                        .toList(),
                WorkingDay.next(own.stream().map(this::ahead).toList(), now)
                        .map(one -> next(one, own, now))
                        .orElse(null));
    }

    private WorkingDay.Ahead ahead(Classes.Planned one) {
        var stage = stages.of(one.id());
        boolean isOver = stage.filter(Stages.Stage::isOver).isPresent();
        return new WorkingDay.Ahead(one.id(), one.time(), stage.isPresent() && !isOver, isOver);
    }

    private static NextLesson next(WorkingDay.Ahead one, List<Classes.Planned> own, Instant now) {
        return new NextLesson(
                one.lesson().value(),
                own.stream()
                        .filter(lesson -> lesson.id().equals(one.lesson()))
                        .map(Classes.Planned::title)
                        .findFirst()
                        .orElseThrow(),
                one.time().from(),
                one.time().until(),
                one.nearness(now).orElseThrow());
    }

    /** Who takes whose lesson in the days to come: of the caller, of the own classes, or of the school for a lead. */
    @GetMapping("/covers")
    @For({TEACHER, LEAD})
    List<CoverLine> covers(@AuthenticationPrincipal SignedIn caller) {
        Instant now = clock.instant();
        var classesSeen = reading.titles(caller, Matter.TIMETABLE).keySet();
        return classes.lessons(new Span(now, now.plus(Duration.ofDays(DAYS_AHEAD)))).stream()
                .flatMap(lesson -> planning.covers(lesson.id()).stream()
                        .filter(cover -> classesSeen.contains(lesson.ofClass())
                                || cover.adult().person().equals(caller.person()))
                        .map(cover -> new CoverLine(
                                lesson.id().value(),
                                lesson.title(),
                                lesson.time().from(),
                                cover.adult().name(),
                                cover.insteadOf().map(people::nameOf).orElse(null),
                                cover.adult().person().equals(caller.person()))))
                .toList();
    }

    /** The lessons that the caller runs in the week after today, in order. */
    @GetMapping("/ahead")
    @For({TEACHER, LEAD})
    List<AheadLine> ahead(@AuthenticationPrincipal SignedIn caller) {
        Instant now = clock.instant();
        Instant midnight = today(now).until();
        return classes
                .ownLessons(caller.person(), new Span(midnight, midnight.plus(Duration.ofDays(DAYS_AHEAD))), now)
                .stream()
                .filter(one -> !one.time().from().isBefore(midnight))
                .map(one -> new AheadLine(
                        one.id().value(),
                        one.title(),
                        one.time().from(),
                        one.time().until()))
                .toList();
    }

    private Span today(Instant now) {
        LocalDate date = school.date(now);
        return new Span(
                date.atStartOfDay(school.zone()).toInstant(),
                date.plusDays(1).atStartOfDay(school.zone()).toInstant());
    }
}
