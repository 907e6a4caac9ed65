package juricast.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;

/** A page of the board with 5,000 marks: from the press that opens it until all of them are on the screen; and one more mark. */
final class FullBoard {
    private static final String LESSON = "/api/lessons/harbour-law-10-1.3-2";
    private static final int MARKS = 4980; // some are drawn by the demo
    private static final int POINTS = 24;
    private static final int TIMES = 11;

    private FullBoard() {}

    static void measure(Path jar) throws Exception {
        try (RunningJar demo = RunningJar.start(jar);
                Playwright playwright = Playwright.create(
                        new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")))) {
            var pernel = new AsPerson(demo, "pernel-ost");
            pernel.follow(LESSON + "/desk/stream");
            fill(pernel);
            Browser browser = playwright
                    .chromium()
                    .launch(new BrowserType.LaunchOptions()
                            .setExecutablePath(Path.of("/usr/bin/chromium"))
                            .setArgs(List.of("--no-sandbox", "--disable-gpu", "--disable-background-networking")));
            Page page = browser.newContext(new Browser.NewContextOptions().setBaseURL(demo.address()))
                    .newPage();
            page.setViewportSize(1280, 800);
            page.navigate("/sign-in");
            page.getByLabel("Find a person").fill("Pernel Ost");
            page.getByText("Pernel Ost").first().click();
            page.waitForURL("**/today");
            page.navigate(LESSON.substring(4) + "/desk");
            page.getByText("Drawn here")
                    .or(page.getByText("Class list"))
                    .first()
                    .waitFor();
            var opened = new ArrayList<Long>();
            for (int i = 0; i < TIMES; i++) {
                page.keyboard().press("l");
                page.locator("svg[aria-label^='Board']")
                        .waitFor(new com.microsoft.playwright.Locator.WaitForOptions()
                                .setState(com.microsoft.playwright.options.WaitForSelectorState.DETACHED));
                opened.add(open(page));
            }
            Figures.print("from the press to all marks on the screen", opened.subList(1, TIMES));
            Figures.print("of that, the sheet on its way", onItsWay(page));
        }
    }

    /** Measured in the page, to the frame after the last mark is there. */
    private static long open(Page page) {
        return ((Number)
                        page.evaluate(
                                """
                        () => new Promise(done => {
                          const began = performance.now()
                          const look = () => {
                            const board = document.querySelector("svg[aria-label^='Board']")
                            if (board && board.children.length >= 4980) {
                              requestAnimationFrame(() => setTimeout(() => done(Math.round((performance.now() - began) * 1000))))
                            } else requestAnimationFrame(look)
                          }
                          document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'p', bubbles: true }))
                          look()
                        })"""))
                .longValue();
    }

    @SuppressWarnings("unchecked") // a list of numbers is what the page gives
    private static List<Long> onItsWay(Page page) {
        return ((List<Number>) page.evaluate(
                        "() => performance.getEntriesByType('resource').filter(one => one.name.includes('/board?'))"
                                + ".map(one => Math.round(one.duration * 1000))"))
                .stream().map(Number::longValue).toList();
    }

    private static void fill(AsPerson pernel) throws Exception {
        var random = new Random(7);
        for (int i = 0; i < MARKS; i++) {
            var points = new StringBuilder();
            int x = random.nextInt(800);
            int y = random.nextInt(800);
            for (int p = 0; p < POINTS; p++) {
                points.append(p == 0 ? "" : ",").append(x + p * 4).append(',').append(y + random.nextInt(60));
            }
            pernel.send(
                    "POST",
                    LESSON + "/board/marks",
                    "{\"page\":0,\"drawing\":{\"shape\":\"PEN\",\"ink\":\"INK\",\"width\":1,\"points\":[%s]}}"
                            .formatted(points));
        }
    }
}
