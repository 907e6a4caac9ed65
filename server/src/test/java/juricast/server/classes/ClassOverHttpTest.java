package juricast.server.classes;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Collectors;
import java.util.stream.IntStream;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.data.Database;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

class ClassOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private static int made;
    private TestBrowser thora;
    private String path;

    @BeforeEach
    void a_new_class() {
        thora = SERVER.signedIn("thora-melling");
        JsonNode answer = thora.post("/api/classes", "{\"title\":\"Rope Songs %d\",\"year\":8}".formatted(++made))
                .json();
        path = "/api/classes/" + answer.get("id").asString();
    }

    @Test
    void a_roster_is_taken_exactly_as_it_was_shown_and_a_change_meanwhile_stops_it() {
        byte[] file = "name,year\nInes Carrow,8\n<b>Bold</b> Name,8\n,8\nNobody,Year 40\n".getBytes(UTF_8);
        JsonNode preview = thora.upload(path + "/roster/preview", file, "").json();

        assertThat(preview.get("added").get(0).asString()).isEqualTo("Ines Carrow");
        assertThat(preview.get("created").get(0).asString()).isEqualTo("<b>Bold</b> Name");
        assertThat(preview.get("wrong").size()).isEqualTo(2);
        assertThat(preview.get("wrong").get(0).get("line").asInt()).isEqualTo(4);
        assertThat(thora.get(path).json().get("pupils").size())
                .as("nothing yet")
                .isZero();

        String fingerprint = preview.get("fingerprint").asString();
        assertThat(thora.upload(path + "/roster", "name\nJory Pell".getBytes(UTF_8), fingerprint)
                        .status())
                .isEqualTo(409);
        assertThat(thora.upload(path + "/roster", file, fingerprint).status()).isEqualTo(200);
        assertThat(thora.get(path).json().get("pupils").size()).isEqualTo(2);
        assertThat(thora.upload(path + "/roster", file, fingerprint).status())
                .as("the same again is another change")
                .isEqualTo(409);
    }

    @Test
    void twenty_thousand_rows_and_none_are_told_and_change_nothing() {
        String many = IntStream.range(0, 20_000).mapToObj(i -> "Pupil " + i).collect(Collectors.joining("\n"));

        assertThat(thora.upload(path + "/roster/preview", ("name\n" + many).getBytes(UTF_8), "")
                        .json()
                        .at("/wrong/0/message")
                        .asString())
                .contains("more than 5000 rows");
        assertThat(thora.upload(path + "/roster/preview", "name\n".getBytes(UTF_8), "")
                        .json()
                        .at("/wrong/0/message")
                        .asString())
                .contains("no pupil below");
        assertThat(thora.get(path).json().get("pupils").size()).isZero();
    }

    @Test
    void a_file_without_anybody_never_empties_a_class() {
        byte[] good = "name\nInes Carrow".getBytes(UTF_8);
        byte[] bad = "name\n".getBytes(UTF_8);
        take(good);

        assertThat(take(bad)).isEqualTo(409);
        assertThat(thora.get(path).json().get("pupils").size()).isEqualTo(1);
    }

    @Test
    void lessons_are_scheduled_weekly_and_twice_the_same_is_left_out() {
        String series =
                """
                {"first":"2026-09-15","until":"2026-10-06","days":["TUESDAY","WEDNESDAY"],"start":"14:00","minutes":45}""";

        assertThat(thora.post(path + "/series", series).json().get("added").asInt())
                .isEqualTo(7);
        assertThat(thora.post(path + "/series", series).json().get("left").asInt())
                .isEqualTo(7);
        assertThat(thora.post(
                                path + "/series",
                                "{\"first\":\"tomorrow\",\"until\":\"\",\"days\":[],\"start\":\"25:00\",\"minutes\":50}")
                        .json()
                        .get("wrong")
                        .size())
                .as("no last date is one lesson")
                .isEqualTo(2);
        assertThat(thora.get(path).json().get("lessons").size()).isEqualTo(7);
        assertThat(thora.get(path + "/joining").json().at("/forPupils/text").asString())
                .contains("Tuesday 15 September, 14:00 to 14:45 (45 min)", "Join word:", "/join/");
    }

    @Test
    void a_renewed_link_refuses_the_old_one_kindly_and_a_mistyped_one_leads_nowhere() {
        String old = thora.get(path + "/joining").json().get("link").asString().replaceAll(".*/join/", "");
        thora.post(
                path + "/series",
                """
                {"first":"2026-09-14","until":"2026-09-14","days":["MONDAY"],"start":"10:15","minutes":45}""");
        String word = thora.get(path + "/joining").json().get("word").asString();
        thora.post(path + "/link/renew", "{}");
        TestBrowser stranger = SERVER.browser();

        var knocked = stranger.post(
                "/api/doorsteps/" + old + "/knock",
                "{\"name\":\"Ines Carrow\",\"word\":\"%s\",\"agreed\":true}".formatted(word));
        JsonNode seat = stranger.get("/api/seats/" + knocked.json().get("visit").asString())
                .json();

        assertThat(seat.at("/mine/door/status").asString()).isEqualTo("TURNED_AWAY");
        assertThat(seat.at("/mine/door/why/0").asString()).contains("renewed");
        assertThat(stranger.get("/api/doorsteps/" + old.substring(0, 31) + (old.endsWith("x") ? "y" : "x"))
                        .json()
                        .get("title")
                        .asString())
                .isEqualTo("This link leads nowhere");
    }

    @Test
    void of_whom_a_row_is_not_certain_nothing_is_taken_before_it_is_said() {
        byte[] file = "pupil,number,year\nInes Carrow,,11\nJory Pell,,8B\n".getBytes(UTF_8);
        String answered = path + "/roster/preview?answers=" + encoded("{\"2\":\"SAME\"}");

        JsonNode asked = thora.upload(path + "/roster/preview", file, "").json();
        assertThat(asked.at("/asked/0/why").asString()).isEqualTo("OTHER_YEAR");
        assertThat(asked.at("/asked/0/known").asString()).contains("Ines Carrow, year 8");
        assertThat(asked.at("/wrong/0/message").asString()).contains("8B", "stays as they are");
        TestBrowser.Answer refused =
                thora.upload(path + "/roster", file, asked.get("fingerprint").asString());
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.text()).contains("say first");
        JsonNode said = thora.upload(answered, file, "").json();
        assertThat(said.at("/moved/0/to").asString()).isEqualTo("year 11");
        assertThat(said.get("asked")).isEmpty();
        assertThat(thora.upload(path + "/roster/preview?columns=0,-1,-1,9,-1", file, "")
                        .json()
                        .at("/wrong/0/message")
                        .asString())
                .contains("No column");
        assertThat(thora.upload(path + "/roster/preview?columns=name", file, "").status())
                .isEqualTo(400);
        assertThat(thora.upload(path + "/roster/preview?answers=yes", file, "").status())
                .isEqualTo(400);
    }

    private static String encoded(String text) {
        return java.net.URLEncoder.encode(text, UTF_8);
    }

    @Test
    void a_roster_goes_out_as_a_table_that_comes_back_in_and_calculates_nothing() {
        take("name,number,year\nInes Carrow,,8\n=HYPERLINK(\"x\"),77,8\n".getBytes(UTF_8));
        String table = thora.get(path + "/roster/table").text();
        assertThat(table.lines().toList()).hasSize(3).anySatisfy(line -> assertThat(line)
                .startsWith("\"'=HYPERLINK"));
        JsonNode again = thora.upload(path + "/roster/preview", table.getBytes(UTF_8), "")
                .json();
        assertThat(again.get("staying").asInt()).isEqualTo(2);
        assertThat(again.get("renamed")).isEmpty();
        assertThat(SERVER.signedIn("anton-prowse").get(path + "/roster/table").status())
                .isEqualTo(403);
    }

    @Test
    void another_adult_helps_leads_and_goes_and_a_class_is_never_without_one_who_leads() {
        assertThat(thora.delete(path + "/adults/thora-melling").text()).contains("never without a lead adult");
        assertThat(thora.put(path + "/adults/ines-carrow", "{}").status())
                .as("a pupil is no adult")
                .isEqualTo(404);
        TestBrowser anton = SERVER.signedIn("anton-prowse");
        assertThat(anton.get(path).status()).isEqualTo(403);
        assertThat(thora.put(path + "/adults/anton-prowse", "{}")
                        .json()
                        .at("/adults")
                        .toString())
                .contains("Anton Prowse");
        assertThat(anton.post(path + "/adults/anton-prowse/lead", "{\"why\":\"I want to\"}")
                        .status())
                .as("a second adult does not make himself the lead adult")
                .isEqualTo(403);
        assertThat(anton.delete(path + "/adults/thora-melling").status()).isEqualTo(403);
        assertThat(thora.post(path + "/adults/anton-prowse/lead", "{\"why\":\" \"}")
                        .status())
                .isEqualTo(400);
        assertThat(thora.post(path + "/adults/anton-prowse/lead", "{\"why\":\"Leave until summer\"}")
                        .json()
                        .at("/adults")
                        .toString())
                .contains("\"name\":\"Anton Prowse\",\"role\":\"LEAD_ADULT\"")
                .contains("\"name\":\"Thora Melling\",\"role\":\"SECOND_ADULT\"");
        assertThat(SERVER.bean(Database.class)
                        .read()
                        .sql("SELECT by || ' ' || leads || ' ' || before || ' ' || why FROM lead_change")
                        .query(String.class)
                        .list())
                .contains("thora-melling anton-prowse thora-melling Leave until summer");
        assertThat(anton.delete(path + "/adults/thora-melling").status()).isEqualTo(200);
        assertThat(anton.get(path).json().at("/adults")).hasSize(1);
        assertThat(thora.get(path).status()).as("none left").isEqualTo(403);
    }

    private int take(byte[] file) {
        String fingerprint = thora.upload(path + "/roster/preview", file, "")
                .json()
                .get("fingerprint")
                .asString();
        return thora.upload(path + "/roster", file, fingerprint).status();
    }

    @Test
    void a_class_has_a_subject_that_its_adults_and_the_lead_may_change() {
        assertThat(thora.get(path).json().get("subject").asString()).isEmpty();
        assertThat(thora.put(path + "/subject", "{\"subject\":\"  Songs   of the sea \"}")
                        .json()
                        .get("subject")
                        .asString())
                .isEqualTo("Songs of the sea");
        assertThat(SERVER.signedIn("maren-oddlund")
                        .put(path + "/subject", "{\"subject\":\"Music\"}")
                        .status())
                .isEqualTo(200);
        assertThat(SERVER.signedIn("anton-prowse")
                        .put(path + "/subject", "{\"subject\":\"Knots\"}")
                        .status())
                .isEqualTo(403);
        assertThat(thora.put(path + "/subject", "{\"subject\":\"%s\"}".formatted("x".repeat(81)))
                        .status())
                .isEqualTo(400);
        assertThat(thora.get(path).json().get("subject").asString()).isEqualTo("Music");
    }
}
