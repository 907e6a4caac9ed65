package juricast.bench;

import java.util.List;

/** Medians and percentiles of measured figures. */
final class Figures {
    private Figures() {}

    static long median(List<Long> figures) {
        return percentile(figures, 50);
    }

    /** The smallest figure that so many per cent do not exceed (nearest rank). */
    static long percentile(List<Long> figures, int percent) {
        List<Long> sorted = figures.stream().sorted().toList();
        return sorted.get(Math.max(0, (int) Math.ceil(sorted.size() * percent / 100.0) - 1));
    }
}
