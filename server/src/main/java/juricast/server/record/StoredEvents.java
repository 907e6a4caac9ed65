package juricast.server.record;

import com.fasterxml.jackson.annotation.JsonAutoDetect;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import juricast.core.identity.DeviceId;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonEvent;
import juricast.core.live.PlaceId;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Condition;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import org.springframework.stereotype.Component;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.node.ObjectNode;

/**
 * Events as they stand on the disk: a name that each part writes out, and a body in JSON. What is unknown or missing in a body
 * fails: a field that silently meant nothing would change what has been.
 */
@Component
public class StoredEvents {
    private static final JsonMapper MAPPER = JsonMapper.builder()
            .addModule(domain())
            // What a record answers about itself is no part of it.
            .changeDefaultVisibility(one -> one.withIsGetterVisibility(JsonAutoDetect.Visibility.NONE))
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_MISSING_CREATOR_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    private final Map<String, StoredKind> byName = new HashMap<>();
    private final Map<Class<?>, StoredKind> byType = new HashMap<>();

    /** @throws IllegalArgumentException if two kinds share a name */
    public StoredEvents(List<StoredPart> parts) {
        for (StoredPart part : parts) {
            for (StoredKind kind : part.kinds()) {
                remember(kind.name(), kind);
                if (!kind.formerly().equals(kind.name())) {
                    remember(kind.formerly(), kind);
                }
                byType.put(kind.type(), kind);
            }
        }
    }

    private void remember(String name, StoredKind kind) {
        if (byName.put(name, kind) != null) {
            throw new IllegalArgumentException("Two kinds of events are called " + name);
        }
    }

    /** The stored name. @throws IllegalArgumentException if no part keeps such events */
    public String kind(LessonEvent event) {
        return nameOf(event.getClass());
    }

    /** The stored name of one kind. @throws IllegalArgumentException if no part keeps such events */
    String nameOf(Class<?> event) {
        StoredKind kind = byType.get(event);
        if (kind == null) {
            throw new IllegalArgumentException("No part keeps events of the kind " + event.getSimpleName());
        }
        return kind.name();
    }

    public String body(LessonEvent event) {
        return MAPPER.writeValueAsString(event);
    }

    /** @throws IllegalArgumentException if no event is called that @throws tools.jackson.core.JacksonException if the body is no such */
    public LessonEvent read(String name, String body) {
        StoredKind kind = byName.get(name);
        if (kind == null) {
            throw new IllegalArgumentException("No event is called " + name);
        }
        return kind.later().isEmpty() && kind.turned().isEmpty()
                ? MAPPER.readValue(body, kind.type())
                : MAPPER.treeToValue(withLater(kind, MAPPER.readTree(body)), kind.type());
    }

    private static JsonNode withLater(StoredKind kind, JsonNode body) {
        for (StoredKind.Turned turned : kind.turned()) {
            if (body instanceof ObjectNode object && object.has(turned.field())) {
                object.set(turned.into(), turned.how().apply(object.remove(turned.field())));
            }
        }
        for (StoredKind.Later later : kind.later()) {
            if (body.at(later.in()) instanceof ObjectNode object && !object.has(later.field())) {
                object.set(later.field(), later.meant());
            }
        }
        return body;
    }

    @SuppressWarnings("rawtypes") // a class literal cannot say Rule<?>
    private static SimpleModule domain() {
        var module = new SimpleModule();
        asText(module, PersonId.class, PersonId::value, PersonId::new);
        asText(module, VisitId.class, VisitId::value, VisitId::new);
        asText(module, PlaceId.class, PlaceId::value, PlaceId::new);
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
