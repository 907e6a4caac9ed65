package juricast.core.rules;

import static juricast.core.rules.Catalogue.CLASS_CHAT;
import static juricast.core.rules.Catalogue.LATE_AFTER;
import static juricast.core.rules.Permission.*;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rules.Ruling.Effect;
import juricast.core.rules.Setting.Force;
import org.junit.jupiter.api.Test;

class RulebookTest {
    private static final Instant TEN = Instant.parse("2026-09-14T10:00:00Z");
    private static final PersonId MAREN = new PersonId("maren");

    @Test
    void without_settings_the_usual_value_holds_and_says_so() {
        var ruling = Rulebook.of(List.of()).ruling(CLASS_CHAT, Role.PUPIL, TEN);

        assertThat(ruling.value()).isEqualTo(OPEN);
        assertThat(ruling.chain()).singleElement().satisfies(step -> {
            assertThat(step.setting()).isEmpty();
            assertThat(step.effect()).isEqualTo(Effect.DECIDES);
        });
    }

    @Test
    void the_more_specific_layer_wins() {
        var book = Rulebook.of(List.of(set(Layer.CLASS, Force.USUAL, OPEN), set(Layer.SCHOOL, Force.USUAL, CLOSED)));

        assertThat(book.value(CLASS_CHAT, Role.PUPIL, TEN)).isEqualTo(OPEN);
    }

    @Test
    void a_class_cannot_loosen_what_the_school_binds_and_the_chain_names_who_was_overruled() {
        var book =
                Rulebook.of(List.of(set(Layer.SCHOOL, Force.BINDING, ON_REQUEST), set(Layer.CLASS, Force.USUAL, OPEN)));

        var ruling = book.ruling(CLASS_CHAT, Role.PUPIL, TEN);

        assertThat(ruling.value()).isEqualTo(ON_REQUEST);
        assertThat(ruling.chain())
                .extracting(Ruling.Step::effect)
                .containsExactly(Effect.REPLACED, Effect.DECIDES, Effect.OVERRULED);
    }

    @Test
    void a_class_may_be_stricter_than_what_the_school_binds() {
        var book = Rulebook.of(
                List.of(set(Layer.SCHOOL, Force.BINDING, ON_REQUEST), set(Layer.CLASS, Force.USUAL, CLOSED)));

        assertThat(book.value(CLASS_CHAT, Role.PUPIL, TEN)).isEqualTo(CLOSED);
    }

    @Test
    void a_pass_goes_beyond_on_request_but_never_beyond_a_binding_closed() {
        var pass = set(Layer.PERSON, Force.PASS, OPEN);

        var request = Rulebook.of(List.of(set(Layer.SCHOOL, Force.BINDING, ON_REQUEST), pass));
        var closed = Rulebook.of(List.of(set(Layer.SCHOOL, Force.BINDING, CLOSED), pass));

        assertThat(request.value(CLASS_CHAT, Role.PUPIL, TEN)).isEqualTo(OPEN);
        assertThat(closed.ruling(CLASS_CHAT, Role.PUPIL, TEN).isBoundClosed()).isTrue();
        assertThat(closed.value(CLASS_CHAT, Role.PUPIL, TEN)).isEqualTo(CLOSED);
    }

    @Test
    void a_setting_counts_from_its_first_instant_to_just_before_its_last_and_the_ruling_knows_when_it_changes() {
        var until = TEN.plusSeconds(120);
        var book = Rulebook.of(
                List.of(Setting.of(new RuleValue(CLASS_CHAT, CLOSED), Role.PUPIL, Layer.CLASS, Force.USUAL, MAREN, TEN)
                        .ending(until)));

        assertThat(book.ruling(CLASS_CHAT, Role.PUPIL, TEN.minusNanos(1)).until())
                .isEqualTo(TEN);
        assertThat(book.value(CLASS_CHAT, Role.PUPIL, TEN.minusNanos(1))).isEqualTo(OPEN);
        assertThat(book.ruling(CLASS_CHAT, Role.PUPIL, TEN).until()).isEqualTo(until);
        assertThat(book.value(CLASS_CHAT, Role.PUPIL, until.minusNanos(1))).isEqualTo(CLOSED);
        assertThat(book.value(CLASS_CHAT, Role.PUPIL, until)).isEqualTo(OPEN);
    }

    @Test
    void minutes_are_stricter_the_fewer_they_are() {
        var school = Setting.of(
                new RuleValue(LATE_AFTER, new Minutes(5)), Role.PUPIL, Layer.SCHOOL, Force.BINDING, MAREN, TEN);
        var lax = Setting.of(
                new RuleValue(LATE_AFTER, new Minutes(15)), Role.PUPIL, Layer.CLASS, Force.USUAL, MAREN, TEN);

        assertThat(Rulebook.of(List.of(lax, school)).value(LATE_AFTER, Role.PUPIL, TEN))
                .isEqualTo(new Minutes(5));
    }

    @Test
    void values_outside_a_rules_range_cannot_be_made() {
        assertThatThrownBy(() -> new RuleValue(LATE_AFTER, new Minutes(61)))
                .isInstanceOf(IllegalArgumentException.class);
        assertThat(RuleValue.of("register.late-after", "61")).isEmpty();
        assertThat(RuleValue.of("register.late-after", "-1")).isEmpty();
        assertThat(RuleValue.of("chat.class", "ajar")).isEmpty();
        assertThat(RuleValue.parse("entry.door=knock").value()).isEqualTo(Door.KNOCK);
    }

    private static Setting set(Layer layer, Force force, Permission value) {
        return Setting.of(new RuleValue(CLASS_CHAT, value), Role.PUPIL, layer, force, MAREN, TEN.minusSeconds(60));
    }
}
