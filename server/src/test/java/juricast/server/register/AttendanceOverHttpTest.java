package juricast.server.register;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** The demo has a week of lessons that are over. */
class AttendanceOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private static final String REGISTER = "/api/lessons/seabird-ecology-8-1.1-2/register";
    private static final String GRID = "/api/classes/seabird-ecology-8/attendance";
    private final TestBrowser orla = SERVER.signedIn("orla-venn");
    private final TestBrowser maren = SERVER.signedIn("maren-oddlund");

    @BeforeEach
    void what_is_over_is_gone_through() {
        SERVER.bean(Attendances.class).goThrough();
    }

    private static List<JsonNode> each(JsonNode array) {
        return IntStream.range(0, array.size()).mapToObj(array::get).toList();
    }

    private JsonNode pupil(String person) {
        return each(orla.get(GRID).json().get("pupils")).stream()
                .filter(one -> one.get("person").asString().equals(person))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void a_class_is_a_grid_that_agrees_with_each_of_its_registers() {
        JsonNode grid = orla.get(GRID).json();
        assertThat(grid.get("lessons").size()).isGreaterThan(1);
        for (int column = 0; column < grid.get("lessons").size(); column++) {
            String id = grid.at("/lessons/" + column + "/id").asString();
            JsonNode register = orla.get("/api/lessons/" + id + "/register").json();
            for (JsonNode line : each(register.get("lines"))) {
                int at = column;
                JsonNode cell = each(grid.get("pupils")).stream()
                        .filter(one -> one.get("person").equals(line.get("person")))
                        .map(one -> one.get("cells").get(at))
                        .findFirst()
                        .orElseThrow();
                assertThat(cell.get("mark")).isEqualTo(line.get("mark"));
                assertThat(cell.get("minutes").asLong())
                        .isEqualTo(line.get("minutes").asLong());
            }
        }
        String table = orla.get(GRID + ".csv").text();
        assertThat(table.lines().toList()).hasSize(1 + grid.get("pupils").size());
        assertThat(SERVER.signedIn("anton-prowse").get(GRID).status()).isEqualTo(403);
        assertThat(orla.get(GRID + "?from=2020-01-01&until=2026-01-01").status())
                .isEqualTo(400);
    }

    @Test
    void a_correction_counts_everywhere_at_once_and_a_signed_register_is_opened_again_only_with_a_reason() {
        JsonNode line = each(orla.get(REGISTER).json().get("lines")).stream()
                .filter(one -> one.get("mark").asString().equals("PRESENT"))
                .findFirst()
                .orElseThrow();
        String person = line.get("person").asString();
        int expected = pupil(person).at("/rate/expected").asInt();
        String correction =
                "{\"person\":\"%s\",\"mark\":\"EXCUSED\",\"lateMinutes\":0,\"reason\":\"sick bed\"}".formatted(person);
        assertThat(orla.post(REGISTER + "/corrections", correction).status()).isEqualTo(200);
        assertThat(pupil(person).at("/rate/expected").asInt()).isEqualTo(expected - 1);
        assertThat(maren.get("/api/pupils/" + person + "/attendance").text()).contains("\"mark\":\"EXCUSED\"");

        assertThat(orla.post(REGISTER + "/sign", "{}").json().at("/signed/by").asString())
                .isEqualTo("Orla Venn");
        assertThat(orla.post(REGISTER + "/corrections", correction).text()).contains("This register is signed");
        assertThat(orla.post(REGISTER + "/sign", "{}").status()).isEqualTo(409);
        assertThat(orla.post(REGISTER + "/reopen", "{\"reason\":\" \"}").status())
                .isEqualTo(400);
        assertThat(orla.post(REGISTER + "/reopen", "{\"reason\":\"a parent called\"}")
                        .json()
                        .has("signed"))
                .isFalse();
        assertThat(orla.post(REGISTER + "/corrections", correction).status()).isEqualTo(200);
        assertThat(orla.post("/api/lessons/tidal-navigation-8-1.3-2/register/sign", "{}")
                        .status())
                .as("it still runs")
                .isEqualTo(409);
    }

    @Test
    void a_teacher_sees_a_pupil_in_the_own_classes_and_the_lead_in_all() {
        JsonNode all = maren.get("/api/pupils/ines-carrow/attendance").json();
        JsonNode own = orla.get("/api/pupils/ines-carrow/attendance").json();
        assertThat(own.at("/whole/expected").asInt())
                .isPositive()
                .isLessThan(all.at("/whole/expected").asInt());
        assertThat(own.get("classes").toString()).doesNotContain("Harbour Law");
        assertThat(SERVER.signedIn("anton-prowse")
                        .get("/api/pupils/orla-venn/attendance")
                        .status())
                .as("no pupil")
                .isEqualTo(404);
        int lookedAt = maren.get("/api/attendance").json().get("lookedAt").asInt();
        assertThat(lookedAt).isGreaterThan(100);
        assertThat(orla.get("/api/attendance").json().get("lookedAt").asInt()).isBetween(1, lookedAt - 1);
    }

    /** A lesson that nobody opened here: it was held in another service. */
    @Test
    void a_log_of_another_service_becomes_presence_once_a_person_has_decided_every_name_and_can_be_taken_back() {
        TestBrowser thora = SERVER.signedIn("thora-melling");
        String id = thora.post("/api/classes", "{\"title\":\"Knot Theory\",\"year\":8}")
                .json()
                .get("id")
                .asString();
        String path = "/api/classes/" + id;
        byte[] roster = "name\nInes Carrow\nJory Pell\nBo Lindqvar\n".getBytes();
        thora.upload(
                path + "/roster",
                roster,
                thora.upload(path + "/roster/preview", roster, "")
                        .json()
                        .get("fingerprint")
                        .asString());
        thora.post(
                path + "/series",
                """
                {"first":"2026-09-14","until":"2026-09-14","days":["MONDAY"],"start":"12:00","minutes":50}""");
        String lesson =
                "/api/lessons/" + thora.get(path).json().at("/lessons/0/id").asString();
        assertThat(thora.get(lesson + "/register").json().get("draft").asBoolean())
                .isTrue();
        SERVER.advance(java.time.Duration.ofHours(4));
        String file = "Participant,Join Time,Leave Time\nInes Carrow,11:58,12:20\nInes Carrow,12:22,12:50\n"
                + "J Pell,12:09,12:50\nBo Lindqvar,12:00,\na guest,12:00,12:50\n";
        String at = lesson + "/logs";
        JsonNode shown = thora.send("POST", at + "/preview", file, "text/csv").json();
        assertThat(shown.get("open").asInt()).isEqualTo(2);
        assertThat(shown.at("/wrong/0/message").asString()).contains("Bo Lindqvar has no time of leaving");
        assertThat(thora.send(
                                "POST",
                                at + "?fingerprint=" + shown.get("fingerprint").asString(),
                                file,
                                "text/csv")
                        .text())
                .contains("2 names are open");

        String decided = "decided="
                + java.net.URLEncoder.encode(
                        "{\"J Pell\":\"jory-pell\",\"a guest\":\"-\"}", java.nio.charset.StandardCharsets.UTF_8);
        JsonNode then =
                thora.send("POST", at + "/preview?" + decided, file, "text/csv").json();
        assertThat(then.get("open").asInt()).isZero();
        assertThat(thora.send(
                                "POST",
                                at + "?" + decided + "&name=log.csv&fingerprint="
                                        + then.get("fingerprint").asString(),
                                file,
                                "text/csv")
                        .status())
                .isEqualTo(200);
        JsonNode register = thora.get(lesson + "/register").json();
        assertThat(register.get("draft").asBoolean()).isFalse();
        assertThat(register.get("lines").toString()).contains("\"mark\":\"LATE\",\"lateMinutes\":9");
        assertThat(thora.get(path + "/attendance").json().get("lessons").size()).isEqualTo(1);
        assertThat(orla.send("POST", at + "/preview", file, "text/csv").status())
                .isEqualTo(403);

        String log = register.at("/logs/0/id").asString();
        assertThat(thora.delete(at + "/" + log).status()).isEqualTo(200);
        assertThat(thora.get(lesson + "/register").json().get("draft").asBoolean())
                .isTrue();
        assertThat(thora.get(path + "/attendance").json().get("lessons").size()).isZero();
        assertThat(thora.delete(at + "/" + log).status()).isEqualTo(404);
    }
}
