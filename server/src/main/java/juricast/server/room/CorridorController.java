package juricast.server.room;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.server.access.Position.LEAD;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.audience.CorridorView;
import juricast.core.audience.DoorDesk;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.reading.Matter;
import juricast.core.time.Span;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.data.Database;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.Snapshot;
import juricast.server.people.People;
import juricast.server.record.RecordWatch;
import juricast.server.words.WorryWords;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** All live lessons of the school for its leads, worst first (need M1); worries are taken over by one person. */
@RestController
@RequestMapping("/api/corridor")
class CorridorController {
    /** Lessons this far from now belong to the corridor if they should be open. */
    private static final Duration AROUND = Duration.ofHours(2);

    private final LiveLessons lessons;
    private final Classes classes;
    private final Database database;
    private final RecordWatch records;
    private final People people;
    private final WorryWords words;

    CorridorController(
            LiveLessons lessons,
            Classes classes,
            Database database,
            People people,
            WorryWords words,
            RecordWatch records) {
        this.records = records;
        this.lessons = lessons;
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

    record Taken(String lesson, String kind, long since, String by) {}

    /** All lessons that run or should, worst first. */
    @GetMapping
    @For(value = LEAD, shows = Matter.CORRIDOR)
    Corridor corridor(@AuthenticationPrincipal SignedIn caller) {
        Instant now = lessons.now();
        List<Classes.Planned> around = classes.lessons(new Span(now.minus(Duration.ofHours(12)), now.plus(AROUND)));
        List<CorridorView.Line> live = around.stream()
                .flatMap(one -> line(one, now).stream())
                .map(one -> one.seenBy(caller.person()))
                .toList();
        CorridorView view = CorridorView.of(
                Stream.concat(live.stream(), damagedBesides(live, now)).toList());
        Map<String, Taken> taken = database
                .read()
                .sql("SELECT lesson, kind, since, taken_by FROM alert_taken WHERE taken_at > :from")
                .param("from", now.minus(Duration.ofHours(12)).toEpochMilli())
                .query((row, n) -> new Taken(row.getString(1), row.getString(2), row.getLong(3), row.getString(4)))
                .list()
                .stream()
                .collect(Collectors.toMap(one -> key(one.lesson, one.kind, one.since), one -> one));
        List<CorridorLine> lines =
                view.lines().stream().map(line -> line(line, taken, caller)).toList();
        return new Corridor(
                now,
                (int) lines.stream()
                        .filter(one -> one.phase == DoorDesk.Phase.OPEN)
                        .count(),
                (int) lines.stream().filter(one -> one.alerts.isEmpty()).count(),
                lines.stream().mapToInt(CorridorLine::present).sum(),
                around.stream()
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
                .flatMap(planned -> line(planned, now))
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

    /** Lessons of another day whose records were found damaged: nobody would open them to see it. */
    private Stream<CorridorView.Line> damagedBesides(List<CorridorView.Line> told, Instant now) {
        Set<LessonId> known = told.stream().map(line -> line.plan().lesson()).collect(Collectors.toSet());
        return records.damaged().stream()
                .map(RecordWatch.Damaged::lesson)
                .filter(lesson -> !known.contains(lesson))
                .flatMap(lesson -> classes.plan(lesson, now).stream())
                .map(CorridorView::damaged);
    }

    /** The line of a lesson that goes on, or should. */
    private Optional<CorridorView.Line> line(Classes.Planned planned, Instant now) {
        Optional<Snapshot> live = lessons.lookIfReadable(planned.id());
        boolean isItsTime = !planned.time().from().isAfter(now)
                && now.isBefore(planned.time().until());
        if (live.isEmpty()) {
            // It may have been opened before its time: that cannot be read either.
            return classes.plan(planned.id(), now)
                    .filter(plan -> now.isBefore(planned.time().until()))
                    .map(CorridorView::damaged);
        }
        return live.filter(one ->
                        !one.state().of(DOOR).isOver() && (one.state().of(DOOR).isOpen() || isItsTime))
                .map(one -> CorridorView.line(one.plan(), one.state(), one.rules(), now));
    }

    private CorridorLine line(CorridorView.Line line, Map<String, Taken> taken, SignedIn caller) {
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
                            Taken by = taken.get(key(
                                    plan.lesson().value(),
                                    worry.kind().name(),
                                    worry.since().toEpochMilli()));
                            return new Alert(
                                    worry.kind(),
                                    worry.since(),
                                    words.of(worry, plan),
                                    WorryWords.isGrave(worry.kind()),
                                    by == null ? null : people.nameOf(new PersonId(by.by)),
                                    by != null && by.by.equals(caller.person().value()));
                        })
                        .toList());
    }

    private static String key(String lesson, String kind, long since) {
        return lesson + " " + kind + " " + since;
    }
}
