package juricast.server.door;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
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
    void who_waits_is_told_why_in_their_language() {
        TestBrowser german = SERVER.browser().speaking("de");
        String seat = small.knocks(german, "Bertil Unknown");
        assertThat(german.get(seat).json().at("/mine/door/why/0").asString())
                .startsWith("Dieser Name steht nicht auf der Klassenliste");
    }

    @Test
    void two_seats_of_one_lesson_are_told_each_in_its_own_language_also_as_it_changes() {
        small.rule("chat.class", "PUPIL", "open");
        TestBrowser german = SERVER.browser().speaking("de");
        TestBrowser english = SERVER.browser();
        String mine = small.sits(german, "Ines Carrow");
        String other = small.sits(english, "Jory Pell");
        Queue<String> heardGerman = new ConcurrentLinkedQueue<>();
        Queue<String> heardEnglish = new ConcurrentLinkedQueue<>();
        german.lines(mine + "/stream", 0, heardGerman::add);
        english.lines(other + "/stream", 0, heardEnglish::add);
        ASmallClass.eventually(() -> heardGerman.toString().contains("An die ganze Klasse schreiben")
                && heardEnglish.toString().contains("Write to the whole class"));

        small.thora.put(small.lesson + "/live-setting", "{\"rule\":\"chat.class\",\"value\":\"closed\"}");
        ASmallClass.eventually(() -> heardGerman.toString().contains("gerade von deiner Lehrkraft geschlossen")
                && heardEnglish.toString().contains("closed for now by your teacher"));
        assertThat(heardGerman.toString()).doesNotContain("your teacher", "whole class");
        assertThat(heardEnglish.toString()).doesNotContain("Lehrkraft", "Klasse");

        assertThat(german.post(mine + "/words", "{\"to\":\"CLASS\",\"person\":null,\"text\":\"Ahoi\"}")
                        .text())
                .contains(
                        "Nicht gesendet", "Deine Lehrkraft hat das gerade geschlossen: an die ganze Klasse schreiben.");
        assertThat(german.get(mine + "/why/chat.class").text())
                .contains(
                        "An die ganze Klasse schreiben",
                        "\"valueWords\":\"geschlossen\"",
                        "Deine Lehrkraft, ",
                        "Uhr am Montag",
                        "Das darfst du nicht",
                        "Bei Nebengesprächen")
                .doesNotContain("Your teacher", "closed for");
        assertThat(german.post(mine + "/group/help", "{}").text()).contains("Du bist in keiner Gruppe");
        assertThat(german.post(mine + "/words", "{\"to\":\"ADULTS\",\"person\":null,\"text\":\" \"}")
                        .text())
                .contains("Es gibt nichts zu senden", "Nichts wurde geändert.", "Schreib zuerst etwas.");
    }

    @Test
    void a_right_that_few_schools_open_is_used_at_a_seat_told_there_and_explained() {
        small.rule("share.outside", "PUPIL", "open");
        TestBrowser german = SERVER.browser().speaking("de");
        String mine = small.sits(german, "Ines Carrow");
        TestBrowser english = SERVER.browser();
        String other = small.sits(english, "Jory Pell");

        assertThat(german.get(mine).json().at("/rights/rights").toString())
                .contains("Die Stunde nach außen weitergeben")
                .doesNotContain("ganzen Bildschirm");
        assertThat(german.get(mine + "/why/share.outside").text()).contains("Wer im Raum ist, kann nicht wissen");
        assertThat(german.post(mine + "/on/PASSING_ON", "{}").status()).isEqualTo(200);
        assertThat(german.get(mine).json().at("/mine/rights/passingOn").asBoolean())
                .isTrue();
        assertThat(english.get(other).json().at("/company/passedOn").toString()).contains("Ines Carrow");
        assertThat(german.post(mine + "/on/WHOLE_SCREEN", "{}").text()).contains("ganzen Bildschirm");
    }

    @Test
    void problems_that_pupils_meet_are_said_in_their_language_and_the_staff_is_spoken_to_in_english() {
        TestBrowser german = SERVER.browser().speaking("de");
        assertThat(german.post("/api/session", "{\"name\":\"ines\",\"password\":\"wrong\",\"code\":null}")
                        .text())
                .contains("Name und Passwort passen nicht zusammen", "Du bist nicht angemeldet.");
        assertThat(german.get("/api/seats/nothing").text()).contains("Das ist nicht da", "not-there");
        TestBrowser teacher = SERVER.signedIn("thora-melling").speaking("de");
        assertThat(teacher.get("/api/lessons/nothing/desk").text()).contains("is not there");
        TestBrowser pupil = SERVER.signedIn("ines-carrow").speaking("de");
        assertThat(pupil.get("/api/guide?at=/today").text())
                .contains("Dein Tag")
                .doesNotContain("Registers");
        assertThat(teacher.get("/api/guide?at=/today").text()).contains("Your day: the lesson that is next");
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
