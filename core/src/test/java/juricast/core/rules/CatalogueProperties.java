package juricast.core.rules;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

class CatalogueProperties {
    @Property
    void every_rule_explains_itself_and_is_found_by_its_key(@ForAll("rules") Rule<?> rule) {
        assertThat(Catalogue.byKey(rule.key())).contains(rule);
        assertThat(Stream.of(rule.title(), rule.meaning(), rule.reason(), rule.pupilWords()))
                .allSatisfy(words -> assertThat(words).isNotBlank());
        assertThat(Catalogue.ALL.stream().filter(other -> other.key().equals(rule.key())))
                .hasSize(1);
    }

    @Property
    void what_is_written_is_read_again_and_nothing_else_is(@ForAll("rules") Rule<?> rule, @ForAll String noise) {
        for (Value value : valuesOf(rule)) {
            assertThat(RuleValue.parse(new RuleValue(rule, value).text())).isEqualTo(new RuleValue(rule, value));
        }
        boolean known = valuesOf(rule).stream().anyMatch(value -> value.text().equals(noise));
        assertThat(RuleValue.of(rule.key(), noise).isPresent()).isEqualTo(known);
    }

    @Property
    void strictness_is_a_total_order(@ForAll("rules") Rule<?> rule) {
        checkOrder(rule);
    }

    private static <V extends Value> void checkOrder(Rule<V> rule) {
        List<V> values = valuesOf(rule).stream().map(rule.type()::cast).toList();
        for (int a = 0; a < values.size(); a++) {
            for (int b = 0; b < values.size(); b++) {
                int order = rule.type().compareStrictFirst(values.get(a), values.get(b));
                assertThat(Integer.signum(order)).isEqualTo(Integer.compare(a, b));
            }
        }
    }

    /** All values, strict to loose. */
    private static List<Value> valuesOf(Rule<?> rule) {
        return rule.type().choices().isEmpty()
                ? IntStream.rangeClosed(rule.type().min(), rule.type().max())
                        .<Value>mapToObj(Minutes::new)
                        .toList()
                : List.copyOf(rule.type().choices());
    }

    @Provide
    Arbitrary<Rule<?>> rules() {
        return Arbitraries.of(Catalogue.ALL);
    }
}
