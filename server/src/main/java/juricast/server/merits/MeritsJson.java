package juricast.server.merits;

import static juricast.core.merits.MeritsPart.MERITS;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import juricast.core.identity.PersonId;
import juricast.core.merits.Merit;
import juricast.core.merits.MeritsPart;
import juricast.core.merits.SeenBy;
import juricast.server.lesson.Snapshot;
import org.springframework.stereotype.Component;

/** Merits on the wire. */
@Component
public class MeritsJson {
    /** So many can be taken back from the desk. */
    private static final int LATEST = 30;

    private final MeritReasons reasons;

    MeritsJson(MeritReasons reasons) {
        this.reasons = reasons;
    }

    /**
     * @param of how many each pupil got, by id; nobody who got none
     * @param latest those of the last minutes, newest first, which can be taken back
     * @param reasons what they are usually given for, by the school's own list
     */
    public record DeskMerits(Map<String, Integer> of, List<MeritLine> latest, List<String> reasons) {}

    /** @param until when it can be taken back at the latest */
    public record MeritLine(int number, String person, String name, String reason, Instant until) {}

    /** What the class sees, where the rules let it. */
    public record SeatMerits(List<SeenMerit> all) {}

    public record SeenMerit(String name, String reason) {}

    /** @param reasons what one's own were given for, in order, where one may see them */
    public record SeatMineMerits(List<String> reasons) {}

    public DeskMerits desk(Snapshot at) {
        return at.piece("merits desk", "all", List.of(MERITS), () -> {
            var of = new LinkedHashMap<String, Integer>();
            List<Merit> given = at.state().of(MERITS).given();
            given.forEach(one -> of.merge(one.given().person().value(), 1, Integer::sum));
            var latest = new ArrayList<MeritLine>();
            given.stream().skip(Math.max(0, given.size() - LATEST)).forEach(one -> latest.add(0, line(one, at)));
            return new DeskMerits(of, latest, reasons.all());
        });
    }

    private static MeritLine line(Merit one, Snapshot at) {
        return new MeritLine(
                one.number(),
                one.given().person().value(),
                at.plan().nameOf(one.given().person()),
                one.given().reason(),
                one.given().at().plus(MeritsPart.TAKEN_BACK_WITHIN));
    }

    /** What all with the same rights see. */
    public static SeatMerits seat(Snapshot at, Instant now) {
        return seen(at, now).isSeenByClass()
                ? new SeatMerits(at.state().of(MERITS).given().stream()
                        .map(one -> new SeenMerit(
                                at.plan().nameOf(one.given().person()),
                                one.given().reason()))
                        .toList())
                : NOBODY;
    }

    public static final SeatMerits NOBODY = new SeatMerits(List.of());

    public static SeatMineMerits seatMine(Snapshot at, PersonId me, Instant now) {
        return seen(at, now).isSeenByPupil()
                ? new SeatMineMerits(at.state().of(MERITS).of(me).stream()
                        .map(one -> one.given().reason())
                        .toList())
                : new SeatMineMerits(List.of());
    }

    private static SeenBy seen(Snapshot at, Instant now) {
        return SeenBy.of(at.live().all(), now);
    }
}
