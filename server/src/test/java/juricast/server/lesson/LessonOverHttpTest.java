package juricast.server.lesson;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

class LessonOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private static int made;
    private TestBrowser thora;
    private String lesson;
    private String token;
    private String word;

    @BeforeEach
    void a_lesson_of_two_pupils_that_begins_in_five_minutes() {
        thora = SERVER.signedIn("thora-melling");
        String path = "/api/classes/"
                + thora.post("/api/classes", "{\"title\":\"Net Mending %d\",\"year\":8}".formatted(++made))
                        .json()
                        .get("id")
                        .asString();
        byte[] roster = "name\nInes Carrow\nJory Pell\n=cmd|calc\n".getBytes();
        String fingerprint = thora.upload(path + "/roster/preview", roster, "")
                .json()
                .get("fingerprint")
                .asString();
        thora.upload(path + "/roster", roster, fingerprint);
        var start = SERVER.bean(java.time.Clock.class).instant().plus(Duration.ofMinutes(5));
        String time = start.toString().substring(11, 16);
        thora.post(
                path + "/series",
                """
                {"first":"2026-09-14","until":"2026-09-14","days":["MONDAY"],"start":"%s","minutes":45}"""
                        .formatted(time));
        JsonNode page = thora.get(path).json();
        lesson = "/api/lessons/" + page.at("/lessons/0/id").asString();
        token = page.get("link").asString().replaceAll(".*/join/", "");
        word = page.get("word").asString();
    }

    @Test
    void looking_opens_nothing_and_only_one_adult_opens() {
        thora.get(lesson + "/desk");
        assertThat(thora.get(lesson + "/desk").json().get("phase").asString()).isEqualTo("PLANNED");

        assertThat(thora.post(lesson + "/open", "{}").json().get("phase").asString())
                .isEqualTo("OPEN");
        assertThat(thora.post(lesson + "/open", "{}").json().get("title").asString())
                .contains("opened this lesson already");
    }

    @Test
    void a_pupils_answers_hold_nothing_that_pupils_may_not_see() {
        thora.post(lesson + "/open", "{}");
        TestBrowser ines = SERVER.browser();
        String seat = "/api/seats/" + knock(ines, "Ines Carrow");
        TestBrowser jory = SERVER.browser();
        String other = knock(jory, "Jory Pell");
        knock(SERVER.browser(), "SECRET stranger");
        thora.post(lesson + "/admit-all-listed", "{}");
        jory.post("/api/seats/" + other + "/words", "{\"to\":\"ADULTS\",\"text\":\"SECRET help\"}");
        jory.put("/api/seats/" + other + "/hand", "{}");
        JsonNode desk = thora.get(lesson + "/desk").json();
        String joryId = idOf(desk, "Jory Pell");
        thora.post(lesson + "/passes", "{\"person\":\"%s\",\"rule\":\"voice.speak\",\"minutes\":2}".formatted(joryId));
        thora.post(lesson + "/people/" + joryId + "/remove", "{\"why\":\"SECRET reason\"}");

        String seen = ines.get(seat).text();

        assertThat(thora.get(lesson + "/desk").text()).contains("SECRET help", "SECRET reason", "SECRET stranger");
        assertThat(seen).contains("Ines Carrow").doesNotContain("SECRET", "Jory", joryId);
        assertThat(SERVER.browser().get(seat).status()).as("another device").isEqualTo(404);
        assertThat(ines.get(lesson + "/desk").status()).isEqualTo(401);
    }

    @Test
    void a_refused_message_says_why_and_what_to_do_and_is_not_sent() {
        thora.post(lesson + "/open", "{}");
        TestBrowser ines = SERVER.browser();
        String seat = "/api/seats/" + knock(ines, "ines carrow");
        thora.post(lesson + "/admit-all-listed", "{}");
        thora.put(lesson + "/live-setting", "{\"rule\":\"chat.class\",\"value\":\"closed\"}");

        JsonNode problem = ines.post(seat + "/words", "{\"to\":\"CLASS\",\"text\":\"hello\"}")
                .json();

        assertThat(problem.get("title").asString()).isEqualTo("Not sent");
        assertThat(problem.get("detail").asString()).contains("Your teacher has closed that for now");
        assertThat(problem.get("whatToDo").asString()).contains("Your text is still here", "write to your teachers");
        assertThat(thora.get(lesson + "/desk").json().get("words").size()).isZero();
        assertThat(ines.post(seat + "/words", "{\"to\":\"CLASS\",\"text\":\"%s\"}".formatted("x".repeat(5000)))
                        .status())
                .isEqualTo(409);
        assertThat(ines.post(seat + "/words", "{\"to\":").status()).isEqualTo(400);
    }

    @Test
    void wrong_join_words_are_told_and_then_stopped() {
        TestBrowser stranger = SERVER.browser();
        String knock = "/api/doorsteps/" + token + "/knock";
        stranger.get("/api/doorsteps/" + token);
        for (int i = 0; i < 6; i++) {
            assertThat(stranger.post(knock, "{\"name\":\"Ines Carrow\",\"word\":\"guess-%d\"}".formatted(i))
                            .json()
                            .get("title")
                            .asString())
                    .isEqualTo("That is not the join word of this class");
        }
        assertThat(stranger.post(knock, "{\"name\":\"Ines Carrow\",\"word\":\"%s\"}".formatted(word))
                        .status())
                .isEqualTo(429);
        assertThat(SERVER.browser()
                        .post(knock, "{\"name\":\"%s\",\"word\":\"%s\"}".formatted("y".repeat(300), word))
                        .status())
                .isEqualTo(400);
    }

    @Test
    void two_adults_who_act_at_once_are_both_answered_and_one_wins() throws Exception {
        thora.post(lesson + "/open", "{}");
        TestBrowser ines = SERVER.browser();
        String visit = knock(ines, "Ines Carrow");
        TestBrowser alsoThora = SERVER.signedIn("thora-melling");
        alsoThora.post(lesson + "/join", "{}");

        var admit = java.util.concurrent.CompletableFuture.supplyAsync(
                () -> thora.post(lesson + "/visits/" + visit + "/admit", "{}").status());
        var turnAway = java.util.concurrent.CompletableFuture.supplyAsync(() ->
                alsoThora.post(lesson + "/visits/" + visit + "/turn-away", "{}").status());

        assertThat(java.util.List.of(admit.get(), turnAway.get())).containsExactlyInAnyOrder(200, 409);
    }

    @Test
    void after_the_dismissal_the_register_is_there_and_its_export_is_harmless() {
        thora.post(lesson + "/open", "{}");
        String seat = knock(SERVER.browser(), "=cmd|calc");
        thora.post(lesson + "/admit-all-listed", "{}");
        SERVER.advance(Duration.ofMinutes(20));
        JsonNode running = thora.get(lesson + "/register").json();
        String person = running.at("/lines/1/person").asString();
        String correction = "{\"person\":\"%s\",\"mark\":\"EXCUSED\",\"lateMinutes\":0,\"reason\":\"%s\"}";
        assertThat(running.get("draft").asBoolean()).isTrue();
        assertThat(thora.post(lesson + "/register/corrections", correction.formatted(person, "early"))
                        .status())
                .isEqualTo(409);

        thora.post(lesson + "/dismiss", "{}");
        assertThat(thora.post(lesson + "/register/corrections", correction.formatted(person, " "))
                        .status())
                .isEqualTo(400);
        JsonNode page = thora.post(lesson + "/register/corrections", correction.formatted(person, "+ a sick bed"))
                .json();
        String csv = thora.get(lesson + "/register.csv").text();

        assertThat(page.at("/lines/1/mark").asString()).isEqualTo("EXCUSED");
        assertThat(page.at("/lines/1/computed").asString()).isEqualTo("ABSENT");
        assertThat(page.at("/lines/0/minutes").asInt()).isEqualTo(15);
        assertThat(csv).contains("'=cmd|calc,present").contains("'+ a sick bed").doesNotContain(",=cmd");
        assertThat(seat).isNotEmpty();
    }

    private String knock(TestBrowser browser, String name) {
        var answer = browser.post(
                "/api/doorsteps/" + token + "/knock", "{\"name\":\"%s\",\"word\":\"%s\"}".formatted(name, word));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json().get("visit").asString();
    }

    private static String idOf(JsonNode desk, String name) {
        for (JsonNode pupil : desk.get("pupils")) {
            if (pupil.get("name").asString().equals(name)) {
                return pupil.get("id").asString();
            }
        }
        throw new AssertionError("Not on the desk: " + name);
    }
}
