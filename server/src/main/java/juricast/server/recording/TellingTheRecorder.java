package juricast.server.recording;

import static juricast.core.recording.RecordingPart.RECORDING;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.LessonId;
import juricast.core.live.LessonEvent;
import juricast.core.recording.Failure;
import juricast.core.recording.RecordingEvent;
import juricast.core.recording.RecordingOrder;
import juricast.core.recording.RecordingState;
import juricast.core.recording.RecordingState.Phase;
import juricast.server.lesson.LiveLessons;
import juricast.server.record.Follower;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Tells the recorder what was decided in a lesson, and the lesson what the recorder answers; keeps the list of recordings. */
@Component
class TellingTheRecorder implements Follower {
    private static final Logger LOG = LoggerFactory.getLogger(TellingTheRecorder.class);

    private final LiveLessons lessons;
    private final Recorder recorder;
    private final Recordings recordings;

    TellingTheRecorder(LiveLessons lessons, Recorder recorder, Recordings recordings) {
        this.lessons = lessons;
        this.recorder = recorder;
        this.recordings = recordings;
    }

    @Override
    public void within(JdbcClient sql, LessonId lesson, List<LessonEvent> events) {
        LessonEvent.of(events, RecordingEvent.Begun.class).forEach(begun -> Recordings.began(sql, lesson, begun.at()));
        LessonEvent.of(events, RecordingEvent.Ended.class).forEach(ended -> Recordings.ended(sql, lesson, ended.at()));
    }

    @Override
    public void after(LessonId lesson, List<LessonEvent> events) {
        for (LessonEvent event : events) {
            if (event instanceof RecordingEvent.Asked) {
                recorder.begin(lesson, answer -> answered(lesson, answer));
            } else if (event instanceof RecordingEvent.Paused || event instanceof RecordingEvent.Waits) {
                recorder.pause(lesson);
            } else if (event instanceof RecordingEvent.WentOn || event instanceof RecordingEvent.WaitsNoMore) {
                goOn(lesson);
            } else if (event instanceof RecordingEvent.Ended) {
                recorder.end(lesson);
            }
        }
    }

    /** A pause may end while something else is still in the way, and the other way round. */
    private void goOn(LessonId lesson) {
        if (lessons.state(lesson).of(RECORDING).isRecording()) {
            recorder.goOn(lesson);
        }
    }

    private void answered(LessonId lesson, RecordingOrder.Answer answer) {
        try {
            lessons.carryOut(lesson, answer);
        } catch (RuntimeException failed) {
            LOG.error("What the recorder says of lesson {} could not be taken", lesson, failed);
        }
    }

    /** What was not heard of between here and a crash is missing, and not guessed. */
    @Scheduled(fixedDelay = 10_000, initialDelay = 10_000)
    void alive() {
        List<LessonId> now = lessons.open().stream()
                .filter(id -> lessons.stateIfReadable(id)
                        .map(state -> state.of(RECORDING).phase() == Phase.ON)
                        .orElse(false))
                .toList();
        if (!now.isEmpty()) {
            recordings.alive(now, lessons.now());
        }
    }

    /** After a start nobody records what was recorded before; each is asked for anew, and since when it was not is said. */
    @EventListener(ApplicationReadyEvent.class)
    @Order
    void afterAStart() {
        for (LessonId id : lessons.open()) {
            Optional<RecordingState> is = lessons.stateIfReadable(id).map(state -> state.of(RECORDING));
            boolean wasOn = is.filter(state -> state.phase() == Phase.ON || state.phase() == Phase.ASKED)
                    .isPresent();
            if (wasOn && !recorder.hasGoneOn(id, answer -> answered(id, answer))) {
                Optional<Instant> since = recordings.aliveUntil(id);
                answered(id, new RecordingOrder.Answer(Optional.of(Failure.LINE_LOST), since));
            }
        }
    }
}
