package juricast.server.lesson;

import jakarta.servlet.http.HttpServletRequest;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.lesson.LessonOrder;
import juricast.core.lesson.LessonPlan;
import juricast.core.lesson.Visit;
import juricast.server.access.Cookies;
import juricast.server.problems.Problem;
import juricast.server.words.RefusalWords;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Gives a pupil's orders to a lesson and answers with the seat, for the device the visit belongs to and no other. */
@Component
class SeatOrders {
    private final LiveLessons lessons;
    private final SeatJson seats;
    private final RefusalWords refusals;
    private final Answers answers;

    SeatOrders(LiveLessons lessons, SeatJson seats, RefusalWords refusals, Answers answers) {
        this.lessons = lessons;
        this.seats = seats;
        this.refusals = refusals;
        this.answers = answers;
    }

    /** A visit of the calling device. */
    record Mine(LessonId lesson, VisitId visit, Visit now) {
        PersonId person() {
            return now.person().orElseThrow(() -> Problem.notThere("Your seat"));
        }
    }

    /** The visit, if it is the calling device's. @throws Problem as if it were not there, if it is another's */
    Mine mine(String visit, HttpServletRequest request) {
        var id = new VisitId(visit);
        LessonId lesson = lessons.lessonOf(id);
        if (lesson == null) {
            throw Problem.notThere("This seat");
        }
        Visit found = lessons.look(lesson).state().visit(id).orElseThrow();
        boolean isMine = Cookies.device(request)
                .filter(device -> device.equals(found.arrival().device()))
                .isPresent();
        if (!isMine) {
            throw Problem.notThere("This seat");
        }
        return new Mine(lesson, id, found);
    }

    /** The seat as the order left it, if it is wanted; see {@link Answers}. @throws Problem if it was refused */
    SeatJson.@Nullable Seat order(Mine mine, LessonOrder order) {
        carryOut(mine.lesson, order);
        return answers.with(() -> seats.of(lessons.look(mine.lesson), mine.visit, lessons.now()));
    }

    void carryOut(LessonId lesson, LessonOrder order) {
        lessons.carryOut(lesson, order).either(done -> null, refusal -> {
            LessonPlan plan = lessons.look(lesson).plan();
            throw refusals.problem(refusal, plan, true);
        });
    }
}
