package juricast.server.words;

import java.util.Arrays;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.live.Refusal;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Layer;
import juricast.core.rules.Rule;
import juricast.core.rules.Ruling;
import juricast.server.languages.Sentences;
import juricast.server.problems.Problem;

/** What is said to somebody whom a rule stands in the way of: an adult is shown the rule, a pupil is told what to do instead. */
record ByRule(Refused refused, RuleWords words, Sentences sentences) {
    private static final Set<Rule<?>> WRITING = Set.of(Catalogue.CLASS_CHAT, Catalogue.PRIVATE_CHAT);

    /** What is said of what was to be sent, and what to do with it. */
    private record Sending(String key, String detail, String whatToDo) {}

    private static final Map<Rule<?>, Sending> OF_WHAT_IS_SENT = Map.of(
            Catalogue.CHAT_LINKS,
            new Sending("links", "Links are for teachers to share.", "Nothing is lost. Send it without the link."),
            Catalogue.CHAT_WORDS,
            new Sending(
                    "words",
                    "A word in it is not written in lessons here.",
                    "Nothing is lost. Say it in other words."));

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
            return refused.say(
                    say("Not sent", "not-sent"),
                    say(sending.detail, sending.key),
                    say(sending.whatToDo, sending.key + ".do"));
        }
        if (rule.equals(Catalogue.FILE_KINDS)) {
            String kinds = Arrays.stream(ruling.value().text().split("\\+"))
                    .map(kind -> sentences.or(kind, "kind." + kind))
                    .collect(Collectors.joining(", "));
            return refused.say(
                    say("This file was not sent", "file"),
                    say("Of files, only these may be sent here: " + kinds + ".", "kinds", kinds),
                    say("Send it as one of these, or ask your teacher.", "kinds.do"));
        }
        return WRITING.contains(rule)
                ? refused.say(
                        say("Not sent", "not-sent"),
                        why(ruling),
                        say("Nothing is lost. You can always write to your teachers.", "write.do"))
                : refused.say(
                        say("Not now", "not-now"),
                        why(ruling),
                        isOnRequest()
                                ? say("Raise your hand.", "hand.do")
                                : say("If you need it, write to your teachers.", "teachers.do"));
    }

    private boolean isOnRequest() {
        return refused.refusal().code() == Refusal.Common.RULE_ON_REQUEST;
    }

    private String why(Ruling<?> ruling) {
        String what = words.pupilsCall(ruling.rule());
        if (isOnRequest()) {
            return say("To " + what + " you need a teacher's yes.", "on-request", what);
        }
        boolean isForNow = ruling.chain().stream()
                .anyMatch(step -> step.effect() == Ruling.Effect.DECIDES
                        && step.setting()
                                .filter(one -> one.layer() == Layer.LIVE_ORDER || one.layer() == Layer.STANCE)
                                .isPresent());
        return isForNow
                ? say("Your teacher has closed that for now: to " + what + ".", "for-now", what)
                : say("Here you may not " + what + ".", "closed", what);
    }

    private String say(String english, String key, Object... with) {
        return sentences.or(english, "refused.by-rule." + key, with);
    }
}
