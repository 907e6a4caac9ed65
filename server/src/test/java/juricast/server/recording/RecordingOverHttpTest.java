package juricast.server.recording;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioSystem;
import juricast.core.recording.Failure;
import juricast.core.time.Span;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.lesson.ASmallClass;
import juricast.server.watching.HeardMinutes;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A lesson that is recorded, over HTTP: from the rule to the copy, with every position. */
class RecordingOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo("--juricast.recorder.answers-ms=0");

    private static final JsonMapper JSON = new JsonMapper();

    private final ASmallClass small = new ASmallClass(SERVER);
    private final TestBrowser ines = SERVER.signedIn("ines-carrow");
    private final TestBrowser jory = SERVER.signedIn("jory-pell");

    private static TestBrowser.Answer ok(TestBrowser.Answer answer) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer;
    }

    private void consent(String pupil, String said) {
        ok(small.maren.post(
                "/api/consents/people/" + pupil,
                "{\"said\":\"%s\",\"giver\":\"PARENT\",\"paper\":\"letter\"}".formatted(said)));
    }

    private JsonNode recording() {
        return small.desk().get("recording");
    }

    /** The recorder answers on a thread of its own; each look at the desk gives it time. */
    private void until(String phase) {
        for (int look = 0; look < 2000 && !recording().get("phase").asString().equals(phase); look++) {
            Thread.onSpinWait();
        }
        assertThat(recording().get("phase").asString()).isEqualTo(phase);
    }

    /** Optional, started by Thora, with Ines in; Jory is not to be recorded. @return the seats */
    private Map<String, String> recorded() {
        consent("jory-pell", "REFUSED");
        small.open();
        var seats = new HashMap<String, String>();
        seats.put("ines", small.sits(ines, "Ines Carrow"));
        seats.put("jory", small.sits(jory, "Jory Pell"));
        ok(small.thora.post(small.lesson + "/recording", ""));
        assertThat(recording().get("phase").asString()).isEqualTo("ANNOUNCED");
        SERVER.advance(Duration.ofSeconds(10));
        small.theClockTicks();
        until("ON");
        return seats;
    }

    private void dismissed() {
        SERVER.advance(Duration.ofMinutes(10));
        ok(small.thora.post(small.lesson + "/dismiss", ""));
        SERVER.bean(Coverages.class).goThrough();
    }

    @Test
    void a_seat_is_told_what_is_recorded_of_it_and_never_because_of_whom_it_waits() throws Exception {
        // That Jory is there is no secret where the list is seen; what this is about is whom it waits for.
        small.rule("names.see-list", "PUPIL", "closed");
        var told = new LinkedBlockingQueue<String>();
        Map<String, String> seats = recorded();
        ines.lines(seats.get("ines") + "/stream", 0, told::add);

        assertThat(ines.get(seats.get("ines")).json().at("/recording/shown").asString())
                .isEqualTo("ON");
        assertThat(ines.get(seats.get("ines")).json().at("/mine/recording/now").asString())
                .isEqualTo("ALL");
        assertThat(jory.get(seats.get("jory")).json().at("/mine/recording/now").asString())
                .isEqualTo("CLOSED");
        assertThat(recording().at("/unheard/0/name").asString()).isEqualTo("Jory Pell");
        assertThat(jory.post(seats.get("jory") + "/on/MICROPHONE", "").status()).isEqualTo(409);

        ok(small.thora.put(small.lesson + "/recording/pause", "{\"reason\":\"HEALTH_OR_FAMILY\"}"));
        assertThat(jory.get(seats.get("jory")).json().at("/recording/shown").asString())
                .isEqualTo("PAUSED");
        ok(small.thora.post(small.lesson + "/words", "{\"to\":\"CLASS\",\"text\":\"we go on in a minute\"}"));
        var lines = new StringBuilder();
        while (!lines.toString().contains("we go on in a minute")) {
            String line = told.poll(10, TimeUnit.SECONDS);
            assertThat(line).as("told" + lines).isNotNull();
            lines.append(line);
        }
        assertThat(lines.toString())
                .contains("PAUSED")
                .doesNotContain("HEALTH_OR_FAMILY", "health", "Jory", "unheard", "REFUSED");
        ok(small.thora.delete(small.lesson + "/recording/pause"));
    }

    @Test
    void what_must_be_recorded_starts_by_itself_and_a_failing_recorder_is_asked_again() {
        small.rule("recording.mode", "LEAD_ADULT", "required");
        small.open();
        small.sits(ines, "Ines Carrow");
        assertThat(recording().get("phase").asString()).isEqualTo("ANNOUNCED");
        SERVER.advance(Duration.ofSeconds(10));
        small.theClockTicks();
        until("ON");
        TestBrowser.Answer no = small.thora.delete(small.lesson + "/recording");
        assertThat(no.status()).isEqualTo(409);
        assertThat(no.text()).contains("End a required recording");

        SERVER.bean(RecorderStandIn.class).fail(small.id(), Failure.DISK_FULL);
        assertThat(recording().at("/failure/says").asString()).isEqualTo("its disk is full");
        assertThat(small.desk().get("needs").toString()).contains("RECORDING_FAILS");
        SERVER.bean(RecorderStandIn.class).fail(small.id(), Failure.DISK_FULL);
        SERVER.advance(Duration.ofSeconds(61));
        small.theClockTicks();
        until("FAILED");
        assertThat(small.maren.get("/api/corridor").text()).contains("It has to be recorded, and has not been");
        SERVER.advance(Duration.ofSeconds(60));
        small.theClockTicks();
        until("ON");
        dismissed();

        JsonNode line = line();
        assertThat(line.get("requiredSeconds").asInt()).isEqualTo(10 + 121 + 600);
        assertThat(line.get("missing").toString()).contains("FAILED").contains("121");
        assertThat(line.get("coveredSeconds").asInt()).isEqualTo(600);
    }

    private JsonNode line() {
        return small.thora
                .get("/api/recordings?ofClass=" + small.ofClass.replaceAll(".*/", ""))
                .json()
                .get("lines")
                .get(0);
    }

    @Test
    void it_is_watched_by_whom_the_rules_let_and_never_with_those_who_may_not_be_in_it() throws Exception {
        Map<String, String> seats = recorded();
        ok(small.thora.put(small.lesson + "/live-setting", "{\"rule\":\"chat.class\",\"value\":\"open\"}"));
        ok(ines.post(seats.get("ines") + "/words", "{\"to\":\"CLASS\",\"text\":\"is it <b> & --> b?\"}"));
        ok(jory.post(seats.get("jory") + "/words", "{\"to\":\"CLASS\",\"text\":\"SECRET of somebody\"}"));
        ok(small.thora.post(small.lesson + "/captions", "{\"text\":\"Jory asks --> what & why <now>\"}"));
        ok(small.thora.put(small.lesson + "/recording/pause", "{\"reason\":\"CONFIDES\"}"));
        ok(ines.post(seats.get("ines") + "/words", "{\"to\":\"CLASS\",\"text\":\"only in the pause\"}"));
        ok(small.thora.delete(small.lesson + "/recording/pause"));
        dismissed();
        String path = "/api/recordings/" + small.id().value();

        String shown = ok(small.thora.get(path + "/playback")).text();
        assertThat(shown).contains("is it <b>").doesNotContain("Jory", "SECRET", "only in the pause");
        assertThat(small.thora.get(path + "/playback").json().get("leftOut").asInt())
                .isEqualTo(1);
        String captions = ok(small.thora.get(path + "/captions.vtt")).text();
        assertThat(captions).startsWith("WEBVTT").contains("--&gt; what &amp; why &lt;now&gt;");
        assertThat(captions.lines().filter(line -> line.contains("-->")))
                .allMatch(line -> line.matches("\\d\\d:\\d\\d:\\d\\d\\.\\d{3} --> \\d\\d:\\d\\d:\\d\\d\\.\\d{3}"));

        assertThat(ok(ines.get(path + "/playback")).text())
                .as("the demo's charter lets pupils")
                .contains("is it <b>");
        assertThat(SERVER.signedIn("wen-ostrander").get(path + "/playback").status())
                .as("of another class")
                .isEqualTo(404);
        assertThat(SERVER.signedIn("orla-venn").get(path).status()).isEqualTo(404);
        assertThat(ines.get(path + "/copy").status()).isEqualTo(403);
        assertThat(small.maren.get("/api/looks").text()).contains("a recording");

        consent("ines-carrow", "WITHDRAWN");
        assertThat(small.thora.get(path + "/playback").text()).doesNotContain("is it <b>", "Ines");
        Map<String, byte[]> copy = copy(path);
        assertThat(new String(copy.get("manifest.json"), StandardCharsets.UTF_8))
                .doesNotContain("Ines", "Jory");
        consent("ines-carrow", "GIVEN");
    }

    /** The copy opened as another program opens it: the sums of its manifest are those of its parts, and the sound plays. */
    private Map<String, byte[]> copy(String path) throws Exception {
        var parts = new HashMap<String, byte[]>();
        byte[] zip = small.maren.bytes(path + "/copy");
        try (var read = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry entry = read.getNextEntry(); entry != null; entry = read.getNextEntry()) {
                parts.put(entry.getName(), read.readAllBytes());
            }
        }
        JsonNode manifest = JSON.readTree(parts.get("manifest.json"));
        assertThat(SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                        .getSchema(
                                SERVER.browser().get("/api/recordings/schema").text())
                        .validate(manifest))
                .isEmpty();
        assertThat(manifest.get("parts").size()).isEqualTo(parts.size() - 1);
        for (JsonNode part : manifest.get("parts")) {
            byte[] content = parts.get(part.get("name").asString());
            assertThat(part.get("bytes").asInt()).isEqualTo(content.length);
            assertThat(part.get("sha256").asString())
                    .isEqualTo(HexFormat.of()
                            .formatHex(MessageDigest.getInstance("SHA-256").digest(content)));
        }
        try (var sound = AudioSystem.getAudioInputStream(new ByteArrayInputStream(parts.get("sound.wav")))) {
            AudioFormat format = sound.getFormat();
            assertThat(format.getSampleRate()).isEqualTo(8000f);
            assertThat(sound.getFrameLength())
                    .isEqualTo(manifest.get("lengthMs").asLong() * 8);
        }
        return parts;
    }

    @Test
    void sound_is_given_from_any_place_on_and_silence_where_nobody_may_be_heard() {
        recorded();
        dismissed();
        String path = "/api/recordings/" + small.id().value() + "/sound";
        byte[] all = small.thora.bytes(path);

        assertThat(new String(all, 0, 4, StandardCharsets.US_ASCII)).isEqualTo("RIFF");
        assertThat(all).hasSize(44 + 8000 * 600);
        assertThat(all[44 + 8000]).as("silence").isEqualTo((byte) 128);
        assertThat(small.thora.range(path, "bytes=44-143")).isEqualTo(Arrays.copyOfRange(all, 44, 144));
        assertThat(small.thora.range(path, "bytes=99999999-")).isEmpty();
    }

    @Test
    void minutes_of_it_are_taken_along_as_evidence_as_long_as_it_is_kept() {
        recorded();
        Instant from = SERVER.now();
        dismissed();
        HeardMinutes minutes = SERVER.bean(HeardMinutes.class);
        var wanted = List.of(new Span(from.plusSeconds(60), from.plusSeconds(90)));

        assertThat(minutes.of(small.id(), wanted).orElseThrow().sound()).hasSize(44 + 8000 * 30);
        assertThat(minutes.of(small.id(), List.of(new Span(from.minusSeconds(90), from.minusSeconds(60)))))
                .isEmpty();
        ok(small.maren.delete("/api/recordings/" + small.id().value() + "?why=A+mistake"));
        assertThat(minutes.of(small.id(), wanted)).isEmpty();
    }

    @Test
    void what_was_deleted_a_moment_ago_is_neither_watched_nor_taken_and_says_by_whom_and_why() {
        recorded();
        dismissed();
        String path = "/api/recordings/" + small.id().value();
        ok(ines.get(path + "/playback"));
        assertThat(small.thora.delete(path + "?why=A+mistake").status()).isEqualTo(403);
        assertThat(small.maren.delete(path + "?why=+").status()).isEqualTo(400);
        ok(small.maren.delete(path + "?why=A+pupil+confided"));

        for (String part : List.of("/playback", "/sound", "/captions.vtt", "/copy")) {
            TestBrowser.Answer gone = small.maren.get(path + part);
            assertThat(gone.status()).as(part).isEqualTo(409);
            assertThat(gone.text()).contains("deleted");
        }
        assertThat(ok(small.thora.get(path)).json().at("/adult/erasedWhy").asString())
                .isEqualTo("deleted by Maren Oddlund: A pupil confided");
    }

    @Test
    void after_a_crash_what_the_recorder_has_lost_is_missing_and_it_is_asked_again() {
        recorded();
        SERVER.advance(Duration.ofMinutes(2));
        SERVER.bean(TellingTheRecorder.class).alive();
        SERVER.advance(Duration.ofMinutes(1));
        String lesson = small.lesson;
        SERVER.restart();
        TestBrowser thora = SERVER.signedIn("thora-melling");

        JsonNode needs = thora.get(lesson + "/desk").json().get("needs");
        assertThat(needs.toString()).contains("RECORDING_FAILS");
        SERVER.advance(Duration.ofMinutes(1));
        small.theClockTicks();
        for (int look = 0; look < 2000 && !phase(thora, lesson).equals("ON"); look++) {
            Thread.onSpinWait();
        }
        SERVER.advance(Duration.ofMinutes(5));
        ok(thora.post(lesson + "/dismiss", ""));
        SERVER.bean(Coverages.class).goThrough();
        JsonNode played =
                thora.get("/api/recordings/" + small.id().value() + "/playback").json();
        assertThat(played.get("segments").size()).isEqualTo(2);
        assertThat(played.get("lengthMs").asLong())
                .as("what was heard of, and what came after")
                .isEqualTo(Duration.ofMinutes(7).toMillis());
    }

    private static String phase(TestBrowser adult, String lesson) {
        return adult.get(lesson + "/desk").json().at("/recording/phase").asString();
    }

    @Test
    void how_much_was_watched_is_what_can_have_been_played() {
        recorded();
        dismissed();
        String path = "/api/recordings/" + small.id().value();
        String report = "{\"pieces\":[{\"fromMs\":0,\"untilMs\":300000}]}";

        assertThat(ok(ines.post(path + "/watched", report))
                        .json()
                        .get("percent")
                        .asInt())
                .as("never opened")
                .isZero();
        ok(ines.get(path + "/playback"));
        assertThat(ok(ines.post(path + "/watched", report))
                        .json()
                        .get("percent")
                        .asInt())
                .as("five minutes in no time")
                .isZero();
        SERVER.advance(Duration.ofMinutes(5));
        assertThat(ok(ines.post(path + "/watched", report))
                        .json()
                        .get("percent")
                        .asInt())
                .isEqualTo(50);
        SERVER.advance(Duration.ofMinutes(20));
        assertThat(ok(ines.post(
                                path + "/watched",
                                "{\"pieces\":[{\"fromMs\":0,\"untilMs\":300000},{\"fromMs\":200000,\"untilMs\":99000000}]}"))
                        .json()
                        .get("percent")
                        .asInt())
                .as("more than there is can not have been played in that time")
                .isEqualTo(50);
        assertThat(ines.post(path + "/watched", "{\"pieces\":[{\"fromMs\":9,\"untilMs\":2}]}")
                        .status())
                .isEqualTo(400);
        assertThat(small.thora.get(path).json().at("/adult/watchers").toString())
                .contains("{\"name\":\"Ines Carrow\",\"percent\":50}");
    }

    @Test
    void who_may_only_ask_asks_once_and_an_adult_answers() {
        small.rule("recording.watch", "PUPIL", "on-request");
        recorded();
        dismissed();
        String path = "/api/recordings/" + small.id().value();

        assertThat(ines.get(path + "/playback").status()).isEqualTo(403);
        assertThat(ines.get("/api/recordings/mine").text()).contains("\"watch\":\"ASK\"");
        ok(ines.post(path + "/wishes", "{\"copy\":false,\"why\":\"I was ill\"}"));
        ok(ines.post(path + "/wishes", "{\"copy\":false,\"why\":\"again\"}"));
        JsonNode wishes = small.thora.get(path).json().at("/adult/wishes");
        assertThat(wishes.size()).isEqualTo(1);
        assertThat(jory.post(path + "/wishes", "{\"copy\":true,\"why\":\"\"}").status())
                .as("a copy is closed")
                .isEqualTo(403);
        ok(small.thora.put(path + "/wishes/" + wishes.get(0).get("id").asInt(), "{\"days\":7}"));
        ok(ines.get(path + "/playback"));
        SERVER.advance(Duration.ofDays(8));
        assertThat(SERVER.signedIn("ines-carrow").get(path + "/playback").status())
                .isEqualTo(403);
    }

    @Test
    void one_recorded_ahead_is_found_on_its_day_and_counts_in_a_register_where_the_school_wants() {
        small.rule("register.watched-percent", "LEAD_ADULT", "80");
        String id = ok(small.thora.post(small.ofClass + "/recordings", "{\"title\":\"Before the storm\"}"))
                .json()
                .get("recording")
                .asString();
        String path = "/api/recordings/" + id;
        SERVER.advance(Duration.ofMinutes(10));
        ok(small.thora.post(path + "/end", ""));
        assertThat(ines.get(path + "/playback").status()).as("not shown yet").isEqualTo(404);
        String day = SERVER.today().toString();
        ok(small.thora.put(
                path + "/shown",
                "{\"from\":\"%sT00:00\",\"until\":\"%s\",\"forLesson\":\"%s\"}"
                        .formatted(day, SERVER.today().plusDays(3), small.id().value())));
        ok(small.thora.post(small.lesson + "/open", ""));
        ok(small.thora.post(small.lesson + "/dismiss", ""));
        assertThat(mark("Ines Carrow")).isEqualTo("ABSENT");

        ok(ines.get(path + "/playback"));
        SERVER.advance(Duration.ofMinutes(10));
        ok(ines.post(path + "/watched", "{\"pieces\":[{\"fromMs\":0,\"untilMs\":540000}]}"));
        assertThat(mark("Ines Carrow")).isEqualTo("WATCHED");
        assertThat(mark("Jory Pell")).isEqualTo("ABSENT");
        SERVER.advance(Duration.ofDays(5));
        assertThat(SERVER.signedIn("ines-carrow").get(path + "/playback").status())
                .as("its time is over")
                .isEqualTo(404);
    }

    private String mark(String name) {
        return small.thora
                .get(small.lesson + "/register")
                .json()
                .get("lines")
                .valueStream()
                .filter(line -> line.get("name").asString().equals(name))
                .findFirst()
                .orElseThrow()
                .get("mark")
                .asString();
    }

    @Test
    void consents_come_from_a_file_exactly_as_shown_and_go_out_as_one() {
        byte[] file =
                """
                Name,Consent,By,Paper,From,Until
                Jory Pell,given,parent,form 4,2026-09-01,2027-07-31
                Nobody Known,given,,,,
                Ines Carrow,given,,,,
                Ines Carrow,refused,,,,
                """
                        .getBytes(StandardCharsets.UTF_8);
        JsonNode shown =
                ok(small.maren.upload("/api/consents/import/preview", file, "")).json();
        assertThat(shown.get("noted").size()).isEqualTo(1);
        assertThat(shown.get("wrong").toString())
                .contains("“Nobody Known” is no pupil of this school")
                .contains("Two rows say different things about Ines Carrow");
        assertThat(small.thora.upload("/api/consents/import/preview", file, "").status())
                .isEqualTo(403);
        assertThat(small.maren
                        .upload("/api/consents/import?fingerprint=other", file, "")
                        .status())
                .isEqualTo(409);
        ok(small.maren.upload(
                "/api/consents/import?fingerprint=" + shown.get("fingerprint").asString(), file, ""));
        assertThat(ok(small.thora.get("/api/consents/people/jory-pell")).text()).contains("form 4");

        byte[] table = ok(small.maren.get("/api/consents/table")).text().getBytes(StandardCharsets.UTF_8);
        JsonNode again = ok(small.maren.upload("/api/consents/import/preview", table, ""))
                .json();
        assertThat(again.get("noted").size())
                .as("its own table changes nothing")
                .isZero();
        assertThat(again.get("wrong").size()).isZero();
    }

    @Test
    void a_visitor_is_asked_at_the_door_and_nothing_is_guessed_of_who_says_nothing() {
        ok(small.thora.put(
                small.lesson + "/plan", "{\"visitors\":[\"Bryn Calloway\"],\"recording\":false,\"groups\":false}"));
        String token = small.thora
                .get(small.lesson + "/plan")
                .json()
                .at("/invited/0/link")
                .asString()
                .replaceAll(".*/join/", "");
        TestBrowser bryn = SERVER.browser();
        assertThat(bryn.get("/api/doorsteps/" + token).json().get("asksConsent").asBoolean())
                .isTrue();
        small.open();
        ok(bryn.post(
                "/api/doorsteps/" + token + "/knock",
                "{\"name\":\"\",\"word\":\"\",\"agreed\":true,\"mayBeRecorded\":false}"));
        assertThat(SERVER.browser()
                        .get("/api/doorsteps/" + token)
                        .json()
                        .get("asksConsent")
                        .asBoolean())
                .as("asked once")
                .isFalse();
    }
}
