package juricast.server.words;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import juricast.core.identity.Role;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Layer;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Ruling;
import juricast.core.rules.Ruling.Effect;
import juricast.core.rules.Ruling.Step;
import juricast.core.rules.Setting;
import juricast.core.rules.Setting.Force;
import juricast.core.rules.Value;
import juricast.core.rules.ValueType;
import juricast.server.data.School;
import juricast.server.languages.Sentences;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import org.springframework.stereotype.Component;

/** Says what a rule gives and why, as one would say it aloud. */
@Component
public class RuleWords {
    private final School school;
    private final People people;
    private final Sentences sentences;

    RuleWords(School school, People people, Sentences sentences) {
        this.school = school;
        this.people = people;
        this.sentences = sentences;
    }

    /** One link of the chain in words. @param note why its author set it, in their words; may be empty */
    public record Link(String text, String value, Effect effect, String note) {}

    /**
     * A whole explanation.
     *
     * @param until when it changes by itself, as "10:05 on Monday 14 September"; empty if it does not
     * @param next what it changes to; empty if it does not
     * @param otherwise what would count in another situation: "while a visitor is present: closed (Charter, binding)"
     * @param changedBy who could change it
     * @param forPupils how a pupil is told
     */
    public record Why(
            String rule,
            String title,
            String value,
            String valueWords,
            List<Link> chain,
            String until,
            String next,
            List<String> otherwise,
            String changedBy,
            String forPupils,
            String reason) {}

    /** The chain for adults, with names and times, for a role in the book's situation. */
    public Why forAdults(Rulebook book, Rule<?> rule, Role role, Instant now) {
        return why(book, rule, role, now, true);
    }

    /** The chain for pupils: who decides, without the names of people and classes. */
    public Why forPupils(Rulebook book, Rule<?> rule, Role role, Instant now) {
        return why(book, rule, role, now, false);
    }

    private <V extends Value> Why why(Rulebook book, Rule<V> rule, Role role, Instant now, boolean adult) {
        Ruling<V> ruling = book.ruling(rule, role, now);
        Optional<Rulebook.Change<V>> change = book.changes(rule, role, now);
        return new Why(
                rule.key(),
                adult ? rule.title() : capital(pupilsCall(rule, rule.title())),
                ruling.value().text(),
                adult ? value(rule, ruling.value()) : valueForPupils(rule, ruling.value()),
                ruling.chain().stream()
                        .filter(step -> adult || step.effect() == Effect.DECIDES)
                        .map(step -> link(
                                step,
                                ruling,
                                step.setting().map(adult ? this::sourceForAdults : this::sourceForPupils),
                                adult))
                        .toList(),
                change.map(next -> at(next.at())).orElse(""),
                change.map(next -> adult
                                ? value(rule, next.ruling().value())
                                : valueForPupils(rule, next.ruling().value()))
                        .orElse(""),
                adult ? book.asleep(rule, role, now).map(this::otherwise).toList() : List.of(),
                adult ? changedBy(ruling) : "",
                forPupils(ruling),
                adult ? rule.reason() : sentences.or(rule.reason(), "because." + rule.key()));
    }

    private String otherwise(Setting setting) {
        return "%s: %s (%s%s)"
                .formatted(
                        ConditionWords.of(setting.when()),
                        value(setting.set().rule(), setting.set().value()),
                        layer(setting),
                        setting.isBinding() ? ", binding" : "");
    }

    /** Who could make it looser: whoever answers for the highest layer that holds it. */
    static String changedBy(Ruling<?> ruling) {
        // At the floor only who made the floor can loosen it; below it, or by a pass, whoever decided.
        Optional<Setting> decider = ruling.decider().setting();
        Optional<Setting> holding = decider.filter(one -> one.layer() == Layer.PERSON)
                .or(() -> ruling.floor().filter(one -> one.set().value().equals(ruling.value())))
                .or(() -> decider);
        if (holding.isEmpty()) {
            return "The adults of the class for their class; the safeguarding lead for the school.";
        }
        return loosenedBy(holding.get());
    }

    /** Who could loosen what a setting holds. */
    private static String loosenedBy(Setting holds) {
        return switch (holds.layer()) {
            case SCHOOL, YEAR_GROUP -> holds.isBinding()
                    ? "Only the safeguarding lead, in the "
                            + (holds.layer() == Layer.SCHOOL ? "charter." : "year's rules.")
                    : "The adults of the class for their class; the safeguarding lead for the school.";
            case CLASS, LESSON, STANCE -> "The adults of the class.";
            case LIVE_ORDER, PERSON -> "The adults of the lesson, from the desk.";
        };
    }

    /** One sentence that a pupil, or a parent, is told in their language. */
    public String forPupils(Ruling<?> ruling) {
        Setting source = ruling.decider().setting().orElse(null);
        String when =
                source == null || source.when().isAlways() ? "" : " " + ConditionWords.of(source.when(), sentences);
        if (!ruling.rule().isRight()) {
            return "%s: %s%s."
                    .formatted(capital(ruling.rule().pupilWords()), value(ruling.rule(), ruling.value()), when);
        }
        String what = pupilsCall(ruling.rule());
        return switch ((Permission) ruling.value()) {
            case OPEN -> sentences.or("You may %s%s.".formatted(what, when), "right.may", what, when);
            case ON_REQUEST -> sentences.or(
                    "To %s%s, ask a teacher first.".formatted(what, when), "right.ask", what, when);
            case CLOSED -> sentences.or("You may not %s%s.".formatted(what, when), "right.may-not", what, when);
        };
    }

    /** What somebody is told who wants it looser than a binding setting allows: which, by whom, and who could change it. */
    public Problem bound(Ruling<?> ruling) {
        Setting floor = ruling.floor().orElseThrow();
        return Problem.refused(
                "rule-bound",
                "%s binds this: %s".formatted(layer(floor), ruling.rule().title()),
                "It is set to “%s” by %s%s and may only be made stricter. Nothing was changed."
                        .formatted(
                                value(ruling.rule(), floor.set().value()),
                                people.nameOf(floor.by()),
                                floor.when().isAlways() ? "" : ", " + ConditionWords.of(floor.when()) + ","),
                "To change it: " + loosenedBy(floor));
    }

    /** What pupils call what a rule is about, in their language: "speak". */
    public String pupilsCall(Rule<?> rule) {
        return pupilsCall(rule, rule.pupilWords());
    }

    private String pupilsCall(Rule<?> rule, String english) {
        return sentences.or(english, "right." + rule.key());
    }

    private String valueForPupils(Rule<?> rule, Value value) {
        return sentences.or(value(rule, value), "value." + value.text());
    }

    private static String capital(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }

    /** One short line under a right on a pupil's seat. */
    public String seatLine(Ruling<Permission> ruling, Optional<Setting> loan) {
        if (loan.isPresent() && loan.get().set().value() == ruling.value()) {
            String until = school.clockTime(loan.get().until());
            return loan.get().force() == Force.PASS
                    ? sentences.or("until " + until + ", then it ends by itself", "line.pass", until)
                    : sentences.or("closed for you until " + until, "line.curb", until);
        }
        Optional<Setting> source = ruling.decider().setting();
        String during = source.filter(one -> !one.when().isAlways() && ruling.value() != Permission.OPEN)
                .map(one -> " " + ConditionWords.of(one.when(), sentences))
                .orElse("");
        return switch (ruling.value()) {
            case OPEN -> sentences.or("as you like", "line.open");
            case ON_REQUEST -> ruling.rule().equals(Catalogue.SPEAK)
                    ? sentences.or("when a teacher calls you: raise your hand", "line.speak")
                    : sentences.or("when a teacher lets you: ask" + during, "line.on-request", during);
            case CLOSED -> switch (source.map(Setting::layer).orElse(Layer.SCHOOL)) {
                case LIVE_ORDER -> sentences.or("closed for now by your teacher", "line.live");
                case STANCE -> sentences.or("not in this part of the lesson", "line.stance");
                case LESSON -> sentences.or("not in this lesson", "line.lesson");
                case CLASS -> sentences.or("not in this class", "line.class");
                default -> during.isEmpty()
                        ? sentences.or("not at our school", "line.school")
                        : sentences.or("closed" + during, "line.closed", during);
            };
        };
    }

    /** A value as a person says it. */
    public static String value(Rule<?> rule, Value value) {
        if (rule.type().form() == ValueType.Form.NUMBER) {
            boolean one = value.text().equals("1");
            return value.text()
                    + (one ? unitOfOne(rule.type().unit()) : unit(rule.type().unit()));
        }
        return value.text().replace('-', ' ').replace("+", ", ");
    }

    private static String unitOfOne(ValueType.Unit unit) {
        return switch (unit) {
            case PEOPLE -> " person";
            case DAYS -> " day";
            case MESSAGES -> " message";
            case BITS -> " bit";
            case LETTERS -> " letter";
            case STEPS -> " step";
            case NONE, MINUTES, PERCENT -> unit(unit);
        };
    }

    private static String unit(ValueType.Unit unit) {
        return switch (unit) {
            case NONE -> "";
            case MINUTES -> " min";
            case DAYS -> " days";
            case PEOPLE -> " people";
            case MESSAGES -> " messages";
            case BITS -> " bits";
            case LETTERS -> " letters";
            case STEPS -> " steps";
            case PERCENT -> " %";
        };
    }

    /** A role as a person says it. */
    public static String role(Role role) {
        return role.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    private Link link(Step step, Ruling<?> ruling, Optional<String> source, boolean adult) {
        String usual = ruling.rule().isOfWholeLesson() ? "Usual" : "Usual for a " + role(ruling.role());
        return new Link(
                adult
                        ? source.orElse(usual) + ": " + value(ruling.rule(), step.value())
                        : source.orElseGet(() -> sentences.or(usual, "source.usual")) + ": "
                                + valueForPupils(ruling.rule(), step.value()),
                step.value().text(),
                step.effect(),
                adult ? step.setting().map(Setting::note).orElse("") : "");
    }

    private String sourceForAdults(Setting setting) {
        String who = people.nameOf(setting.by());
        String since = at(setting.from());
        return switch (setting.force()) {
            case PASS -> "Pass by %s, until %s".formatted(who, at(setting.until()));
            case CURB -> "Curb by %s, until %s".formatted(who, at(setting.until()));
            case BINDING -> "%s, binding%s, by %s since %s".formatted(layer(setting), during(setting), who, since);
            case USUAL -> "%s%s, by %s since %s".formatted(layer(setting), during(setting), who, since);
        };
    }

    private static String during(Setting setting) {
        return setting.when().isAlways() ? "" : ", " + ConditionWords.of(setting.when());
    }

    private String sourceForPupils(Setting setting) {
        String during = setting.when().isAlways() ? "" : ", " + ConditionWords.of(setting.when(), sentences);
        return switch (setting.layer()) {
            case SCHOOL, YEAR_GROUP -> sentences.or("Our school's rules" + during, "source.school", during);
            case CLASS, LESSON, STANCE -> sentences.or("The rules of this class" + during, "source.class", during);
            case LIVE_ORDER -> sentences.or(
                    "Your teacher, at " + at(setting.from()), "source.teacher", at(setting.from()));
            case PERSON -> sentences.or(
                    "Your teacher, for you, until " + at(setting.until()), "source.for-you", at(setting.until()));
        };
    }

    public static String layer(Setting setting) {
        if (!setting.bundle().isEmpty() && setting.layer() == Layer.CLASS) {
            return "Ready-made set “" + setting.bundle() + "” of the class";
        }
        return switch (setting.layer()) {
            case SCHOOL -> "Charter";
            case YEAR_GROUP -> "Year group";
            case CLASS -> "Class rules";
            case LESSON -> "This lesson";
            case STANCE -> "Stance “" + setting.bundle() + "”";
            case LIVE_ORDER -> "From the desk";
            case PERSON -> "For this person";
        };
    }

    /** A time of today as 10:05, of another day with the day. */
    private String at(Instant instant) {
        String clock = school.clockTime(instant);
        String day = school.day(instant);
        return sentences.or(
                clock + " on " + day,
                "time.on-day",
                clock,
                school.day(instant, Sentences.spoken().locale()));
    }
}
