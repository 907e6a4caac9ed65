package juricast.server.door;

import static org.assertj.core.api.Assertions.assertThat;

import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.lesson.ASmallClass;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** What somebody reads before they knock, in the language they chose; and the note that told them where. */
class LanguageOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private final ASmallClass small = new ASmallClass(SERVER).open();
    private final String doorstep = "/api/doorsteps/" + small.token;

    private String knock(TestBrowser browser, String name, String word, boolean agreed) {
        return browser.post(
                        doorstep + "/knock",
                        "{\"name\":\"%s\",\"word\":\"%s\",\"agreed\":%b}".formatted(name, word, agreed))
                .text();
    }

    @Test
    void the_door_speaks_the_language_that_was_chosen_and_english_to_all_others() {
        TestBrowser german = SERVER.browser().speaking("de");
        TestBrowser english = SERVER.browser();
        TestBrowser nobodys = SERVER.browser().speaking("xx");

        assertThat(german.get(doorstep).json().get("houseRules").toString())
                .contains("Dein Mikrofon ist aus", "Wer andere stört")
                .doesNotContain("You", "Your");
        assertThat(english.get(doorstep).json().get("houseRules").toString()).contains("Who disturbs others");
        assertThat(nobodys.get(doorstep).json().get("houseRules").toString()).contains("Who disturbs others");

        assertThat(knock(german, "Ines Carrow", "wrong-word-1", true)).contains("Das ist nicht das Kennwort");
        assertThat(knock(german, "Ines Carrow", small.word, false)).contains("Bitte lies zuerst die Hausregeln");
        assertThat(knock(german, "", small.word, true)).contains("Bitte nenne deinen Namen", "1 bis 80 Zeichen");
        assertThat(knock(english, "", small.word, true)).contains("Please give your name", "1 to 80 characters");
        assertThat(german.get("/api/doorsteps/nothing-here").text()).contains("Dieser Link führt nirgendwohin");
        assertThat(german.post(doorstep + "/ring", "{\"number\":\"x\",\"agreed\":true}")
                        .text())
                .contains("Das ist keine Telefonnummer");
        for (int n = 0; n < 6; n++) {
            knock(german, "Ines Carrow", "wrong-word-1", true);
        }
        assertThat(knock(german, "Ines Carrow", "wrong-word-1", true)).contains("Zu viele Versuche");
    }

    @Test
    void a_joining_note_is_written_in_the_language_that_is_asked_for() {
        JsonNode german =
                small.thora.get(small.ofClass + "/joining?language=de").json();
        assertThat(german.at("/forPupils/text").asString())
                .contains("Kennwort: " + small.word, "Montag, 14. September", "Komm mit deinem Vor- und Nachnamen")
                .doesNotContain("Join", "let in");
        assertThat(german.at("/inFull/text").asString())
                .contains("Mit: Anton Prowse und Thora Melling", "Aufzeichnung: ", "Bitte gebt den Link nicht weiter");
        assertThat(german.at("/inFull/html").asString()).contains("Teilnehmen: <a href=");
        assertThat(small.thora
                        .get(small.ofClass + "/joining")
                        .json()
                        .at("/forPupils/text")
                        .asString())
                .contains("Join word: " + small.word, "Monday 14 September");
    }
}
