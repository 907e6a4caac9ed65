package juricast.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** Ten minutes of three thousand streams: nothing is lost, nothing is told twice, and memory does not grow. */
final class Soak {
    private static final int LESSONS = Integer.getInteger("bell.lessons", 100);
    private static final int MINUTES = Integer.getInteger("soak.minutes", 10);
    private static final int ORDERS_A_MINUTE = 600;

    private Soak() {}

    static void measure(RunningJar demo) throws Exception {
        try (var rooms = new Rooms(demo.address())) {
            rooms.build(LESSONS);
            rooms.ring(60);
            int opened = rooms.reopened.get();
            var used = new ArrayList<Long>();
            for (int minute = 1; minute <= MINUTES; minute++) {
                rooms.orders(ORDERS_A_MINUTE, 60_000 / ORDERS_A_MINUTE);
                used.add(demo.heap());
                System.out.printf(
                        "  minute %2d: heap in use after a collection %d MB, resident %d MB%n",
                        minute, used.get(minute - 1), demo.resident());
            }
            TimeUnit.SECONDS.sleep(2);
            long sent = 0;
            long missing = 0;
            long twice = 0;
            for (Rooms.Room room : rooms.rooms) {
                sent += (long) room.acknowledged.size() * room.seats.size();
                for (Rooms.Seat seat : room.seats) {
                    missing += seat.missing(room.acknowledged);
                    twice += seat.twice;
                }
            }
            System.out.printf(
                    "  %d streams, %d orders to seats: %d missing, %d told twice; %d lines opened again%n",
                    LESSONS * Rooms.SEATS, sent, missing, twice, rooms.reopened.get() - opened);
            System.out.printf("  growth of the heap from the first minute to the last: %d MB%n", growth(used));
        }
    }

    private static long growth(List<Long> used) {
        return used.get(used.size() - 1) - used.get(0);
    }
}
