package juricast.server.upkeep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import juricast.server.RunningServer;
import juricast.server.data.CannotStart;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

class HealthTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo("--juricast.disk-worry-megabytes=99999999");

    @Test
    void health_says_what_is_well_and_what_is_not_and_that_lessons_can_be_held() {
        var health = SERVER.browser().get("/health");

        assertThat(health.status()).isEqualTo(200);
        assertThat(health.json().get("ready").asBoolean()).isTrue();
        assertThat(health.text())
                .contains("\"what\":\"journal\",\"well\":true", "\"what\":\"file\",\"well\":true")
                .contains("\"what\":\"disk\",\"well\":false", "nearly full")
                .doesNotContain("Orla", "Tidal");
        assertThat(SERVER.signedIn("maren-oddlund").get("/api/upkeep").text()).contains("nearly full");
        assertThat(SERVER.signedIn("orla-venn").get("/api/upkeep").status()).isEqualTo(403);
    }

    @Test
    void measures_are_in_the_open_format_behind_a_token_and_name_nobody() throws IOException {
        assertThat(SERVER.browser().get("/metrics").status()).isEqualTo(404);
        assertThat(raw("GET /metrics HTTP/1.1", "Host: localhost", "Authorization: Bearer wrong"))
                .startsWith("HTTP/1.1 404");

        String measures = raw("GET /metrics HTTP/1.1", "Host: localhost", "Authorization: Bearer a-token");

        assertThat(measures)
                .startsWith("HTTP/1.1 200")
                .contains("application/openmetrics-text")
                .contains(
                        "# TYPE juricast_lessons_open gauge",
                        "juricast_journal_events_total",
                        "juricast_disk_free_bytes")
                .contains("jvm_memory_used_bytes", "juricast_requests_seconds_count{status=\"2xx\"}", "# EOF")
                .doesNotContain("orla", "ines-carrow");
    }

    @Test
    void only_who_asks_by_the_own_name_is_answered_and_no_link_is_made_from_what_they_say() throws IOException {
        assertThat(raw("GET /api/standing HTTP/1.1", "Host: evil.example")).startsWith("HTTP/1.1 421");
        assertThat(raw("GET / HTTP/1.1", "Host: localhost.evil.example")).startsWith("HTTP/1.1 421");
        assertThat(raw("GET /api/standing HTTP/1.1", "Host: localhost", "X-Forwarded-Host: evil.example"))
                .startsWith("HTTP/1.1 200");
        assertThat(raw("GET /api/standing HTTP/1.1", "Host: localhost", "X-Forwarded-Proto: https"))
                .as("forwarded headers of nobody's proxy are not believed")
                .doesNotContain("; Secure");
    }

    @Test
    void it_does_not_start_open_to_others_without_being_told_its_address_nor_by_https_without_a_proxy()
            throws IOException {
        assertThatThrownBy(() -> start("--server.address=0.0.0.0"))
                .rootCause()
                .isInstanceOf(CannotStart.class)
                .hasMessageContaining("not told under which address");
        assertThatThrownBy(() -> start("--juricast.address=https://lessons.halvorn.example"))
                .rootCause()
                .isInstanceOf(CannotStart.class)
                .hasMessageContaining("no web server in front");
        assertThatThrownBy(() -> start("--juricast.address=nowhere"))
                .rootCause()
                .isInstanceOf(CannotStart.class);
    }

    private static void start(String told) throws IOException {
        RunningServer.onNewFile(told).start();
    }

    private static String raw(String... lines) throws IOException {
        URI at = URI.create(SERVER.address());
        try (var socket = new Socket("127.0.0.1", at.getPort())) {
            socket.getOutputStream()
                    .write((String.join("\r\n", lines) + "\r\nConnection: close\r\n\r\n")
                            .getBytes(StandardCharsets.US_ASCII));
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
