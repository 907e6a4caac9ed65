package juricast.bench;

import java.io.File;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Time from starting the process to the first useful answer, beside a bare application with the same libraries for web, security
 * and JDBC: in turn, so that all of them have the same machine.
 */
final class StartUp {
    private static final int TIMES = 5;
    private static final HttpClient CLIENT = HttpClient.newHttpClient();
    /** Of all libraries, those that a bare application with web, security and JDBC has. */
    private static final List<String> BARE = List.of(
            "spring-",
            "tomcat-",
            "jackson-",
            "logback-",
            "slf4j-",
            "jul-to",
            "log4j-",
            "Hikari",
            "sqlite-",
            "micrometer-commons",
            "micrometer-observation",
            "snakeyaml-",
            "jakarta.annotation",
            "commons-logging",
            "jspecify-");

    private StartUp() {}

    static void measure(Path jar) throws IOException {
        var bare = new ArrayList<Long>();
        var empty = new ArrayList<Long>();
        var fresh = new ArrayList<Long>();
        var again = new ArrayList<Long>();
        for (int i = 0; i < TIMES; i++) {
            bare.add(startOf(bare(), "/bare"));
            Path school = Files.createTempDirectory("juricast-bench").resolve("school.db");
            empty.add(startOf(
                    Stream.concat(RunningJar.java(jar).stream(), Stream.of("--juricast.data=" + school))
                            .toList(),
                    "/api/standing"));
            Path file;
            try (RunningJar running = RunningJar.start(jar)) {
                fresh.add(running.startedIn().toMillis());
                file = running.file();
            }
            try (RunningJar running = RunningJar.start(jar, file)) {
                again.add(running.startedIn().toMillis());
            }
        }
        System.out.printf("  a bare application: median %d ms of %s%n", Figures.median(bare), bare);
        say("an empty school:   ", empty, bare);
        say("demo laid out anew:", fresh, bare);
        say("existing data:     ", again, bare);
    }

    private static void say(String what, List<Long> took, List<Long> bare) {
        System.out.printf(
                "  %s median %d ms, %.2f times the bare one, of %s%n",
                what, Figures.median(took), (double) Figures.median(took) / Figures.median(bare), took);
    }

    private static List<String> bare() {
        String libraries = Arrays.stream(System.getProperty("java.class.path").split(File.pathSeparator))
                .filter(entry -> BARE.stream()
                        .anyMatch(one -> Path.of(entry).getFileName().toString().startsWith(one)))
                .filter(entry -> !entry.contains("flyway") && !entry.contains("springdoc"))
                .collect(Collectors.joining(File.pathSeparator));
        String own = Arrays.stream(System.getProperty("java.class.path").split(File.pathSeparator))
                .filter(entry -> entry.endsWith("bench/target/classes"))
                .findFirst()
                .orElseThrow();
        return List.of(
                "java",
                "-cp",
                own + File.pathSeparator + libraries,
                "juricast.bench.bare.BareApplication",
                "--spring.datasource.url=jdbc:sqlite::memory:");
    }

    /** Milliseconds until it answers. */
    private static long startOf(List<String> command, String path) throws IOException {
        int port = RunningJar.freePort();
        URI address = URI.create("http://localhost:" + port + path);
        Instant began = Instant.now();
        Process process = RunningJar.started(
                Stream.concat(command.stream(), Stream.of("--server.port=" + port))
                        .toList(),
                () -> answers(address));
        long took = Duration.between(began, Instant.now()).toMillis();
        process.destroyForcibly();
        process.onExit().join();
        return took;
    }

    private static boolean answers(URI address) {
        try {
            return CLIENT.send(HttpRequest.newBuilder(address).build(), HttpResponse.BodyHandlers.discarding())
                            .statusCode()
                    == 200;
        } catch (IOException notYet) {
            return false;
        } catch (InterruptedException stopped) {
            throw new IllegalStateException(stopped);
        }
    }
}
