package juricast.server.classes;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Instant;
import java.util.Optional;
import juricast.core.live.Welcome;
import juricast.core.notices.NoticesPart;
import juricast.core.reading.Matter;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.editing.Edited;
import juricast.server.editing.Editions;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The welcome of a class and of its lessons, prepared before them. */
@RestController
@RequestMapping("/api")
class WelcomeController {
    private final Editions editions;
    private final Welcomes welcomes;
    private final Reading reading;
    private final AccessToClasses access;
    private final People people;

    WelcomeController(Editions editions, Welcomes welcomes, Reading reading, AccessToClasses access, People people) {
        this.editions = editions;
        this.welcomes = welcomes;
        this.reading = reading;
        this.access = access;
        this.people = people;
    }

    /** @param own what is written for this very class or lesson @param ofClass what counts for a lesson that has none of its own */
    record WelcomePage(@Nullable WelcomeText own, @Nullable WelcomeText ofClass) {}

    record WelcomeText(String text, String by, Instant at) {}

    /** @param text an empty one: none */
    record WelcomeRequest(@Nullable String text) {}

    /** The welcome that who arrives in a class reads. */
    @GetMapping("/classes/{id}/welcome")
    @For({TEACHER, LEAD})
    @Edited
    WelcomePage ofClass(@PathVariable String id, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = reading.ofClass(caller, Matter.CLASS, id);
        return new WelcomePage(line(welcomes.ofClass(found.id())), null);
    }

    /** Writes the welcome of a class; empty for none. */
    @PutMapping("/classes/{id}/welcome")
    @For({TEACHER, LEAD})
    @Edited
    WelcomePage writeOfClass(
            @PathVariable String id, @RequestBody WelcomeRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        editions.mustBe(ofClass(id, caller));
        Classes.SchoolClass found = access.ofAdultsOrLead(caller, id);
        welcomes.writeOfClass(found.id(), text(wanted), caller.person());
        return ofClass(id, caller);
    }

    /** The welcome prepared for one lesson, and that of its class. */
    @GetMapping("/lessons/{lesson}/prepared-welcome")
    @For({TEACHER, LEAD})
    @Edited
    WelcomePage ofLesson(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        Classes.Planned found = reading.ofLesson(caller, Matter.PLAN, lesson);
        return new WelcomePage(line(welcomes.ofLesson(found.id())), line(welcomes.ofClass(found.ofClass())));
    }

    /** Prepares the welcome of one lesson. */
    @PutMapping("/lessons/{lesson}/prepared-welcome")
    @For({TEACHER, LEAD})
    @Edited
    WelcomePage writeOfLesson(
            @PathVariable String lesson, @RequestBody WelcomeRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        editions.mustBe(ofLesson(lesson, caller));
        Classes.Planned found = reading.ofLesson(caller, Matter.PLAN, lesson);
        welcomes.writeOfLesson(found.id(), text(wanted), caller.person());
        return ofLesson(lesson, caller);
    }

    private @Nullable WelcomeText line(Optional<Welcome> one) {
        return one.map(it -> new WelcomeText(it.text(), people.nameOf(it.by()), it.at()))
                .orElse(null);
    }

    private static String text(WelcomeRequest wanted) {
        String text = wanted.text == null ? "" : wanted.text.strip();
        if (text.length() > NoticesPart.TEXT) {
            throw Problem.refused(
                    "welcome",
                    "The welcome is too long",
                    "Nothing was changed.",
                    "Up to %d characters.".formatted(NoticesPart.TEXT));
        }
        return text;
    }
}
