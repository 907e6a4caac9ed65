package juricast.server.guide;

import com.lowagie.text.Document;
import com.lowagie.text.Paragraph;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import juricast.server.access.For;
import juricast.server.access.Position;
import juricast.server.access.SignedIn;
import juricast.server.files.Paper;
import juricast.server.languages.Sentences;
import juricast.server.problems.Problem;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What a page is for, and the same as a card to print. Nothing of the school stands in it. */
@RestController
@RequestMapping("/api/guide")
class GuideController {
    private final Guide guide;
    private final Sentences sentences;

    GuideController(Guide guide, Sentences sentences) {
        this.guide = guide;
        this.sentences = sentences;
    }

    record GuidePage(
            Guide.Card card, String title, String what, List<String> how, List<KeyLine> keys, List<String> signs) {}

    record KeyLine(String key, String does) {}

    /** What the page at an address is for, its keys and its signs. 404 where there is nothing to say. */
    @GetMapping
    @For(anyone = true)
    GuidePage page(@RequestParam(defaultValue = "/") String at) {
        Guide.Page found = guide.of(at, Sentences.spoken(), isPupil())
                .orElseThrow(() -> Problem.notThere("A text about this page"));
        return new GuidePage(
                found.card(),
                found.title(),
                found.what(),
                found.how(),
                found.keys().stream()
                        .map(one -> new KeyLine(one.get(0), one.get(1)))
                        .toList(),
                found.signs());
    }

    /** All pages that somebody needs, as one card to print. */
    @GetMapping(path = "/{card}.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    @For(anyone = true)
    byte[] card(@PathVariable Guide.Card card) {
        String title =
                "Juricast " + sentences.or(card.words(), "card." + card.name().toLowerCase(Locale.ROOT));
        List<Guide.Page> pages = guide.on(card, Sentences.spoken());
        return Paper.portrait(title, title, document -> write(document, title, pages));
    }

    private static boolean isPupil() {
        return SignedIn.calling()
                .filter(one -> one.position() == Position.PUPIL)
                .isPresent();
    }

    private static void write(Document document, String title, List<Guide.Page> pages) {
        document.add(new Paragraph(title, Paper.TITLE));
        for (Guide.Page page : pages) {
            Paragraph about = Paper.line(page.title() + ". ", Paper.STRONG, 1);
            about.setSpacingBefore(6);
            about.addAll(Paper.line(page.what(), Paper.TEXT, 1));
            document.add(about);
            page.how().forEach(one -> document.add(Paper.line("– " + one, Paper.TEXT, 0)));
            if (!page.keys().isEmpty()) {
                document.add(Paper.line(
                        page.keys().stream()
                                .map(one -> one.get(0) + " " + one.get(1))
                                .collect(Collectors.joining(" · ")),
                        Paper.STRONG,
                        1));
            }
            if (!page.signs().isEmpty()) {
                document.add(Paper.line(String.join(" · ", page.signs()), Paper.NOTE, 1));
            }
        }
    }
}
