package juricast.server.lesson;

import java.util.Arrays;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import juricast.core.identity.DeviceId;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonEvent;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Condition;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;

/** Events as they stand on the disk: a kind, and a body in JSON. */
final class LessonEventJson {
    private static final Map<String, Class<?>> KINDS = Arrays.stream(LessonEvent.class.getPermittedSubclasses())
            .collect(Collectors.toMap(Class::getSimpleName, Function.identity()));
    private static final JsonMapper MAPPER = JsonMapper.builder()
            .addModule(domain())
            // What was not yet noted when an event was written is "no".
            .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    private LessonEventJson() {}

    static String kind(LessonEvent event) {
        return event.getClass().getSimpleName();
    }

    static String body(LessonEvent event) {
        return MAPPER.writeValueAsString(event);
    }

    /** @throws IllegalArgumentException if no event of this kind is known */
    static LessonEvent read(String kind, String body) {
        Class<?> known = KINDS.get(kind);
        if (known == null) {
            throw new IllegalArgumentException("No event is called " + kind);
        }
        return (LessonEvent) MAPPER.readValue(body, known);
    }

    @SuppressWarnings("rawtypes") // a class literal cannot say Rule<?>
    private static SimpleModule domain() {
        var module = new SimpleModule();
        asText(module, PersonId.class, PersonId::value, PersonId::new);
        asText(module, VisitId.class, VisitId::value, VisitId::new);
        asText(module, DeviceId.class, DeviceId::value, DeviceId::new);
        asText(module, RuleValue.class, RuleValue::text, RuleValue::parse);
        asText(module, Condition.class, Condition::text, text -> Condition.parse(text)
                .orElseThrow());
        asText(module, Rule.class, Rule::key, key -> Catalogue.byKey(key).orElseThrow());
        return module;
    }

    private static <T> void asText(
            SimpleModule module, Class<T> type, Function<T, String> write, Function<String, ? extends T> read) {
        module.addSerializer(type, new ValueSerializer<T>() {
            @Override
            public void serialize(T value, JsonGenerator json, SerializationContext context) {
                json.writeString(write.apply(value));
            }
        });
        module.addDeserializer(type, new ValueDeserializer<T>() {
            @Override
            public T deserialize(JsonParser json, DeserializationContext context) {
                return read.apply(json.getString());
            }
        });
    }
}
