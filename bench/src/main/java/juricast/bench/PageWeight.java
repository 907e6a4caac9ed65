package juricast.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.Request;
import com.microsoft.playwright.options.RequestOptions;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentLinkedQueue;

/** Bytes over the line for each screen with an empty cache, as compressed as they travel. */
final class PageWeight {
    private static final Map<String, String> SCREENS = new LinkedHashMap<>();

    static {
        SCREENS.put("/sign-in", "");
        SCREENS.put("/today", "orla-venn");
        SCREENS.put("/classes/tidal-navigation-8", "orla-venn");
        SCREENS.put("/charter", "maren-oddlund");
        SCREENS.put("/lessons/tidal-navigation-8-1.3-2/desk", "orla-venn");
        SCREENS.put("/lessons/seabird-ecology-8-1.1-2/register", "orla-venn");
    }

    private PageWeight() {}

    static void measure(String address) {
        try (Playwright playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")))) {
            Browser browser = playwright
                    .chromium()
                    .launch(new BrowserType.LaunchOptions()
                            .setExecutablePath(Path.of("/usr/bin/chromium"))
                            .setArgs(List.of("--no-sandbox", "--disable-gpu", "--disable-background-networking")));
            SCREENS.forEach((screen, who) -> weigh(signedIn(browser, address, who), screen, screen));
            weighThePupilsWay(browser, address);
            weighAgain(signedIn(browser, address, "ciro-vance"), "pupil's today, the second time", "/today");
        }
    }

    /** A pupil's way: own page, doorstep, and the seat while it waits, which is the same page as inside. */
    private static void weighThePupilsWay(Browser browser, String address) {
        var context = signedIn(browser, address, "ciro-vance");
        String day = context.request().get("/api/my-day").text();
        String door = day.replaceAll("(?s).*\"joinPath\":\"([^\"]+)\".*", "$1");
        String knocked = post(
                context,
                door.replace("/join/", "/api/doorsteps/") + "/knock",
                "{\"name\":\"Ciro Vance\",\"agreed\":true}");
        String seat = "/seat/" + knocked.replaceAll("(?s).*\"visit\":\"([^\"]+)\".*", "$1");
        weigh(context, "pupil's today", "/today");
        weigh(signedIn(browser, address, "farah-tolland"), "doorstep", door);
        weigh(signedInAs(context, browser, address), "seat", seat);
    }

    /** The same person on the same device, with an empty cache. */
    private static BrowserContext signedInAs(BrowserContext before, Browser browser, String address) {
        var again = browser.newContext(new Browser.NewContextOptions().setBaseURL(address));
        again.addCookies(before.cookies());
        return again;
    }

    private static BrowserContext signedIn(Browser browser, String address, String who) {
        var context = browser.newContext(new Browser.NewContextOptions().setBaseURL(address));
        if (!who.isEmpty()) {
            context.request().get("/api/standing");
            post(context, "/api/demo/session/" + who, "{}");
        }
        return context;
    }

    private static String post(BrowserContext context, String path, String body) {
        String token = context.cookies().stream()
                .filter(cookie -> cookie.name.equals("XSRF-TOKEN"))
                .findFirst()
                .orElseThrow()
                .value;
        return context.request()
                .post(
                        path,
                        RequestOptions.create()
                                .setHeader("X-XSRF-TOKEN", token)
                                .setHeader("Content-Type", "application/json")
                                .setData(body))
                .text();
    }

    /** A later visit: what was fetched before is in the cache. */
    private static void weighAgain(BrowserContext context, String name, String screen) {
        Page before = context.newPage();
        before.navigate(screen);
        before.locator("h1").first().waitFor();
        before.evaluate("document.fonts.ready");
        weigh(context, name, screen);
    }

    private static void weigh(BrowserContext context, String name, String screen) {
        Page page = context.newPage();
        var finished = new ConcurrentLinkedQueue<Request>();
        page.onRequestFinished(finished::add);
        page.navigate(screen);
        page.locator("h1").first().waitFor();
        page.evaluate("document.fonts.ready");
        long all = 0;
        long fonts = 0;
        for (Request request : finished) {
            // What comes from the cache is told as less than nothing.
            long size = Math.max(0, request.sizes().responseBodySize);
            all += size;
            fonts += request.url().endsWith(".woff2") ? size : 0;
        }
        System.out.printf("  %-48s %4d kB, of which fonts %d kB%n", name, all / 1000, fonts / 1000);
        page.close();
    }
}
