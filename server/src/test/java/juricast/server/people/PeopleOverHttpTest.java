package juricast.server.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import org.apache.commons.codec.binary.Base32;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PeopleOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private static final String PERSON = """
            {"name":"%s","position":"%s","year":%d,"signIn":"%s"}""";

    private final TestBrowser maren = SERVER.signedIn("maren-oddlund");

    /** Somebody new, with the code that the lead hands over. */
    private String added(String name, String position, String signIn) {
        return maren.post("/api/people", PERSON.formatted(name, position, 0, signIn))
                .json()
                .get("code")
                .asString();
    }

    @Test
    void somebody_added_comes_in_by_a_code_and_does_nothing_before_choosing_a_password() {
        String code = added("Piet Quarrel", "TEACHER", " Piet ");
        assertThat(maren.post("/api/people", PERSON.formatted("Piet Quarrel", "TEACHER", 0, "piet"))
                        .json()
                        .get("title")
                        .asString())
                .isEqualTo("Somebody signs in as “piet” already");
        TestBrowser piet = SERVER.browser();
        assertThat(signIn(piet, "PIET", code)).isEqualTo(200);
        assertThat(piet.get("/api/standing").json().at("/me/missing").asString())
                .isEqualTo("OWN_PASSWORD");
        assertThat(piet.get("/api/today").status()).isEqualTo(403);

        assertThat(password(piet, code, "password12")).isEqualTo(400);
        assertThat(password(piet, "not the code", "slack tide harbour")).isEqualTo(400);
        assertThat(password(piet, code, "slack tide harbour")).isEqualTo(200);

        assertThat(piet.get("/api/today").status()).isEqualTo(200);
        assertThat(signIn(SERVER.browser(), "piet", "slack tide harbour")).isEqualTo(200);
        assertThat(signIn(SERVER.browser(), "piet", code)).isEqualTo(409);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"aaaaaaaaaaaa", "1234567890", "password123", "qwertyuiop", "Wilma Hollin", "short", "P@ssw0rd123"
            })
    void a_password_that_is_tried_first_is_refused(String password) {
        String signIn = "wilma" + Math.abs(password.hashCode());
        String code = added("Wilma Hollin", "TEACHER", signIn);
        TestBrowser wilma = SERVER.browser();
        signIn(wilma, signIn, code);

        assertThat(password(wilma, code, password)).as(password).isEqualTo(400);
    }

    @Test
    void a_code_counts_for_a_week() {
        String code = added("Late Comer", "TEACHER", "late");
        SERVER.advance(Duration.ofDays(8));

        assertThat(signIn(SERVER.browser(), "late", code)).isEqualTo(409);
    }

    @Test
    void every_field_that_is_wrong_is_told_and_names_that_look_alike_are_one() {
        var answer = maren.post("/api/people", PERSON.formatted(" \u200b ", "PUPIL", 0, ""));
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.json().get("wrong").size()).isEqualTo(3);

        added("Ansel Brook", "TEACHER", "ansel");
        assertThat(maren.post("/api/people", PERSON.formatted("Ansel", "TEACHER", 0, "an\u200bsel\u202e"))
                        .status())
                .isEqualTo(409);
        assertThat(maren.post("/api/people", PERSON.formatted("Ansel", "TEACHER", 0, "ａｎｓｅｌ"))
                        .status())
                .isEqualTo(409);
    }

    @Test
    void a_new_code_signs_out_whoever_holds_the_old_password() {
        TestBrowser basil = SERVER.signedIn("basil-undercroft");
        assertThat(basil.get("/api/today").status()).isEqualTo(200);

        String code = maren.put("/api/people/basil-undercroft/account", "{\"signIn\":\"basil\"}")
                .json()
                .get("code")
                .asString();

        assertThat(basil.get("/api/today").status()).isEqualTo(401);
        assertThat(signIn(SERVER.browser(), "basil", code)).isEqualTo(200);
        assertThat(maren.put("/api/people/nobody/account", "{\"signIn\":\"x\"}").status())
                .isEqualTo(404);
    }

    @Test
    void an_account_ends_on_its_day_and_counts_again_when_the_lead_says_so() {
        TestBrowser anton = SERVER.signedIn("anton-prowse");
        String tomorrow = SERVER.today().plusDays(1).toString();
        assertThat(maren.put("/api/people/anton-prowse/end", "{\"ends\":\"%s\"}".formatted(tomorrow))
                        .status())
                .isEqualTo(200);
        assertThat(anton.get("/api/today").status()).isEqualTo(200);
        String calendar =
                anton.get("/api/feed").json().get("address").asString().replaceFirst("^.*/feeds/", "/feeds/");
        assertThat(SERVER.browser().get(calendar).status()).isEqualTo(200);

        maren.put("/api/people/anton-prowse/end", "{\"ends\":\"%s\"}".formatted(SERVER.today()));
        assertThat(anton.get("/api/today").status()).isEqualTo(401);
        assertThat(SERVER.browser().get(calendar).status())
                .as("the own calendar ends with the account")
                .isEqualTo(410);

        maren.put("/api/people/anton-prowse/end", "{\"ends\":null}");
        assertThat(signIn(SERVER.browser(), "anton.prowse", "lantern-tide-9")).isEqualTo(200);
    }

    @Test
    void a_name_is_corrected_and_a_school_never_loses_its_last_lead() {
        assertThat(maren.put(
                                "/api/people/orla-venn",
                                "{\"name\":\"Orla Venn-Harrow\",\"position\":\"TEACHER\",\"year\":0}")
                        .text())
                .contains("Orla Venn-Harrow");

        var leads = maren.get("/api/people")
                .json()
                .valueStream()
                .filter(one -> one.get("position").asString().equals("LEAD"))
                .map(one -> one.get("id").asString())
                .filter(id -> !id.equals("maren-oddlund"))
                .toList();
        leads.forEach(id -> maren.put("/api/people/" + id + "/end", "{\"ends\":\"2020-01-01\"}"));
        assertThat(maren.put("/api/people/maren-oddlund/end", "{\"ends\":\"2020-01-01\"}")
                        .status())
                .isEqualTo(409);
        assertThat(maren.put(
                                "/api/people/maren-oddlund",
                                "{\"name\":\"Maren Oddlund\",\"position\":\"TEACHER\",\"year\":0}")
                        .status())
                .isEqualTo(409);
        leads.forEach(id -> maren.put("/api/people/" + id + "/end", "{\"ends\":null}"));
    }

    @Test
    void my_sign_ins_are_seen_and_ended_and_a_new_password_ends_all_others() {
        String code = added("Sefton Pike", "TEACHER", "sefton");
        TestBrowser here = SERVER.browser();
        signIn(here, "sefton", code);
        password(here, code, "slack tide harbour");
        TestBrowser there = SERVER.browser();
        TestBrowser elsewhere = SERVER.browser();
        signIn(there, "sefton", "slack tide harbour");
        SERVER.advance(Duration.ofSeconds(1));
        signIn(elsewhere, "sefton", "slack tide harbour");
        var signIns = here.get("/api/account").json().get("signIns");
        assertThat(signIns.size()).isEqualTo(3);

        String last = signIns.get(0).get("id").asString();
        assertThat(here.delete("/api/account/sign-ins/" + last).status()).isEqualTo(200);
        assertThat(elsewhere.get("/api/today").status()).isEqualTo(401);
        assertThat(maren.delete("/api/account/sign-ins/"
                                + signIns.get(1).get("id").asString())
                        .status())
                .isEqualTo(404);

        assertThat(password(here, "slack tide harbour", "knot and rigging day")).isEqualTo(200);
        assertThat(there.get("/api/today").status()).isEqualTo(401);
        assertThat(here.get("/api/today").status()).isEqualTo(200);
    }

    @Test
    void a_second_factor_is_asked_for_once_it_is_set_up_and_no_code_counts_twice() {
        String code = added("Runa Fell", "LEAD", "runa");
        TestBrowser runa = SERVER.browser();
        signIn(runa, "runa", code);
        password(runa, code, "slack tide harbour");
        byte[] secret = new Base32()
                .decode(runa.post("/api/account/factor", "{}")
                        .json()
                        .get("secret")
                        .asString());
        assertThat(confirm(runa, "000000")).isEqualTo(409);
        SERVER.advance(Duration.ofSeconds(30));
        var recovery = runa.put(
                        "/api/account/factor",
                        "{\"password\":\"slack tide harbour\",\"code\":\"%s\"}".formatted(now(secret)))
                .json()
                .get("codes");
        assertThat(recovery.size()).isEqualTo(8);

        assertThat(signIn(SERVER.browser(), "runa", "slack tide harbour")).isEqualTo(409);
        assertThat(signIn("runa", now(secret))).as("used when it was set up").isEqualTo(409);
        SERVER.advance(Duration.ofSeconds(30));
        String next = now(secret);
        assertThat(signIn("runa", next)).isEqualTo(200);
        assertThat(signIn("runa", next)).isEqualTo(409);
        assertThat(signIn("runa", recovery.get(0).asString())).isEqualTo(200);
        assertThat(signIn("runa", recovery.get(0).asString())).isEqualTo(409);
        String runasId = maren.get("/api/people")
                .json()
                .valueStream()
                .filter(one -> one.get("signIn").asString().equals("runa"))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asString();
        maren.post("/api/people/" + runasId + "/factor/end", "{}");
        assertThat(signIn(SERVER.browser(), "runa", "slack tide harbour")).isEqualTo(200);
        maren.put("/api/people/" + runasId + "/end", "{\"ends\":\"2020-01-01\"}");
    }

    @Test
    void where_the_charter_asks_leads_for_a_second_factor_nothing_else_opens_before_it_is_set_up() {
        bind(Catalogue.LEADS_FACTOR, "yes");

        assertThat(maren.get("/api/corridor").status()).isEqualTo(403);
        assertThat(maren.get("/api/corridor").json().get("type").asString()).endsWith("second-factor-first");
        assertThat(maren.get("/api/account").json().get("missing").asString()).isEqualTo("SECOND_FACTOR");
        assertThat(SERVER.signedIn("orla-venn").get("/api/today").status()).isEqualTo(200);

        byte[] secret = new Base32()
                .decode(maren.post("/api/account/factor", "{}")
                        .json()
                        .get("secret")
                        .asString());
        maren.put("/api/account/factor", "{\"password\":\"lantern-tide-9\",\"code\":\"%s\"}".formatted(now(secret)));
        assertThat(maren.get("/api/corridor").status()).isEqualTo(200);
        bind(Catalogue.LEADS_FACTOR, "no");
        maren.post("/api/account/factor/end", "{\"password\":\"lantern-tide-9\"}");
    }

    @Test
    void who_looked_at_what_about_whom_is_found_by_the_lead_alone_and_never_says_what_was_seen() {
        TestBrowser orla = SERVER.signedIn("orla-venn");
        orla.get("/api/pupils/ines-carrow/attendance");
        SERVER.browser().post("/api/session", "{\"name\":\"my secret typed here\",\"password\":\"x\"}");

        var found = maren.get("/api/looks?name=ines").json().get("lines");
        assertThat(found.get(0).get("who").asString()).startsWith("Orla Venn");
        assertThat(found.get(0).get("about").asString()).isEqualTo("Ines Carrow");
        assertThat(found.get(0).get("place").asString()).contains("pupil's page");
        assertThat(maren.get("/api/looks?kind=SIGN_IN_FAILED").text()).doesNotContain("my secret");
        assertThat(maren.get("/api/looks.csv").text()).contains("Ines Carrow");
        assertThat(maren.get("/api/looks?from=notaday").status()).isEqualTo(400);
        assertThat(orla.get("/api/looks").status()).isEqualTo(403);
    }

    private void bind(Rule<?> rule, String value) {
        maren.put(
                "/api/rules/school/draft",
                "{\"rule\":\"%s\",\"role\":\"%s\",\"when\":\"\",\"value\":\"%s\",\"binding\":true,\"note\":\"\"}"
                        .formatted(rule.key(), Rule.ANSWERS, value));
        assertThat(maren.post("/api/rules/school/draft/in-force", "{}").status())
                .isEqualTo(200);
    }

    private static String now(byte[] secret) {
        return SecondFactor.code(secret, SERVER.now().getEpochSecond() / 30);
    }

    private static int confirm(TestBrowser browser, String code) {
        return browser.put(
                        "/api/account/factor", "{\"password\":\"slack tide harbour\",\"code\":\"%s\"}".formatted(code))
                .status();
    }

    private static int password(TestBrowser browser, String current, String password) {
        return browser.put(
                        "/api/account/password",
                        "{\"current\":\"%s\",\"password\":\"%s\"}".formatted(current, password))
                .status();
    }

    private static int signIn(TestBrowser browser, String name, String password) {
        return browser.post("/api/session", "{\"name\":\"%s\",\"password\":\"%s\"}".formatted(name, password))
                .status();
    }

    private static int signIn(String name, String code) {
        return SERVER.browser()
                .post(
                        "/api/session",
                        "{\"name\":\"%s\",\"password\":\"slack tide harbour\",\"code\":\"%s\"}".formatted(name, code))
                .status();
    }
}
