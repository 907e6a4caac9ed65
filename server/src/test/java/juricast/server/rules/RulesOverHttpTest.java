package juricast.server.rules;

import static juricast.server.rules.Writing.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.lesson.ASmallClass;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

class RulesOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private TestBrowser maren;

    @BeforeEach
    void somebody_who_may_edit() {
        maren = SERVER.signedIn("maren-oddlund");
        SERVER.advance(Duration.ofMinutes(1));
        maren.delete("/api/rules/school/draft");
    }

    @Test
    void the_past_is_judged_by_the_rules_of_its_day() {
        String register = "/api/lessons/seabird-ecology-8-1.1-2/register";
        String before = maren.get(register).json().get("sums").toString();
        assertThat(before).contains("\"mark\":\"LATE\"");

        inForce(maren, "school", "register.late-after", "60", false);

        assertThat(maren.get(register).json().get("sums").toString()).isEqualTo(before);
    }

    @Test
    void a_binding_change_reaches_a_lesson_that_runs_and_no_desk_can_undo_it() {
        TestBrowser orla = SERVER.signedIn("orla-venn");
        String lesson = "/api/lessons/tidal-navigation-8-1.3-2";
        orla.post(lesson + "/join", "{}");
        orla.put(lesson + "/live-setting", "{\"rule\":\"voice.camera\",\"value\":\"open\"}");

        inForce(maren, "school", "voice.camera", "closed", true);

        assertThat(valueOnDesk(orla.get(lesson + "/desk").json())).isEqualTo("closed");
        var refused = orla.put(lesson + "/live-setting", "{\"rule\":\"voice.camera\",\"value\":\"open\"}");
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.json().get("detail").asString()).contains("“closed” by Maren Oddlund");
        JsonNode why = orla.get(lesson + "/why/voice.camera").json();
        assertThat(why.at("/chain/1/effect").asString()).isEqualTo("DECIDES");
        assertThat(why.at("/chain/2/text").asString()).contains("From the desk, by Orla Venn");
        assertThat(why.at("/chain/2/effect").asString()).isEqualTo("OVERRULED");
        assertThat(why.get("changedBy").asString()).isEqualTo("Only the safeguarding lead, in the charter.");
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void what_a_rule_no_longer_lets_be_on_goes_off_by_itself_also_when_somebody_looked_before_the_clock(
            boolean looked) {
        var small = new ASmallClass(SERVER);
        small.rule("voice.speak", "PUPIL", "open");
        small.open();
        TestBrowser ines = SERVER.browser();
        String seat = small.sits(ines, "Ines Carrow");
        assertThat(ines.post(seat + "/on/MICROPHONE", "{}").status()).isEqualTo(200);
        small.theClockTicks();

        small.rule("voice.speak", "PUPIL", "closed");
        if (looked) {
            ines.get(seat);
        }
        small.theClockTicks();

        assertThat(ines.get(seat).json().at("/mine/rights/microphone").asBoolean())
                .isFalse();
    }

    @Test
    void one_value_of_one_lesson_is_set_at_once_and_of_many_lessons_never() {
        TestBrowser orla = SERVER.signedIn("orla-venn");
        String place = "lesson:weather-lab-8-1.6-2";
        String kept = orla.get("/api/rules/" + place).json().get("draft").toString();
        assertThat(orla.put("/api/rules/" + place + "/at-once", edit("share.draw", "open", false, ""))
                        .status())
                .isEqualTo(200);
        assertThat(why(orla, place, "share.draw", "").json().get("value").asString())
                .isEqualTo("open");
        assertThat(orla.get("/api/rules/" + place).json().get("draft").toString())
                .as("a draft is left alone")
                .isEqualTo(kept);
        assertThat(maren.put("/api/rules/school/at-once", edit("share.draw", "open", false, ""))
                        .status())
                .isEqualTo(409);
        assertThat(SERVER.signedIn("ilse-brandt")
                        .put("/api/rules/" + place + "/at-once", edit("share.draw", "closed", false, ""))
                        .status())
                .isEqualTo(403);
        String bound = "{\"rule\":\"share.screen\",\"role\":\"PUPIL\",\"value\":\"open\",\"binding\":false}";
        assertThat(orla.put("/api/rules/" + place + "/at-once", bound).status())
                .as("the charter binds it to something stricter")
                .isEqualTo(409);
    }

    @Test
    void a_draft_changes_nothing_until_it_is_put_in_force_and_then_only_from_its_day() {
        draft(maren, "school", "chat.private", "closed", true, "visitor-present");
        assertThat(why(maren, "class:harbour-law-9", "chat.private", "&facts=visitor-present")
                        .json()
                        .get("value")
                        .asString())
                .isEqualTo("open");

        JsonNode report = maren.post("/api/rules/school/draft/consequences", "{\"from\":\"2026-09-15\"}")
                .json();
        assertThat(report.get("classes").asInt()).isEqualTo(3);
        assertThat(report.at("/shifts/0/lessons/0/situation").asString()).isEqualTo("while a visitor is present");
        assertThat(report.at("/overruled/0/by").asString()).contains("closed, binding, while a visitor is present");
        JsonNode one = report.at("/shifts/0/lessons/0");
        JsonNode whys = maren.get(
                        "/api/rules/school/draft/why?rule=chat.private&role=PUPIL&of=%s&from=2026-09-15&at=%d&facts=%s"
                                .formatted(
                                        one.get("place").asString(),
                                        one.get("at").asLong(),
                                        "visitor-present,adult-present,school-account"))
                .json();
        assertThat(whys.at("/before/value").asString()).isNotEqualTo("closed");
        assertThat(whys.at("/after/value").asString()).isEqualTo("closed");

        assertThat(apply(maren, "school", "2026-09-15").status()).isEqualTo(200);

        String visited = "&facts=visitor-present";
        assertThat(why(maren, "class:harbour-law-9", "chat.private", visited)
                        .json()
                        .get("value")
                        .asString())
                .isEqualTo("open");
        JsonNode today =
                why(maren, "class:harbour-law-9", "chat.private", visited).json();
        assertThat(today.get("next").asString()).isEqualTo("closed");
        assertThat(today.get("until").asString()).isEqualTo("00:00 on Tuesday 15 September");
        long tomorrow = java.time.Instant.parse("2026-09-15T10:00:00Z").toEpochMilli();
        assertThat(why(maren, "class:harbour-law-9", "chat.private", visited + "&at=" + tomorrow)
                        .json()
                        .get("value")
                        .asString())
                .isEqualTo("closed");
        assertThat(maren.get("/api/rules/school").text()).doesNotContain("\"drafted\":true");
        assertThat(rule(maren.get("/api/rules/school?on=2026-09-16").json(), "chat.private")
                        .get("conditions"))
                .hasSize(1);
        assertThat(rule(maren.get("/api/rules/school?on=2026-09-13").json(), "chat.private")
                        .get("conditions"))
                .isEmpty();
        assertThat(maren.get("/api/rules/school/history")
                        .json()
                        .at("/0/counted")
                        .asString())
                .isEqualTo("from Tuesday 15 September, 00:00");
    }

    @Test
    void what_was_set_can_be_taken_back_and_the_usual_value_counts_again() {
        inForce(maren, "school", "voice.arrive-muted", "no", false);
        assertThat(why(maren, "school", "voice.arrive-muted", "")
                        .json()
                        .get("value")
                        .asString())
                .isEqualTo("no");
        SERVER.advance(Duration.ofMinutes(1));

        maren.put("/api/rules/school/draft", "{\"rule\":\"voice.arrive-muted\",\"role\":\"PUPIL\",\"binding\":false}");
        apply(maren, "school", "");

        JsonNode why = why(maren, "school", "voice.arrive-muted", "").json();
        assertThat(why.get("value").asString()).isEqualTo("yes");
        assertThat(why.get("chain").size()).isEqualTo(1);
        assertThat(maren.get("/api/rules/school/history").json().at("/0/ended").asString())
                .startsWith("ended by Maren Oddlund");
    }

    @Test
    void two_people_who_change_the_same_do_not_lose_each_others_work() {
        TestBrowser orla = SERVER.signedIn("orla-venn");
        TestBrowser tam = SERVER.signedIn("tam-birket");
        String place = "class:tidal-navigation-8";
        draft(orla, place, "chat.class", "on-request", false, "");
        draft(tam, place, "chat.class", "closed", false, "");
        assertThat(apply(tam, place, "").status()).isEqualTo(200);

        var late = apply(orla, place, "");

        assertThat(late.status()).isEqualTo(409);
        assertThat(late.json().get("type").asString()).isEqualTo("/problems/changed-meanwhile");
        assertThat(why(orla, place, "chat.class", "").json().get("value").asString())
                .isEqualTo("closed");
        JsonNode draft = orla.get("/api/rules/" + place).json().get("draft");
        assertThat(draft.at("/0/overtaken").asString()).isEqualTo("Tam Birket set it to closed meanwhile");

        draft(orla, place, "chat.class", "on-request", false, "");
        assertThat(apply(orla, place, "").status()).as("kept knowingly").isEqualTo(200);
        assertThat(why(orla, place, "chat.class", "").json().get("value").asString())
                .isEqualTo("on-request");
    }

    @Test
    void only_who_answers_for_a_place_changes_it_and_only_within_its_ranges() {
        TestBrowser orla = SERVER.signedIn("orla-venn");
        assertThat(draft(orla, "school", "chat.private", "open", false, "").status())
                .isEqualTo(403);
        assertThat(draft(orla, "year:8", "chat.private", "open", false, "").status())
                .isEqualTo(403);
        assertThat(draft(orla, "class:harbour-law-9", "chat.class", "open", false, "")
                        .status())
                .isEqualTo(403);
        assertThat(draft(orla, "set:guest-talk", "chat.class", "open", false, "")
                        .status())
                .isEqualTo(403);
        assertThat(draft(maren, "class:harbour-law-9", "chat.class", "open", false, "")
                        .status())
                .isEqualTo(403);
        assertThat(draft(maren, "year:14", "chat.class", "open", false, "").status())
                .isEqualTo(404);

        assertThat(draft(maren, "school", "chat.class", "ajar", false, "")
                        .json()
                        .get("title")
                        .asString())
                .isEqualTo("“ajar” is no value of “Write to the whole class”");
        assertThat(draft(maren, "school", "entry.early-minutes", "121", false, "")
                        .status())
                .isEqualTo(400);
        assertThat(draft(maren, "school", "chat.class", "open", false, "full-moon")
                        .json()
                        .get("title")
                        .asString())
                .isEqualTo("“full-moon” is no condition");
        assertThat(maren.put(
                                "/api/rules/school/draft",
                                "{\"rule\":\"chat.private\",\"role\":\"LEAD_ADULT\",\"value\":\"open\",\"binding\":false}")
                        .status())
                .as("a rule that does not speak of this role")
                .isEqualTo(404);
        assertThat(maren.put(
                                "/api/rules/school/draft",
                                "{\"rule\":\"chat.class\",\"role\":\"PUPIL\",\"value\":\"open\",\"binding\":false,\"until\":\"2026-09-01\"}")
                        .json()
                        .get("title")
                        .asString())
                .isEqualTo("The last day is over already");
        assertThat(why(maren, "school", "no.such-rule", "").status()).isEqualTo(404);
        assertThat(maren.get("/api/rules/school").json().get("draft"))
                .as("nothing was half kept")
                .isEmpty();

        draft(maren, "school", "chat.class", "closed", false, "");
        assertThat(apply(maren, "school", "2026-09-13").json().get("title").asString())
                .isEqualTo("This day is over");
        assertThat(apply(maren, "school", "soon").status()).isEqualTo(400);
    }

    @Test
    void a_class_may_be_stricter_than_the_charter_but_is_told_who_binds_it_when_it_wants_looser() {
        TestBrowser thora = SERVER.signedIn("thora-melling");
        String place = "class:seabird-ecology-9";

        var refused = draft(thora, place, "names.rename", "open", false, "");

        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.json().get("title").asString()).isEqualTo("Charter binds this: Change one's own shown name");
        assertThat(refused.json().get("whatToDo").asString()).contains("Only the safeguarding lead");
        inForce(thora, place, "chat.class", "closed", true);
        assertThat(why(thora, place, "chat.class", "")
                        .json()
                        .at("/chain/1/text")
                        .asString())
                .contains("Class rules, binding, by Thora Melling");
    }

    @Test
    void a_draft_outlives_a_restart() {
        draft(maren, "school", "chat.save", "on-request", false, "recording");

        SERVER.restart();

        TestBrowser again = SERVER.stillOpen(maren);
        assertThat(again.get("/api/rules/school")
                        .json()
                        .at("/draft/0/whenWords")
                        .asString())
                .isEqualTo("while recording");
    }

    @Test
    void the_charter_shows_where_classes_are_overruled_and_what_is_wrong_in_the_rules() {
        JsonNode share = rule(maren.get("/api/rules/school").json(), "share.screen");

        assertThat(share.at("/overruledIn/0").asString()).isEqualTo("Signal Mathematics 11");
        JsonNode findings = maren.get("/api/rules-findings").json();
        assertThat(findings).anySatisfy(one -> {
            assertThat(one.get("title").asString()).startsWith("Share a screen, pupil: this setting never counts");
            assertThat(one.at("/causes/1").asString()).startsWith("Charter: Share a screen on request, binding");
        });
    }

    @Test
    void trying_out_answers_for_a_moment_a_situation_a_stance_and_a_draft() {
        String place = "/api/try/class:tidal-navigation-8/PUPIL?day=2026-09-17&time=11:00";
        assertThat(tried(maren.get(place).json(), "share.draw")).isEqualTo("open");
        assertThat(tried(maren.get("/api/try/school/PUPIL?minute=3").json(), "share.draw"))
                .isEqualTo("closed");
        assertThat(tried(maren.get(place + "&stance=assessment").json(), "voice.speak"))
                .isEqualTo("closed");
        draft(maren, "school", "chat.class", "closed", true, "recording");
        assertThat(tried(maren.get(place + "&facts=recording").json(), "chat.class"))
                .isNotEqualTo("closed");
        assertThat(tried(maren.get(place + "&facts=recording&draft=true").json(), "chat.class"))
                .isEqualTo("closed");
        assertThat(maren.get("/api/try/school/PUPIL?day=yesterday").status()).isEqualTo(400);
    }

    @Test
    void a_pupil_reads_on_the_seat_that_a_guests_presence_closes_something() {
        TestBrowser ilse = SERVER.signedIn("ilse-brandt");
        String lesson = "/api/lessons/knotwork-rigging-7-1.3-20-2";
        inForce(maren, "school", "chat.class", "closed", true, "visitor-present", "");
        assertThat(ilse.put(lesson + "/plan", "{\"visitors\":[\"Tove Saltmarsh\"],\"recording\":true,\"groups\":false}")
                        .json()
                        .at("/visitors/0")
                        .asString())
                .isEqualTo("Tove Saltmarsh");
        assertThat(SERVER.signedIn("orla-venn")
                        .put(lesson + "/plan", "{\"recording\":false,\"groups\":false}")
                        .status())
                .isEqualTo(403);
        ilse.post(lesson + "/open", "{}");
        ilse.post(lesson + "/join", "{}");
        JsonNode page = ilse.get("/api/classes/knotwork-rigging-7/joining").json();
        String link = page.get("link").asString();
        String door = "/api/doorsteps/" + link.substring(link.lastIndexOf('/') + 1) + "/knock";
        String word = page.get("word").asString();
        TestBrowser tove = SERVER.browser();
        JsonNode knocked = tove.post(
                        door, "{\"name\":\"Tove Saltmarsh\",\"word\":\"%s\",\"agreed\":true}".formatted(word))
                .json();

        JsonNode desk = ilse.get(lesson + "/desk").json();
        assertThat(desk.toString()).contains("Tove Saltmarsh");
        ilse.post(lesson + "/visits/" + knocked.get("visit").asString() + "/admit", "{}");

        JsonNode why = ilse.get(lesson + "/why/chat.class").json();
        assertThat(why.get("value").asString()).isEqualTo("closed");
        assertThat(why.get("forPupils").asString())
                .isEqualTo("You may not write to the whole class while a visitor is present.");
        var refused = ilse.put(lesson + "/live-setting", "{\"rule\":\"chat.class\",\"value\":\"open\"}");
        assertThat(refused.json().get("detail").asString()).contains("by Maren Oddlund, while a visitor is present,");
    }

    @Test
    void pupils_read_the_house_rules_without_names() {
        String rules =
                SERVER.signedIn("ines-carrow").get("/api/charter/for-pupils").text();

        assertThat(rules).contains("Our school's rules: closed").doesNotContain("Maren");
    }

    private static JsonNode rule(JsonNode document, String key) {
        for (JsonNode chapter : document.get("chapters")) {
            for (JsonNode rule : chapter.get("rules")) {
                if (rule.get("key").asString().equals(key)) {
                    return rule;
                }
            }
        }
        throw new AssertionError("No such rule: " + key);
    }

    private static String tried(JsonNode tried, String key) {
        for (JsonNode area : tried.get("areas")) {
            for (JsonNode rule : area.get("rules")) {
                if (rule.get("rule").asString().equals(key)) {
                    return rule.get("value").asString();
                }
            }
        }
        throw new AssertionError("Not tried: " + key);
    }

    private static String valueOnDesk(JsonNode desk) {
        for (JsonNode column : desk.at("/rights/columns")) {
            if (column.get("rule").asString().equals("voice.camera")) {
                return column.get("value").asString();
            }
        }
        throw new AssertionError("No such column");
    }
}
