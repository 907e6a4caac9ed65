package juricast.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** Asks axe whether everybody can use a page as it stands, also with a hand that trembles. */
final class Accessibility {
    private static final String AXE = read(Path.of("../web/node_modules/axe-core/axe.min.js"));
    /** With targets of 24 pixels (WCAG 2.2, 2.5.8), except where the page says that the same can be done by a large control. */
    private static final String RUN =
            """
            async () => {
              const found = await axe.run(document, { resultTypes: ['violations'], rules: { 'target-size': { enabled: true } } })
              const large = n => document.querySelector(n.target[0])?.closest('[data-large-elsewhere]')
              return found.violations
                  .map(v => ({ id: v.id, nodes: v.id === 'target-size' ? v.nodes.filter(n => !large(n)) : v.nodes }))
                  .filter(v => v.nodes.length)
                  .map(v => v.id + ': ' + v.nodes.map(n => n.html.slice(0, 160)).slice(0, 3).join(' | ')).join('\\n')
            }""";

    private Accessibility() {}

    /** Waits for the page's heading first: before it, there is only the word that something is being fetched. */
    static void check(Page page) {
        page.locator("h1").first().waitFor();
        page.evaluate(AXE);
        assertThat(page.evaluate(RUN)).as("axe on %s", page.url()).isEqualTo("");
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException missing) {
            throw new UncheckedIOException("Run npm ci in web first", missing);
        }
    }
}
