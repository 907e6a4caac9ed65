package juricast.server.guide;

import static org.assertj.core.api.Assertions.assertThat;

import com.lowagie.text.pdf.PdfReader;
import com.lowagie.text.pdf.parser.PdfTextExtractor;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.languages.Language;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

class GuideOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.empty();

    /** Entrances, pages of one act, and what is only for those who build the program. */
    private static final List<String> NEED_NONE = List.of("/sign-in", "/first-start", "/bring/:word", "/looks", "*");

    private final TestBrowser anybody = SERVER.browser();

    @Test
    void every_page_there_is_says_what_it_is_for_in_less_than_a_screenful() throws IOException {
        Matcher routes = Pattern.compile("path=\"([^\"]+)\"").matcher(Files.readString(Path.of("../web/src/App.tsx")));
        int pages = 0;
        while (routes.find()) {
            if (NEED_NONE.contains(routes.group(1))) {
                continue;
            }
            pages++;
            var page = anybody.get("/api/guide?at=" + routes.group(1).replaceAll(":\\w+", "x"));
            assertThat(page.status()).as(routes.group(1)).isEqualTo(200);
            assertThat(page.json().get("what").asString()).as(routes.group(1)).hasSizeBetween(30, 260);
            assertThat(page.text().length())
                    .as("a screenful: " + routes.group(1))
                    .isLessThan(2200);
        }
        assertThat(pages).isGreaterThan(30);
        assertThat(anybody.get("/api/guide?at=/nowhere").status()).isEqualTo(404);
    }

    @Test
    void pupils_read_of_the_same_pages_in_every_language() throws IOException {
        var guide = new Guide();
        List<Guide.Page> english = guide.on(Guide.Card.PUPIL, Language.ENGLISH);
        assertThat(english).hasSizeGreaterThan(3);
        for (Language language : Language.values()) {
            List<Guide.Page> theirs = guide.on(Guide.Card.PUPIL, language);
            assertThat(theirs)
                    .extracting(Guide.Page::at)
                    .containsExactlyInAnyOrderElementsOf(
                            english.stream().map(Guide.Page::at).toList());
            for (Guide.Page page : theirs) {
                Guide.Page same = english.stream()
                        .filter(one -> one.at().equals(page.at()))
                        .findFirst()
                        .orElseThrow();
                assertThat(page.how()).as(page.at()).hasSameSizeAs(same.how());
                assertThat(page.signs()).as(page.at()).hasSameSizeAs(same.signs());
                assertThat(guide.of("/today", language, true).orElseThrow().card())
                        .isEqualTo(Guide.Card.PUPIL);
                assertThat(guide.of("/today", language, false).orElseThrow().card())
                        .isEqualTo(Guide.Card.TEACHER);
            }
        }
    }

    @Test
    void the_cards_are_made_from_the_same_texts() throws IOException {
        for (String card : List.of("TEACHER", "PUPIL", "LEAD")) {
            var reader = new PdfReader(anybody.bytes("/api/guide/" + card + ".pdf"));
            String text = new PdfTextExtractor(reader).getTextFromPage(1);
            assertThat(text)
                    .contains(card.equals("PUPIL") ? "Raise your hand" : card.equals("LEAD") ? "Corridor" : "Desk");
            assertThat(reader.getNumberOfPages()).as("it is a card").isLessThanOrEqualTo(2);
        }
        assertThat(anybody.get("/api/guide/NOBODY.pdf").status()).isEqualTo(404);
    }
}
