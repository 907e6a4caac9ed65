package juricast.server.words;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import juricast.core.identity.Role;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Layer;
import juricast.core.rules.Minutes;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.Ruling;
import juricast.core.rules.Ruling.Effect;
import juricast.core.rules.Ruling.Step;
import juricast.core.rules.Setting;
import juricast.core.rules.Setting.Force;
import juricast.core.rules.Value;
import juricast.server.data.School;
import juricast.server.people.People;
import org.springframework.stereotype.Component;

/** Says what a rule gives and why, as one would say it aloud. */
@Component
public class RuleWords {
    private final School school;
    private final People people;

    RuleWords(School school, People people) {
        this.school = school;
        this.people = people;
    }

    /** One link of the chain in words. */
    public record Link(String text, String value, Effect effect) {}

    /** A whole explanation. @param until when it can change by itself, as 10:05; empty if it cannot */
    public record Why(
            String rule,
            String title,
            String value,
            String valueWords,
            List<Link> chain,
            String until,
            String reason) {}

    /** The chain for adults, with names and times. */
    public Why forAdults(Ruling<?> ruling) {
        return why(
                ruling,
                ruling.chain().stream()
                        .map(step -> link(step, ruling, step.setting().map(this::sourceForAdults)))
                        .toList());
    }

    /** The chain for pupils: who decides, without the names of people and classes. */
    public Why forPupils(Ruling<?> ruling) {
        return why(
                ruling,
                ruling.chain().stream()
                        .filter(step -> step.effect() == Effect.DECIDES)
                        .map(step -> link(step, ruling, step.setting().map(this::sourceForPupils)))
                        .toList());
    }

    /** One short line under a right on a pupil's seat. */
    public String seatLine(Ruling<Permission> ruling, Optional<Setting> loan) {
        if (loan.isPresent() && loan.get().set().value() == ruling.value()) {
            String until = school.clockTime(loan.get().until());
            return loan.get().force() == Force.PASS
                    ? "until " + until + ", then it ends by itself"
                    : "closed for you until " + until;
        }
        Optional<Setting> source = decider(ruling).setting();
        return switch (ruling.value()) {
            case OPEN -> "as you like";
            case ON_REQUEST -> ruling.rule().equals(Catalogue.SPEAK)
                    ? "when a teacher calls you: raise your hand"
                    : "when a teacher lets you: ask";
            case CLOSED -> switch (source.map(Setting::layer).orElse(Layer.SCHOOL)) {
                case LIVE_ORDER -> "closed for now by your teacher";
                case CLASS -> "not in this class";
                default -> "not at our school";
            };
        };
    }

    /** A value as a person says it. */
    public static String value(Rule<?> rule, Value value) {
        if (value instanceof Minutes minutes) {
            return minutes.count() + " min";
        }
        return value.text().replace('-', ' ');
    }

    /** A role as a person says it. */
    public static String role(Role role) {
        return role.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    private Why why(Ruling<?> ruling, List<Link> chain) {
        boolean changes = ruling.until().isBefore(Setting.FOR_EVER);
        return new Why(
                ruling.rule().key(),
                ruling.rule().title(),
                ruling.value().text(),
                value(ruling.rule(), ruling.value()),
                chain,
                changes ? at(ruling.until()) : "",
                ruling.rule().reason());
    }

    private Link link(Step step, Ruling<?> ruling, Optional<String> source) {
        String words = source.orElse("Usual for a " + role(ruling.role())) + ": " + value(ruling.rule(), step.value());
        return new Link(words, step.value().text(), step.effect());
    }

    private String sourceForAdults(Setting setting) {
        String who = people.nameOf(setting.by());
        String since = at(setting.from());
        return switch (setting.force()) {
            case PASS -> "Pass by %s, until %s".formatted(who, at(setting.until()));
            case CURB -> "Curb by %s, until %s".formatted(who, at(setting.until()));
            case BINDING -> "%s, binding, by %s since %s".formatted(layer(setting), who, since);
            case USUAL -> "%s, by %s since %s".formatted(layer(setting), who, since);
        };
    }

    private String sourceForPupils(Setting setting) {
        return switch (setting.layer()) {
            case SCHOOL, YEAR_GROUP -> "Our school's rules";
            case CLASS, LESSON, STANCE -> "The rules of this class";
            case LIVE_ORDER -> "Your teacher, at " + at(setting.from());
            case PERSON -> "Your teacher, for you, until " + at(setting.until());
        };
    }

    private static String layer(Setting setting) {
        return switch (setting.layer()) {
            case SCHOOL -> "Charter";
            case YEAR_GROUP -> "Year group";
            case CLASS -> "Class rules";
            case LESSON -> "This lesson";
            case STANCE -> "Stance";
            case LIVE_ORDER -> "From the desk";
            case PERSON -> "For this person";
        };
    }

    private static Step decider(Ruling<?> ruling) {
        return ruling.chain().stream()
                .filter(step -> step.effect() == Effect.DECIDES)
                .findFirst()
                .orElseThrow();
    }

    /** A time of today as 10:05, of another day with the day. */
    private String at(Instant instant) {
        return school.clockTime(instant) + " on " + school.day(instant);
    }
}
