package juricast.core.attendance;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import juricast.core.register.Mark;

/**
 * Why a pupil needs attention this week, worked out from what stands in the registers.
 *
 * @param reasons the gravest first, at least one
 * @param lately the last four weeks
 * @param before the four weeks before them
 */
public record Attention(List<Reason> reasons, Tally lately, Tally before) {
    /** The stretch that is looked at, and compared with as much before it. */
    public static final Duration STRETCH = Duration.ofDays(28);

    /** @param number what it is about: lessons, percent, or percentage points */
    public record Reason(Kind kind, int number) {}

    /** From the gravest on. */
    public enum Kind {
        /** So many of the latest lessons in a row without being there. */
        ABSENT_IN_A_ROW,
        /** Was there in so many percent of the lessons. */
        SELDOM_THERE,
        /** Is there by so many percentage points less than before. */
        LESS_THAN_BEFORE,
        /** So many lessons late. */
        OFTEN_LATE
    }

    /**
     * From when on it is worth a look; the school sets it.
     *
     * @param inARow lessons without being there
     * @param belowPercent of the lessons
     * @param dropPoints percentage points less than before
     * @param lateTimes lessons late; they count if they are also a quarter of those attended
     */
    public record Thresholds(int inARow, int belowPercent, int dropPoints, int lateTimes) {
        public static final Thresholds USUAL = new Thresholds(3, 80, 15, 4);
    }

    public Attention {
        reasons = List.copyOf(reasons);
    }

    /**
     * Looks at one pupil. A rate from fewer than {@link Tally#SMALL} lessons gives no reason: it says too little.
     *
     * @return one without reasons if nothing is to be seen
     */
    public static Attention of(List<Attended> lines, Thresholds thresholds, Instant now) {
        List<Attended> counted = lines.stream()
                .filter(one -> one.mark().counts())
                .sorted(Comparator.comparing(Attended::at).reversed())
                .toList();
        Instant since = now.minus(STRETCH);
        Tally lately = Tally.of(within(lines, since, now));
        Tally before = Tally.of(within(lines, since.minus(STRETCH), since));
        var reasons = new ArrayList<Reason>();
        int row = inARow(counted);
        if (row >= thresholds.inARow) {
            reasons.add(new Reason(Kind.ABSENT_IN_A_ROW, row));
        }
        if (!lately.isSmall()) {
            int rate = lately.rate().orElseThrow();
            if (rate < thresholds.belowPercent) {
                reasons.add(new Reason(Kind.SELDOM_THERE, rate));
            }
            if (!before.isSmall() && before.rate().orElseThrow() - rate >= thresholds.dropPoints) {
                reasons.add(new Reason(Kind.LESS_THAN_BEFORE, before.rate().orElseThrow() - rate));
            }
        }
        if (lately.late() >= thresholds.lateTimes && 4 * lately.late() >= lately.attended()) {
            reasons.add(new Reason(Kind.OFTEN_LATE, lately.late()));
        }
        return new Attention(reasons, lately, before);
    }

    private static List<Attended> within(List<Attended> lines, Instant from, Instant until) {
        return lines.stream()
                .filter(one -> !one.at().isBefore(from) && one.at().isBefore(until))
                .toList();
    }

    private static int inARow(List<Attended> latestFirst) {
        int row = 0;
        while (row < latestFirst.size() && latestFirst.get(row).mark() == Mark.ABSENT) {
            row++;
        }
        return row;
    }
}
