package juricast.server.merits;

import static juricast.core.merits.MeritsPart.MERITS;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import juricast.core.identity.PersonId;
import juricast.core.merits.MeritsEvent;
import juricast.server.lesson.Snapshot;

/** Merits on the wire. */
public final class MeritsJson {
    private MeritsJson() {}

    /** @param of how many each pupil got, by id; nobody who got none */
    public record DeskMerits(Map<String, Integer> of) {}

    /** @param reasons what one's own were given for, in order */
    public record SeatMineMerits(List<String> reasons) {}

    public static DeskMerits desk(Snapshot at) {
        return at.piece("merits desk", "all", List.of(MERITS), () -> {
            var of = new LinkedHashMap<String, Integer>();
            at.state().of(MERITS).given().forEach(one -> of.merge(one.person().value(), 1, Integer::sum));
            return new DeskMerits(of);
        });
    }

    public static SeatMineMerits seatMine(Snapshot at, PersonId me) {
        return new SeatMineMerits(at.state().of(MERITS).of(me).stream()
                .map(MeritsEvent.Given::reason)
                .toList());
    }
}
