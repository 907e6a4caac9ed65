package juricast.server.watching;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.watching.Piece;
import juricast.core.watching.Watched;
import juricast.server.data.Database;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Who has watched how much of which recording. */
@Component
public class WatchedStore {
    private final Database database;
    private final ApplicationEventPublisher tell;

    WatchedStore(Database database, ApplicationEventPublisher tell) {
        this.database = database;
        this.tell = tell;
    }

    /** Somebody has watched more of what belongs to a lesson, and its register may read otherwise. */
    public record WatchedMore(LessonId lesson) {}

    /** How much each has watched of the recording of a lesson, or of one that was recorded ahead for it: of several the most. */
    public Map<PersonId, Integer> percent(LessonId lesson) {
        var all = new LinkedHashMap<PersonId, Integer>();
        database.read()
                .sql(
                        """
                    SELECT person, max(100 * watched / length) FROM recording_watched
                    JOIN recording ON recording.id = recording
                    WHERE (recording.lesson = :lesson OR recording.for_lesson = :lesson) AND length > 0
                    GROUP BY person""")
                .param("lesson", lesson.value())
                .query(row -> {
                    all.put(new PersonId(row.getString(1)), row.getInt(2));
                });
        return all;
    }

    /** What was watched belongs to a lesson: its register is worked out anew. */
    void told(LessonId lesson) {
        tell.publishEvent(new WatchedMore(lesson));
    }

    /** Somebody begins to watch, or goes on: from now on their player tells. */
    void opened(String recording, PersonId person, Instant now) {
        database.append(sql -> sql.sql(
                        """
                INSERT INTO recording_watched (recording, person, opened, told, pieces, watched)
                VALUES (:recording, :person, :now, :now, '', 0)
                ON CONFLICT (recording, person) DO UPDATE SET told = excluded.told""")
                .param("recording", recording)
                .param("person", person.value())
                .param("now", now.toEpochMilli())
                .update());
    }

    /**
     * Takes a report of a player, if so much can have been played since the last one.
     *
     * @return what they have watched by now; nothing new where the report was none
     */
    Watched tell(String recording, PersonId person, List<Piece> told, Duration length, Instant now) {
        return database.append(sql -> {
            Row row = row(sql, recording, person);
            if (!Watched.isPossible(told, Duration.between(row.told, now))) {
                return row.watched;
            }
            Watched all = row.watched.and(told, length);
            sql.sql(
                            """
                    UPDATE recording_watched SET told = :now, pieces = :pieces, watched = :watched
                    WHERE recording = :recording AND person = :person""")
                    .param("now", now.toEpochMilli())
                    .param("pieces", text(all))
                    .param("watched", all.length().toMillis())
                    .param("recording", recording)
                    .param("person", person.value())
                    .update();
            return all;
        });
    }

    private record Row(Instant told, Watched watched) {}

    /** Who never opened it has had no time to watch anything. */
    private static Row row(JdbcClient sql, String recording, PersonId person) {
        return sql.sql("SELECT told, pieces FROM recording_watched WHERE recording = :recording AND person = :person")
                .param("recording", recording)
                .param("person", person.value())
                .query((row, n) -> new Row(Instant.ofEpochMilli(row.getLong(1)), watched(row.getString(2))))
                .optional()
                .orElse(new Row(Instant.MAX, Watched.NOTHING));
    }

    /** How many milliseconds of a recording each has watched. */
    public Map<PersonId, Long> of(String recording) {
        var all = new LinkedHashMap<PersonId, Long>();
        database.read()
                .sql("SELECT person, watched FROM recording_watched WHERE recording = :recording")
                .param("recording", recording)
                .query(row -> {
                    all.put(new PersonId(row.getString(1)), row.getLong(2));
                });
        return all;
    }

    /** How many milliseconds one person has watched of each. */
    Map<String, Long> by(PersonId person) {
        var all = new LinkedHashMap<String, Long>();
        database.read()
                .sql("SELECT recording, watched FROM recording_watched WHERE person = :person")
                .param("person", person.value())
                .query(row -> {
                    all.put(row.getString(1), row.getLong(2));
                });
        return all;
    }

    private static Watched watched(String text) {
        return new Watched(Arrays.stream(text.split(" "))
                .filter(piece -> !piece.isEmpty())
                .map(piece -> piece.split("-"))
                .map(two ->
                        new Piece(Duration.ofMillis(Long.parseLong(two[0])), Duration.ofMillis(Long.parseLong(two[1]))))
                .toList());
    }

    private static String text(Watched watched) {
        return watched.pieces().stream()
                .map(piece -> piece.from().toMillis() + "-" + piece.until().toMillis())
                .collect(Collectors.joining(" "));
    }
}
