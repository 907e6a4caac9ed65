package juricast.bench;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.BooleanSupplier;
import java.util.regex.Pattern;

/** The packaged application with demo data, in a process of its own. */
record RunningJar(Process process, int port, Path file, Duration startedIn) implements AutoCloseable {
    private static final HttpClient CLIENT = HttpClient.newHttpClient();

    static RunningJar start(Path jar) throws IOException {
        return start(jar, Files.createTempDirectory("juricast-bench").resolve("school.db"));
    }

    static RunningJar start(Path jar, Path file) throws IOException {
        return start(jar, file, freePort());
    }

    /** On a port of its own, as after a restart. */
    static RunningJar start(Path jar, Path file, int port) throws IOException {
        Instant began = Instant.now();
        var command = new ArrayList<>(java(jar));
        command.addAll(List.of("--server.port=" + port, "--juricast.demo=true", "--juricast.data=" + file));
        Process process = started(command, () -> isReady(address(port)));
        return new RunningJar(process, port, file, Duration.between(began, Instant.now()));
    }

    /** A process that is ready. */
    static Process started(List<String> command, BooleanSupplier isReady) throws IOException {
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        while (!isReady.getAsBoolean()) {
            if (!process.isAlive()) {
                throw new IllegalStateException("It did not start: " + String.join(" ", command));
            }
            pause(); // asking without a pause would slow down what is measured
        }
        return process;
    }

    /** How the one command starts it: with its options, and with the classes that were put ready when it was built. */
    static List<String> java(Path jar) {
        Path options = jar;
        while (!Files.exists(options.resolveSibling("java.options"))) {
            options = options.getParent();
        }
        var command = new ArrayList<>(List.of("java", "@" + options.resolveSibling("java.options")));
        Path classes = jar.resolveSibling("classes.jsa");
        if (Files.exists(classes)) {
            command.add("-XX:SharedArchiveFile=" + classes);
        }
        // Such as a recording of where its time goes; nothing for a measurement.
        command.addAll(Arrays.stream(System.getProperty("bench.java", "").split(" "))
                .filter(option -> !option.isEmpty())
                .toList());
        command.addAll(List.of("-jar", jar.toString()));
        return command;
    }

    String address() {
        return address(port);
    }

    private static String address(int port) {
        return "http://localhost:" + port;
    }

    private static boolean isReady(String address) {
        try {
            return CLIENT.send(
                                    HttpRequest.newBuilder(URI.create(address + "/api/demo/people"))
                                            .build(),
                                    HttpResponse.BodyHandlers.ofString())
                            .body()
                            .length()
                    > 1000;
        } catch (IOException notYet) {
            return false;
        } catch (InterruptedException stopped) {
            throw new IllegalStateException(stopped);
        }
    }

    private static void pause() {
        try {
            java.util.concurrent.TimeUnit.MILLISECONDS.sleep(50);
        } catch (InterruptedException stopped) {
            throw new IllegalStateException(stopped);
        }
    }

    /** Waits until both the application and the load tool rest: their compilers are done with what the warm-up has shown them. */
    void rest() {
        for (int n = 0; n < 60; n++) { // at most a minute
            Duration before = used().plus(used(ProcessHandle.current()));
            for (int m = 0; m < 20; m++) {
                pause();
            }
            if (used().plus(used(ProcessHandle.current())).minus(before).toMillis() < 120) {
                return;
            }
        }
    }

    /** Time that the application has used of the cores. */
    Duration used() {
        return used(process.toHandle());
    }

    static Duration used(ProcessHandle process) {
        return process.info().totalCpuDuration().orElseThrow();
    }

    /** Megabytes of the heap in use after a collection. */
    long heap() throws IOException, InterruptedException {
        jcmd("GC.run");
        // Each generation of the heap on a line of its own.
        return Pattern.compile("total \\d+K, used (\\d+)K")
                        .matcher(jcmd("GC.heap_info"))
                        .results()
                        .mapToLong(generation -> Long.parseLong(generation.group(1)))
                        .sum()
                / 1024;
    }

    private String jcmd(String command) throws IOException, InterruptedException {
        Path tool = Path.of(System.getProperty("java.home"), "bin", "jcmd");
        Process asked = new ProcessBuilder(tool.toString(), Long.toString(process.pid()), command).start();
        String answer = new String(asked.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        asked.waitFor();
        return answer;
    }

    /** Megabytes of the machine's memory that the process holds. */
    long resident() throws IOException {
        return Files.readAllLines(Path.of("/proc", Long.toString(process.pid()), "status")).stream()
                .filter(line -> line.startsWith("VmRSS"))
                .mapToLong(line -> Long.parseLong(line.replaceAll("\\D", "")) / 1024)
                .findFirst()
                .orElse(0);
    }

    static int freePort() throws IOException {
        try (ServerSocket any = new ServerSocket(0)) {
            return any.getLocalPort();
        }
    }

    @Override
    public void close() {
        process.destroyForcibly();
        process.onExit().join();
    }
}
