package juricast.server.casebook;

import java.util.HashMap;
import java.util.Map;
import juricast.core.casebook.CaseEvent;
import juricast.core.casebook.IncidentId;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.server.record.IncidentRecord;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;

/** Events of incidents as they stand on the disk. Their names are written out and never become others. */
final class StoredCases {
    private static final Map<String, Class<? extends CaseEvent>> KINDS = Map.ofEntries(
            Map.entry("opened", CaseEvent.Opened.class),
            Map.entry("part-taken", CaseEvent.PartTaken.class),
            Map.entry("evidence-added", CaseEvent.EvidenceAdded.class),
            Map.entry("step-added", CaseEvent.StepAdded.class),
            Map.entry("step-withdrawn", CaseEvent.StepWithdrawn.class),
            Map.entry("noted", CaseEvent.Noted.class),
            Map.entry("classified", CaseEvent.Classified.class),
            Map.entry("follow-up-set", CaseEvent.FollowUpSet.class),
            Map.entry("follow-up-moved", CaseEvent.FollowUpMoved.class),
            Map.entry("follow-up-done", CaseEvent.FollowUpDone.class),
            Map.entry("decided", CaseEvent.Decided.class),
            Map.entry("linked", CaseEvent.Linked.class),
            Map.entry("merged-into", CaseEvent.MergedInto.class),
            Map.entry("absorbed", CaseEvent.Absorbed.class),
            Map.entry("split-off", CaseEvent.SplitOff.class),
            Map.entry("talked", CaseEvent.Talked.class),
            Map.entry("parents-written", CaseEvent.ParentsWritten.class),
            Map.entry("pack-made", CaseEvent.PackMade.class),
            Map.entry("closed", CaseEvent.Closed.class),
            Map.entry("reopened", CaseEvent.Reopened.class));

    private static final Map<Class<?>, String> NAMES = new HashMap<>();

    static {
        KINDS.forEach((name, type) -> NAMES.put(type, name));
    }

    private static final JsonMapper MAPPER = JsonMapper.builder()
            .addModule(ids())
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_MISSING_CREATOR_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    private StoredCases() {}

    static IncidentRecord.Written written(CaseEvent event) {
        return new IncidentRecord.Written(NAMES.get(event.getClass()), MAPPER.writeValueAsString(event));
    }

    /** @throws IllegalArgumentException if no event is called that */
    static CaseEvent read(String kind, String body) {
        Class<? extends CaseEvent> type = KINDS.get(kind);
        if (type == null) {
            throw new IllegalArgumentException("No event of an incident is called " + kind);
        }
        return MAPPER.readValue(body, type);
    }

    private static SimpleModule ids() {
        var module = new SimpleModule();
        asText(module, PersonId.class, PersonId::value, PersonId::new);
        asText(module, LessonId.class, LessonId::value, LessonId::new);
        asText(module, ClassId.class, ClassId::value, ClassId::new);
        asText(
                module,
                IncidentId.class,
                one -> String.valueOf(one.number()),
                text -> new IncidentId(Integer.parseInt(text)));
        return module;
    }

    private static <T> void asText(
            SimpleModule module,
            Class<T> type,
            java.util.function.Function<T, String> write,
            java.util.function.Function<String, T> read) {
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
