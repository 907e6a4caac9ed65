package juricast.server.lesson;

import static juricast.core.door.DoorPart.DOOR;

import java.util.Optional;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonOrder;
import juricast.core.live.LessonPlan;
import juricast.core.live.Visit;
import juricast.server.access.SignedIn;
import juricast.server.problems.Problem;
import juricast.server.words.RefusalWords;
import org.springframework.stereotype.Component;

/** Gives an adult's orders to a lesson. Whether they may give them is decided by the core. */
@Component
public class DeskOrders {
    private final LiveLessons lessons;
    private final RefusalWords refusals;

    DeskOrders(LiveLessons lessons, RefusalWords refusals) {
        this.lessons = lessons;
        this.refusals = refusals;
    }

    /** @throws Problem if it was refused, with the reason, or the caller may not look at the lesson */
    public Ordered order(String lesson, SignedIn caller, LessonOrder order) {
        return order(known(lesson, caller), order);
    }

    /** The same for a lesson that the caller is known to look at. */
    public Ordered order(LessonId id, LessonOrder order) {
        lessons.carryOut(id, order).either(done -> null, refusal -> {
            throw refusals.problem(refusal, lessons.look(id).plan(), false);
        });
        return nothing(id);
    }

    /** Where nothing was to be done. */
    public Ordered nothing(LessonId id) {
        return new Ordered(lessons.look(id).state().number());
    }

    /** The lesson, if the caller is one of its adults, or may observe it. @throws Problem if not, saying whom to ask */
    public LessonId known(String lesson, SignedIn caller) {
        var id = new LessonId(lesson);
        LessonPlan plan = lessons.look(id).plan();
        if (!mayLook(plan, caller.person())) {
            throw Problem.notYours(
                    "You are not an adult of “%s”".formatted(plan.title()),
                    "Ask %s, or the safeguarding lead."
                            .formatted(plan.adults().stream()
                                    .map(Member::name)
                                    .findFirst()
                                    .orElse("the office")));
        }
        return id;
    }

    /** The same for a line that is open. */
    public boolean mayLook(LessonId lesson, PersonId person) {
        return mayLook(lessons.look(lesson).plan(), person);
    }

    private static boolean mayLook(LessonPlan plan, PersonId person) {
        return plan.member(person)
                .map(Member::role)
                .filter(role -> role.isAdultInCharge() || role == Role.OBSERVER)
                .isPresent();
    }

    /** The visit by which this adult is in the room. */
    public VisitId presence(LessonId id, SignedIn caller) {
        return lessons.look(id).state().of(DOOR).visits().stream()
                .filter(one -> one.isPresent() && one.person().equals(Optional.of(caller.person())))
                .map(Visit::id)
                .findFirst()
                .orElse(new VisitId("not in"));
    }
}
