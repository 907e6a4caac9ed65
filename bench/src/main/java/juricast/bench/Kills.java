package juricast.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicLong;

/**
 * The application is killed at random moments while orders rain on a hundred lessons of thirty seats. After each start, what
 * was acknowledged must be there, and every stream must have come back by itself.
 */
final class Kills {
    private static final int LESSONS = Integer.getInteger("bell.lessons", 100);
    private static final int KILLS = Integer.getInteger("kills", 50);
    private static final int ORDERS_A_SECOND = 100;

    private Kills() {}

    static void measure(Path jar) throws Exception {
        Path file = Files.createTempDirectory("juricast-kills").resolve("school.db");
        RunningJar running = RunningJar.start(jar, file);
        var random = new Random(11);
        long lost = 0;
        long acknowledged = 0;
        long slowest = 0;
        try (var rooms = new Rooms(running.address())) {
            rooms.build(LESSONS);
            rooms.ring(60);
            rooms.drawUp(8);
            for (int kill = 1; kill <= KILLS; kill++) {
                var goesOn = new AtomicBoolean(true);
                var given = new AtomicLong();
                Thread rain = new Thread(() -> rain(rooms, goesOn, given));
                rain.start();
                TimeUnit.MILLISECONDS.sleep(500 + random.nextInt(2500));
                running.process().destroyForcibly();
                running.process().onExit().join();
                goesOn.set(false);
                rain.join();
                running = RunningJar.start(jar, file, running.port());
                long began = System.nanoTime();
                TimeUnit.SECONDS.sleep(2);
                // Each seat of each lesson must hear of one more order: then its stream is back.
                rooms.orders(LESSONS, 10);
                slowest = Math.max(slowest, (System.nanoTime() - began) / 1_000_000);
                for (Rooms.Room room : rooms.rooms) {
                    String desk = rooms.desk(room);
                    acknowledged += room.acknowledged.size();
                    lost += room.acknowledged.stream()
                            .filter(order -> !desk.contains("\"order " + order + "\""))
                            .count();
                    for (Rooms.Seat seat : room.seats) {
                        lost += seat.missing(room.acknowledged);
                    }
                    room.acknowledged.clear();
                    lost += isAsAcknowledged(room, desk) ? 0 : 1;
                }
                if (kill % 10 == 0) {
                    System.out.printf("  %d kills: %d orders acknowledged, %d lost%n", kill, acknowledged, lost);
                }
            }
            System.out.printf(
                    "  %d kills under load of %d streams: %d orders acknowledged, %d lost at the desk or at a seat;"
                            + " all streams were back within %.1f s of a start%n",
                    KILLS, LESSONS * Rooms.SEATS, acknowledged, lost, slowest / 1000.0);
        } finally {
            running.close();
        }
    }

    /** In groups, or together, as was acknowledged last, and everybody in one place. An order in doubt may have counted or not. */
    private static boolean isAsAcknowledged(Rooms.Room room, String desk) {
        boolean isOut = desk.contains("\"out\":{");
        boolean isKnown = room.isInDoubt || isOut == room.isOut;
        room.isOut = isOut;
        room.isInDoubt = false;
        int inGroups = desk.split("\"where\":\"IN\"", -1).length - 1;
        return isKnown && (!isOut || inGroups == Rooms.SEATS);
    }

    /** Orders until it is told to end; those that the kill cuts off are nobody's promise. */
    private static void rain(Rooms rooms, AtomicBoolean goesOn, AtomicLong given) {
        List<Long> answers = Collections.synchronizedList(new java.util.ArrayList<>());
        while (goesOn.get()) {
            Rooms.Room room = rooms.rooms.get((int) (given.getAndIncrement() % rooms.rooms.size()));
            if (given.get() % 7 == 0) {
                rooms.turnGroups(room);
            } else {
                rooms.give(room, System.nanoTime(), answers, new CompletableFuture<>());
            }
            try {
                TimeUnit.MILLISECONDS.sleep(1000 / ORDERS_A_SECOND);
            } catch (InterruptedException stopped) {
                return;
            }
        }
    }
}
