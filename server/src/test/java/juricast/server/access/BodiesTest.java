package juricast.server.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Scanner;
import java.util.stream.IntStream;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A stranger makes the server read, keep and remember next to nothing. */
class BodiesTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    @Test
    void a_body_of_a_stranger_is_refused_by_its_length_before_it_is_read() throws IOException {
        String answer = raw("POST /api/session HTTP/1.1", "Content-Type: application/json", "Content-Length: 15000000");

        assertThat(answer).startsWith("HTTP/1.1 413").contains("64 kB");
    }

    @Test
    void a_body_that_does_not_say_how_long_it_is_is_refused_when_too_much_has_come() throws IOException {
        TestBrowser stranger = SERVER.browser();
        URI at = URI.create(SERVER.address());
        try (var socket = new Socket("127.0.0.1", at.getPort())) {
            OutputStream out = socket.getOutputStream();
            out.write(
                    ("POST /api/session HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nCookie: XSRF-TOKEN="
                                    + stranger.token() + "\r\nX-XSRF-TOKEN: " + stranger.token()
                                    + "\r\nTransfer-Encoding: chunked\r\n\r\n")
                            .getBytes(StandardCharsets.US_ASCII));
            byte[] chunk =
                    ("2000\r\n" + "{\"name\":\"" + "x".repeat(0x2000 - 9) + "\r\n").getBytes(StandardCharsets.US_ASCII);
            byte[] more = ("2000\r\n" + "x".repeat(0x2000) + "\r\n").getBytes(StandardCharsets.US_ASCII);
            out.write(chunk);
            for (int i = 0; i < 10; i++) {
                out.write(more);
            }
            out.flush();
            byte[] begin = socket.getInputStream().readNBytes(12);
            assertThat(new String(begin, StandardCharsets.US_ASCII)).isEqualTo("HTTP/1.1 413");
        }
    }

    @Test
    void a_form_goes_only_to_who_may_send_one_there() {
        TestBrowser stranger = SERVER.browser();
        byte[] file = "name\nA".repeat(30_000).getBytes(StandardCharsets.UTF_8);

        assertThat(stranger.upload("/api/session", file, "").status()).isEqualTo(413);
        assertThat(stranger.upload("/api/classes/tidal-navigation-8/roster/preview", file, "")
                        .status())
                .isEqualTo(401);
        assertThat(SERVER.signedIn("ines-carrow")
                        .upload("/api/classes/tidal-navigation-8/roster/preview", file, "")
                        .status())
                .isEqualTo(403);
        assertThat(SERVER.signedIn("orla-venn")
                        .upload("/api/classes/tidal-navigation-8/roster/preview", file, "")
                        .status())
                .isEqualTo(200);
        assertThat(stranger.upload("/api/seats/nothing/files?to=CLASS", file, "")
                        .status())
                .isEqualTo(404);
    }

    @Test
    void long_names_and_many_keys_leave_little_in_memory() {
        Clock clock = Clock.fixed(Instant.EPOCH, ZoneOffset.UTC);
        var limit = new TryLimit(3, Duration.ofMinutes(1), clock);
        String huge = "x".repeat(1_000_000);

        IntStream.range(0, 200).forEach(i -> limit.take(huge + i));
        IntStream.range(0, 120_000).forEach(i -> limit.take("key " + i));

        assertThat(limit.size()).isLessThan(60_000);
        assertThat(limit.take(huge)).isTrue();
        assertThat(limit.take(huge)).isTrue();
        assertThat(limit.take(huge)).isTrue();
        assertThat(limit.take(huge)).isFalse();
        limit.giveBack(huge);
        limit.giveBack(huge);
        assertThat(limit.take(huge)).isTrue();
        assertThat(limit.take(huge)).isFalse();
    }

    private static String raw(String... lines) throws IOException {
        URI at = URI.create(SERVER.address());
        try (var socket = new Socket("127.0.0.1", at.getPort())) {
            socket.getOutputStream()
                    .write((String.join("\r\n", lines) + "\r\nHost: localhost\r\n\r\n")
                            .getBytes(StandardCharsets.US_ASCII));
            // Only as far as the answer goes: the connection stays open for the body that was announced.
            return new Scanner(socket.getInputStream(), StandardCharsets.UTF_8)
                    .useDelimiter("}")
                    .next();
        }
    }
}
