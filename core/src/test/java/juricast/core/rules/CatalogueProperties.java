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
        assertThat(RuleValue.of(rule.key(), noise))
                .satisfies(read ->
                        read.ifPresent(found -> assertThat(found.value().text()).isEqualTo(noise)));
    }

    @Property
    void a_bound_leaves_of_a_value_something_within_it(@ForAll("rules") Rule<?> rule) {
        checkClipping(rule);
    }

    private static <V extends Value> void checkClipping(Rule<V> rule) {
        ValueType<V> type = rule.type();
        List<V> values = valuesOf(rule).stream().map(type::cast).toList();
        for (V value : values) {
            for (V bound : values) {
                V clipped = type.clip(value, bound);
                assertThat(type.has(clipped)).isTrue();
                assertThat(type.isWithin(clipped, bound)).isTrue();
                assertThat(clipped.equals(value)).isEqualTo(type.isWithin(value, bound));
                if (type.isOrdered()) {
                    assertThat(type.clip(bound, value)).isEqualTo(clipped);
                } else {
                    assertThat(type.isWithin(value, bound)).isEqualTo(value.equals(bound));
                }
            }
        }
    }

    /** All values; of a long range both ends and some between. */
    private static List<Value> valuesOf(Rule<?> rule) {
        ValueType<?> type = rule.type();
        return switch (type.form()) {
            case CHOICE -> List.copyOf(type.choices());
            case NUMBER -> IntStream.rangeClosed(type.min(), type.max())
                    .filter(number -> number < type.min() + 20 || number > type.max() - 3)
                    .<Value>mapToObj(
                            number -> type.parse(String.valueOf(number)).orElseThrow())
                    .toList();
            case KINDS -> Stream.of(
                            "none",
                            "documents",
                            "documents+slides",
                            "pictures+slides",
                            "documents+pictures+slides+sound+video")
                    .<Value>map(text -> type.parse(text).orElseThrow())
                    .toList();
        };
    }

    @Provide
    Arbitrary<Rule<?>> rules() {
        return Arbitraries.of(Catalogue.ALL);
    }
}
