package juricast.server.upkeep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.data.BackupFolder;
import juricast.server.data.CannotStart;
import juricast.server.data.Database;
import juricast.server.data.SchoolFile;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/** What is confirmed before a backup is in it, and comes back with it. */
class BackupTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private static final String DESK = "/api/lessons/tidal-navigation-8-1.3-2";

    private final ByteArrayOutputStream said = new ByteArrayOutputStream();

    private int command(String... words) {
        return new Commands(new PrintStream(said, true, StandardCharsets.UTF_8)).run(words);
    }

    private static String data() {
        return "--juricast.data=" + SERVER.file();
    }

    @Test
    void everything_acknowledged_before_a_backup_under_load_is_there_after_restoring_it(@TempDir Path folder)
            throws Exception {
        Set<String> acknowledged = ConcurrentHashMap.newKeySet();
        var goOn = new AtomicBoolean(true);
        var number = new AtomicInteger();
        ExecutorService load = Executors.newFixedThreadPool(4);
        for (int thread = 0; thread < 4; thread++) {
            load.execute(() -> {
                TestBrowser orla = SERVER.signedIn("orla-venn");
                while (goOn.get()) {
                    String text = "word " + number.incrementAndGet() + " of the load";
                    if (orla.post(DESK + "/words", "{\"to\":\"CLASS\",\"text\":\"%s\"}".formatted(text))
                                    .status()
                            == 200) {
                        acknowledged.add(text);
                    }
                }
            });
        }
        while (acknowledged.size() < 60) {
            Thread.onSpinWait();
        }
        Set<String> before = Set.copyOf(acknowledged);
        Path backup = folder.resolve("backup.db");
        assertThat(command("backup", backup.toString(), data()))
                .as(said.toString())
                .isZero();
        goOn.set(false);
        load.shutdown();
        assertThat(load.awaitTermination(30, TimeUnit.SECONDS)).isTrue();
        assertThat(folder.toFile().list()).containsExactlyInAnyOrder("backup.db", "backup.db.record-key");

        Path restored = folder.resolve("elsewhere").resolve("school.db");
        assertThat(command("restore", backup.toString(), "--juricast.data=" + restored))
                .as(said.toString())
                .isZero();
        RunningServer another = RunningServer.on(restored, true);
        another.start();
        try {
            String desk = another.signedIn("orla-venn").get(DESK + "/desk").text();
            assertThat(before).allSatisfy(text -> assertThat(desk).contains(text));
        } finally {
            another.stop();
        }
    }

    @Test
    void a_running_school_takes_what_is_restored_and_keeps_what_was_there(@TempDir Path folder) throws Exception {
        TestBrowser orla = SERVER.signedIn("orla-venn");
        orla.post(DESK + "/words", "{\"to\":\"CLASS\",\"text\":\"said before the backup\"}");
        Path backup = folder.resolve("backup.db");
        command("backup", backup.toString(), data());
        orla.post(DESK + "/words", "{\"to\":\"CLASS\",\"text\":\"said after the backup\"}");
        ExecutorService beside = Executors.newSingleThreadExecutor();
        var restoring = beside.submit(() -> command("restore", backup.toString(), data()));

        // What the program does in its main loop.
        Restarting restarting = SERVER.bean(Restarting.class);
        assertThat(restarting.await()).as("it is to start again").isTrue();
        SERVER.restart();

        assertThat(restoring.get(30, TimeUnit.SECONDS)).as(said.toString()).isZero();
        beside.shutdown();
        assertThat(SERVER.signedIn("orla-venn").get(DESK + "/desk").text())
                .contains("said before the backup")
                .doesNotContain("said after the backup");
        Path kept = SERVER.file().resolveSibling("school.db.before-restore");
        assertThat(kept).exists();
    }

    @Test
    void what_is_no_school_is_damaged_or_too_new_is_not_restored_and_nothing_changes(@TempDir Path folder)
            throws Exception {
        Path text = Files.writeString(folder.resolve("text.db"), "not a database");
        assertThat(command("restore", text.toString(), data())).isEqualTo(1);
        assertThat(said.toString()).contains("Not done");

        Path newer = folder.resolve("newer.db");
        command("backup", newer.toString(), data());
        JdbcClient.create(new DriverManagerDataSource("jdbc:sqlite:" + newer))
                .sql(
                        """
                INSERT INTO flyway_schema_history SELECT max(installed_rank) + 1, '9999', 'from the future', 'SQL',
                'V9999__x.sql', 1, 'me', '2026-01-01 00:00:00.000', 1, 1 FROM flyway_schema_history""")
                .update();
        assertThat(command("restore", newer.toString(), data())).isEqualTo(1);
        assertThat(said.toString()).contains("newer version");

        Path cut = folder.resolve("cut.db");
        byte[] whole = Files.readAllBytes(newer);
        Files.write(cut, java.util.Arrays.copyOf(whole, whole.length / 2));
        assertThat(command("restore", cut.toString(), data())).isEqualTo(1);
        assertThat(command("restore", folder.resolve("nothing.db").toString(), data()))
                .isEqualTo(1);
        assertThat(command("restore")).isEqualTo(2);
        assertThat(new SchoolFile(SERVER.file()).toRestore()).doesNotExist();
    }

    @Test
    void a_damaged_record_is_named_when_a_backup_is_made(@TempDir Path folder) {
        SERVER.bean(Database.class).write(sql -> sql.sql(
                        "UPDATE lesson_event SET body = body || ' ' WHERE number = 2 AND lesson LIKE 'weather-lab-8%'")
                .update());

        assertThat(command("backup", folder.resolve("b.db").toString(), data())).isZero();
        assertThat(said.toString()).contains("Damaged already", "weather-lab-8");
    }

    @Test
    void a_file_of_an_older_program_is_backed_up_before_it_is_upgraded_and_a_newer_one_is_refused(@TempDir Path folder)
            throws Exception {
        Path file = folder.resolve("school.db");
        var source = new DriverManagerDataSource("jdbc:sqlite:" + file);
        Flyway.configure().dataSource(source).target("9").load().migrate();
        JdbcClient sql = JdbcClient.create(source);
        sql.sql("INSERT INTO school (only_one, name, zone, link_key) VALUES (1, 'Old', 'UTC', randomblob(32))")
                .update();
        RunningServer old = RunningServer.on(file, false);
        old.start();
        old.stop();
        Path before = folder.resolve("backups").resolve("before-upgrade-from-9.db");
        assertThat(before).exists();
        assertThat(JdbcClient.create(new DriverManagerDataSource("jdbc:sqlite:" + before))
                        .sql("SELECT max(CAST(version AS INTEGER)) FROM flyway_schema_history")
                        .query(Integer.class)
                        .single())
                .isEqualTo(9);

        sql.sql(
                        """
                INSERT INTO flyway_schema_history SELECT max(installed_rank) + 1, '9999', 'from the future', 'SQL',
                'V9999__x.sql', 1, 'me', '2026-01-01 00:00:00.000', 1, 1 FROM flyway_schema_history""")
                .update();
        assertThatThrownBy(old::start)
                .hasRootCauseInstanceOf(CannotStart.class)
                .rootCause()
                .hasMessageContaining("newer");
    }

    @Test
    void one_school_is_run_by_one_program_and_a_demo_never_becomes_a_school_nor_a_school_a_demo() {
        assertThatThrownBy(() -> RunningServer.on(SERVER.file(), true).start())
                .rootCause()
                .isInstanceOf(CannotStart.class)
                .hasMessageContaining("Another Juricast is running");
        SERVER.stop();
        assertThatThrownBy(() -> RunningServer.on(SERVER.file(), false).start())
                .rootCause()
                .isInstanceOf(CannotStart.class)
                .hasMessageContaining("made-up school");
        SERVER.start();
    }

    @Test
    void a_real_school_is_backed_up_by_itself_each_day_and_the_oldest_goes(@TempDir Path folder) throws IOException {
        RunningServer real = RunningServer.on(folder.resolve("school.db"), false);
        real.start();
        try {
            real.browser()
                    .post(
                            "/api/first-start",
                            """
                    {"school":"Halvorn Reach School","zone":"UTC","name":"Maren Oddlund","signIn":"maren",
                     "password":"lantern tide nine","setupWord":"%s"}"""
                                    .formatted(RunningServer.SETUP_WORD));
            Backups backups = real.bean(Backups.class);
            Path kept = folder.resolve("backups");
            for (int day = 0; day < 17; day++) {
                backups.daily();
                backups.daily();
                real.advance(Duration.ofDays(1));
            }
            assertThat(BackupFolder.in(kept)).hasSize(14);
            assertThat(backups.isOld(real.now())).isFalse();
            real.advance(Duration.ofDays(1));
            assertThat(backups.isOld(real.now())).isTrue();
            assertThat(List.of(kept.toFile().list())).noneMatch(name -> name.endsWith(".part"));

            TestBrowser maren = real.browser();
            maren.post("/api/session", "{\"name\":\"maren\",\"password\":\"lantern tide nine\"}");
            assertThat(maren.get("/api/upkeep").json().get("checks").toString())
                    .contains("\"what\":\"backup\",\"well\":false");
            assertThat(maren.post("/api/upkeep/backups", "{}")
                            .json()
                            .get("checks")
                            .toString())
                    .contains("\"what\":\"backup\",\"well\":true");
        } finally {
            real.stop();
        }
    }
}
