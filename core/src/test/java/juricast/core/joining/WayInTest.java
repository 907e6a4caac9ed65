package juricast.core.joining;

import static juricast.core.lesson.LiveLesson.at;
import static org.assertj.core.api.Assertions.assertThat;

import juricast.core.identity.Role;
import juricast.core.lesson.LiveLesson;
import juricast.core.rules.Setting.Force;
import juricast.core.time.Span;
import org.junit.jupiter.api.Test;

class WayInTest {
    @Test
    void it_is_shown_from_the_rules_minutes_before_until_the_lesson_has_ended() {
        LiveLesson lesson = LiveLesson.planned().school("links.shown-minutes", "15", Force.USUAL);
        WayIn way = WayIn.of(lesson.rulebook(), Role.PUPIL, lesson.plan().time(), at("09:00"));
        assertThat(way.shown()).contains(new Span(at("09:45"), at("10:50")));
        assertThat(way.isShown(at("09:44"), false)).isFalse();
        assertThat(way.isShown(at("09:45"), false)).isTrue();
        assertThat(way.isShown(at("10:50"), false)).isFalse();
        assertThat(way.isShown(at("10:55"), true)).as("it runs over").isTrue();
    }

    @Test
    void where_only_adults_hand_links_out_it_is_never_shown() {
        LiveLesson lesson = LiveLesson.planned().school("links.visible", "closed", Force.BINDING);
        WayIn way = WayIn.of(lesson.rulebook(), Role.PUPIL, lesson.plan().time(), at("09:00"));
        assertThat(way.shown()).isEmpty();
        assertThat(way.isShown(at("10:10"), true)).isFalse();
    }

    @Test
    void a_key_for_another_purpose_reads_none_of_its_links() {
        var key = new LinkKey("a key of this school, 32 bytes...".getBytes());
        var link = new LinkKey.Link(3, 0);
        LinkKey visitors = key.forPurpose("visitor");
        assertThat(visitors.read(visitors.token(link))).contains(link);
        assertThat(key.read(visitors.token(link))).isEmpty();
        assertThat(visitors.read(key.token(link))).isEmpty();
        assertThat(key.forPurpose("staff").read(visitors.token(link))).isEmpty();
    }
}
