package juricast.server.find;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

class FindOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private final TestBrowser orla = SERVER.signedIn("orla-venn");
    private final TestBrowser maren = SERVER.signedIn("maren-oddlund");

    private static JsonNode find(TestBrowser who, String typed) {
        return who.get("/api/find?typed=" + URLEncoder.encode(typed, StandardCharsets.UTF_8))
                .json();
    }

    @Test
    void what_is_to_come_is_covered_what_runs_has_a_desk_and_a_question_is_answered_in_it() {
        JsonNode cover = find(maren, "cover tidal navigation 8").get(0);
        assertThat(cover.get("act").asString()).isEqualTo("COVER");
        assertThat(cover.get("id").asString())
                .startsWith("tidal-navigation-8-")
                .isNotEqualTo("tidal-navigation-8-1.3-2");
        assertThat(find(orla, "desk tidal").get(0).get("id").asString()).isEqualTo("tidal-navigation-8-1.3-2");
        JsonNode why = find(orla, "why may Ines not write").get(0);
        assertThat(why.get("act").asString()).isEqualTo("WHY");
        assertThat(why.get("name").asString()).isEqualTo("Ines Carrow");
        assertThat(why.get("rule").asString()).isEqualTo("chat.class");
        String path = "/api/lessons/%s/why/%s?person=%s"
                .formatted(
                        why.get("lesson").asString(),
                        why.get("rule").asString(),
                        why.get("id").asString());
        assertThat(orla.get(path).json().get("chain").size()).isPositive();
    }

    @Test
    void nobody_finds_what_they_may_not_read() {
        assertThat(find(maren, "harbour law 11").size()).isPositive();
        assertThat(find(orla, "harbour law 11")).isEmpty();
        assertThat(find(orla, "maren")).as("accounts are the lead's").isEmpty();
        assertThat(find(maren, "orla").get(0).get("kind").asString()).isEqualTo("ADULT");
        assertThat(find(orla, "x".repeat(5000))).isEmpty();
        assertThat(SERVER.signedIn("ines-carrow").get("/api/find?typed=tidal").status())
                .isEqualTo(403);
    }
}
