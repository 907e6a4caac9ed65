package juricast.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.PlaywrightException;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** What every browser showed when a test ended, kept in {@code target/last-seen}, a folder for each process of tests: a failure is seldom understood without. */
final class LastSeen {
    private LastSeen() {}

    static void keep(Browser browser) {
        List<Page> pages = browser.contexts().stream()
                .flatMap(context -> context.pages().stream())
                .toList();
        for (int i = 0; i < pages.size(); i++) {
            keep(pages.get(i), "browser-" + (i + 1));
        }
    }

    private static void keep(Page page, String name) {
        try {
            Path folder =
                    Files.createDirectories(Path.of("target/last-seen", System.getProperty("juricast.fork", "1")));
            Files.writeString(folder.resolve(name + ".txt"), page.url() + "\n" + page.innerText("body"));
            page.screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(name + ".png")));
        } catch (PlaywrightException closed) {
            // A page that is gone shows nothing.
        } catch (IOException noDisk) {
            throw new UncheckedIOException(noDisk);
        }
    }
}
