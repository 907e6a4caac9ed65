package juricast.server.record;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.server.data.Database;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Erases what events said. That they happened, of what kind they were and in which order stays, and so does a line that says when,
 * why and by whom it was erased.
 */
@Component
public class Erasing {
    private final Database database;
    private final ApplicationEventPublisher tell;

    Erasing(Database database, ApplicationEventPublisher tell) {
        this.database = database;
        this.tell = tell;
    }

    /** What was done. @param held numbers of events that a hold keeps */
    public record Done(List<Integer> erased, List<Integer> held) {}

    /** What is told to whoever has the record in memory. */
    public record Told(LessonId lesson) {}

    /**
     * Erases the bodies of some events, all in one transaction; those that a hold covers, and those erased before, stay as they are.
     *
     * @throws IllegalStateException if the lesson is not over: what goes on is not forgotten under the hands of those in it
     */
    public Done erase(LessonId lesson, Collection<Integer> numbers, String why, PersonId by, Instant at) {
        Done done = database.append(sql -> {
            if (!isOver(sql, lesson)) {
                throw new IllegalStateException("Lesson %s is not over".formatted(lesson.value()));
            }
            overwriting(sql);
            List<Holds.Hold> holds = Holds.of(sql, lesson);
            var erased = new ArrayList<Integer>();
            var held = new ArrayList<Integer>();
            for (int number : numbers) {
                if (holds.stream().anyMatch(hold -> hold.covers(number))) {
                    held.add(number);
                } else if (erase(sql, lesson, number)) {
                    note(sql, lesson, number, why, by, at);
                    erased.add(number);
                }
            }
            return new Done(List.copyOf(erased), List.copyOf(held));
        });
        if (!done.erased.isEmpty()) {
            tell.publishEvent(new Told(lesson));
        }
        return done;
    }

    /** From now on what is deleted is overwritten in the file, and not only left out. */
    public static void overwriting(JdbcClient sql) {
        sql.sql("PRAGMA secure_delete = ON").query().singleRow();
    }

    private static boolean isOver(JdbcClient sql, LessonId lesson) {
        return sql.sql("SELECT count(*) FROM lesson_stage WHERE lesson = :lesson AND over IS NOT NULL")
                        .param("lesson", lesson.value())
                        .query(Integer.class)
                        .single()
                == 1;
    }

    private static boolean erase(JdbcClient sql, LessonId lesson, int number) {
        return sql.sql("UPDATE lesson_event SET body = NULL, salt = NULL"
                                + " WHERE lesson = :lesson AND number = :number AND body IS NOT NULL")
                        .param("lesson", lesson.value())
                        .param("number", number)
                        .update()
                == 1;
    }

    private static void note(JdbcClient sql, LessonId lesson, int number, String why, PersonId by, Instant at) {
        sql.sql("INSERT INTO record_erasure (lesson, number, at, why, by) VALUES (:lesson, :number, :at, :why, :by)")
                .param("lesson", lesson.value())
                .param("number", number)
                .param("at", at.toEpochMilli())
                .param("why", why)
                .param("by", by.value())
                .update();
    }
}
