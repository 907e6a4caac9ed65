package juricast.server.chat;

import static org.assertj.core.api.Assertions.assertThat;

import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.lesson.ASmallClass;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

class CopyOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    @Test
    void a_copy_is_kept_by_whom_the_rules_let_and_holds_what_they_could_read_and_nothing_else() {
        var small = new ASmallClass(SERVER).open();
        TestBrowser ines = SERVER.browser();
        TestBrowser jory = SERVER.browser();
        String seatOfInes = small.sits(ines, "Ines Carrow");
        String seatOfJory = small.sits(jory, "Jory Pell");
        small.thora.post(
                small.lesson + "/words", "{\"to\":\"CLASS\",\"person\":null,\"place\":null,\"text\":\"page nine\"}");
        small.thora.post(
                small.lesson + "/words",
                "{\"to\":\"ONE\",\"person\":\"ines-carrow\",\"place\":null,\"text\":\"for you alone\"}");

        assertThat(ines.get(seatOfInes + "/words.txt").status())
                .as("closed to pupils")
                .isEqualTo(409);
        assertThat(small.thora.get(small.lesson + "/words.txt").text())
                .contains("page nine", "Thora Melling to Ines Carrow: for you alone");
        small.rule("chat.save", "PUPIL", "open");
        assertThat(ines.get(seatOfInes + "/words.txt").text()).contains("page nine", "for you alone");
        assertThat(jory.get(seatOfJory + "/words.txt").text())
                .contains("page nine")
                .doesNotContain("for you alone");
        assertThat(jory.get(seatOfInes + "/words.txt").status())
                .as("another's seat is not there")
                .isEqualTo(404);
        assertThat(jory.get(seatOfJory).json().at("/mine/chat/mayKeep").asBoolean())
                .isTrue();
        small.rule("chat.save", "LEAD_ADULT", "closed");
        assertThat(small.thora.get(small.lesson + "/words.txt").status()).isEqualTo(409);
    }
}
