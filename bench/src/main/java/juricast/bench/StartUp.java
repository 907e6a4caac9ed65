package juricast.bench;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;

/** Time from starting the process to the first useful answer, with the demo laid out anew and with one that is there. */
final class StartUp {
    private static final int TIMES = 5;

    private StartUp() {}

    static void measure(Path jar) throws IOException {
        var fresh = new ArrayList<Long>();
        var again = new ArrayList<Long>();
        for (int i = 0; i < TIMES; i++) {
            Path file;
            try (RunningJar running = RunningJar.start(jar)) {
                fresh.add(running.startedIn().toMillis());
                file = running.file();
            }
            try (RunningJar running = RunningJar.start(jar, file)) {
                again.add(running.startedIn().toMillis());
            }
        }
        System.out.printf("  demo laid out anew: median %d ms of %s%n", Figures.median(fresh), fresh);
        System.out.printf("  existing data:      median %d ms of %s%n", Figures.median(again), again);
    }
}
