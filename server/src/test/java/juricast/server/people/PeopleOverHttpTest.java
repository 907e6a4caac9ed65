package juricast.server.people;

import static org.assertj.core.api.Assertions.assertThat;

import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

class PeopleOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private static final String PERSON =
            """
            {"name":"%s","position":"%s","year":%d,"signIn":"%s","password":"%s"}""";

    private final TestBrowser maren = SERVER.signedIn("maren-oddlund");

    @Test
    void somebody_added_signs_in_and_a_taken_name_is_refused() {
        String piet = PERSON.formatted("Piet Quarrel", "TEACHER", 0, " Piet ", "a long password");

        assertThat(maren.post("/api/people", piet).status()).isEqualTo(200);
        assertThat(maren.post("/api/people", piet).json().get("title").asString())
                .isEqualTo("Somebody signs in as “piet” already");
        assertThat(signIn("PIET", "a long password")).isEqualTo(200);
        assertThat(signIn("piet", "a wrong password")).isEqualTo(409);
    }

    @Test
    void every_field_that_is_wrong_is_told() {
        var answer = maren.post("/api/people", PERSON.formatted("", "PUPIL", 0, "", "ü".repeat(40)));

        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.json().get("wrong").size()).isEqualTo(4);
    }

    @Test
    void a_new_password_signs_out_whoever_holds_the_old_one() {
        TestBrowser basil = SERVER.signedIn("basil-undercroft");
        assertThat(basil.get("/api/today").status()).isEqualTo(200);

        maren.put("/api/people/basil-undercroft/account", "{\"signIn\":\"basil\",\"password\":\"another password\"}");

        assertThat(basil.get("/api/today").status()).isEqualTo(401);
        assertThat(signIn("basil", "another password")).isEqualTo(200);
        assertThat(maren.put("/api/people/nobody/account", "{\"signIn\":\"x\",\"password\":\"another password\"}")
                        .status())
                .isEqualTo(404);
    }

    private static int signIn(String name, String password) {
        return SERVER.browser()
                .post("/api/session", "{\"name\":\"%s\",\"password\":\"%s\"}".formatted(name, password))
                .status();
    }
}
