package juricast.server.help;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.help.HelpPart.HELP;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import juricast.core.help.HelpEvent;
import juricast.core.help.HelpRow;
import juricast.core.help.HelpState;
import juricast.core.live.Visit;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.server.lesson.Snapshot;
import org.jspecify.annotations.Nullable;

/** A help hour on the wire. */
public final class HelpJson {
    private HelpJson() {}

    /**
     * @param stayed whether a lesson went over into it
     * @param places how many may be in at once
     * @param came how many have come to it
     * @param row who stands at the door, the first to come in first
     */
    public record DeskHelpHour(Instant until, boolean stayed, int places, int came, List<InHelpRow> row) {}

    /** @param minutes how long it may take, rounded up */
    public record InHelpRow(String name, long minutes) {}

    /** @param place in the row, from 1 @param minutes how long it may take, rounded up */
    public record SeatMineHelpHour(int place, long minutes) {}

    /** @param until when it is meant to end */
    public record SeatHelpHour(Instant until) {}

    public static @Nullable DeskHelpHour desk(Snapshot at, Instant now) {
        HelpState is = at.state().of(HELP);
        return is.begun()
                .map(begun ->
                        new DeskHelpHour(begun.until(), begun.stayed(), places(at, now), is.came(), row(at, is, now)))
                .orElse(null);
    }

    private static List<InHelpRow> row(Snapshot at, HelpState is, Instant now) {
        List<Visit> waiting = waiting(at);
        List<Duration> waits = HelpRow.waits(is, places(at, now), waiting.size(), now);
        var row = new ArrayList<InHelpRow>();
        for (int n = 0; n < waiting.size(); n++) {
            Visit visit = waiting.get(n);
            String name = visit.person()
                    .map(at.plan()::nameOf)
                    .orElse("“" + visit.arrival().claimedName() + "”");
            row.add(new InHelpRow(name, minutes(waits.get(n))));
        }
        return row;
    }

    public static @Nullable SeatHelpHour seat(Snapshot at) {
        return at.state()
                .of(HELP)
                .begun()
                .map(HelpEvent.Begun::until)
                .map(SeatHelpHour::new)
                .orElse(null);
    }

    /** Of who stands in the row: their own place and nobody else's name. */
    public static @Nullable SeatMineHelpHour seatMine(Snapshot at, Visit mine, Instant now) {
        HelpState is = at.state().of(HELP);
        List<Visit> waiting = waiting(at);
        int place = waiting.stream().map(Visit::id).toList().indexOf(mine.id());
        return !is.isOn() || place < 0
                ? null
                : new SeatMineHelpHour(
                        place + 1,
                        minutes(HelpRow.waits(is, places(at, now), waiting.size(), now)
                                .get(place)));
    }

    private static List<Visit> waiting(Snapshot at) {
        return at.state().of(DOOR).waiting().stream().filter(Visit::connected).toList();
    }

    private static int places(Snapshot at, Instant now) {
        return at.live().value(Catalogue.HELP_AT_ONCE, Rule.ANSWERS, now).number();
    }

    private static long minutes(Duration wait) {
        return wait.plusSeconds(59).toMinutes();
    }
}
