package juricast.server.rules;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.PUPIL;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.ClassId;
import juricast.core.identity.Role;
import juricast.core.rules.Area;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Layer;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Ruling;
import juricast.core.rules.Ruling.Effect;
import juricast.core.rules.Value;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.classes.AccessToClasses;
import juricast.server.problems.Problem;
import juricast.server.words.RuleWords;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** The charter, and what a class refines of it. */
@RestController
@RequestMapping("/api")
class CharterController {
    private final Settings settings;
    private final AccessToClasses classes;
    private final RuleWords words;
    private final Clock clock;

    CharterController(Settings settings, AccessToClasses classes, RuleWords words, Clock clock) {
        this.settings = settings;
        this.classes = classes;
        this.words = words;
        this.clock = clock;
    }

    /** The rules as a document. @param editable whether the caller may change it */
    record Charter(boolean editable, List<Chapter> chapters) {}

    record Chapter(Area area, String title, List<RuleLine> rules) {}

    /** @param choices strict to loose; empty for minutes, which have a range */
    record RuleLine(
            String key,
            String title,
            String meaning,
            String reason,
            List<Choice> choices,
            int min,
            int max,
            List<CellLine> cells) {}

    record Choice(String value, String words) {}

    /**
     * What holds for a role.
     *
     * @param own whether this document sets it, rather than the usual value or a layer above
     * @param binding whether what this document sets is binding
     * @param bound whether a layer above binds it, so that only stricter values count here
     * @param overruled whether what this document sets does not count
     */
    record CellLine(
            Role role, String value, String words, boolean own, boolean binding, boolean bound, boolean overruled) {}

    record RuleRequest(String value, boolean binding) {}

    @GetMapping("/charter")
    @For({LEAD, TEACHER})
    Charter charter(@AuthenticationPrincipal SignedIn caller) {
        return document(settings.ofSchool(), Layer.SCHOOL, caller.isLead());
    }

    /** Sets a rule of the charter for a role, from now on. */
    @PutMapping("/charter/{rule}/{role}")
    @For(LEAD)
    Charter set(
            @PathVariable String rule,
            @PathVariable Role role,
            @RequestBody RuleRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        settings.set(Optional.empty(), value(rule, role, wanted), role, wanted.binding, caller.person(), now());
        return charter(caller);
    }

    /** Goes back to the usual value. */
    @DeleteMapping("/charter/{rule}/{role}")
    @For(LEAD)
    Charter clear(@PathVariable String rule, @PathVariable Role role, @AuthenticationPrincipal SignedIn caller) {
        settings.clear(Optional.empty(), known(rule), role, now());
        return charter(caller);
    }

    @GetMapping("/charter/{rule}/{role}/why")
    @For({LEAD, TEACHER})
    RuleWords.Why why(@PathVariable String rule, @PathVariable Role role) {
        return words.forAdults(ruling(settings.ofSchool(), known(rule), role));
    }

    @GetMapping("/classes/{id}/rules")
    @For({LEAD, TEACHER})
    Charter ofClass(@PathVariable String id, @AuthenticationPrincipal SignedIn caller) {
        ClassId seen = classes.seenBy(caller, id).id();
        return document(settings.ofClass(seen), Layer.CLASS, !caller.isLead());
    }

    /** Refines a rule for a class. 409 if a layer above binds it to something stricter. */
    @PutMapping("/classes/{id}/rules/{rule}/{role}")
    @For(TEACHER)
    Charter setOfClass(
            @PathVariable String id,
            @PathVariable String rule,
            @PathVariable Role role,
            @RequestBody RuleRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        ClassId own = classes.runBy(caller, id).id();
        RuleValue value = value(rule, role, wanted);
        refuseLooser(settings.ofSchool().ruling(value.rule(), role, now()), value);
        settings.set(Optional.of(own), value, role, wanted.binding, caller.person(), now());
        return ofClass(id, caller);
    }

    @DeleteMapping("/classes/{id}/rules/{rule}/{role}")
    @For(TEACHER)
    Charter clearOfClass(
            @PathVariable String id,
            @PathVariable String rule,
            @PathVariable Role role,
            @AuthenticationPrincipal SignedIn caller) {
        ClassId own = classes.runBy(caller, id).id();
        settings.clear(Optional.of(own), known(rule), role, now());
        return ofClass(id, caller);
    }

    @GetMapping("/classes/{id}/rules/{rule}/{role}/why")
    @For({LEAD, TEACHER})
    RuleWords.Why whyOfClass(
            @PathVariable String id,
            @PathVariable String rule,
            @PathVariable Role role,
            @AuthenticationPrincipal SignedIn caller) {
        ClassId seen = classes.seenBy(caller, id).id();
        return words.forAdults(ruling(settings.ofClass(seen), known(rule), role));
    }

    /** The house rules for pupils, where everybody signed in may read them. */
    @GetMapping("/charter/for-pupils")
    @For({LEAD, TEACHER, PUPIL})
    List<RuleWords.Why> forPupils() {
        Rulebook charter = settings.ofSchool();
        return Catalogue.RIGHTS.stream()
                .map(right -> words.forPupils(charter.ruling(right, Role.PUPIL, now())))
                .toList();
    }

    private Charter document(Rulebook book, Layer layer, boolean editable) {
        return new Charter(
                editable,
                Arrays.stream(Area.values())
                        .map(area -> new Chapter(
                                area,
                                area.title(),
                                Catalogue.ALL.stream()
                                        .filter(rule -> rule.area() == area)
                                        .map(rule -> line(book, rule, layer))
                                        .toList()))
                        .toList());
    }

    private <V extends Value> RuleLine line(Rulebook book, Rule<V> rule, Layer layer) {
        return new RuleLine(
                rule.key(),
                rule.title(),
                rule.meaning(),
                rule.reason(),
                rule.type().choices().stream()
                        .map(value -> new Choice(value.text(), RuleWords.value(rule, value)))
                        .toList(),
                rule.type().min(),
                rule.type().max(),
                rule.roles().stream().map(role -> cell(book, rule, role, layer)).toList());
    }

    private CellLine cell(Rulebook book, Rule<?> rule, Role role, Layer layer) {
        Ruling<?> ruling = book.ruling(rule, role, now());
        var own = ruling.chain().stream()
                .filter(step ->
                        step.setting().filter(one -> one.layer() == layer).isPresent())
                .reduce((first, last) -> last);
        boolean boundAbove = ruling.floor()
                        .filter(floor -> floor.layer().compareTo(layer) < 0)
                        .isPresent()
                || layer == Layer.CLASS
                        && settings.ofSchool().ruling(rule, role, now()).floor().isPresent();
        return new CellLine(
                role,
                ruling.value().text(),
                RuleWords.value(rule, ruling.value()),
                own.isPresent(),
                own.flatMap(Ruling.Step::setting).filter(one -> one.isBinding()).isPresent(),
                boundAbove,
                own.filter(step -> step.effect() == Effect.OVERRULED).isPresent());
    }

    private <V extends Value> Ruling<V> ruling(Rulebook book, Rule<V> rule, Role role) {
        if (!rule.usual().containsKey(role)) {
            throw Problem.notThere("This role");
        }
        return book.ruling(rule, role, now());
    }

    private static RuleValue value(String rule, Role role, RuleRequest wanted) {
        Rule<?> known = known(rule);
        if (!known.usual().containsKey(role)) {
            throw Problem.notThere("This role");
        }
        return RuleValue.of(rule, String.valueOf(wanted.value))
                .orElseThrow(() -> Problem.notReadable(
                        "“%s” is no value of “%s”".formatted(wanted.value, known.title()),
                        "Nothing was changed.",
                        known.type().choices().isEmpty()
                                ? "Give whole minutes from %d to %d."
                                        .formatted(
                                                known.type().min(), known.type().max())
                                : "Choose one of the values shown.",
                        List.of(new Problem.Wrong("value", "out of range"))));
    }

    private static Rule<?> known(String rule) {
        return Catalogue.byKey(rule).orElseThrow(() -> Problem.notThere("This rule"));
    }

    private <V extends Value> void refuseLooser(Ruling<V> charter, RuleValue wanted) {
        var type = charter.rule().type();
        boolean looser = charter.floor()
                .filter(floor -> type.compareStrictFirst(
                                type.cast(wanted.value()), type.cast(floor.set().value()))
                        > 0)
                .isPresent();
        if (looser) {
            throw Problem.refused(
                    "bound-by-charter",
                    "The charter binds “%s”".formatted(charter.rule().title()),
                    "It is “%s”, and a class may only be stricter. Nothing was changed."
                            .formatted(RuleWords.value(charter.rule(), charter.value())),
                    "Ask the safeguarding lead to change the charter.");
        }
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }
}
