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

    /** A line of what was measured, in milliseconds. */
    static void print(String what, List<Long> micros) {
        System.out.printf(
                "  %-60s median %6.1f ms, slowest %6.1f ms (%d)%n",
                what, median(micros) / 1000.0, percentile(micros, 100) / 1000.0, micros.size());
    }
}
