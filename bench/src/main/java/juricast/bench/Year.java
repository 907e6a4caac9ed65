package juricast.bench;

import java.nio.file.Files;
import java.nio.file.Path;

/**
 * Lessons that are opened, filled with thirty pupils and dismissed, again and again, as over a school year: what the program
 * keeps of them in memory, and how it starts on the file that they have filled.
 */
final class Year {
    private static final int ROUNDS = Integer.getInteger("year.rounds", 20);
    private static final int LESSONS = 50;
    private static final int ARRIVAL_SECONDS = 6;

    private Year() {}

    static void measure(Path jar) throws Exception {
        Path file = Files.createTempDirectory("juricast-year").resolve("school.db");
        try (RunningJar demo = RunningJar.start(jar, file)) {
            long settled = 0;
            long resident = 0;
            for (int round = 1; round <= ROUNDS; round++) {
                try (var rooms = new Rooms(demo.address())) {
                    rooms.build(LESSONS);
                    rooms.ring(ARRIVAL_SECONDS);
                    rooms.dismiss();
                }
                if (round % 5 == 0 || round == 1) {
                    demo.rest();
                    long now = demo.heap();
                    resident = demo.resident();
                    settled = round == 1 ? now : settled;
                    System.out.printf(
                            "  %5d lessons over: heap in use after a collection %d MB, resident %d MB%n",
                            round * LESSONS, now, resident);
                }
            }
            System.out.printf(
                    "  %d lessons of %d pupils: the heap grew by %.1f kB a lesson%n",
                    ROUNDS * LESSONS, Rooms.SEATS, (demo.heap() - settled) * 1024.0 / ((ROUNDS - 1) * LESSONS));
        }
        try (RunningJar again = RunningJar.start(jar, file)) {
            System.out.printf(
                    "  started again on the same file (%d MB) in %d ms: heap in use %d MB, resident %d MB%n",
                    Files.size(file) / 1_000_000, again.startedIn().toMillis(), again.heap(), again.resident());
        }
    }
}
