package juricast.server.rules;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

class CharterOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private TestBrowser maren;

    @BeforeEach
    void somebody_who_may_edit() {
        maren = SERVER.signedIn("maren-oddlund");
        SERVER.advance(Duration.ofMinutes(1));
    }

    @Test
    void the_past_is_judged_by_the_rules_of_its_day() {
        String register = "/api/lessons/seabird-ecology-8-1.1-2/register";
        int lateBefore = maren.get(register).json().get("late").asInt();
        assertThat(lateBefore).isPositive();

        put("/api/charter/register.late-after/PUPIL", "60", false);

        assertThat(maren.get(register).json().get("late").asInt()).isEqualTo(lateBefore);
    }

    @Test
    void a_binding_change_reaches_a_lesson_that_runs_and_no_desk_can_undo_it() {
        TestBrowser orla = SERVER.signedIn("orla-venn");
        String lesson = "/api/lessons/tidal-navigation-8-1.3-2";
        orla.post(lesson + "/join", "{}");
        orla.put(lesson + "/live-setting", "{\"rule\":\"voice.camera\",\"value\":\"open\"}");

        put("/api/charter/voice.camera/PUPIL", "closed", true);

        assertThat(valueOnDesk(orla.get(lesson + "/desk").json())).isEqualTo("closed");
        var refused = orla.put(lesson + "/live-setting", "{\"rule\":\"voice.camera\",\"value\":\"open\"}");
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.json().get("detail").asString()).contains("“closed” by Maren Oddlund");
        JsonNode why = orla.get(lesson + "/why/voice.camera").json();
        assertThat(why.at("/chain/1/effect").asString()).isEqualTo("DECIDES");
        assertThat(why.at("/chain/2/text").asString()).contains("From the desk, by Orla Venn");
        assertThat(why.at("/chain/2/effect").asString()).isEqualTo("OVERRULED");
    }

    @Test
    void what_was_set_can_be_taken_back_and_the_usual_value_counts_again() {
        put("/api/charter/voice.arrive-muted/VISITOR", "no", false);
        assertThat(maren.get("/api/charter/voice.arrive-muted/VISITOR/why")
                        .json()
                        .get("value")
                        .asString())
                .isEqualTo("no");
        SERVER.advance(Duration.ofMinutes(1));

        maren.delete("/api/charter/voice.arrive-muted/VISITOR");

        JsonNode why = maren.get("/api/charter/voice.arrive-muted/VISITOR/why").json();
        assertThat(why.get("value").asString()).isEqualTo("yes");
        assertThat(why.get("chain").size()).isEqualTo(1);
    }

    @Test
    void only_the_lead_changes_the_charter_and_only_within_its_ranges() {
        assertThat(SERVER.signedIn("orla-venn")
                        .put("/api/charter/chat.private/PUPIL", "{\"value\":\"open\",\"binding\":false}")
                        .status())
                .isEqualTo(403);
        assertThat(maren.put("/api/charter/chat.class/PUPIL", "{\"value\":\"ajar\",\"binding\":false}")
                        .json()
                        .get("title")
                        .asString())
                .isEqualTo("“ajar” is no value of “Write to the whole class”");
        assertThat(maren.put("/api/charter/chat.private/LEAD_ADULT", "{\"value\":\"open\",\"binding\":false}")
                        .status())
                .as("a rule that does not speak of this role")
                .isEqualTo(404);
        assertThat(maren.get("/api/charter/no.such-rule/PUPIL/why").status()).isEqualTo(404);
    }

    @Test
    void pupils_read_the_house_rules_without_names() {
        String rules =
                SERVER.signedIn("ines-carrow").get("/api/charter/for-pupils").text();

        assertThat(rules).contains("Our school's rules: closed").doesNotContain("Maren");
    }

    private void put(String path, String value, boolean binding) {
        var answer = maren.put(path, "{\"value\":\"%s\",\"binding\":%s}".formatted(value, binding));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    }

    private static String valueOnDesk(JsonNode desk) {
        for (JsonNode column : desk.get("columns")) {
            if (column.get("rule").asString().equals("voice.camera")) {
                return column.get("value").asString();
            }
        }
        throw new AssertionError("No such column");
    }
}
