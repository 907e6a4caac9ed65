package juricast.core.rules;

import static juricast.core.rules.AnySetting.NOW;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rules.Ruling.Effect;
import juricast.core.rules.Setting.Force;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

/** What holds of every set of settings, in every situation, for every kind of value. */
class RulebookProperties {
    /** Settings about one rule, and the situation in which it is asked. */
    record Asked(Rule<?> rule, List<Setting> settings, Situation situation) {
        Rulebook book() {
            return Rulebook.of(settings).in(situation);
        }

        Ruling<?> ruling() {
            return book().ruling(rule, Role.PUPIL, NOW);
        }

        Stream<Setting> counting() {
            return settings.stream()
                    .filter(one -> one.isInForce(NOW) && one.when().holds(situation, NOW));
        }

        boolean isWithin(Value value, Value bound) {
            return within(rule, value, bound);
        }

        private static <V extends Value> boolean within(Rule<V> rule, Value value, Value bound) {
            return rule.type().isWithin(rule.type().cast(value), rule.type().cast(bound));
        }
    }

    @Property(tries = 3000)
    void no_lower_layer_or_set_ever_yields_a_value_looser_than_a_binding_one_in_force(@ForAll("asked") Asked asked) {
        boolean pass = asked.counting().anyMatch(one -> one.force() == Force.PASS);
        var ruling = asked.ruling();

        if (!pass && asked.rule().type().isOrdered()) {
            assertThat(asked.counting().filter(Setting::isBinding))
                    .allMatch(binding ->
                            asked.isWithin(ruling.value(), binding.set().value()));
        }
        ruling.floor().ifPresent(floor -> {
            if (!pass || ruling.isBoundClosed()) {
                assertThat(asked.isWithin(ruling.value(), floor.set().value())
                                || !asked.rule().type().isOrdered())
                        .isTrue();
            }
        });
    }

    @Property(tries = 1000)
    void a_pass_never_opens_what_a_binding_one_closes(@ForAll("asked") Asked asked) {
        boolean closed =
                asked.counting().anyMatch(one -> one.isBinding() && one.set().value() == Permission.CLOSED);

        if (closed) {
            assertThat(asked.ruling().value()).isEqualTo(Permission.CLOSED);
        }
    }

    @Property
    void a_curb_never_loosens(@ForAll("asked") Asked asked, @ForAll Permission value) {
        if (!asked.rule().isRight()) {
            return;
        }
        var curb = Setting.of(
                new RuleValue(asked.rule(), value), Role.PUPIL, Layer.PERSON, Force.CURB, new PersonId("orla"), NOW);

        Ruling<?> after = asked.book().with(List.of(curb)).ruling(asked.rule(), Role.PUPIL, NOW);

        assertThat(asked.isWithin(after.value(), asked.ruling().value())).isTrue();
    }

    @Property
    void the_order_in_which_settings_are_stored_does_not_matter(@ForAll("asked") Asked asked, @ForAll Random random) {
        var shuffled = new ArrayList<>(asked.settings());
        Collections.shuffle(shuffled, random);
        var oneByOne = Rulebook.of(List.of()).in(asked.situation());
        for (Setting setting : shuffled) {
            oneByOne = oneByOne.with(List.of(setting));
        }

        assertThat(oneByOne.ruling(asked.rule(), Role.PUPIL, NOW)).isEqualTo(asked.ruling());
    }

    @Property(tries = 2000)
    void the_explanation_ends_in_the_value_and_one_link_decides(@ForAll("asked") Asked asked) {
        var ruling = asked.ruling();
        List<Ruling.Step> chain = List.copyOf(ruling.chain());

        assertThat(chain.get(chain.size() - 1).then()).isEqualTo(ruling.value());
        assertThat(chain).filteredOn(step -> step.effect() == Effect.DECIDES).hasSize(1);
        assertThat(chain.size() - 1L).isEqualTo(asked.counting().count());
        assertThat(asked.book().value(asked.rule(), Role.PUPIL, NOW)).isEqualTo(ruling.value());
        assertThat(asked.book().table(Role.PUPIL, NOW).value(asked.rule())).isEqualTo(ruling.value());
    }

    @Property
    void the_table_of_a_class_says_what_each_person_would_be_told_alone(
            @ForAll("asked") Asked asked, @ForAll Permission lent, @ForAll boolean account) {
        var pass = Setting.of(
                new RuleValue(Catalogue.SPEAK, lent),
                Role.PUPIL,
                Layer.PERSON,
                Force.PASS,
                new PersonId("orla"),
                NOW.minusSeconds(5));
        var people = List.of(
                new RuleTable.Person(Role.PUPIL, account, List.of()),
                new RuleTable.Person(Role.PUPIL, !account, List.of(pass)),
                new RuleTable.Person(Role.VISITOR, account, List.of()),
                new RuleTable.Person(Role.PUPIL, account, List.of()));

        List<RuleTable> tables = RuleTable.ofClass(asked.book(), people, NOW);

        assertThat(tables.get(3)).isSameAs(tables.get(0));
        for (int n = 0; n < people.size(); n++) {
            RuleTable.Person one = people.get(n);
            var alone = asked.book().with(one.own()).in(asked.situation().with(Fact.SCHOOL_ACCOUNT, one.account()));
            for (Rule<?> rule : List.of(asked.rule(), Catalogue.SPEAK)) {
                if (rule.speaksOf(one.role())) {
                    assertThat(tables.get(n).value(rule)).isEqualTo(alone.value(rule, one.role(), NOW));
                }
            }
            assertThat(tables.get(n).until()).isEqualTo(alone.nextEdge(NOW));
        }
    }

    @Property
    void between_two_edges_the_clock_changes_nothing_and_the_next_change_is_the_first(@ForAll("asked") Asked asked) {
        var ruling = asked.ruling();
        Instant change = asked.book()
                .changes(asked.rule(), Role.PUPIL, NOW)
                .<Instant>map(next -> next.at())
                .orElse(Setting.FOR_EVER);

        for (Instant at = NOW; at.isBefore(NOW.plusSeconds(3600)); at = at.plusSeconds(30)) {
            Value then = asked.book().value(asked.rule(), Role.PUPIL, at);
            if (at.isBefore(change)) {
                assertThat(then).isEqualTo(ruling.value());
            }
            if (at.equals(change)) {
                assertThat(then).isNotEqualTo(ruling.value());
            }
        }
        assertThat(change).isAfterOrEqualTo(ruling.until());
    }

    @Property
    void a_condition_is_read_as_it_was_written(@ForAll("conditions") Condition condition, @ForAll String noise) {
        assertThat(Condition.parse(condition.text())).contains(condition);
        assertThat(Condition.parse(noise))
                .satisfies(read -> read.ifPresent(
                        found -> assertThat(Condition.parse(found.text())).contains(found)));
    }

    @Provide
    Arbitrary<Condition> conditions() {
        return AnySetting.conditions();
    }

    @Provide
    Arbitrary<Asked> asked() {
        return AnySetting.rules().flatMap(rule -> Combinators.combine(AnySetting.about(rule), AnySetting.situations())
                .as((settings, situation) -> new Asked(rule, settings, situation)));
    }
}
