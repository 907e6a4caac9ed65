package juricast.core.recording;

import static juricast.core.recording.Coverage.Cause.*;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;
import org.junit.jupiter.api.Test;

/** What is missing of a recording and why, by the minute of an hour. */
class CoverageTest {
    private static final PersonId ORLA = new PersonId("orla-venn");

    private final List<LessonEvent> record = new ArrayList<>();

    private static Instant at(int minute) {
        return Instant.parse("2026-09-14T10:00:00Z").plus(Duration.ofMinutes(minute));
    }

    private CoverageTest required(int minute) {
        record.add(new RecordingEvent.Required(true, at(minute)));
        return this;
    }

    private CoverageTest begun(int minute) {
        record.add(new RecordingEvent.Asked(PersonId.CLOCK, at(minute)));
        record.add(new RecordingEvent.Begun(at(minute)));
        return this;
    }

    private CoverageTest paused(PauseReason reason, int from, int until) {
        record.add(new RecordingEvent.Paused(reason, Optional.empty(), ORLA, at(from)));
        record.add(new RecordingEvent.WentOn(ORLA, at(until)));
        return this;
    }

    private CoverageTest waited(Hindrance why, int from, int until) {
        record.add(new RecordingEvent.Waits(why, List.of(), at(from)));
        record.add(new RecordingEvent.WaitsNoMore(at(until)));
        return this;
    }

    private Coverage until(int minute) {
        return Coverage.of(record, at(minute));
    }

    private static Duration minutes(int minutes) {
        return Duration.ofMinutes(minutes);
    }

    private static void adds(Coverage coverage) {
        assertThat(coverage.gaps().stream().map(gap -> gap.time().length()).reduce(Duration.ZERO, Duration::plus))
                .as("all gaps")
                .isEqualTo(coverage.missing());
    }

    @Test
    void what_began_at_once_and_never_stopped_is_whole() {
        Coverage coverage = required(0).begun(0).until(45);
        assertThat(coverage.isWhole()).isTrue();
        assertThat(coverage.required()).isEqualTo(minutes(45)).isEqualTo(coverage.covered());
    }

    @Test
    void each_missing_minute_has_its_cause() {
        required(0).begun(1).paused(PauseReason.CONFIDES, 10, 14).waited(Hindrance.GROUPS, 20, 25);
        waited(Hindrance.SPEAKS, 30, 31);
        record.add(new RecordingEvent.Failed(Failure.DISK_FULL, at(38), at(40)));
        begun(42);
        record.add(new RecordingEvent.Ended(ORLA, at(50)));

        Coverage coverage = until(55);

        assertThat(coverage.gaps())
                .extracting(Coverage.Gap::cause, gap -> gap.time().from(), gap -> gap.time()
                        .until())
                .containsExactly(
                        tuple(LATE, at(0), at(1)),
                        tuple(PAUSED, at(10), at(14)),
                        tuple(GROUPS, at(20), at(25)),
                        tuple(NO_CONSENT, at(30), at(31)),
                        tuple(FAILED, at(38), at(42)),
                        tuple(ENDED, at(50), at(55)));
        assertThat(coverage.gaps().get(1).pause()).contains(PauseReason.CONFIDES);
        assertThat(coverage.covered()).isEqualTo(minutes(55 - 1 - 4 - 5 - 1 - 4 - 5));
        adds(coverage);
    }

    @Test
    void an_adults_own_pause_goes_before_what_only_hinders() {
        required(0).begun(0);
        record.add(new RecordingEvent.Waits(Hindrance.NO_CONSENT, List.of(), at(5)));
        record.add(new RecordingEvent.Paused(PauseReason.BREAK, Optional.empty(), ORLA, at(7)));
        record.add(new RecordingEvent.WaitsNoMore(at(9)));
        record.add(new RecordingEvent.WentOn(ORLA, at(12)));

        Coverage coverage = until(20);

        assertThat(coverage.gaps())
                .extracting(Coverage.Gap::cause, gap -> gap.time().length())
                .containsExactly(tuple(NO_CONSENT, minutes(2)), tuple(PAUSED, minutes(5)));
        adds(coverage);
    }

    @Test
    void a_pause_with_another_reason_is_another_gap_and_with_the_same_it_is_one() {
        required(0).begun(0);
        record.add(new RecordingEvent.Paused(PauseReason.BREAK, Optional.empty(), ORLA, at(5)));
        record.add(new RecordingEvent.Paused(PauseReason.BREAK, Optional.of(at(9)), ORLA, at(6)));
        record.add(new RecordingEvent.Paused(PauseReason.OTHER, Optional.empty(), ORLA, at(8)));
        record.add(new RecordingEvent.WentOn(ORLA, at(10)));

        assertThat(until(20).gaps())
                .extracting(gap -> gap.pause().orElseThrow(), gap -> gap.time().length())
                .containsExactly(tuple(PauseReason.BREAK, minutes(3)), tuple(PauseReason.OTHER, minutes(2)));
    }

    @Test
    void what_did_not_have_to_be_recorded_is_missing_nowhere_and_counts_as_recorded() {
        Coverage optional = begun(5).until(15);
        assertThat(optional.isWhole()).isTrue();
        assertThat(optional.required()).isZero();
        assertThat(optional.recorded()).isEqualTo(minutes(10));
    }

    @Test
    void a_rule_that_changes_within_the_lesson_counts_from_then_on() {
        begun(0).required(10);
        record.add(new RecordingEvent.Required(false, at(20)));
        record.add(new RecordingEvent.Ended(ORLA, at(30)));

        Coverage coverage = until(40);

        assertThat(coverage.required()).isEqualTo(minutes(10)).isEqualTo(coverage.covered());
        assertThat(coverage.recorded()).isEqualTo(minutes(30));
        assertThat(coverage.isWhole()).isTrue();
    }

    @Test
    void a_recorder_that_never_answered_is_late_at_first_and_then_failed() {
        required(0);
        record.add(new RecordingEvent.Asked(PersonId.CLOCK, at(1)));
        record.add(new RecordingEvent.Failed(Failure.NO_ANSWER, at(2), at(2)));
        record.add(new RecordingEvent.Asked(PersonId.CLOCK, at(3)));
        record.add(new RecordingEvent.Failed(Failure.NO_ANSWER, at(4), at(4)));

        Coverage coverage = until(10);

        assertThat(coverage.gaps())
                .extracting(Coverage.Gap::cause, gap -> gap.time().length())
                .containsExactly(tuple(LATE, minutes(2)), tuple(FAILED, minutes(8)));
        assertThat(coverage.covered()).isZero();
    }

    @Test
    void what_came_after_the_end_counts_for_nothing() {
        Coverage coverage = required(0).begun(0).until(30);
        record.add(new RecordingEvent.Paused(PauseReason.BREAK, Optional.empty(), ORLA, at(40)));
        assertThat(until(30)).isEqualTo(coverage);
        assertThat(Coverage.of(List.of(), at(30)).isWhole()).isTrue();
    }
}
