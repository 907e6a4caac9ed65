package juricast.server.first;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

class FirstStepsOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.empty();

    private static List<String> open(TestBrowser lead) {
        JsonNode steps = lead.get("/api/first-steps").json();
        return IntStream.range(0, steps.size())
                .mapToObj(steps::get)
                .filter(one -> !one.get("done").asBoolean())
                .map(one -> one.get("step").asString())
                .toList();
    }

    @Test
    void an_empty_school_is_led_to_its_first_lesson_and_every_ready_made_charter_can_be_put_in_force() {
        TestBrowser lead = SERVER.browser();
        assertThat(lead.post(
                                "/api/first-start",
                                """
                        {"school":"Skerry School","zone":"UTC","name":"Ada Quill","signIn":"ada","password":"three sheets of cork","setupWord":"%s"}"""
                                        .formatted(RunningServer.SETUP_WORD))
                        .status())
                .isEqualTo(200);
        assertThat(open(lead)).containsExactly("CALENDAR", "CHARTER", "PEOPLE", "CLASS", "LESSON", "TRIED");

        JsonNode ready = lead.get("/api/charter/ready-made").json();
        assertThat(ready.size()).isEqualTo(3);
        for (int n = 0; n < ready.size(); n++) {
            JsonNode one = ready.get(n);
            assertThat(one.at("/settings/0/why").asString()).isNotBlank();
            String path = "/api/charter/ready-made/" + one.get("id").asString();
            var draft = lead.post(path, "");
            assertThat(draft.status()).as(draft.text()).isEqualTo(200);
            assertThat(draft.json().get("draft").size()).as(path).isPositive();
            assertThat(lead.post(path, "").status()).as("a draft is begun").isEqualTo(409);
            assertThat(lead.post("/api/rules/school/draft/in-force", "{\"from\":\"\"}")
                            .status())
                    .isEqualTo(200);
        }
        assertThat(lead.post("/api/charter/ready-made/nothing", "").status()).isEqualTo(404);
        assertThat(open(lead)).doesNotContain("CHARTER");

        String id = lead.post("/api/classes", "{\"title\":\"Harbour Law 9\",\"year\":9}")
                .json()
                .get("id")
                .asString();
        lead.upload(
                "/api/classes/" + id + "/roster",
                "name\nInes Carrow".getBytes(java.nio.charset.StandardCharsets.UTF_8),
                "");
        lead.post(
                "/api/classes/" + id + "/series",
                "{\"first\":\"2026-09-14\",\"until\":null,\"days\":[],\"start\":\"10:20\",\"minutes\":50}");
        assertThat(open(lead)).doesNotContain("LESSON");
        String lesson =
                lead.get("/api/classes/" + id).json().at("/lessons/0/id").asString();
        assertThat(lead.post("/api/lessons/" + lesson + "/open", "{}").status()).isEqualTo(200);
        assertThat(open(lead)).doesNotContain("TRIED");
    }
}
