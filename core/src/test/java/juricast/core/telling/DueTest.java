package juricast.core.telling;

import static juricast.core.lesson.LiveLesson.INES;
import static juricast.core.lesson.LiveLesson.JORY;
import static juricast.core.lesson.LiveLesson.ORLA;
import static juricast.core.lesson.LiveLesson.TOVE;
import static juricast.core.lesson.LiveLesson.planned;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import juricast.core.door.DoorOrder;
import juricast.core.identity.PersonId;
import juricast.core.lesson.LiveLesson;
import juricast.core.rules.Setting.Force;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class DueTest {
    private static final PersonId MAREN = LiveLesson.MAREN;

    private static List<String> due(LiveLesson lesson) {
        return Due.of(lesson.plan(), lesson.state(), lesson.rulebook(), lesson.now()).stream()
                .map(one -> one.kind() + " " + one.to().person().value())
                .toList();
    }

    @Test
    void everybody_expected_is_reminded_from_ten_minutes_before_until_the_start() {
        LiveLesson lesson = planned().invited().observedBy(MAREN);
        assertThat(due(lesson.time("09:49"))).isEmpty();
        assertThat(due(lesson.time("09:50")))
                .containsExactlyInAnyOrder(
                        "REMINDER orla",
                        "REMINDER tam",
                        "REMINDER ines",
                        "REMINDER jory",
                        "REMINDER kester",
                        "REMINDER visitor-tove");
        assertThat(due(lesson.time("10:00"))).isEmpty();
    }

    @Test
    void who_is_in_or_at_the_door_needs_no_reminder() {
        LiveLesson lesson =
                planned().time("09:52").order(new DoorOrder.Open(ORLA)).adult(ORLA);
        lesson.time("09:55").present(INES).knock("Jory Pell", "boat");
        assertThat(due(lesson))
                .contains("REMINDER tam")
                .doesNotContain("REMINDER ines", "REMINDER jory", "REMINDER orla");
    }

    @Test
    void who_has_not_come_is_nudged_once_the_lesson_is_open_and_never_an_adult_or_a_visitor() {
        LiveLesson lesson = LiveLesson.open().invited().present(INES);
        assertThat(due(lesson.time("10:04"))).isEmpty();
        assertThat(due(lesson.time("10:05"))).containsExactlyInAnyOrder("NUDGE jory", "NUDGE kester");
        lesson.order(new DoorOrder.Leave(LiveLesson.visitOf(INES)));
        assertThat(due(lesson)).as("who was in and left is no riddle").doesNotContain("NUDGE ines");
        assertThat(due(lesson.time("10:50"))).isEmpty();
        assertThat(due(planned().time("10:05"))).as("nobody could come in").isEmpty();
        assertThat(lesson.plan().member(TOVE)).isPresent();
        assertThat(lesson.plan().member(JORY)).isPresent();
    }

    @Property
    void the_rules_say_when_and_whether(
            @ForAll @IntRange(max = 60) int minutes, @ForAll @IntRange(min = 1, max = 60) int before) {
        LiveLesson lesson = planned()
                .school("links.reminder-minutes", Integer.toString(minutes), Force.USUAL)
                .time("%02d:%02d".formatted(9 + (60 - before) / 60, (60 - before) % 60));
        assertThat(due(lesson).isEmpty()).isEqualTo(minutes < before);
    }

    @Test
    void a_template_is_filled_and_what_it_does_not_know_is_told() {
        var template = new Template("{class} at {time}", "Hello {name}, {nmae}");
        assertThat(template.unknown(Set.of("class", "time", "name"))).containsExactly("nmae");
        assertThat(template.filled(Map.of("class", "Knots $1", "time", "10:15", "name", "{time}")))
                .isEqualTo(new Template("Knots $1 at 10:15", "Hello {time}, {nmae}"));
    }
}
