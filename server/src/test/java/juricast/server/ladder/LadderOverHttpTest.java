package juricast.server.ladder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.params.provider.Arguments.arguments;

import java.util.stream.Stream;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** The ladder as the lead writes it: as a whole, and only one that can be. */
class LadderOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private static final String LADDER = """
        {"steps":[%s],"acts":[%s],"heavier":[%s]}""";
    private static final String OTHER =
            """
        {"id":"other","name":"Something else","severity":"MIDDLE","from":1}""";

    private TestBrowser maren;

    @BeforeEach
    void aLead() {
        maren = SERVER.signedIn("maren-oddlund");
    }

    private static String step(String id, String measure, int halfDays, String right, int minutes) {
        return """
            {"id":"%s","name":"Step %s","measure":"%s","who":"ANY_ADULT","halfDays":%d,"right":%s,"minutes":%d,\
            "parents":false,"opensIncident":false}"""
                .formatted(id, id, measure, halfDays, right, minutes);
    }

    private static final String WORD = step("word", "WORD", 14, "null", 0);

    private static Stream<Arguments> ladders() {
        return Stream.of(
                arguments("no step", LADDER.formatted("", OTHER, ""), "1 to"),
                arguments("two of one name", LADDER.formatted(WORD + "," + WORD, OTHER, ""), "one name"),
                arguments("no kind for all else", LADDER.formatted(WORD, "", ""), "a kind for all else"),
                arguments(
                        "a kind beyond the last step",
                        LADDER.formatted(WORD, OTHER.replace("\"from\":1", "\"from\":2"), ""),
                        "stands at step 2 of 1"),
                arguments(
                        "a step that never fades",
                        LADDER.formatted(step("word", "WORD", 731, "null", 0), OTHER, ""),
                        "a day to two years"),
                arguments(
                        "a curb of no right",
                        LADDER.formatted(step("curb", "CURB", 14, "null", 15), OTHER, ""),
                        "A curb, and nothing else"),
                arguments(
                        "a curb without end",
                        LADDER.formatted(step("curb", "CURB", 14, "\"chat.class\"", 0), OTHER, ""),
                        "A curb, and nothing else"),
                arguments(
                        "a curb of something that is no right",
                        LADDER.formatted(step("curb", "CURB", 14, "\"chat.telepathy\"", 15), OTHER, ""),
                        "No right is called"),
                arguments(
                        "a word that closes a right",
                        LADDER.formatted(step("word", "WORD", 14, "\"chat.class\"", 15), OTHER, ""),
                        "A curb, and nothing else"),
                arguments(
                        "a step without a name",
                        LADDER.formatted(WORD.replace("Step word", "  "), OTHER, ""),
                        "1 to 80 characters"),
                arguments(
                        "a name of a whole page",
                        LADDER.formatted(WORD.replace("Step word", "x".repeat(81)), OTHER, ""),
                        "1 to 80 characters"),
                arguments(
                        "a situation that nobody knows",
                        LADDER.formatted(WORD, OTHER, "\"full-moon\""),
                        "Nothing is called"));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("ladders")
    void what_cannot_be_is_refused_in_words_and_the_ladder_stays(String what, String wanted, String words) {
        String before = ladder();
        TestBrowser.Answer refused = maren.put("/api/ladder", wanted);

        assertThat(refused.status()).as(refused.text()).isEqualTo(400);
        assertThat(refused.text()).contains("This ladder cannot be", words);
        assertThat(ladder()).as(what).isEqualTo(before);
    }

    private String ladder() {
        TestBrowser.Answer page = maren.get("/api/ladder");
        assertThat(page.status()).as(page.text()).isEqualTo(200);
        return page.json().get("ladder").toString();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"steps\":{\"word\":{\"halfDays\":0,\"parents\":false}},\"from\":{}}",
                "{\"steps\":{\"word\":{\"halfDays\":731,\"parents\":false}},\"from\":{}}",
                "{\"steps\":{},\"from\":{\"insult\":0}}",
                "{\"steps\":{},\"from\":{\"insult\":99}}"
            })
    void what_a_year_cannot_have_is_refused(String wanted) {
        TestBrowser.Answer refused = maren.put("/api/ladder/years/9", wanted);

        assertThat(refused.status()).as(refused.text()).isEqualTo(400);
        assertThat(year(9).at("/own/from").size()).isZero();
        assertThat(year(9).at("/own/steps").size()).isZero();
    }

    private JsonNode year(int year) {
        for (JsonNode one : maren.get("/api/ladder").json().get("years")) {
            if (one.get("year").asInt() == year) {
                return one;
            }
        }
        throw new AssertionError("No year " + year);
    }

    @Test
    void a_year_that_is_none_and_a_head_who_is_a_pupil_are_not_there() {
        String own = "{\"steps\":{},\"from\":{}}";
        assertThat(maren.put("/api/ladder/years/0", own).status()).isEqualTo(404);
        assertThat(maren.put("/api/ladder/years/14", own).status()).isEqualTo(404);
        assertThat(maren.put("/api/ladder/years/9/heads", "{\"people\":[\"jory-pell\"]}")
                        .status())
                .isEqualTo(404);
        assertThat(maren.put("/api/ladder/years/9/heads", "{\"people\":[\"nobody-at-all\"]}")
                        .status())
                .isEqualTo(404);
        assertThat(year(9).get("heads").size()).isZero();
    }

    @Test
    void what_a_year_has_and_its_heads_are_read_by_teachers_and_written_by_the_lead_alone() {
        TestBrowser thora = SERVER.signedIn("thora-melling");
        String own = "{\"steps\":{\"word\":{\"halfDays\":7,\"parents\":true}},\"from\":{\"insult\":3}}";
        String heads = "{\"people\":[\"thora-melling\",\"thora-melling\"]}";
        assertThat(thora.put("/api/ladder/years/10", own).status()).isEqualTo(403);
        assertThat(thora.put("/api/ladder/years/10/heads", heads).status()).isEqualTo(403);

        assertThat(maren.put("/api/ladder/years/10", own).status()).isEqualTo(200);
        assertThat(maren.put("/api/ladder/years/10/heads", heads).status()).isEqualTo(200);
        JsonNode read = thora.get("/api/ladder").json().at("/years/3");
        assertThat(read.get("year").asInt()).isEqualTo(10);
        assertThat(read.at("/own/from/insult").asInt()).isEqualTo(3);
        assertThat(read.at("/own/steps/word/halfDays").asInt()).isEqualTo(7);
        assertThat(read.get("heads").size()).as("nobody twice").isEqualTo(1);
        assertThat(SERVER.signedIn("jory-pell").get("/api/ladder").status()).isEqualTo(403);
    }
}
