package juricast.server.rehearsal;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import juricast.core.ending.EndingOrder;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.Role;
import juricast.core.live.LessonPlan;
import juricast.core.rehearsal.Rehearsal;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.cast.Mischief;
import juricast.server.cast.Script;
import juricast.server.cast.StandIn;
import juricast.server.classes.Rehearsals;
import juricast.server.data.Database;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.LiveLessons;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Rehearsing a planned lesson: it is held now with a simulated class, and nothing of it is kept. */
@RestController
@RequestMapping("/api/lessons/{lesson}/rehearsal")
class RehearsalController {
    private final LiveLessons lessons;
    private final Rehearsals rehearsals;
    private final StandIn cast;
    private final DeskOrders desk;
    private final People people;
    private final Database database;

    RehearsalController(
            LiveLessons lessons,
            Rehearsals rehearsals,
            StandIn cast,
            DeskOrders desk,
            People people,
            Database database) {
        this.lessons = lessons;
        this.rehearsals = rehearsals;
        this.cast = cast;
        this.desk = desk;
        this.people = people;
        this.database = database;
    }

    /** A rehearsal that has begun. @param lesson its own id, by which its desk is reached */
    record Begun(String lesson) {}

    /**
     * What there is to know about rehearsing a lesson.
     *
     * @param rehearses the lesson that this one is a rehearsal of; null for a lesson
     * @param mischief what the cast can be told to do wrong
     * @param held when the lesson was rehearsed, the latest first
     */
    record Rehearsing(@Nullable String rehearses, List<Trick> mischief, List<Held> held) {}

    record Trick(Mischief id, String title, String about) {}

    record Held(String by, Instant at) {}

    /** Begins a rehearsal of a lesson; one that the same adult has left open ends. */
    @PostMapping
    @For({TEACHER, LEAD})
    Begun begin(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        LessonId id = desk.known(lesson, caller);
        if (Rehearsal.isOne(id)) {
            throw Problem.refused(
                    "is-rehearsal",
                    "This is a rehearsal already",
                    "Nothing was begun.",
                    "Dismiss it, then rehearse the lesson again.");
        }
        rehearsals.of(caller.person()).ifPresent(last -> {
            // Refused to who has closed its page without dismissing it; then it is let go of all the same.
            lessons.carryOut(last.id(), new EndingOrder.Dismiss(caller.person()));
            lessons.letGo(last);
        });
        LessonPlan plan = lessons.look(id).plan();
        String name = people.find(caller.person()).orElseThrow().name();
        List<String> names = Script.read("cast/rehearsal-names.csv").stream()
                .map(row -> row.get("name"))
                .toList();
        Instant now = lessons.now();
        Rehearsal rehearsal = Rehearsal.of(plan, new Member(caller.person(), name, Role.LEAD_ADULT), names, now);
        rehearsals.begin(rehearsal);
        cast.rehearse(rehearsal.id());
        database.append(sql -> sql.sql("INSERT INTO rehearsed (lesson, by, at) VALUES (:lesson, :by, :at)")
                .param("lesson", lesson)
                .param("by", caller.person().value())
                .param("at", now.toEpochMilli())
                .update());
        return new Begun(rehearsal.id().value());
    }

    /** Whether this is a rehearsal, what can go wrong in it, and when the lesson was rehearsed. */
    @GetMapping
    @For({TEACHER, LEAD})
    Rehearsing rehearsing(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        LessonId id = desk.known(lesson, caller);
        List<Held> held = database.read()
                .sql("SELECT name, at FROM rehearsed JOIN person ON person.id = by WHERE lesson = :id ORDER BY at DESC")
                .param("id", rehearsals.planned(id).value())
                .query((row, n) -> new Held(row.getString(1), Instant.ofEpochMilli(row.getLong(2))))
                .list();
        return new Rehearsing(
                rehearsals.find(id).map(one -> one.of().value()).orElse(null),
                Arrays.stream(Mischief.values())
                        .filter(one -> one != Mischief.FAILING_RECORDER)
                        .map(one -> new Trick(one, one.title(), one.about()))
                        .toList(),
                held);
    }

    /** Lets the cast of an open rehearsal do something wrong. 409 for a lesson that is none. */
    @PostMapping("/mischief/{script}")
    @For({TEACHER, LEAD})
    void mischief(
            @PathVariable String lesson, @PathVariable Mischief script, @AuthenticationPrincipal SignedIn caller) {
        LessonId id = desk.known(lesson, caller);
        if (rehearsals.find(id).isEmpty() || !lessons.state(id).there().isOpen()) {
            throw Problem.refused(
                    "not-a-rehearsal",
                    "No rehearsal is open here",
                    "Nobody did anything.",
                    "Open the door of the rehearsal first.");
        }
        cast.mischief(id, script);
    }
}
