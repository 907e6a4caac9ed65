package juricast.server.afterwards;

import static juricast.server.access.Position.PUPIL;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.time.Span;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.data.Database;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** A pupil's own lessons of the last days, each with what was kept of it. */
@RestController
class LessonsBehindController {
    private static final Duration BEHIND = Duration.ofDays(14);

    private final Classes classes;
    private final Database database;
    private final Clock clock;

    LessonsBehindController(Classes classes, Database database, Clock clock) {
        this.classes = classes;
        this.database = database;
        this.clock = clock;
    }

    record LessonBehind(String id, String title, Instant starts) {}

    /** Your lessons of the last two weeks that were held, the latest first. */
    @GetMapping("/api/my-day/behind")
    @For(PUPIL)
    List<LessonBehind> behind(@AuthenticationPrincipal SignedIn caller) {
        Instant now = clock.instant();
        List<String> mine = classes.of(caller.person(), now).stream()
                .map(one -> one.id().value())
                .toList();
        return mine.isEmpty()
                ? List.of()
                : held(mine, now.minus(BEHIND)).stream()
                        // Whoever came to the class since has no part in what was before.
                        .filter(lesson -> classes
                                .membersOf(lesson, lesson.time().from())
                                .stream()
                                .anyMatch(one -> one.person().equals(caller.person())))
                        .map(one -> new LessonBehind(
                                one.id().value(), one.title(), one.time().from()))
                        .toList();
    }

    private List<Classes.Planned> held(List<String> mine, Instant since) {
        return database.read()
                .sql(
                        """
                    SELECT lesson.*, class.title FROM lesson JOIN class ON class.id = lesson.class
                      JOIN lesson_stage ON lesson_stage.lesson = lesson.id
                    WHERE class IN (:classes) AND starts > :since AND lesson_stage.over IS NOT NULL
                    ORDER BY starts DESC""")
                .param("classes", mine)
                .param("since", since.toEpochMilli())
                .query((row, n) -> new Classes.Planned(
                        new LessonId(row.getString("id")),
                        new ClassId(row.getString("class")),
                        Classes.titleOf(row),
                        new Span(
                                Instant.ofEpochMilli(row.getLong("starts")), Instant.ofEpochMilli(row.getLong("ends"))),
                        false))
                .list();
    }
}
