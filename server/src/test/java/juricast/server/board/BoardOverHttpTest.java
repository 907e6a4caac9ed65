package juricast.server.board;

import static juricast.server.lesson.ASmallClass.eventually;
import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import javax.imageio.ImageIO;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.lesson.ASmallClass;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** A board with pages over HTTP: what comes onto it, who sees which page, what is saved, what is opened again. */
class BoardOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private ASmallClass small;
    private TestBrowser ines;
    private String hers;

    @BeforeEach
    void inesIsIn() {
        small = new ASmallClass(SERVER).open();
        ines = SERVER.signedIn("ines-carrow");
        hers = small.sits(ines, "Ines Carrow");
    }

    private static TestBrowser.Answer ok(TestBrowser.Answer answer) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer;
    }

    private static byte[] pdf(int pages, boolean locked) throws IOException {
        try (var document = new PDDocument()) {
            for (int i = 0; i < pages; i++) {
                document.addPage(new PDPage());
            }
            if (locked) {
                document.protect(new StandardProtectionPolicy("owner", "user", new AccessPermission()));
            }
            var bytes = new ByteArrayOutputStream();
            document.save(bytes);
            return bytes.toByteArray();
        }
    }

    /** In two colours, for a large one is made in no time. */
    private static byte[] png(int width, int height) throws IOException {
        var picture = new BufferedImage(width, height, BufferedImage.TYPE_BYTE_BINARY);
        picture.setRGB(1, 1, Color.RED.getRGB());
        var bytes = new ByteArrayOutputStream();
        ImageIO.write(picture, "png", bytes);
        return bytes.toByteArray();
    }

    private JsonNode board() {
        return small.desk().get("board");
    }

    private String draw(int page) {
        return "{\"page\":%d,\"drawing\":{\"shape\":\"LINE\",\"ink\":\"RED\",\"width\":2,\"points\":[0,0,500,500]}}"
                .formatted(page);
    }

    @Test
    void pages_of_a_pdf_become_pages_and_a_pupil_sees_the_one_that_is_shown() throws IOException {
        ok(small.thora.upload(small.lesson + "/board/files", "chart.pdf", pdf(3, false), ""));
        assertThat(board().get("pages").size()).isEqualTo(3);
        String first = board().at("/pages/0/under/file").asString();
        String second = board().at("/pages/1/under/file").asString();
        assertThat(ines.get(hers).json().at("/board/pages").size()).isEqualTo(1);
        assertThat(ines.get(hers + "/board/pictures/" + first).status()).isEqualTo(200);
        assertThat(ines.get(hers + "/board/pictures/" + second).status())
                .as("a page that is not shown yet")
                .isEqualTo(404);
        ok(small.thora.put(
                small.lesson + "/board/page",
                "{\"page\":%s}".formatted(board().at("/pages/1/id").asString())));
        assertThat(ines.get(hers + "/board/pictures/" + second).status()).isEqualTo(200);
        assertThat(ImageIO.read(new java.io.ByteArrayInputStream(ines.bytes(hers + "/board/pictures/" + second)))
                        .getHeight())
                .isBetween(1590, 1600);
        assertThat(new String(small.thora.bytes(small.lesson + "/board.pdf"), StandardCharsets.ISO_8859_1))
                .startsWith("%PDF");
    }

    @Test
    void files_that_are_too_long_locked_broken_or_something_else_are_refused_in_words() throws IOException {
        refused(pdf(500, false), "500 pages");
        refused(pdf(1, true), "locked with a password");
        refused("%PDF-1.7 nonsense".getBytes(StandardCharsets.UTF_8), "cannot be read");
        refused("<svg onload='x'/>".getBytes(StandardCharsets.UTF_8), "cannot be read");
        refused(png(9000, 9000), "too many pixels");
        assertThat(board().get("pages").size()).isEqualTo(1);
        ok(small.thora.upload(small.lesson + "/board/files", "p.png", png(3200, 2000), ""));
        assertThat(board().at("/pages/0/under/width").asInt()).isEqualTo(1600);
    }

    private void refused(byte[] file, String why) {
        TestBrowser.Answer answer = small.thora.upload(small.lesson + "/board/files", "x.pdf", file, "");
        assertThat(answer.status()).isEqualTo(409);
        assertThat(answer.text()).contains(why);
    }

    @Test
    void a_phones_link_is_good_once_and_for_its_lesson() throws IOException {
        String url = ok(small.thora.post(small.lesson + "/board/phone", ""))
                .json()
                .get("url")
                .asString();
        String bring = "/api" + url.substring(url.indexOf("/bring/"));
        TestBrowser phone = SERVER.browser();
        assertThat(phone.get(bring).json().get("title").asString()).startsWith("Locked Doors");
        ok(phone.upload(bring, "p.png", png(300, 200), ""));
        assertThat(board().at("/pages/0/under/file").asString()).isNotEmpty();
        assertThat(phone.upload(bring, "p.png", png(300, 200), "").status()).isEqualTo(404);
        String late = ok(small.thora.post(small.lesson + "/board/phone", ""))
                .json()
                .get("url")
                .asString();
        SERVER.advance(Duration.ofMinutes(11));
        assertThat(phone.get("/api" + late.substring(late.indexOf("/bring/"))).status())
                .isEqualTo(404);
    }

    @Test
    void a_scribbler_loses_pen_and_marks_in_one_act_and_only_the_new_travels() {
        ok(small.thora.put(small.lesson + "/live-setting", "{\"rule\":\"share.draw\",\"value\":\"open\"}"));
        ok(ines.post(hers + "/board/marks", draw(0)));
        ok(small.thora.post(small.lesson + "/board/marks", draw(0)));
        assertThat(ines.post(hers + "/board/marks", draw(77)).status()).isEqualTo(409);
        JsonNode sheet = ines.get(hers + "/board").json();
        assertThat(sheet.at("/marks/0/authorName").asString()).isEqualTo("Ines Carrow");
        assertThat(ines.post(
                                hers + "/board/erase",
                                "{\"page\":0,\"marks\":[%s]}"
                                        .formatted(sheet.at("/marks/1/number").asString()))
                        .status())
                .as("another's mark")
                .isEqualTo(409);
        ok(small.thora.post(small.lesson + "/board/people/ines-carrow/take-away", "{\"minutes\":5}"));
        assertThat(ines.post(hers + "/board/marks", draw(0)).status()).isEqualTo(409);
        ok(ines.post(hers + "/board/undo", "{\"page\":0}"));
        assertThat(small.thora.get(small.lesson + "/board").json().get("marks").size())
                .isEqualTo(1);
    }

    @Test
    void a_board_is_saved_and_opened_again_in_the_next_lesson_of_another_class_without_names() throws Exception {
        ok(small.thora.post(small.lesson + "/board/marks", draw(0)));
        ok(small.thora.put(small.lesson + "/live-setting", "{\"rule\":\"share.draw\",\"value\":\"open\"}"));
        ok(ines.post(hers + "/board/marks", draw(0)));
        assertThat(ines.get(hers + "/board.svg").text()).contains("stroke-dasharray");
        SERVER.advance(Duration.ofMinutes(1));
        ok(small.thora.post(small.lesson + "/dismiss", ""));

        var next = new ASmallClass(SERVER).open();
        String earlier = next.lesson + "/board/earlier";
        String from = small.id().value();
        eventually(() -> next.thora.get(earlier).text().contains(from));
        ok(next.thora.post(earlier, "{\"from\":\"%s\"}".formatted(from)));
        JsonNode marks = next.thora.get(next.lesson + "/board").json().get("marks");
        assertThat(marks.size()).isEqualTo(2);
        assertThat(SERVER.signedIn("orla-venn").get(earlier).status()).isEqualTo(403);
        assertThat(next.thora
                        .post(earlier, "{\"from\":\"tidal-navigation-8-3.2-1\"}")
                        .status())
                .as("of a class that is not hers")
                .isEqualTo(403);
    }

    @Test
    void a_board_is_taken_home_only_by_whom_the_rule_lets() {
        ok(small.thora.post(small.lesson + "/board/marks", draw(0)));
        small.rule("share.save-board", "PUPIL", "closed");
        eventually(() -> ines.get(hers + "/board.svg").status() == 409);
        assertThat(ines.get(hers + "/board").json().get("keep").asBoolean()).isFalse();
        for (String file : new String[] {"/board.svg", "/board.pdf"}) {
            TestBrowser.Answer no = ines.get(hers + file);
            assertThat(no.status()).as(file).isEqualTo(409);
            assertThat(no.text()).doesNotContain("stroke");
        }
        small.rule("share.save-board", "PUPIL", "open");
        eventually(() -> ines.get(hers + "/board.svg").status() == 200);
        assertThat(ok(ines.get(hers + "/board.svg")).text()).contains("stroke");
        assertThat(SERVER.signedIn("jory-pell").get(hers + "/board.svg").status())
                .as("from another's seat")
                .isEqualTo(404);
    }
}
