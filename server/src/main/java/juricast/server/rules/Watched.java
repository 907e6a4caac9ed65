package juricast.server.rules;

import java.time.Clock;
import java.util.List;
import juricast.core.identity.PersonId;
import juricast.core.lesson.WatchedWords;
import juricast.server.data.Database;
import org.springframework.stereotype.Component;

/** The school's list of words that are looked at before others read them. What becomes of them is a rule. */
@Component
public class Watched {
    private final Database database;
    private final Clock clock;
    private volatile Known known = new Known(-1, WatchedWords.NONE);

    Watched(Database database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    private record Known(long revision, WatchedWords words) {}

    /** Read once after every change, for it belongs to the plan of every lesson. */
    public WatchedWords now() {
        long revision = database.revision();
        Known last = known;
        if (last.revision != revision) {
            last = new Known(
                    revision,
                    WatchedWords.of(database.read()
                            .sql("SELECT word FROM watched_word ORDER BY word")
                            .query(String.class)
                            .list()));
            known = last;
        }
        return last.words;
    }

    /** Replaces the list. Words that stay keep who added them. */
    public void become(List<String> words, PersonId by) {
        database.write(sql -> {
            for (String gone : now().words()) {
                if (!words.contains(gone)) {
                    sql.sql("DELETE FROM watched_word WHERE word = :word")
                            .param("word", gone)
                            .update();
                }
            }
            for (String word : words) {
                sql.sql(
                                "INSERT INTO watched_word (word, set_by, set_at) VALUES (:word, :by, :at) ON CONFLICT DO NOTHING")
                        .param("word", word)
                        .param("by", by.value())
                        .param("at", clock.millis())
                        .update();
            }
            return words;
        });
    }
}
