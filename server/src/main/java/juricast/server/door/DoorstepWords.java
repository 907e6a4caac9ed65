package juricast.server.door;

import java.util.List;
import java.util.Locale;
import juricast.core.entry.Doorstep;
import juricast.core.limits.Limits;
import juricast.server.languages.Sentences;
import juricast.server.problems.Problem;
import org.springframework.stereotype.Component;

/** What is said to somebody who has not knocked yet, in words for everybody, in the language they chose. */
@Component
class DoorstepWords {
    private final Sentences sentences;

    DoorstepWords(Sentences sentences) {
        this.sentences = sentences;
    }

    Problem problem(Doorstep.Refusal why) {
        return switch (why) {
            case NO_NAME -> Problem.notReadable(
                    say("no-name", "title"),
                    say("no-name", "detail"),
                    say("no-name", "do", Limits.NAME),
                    List.of(new Problem.Wrong("name", sentences.say("doorstep.characters", Limits.NAME))));
            case TOO_MANY_KNOCKS -> Problem.tooMany(say("too-many-knocks", "title"), say("too-many-knocks", "do"));
            case FOR_STAFF, WRONG_WORD, HOUSE_RULES, NO_LESSON_NOW -> refused(
                    why.name().toLowerCase(Locale.ROOT).replace('_', '-'));
        };
    }

    /** By the name of the refusal, which is also its kind on the wire. */
    Problem refused(String kind) {
        return Problem.refused(kind, say(kind, "title"), say(kind, "detail"), say(kind, "do"));
    }

    Problem noNumber() {
        return Problem.notReadable(
                say("no-number", "title"), say("no-number", "detail"), say("no-number", "do"), List.of());
    }

    private String say(String kind, String what, Object... with) {
        return sentences.say("doorstep.%s.%s".formatted(kind, what), with);
    }
}
