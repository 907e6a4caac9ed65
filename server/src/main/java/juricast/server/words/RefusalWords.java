package juricast.server.words;

import java.util.List;
import java.util.Locale;
import juricast.core.limits.Limits;
import juricast.core.live.LessonPlan;
import juricast.core.live.Refusal;
import juricast.server.languages.Sentences;
import juricast.server.problems.Problem;
import org.springframework.stereotype.Component;

/** Turns the core's refusals into problems: what happened, what is as it was, what to do. */
@Component
public class RefusalWords {
    private final RuleWords words;
    private final Sentences sentences;
    private final List<PartWords> parts;

    RefusalWords(RuleWords words, Sentences sentences, List<PartWords> parts) {
        this.words = words;
        this.sentences = sentences;
        this.parts = parts;
    }

    /** A refusal for whoever gave the order. @param pupil whether in a pupil's words */
    public Problem problem(Refusal refusal, LessonPlan plan, boolean pupil) {
        var refused = new Refused(refusal, plan, pupil);
        String key = keyOf(refusal.code());
        return pupil && sentences.has(key + ".title") ? otherwise(refused, key) : inEnglish(refused);
    }

    private Problem inEnglish(Refused refused) {
        Refusal.Code code = refused.refusal().code();
        return code instanceof Refusal.Common common
                ? common(common, refused)
                : parts.stream()
                        .flatMap(part -> part.problem(refused).stream())
                        .findFirst()
                        .orElseThrow(() -> new IllegalArgumentException("No part has words for " + code));
    }

    /** Where the other languages have it: by the part and the code, as refused.chat.too-fast. */
    static String keyOf(Refusal.Code code) {
        return "refused."
                + ((Enum<?>) code)
                        .getDeclaringClass()
                        .getSimpleName()
                        .replace("Refusal", "")
                        .toLowerCase(Locale.ROOT)
                + "."
                + code.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private Problem otherwise(Refused refused, String key) {
        Object[] with = {refused.who(), Limits.MESSAGE, Limits.FILES};
        String nothing = sentences.say("refused.nothing-changed");
        return refused.say(
                sentences.say(key + ".title", with),
                sentences.or(nothing, key + ".detail", with),
                sentences.say(key + ".do", with));
    }

    private Problem common(Refusal.Common code, Refused refused) {
        String who = refused.who();
        return switch (code) {
            case NOT_AN_ADULT_HERE -> Problem.notYours(
                    "Only the adults of this class do that", "Ask one of the adults of the class.");
            case ADULT_NOT_IN -> refused.say("You are not in the room", "Come in first, then do it again.");
            case NOT_LEADING -> refused.say(
                    "The lead adult lends these rights",
                    "Ask them, or do it yourself when no lead adult is in the room.");
            case NOT_OPEN -> refused.say("This lesson is not open yet", "Open it first.");
            case LESSON_OVER -> refused.say("This lesson is over", "Nothing more can be done in it.");
            case NOT_PRESENT -> refused.toPupil()
                    ? refused.say("You are not in the lesson", "Knock again at the doorstep.")
                    : refused.say(
                            (who.isEmpty() ? "This person" : who) + " is not in the lesson", "Do it when they are.");
            case RULE_CLOSED, RULE_ON_REQUEST -> new ByRule(refused, words, sentences).problem();
            case RULE_BOUND -> words.bound(refused.refusal().ruling().orElseThrow());
            case EMPTY_TEXT -> refused.say("There is nothing to send", "Write something first.");
            case TEXT_TOO_LONG -> refused.say(
                    "That is too long", "Shorten it to " + Limits.MESSAGE + " characters. Your text is still here.");
            case TOO_MUCH -> refused.say("There is no more room for that", "Wipe the board, or take something back.");
        };
    }
}
