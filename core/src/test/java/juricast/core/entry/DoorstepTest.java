package juricast.core.entry;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import juricast.core.entry.Doorstep.Comer;
import juricast.core.entry.Doorstep.Counted;
import juricast.core.entry.Doorstep.Link;
import juricast.core.entry.Doorstep.Near;
import juricast.core.entry.Doorstep.Refusal;
import juricast.core.identity.DeviceId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.time.Span;
import org.junit.jupiter.api.Test;

class DoorstepTest {
    private static final VisitId VISIT = new VisitId("v");
    private static final PersonId INES = new PersonId("ines");
    private static final Instant TEN = Instant.parse("2026-09-14T10:00:00Z");

    private final List<String> counted = new ArrayList<>();

    private static Comer comer(Link link, Optional<PersonId> member, String name, boolean agreed) {
        return new Comer(
                link,
                true,
                member,
                Optional.empty(),
                name,
                "amber-kelp-47",
                agreed,
                Optional.empty(),
                new DeviceId("tablet"));
    }

    private Doorstep.Answer knock(Comer comer, boolean lesson, boolean right, boolean mayKnock) {
        counted.clear();
        return Doorstep.knock(
                comer,
                lesson,
                Optional.empty(),
                VISIT,
                new Counted(
                        () -> {
                            counted.add("word");
                            return right;
                        },
                        () -> {
                            counted.add("knock");
                            return mayKnock;
                        }));
    }

    @Test
    void each_question_is_asked_only_when_the_one_before_was_answered_well() {
        Comer good = comer(Link.PUPILS, Optional.empty(), "Ines Carrow", true);

        assertThat(knock(comer(Link.STAFF, Optional.empty(), "", false), false, false, false)
                        .refusal())
                .contains(Refusal.FOR_STAFF);
        assertThat(counted).isEmpty();
        assertThat(knock(comer(Link.PUPILS, Optional.empty(), "", false), false, false, false)
                        .refusal())
                .contains(Refusal.NO_NAME);
        assertThat(counted).as("no name costs no try of a word").isEmpty();
        assertThat(knock(comer(Link.PUPILS, Optional.empty(), "Ines", false), false, false, false)
                        .refusal())
                .contains(Refusal.WRONG_WORD);
        assertThat(counted).containsExactly("word");
        assertThat(knock(comer(Link.PUPILS, Optional.empty(), "Ines", false), false, true, false)
                        .refusal())
                .contains(Refusal.HOUSE_RULES);
        assertThat(knock(good, false, true, false).refusal()).contains(Refusal.NO_LESSON_NOW);
        assertThat(counted).as("who finds no lesson has not knocked").containsExactly("word");
        assertThat(knock(good, true, true, false).refusal()).contains(Refusal.TOO_MANY_KNOCKS);
        assertThat(knock(good, true, true, true).knocks())
                .map(Arrival::claimedName)
                .contains("Ines Carrow");
        assertThat(counted).containsExactly("word", "knock");
    }

    @Test
    void who_is_signed_in_and_listed_or_comes_by_a_link_of_their_own_is_asked_for_no_word() {
        Doorstep.Answer member = knock(comer(Link.PUPILS, Optional.of(INES), "Ines Carrow", true), true, false, true);
        assertThat(member.knocks().flatMap(Arrival::account)).contains(INES);
        assertThat(counted).containsExactly("knock");

        PersonId tove = new PersonId("tove");
        Doorstep.Answer visitor = knock(
                new Comer(
                        Link.VISITOR,
                        true,
                        Optional.empty(),
                        Optional.of(tove),
                        "Tove",
                        "",
                        true,
                        Optional.empty(),
                        new DeviceId("d")),
                true,
                false,
                true);
        assertThat(visitor.knocks()).get().satisfies(arrival -> {
            assertThat(arrival.account()).contains(tove);
            assertThat(arrival.link()).isEqualTo(Arrival.Link.OWN);
            assertThat(arrival.hasAccount()).isFalse();
        });
    }

    @Test
    void an_own_link_that_counts_no_more_names_nobody() {
        Doorstep.Answer answer = knock(
                new Comer(
                        Link.VISITOR,
                        false,
                        Optional.empty(),
                        Optional.of(new PersonId("tove")),
                        "Tove",
                        "",
                        true,
                        Optional.empty(),
                        new DeviceId("d")),
                true,
                false,
                true);
        assertThat(answer.knocks()).get().satisfies(arrival -> {
            assertThat(arrival.account()).isEmpty();
            assertThat(arrival.link()).isEqualTo(Arrival.Link.RETIRED);
        });
    }

    @Test
    void who_is_in_already_comes_back_to_their_seat_and_another_on_the_same_device_knocks() {
        Comer ines = comer(Link.PUPILS, Optional.empty(), "ines carrow", true);
        var before = new Doorstep.Before(
                new VisitId("before"),
                Arrival.of(
                        new VisitId("before"),
                        new DeviceId("tablet"),
                        "Ines Carrow",
                        Optional.empty(),
                        Arrival.Link.CURRENT,
                        true));
        Counted never = new Counted(() -> true, () -> {
            throw new AssertionError("not a knock");
        });

        assertThat(Doorstep.knock(ines, true, Optional.of(before), VISIT, never).again())
                .contains(new VisitId("before"));
        assertThat(Doorstep.knock(
                                comer(Link.PUPILS, Optional.empty(), "Jory Pell", true),
                                true,
                                Optional.of(before),
                                VISIT,
                                new Counted(() -> true, () -> true))
                        .knocks())
                .isPresent();
    }

    @Test
    void a_link_leads_to_what_is_open_then_to_what_is_near_and_not_to_what_is_over() {
        Near over = near("over", TEN.minusSeconds(600), false, true);
        Near next = near("next", TEN.plusSeconds(3600), false, false);
        Near open = near("open", TEN.minusSeconds(9000), true, false);

        assertThat(Doorstep.leadsTo(List.of(over, next, open), TEN)).contains(new LessonId("open"));
        assertThat(Doorstep.leadsTo(List.of(over, next), TEN)).contains(new LessonId("next"));
        assertThat(Doorstep.leadsTo(List.of(over, next), TEN.minusMillis(1))).isEmpty();
        assertThat(Doorstep.leadsTo(List.of(near("late", TEN.minusSeconds(4801), false, false)), TEN))
                .as("half an hour and a second after its end")
                .isEmpty();
    }

    private static Near near(String id, Instant from, boolean open, boolean over) {
        return new Near(new LessonId(id), new Span(from, from.plusSeconds(3000)), open, over);
    }

    @Test
    void who_calls_has_no_keys_for_the_join_word_and_an_account_from_elsewhere_has() {
        var number = new Arrival.Outside(Arrival.Way.TELEPHONE, "07700 900123");
        var address = new Arrival.Outside(Arrival.Way.ACCOUNT, "ines@north-holm.example");

        assertThat(knock(from(number), true, false, true).knocks()).get().satisfies(arrival -> {
            assertThat(arrival.from(Arrival.Way.TELEPHONE)).contains("07700 900123");
            assertThat(arrival.from(Arrival.Way.ACCOUNT)).isEmpty();
        });
        assertThat(knock(from(address), true, false, true).refusal()).contains(Doorstep.Refusal.WRONG_WORD);
    }

    private static Comer from(Arrival.Outside outside) {
        return new Comer(
                Link.PUPILS,
                true,
                Optional.empty(),
                Optional.empty(),
                outside.address(),
                "",
                true,
                Optional.of(outside),
                new DeviceId("d"));
    }
}
