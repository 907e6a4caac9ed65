package juricast.server.activities;

import static juricast.core.board.BoardPart.BOARD;
import static juricast.core.merits.MeritsPart.MERITS;
import static juricast.core.questions.QuestionsPart.QUESTIONS;

import juricast.core.board.BoardPages;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.lesson.Parts;
import juricast.core.live.LessonState;
import juricast.core.live.PlaceId;
import juricast.core.merits.Merit;
import juricast.server.Schedules;
import juricast.server.classes.Classes;
import juricast.server.data.Database;
import juricast.server.lesson.Records;
import juricast.server.record.FinishedLessons;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Works out once, from a lesson that is over, which merits count, what its board holds, and whether anything was asked. */
@Component
class ActivitiesKept {
    private final Records records;
    private final FinishedLessons finished;
    private final Classes classes;
    private final Database database;

    ActivitiesKept(Records records, FinishedLessons finished, Classes classes, Database database) {
        this.records = records;
        this.finished = finished;
        this.classes = classes;
        this.database = database;
    }

    /** Goes through lessons that are over and not looked at yet. */
    @Scheduled(initialDelay = 4000, fixedDelay = 5000, scheduler = Schedules.WORKING_OUT)
    void goThrough() {
        finished.each(
                "SELECT 1 FROM lesson_activities WHERE lesson_activities.lesson = lesson_stage.lesson",
                "What was done in it",
                this::keep);
    }

    private void keep(LessonId id) {
        ClassId of = classes.lesson(id).orElseThrow().ofClass();
        Records.Record record = records.of(id);
        LessonState state = Parts.NEW.after(record.events());
        BoardPages board = state.of(BOARD).of(PlaceId.TOGETHER);
        database.write(sql -> {
            for (Merit one : state.of(MERITS).given()) {
                sql.sql("INSERT INTO merit (lesson, number, class, person, reason, by, at)"
                                + " VALUES (:lesson, :number, :class, :person, :reason, :by, :at)")
                        .param("lesson", id.value())
                        .param("number", one.number())
                        .param("class", of.value())
                        .param("person", one.given().person().value())
                        .param("reason", one.given().reason())
                        .param("by", one.given().by().value())
                        .param("at", one.given().at().toEpochMilli())
                        .update();
            }
            return sql.sql("INSERT INTO lesson_activities (lesson, class, at, pages, marks, asked)"
                            + " VALUES (:lesson, :class, :at, :pages, :marks, :asked)")
                    .param("lesson", id.value())
                    .param("class", of.value())
                    .param("at", record.dismissedAt().orElseThrow().toEpochMilli())
                    .param("pages", board.pages().size())
                    .param("marks", board.marks())
                    .param("asked", state.of(QUESTIONS).asked().size())
                    .update();
        });
    }
}
