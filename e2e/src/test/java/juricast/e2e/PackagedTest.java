package juricast.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.net.HttpURLConnection;
import java.net.ServerSocket;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/**
 * The program as it is packaged. It is killed in the middle of a lesson: what was acknowledged is there, and browsers come back by
 * themselves. It goes back to a backup: by itself too, and with nothing that was said since.
 */
class PackagedTest {
    private static final String APPLICATION = "../server/target/server-0.1.0-app.jar";

    @Test
    void a_killed_process_loses_nothing_that_was_acknowledged_and_browsers_reconnect() throws Exception {
        Path file = Files.createTempDirectory("juricast").resolve("school.db");
        int port = freePort();
        Process first = start(file, port);
        try (Playwright playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")))) {
            Browser browser = RunningSchool.launch(playwright);
            String address = "http://localhost:" + port;
            Screen corvin = demoPerson(browser, address, "corvin-hale");
            Screen pupil = demoPerson(browser, address, "ines-carrow");
            corvin.open("/lessons/weather-lab-9-1.3-2/desk");
            // The class is in groups, and some are on the way into others when the power goes.
            corvin.text("in 6 groups").waitFor();
            corvin.page.keyboard().press("g");
            corvin.exactly("Come out").waitFor();
            String where = corvin.page.getByRole(AriaRole.TABLE).textContent();
            says(corvin, "written before the power went");
            corvin.page.keyboard().press("d");
            assertThat(corvin.exactly("shut")).hasAttribute("aria-pressed", "true");
            pupil.open("/today");
            pupil.text("Go to the door").click();
            pupil.agree().button("Knock").click();
            pupil.text("You are at the door").waitFor();

            first.destroyForcibly().waitFor();
            assertThat(corvin.text("No connection. Trying again…")).isVisible();
            Process second = start(file, port);
            try {
                assertThat(corvin.text("No connection. Trying again…")).not().isVisible();
                assertThat(corvin.text("written before the power went")).isVisible();
                assertThat(corvin.exactly("shut")).hasAttribute("aria-pressed", "true");
                assertThat(pupil.text("You are at the door")).isVisible();
                assertThat(corvin.exactly("Come out")).isVisible();
                Assertions.assertThat(where).contains("Corvin Hale is here");
                assertThat(corvin.page.getByRole(AriaRole.TABLE)).containsText("Corvin Hale is here");
                assertThat(corvin.text("25 in 6 groups")).isVisible();
                // The line works in both directions again, without a reload or a new sign-in.
                corvin.exactly("knock").click();
                assertThat(corvin.exactly("knock")).hasAttribute("aria-pressed", "true");
                corvin.page.reload();
                assertThat(corvin.text("written before the power went")).isVisible();
                Assertions.assertThat(second.isAlive()).isTrue();
            } finally {
                second.destroyForcibly().waitFor();
            }
        } finally {
            first.destroyForcibly();
        }
    }

    @Test
    void a_running_program_takes_a_backup_back_and_desks_show_what_was_said_until_then() throws Exception {
        Path file = Files.createTempDirectory("juricast").resolve("school.db");
        Path backup = file.resolveSibling("backup.db");
        int port = freePort();
        Process running = start(file, port);
        try (Playwright playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")))) {
            Screen corvin = demoPerson(RunningSchool.launch(playwright), "http://localhost:" + port, "corvin-hale");
            corvin.open("/lessons/weather-lab-9-1.3-2/desk");
            says(corvin, "said before the backup");
            command(file, "backup", backup);
            says(corvin, "said after the backup");

            command(file, "restore", backup);

            Assertions.assertThat(running.isAlive())
                    .as("it goes on in the same process")
                    .isTrue();
            assertThat(corvin.text("No connection. Trying again…")).not().isVisible();
            corvin.page.reload();
            assertThat(corvin.text("said before the backup")).isVisible();
            assertThat(corvin.text("said after the backup")).not().isVisible();
            says(corvin, "and it goes on");
        } finally {
            running.destroyForcibly().waitFor();
        }
    }

    private static void says(Screen screen, String words) {
        screen.text("in 6 groups").waitFor();
        screen.page.keyboard().press("w");
        screen.page.keyboard().type(words);
        screen.page.keyboard().press("Enter");
        screen.text(words).waitFor();
        screen.page.keyboard().press("Escape");
    }

    private static void command(Path school, String what, Path file) throws Exception {
        Process command = new ProcessBuilder(
                        "java", "-jar", APPLICATION, what, file.toString(), "--juricast.data=" + school)
                .inheritIO()
                .start();
        Assertions.assertThat(command.waitFor()).as(what).isZero();
    }

    private static Screen demoPerson(Browser browser, String address, String id) {
        Page page = browser.newContext(new Browser.NewContextOptions().setBaseURL(address))
                .newPage();
        page.setDefaultTimeout(60_000);
        Screen screen = new Screen(page);
        screen.open("/sign-in");
        screen.field("Find a person").fill(id.replace('-', ' '));
        page.getByText(id.replace('-', ' '), new Page.GetByTextOptions())
                .first()
                .click();
        page.waitForURL("**/today");
        return screen;
    }

    private static Process start(Path file, int port) throws Exception {
        Process process = new ProcessBuilder(
                        "java",
                        "@../server/java.options",
                        "-jar",
                        APPLICATION,
                        "--server.port=" + port,
                        "--juricast.demo=true",
                        "--juricast.data=" + file)
                .redirectErrorStream(true)
                .redirectOutput(
                        file.resolveSibling("log-" + System.nanoTime() + ".txt").toFile())
                .start();
        long deadline = System.nanoTime() + 180_000_000_000L;
        while (!answers(port)) {
            if (!process.isAlive() || System.nanoTime() > deadline) {
                throw new IllegalStateException("The application did not start; see " + file.getParent());
            }
            // Asked now and then: the cores are for what starts.
            Thread.sleep(100);
        }
        return process;
    }

    /** Ready when the demo has been laid out: the sign-in page then has people. */
    private static boolean answers(int port) {
        try {
            var line = (HttpURLConnection) URI.create("http://localhost:" + port + "/api/demo/people")
                    .toURL()
                    .openConnection();
            return line.getResponseCode() == 200 && line.getInputStream().readAllBytes().length > 1000;
        } catch (IOException notYet) {
            return false;
        }
    }

    private static int freePort() throws IOException {
        try (ServerSocket any = new ServerSocket(0)) {
            return any.getLocalPort();
        }
    }
}
