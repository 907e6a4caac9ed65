package juricast.server.lines;

import static juricast.core.lines.LinesPart.LINES;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import juricast.core.identity.PersonId;
import juricast.server.lesson.Snapshot;
import org.jspecify.annotations.Nullable;

/** Weak lines on the wire. */
public final class LinesJson {
    private LinesJson() {}

    /** @param weak whose line is weak, and since when, by id */
    public record DeskLines(Map<String, Instant> weak) {}

    /** @param weakSince since when one's own line is weak; nothing while it carries */
    public record SeatMineLine(@Nullable Instant weakSince) {}

    public static DeskLines desk(Snapshot at) {
        return at.piece("lines desk", "all", List.of(LINES), () -> {
            var weak = new TreeMap<String, Instant>();
            at.state().of(LINES).weak().forEach((person, since) -> weak.put(person.value(), since));
            return new DeskLines(weak);
        });
    }

    public static SeatMineLine seatMine(Snapshot at, PersonId me) {
        return new SeatMineLine(at.state().of(LINES).weak().get(me));
    }
}
