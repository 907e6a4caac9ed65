package juricast.core.audience;

import static juricast.core.lesson.LiveLesson.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import juricast.core.chat.ChatOrder;
import juricast.core.chat.ChatPart;
import juricast.core.chat.Readers;
import juricast.core.door.DoorOrder;
import juricast.core.entry.ReasonCode;
import juricast.core.identity.VisitId;
import juricast.core.lesson.Parts;
import juricast.core.live.LessonState;
import juricast.core.live.Refusal;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsOrder;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting.Force;
import juricast.core.signals.SignalsOrder;
import juricast.core.supervision.SupervisionOrder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SeatViewTest {
    @ParameterizedTest
    @CsvSource({"open, open, 'Jory Pell+'", "open, closed, 'Jory Pell'", "closed, open, '+'", "closed, closed, ''"})
    void who_is_there_is_seen_by_name_and_camera_as_each_is_ruled_and_an_adult_switches_it(
            String names, String cameras, String seen) {
        var lesson = open().school("names.background", "open", Force.USUAL)
                .present(INES)
                .present(JORY)
                .order(turnOn(Appliance.CAMERA))
                .order(turnOn(Appliance.BACKGROUND));
        for (var one : List.of("names.see-list=" + names, "voice.see-cameras=" + cameras)) {
            lesson.order(new RightsOrder.SetLive(RuleValue.parse(one), ORLA));
        }

        assertThat(lesson.seat("ines").company().people().stream()
                        .filter(one -> !one.name().equals("Ines Carrow"))
                        .map(one -> one.name() + (one.camera() ? "+" : "")))
                .containsExactlyElementsOf(seen.isEmpty() ? List.of() : List.of(seen));
    }

    @ParameterizedTest
    @CsvSource({
        "share.whole-screen, open, share.screen, closed, ''",
        "share.whole-screen, open, share.screen, open, share.whole-screen",
        "share.outside, on-request, share.screen, open, ''",
        "share.outside, open, share.screen, closed, share.outside",
    })
    void rights_that_few_schools_open_are_on_the_list_of_a_seat_where_they_can_be_used(
            String rare, String value, String other, String otherValue, String listed) {
        var seat = open().present(INES)
                .school(rare, value, Force.USUAL)
                .school(other, otherValue, Force.USUAL)
                .seat("ines");

        assertThat(seat.rights().rights().stream()
                        .map(one -> one.ruling().rule())
                        .filter(Catalogue.RARELY_OPEN::contains)
                        .map(Rule::key))
                .containsExactlyElementsOf(listed.isEmpty() ? List.of() : List.of(listed));
    }

    private static RightsOrder turnOn(Appliance what) {
        return new RightsOrder.TurnOn(new VisitId("jory"), what);
    }

    @Test
    void that_a_lesson_is_passed_on_to_people_outside_is_told_to_everybody() {
        var lesson = open().present(INES);
        var passOn = new RightsOrder.TurnOn(visitOf(ORLA), Appliance.PASSING_ON);
        assertThat(lesson.order(passOn).refused()).contains(Refusal.Common.RULE_CLOSED);

        lesson.school("share.outside", "open", Force.USUAL).order(passOn);
        assertThat(lesson.seat("ines").company().passedOn()).containsExactly("Orla Venn");
        lesson.order(new SupervisionOrder.StopEverything("", ORLA));
        assertThat(lesson.seat("ines").company().passedOn())
                .as("what is stopped is not passed on")
                .isEmpty();
        lesson.order(new SupervisionOrder.Resume(ORLA));
        assertThat(lesson.seat("ines").company().passedOn())
                .as("nor again by itself")
                .isEmpty();
    }

    @Test
    void a_seat_shows_nothing_of_others_passes_curbs_hands_removals_and_private_words() {
        var lesson = open().adult(TAM)
                .present(INES)
                .present(JORY)
                .present(KESTER)
                .order(new ChatOrder.Say(visitOf(JORY), Readers.ADULTS, "SECRET to adults"))
                .order(new ChatOrder.Say(visitOf(ORLA), Readers.only(JORY), "SECRET to jory"))
                .order(new ChatOrder.Say(visitOf(ORLA), Readers.ADULTS, "SECRET among adults"))
                .order(new ChatOrder.Say(visitOf(ORLA), Readers.CLASS, "good morning"))
                .order(new RightsOrder.GivePass(JORY, Catalogue.SPEAK, minutes(2), ORLA))
                .order(new SignalsOrder.RaiseHand(visitOf(KESTER)))
                .order(new DoorOrder.Remove(KESTER, "SECRET reason", ORLA))
                .knock("SECRET stranger", "SECRET device");

        assertThat(lesson.seat("ines").company().people())
                .extracting(Company.Seen::name)
                .as("that they are there is no secret by the usual rules, and who was put out is not")
                .containsExactly("Ines Carrow", "Jory Pell");

        String ines = lesson.school("names.see-list", "closed", Force.USUAL)
                .seat("ines")
                .toString();
        assertThat(ines).contains("good morning").doesNotContain("SECRET", "Jory", "jory", "Kester", "kester");
        assertThat(lesson.seat("jory").words()).hasSize(3);
        assertThat(lesson.desk().words()).hasSize(4);
    }

    @Test
    void an_arrival_is_told_reasons_but_nobodys_name() {
        var lesson = open().present(INES).knock("Ines Carow", "double");

        var seat = lesson.seat("double");

        assertThat(seat.door().reasons()).contains(ReasonCode.NAME_SIMILAR, ReasonCode.ALREADY_HERE);
        assertThat(seat.toString()).doesNotContain("Carrow").doesNotContain("ines");
    }

    @Test
    void who_was_put_out_sees_nothing_of_the_lesson_any_more() {
        var lesson = open().present(JORY)
                .order(new ChatOrder.Say(visitOf(ORLA), Readers.CLASS, "SECRET"))
                .order(new DoorOrder.Remove(JORY, "SECRET", ORLA));

        assertThat(lesson.seat("jory").toString()).doesNotContain("SECRET");
    }

    @Test
    void what_pupils_write_to_each_other_alone_is_read_by_nobody_else() {
        var lesson = open().present(INES)
                .present(JORY)
                .present(KESTER)
                .order(new RightsOrder.SetLive(new RuleValue(Catalogue.PRIVATE_CHAT, Permission.OPEN), ORLA))
                .order(new ChatOrder.Say(visitOf(INES), Readers.only(JORY), "SECRET"));

        assertThat(lesson.seat("jory").words()).hasSize(1);
        assertThat(lesson.seat("kester").words()).isEmpty();
        assertThat(lesson.desk().words()).isEmpty();
    }

    @Test
    void the_desk_says_where_everyone_of_the_list_is() {
        var lesson = open().present(INES)
                .order(new DoorOrder.LoseConnection(visitOf(INES)))
                .knock("Jory Pell", "jory");

        assertThat(lesson.desk().door().rows())
                .extracting(DoorDesk.Row::whereabouts)
                .containsExactly(
                        DoorDesk.Whereabouts.CONNECTION_LOST,
                        DoorDesk.Whereabouts.WAITING,
                        DoorDesk.Whereabouts.MISSING);

        lesson.order(new DoorOrder.Admit(new VisitId("jory"), Optional.empty(), ORLA))
                .order(new DoorOrder.Leave(visitOf(JORY)));
        assertThat(lesson.desk().door().rows().get(1).whereabouts()).isEqualTo(DoorDesk.Whereabouts.GONE);
    }

    @Test
    void who_lost_the_line_is_expected_back_as_long_as_the_register_bridges_it() {
        var lesson = open().present(INES)
                .present(JORY)
                .time("10:10")
                .order(new DoorOrder.LoseConnection(visitOf(INES)))
                .order(new DoorOrder.Leave(visitOf(JORY)))
                .time("10:12");

        assertThat(lesson.desk().door().rows())
                .extracting(DoorDesk.Row::backBy)
                .containsExactly(Optional.of(at("10:13")), Optional.of(at("10:13")), Optional.empty());
        assertThat(lesson.time("10:13").desk().door().rows())
                .extracting(DoorDesk.Row::backBy)
                .containsOnly(Optional.empty());
    }

    /** Seats are not worked out anew for words alone; this is why that may be. */
    @Test
    void what_was_written_changes_nothing_else_at_a_seat() {
        var lesson = open().present(INES)
                .present(JORY)
                .order(new RightsOrder.SetLive(new RuleValue(Catalogue.PRIVATE_CHAT, Permission.OPEN), ORLA))
                .order(new SignalsOrder.RaiseHand(visitOf(JORY)));
        var before = lesson.seat("ines");
        LessonState was = lesson.state();

        lesson.order(new ChatOrder.Say(visitOf(JORY), Readers.only(INES), "psst"));

        LessonState is =
                was.after(lesson.events().subList(was.number(), lesson.events().size()));
        assertThat(Parts.ALL.stream().filter(part -> !is.isSame(was, part)).toList())
                .containsExactly(ChatPart.CHAT);
        var after = lesson.seat("ines");
        assertThat(after.words()).hasSize(before.words().size() + 1);
        assertThat(List.of(after.rights(), after.on(), after.signals(), after.chat(), after.door()))
                .isEqualTo(List.of(before.rights(), before.on(), before.signals(), before.chat(), before.door()));
        assertThat(ChatSeat.words(lesson.state(), visitOf(INES), 0)).isEqualTo(after.words());
        assertThat(ChatSeat.words(lesson.state(), visitOf(INES), was.number())).hasSize(1);
        assertThat(ChatSeat.words(lesson.state(), new VisitId("nobody"), 0)).isEmpty();
    }
}
