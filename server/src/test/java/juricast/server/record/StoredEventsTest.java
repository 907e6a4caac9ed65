package juricast.server.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.chat.ChatEvent;
import juricast.core.door.DoorEvent;
import juricast.core.lesson.Parts;
import juricast.core.live.Erased;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonOrder;
import juricast.core.live.Part;
import juricast.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What was ever written is read for ever: the golden file has one line of every kind, and lines in it never change. */
class StoredEventsTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.empty();

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final StoredEvents stored = SERVER.bean(StoredEvents.class);

    private record Line(String kind, String body) {}

    private static List<Line> golden() throws IOException {
        try (var file = StoredEventsTest.class.getResourceAsStream("/record/golden-events.tsv")) {
            return new String(file.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.startsWith("#"))
                    .map(line -> line.split("\t", 2))
                    .map(both -> new Line(both[0], both[1]))
                    .toList();
        }
    }

    @Test
    void every_line_of_the_golden_file_is_read_and_written_again_as_it_is() throws IOException {
        for (Line line : golden()) {
            LessonEvent event = stored.read(line.kind, line.body);
            JsonNode again = JSON.readTree(stored.body(event));
            // What came later is there too, and nothing else differs.
            sameFields(JSON.readTree(line.body), again, line.kind);
            assertThat(stored.read(stored.kind(event), stored.body(event))).isEqualTo(event);
        }
    }

    private static void sameFields(JsonNode written, JsonNode again, String of) {
        written.propertyStream().forEach(field -> {
            // Lines of the pen were written so before there was anything else to draw.
            JsonNode now = field.getKey().equals("line") ? again.at("/drawing/points") : again.get(field.getKey());
            if (field.getValue().isObject()) {
                sameFields(field.getValue(), now, field.getKey() + " of " + of);
            } else {
                assertThat((Object) now).as("%s of %s", field.getKey(), of).isEqualTo(field.getValue());
            }
        });
    }

    @Test
    void each_event_and_order_there_is_belongs_to_one_part_and_has_a_stored_name_and_a_golden_line()
            throws IOException {
        Set<String> golden = golden().stream().map(Line::kind).collect(Collectors.toSet());
        for (Class<?> event : kindsOf(LessonEvent.class)) {
            if (!event.equals(Erased.class)) {
                assertThat(Parts.ALL.stream().filter(part -> part.events().isAssignableFrom(event)))
                        .as("the part of %s", event.getSimpleName())
                        .hasSize(1);
                assertThat(golden)
                        .as("golden line of %s", event.getSimpleName())
                        .contains(stored.nameOf(event));
            }
        }
        for (Class<?> order : kindsOf(LessonOrder.class)) {
            if (!order.equals(LessonOrder.Tick.class)) {
                assertThat(Parts.ALL.stream().filter(part -> part.orders().isAssignableFrom(order)))
                        .as("the part of %s", order.getSimpleName())
                        .hasSize(1);
            }
        }
        assertThat(Parts.ALL.stream().map(Part::name)).doesNotHaveDuplicates();
    }

    private static List<Class<?>> kindsOf(Class<?> root) {
        return new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests()).importPackages("juricast.core").stream()
                        .filter(one -> one.isAssignableTo(root) && !one.isInterface())
                        .<Class<?>>map(JavaClass::reflect)
                        .toList();
    }

    @Test
    void what_is_unknown_or_missing_fails() {
        String whole = "{\"by\":\"orla\",\"at\":\"2026-09-14T10:02:03.004Z\"}";
        assertThat(stored.read("opened", whole)).isInstanceOf(DoorEvent.Opened.class);
        for (String wrong : List.of(
                "{\"by\":\"orla\"}",
                "{\"at\":\"2026-09-14T10:02:03.004Z\"}",
                "{\"by\":\"orla\",\"at\":\"2026-09-14T10:02:03.004Z\",\"why\":\"\"}")) {
            assertThatThrownBy(() -> stored.read("opened", wrong)).as(wrong).isInstanceOf(RuntimeException.class);
        }
        assertThatThrownBy(() -> stored.read("vanished", "{}")).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void fields_that_came_later_mean_in_older_bodies_what_was_so_then() throws IOException {
        List<LessonEvent> old = golden().stream()
                .filter(line -> !line.body.contains("\"agreed\"") && !line.body.contains("\"file\""))
                .map(line -> stored.read(line.kind, line.body))
                .toList();
        assertThat(LessonEvent.of(old, DoorEvent.Knocked.class))
                .hasSize(1)
                .allSatisfy(knocked -> assertThat(knocked.arrival().agreed()).isFalse());
        assertThat(LessonEvent.of(old, ChatEvent.Said.class)).hasSize(1).allSatisfy(said -> assertThat(said.file())
                .isEmpty());
        assertThat(LessonEvent.of(old, ChatEvent.Held.class)).hasSize(1).allSatisfy(held -> assertThat(held.file())
                .isEmpty());
    }
}
