package juricast.server.lesson;

import static juricast.core.door.DoorPart.DOOR;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import juricast.core.identity.DeviceId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonOrder;
import juricast.core.live.Visit;
import juricast.server.access.Cookies;
import juricast.server.access.Sessions;
import juricast.server.access.SignedIn;
import juricast.server.problems.Problem;
import juricast.server.words.RefusalWords;
import org.springframework.stereotype.Component;

/** Gives a pupil's orders to a lesson, for the device the visit belongs to and no other. */
@Component
public class SeatOrders {
    private final LiveLessons lessons;
    private final RefusalWords refusals;

    SeatOrders(LiveLessons lessons, RefusalWords refusals) {
        this.lessons = lessons;
        this.refusals = refusals;
    }

    /** A visit of the calling device. @param caller who was signed in on it */
    public record Mine(LessonId lesson, VisitId visit, Visit now, Optional<SignedIn> caller) {
        public PersonId person() {
            return now.person().orElseThrow(() -> Problem.notThere("Your seat"));
        }

        /** Whether the seat may still be looked at from there: as long as the sign-in it came by goes on. */
        public BooleanSupplier goesOn(Sessions sessions) {
            return () -> !now.arrival().hasAccount()
                    || caller.flatMap(one -> sessions.named(one.session()))
                            .filter(one -> now.arrival().account().equals(Optional.of(one.person())))
                            .isPresent();
        }
    }

    /** The visit, if it is the calling device's and person's. @throws Problem as if it were not there, if it is another's */
    public Mine mine(String visit, HttpServletRequest request) {
        var id = new VisitId(visit);
        LessonId lesson = lessons.lessonOf(id);
        if (lesson == null) {
            throw Problem.notThere("This seat");
        }
        Visit found = lessons.look(lesson).state().of(DOOR).visit(id).orElseThrow();
        Optional<SignedIn> caller = SignedIn.calling();
        if (Cookies.device(request)
                .filter(device -> isOf(found, device, caller))
                .isEmpty()) {
            throw Problem.notThere("This seat");
        }
        return new Mine(lesson, id, found, caller);
    }

    /**
     * Whether a visit is somebody's on a device. On one that several use, a visit of who is signed in is theirs alone, and one of who
     * only gave a name is not that of another who signs in there. A visitor's own link says who comes, whoever is signed in.
     */
    public static boolean isOf(Visit visit, DeviceId device, Optional<SignedIn> caller) {
        if (!visit.arrival().device().equals(device)) {
            return false;
        }
        Optional<PersonId> who = caller.map(SignedIn::person);
        if (visit.arrival().hasAccount()) {
            return visit.arrival().account().equals(who);
        }
        return who.isEmpty()
                || visit.arrival().account().isPresent()
                || visit.person().equals(who);
    }

    /** @throws Problem if it was refused, in a pupil's words */
    public Ordered order(Mine mine, LessonOrder order) {
        return order(mine.lesson, order);
    }

    public Ordered order(LessonId lesson, LessonOrder order) {
        lessons.carryOut(lesson, order).either(done -> null, refusal -> {
            throw refusals.problem(refusal, lessons.look(lesson).plan(), true);
        });
        return new Ordered(lessons.look(lesson).state().number());
    }
}
