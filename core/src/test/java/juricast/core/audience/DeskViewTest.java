package juricast.core.audience;

import static juricast.core.lesson.LiveLesson.*;
import static juricast.core.signals.SignalsPart.SIGNALS;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.Optional;
import juricast.core.door.DoorOrder;
import juricast.core.ending.EndingOrder;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.lesson.LiveLesson;
import juricast.core.rights.RightsOrder;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting.Force;
import juricast.core.signals.SignalsOrder;
import org.junit.jupiter.api.Test;

class DeskViewTest {
    @Test
    void a_cell_shows_the_pass_of_that_pupil_and_the_column_what_holds_for_all() {
        var lesson = open().present(INES)
                .present(JORY)
                .order(new RightsOrder.GivePass(INES, Catalogue.SHARE_SCREEN, minutes(5), ORLA))
                .order(new RightsOrder.GiveCurb(JORY, Catalogue.CAMERA, minutes(5), ORLA));

        assertThat(cell(lesson, INES, 4).ruling().value()).isEqualTo(Permission.OPEN);
        assertThat(cell(lesson, INES, 4).loan().orElseThrow().force()).isEqualTo(Force.PASS);
        assertThat(cell(lesson, JORY, 4).loan()).isEmpty();
        assertThat(cell(lesson, JORY, 1).ruling().value()).isEqualTo(Permission.CLOSED);
        assertThat(lesson.desk().rights().columns().get(4).value()).isEqualTo(Permission.ON_REQUEST);

        lesson.time("10:05");
        assertThat(cell(lesson, INES, 4).loan())
                .as("over, even before the clock has ticked")
                .isEmpty();
    }

    @Test
    void a_monitor_keeps_the_rights_of_a_monitor_and_a_live_order_reaches_them_too() {
        var lesson = open().present(KESTER);
        assertThat(cell(lesson, KESTER, 0).ruling().value()).isEqualTo(Permission.OPEN);

        lesson.order(new RightsOrder.SetLive(new RuleValue(Catalogue.SPEAK, Permission.CLOSED), ORLA));
        assertThat(cell(lesson, KESTER, 0).ruling().value()).isEqualTo(Permission.CLOSED);

        lesson.order(new RightsOrder.GivePass(KESTER, Catalogue.SPEAK, minutes(2), ORLA));
        assertThat(cell(lesson, KESTER, 0).ruling().value()).isEqualTo(Permission.OPEN);
        lesson.order(new RightsOrder.EndLoan(KESTER, Catalogue.SPEAK, TAM));
        assertThat(lesson.refused()).as("Tam is not in the room").isPresent();
        lesson.order(new RightsOrder.EndLoan(KESTER, Catalogue.SPEAK, ORLA));
        assertThat(cell(lesson, KESTER, 0).ruling().value()).isEqualTo(Permission.CLOSED);
    }

    @Test
    void hands_stand_in_the_order_in_which_they_went_up_and_go_with_their_owner() {
        var lesson = open().present(INES).present(JORY).present(KESTER);
        for (PersonId pupil : new PersonId[] {JORY, KESTER, INES}) {
            lesson.order(new SignalsOrder.RaiseHand(visitOf(pupil)));
        }

        assertThat(lesson.state().of(SIGNALS).hands().keySet()).containsExactly(JORY, KESTER, INES);
        assertThat(lesson.seat("ines").signals().handsBefore()).isEqualTo(2);
        lesson.order(new DoorOrder.LoseConnection(visitOf(KESTER)));
        lesson.order(new SignalsOrder.LowerHand(JORY, ORLA));
        assertThat(lesson.state().of(SIGNALS).hands().keySet()).containsExactly(INES);
        assertThat(lesson.seat("ines").signals().handsBefore()).isZero();
    }

    @Test
    void refused_arrivals_are_shown_latest_first_for_half_an_hour() {
        var lesson = open().knock("first", "a")
                .order(new DoorOrder.TurnAway(new VisitId("a"), ORLA))
                .time("10:10");
        lesson.knock("second", "b").order(new DoorOrder.TurnAway(new VisitId("b"), ORLA));

        assertThat(lesson.desk().door().refused())
                .extracting(visit -> visit.arrival().claimedName())
                .containsExactly("second", "first");
        DoorDesk seen = lesson.desk().door();
        assertThat(seen.until()).as("when the first of them goes").isEqualTo(at("10:30"));
        assertThat(lesson.time("10:29").desk().door().refused()).isEqualTo(seen.refused());
        assertThat(lesson.time("10:31").desk().door().refused()).hasSize(1);
        assertThat(lesson.desk().door().until()).isEqualTo(at("10:40"));
    }

    @Test
    void who_lost_the_line_is_expected_back_for_a_while_and_otherwise_a_desk_stays_as_it_is() {
        var lesson = open().present(INES);
        assertThat(lesson.desk().door().until()).isEqualTo(Instant.MAX);

        lesson.time("10:05").order(new DoorOrder.LoseConnection(visitOf(INES)));

        DoorDesk seen = lesson.desk().door();
        assertThat(seen.until()).isAfter(at("10:05")).isBefore(at("10:30"));
        assertThat(seen.rows()).extracting(DoorDesk.Row::backBy).contains(Optional.of(seen.until()));
    }

    @Test
    void a_shown_name_needs_the_right_and_the_class_list_keeps_its_own() {
        var lesson = open().present(INES).order(new DoorOrder.Rename(visitOf(INES), "Captain"));
        assertThat(lesson.refused()).isPresent();

        lesson.order(new RightsOrder.GivePass(INES, Catalogue.RENAME, minutes(5), ORLA))
                .order(new DoorOrder.Rename(visitOf(INES), " Captain 🐙 "));

        assertThat(lesson.seat("ines").door().shownName()).contains("Captain 🐙");
        assertThat(lesson.desk().door().rows().get(0).member().name()).isEqualTo("Ines Carrow");
    }

    @Test
    void the_phases_follow_each_other() {
        var lesson = planned();
        assertThat(lesson.desk().door().phase()).isEqualTo(DoorDesk.Phase.PLANNED);
        lesson.order(new DoorOrder.Open(ORLA)).adult(ORLA);
        assertThat(lesson.desk().door().phase()).isEqualTo(DoorDesk.Phase.OPEN);
        lesson.order(new EndingOrder.Dismiss(ORLA));
        assertThat(lesson.desk().door().phase()).isEqualTo(DoorDesk.Phase.OVER);
        assertThat(lesson.desk().door().adults()).noneMatch(DoorDesk.AdultRow::isIn);
    }

    private static RightsDesk.Cell cell(LiveLesson lesson, PersonId pupil, int right) {
        return lesson.desk().rights().pupils().get(pupil).rights().get(right);
    }
}
