package juricast.server;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import java.util.stream.Stream;
import juricast.server.data.School;
import juricast.server.lesson.Classroom;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.ApplicationListener;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.support.GenericApplicationContext;
import org.springframework.scheduling.config.ScheduledTaskHolder;

/** Starts the real application for a test class: fresh database file, any port, a clock that stands until it is moved. */
public final class RunningServer implements BeforeAllCallback, AfterAllCallback {
    /** Ten past ten on a Monday; the demo's third period began at 09:55. */
    public static final Instant START = Instant.parse("2026-09-14T10:10:00Z");

    public static final String SETUP_WORD = "amber-kelp-tests";

    /** Where a demo lies that was laid out and stopped; null before anybody needed one. */
    private static Path laidOut;

    private final boolean demo;
    private final List<String> told;
    private final AtomicReference<Instant> now = new AtomicReference<>(START);
    private Path file;
    private ConfigurableApplicationContext application;
    private Consumer<String> atOpening = address -> {};
    private boolean linesHold = true;

    private RunningServer(boolean demo, List<String> told) {
        this.demo = demo;
        this.told = told;
    }

    /** @param told further settings, as on the command line */
    public static RunningServer empty(String... told) {
        return new RunningServer(false, List.of(told));
    }

    public static RunningServer demo(String... told) {
        return new RunningServer(true, List.of(told));
    }

    /** Browsers of tests ask without holding a line open. That is not taken for a lost one, however slow the machine is, unless told. */
    public RunningServer wherePupilsLoseTheirLine() {
        linesHold = false;
        return this;
    }

    /** On a file that is there already. */
    public static RunningServer on(Path file, boolean demo) {
        var server = new RunningServer(demo, List.of());
        server.file = file;
        return server;
    }

    /** Started by the test itself. */
    public static RunningServer onNewFile(String... told) throws IOException {
        var server = new RunningServer(false, List.of(told));
        server.file = newFile();
        return server;
    }

    @Override
    public void beforeAll(ExtensionContext context) throws IOException {
        file = newFile();
        if (demo) {
            copyLaidOut(file);
        }
        start();
    }

    /** The demo's past is played through once, and every class of tests goes on from a copy of what it left. */
    private static synchronized void copyLaidOut(Path file) throws IOException {
        if (laidOut == null) {
            RunningServer first = on(newFile(), true);
            first.start();
            // What is worked out of lessons that are over takes seconds: it is there for all.
            first.bean(ScheduledTaskHolder.class).getScheduledTasks().stream()
                    .map(task -> task.getTask().getRunnable())
                    .filter(work -> work.toString().endsWith(".goThrough"))
                    .forEach(Runnable::run);
            first.stop();
            laidOut = first.file.getParent();
        }
        try (Stream<Path> left = Files.list(laidOut)) {
            for (Path one : left.toList()) {
                Files.copy(one, file.resolveSibling(one.getFileName()), StandardCopyOption.REPLACE_EXISTING);
            }
        }
    }

    public static Path newFile() throws IOException {
        return Files.createTempDirectory("juricast").resolve("school.db");
    }

    @Override
    public void afterAll(ExtensionContext context) {
        application.close();
    }

    /** Stops and starts again on the same file. */
    public void restart() {
        application.close();
        start();
    }

    /** @param asTheDoorsOpen what somebody does who has waited for the server to answer at all, with its address */
    public void restart(Consumer<String> asTheDoorsOpen) {
        atOpening = asTheDoorsOpen;
        restart();
        atOpening = address -> {};
    }

    public void stop() {
        application.close();
    }

    public void start() {
        var words = new ArrayList<>(List.of(
                "--server.port=0",
                "--juricast.data=" + file,
                "--juricast.demo=" + demo,
                "--juricast.setup-word=" + SETUP_WORD,
                "--juricast.metrics-token=a-token",
                "--logging.level.juricast=WARN"));
        words.addAll(told);
        application = new SpringApplicationBuilder(Juricast.class)
                .initializers(context -> {
                    var beans = (GenericApplicationContext) context;
                    beans.registerBean("testClock", Clock.class, StandingClock::new);
                    if (linesHold) {
                        beans.registerBean("testLines", Classroom.class, () -> visit -> true);
                    }
                })
                .listeners((ApplicationListener<WebServerInitializedEvent>) opened -> atOpening.accept(
                        "http://localhost:" + opened.getWebServer().getPort()))
                .run(words.toArray(String[]::new));
    }

    public void advance(Duration by) {
        now.updateAndGet(before -> before.plus(by));
    }

    public Instant now() {
        return now.get();
    }

    /** The day at the school. */
    public LocalDate today() {
        return bean(School.class).date(now());
    }

    public <T> ObjectProvider<T> provider(Class<T> type) {
        return application.getBeanProvider(type);
    }

    public <T> T bean(Class<T> type) {
        return application.getBean(type);
    }

    public Path file() {
        return file;
    }

    /** A browser without cookies. */
    public TestBrowser browser() {
        return new TestBrowser(address());
    }

    /** A browser that was open before a restart. */
    public TestBrowser stillOpen(TestBrowser before) {
        return before.movedTo(address());
    }

    /** The same request many times, always without the cookie that tells a device. @return how often each status came back */
    public Map<Integer, Integer> flood(String path, String body, int times) {
        var statuses = new ConcurrentHashMap<Integer, Integer>();
        var client =
                HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();
        HttpRequest request = HttpRequest.newBuilder(URI.create(address() + path))
                .header("Content-Type", "application/json")
                .header("Cookie", "XSRF-TOKEN=none")
                .header("X-XSRF-TOKEN", "none")
                .POST(HttpRequest.BodyPublishers.ofString(body))
                .build();
        for (int done = 0; done < times; done += 50) {
            CompletableFuture.allOf(Stream.generate(() -> client.sendAsync(request, BodyHandlers.discarding())
                                    .thenAccept(answer -> statuses.merge(answer.statusCode(), 1, Integer::sum)))
                            .limit(50)
                            .toArray(CompletableFuture[]::new))
                    .join();
        }
        return statuses;
    }

    public String address() {
        return "http://localhost:" + application.getEnvironment().getProperty("local.server.port");
    }

    /** A browser of somebody of the demo, signed in. */
    public TestBrowser signedIn(String id) {
        TestBrowser browser = browser();
        browser.post("/api/demo/session/" + id, "{}");
        return browser;
    }

    private final class StandingClock extends Clock {
        @Override
        public Instant instant() {
            return now.get();
        }

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }
    }
}
