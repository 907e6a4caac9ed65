package juricast.server.words;

import java.util.stream.Collectors;
import juricast.core.limits.Limits;
import juricast.core.live.LessonPlan;
import juricast.core.live.Refusal;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Layer;
import juricast.core.rules.Ruling;
import juricast.server.data.School;
import juricast.server.problems.Problem;
import org.springframework.stereotype.Component;

/** Turns the core's refusals into problems: what happened, what is as it was, what to do. */
@Component
public class RefusalWords {
    private final School school;
    private final RuleWords words;

    RefusalWords(School school, RuleWords words) {
        this.school = school;
        this.words = words;
    }

    /** A refusal for whoever gave the order. @param pupil whether in a pupil's words */
    public Problem problem(Refusal refusal, LessonPlan plan, boolean pupil) {
        String who = refusal.about().stream().map(plan::nameOf).collect(Collectors.joining(", "));
        String type = refusal.code().name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
        return switch (refusal.code()) {
            case NOT_AN_ADULT_HERE -> Problem.notYours(
                    "Only the adults of this class do that", "Ask one of the adults of the class.");
            case ADULT_NOT_IN -> say(type, "You are not in the room", "Come in first, then do it again.");
            case TOO_EARLY_TO_OPEN -> say(
                    type,
                    "It is too early to open",
                    "You may open from %s: %s before the start, by the charter."
                            .formatted(
                                    school.clockTime(plan.time()
                                            .from()
                                            .minus(((juricast.core.rules.Minutes) refusal.ruling()
                                                            .orElseThrow()
                                                            .value())
                                                    .length())),
                                    RuleWords.value(
                                            Catalogue.EARLY_MINUTES,
                                            refusal.ruling().orElseThrow().value())));
            case ALREADY_OPEN -> say(type, who + " has opened this lesson already", "You can come in to help.");
            case NOT_OPEN -> say(type, "This lesson is not open yet", "Open it first.");
            case LESSON_OVER -> say(type, "This lesson is over", "Nothing more can be done in it.");
            case NO_SUCH_VISIT -> say(type, "Nobody stands there any more", "Look at the list again.");
            case NOT_WAITING -> say(
                    type,
                    (who.isEmpty() ? "This arrival" : who) + " does not wait any more",
                    "Look at the list again.");
            case NOT_PRESENT -> pupil
                    ? say(type, "You are not in the lesson", "Knock again at the doorstep.")
                    : say(
                            type,
                            (who.isEmpty() ? "This person" : who) + " is not in the lesson",
                            "Do it when they are.");
            case WHO_IS_IT -> say(type, "Nobody knows who this is", "Let them in as somebody on the class list.");
            case NOT_ON_LIST -> say(type, "This person is not on the class list", "Choose somebody who is.");
            case RULE_CLOSED, RULE_ON_REQUEST -> byRule(type, refusal, pupil);
            case RULE_BOUND -> words.bound(refusal.ruling().orElseThrow());
            case ALREADY_ALLOWED -> say(type, "They may do that already", "No pass is needed.");
            case TOO_EARLY_TO_ADMIT -> say(
                    type, "It is too early to let pupils in", "They are let in when the charter's time has come.");
            case REMOVED_HERE -> say(
                    type, "A safeguarding lead has put you out of this lesson", "Ask the safeguarding lead.");
            case NO_ADULT_READS -> say(
                    type,
                    "No adult is here who could read along",
                    "Between pupils and visitors everything is read by an adult. Write to the class, or wait for an adult.");
            case NOTHING_TO_UNDO -> say(
                    type, "There is nothing to take back any more", "Give the passes again one by one.");
            case NOT_REMOVED -> say(type, who + " was not removed", "Nothing needs to be done.");
            case LAST_ADULT -> say(
                    type,
                    "You are the only adult in the room",
                    "Dismiss the class, or wait until another adult is in. Pupils are never left alone.");
            case EMPTY_TEXT -> say(type, "There is nothing to send", "Write something first.");
            case TEXT_TOO_LONG -> say(
                    type,
                    "That is too long",
                    "Shorten it to " + Limits.MESSAGE + " characters. Your text is still here.");
            case WRONG_LENGTH -> say(type, "That is no length for a pass", "Choose 1 to 120 minutes.");
            case TOO_MANY_ARRIVALS -> say(
                    type, "Too many have knocked at this door", "Ask your teacher, who can let you in another way.");
            case ROOM_IS_FULL -> say(type, "The room is full by the rules", "Let them in when somebody has gone.");
            case TOO_FAST -> Problem.refused(
                    type,
                    "Not sent",
                    "You have written a lot in the last minute. Your text is still here.",
                    "Wait a moment, then send it.");
            case SOMEBODY_SHOWS -> say(
                    type,
                    (who.isEmpty() ? "Somebody" : who) + " is showing something",
                    pupil ? "Wait until they have finished, or raise your hand." : "Stop their sharing first.");
            case NOT_STOPPED -> say(type, "Nothing is stopped", "The lesson goes on as it was.");
            case AN_ADULT_IS_IN -> say(
                    type, "An adult is in this room", "Only a room without an adult can be taken charge of.");
            case NOT_LEADING -> say(
                    type,
                    "The lead adult lends these rights",
                    "Ask them, or do it yourself when no lead adult is in the room.");
            case NOT_FOR_THEM -> say(type, who + " cannot be given that", "Choose something that is meant for them.");
            case ALONE_WITH_ONE -> say(
                    type,
                    "No adult is alone with one pupil here",
                    "Let a second adult or the safeguarding lead come in first; by the rules, a last word needs their eyes or a recording.");
            case LAST_WORD -> say(type, "The others have gone already", "Dismiss when the last word is said.");
            case NO_SUCH_WORDS -> say(type, "This message does not wait any more", "Look at the list again.");
            case NOT_A_LINE -> say(type, "That is no line", "Draw it once more.");
            case TOO_MANY_FILES -> Problem.refused(
                    type,
                    "This file was not sent",
                    "This lesson has taken %d files; more are not kept.".formatted(Limits.FILES),
                    "Hand out a link instead, or write it down.");
            case TOO_MUCH -> say(type, "There is no more room for that", "Wipe the board, or take something back.");
        };
    }

    private Problem byRule(String type, Refusal refusal, boolean pupil) {
        Ruling<?> ruling = refusal.ruling().orElseThrow();
        if (!pupil && Catalogue.HELP.contains(ruling.rule())) {
            return say(
                    type,
                    "Not yours while the lead adult is in: " + ruling.rule().title(),
                    refusal.code() == Refusal.Common.RULE_ON_REQUEST
                            ? "Ask them to lend it to you: on their desk, under your name."
                            : "Ask them to do it.");
        }
        if (!pupil) {
            return say(type, "The rules do not allow it: " + ruling.rule().title(), "Look at why, beside the rule.");
        }
        String what = ruling.rule().pupilWords();
        boolean ask = refusal.code() == Refusal.Common.RULE_ON_REQUEST;
        boolean live = ruling.chain().stream()
                .anyMatch(step -> step.effect() == Ruling.Effect.DECIDES
                        && step.setting()
                                .filter(one -> one.layer() == Layer.LIVE_ORDER || one.layer() == Layer.STANCE)
                                .isPresent());
        String detail = ask
                ? "To " + what + " you need a teacher's yes."
                : live ? "Your teacher has closed that for now: to " + what + "." : "Here you may not " + what + ".";
        String instead =
                ruling.rule().equals(Catalogue.CLASS_CHAT) || ruling.rule().equals(Catalogue.PRIVATE_CHAT)
                        ? "You can always write to your teachers."
                        : ask ? "Raise your hand." : "If you need it, write to your teachers.";
        if (ruling.rule().equals(Catalogue.CHAT_LINKS)) {
            return Problem.refused(
                    type,
                    "Not sent",
                    "Links are for teachers to share.",
                    "Your text is still here. Send it without the link.");
        }
        if (ruling.rule().equals(Catalogue.CHAT_WORDS)) {
            return Problem.refused(
                    type,
                    "Not sent",
                    "A word in it is not written in lessons here.",
                    "Your text is still here. Say it in other words.");
        }
        if (ruling.rule().equals(Catalogue.FILE_KINDS)) {
            return Problem.refused(
                    type,
                    "This file was not sent",
                    "Of files, only these may be sent here: "
                            + ruling.value().text().replace("+", ", ") + ".",
                    "Send it as one of these, or ask your teacher.");
        }
        boolean chat =
                ruling.rule().equals(Catalogue.CLASS_CHAT) || ruling.rule().equals(Catalogue.PRIVATE_CHAT);
        return Problem.refused(
                type, chat ? "Not sent" : "Not now", detail, (chat ? "Your text is still here. " : "") + instead);
    }

    private static Problem say(String type, String title, String whatToDo) {
        return Problem.refused(type, title, "Nothing was changed.", whatToDo);
    }
}
