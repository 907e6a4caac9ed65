package juricast.server.record;

import java.util.ArrayList;
import java.util.List;
import juricast.core.live.LessonEvent;
import tools.jackson.databind.JsonNode;

/**
 * One kind of event as it stands on the disk.
 *
 * @param name what is written today, and never becomes another
 * @param formerly what was written before events had names of their own
 * @param later fields that came later, with what they mean in bodies from before
 */
public record StoredKind(String name, String formerly, Class<? extends LessonEvent> type, List<Later> later) {
    /** A field that older bodies do not have. @param in the object it stands in, as a JSON pointer */
    public record Later(String in, String field, JsonNode meant) {}

    public StoredKind {
        later = List.copyOf(later);
    }

    public static StoredKind named(String name, String formerly, Class<? extends LessonEvent> type) {
        return new StoredKind(name, formerly, type, List.of());
    }

    /** A kind that never had another name. */
    public static StoredKind named(String name, Class<? extends LessonEvent> type) {
        return named(name, name, type);
    }

    /** The same where bodies from before have no such field. */
    public StoredKind missing(String in, String field, JsonNode meant) {
        var all = new ArrayList<>(later);
        all.add(new Later(in, field, meant));
        return new StoredKind(name, formerly, type, all);
    }
}
