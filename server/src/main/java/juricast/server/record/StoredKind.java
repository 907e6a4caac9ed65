package juricast.server.record;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import juricast.core.live.LessonEvent;
import tools.jackson.databind.JsonNode;

/**
 * One kind of event as it stands on the disk.
 *
 * @param name what is written today, and never becomes another
 * @param formerly what was written before events had names of their own
 * @param later fields that came later, with what they mean in bodies from before
 * @param turned fields that are written otherwise now
 */
public record StoredKind(
        String name, String formerly, Class<? extends LessonEvent> type, List<Later> later, List<Turned> turned) {
    /** A field that older bodies do not have. @param in the object it stands in, as a JSON pointer */
    public record Later(String in, String field, JsonNode meant) {}

    /** A field of older bodies that stands under another name, and in another form, now. */
    public record Turned(String field, String into, UnaryOperator<JsonNode> how) {}

    public StoredKind {
        later = List.copyOf(later);
        turned = List.copyOf(turned);
    }

    public static StoredKind named(String name, String formerly, Class<? extends LessonEvent> type) {
        return new StoredKind(name, formerly, type, List.of(), List.of());
    }

    /** A kind that never had another name. */
    public static StoredKind named(String name, Class<? extends LessonEvent> type) {
        return named(name, name, type);
    }

    /** The same where bodies from before have no such field. */
    public StoredKind missing(String in, String field, JsonNode meant) {
        var all = new ArrayList<>(later);
        all.add(new Later(in, field, meant));
        return new StoredKind(name, formerly, type, all, turned);
    }

    /** The same where bodies from before have a field in another form. */
    public StoredKind turned(String field, String into, UnaryOperator<JsonNode> how) {
        var all = new ArrayList<>(turned);
        all.add(new Turned(field, into, how));
        return new StoredKind(name, formerly, type, later, all);
    }
}
