package juricast.server.casebook;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import juricast.core.casebook.CaseEvent;
import juricast.core.casebook.FromLesson;
import juricast.core.casebook.Incident;
import juricast.core.conduct.ConductEvent;
import juricast.core.identity.LessonId;
import juricast.core.ladder.Measure;
import juricast.core.live.LessonEvent;
import juricast.server.classes.Classes;
import juricast.server.data.Database;
import juricast.server.data.School;
import juricast.server.data.Topic;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.Snapshot;
import juricast.server.record.Follower;
import juricast.server.record.IncidentRecord;
import juricast.server.record.Journal;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Takes notice of what happens in lessons. That there is something to take notice of is written in the transaction of the event itself;
 * the incident is opened a moment later by a thread of its own, so that no lesson waits for it, and nothing is lost when the program
 * is killed in between.
 */
@Component
public class FromLessons implements Follower, DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(FromLessons.class);

    private final Database database;
    private final Casebook casebook;
    private final Classes classes;
    private final School school;
    private final ObjectProvider<LiveLessons> lessons;
    private final ExecutorService worker = Executors.newSingleThreadExecutor(task -> {
        var thread = new Thread(task, "casebook");
        thread.setDaemon(true);
        return thread;
    });

    FromLessons(
            Database database, Casebook casebook, Classes classes, School school, ObjectProvider<LiveLessons> lessons) {
        this.school = school;
        this.database = database;
        this.casebook = casebook;
        this.classes = classes;
        this.lessons = lessons;
    }

    @Override
    public void within(JdbcClient sql, LessonId lesson, List<LessonEvent> events) {
        if (events.stream().noneMatch(FromLesson::isNoticed)) {
            return;
        }
        int number = sql.sql("SELECT max(number) FROM lesson_event WHERE lesson = :lesson")
                        .param("lesson", lesson.value())
                        .query(Integer.class)
                        .single()
                - events.size();
        for (LessonEvent event : events) {
            number++;
            if (FromLesson.isNoticed(event)) {
                sql.sql("INSERT INTO case_due (lesson, number) VALUES (:lesson, :number) ON CONFLICT DO NOTHING")
                        .param("lesson", lesson.value())
                        .param("number", number)
                        .update();
            }
            if (event instanceof ConductEvent.StepTaken step) {
                taken(sql, lesson, number, step);
            } else if (event instanceof ConductEvent.Withdrawn withdrawn) {
                sql.sql("UPDATE step_taken SET withdrawn = 1 WHERE lesson = :lesson AND number = :number")
                        .param("lesson", lesson.value())
                        .param("number", withdrawn.step())
                        .update();
            }
        }
    }

    private static void taken(JdbcClient sql, LessonId lesson, int number, ConductEvent.StepTaken step) {
        step.against().forEach(one -> sql.sql(
                        """
                INSERT INTO step_taken (lesson, number, person, act, step, name, level, proposed, outside, counts, by, at)
                VALUES (:lesson, :number, :person, :act, :step, :name, :level, :proposed, :outside, :counts, :by, :at)
                ON CONFLICT DO NOTHING""")
                .param("lesson", lesson.value())
                .param("number", number)
                .param("person", one.person().value())
                .param("act", step.act().id())
                .param("step", step.step().id())
                .param("name", step.step().name())
                .param("level", step.step().level())
                .param("proposed", one.proposed())
                .param(
                        "outside",
                        step.step().measure() == Measure.OUT_OF_LESSON
                                || step.step().measure() == Measure.OUT_OF_SERIES)
                .param("counts", step.step().counts().toMillis())
                .param("by", step.by().value())
                .param("at", step.at().toEpochMilli())
                .update());
    }

    @Override
    public void after(LessonId lesson, List<LessonEvent> events) {
        if (events.stream().anyMatch(FromLesson::isNoticed)) {
            worker.execute(this::takeNotice);
        }
    }

    private record Due(LessonId lesson, int number) {}

    /** Takes notice of all that is due; also of what a killed program had not come to. */
    @Scheduled(fixedDelay = 10_000)
    public synchronized void takeNotice() {
        List<Due> due = database.read()
                .sql(
                        """
                    SELECT case_due.lesson, case_due.number FROM case_due JOIN lesson ON lesson.id = case_due.lesson
                    ORDER BY lesson.starts, case_due.lesson, case_due.number LIMIT 500""")
                .query((row, n) -> new Due(new LessonId(row.getString(1)), row.getInt(2)))
                .list();
        for (Due one : due) {
            try {
                takeNotice(one);
            } catch (Journal.DamagedRecord damaged) {
                LOG.error("Lesson {} is damaged; the casebook takes no notice of its event {}", one.lesson, one.number);
                done(one);
            } catch (IncidentRecord.MovedOn quicker) {
                LOG.info("An incident of lesson {} was changed meanwhile; it is tried again", one.lesson);
            } catch (RuntimeException failed) {
                LOG.error("Event {} of lesson {} could not be taken into the casebook", one.number, one.lesson, failed);
            }
        }
    }

    private void takeNotice(Due due) {
        Snapshot at = lessons.getObject().look(due.lesson);
        LessonEvent event = at.events().get(due.number - 1);
        var open = new ArrayList<Incident>(casebook.openOf(due.lesson));
        casebook.openSince(CaseEvent.Origin.SWEEP, event.at().minus(FromLesson.ONE_SWEEP)).stream()
                .filter(one -> open.stream().noneMatch(known -> known.id().equals(one.id())))
                .forEach(open::add);
        var of = classes.lesson(due.lesson).orElseThrow().ofClass();
        Optional<FromLesson.Draft> draft =
                new FromLesson(at.plan(), of, at.events(), at.rules(), List.copyOf(open)).of(due.number);
        database.write(
                sql -> {
                    draft.ifPresent(one -> one.to()
                            .map(id -> open.stream()
                                    .filter(known -> known.id().equals(id))
                                    .findFirst()
                                    .orElseThrow())
                            .ifPresentOrElse(
                                    known -> casebook.add(sql, known, withLetters(one.events(), event, at)),
                                    () -> casebook.open(sql, withLetters(one.events(), event, at))));
                    return forget(sql, due);
                },
                Topic.PLAN);
    }

    /** Where the ladder has parents told of a step, they are written to with it. */
    private List<CaseEvent> withLetters(List<CaseEvent> events, LessonEvent event, Snapshot at) {
        if (!(event instanceof ConductEvent.StepTaken step) || !step.step().parents()) {
            return events;
        }
        var all = new ArrayList<>(events);
        step.against()
                .forEach(one -> all.add(new CaseEvent.ParentsWritten(
                        one.person(),
                        "On %s, at %s, in %s, this step was taken: %s. The reason: %s."
                                .formatted(
                                        school.day(step.at()),
                                        school.clockTime(step.at()),
                                        at.plan().title(),
                                        step.step().name().toLowerCase(Locale.ROOT),
                                        step.act().name().toLowerCase(Locale.ROOT)),
                        step.by(),
                        step.at())));
        return all;
    }

    private void done(Due due) {
        database.append(sql -> forget(sql, due));
    }

    private static int forget(JdbcClient sql, Due due) {
        return sql.sql("DELETE FROM case_due WHERE lesson = :lesson AND number = :number")
                .param("lesson", due.lesson.value())
                .param("number", due.number)
                .update();
    }

    @Override
    public void destroy() {
        worker.shutdown();
    }
}
