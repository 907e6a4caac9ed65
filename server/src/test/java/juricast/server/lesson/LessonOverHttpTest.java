package juricast.server.lesson;

import static juricast.core.door.DoorPart.DOOR;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

class LessonOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private static int made;
    private TestBrowser thora;
    private String lesson;
    private String token;
    private String word;

    @BeforeEach
    void a_lesson_of_two_pupils_that_begins_in_five_minutes() {
        thora = SERVER.signedIn("thora-melling");
        String path = "/api/classes/"
                + thora.post("/api/classes", "{\"title\":\"Net Mending %d\",\"year\":8}".formatted(++made))
                        .json()
                        .get("id")
                        .asString();
        byte[] roster = "name\nInes Carrow\nJory Pell\n=cmd|calc\n".getBytes();
        String fingerprint = thora.upload(path + "/roster/preview", roster, "")
                .json()
                .get("fingerprint")
                .asString();
        thora.upload(path + "/roster", roster, fingerprint);
        var start = SERVER.bean(java.time.Clock.class).instant().plus(Duration.ofMinutes(5));
        String time = start.toString().substring(11, 16);
        thora.post(
                path + "/series",
                """
                {"first":"2026-09-14","until":"2026-09-14","days":["MONDAY"],"start":"%s","minutes":45}"""
                        .formatted(time));
        JsonNode page = thora.get(path).json();
        lesson = "/api/lessons/" + page.at("/lessons/0/id").asString();
        JsonNode joining = thora.get(path + "/joining").json();
        token = joining.get("link").asString().replaceAll(".*/join/", "");
        word = joining.get("word").asString();
    }

    @Test
    void who_leaves_the_roster_while_in_the_lesson_stays_in_it_to_its_end_and_stands_in_its_register() {
        thora.post(lesson + "/open", "{}");
        TestBrowser jory = SERVER.browser();
        String seat = sits(jory, "Jory Pell");
        String path = "/api/classes/"
                + thora.get(lesson + "/register").json().get("classId").asString();
        byte[] without = "name\nInes Carrow\n".getBytes();
        String fingerprint = thora.upload(path + "/roster/preview", without, "")
                .json()
                .get("fingerprint")
                .asString();
        assertThat(thora.upload(path + "/roster", without, fingerprint).status())
                .isEqualTo(200);

        assertThat(jory.put(seat + "/hand", "{}").status()).isEqualTo(200);
        assertThat(thora.get(lesson + "/desk").text()).contains("Jory Pell");
        assertThat(thora.post(lesson + "/mute-all", "{\"keepMuted\":true}").status())
                .isEqualTo(200);
        assertThat(SERVER.browser().get("/api/doorsteps/" + token).status()).isEqualTo(200);
        thora.post(lesson + "/dismiss", "{}");
        assertThat(thora.get(lesson + "/register").text()).contains("Jory Pell").doesNotContain("=cmd");
    }

    @Test
    void a_lesson_is_looked_at_again_as_it_stood_at_any_moment() {
        thora.post(lesson + "/open", "{}");
        TestBrowser ines = SERVER.browser();
        String seat = sits(ines, "Ines Carrow");
        SERVER.advance(Duration.ofMinutes(1));
        String before = SERVER.bean(java.time.Clock.class).instant().toString();
        SERVER.advance(Duration.ofMinutes(1));
        thora.post(lesson + "/stop", "{}");
        SERVER.advance(Duration.ofMinutes(2));
        thora.post(lesson + "/resume", "{}");
        ines.post(seat + "/words", "{\"to\":\"ADULTS\",\"text\":\"SECRET of Ines\"}");

        JsonNode replay = thora.get(lesson + "/replay").json();
        assertThat(replay.get("moments").toString())
                .contains("Thora Melling opened the lesson", "Ines Carrow was let in", "Everything was stopped")
                .contains("Ines Carrow wrote to the adults")
                .doesNotContain("SECRET");
        JsonNode then = thora.get(lesson + "/replay/at?moment=" + before).json();
        assertThat(then.at("/supervision").has("stoppedAt")).isFalse();
        assertThat(then.get("words")).as("nothing of what came later").isEmpty();
        assertThat(thora.get(lesson + "/replay/at?moment=yesterday").status()).isEqualTo(400);
        assertThat(SERVER.signedIn("anton-prowse").get(lesson + "/replay").status())
                .isEqualTo(403);
        assertThat(SERVER.signedIn("maren-oddlund").get(lesson + "/replay").status())
                .isEqualTo(200);
    }

    @Test
    void looking_opens_nothing_and_only_one_adult_opens() {
        thora.get(lesson + "/desk");
        assertThat(thora.get(lesson + "/desk").json().at("/door/phase").asString())
                .isEqualTo("PLANNED");

        assertThat(thora.post(lesson + "/open", "{}").json().at("/door/phase").asString())
                .isEqualTo("OPEN");
        assertThat(thora.post(lesson + "/open", "{}").json().get("title").asString())
                .contains("opened this lesson already");
    }

    @Test
    void a_pupils_answers_hold_nothing_that_pupils_may_not_see() {
        thora.post(lesson + "/open", "{}");
        TestBrowser ines = SERVER.browser();
        String seat = "/api/seats/" + knock(ines, "Ines Carrow");
        TestBrowser jory = SERVER.browser();
        String other = knock(jory, "Jory Pell");
        knock(SERVER.browser(), "SECRET stranger");
        thora.post(lesson + "/admit-all-listed", "{}");
        jory.post("/api/seats/" + other + "/words", "{\"to\":\"ADULTS\",\"text\":\"SECRET help\"}");
        jory.put("/api/seats/" + other + "/hand", "{}");
        JsonNode desk = thora.get(lesson + "/desk").json();
        String joryId = idOf(desk, "Jory Pell");
        thora.post(lesson + "/passes", "{\"person\":\"%s\",\"rule\":\"voice.speak\",\"minutes\":2}".formatted(joryId));
        thora.post(lesson + "/people/" + joryId + "/remove", "{\"why\":\"SECRET reason\"}");

        String seen = ines.get(seat).text();

        assertThat(thora.get(lesson + "/desk").text()).contains("SECRET help", "SECRET reason", "SECRET stranger");
        assertThat(seen).contains("Ines Carrow").doesNotContain("SECRET", "Jory", joryId);
        assertThat(SERVER.browser().get(seat).status()).as("another device").isEqualTo(404);
        assertThat(ines.get(lesson + "/desk").status()).isEqualTo(401);
    }

    @Test
    void a_stream_tells_the_whole_seat_once_and_then_only_what_changed() throws Exception {
        TestBrowser ines = SERVER.browser();
        String seat = sits(ines, "Ines Carrow");
        thora.post(lesson + "/words", "{\"to\":\"CLASS\",\"text\":\"before\"}");
        BlockingQueue<JsonNode> told = listen(ines, seat);
        var shown = (ObjectNode) told.poll(10, TimeUnit.SECONDS);
        // Strokes travel on the line alone; marks on a sheet are fetched from the sheet.
        List<String> apart = List.of("now", "number", "strokes");
        assertThat(shown.without(apart)).isEqualTo(((ObjectNode) ines.get(seat).json()).without(apart));

        ines.put(seat + "/hand", "{}");
        JsonNode hand = nextWith(told, "mine");
        assertThat(hand.propertyNames()).containsExactlyInAnyOrder("number", "now", "mine");
        assertThat(hand.at("/mine/signals").has("handSince")).isTrue();
        JsonNode ordered = new JsonMapper()
                .readTree(thora.post(
                                lesson + "/people/"
                                        + idOf(thora.get(lesson + "/desk").json(), "Ines Carrow") + "/lower-hand",
                                "{}")
                        .text());
        assertThat(ordered.propertyNames())
                .as("the page hears the rest from its stream")
                .containsExactly("number");

        JsonNode lowered = nextWith(told, "mine");
        assertThat(lowered.get("number").asInt())
                .isGreaterThanOrEqualTo(ordered.get("number").asInt());
        assertThat(lowered.at("/mine/signals").has("handSince")).isFalse();
        thora.post(lesson + "/stop", "{}");
        JsonNode stopped = nextWith(told, "supervision");
        assertThat(stopped.at("/supervision/stopped").asBoolean()).isTrue();
        assertThat(stopped.propertyNames()).doesNotContain("title", "name", "words");
    }

    @Test
    void a_file_is_what_its_bytes_say_waits_for_an_adult_and_is_fetched_only_by_its_readers() {
        TestBrowser ines = SERVER.browser();
        String mine = sits(ines, "Ines Carrow");
        TestBrowser jory = SERVER.browser();
        String other = sits(jory, "Jory Pell");

        TestBrowser.Answer program =
                ines.upload(mine + "/files?to=CLASS", "homework.pdf", "MZ\0program".getBytes(), "");
        assertThat(program.json().get("title").asString()).isEqualTo("This file was not sent");
        assertThat(ines.upload(mine + "/files?to=CLASS", "page.txt", "<html><script>1</script></html>".getBytes(), "")
                        .status())
                .isGreaterThanOrEqualTo(400);
        assertThat(ines.upload(
                                mine + "/files?to=CLASS",
                                "big.txt",
                                "a".repeat(1_950_000).getBytes(),
                                "")
                        .status())
                .isGreaterThanOrEqualTo(400);

        byte[] picture = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n', 0, 0, 0, 13, 'I', 'H', 'D', 'R'};
        assertThat(ines.upload(mine + "/files?to=CLASS", "tide.png", picture, "")
                        .status())
                .isEqualTo(200);
        JsonNode held = thora.get(lesson + "/desk").json().at("/chat/held/0");
        assertThat(held.at("/file/kind").asString()).isEqualTo("pictures");
        int waits = held.get("number").asInt();
        assertThat(thora.get(lesson + "/files/" + waits).status()).isEqualTo(200);
        assertThat(jory.get(other + "/files/" + waits).status()).isEqualTo(404);

        thora.post(lesson + "/held/" + waits + "/let-through", "{}");
        int number = jory.get(other).json().at("/words/0/number").asInt();
        assertThat(jory.get(other + "/files/" + number).status()).isEqualTo(200);
        assertThat(SERVER.browser().get(other + "/files/" + number).status()).isEqualTo(404);

        thora.upload(
                lesson + "/files?to=ONE&person="
                        + idOf(thora.get(lesson + "/desk").json(), "Ines Carrow"),
                "note.txt",
                "only you".getBytes(),
                "");
        int alone = ines.get(mine).json().at("/words/1/number").asInt();
        assertThat(ines.get(mine + "/files/" + alone).text()).isEqualTo("only you");
        assertThat(jory.get(other + "/files/" + alone).status()).isEqualTo(404);
    }

    @Test
    void the_lead_keeps_the_list_of_watched_words_and_it_counts_at_once() {
        TestBrowser ines = SERVER.browser();
        String seat = sits(ines, "Ines Carrow");
        TestBrowser maren = SERVER.signedIn("maren-oddlund");

        assertThat(thora.put("/api/rules/watched-words", "{\"words\":[]}").status())
                .isEqualTo(403);
        assertThat(maren.put("/api/rules/watched-words", "{\"words\":[\"?!\"]}").status())
                .isEqualTo(400);
        String was = "\"was\":" + maren.get("/api/rules/watched-words").json().get("words");
        String change = "{\"words\":[\" barnacle brain \",\"\"]," + was + "}";
        assertThat(maren.put("/api/rules/watched-words", change).status()).isEqualTo(200);
        assertThat(maren.put("/api/rules/watched-words", change)
                        .json()
                        .get("title")
                        .asString())
                .as("from a list that another has changed since")
                .contains("changed this list meanwhile");
        assertThat(thora.get("/api/rules/watched-words").json().get("words").toString())
                .isEqualTo("[\"barnacle brain\"]");

        ines.post(seat + "/words", "{\"to\":\"CLASS\",\"text\":\"Barnacle  BRAIN!\"}");

        assertThat(thora.get(lesson + "/desk").json().at("/chat/held/0/because").asString())
                .contains("word of the school's list");
    }

    @Test
    void ten_thousand_knocks_from_one_address_are_turned_back_and_the_class_comes_in() {
        thora.post(lesson + "/open", "{}");
        String body = "{\"name\":\"Some Stranger\",\"word\":\"%s\",\"agreed\":true}".formatted(word);
        try {
            Map<Integer, Integer> statuses = SERVER.flood("/api/doorsteps/" + token + "/knock", body, 10_000);
            assertThat(statuses.keySet()).containsExactlyInAnyOrder(200, 429);
            assertThat(statuses.get(200)).isLessThanOrEqualTo(130);
            assertThat(thora.get(lesson + "/desk").json().at("/door/waiting").size())
                    .isEqualTo(statuses.get(200));

            String seat = "/api/seats/" + knock(SERVER.signedIn("ines-carrow"), "Ines Carrow");
            thora.post(lesson + "/admit-all-listed", "{}");
            assertThat(thora.get(lesson + "/desk")
                            .json()
                            .at("/door/pupils/1/whereabouts")
                            .asString())
                    .as("somebody of the class, signed in, from the same address; " + seat)
                    .isEqualTo("IN");
        } finally {
            SERVER.advance(Duration.ofMinutes(2));
        }
    }

    @Test
    void misuse_is_refused_and_shakes_nothing() {
        TestBrowser ines = SERVER.browser();
        String seat = sits(ines, "Ines Carrow");
        int before = thora.get(lesson + "/desk").json().get("number").asInt();

        assertThat(ines.post(seat + "/words", "{\"to\":\"CLASS\",\"text\":\"" + "x".repeat(1_000_000) + "\"}")
                        .status())
                .as("a message of 1 MB")
                .isBetween(400, 499);
        assertThat(ines.post(lesson + "/dismiss", "{}").status())
                .as("an adult's order")
                .isEqualTo(401);
        assertThat(ines.forgedPost(seat + "/leave", "{}").status()).as("forged").isEqualTo(403);
        assertThat(SERVER.browser().put(seat + "/hand", "{}").status())
                .as("another device")
                .isEqualTo(404);
        assertThat(thora.get(lesson + "/desk").json().get("number").asInt()).isEqualTo(before);

        ines.put(seat + "/hand", "{}");
        ines.put(seat + "/hand", "{}");
        assertThat(thora.get(lesson + "/desk").json().get("number").asInt())
                .as("replayed")
                .isEqualTo(before + 1);

        int refused = 0;
        TestBrowser flood = SERVER.browser();
        for (int n = 0; n < 40; n++) {
            int status = flood.post(
                            "/api/doorsteps/" + token + "/knock",
                            "{\"name\":\"Nobody %d\",\"word\":\"%s\",\"agreed\":true}".formatted(n, word))
                    .status();
            refused += status == 429 ? 1 : 0;
        }
        assertThat(refused).as("knocks of one device").isGreaterThan(25);
        assertThat(thora.get(lesson + "/desk").json().at("/door/waiting").size())
                .isLessThan(15);
        assertThat(ines.get(seat).json().at("/mine/door/status").asString()).isEqualTo("IN");
    }

    @Test
    void who_waited_at_the_door_is_told_inside_what_was_written_before() throws Exception {
        thora.post(lesson + "/open", "{}");
        thora.post(lesson + "/words", "{\"to\":\"CLASS\",\"text\":\"page four, please\"}");
        TestBrowser ines = SERVER.browser();
        BlockingQueue<JsonNode> told = listen(ines, "/api/seats/" + knock(ines, "Ines Carrow"));
        assertThat(told.poll(10, TimeUnit.SECONDS).has("words"))
                .as("nothing of it at the door")
                .isFalse();
        thora.post(lesson + "/words", "{\"to\":\"CLASS\",\"text\":\"and five\"}");

        thora.post(lesson + "/admit-all-listed", "{}");

        JsonNode inside = nextWith(told, "words");
        assertThat(inside.at("/words/0/text").asString()).isEqualTo("page four, please");
        assertThat(inside.at("/words/1/text").asString()).isEqualTo("and five");
    }

    private static BlockingQueue<JsonNode> listen(TestBrowser browser, String seat) {
        var told = new LinkedBlockingQueue<JsonNode>();
        browser.lines(seat + "/stream", 0, line -> {
            if (line.startsWith("data:")) {
                told.add(new JsonMapper().readTree(line.substring(5)));
            }
        });
        return told;
    }

    @Test
    void a_refused_message_says_why_and_what_to_do_and_is_not_sent() {
        thora.post(lesson + "/open", "{}");
        TestBrowser ines = SERVER.browser();
        String seat = "/api/seats/" + knock(ines, "ines carrow");
        thora.post(lesson + "/admit-all-listed", "{}");
        thora.put(lesson + "/live-setting", "{\"rule\":\"chat.class\",\"value\":\"closed\"}");

        JsonNode problem = ines.post(seat + "/words", "{\"to\":\"CLASS\",\"text\":\"hello\"}")
                .json();

        assertThat(problem.get("title").asString()).isEqualTo("Not sent");
        assertThat(problem.get("detail").asString()).contains("Your teacher has closed that for now");
        assertThat(problem.get("whatToDo").asString()).contains("Nothing is lost", "write to your teachers");
        assertThat(thora.get(lesson + "/desk").json().get("words").size()).isZero();
        assertThat(ines.post(seat + "/words", "{\"to\":\"CLASS\",\"text\":\"%s\"}".formatted("x".repeat(5000)))
                        .status())
                .isEqualTo(409);
        assertThat(ines.post(seat + "/words", "{\"to\":").status()).isEqualTo(400);
    }

    @Test
    void a_stance_is_looked_at_before_it_is_switched_and_stop_is_one_action_with_a_way_back() {
        thora.post(lesson + "/open", "{}");
        thora.put(lesson + "/live-setting", "{\"rule\":\"chat.class\",\"value\":\"open\"}");

        String changes = thora.get(lesson + "/stance/quiet-work/changes").text();
        assertThat(changes).contains("\"rule\":\"chat.class\",", "\"after\":\"closed\",\"heldByLive\":true");
        assertThat(thora.get(lesson + "/desk").json().at("/course/stance").isMissingNode())
                .isTrue();

        JsonNode kept = thora.post(lesson + "/stance", "{\"stance\":\"quiet-work\",\"keepLive\":true}")
                .json();
        assertThat(column(kept, "chat.class")).isEqualTo("open");
        JsonNode dropped = thora.post(lesson + "/stance", "{\"stance\":\"quiet-work\",\"keepLive\":false}")
                .json();
        assertThat(column(dropped, "chat.class")).isEqualTo("closed");
        assertThat(dropped.at("/course/stance").asString()).isEqualTo("Quiet work");

        JsonNode stopped =
                thora.post(lesson + "/stop", "{\"why\":\"a stranger\"}").json();
        assertThat(stopped.at("/door/value").asString()).isEqualTo("shut");
        assertThat(stopped.at("/door/bound").asBoolean()).isTrue();
        JsonNode back = thora.post(lesson + "/resume", "{}").json();
        assertThat(back.at("/door/value").asString()).isEqualTo("knock");
        assertThat(thora.post(lesson + "/stance", "{\"stance\":\"no such\",\"keepLive\":true}")
                        .status())
                .isEqualTo(404);
    }

    @Test
    void a_running_order_is_planned_for_the_lesson_and_proposed_at_its_time() {
        JsonNode planned = thora.put(
                        lesson + "/running-order",
                        "{\"byTheClock\":false,\"steps\":[{\"stance\":\"settling\",\"minutes\":5},"
                                + "{\"stance\":\"explaining\",\"minutes\":20}]}")
                .json();
        assertThat(planned.at("/course/order/1/name").asString()).isEqualTo("Explaining");
        assertThat(planned.at("/course/due").isMissingNode()).as("not open yet").isTrue();

        assertThat(thora.put(
                                lesson + "/running-order",
                                "{\"byTheClock\":true,\"steps\":[{\"stance\":\"settling\",\"minutes\":0}]}")
                        .status())
                .isEqualTo(400);
        assertThat(thora.get(lesson + "/desk").json().at("/course/order").size())
                .as("nothing was half written")
                .isEqualTo(2);
    }

    @Test
    void held_words_material_signals_and_the_board_reach_who_may_see_them() {
        thora.post(lesson + "/open", "{}");
        TestBrowser ines = SERVER.browser();
        String seat = "/api/seats/" + knock(ines, "Ines Carrow");
        TestBrowser jory = SERVER.browser();
        String other = "/api/seats/" + knock(jory, "Jory Pell");
        thora.post(lesson + "/admit-all-listed", "{}");
        thora.post(lesson + "/materials", "{\"title\":\"Tide table\",\"body\":\"page 4\"}");

        ines.post(seat + "/words", "{\"to\":\"CLASS\",\"text\":\"see www.tides.example\"}");
        assertThat(jory.get(other).text()).contains("Tide table").doesNotContain("www.tides");
        assertThat(ines.get(seat).json().at("/mine/chat/held").asInt()).isEqualTo(1);
        JsonNode held = thora.get(lesson + "/desk").json().at("/chat/held/0");
        assertThat(held.get("because").asString()).isEqualTo("holds a link");
        thora.post(lesson + "/held/" + held.get("number").asInt() + "/let-through", "{}");
        assertThat(jory.get(other).text()).contains("www.tides");

        ines.put(seat + "/sign/SLOWER", "{}");
        assertThat(thora.get(lesson + "/desk")
                        .json()
                        .at("/signals/signs/0/names/0")
                        .asString())
                .isEqualTo("Ines Carrow");
        assertThat(jory.get(other).text()).as("nobody else's signal").doesNotContain("SLOWER");

        String line =
                "{\"page\":0,\"drawing\":{\"shape\":\"LINE\",\"ink\":\"RED\",\"width\":2,\"points\":[0,0,10,10]}}";
        assertThat(ines.post(seat + "/board/marks", line).status()).isEqualTo(409);
        assertThat(thora.post(lesson + "/board/marks", line).status()).isEqualTo(200);
        assertThat(jory.get(other + "/board").json().at("/marks/0/authorName").asString())
                .isEqualTo("Thora Melling");
        assertThat(thora.post(lesson + "/captions", "{\"text\":\"The tide --> turns.\"}")
                        .status())
                .isEqualTo(200);
        assertThat(ines.get(seat).json().at("/material/captions/0/text").asString())
                .isEqualTo("The tide --> turns.");
        assertThat(thora.get(lesson + "/captions.vtt").text())
                .startsWith("WEBVTT - Net Mending")
                .contains("The tide --&gt; turns.");
    }

    @Test
    void the_lead_sees_every_lesson_acts_in_it_and_takes_charge_where_no_adult_is() {
        thora.post(lesson + "/open", "{}");
        TestBrowser ines = SERVER.browser();
        knock(ines, "Ines Carrow");
        thora.post(lesson + "/admit-all-listed", "{}");
        TestBrowser maren = SERVER.signedIn("maren-oddlund");
        String id = lesson.substring(lesson.lastIndexOf('/') + 1);

        assertThat(maren.post(lesson + "/join", "{}")
                        .json()
                        .at("/mine/door/observing")
                        .asBoolean())
                .isTrue();
        assertThat(maren.post(lesson + "/mute-all", "{\"keepMuted\":true}").status())
                .isEqualTo(200);
        assertThat(maren.post(lesson + "/take-charge", "{}").status()).isEqualTo(409);
        assertThat(alerts(maren, id)).isEmpty();

        LiveLessons lessons = SERVER.bean(LiveLessons.class);
        var live = new juricast.core.identity.LessonId(id);
        lessons.look(live).state().of(DOOR).visits().stream()
                .filter(visit -> visit.role() == juricast.core.identity.Role.LEAD_ADULT)
                .forEach(visit -> lessons.carryOut(live, new juricast.core.door.DoorOrder.LoseConnection(visit.id())));
        assertThat(alerts(maren, id))
                .singleElement()
                .satisfies(alert -> assertThat(alert.get("kind").asString()).isEqualTo("NO_ADULT"));
        maren.post("/api/corridor/" + id + "/NO_ADULT/take-over", "{}");
        assertThat(alerts(maren, id).get(0).get("takenBy").asString()).isEqualTo("Maren Oddlund");

        assertThat(maren.post(lesson + "/take-charge", "{}").status()).isEqualTo(200);
        assertThat(maren.post(lesson + "/mute-all", "{\"keepMuted\":true}").status())
                .isEqualTo(200);
        assertThat(alerts(maren, id)).isEmpty();
        assertThat(thora.get("/api/corridor").status()).isEqualTo(403);
    }

    @Test
    void who_tries_three_doors_waits_at_all_of_them_and_the_lead_is_told() {
        thora.post(lesson + "/open", "{}");
        TestBrowser stranger = SERVER.browser();
        knock(stranger, "Door Trier");
        for (String door : List.of("weather-lab-9", "harbour-law-10")) {
            JsonNode page = SERVER.signedIn(door.startsWith("weather") ? "corvin-hale" : "pernel-ost")
                    .get("/api/classes/" + door + "/joining")
                    .json();
            stranger.post(
                    "/api/doorsteps/" + page.get("link").asString().replaceAll(".*/join/", "") + "/knock",
                    "{\"name\":\"Door Trier\",\"word\":\"%s\",\"agreed\":true}"
                            .formatted(page.get("word").asString()));
        }

        assertThat(thora.get(lesson + "/desk").text()).contains("has tried several doors of the school");
        assertThat(SERVER.signedIn("maren-oddlund").get("/api/corridor").text())
                .contains("“Door Trier” goes from door to door");
    }

    /** But for the one of the cast who goes from door to door, whenever the machine comes to it. */
    private static List<JsonNode> alerts(TestBrowser lead, String id) {
        var alerts = new java.util.ArrayList<JsonNode>();
        lead.get("/api/corridor").json().get("lessons").forEach(line -> {
            if (line.get("lesson").asString().equals(id)) {
                line.get("alerts").forEach(alerts::add);
                alerts.removeIf(alert -> alert.get("text").asString().contains("harbour-phone-9"));
            }
        });
        return alerts;
    }

    private static String column(JsonNode desk, String rule) {
        for (JsonNode column : desk.at("/rights/columns")) {
            if (column.get("rule").asString().equals(rule)) {
                return column.get("value").asString();
            }
        }
        throw new AssertionError("No column " + rule);
    }

    @Test
    void wrong_join_words_are_told_and_then_stopped() {
        TestBrowser stranger = SERVER.browser();
        String knock = "/api/doorsteps/" + token + "/knock";
        stranger.get("/api/doorsteps/" + token);
        for (int i = 0; i < 6; i++) {
            assertThat(stranger.post(knock, "{\"name\":\"Ines Carrow\",\"word\":\"guess-%d\"}".formatted(i))
                            .json()
                            .get("title")
                            .asString())
                    .isEqualTo("That is not the join word of this class");
        }
        assertThat(stranger.post(knock, "{\"name\":\"Ines Carrow\",\"word\":\"%s\",\"agreed\":true}".formatted(word))
                        .status())
                .isEqualTo(429);
        assertThat(SERVER.browser()
                        .post(
                                knock,
                                "{\"name\":\"%s\",\"word\":\"%s\",\"agreed\":true}".formatted("y".repeat(300), word))
                        .status())
                .isEqualTo(400);
    }

    @Test
    void two_adults_who_act_at_once_are_both_answered_and_one_wins() throws Exception {
        thora.post(lesson + "/open", "{}");
        TestBrowser ines = SERVER.browser();
        String visit = knock(ines, "Ines Carrow");
        TestBrowser alsoThora = SERVER.signedIn("thora-melling");
        alsoThora.post(lesson + "/join", "{}");

        var admit = java.util.concurrent.CompletableFuture.supplyAsync(
                () -> thora.post(lesson + "/visits/" + visit + "/admit", "{}").status());
        var turnAway = java.util.concurrent.CompletableFuture.supplyAsync(() ->
                alsoThora.post(lesson + "/visits/" + visit + "/turn-away", "{}").status());

        assertThat(java.util.List.of(admit.get(), turnAway.get())).containsExactlyInAnyOrder(200, 409);
    }

    @Test
    void what_the_clock_takes_off_the_desk_goes_also_when_nothing_but_words_is_new() {
        thora.post(lesson + "/open", "{}");
        String visit = knock(SERVER.browser(), "Somebody Else");
        thora.post(lesson + "/visits/" + visit + "/turn-away", "{}");
        assertThat(said("one").at("/door/refused").size()).isEqualTo(1);

        SERVER.advance(Duration.ofMinutes(31));
        try {
            JsonNode desk = said("two");
            assertThat(desk.at("/door/refused").size()).isZero();
            assertThat(desk.get("words").size()).isEqualTo(2);
        } finally {
            SERVER.advance(Duration.ofMinutes(-31));
        }
    }

    private JsonNode said(String text) {
        return thora.post(lesson + "/words", "{\"to\":\"CLASS\",\"text\":\"%s\"}".formatted(text))
                .json();
    }

    @Test
    void after_the_dismissal_the_register_is_there_and_its_export_is_harmless() {
        thora.post(lesson + "/open", "{}");
        String seat = knock(SERVER.browser(), "=cmd|calc");
        thora.post(lesson + "/admit-all-listed", "{}");
        SERVER.advance(Duration.ofMinutes(20));
        JsonNode running = thora.get(lesson + "/register").json();
        String person = running.at("/lines/1/person").asString();
        String correction = "{\"person\":\"%s\",\"mark\":\"EXCUSED\",\"lateMinutes\":0,\"reason\":\"%s\"}";
        assertThat(running.get("draft").asBoolean()).isTrue();
        assertThat(thora.post(lesson + "/register/corrections", correction.formatted(person, "early"))
                        .status())
                .isEqualTo(409);

        thora.post(lesson + "/dismiss", "{}");
        assertThat(thora.post(lesson + "/register/corrections", correction.formatted(person, " "))
                        .status())
                .isEqualTo(400);
        JsonNode page = thora.post(lesson + "/register/corrections", correction.formatted(person, "+ a sick bed"))
                .json();
        String csv = thora.get(lesson + "/register.csv").text();

        assertThat(page.at("/lines/1/mark").asString()).isEqualTo("EXCUSED");
        assertThat(page.at("/lines/1/computed").asString()).isEqualTo("ABSENT");
        assertThat(page.at("/lines/0/minutes").asInt()).isEqualTo(15);
        assertThat(csv).contains("'=cmd|calc,present").contains("'+ a sick bed").doesNotContain(",=cmd");
        assertThat(seat).isNotEmpty();
    }

    @Test
    void a_trusted_pupil_helps_from_the_own_seat_and_sees_no_more_than_that_takes() {
        TestBrowser ines = SERVER.browser();
        String seat = sits(ines, "Ines Carrow");
        thora.put(lesson + "/live-setting", "{\"rule\":\"entry.door\",\"value\":\"knock\"}");
        String jory = knock(SERVER.browser(), "Jory Pell");
        String stranger = knock(SERVER.browser(), "Wulf Harrowgate");
        String letIn = seat + "/help/door/";
        assertThat(ines.get(seat).text()).doesNotContain("\"help\":{", "Jory", "Wulf");
        assertThat(ines.post(letIn + jory, "{}").status()).isEqualTo(403);

        String id = idOf(thora.get(lesson + "/desk").json(), "Ines Carrow");
        String lend = "{\"person\":\"%s\",\"rule\":\"help.door\",\"minutes\":10}".formatted(id);
        assertThat(thora.post(lesson + "/passes", lend).status()).isEqualTo(200);
        JsonNode help = ines.get(seat).json().at("/rights/help");
        assertThat(help.at("/door")).hasSize(1);
        assertThat(help.at("/door/0/name").asString()).isEqualTo("Jory Pell");
        assertThat(help.toString()).doesNotContain("Wulf");

        assertThat(ines.post(letIn + stranger, "{}").status()).isEqualTo(403);
        assertThat(SERVER.browser().post(letIn + jory, "{}").status())
                .as("somebody else's seat")
                .isEqualTo(404);
        assertThat(ines.put(seat + "/help/chat", "{\"paused\":true}").status())
                .as("only what was lent")
                .isEqualTo(403);
        assertThat(ines.post(letIn + jory, "{}").status()).isEqualTo(200);
        assertThat(thora.get(lesson + "/desk")
                        .json()
                        .at("/door/pupils/1/whereabouts")
                        .asString())
                .isEqualTo("IN");

        thora.delete(lesson + "/people/" + id + "/loans/help.door");
        assertThat(ines.get(seat).text()).doesNotContain("\"help\":{");
    }

    @Test
    void a_last_word_needs_other_eyes_and_the_end_retires_the_link_of_the_last_lesson() {
        TestBrowser ines = SERVER.browser();
        String seat = sits(ines, "Ines Carrow");
        TestBrowser jory = SERVER.browser();
        String other = sits(jory, "Jory Pell");
        String id = idOf(thora.get(lesson + "/desk").json(), "Ines Carrow");
        var alone = thora.post(lesson + "/people/" + id + "/last-word", "{}");
        assertThat(alone.status()).isEqualTo(409);
        assertThat(alone.text()).contains("No adult is alone with one pupil here");

        SERVER.signedIn("maren-oddlund").post(lesson + "/join", "{}");
        thora.post(lesson + "/people/" + id + "/last-word", "{}");
        assertThat(jory.get(other).json().at("/mine/door/status").asString()).isEqualTo("DISMISSED");
        assertThat(ines.get(seat).json().at("/mine/door/status").asString()).isEqualTo("IN");
        assertThat(thora.get(lesson + "/desk").json().at("/ending/leaving/0").asString())
                .isEqualTo("Jory Pell");
        jory.post(other + "/leave", "{}");
        assertThat(thora.get(lesson + "/desk").json().at("/ending/leaving")).isEmpty();

        thora.post(lesson + "/dismiss", "{}");
        JsonNode ending = thora.get(lesson + "/desk").json().get("ending");
        assertThat(ending.at("/closing/0/step").asString()).isEqualTo("LINK_RETIRED");
        assertThat(ending.get("closing").findValuesAsString("step"))
                .containsExactly("LINK_RETIRED", "CHAT_KEPT", "BOARD_KEPT", "REGISTER_DRAFTED");
        String classPage = thora.get(lesson + "/desk").json().get("title").asString();
        JsonNode found = null;
        for (JsonNode one : thora.get("/api/classes").json()) {
            found = one.get("title").asString().equals(classPage) ? one : found;
        }
        assertThat(thora.get("/api/classes/" + found.get("id").asString()).text())
                .as("the link on the class page is a new one")
                .doesNotContain(token);
    }

    @Test
    void a_teachers_own_set_is_a_stance_in_their_lessons_and_in_no_others() {
        thora.post("/api/sets", "{\"name\":\"Net repair %d\",\"copyOf\":\"set:explaining\"}".formatted(made));
        String mine = "Net repair " + made;
        JsonNode stances = thora.get(lesson + "/desk").json().at("/course/stances");
        assertThat(stances.findValuesAsString("name")).contains("Explaining", mine);

        String id = "";
        for (JsonNode one : stances) {
            id = one.get("name").asString().equals(mine) ? one.get("id").asString() : id;
        }
        thora.post(lesson + "/open", "{}");
        String switched = "{\"stance\":\"%s\",\"keepLive\":true}".formatted(id);
        assertThat(thora.post(lesson + "/stance", switched)
                        .json()
                        .at("/course/stance")
                        .asString())
                .isEqualTo(mine);
        TestBrowser ilse = SERVER.signedIn("ilse-brandt");
        String hers =
                "/api/lessons/" + ilse.get("/api/today").json().at("/0/id").asString();
        assertThat(ilse.get(hers + "/desk").json().at("/course/stances").findValuesAsString("name"))
                .contains("Explaining")
                .doesNotContain(mine);
        assertThat(ilse.post(hers + "/stance", switched).status()).isEqualTo(404);
    }

    private String knock(TestBrowser browser, String name) {
        var answer = browser.post(
                "/api/doorsteps/" + token + "/knock",
                "{\"name\":\"%s\",\"word\":\"%s\",\"agreed\":true}".formatted(name, word));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json().get("visit").asString();
    }

    /** Passes over other news, such as of a line that was lost. */
    private static JsonNode nextWith(BlockingQueue<JsonNode> told, String field) throws InterruptedException {
        JsonNode next = told.poll(10, TimeUnit.SECONDS);
        while (!next.has(field)) {
            next = told.poll(10, TimeUnit.SECONDS);
        }
        return next;
    }

    /** Opens the lesson, and lets in somebody who knocks. Returns the address of the seat. */
    private String sits(TestBrowser browser, String name) {
        thora.post(lesson + "/open", "{}");
        String seat = "/api/seats/" + knock(browser, name);
        thora.post(lesson + "/admit-all-listed", "{}");
        return seat;
    }

    private static String idOf(JsonNode desk, String name) {
        for (JsonNode pupil : desk.at("/door/pupils")) {
            if (pupil.get("name").asString().equals(name)) {
                return pupil.get("id").asString();
            }
        }
        throw new AssertionError("Not on the desk: " + name);
    }
}
