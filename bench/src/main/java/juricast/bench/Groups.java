package juricast.bench;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import juricast.core.grouping.Grouping;
import juricast.core.grouping.Met;
import juricast.core.grouping.Recipe;
import juricast.core.grouping.Wish;
import juricast.core.grouping.Wishes;
import juricast.core.identity.PersonId;

/** Groups: made for forty pupils under wishes, and a hundred lessons of thirty pupils sent out and together again. */
final class Groups {
    private static final int LESSONS = Integer.getInteger("bell.lessons", 100);
    private static final int ROUNDS = Integer.getInteger("bell.rounds", 25);
    private static final int WARM_UP_ROUNDS = 60;
    private static final int GROUPS = 8;

    private Groups() {}

    /** Forty pupils who are mixed anew week after week, with twelve wishes among them. */
    static void make() {
        List<PersonId> people =
                IntStream.range(0, 40).mapToObj(n -> new PersonId("p" + n)).toList();
        var chance = new Random(3);
        var wishes = new ArrayList<Wish>();
        while (wishes.size() < 12) {
            Set<PersonId> two = new java.util.HashSet<>();
            while (two.size() < 2) {
                two.add(people.get(chance.nextInt(40)));
            }
            wishes.add(new Wish(Wish.Kind.APART, two, wishes.size() % 2 == 0, "", people.get(0)));
        }
        var kept = new Wishes(wishes, java.util.Map.of(), Set.of());
        for (int warm = 0; warm < 3; warm++) {
            weeks(people, kept, false);
        }
        weeks(people, kept, true);
    }

    private static void weeks(List<PersonId> people, Wishes kept, boolean told) {
        var lessons = new ArrayList<List<Set<PersonId>>>();
        for (int week = 1; week <= 10; week++) {
            var recipe = new Recipe(Recipe.By.SIZE, 4, false, true, false, 3, week);
            long began = System.nanoTime();
            var made = Grouping.propose(people, recipe, kept, new Met(lessons).last(5));
            long micros = (System.nanoTime() - began) / 1000;
            lessons.add(0, made.groups().stream().map(Set::copyOf).toList());
            if (told) {
                System.out.printf(
                        "  week %2d: %5.1f ms, %d pairs met again in the last five times, at least %d must%n",
                        week, micros / 1000.0, made.metAgain(), made.metAtLeast());
            }
        }
    }

    static void measure(RunningJar demo) throws Exception {
        try (var rooms = new Rooms(demo.address())) {
            rooms.build(LESSONS);
            rooms.ring(30);
            rooms.drawUp(GROUPS);
            for (int round = 0; round < WARM_UP_ROUNDS; round++) { // these warm up and are not counted
                rooms.all(Rooms.Order.SEND_OUT, 0);
                rooms.all(Rooms.Order.TOGETHER, 0);
                rooms.orders(LESSONS, 0);
            }
            demo.rest();
            spread(rooms);
            demo.rest();
            atOnce(rooms, demo);
        }
    }

    private static void spread(Rooms rooms) throws Exception {
        rooms.news.clear();
        for (int round = 0; round < 3; round++) {
            rooms.all(Rooms.Order.SEND_OUT, 40);
            rooms.all(Rooms.Order.TOGETHER, 40);
        }
        print("sent out, or together again, to the seat, spread over time", List.copyOf(rooms.news));
    }

    /** All desks in the same instant; a word on all desks between, for comparison. */
    private static void atOnce(Rooms rooms, RunningJar demo) throws Exception {
        var sent = new ArrayList<Long>();
        var back = new ArrayList<Long>();
        var words = new ArrayList<Long>();
        long[] cores = new long[3];
        for (int round = 0; round < ROUNDS; round++) {
            Duration start = demo.used();
            sent.addAll(instant(rooms, () -> rooms.all(Rooms.Order.SEND_OUT, 0)));
            Duration out = demo.used();
            back.addAll(instant(rooms, () -> rooms.all(Rooms.Order.TOGETHER, 0)));
            Duration together = demo.used();
            words.addAll(instant(rooms, () -> rooms.orders(LESSONS, 0)));
            cores[0] += out.minus(start).toMillis();
            cores[1] += together.minus(out).toMillis();
            cores[2] += demo.used().minus(together).toMillis();
        }
        print("sent out into eight groups, to the seat, all in one instant", sent);
        print("together again, to the seat, all in one instant", back);
        print("for comparison, a word on each desk, in the same run", words);
        System.out.printf(
                "  of the two cores, the application in each such instant: %d, %d and %d ms%n",
                cores[0] / ROUNDS, cores[1] / ROUNDS, cores[2] / ROUNDS);
    }

    private interface Instant {
        Object run() throws Exception;
    }

    private static List<Long> instant(Rooms rooms, Instant what) throws Exception {
        rooms.news.clear();
        what.run();
        List<Long> heard = List.copyOf(rooms.news);
        TimeUnit.MILLISECONDS.sleep(1500);
        return heard;
    }

    private static void print(String what, List<Long> micros) {
        System.out.printf(
                "  %-60s median %6.1f ms, p99 %6.1f ms (%d)%n",
                what, Figures.median(micros) / 1000.0, Figures.percentile(micros, 99) / 1000.0, micros.size());
    }
}
