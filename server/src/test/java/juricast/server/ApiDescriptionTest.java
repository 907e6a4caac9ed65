package juricast.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The front end's types are made from web/openapi.json, so that must be what the server says. */
class ApiDescriptionTest {
    private static final Path KEPT = Path.of("../web/openapi.json");

    @RegisterExtension
    static final RunningServer SERVER = RunningServer.empty();

    @Test
    void each_operation_says_what_it_is_for_who_may_call_it_and_how_it_refuses() {
        JsonNode api = SERVER.browser().get("/api/openapi.json").json();
        var ids = new HashSet<String>();
        api.get("paths")
                .forEach(path -> path.forEach(one -> {
                    String id = one.get("operationId").asString();
                    assertThat(ids.add(id)).as(id).isTrue();
                    assertThat(one.get("summary").asString()).as(id).matches("(?s).{5,}[.!?]");
                    assertThat(one.get("description").asString()).as(id).contains("For ");
                    assertThat(one.get("responses").toString())
                            .as(id)
                            .contains("application/problem+json")
                            .doesNotContain("*/*");
                }));
        assertThat(ids).hasSizeGreaterThan(300);
        JsonNode calendar = api.at("/paths/~1api~1timetable~1import~1preview/post");
        assertThat(calendar.at("/requestBody/content").has("application/octet-stream"))
                .isTrue();
        assertThat(api.at("/paths/~1api~1calendar/put/responses").has("412")).isTrue();
    }

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
