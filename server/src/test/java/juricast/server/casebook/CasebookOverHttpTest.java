package juricast.server.casebook;

import static juricast.server.lesson.ASmallClass.eventually;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.util.HashMap;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.stream.StreamSupport;
import java.util.zip.ZipInputStream;
import juricast.core.casebook.IncidentId;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.classes.Classes;
import juricast.server.data.Database;
import juricast.server.data.School;
import juricast.server.lesson.ASmallClass;
import juricast.server.record.Holds;
import juricast.server.record.IncidentRecord;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

class CasebookOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private ASmallClass small;
    private TestBrowser ines;
    private TestBrowser jory;
    private String hers;
    private String his;

    @BeforeEach
    void twoAreInOfWhomNothingIsKnown() {
        SERVER.bean(Database.class)
                .append(sql -> sql.sql("DELETE FROM step_taken").update());
        small = new ASmallClass(SERVER).open();
        ines = SERVER.signedIn("ines-carrow");
        jory = SERVER.signedIn("jory-pell");
        hers = small.sits(ines, "Ines Carrow");
        his = small.sits(jory, "Jory Pell");
    }

    private static TestBrowser.Answer ok(TestBrowser.Answer answer) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer;
    }

    private String step(String person, String act, String step, String why) {
        return "{\"people\":[\"%s\"],\"act\":\"%s\",\"step\":\"%s\",\"why\":\"%s\",\"seen\":%d}"
                .formatted(
                        person,
                        act,
                        step,
                        why,
                        small.desk().at("/conduct/latest").asInt());
    }

    /** The number of the latest incident of this class that somebody may read, once it is there. */
    private int incident(TestBrowser browser) {
        String title = small.thora.get(small.ofClass).json().get("title").asString();
        int[] number = new int[1];
        eventually(() -> {
            JsonNode lines = ok(browser.get("/api/casebook")).json().get("lines");
            number[0] = StreamSupport.stream(lines.spliterator(), false)
                    .filter(one -> title.equals(one.path("classTitle").asString()))
                    .mapToInt(one -> one.get("number").asInt())
                    .findFirst()
                    .orElse(0);
            return number[0] > 0;
        });
        return number[0];
    }

    private static JsonNode page(TestBrowser browser, int incident) {
        return ok(browser.get("/api/casebook/" + incident)).json();
    }

    @Test
    void a_step_takes_its_evidence_along_and_opens_an_incident_that_reads_from_top_to_bottom() {
        small.rule("chat.class", "PUPIL", "open");
        ok(jory.post(his + "/words", "{\"to\":\"CLASS\",\"text\":\"you are all losers\"}"));
        JsonNode sheet =
                ok(small.thora.get(small.lesson + "/conduct?people=jory-pell")).json();
        assertThat(sheet.at("/evidence/words").asInt()).isEqualTo(1);
        assertThat(sheet.at("/rows/0/people/0").asString()).isEqualTo("jory-pell");
        JsonNode insult = StreamSupport.stream(sheet.at("/people/0/proposed").spliterator(), false)
                .filter(one -> one.get("act").asString().equals("insult"))
                .findFirst()
                .orElseThrow();
        assertThat(insult.get("step").asString()).isEqualTo("reminder");
        assertThat(insult.get("why").toString()).contains("stands at step 2", "Nothing before it");

        ok(small.thora.post(small.lesson + "/steps", step("jory-pell", "insult", "reminder", "")));
        assertThat(ok(jory.get(his)).json().at("/mine/conduct/last/act").asString())
                .isEqualTo("Insults");
        ok(small.thora.post(small.lesson + "/steps", step("jory-pell", "insult", "curb", "")));

        JsonNode read = page(small.thora, incident(small.thora));
        assertThat(read.get("lines").toString())
                .contains("you are all losers", "Step 2, a reminder", "Step 3", "proposed, taken as proposed");
        assertThat(read.at("/people/0/part").asString()).isEqualTo("DID");
        assertThat(read.at("/proof/events").asInt()).isPositive();
        assertThat(SERVER.bean(Holds.class).of(small.id())).isNotEmpty();
        assertThat(SERVER.bean(IncidentRecord.class).damaged()).isEmpty();
    }

    @Test
    void who_is_sent_to_the_door_reads_a_kind_reason_and_a_curb_of_another_adult_is_seen_first() {
        ok(small.anton.post(small.lesson + "/join", "{}"));
        String before = step("ines-carrow", "refusal", "door", "a minute to calm down");
        ok(small.thora.post(small.lesson + "/steps", before));
        assertThat(ok(ines.get(hers)).text()).contains("wait at the door for a moment");

        TestBrowser.Answer late = small.anton.post(small.lesson + "/steps", before);
        assertThat(late.status()).isEqualTo(409);
        assertThat(late.text()).contains("not");
        assertThat(ok(small.thora.post(small.lesson + "/admit-all-listed", "{}"))
                        .json()
                        .at("/door/waiting/0/person")
                        .asString())
                .as("no key for all lets in who was sent out")
                .contains("ines");
    }

    @Test
    void a_worry_reaches_the_adults_and_nobody_else_learns_that_it_was_pressed() throws InterruptedException {
        var toJory = new LinkedBlockingQueue<String>();
        var toThora = new LinkedBlockingQueue<String>();
        var line = jory.lines(his + "/stream", 0, toJory::add);
        var desk = small.thora.lines(small.lesson + "/desk/stream", 0, toThora::add);
        assertThat(toJory.poll(5, TimeUnit.SECONDS)).isNotNull();
        assertThat(toThora.poll(5, TimeUnit.SECONDS)).isNotNull();

        ok(ines.post(
                hers + "/worry", "{\"about\":\"A_PUPIL\",\"words\":\"SECRET he writes to me\",\"leadOnly\":false}"));
        ok(small.thora.post(small.lesson + "/announcements", "{\"text\":\"Done\"}"));
        String told = until(toJory, "Done");
        assertThat(told.substring(told.indexOf("event:change")))
                .as("only the announcement, and a number")
                .doesNotContain("SECRET", "conduct", "A_PUPIL", "ines");
        assertThat(until(toThora, "Done")).contains("SECRET he writes to me");
        assertThat(ok(ines.get(hers)).json().at("/mine/conduct/raised").size()).isEqualTo(1);
        line.cancel(true);
        desk.cancel(true);

        int number = small.desk().at("/conduct/worries/0/number").asInt();
        ok(small.thora.post(small.lesson + "/worries/" + number + "/seen", "{}"));
        assertThat(small.desk().at("/conduct/worries").size()).isZero();
        assertThat(page(small.thora, incident(small.thora)).get("lines").toString())
                .contains("SECRET");
    }

    private static String until(BlockingQueue<String> lines, String last) throws InterruptedException {
        var all = new StringBuilder();
        while (all.indexOf(last) < 0) {
            String one = lines.poll(10, TimeUnit.SECONDS);
            assertThat(one).as("a line with " + last).isNotNull();
            all.append(one).append('\n');
        }
        return all.toString();
    }

    @Test
    void a_worry_about_an_adult_is_for_the_lead_alone_in_the_lesson_the_replay_and_the_casebook() {
        ok(ines.post(hers + "/worry", "{\"about\":\"AN_ADULT\",\"words\":\"SECRET\",\"leadOnly\":false}"));

        assertThat(ok(small.thora.get(small.lesson + "/desk")).text()).doesNotContain("SECRET");
        assertThat(ok(small.thora.get(small.lesson + "/replay")).text()).doesNotContain("SECRET", "quietly");
        int number = incident(small.maren);
        assertThat(page(small.maren, number).get("lines").toString()).contains("SECRET");
        for (TestBrowser adult : new TestBrowser[] {small.thora, small.anton}) {
            assertThat(adult.get("/api/casebook/" + number).status()).isEqualTo(404);
            assertThat(ok(adult.get("/api/casebook")).text()).doesNotContain("about an adult");
            assertThat(ok(adult.get("/api/casebook?find=secret")).text()).doesNotContain("about an adult");
            assertThat(adult.post("/api/casebook/" + number + "/notes", "{\"text\":\"x\",\"leadOnly\":false}")
                            .status())
                    .isEqualTo(404);
        }
        assertThat(ok(small.maren.get("/api/casebook?find=secr")).text()).contains("about an adult");
        assertThat(ok(small.maren.get("/api/corridor")).text())
                .contains("a pupil has raised a worry about an adult")
                .doesNotContain("SECRET");
    }

    @Test
    void a_worry_about_an_adult_in_a_lesson_of_the_only_lead_is_read_by_a_head_of_year_in_their_stead() {
        SERVER.bean(Database.class).write(sql -> {
            Classes.join(
                    sql,
                    new ClassId(small.ofClass.replace("/api/classes/", "")),
                    new PersonId("maren-oddlund"),
                    Role.SECOND_ADULT,
                    SERVER.now());
            return null;
        });
        ok(small.maren.put("/api/ladder/years/11/heads", "{\"people\":[\"greta-lomond\"]}"));
        TestBrowser greta = SERVER.signedIn("greta-lomond");
        eventually(() -> ok(ines.get(hers)).json().get("adults").toString().contains("Maren"));
        ok(ines.post(hers + "/worry", "{\"about\":\"AN_ADULT\",\"words\":\"SECRET\",\"leadOnly\":false}"));

        int number = incident(greta);
        assertThat(page(greta, number).get("lines").toString()).contains("SECRET");
        assertThat(page(greta, number).get("may").toString()).contains("CLOSE");
        assertThat(small.maren.get("/api/casebook/" + number).status()).isEqualTo(404);
        JsonNode corridor = ok(small.maren.get("/api/corridor")).json().get("lessons");
        assertThat(StreamSupport.stream(corridor.spliterator(), false)
                        .filter(one ->
                                one.get("lesson").asString().equals(small.id().value())))
                .singleElement()
                .satisfies(one -> assertThat(one.get("alerts").toString()).doesNotContain("a worry about an adult"));
        assertThat(small.thora.get("/api/casebook/" + number).status()).isEqualTo(404);
        SERVER.bean(CaseMessages.class).send();
        eventually(() -> sentTo("greta-lomond"));
        ok(small.maren.put("/api/ladder/years/11/heads", "{\"people\":[]}"));
    }

    @Test
    void the_record_of_a_lesson_goes_out_in_open_formats_without_what_is_for_leads() {
        ok(ines.post(hers + "/worry", "{\"about\":\"AN_ADULT\",\"words\":\"SECRET\",\"leadOnly\":false}"));
        ok(small.thora.post(small.lesson + "/steps", step("jory-pell", "threat", "out", "")));
        SERVER.advance(Duration.ofMinutes(1));
        var files = new HashMap<String, String>();
        try (var zip =
                new ZipInputStream(new ByteArrayInputStream(small.thora.bytes(small.lesson + "/replay/record.zip")))) {
            for (var entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                files.put(entry.getName(), new String(zip.readAllBytes(), StandardCharsets.UTF_8));
            }
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }

        assertThat(files.keySet())
                .containsExactlyInAnyOrder("record.csv", "presence.csv", "record.json", "manifest.json");
        assertThat(files.get("record.csv"))
                .contains("Number,At,What happened", "Jory Pell")
                .doesNotContain("SECRET");
        assertThat(files.get("presence.csv")).contains("Ines Carrow,2026-09-14T");
        assertThat(files.get("manifest.json")).contains("juricast-lesson", "sha256");
        assertThat(ines.get(small.lesson + "/replay/record.zip").status()).isEqualTo(403);
    }

    private static boolean sentTo(String person) {
        return SERVER.bean(Database.class)
                        .read()
                        .sql("SELECT count(*) FROM message WHERE person = :person AND kind = 'WORRY'")
                        .param("person", person)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    @Test
    void an_incident_is_worked_on_until_nothing_is_to_be_done_and_each_look_is_noted() {
        ok(small.thora.post(small.lesson + "/steps", step("jory-pell", "threat", "out", "")));
        int number = incident(small.thora);
        String it = "/api/casebook/" + number;
        ok(small.thora.put(it + "/people", "{\"person\":\"ines-carrow\",\"part\":\"SUFFERED\"}"));
        ok(small.thora.post(it + "/notes", "{\"text\":\"spoke with Ines\",\"leadOnly\":false}"));
        assertThat(small.thora
                        .post(it + "/notes", "{\"text\":\"x\",\"leadOnly\":true}")
                        .status())
                .isEqualTo(403);
        ok(small.maren.post(it + "/notes", "{\"text\":\"LEADS ALONE\",\"leadOnly\":true}"));
        assertThat(small.thora.get(it).text()).doesNotContain("LEADS ALONE");
        String today = SERVER.bean(School.class)
                .date(SERVER.bean(Clock.class).instant())
                .toString();
        JsonNode withTodo = ok(small.maren.post(
                        it + "/follow-ups",
                        "{\"what\":\"Call home\",\"who\":\"orla-venn\",\"until\":\"%s\"}".formatted(today)))
                .json();
        int todo = withTodo.at("/followUps/0/number").asInt();

        TestBrowser orla = SERVER.signedIn("orla-venn");
        assertThat(ok(orla.get("/api/casebook/mine")).text()).contains("Call home");
        assertThat(small.maren.post(it + "/close", "{\"text\":\"all said\"}").text())
                .contains("Something is still to be done");
        ok(orla.post(it + "/follow-ups/" + todo + "/done", "{\"text\":\"his father will talk with him\"}"));
        ok(small.maren.put(it + "/kind", "{\"act\":\"insult\",\"severity\":\"GRAVE\"}"));
        JsonNode closed =
                ok(small.maren.post(it + "/close", "{\"text\":\"all said\"}")).json();
        assertThat(closed.get("open").asBoolean()).isFalse();
        assertThat(closed.get("heldUntil").isNull()).isFalse();
        assertThat(closed.get("looks").toString()).contains("Thora Melling");
        ok(small.maren.post(it + "/reopen", "{\"text\":\"it happened again\"}"));
    }

    @Test
    void two_become_one_and_one_becomes_two_and_nobody_reads_an_incident_about_themselves() {
        ok(small.thora.post(small.lesson + "/steps", step("jory-pell", "threat", "out", "")));
        int first = incident(small.maren);
        ok(small.thora.post(small.lesson + "/moments", "{\"text\":\"look at the chat\"}"));
        eventually(() -> incident(small.maren) > first);
        int second = incident(small.maren);

        assertThat(small.thora
                        .post("/api/casebook/" + second + "/merge", "{\"into\":%d}".formatted(first))
                        .status())
                .isEqualTo(403);
        ok(small.maren.post("/api/casebook/" + second + "/merge", "{\"into\":%d}".formatted(first)));
        assertThat(page(small.maren, second).get("mergedInto").asInt()).isEqualTo(first);
        JsonNode split = ok(small.maren.post(
                        "/api/casebook/" + first + "/split", "{\"people\":[\"jory-pell\"],\"title\":\"The chat\"}"))
                .json();
        int third = split.get("incident").asInt();
        assertThat(page(small.maren, third).get("title").asString()).isEqualTo("The chat");

        ok(small.maren.put("/api/casebook/" + third + "/people", "{\"person\":\"thora-melling\",\"part\":\"DID\"}"));
        assertThat(small.thora.get("/api/casebook/" + third).status()).isEqualTo(404);
        assertThat(jory.get("/api/casebook/" + third).status()).isEqualTo(403);
        assertThat(SERVER.bean(IncidentRecord.class).damaged()).isEmpty();
    }

    @Test
    void out_of_the_series_is_turned_away_at_the_door_until_somebody_has_talked() {
        ok(small.thora.post(small.lesson + "/steps", step("jory-pell", "threat", "series", "said it twice")));
        int number = incident(small.thora);
        eventually(() ->
                ok(small.thora.get("/api/casebook/" + number)).json().at("/out").size() == 1);
        assertThat(ok(jory.get(small.knocks(jory, "Jory Pell"))).text())
                .contains("until somebody of the school has talked");

        ok(small.thora.post(
                "/api/casebook/" + number + "/talks", "{\"pupil\":\"jory-pell\",\"text\":\"he will not again\"}"));
        eventually(
                () -> !ok(jory.get(small.knocks(jory, "Jory Pell"))).text().contains("until somebody of the school"));
    }

    @Test
    void a_ladder_is_written_by_the_lead_refined_by_year_and_a_head_of_year_reads_its_incidents() {
        JsonNode page = ok(small.maren.get("/api/ladder")).json();
        String ladder = page.get("ladder").toString();
        ok(small.maren.put("/api/ladder", ladder.replace("\"halfDays\":14", "\"halfDays\":10")));
        assertThat(ok(small.thora.get("/api/ladder"))
                        .json()
                        .at("/ladder/steps/0/halfDays")
                        .asInt())
                .isEqualTo(10);
        assertThat(small.thora.put("/api/ladder", ladder).status()).isEqualTo(403);
        TestBrowser.Answer wrong = small.maren.put("/api/ladder", ladder.replace("\"halfDays\":14", "\"halfDays\":0"));
        assertThat(wrong.status()).isEqualTo(400);
        assertThat(wrong.text()).contains("a day to two years");
        ok(small.maren.put("/api/ladder/years/8", "{\"steps\":{},\"from\":{\"insult\":4}}"));
        assertThat(ok(small.thora.get(small.lesson + "/conduct"))
                        .json()
                        .at("/ladder/acts/4/from")
                        .asInt())
                .isEqualTo(4);

        ok(small.thora.post(small.lesson + "/steps", step("jory-pell", "threat", "out", "")));
        int number = incident(small.thora);
        TestBrowser orla = SERVER.signedIn("orla-venn");
        assertThat(orla.get("/api/casebook/" + number).status()).isEqualTo(404);
        ok(small.maren.put("/api/ladder/years/8/heads", "{\"people\":[\"orla-venn\"]}"));
        assertThat(page(orla, number).get("may").toString()).contains("CLOSE");
        assertThat(ok(orla.get("/api/casebook")).text()).contains("\"number\":" + number);
        ok(small.maren.put("/api/ladder/years/8/heads", "{\"people\":[]}"));
        ok(small.maren.put("/api/ladder/years/8", "{\"steps\":{},\"from\":{}}"));
        ok(small.maren.put("/api/ladder", ladder));
    }

    @Test
    void what_somebody_writes_down_afterwards_is_found_by_words_and_too_long_is_refused() {
        String body =
                """
            {"title":"%s","act":"insult","severity":"MIDDLE","lesson":null,"moment":"%s","did":["jory-pell"],
             "suffered":["ines-carrow"],"leadOnly":false}""";
        String now = SERVER.bean(Clock.class).instant().toString();
        int number = ok(small.thora.post("/api/casebook", body.formatted("Names called on the ferry", now)))
                .json()
                .get("incident")
                .asInt();

        assertThat(ok(small.thora.get("/api/casebook?find=ferr+pell")).text()).contains("\"number\":" + number);
        assertThat(ok(small.thora.get("/api/casebook?find=nothing-like-it"))
                        .json()
                        .get("lines")
                        .size())
                .isZero();
        assertThat(ok(small.thora.get("/api/casebook?find=%22*%29%28+ferry"))
                        .json()
                        .get("lines")
                        .size())
                .as("signs of the search language are none")
                .isPositive();
        assertThat(small.thora
                        .post("/api/casebook", body.formatted("x".repeat(121), now))
                        .status())
                .isEqualTo(409);
        assertThat(small.thora
                        .post(
                                "/api/casebook/" + number + "/notes",
                                "{\"text\":\"%s\",\"leadOnly\":false}".formatted("x".repeat(1_000_000)))
                        .status())
                .as("a note of a megabyte")
                .isEqualTo(413);
        assertThat(small.thora
                        .post(
                                "/api/casebook",
                                body.formatted(
                                        "Tomorrow",
                                        SERVER.bean(Clock.class).instant().plus(Duration.ofDays(1))))
                        .status())
                .isEqualTo(400);
    }

    @Test
    void a_pack_is_checked_on_the_page_and_a_copy_for_parents_names_no_other_child() {
        small.rule("chat.class", "PUPIL", "open");
        ok(jory.post(his + "/words", "{\"to\":\"CLASS\",\"text\":\"Ines Carrow is slow\"}"));
        ok(ines.post(hers + "/words", "{\"to\":\"CLASS\",\"text\":\"that hurts\"}"));
        ok(small.thora.post(small.lesson + "/steps", step("jory-pell", "threat", "out", "")));
        int number = incident(small.maren);
        String it = "/api/casebook/" + number;
        ok(small.maren.put(it + "/people", "{\"person\":\"ines-carrow\",\"part\":\"SUFFERED\"}"));
        ok(small.maren.post(it + "/notes", "{\"text\":\"LEADS ALONE\",\"leadOnly\":true}"));
        assertThat(small.thora.get(it + "/pack").status()).isEqualTo(403);

        byte[] pack = small.maren.bytes(it + "/pack");
        JsonNode checked = check(pack);
        assertThat(checked.get("wrong").toString()).isEqualTo("[]");
        assertThat(checked.get("whole").asBoolean()).isTrue();
        assertThat(checked.get("ours").asBoolean()).isTrue();
        assertThat(checked.get("files").toString())
                .contains(
                        "incident.json",
                        "incident.pdf",
                        "lesson-1/record.json",
                        "lesson-1/rules.json",
                        "presence",
                        "register");
        assertThat(new String(pack, StandardCharsets.UTF_8)).contains("Ines Carrow is slow", "LEADS ALONE");
        pack[pack.length / 2] ^= 1;
        assertThat(check(pack).get("whole").asBoolean()).isFalse();

        byte[] copy = small.maren.bytes(it + "/pack?cover=jory-pell");
        assertThat(check(copy).get("wrong").toString()).isEqualTo("[]");
        assertThat(check(copy).get("coveredParts").asInt()).isPositive();
        assertThat(new String(copy, StandardCharsets.UTF_8))
                .contains("Jory Pell", " is slow")
                .doesNotContain("Ines", "Carrow", "that hurts", "LEADS ALONE");
        assertThat(page(small.maren, number).get("lines").toString())
                .contains("An evidence pack was made, with others");
        assertThat(page(small.maren, number).get("looks").toString()).contains("\"tookAway\":true");
    }

    private JsonNode check(byte[] pack) {
        return ok(small.thora.upload("/api/evidence/check", "pack.zip", pack, ""))
                .json();
    }

    @Test
    void a_letter_to_parents_goes_out_once_and_only_leads_read_it_in_the_outbox() {
        ok(small.thora.post(small.lesson + "/steps", step("jory-pell", "threat", "out", "")));
        int number = incident(small.thora);
        ok(small.thora.post(
                "/api/casebook/" + number + "/parents", "{\"pupil\":\"jory-pell\",\"text\":\"SECRET please call\"}"));

        assertThat(ok(small.maren.get("/api/outbox?kind=PARENTS")).text())
                .contains("Parents of Jory Pell", "SECRET please call");
        eventually(() -> ok(small.maren.get("/api/outbox?kind=PARENTS"))
                .text()
                .contains("this step was taken: out of this lesson. The reason: threats and hounding."));
        assertThat(ok(small.thora.get("/api/outbox?kind=PARENTS")).text())
                .contains("Parents of Jory Pell")
                .doesNotContain("SECRET");
    }

    @Test
    void an_event_that_is_altered_taken_out_or_moved_and_an_incident_that_is_gone_are_found() {
        ok(small.thora.post(small.lesson + "/moments", "{\"text\":\"look\"}"));
        int number = incident(small.thora);
        Database database = SERVER.bean(Database.class);
        IncidentRecord record = SERVER.bean(IncidentRecord.class);
        assertThat(record.read(new IncidentId(number).number())).isNotEmpty();

        String body = database.read()
                .sql("SELECT body FROM incident_event WHERE incident = :id AND number = 1")
                .param("id", number)
                .query(String.class)
                .single();
        set(database, number, body.replace("look", "nothing"));
        assertThat(record.damaged()).containsExactly("incident %d at event 1".formatted(number));
        assertThat(small.thora.get("/api/casebook/" + number).status()).isEqualTo(500);
        set(database, number, body);
        assertThat(record.damaged()).isEmpty();
    }

    private static void set(Database database, int incident, String body) {
        database.append(sql -> sql.sql("UPDATE incident_event SET body = :body WHERE incident = :id AND number = 1")
                .param("body", body)
                .param("id", incident)
                .update());
    }
}
