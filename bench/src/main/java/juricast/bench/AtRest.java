package juricast.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.RequestOptions;
import java.nio.file.Path;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What a page that is left open costs the reader's machine: processor time of all processes of the browser, without a graphics card. */
final class AtRest {
    private static final Duration SETTLES = Duration.ofSeconds(8);
    private static final Duration WATCHED = Duration.ofSeconds(60);
    private static final Map<String, String> SCREENS = new LinkedHashMap<>();

    static {
        SCREENS.put("/today", "orla-venn");
        SCREENS.put("/lessons/tidal-navigation-8-1.3-2/desk", "orla-venn");
        SCREENS.put("/corridor", "maren-oddlund");
    }

    private AtRest() {}

    static void measure(String address) {
        SCREENS.forEach((screen, who) -> {
            try (Playwright playwright = Playwright.create(
                    new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")))) {
                Browser browser = playwright
                        .chromium()
                        .launch(new BrowserType.LaunchOptions()
                                .setExecutablePath(Path.of("/usr/bin/chromium"))
                                .setArgs(List.of("--no-sandbox", "--disable-background-networking")));
                watch(browser, address, screen, who);
            }
        });
    }

    private static void watch(Browser browser, String address, String screen, String who) {
        var context = browser.newContext(
                new Browser.NewContextOptions().setBaseURL(address).setViewportSize(1280, 800));
        context.request().get("/api/standing");
        String token = context.cookies().stream()
                .filter(cookie -> cookie.name.equals("XSRF-TOKEN"))
                .findFirst()
                .orElseThrow()
                .value;
        context.request()
                .post(
                        "/api/demo/session/" + who,
                        RequestOptions.create().setHeader("X-XSRF-TOKEN", token).setData("{}"));
        Page page = context.newPage();
        page.navigate(screen);
        page.locator("h1").first().waitFor();
        page.waitForTimeout(SETTLES.toMillis());
        double first = share(page);
        System.out.printf("  %-48s %4.1f %% of a core, in the next minute %4.1f %%%n", screen, first, share(page));
    }

    /** Of a core, in percent, over the next minute. In the demo the first one after its start is when most knock and are let in. */
    private static double share(Page page) {
        Duration before = used();
        page.waitForTimeout(WATCHED.toMillis());
        return 100.0 * used().minus(before).toMillis() / WATCHED.toMillis();
    }

    /** By all processes of the browser that this one started. */
    private static Duration used() {
        return ProcessHandle.current()
                .descendants()
                .filter(one -> one.info()
                        .command()
                        .filter(path -> path.contains("chromium"))
                        .isPresent())
                .map(one -> one.info().totalCpuDuration().orElse(Duration.ZERO))
                .reduce(Duration.ZERO, Duration::plus);
    }
}
