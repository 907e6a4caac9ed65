package juricast.server.signals;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.signals.SignalsPart.SIGNALS;

import java.time.Instant;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import juricast.core.audience.SignalsSeat;
import juricast.core.identity.PersonId;
import juricast.core.signals.Sign;
import juricast.core.signals.SignalsState;
import juricast.server.lesson.Snapshot;
import org.jspecify.annotations.Nullable;

/** Hands and signals on the wire. */
public final class SignalsJson {
    private SignalsJson() {}

    /**
     * @param hands raised hands, longest first
     * @param signs how many show each signal
     * @param of the signal of each who shows one, by id
     * @param focus who stands before everybody
     * @param asked who is asked whether they would, or has declined
     */
    public record DeskSignals(
            List<Hand> hands,
            List<SignCount> signs,
            Map<String, Sign> of,
            @Nullable String focus,
            @Nullable AskedToFocus asked) {}

    public record AskedToFocus(String person, boolean declined) {}

    public record Hand(String person, Instant since) {}

    public record SignCount(Sign sign, int count, List<String> names) {}

    /** @param focus the name of who stands before everybody */
    public record SeatSignals(@Nullable String focus) {}

    /**
     * @param handsBefore how many hands are up longer than one's own
     * @param asks the name of who asks whether one would stand before everybody
     */
    public record SeatMineSignals(
            @Nullable Instant handSince, int handsBefore, @Nullable Sign sign, @Nullable String asks) {}

    public static DeskSignals desk(Snapshot at) {
        return at.piece("signals desk", "all", List.of(DOOR, SIGNALS), () -> make(at));
    }

    private static DeskSignals make(Snapshot at) {
        SignalsState signals = at.state().of(SIGNALS);
        var of = new LinkedHashMap<String, Sign>();
        signals.shown().forEach(one -> of.put(one.person().value(), one.sign()));
        return new DeskSignals(
                signals.hands().entrySet().stream()
                        .map(one -> new Hand(one.getKey().value(), one.getValue()))
                        .toList(),
                Arrays.stream(Sign.values())
                        .map(sign -> count(sign, signals, at))
                        .filter(one -> one.count > 0)
                        .toList(),
                of,
                focus(at).map(PersonId::value).orElse(null),
                signals.asked()
                        .map(one -> new AskedToFocus(one.person().value(), one.declined()))
                        .orElse(null));
    }

    private static SignCount count(Sign sign, SignalsState signals, Snapshot at) {
        List<String> names = signals.shown().stream()
                .filter(one -> one.sign() == sign)
                .map(one -> at.plan().nameOf(one.person()))
                .toList();
        return new SignCount(sign, names.size(), names);
    }

    public static SeatSignals seat(Snapshot at) {
        return at.piece(
                "signals seat",
                "all",
                List.of(DOOR, SIGNALS),
                () -> new SeatSignals(focus(at).map(at.plan()::nameOf).orElse(null)));
    }

    private static Optional<PersonId> focus(Snapshot at) {
        return at.state().of(SIGNALS).focus(at.state().there());
    }

    public static SeatMineSignals seatMine(Snapshot at, PersonId me) {
        SignalsSeat seen = SignalsSeat.of(at.state(), me);
        return new SeatMineSignals(
                seen.handSince().orElse(null),
                seen.handsBefore(),
                seen.sign().orElse(null),
                seen.asks().map(at.plan()::nameOf).orElse(null));
    }
}
