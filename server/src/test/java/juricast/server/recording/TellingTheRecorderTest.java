package juricast.server.recording;

import static juricast.core.recording.RecordingPart.RECORDING;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.inOrder;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoMoreInteractions;
import static org.mockito.Mockito.when;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonState;
import juricast.core.recording.Failure;
import juricast.core.recording.PauseReason;
import juricast.core.recording.RecordingEvent;
import juricast.core.recording.RecordingOrder;
import juricast.core.recording.RecordingState;
import juricast.server.lesson.LiveLessons;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import org.mockito.InOrder;

/** What a recorder is told, and what becomes of what it answers. */
class TellingTheRecorderTest {
    private static final LessonId LESSON = new LessonId("tidal-1");
    private static final LessonId OTHER = new LessonId("tidal-2");
    private static final Instant NOW = Instant.parse("2026-09-14T10:00:00Z");

    private final LiveLessons lessons = mock(LiveLessons.class);
    private final Recorder recorder = mock(Recorder.class);
    private final Recordings recordings = mock(Recordings.class);
    private final TellingTheRecorder telling = new TellingTheRecorder(lessons, recorder, recordings);

    private void stands(LessonId lesson, RecordingEvent... events) {
        RecordingState is = RECORDING.begin();
        for (RecordingEvent event : events) {
            is = RECORDING.after(is, event, 0);
        }
        LessonState state = mock(LessonState.class);
        when(state.of(RECORDING)).thenReturn(is);
        when(lessons.state(lesson)).thenReturn(state);
        when(lessons.stateIfReadable(lesson)).thenReturn(Optional.of(state));
    }

    private static RecordingEvent asked() {
        return new RecordingEvent.Asked(PersonId.CLOCK, NOW);
    }

    private static RecordingEvent begun() {
        return new RecordingEvent.Begun(NOW);
    }

    private static RecordingEvent paused() {
        return new RecordingEvent.Paused(PauseReason.BREAK, Optional.empty(), PersonId.CLOCK, NOW);
    }

    @SuppressWarnings("unchecked")
    private Consumer<RecordingOrder.Answer> answers() {
        ArgumentCaptor<Consumer<RecordingOrder.Answer>> answers = ArgumentCaptor.forClass(Consumer.class);
        verify(recorder).begin(eq(LESSON), answers.capture());
        return answers.getValue();
    }

    @Test
    void each_decision_is_told_in_its_order() {
        stands(LESSON, asked(), begun());
        telling.after(
                LESSON,
                List.of(
                        asked(),
                        paused(),
                        new RecordingEvent.WentOn(PersonId.CLOCK, NOW),
                        new RecordingEvent.Ended(PersonId.CLOCK, NOW)));

        InOrder told = inOrder(recorder);
        told.verify(recorder).begin(eq(LESSON), any());
        told.verify(recorder).pause(LESSON);
        told.verify(recorder).goOn(LESSON);
        told.verify(recorder).end(LESSON);
        verifyNoMoreInteractions(recorder);
    }

    @Test
    void the_end_of_a_pause_is_not_told_while_something_else_is_in_the_way() {
        stands(LESSON, asked(), begun(), paused());
        telling.after(LESSON, List.of(new RecordingEvent.WaitsNoMore(NOW)));
        verify(recorder, never()).goOn(any());
    }

    @Test
    void what_it_answers_is_an_order_and_a_lesson_that_cannot_take_it_is_not_its_concern() {
        telling.after(LESSON, List.of(asked()));
        answers().accept(RecordingOrder.Answer.BEGUN);
        verify(lessons).carryOut(LESSON, RecordingOrder.Answer.BEGUN);

        var later = RecordingOrder.Answer.failed(Failure.DISK_FULL);
        when(lessons.carryOut(LESSON, later)).thenThrow(new IllegalStateException("the disk is full here too"));
        assertThatCode(() -> answers().accept(later)).doesNotThrowAnyException();
    }

    @Test
    void only_what_is_recorded_now_is_noted_as_alive() {
        when(lessons.open()).thenReturn(List.of(LESSON, OTHER));
        when(lessons.now()).thenReturn(NOW);
        stands(LESSON, asked(), begun());
        stands(OTHER, asked());
        telling.alive();
        verify(recordings).alive(List.of(LESSON), NOW);
    }

    @Test
    void after_a_start_what_it_did_not_go_on_with_is_missing_since_it_was_last_heard_of() {
        Instant heardOf = NOW.plus(Duration.ofMinutes(3));
        when(lessons.open()).thenReturn(List.of(LESSON, OTHER));
        stands(LESSON, asked(), begun());
        stands(OTHER, asked(), begun());
        when(recorder.hasGoneOn(eq(OTHER), any())).thenReturn(true);
        when(recordings.aliveUntil(LESSON)).thenReturn(Optional.of(heardOf));

        telling.afterAStart();

        verify(lessons)
                .carryOut(LESSON, new RecordingOrder.Answer(Optional.of(Failure.LINE_LOST), Optional.of(heardOf)));
        verify(lessons, never()).carryOut(eq(OTHER), any());
    }

    @Test
    void what_was_not_recorded_before_a_start_is_not_asked_about() {
        when(lessons.open()).thenReturn(List.of(LESSON));
        stands(LESSON, asked(), begun(), new RecordingEvent.Ended(PersonId.CLOCK, NOW));
        telling.afterAStart();
        verify(recorder, never()).hasGoneOn(any(), any());
    }
}
