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
    void who_asks_for_more_than_is_bound_gets_as_much_as_is_allowed() {
        var book = Rulebook.of(List.of(
                set(Layer.SCHOOL, Force.BINDING, ON_REQUEST),
                set(Layer.CLASS, Force.USUAL, CLOSED),
                set(Layer.LESSON, Force.USUAL, OPEN)));

        var ruling = book.ruling(CLASS_CHAT, Role.PUPIL, TEN);

        assertThat(ruling.value()).isEqualTo(ON_REQUEST);
        assertThat(ruling.chain())
                .extracting(Ruling.Step::effect)
                .containsExactly(Effect.REPLACED, Effect.DECIDES, Effect.REPLACED, Effect.OVERRULED);
        assertThat(ruling.chain()).extracting(Ruling.Step::then).containsExactly(OPEN, ON_REQUEST, CLOSED, ON_REQUEST);
    }

    @Test
    void of_kinds_both_the_bound_and_the_wish_must_allow_them() {
        var files = Catalogue.FILE_KINDS;
        var bound = setting(new RuleValue(files, Kinds.of("documents", "pictures")), Layer.SCHOOL, Force.BINDING);
        var wish = setting(new RuleValue(files, Kinds.of("pictures", "video")), Layer.CLASS, Force.USUAL);

        var ruling = Rulebook.of(List.of(bound, wish)).ruling(files, Role.PUPIL, TEN);

        assertThat(ruling.value()).isEqualTo(Kinds.of("pictures"));
        assertThat(ruling.allows(Kinds.of("documents"))).isTrue();
        assertThat(ruling.allows(Kinds.of("sound"))).isFalse();
    }

    @Test
    void where_values_have_no_order_a_binding_one_fixes_the_rule() {
        var bound = setting(new RuleValue(Catalogue.SHOWN_NAME, new Choice("first-name")), Layer.SCHOOL, Force.BINDING);
        var wish = setting(new RuleValue(Catalogue.SHOWN_NAME, new Choice("full-name")), Layer.CLASS, Force.BINDING);

        assertThat(Rulebook.of(List.of(wish, bound)).value(Catalogue.SHOWN_NAME, Role.PUPIL, TEN))
                .isEqualTo(new Choice("first-name"));
    }

    @Test
    void a_condition_that_asks_for_more_is_more_specific_and_of_two_that_ask_for_equally_much_the_stricter_wins() {
        var visited = Condition.during(Fact.VISITOR_PRESENT);
        var recorded = Condition.during(Fact.RECORDING);
        var both = Condition.of(
                new Circumstance.Is(Fact.VISITOR_PRESENT, true), new Circumstance.Is(Fact.RECORDING, true));
        var book = Rulebook.of(List.of(
                set(Layer.SCHOOL, Force.USUAL, OPEN),
                set(Layer.SCHOOL, Force.USUAL, CLOSED).during(visited),
                set(Layer.SCHOOL, Force.USUAL, ON_REQUEST).during(recorded)));
        var situation = Situation.ORDINARY.with(Fact.VISITOR_PRESENT, true);

        assertThat(book.value(CLASS_CHAT, Role.PUPIL, TEN)).isEqualTo(OPEN);
        assertThat(book.in(situation).value(CLASS_CHAT, Role.PUPIL, TEN)).isEqualTo(CLOSED);
        var together = situation.with(Fact.RECORDING, true);
        assertThat(book.in(together).value(CLASS_CHAT, Role.PUPIL, TEN)).isEqualTo(CLOSED);
        assertThat(book.with(List.of(set(Layer.SCHOOL, Force.USUAL, OPEN).during(both)))
                        .in(together)
                        .value(CLASS_CHAT, Role.PUPIL, TEN))
                .isEqualTo(OPEN);
        assertThat(book.asleep(CLASS_CHAT, Role.PUPIL, TEN)).hasSize(2);
    }

    @Test
    void a_binding_condition_closes_even_a_pass_while_it_holds() {
        var closedForGuests = set(Layer.SCHOOL, Force.BINDING, CLOSED).during(Condition.during(Fact.VISITOR_PRESENT));
        var book = Rulebook.of(List.of(closedForGuests, set(Layer.PERSON, Force.PASS, OPEN)));

        assertThat(book.value(CLASS_CHAT, Role.PUPIL, TEN)).isEqualTo(OPEN);
        var visited = book.in(Situation.ORDINARY.with(Fact.VISITOR_PRESENT, true));
        assertThat(visited.ruling(CLASS_CHAT, Role.PUPIL, TEN).isBoundClosed()).isTrue();
        assertThat(visited.value(CLASS_CHAT, Role.PUPIL, TEN)).isEqualTo(CLOSED);
    }

    @Test
    void what_a_set_says_comes_before_what_the_class_says_itself() {
        var fromSet = set(Layer.CLASS, Force.USUAL, CLOSED).inBundle("Quiet work", Layer.CLASS);
        var own = set(Layer.CLASS, Force.USUAL, ON_REQUEST).beginning(TEN.minusSeconds(3600));

        assertThat(Rulebook.of(List.of(own, fromSet)).value(CLASS_CHAT, Role.PUPIL, TEN))
                .isEqualTo(ON_REQUEST);
    }

    @Test
    void the_next_change_is_the_one_that_changes_the_value_not_the_next_that_begins_or_ends() {
        var book = Rulebook.of(List.of(
                set(Layer.SCHOOL, Force.USUAL, CLOSED).ending(TEN.plusSeconds(300)),
                set(Layer.CLASS, Force.USUAL, CLOSED).ending(TEN.plusSeconds(900))));

        var ruling = book.ruling(CLASS_CHAT, Role.PUPIL, TEN);
        var change = book.changes(CLASS_CHAT, Role.PUPIL, TEN).orElseThrow();

        assertThat(ruling.until()).isEqualTo(TEN.plusSeconds(300));
        assertThat(change.at()).isEqualTo(TEN.plusSeconds(900));
        assertThat(change.ruling().value()).isEqualTo(OPEN);
        assertThat(book.changes(CLASS_CHAT, Role.PUPIL, TEN.plusSeconds(900))).isEmpty();
        assertThat(book.nextEdge(TEN)).isEqualTo(TEN.plusSeconds(300));
    }

    @Test
    void what_takes_over_from_a_setting_leaves_what_lies_before_and_after() {
        var setting = set(Layer.SCHOOL, Force.BINDING, CLOSED).beginning(TEN).ending(TEN.plusSeconds(100));

        assertThat(setting.without(TEN.plusSeconds(20), TEN.plusSeconds(30)))
                .containsExactly(setting.ending(TEN.plusSeconds(20)), setting.beginning(TEN.plusSeconds(30)));
        assertThat(setting.without(TEN.minusSeconds(5), TEN.plusSeconds(40)))
                .containsExactly(setting.beginning(TEN.plusSeconds(40)));
        assertThat(setting.without(TEN.plusSeconds(60), Setting.FOR_EVER))
                .containsExactly(setting.ending(TEN.plusSeconds(60)));
        assertThat(setting.without(TEN, TEN.plusSeconds(100))).isEmpty();
        assertThat(setting.without(TEN.plusSeconds(100), Setting.FOR_EVER)).containsExactly(setting);
        assertThat(setting.without(TEN.minusSeconds(9), TEN)).containsExactly(setting);
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

    private static Setting setting(RuleValue value, Layer layer, Force force) {
        return Setting.of(value, Role.PUPIL, layer, force, MAREN, TEN.minusSeconds(60));
    }
}
