package juricast.server.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Set;
import juricast.core.identity.LessonId;
import juricast.server.RunningServer;
import juricast.server.data.Database;
import juricast.server.data.Ids;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;

/** A school's file of the version before records had a key is upgraded once, and what was damaged before stays so. */
class ChainedAnewTest {
    private static final List<String> EVENTS = List.of(
            "Opened\t{\"by\":\"orla\",\"at\":\"2026-09-14T09:50:00.250Z\"}",
            "HandRaised\t{\"person\":\"ines\",\"at\":\"2026-09-14T10:00:00.004Z\"}",
            "Said\t{\"from\":\"ines\",\"to\":{\"kind\":\"CLASS\",\"one\":null},\"text\":\"hello\",\"at\":\"2026-09-14T10:01:00Z\"}",
            "Dismissed\t{\"by\":\"orla\",\"at\":\"2026-09-14T10:50:00.500Z\"}");

    private static Path older() throws Exception {
        Path file = RunningServer.newFile();
        Flyway.configure()
                .dataSource("jdbc:sqlite:" + file, null, null)
                .target("10")
                .load()
                .migrate();
        try (Connection school = DriverManager.getConnection("jdbc:sqlite:" + file);
                Statement sql = school.createStatement()) {
            sql.execute(
                    "INSERT INTO school (only_one, name, zone, link_key) VALUES (1, 'Skerry', 'UTC', randomblob(32))");
            sql.execute("INSERT INTO class (id, title, year, link_number, join_word) VALUES ('c', 'Tides', 8, 1, 'w')");
            for (String lesson : List.of("whole", "hurt", "live")) {
                sql.execute("INSERT INTO lesson (id, class, starts, ends) VALUES ('%s', 'c', %d, %d)"
                        .formatted(lesson, lesson.hashCode(), lesson.hashCode() + 1L));
                write(school, lesson, lesson.equals("live") ? EVENTS.subList(0, 3) : EVENTS);
            }
            sql.execute("UPDATE lesson_event SET body = replace(body, 'hello', 'bye') WHERE lesson = 'hurt'");
        }
        return file;
    }

    private static void write(Connection school, String lesson, List<String> events) throws SQLException {
        String hash = "0";
        int number = 0;
        try (PreparedStatement insert = school.prepareStatement("INSERT INTO lesson_event VALUES (?, ?, ?, ?, ?)")) {
            for (String event : events) {
                String[] both = event.split("\t");
                number++;
                hash = Ids.hash(hash + "\n" + number + "\n" + both[0] + "\n" + both[1]);
                insert.setString(1, lesson);
                insert.setInt(2, number);
                insert.setString(3, both[0]);
                insert.setString(4, both[1]);
                insert.setString(5, hash);
                insert.executeUpdate();
            }
        }
    }

    @Test
    void older_records_are_chained_anew_once_and_a_damaged_one_is_not_made_to_look_whole() throws Exception {
        RunningServer server = RunningServer.on(older(), false);
        server.start();
        try {
            Journal journal = server.bean(Journal.class);
            assertThat(journal.read(new LessonId("whole")).events()).hasSize(4);
            assertThatThrownBy(() -> journal.read(new LessonId("hurt")))
                    .isInstanceOf(Journal.DamagedRecord.class)
                    .hasMessageContaining("event 3");
            assertThat(server.bean(RecordWatch.class).damaged())
                    .containsExactly(new RecordWatch.Damaged(new LessonId("hurt"), 3));
            assertThat(journal.isComplete()).isTrue();
            assertThat(journal.begunAndNotOver()).containsExactly(new LessonId("live"));
            Stages.Stage stage =
                    server.bean(Stages.class).of(new LessonId("whole")).orElseThrow();
            assertThat(stage.opened()).isEqualTo("2026-09-14T09:50:00.250Z");
            assertThat(stage.over()).isEqualTo("2026-09-14T10:50:00.500Z");
            byte[] hash = journal.read(new LessonId("whole")).hash();

            server.restart();

            assertThat(server.bean(Journal.class).read(new LessonId("whole")).hash())
                    .isEqualTo(hash);
            assertThat(Set.copyOf(server.bean(Database.class)
                            .read()
                            .sql("SELECT name FROM sqlite_master WHERE name LIKE 'lesson_event%'")
                            .query(String.class)
                            .list()))
                    .doesNotContain("lesson_event_before");
        } finally {
            server.stop();
        }
    }
}
