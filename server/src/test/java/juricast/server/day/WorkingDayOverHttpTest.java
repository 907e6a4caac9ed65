package juricast.server.day;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.IntStream;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

class WorkingDayOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private final TestBrowser orla = SERVER.signedIn("orla-venn");
    private final TestBrowser maren = SERVER.signedIn("maren-oddlund");

    private static int waiting(TestBrowser who, String duty) {
        JsonNode lines = who.get("/api/working-day").json().get("waiting");
        return IntStream.range(0, lines.size())
                .mapToObj(lines::get)
                .filter(one -> one.get("duty").asString().equals(duty))
                .mapToInt(one -> one.get("count").asInt())
                .sum();
    }

    @Test
    void the_lesson_that_runs_is_the_next_thing_and_who_stands_at_its_door_is_counted() {
        JsonNode next = orla.get("/api/working-day").json().get("next");
        assertThat(next.get("title").asString()).isEqualTo("Tidal Navigation 8");
        assertThat(next.get("nearness").asString()).isEqualTo("LIVE");
        JsonNode desk =
                orla.get("/api/lessons/" + next.get("id").asString() + "/desk").json();
        assertThat(waiting(orla, "KNOCK"))
                .isPositive()
                .isEqualTo(desk.get("door").get("waiting").size());
        assertThat(waiting(SERVER.signedIn("ilse-brandt"), "KNOCK"))
                .as("of other adults' lessons nothing is told")
                .isZero();
    }

    @Test
    void a_register_waits_until_it_is_signed() {
        JsonNode unsigned = orla.get("/api/registers/unsigned").json();
        int before = unsigned.size();
        assertThat(before).isPositive();
        assertThat(waiting(orla, "REGISTER")).isEqualTo(before);
        String lesson = unsigned.get(0).get("lesson").asString();
        assertThat(orla.post("/api/lessons/" + lesson + "/register/sign", "{}").status())
                .isEqualTo(200);
        assertThat(waiting(orla, "REGISTER")).isEqualTo(before - 1);
    }

    @Test
    void a_lead_hears_of_worries_until_somebody_takes_them_over_and_of_an_own_draft() {
        JsonNode lessons = maren.get("/api/corridor").json().get("lessons");
        int grave = waiting(maren, "WORRY");
        assertThat(grave).isPositive();
        assertThat(waiting(orla, "WORRY")).isZero();
        for (JsonNode lesson : lessons) {
            for (JsonNode alert : lesson.get("alerts")) {
                if (alert.get("grave").asBoolean()) {
                    maren.post(
                            "/api/corridor/%s/%s/take-over"
                                    .formatted(
                                            lesson.get("lesson").asString(),
                                            alert.get("kind").asString()),
                            "{}");
                }
            }
        }
        assertThat(waiting(maren, "WORRY")).isZero();
        int drafted = waiting(maren, "DRAFT");
        String edit =
                """
                {"rule": "chat.private", "role": "PUPIL", "when": "", "value": "closed", "binding": true, "note": "", "until": ""}""";
        assertThat(maren.put("/api/rules/school/draft", edit).status()).isEqualTo(200);
        assertThat(waiting(maren, "DRAFT")).isEqualTo(drafted + 1);
    }

    @Test
    void what_is_weak_soon_is_of_ones_own_lessons_and_the_lead_sees_at_least_as_much() {
        int own = orla.get("/api/inspection/soon").json().size();
        int all = maren.get("/api/inspection/soon").json().size();
        assertThat(all).isPositive().isGreaterThanOrEqualTo(own);
        assertThat(all)
                .isLessThan(maren.get("/api/inspection").json().get("open").size());
        assertThat(maren.get("/api/working-day/covers").text())
                .as("a cover that the demo has planned")
                .contains("\"insteadOf\":\"Tam Birket\"");
        assertThat(orla.get("/api/working-day/ahead").json().size()).isPositive();
    }

    @Test
    void a_pupil_has_no_such_day() {
        TestBrowser ines = SERVER.signedIn("ines-carrow");
        for (String path : new String[] {
            "/api/working-day",
            "/api/working-day/covers",
            "/api/working-day/ahead",
            "/api/registers/unsigned",
            "/api/inspection/soon"
        }) {
            assertThat(ines.get(path).status()).as(path).isEqualTo(403);
        }
    }
}
