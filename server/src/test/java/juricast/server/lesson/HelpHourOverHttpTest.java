package juricast.server.lesson;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** A help hour from the plan to the register (need B10). */
class HelpHourOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private final TestBrowser orla = SERVER.signedIn("orla-venn");
    private final TestBrowser ines = SERVER.signedIn("ines-carrow");
    private final TestBrowser maren = SERVER.signedIn("maren-oddlund");

    private String planned(String start) {
        String body =
                "{\"first\":\"2026-09-14\",\"until\":null,\"days\":[],\"start\":\"%s\",\"minutes\":40,\"helpHour\":true}";
        JsonNode made = orla.post("/api/classes/weather-lab-8/series", body.formatted(start))
                .json();
        assertThat(made.get("added").asInt()).isEqualTo(1);
        assertThat(made.get("what").asString()).contains("help hour");
        for (JsonNode one : orla.get("/api/today").json()) {
            if (one.get("title").asString().equals("Help hour, Weather Lab 8")) {
                return one.get("id").asString();
            }
        }
        throw new AssertionError("It does not stand in today's lessons");
    }

    @Test
    void one_that_is_planned_stands_everywhere_and_not_coming_to_it_is_no_absence() {
        String id = planned("12:25");
        assertThat(ines.get("/api/my-day").text()).contains("Help hour, Weather Lab 8");
        assertThat(orla.get("/api/timetable?from=2026-09-14&days=1").text()).contains("Help hour, Weather Lab 8");
        String note = orla.get("/api/classes/tidal-navigation-8/joining")
                .json()
                .at("/forPupils/text")
                .asString();
        assertThat(note).contains("Help hour, if you have a question: ").contains("Every week: ");
        SERVER.advance(Duration.ofMinutes(130));
        String lesson = "/api/lessons/" + id;
        assertThat(orla.post(lesson + "/open", "{}").status()).isEqualTo(200);
        JsonNode desk = orla.get(lesson + "/desk").json();
        assertThat(desk.at("/help/places").asInt()).isEqualTo(3);
        assertThat(desk.at("/help/stayed").asBoolean()).isFalse();
        assertThat(orla.post(lesson + "/dismiss", "{}").status()).isEqualTo(200);
        for (JsonNode line : orla.get(lesson + "/register").json().get("lines")) {
            assertThat(line.get("mark").asString()).isEqualTo("NOT_EXPECTED");
        }
        SERVER.advance(Duration.ofMinutes(-130));
    }

    @Test
    void at_the_end_of_a_lesson_the_adult_stays_by_one_order_and_only_its_adults_may_give_it() {
        String lesson = "/api/lessons/tidal-navigation-8-1.3-2";
        orla.post(lesson + "/join", "{}");
        String stay = "{\"minutes\":20}";
        assertThat(orla.post(lesson + "/help-hour", stay).status())
                .as("the lesson goes on")
                .isEqualTo(409);
        assertThat(ines.post(lesson + "/help-hour", stay).status()).isEqualTo(403);
        assertThat(SERVER.signedIn("ilse-brandt")
                        .post(lesson + "/help-hour", stay)
                        .status())
                .isGreaterThanOrEqualTo(403);
        SERVER.advance(Duration.ofMinutes(30));
        assertThat(orla.post(lesson + "/help-hour", stay).status()).isEqualTo(200);
        JsonNode desk = orla.get(lesson + "/desk").json();
        assertThat(desk.at("/help/stayed").asBoolean()).isTrue();
        assertThat(desk.at("/help/row").toString())
                .as("who waited at the door still waits")
                .contains("Ines Carrow");
        assertThat(maren.get("/api/corridor").text()).contains("Tidal Navigation 8");
        JsonNode register = orla.get(lesson + "/register").json();
        assertThat(register.get("lines").size()).isEqualTo(30);
        SERVER.advance(Duration.ofMinutes(-30));
    }
}
