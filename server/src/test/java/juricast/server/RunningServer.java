package juricast.server;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.support.GenericApplicationContext;

/** Starts the real application for a test class: fresh database file, any port, a clock that stands until it is moved. */
public final class RunningServer implements BeforeAllCallback, AfterAllCallback {
    /** Ten past ten on a Monday; the demo's third period began at 09:55. */
    public static final Instant START = Instant.parse("2026-09-14T10:10:00Z");

    private final boolean demo;
    private final AtomicReference<Instant> now = new AtomicReference<>(START);
    private Path file;
    private ConfigurableApplicationContext application;

    private RunningServer(boolean demo) {
        this.demo = demo;
    }

    public static RunningServer empty() {
        return new RunningServer(false);
    }

    public static RunningServer demo() {
        return new RunningServer(true);
    }

    @Override
    public void beforeAll(ExtensionContext context) throws IOException {
        file = Files.createTempDirectory("juricast").resolve("school.db");
        start();
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

    private void start() {
        application = new SpringApplicationBuilder(Juricast.class)
                .initializers(context -> ((GenericApplicationContext) context)
                        .registerBean("testClock", Clock.class, StandingClock::new))
                .run(
                        "--server.port=0",
                        "--juricast.data=" + file,
                        "--juricast.demo=" + demo,
                        "--logging.level.juricast=WARN");
    }

    public void advance(Duration by) {
        now.updateAndGet(before -> before.plus(by));
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

    private String address() {
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
