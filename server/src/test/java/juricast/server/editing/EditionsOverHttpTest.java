package juricast.server.editing;

import static org.assertj.core.api.Assertions.assertThat;

import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Two editors of one thing: the second is told, and what the first did stays. */
class EditionsOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    /** @param path where it is read, and changed unless a part of it is @param two values of a field of what is sent */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/api/calendar | | opens | \"07:15\" | \"07:20\"",
                "/api/register-settings | | /limits/inARow | 4 | 5",
                "/api/merit-reasons | | reasons | [\"Kind\"] | [\"Brave\"]",
                "/api/classes/tidal-navigation-8/welcome | | text | \"Ahoy\" | \"Hello\"",
                "/api/ladder | /api/ladder/years/9/heads | people | [\"orla-venn\"] | [\"tam-birket\"]",
                "/api/outbox/templates | /api/outbox/templates/NEW_LINK | subject | \"One\" | \"Two\"",
            })
    void whoever_changes_what_is_not_as_it_was_is_told_and_nothing_is_lost(
            String path, String part, String field, String one, String other) {
        TestBrowser first = SERVER.signedIn("maren-oddlund");
        String to = part == null ? path : part;
        TestBrowser.Answer shown = first.get(path);
        String tag = shown.header("ETag");
        assertThat(tag).startsWith("\"");

        TestBrowser.Answer kept = first.put(to, tag, body(shown.json(), part, field, one));
        assertThat(kept.status()).as(kept.text()).isEqualTo(200);
        assertThat(kept.header("ETag"))
                .isNotEqualTo(tag)
                .isEqualTo(first.get(path).header("ETag"));
        TestBrowser.Answer late = first.put(to, tag, body(shown.json(), part, field, other));
        assertThat(late.status()).isEqualTo(412);
        assertThat(late.text()).contains("Somebody else has changed this", "Open it in another window");
        assertThat(first.get(path).header("ETag")).isEqualTo(kept.header("ETag"));
        assertThat(first.put(to, kept.header("ETag"), body(shown.json(), part, field, other))
                        .status())
                .isEqualTo(200);
        assertThat(first.put(to, body(shown.json(), part, field, one)).status())
                .as("who does not say what is changed changes what there is")
                .isEqualTo(200);
    }

    private static String body(JsonNode shown, String part, String field, String value) {
        String name = field.substring(field.lastIndexOf('/') + 1);
        JsonNode wanted = TestBrowser.read(value);
        if (part != null || shown.size() < 3 && !shown.has("limits")) {
            String more = name.equals("subject") ? ",\"body\":\"{name}\"" : "";
            return "{\"%s\":%s%s}".formatted(name, value, more);
        }
        JsonNode changed = shown.deepCopy();
        JsonNode at = field.startsWith("/") ? changed.at(field.substring(0, field.lastIndexOf('/'))) : changed;
        ((ObjectNode) at).set(name, wanted);
        return changed.toString();
    }
}
