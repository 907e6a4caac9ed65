package juricast.server.watching;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.time.Span;
import juricast.core.watching.Piece;
import juricast.core.watching.Playback;
import juricast.core.watching.PlaybackMaker;
import juricast.core.watching.Timeline;
import juricast.server.consent.KeptConsents;
import juricast.server.lesson.Records;
import juricast.server.people.People;
import juricast.server.recording.Medium;
import juricast.server.recording.Recorder;
import juricast.server.recording.Recordings.Recording;
import org.springframework.stereotype.Component;

/** What is watched of a recording at this moment, and its sound: both made anew, so that a consent withdrawn a minute ago counts. */
@Component
class Playbacks {
    private final Records records;
    private final KeptConsents consents;
    private final People people;
    private final Recorder recorder;
    private final Clock clock;

    Playbacks(Records records, KeptConsents consents, People people, Recorder recorder, Clock clock) {
        this.records = records;
        this.consents = consents;
        this.people = people;
        this.recorder = recorder;
        this.clock = clock;
    }

    Playback of(Recording recording) {
        return recording
                .lesson()
                .map(lesson -> {
                    Records.Record record = records.of(lesson);
                    return PlaybackMaker.of(
                            record.plan().consenting(consents.all()), record.events(), record.rules(), clock.instant());
                })
                .orElseGet(() -> ahead(recording));
    }

    /** One adult, and nobody else, from beginning to end. */
    private Playback ahead(Recording recording) {
        Optional<Span> whole = recording.ended().flatMap(end -> Span.between(recording.begun(), end));
        var by = new PersonId(recording.by());
        List<Playback.Voice> voices = whole.map(time -> List.of(new Playback.Voice(
                        by, people.nameOf(by), Role.LEAD_ADULT, List.of(new Piece(Duration.ZERO, time.length())))))
                .orElse(List.of());
        return new Playback(
                new Timeline(whole.stream().toList()),
                voices,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                0);
    }

    Medium sound(Recording recording, Playback playback) {
        return recorder.medium(recording.id(), playback);
    }

    Instant now() {
        return clock.instant();
    }
}
