package juricast.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import juricast.server.Juricast;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.support.GenericApplicationContext;
import org.springframework.scheduling.config.ScheduledTaskHolder;

/** The real application on a fresh database and a clock of its own, with a browser to drive it. */
final class RunningSchool implements AutoCloseable {
    /** Monday 14 September 2026, 10:17 in Halvorn, which then lies in UTC. */
    static final Instant MONDAY = Instant.parse("2026-09-14T10:17:00Z");

    /** Shows that whoever founds the school is at the machine. */
    static final String SETUP_WORD = "lamp-oil-and-rope";

    /** Where a demo lies that was laid out and stopped; null before anybody needed one. */
    private static Path laidOut;

    private final SteppingClock clock;
    private final ConfigurableApplicationContext application;
    private final Playwright playwright;
    private final Browser browser;

    private RunningSchool(Path file, boolean demo) {
        clock = new SteppingClock(MONDAY);
        application = started(clock, file, demo);
        playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        browser = launch(playwright);
        // On a busy machine a page may take its time; what should happen is waited for, not raced.
        PlaywrightAssertions.setDefaultAssertionTimeout(45_000);
    }

    private static ConfigurableApplicationContext started(Clock clock, Path file, boolean demo) {
        return new SpringApplicationBuilder(Juricast.class)
                .initializers(context ->
                        ((GenericApplicationContext) context).registerBean("clock", Clock.class, () -> clock))
                .run(
                        "--server.port=0",
                        "--juricast.data=" + file,
                        "--juricast.demo=" + demo,
                        "--juricast.setup-word=" + SETUP_WORD,
                        "--spring.main.allow-bean-definition-overriding=false",
                        "--logging.level.root=WARN");
    }

    /** The demo's past is played through once, and every class of tests goes on from a copy of what it left. */
    private static synchronized void copyLaidOut(Path file) {
        try {
            if (laidOut == null) {
                Path first = newFile();
                ConfigurableApplicationContext school = started(new SteppingClock(MONDAY), first, true);
                // What is worked out of lessons that are over takes seconds: it is there for all.
                school.getBean(ScheduledTaskHolder.class).getScheduledTasks().stream()
                        .map(task -> task.getTask().getRunnable())
                        .filter(work -> work.toString().endsWith(".goThrough"))
                        .forEach(Runnable::run);
                school.close();
                laidOut = first.getParent();
            }
            try (Stream<Path> left = Files.list(laidOut)) {
                for (Path one : left.toList()) {
                    Files.copy(one, file.resolveSibling(one.getFileName()));
                }
            }
        } catch (IOException noDisk) {
            throw new UncheckedIOException(noDisk);
        }
    }

    static RunningSchool empty() {
        return new RunningSchool(newFile(), false);
    }

    static RunningSchool demo() {
        Path file = newFile();
        copyLaidOut(file);
        return new RunningSchool(file, true);
    }

    /** As at the first start, when the recorder still records what it has recorded. */
    static RunningSchool demoLaidOutAnew() {
        return new RunningSchool(newFile(), true);
    }

    static Browser launch(Playwright playwright) {
        return playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setArgs(List.of(
                                "--no-sandbox",
                                "--disable-gpu",
                                "--disable-quic",
                                "--disable-background-networking",
                                "--disable-component-update",
                                "--no-first-run")));
    }

    SteppingClock clock() {
        return clock;
    }

    String address() {
        return "http://localhost:" + application.getEnvironment().getProperty("local.server.port");
    }

    /** A browser of somebody else: own cookies, own window. */
    Page newBrowser() {
        return newBrowser(1280, 800, ColorScheme.LIGHT);
    }

    Page newBrowser(int width, int height, ColorScheme scheme) {
        return newPage(
                new Browser.NewContextOptions().setViewportSize(width, height).setColorScheme(scheme));
    }

    /** A tablet held sideways: fingers, no keyboard. */
    Page newTablet() {
        return newPage(new Browser.NewContextOptions()
                .setViewportSize(1024, 768)
                .setHasTouch(true)
                .setIsMobile(true));
    }

    private Page newPage(Browser.NewContextOptions options) {
        BrowserContext context = browser.newContext(
                options.setBaseURL(address()).setPermissions(List.of("clipboard-read", "clipboard-write")));
        context.setDefaultTimeout(45_000);
        return context.newPage();
    }

    private static Path newFile() {
        try {
            return Files.createTempDirectory("juricast").resolve("school.db");
        } catch (IOException noDisk) {
            throw new UncheckedIOException(noDisk);
        }
    }

    @Override
    public void close() {
        LastSeen.keep(browser);
        browser.close();
        playwright.close();
        application.close();
    }
}
