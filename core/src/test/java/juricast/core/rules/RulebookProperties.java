package juricast.core.rules;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rules.Setting.Force;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

class RulebookProperties {
    private static final Instant NOW = Instant.parse("2026-09-14T10:00:00Z");

    @Property
    void lower_layers_and_passes_never_loosen_a_binding_one_beyond_what_it_grants(
            @ForAll("settings") List<Setting> settings) {
        var ruling = Rulebook.of(settings).ruling(Catalogue.SPEAK, Role.PUPIL, NOW);

        ruling.floor().ifPresent(floor -> {
            var bound = (Permission) floor.set().value();
            boolean pass = settings.stream().anyMatch(one -> one.force() == Force.PASS && one.isInForce(NOW));
            if (bound == Permission.CLOSED || !pass) {
                assertThat(ruling.value()).isLessThanOrEqualTo(bound);
            }
        });
    }

    @Property
    void a_curb_never_loosens(@ForAll("settings") List<Setting> settings, @ForAll Permission value) {
        var without =
                settings.stream().filter(one -> one.layer() != Layer.PERSON).toList();
        var curb = new Setting(
                new RuleValue(Catalogue.SPEAK, value),
                Role.PUPIL,
                Layer.PERSON,
                Force.CURB,
                new PersonId("orla"),
                NOW,
                Setting.FOR_EVER);

        var before = Rulebook.of(without).value(Catalogue.SPEAK, Role.PUPIL, NOW);
        var after = Rulebook.of(without).with(List.of(curb)).value(Catalogue.SPEAK, Role.PUPIL, NOW);

        assertThat(after).isLessThanOrEqualTo(before);
    }

    @Property
    void the_order_in_which_settings_are_stored_does_not_matter(
            @ForAll("settings") List<Setting> settings, @ForAll Random random) {
        var shuffled = new java.util.ArrayList<>(settings);
        Collections.shuffle(shuffled, random);

        assertThat(Rulebook.of(shuffled).ruling(Catalogue.SPEAK, Role.PUPIL, NOW))
                .isEqualTo(Rulebook.of(settings).ruling(Catalogue.SPEAK, Role.PUPIL, NOW));
    }

    @Property
    void exactly_one_step_decides_and_it_is_the_value(@ForAll("settings") List<Setting> settings) {
        var ruling = Rulebook.of(settings).ruling(Catalogue.SPEAK, Role.PUPIL, NOW);

        assertThat(ruling.chain())
                .filteredOn(step -> step.effect() == Ruling.Effect.DECIDES)
                .singleElement()
                .extracting(Ruling.Step::value)
                .isEqualTo(ruling.value());
    }

    @Provide
    Arbitrary<List<Setting>> settings() {
        var layers = Arbitraries.of(Layer.values());
        var values = Arbitraries.of(Permission.values());
        var begins = Arbitraries.integers().between(-3, 1);
        return Combinators.combine(layers, values, begins, Arbitraries.of(true, false))
                .as((layer, value, begin, flag) -> new Setting(
                        new RuleValue(Catalogue.SPEAK, value),
                        Role.PUPIL,
                        layer,
                        force(layer, flag),
                        new PersonId("somebody"),
                        NOW.plusSeconds(begin * 60L),
                        NOW.plusSeconds(begin * 60L + 150)))
                .list()
                .ofMaxSize(12);
    }

    private static Force force(Layer layer, boolean flag) {
        if (layer == Layer.PERSON) {
            return flag ? Force.PASS : Force.CURB;
        }
        return flag ? Force.BINDING : Force.USUAL;
    }
}
