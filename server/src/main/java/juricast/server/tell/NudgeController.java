package juricast.server.tell;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.util.List;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.classes.AccessToClasses;
import juricast.server.classes.Classes;
import juricast.server.lesson.LiveLessons;
import juricast.server.problems.Problem;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** Nudges by hand, from the desk (need L3). */
@RestController
class NudgeController {
    private final Rounds rounds;
    private final LiveLessons lessons;
    private final Classes classes;
    private final AccessToClasses access;

    NudgeController(Rounds rounds, LiveLessons lessons, Classes classes, AccessToClasses access) {
        this.rounds = rounds;
        this.lessons = lessons;
        this.classes = classes;
        this.access = access;
    }

    /** @param missing how many are missing @param nudged how many of them were nudged just now */
    record Nudged(int missing, int nudged) {}

    /** Nudges who is missing, but nobody who was nudged in the last ten minutes. 409 unless the lesson is open. */
    @PostMapping("/api/lessons/{lesson}/nudges")
    @For({TEACHER, LEAD})
    Nudged nudge(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        Classes.Planned planned =
                classes.lesson(new LessonId(lesson)).orElseThrow(() -> Problem.notThere("This lesson"));
        if (!classes.isInCharge(caller.person(), planned, lessons.now())) {
            access.ofAdultsOrLead(caller, planned.ofClass().value());
        }
        if (!lessons.state(planned.id()).there().isOpen()) {
            throw Problem.refused(
                    "not-open",
                    "This lesson is not open",
                    "Nobody was nudged: they could not come in.",
                    "Open it first.");
        }
        List<Member> missing = lessons.missing(planned.id());
        return new Nudged(missing.size(), rounds.nudge(planned, missing, lessons.now()));
    }
}
