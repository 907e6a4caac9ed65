package juricast.server.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.RegisterExtension;

@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class SignInTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.empty();

    private static final String FIRST =
            """
            {"school":"Halvorn Reach School","zone":"Europe/Paris","name":"Maren Oddlund","signIn":"Maren",
             "password":"nine islands","setupWord":"%s"}"""
                    .formatted(RunningServer.SETUP_WORD);

    @Test
    @Order(1)
    void the_first_start_says_everything_that_is_wrong_and_stores_nothing() {
        var answer = SERVER.browser()
                .post(
                        "/api/first-start",
                        """
                {"school":"","zone":"Atlantis","name":"M","signIn":" ","password":"short","setupWord":"guess"}""");

        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.json().get("wrong").size()).isEqualTo(5);
        assertThat(SERVER.browser().get("/api/standing").json().get("founded").asBoolean())
                .isFalse();
    }

    @Test
    @Order(2)
    void the_first_start_makes_one_lead_and_only_one() {
        TestBrowser maren = SERVER.browser();

        assertThat(maren.post("/api/first-start", FIRST)
                        .json()
                        .at("/me/position")
                        .asString())
                .isEqualTo("LEAD");
        assertThat(SERVER.browser().post("/api/first-start", FIRST).status()).isEqualTo(409);
    }

    @Test
    @Order(3)
    void a_session_outlives_a_restart_and_ends_after_a_school_day() {
        TestBrowser maren = SERVER.browser();
        assertThat(maren.post("/api/session", "{\"name\":\" MAREN \",\"password\":\"nine islands\"}")
                        .status())
                .isEqualTo(200);
        assertThat(maren.get("/api/rules/school").status()).isEqualTo(200);

        SERVER.restart();
        TestBrowser still = SERVER.stillOpen(maren);
        assertThat(still.get("/api/rules/school").status()).isEqualTo(200);

        SERVER.advance(Duration.ofHours(13));

        assertThat(still.get("/api/rules/school").status()).isEqualTo(401);
    }

    @Test
    @Order(4)
    void signing_in_gives_another_token_against_forged_requests_and_other_requests_keep_it() {
        TestBrowser maren = SERVER.browser();
        maren.get("/api/standing");
        String before = maren.token();
        maren.post("/api/session", "{\"name\":\"maren\",\"password\":\"nine islands\"}");
        String after = maren.token();
        assertThat(after).isNotEqualTo(before).hasSizeGreaterThan(20);
        maren.get("/api/rules/school");
        maren.get("/api/classes");
        assertThat(maren.token()).isEqualTo(after);
        assertThat(maren.forgedPost("/api/classes", "{}").status()).isEqualTo(403);
    }

    @Test
    @Order(4)
    void signing_out_ends_the_session_on_the_server() {
        TestBrowser maren = SERVER.browser();
        maren.post("/api/session", "{\"name\":\"maren\",\"password\":\"nine islands\"}");
        TestBrowser elsewhere = SERVER.browser();
        elsewhere.post("/api/session", "{\"name\":\"maren\",\"password\":\"nine islands\"}");
        TestBrowser thief = maren.thief();
        assertThat(thief.get("/api/rules/school").status()).isEqualTo(200);

        maren.delete("/api/session");

        assertThat(thief.get("/api/rules/school").status()).isEqualTo(401);
        assertThat(elsewhere.get("/api/rules/school").status()).isEqualTo(200);
    }

    @Test
    @Order(5)
    void many_guesses_beside_each_other_are_counted_before_they_are_compared() {
        var statuses = SERVER.flood("/api/session", "{\"name\":\"maren\",\"password\":\"guess\"}", 100);

        assertThat(statuses).containsEntry(409, 8).containsEntry(429, 92);
        SERVER.advance(Duration.ofMinutes(6));
    }

    @Test
    @Order(5)
    void one_password_over_many_names_is_slowed_and_who_is_known_on_a_device_is_not_shut_out() {
        TestBrowser maren = SERVER.browser();
        maren.post("/api/session", "{\"name\":\"maren\",\"password\":\"nine islands\"}");
        var answered = IntStream.range(0, 60)
                .mapToObj(i -> SERVER.browser()
                        .post("/api/session", "{\"name\":\"somebody %d\",\"password\":\"guess\"}".formatted(i))
                        .status())
                .collect(Collectors.groupingBy(status -> status, Collectors.counting()));
        assertThat(answered).containsEntry(409, 30L).containsEntry(429, 30L);
        SERVER.flood("/api/session", "{\"name\":\"maren\",\"password\":\"guess\"}", 50);

        assertThat(SERVER.browser()
                        .post("/api/session", "{\"name\":\"maren\",\"password\":\"nine islands\"}")
                        .status())
                .isEqualTo(429);
        assertThat(maren.post("/api/session", "{\"name\":\"maren\",\"password\":\"nine islands\"}")
                        .status())
                .isEqualTo(200);
        SERVER.advance(Duration.ofMinutes(6));
    }

    @Test
    @Order(5)
    void guessing_is_stopped_even_if_the_next_guess_would_be_right() {
        TestBrowser stranger = SERVER.browser();
        for (int i = 0; i < 8; i++) {
            assertThat(stranger.post("/api/session", "{\"name\":\"maren\",\"password\":\"guess\"}")
                            .status())
                    .isEqualTo(409);
        }

        assertThat(stranger.post("/api/session", "{\"name\":\"maren\",\"password\":\"nine islands\"}")
                        .status())
                .isEqualTo(429);
        SERVER.advance(Duration.ofMinutes(6));
        assertThat(stranger.post("/api/session", "{\"name\":\"maren\",\"password\":\"nine islands\"}")
                        .status())
                .isEqualTo(200);
    }

    @Test
    @Order(6)
    void outside_the_demo_nobody_signs_in_without_a_password() {
        assertThat(SERVER.browser().get("/api/demo/people").text()).isEqualTo("[]");
        assertThat(SERVER.browser().post("/api/demo/session/anybody", "{}").status())
                .isEqualTo(404);
    }
}
