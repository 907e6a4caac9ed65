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
import juricast.server.languages.Sentences;
import org.springframework.stereotype.Component;

/** What a pupil reads before knocking, in plain words, from the rules of that very lesson (need D3). */
@Component
public class HouseRules {
    private final Sentences sentences;

    HouseRules(Sentences sentences) {
        this.sentences = sentences;
    }

    /** The sentences for pupils, as the rules are at {@code at}. */
    public List<String> of(Rulebook rules, Instant at) {
        var lines = new ArrayList<String>();
        boolean muted = rules.value(Catalogue.ARRIVE_MUTED, Role.PUPIL, at) == YesNo.YES;
        String speak = line("house.speak", rules, Catalogue.SPEAK, at);
        lines.add(muted ? sentences.say("house.muted") + " " + speak : speak);
        if (rules.value(Catalogue.ARRIVE_UNSEEN, Role.PUPIL, at) == YesNo.NO
                && value(rules, Catalogue.CAMERA, at) == Permission.OPEN) {
            lines.add(sentences.say("house.seen"));
        }
        if (rules.value(Catalogue.OUTSIDE_AUDIENCE, Role.LEAD_ADULT, at) == Permission.OPEN) {
            lines.add(sentences.say("house.outside"));
        }
        lines.add(line("house.camera", rules, Catalogue.CAMERA, at));
        lines.add(line("house.write", rules, Catalogue.CLASS_CHAT, at));
        if (value(rules, Catalogue.PRIVATE_CHAT, at) != Permission.OPEN) {
            lines.add(sentences.say("house.alone"));
        }
        String recording =
                rules.value(Catalogue.RECORDING_MODE, Rule.ANSWERS, at).text();
        lines.add(sentences.say("house.recording." + recording));
        lines.add(sentences.say("house.disturb"));
        return lines;
    }

    private String line(String about, Rulebook rules, Rule<Permission> rule, Instant at) {
        return sentences.say(about + "." + value(rules, rule, at).text());
    }

    private static Permission value(Rulebook rules, Rule<Permission> rule, Instant at) {
        return rules.value(rule, Role.PUPIL, at);
    }
}
