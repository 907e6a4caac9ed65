package juricast.server.door;

import static org.assertj.core.api.Assertions.assertThat;

import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.lesson.ASmallClass;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Those who come by telephone, with an account from elsewhere, or with the account of somebody whose name is taken. */
class WaysInOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private final ASmallClass small = new ASmallClass(SERVER).open();
    private final String doorstep = "/api/doorsteps/" + small.token;
    private final TestBrowser somebody = SERVER.browser();

    private TestBrowser.Answer ring(String number, boolean agreed) {
        return somebody.post(doorstep + "/ring", "{\"number\":\"%s\",\"agreed\":%b}".formatted(number, agreed));
    }

    private String outcomeOf(String seat) {
        return somebody.get(seat).json().at("/mine/door/status").asString();
    }

    @Test
    void a_call_has_a_number_and_no_name_is_named_by_an_adult_and_can_only_speak() {
        assertThat(ring("07700 900123", false).status()).as("the house rules").isEqualTo(409);
        assertThat(ring("ring ring", true).status()).isEqualTo(400);
        String visit = ring("07700 900123", true).json().get("visit").asString();

        var waiting = small.desk().at("/door/waiting/0");
        assertThat(waiting.get("name").asString()).isEqualTo("07700 900123");
        assertThat(waiting.get("way").asString()).isEqualTo("TELEPHONE");
        assertThat(waiting.at("/reasons/0/text").asString()).isEqualTo("Calls by telephone: ask who it is.");
        assertThat(small.thora
                        .post(small.lesson + "/visits/" + visit + "/admit", "{\"as\":\"ines-carrow\"}")
                        .status())
                .isEqualTo(200);
        assertThat(outcomeOf("/api/seats/" + visit)).isEqualTo("IN");
        assertThat(somebody.post("/api/seats/" + visit + "/on/CAMERA", "").status())
                .isEqualTo(409);
    }

    @Test
    void where_the_rules_close_the_door_to_calls_nobody_can_let_one_in() {
        small.rule("entry.telephone", "PUPIL", "closed");
        String visit = ring("+44 7700 900124", true).json().get("visit").asString();

        assertThat(outcomeOf("/api/seats/" + visit)).isEqualTo("TURNED_AWAY");
        assertThat(somebody.get("/api/seats/" + visit)
                        .json()
                        .at("/mine/door/why/0")
                        .asString())
                .contains("cannot be joined by telephone");
    }

    @Test
    void an_account_from_elsewhere_is_worth_what_the_rule_says_and_nothing_when_its_ticket_is_over() {
        String knock = "{\"name\":\"Jory Pell\",\"word\":\"%s\",\"agreed\":true,\"outsideTicket\":\"%s\"}";
        assertThat(somebody.post("/api/outside/accounts", "{\"address\":\"nobody\"}")
                        .status())
                .isEqualTo(400);
        String ticket = somebody.post("/api/outside/accounts", "{\"address\":\"jory@north-holm.example\"}")
                .json()
                .get("ticket")
                .asString();
        String visit = somebody.post(doorstep + "/knock", knock.formatted(small.word, ticket))
                .json()
                .get("visit")
                .asString();
        assertThat(outcomeOf("/api/seats/" + visit)).as("closed to pupils").isEqualTo("TURNED_AWAY");

        small.rule("entry.outside-accounts", "PUPIL", "on-request");
        String again = SERVER.browser()
                .post(doorstep + "/knock", knock.formatted(small.word, ticket))
                .json()
                .get("visit")
                .asString();
        assertThat(small.desk().at("/door/waiting").toString())
                .contains(again, "vouches for the address only", "\"way\":\"ACCOUNT\"");

        SERVER.advance(java.time.Duration.ofMinutes(11));
        assertThat(SERVER.browser()
                        .post(doorstep + "/knock", knock.formatted(small.word, ticket))
                        .status())
                .isEqualTo(409);
    }

    @Test
    void who_signs_in_takes_the_place_of_who_is_in_by_that_name_alone() {
        String claimed = small.knocks(somebody, "Ines Carrow");
        small.thora.post(small.lesson + "/admit-all-listed", "");
        assertThat(outcomeOf(claimed)).isEqualTo("IN");

        TestBrowser ines = SERVER.signedIn("ines-carrow");
        String seat = small.sits(ines, "Ines Carrow");
        assertThat(ines.get(seat).json().at("/mine/door/status").asString()).isEqualTo("IN");
        assertThat(outcomeOf(claimed)).isEqualTo("TURNED_AWAY");
    }

    @Test
    void who_has_left_knocks_again_by_one_press_if_signed_in_and_by_the_link_if_not() {
        TestBrowser ines = SERVER.signedIn("ines-carrow");
        String seat = small.sits(ines, "Ines Carrow");
        assertThat(ines.post(seat + "/knock-again", "{}").status()).as("is in").isEqualTo(409);
        ines.post(seat + "/leave", "");

        String again = "/api/seats/"
                + ines.post(seat + "/knock-again", "{}").json().get("visit").asString();
        assertThat(ines.get(again).json().at("/mine/door/status").asString()).isEqualTo("WAITING");
        assertThat(SERVER.browser().post(seat + "/knock-again", "{}").status())
                .as("another's device")
                .isEqualTo(404);

        String claimed = small.sits(somebody, "Jory Pell");
        somebody.post(claimed + "/leave", "");
        assertThat(somebody.post(claimed + "/knock-again", "{}").text()).contains("Open the link in your joining note");
    }

    @Test
    void the_house_rules_say_what_is_on_when_one_comes_in_and_that_people_outside_may_watch() {
        String says = SERVER.browser().get(doorstep).json().get("houseRules").toString();
        assertThat(says).doesNotContain("camera is on when you come in", "passed on to people outside");

        small.rule("voice.arrive-camera-off", "PUPIL", "no");
        small.rule("share.outside", "LEAD_ADULT", "open");
        says = SERVER.browser().get(doorstep).json().get("houseRules").toString();
        assertThat(says).contains("camera is on when you come in", "passed on to people outside");
        TestBrowser jory = SERVER.signedIn("jory-pell");
        String seat = small.sits(jory, "Jory Pell");
        assertThat(jory.get(seat).json().at("/mine/rights/camera").asBoolean()).isTrue();
    }

    @Test
    void the_chat_closed_for_some_minutes_says_until_when_and_where_all_come_one_by_one_no_key_lets_all_in() {
        small.thora.put(small.lesson + "/live-setting", "{\"rule\":\"chat.class\",\"value\":\"closed\",\"minutes\":5}");
        var chat = small.desk().at("/rights/columns/2");
        assertThat(chat.get("rule").asString()).isEqualTo("chat.class");
        assertThat(chat.get("value").asString()).isEqualTo("closed");
        assertThat(chat.get("until").isNull()).isFalse();

        SERVER.advance(java.time.Duration.ofMinutes(5));
        small.theClockTicks();
        assertThat(small.desk().at("/rights/columns/2/value").asString()).isEqualTo("open");

        small.rule("entry.one-by-one", "LEAD_ADULT", "yes");
        small.knocks(somebody, "Ines Carrow");
        assertThat(small.thora.post(small.lesson + "/admit-all-listed", "").status())
                .isEqualTo(409);
        assertThat(small.desk().at("/door/oneByOne").asBoolean()).isTrue();
    }
}
