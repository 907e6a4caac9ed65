package juricast.server.door;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import juricast.core.entry.Sweep;

/** Knocks of unknown people at all doors of the school in the last minutes; older ones are forgotten. */
final class Tries {
    /** A flood of knocks forgets its own beginning rather than fill the memory. */
    private static final int MOST = 5000;

    private final Deque<Sweep.Try> lately = new ArrayDeque<>();

    synchronized Optional<Sweep> tried(Sweep.Try last) {
        while (!lately.isEmpty()
                && (lately.size() >= MOST
                        || lately.peekFirst().at().isBefore(last.at().minus(Sweep.WINDOW)))) {
            lately.removeFirst();
        }
        Optional<Sweep> sweep = Sweep.of(lately, last);
        lately.addLast(last);
        return sweep;
    }
}
