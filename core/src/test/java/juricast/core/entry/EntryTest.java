package juricast.core.entry;

import static juricast.core.entry.ReasonCode.*;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import juricast.core.identity.DeviceId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.rules.Layer;
import juricast.core.rules.LiveRules;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Setting;
import juricast.core.time.Span;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EntryTest {
    private static final Instant TEN = Instant.parse("2026-09-14T10:00:00Z");
    private static final PersonId INES = new PersonId("ines");
    private static final PersonId JORY = new PersonId("jory");

    private boolean adultIsIn = true;
    private boolean over;
    private final Map<PersonId, Set<DeviceId>> present = new java.util.HashMap<>();
    private Set<PersonId> claimed = Set.of();
    private Map<String, PersonId> named = Map.of();
    private final Map<PersonId, Set<DeviceId>> removed = new java.util.HashMap<>();
    private Set<DeviceId> turnedAway = Set.of();
    private Set<DeviceId> sweeping = Set.of();
    private List<Doorway.Sent> sent = List.of();
    private Set<PersonId> out = Set.of();
    private final List<Setting> settings = new ArrayList<>();

    @Test
    void a_pupil_of_the_list_walks_through_an_open_door() {
        set("entry.door=open");

        assertThat(verdict("Ines Carrow"))
                .isEqualTo(new Verdict(Outcome.ADMIT, List.of(Reason.of(ON_CLASS_LIST, INES))));
    }

    @Test
    void who_is_out_of_the_series_is_turned_away_by_name_and_account_until_somebody_has_talked() {
        set("entry.door=open");
        out = Set.of(JORY);

        assertThat(codes(verdict("Jory Pell"))).startsWith(OUT_OF_SERIES);
        assertThat(verdict("Jory Pell").outcome()).isEqualTo(Outcome.TURN_AWAY);
        assertThat(verdict("Ines Carrow").outcome()).isEqualTo(Outcome.ADMIT);
    }

    @Test
    void who_was_sent_to_the_door_waits_also_under_another_name_on_the_same_device_until_the_time_is_over() {
        sent = List.of(new Doorway.Sent(JORY, Set.of(new DeviceId("tablet")), Optional.of(TEN.plusSeconds(300))));

        assertThat(codes(verdict("Jory Pell"))).contains(SENT_TO_DOOR, DOOR_KNOCK);
        assertThat(codes(verdict("Ines Carrow"))).as("by the device").contains(SENT_TO_DOOR);

        sent = List.of(new Doorway.Sent(JORY, Set.of(), Optional.of(TEN)));
        assertThat(verdict("Jory Pell").outcome())
                .as("who was in before is not admitted twice")
                .isEqualTo(Outcome.ADMIT);
        set("entry.door=shut");
        assertThat(codes(verdict("Jory Pell"))).contains(DOOR_SHUT);
    }

    @Test
    void every_reason_is_kept_and_the_strictest_decides_and_stands_first() {
        adultIsIn = false;
        removed.put(JORY, Set.of(new DeviceId("tablet")));
        set("entry.re-entry=never");

        Verdict verdict = verdict("Jory Pel");

        assertThat(verdict.outcome()).isEqualTo(Outcome.TURN_AWAY);
        assertThat(codes(verdict)).containsExactly(REMOVED_FOR_GOOD, NAME_SIMILAR, NO_ADULT_YET, DOOR_KNOCK);
    }

    @Test
    void a_lesson_that_is_over_turns_everyone_away() {
        over = true;
        set("entry.door=open");

        assertThat(verdict("Ines Carrow").outcome()).isEqualTo(Outcome.TURN_AWAY);
    }

    @Test
    void an_account_goes_before_any_name() {
        set("entry.door=open");

        var asInes = Entry.judge(arrival("some nickname", Optional.of(INES)), doorway(), TEN);
        var stranger =
                Entry.judge(arrival("Ines Carrow", Optional.of(new PersonId("of another class"))), doorway(), TEN);

        assertThat(asInes.person()).contains(INES);
        assertThat(asInes.verdict().outcome()).isEqualTo(Outcome.ADMIT);
        assertThat(stranger.person()).isEmpty();
        assertThat(codes(stranger.verdict())).containsExactly(NOT_ON_LIST);
    }

    @Test
    void who_was_removed_is_known_by_the_device_under_any_name() {
        removed.put(JORY, Set.of(new DeviceId("tablet")));
        set("entry.door=open");

        Verdict verdict = verdict("Ines Carrow");

        assertThat(verdict.reasons().get(0)).isEqualTo(Reason.of(REMOVED_EARLIER, JORY));
        assertThat(verdict.onlyTheDoorIsBetween()).isFalse();
    }

    @Test
    void where_the_rule_says_like_anyone_a_removal_is_no_reason() {
        removed.put(INES, Set.of());
        set("entry.re-entry=like-anyone", "entry.door=open");

        assertThat(verdict("Ines Carrow").outcome()).isEqualTo(Outcome.ADMIT);
    }

    @Test
    void the_door_alone_is_between_only_where_the_person_is_certain() {
        assertThat(verdict("Ines Carrow").onlyTheDoorIsBetween()).isTrue();
        assertThat(verdict("Ines Carow").onlyTheDoorIsBetween()).isFalse();
        assertThat(verdict("Nobody").onlyTheDoorIsBetween()).isFalse();

        present.put(INES, Set.of(new DeviceId("another")));
        assertThat(codes(verdict("Ines Carrow"))).containsExactly(ALREADY_HERE, DOOR_KNOCK, ON_CLASS_LIST);
        assertThat(verdict("Ines Carrow").onlyTheDoorIsBetween()).isFalse();
    }

    @Test
    void a_second_device_is_known_by_its_account_only_and_the_rule_decides() {
        set("entry.door=open");
        present.put(INES, Set.of(new DeviceId("another")));

        assertThat(codes(second("on-request"))).containsExactly(ALREADY_HERE, ON_CLASS_LIST);
        assertThat(second("open").outcome()).isEqualTo(Outcome.ADMIT);
        assertThat(codes(second("closed")).get(0)).isEqualTo(NO_SECOND_DEVICE);
        assertThat(verdict("Ines Carrow").outcome())
                .as("by name alone, whatever the rule")
                .isEqualTo(Outcome.WAIT);
    }

    private Verdict second(String rule) {
        settings.removeIf(one -> one.set().rule().key().equals("entry.second-device"));
        set("entry.second-device=" + rule);
        return Entry.judge(arrival("Ines Carrow", Optional.of(INES)), doorway(), TEN)
                .verdict();
    }

    @Test
    void a_full_room_lets_nobody_in_but_who_has_a_place_already() {
        set("entry.door=open", "entry.second-device=open");
        settings.add(Setting.of(
                RuleValue.parse("entry.capacity=1"),
                Role.LEAD_ADULT,
                Layer.SCHOOL,
                Setting.Force.USUAL,
                new PersonId("maren"),
                Instant.EPOCH));
        assertThat(verdict("Jory Pell").outcome()).isEqualTo(Outcome.ADMIT);

        present.put(INES, Set.of(new DeviceId("another")));
        assertThat(codes(verdict("Jory Pell")).get(0)).isEqualTo(ROOM_IS_FULL);
        assertThat(second("open").outcome()).isEqualTo(Outcome.ADMIT);
    }

    @Test
    void who_goes_from_door_to_door_waits_at_an_open_one_under_any_name() {
        set("entry.door=open");
        sweeping = Set.of(new DeviceId("tablet"));

        assertThat(codes(verdict("Ines Carrow"))).containsExactly(SWEEP, ON_CLASS_LIST);
        assertThat(verdict("Ines Carrow").onlyTheDoorIsBetween()).isFalse();
    }

    @Test
    void three_doors_in_ten_minutes_by_one_device_or_one_name_are_a_sweep() {
        var first = tried("a", "phone", "wolf", 0);
        var second = tried("b", "phone", "somebody", 200);
        var sameName = tried("b", "another phone", "Wölf!", 300);

        assertThat(Sweep.of(List.of(first, second), tried("c", "phone", "x", 590)))
                .get()
                .satisfies(sweep -> assertThat(sweep.doors()).hasSize(3));
        assertThat(Sweep.of(List.of(first, sameName), tried("c", "third", "wolf", 599)))
                .isPresent();
        assertThat(Sweep.of(List.of(first, second), tried("b", "phone", "x", 590)))
                .as("two doors")
                .isEmpty();
        assertThat(Sweep.of(List.of(first, second), tried("c", "phone", "x", 700)))
                .as("too slow")
                .isEmpty();
        assertThat(Sweep.of(List.of(first, second), tried("c", "other", "other", 10)))
                .isEmpty();
    }

    private static Sweep.Try tried(String lesson, String device, String name, int second) {
        return new Sweep.Try(
                new juricast.core.identity.LessonId(lesson), new DeviceId(device), name, TEN.plusSeconds(second));
    }

    @Test
    void a_device_that_was_turned_away_is_never_let_in_with_all() {
        turnedAway = Set.of(new DeviceId("tablet"));

        assertThat(verdict("Ines Carrow").onlyTheDoorIsBetween()).isFalse();
    }

    @Test
    void early_is_before_the_rules_minutes_and_exactly_on_them_is_not() {
        set("entry.door=open");

        assertThat(codes(at("Ines Carrow", TEN.minusSeconds(601)))).contains(TOO_EARLY);
        assertThat(codes(at("Ines Carrow", TEN.minusSeconds(600)))).doesNotContain(TOO_EARLY);
    }

    @ParameterizedTest
    @CsvSource({
        "closed, '', NO_TELEPHONE",
        "closed, ines, NO_TELEPHONE",
        "on-request, '', BY_TELEPHONE",
        "on-request, ines, BY_TELEPHONE",
        "open, '', BY_TELEPHONE",
        "open, ines, ON_CLASS_LIST"
    })
    void a_number_is_nobody_until_an_adult_has_asked_and_the_rule_decides_if_it_is_asked_again(
            String rule, String before, ReasonCode first) {
        set("entry.door=open", "entry.telephone=" + rule);
        named = before.isEmpty() ? Map.of() : Map.of("07700 900123", new PersonId(before));

        var judged = Entry.judge(from(Arrival.Way.TELEPHONE, "07700 900123"), doorway(), TEN);

        assertThat(judged.verdict().reasons().get(0).code()).isEqualTo(first);
        assertThat(judged.verdict().outcome() == Outcome.ADMIT).isEqualTo(first == ReasonCode.ON_CLASS_LIST);
        assertThat(judged.person())
                .isEqualTo(Optional.of(before).filter(one -> !one.isEmpty()).map(PersonId::new));
    }

    @ParameterizedTest
    @CsvSource({"closed, NO_OUTSIDE_ACCOUNT", "on-request, OUTSIDE_ACCOUNT", "open, ON_CLASS_LIST"})
    void another_place_vouches_for_an_address_and_the_rule_says_what_that_is_worth(String rule, ReasonCode first) {
        set("entry.door=open", "entry.outside-accounts=" + rule);

        assertThat(codes(Entry.judge(from(Arrival.Way.ACCOUNT, "Ines Carrow"), doorway(), TEN)
                        .verdict()))
                .startsWith(first)
                .contains(ReasonCode.ON_CLASS_LIST);
    }

    @Test
    void an_account_comes_before_who_is_in_by_the_name_alone() {
        set("entry.door=open", "entry.second-device=closed");
        present.put(INES, Set.of(new DeviceId("somebody's")));
        var signedIn = arrival("Ines", Optional.of(INES));
        assertThat(codes(Entry.judge(signedIn, doorway(), TEN).verdict())).contains(ReasonCode.NO_SECOND_DEVICE);

        claimed = Set.of(INES);
        assertThat(Entry.judge(signedIn, doorway(), TEN).verdict().outcome()).isEqualTo(Outcome.ADMIT);
        assertThat(codes(verdict("Ines Carrow"))).contains(ReasonCode.ALREADY_HERE);
    }

    private static Arrival from(Arrival.Way way, String address) {
        return new Arrival(
                new VisitId("v"),
                new DeviceId("tablet"),
                address,
                Optional.empty(),
                Arrival.Link.CURRENT,
                true,
                Optional.of(new Arrival.Outside(way, address)));
    }

    @Test
    void no_verdict_goes_unexplained_whatever_is_claimed() {
        set("entry.door=open", "entry.adults-first=no");

        for (String name : List.of("", " ", "🐙", "x".repeat(300), "<script>", "Ines", "\u202Eenil", "null")) {
            assertThat(verdict(name).reasons()).as(name).isNotEmpty();
            assertThat(verdict(name).outcome()).as(name).isEqualTo(Outcome.WAIT);
        }
        assertThatThrownBy(() -> new Verdict(Outcome.ADMIT, List.of())).isInstanceOf(IllegalArgumentException.class);
    }

    private Verdict verdict(String name) {
        return at(name, TEN);
    }

    private Verdict at(String name, Instant now) {
        return Entry.judge(arrival(name, Optional.empty()), doorway(), now).verdict();
    }

    private static Arrival arrival(String name, Optional<PersonId> account) {
        return Arrival.of(new VisitId("v"), new DeviceId("tablet"), name, account, Arrival.Link.CURRENT, true);
    }

    private Doorway doorway() {
        List<Member> list =
                List.of(new Member(INES, "Ines Carrow", Role.PUPIL), new Member(JORY, "Jory Pell", Role.PUPIL));
        return new Doorway(
                new Span(TEN, TEN.plusSeconds(3000)),
                list,
                LiveRules.of(Rulebook.of(settings)),
                new Doorway.Inside(adultIsIn ? 1 : 0, 0, over, present, claimed, present.size(), Set.of()),
                new Doorway.Refused(removed, turnedAway, sweeping, sent, out),
                named);
    }

    private void set(String... values) {
        Stream.of(values)
                .map(RuleValue::parse)
                .forEach(value -> settings.add(Setting.of(
                        value, Role.PUPIL, Layer.SCHOOL, Setting.Force.USUAL, new PersonId("maren"), Instant.EPOCH)));
    }

    private static List<ReasonCode> codes(Verdict verdict) {
        return verdict.reasons().stream().map(Reason::code).toList();
    }
}
