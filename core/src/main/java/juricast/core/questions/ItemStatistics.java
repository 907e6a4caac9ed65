package juricast.core.questions;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a prepared question has come to over lessons, by classical test theory.
 *
 * <p>Difficulty is the share of right answers (the higher, the easier); how sure it is says the interval of Wilson, "Probable inference",
 * J. Amer. Statist. Assoc. 22, 1927, for 95 of 100 cases. How well it tells those apart who know more from those who know less is the
 * correlation of being right here with the share of right answers in the rest of the same lesson: the point-biserial correlation with the
 * item left out of the rest (Henrysson, "Correction of item-total correlations in item analysis", Psychometrika 28, 1963).
 *
 * @param answers how many answered it, over all lessons
 * @param share of right answers, 0 to 1
 * @param low the lower end of its interval
 * @param high the upper end of its interval
 * @param tellsApart from -1 to 1; nothing where fewer than {@link #FEWEST} have answered something else too, or all did alike
 */
public record ItemStatistics(
        int answers, double share, double low, double high, Optional<Double> tellsApart, boolean isUncertain) {
    /** With fewer answers nothing is certain, and nothing is said of telling apart. */
    public static final int FEWEST = 20;

    private static final double Z95 = 1.959964;

    /** One person's answers in one lesson: which questions, and whether they were right. */
    public record Sheet(Map<String, Boolean> right) {}

    /** Of one question. Nothing where nobody has answered it. */
    public static Optional<ItemStatistics> of(String question, List<Sheet> sheets) {
        List<Sheet> answered =
                sheets.stream().filter(one -> one.right.containsKey(question)).toList();
        int all = answered.size();
        if (all == 0) {
            return Optional.empty();
        }
        long right = answered.stream().filter(one -> one.right.get(question)).count();
        double share = (double) right / all;
        double half = Z95 * Math.sqrt(share * (1 - share) / all + Z95 * Z95 / (4.0 * all * all));
        double middle = share + Z95 * Z95 / (2.0 * all);
        double whole = 1 + Z95 * Z95 / all;
        return Optional.of(new ItemStatistics(
                all,
                share,
                Math.max(0, (middle - half) / whole),
                Math.min(1, (middle + half) / whole),
                tellsApart(question, answered),
                all < FEWEST));
    }

    private static Optional<Double> tellsApart(String question, List<Sheet> answered) {
        var here = new ArrayList<Double>();
        var rest = new ArrayList<Double>();
        for (Sheet sheet : answered) {
            if (sheet.right.size() > 1) {
                boolean isRight = sheet.right.get(question);
                long others = sheet.right.values().stream().filter(one -> one).count() - (isRight ? 1 : 0);
                here.add(isRight ? 1.0 : 0.0);
                rest.add((double) others / (sheet.right.size() - 1));
            }
        }
        return here.size() < FEWEST ? Optional.empty() : correlation(here, rest);
    }

    /** Pearson's; nothing where one of them never differs. */
    static Optional<Double> correlation(List<Double> x, List<Double> y) {
        double meanX = x.stream().mapToDouble(one -> one).average().orElse(0);
        double meanY = y.stream().mapToDouble(one -> one).average().orElse(0);
        double both = 0;
        double ofX = 0;
        double ofY = 0;
        for (int i = 0; i < x.size(); i++) {
            double dx = x.get(i) - meanX;
            double dy = y.get(i) - meanY;
            both += dx * dy;
            ofX += dx * dx;
            ofY += dy * dy;
        }
        return ofX < 1e-12 || ofY < 1e-12 ? Optional.empty() : Optional.of(both / Math.sqrt(ofX * ofY));
    }
}
