package juricast.core.ladder;

import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.rules.Fact;

/**
 * The step that is proposed against one pupil for one kind of act, with all that it rests on.
 *
 * <p>Each earlier step i counts by w = k · 2^(−t/h), with its age t, its half-life h (the exponential weights of S. W. Roberts,
 * "Control Chart Tests Based on Geometric Moving Averages", Technometrics 1(3), 1959), and k = 1 for the same kind of act, ½ for
 * another. An act stands where the ladder puts its kind, one higher for each whole step that the weights come to (rounded half up) and
 * one for a heavier situation; never below a step already taken in this lesson, and never above the last one. So more acts never
 * lower it, and time alone never raises it.
 *
 * @param level which step, from 1
 * @param from where the kind of act stands by itself
 * @param rests what was counted, the heaviest first; nothing that has faded to less than a hundredth
 * @param sum what it comes to
 * @param situation what made it one step higher
 * @param today the highest step already taken in this lesson, 0 if none
 */
public record Proposal(
        Ladder ladder,
        ActKind act,
        int level,
        int from,
        List<Counted> rests,
        double sum,
        Set<Fact> situation,
        int today,
        int quiet) {
    private static final double FADED = 0.01;

    /** One earlier step. @param weight what it adds, more than 0 and at most 1 */
    public record Counted(Earlier step, double weight) {}

    /** How a step that is chosen stands to the one that was proposed. */
    public enum Fit {
        TOO_LOW,
        AS_PROPOSED,
        TOO_HIGH
    }

    /**
     * @param today steps taken against this pupil in this lesson
     * @param facts what is so now
     */
    public static Proposal of(
            Ladder ladder, ActKind act, Past past, List<Earlier> today, Set<Fact> facts, Instant now) {
        Past all = past.and(today);
        List<Counted> rests = all.steps().stream()
                .map(one -> new Counted(one, one.weight(act.id(), now)))
                .filter(one -> one.weight >= FADED)
                .sorted((a, b) -> Double.compare(b.weight, a.weight))
                .toList();
        double sum = rests.stream().mapToDouble(Counted::weight).sum();
        Set<Fact> situation = ladder.heavier().stream().filter(facts::contains).collect(Collectors.toUnmodifiableSet());
        int highest =
                today.stream().mapToInt(one -> ladder.level(one.step())).max().orElse(0);
        int wanted = act.from() + (int) Math.floor(sum + 0.5) + (situation.isEmpty() ? 0 : 1);
        int level = Math.min(ladder.steps().size(), Math.max(wanted, highest));
        return new Proposal(ladder, act, level, act.from(), rests, sum, situation, highest, all.quiet());
    }

    public Step step() {
        return ladder.steps().get(level - 1);
    }

    public Fit fit(Step chosen) {
        int difference = Integer.compare(ladder.level(chosen.id()), level);
        return difference == 0 ? Fit.AS_PROPOSED : difference < 0 ? Fit.TOO_LOW : Fit.TOO_HIGH;
    }
}
