package juricast.server.timetable;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.random.RandomGenerator;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.inspection.InspectedLesson;
import juricast.core.inspection.Mend;
import juricast.core.joining.JoinWord;
import juricast.core.time.Span;
import juricast.server.classes.Classes;
import juricast.server.data.Database;
import juricast.server.data.School;
import juricast.server.data.Topic;
import juricast.server.problems.Problem;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Carries out changes of the plan, each as a whole or not at all. */
@Component
class Changes {
    private final Database database;
    private final School school;
    private final Plan plan;
    private final Classes classes;
    private final Clock clock;

    Changes(Database database, School school, Plan plan, Classes classes, Clock clock) {
        this.database = database;
        this.school = school;
        this.plan = plan;
        this.classes = classes;
        this.clock = clock;
    }

    /**
     * Moves, shortens or cancels lessons. All are moved by as much local time as the first one, so that a clock change between
     * them moves nothing.
     *
     * @return the name of the change
     */
    String change(
            List<Plan.Planned> lessons,
            LocalDateTime from,
            Duration length,
            boolean cancelled,
            String what,
            String why,
            PersonId by) {
        Plan.Planned first = lessons.get(0);
        LocalDate firstDay = local(first.time().from()).toLocalDate();
        long days = firstDay.until(from.toLocalDate(), java.time.temporal.ChronoUnit.DAYS);
        List<Plan.Wanted> wanted = lessons.stream()
                .map(one -> {
                    Instant begins = local(one.time().from())
                            .toLocalDate()
                            .plusDays(days)
                            .atTime(from.toLocalTime())
                            .atZone(school.zone())
                            .toInstant();
                    return new Plan.Wanted(one, new Span(begins, begins.plus(length)), cancelled);
                })
                .sorted(order(from, first))
                .toList();
        return database.write(
                sql -> {
                    String change = Plan.begin(sql, what, why, by, clock.instant());
                    for (Plan.Wanted one : wanted) {
                        if (!Plan.change(sql, change, one)) {
                            throw overtaken(one);
                        }
                    }
                    return change;
                },
                Topic.PLAN,
                Topic.PEOPLE);
    }

    /** Those that move later go last first, so that none steps on the next. */
    private java.util.Comparator<Plan.Wanted> order(LocalDateTime from, Plan.Planned first) {
        java.util.Comparator<Plan.Wanted> byTime =
                java.util.Comparator.comparing(one -> one.lesson().time().from());
        return from.isAfter(local(first.time().from())) ? byTime.reversed() : byTime;
    }

    /** Puts somebody in charge of lessons in place of an adult of the class, or besides. @return the name of the change */
    String cover(
            List<Plan.Planned> lessons,
            PersonId adult,
            Optional<PersonId> insteadOf,
            String what,
            String why,
            PersonId by) {
        return database.write(
                sql -> {
                    Instant now = clock.instant();
                    String change = Plan.begin(sql, what, why, by, now);
                    lessons.forEach(one -> Plan.cover(
                            sql,
                            change,
                            one.id(),
                            new InspectedLesson.Cover(
                                    adult, insteadOf, one.time().until()),
                            now));
                    return change;
                },
                Topic.PLAN,
                Topic.PEOPLE);
    }

    /** Carries out mends together. @return the name of the change */
    String mend(List<Mend> mends, String what, PersonId by, RandomGenerator random) {
        return database.write(
                sql -> {
                    String change = Plan.begin(sql, what, "The inspection found it.", by, clock.instant());
                    var step = new Step(sql, change, random);
                    mends.forEach(mend -> mend.match(step));
                    return change;
                },
                Topic.PLAN,
                Topic.PEOPLE);
    }

    private LocalDateTime local(Instant at) {
        return LocalDateTime.ofInstant(at, school.zone());
    }

    private Problem overtaken(Plan.Wanted wanted) {
        return Problem.refused(
                "not-possible",
                "The plan could not be changed",
                "On %s at %s the class has another lesson already, or somebody changed this one meanwhile. Nothing was changed."
                        .formatted(
                                school.day(wanted.time().from()),
                                school.clockTime(wanted.time().from())),
                "Look at the timetable again, and choose another time.");
    }

    /** One mend after the other, in one transaction. */
    private final class Step implements Mend.Cases<Boolean> {
        private final JdbcClient sql;
        private final String change;
        private final RandomGenerator random;
        private final List<JoinWord> made = new ArrayList<>();

        Step(JdbcClient sql, String change, RandomGenerator random) {
            this.sql = sql;
            this.change = change;
            this.random = random;
        }

        @Override
        public Boolean endEarlier(Mend.EndEarlier mend) {
            Plan.Planned lesson = known(mend.lesson());
            boolean isEarlier = mend.until().isBefore(lesson.time().until());
            return !isEarlier
                    || changed(new Plan.Wanted(lesson, new Span(lesson.time().from(), mend.until()), false));
        }

        @Override
        public Boolean leaveOut(Mend.LeaveOut mend) {
            Plan.Planned lesson = known(mend.lesson());
            return changed(new Plan.Wanted(lesson, lesson.time(), true));
        }

        @Override
        public Boolean cover(Mend.Cover mend) {
            return covered(mend.lesson(), mend.by(), Optional.of(mend.insteadOf()));
        }

        @Override
        public Boolean addAdult(Mend.AddAdult mend) {
            return covered(mend.lesson(), mend.adult(), Optional.empty());
        }

        @Override
        public Boolean coverLonger(Mend.CoverLonger mend) {
            plan.covers(mend.lesson()).stream()
                    .filter(one -> one.until().isBefore(mend.until()))
                    .forEach(one -> Plan.cover(
                            sql,
                            change,
                            mend.lesson(),
                            new InspectedLesson.Cover(one.adult(), one.insteadOf(), mend.until()),
                            clock.instant()));
            return true;
        }

        @Override
        public Boolean newWord(Mend.NewWord mend) {
            var taken = new HashSet<>(classes.joinWords());
            taken.addAll(made);
            JoinWord word = JoinWord.choose(random, taken);
            made.add(word);
            Classes.renameWord(sql, mend.ofClass(), word);
            return true;
        }

        private Plan.Planned known(LessonId id) {
            // Read on the connection that writes: an earlier mend of the same change may have shortened it.
            return Plan.lesson(sql, id).orElseThrow(() -> Problem.notThere("This lesson"));
        }

        private boolean changed(Plan.Wanted wanted) {
            if (!Plan.change(sql, change, wanted)) {
                throw overtaken(wanted);
            }
            return true;
        }

        private boolean covered(LessonId lesson, PersonId by, Optional<PersonId> insteadOf) {
            Plan.cover(
                    sql,
                    change,
                    lesson,
                    new InspectedLesson.Cover(
                            by, insteadOf, known(lesson).time().until()),
                    clock.instant());
            return true;
        }
    }

    /** @throws Problem if it has begun */
    Plan.Planned stillToCome(String lesson) {
        Plan.Planned found = plan.lesson(new LessonId(lesson)).orElseThrow(() -> Problem.notThere("This lesson"));
        if (!found.time().from().isAfter(clock.instant()) || plan.isOpened(found.id())) {
            throw Problem.refused(
                    "has-begun",
                    "This lesson is open, has begun or is over",
                    "What has happened cannot be planned anew. Nothing was changed.",
                    "Change one that is still to come.");
        }
        return found;
    }

    String titleOf(ClassId id) {
        return classes.find(id).map(Classes.SchoolClass::title).orElse("");
    }
}
