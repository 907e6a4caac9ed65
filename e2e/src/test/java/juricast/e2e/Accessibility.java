package juricast.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.ElementHandle;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;

/** Asks axe whether everybody can use a page as it stands, also with a hand that trembles. */
final class Accessibility {
    private static final String AXE = read(Path.of("../web/node_modules/axe-core/axe.min.js"));
    /** With targets of 24 pixels (WCAG 2.2, 2.5.8), except where the page says that the same can be done by a large control. */
    private static final String RUN =
            """
            async within => {
              const found = await axe.run(within ?? document, { resultTypes: ['violations'], rules: { 'target-size': { enabled: true } } })
              const large = n => document.querySelector(n.target[0])?.closest('[data-large-elsewhere]')
              return found.violations
                  .map(v => ({ id: v.id, nodes: v.id === 'target-size' ? v.nodes.filter(n => !large(n)) : v.nodes }))
                  .filter(v => v.nodes.length)
                  .map(v => v.id + ': ' + v.nodes.map(n => n.html.slice(0, 160)).slice(0, 3).join(' | ')).join('\\n')
            }""";

    /** Colours alone, when those of the other half of the day have come. */
    private static final String CONTRAST =
            """
            async () => {
              const brief = document.getAnimations().filter(one => one.effect.getTiming().iterations !== Infinity)
              await Promise.allSettled(brief.map(one => one.finished))
              const found = await axe.run(document, { runOnly: ['color-contrast'] })
              return found.violations.flatMap(v => v.nodes).map(n => n.html.slice(0, 160)).slice(0, 5).join(' | ')
            }""";

    private Accessibility() {}

    /** Waits for the page's heading first: before it, there is only the word that something is being fetched. */
    static void check(Page page) {
        page.locator("h1").first().waitFor();
        check(page, null);
    }

    /** @param within asks about this alone, as what is behind it cannot be used meanwhile; null for all */
    private static void check(Page page, @Nullable ElementHandle within) {
        page.evaluate(AXE);
        assertThat(page.evaluate(RUN, within)).as("axe on %s", page.url()).isEqualTo("");
    }

    /** Whether everything can be read also by night, or by day where it was night. The page was checked before. */
    static void checkColoursTurned(Page page) {
        boolean isDark = (boolean) page.evaluate("matchMedia('(prefers-color-scheme: dark)').matches");
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(isDark ? ColorScheme.LIGHT : ColorScheme.DARK));
        page.waitForFunction("dark => document.documentElement.classList.contains('dark') === dark", !isDark);
        assertThat(page.evaluate(CONTRAST))
                .as("colours turned on %s", page.url())
                .isEqualTo("");
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(isDark ? ColorScheme.DARK : ColorScheme.LIGHT));
    }

    /** The same of a sheet or a menu that was just opened; then it is closed by the key that closes all of them. */
    static void checkOpened(Page page) {
        Locator over = page.getByRole(AriaRole.DIALOG)
                .or(page.getByRole(AriaRole.MENU))
                .first();
        over.waitFor();
        // While it appears it counts as not there.
        over.evaluate("one => Promise.all(one.getAnimations({ subtree: true }).map(move => move.finished))");
        check(page, over.elementHandle());
        page.keyboard().press("Escape");
        over.waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.HIDDEN));
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException missing) {
            throw new UncheckedIOException("Run npm ci in web first", missing);
        }
    }
}
