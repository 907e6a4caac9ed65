package juricast.bench;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;

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
                used.add(heap(demo));
                System.out.printf(
                        "  minute %2d: heap in use after a collection %d MB, resident %d MB%n",
                        minute, used.get(minute - 1), resident(demo));
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

    private static long heap(RunningJar demo) throws IOException, InterruptedException {
        jcmd(demo, "GC.run");
        // Each generation of the heap on a line of its own.
        return Pattern.compile("total \\d+K, used (\\d+)K")
                        .matcher(jcmd(demo, "GC.heap_info"))
                        .results()
                        .mapToLong(generation -> Long.parseLong(generation.group(1)))
                        .sum()
                / 1024;
    }

    private static String jcmd(RunningJar demo, String command) throws IOException, InterruptedException {
        Path tool = Path.of(System.getProperty("java.home"), "bin", "jcmd");
        Process asked =
                new ProcessBuilder(tool.toString(), Long.toString(demo.process().pid()), command).start();
        String answer = new String(asked.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        asked.waitFor();
        return answer;
    }

    private static long resident(RunningJar demo) throws IOException {
        return Files.readAllLines(Path.of("/proc", Long.toString(demo.process().pid()), "status")).stream()
                .filter(line -> line.startsWith("VmRSS"))
                .mapToLong(line -> Long.parseLong(line.replaceAll("\\D", "")) / 1024)
                .findFirst()
                .orElse(0);
    }
}
