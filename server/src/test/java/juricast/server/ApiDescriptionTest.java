package juricast.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The front end's types are made from web/openapi.json, so that must be what the server says. */
class ApiDescriptionTest {
    private static final Path KEPT = Path.of("../web/openapi.json");

    @RegisterExtension
    static final RunningServer SERVER = RunningServer.empty();

    @Test
    void the_description_that_the_front_end_was_built_from_is_the_servers() throws IOException {
        JsonMapper json = JsonMapper.builder()
                .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
                .enable(SerializationFeature.INDENT_OUTPUT)
                .build();
        String text = SERVER.browser().get("/api/openapi.json").text();
        String now = json.writeValueAsString(json.readValue(text, Object.class)) + "\n";
        if (Boolean.getBoolean("juricast.writeApi")) {
            Files.writeString(KEPT, now);
        }

        assertThat(Files.readString(KEPT))
                .as("The API has changed: run ./juricast types and commit what it writes")
                .isEqualTo(now);
    }
}
