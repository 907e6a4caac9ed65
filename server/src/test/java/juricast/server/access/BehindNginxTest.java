package juricast.server.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.net.ssl.SNIHostName;
import javax.net.ssl.SSLContext;
import javax.net.ssl.SSLSocket;
import javax.net.ssl.TrustManagerFactory;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Two schools on one machine behind Debian's nginx, by the very file that is handed out for it. */
class BehindNginxTest {
    private static final String NORTH = "lessons.north.example";
    private static final String SOUTH = "lessons.south.example";
    private static final String DESK = "/api/lessons/tidal-navigation-8-1.3-2";
    private static final int PATIENCE_MS = 15_000;

    @RegisterExtension
    static final RunningServer NORTHERN =
            RunningServer.demo("--juricast.address=https://" + NORTH, "--juricast.proxy=127.0.0.1");

    @RegisterExtension
    static final RunningServer SOUTHERN =
            RunningServer.empty("--juricast.address=https://" + SOUTH, "--juricast.proxy=127.0.0.1");

    private static Process nginx;
    private static int port;
    private static SSLContext trust;

    @BeforeAll
    static void start() throws Exception {
        Path folder = Files.createTempDirectory("nginx");
        try (var free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        KeyStore keys = certificate(folder);
        var known = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        known.init(keys);
        trust = SSLContext.getInstance("TLS");
        trust.init(null, known.getTrustManagers(), null);
        String temporary = Stream.of("client_body", "proxy", "fastcgi", "scgi", "uwsgi")
                .map(kind -> "%s_temp_path %s/%s;".formatted(kind, folder, kind))
                .collect(Collectors.joining(" "));
        Files.writeString(
                folder.resolve("nginx.conf"),
                "daemon off; pid %s/pid; error_log stderr; events {} http { %s access_log off; %s %s }"
                        .formatted(
                                folder,
                                temporary,
                                site(NORTH, NORTHERN.address(), folder),
                                site(SOUTH, SOUTHERN.address(), folder)));
        nginx = new ProcessBuilder(
                        "/usr/sbin/nginx",
                        "-e",
                        "stderr",
                        "-c",
                        folder.resolve("nginx.conf").toString())
                .redirectErrorStream(true)
                .redirectOutput(folder.resolve("log").toFile())
                .start();
        long end = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(PATIENCE_MS);
        while (!answers()) {
            assertThat(System.nanoTime())
                    .as(Files.readString(folder.resolve("log")))
                    .isLessThan(end);
            nginx.waitFor(50, TimeUnit.MILLISECONDS);
        }
    }

    @AfterAll
    static void stop() throws InterruptedException {
        nginx.destroy();
        nginx.waitFor();
    }

    /** The file that is handed out, with what a school fills in. */
    private static String site(String host, String address, Path folder) throws IOException {
        return Files.readString(Path.of("../deploy/nginx-school.conf"))
                .replaceAll("/etc/ssl/juricast/lessons.school.example", folder + "/school")
                .replace("lessons.school.example", host)
                .replace("listen 443", "listen 127.0.0.1:" + port)
                .replace("http://127.0.0.1:8481", address.replace("localhost", "127.0.0.1"));
    }

    /** One of our own making, for both hosts; nginx reads it as two files. */
    private static KeyStore certificate(Path folder) throws Exception {
        Path store = folder.resolve("keys.p12");
        char[] word = "only for the test".toCharArray();
        Process made = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "keytool")
                                .toString(),
                        "-genkeypair",
                        "-alias",
                        "school",
                        "-keyalg",
                        "EC",
                        "-dname",
                        "CN=school.example",
                        "-ext",
                        "SAN=dns:%s,dns:%s".formatted(NORTH, SOUTH),
                        "-storetype",
                        "PKCS12",
                        "-keystore",
                        store.toString(),
                        "-storepass",
                        new String(word))
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        assertThat(made.waitFor()).isZero();
        KeyStore keys = KeyStore.getInstance(store.toFile(), word);
        write(
                folder.resolve("school.crt"),
                "CERTIFICATE",
                keys.getCertificate("school").getEncoded());
        write(
                folder.resolve("school.key"),
                "PRIVATE KEY",
                keys.getKey("school", word).getEncoded());
        KeyStore trusted = KeyStore.getInstance("PKCS12");
        trusted.load(null, word);
        trusted.setCertificateEntry("school", keys.getCertificate("school"));
        return trusted;
    }

    private static void write(Path file, String kind, byte[] content) throws IOException {
        Files.writeString(
                file,
                "-----BEGIN %s-----\n%s\n-----END %s-----\n"
                        .formatted(
                                kind,
                                Base64.getMimeEncoder(64, new byte[] {'\n'}).encodeToString(content),
                                kind));
    }

    private static boolean answers() {
        try {
            return ask(NORTH, "GET /health", "").get(0).contains(" 200");
        } catch (IOException notYet) {
            return false;
        }
    }

    /** A request over TLS. @return the lines of the answer, as they come */
    private static BufferedReader open(String host, String request, String headers) throws IOException {
        var socket = (SSLSocket) trust.getSocketFactory().createSocket("127.0.0.1", port);
        var named = socket.getSSLParameters();
        named.setServerNames(List.of(new SNIHostName(host)));
        named.setEndpointIdentificationAlgorithm(null);
        socket.setSSLParameters(named);
        socket.setSoTimeout(PATIENCE_MS);
        socket.getOutputStream()
                .write("%s HTTP/1.1\r\nHost: %s\r\n%sConnection: close\r\n\r\n"
                        .formatted(request, host, headers)
                        .getBytes(StandardCharsets.US_ASCII));
        return new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8));
    }

    private static List<String> ask(String host, String request, String headers) throws IOException {
        try (BufferedReader answer = open(host, request, headers)) {
            return answer.lines().toList();
        }
    }

    private static List<String> cookies(List<String> answer) {
        return answer.stream()
                .filter(line -> line.toLowerCase(java.util.Locale.ROOT).startsWith("set-cookie: "))
                .map(line -> line.substring("set-cookie: ".length()))
                .toList();
    }

    /** What a browser would send from now on. */
    private static String sent(List<String> cookies) {
        return cookies.stream().map(cookie -> cookie.split(";")[0]).collect(Collectors.joining("; "));
    }

    @Test
    void each_host_name_is_its_own_school_and_a_name_of_neither_is_answered_by_none() throws IOException {
        assertThat(String.join("\n", ask(NORTH, "GET /api/standing", "")))
                .contains("Halvorn Reach School")
                .containsIgnoringCase("Strict-Transport-Security: max-age=31536000");
        assertThat(String.join("\n", ask(SOUTH, "GET /api/standing", "")))
                .contains("\"founded\":false")
                .doesNotContain("Halvorn");
        assertThat(ask("lessons.evil.example", "GET /api/standing", "").get(0)).contains(" 421");
        assertThat(ask(NORTH, "GET /metrics", "Authorization: Bearer a-token\r\n")
                        .get(0))
                .contains(" 404");
    }

    @Test
    void cookies_come_back_by_tls_only_and_an_event_of_a_lesson_arrives_at_once() throws IOException {
        List<String> first = cookies(ask(NORTH, "GET /api/standing", ""));
        String token = sent(first).replaceAll(".*XSRF-TOKEN=([^;]*).*", "$1");
        List<String> signedIn = cookies(ask(
                NORTH,
                "POST /api/demo/session/orla-venn",
                "Cookie: %s\r\nX-XSRF-TOKEN: %s\r\nContent-Type: application/json\r\nContent-Length: 0\r\n"
                        .formatted(sent(first), token)));
        assertThat(signedIn).isNotEmpty();
        var all = new ArrayList<>(first);
        all.addAll(signedIn);
        assertThat(all).allSatisfy(cookie -> assertThat(cookie).contains("; Secure"));

        TestBrowser inTheRoom = NORTHERN.signedIn("orla-venn");
        inTheRoom.post(DESK + "/join", "{}");
        try (BufferedReader line =
                open(NORTH, "GET " + DESK + "/desk/stream", "Cookie: %s\r\n".formatted(sent(signedIn)))) {
            until(line, "\"words\":");
            // So short that a proxy which gathers would keep it; the line itself goes on.
            inTheRoom.post(DESK + "/words", "{\"to\":\"CLASS\",\"text\":\"at once\"}");
            until(line, "at once");
        }
    }

    /** Reads on until something is there; nothing for a while is a fault. */
    private static void until(BufferedReader line, String awaited) throws IOException {
        for (String read = line.readLine(); !read.contains(awaited); read = line.readLine()) {
            assertThat(read).doesNotContain(" 403 ", " 404 ", " 401 ");
        }
    }
}
