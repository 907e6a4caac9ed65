package juricast.server.room;

import static juricast.server.access.Position.LEAD;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import juricast.core.audience.CorridorView;
import juricast.core.audience.DoorDesk;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.reading.Matter;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.data.Database;
import juricast.server.lesson.LiveLessons;
import juricast.server.people.People;
import juricast.server.words.WorryWords;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** All live lessons of the school for its leads, worst first (need M1); worries are taken over by one person. */
@RestController
@RequestMapping("/api/corridor")
class CorridorController {
    private final LiveLessons lessons;
    private final Corridors corridors;
    private final Classes classes;
    private final Database database;
    private final People people;
    private final WorryWords words;

    CorridorController(
            LiveLessons lessons,
            Corridors corridors,
            Classes classes,
            Database database,
            People people,
            WorryWords words) {
        this.lessons = lessons;
        this.corridors = corridors;
        this.classes = classes;
        this.database = database;
        this.people = people;
        this.words = words;
    }

    /** @param calm how many of the live lessons have no worry @param next the next start in the two hours to come */
    record Corridor(Instant now, int live, int calm, int pupils, @Nullable Instant next, List<CorridorLine> lessons) {}

    record CorridorLine(
            String lesson,
            String title,
            Instant starts,
            Instant ends,
            DoorDesk.Phase phase,
            List<String> adults,
            List<String> adultsIn,
            int present,
            int expected,
            int waiting,
            String door,
            @Nullable String stance,
            List<Alert> alerts) {}

    /** @param grave whether somebody must go there now @param takenBy who has taken it over */
    record Alert(
            CorridorView.Kind kind,
            Instant since,
            String text,
            boolean grave,
            @Nullable String takenBy,
            boolean mine) {}

    /** All lessons that run or should, worst first. */
    @GetMapping
    @For(value = LEAD, shows = Matter.CORRIDOR)
    Corridor corridor(@AuthenticationPrincipal SignedIn caller) {
        Instant now = lessons.now();
        CorridorView view = corridors.view(caller.person(), now);
        Map<String, Corridors.Taken> taken = corridors.taken(now);
        List<CorridorLine> lines =
                view.lines().stream().map(line -> line(line, taken, caller)).toList();
        return new Corridor(
                now,
                (int) lines.stream()
                        .filter(one -> one.phase == DoorDesk.Phase.OPEN)
                        .count(),
                (int) lines.stream().filter(one -> one.alerts.isEmpty()).count(),
                lines.stream().mapToInt(CorridorLine::present).sum(),
                corridors.around(now).stream()
                        .map(one -> one.time().from())
                        .filter(from -> from.isAfter(now))
                        .min(Instant::compareTo)
                        .orElse(null),
                lines);
    }

    /** Takes a worry upon oneself; it is then quiet for the others. The first to take it has it. */
    @PostMapping("/{lesson}/{kind}/take-over")
    @For(LEAD)
    Corridor takeOver(
            @PathVariable String lesson,
            @PathVariable CorridorView.Kind kind,
            @AuthenticationPrincipal SignedIn caller) {
        Instant now = lessons.now();
        classes.lesson(new LessonId(lesson))
                .flatMap(planned -> corridors.line(planned, now))
                .map(line -> line.seenBy(caller.person()))
                .flatMap(line -> line.worries().stream()
                        .filter(one -> one.kind() == kind)
                        .findFirst())
                .ifPresent(worry -> database.append(sql -> sql.sql(
                                """
                        INSERT INTO alert_taken (lesson, kind, since, taken_by, taken_at)
                        VALUES (:lesson, :kind, :since, :by, :now) ON CONFLICT DO NOTHING""")
                        .param("lesson", lesson)
                        .param("kind", kind.name())
                        .param("since", worry.since().toEpochMilli())
                        .param("by", caller.person().value())
                        .param("now", now.toEpochMilli())
                        .update()));
        return corridor(caller);
    }

    private CorridorLine line(CorridorView.Line line, Map<String, Corridors.Taken> taken, SignedIn caller) {
        var plan = line.plan();
        return new CorridorLine(
                plan.lesson().value(),
                plan.title(),
                plan.time().from(),
                plan.time().until(),
                line.phase(),
                plan.adults().stream().map(one -> one.name()).toList(),
                line.adultsIn().stream().map(one -> one.name()).toList(),
                line.present(),
                plan.classList().size(),
                line.waiting(),
                line.door().text(),
                line.stance().orElse(null),
                line.worries().stream()
                        .map(worry -> {
                            Corridors.Taken by = taken.get(Corridors.key(line, worry));
                            return new Alert(
                                    worry.kind(),
                                    worry.since(),
                                    words.of(worry, plan),
                                    WorryWords.isGrave(worry.kind()),
                                    by == null ? null : people.nameOf(new PersonId(by.by())),
                                    by != null && by.by().equals(caller.person().value()));
                        })
                        .toList());
    }
}
