package juricast.server.lesson;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import juricast.core.entry.Arrival;
import juricast.core.entry.Outcome;
import juricast.core.entry.Reason;
import juricast.core.entry.ReasonCode;
import juricast.core.entry.Verdict;
import juricast.core.identity.DeviceId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.lesson.Appliance;
import juricast.core.lesson.ClosingStep;
import juricast.core.lesson.Hold;
import juricast.core.lesson.LessonEvent;
import juricast.core.lesson.Readers;
import juricast.core.lesson.SentFile;
import juricast.core.lesson.Sign;
import juricast.core.lesson.Stance;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Condition;
import juricast.core.rules.RuleValue;
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
            new LessonEvent.Opened(ORLA, AT),
            new LessonEvent.AdultJoined(VISIT, new DeviceId("d"), ORLA, Role.LEAD_ADULT, AT),
            new LessonEvent.Knocked(
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
            new LessonEvent.Judged(VISIT, VERDICT, AT),
            new LessonEvent.Admitted(VISIT, INES, Role.CLASS_MONITOR, PersonId.RULES, AT),
            new LessonEvent.TurnedAway(VISIT, ORLA, AT),
            new LessonEvent.Left(VISIT, AT),
            new LessonEvent.ConnectionLost(VISIT, AT),
            new LessonEvent.CameBack(VISIT, AT),
            new LessonEvent.TurnedOn(INES, Appliance.SCREEN, AT),
            new LessonEvent.TurnedOff(INES, Appliance.CAMERA, ORLA, AT),
            new LessonEvent.HandRaised(INES, AT),
            new LessonEvent.HandLowered(INES, ORLA, AT),
            new LessonEvent.Said(INES, Readers.only(ORLA), "is it \\ high water?.pdf", Optional.of(FILE), AT),
            new LessonEvent.LiveSet(RuleValue.parse("entry.door=shut"), ORLA, AT),
            new LessonEvent.PassGiven(INES, Catalogue.SPEAK, AT.plusSeconds(120), ORLA, AT),
            new LessonEvent.CurbGiven(INES, Catalogue.CLASS_CHAT, AT.plusSeconds(120), ORLA, AT),
            new LessonEvent.LoanEnded(INES, Catalogue.SPEAK, PersonId.CLOCK, AT),
            new LessonEvent.Renamed(INES, "Captain", AT),
            new LessonEvent.Removed(INES, "shouting", ORLA, AT),
            new LessonEvent.AllowedBack(INES, ORLA, AT),
            new LessonEvent.StanceSwitched(
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
            new LessonEvent.Stopped("a stranger", ORLA, AT),
            new LessonEvent.StopExplained("shouting", ORLA, AT),
            new LessonEvent.Resumed(ORLA, AT),
            new LessonEvent.WentQuiet(AT.minusSeconds(120), AT),
            new LessonEvent.Supervised(ORLA, AT),
            new LessonEvent.ChargeTaken(ORLA, AT),
            new LessonEvent.SignShown(INES, Optional.of(Sign.CANNOT_HEAR), AT),
            new LessonEvent.SignsCleared(ORLA, AT),
            new LessonEvent.HandedOut(ORLA, "Tide table", "page 4", AT),
            new LessonEvent.TakenBack(4, ORLA, AT),
            new LessonEvent.Focused(Optional.empty(), ORLA, AT),
            new LessonEvent.Lightened(true, ORLA, AT),
            new LessonEvent.Captioned(ORLA, "The tide turns.", AT),
            new LessonEvent.Held(INES, Readers.CLASS, "www.tides", Optional.empty(), Hold.LINK, AT),
            new LessonEvent.Released(7, false, ORLA, AT),
            new LessonEvent.Drawn(INES, List.of(0, 0, 1000, 5), AT),
            new LessonEvent.Wiped(Optional.of(INES), ORLA, AT),
            new LessonEvent.SweepNoticed(new DeviceId("d"), "wolf", 3, AT),
            new LessonEvent.KeptBack(INES, List.of(VISIT), ORLA, AT),
            new LessonEvent.Dismissed(ORLA, AT),
            new LessonEvent.Closed(ClosingStep.CHAT_KEPT, 41, AT),
            new LessonEvent.SeenOut(VISIT, AT),
            new LessonEvent.TakenOff(VISIT, ORLA, AT),
            new LessonEvent.GuestLetIn(VISIT, new PersonId("guest-1"), "Runa Fell", "her cousin vouches", ORLA, AT));

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
        var knocked = (LessonEvent.Knocked) LessonEventJson.read("Knocked", body);
        assertThat(knocked.arrival().agreed()).isFalse();
        assertThat(knocked.verdict()).isEqualTo(VERDICT);
    }

    @Test
    void words_from_before_there_were_files_are_read_as_words() {
        var said = new LessonEvent.Said(INES, Readers.CLASS, "hello", AT);

        String before = LessonEventJson.body(said).replaceFirst("\"file\":null,?", "");

        assertThat(before).doesNotContain("file");
        assertThat(LessonEventJson.read("Said", before)).isEqualTo(said);
    }
}
