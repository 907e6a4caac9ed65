package juricast.server.words;

import java.util.Map;
import java.util.Set;
import juricast.core.live.Refusal;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Layer;
import juricast.core.rules.Rule;
import juricast.core.rules.Ruling;
import juricast.server.problems.Problem;

/** What is said to somebody whom a rule stands in the way of: an adult is shown the rule, a pupil is told what to do instead. */
record ByRule(Refused refused) {
    private static final Set<Rule<?>> WRITING = Set.of(Catalogue.CLASS_CHAT, Catalogue.PRIVATE_CHAT);

    /** What is said of what was to be sent, and what to do with it. */
    private record Sending(String detail, String whatToDo) {}

    private static final Map<Rule<?>, Sending> OF_WHAT_IS_SENT = Map.of(
            Catalogue.CHAT_LINKS,
            new Sending("Links are for teachers to share.", "Nothing is lost. Send it without the link."),
            Catalogue.CHAT_WORDS,
            new Sending("A word in it is not written in lessons here.", "Nothing is lost. Say it in other words."));

    Problem problem() {
        Ruling<?> ruling = refused.refusal().ruling().orElseThrow();
        return refused.toPupil() ? toPupil(ruling) : toAdult(ruling.rule());
    }

    private Problem toAdult(Rule<?> rule) {
        if (!Catalogue.HELP.contains(rule)) {
            return refused.say("The rules do not allow it: " + rule.title(), "Look at why, beside the rule.");
        }
        return refused.say(
                "Not yours while the lead adult is in: " + rule.title(),
                isOnRequest() ? "Ask them to lend it to you: on their desk, under your name." : "Ask them to do it.");
    }

    private Problem toPupil(Ruling<?> ruling) {
        Rule<?> rule = ruling.rule();
        Sending sending = OF_WHAT_IS_SENT.get(rule);
        if (sending != null) {
            return refused.say("Not sent", sending.detail, sending.whatToDo);
        }
        if (rule.equals(Catalogue.FILE_KINDS)) {
            return refused.say(
                    "This file was not sent",
                    "Of files, only these may be sent here: "
                            + ruling.value().text().replace("+", ", ") + ".",
                    "Send it as one of these, or ask your teacher.");
        }
        return WRITING.contains(rule)
                ? refused.say("Not sent", why(ruling), "Nothing is lost. You can always write to your teachers.")
                : refused.say(
                        "Not now",
                        why(ruling),
                        isOnRequest() ? "Raise your hand." : "If you need it, write to your teachers.");
    }

    private boolean isOnRequest() {
        return refused.refusal().code() == Refusal.Common.RULE_ON_REQUEST;
    }

    private String why(Ruling<?> ruling) {
        String what = ruling.rule().pupilWords();
        if (isOnRequest()) {
            return "To " + what + " you need a teacher's yes.";
        }
        boolean isForNow = ruling.chain().stream()
                .anyMatch(step -> step.effect() == Ruling.Effect.DECIDES
                        && step.setting()
                                .filter(one -> one.layer() == Layer.LIVE_ORDER || one.layer() == Layer.STANCE)
                                .isPresent());
        return isForNow ? "Your teacher has closed that for now: to " + what + "." : "Here you may not " + what + ".";
    }
}
