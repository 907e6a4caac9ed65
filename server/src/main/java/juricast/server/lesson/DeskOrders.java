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
import juricast.server.classes.Classes;
import juricast.server.problems.Problem;
import juricast.server.words.RefusalWords;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Gives an adult's orders to a lesson and answers with the desk. Whether they may give them is decided by the core. */
@Component
class DeskOrders {
    private final LiveLessons lessons;
    private final DeskJson desks;
    private final RefusalWords refusals;
    private final Answers answers;
    private final Classes classes;

    DeskOrders(LiveLessons lessons, DeskJson desks, RefusalWords refusals, Answers answers, Classes classes) {
        this.lessons = lessons;
        this.desks = desks;
        this.refusals = refusals;
        this.answers = answers;
        this.classes = classes;
    }

    /** The desk as the order left it, if it is wanted; see {@link Answers}. @throws Problem if it was refused, with the reason */
    DeskJson.@Nullable Desk order(String lesson, SignedIn caller, LessonOrder order) {
        LessonId id = known(lesson, caller);
        carryOut(id, order);
        return answers.with(() -> seen(id, caller, 0));
    }

    /** The same for what is answered with something else than the desk. */
    void carryOut(LessonId id, LessonOrder order) {
        lessons.carryOut(id, order).either(done -> null, refusal -> {
            throw refusals.problem(refusal, lessons.look(id).plan(), false);
        });
    }

    /** The lesson, if the caller is one of its adults, or may observe it. */
    LessonId known(String lesson, SignedIn caller) {
        var id = new LessonId(lesson);
        var plan = lessons.look(id).plan();
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
    boolean mayLook(LessonId lesson, PersonId person) {
        return mayLook(lessons.look(lesson).plan(), person);
    }

    private static boolean mayLook(LessonPlan plan, PersonId person) {
        return plan.member(person)
                .map(Member::role)
                .filter(role -> role.isAdultInCharge() || role == Role.OBSERVER)
                .isPresent();
    }

    /** @throws Problem if the plan says that the lesson is not held */
    void refuseCancelled(LessonId id) {
        classes.lesson(id).filter(Classes.Planned::cancelled).ifPresent(one -> {
            throw Problem.refused(
                    "cancelled",
                    "This lesson was cancelled",
                    "Its pupils were not told to come. Nobody was let in.",
                    "Bring it back in the timetable first, then open it.");
        });
    }

    /** The desk as this adult sees it. @param after the number of the last words the browser has */
    DeskJson.Desk seen(LessonId id, SignedIn caller, int after) {
        return desks.of(lessons.look(id), caller.person(), after, lessons.now());
    }

    /** The same for a stream. */
    Shown shown(LessonId id, SignedIn caller, int after) {
        return desks.shown(lessons.look(id), caller.person(), after, lessons.now());
    }

    /** The visit by which this adult is in the room. */
    VisitId presence(LessonId id, SignedIn caller) {
        return lessons.look(id).state().of(DOOR).visits().stream()
                .filter(one -> one.isPresent() && one.person().equals(Optional.of(caller.person())))
                .map(Visit::id)
                .findFirst()
                .orElse(new VisitId("not in"));
    }
}
