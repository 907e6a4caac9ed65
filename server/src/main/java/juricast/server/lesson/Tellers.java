package juricast.server.lesson;

import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;

/**
 * Those who tell browsers what has changed. Telling never waits for a browser, so there are as many tellers as can work at
 * once. Seats are told at once. A desk is told when no seat of the school has been told for a moment: making its view costs as
 * much as telling ten seats, so when all lessons act in the same instant the seats come first, and a crowd at the door costs
 * a desk one view in a moment instead of thirty. Who gave the order has their answer already.
 */
final class Tellers implements AutoCloseable {
    /** Shorter than anybody notices. */
    private static final long MOMENT_MS = 10;

    /** After so many moments a desk is told, however busy the seats are. */
    private static final int MOST_MOMENTS = 15;

    private final ScheduledExecutorService threads =
            Executors.newScheduledThreadPool(Math.max(2, Runtime.getRuntime().availableProcessors()));
    private volatile long seatsTold = System.nanoTime();

    void tell(Viewer.Audience audience, Runnable work) {
        if (audience == Viewer.Audience.SEAT) {
            threads.execute(() -> {
                work.run();
                seatsTold = System.nanoTime();
            });
        } else {
            inAMoment(work, MOST_MOMENTS);
        }
    }

    private void inAMoment(Runnable work, int moments) {
        threads.schedule(
                () -> {
                    boolean isBusy = System.nanoTime() - seatsTold < TimeUnit.MILLISECONDS.toNanos(MOMENT_MS);
                    if (isBusy && moments > 0) {
                        inAMoment(work, moments - 1);
                    } else {
                        work.run();
                    }
                },
                MOMENT_MS,
                TimeUnit.MILLISECONDS);
    }

    @Override
    public void close() {
        threads.shutdownNow();
    }
}
