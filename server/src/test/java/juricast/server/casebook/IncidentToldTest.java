package juricast.server.casebook;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Each thing that is done with an incident is a line of its page, in words that a parent would understand. */
class IncidentToldTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private TestBrowser maren;
    private TestBrowser thora;
    private int number;

    @BeforeEach
    void oneIsWrittenDown() {
        maren = SERVER.signedIn("maren-oddlund");
        thora = SERVER.signedIn("thora-melling");
        number = written("Names called on the ferry");
    }

    private int written(String title) {
        return ok(maren.post(
                        "/api/casebook",
                        """
            {"title":"%s","act":"insult","severity":"MIDDLE","lesson":null,"moment":"%s","did":["jory-pell"],
             "suffered":["ines-carrow"],"leadOnly":false}"""
                                .formatted(title, SERVER.bean(Clock.class).instant())))
                .json()
                .get("incident")
                .asInt();
    }

    private static TestBrowser.Answer ok(TestBrowser.Answer answer) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer;
    }

    private String at(String more) {
        return "/api/casebook/" + number + more;
    }

    private List<String> told() {
        var lines = new ArrayList<String>();
        for (JsonNode line : ok(maren.get(at(""))).json().get("lines")) {
            lines.add(line.get("kind").asString() + " " + line.get("text").asString());
        }
        return lines;
    }

    private LocalDate today() {
        return LocalDate.ofInstant(SERVER.bean(Clock.class).instant(), ZoneOffset.UTC);
    }

    @Test
    void from_writing_it_down_to_closing_it_and_opening_it_again() {
        ok(maren.put(at("/kind"), "{\"act\":\"threat\",\"severity\":\"GRAVE\"}"));
        ok(maren.post(at("/decisions"), "{\"text\":\"They sit apart.\"}"));
        JsonNode asked = ok(maren.post(
                        at("/follow-ups"),
                        "{\"what\":\"Call home\",\"who\":\"thora-melling\",\"until\":\"%s\"}".formatted(today())))
                .json();
        int followUp = asked.at("/followUps/0/number").asInt();
        ok(maren.post(
                at("/follow-ups/" + followUp + "/later"),
                "{\"text\":\"nobody at home\",\"until\":\"%s\"}".formatted(today().plusDays(2))));
        TestBrowser.Answer early = maren.post(at("/close"), "{\"text\":\"all said\"}");
        assertThat(early.status()).as("something is to be done").isEqualTo(409);
        ok(thora.post(at("/follow-ups/" + followUp + "/done"), "{\"text\":\"spoke with his mother\"}"));
        ok(maren.post(at("/close"), "{\"text\":\"all said\"}"));
        assertThat(maren.post(at("/decisions"), "{\"text\":\"too late\"}").status())
                .isEqualTo(409);
        ok(maren.post(at("/reopen"), "{\"text\":\"it happened again\"}"));

        assertThat(told())
                .containsExactlyInAnyOrder(
                        "NOTE Maren Oddlund wrote this down",
                        "CHANGE Said to be threats and hounding, grave (Maren Oddlund)",
                        "DECISION Decided: They sit apart. (Maren Oddlund)",
                        "FOLLOW_UP To do: Call home, Thora Melling until %s (Maren Oddlund)".formatted(day(today())),
                        "FOLLOW_UP Later, on %s: nobody at home (Maren Oddlund)".formatted(day(today().plusDays(2))),
                        "FOLLOW_UP Done: spoke with his mother (Thora Melling)",
                        "DECISION Closed: all said (Maren Oddlund)",
                        "DECISION Opened again: it happened again (Maren Oddlund)");
    }

    private static String day(LocalDate day) {
        return DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.UK).format(day);
    }

    @Test
    void what_it_has_to_do_with_others() {
        int first = number;
        int other = written("Drawing on the chart");
        number = first;
        ok(maren.post(at("/links"), "{\"other\":%d,\"how\":\"the same week\"}".formatted(other)));
        int split = ok(maren.post(at("/split"), "{\"people\":[\"ines-carrow\"],\"title\":\"Hers\"}"))
                .json()
                .get("incident")
                .asInt();
        assertThat(told())
                .contains(
                        "CHANGE Has to do with No. %d: the same week (Maren Oddlund)".formatted(other),
                        "CHANGE Ines Carrow went into No. %d (Maren Oddlund)".formatted(split));

        ok(maren.post(at("/merge"), "{\"into\":%d}".formatted(other)));
        assertThat(told()).contains("CHANGE Goes on as No. %d (Maren Oddlund)".formatted(other));
        number = other;
        assertThat(told()).contains("CHANGE No. %d goes on in this one (Maren Oddlund)".formatted(first));
        number = split;
        assertThat(told()).contains("CHANGE Split off from another incident (Maren Oddlund)");
        assertThat(ok(maren.get(at(""))).json().get("title").asString()).isEqualTo("Hers");
    }

    @Test
    void who_has_a_part_is_told_beside_it_and_who_takes_it_along_stays_told() {
        ok(maren.put(at("/people"), "{\"person\":\"kester-tabb\",\"part\":\"SAW\"}"));
        ok(maren.put(at("/people"), "{\"person\":\"ines-carrow\",\"part\":null}"));
        JsonNode people = ok(maren.get(at(""))).json().get("people");
        assertThat(people.toString())
                .contains("Kester Tabb", "SAW", "Jory Pell", "DID")
                .doesNotContain("Ines");

        maren.bytes(at("/pack"));
        ok(maren.post(at("/parents"), "{\"pupil\":\"jory-pell\",\"text\":\"Please call.\"}"));
        assertThat(told())
                .containsExactlyInAnyOrder(
                        "NOTE Maren Oddlund wrote this down",
                        "CHANGE An evidence pack was made (Maren Oddlund)",
                        "FOLLOW_UP The parents of Jory Pell were written to (Maren Oddlund)");
    }

    @Test
    void a_correction_stands_beside_what_it_corrects_and_a_note_for_leads_is_for_them() {
        ok(maren.post(at("/notes"), "{\"text\":\"it was on Monday\",\"leadOnly\":false}"));
        ok(maren.post(at("/notes"), "{\"text\":\"on Tuesday\",\"leadOnly\":false,\"corrects\":1}"));
        ok(maren.post(at("/notes"), "{\"text\":\"LEADS ALONE\",\"leadOnly\":true}"));
        ok(maren.post(
                at("/follow-ups"),
                "{\"what\":\"Listen\",\"who\":\"thora-melling\",\"until\":\"%s\"}".formatted(today())));

        assertThat(ok(maren.get(at(""))).text()).contains("LEADS ALONE", "\"corrects\":1");
        assertThat(ok(thora.get(at(""))).text())
                .as("who was asked to do something reads it, and not what is for leads")
                .contains("on Tuesday")
                .doesNotContain("LEADS ALONE");
        assertThat(SERVER.signedIn("jory-pell").get(at("")).status()).isEqualTo(403);
    }
}
