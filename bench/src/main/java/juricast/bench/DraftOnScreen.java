package juricast.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.RequestOptions;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** From choosing another first day for a draft to its consequences on the screen, in a school of the largest size. */
final class DraftOnScreen {
    private static final int CLASSES = 400;
    private static final int LESSONS = 60_000;
    private static final int TIMES = 20;

    private DraftOnScreen() {}

    static void measure(Path jar) throws IOException, SQLException {
        Path file = Files.createTempDirectory("juricast-bench").resolve("school.db");
        try (RunningJar first = RunningJar.start(jar, file)) {
            System.out.printf(
                    "  demo laid out in %d ms, then enlarged%n",
                    first.startedIn().toMillis());
        }
        enlarge(file);
        try (RunningJar large = RunningJar.start(jar, file);
                Playwright playwright = Playwright.create(
                        new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")))) {
            Browser browser = playwright
                    .chromium()
                    .launch(new BrowserType.LaunchOptions()
                            .setExecutablePath(Path.of("/usr/bin/chromium"))
                            .setArgs(List.of("--no-sandbox", "--disable-gpu", "--disable-background-networking")));
            var context = browser.newContext(new Browser.NewContextOptions().setBaseURL(large.address()));
            context.request().get("/api/standing");
            send(context, "POST", "/api/demo/session/maren-oddlund", "{}");
            for (String rule : List.of("chat.private", "chat.class", "share.screen", "share.draw", "voice.camera")) {
                send(
                        context,
                        "PUT",
                        "/api/rules/school/draft",
                        "{\"rule\":\"%s\",\"role\":\"PUPIL\",\"value\":\"closed\",\"binding\":true,\"when\":\"%s\"}"
                                .formatted(rule, rule.startsWith("chat") ? "visitor-present" : ""));
            }
            Page page = context.newPage();
            page.navigate("/charter");
            page.getByText("planned lessons change").waitFor();
            time(page);
        }
    }

    private static void time(Page page) {
        var taken = new ArrayList<Long>();
        page.locator("[aria-label='From when']").selectOption("day");
        for (int n = 1; n <= TIMES; n++) {
            String day = java.time.LocalDate.now().plusDays(2 + n).toString();
            // Measured in the page, from the choice to the frame after the numbers are there.
            Object milliseconds = page.evaluate(
                    """
                    day => new Promise(done => {
                      const box = document.querySelector('[aria-label="First day"]')
                      const began = performance.now()
                      const watch = new MutationObserver(() => {
                        if (!document.body.innerText.includes('planned lessons change')) return
                        watch.disconnect()
                        requestAnimationFrame(() => done(Math.round(performance.now() - began)))
                      })
                      Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(box, day)
                      box.dispatchEvent(new Event('input', { bubbles: true }))
                      requestAnimationFrame(() => watch.observe(document.body, { childList: true, subtree: true, characterData: true }))
                    })""",
                    day);
            taken.add(((Number) milliseconds).longValue());
        }
        System.out.printf(
                "  %d days tried: median %d ms, slowest %d ms%n",
                TIMES, Figures.median(taken), Figures.percentile(taken, 100));
    }

    private static void send(com.microsoft.playwright.BrowserContext context, String method, String path, String body) {
        String token = context.cookies().stream()
                .filter(cookie -> cookie.name.equals("XSRF-TOKEN"))
                .findFirst()
                .orElseThrow()
                .value;
        var answer = context.request()
                .fetch(
                        path,
                        RequestOptions.create()
                                .setMethod(method)
                                .setHeader("X-XSRF-TOKEN", token)
                                .setHeader("Content-Type", "application/json")
                                .setData(body));
        if (!answer.ok()) {
            throw new IllegalStateException(answer.text());
        }
    }

    /** Adds classes of the demo's pupils and lessons over a year until the school has the promised size. */
    private static void enlarge(Path file) throws SQLException {
        try (Connection database = DriverManager.getConnection("jdbc:sqlite:" + file)) {
            database.setAutoCommit(false);
            int has = number(database, "SELECT count(*) FROM class");
            try (var add = database.prepareStatement(
                            "INSERT INTO class (id, title, year, link_number, join_word) VALUES (?, ?, ?, ?, ?)");
                    var join = database.prepareStatement(
                            "INSERT INTO class_member SELECT ?, id, 'PUPIL', 0, 253402214400000 FROM person WHERE position = 'PUPIL' AND year = ? LIMIT 28")) {
                for (int n = has; n < CLASSES; n++) {
                    add.setString(1, "class-" + n);
                    add.setString(2, "Class " + n);
                    add.setInt(3, 7 + n % 5);
                    add.setInt(4, 1000 + n);
                    add.setString(5, word(n));
                    add.addBatch();
                    join.setString(1, "class-" + n);
                    join.setInt(2, 7 + n % 5);
                    join.addBatch();
                }
                add.executeBatch();
                join.executeBatch();
            }
            List<String> classes = new ArrayList<>();
            try (var found = database.createStatement().executeQuery("SELECT id FROM class ORDER BY id")) {
                while (found.next()) {
                    classes.add(found.getString(1));
                }
            }
            Instant begin = Instant.now().plus(Duration.ofHours(1));
            try (var add = database.prepareStatement(
                    "INSERT INTO lesson (id, class, starts, ends, expected) VALUES (?, ?, ?, ?, ?)")) {
                for (int n = number(database, "SELECT count(*) FROM lesson"); n < LESSONS; n++) {
                    long from = begin.plus(Duration.ofMinutes(8L * n)).toEpochMilli();
                    add.setString(1, "lesson-" + n);
                    add.setString(2, classes.get(n % classes.size()));
                    add.setLong(3, from);
                    add.setLong(4, from + Duration.ofMinutes(50).toMillis());
                    add.setString(5, n % 11 == 0 ? "recording" : "");
                    add.addBatch();
                }
                add.executeBatch();
            }
            database.commit();
        }
    }

    /** A join word of the shape the program makes, other for each class. */
    private static String word(int n) {
        StringBuilder word = new StringBuilder();
        for (int rest = n + 26 * 26 * 26; rest > 0; rest /= 26) {
            word.append((char) ('a' + rest % 26));
        }
        return word + "-bench-" + n;
    }

    private static int number(Connection database, String sql) throws SQLException {
        try (var row = database.createStatement().executeQuery(sql)) {
            return row.getInt(1);
        }
    }
}
