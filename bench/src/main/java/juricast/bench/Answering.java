package juricast.bench;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A hundred lessons of thirty pupils who all answer a question within five seconds, each at a moment by chance. It is timed from when
 * an answer was due: until it is on the disk and acknowledged, and until the adult's desk was told a count with it. Seats must not be
 * told of others' answers.
 */
final class Answering {
    private static final int LESSONS = Integer.getInteger("answering.lessons", 100);
    private static final int ROUNDS = 4;
    private static final int SECONDS = 5;
    private static final int LINES = 4;
    private static final Pattern NUMBER = Pattern.compile("\"number\":(\\d+)");
    private static final Rooms.Order ASK = new Rooms.Order(
            "/questions",
            "{\"question\":{\"kind\":\"SINGLE\",\"text\":\"Which tide?\",\"choices\":[\"spring\",\"neap\"],\"points\":0},\"changeable\":false}");

    private Answering() {}

    /** @param number of the lesson once it was on the disk */
    private record Answered(Rooms.Room room, long due, int number) {}

    static void measure(RunningJar demo) throws Exception {
        try (var rooms = new Rooms(demo.address())) {
            rooms.build(LESSONS);
            rooms.ring(20);
            demo.rest();
            var acknowledged = new ArrayList<Long>();
            var behind = new ArrayList<Long>();
            for (int round = 1; round <= ROUNDS; round++) {
                rooms.all(ASK, 20);
                TimeUnit.SECONDS.sleep(2);
                boolean counts = round > 1; // the first warms up
                one(rooms, round, counts ? acknowledged : new ArrayList<>(), counts ? behind : new ArrayList<>());
                close(rooms);
                demo.rest();
            }
            print("answer on the disk and acknowledged", acknowledged);
            print("the adult's desk was told a count with it", behind);
        }
    }

    private static void print(String what, List<Long> micros) {
        Figures.print(what, micros);
        System.out.printf("  %-60s p99 %6.1f ms%n", "", Figures.percentile(micros, 99) / 1000.0);
    }

    private static void close(Rooms rooms) throws Exception {
        for (Rooms.Room room : rooms.rooms) {
            int number = question(rooms, room);
            rooms.order(room, "/questions/" + number + "/close", "");
        }
    }

    private static int question(Rooms rooms, Rooms.Room room) throws Exception {
        String desk = rooms.desk(room);
        Matcher found = NUMBER.matcher(desk.substring(desk.indexOf("\"questions\":{\"now\":{")));
        if (!found.find()) {
            throw new IllegalStateException("No question is asked: " + desk);
        }
        return Integer.parseInt(found.group(1));
    }

    private static void one(Rooms rooms, int round, List<Long> acknowledged, List<Long> behind) throws Exception {
        var answers = Collections.synchronizedList(new ArrayList<Answered>());
        var clock = Executors.newScheduledThreadPool(4);
        var random = new Random(round);
        int all = rooms.rooms.stream().mapToInt(room -> room.seats.size()).sum();
        var done = new CountDownLatch(all);
        var asked = new ArrayList<Integer>();
        for (Rooms.Room room : rooms.rooms) {
            asked.add(question(rooms, room));
        }
        long begins = System.nanoTime() + TimeUnit.SECONDS.toNanos(1);
        for (int r = 0; r < rooms.rooms.size(); r++) {
            Rooms.Room room = rooms.rooms.get(r);
            room.ear.log.clear();
            var lines = new ArrayList<DeskLine>();
            for (int i = 0; i < LINES; i++) {
                lines.add(new DeskLine(rooms.lines()));
            }
            for (int i = 0; i < room.seats.size(); i++) {
                Rooms.Seat seat = room.seats.get(i);
                seat.messages.set(0);
                String head = seat.head("/questions/" + asked.get(r) + "/answer");
                DeskLine line = lines.get(i % LINES);
                long due = begins + (long) (random.nextDouble() * TimeUnit.SECONDS.toNanos(SECONDS));
                clock.schedule(
                        () -> line.give(head, "{\"picked\":[0]}", answer -> {
                            Matcher number = NUMBER.matcher(answer);
                            if (answer.startsWith("HTTP/1.1 200") && number.find()) {
                                acknowledged.add((System.nanoTime() - due) / 1000);
                                answers.add(new Answered(room, due, Integer.parseInt(number.group(1))));
                            } else {
                                System.err.println(answer);
                            }
                            done.countDown();
                        }),
                        due - System.nanoTime(),
                        TimeUnit.NANOSECONDS);
            }
        }
        if (!done.await(60, TimeUnit.SECONDS)) {
            throw new IllegalStateException(done.getCount() + " answers were never acknowledged");
        }
        TimeUnit.SECONDS.sleep(2);
        clock.shutdownNow();
        for (Answered one : answers) {
            one.room.ear.log.stream()
                    .filter(told -> told.number() >= one.number)
                    .map(Rooms.Desk.Told::at)
                    .min(Comparator.naturalOrder())
                    .ifPresentOrElse(
                            at -> behind.add((at - one.due) / 1000),
                            () -> System.err.println("A desk never heard of answer " + one.number));
        }
        int told = rooms.rooms.stream()
                .flatMap(room -> room.seats.stream())
                .mapToInt(seat -> seat.messages.get())
                .sum();
        System.out.printf(
                "  round %d: %d of %d answers, %.2f messages to each seat (its own answer is one)%n",
                round, answers.size(), all, (double) told / all);
    }
}
