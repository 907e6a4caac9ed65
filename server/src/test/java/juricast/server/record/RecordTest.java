package juricast.server.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import juricast.core.chat.ChatEvent;
import juricast.core.ending.EndingOrder;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.live.Erased;
import juricast.core.live.LessonEvent;
import juricast.server.RunningServer;
import juricast.server.data.Database;
import juricast.server.lesson.LiveLessons;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** What a record proves, and what of it can be forgotten. Each test has a school of its own, which it may damage. */
class RecordTest {
    private static final PersonId MAREN = new PersonId("maren-oddlund");
    private static final String SECRET = "the-orange-buoy-is-mine";

    private final RunningServer server = RunningServer.demo();
    private Database database;
    private Journal journal;
    private LessonId lesson;

    /** A lesson of the demo that is over, with words in it. */
    @BeforeEach
    void start() throws Exception {
        server.beforeAll(null);
        database = server.bean(Database.class);
        journal = server.bean(Journal.class);
        lesson = new LessonId("tidal-navigation-8-1.3-2");
        server.bean(LiveLessons.class).carryOut(lesson, new EndingOrder.Dismiss(MAREN));
        // Somebody was removed in it: what the casebook holds of it is let go of here.
        Holds holds = server.bean(Holds.class);
        holds.of(lesson).forEach(one -> holds.release(one.id(), MAREN, server.now()));
        assertThat(over()).contains(lesson);
        assertThat(said(lesson)).hasSizeGreaterThan(1);
        assertThat(journal.firstDamaged(lesson)).isEmpty();
        assertThat(journal.isComplete()).isTrue();
    }

    @AfterEach
    void stop() {
        server.stop();
    }

    private List<LessonId> over() {
        return database.read()
                .sql("SELECT lesson FROM lesson_stage WHERE over IS NOT NULL ORDER BY lesson")
                .query((row, n) -> new LessonId(row.getString(1)))
                .list();
    }

    /** The numbers of the events that say what was written. */
    private List<Integer> said(LessonId one) {
        List<LessonEvent> events = journal.read(one).events();
        return IntStream.range(0, events.size())
                .filter(i -> events.get(i) instanceof ChatEvent.Said)
                .mapToObj(i -> i + 1)
                .toList();
    }

    private void sql(String statement, Object... values) {
        database.append(sql -> sql.sql(statement).params(values).update());
    }

    @Test
    void a_body_that_was_altered_and_an_event_that_was_taken_out_are_found_where_they_are() {
        sql(
                "UPDATE lesson_event SET body = replace(body, '\"by\"', '\"By\"') WHERE lesson = ? AND number = 1",
                lesson.value());
        assertThat(journal.firstDamaged(lesson)).contains(1);
        assertThatThrownBy(() -> journal.read(lesson)).isInstanceOf(Journal.DamagedRecord.class);

        LessonId other = over().get(over().size() - 1);
        sql("DELETE FROM lesson_event WHERE lesson = ? AND number = 3", other.value());
        assertThat(journal.firstDamaged(other)).contains(3);
    }

    @Test
    void a_tail_that_was_cut_off_is_found_also_where_the_anchor_was_put_back_by_hand() {
        int last = journal.read(lesson).events().size();
        sql("DELETE FROM lesson_event WHERE lesson = ? AND number = ?", lesson.value(), last);
        assertThat(journal.firstDamaged(lesson)).contains(last);

        sql(
                """
                UPDATE record_anchor SET number = number - 1,
                hash = (SELECT hash FROM lesson_event e WHERE e.lesson = record_anchor.lesson ORDER BY number DESC LIMIT 1)
                WHERE lesson = ?""",
                lesson.value());
        assertThat(journal.firstDamaged(lesson)).contains(last);
    }

    @Test
    void hashes_worked_out_anew_without_the_key_prove_nothing() {
        byte[] guess = new byte[32];
        new SecureRandom().nextBytes(guess);
        Chain forged = new Chain(new RecordKey(guess));
        byte[] salt = Chain.salt();
        String body = "{\"by\":\"somebody-else\",\"at\":\"2026-09-14T09:00:00Z\"}";
        byte[] bodyHash = Chain.bodyHash(salt, body);
        byte[] hash = forged.next(forged.beginning(), lesson, 1, "opened", bodyHash);
        sql("DELETE FROM lesson_event WHERE lesson = ?", lesson.value());
        sql(
                "INSERT INTO lesson_event (lesson, number, kind, body, salt, body_hash, hash) VALUES (?, 1, 'opened', ?, ?, ?, ?)",
                lesson.value(),
                body,
                salt,
                bodyHash,
                hash);
        sql(
                "UPDATE record_anchor SET number = 1, hash = ?, mac = ? WHERE lesson = ?",
                hash,
                forged.anchor(lesson, 1, hash),
                lesson.value());

        assertThat(journal.firstDamaged(lesson)).contains(1);
    }

    @Test
    void a_record_that_was_taken_out_whole_or_given_to_another_lesson_is_found() {
        LessonId other =
                over().stream().filter(one -> !one.equals(lesson)).findFirst().orElseThrow();
        sql("DELETE FROM lesson_event WHERE lesson = ?", other.value());
        sql("UPDATE lesson_event SET lesson = ? WHERE lesson = ?", other.value(), lesson.value());
        sql("DELETE FROM record_anchor WHERE lesson = ?", other.value());
        sql("UPDATE record_anchor SET lesson = ? WHERE lesson = ?", other.value(), lesson.value());

        assertThat(journal.firstDamaged(other)).contains(1);
        assertThat(journal.isComplete()).isFalse();
    }

    @Test
    void what_was_erased_is_gone_from_the_file_and_the_chain_still_holds() throws Exception {
        int number = said(lesson).get(0);
        LessonEvent before = journal.read(lesson).events().get(number - 2);

        Erasing.Done done = server.bean(Erasing.class)
                .erase(lesson, List.of(number), "a wish to be forgotten", MAREN, server.now());

        assertThat(done.erased()).containsExactly(number);
        assertThat(journal.firstDamaged(lesson)).isEmpty();
        assertThat(journal.isComplete()).isTrue();
        assertThat(journal.read(lesson).events().get(number - 1)).isEqualTo(new Erased("said", before.at()));
        assertThat(database.read()
                        .sql("SELECT why || ' ' || by FROM record_erasure WHERE lesson = :lesson AND number = :number")
                        .param("lesson", lesson.value())
                        .param("number", number)
                        .query(String.class)
                        .single())
                .isEqualTo("a wish to be forgotten maren-oddlund");
        assertThat(server.bean(Erasing.class)
                        .erase(lesson, List.of(number), "again", MAREN, server.now())
                        .erased())
                .isEmpty();
        assertThat(server.signedIn("maren-oddlund")
                        .get("/api/lessons/" + lesson.value() + "/replay")
                        .text())
                .contains("What happened here was erased");
    }

    @Test
    void an_erased_body_leaves_no_trace_in_the_file() throws Exception {
        int number = said(lesson).get(0);
        // Written under the lesson's own chain, so that it is as true as any other.
        String body = database.read()
                .sql("SELECT body FROM lesson_event WHERE lesson = :lesson AND number = :number")
                .param("lesson", lesson.value())
                .param("number", number)
                .query(String.class)
                .single();
        sql("UPDATE lesson_event SET body = ? WHERE lesson = ? AND number = ?", body + SECRET, lesson.value(), number);
        server.bean(Erasing.class).erase(lesson, List.of(number), "wish", MAREN, server.now());
        server.stop();

        String file = new String(Files.readAllBytes(server.file()), StandardCharsets.ISO_8859_1);
        assertThat(file).doesNotContain(SECRET);
        server.start();
    }

    @Test
    void what_is_held_is_not_erased_until_the_hold_is_released() {
        List<Integer> said = said(lesson);
        Holds holds = server.bean(Holds.class);
        long hold = holds.hold(lesson, said.get(0), said.get(0), "an incident", MAREN, server.now());

        Erasing.Done done = server.bean(Erasing.class).erase(lesson, said, "old", MAREN, server.now());

        assertThat(done.held()).containsExactly(said.get(0));
        assertThat(done.erased()).hasSize(said.size() - 1);
        assertThat(holds.release(hold, MAREN, server.now())).isTrue();
        assertThat(holds.release(hold, MAREN, server.now())).isFalse();
        assertThat(server.bean(Erasing.class)
                        .erase(lesson, said, "old", MAREN, server.now())
                        .erased())
                .containsExactly(said.get(0));
    }

    @Test
    void nothing_of_a_lesson_that_goes_on_is_erased() {
        LessonId live = journal.begunAndNotOver().get(0);
        assertThatThrownBy(() -> server.bean(Erasing.class).erase(live, List.of(1), "too early", MAREN, server.now()))
                .isInstanceOf(IllegalStateException.class);
    }

    @Test
    void an_excerpt_is_proved_on_its_own_also_with_what_was_erased_and_an_altered_one_is_not() {
        int number = said(lesson).get(0);
        server.bean(Erasing.class).erase(lesson, List.of(number), "wish", MAREN, server.now());
        Excerpt excerpt = journal.excerpt(lesson, number - 1, number + 1);
        JsonMapper json = JsonMapper.builder().build();
        Excerpt read = json.readValue(json.writeValueAsString(excerpt), Excerpt.class);

        assertThat(journal.proves(read)).isTrue();
        assertThat(read.events().get(1).body()).isNull();

        Excerpt.Proven first = read.events().get(0);
        var altered = new Excerpt.Proven(
                first.number(), first.kind(), first.body() + " ", first.salt(), first.bodyHash(), first.hash());
        assertThat(journal.proves(new Excerpt(
                        lesson,
                        read.first(),
                        read.before(),
                        List.of(altered, read.events().get(1)))))
                .isFalse();
        assertThat(journal.proves(new Excerpt(
                        lesson,
                        read.first(),
                        read.before(),
                        List.of(first, read.events().get(2)))))
                .as("one is left out")
                .isFalse();
        assertThatThrownBy(() -> journal.excerpt(lesson, 1, 100_000)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void the_night_finds_damage_and_tells_it_and_forgets_what_the_rules_no_longer_keep() {
        LessonId other =
                over().stream().filter(one -> !one.equals(lesson)).findFirst().orElseThrow();
        sql("UPDATE lesson_event SET kind = 'left' WHERE lesson = ? AND number = 2", other.value());
        RecordWatch watch = server.bean(RecordWatch.class);
        while (watch.step(server.now())) {
            // Until all have been looked at.
        }
        assertThat(watch.damaged()).containsExactly(new RecordWatch.Damaged(other, 2));
        assertThat(watch.isComplete()).isTrue();
        assertThat(server.signedIn("maren-oddlund").get("/api/corridor").text())
                .contains(other.value())
                .contains("record is damaged");
        assertThat(server.signedIn("maren-oddlund").get("/api/upkeep").text()).contains(other.value());

        server.advance(Duration.ofDays(3700));
        server.provider(AtNight.class).stream().forEach(work -> {
            while (work.step(server.now())) {
                // Until all is done.
            }
        });
        assertThat(journal.read(lesson).events())
                .noneMatch(ChatEvent.Said.class::isInstance)
                .anyMatch(Erased.class::isInstance);
        assertThat(journal.firstDamaged(lesson)).isEmpty();
    }

    @Test
    void without_its_key_no_school_starts_and_a_backup_has_one_beside_it() throws Exception {
        server.stop();
        Path key = server.file().resolveSibling("school.db.record-key");
        Path away = key.resolveSibling("elsewhere");
        Files.move(key, away);

        Optional<Throwable> refused = Optional.empty();
        try {
            server.start();
        } catch (RuntimeException failed) {
            refused = Optional.of(failed);
        }
        assertThat(refused).get().asString().isNotEmpty();
        assertThat(refused.get()).hasStackTraceContaining("The key of the school's records is not there");

        Files.move(away, key);
        server.start();
        assertThat(server.bean(Journal.class).read(lesson).events()).isNotEmpty();
    }
}
