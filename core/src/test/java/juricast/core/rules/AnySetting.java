package juricast.core.rules;

import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rules.Setting.Force;
import juricast.core.time.Span;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;

/** Makes settings, conditions and situations of every kind, close enough together to get in each other's way. */
public final class AnySetting {
    public static final Instant NOW = Instant.parse("2026-09-14T10:00:00Z");
    public static final Span LESSON = new Span(NOW.minus(Duration.ofMinutes(12)), NOW.plus(Duration.ofMinutes(38)));

    private AnySetting() {}

    /** One rule of each kind of value. */
    public static Arbitrary<Rule<?>> rules() {
        return Arbitraries.of(List.of(
                Catalogue.SPEAK, Catalogue.LATE_AFTER, Catalogue.FILE_KINDS, Catalogue.SHOWN_NAME, Catalogue.DOOR));
    }

    public static Arbitrary<List<Setting>> about(Rule<?> rule) {
        return one(rule).list().ofMaxSize(12);
    }

    public static Arbitrary<Setting> one(Rule<?> rule) {
        var layers = Arbitraries.of(
                rule.isRight()
                        ? List.of(Layer.values())
                        : List.of(Layer.values()).subList(0, 6));
        var begins = Arbitraries.integers().between(-3, 1);
        var bundles = Arbitraries.of("", "", "Guest talk");
        return Combinators.combine(layers, values(rule), begins, Arbitraries.of(true, false), conditions(), bundles)
                .as((layer, value, begin, flag, when, bundle) -> Setting.of(
                                new RuleValue(rule, value),
                                Role.PUPIL,
                                layer,
                                force(layer, flag),
                                new PersonId("somebody"),
                                NOW.plusSeconds(begin * 60L))
                        .ending(NOW.plusSeconds(begin * 60L + 150))
                        .during(when)
                        .inBundle(layer == Layer.CLASS ? bundle : "", layer));
    }

    public static Arbitrary<Value> values(Rule<?> rule) {
        return switch (rule.type().form()) {
            case CHOICE -> Arbitraries.of(List.copyOf(rule.type().choices()));
            case NUMBER -> Arbitraries.of(1, 5, 10, 15)
                    .map(n -> rule.type().parse(String.valueOf(n)).orElseThrow());
            case KINDS -> Arbitraries.of("documents", "pictures", "slides")
                    .set()
                    .map(Set::stream)
                    .map(kinds -> new Kinds(kinds.toList()));
        };
    }

    public static Arbitrary<Condition> conditions() {
        Arbitrary<Circumstance> one = Arbitraries.of(
                new Circumstance.Is(Fact.VISITOR_PRESENT, true),
                new Circumstance.Is(Fact.VISITOR_PRESENT, false),
                new Circumstance.Is(Fact.RECORDING, true),
                new Circumstance.Is(Fact.ADULT_PRESENT, false),
                new Circumstance.FirstMinutes(15),
                new Circumstance.LastMinutes(5),
                new Circumstance.Years(List.of(7, 8)),
                new Circumstance.AtLeast(10),
                new Circumstance.AtMost(12));
        return Arbitraries.frequencyOf(
                net.jqwik.api.Tuple.of(2, Arbitraries.just(Condition.ALWAYS)),
                net.jqwik.api.Tuple.of(3, one.list().ofMinSize(1).ofMaxSize(3).map(Condition::new)));
    }

    public static Arbitrary<Situation> situations() {
        return Combinators.combine(
                        Arbitraries.of(Fact.values()).set(),
                        Arbitraries.of(7, 9),
                        Arbitraries.of(0, 10, 30),
                        Arbitraries.of(true, false))
                .as((facts, year, present, planned) -> {
                    var some = EnumSet.noneOf(Fact.class);
                    some.addAll(facts);
                    var situation = new Situation(some, year, present, java.util.Optional.empty());
                    return planned ? situation.at(LESSON) : situation;
                });
    }

    private static Force force(Layer layer, boolean flag) {
        if (layer == Layer.PERSON) {
            return flag ? Force.PASS : Force.CURB;
        }
        return flag ? Force.BINDING : Force.USUAL;
    }
}
