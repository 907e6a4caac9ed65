package juricast.server.clocks;

import static juricast.core.clocks.ClocksPart.CLOCKS;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import juricast.core.clocks.Clock;
import juricast.core.clocks.ClocksState;
import juricast.core.clocks.FirstToAnswer;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rules.Catalogue;
import juricast.server.lesson.Snapshot;
import org.jspecify.annotations.Nullable;

/** Clocks and calls on the wire. */
public final class ClocksJson {
    private ClocksJson() {}

    /**
     * A clock that all see.
     *
     * @param seconds of a count-down; nothing for a stopwatch
     * @param ranMs how long it ran before it last went on
     * @param running since when, while it runs
     * @param over whether it ran out
     */
    public record ClockShown(
            int number,
            String task,
            @Nullable Long seconds,
            boolean tone,
            long ranMs,
            @Nullable Instant running,
            boolean over) {}

    public record DeskClocks(@Nullable ClockShown clock, @Nullable DeskCall call) {}

    /** @param row who pressed, first to last @param passed how many of them had the word and passed it on */
    public record DeskCall(int number, String task, Instant opens, List<InRow> row, int passed) {}

    /**
     * @param place from 1; those in a tie have the same
     * @param ms after the opening
     * @param delayMs of the line, taken off already
     * @param timesFirst how often they were first before in this lesson
     */
    public record InRow(String id, String name, int place, boolean tied, long ms, long delayMs, int timesFirst) {}

    public record SeatClocks(@Nullable ClockShown clock, @Nullable SeatCall call) {}

    /** @param turn the name of whose turn it is, once somebody pressed */
    public record SeatCall(int number, String task, Instant opens, boolean mayPress, @Nullable String turn) {}

    /** @param before how many have the word before this person; nothing if they did not press */
    public record SeatMineClocks(boolean pressed, @Nullable Integer before) {}

    public static DeskClocks desk(Snapshot at) {
        return at.piece("clocks desk", "all", List.of(CLOCKS), () -> {
            ClocksState is = at.state().of(CLOCKS);
            return new DeskClocks(
                    is.clock().map(ClocksJson::shown).orElse(null),
                    is.open().map(call -> call(call, is, at)).orElse(null));
        });
    }

    private static ClockShown shown(Clock one) {
        return new ClockShown(
                one.number(),
                one.task(),
                one.length().map(Duration::toSeconds).orElse(null),
                one.tone(),
                one.before().toMillis(),
                one.running().orElse(null),
                one.over().isPresent());
    }

    private static DeskCall call(FirstToAnswer call, ClocksState is, Snapshot at) {
        List<FirstToAnswer.Placed> row = call.row(is.timesFirst());
        return new DeskCall(
                call.number(),
                call.task(),
                call.opens(),
                row.stream()
                        .map(one -> new InRow(
                                one.press().person().value(),
                                at.plan().nameOf(one.press().person()),
                                one.place(),
                                row.stream()
                                                .filter(other -> other.place() == one.place())
                                                .count()
                                        > 1,
                                one.press().made().toMillis(),
                                one.press().delay().toMillis(),
                                is.timesFirst().getOrDefault(one.press().person(), 0)))
                        .toList(),
                call.passed());
    }

    /** What all who may do the same see. */
    public static SeatClocks seat(Snapshot at, PersonId me, Role role, Instant now) {
        ClocksState is = at.state().of(CLOCKS);
        boolean mayPress = at.rights(now).isOpen(me, role, Catalogue.ANSWER, now);
        return new SeatClocks(
                is.clock().map(ClocksJson::shown).orElse(null),
                is.open()
                        .map(call -> new SeatCall(
                                call.number(),
                                call.task(),
                                call.opens(),
                                mayPress,
                                call.turn(is.timesFirst())
                                        .map(at.plan()::nameOf)
                                        .orElse(null)))
                        .orElse(null));
    }

    public static final SeatClocks FROM_OUTSIDE = new SeatClocks(null, null);

    public static @Nullable SeatMineClocks seatMine(Snapshot at, PersonId me) {
        ClocksState is = at.state().of(CLOCKS);
        Optional<FirstToAnswer> call = is.open();
        if (call.isEmpty()) {
            return null;
        }
        var row = new ArrayList<>(call.get().row(is.timesFirst()));
        List<PersonId> people = row.stream().map(one -> one.press().person()).toList();
        int place = people.indexOf(me) - call.get().passed();
        return new SeatMineClocks(people.contains(me), people.contains(me) && place >= 0 ? place : null);
    }
}
