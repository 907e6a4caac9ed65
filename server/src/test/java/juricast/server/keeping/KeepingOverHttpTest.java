package juricast.server.keeping;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** The demo's past has lessons that departed from their plan, and some whose adult lost the connection. */
class KeepingOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private final TestBrowser maren = SERVER.signedIn("maren-oddlund");

    @BeforeEach
    void what_is_over_is_gone_through() {
        SERVER.bean(Keepings.class).goThrough();
    }

    private static List<JsonNode> each(JsonNode array) {
        return IntStream.range(0, array.size()).mapToObj(array::get).toList();
    }

    @Test
    void what_is_kept_of_a_lesson_is_what_its_replay_shows() {
        JsonNode page = maren.get("/api/keeping").json();
        assertThat(page.at("/all/lessons").asInt()).isGreaterThan(50);
        assertThat(page.at("/all/departed").asInt()).isPositive();
        assertThat(page.at("/all/aloneMinutes").asInt()).isPositive();
        List<JsonNode> lessons = each(page.get("lessons"));
        assertThat(lessons).hasSizeGreaterThan(3);
        for (JsonNode one : lessons.subList(0, 4)) {
            JsonNode replay = maren.get("/api/lessons/" + one.get("lesson").asString() + "/replay")
                    .json();
            assertThat(each(one.get("departures")).stream()
                            .map(departure -> departure.get("title").asString() + departure.get("by")))
                    .containsExactlyElementsOf(each(replay.get("departures")).stream()
                            .map(departure -> departure.get("title").asString() + departure.get("by"))
                            .toList());
            assertThat(one.get("aloneMinutes").asInt() > 0)
                    .isEqualTo(replay.get("alone").size() > 0);
        }
    }

    @Test
    void a_sum_leads_to_its_lessons_and_a_teacher_sees_the_own_classes_only() {
        JsonNode page = maren.get("/api/keeping").json();
        JsonNode rule = page.at("/rules/0");
        JsonNode behind =
                maren.get("/api/keeping?rule=" + rule.get("id").asString()).json();
        assertThat(behind.get("driftedInAll").asInt())
                .isEqualTo(rule.at("/sum/departed").asInt());
        assertThat(each(behind.get("lessons"))).allSatisfy(lesson -> assertThat(each(lesson.get("departures")))
                .isNotEmpty()
                .allMatch(departure -> departure.get("title").equals(rule.get("name"))));

        JsonNode own = SERVER.signedIn("orla-venn").get("/api/keeping").json();
        assertThat(own.at("/all/lessons").asInt())
                .isPositive()
                .isLessThan(page.at("/all/lessons").asInt());
        assertThat(own.get("classes").toString()).contains("Weather Lab 8").doesNotContain("Harbour Law 9");
        assertThat(maren.get("/api/keeping?from=2020-01-01&until=2026-01-01").status())
                .isEqualTo(400);
        assertThat(maren.get("/api/keeping?from=2020-01-01&until=2020-02-01")
                        .json()
                        .at("/all/lessons")
                        .asInt())
                .isZero();
    }
}
