package juricast.server.questions;

import static juricast.core.questions.QuestionsPart.QUESTIONS;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.lesson.Parts;
import juricast.core.live.LessonPlan;
import juricast.core.questions.AskedQuestion;
import juricast.server.data.Database;
import juricast.server.lesson.Records;
import org.springframework.stereotype.Component;

/** What was asked and answered in lessons, as their records tell. */
@Component
class LessonAnswers {
    private final Database database;
    private final Records records;

    LessonAnswers(Database database, Records records) {
        this.database = database;
        this.records = records;
    }

    /** @param forgotten whether what was answered has been erased by rule */
    record Asked(LessonPlan plan, List<AskedQuestion> questions, boolean forgotten) {}

    /** @throws juricast.server.record.Journal.DamagedRecord if the lesson's record cannot be read */
    Asked of(LessonId id) {
        Records.Record record = records.of(id);
        boolean forgotten = database.read()
                        .sql(
                                "SELECT count(*) FROM lesson_forgot WHERE lesson = :lesson AND kind IN ('ANSWERS', 'REGISTERS')")
                        .param("lesson", id.value())
                        .query(Integer.class)
                        .single()
                > 0;
        return new Asked(
                record.plan(), Parts.NEW.after(record.events()).of(QUESTIONS).asked(), forgotten);
    }

    record Held(LessonId lesson, String title, Instant starts) {}

    /** Finished lessons in which something was asked and is still known, newest first. */
    List<Held> held(Collection<ClassId> classes, Instant since, int most) {
        return classes.isEmpty()
                ? List.of()
                : database.read()
                        .sql(
                                """
                            SELECT lesson_activities.lesson, class.title, lesson.starts FROM lesson_activities
                              JOIN lesson ON lesson.id = lesson_activities.lesson
                              JOIN class ON class.id = lesson_activities.class
                            WHERE lesson_activities.class IN (:classes) AND asked > 0 AND lesson_activities.at >= :since
                              AND NOT EXISTS (SELECT 1 FROM lesson_forgot
                                WHERE lesson_forgot.lesson = lesson_activities.lesson AND kind IN ('ANSWERS', 'REGISTERS'))
                            ORDER BY lesson.starts DESC LIMIT :most""")
                        .param("classes", classes.stream().map(ClassId::value).toList())
                        .param("since", since.toEpochMilli())
                        .param("most", most)
                        .query((row, n) -> new Held(
                                new LessonId(row.getString(1)), row.getString(2), Instant.ofEpochMilli(row.getLong(3))))
                        .list();
    }
}
