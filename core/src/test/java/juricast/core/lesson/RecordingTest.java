package juricast.core.lesson;

import static juricast.core.lesson.LiveLesson.*;
import static juricast.core.recording.RecordingPart.RECORDING;
import static juricast.core.rights.RightsPart.RIGHTS;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import juricast.core.audience.CorridorView;
import juricast.core.audience.Need;
import juricast.core.audience.RecordingSeat;
import juricast.core.consent.Consent;
import juricast.core.door.DoorOrder;
import juricast.core.ending.EndingOrder;
import juricast.core.groups.GroupsOrder;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonOrder;
import juricast.core.live.Refusal;
import juricast.core.recording.Coverage;
import juricast.core.recording.Failure;
import juricast.core.recording.Hindrance;
import juricast.core.recording.PauseReason;
import juricast.core.recording.RecordingEvent;
import juricast.core.recording.RecordingOrder;
import juricast.core.recording.RecordingRefusal;
import juricast.core.recording.RecordingState;
import juricast.core.recording.RecordingState.Phase;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsOrder;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Condition;
import juricast.core.rules.Setting.Force;
import org.junit.jupiter.api.Test;

class RecordingTest {
    private static final LessonOrder TICK = new LessonOrder.Tick();
    private static final LessonOrder BEGUN = RecordingOrder.Answer.BEGUN;

    private static LiveLesson required() {
        return open().school("recording.mode", "required", Force.USUAL)
                .consent(INES, Consent.Said.GIVEN)
                .consent(KESTER, Consent.Said.GIVEN);
    }

    /** Required, with Ines in, recording since 10:00:10. */
    private static LiveLesson recorded() {
        return required().present(INES).time("10:00:10").order(TICK).order(BEGUN);
    }

    private static RecordingState state(LiveLesson lesson) {
        return lesson.state().of(RECORDING);
    }

    private static RecordingOrder pause(Optional<Duration> length) {
        return new RecordingOrder.Pause(PauseReason.CONFIDES, length, ORLA);
    }

    @Test
    void what_must_be_recorded_is_announced_with_the_first_pupil_and_begins_ten_seconds_later() {
        var lesson = required();
        assertThat(state(lesson).phase()).as("an adult alone").isEqualTo(Phase.OFF);

        lesson.present(INES);
        assertThat(state(lesson).phase()).isEqualTo(Phase.ANNOUNCED);
        assertThat(lesson.seat("ines").recording().shown()).isEqualTo(RecordingSeat.Shown.SOON);
        assertThat(lesson.seat("ines").recording().starts()).contains(at("10:00:10"));

        assertThat(state(lesson.time("10:00:09").order(TICK)).phase()).isEqualTo(Phase.ANNOUNCED);
        assertThat(state(lesson.time("10:00:10").order(TICK)).phase()).isEqualTo(Phase.ASKED);
        lesson.time("10:00:12").order(BEGUN);
        assertThat(lesson.seat("ines").recording().shown()).isEqualTo(RecordingSeat.Shown.ON);
        assertThat(lesson.seat("ines").recorded()).isEqualTo(RecordingSeat.OfMe.ALL);
        assertThat(lesson.knock("Jory Pell", "jory").seat("jory").recording().shown())
                .as("who comes later is told at the door")
                .isEqualTo(RecordingSeat.Shown.ON);
    }

    @Test
    void where_the_rule_does_without_a_notice_it_begins_at_once() {
        var lesson = required().school("recording.announced", "no", Force.USUAL).present(INES);

        assertThat(state(lesson).phase()).isEqualTo(Phase.ASKED);
        assertThat(lesson.seat("ines").recording().announced()).isFalse();
    }

    @Test
    void an_optional_one_is_started_and_ended_by_whom_the_rule_names() {
        var lesson = open().adult(TAM).present(INES).consent(INES, Consent.Said.GIVEN);

        assertThat(lesson.order(new RecordingOrder.Start(TAM)).refused()).contains(Refusal.Common.RULE_ON_REQUEST);
        assertThat(lesson.order(new RecordingOrder.Start(INES)).refused()).contains(Refusal.Common.NOT_AN_ADULT_HERE);
        assertThat(state(lesson.order(new RecordingOrder.Start(ORLA))).phase()).isEqualTo(Phase.ANNOUNCED);
        assertThat(state(lesson.order(new RecordingOrder.End(ORLA))).phase())
                .as("called off")
                .isEqualTo(Phase.ENDED);
        assertThat(state(lesson.order(new RecordingOrder.Start(ORLA))).phase()).isEqualTo(Phase.ANNOUNCED);
    }

    @Test
    void a_forbidden_one_is_refused_with_the_ruling_and_ends_where_it_becomes_forbidden() {
        var never = open().school("recording.mode", "forbidden", Force.BINDING);
        assertThat(never.order(new RecordingOrder.Start(ORLA)).refused()).contains(RecordingRefusal.FORBIDDEN);

        var guest = open().consent(INES, Consent.Said.GIVEN)
                .invited()
                .school(
                        "recording.mode",
                        "forbidden",
                        Force.USUAL,
                        Condition.parse("visitor-present").orElseThrow())
                .present(INES)
                .order(new RecordingOrder.Start(ORLA))
                .time("10:00:10")
                .order(TICK)
                .order(BEGUN);
        assertThat(state(guest).phase()).isEqualTo(Phase.ON);
        guest.time("10:02").present(TOVE);
        assertThat(state(guest).phase()).isEqualTo(Phase.ENDED);
    }

    @Test
    void a_required_one_is_not_ended_before_the_lesson_unless_the_rule_lets() {
        var lesson = recorded();
        assertThat(lesson.order(new RecordingOrder.End(ORLA)).refused()).contains(Refusal.Common.RULE_CLOSED);
        assertThat(state(lesson).phase()).isEqualTo(Phase.ON);

        var let = recorded().school("recording.end", "open", Force.USUAL).time("10:20");
        assertThat(state(let.order(new RecordingOrder.End(ORLA))).phase()).isEqualTo(Phase.ENDED);
        assertThat(state(let.time("10:21").order(TICK)).phase())
                .as("not begun again behind their back")
                .isEqualTo(Phase.ENDED);
        assertThat(Coverage.of(let.events(), at("10:30")).gaps())
                .extracting(Coverage.Gap::cause)
                .containsExactly(Coverage.Cause.LATE, Coverage.Cause.ENDED);
    }

    @Test
    void voice_and_camera_of_who_may_not_be_recorded_are_closed_while_it_runs_and_open_while_it_is_paused() {
        var lesson = recorded().present(JORY);
        lesson.order(new RightsOrder.TurnOn(visitOf(JORY), Appliance.MICROPHONE));
        assertThat(lesson.refused()).contains(Refusal.Common.RULE_CLOSED);
        assertThat(lesson.order(new RightsOrder.GivePass(JORY, Catalogue.SPEAK, minutes(5), ORLA))
                        .refused())
                .as("no pass goes beyond it")
                .contains(Refusal.Common.RULE_BOUND);
        assertThat(lesson.seat("jory").recorded()).isEqualTo(RecordingSeat.OfMe.CLOSED);
        assertThat(lesson.seat("ines").recorded()).isEqualTo(RecordingSeat.OfMe.ALL);

        lesson.order(pause(Optional.empty()))
                .order(new RightsOrder.GivePass(JORY, Catalogue.SPEAK, minutes(5), ORLA))
                .order(new RightsOrder.TurnOn(visitOf(JORY), Appliance.MICROPHONE));
        assertThat(lesson.state().of(RIGHTS).on(JORY)).contains(Appliance.MICROPHONE);
        lesson.order(new RecordingOrder.GoOn(ORLA));
        assertThat(lesson.state().of(RIGHTS).on(JORY)).as("closed again").isEmpty();
    }

    @Test
    void who_had_the_microphone_on_when_it_begins_is_closed_before_anything_is_recorded() {
        var lesson = required()
                .school("voice.speak", "open", Force.USUAL)
                .present(INES)
                .present(JORY)
                .order(new RightsOrder.TurnOn(visitOf(JORY), Appliance.MICROPHONE));
        assertThat(lesson.state().of(RIGHTS).on(JORY)).isNotEmpty();

        lesson.time("10:00:10").order(TICK);

        assertThat(lesson.state().of(RIGHTS).on(JORY)).isEmpty();
        assertThat(lesson.events())
                .anyMatch(event -> event instanceof RecordingEvent.Guarded guarded
                        && guarded.closed().equals(List.of(JORY)));
    }

    @Test
    void by_another_rule_it_waits_while_they_speak_or_as_long_as_they_are_here() {
        var speaks = recorded()
                .school("recording.consent", "paused-while-they-speak", Force.USUAL)
                .school("voice.speak", "open", Force.USUAL)
                .present(JORY)
                .time("10:05")
                .order(new RightsOrder.TurnOn(visitOf(JORY), Appliance.MICROPHONE));
        assertThat(state(speaks).waiting()).map(RecordingEvent.Waits::why).contains(Hindrance.SPEAKS);
        speaks.time("10:06").order(new RightsOrder.TurnOff(JORY, Appliance.MICROPHONE, JORY));
        assertThat(state(speaks).isRecording()).isTrue();
        assertThat(Coverage.of(speaks.events(), at("10:06")).gaps())
                .extracting(gap -> gap.cause() + " " + gap.time().length().toSeconds())
                .containsExactly("LATE 10", "NO_CONSENT 60");

        var here = recorded()
                .school("recording.consent", "no-recording", Force.USUAL)
                .time("10:05")
                .present(JORY);
        assertThat(state(here).waiting()).map(RecordingEvent.Waits::about).contains(List.of(JORY));
        assertThat(here.seat("ines").recording().shown()).isEqualTo(RecordingSeat.Shown.PAUSED);
        here.time("10:08").order(new DoorOrder.Leave(visitOf(JORY)));
        assertThat(state(here).isRecording()).isTrue();

        var optional =
                open().school("recording.consent", "no-recording", Force.USUAL).present(JORY);
        assertThat(optional.order(new RecordingOrder.Start(ORLA)).refused())
                .contains(RecordingRefusal.MAY_NOT_BE_RECORDED);
    }

    @Test
    void a_pause_ends_by_itself_if_so_chosen_and_is_asked_about_more_and_more_if_not() {
        var timed = recorded().time("10:10").order(pause(Optional.of(minutes(3))));
        assertThat(state(timed.time("10:12:59").order(TICK)).isRecording()).isFalse();
        assertThat(state(timed.time("10:13").order(TICK)).isRecording()).isTrue();

        var lasting = recorded().time("10:10").order(pause(Optional.empty()));
        assertThat(lasting.time("10:14").desk().needs())
                .extracting(Need::kind)
                .doesNotContain(Need.Kind.RECORDING_PAUSED);
        assertThat(lasting.time("10:15").desk().needs())
                .extracting(Need::number)
                .containsExactly(1);
        lasting.knock("Nobody Known", "stranger").time("10:21");
        assertThat(lasting.desk().needs().get(0).kind()).isEqualTo(Need.Kind.RECORDING_PAUSED);
        assertThat(lasting.desk().needs().get(0).number()).isEqualTo(2);
        assertThat(worries(lasting)).contains(CorridorView.Kind.RECORDING_MISSING);
        lasting.order(new RecordingOrder.GoOn(ORLA));
        assertThat(worries(lasting)).doesNotContain(CorridorView.Kind.RECORDING_MISSING);
    }

    private static List<CorridorView.Kind> worries(LiveLesson lesson) {
        return CorridorView.line(lesson.plan(), lesson.state(), lesson.rulebook(), lesson.now()).worries().stream()
                .map(CorridorView.Worry::kind)
                .toList();
    }

    @Test
    void a_pause_over_the_end_or_shorter_than_a_minute_is_refused_and_nothing_pauses_what_does_not_run() {
        var lesson = recorded().time("10:45");

        assertThat(lesson.order(pause(Optional.of(minutes(6)))).refused()).contains(RecordingRefusal.WRONG_PAUSE);
        assertThat(lesson.order(pause(Optional.of(Duration.ofSeconds(30)))).refused())
                .contains(RecordingRefusal.WRONG_PAUSE);
        assertThat(lesson.order(pause(Optional.of(minutes(5)))).refused()).isEmpty();
        assertThat(open().order(pause(Optional.empty())).refused()).contains(RecordingRefusal.NOT_RECORDING);
    }

    @Test
    void however_often_a_failing_recorder_was_asked_the_time_without_a_recording_is_counted_from_its_beginning() {
        var lesson = recorded().time("10:10").order(RecordingOrder.Answer.failed(Failure.DISK_FULL));
        for (String next : List.of("10:10:10", "10:10:31")) {
            lesson.time(next).order(TICK).order(RecordingOrder.Answer.failed(Failure.DISK_FULL));
        }
        assertThat(state(lesson).tries()).isEqualTo(3);
        assertThat(state(lesson).unmet()).contains(at("10:10"));
        assertThat(worries(lesson.time("10:11"))).contains(CorridorView.Kind.RECORDING_MISSING);
        lesson.time("10:11:30").order(TICK).order(BEGUN);
        assertThat(state(lesson).unmet()).isEmpty();
    }

    @Test
    void a_recorder_that_fails_or_never_answers_is_asked_again_and_again() {
        var lesson = recorded().time("10:10").order(RecordingOrder.Answer.failed(Failure.DISK_FULL));
        assertThat(state(lesson).failure()).contains(Failure.DISK_FULL);
        assertThat(lesson.desk().needs()).extracting(Need::kind).containsExactly(Need.Kind.RECORDING_FAILS);
        assertThat(worries(lesson.time("10:11"))).contains(CorridorView.Kind.RECORDING_MISSING);

        lesson.order(TICK);
        assertThat(state(lesson).phase()).isEqualTo(Phase.ASKED);
        lesson.time("10:11:20").order(TICK);
        assertThat(state(lesson).failure()).as("silence").contains(Failure.NO_ANSWER);
        lesson.order(new RecordingOrder.Start(ORLA)).order(BEGUN);
        assertThat(state(lesson).isRecording()).isTrue();
        assertThat(state(lesson).failure()).isEmpty();
        assertThat(Coverage.of(lesson.events(), at("10:20")).gaps())
                .extracting(gap -> gap.cause() + " " + gap.time().length().toSeconds())
                .containsExactly("LATE 10", "FAILED 80");
        assertThat(state(lesson.order(BEGUN)).phase()).as("said twice").isEqualTo(Phase.ON);
    }

    @Test
    void groups_are_not_recorded_and_it_goes_on_when_all_are_together() {
        var lesson = recorded()
                .school("groups.smallest", "2", Force.USUAL)
                .ofMore(2)
                .present(KESTER)
                .present(pupil(1))
                .present(pupil(2))
                .time("10:10")
                .order(new GroupsOrder.DrawUp(
                        List.of(
                                new GroupsOrder.Wanted("Reef", List.of(INES, pupil(1))),
                                new GroupsOrder.Wanted("Skerry", List.of(KESTER, pupil(2)))),
                        "by hand",
                        0,
                        ORLA))
                .order(new GroupsOrder.SendOut(Optional.of(minutes(5)), false, ORLA));
        assertThat(lesson.state().where().isApart()).isTrue();
        assertThat(state(lesson).waiting()).map(RecordingEvent.Waits::why).contains(Hindrance.GROUPS);

        lesson.time("10:15").order(TICK).order(TICK);
        assertThat(lesson.state().where().isApart()).isFalse();
        assertThat(state(lesson).isRecording()).isTrue();
        assertThat(Coverage.of(lesson.events(), at("10:20")).gaps())
                .extracting(Coverage.Gap::cause)
                .containsExactly(Coverage.Cause.LATE, Coverage.Cause.GROUPS);
    }

    @Test
    void it_ends_with_the_lesson_and_a_consent_that_runs_out_counts_from_that_moment() {
        var lesson = required()
                .consent(new Consent(
                        new PersonId("jory"),
                        Consent.Said.GIVEN,
                        Consent.Giver.PARENT,
                        "",
                        at("00:00"),
                        at("10:30"),
                        at("00:00")))
                .present(JORY)
                .time("10:00:10")
                .order(TICK)
                .order(BEGUN);
        assertThat(state(lesson).closed()).isEmpty();
        assertThat(lesson.rules().nextTick()).isBeforeOrEqualTo(at("10:30"));
        assertThat(state(lesson.time("10:30").order(TICK)).closed()).containsExactly(JORY);

        lesson.time("10:50").order(new EndingOrder.Dismiss(ORLA));
        assertThat(state(lesson).phase()).isEqualTo(Phase.ENDED);
        assertThat(state(lesson).required()).isFalse();
        assertThat(state(lesson).recorded(at("11:30"))).isEqualTo(Duration.ofSeconds(49 * 60 + 50));
    }

    @Test
    void what_a_recorder_says_later_that_it_has_not_recorded_is_missing_from_then_on() {
        var lesson = recorded().time("10:10");
        lesson.order(new RecordingOrder.Answer(Optional.of(Failure.LINE_LOST), Optional.of(at("10:08"))));

        assertThat(Coverage.of(lesson.events(), at("10:10")).gaps())
                .extracting(gap -> gap.cause() + " " + gap.time().length().toSeconds())
                .containsExactly("LATE 10", "FAILED 120");
        assertThat(state(lesson).recorded(at("10:10"))).isEqualTo(Duration.ofSeconds(470));
    }
}
