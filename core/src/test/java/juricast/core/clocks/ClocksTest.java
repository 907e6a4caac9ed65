package juricast.core.clocks;

import static juricast.core.clocks.ClocksPart.CLOCKS;
import static juricast.core.lesson.LiveLesson.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import juricast.core.clocks.FirstToAnswer.Placed;
import juricast.core.clocks.FirstToAnswer.Press;
import juricast.core.identity.PersonId;
import juricast.core.lesson.LiveLesson;
import juricast.core.live.LessonOrder;
import juricast.core.live.Refusal;
import juricast.core.rules.Setting.Force;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class ClocksTest {
    private static Clock clock(LiveLesson lesson) {
        return lesson.state().of(CLOCKS).clock().orElseThrow();
    }

    @Test
    void a_count_down_runs_is_paused_lengthened_and_comes_to_its_end() {
        var lesson = open().order(new ClocksOrder.Start(" read ", Optional.of(minutes(2)), true, ORLA));
        lesson.time("10:01").order(new ClocksOrder.Pause(ORLA));
        assertThat(clock(lesson).ran(at("10:09"))).isEqualTo(minutes(1));
        lesson.time("10:10").order(new ClocksOrder.GoOn(ORLA)).order(new ClocksOrder.Lengthen(minutes(1), ORLA));
        assertThat(clock(lesson).ends()).contains(at("10:12"));
        lesson.time("10:11:59").order(new LessonOrder.Tick());
        assertThat(clock(lesson).over()).isEmpty();
        lesson.time("10:12").order(new LessonOrder.Tick());
        assertThat(clock(lesson).over()).contains(at("10:12"));
        assertThat(clock(lesson).ran(at("10:20"))).isEqualTo(minutes(3));

        lesson.time("10:20").order(new ClocksOrder.Lengthen(minutes(1), ORLA));
        assertThat(clock(lesson).ends()).as("what had run out goes on").contains(at("10:21"));
        assertThat(lesson.order(new ClocksOrder.End(ORLA)).state().of(CLOCKS).clock())
                .isEmpty();
        assertThat(lesson.order(new ClocksOrder.Pause(ORLA)).refused()).contains(ClocksRefusal.NO_CLOCK);
    }

    @Test
    void a_stopwatch_runs_until_it_is_ended_and_nonsense_is_refused() {
        var lesson = open().order(new ClocksOrder.Start("", Optional.empty(), false, ORLA));
        assertThat(clock(lesson).ran(at("10:40"))).isEqualTo(minutes(40));
        assertThat(clock(lesson).ends()).isEmpty();
        assertThat(lesson.order(new ClocksOrder.Lengthen(minutes(1), ORLA)).refused())
                .contains(ClocksRefusal.NO_LENGTH);
        for (Duration wrong : List.of(Duration.ZERO, minutes(-1), Duration.ofHours(4))) {
            assertThat(lesson.order(new ClocksOrder.Start("", Optional.of(wrong), false, ORLA))
                            .refused())
                    .contains(ClocksRefusal.NO_LENGTH);
        }
        assertThat(lesson.order(new ClocksOrder.Start("", Optional.empty(), false, INES))
                        .refused())
                .contains(Refusal.Common.NOT_AN_ADULT_HERE);
    }

    @Test
    void who_pressed_first_has_the_word_and_passes_it_on() {
        var lesson = open().present(INES).present(JORY).present(KESTER);
        lesson.order(new ClocksOrder.Call("the highest tide", Duration.ofSeconds(3), ORLA));
        assertThat(lesson.time("10:00:02").order(press(INES, "10:00:02", 0)).refused())
                .contains(ClocksRefusal.NOT_OPEN_YET);
        lesson.time("10:00:05")
                .order(press(JORY, "10:00:04.000", 0))
                .order(press(JORY, "10:00:04.100", 0))
                .order(press(INES, "10:00:04.400", 0))
                .order(press(KESTER, "10:00:04.410", 0));
        assertThat(places(call(lesson).row(Map.of()))).containsExactly("jory 1", "ines 2", "kester 2");
        assertThat(call(lesson).turn(Map.of())).contains(JORY);
        lesson.order(new ClocksOrder.PassOn(ORLA));
        assertThat(call(lesson).turn(Map.of())).contains(INES);
        lesson.order(new ClocksOrder.EndCall(ORLA));
        assertThat(lesson.state().of(CLOCKS).timesFirst()).containsOnly(Map.entry(JORY, 1));
        assertThat(lesson.order(press(INES, "10:00:09", 0)).refused()).contains(ClocksRefusal.NO_CALL);

        var silent = open().school("activities.answer", "closed", Force.USUAL).present(INES);
        silent.order(new ClocksOrder.Call("", Duration.ZERO, ORLA));
        assertThat(silent.order(press(INES, "10:00:01", 0)).refused()).contains(Refusal.Common.RULE_CLOSED);
    }

    @Test
    void a_slow_line_is_made_good_as_far_as_it_was_measured_and_no_further() {
        var quick = new Press(INES, Duration.ofMillis(500), Duration.ofMillis(5));
        var slow = new Press(JORY, Duration.ofMillis(520), Duration.ofMillis(150));
        assertThat(places(row(quick, slow)))
                .as("made earlier, but not by more than could be measured")
                .containsExactly("jory 1", "ines 1");
        var sooner = new Press(JORY, Duration.ofMillis(400), Duration.ofMillis(150));
        assertThat(places(row(quick, sooner))).containsExactly("jory 1", "ines 2");

        var lesson = open().present(INES).order(new ClocksOrder.Call("", Duration.ZERO, ORLA));
        lesson.time("10:00:02").order(press(INES, "10:00:01", 5000));
        assertThat(call(lesson).presses().get(0).delay()).isEqualTo(FirstToAnswer.MOST_DELAY);
        assertThat(new Press(INES, Duration.ofMillis(50), Duration.ofMillis(200)).made())
                .as("nobody pressed before it was open")
                .isEqualTo(Duration.ZERO);
    }

    @Test
    void in_a_tie_the_word_goes_to_who_had_it_less_often() {
        var one = new Press(INES, Duration.ofMillis(500), Duration.ZERO);
        var other = new Press(JORY, Duration.ofMillis(505), Duration.ZERO);
        assertThat(places(new FirstToAnswer(1, "", at("10:00"), List.of(one, other), 0, false).row(Map.of(INES, 2))))
                .containsExactly("jory 1", "ines 1");
    }

    @Provide
    Arbitrary<List<Press>> presses() {
        return Combinators.combine(
                        Arbitraries.integers().between(0, 2000),
                        Arbitraries.integers().between(0, 200))
                .as((arrived, delay) -> new Press(ORLA, Duration.ofMillis(arrived), Duration.ofMillis(delay)))
                .list()
                .ofMinSize(1)
                .ofMaxSize(12)
                .map(list -> {
                    var named = new ArrayList<Press>();
                    for (int i = 0; i < list.size(); i++) {
                        named.add(new Press(
                                pupil(i), list.get(i).arrived(), list.get(i).delay()));
                    }
                    return List.copyOf(named);
                });
    }

    @Property
    void a_forged_delay_never_makes_anybody_alone_first(
            @ForAll("presses") List<Press> presses, @ForAll @IntRange(max = 200) int pretended) {
        PersonId forger = pupil(0);
        Press honest = new Press(forger, presses.get(0).arrived(), Duration.ZERO);
        Press forged = new Press(forger, presses.get(0).arrived(), Duration.ofMillis(pretended));
        List<Press> others = presses.subList(1, presses.size());
        boolean wasAlone = isAloneFirst(forger, with(honest, others));
        assertThat(isAloneFirst(forger, with(forged, others)) && !wasAlone).isFalse();
    }

    @Property
    void everybody_is_in_the_row_once_and_nobody_stands_before_who_was_clearly_earlier(
            @ForAll("presses") @Size(max = 12) List<Press> presses) {
        List<Placed> row = row(presses.toArray(Press[]::new));
        assertThat(row).hasSize(presses.size()).extracting(Placed::press).doesNotHaveDuplicates();
        for (Placed one : row) {
            for (Placed other : row) {
                if (one.press().isClearlyBefore(other.press())) {
                    assertThat(one.place()).isLessThan(other.place());
                }
            }
        }
    }

    private static boolean isAloneFirst(PersonId person, List<Press> presses) {
        List<Placed> first = row(presses.toArray(Press[]::new)).stream()
                .filter(one -> one.place() == 1)
                .toList();
        return first.size() == 1 && first.get(0).press().person().equals(person);
    }

    private static List<Press> with(Press one, List<Press> others) {
        var all = new ArrayList<>(others);
        all.add(one);
        return all;
    }

    private static List<Placed> row(Press... presses) {
        return new FirstToAnswer(1, "", at("10:00"), List.of(presses), 0, false).row(Map.of());
    }

    private static List<String> places(List<Placed> row) {
        return row.stream().map(one -> one.press().person() + " " + one.place()).toList();
    }

    private static FirstToAnswer call(LiveLesson lesson) {
        return lesson.state().of(CLOCKS).open().orElseThrow();
    }

    private static ClocksOrder.Press press(PersonId person, String arrived, int delay) {
        return new ClocksOrder.Press(visitOf(person), at(arrived), Duration.ofMillis(delay));
    }
}
