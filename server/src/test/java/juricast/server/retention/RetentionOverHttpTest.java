package juricast.server.retention;

import static juricast.server.lesson.ASmallClass.eventually;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.data.Database;
import juricast.server.lesson.ASmallClass;
import juricast.server.record.AtNight;
import juricast.server.record.FinishedLessons;
import juricast.server.record.Holds;
import juricast.server.record.Journal;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** What is kept is forgotten on time, leaves no trace, and is said; what is held stays. */
class RetentionOverHttpTest {
    private static final AtomicInteger MADE = new AtomicInteger();
    private static final PersonId MAREN = new PersonId("maren-oddlund");

    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo("--juricast.recorder.answers-ms=0");

    /** Words that stand nowhere else, and are another lesson's each time. */
    private final String secret = "quillwort-and-samphire-" + MADE.incrementAndGet();

    private ASmallClass small;
    private TestBrowser ines;

    private static TestBrowser.Answer ok(TestBrowser.Answer answer) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer;
    }

    /** A lesson that is over, in which Ines wrote and drew, and Thora captioned. */
    @BeforeEach
    void aLessonWithWords() {
        small = new ASmallClass(SERVER).open();
        ines = SERVER.signedIn("ines-carrow");
        String seat = small.sits(ines, "Ines Carrow");
        ok(small.thora.put(small.lesson + "/live-setting", "{\"rule\":\"chat.class\",\"value\":\"open\"}"));
        ok(small.thora.put(small.lesson + "/live-setting", "{\"rule\":\"share.draw\",\"value\":\"open\"}"));
        ok(ines.post(seat + "/words", "{\"to\":\"CLASS\",\"text\":\"%s\"}".formatted(secret)));
        ok(small.thora.post(small.lesson + "/captions", "{\"text\":\"%s aloud\"}".formatted(secret)));
        SERVER.advance(Duration.ofMinutes(1));
        ok(small.thora.post(small.lesson + "/dismiss", ""));
    }

    /** A whole night's work, however many steps it takes. */
    private void night() {
        SERVER.advance(Duration.ofMinutes(1));
        var since = SERVER.now();
        List<AtNight> work = SERVER.provider(AtNight.class).orderedStream().toList();
        for (AtNight one : Stream.concat(work.stream(), work.stream()).toList()) {
            for (int step = 0; step < 500 && one.step(since); step++) {
                assertThat(step)
                        .as(one.getClass().getSimpleName() + " comes to an end")
                        .isLessThan(499);
            }
        }
    }

    private boolean isInTheFile() throws Exception {
        return isInTheFile(secret);
    }

    private boolean isInTheFile(String words) throws Exception {
        for (String ending : List.of("", "-wal")) {
            Path file = Path.of(SERVER.file() + ending);
            if (Files.exists(file)
                    && new String(Files.readAllBytes(file), StandardCharsets.ISO_8859_1).contains(words)) {
                return true;
            }
        }
        return false;
    }

    private JsonNode kept() {
        return ok(SERVER.signedIn("maren-oddlund").get("/api/kept")).json();
    }

    @Test
    void words_and_captions_go_on_their_day_and_are_in_no_table_no_index_and_no_log_any_more() throws Exception {
        assertThat(isInTheFile()).isTrue();
        SERVER.advance(Duration.ofDays(175));
        night();
        assertThat(isInTheFile()).as("not yet").isTrue();
        assertThat(kept().at("/kinds/0/nextWeek").asInt()).isPositive();

        SERVER.advance(Duration.ofDays(6));
        night();

        assertThat(isInTheFile()).isFalse();
        assertThat(SERVER.bean(Journal.class).read(small.id()).events())
                .as("the chain is whole")
                .isNotEmpty();
        assertThat(kept().get("went").toString()).contains("WORDS", "CAPTIONS", "chat.kept-days");
        assertThat(SERVER.signedIn("maren-oddlund")
                        .get(small.lesson + "/replay")
                        .text())
                .contains("What happened here was erased")
                .doesNotContain(secret);
    }

    @Test
    void answers_slates_boards_and_merits_leave_no_trace_when_their_time_is_over() throws Exception {
        var other = new ASmallClass(SERVER).open();
        String seat = other.sits(ines, "Ines Carrow");
        String mine = "weld-and-woad-" + MADE.incrementAndGet();
        String mark =
                "{\"shape\":\"TEXT\",\"ink\":\"INK\",\"width\":1,\"points\":[5,5],\"text\":\"%s\"}".formatted(mine);
        ok(other.thora.post(
                other.lesson + "/questions",
                "{\"question\":{\"kind\":\"TEXT\",\"text\":\"Which dye?\",\"points\":0},\"changeable\":true}"));
        String number = other.desk().at("/questions/now/number").asString();
        ok(ines.post(seat + "/questions/" + number + "/answer", "{\"text\":\"%s\"}".formatted(mine)));
        ok(other.thora.post(other.lesson + "/slates", "{\"ground\":\"BLANK\"}"));
        ok(ines.post(seat + "/slate/marks", mark));
        ok(other.thora.post(other.lesson + "/board/marks", "{\"page\":0,\"drawing\":" + mark + "}"));
        ok(other.thora.post(
                other.lesson + "/merits", "{\"people\":[\"ines-carrow\"],\"reason\":\"%s\"}".formatted(mine)));
        SERVER.advance(Duration.ofMinutes(1));
        ok(other.thora.post(other.lesson + "/dismiss", ""));
        assertThat(isInTheFile(mine)).isTrue();

        SERVER.advance(Duration.ofDays(366));
        night();
        assertThat(SERVER.signedIn("thora-melling")
                        .get(other.lesson + "/results")
                        .json()
                        .get("forgotten")
                        .asBoolean())
                .isTrue();
        assertThat(kept().get("went").toString()).contains("ANSWERS", "activities.kept-days");
        assertThat(isInTheFile(mine)).as("the merit is kept as the register is").isTrue();

        SERVER.advance(Duration.ofDays(740));
        night();
        assertThat(isInTheFile(mine)).isFalse();
    }

    @Test
    void nothing_is_worked_out_any_more_from_a_lesson_that_was_forgotten_since_the_round_began() {
        LessonId other = endedToo();
        var handed = new ArrayList<LessonId>();
        SERVER.bean(FinishedLessons.class)
                .each(
                        "SELECT 1 WHERE lesson_stage.lesson NOT IN ('%s', '%s')"
                                .formatted(small.id().value(), other.value()),
                        "What a test looks for",
                        lesson -> {
                            handed.add(lesson);
                            SERVER.advance(Duration.ofDays(1100));
                            night();
                        });

        assertThat(handed).hasSize(1);
    }

    private static LessonId endedToo() {
        var lesson = new ASmallClass(SERVER).open();
        SERVER.advance(Duration.ofMinutes(1));
        ok(lesson.thora.post(lesson.lesson + "/dismiss", ""));
        return lesson.id();
    }

    @Test
    void what_is_held_as_evidence_stays_whatever_its_time_until_the_hold_ends() throws Exception {
        Holds holds = SERVER.bean(Holds.class);
        long hold = holds.hold(small.id(), 1, 10_000, "a quarrel is looked into", MAREN, SERVER.now());
        SERVER.advance(Duration.ofDays(200));
        night();

        assertThat(isInTheFile()).isTrue();
        assertThat(kept().get("held").toString()).contains("a quarrel is looked into");
        assertThat(kept().at("/kinds/0/held").asInt()).isPositive();
        holds.release(hold, MAREN, SERVER.now());
        night();
        assertThat(isInTheFile()).isFalse();
    }

    @Test
    void a_lesson_of_which_something_is_held_stays_whole_and_goes_when_it_is_let_go() {
        String said = "SELECT count(*) FROM lesson_event WHERE lesson = :lesson AND body IS NOT NULL";
        Holds holds = SERVER.bean(Holds.class);
        long hold = holds.hold(small.id(), 3, 4, "a quarrel is looked into", MAREN, SERVER.now());
        SERVER.advance(Duration.ofDays(1100));
        night();

        assertThat(count(said)).as("that it began and ended, too").isGreaterThan(2);
        assertThat(SERVER.signedIn("maren-oddlund")
                        .get(small.lesson + "/register")
                        .status())
                .isEqualTo(200);
        holds.release(hold, MAREN, SERVER.now());
        night();
        assertThat(count(said)).isZero();
    }

    @Test
    void a_register_goes_in_the_end_with_all_that_was_worked_out_from_it() {
        String table = "SELECT count(*) FROM attendance JOIN attendance_number ON number = lesson WHERE id = :lesson";
        eventually(() -> count(table) == 2);
        SERVER.advance(Duration.ofDays(1100));
        night();

        assertThat(count(table)).isZero();
        TestBrowser.Answer gone = SERVER.signedIn("maren-oddlund").get(small.lesson + "/register");
        assertThat(gone.status()).isEqualTo(409);
        assertThat(gone.text()).contains("This register was deleted on");
        assertThat(SERVER.bean(Journal.class).read(small.id()).events())
                .as("the chain is whole")
                .isNotEmpty();
    }

    private int count(String sql) {
        return SERVER.bean(Database.class)
                .read()
                .sql(sql)
                .param("lesson", small.id().value())
                .query(Integer.class)
                .single();
    }

    /** What a thread of the server works out by itself; it looks every few seconds. */
    @Test
    void a_family_gets_all_about_one_pupil_and_nothing_of_another() throws Exception {
        ok(SERVER.signedIn("maren-oddlund").get("/api/kept"));
        var parts = new HashMap<String, String>();
        byte[] zip = SERVER.signedIn("maren-oddlund").bytes("/api/people/ines-carrow/file");
        try (var read = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry entry = read.getNextEntry(); entry != null; entry = read.getNextEntry()) {
                parts.put(entry.getName(), new String(read.readAllBytes(), StandardCharsets.UTF_8));
            }
        }
        assertThat(parts.get("words.csv")).contains(secret);
        assertThat(parts.get("lessons.csv")).contains(small.id().value());
        assertThat(parts.get("consents.csv")).contains("admission form");
        assertThat(parts.get("classes.csv")).contains("Locked Doors");
        assertThat(parts.get("manifest.json")).contains("sha256");
        assertThat(String.join("\n", parts.values())).doesNotContain("jory-pell", "Jory Pell");
        assertThat(small.thora.get("/api/people/ines-carrow/file").status()).isEqualTo(403);
    }

    @Test
    void who_leaves_is_out_of_classes_and_account_and_what_rules_keep_is_named() {
        TestBrowser maren = SERVER.signedIn("maren-oddlund");
        String path = "/api/people/jory-pell/leaving";
        TestBrowser jory = SERVER.signedIn("jory-pell");
        assertThat(maren.post(path, "{\"name\":\"Jory\"}").status()).isEqualTo(400);
        Map<String, JsonNode> before = Map.of("page", ok(maren.get(path)).json());
        assertThat(before.get("page").get("goes").toString()).contains("places in classes", "sign-ins that go on");

        JsonNode done = ok(maren.post(path, "{\"name\":\"Jory Pell\"}")).json();

        assertThat(done.get("kept").toString()).contains("lessons with their register");
        assertThat(ok(maren.get(path)).json().get("goes").size())
                .as("nothing is left to go")
                .isZero();
        assertThat(jory.get("/api/my-day").status()).isEqualTo(401);
        assertThat(small.thora.get(small.ofClass).text()).doesNotContain("Jory Pell");
        assertThat(maren.get("/api/kept").text()).contains("LEFT");
    }
}
