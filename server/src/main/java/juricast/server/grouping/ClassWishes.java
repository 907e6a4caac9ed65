package juricast.server.grouping;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.grouping.Wish;
import juricast.core.grouping.Wishes;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
import juricast.server.data.Database;
import juricast.server.data.Topic;
import org.springframework.stereotype.Component;

/** Who stays apart and together in groups of a class, and what the teacher has marked for balanced ones. */
@Component
public class ClassWishes {
    private final Database database;
    private final Clock clock;

    ClassWishes(Database database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    /** A wish as it is kept. */
    public record Kept(long id, Wish wish, Instant at) {}

    /** What was marked for one pupil. @param level 1 to 3; 0 for none */
    public record Mark(PersonId person, int level, boolean trusted) {}

    /** All that counts now for making groups of a class. */
    public Wishes of(ClassId id) {
        List<Mark> marks = marks(id);
        return new Wishes(
                kept(id).stream().map(Kept::wish).toList(),
                marks.stream().filter(one -> one.level > 0).collect(Collectors.toMap(Mark::person, Mark::level)),
                marks.stream().filter(Mark::trusted).map(Mark::person).collect(Collectors.toSet()));
    }

    /** Wishes of a class that have not been ended, in the order in which they were set. */
    public List<Kept> kept(ClassId id) {
        Map<Long, Set<PersonId>> people = new LinkedHashMap<>();
        database.read()
                .sql(
                        """
                    SELECT wish, person FROM class_wish_person JOIN class_wish ON class_wish.id = wish
                    WHERE class = :class AND ended_at = 0""")
                .param("class", id.value())
                .query(row -> {
                    people.computeIfAbsent(row.getLong(1), wish -> new HashSet<>())
                            .add(new PersonId(row.getString(2)));
                });
        return database.read()
                .sql("SELECT * FROM class_wish WHERE class = :class AND ended_at = 0 ORDER BY id")
                .param("class", id.value())
                .query((row, n) -> new Kept(
                        row.getLong("id"),
                        new Wish(
                                Wish.Kind.valueOf(row.getString("kind")),
                                people.getOrDefault(row.getLong("id"), Set.of()),
                                row.getBoolean("binding"),
                                row.getString("reason"),
                                new PersonId(row.getString("by"))),
                        Instant.ofEpochMilli(row.getLong("at"))))
                .list();
    }

    public void add(ClassId id, Wish wish) {
        database.write(
                sql -> {
                    sql.sql("INSERT INTO class_wish (class, kind, binding, reason, by, at)"
                                    + " VALUES (:class, :kind, :binding, :reason, :by, :at)")
                            .param("class", id.value())
                            .param("kind", wish.kind().name())
                            .param("binding", wish.binding())
                            .param("reason", wish.reason())
                            .param("by", wish.by().value())
                            .param("at", clock.millis())
                            .update();
                    long made = sql.sql("SELECT last_insert_rowid()")
                            .query(Long.class)
                            .single();
                    wish.people().forEach(person -> sql.sql(
                                    "INSERT INTO class_wish_person (wish, person) VALUES (:wish, :person)")
                            .param("wish", made)
                            .param("person", person.value())
                            .update());
                    return null;
                },
                Topic.PLAN);
    }

    /** It counts no more, and stays known. */
    public void end(long wish, PersonId by) {
        database.write(
                sql -> sql.sql("UPDATE class_wish SET ended_at = :at, ended_by = :by WHERE id = :id AND ended_at = 0")
                        .param("at", clock.millis())
                        .param("by", by.value())
                        .param("id", wish)
                        .update(),
                Topic.PLAN);
    }

    public List<Mark> marks(ClassId id) {
        return database.read()
                .sql("SELECT person, level, trusted FROM group_mark WHERE class = :class")
                .param("class", id.value())
                .query((row, n) -> new Mark(new PersonId(row.getString(1)), row.getInt(2), row.getBoolean(3)))
                .list();
    }

    public void mark(ClassId id, List<Mark> marks) {
        database.write(
                sql -> {
                    marks.forEach(one -> sql.sql(
                                    """
                            INSERT INTO group_mark (class, person, level, trusted) VALUES (:class, :person, :level, :trusted)
                            ON CONFLICT (class, person) DO UPDATE SET level = excluded.level, trusted = excluded.trusted""")
                            .param("class", id.value())
                            .param("person", one.person.value())
                            .param("level", one.level)
                            .param("trusted", one.trusted)
                            .update());
                    return null;
                },
                Topic.PLAN);
    }

    /** The school's own words for the levels, the first one first. */
    public List<String> levels() {
        Map<Integer, String> words = new LinkedHashMap<>(Map.of(1, "leads", 2, "steady", 3, "finding the way"));
        database.read().sql("SELECT level, word FROM group_level").query(row -> {
            words.put(row.getInt(1), row.getString(2));
        });
        var all = new ArrayList<String>();
        for (int level = 1; level <= Wishes.LEVELS; level++) {
            all.add(words.getOrDefault(level, ""));
        }
        return all;
    }

    public void name(List<String> words) {
        database.write(
                sql -> {
                    for (int i = 0; i < words.size(); i++) {
                        sql.sql("INSERT INTO group_level (level, word) VALUES (:level, :word)"
                                        + " ON CONFLICT (level) DO UPDATE SET word = excluded.word")
                                .param("level", i + 1)
                                .param("word", words.get(i))
                                .update();
                    }
                    return null;
                },
                Topic.PLAN);
    }
}
