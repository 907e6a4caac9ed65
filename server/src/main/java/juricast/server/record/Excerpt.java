package juricast.server.record;

import java.util.HexFormat;
import java.util.List;
import juricast.core.identity.LessonId;
import org.jspecify.annotations.Nullable;

/**
 * Some events of a record in a row, with the hashes that prove that they were written so, in this order, and that none between them
 * is left out. The school proves it with its key ({@link Journal#proves}); it can be written down and read again as JSON.
 *
 * @param first the number of the first event
 * @param before the hash it follows, in hexadecimal digits; empty where it is the lesson's first
 */
public record Excerpt(LessonId lesson, int first, String before, List<Proven> events) {
    private static final HexFormat HEX = HexFormat.of();

    public Excerpt {
        events = List.copyOf(events);
    }

    /** One event. @param body what it said, nothing once it was erased; its salt goes with it */
    public record Proven(
            int number, String kind, @Nullable String body, @Nullable String salt, String bodyHash, String hash) {}

    static Excerpt of(LessonId lesson, byte[] before, List<Line> lines) {
        return new Excerpt(
                lesson,
                lines.get(0).number(),
                HEX.formatHex(before),
                lines.stream()
                        .map(one -> new Proven(
                                one.number(),
                                one.kind(),
                                one.body(),
                                one.salt() == null ? null : HEX.formatHex(one.salt()),
                                HEX.formatHex(one.bodyHash()),
                                HEX.formatHex(one.hash())))
                        .toList());
    }

    byte[] hashBefore() {
        return HEX.parseHex(before);
    }

    List<Line> chained() {
        return events.stream()
                .map(one -> new Line(
                        one.number,
                        one.kind,
                        one.body,
                        one.salt == null ? null : HEX.parseHex(one.salt),
                        HEX.parseHex(one.bodyHash),
                        HEX.parseHex(one.hash)))
                .toList();
    }
}
