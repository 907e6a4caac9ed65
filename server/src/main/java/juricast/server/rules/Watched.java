package juricast.server.rules;

import java.time.Clock;
import java.util.List;
import java.util.Set;
import juricast.core.identity.PersonId;
import juricast.core.live.WatchedWords;
import juricast.server.data.Database;
import juricast.server.data.Topic;
import org.springframework.jdbc.core.simple.JdbcClient;
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
        long revision = database.revision(Topic.RULES);
        Known last = known;
        if (last.revision != revision) {
            last = new Known(revision, WatchedWords.of(read(database.read())));
            known = last;
        }
        return last.words;
    }

    /**
     * Replaces the list. Words that stay keep who added them; those that go keep that they were there.
     *
     * @param was the list that was changed into this one
     * @return whether it was still that list; otherwise nothing is changed
     */
    public boolean become(List<String> words, List<String> was, PersonId by) {
        return database.write(
                sql -> {
                    List<String> today = read(sql);
                    if (!Set.copyOf(today).equals(Set.copyOf(was))) {
                        return false;
                    }
                    long now = clock.millis();
                    today.stream().filter(word -> !words.contains(word)).forEach(word -> sql.sql(
                                    "UPDATE watched_word SET ended_by = :by, ended_at = :at WHERE word = :word AND ended_at IS NULL")
                            .param("word", word)
                            .param("by", by.value())
                            .param("at", now)
                            .update());
                    words.stream().filter(word -> !today.contains(word)).forEach(word -> sql.sql(
                                    "INSERT INTO watched_word (word, set_by, set_at) VALUES (:word, :by, :at)")
                            .param("word", word)
                            .param("by", by.value())
                            .param("at", now)
                            .update());
                    return true;
                },
                Topic.RULES);
    }

    private static List<String> read(JdbcClient sql) {
        return sql.sql("SELECT word FROM watched_word WHERE ended_at IS NULL ORDER BY word")
                .query(String.class)
                .list();
    }
}
