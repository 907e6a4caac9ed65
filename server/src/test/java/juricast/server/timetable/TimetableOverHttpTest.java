package juricast.server.timetable;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.StreamSupport;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** The demo begins on Monday 14 September at ten past ten. */
class TimetableOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private static int made;
    private TestBrowser thora;
    private TestBrowser maren;
    private String lesson;

    @BeforeEach
    void a_class_of_three_weeks_of_her_own() {
        thora = SERVER.signedIn("thora-melling");
        maren = SERVER.signedIn("maren-oddlund");
        String id = thora.post("/api/classes", "{\"title\":\"Signal Flags %d\",\"year\":8}".formatted(++made))
                .json()
                .get("id")
                .asString();
        thora.post(
                "/api/classes/" + id + "/series",
                """
                {"first":"2026-09-19","until":"2026-10-04","days":["SATURDAY"],"start":"1%d:00","minutes":45}"""
                        .formatted(made % 8));
        lesson = thora.get("/api/classes/" + id).json().at("/lessons/0/id").asString();
    }

    private JsonNode week(TestBrowser browser, String from) {
        return browser.get("/api/timetable?days=7&from=" + from).json();
    }

    private JsonNode box(String from) {
        return each(week(thora, from).get("lessons")).stream()
                .filter(one -> one.get("title").asString().equals("Signal Flags " + made))
                .findFirst()
                .orElseThrow();
    }

    private static List<JsonNode> each(JsonNode array) {
        return StreamSupport.stream(array.spliterator(), false).toList();
    }

    private JsonNode change(String body) {
        var answer = thora.post("/api/timetable/lessons/" + lesson + "/change", body);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    @Test
    void one_lesson_is_moved_and_the_series_is_as_it_was_until_it_is_undone() {
        JsonNode changed = change(
                """
                {"from":"2026-09-18T06:40","minutes":30,"following":false,"why":"The ferry"}""");
        assertThat(changed.get("what").asString()).contains("moved from Saturday 19 September");
        assertThat(changed.get("appearing").toString()).contains("before the school opens");
        JsonNode moved = box("2026-09-14");
        assertThat(moved.get("date").asString()).isEqualTo("2026-09-18");
        assertThat(moved.get("minute").asInt()).isEqualTo(400);
        assertThat(moved.get("minutes").asInt()).isEqualTo(30);
        assertThat(moved.get("reason").asString()).contains("The ferry", "Thora Melling");
        assertThat(box("2026-09-21").get("date").asString()).isEqualTo("2026-09-26");

        String undo = "/api/timetable/changes/" + changed.get("change").asString() + "/undo";
        assertThat(SERVER.signedIn("anton-prowse").post(undo, "{}").status()).isEqualTo(403);
        assertThat(thora.post(undo, "{}").status()).isEqualTo(200);
        assertThat(box("2026-09-14").get("date").asString()).isEqualTo("2026-09-19");
        assertThat(thora.post(undo, "{}").status()).as("only once").isEqualTo(404);
    }

    @Test
    void all_following_move_together_also_onto_each_others_days() {
        JsonNode changed = change("""
                {"from":"2026-09-26T17:00","following":true,"why":"Tides"}""");
        assertThat(changed.get("lessons").asInt()).isEqualTo(3);
        assertThat(box("2026-09-21").get("minute").asInt()).isEqualTo(17 * 60);
        assertThat(box("2026-10-05").get("date").asString()).isEqualTo("2026-10-10");
    }

    @Test
    void a_cancelled_lesson_is_shown_crossed_out_and_led_to_by_no_link_and_opened_by_nobody() {
        change("""
                {"cancelled":true,"following":false,"why":"Gale"}""");
        assertThat(box("2026-09-14").get("state").asString()).isEqualTo("CANCELLED");
        assertThat(thora.post("/api/lessons/" + lesson + "/open", "{}").status())
                .isEqualTo(409);
        assertThat(week(thora, "2026-09-14").toString()).contains("Gale");
        change("""
                {"cancelled":false,"following":false,"why":"The gale went round"}""");
        assertThat(box("2026-09-14").get("state").asString()).isEqualTo("PLANNED");
    }

    @Test
    void a_change_that_is_overtaken_does_nothing_at_all() {
        String change = change("""
                {"minutes":60,"following":true,"why":"Longer"}""")
                .get("change")
                .asString();
        change("""
                {"minutes":50,"following":false,"why":"This one less"}""");
        var undo = thora.post("/api/timetable/changes/" + change + "/undo", "{}");
        assertThat(undo.status()).isEqualTo(409);
        assertThat(undo.text()).contains("changed again");
        assertThat(box("2026-09-14").get("minutes").asInt()).isEqualTo(50);
        assertThat(box("2026-09-21").get("minutes").asInt())
                .as("not half undone")
                .isEqualTo(60);
    }

    @Test
    void what_is_wrong_with_a_change_is_said_and_nothing_is_changed() {
        for (String wrong : List.of(
                "{\"minutes\":4,\"following\":false,\"why\":\"x\"}",
                "{\"minutes\":50,\"following\":false,\"why\":\" \"}",
                "{\"from\":\"yesterday\",\"following\":false,\"why\":\"x\"}",
                "{\"from\":\"2026-09-01T10:00\",\"following\":false,\"why\":\"x\"}")) {
            assertThat(thora.post("/api/timetable/lessons/" + lesson + "/change", wrong)
                            .status())
                    .as(wrong)
                    .isEqualTo(400);
        }
        assertThat(maren.get("/api/timetable?days=400&from=2026-09-14").status())
                .isEqualTo(400);
        assertThat(maren.get("/api/timetable?days=7&from=-999999999-01-01").status())
                .isEqualTo(400);
        assertThat(SERVER.signedIn("orla-venn")
                        .post(
                                "/api/timetable/lessons/tidal-navigation-8-1.3-2/change",
                                "{\"cancelled\":true,\"following\":false,\"why\":\"x\"}")
                        .status())
                .as("it has begun")
                .isEqualTo(409);
    }

    @Test
    void who_covers_leads_that_lesson_and_no_other_and_sees_it_in_the_own_timetable() {
        TestBrowser anton = SERVER.signedIn("anton-prowse");
        assertThat(anton.get("/api/lessons/" + lesson + "/desk").status()).isEqualTo(403);
        var answer = thora.post(
                "/api/timetable/lessons/" + lesson + "/cover",
                """
                {"adult":"anton-prowse","insteadOf":"thora-melling","why":"Dentist"}""");
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);

        JsonNode desk = anton.get("/api/lessons/" + lesson + "/desk").json();
        assertThat(desk.at("/door/adults").toString()).contains("Anton Prowse").doesNotContain("Thora Melling");
        assertThat(week(anton, "2026-09-14").toString()).contains("Signal Flags " + made);
        JsonNode register = anton.get("/api/lessons/" + lesson + "/register").json();
        assertThat(register.get("editable").asBoolean())
                .as("read, not corrected")
                .isFalse();
        assertThat(anton.get("/api/classes/" + register.get("classId").asString() + "/attendance")
                        .status())
                .as("of the class, only the lesson")
                .isEqualTo(403);
        assertThat(week(anton, "2026-09-21").toString())
                .as("none left afterwards")
                .doesNotContain("Signal Flags " + made);
        thora.post("/api/timetable/changes/" + answer.json().get("change").asString() + "/undo", "{}");
        assertThat(anton.get("/api/lessons/" + lesson + "/desk").status()).isEqualTo(403);
        assertThat(anton.get("/api/lessons/" + lesson + "/register").status()).isEqualTo(403);
    }

    @Test
    void what_has_begun_is_neither_changed_nor_undone_nor_mended() {
        for (JsonNode one :
                each(maren.get("/api/timetable?days=1&from=2026-09-14").json().get("changes"))) {
            if (one.get("what").asString().startsWith("Idris Fallow covers")) {
                SERVER.advance(java.time.Duration.ofHours(3));
                var undo = maren.post("/api/timetable/changes/" + one.get("id").asString() + "/undo", "{}");
                SERVER.advance(java.time.Duration.ofHours(-3));
                assertThat(undo.status()).isEqualTo(409);
                assertThat(undo.text()).contains("has begun");
                return;
            }
        }
        org.assertj.core.api.Assertions.fail("The demo has no cover today");
    }

    @Test
    void weak_spots_are_mended_as_the_preview_showed_and_that_is_undone_as_a_whole() {
        JsonNode page = maren.get("/api/inspection").json();
        assertThat(page.get("lessons").asInt()).isGreaterThan(200);
        List<String> keys = each(page.get("open")).stream()
                .filter(one -> one.get("kind").asString().equals("IN_A_HOLIDAY"))
                .map(one -> '"' + one.get("key").asString() + '"')
                .toList();
        assertThat(keys).hasSizeGreaterThan(3);

        JsonNode preview = maren.post("/api/inspection/preview", "{\"keys\":%s}".formatted(keys))
                .json();
        assertThat(preview.get("gone").size()).isGreaterThanOrEqualTo(keys.size());
        assertThat(maren.get("/api/inspection").json().get("open").size())
                .as("nothing yet")
                .isEqualTo(page.get("open").size());
        assertThat(maren.post("/api/inspection/mend", "{\"keys\":%s,\"fingerprint\":\"another\"}".formatted(keys))
                        .status())
                .isEqualTo(409);
        JsonNode mended = maren.post(
                        "/api/inspection/mend",
                        "{\"keys\":%s,\"fingerprint\":\"%s\"}"
                                .formatted(keys, preview.get("fingerprint").asString()))
                .json();
        assertThat(maren.get("/api/inspection").json().get("open").size())
                .isEqualTo(page.get("open").size() - preview.get("gone").size());
        maren.post("/api/timetable/changes/" + mended.get("change").asString() + "/undo", "{}");
        assertThat(maren.get("/api/inspection").json().get("open").size())
                .isEqualTo(page.get("open").size());
    }

    @Test
    void an_accepted_weak_spot_is_out_of_the_way_until_its_day_and_a_teacher_sees_only_the_own() {
        JsonNode first = maren.get("/api/inspection").json().at("/open/0");
        String key = first.get("key").asString();
        assertThat(maren.post(
                                "/api/inspection/accept",
                                "{\"key\":\"%s\",\"why\":\"\",\"until\":\"2026-09-30\"}".formatted(key))
                        .status())
                .isEqualTo(400);
        JsonNode page = maren.post(
                        "/api/inspection/accept",
                        "{\"key\":\"%s\",\"why\":\"Agreed with the head\",\"until\":\"2026-09-30\"}".formatted(key))
                .json();
        assertThat(page.get("open").toString()).doesNotContain(key);
        assertThat(page.at("/accepted/0/accepted/why").asString()).isEqualTo("Agreed with the head");
        assertThat(maren.post("/api/inspection/reopen", "{\"key\":\"%s\"}".formatted(key))
                        .json()
                        .get("open")
                        .toString())
                .contains(key);

        for (JsonNode one :
                each(SERVER.signedIn("orla-venn").get("/api/inspection").json().get("open"))) {
            assertThat(one.get("title").asString() + one.path("otherTitle").asString())
                    .containsAnyOf("Tidal Navigation 8", "Seabird Ecology 8", "Weather Lab 8", "Tidal Navigation 11");
        }
    }

    @Test
    void a_lead_makes_a_class_is_an_adult_in_it_and_plans_one_lesson_with_one_date() {
        String id = maren.post("/api/classes", "{\"title\":\"Anchor Talk\",\"year\":0}")
                .json()
                .get("id")
                .asString();
        assertThat(maren.get("/api/classes/" + id).json().at("/adults/0/name").asString())
                .isEqualTo("Maren Oddlund");
        String once = "{\"first\":\"2026-09-14\",\"until\":null,\"days\":[],\"start\":\"10:15\",\"minutes\":30}";
        assertThat(maren.post("/api/classes/" + id + "/series", once)
                        .json()
                        .get("added")
                        .asInt())
                .isEqualTo(1);
        String lesson =
                maren.get("/api/classes/" + id).json().at("/lessons/0/id").asString();
        assertThat(maren.post("/api/lessons/" + lesson + "/open", "{}").status())
                .as("its adult, not a looker-on")
                .isEqualTo(200);
        assertThat(maren.post("/api/classes/tidal-navigation-8/series", once).status())
                .as("in the classes of others a lead schedules nothing")
                .isEqualTo(403);
    }

    @Test
    void the_calendar_leaves_holidays_out_of_a_new_series() {
        JsonNode calendar = maren.get("/api/calendar").json();
        String body = calendar.toString()
                .replace(
                        "\"holidays\":[",
                        "\"holidays\":[{\"name\":\"Net week\",\"first\":\"2026-10-12\",\"last\":\"2026-10-16\"},");
        assertThat(thora.put("/api/calendar", body).status()).as("the lead's").isEqualTo(403);
        assertThat(maren.put("/api/calendar", body).status()).isEqualTo(200);
        String id = thora.post("/api/classes", "{\"title\":\"Net Songs\",\"year\":8}")
                .json()
                .get("id")
                .asString();
        JsonNode scheduled = thora.post(
                        "/api/classes/" + id + "/series",
                        """
                {"first":"2026-09-21","until":"2026-10-26","days":["MONDAY"],"start":"15:00","minutes":45,"everyWeeks":1}""")
                .json();
        assertThat(scheduled.get("added").asInt()).isEqualTo(5);
        assertThat(scheduled.get("holidays").asInt()).isEqualTo(1);
        assertThat(maren.put("/api/calendar", body.replace("2026-10-16", "2026-10-11"))
                        .status())
                .isEqualTo(400);
        assertThat(maren.put("/api/calendar", calendar.toString()).status()).isEqualTo(200);
    }

    @Test
    void a_draft_shows_which_weak_spots_it_would_bring_and_take_away() {
        String effect = "/api/inspection/draft/school";
        assertThat(maren.get(effect).json().get("appearing")).isEmpty();
        maren.put(
                "/api/rules/school/draft",
                "{\"rule\":\"supervision.gap-minutes\",\"role\":\"LEAD_ADULT\",\"value\":\"25\",\"binding\":false}");
        JsonNode longer = maren.get(effect).json();
        assertThat(longer.get("appearing").size()).isPositive();
        assertThat(longer.at("/appearing/0/kind").asString()).contains("GAP");
        assertThat(maren.get("/api/inspection").json().get("open").toString())
                .as("nothing counts yet")
                .doesNotContain(longer.at("/appearing/0/key").asString());
        maren.delete("/api/rules/school/draft");
        assertThat(thora.get(effect).status()).as("the charter is the lead's").isEqualTo(403);
    }
}
