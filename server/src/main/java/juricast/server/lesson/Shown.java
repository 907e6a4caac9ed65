package juricast.server.lesson;

import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.json.JsonMapper;

/**
 * A view as one browser is to see it, written as a whole or as what has changed since another. A lesson of thirty seats
 * tells nearly all of them the same, so that part is encoded once for all and the rest is small.
 *
 * @param number the number of the last event it shows
 * @param told up to which number words have been told with it; at the door that stays where it was, for there are none
 * @param common what several browsers see alike; the same object for all of them where that is possible
 * @param own what only this browser sees
 * @param words a JSON array of what was written since the browser was last told; empty text if nothing was
 * @param strokes makes a JSON array of what was drawn since then; only a change brings it, for who begins to look fetches whole sheets
 * @param shared remembers what was encoded
 */
public record Shown(
        int number,
        int told,
        Instant now,
        Record common,
        Record own,
        String words,
        Supplier<String> strokes,
        Shared shared) {
    /** For views that have nothing of their own. */
    public record Nothing() {}

    /** Written for every view, but no change of it. */
    private static final Set<String> APART = Set.of("number", "now", "words", "strokes");

    private static final ClassValue<List<RecordComponent>> FIELDS = new ClassValue<>() {
        @Override
        protected List<RecordComponent> computeValue(Class<?> type) {
            return Arrays.stream(type.getRecordComponents())
                    .filter(field -> !APART.contains(field.getName()))
                    .toList();
        }
    };

    private String whole(JsonMapper json) {
        return write(
                shared.once(common, "whole", () -> fields(null, common, json::writeValueAsString)),
                fields(null, own, json::writeValueAsString),
                "");
    }

    /** The first event of a line: all of it. */
    byte[] first(JsonMapper json) {
        return event("view", whole(json));
    }

    /**
     * The event with what differs from {@code before}; a field that is gone is null. Nothing if nothing differs. Browsers that
     * are told the same are given the same bytes.
     */
    Optional<byte[]> since(Shown before, JsonMapper json) {
        String ofCommon = before.common == common
                ? ""
                : shared.ofBoth(before.common, common, () -> fields(before.common, common, part -> once(part, json)));
        String ofOwn = before.own.equals(own) ? "" : fields(before.own, own, json::writeValueAsString);
        String drawn = strokes.get();
        if (ofCommon.isEmpty() && ofOwn.isEmpty() && words.isEmpty() && drawn.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(
                ofOwn.isEmpty()
                        ? shared.once(
                                common,
                                new Alike(ofCommon, words, drawn, told),
                                () -> event("change", write(ofCommon, "", drawn)))
                        : event("change", write(ofCommon, ofOwn, drawn)));
    }

    /** What an event without anything of one's own is made of. */
    private record Alike(String ofCommon, String words, String strokes, int told) {}

    /** As one piece: in parts, each part would be a packet of its own to each of thirty seats. */
    private byte[] event(String kind, String data) {
        return ("id:" + told + "\nevent:" + kind + "\ndata:" + data + "\n\n").getBytes(StandardCharsets.UTF_8);
    }

    private String write(String ofCommon, String ofOwn, String drawn) {
        return Stream.of(
                        "\"number\":" + number,
                        "\"now\":\"" + now + "\"",
                        ofCommon,
                        ofOwn,
                        words.isEmpty() ? "" : "\"words\":" + words,
                        drawn.isEmpty() ? "" : "\"strokes\":" + drawn)
                .filter(part -> !part.isEmpty())
                .collect(Collectors.joining(",", "{", "}"));
    }

    /** A part that several views have in common, as that of groups in which all is alike, is encoded once for all of them. */
    private String once(@Nullable Object part, JsonMapper json) {
        return part instanceof Record
                ? shared.once(part, "json", () -> json.writeValueAsString(part))
                : json.writeValueAsString(part);
    }

    private static String fields(@Nullable Record before, Record next, Function<@Nullable Object, String> encode) {
        return FIELDS.get(next.getClass()).stream()
                .filter(field -> !Objects.equals(before == null ? null : value(field, before), value(field, next)))
                .map(field -> '"' + field.getName() + "\":" + encode.apply(value(field, next)))
                .collect(Collectors.joining(","));
    }

    private static @Nullable Object value(RecordComponent field, Record of) {
        try {
            Method accessor = field.getAccessor();
            accessor.setAccessible(true); // the records of a view are of this package only
            return accessor.invoke(of);
        } catch (ReflectiveOperationException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
