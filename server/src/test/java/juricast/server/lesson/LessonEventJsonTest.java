package juricast.server.lesson;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import juricast.core.board.BoardEvent;
import juricast.core.chat.ChatEvent;
import juricast.core.chat.Hold;
import juricast.core.chat.Readers;
import juricast.core.chat.SentFile;
import juricast.core.door.DoorEvent;
import juricast.core.ending.ClosingStep;
import juricast.core.ending.EndingEvent;
import juricast.core.entry.Arrival;
import juricast.core.entry.Outcome;
import juricast.core.entry.Reason;
import juricast.core.entry.ReasonCode;
import juricast.core.entry.Verdict;
import juricast.core.identity.DeviceId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonEvent;
import juricast.core.live.Stance;
import juricast.core.material.MaterialEvent;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsEvent;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Condition;
import juricast.core.rules.RuleValue;
import juricast.core.signals.Sign;
import juricast.core.signals.SignalsEvent;
import juricast.core.supervision.SupervisionEvent;
import org.junit.jupiter.api.Test;

class LessonEventJsonTest {
    private static final Instant AT = Instant.parse("2026-09-14T10:02:03.004Z");
    private static final PersonId INES = new PersonId("ines");
    private static final PersonId ORLA = new PersonId("orla");
    private static final SentFile FILE = new SentFile("f", "tide.pdf", "documents", 1200);
    private static final VisitId VISIT = new VisitId("v");
    private static final Verdict VERDICT =
            new Verdict(Outcome.WAIT, List.of(new Reason(ReasonCode.NAME_UNCLEAR, List.of(INES, ORLA))));
    private static final List<LessonEvent> ONE_OF_EACH = List.of(
            new DoorEvent.Opened(ORLA, AT),
            new DoorEvent.AdultJoined(VISIT, new DeviceId("d"), ORLA, Role.LEAD_ADULT, AT),
            new DoorEvent.Knocked(
                    new Arrival(
                            VISIT,
                            new DeviceId("d"),
                            "小川 \"光\" 🐙 \n<b>",
                            Optional.empty(),
                            Arrival.Link.RETIRED,
                            true),
                    Optional.of(INES),
                    Role.PUPIL,
                    VERDICT,
                    AT),
            new DoorEvent.Judged(VISIT, VERDICT, AT),
            new DoorEvent.Admitted(VISIT, INES, Role.CLASS_MONITOR, PersonId.RULES, AT),
            new DoorEvent.TurnedAway(VISIT, ORLA, AT),
            new DoorEvent.Left(VISIT, AT),
            new DoorEvent.ConnectionLost(VISIT, AT),
            new DoorEvent.CameBack(VISIT, AT),
            new RightsEvent.TurnedOn(INES, Appliance.SCREEN, AT),
            new RightsEvent.TurnedOff(INES, Appliance.CAMERA, ORLA, AT),
            new SignalsEvent.HandRaised(INES, AT),
            new SignalsEvent.HandLowered(INES, ORLA, AT),
            new ChatEvent.Said(INES, Readers.only(ORLA), "is it \\ high water?.pdf", Optional.of(FILE), AT),
            new RightsEvent.LiveSet(RuleValue.parse("entry.door=shut"), ORLA, AT),
            new RightsEvent.PassGiven(INES, Catalogue.SPEAK, AT.plusSeconds(120), ORLA, AT),
            new RightsEvent.CurbGiven(INES, Catalogue.CLASS_CHAT, AT.plusSeconds(120), ORLA, AT),
            new RightsEvent.LoanEnded(INES, Catalogue.SPEAK, PersonId.CLOCK, AT),
            new DoorEvent.Renamed(INES, "Captain", AT),
            new DoorEvent.Removed(INES, "shouting", ORLA, AT),
            new DoorEvent.AllowedBack(INES, ORLA, AT),
            new RightsEvent.StanceSwitched(
                    new Stance(
                            "explaining",
                            "Explaining",
                            List.of(new Stance.Part(
                                    RuleValue.parse("chat.class=closed"),
                                    Role.PUPIL,
                                    Condition.parse("visitor-present").orElseThrow()))),
                    true,
                    ORLA,
                    AT),
            new SupervisionEvent.Stopped("a stranger", ORLA, AT),
            new SupervisionEvent.StopExplained("shouting", ORLA, AT),
            new SupervisionEvent.Resumed(ORLA, AT),
            new SupervisionEvent.WentQuiet(AT.minusSeconds(120), AT),
            new SupervisionEvent.Supervised(ORLA, AT),
            new DoorEvent.ChargeTaken(ORLA, AT),
            new SignalsEvent.SignShown(INES, Optional.of(Sign.CANNOT_HEAR), AT),
            new SignalsEvent.SignsCleared(ORLA, AT),
            new MaterialEvent.HandedOut(ORLA, "Tide table", "page 4", AT),
            new MaterialEvent.TakenBack(4, ORLA, AT),
            new SignalsEvent.Focused(Optional.empty(), ORLA, AT),
            new RightsEvent.Lightened(true, ORLA, AT),
            new MaterialEvent.Captioned(ORLA, "The tide turns.", AT),
            new ChatEvent.Held(INES, Readers.CLASS, "www.tides", Optional.empty(), Hold.LINK, AT),
            new ChatEvent.Released(7, false, ORLA, AT),
            new BoardEvent.Drawn(INES, List.of(0, 0, 1000, 5), AT),
            new BoardEvent.Wiped(Optional.of(INES), ORLA, AT),
            new DoorEvent.SweepNoticed(new DeviceId("d"), "wolf", 3, AT),
            new DoorEvent.KeptBack(INES, List.of(VISIT), ORLA, AT),
            new DoorEvent.Dismissed(ORLA, AT),
            new EndingEvent.Closed(ClosingStep.CHAT_KEPT, 41, AT),
            new DoorEvent.SeenOut(VISIT, AT),
            new DoorEvent.TakenOff(VISIT, ORLA, AT),
            new DoorEvent.GuestLetIn(VISIT, new PersonId("guest-1"), "Runa Fell", "her cousin vouches", ORLA, AT));

    @Test
    void every_kind_of_event_is_read_again_as_it_was_written() {
        assertThat(ONE_OF_EACH.stream().map(one -> one.getClass().getSimpleName()))
                .as("one of each kind there is")
                .containsExactlyInAnyOrderElementsOf(Arrays.stream(LessonEvent.class.getPermittedSubclasses())
                        .map(Class::getSimpleName)
                        .toList());
        assertThat(ONE_OF_EACH).allSatisfy(event -> assertThat(
                        LessonEventJson.read(LessonEventJson.kind(event), LessonEventJson.body(event)))
                .isEqualTo(event));
    }

    @Test
    void the_shape_on_the_disk_stays_what_older_records_hold() {
        assertThat(LessonEventJson.read(
                        "PassGiven",
                        "{\"person\":\"ines\",\"right\":\"voice.speak\",\"until\":\"2026-09-14T10:04:03.004Z\","
                                + "\"by\":\"orla\",\"at\":\"2026-09-14T10:02:03.004Z\"}"))
                .isEqualTo(ONE_OF_EACH.get(15));
        assertThatThrownBy(() -> LessonEventJson.read("Vanished", "{}")).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void an_arrival_from_before_agreeing_was_noted_has_not_agreed() {
        String body = LessonEventJson.body(ONE_OF_EACH.get(2)).replace(",\"agreed\":true", "");
        var knocked = (DoorEvent.Knocked) LessonEventJson.read("Knocked", body);
        assertThat(knocked.arrival().agreed()).isFalse();
        assertThat(knocked.verdict()).isEqualTo(VERDICT);
    }

    @Test
    void words_from_before_there_were_files_are_read_as_words() {
        var said = new ChatEvent.Said(INES, Readers.CLASS, "hello", AT);

        String before = LessonEventJson.body(said).replaceFirst("\"file\":null,?", "");

        assertThat(before).doesNotContain("file");
        assertThat(LessonEventJson.read("Said", before)).isEqualTo(said);
    }
}
