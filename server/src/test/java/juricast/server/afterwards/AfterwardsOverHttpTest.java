package juricast.server.afterwards;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.lesson.ASmallClass;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

class AfterwardsOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private static void ok(TestBrowser.Answer answer) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    }

    private static String words(String to, String person, String text) {
        return "{\"to\":\"%s\",\"person\":%s,\"place\":null,\"text\":\"%s\"}".formatted(to, person, text);
    }

    @Test
    void what_was_kept_of_a_lesson_is_read_by_its_adults_and_by_each_pupil_as_ruled() {
        var small = new ASmallClass(SERVER).open();
        TestBrowser ines = SERVER.signedIn("ines-carrow");
        TestBrowser jory = SERVER.signedIn("jory-pell");
        TestBrowser anotherAdult = SERVER.signedIn("tam-birket");
        TestBrowser anotherPupil = SERVER.signedIn("oona-tressick");
        String kept = small.lesson + "/afterwards";
        small.sits(ines, "Ines Carrow");
        ok(small.thora.post(small.lesson + "/materials", "{\"title\":\"Tide table\",\"body\":\"page 4\"}"));
        ok(small.thora.post(small.lesson + "/words", words("CLASS", null, "page nine")));
        ok(small.thora.post(small.lesson + "/words", words("ONE", "\"ines-carrow\"", "for you alone")));
        ok(small.thora.upload(
                small.lesson + "/files?to=CLASS",
                "tides.txt",
                "high water 04:52".getBytes(StandardCharsets.UTF_8),
                ""));
        ok(
                small.thora.post(
                        small.lesson + "/board/marks",
                        "{\"page\":0,\"drawing\":{\"shape\":\"PEN\",\"ink\":\"INK\",\"width\":2,\"points\":[0,0,9,9],\"text\":\"\"}}"));
        assertThat(ines.get(kept).status()).as("it goes on").isEqualTo(409);
        assertThat(small.thora.get(kept).json().get("title").asString()).isEqualTo("This lesson is not over");
        ok(small.thora.post(small.lesson + "/dismiss", "{}"));

        var adults = small.thora.get(kept).json();
        assertThat(adults.get("words")).hasSize(3);
        assertThat(adults.at("/boards/0/pages")).hasSize(1);
        assertThat(adults.get("isAdult").asBoolean()).isTrue();
        assertThat(small.maren.get(kept).status()).as("the lead too").isEqualTo(200);
        assertThat(anotherAdult.get(kept).status())
                .as("an adult of another class")
                .isEqualTo(403);
        assertThat(anotherPupil.get(kept).status())
                .as("a pupil of another class")
                .isEqualTo(404);

        assertThat(ines.get(kept).json().hasNonNull("words"))
                .as("closed to pupils, as is usual")
                .isFalse();
        String page = kept + "/board.svg?place=" + adults.at("/boards/0/place").asString() + "&page=0";
        assertThat(ines.get(page).text()).contains("<svg");
        assertThat(jory.get(kept).json().at("/material/0/title").asString())
                .as("who was not there finds the sheet")
                .isEqualTo("Tide table");
        int file = adults.at("/words/2/number").asInt();
        assertThat(ines.get(kept + "/files/" + file).status()).isEqualTo(404);

        small.rule("chat.save", "PUPIL", "open");
        assertThat(ines.get(kept).text()).contains("page nine", "for you alone");
        assertThat(ines.get(kept + "/files/" + file).text()).isEqualTo("high water 04:52");
        assertThat(jory.get(kept).json().get("words"))
                .as("who never came has read none")
                .isEmpty();
        assertThat(jory.get(kept + "/files/" + file).status()).isEqualTo(404);
        small.rule("share.save-board", "PUPIL", "closed");
        assertThat(ines.get(page).status()).isEqualTo(404);
        assertThat(ines.get("/api/my-day/behind").text())
                .as("found from the own page")
                .contains(small.id().value());
        assertThat(small.maren.get("/api/looks").text()).contains("what was kept of a lesson");
    }
}
