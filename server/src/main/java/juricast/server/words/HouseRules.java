package juricast.server.words;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import juricast.core.identity.Role;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.Rulebook;
import juricast.core.rules.YesNo;
import org.springframework.stereotype.Component;

/** What a pupil reads before knocking, in plain words, from the rules of that very lesson (need D3). */
@Component
public class HouseRules {
    private static final String ASK = "Raise your hand to speak; your teacher calls you.";

    /** The sentences for pupils, as the rules are at {@code at}. */
    public List<String> of(Rulebook rules, Instant at) {
        var lines = new ArrayList<String>();
        boolean muted = rules.value(Catalogue.ARRIVE_MUTED, Role.PUPIL, at) == YesNo.YES;
        lines.add((muted ? "Your microphone is off when you come in. " : "")
                + line(
                        value(rules, Catalogue.SPEAK, at),
                        "You may speak when nobody else does.",
                        ASK,
                        "Nobody but the adults speaks."));
        if (rules.value(Catalogue.ARRIVE_UNSEEN, Role.PUPIL, at) == YesNo.NO
                && value(rules, Catalogue.CAMERA, at) == Permission.OPEN) {
            lines.add("Your camera is on when you come in; you can switch it off at once.");
        }
        if (rules.value(Catalogue.OUTSIDE_AUDIENCE, Role.LEAD_ADULT, at) == Permission.OPEN) {
            lines.add("This lesson may be passed on to people outside; you are told as long as it is.");
        }
        lines.add(line(
                value(rules, Catalogue.CAMERA, at),
                "Your camera is yours: nobody else can switch it on.",
                "Ask before you use your camera.",
                "Cameras stay off."));
        lines.add(line(
                value(rules, Catalogue.CLASS_CHAT, at),
                "Write kindly: everybody reads it, and it is kept with the lesson.",
                "Write to your teachers; to the whole class when they allow it.",
                "Write to your teachers only."));
        boolean closed = value(rules, Catalogue.PRIVATE_CHAT, at) != Permission.OPEN;
        if (closed) {
            lines.add("You can always write to your teachers alone. Pupils do not write to each other alone.");
        }
        String recording =
                rules.value(Catalogue.RECORDING_MODE, Rule.ANSWERS, at).text();
        lines.add(
                switch (recording) {
                    case "required" -> "This lesson is recorded: what is said to all, shown, written to the class and drawn. You are"
                            + " told when it begins, pauses and ends.";
                    case "optional" -> "This lesson may be recorded; you are told before it begins, and when it ends.";
                    default -> "This lesson is not recorded, and nobody may record it.";
                });
        lines.add("Who disturbs others is reminded first, and may be sent out.");
        return lines;
    }

    private static Permission value(Rulebook rules, Rule<Permission> rule, Instant at) {
        return rules.value(rule, Role.PUPIL, at);
    }

    private static String line(Permission value, String open, String onRequest, String closed) {
        return switch (value) {
            case OPEN -> open;
            case ON_REQUEST -> onRequest;
            case CLOSED -> closed;
        };
    }
}
