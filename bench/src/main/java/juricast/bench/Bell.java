package juricast.bench;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;

/**
 * The bell: a hundred lessons of thirty pupils, who all come within half a minute, each with a stream; then orders on the
 * desks, spread over time and all in one instant. Everything is timed from the moment it was due, so that waiting behind
 * other rooms counts.
 */
final class Bell {
    private static final int LESSONS = Integer.getInteger("bell.lessons", 100);
    private static final int WARM_UP = 20;
    private static final int WARM_UP_ORDERS = 1000;
    private static final int WARM_UP_ROUNDS = Integer.getInteger("bell.warm", 300);
    private static final int WARM_UP_GAP = 20;
    private static final int ARRIVAL_SECONDS = 30;
    private static final int SPREAD_ORDERS = 500;
    private static final int SPREAD_SECONDS = 20;
    private static final int BARE_ROUNDS = 30;
    private static final int ROUNDS = Integer.getInteger("bell.rounds", 50);

    private Bell() {}

    static void measure(RunningJar demo) throws Exception {
        try (var rooms = new Rooms(demo.address())) {
            // Some rooms before the others, and then a rest: a school's server has been running when the bell rings.
            rooms.build(WARM_UP);
            rooms.ring(ARRIVAL_SECONDS / 2);
            rooms.orders(WARM_UP_ORDERS, WARM_UP_GAP);
            for (int round = 0; round < WARM_UP_ROUNDS; round++) {
                rooms.orders(WARM_UP, 0);
            }
            rooms.build(LESSONS);
            demo.rest();
            print("verdict durable and answered, from the moment of the knock", rooms.ring(ARRIVAL_SECONDS));
            demo.rest();
            spread(rooms);
            demo.rest();
            atOnce(rooms, demo);
            System.out.printf(
                    "  lines that were opened again: %d of %d%n", rooms.reopened.get(), LESSONS * Rooms.SEATS);
        }
        print(
                "for comparison, a bare server: one event to as many streams",
                BareStreams.measure(LESSONS * Rooms.SEATS, BARE_ROUNDS));
    }

    /** Orders of all desks one after the other, at even distances. */
    private static void spread(Rooms rooms) throws Exception {
        rooms.orders(SPREAD_ORDERS / 5, 100); // the first ones warm up and are not counted
        rooms.news.clear();
        List<Long> answers = rooms.orders(SPREAD_ORDERS, SPREAD_SECONDS * 1000 / SPREAD_ORDERS);
        print("order answered at the desk, spread over time", answers);
        print("order to the seat, spread over time", List.copyOf(rooms.news));
    }

    /** All desks in the same instant. */
    private static void atOnce(Rooms rooms, RunningJar demo) throws Exception {
        for (int round = 0; round < WARM_UP_ROUNDS; round++) { // these warm up and are not counted
            rooms.orders(LESSONS, 0);
        }
        demo.rest();
        rooms.news.clear();
        var answers = new ArrayList<Long>();
        Duration application = demo.used();
        Duration load = RunningJar.used(ProcessHandle.current());
        var last = new ArrayList<Long>();
        for (int round = 0; round < ROUNDS; round++) {
            int before = rooms.news.size();
            answers.addAll(rooms.orders(LESSONS, 0));
            last.add(Figures.percentile(List.copyOf(rooms.news).subList(before, rooms.news.size()), 100));
            TimeUnit.SECONDS.sleep(2);
        }
        print("order answered at the desk, all in one instant", answers);
        print("order to the seat, all in one instant", List.copyOf(rooms.news));
        Figures.print("of that, the last seat of each instant", last);
        System.out.println("  one after the other, in ms: "
                + last.stream().map(one -> Long.toString(one / 1000)).collect(Collectors.joining(" ")));
        System.out.printf(
                "  of the two cores, in each such instant: the application %d ms, the load tool %d ms%n",
                demo.used().minus(application).toMillis() / ROUNDS,
                RunningJar.used(ProcessHandle.current()).minus(load).toMillis() / ROUNDS);
    }

    private static void print(String what, List<Long> micros) {
        System.out.printf(
                "  %-60s median %6.1f ms, p99 %6.1f ms (%d)%n",
                what, Figures.median(micros) / 1000.0, Figures.percentile(micros, 99) / 1000.0, micros.size());
    }
}
