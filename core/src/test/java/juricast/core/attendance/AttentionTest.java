package juricast.core.attendance;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import juricast.core.attendance.Attention.Kind;
import juricast.core.attendance.Attention.Reason;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.register.Mark;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class AttentionTest {
    private static final Instant NOW = Instant.parse("2026-09-14T10:00:00Z");

    private static Attended line(int daysAgo, Mark mark) {
        return new Attended(
                new LessonId("l" + daysAgo),
                new ClassId("tides"),
                NOW.minus(Duration.ofDays(daysAgo)),
                mark,
                mark == Mark.LATE ? 7 : 0,
                mark.attended() ? 45 : 0,
                50,
                false);
    }

    private static List<Attended> lines(Mark... latestFirst) {
        var all = new ArrayList<Attended>();
        for (Mark mark : latestFirst) {
            all.add(line(all.size() + 1, mark));
        }
        return all;
    }

    private static List<Reason> reasons(List<Attended> lines) {
        return Attention.of(lines, Attention.Thresholds.USUAL, NOW).reasons();
    }

    @Test
    void three_lessons_missed_in_a_row_are_a_reason_and_an_excuse_neither_counts_nor_breaks_the_row() {
        assertThat(reasons(lines(Mark.ABSENT, Mark.EXCUSED, Mark.ABSENT, Mark.ABSENT, Mark.PRESENT)))
                .containsExactly(new Reason(Kind.ABSENT_IN_A_ROW, 3));
        assertThat(reasons(lines(Mark.LATE, Mark.ABSENT, Mark.ABSENT, Mark.ABSENT)))
                .isEmpty();
    }

    @Test
    void a_rate_from_a_few_lessons_is_no_reason() {
        assertThat(reasons(lines(Mark.PRESENT, Mark.ABSENT, Mark.ABSENT, Mark.PRESENT)))
                .isEmpty();
        var many = new ArrayList<Attended>();
        for (int day = 1; day <= 10; day++) {
            many.add(line(day, day % 2 == 0 ? Mark.ABSENT : Mark.PRESENT));
        }
        assertThat(reasons(many)).containsExactly(new Reason(Kind.SELDOM_THERE, 50));
    }

    @Test
    void late_is_a_reason_where_it_is_often_and_a_habit() {
        assertThat(reasons(lines(Mark.LATE, Mark.LATE, Mark.PRESENT, Mark.LATE, Mark.LATE)))
                .containsExactly(new Reason(Kind.OFTEN_LATE, 4));
        var many = new ArrayList<Attended>();
        for (int day = 1; day <= 25; day++) {
            many.add(line(day, day <= 5 ? Mark.LATE : Mark.PRESENT));
        }
        assertThat(reasons(many)).as("five of twenty-five").isEmpty();
    }

    @Test
    void it_is_compared_with_the_weeks_before() {
        var all = new ArrayList<Attended>();
        for (int day = 1; day <= 20; day++) {
            all.add(line(day, day % 6 == 2 ? Mark.ABSENT : Mark.PRESENT));
            all.add(line(day + 28, Mark.PRESENT));
        }
        Attention found = Attention.of(all, Attention.Thresholds.USUAL, NOW);
        assertThat(found.reasons()).containsExactly(new Reason(Kind.LESS_THAN_BEFORE, 20));
        assertThat(found.before().rate()).hasValue(100);
    }

    @Property
    void a_line_is_read_as_it_was_packed(
            @ForAll Mark mark,
            @ForAll @IntRange(max = 1023) int late,
            @ForAll @IntRange(max = 1023) int minutes,
            @ForAll @IntRange(max = 1023) int length,
            @ForAll boolean corrected) {
        var lesson = new LessonId("l");
        var of = new ClassId("c");
        assertThat(Attended.unpacked(Attended.packed(mark, late, minutes, length, corrected), lesson, of, NOW))
                .isEqualTo(new Attended(lesson, of, NOW, mark, late, minutes, length, corrected));
    }

    @Property
    void a_tally_does_not_depend_on_order_or_on_how_it_is_split(@ForAll List<Mark> marks, @ForAll Random random) {
        var all = new ArrayList<Attended>();
        marks.forEach(mark -> all.add(line(all.size(), mark)));
        var shuffled = new ArrayList<>(all);
        Collections.shuffle(shuffled, random);
        int half = all.size() / 2;
        Tally whole = Tally.of(all);
        assertThat(Tally.of(shuffled)).isEqualTo(whole);
        assertThat(Tally.of(all.subList(0, half)).plus(Tally.of(all.subList(half, all.size()))))
                .isEqualTo(whole);
        assertThat(whole.attended()).isBetween(0, whole.expected());
        whole.rate().ifPresent(rate -> assertThat(rate).isBetween(0, 100));
    }
}
