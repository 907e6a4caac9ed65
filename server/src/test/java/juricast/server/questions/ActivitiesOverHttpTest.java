package juricast.server.questions;

import static juricast.server.lesson.ASmallClass.eventually;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.zip.ZipInputStream;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.lesson.ASmallClass;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Questions, clocks, slates, merits and announcements over HTTP: who is told what, and what is refused. */
class ActivitiesOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private static final String TIDE =
            "{\"question\":{\"kind\":\"SINGLE\",\"text\":\"Which tide?\",\"choices\":[\"spring\",\"neap\"],\"right\":[0],\"points\":2},"
                    + "\"changeable\":false}";

    private ASmallClass small;
    private TestBrowser ines;
    private TestBrowser jory;
    private String hers;
    private String his;

    @BeforeEach
    void twoAreIn() {
        small = new ASmallClass(SERVER).open();
        ines = SERVER.signedIn("ines-carrow");
        jory = SERVER.signedIn("jory-pell");
        hers = small.sits(ines, "Ines Carrow");
        his = small.sits(jory, "Jory Pell");
    }

    private static TestBrowser.Answer ok(TestBrowser.Answer answer) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer;
    }

    private JsonNode question() {
        return small.desk().at("/questions/now");
    }

    private String number() {
        return question().get("number").asString();
    }

    @Test
    void a_question_is_answered_once_and_seen_with_names_by_adults_alone() {
        ok(small.thora.post(small.lesson + "/questions", TIDE));
        String number = number();
        ok(ines.post(hers + "/questions/" + number + "/answer", "{\"picked\":[0]}"));
        assertThat(ines.post(hers + "/questions/" + number + "/answer", "{\"picked\":[1]}")
                        .status())
                .isEqualTo(409);
        assertThat(jory.post(hers + "/questions/" + number + "/answer", "{\"picked\":[1]}")
                        .status())
                .as("from another's device")
                .isEqualTo(404);
        assertThat(jory.post(his + "/questions/" + number + "/answer", "{\"picked\":[7]}")
                        .status())
                .isEqualTo(409);
        assertThat(jory.post(his + "/questions/9999/answer", "{\"picked\":[0]}").status())
                .isEqualTo(409);

        assertThat(question().at("/results/answers").asInt()).isEqualTo(1);
        assertThat(question().at("/answers/0/name").asString()).isEqualTo("Ines Carrow");
        assertThat(question().at("/missing/0/name").asString()).isEqualTo("Jory Pell");
        JsonNode seat = withoutCompany(jory.get(his).json());
        assertThat(seat.at("/question/text").asString()).isEqualTo("Which tide?");
        assertThat(seat.toString()).doesNotContain("Ines").doesNotContain("\"right\":[0]");
        assertThat(small.thora
                        .post(small.lesson + "/questions/" + number + "/show", "{\"right\":true}")
                        .status())
                .as("one answer is shown to nobody")
                .isEqualTo(409);

        ok(small.thora.post(small.lesson + "/questions/" + number + "/close", ""));
        assertThat(jory.post(his + "/questions/" + number + "/answer", "{\"picked\":[0]}")
                        .status())
                .isEqualTo(409);
        assertThat(jory.post(small.lesson + "/questions", TIDE).status()).isEqualTo(403);
        assertThat(small.thora
                        .post(small.lesson + "/questions", TIDE.replace("Which tide?", "x".repeat(1_000_000)))
                        .status())
                .isEqualTo(413);

        SERVER.advance(Duration.ofMinutes(2));
        ok(small.thora.post(small.lesson + "/dismiss", ""));
        JsonNode results = small.thora.get(small.lesson + "/results").json();
        assertThat(results.at("/questions/0/answers/0/words").asString()).isEqualTo("spring");
        assertThat(new String(small.thora.bytes(small.lesson + "/results.csv"), StandardCharsets.UTF_8))
                .contains("1,Which tide?,Ines Carrow,spring,1,yes,");
        assertThat(ines.get(small.lesson + "/results").status()).isEqualTo(403);
        assertThat(SERVER.signedIn("orla-venn").get(small.lesson + "/results").status())
                .as("of another class")
                .isEqualTo(403);
    }

    @Test
    void where_the_rules_hide_names_no_adult_is_told_them_then_or_later() {
        small.rule("activities.see-names", "LEAD_ADULT", "closed");
        small.rule("activities.see-names", "SECOND_ADULT", "closed");
        asked(small.anton, small.thora);
        ok(ines.post(hers + "/questions/" + number() + "/answer", "{\"picked\":[1]}"));
        assertThat(question().get("answers").size()).isZero();
        assertThat(question().at("/missing/0/name").asString())
                .as("who has not answered is seen, or nobody could be helped")
                .isEqualTo("Jory Pell");
        small.rule("activities.see-names", "LEAD_ADULT", "open");
        SERVER.advance(Duration.ofMinutes(2));
        ok(small.thora.post(small.lesson + "/dismiss", ""));
        JsonNode last = small.thora.get(small.lesson + "/results").json().get("questions");
        assertThat(last.get(last.size() - 1).get("answers").size())
                .as("as promised when it was asked")
                .isZero();
        assertThat(new String(small.thora.bytes(small.lesson + "/results.csv"), StandardCharsets.UTF_8))
                .contains("neap,1")
                .doesNotContain("Ines Carrow");
        assertThat(small.thora.get("/api/pupils/ines-carrow/answers").text())
                .doesNotContain(small.id().value());
        assertThat(small.thora.get(small.lesson + "/replay").text())
                .contains("Ines Carrow answered the question")
                .doesNotContain("neap");
    }

    @Test
    void slates_travel_as_new_strokes_to_their_pupil_and_adults_and_to_nobody_else() throws Exception {
        ok(small.thora.post(small.lesson + "/slates", "{\"task\":\"A wave\",\"ground\":\"AXES\"}"));
        var told = new LinkedBlockingQueue<String>();
        var toThora = new LinkedBlockingQueue<String>();
        var line = jory.lines(his + "/stream", 0, told::add);
        var desk = small.thora.lines(small.lesson + "/desk/stream", 0, toThora::add);
        assertThat(told.poll(5, TimeUnit.SECONDS)).isNotNull();
        assertThat(toThora.poll(5, TimeUnit.SECONDS)).isNotNull();

        ok(ines.post(hers + "/slate/marks", text("SECRET of Ines")));
        ok(ines.post(hers + "/slate/marks", text("more")));
        ok(small.thora.post(small.lesson + "/announcements", "{\"text\":\"Done\"}"));
        String all = until(told, "Done");
        assertThat(all).doesNotContain("SECRET", "more");
        String desks = until(toThora, "Done");
        assertThat(desks).contains("SECRET of Ines", "\"sheet\":\"slate ines-carrow\"");
        assertThat(desks.split("SECRET of Ines", -1))
                .as("a stroke travels once")
                .hasSize(2);
        assertThat(jory.get(his).text()).doesNotContain("SECRET");
        assertThat(jory.get(his + "/slate").text()).doesNotContain("SECRET");
        assertThat(jory.get(hers + "/slate").status()).isEqualTo(404);
        assertThat(ines.get(hers + "/slate").text()).contains("SECRET");

        ok(small.thora.put(small.lesson + "/slates/shown", "{\"people\":[\"ines-carrow\"],\"named\":false}"));
        JsonNode shown = jory.get(his).json().at("/slates/shown/0");
        assertThat(shown.toString()).contains("SECRET").doesNotContain("Ines Carrow", "ines-carrow");
        ok(small.thora.post(small.lesson + "/slates/collect", ""));
        assertThat(ines.post(hers + "/slate/marks", text("late")).status()).isEqualTo(409);
        line.cancel(true);
        desk.cancel(true);
    }

    private static String text(String words) {
        return "{\"shape\":\"TEXT\",\"ink\":\"INK\",\"width\":2,\"points\":[10,10],\"text\":\"%s\"}".formatted(words);
    }

    private static String until(LinkedBlockingQueue<String> told, String word) throws InterruptedException {
        var all = new StringBuilder();
        while (!all.toString().contains(word)) {
            String next = told.poll(10, TimeUnit.SECONDS);
            assertThat(next).as("still waiting for %s in %s", word, all).isNotNull();
            all.append(next).append('\n');
        }
        return all.toString();
    }

    @Test
    void a_stroke_of_nonsense_is_refused_and_changes_nothing() {
        ok(small.thora.post(small.lesson + "/slates", "{\"ground\":\"BLANK\"}"));
        String points = "1,".repeat(3000) + "1";
        for (String wrong : List.of("[]", "[1,1]", "[1,1,2000,3]", "[-1,1,2,3]", "[1,null,2,3]", "[" + points + "]")) {
            assertThat(ines.post(
                                    hers + "/slate/marks",
                                    "{\"shape\":\"PEN\",\"ink\":\"INK\",\"width\":2,\"points\":%s}".formatted(wrong))
                            .status())
                    .as(wrong.substring(0, Math.min(30, wrong.length())))
                    .isBetween(400, 409);
        }
        String flood = "{\"shape\":\"PEN\",\"ink\":\"INK\",\"width\":2,\"points\":[" + "1,".repeat(200_000) + "1]}";
        assertThat(ines.post(hers + "/slate/marks", flood).status()).isEqualTo(413);
        assertThat(small.desk().at("/slates/now/people/0/marks").asInt()).isZero();
    }

    @Test
    void who_is_first_is_told_to_all_and_a_clock_is_seen_by_all() {
        ok(small.thora.post(small.lesson + "/clock", "{\"task\":\"read\",\"seconds\":60,\"tone\":false}"));
        assertThat(ines.get(hers).json().at("/clocks/clock/task").asString()).isEqualTo("read");
        ok(small.thora.post(small.lesson + "/call", "{\"task\":\"the north pier\",\"seconds\":3}"));
        assertThat(ines.post(hers + "/press", "").status()).as("not open yet").isEqualTo(409);
        String word = ok(ines.post(hers + "/echo", "{}")).json().get("word").asString();
        ok(ines.post(hers + "/echo", "{\"word\":\"%s\"}".formatted(word)));
        SERVER.advance(Duration.ofSeconds(4));
        ok(ines.post(hers + "/press", ""));
        SERVER.advance(Duration.ofSeconds(1));
        ok(jory.post(his + "/press", ""));
        JsonNode row = small.desk().at("/clocks/call/row");
        assertThat(row.get(0).get("name").asString()).isEqualTo("Ines Carrow");
        assertThat(row.get(0).get("delayMs").asInt()).isBetween(0, 200);
        assertThat(row.get(1).get("place").asInt()).isEqualTo(2);
        assertThat(jory.get(his).json().at("/clocks/call/turn").asString()).isEqualTo("Ines Carrow");
        assertThat(jory.get(his).json().at("/mine/clocks/before").asInt()).isEqualTo(1);
        SERVER.advance(Duration.ofSeconds(60));
        small.theClockTicks();
        assertThat(small.desk().at("/clocks/clock/over").asBoolean()).isTrue();
    }

    /** The rules let pupils see who is here; what else a seat says must name nobody. */
    private static JsonNode withoutCompany(JsonNode seat) {
        assertThat(((ObjectNode) seat).remove("company").isObject()).isTrue();
        return seat;
    }

    @Test
    void merits_are_given_to_several_taken_back_summed_and_seen_as_ruled() {
        ok(small.thora.post(
                small.lesson + "/merits",
                "{\"people\":[\"ines-carrow\",\"jory-pell\"],\"reason\":\"helping others\"}"));
        assertThat(ines.get(hers).json().at("/mine/merits/reasons/0").asString())
                .isEqualTo("helping others");
        assertThat(withoutCompany(ines.get(hers).json()).toString()).doesNotContain("Jory Pell");
        String merit = small.desk().at("/merits/latest/0/number").asString();
        ok(small.thora.delete(small.lesson + "/merits/" + merit));
        assertThat(small.desk().at("/merits/of").toString()).isEqualTo("{\"ines-carrow\":1}");
        assertThat(ines.post(small.lesson + "/merits", "{\"people\":[\"ines-carrow\"],\"reason\":\"me\"}")
                        .status())
                .isEqualTo(403);
        SERVER.advance(Duration.ofMinutes(2));
        ok(small.thora.post(small.lesson + "/dismiss", ""));
        eventually(() -> small.thora
                        .get(small.ofClass + "/merits")
                        .json()
                        .at("/pupils/1/count")
                        .asInt()
                == 1);
        JsonNode sums = small.thora.get(small.ofClass + "/merits").json();
        assertThat(sums.at("/never").toString()).isEqualTo("[\"Jory Pell\"]");
        assertThat(small.thora.get("/api/pupils/ines-carrow/merits").text()).contains("helping others");
        assertThat(ines.get("/api/my-merits").text()).contains("helping others");
        assertThat(ines.get(small.ofClass + "/merits").status()).isEqualTo(403);
        assertThat(small.thora
                        .put("/api/merit-reasons", "{\"reasons\":[\"x\"]}")
                        .status())
                .isEqualTo(403);
        ok(small.maren.put("/api/merit-reasons", "{\"reasons\":[\"a good question\",\" \",\"courage\"]}"));
        assertThat(small.thora.get("/api/merit-reasons").json().at("/reasons/1").asString())
                .isEqualTo("courage");
        assertThat(small.maren.put("/api/merit-reasons", "{\"reasons\":[]}").status())
                .isEqualTo(409);
    }

    @Test
    void a_second_adult_from_whom_names_are_kept_sees_counts_where_the_lead_adult_sees_names() {
        small.rule("activities.see-names", "SECOND_ADULT", "closed");
        small.anton.post(small.lesson + "/join", "{}");
        JsonNode antons = asked(small.anton, small.thora);
        assertThat(antons.get("named").asBoolean()).isFalse();
        ok(ines.post(hers + "/questions/" + number() + "/answer", "{\"picked\":[1]}"));
        assertThat(question().at("/answers/0/name").asString()).isEqualTo("Ines Carrow");
        antons = small.anton.get(small.lesson + "/desk").json().at("/questions/now");
        assertThat(antons.get("answers").size()).isZero();
        assertThat(antons.at("/results/answers").asInt()).isEqualTo(1);

        small.rule("activities.see-names", "SECOND_ADULT", "open");
        SERVER.advance(Duration.ofMinutes(2));
        ok(small.thora.post(small.lesson + "/dismiss", ""));
        String results = small.lesson + "/results";
        assertThat(small.thora.get(results).text()).contains("Ines Carrow");
        assertThat(small.anton.get(results).text()).contains("Which tide?").doesNotContain("Ines Carrow");
        assertThat(small.maren.get(results).text()).contains("Ines Carrow");
        assertThat(small.anton.get("/api/pupils/ines-carrow/answers").text())
                .doesNotContain(small.id().value());
    }

    /** Asks until the rule of a moment ago has reached the lesson. @return the question as another adult sees it */
    private JsonNode asked(TestBrowser other, TestBrowser by) {
        eventually(() -> {
            ok(by.post(small.lesson + "/questions", TIDE));
            boolean named = other.get(small.lesson + "/desk")
                    .json()
                    .at("/questions/now/named")
                    .asBoolean();
            if (named) {
                ok(by.post(small.lesson + "/questions/" + number() + "/put-away", ""));
            }
            return !named;
        });
        return other.get(small.lesson + "/desk").json().at("/questions/now");
    }

    @Test
    void a_rule_says_whose_merits_a_seat_is_told() {
        ok(small.thora.post(small.lesson + "/merits", "{\"people\":[\"ines-carrow\"],\"reason\":\"a bold guess\"}"));
        assertThat(jory.get(his).text()).as("hers alone, as usual").doesNotContain("a bold guess");

        small.rule("merits.seen", "LEAD_ADULT", "class");
        eventually(() -> jory.get(his).json().at("/merits/all").size() == 1);
        assertThat(jory.get(his).json().at("/merits/all/0/name").asString()).isEqualTo("Ines Carrow");

        small.rule("merits.seen", "LEAD_ADULT", "adults");
        eventually(() -> jory.get(his).json().at("/merits/all").isEmpty());
        assertThat(ines.get(hers).text()).as("not even who got it").doesNotContain("a bold guess");
        assertThat(small.desk().at("/merits/latest/0/reason").asString()).isEqualTo("a bold guess");
        SERVER.advance(Duration.ofMinutes(2));
        ok(small.thora.post(small.lesson + "/dismiss", ""));
        eventually(
                () -> small.thora.get("/api/pupils/ines-carrow/merits").text().contains("a bold guess"));
        assertThat(ines.get("/api/my-merits").text()).doesNotContain("a bold guess");
    }

    @Test
    void who_was_removed_or_wrote_too_much_adds_no_answer() {
        ok(small.thora.post(
                small.lesson + "/questions",
                "{\"question\":{\"kind\":\"TEXT\",\"text\":\"What moves it?\",\"points\":0},\"changeable\":true}"));
        String answer = "/questions/" + number() + "/answer";
        assertThat(ines.post(hers + answer, "{\"text\":\"%s\"}".formatted("moon ".repeat(2000)))
                        .status())
                .as("a text of 10,000 characters")
                .isEqualTo(409);
        ok(jory.post(his + answer, "{\"text\":\"the moon\"}"));
        ok(small.thora.post(small.lesson + "/people/jory-pell/remove", "{\"why\":\"disrupting\"}"));
        assertThat(jory.post(his + answer, "{\"text\":\"the wind\"}").status()).isIn(404, 409);
        assertThat(ines.post(hers + answer, "{\"picked\":[0]}").status())
                .as("an answer of another kind")
                .isEqualTo(409);
        for (int i = 0; i < 3; i++) {
            ok(ines.post(hers + answer, "{\"text\":\"the sun\"}"));
        }
        assertThat(question().at("/results/answers").asInt())
                .as("his stays, hers counts once")
                .isEqualTo(2);
        assertThat(question().get("answers").toString()).contains("the moon").doesNotContain("the wind");
    }

    @Test
    void a_welcome_is_read_at_the_doorstep_and_the_seat() {
        ok(small.thora.put(small.ofClass + "/welcome", "{\"text\":\"Bring a pencil\"}"));
        assertThat(ines.get("/api/doorsteps/" + small.token).text()).contains("Bring a pencil");
        eventually(() -> ines.get(hers).text().contains("Bring a pencil"));
        ok(small.thora.put(small.lesson + "/welcome", "{\"text\":\"\"}"));
        assertThat(ines.get(hers).text()).doesNotContain("Bring a pencil");
        assertThat(small.thora
                        .put(small.ofClass + "/welcome", "{\"text\":\"%s\"}".formatted("x".repeat(401)))
                        .status())
                .isEqualTo(409);
        for (int i = 0; i < 3; i++) {
            ok(small.thora.post(small.lesson + "/announcements", "{\"text\":\"One %d\"}".formatted(i)));
        }
        assertThat(small.thora
                        .post(small.lesson + "/announcements", "{\"text\":\"a fourth\"}")
                        .status())
                .isEqualTo(409);
    }

    @Test
    void sets_are_kept_read_from_files_and_never_lost_between_two_who_write() {
        String sets = small.ofClass + "/question-sets";
        String body =
                "{\"name\":\"Lamps\",\"version\":0,\"questions\":[{\"ask\":{\"kind\":\"NUMBER\",\"text\":\"-5 or 5?\",\"number\":\"-5\",\"points\":1}},"
                        + "{\"ask\":{\"kind\":\"MULTIPLE\",\"text\":\"Which & <why>?\",\"choices\":[\"a\",\"b\",\"c\"],\"right\":[0,2],\"points\":0}}]}";
        JsonNode set = ok(small.thora.post(sets, body)).json().at("/sets/0");
        String path = sets + "/" + set.get("id").asString();
        String again = body.replace("\"version\":0", "\"version\":1").replace("Lamps", "Lamps again");
        ok(small.anton.put(path, again));
        TestBrowser.Answer late = small.thora.put(path, again);
        assertThat(late.status()).isEqualTo(409);
        assertThat(late.text()).contains("changed these questions meanwhile");

        byte[] table = small.thora.bytes(path + "/questions.csv");
        JsonNode read =
                small.thora.upload(sets + "/file", "lamps.csv", table, "").json();
        assertThat(read.at("/questions").size()).isEqualTo(2);
        assertThat(read.at("/questions/0/number").asString()).isEqualTo("-5");
        assertThat(read.at("/leftOut").size()).isZero();
        JsonNode items = small.thora
                .upload(sets + "/file", "lamps.zip", small.thora.bytes(path + "/questions.zip"), "")
                .json();
        assertThat(items.at("/questions").size()).isEqualTo(1);
        assertThat(items.at("/questions/0/text").asString()).isEqualTo("Which & <why>?");
        assertThat(items.at("/questions/0/right").toString()).isEqualTo("[0,2]");
        assertThat(items.at("/leftOut").toString()).contains("left-out.txt");
        assertThat(ines.get(sets).status()).isEqualTo(403);
        assertThat(SERVER.signedIn("orla-venn").get(sets).status()).isEqualTo(403);
    }

    /** What is asked with the id of a prepared question, answered by both, and the lesson is over. */
    private void lessonWith(ASmallClass of, String prepared, int inesPicks, int joryPicks) {
        for (String id : List.of(prepared, "")) {
            ok(of.thora.post(
                    of.lesson + "/questions",
                    id.isEmpty() ? TIDE : TIDE.replaceFirst("\\{", "{\"prepared\":\"" + id + "\",")));
            String number = of.desk().at("/questions/now/number").asString();
            ok(ines.post(hers + "/questions/" + number + "/answer", "{\"picked\":[" + inesPicks + "]}"));
            ok(jory.post(his + "/questions/" + number + "/answer", "{\"picked\":[" + joryPicks + "]}"));
            ok(of.thora.post(of.lesson + "/questions/" + number + "/put-away", ""));
        }
        SERVER.advance(Duration.ofMinutes(2));
        ok(of.thora.post(of.lesson + "/dismiss", ""));
    }

    @Test
    void a_prepared_question_is_followed_over_lessons_and_copied_to_another_class() {
        String sets = small.ofClass + "/question-sets";
        JsonNode set = ok(small.thora.post(
                        sets,
                        "{\"name\":\"Tides\",\"version\":0,\"questions\":[{\"ask\":"
                                + TIDE.replaceAll("^\\{\"question\":(.*),\"changeable\":false}$", "$1")
                                + "}]}"))
                .json()
                .at("/sets/0");
        String id = set.at("/questions/0/id").asString();
        lessonWith(small, id, 0, 1);
        eventually(
                () -> small.thora.get(small.ofClass + "/questions/sums").text().contains(id));
        JsonNode sum = small.thora.get(small.ofClass + "/questions/sums").json().get(0);
        assertThat(sum.get("answers").asInt()).isEqualTo(2);
        assertThat(sum.get("share").asDouble()).isEqualTo(0.5);
        assertThat(sum.get("uncertain").asBoolean()).isTrue();
        assertThat(sum.has("tellsApart")).isFalse();
        JsonNode page = small.thora.get("/api/pupils/ines-carrow/answers").json();
        assertThat(page.get(0).get("answer").asString()).isEqualTo("spring");
        assertThat(page.get(0).get("right").asBoolean()).isTrue();

        var other = new ASmallClass(SERVER);
        String path = sets + "/" + set.get("id").asString();
        JsonNode copied = ok(small.thora.post(
                        path + "/copy?to=" + other.ofClass.substring(other.ofClass.lastIndexOf('/') + 1), ""))
                .json();
        assertThat(copied.at("/sets/0/name").asString()).isEqualTo("Tides");
        assertThat(copied.at("/sets/0/questions/0/id").asString())
                .as("it is followed on its own there")
                .isNotEqualTo(id);
        assertThat(small.thora.post(path + "/copy?to=tidal-navigation-8", "").status())
                .as("a class that is not hers")
                .isEqualTo(403);
        ok(small.thora.delete(path));
        assertThat(small.thora.get(path + "/questions.csv").status()).isEqualTo(404);
        assertThat(small.thora
                        .get(small.lesson + "/results")
                        .json()
                        .get("questions")
                        .size())
                .as("what was asked stays with the lesson")
                .isEqualTo(2);
    }

    @Test
    void what_a_family_is_given_of_a_pupil_holds_the_answers_and_slates() throws Exception {
        ok(small.thora.post(small.lesson + "/slates", "{\"ground\":\"RULED\"}"));
        ok(ines.post(hers + "/slate/marks", text("a word on a slate")));
        lessonWithoutOpening();
        byte[] zip = small.maren.bytes("/api/people/ines-carrow/file");
        var all = new StringBuilder();
        try (var file = new ZipInputStream(new ByteArrayInputStream(zip))) {
            while (file.getNextEntry() != null) {
                all.append(new String(file.readAllBytes(), StandardCharsets.UTF_8));
            }
        }
        assertThat(all).contains("a word on a slate", "choice 1");
    }

    private void lessonWithoutOpening() {
        ok(small.thora.post(small.lesson + "/questions", TIDE));
        ok(ines.post(hers + "/questions/" + number() + "/answer", "{\"picked\":[0]}"));
        SERVER.advance(Duration.ofMinutes(2));
        ok(small.thora.post(small.lesson + "/dismiss", ""));
    }
}
