package juricast.server.watching;

import java.time.Instant;
import juricast.core.keeping.Retention;
import juricast.server.data.Database;
import juricast.server.record.Forgotten;
import juricast.server.record.Holds;
import juricast.server.recording.Recorder;
import juricast.server.recording.Recordings.Recording;
import org.springframework.stereotype.Component;

/** Deletes a recording, by the rule or by the lead's word. That there was one, and when it went, is said for ever. */
@Component
class Deleting {
    private final Database database;
    private final Recorder recorder;
    private final Holds holds;

    Deleting(Database database, Recorder recorder, Holds holds) {
        this.database = database;
        this.recorder = recorder;
        this.holds = holds;
    }

    /** Whether something of its lesson is held as evidence. */
    boolean isHeld(Recording recording) {
        return recording.lesson().map(lesson -> !holds.of(lesson).isEmpty()).orElse(false);
    }

    /** First what it is, then what says so: after a crash in between it is deleted once more. */
    void delete(Recording recording, String why, Instant at) {
        recorder.erase(recording.id());
        database.append(sql -> {
            sql.sql("UPDATE recording SET erased_at = :at, erased_why = :why WHERE id = :id AND erased_at IS NULL")
                    .param("at", at.toEpochMilli())
                    .param("why", why)
                    .param("id", recording.id())
                    .update();
            sql.sql("DELETE FROM recording_watched WHERE recording = :id")
                    .param("id", recording.id())
                    .update();
            Forgotten.note(sql, Retention.RECORDINGS.name(), recording.id(), why, 1, at);
            return null;
        });
    }
}
