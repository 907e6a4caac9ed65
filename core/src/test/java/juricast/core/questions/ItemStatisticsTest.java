package juricast.core.questions;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import juricast.core.questions.ItemStatistics.Sheet;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class ItemStatisticsTest {
    private static Sheet sheet(boolean one, boolean... others) {
        var right = new HashMap<String, Boolean>();
        right.put("one", one);
        for (int i = 0; i < others.length; i++) {
            right.put("other " + i, others[i]);
        }
        return new Sheet(right);
    }

    private static List<Sheet> times(int count, Sheet sheet) {
        return java.util.Collections.nCopies(count, sheet);
    }

    private static List<Sheet> together(List<Sheet> first, List<Sheet> second) {
        var all = new ArrayList<>(first);
        all.addAll(second);
        return all;
    }

    @Test
    void the_share_that_was_right_has_the_interval_of_wilson() {
        // 8 of 10: 0.490 to 0.943, as tables of the interval have it.
        var sum = ItemStatistics.of("one", together(times(8, sheet(true)), times(2, sheet(false))))
                .orElseThrow();
        assertThat(sum.share()).isEqualTo(0.8);
        assertThat(sum.low()).isCloseTo(0.4902, within(0.0005));
        assertThat(sum.high()).isCloseTo(0.9433, within(0.0005));
        assertThat(sum.isUncertain()).as("ten answers").isTrue();
        assertThat(sum.tellsApart()).isEmpty();
    }

    @Test
    void who_is_right_here_and_elsewhere_makes_it_tell_apart_and_the_other_way_round() {
        var knowing = sheet(true, true, true);
        var guessing = sheet(false, false, false);
        assertThat(ItemStatistics.of("one", together(times(15, knowing), times(15, guessing)))
                        .orElseThrow()
                        .tellsApart()
                        .orElseThrow())
                .isCloseTo(1, within(1e-9));
        assertThat(ItemStatistics.of(
                                "one",
                                together(times(15, sheet(false, true, true)), times(15, sheet(true, false, false))))
                        .orElseThrow()
                        .tellsApart()
                        .orElseThrow())
                .isCloseTo(-1, within(1e-9));
    }

    @Test
    void the_item_itself_is_left_out_of_the_rest() {
        // Right here by chance alone: with the item counted in, it would seem to tell apart.
        var all = new ArrayList<Sheet>();
        for (int i = 0; i < 40; i++) {
            all.add(sheet(i % 2 == 0, i % 4 < 2));
        }
        assertThat(ItemStatistics.of("one", all).orElseThrow().tellsApart().orElseThrow())
                .isCloseTo(0, within(1e-9));
    }

    @Test
    void nothing_is_said_where_nothing_can_be_known() {
        assertThat(ItemStatistics.of("one", List.of(new Sheet(Map.of("other", true)))))
                .isEmpty();
        var alike = ItemStatistics.of("one", times(40, sheet(true, true))).orElseThrow();
        assertThat(alike.tellsApart()).as("all did alike").isEmpty();
        assertThat(alike.high()).isEqualTo(1);
        assertThat(ItemStatistics.of("one", times(40, sheet(true)))
                        .orElseThrow()
                        .tellsApart())
                .as("nothing else was answered")
                .isEmpty();
    }

    @Property
    void shares_are_within_their_interval_and_correlations_between_minus_one_and_one(
            @ForAll @Size(min = 1, max = 60) List<boolean[]> rows) {
        List<Sheet> all = rows.stream()
                .map(row -> sheet(row.length > 0 && row[0], row.length > 1 && row[1], row.length > 2 && row[2]))
                .toList();
        var sum = ItemStatistics.of("one", all).orElseThrow();
        assertThat(sum.share()).isBetween(sum.low() - 1e-12, sum.high() + 1e-12);
        assertThat(sum.low()).isBetween(0.0, 1.0);
        assertThat(sum.high()).isBetween(0.0, 1.0);
        sum.tellsApart().ifPresent(value -> assertThat(value).isBetween(-1.0 - 1e-9, 1.0 + 1e-9));
    }
}
