package juricast.server.watching;

import static juricast.server.lesson.ASmallClass.eventually;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import juricast.core.identity.PersonId;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.data.Database;
import juricast.server.lesson.ASmallClass;
import juricast.server.record.Holds;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** How long recordings are kept, over HTTP, with the clock moved: by the rule, longer by the lead's word, and as long as they are held. */
class RecordingsKeptOverHttpTest {
    private static final PersonId MAREN = new PersonId("maren-oddlund");

    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo("--juricast.recorder.answers-ms=0");

    private ASmallClass small;
    private TestBrowser maren;
    private String path;

    private static TestBrowser.Answer ok(TestBrowser.Answer answer) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer;
    }

    /** A lesson of a class of its own, recorded for ten minutes. */
    @BeforeEach
    void aRecordedLesson() {
        small = new ASmallClass(SERVER).open();
        maren = small.maren;
        path = "/api/recordings/" + small.id().value();
        small.sits(SERVER.signedIn("ines-carrow"), "Ines Carrow");
        ok(small.thora.post(small.lesson + "/recording", ""));
        SERVER.advance(Duration.ofSeconds(10));
        small.theClockTicks();
        eventually(() -> small.desk().at("/recording/phase").asString().equals("ON"));
        SERVER.advance(Duration.ofMinutes(10));
        ok(small.thora.post(small.lesson + "/dismiss", ""));
        eventually(() -> one().has("keptUntil"));
    }

    /** What a thread of the server does by itself; some of them look every few seconds. */
    private JsonNode one() {
        return ok(SERVER.signedIn("maren-oddlund").get(path)).json();
    }

    private Instant keptUntil() {
        return Instant.parse(one().get("keptUntil").asString());
    }

    private static LocalDate day(Instant instant) {
        return instant.atZone(ZoneOffset.UTC).toLocalDate();
    }

    private void moveTo(Instant instant) {
        SERVER.advance(Duration.between(SERVER.now(), instant));
    }

    private static void night() {
        SERVER.advance(Duration.ofMinutes(1));
        var work = SERVER.bean(RecordingsForgetting.class);
        Instant since = SERVER.now();
        for (int step = 0; step < 100 && work.step(since); step++) {
            assertThat(step).as("comes to an end").isLessThan(99);
        }
    }

    private static JsonNode kept() {
        return ok(SERVER.signedIn("maren-oddlund").get("/api/kept")).json();
    }

    private static JsonNode recordings(JsonNode kept) {
        return kept.get("kinds")
                .valueStream()
                .filter(one -> one.get("kind").asString().equals("RECORDINGS"))
                .findFirst()
                .orElseThrow();
    }

    private boolean isErased() {
        return !one().path("erasedAt").isMissingNode();
    }

    @Test
    void it_goes_on_its_day_and_a_line_says_so_for_ever() {
        Instant until = keptUntil();
        moveTo(until.minus(Duration.ofDays(6)));
        assertThat(recordings(kept()).get("nextWeek").asInt()).isPositive();
        moveTo(until.minusSeconds(600));
        night();
        assertThat(isErased()).as("ten minutes before its time").isFalse();

        moveTo(until);
        night();

        assertThat(isErased()).isTrue();
        assertThat(one().at("/adult/erasedWhy").asString())
                .startsWith("kept for ")
                .endsWith(" days by the rule");
        assertThat(SERVER.signedIn("maren-oddlund").get(path + "/playback").status())
                .isEqualTo(409);
        assertThat(kept().get("went").toString()).contains("RECORDINGS");
        night();
        assertThat(SERVER.bean(Database.class)
                        .read()
                        .sql("SELECT count(*) FROM forgotten WHERE about = :id AND kind = 'RECORDINGS'")
                        .param("id", small.id().value())
                        .query(Integer.class)
                        .single())
                .as("said once")
                .isEqualTo(1);
        SERVER.advance(Duration.ofDays(800));
        assertThat(isErased()).as("still said").isTrue();
    }

    @Test
    void the_lead_keeps_it_longer_with_a_reason_and_never_shorter() {
        Instant until = keptUntil();
        String longer = day(until).plusDays(30).toString();
        String body = "{\"until\":\"%s\",\"why\":\"%s\"}";
        assertThat(small.thora
                        .put(path + "/kept", body.formatted(longer, "asked"))
                        .status())
                .as("a teacher")
                .isEqualTo(403);
        assertThat(maren.put(path + "/kept", body.formatted(longer, " ")).text())
                .contains("A reason is needed");
        assertThat(maren.put(path + "/kept", body.formatted(day(until).minusDays(5), "asked"))
                        .status())
                .isEqualTo(400);
        assertThat(maren.put(path + "/kept", body.formatted(day(until).plusYears(11), "asked"))
                        .status())
                .isEqualTo(400);
        assertThat(maren.put(path + "/kept", body.formatted("next spring", "asked"))
                        .status())
                .isEqualTo(400);
        assertThat(keptUntil()).as("none of these changed it").isEqualTo(until);

        JsonNode kept = ok(maren.put(path + "/kept", body.formatted(longer, "a family asks")))
                .json();
        assertThat(kept.at("/adult/extendedWhy").asString()).isEqualTo("a family asks");
        assertThat(kept.at("/adult/extendedBy").asString()).isEqualTo("Maren Oddlund");
        moveTo(until.plus(Duration.ofDays(20)));
        night();
        assertThat(isErased()).as("the rule's day is over").isFalse();
        moveTo(until.plus(Duration.ofDays(32)));
        night();
        assertThat(isErased()).isTrue();
        assertThat(one().at("/adult/erasedWhy").asString()).contains("longer by the lead's word");
    }

    @Test
    void what_is_held_goes_neither_by_night_nor_by_the_leads_word() {
        Holds holds = SERVER.bean(Holds.class);
        long hold = holds.hold(small.id(), 1, 10_000, "a quarrel is looked into", MAREN, SERVER.now());
        assertThat(one().at("/adult/isHeld").asBoolean()).isTrue();
        TestBrowser.Answer no = maren.delete(path + "?why=no+use");
        assertThat(no.status()).isEqualTo(409);
        assertThat(no.text()).contains("held as evidence", "End the hold first");

        moveTo(keptUntil().plus(Duration.ofDays(100)));
        night();
        assertThat(isErased()).isFalse();
        assertThat(recordings(kept()).get("held").asInt()).isPositive();

        holds.release(hold, MAREN, SERVER.now());
        night();
        assertThat(isErased()).isTrue();
    }

    @Test
    void a_rule_that_is_changed_counts_for_what_is_recorded_from_then_on() {
        Instant before = keptUntil();
        SERVER.advance(Duration.ofMinutes(1));
        String place = "/api/rules/class:" + small.ofClass.replaceAll(".*/", "");
        ok(
                small.thora.put(
                        place + "/draft",
                        "{\"rule\":\"recording.kept-days\",\"role\":\"LEAD_ADULT\",\"value\":\"7\",\"binding\":false,\"when\":\"\",\"note\":\"\"}"));
        ok(small.thora.post(place + "/draft/in-force", "{\"from\":\"\"}"));
        SERVER.advance(Duration.ofMinutes(1));
        path = "/api/recordings/"
                + ok(small.thora.post(small.ofClass + "/recordings", "{\"title\":\"Before the storm\"}"))
                        .json()
                        .get("recording")
                        .asString();
        SERVER.advance(Duration.ofMinutes(5));
        ok(small.thora.post(path + "/end", ""));
        assertThat(keptUntil()).isEqualTo(SERVER.now().plus(Duration.ofDays(7)));
        path = "/api/recordings/" + small.id().value();
        night();
        assertThat(keptUntil()).as("as the families were told").isEqualTo(before);
    }
}
