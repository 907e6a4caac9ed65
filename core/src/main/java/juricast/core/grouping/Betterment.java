package juricast.core.grouping;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import juricast.core.identity.PersonId;

/**
 * Makes groups better without breaking a kept wish: blocks change places between two groups, first also for the worse, later less and
 * less (simulated annealing; Kirkpatrick, Gelatt, Vecchi, Science 220, 1983). The number of steps is fixed, not the time, so that a
 * seed always gives the same groups.
 */
final class Betterment {
    private static final int STARTS = 3;
    private static final int STEPS = 40_000;
    /** What counts more than everything after it together. */
    private static final long PAIR_OF_A_DROPPED_WISH = 1_000_000_000_000L;

    private static final long NO_TRUSTED = 100_000_000L;
    private static final long ONE_TOO_MANY = 10_000L;

    private final List<PersonId> people;
    private final Recipe recipe;
    private final Seating.Blocks blocks;
    private final boolean[][] met;
    private final List<List<Integer>> metGroups;
    private final int groups;
    private final int least;
    private final int most;
    private final int[][] dropped;
    private final int[] levels;
    private final int[] ofLevel;
    private final boolean[] trusted;

    Betterment(
            List<PersonId> people,
            Recipe recipe,
            Seating.Blocks blocks,
            List<Wish> dropped,
            Wishes wishes,
            Met met,
            int groups,
            int least,
            int most) {
        this.people = people;
        this.recipe = recipe;
        this.blocks = blocks;
        this.met = met.among(people);
        this.metGroups = met.groupsOf(people);
        this.groups = groups;
        this.least = least;
        this.most = most;
        this.dropped = weights(dropped);
        levels = people.stream()
                .mapToInt(one -> wishes.levels().getOrDefault(one, 0))
                .toArray();
        ofLevel = new int[Wishes.LEVELS + 1];
        Arrays.stream(levels).forEach(level -> ofLevel[level]++);
        trusted = new boolean[people.size()];
        for (int i = 0; i < trusted.length; i++) {
            trusted[i] = wishes.trusted().contains(people.get(i));
        }
    }

    /** For each pair what it costs to be in one group: something where they should be apart, the reverse where together. */
    private int[][] weights(List<Wish> wishes) {
        var all = new int[people.size()][people.size()];
        for (Wish wish : wishes) {
            for (int one = 0; one < people.size(); one++) {
                for (int other = 0; other < people.size(); other++) {
                    if (one != other
                            && wish.people().contains(people.get(one))
                            && wish.people().contains(people.get(other))) {
                        all[one][other] += wish.kind() == Wish.Kind.APART ? 1 : -1;
                    }
                }
            }
        }
        return all;
    }

    /** The best that was found. @param start another seating each time */
    int[] from(Supplier<int[]> start, Random chance) {
        int[] best = start.get();
        long bestCost = cost(best);
        for (int n = 0; n < STARTS && bestCost > enough(); n++) {
            var search = new Search(n == 0 ? best.clone() : start.get(), chance);
            search.run(enough());
            if (search.bestCost < bestCost) {
                best = search.best;
                bestCost = search.bestCost;
            }
        }
        return best;
    }

    /** What cannot be bettered. Where a dropped wish is among it, nobody knows, and all steps are taken. */
    private long enough() {
        boolean isFree =
                Arrays.stream(dropped).allMatch(row -> Arrays.stream(row).allMatch(one -> one == 0));
        return isFree ? (recipe.mixed() ? metAtLeast() : 0) : Long.MIN_VALUE;
    }

    List<List<PersonId>> groups(int[] groupOf) {
        return IntStream.range(0, groups)
                .mapToObj(group -> IntStream.of(members(groupOf, group))
                        .mapToObj(people::get)
                        .toList())
                .toList();
    }

    int metAgain(int[] groupOf) {
        return IntStream.range(0, groups)
                .map(group -> metIn(members(groupOf, group)))
                .sum();
    }

    int withoutTrusted(int[] groupOf) {
        return recipe.trusted()
                ? (int) IntStream.range(0, groups)
                        .filter(group -> IntStream.of(members(groupOf, group)).noneMatch(one -> trusted[one]))
                        .count()
                : 0;
    }

    /**
     * How many pairs meet again in any groups of these sizes. Two bounds, the better one counts: each person has at least so many old
     * acquaintances as are left when all strangers are taken first; and an earlier group is spread at best evenly over the new ones.
     * Earlier groups that share a pair are counted once.
     */
    int metAtLeast() {
        int onePerson = 0;
        for (int one = 0; one < people.size(); one++) {
            int known = 0;
            for (boolean pair : met[one]) {
                known += pair ? 1 : 0;
            }
            onePerson += Math.max(0, least - 1 - (people.size() - 1 - known));
        }
        return Math.max((onePerson + 1) / 2, fromEarlierGroups());
    }

    private int fromEarlierGroups() {
        var counted = new boolean[people.size()][people.size()];
        int sum = 0;
        for (List<Integer> group : metGroups) {
            boolean isNew = group.stream()
                    .allMatch(one -> group.stream().noneMatch(other -> !one.equals(other) && counted[one][other]));
            if (isNew) {
                int each = group.size() / groups;
                int more = group.size() % groups;
                sum += groups * each * (each - 1) / 2 + more * each;
                group.forEach(one -> group.forEach(other -> counted[one][other] = true));
            }
        }
        return sum;
    }

    private int[] members(int[] groupOf, int group) {
        return IntStream.range(0, groupOf.length)
                .filter(block -> groupOf[block] == group)
                .flatMap(block -> IntStream.of(blocks.all().get(block)))
                .sorted()
                .toArray();
    }

    private long cost(int[] groupOf) {
        return IntStream.range(0, groups)
                .mapToLong(group -> cost(members(groupOf, group), members(groupOf, group).length))
                .sum();
    }

    private int metIn(int[] members) {
        int pairs = 0;
        for (int i = 0; i < members.length; i++) {
            for (int j = i + 1; j < members.length; j++) {
                pairs += met[members[i]][members[j]] ? 1 : 0;
            }
        }
        return pairs;
    }

    private long cost(int[] members, int count) {
        long cost = 0;
        boolean hasTrusted = false;
        var here = new int[Wishes.LEVELS + 1];
        for (int i = 0; i < count; i++) {
            int one = members[i];
            hasTrusted |= trusted[one];
            here[levels[one]]++;
            for (int j = i + 1; j < count; j++) {
                cost += dropped[one][members[j]] * PAIR_OF_A_DROPPED_WISH;
                cost += recipe.mixed() && met[one][members[j]] ? 1 : 0;
            }
        }
        if (recipe.trusted() && !hasTrusted) {
            cost += NO_TRUSTED;
        }
        return recipe.balanced() ? cost + ONE_TOO_MANY * unbalanced(here, count) : cost;
    }

    /** How far a group is from its share of each level, whole people only. */
    private int unbalanced(int[] here, int size) {
        int sum = 0;
        for (int level = 1; level < here.length; level++) {
            int share = ofLevel[level] * size / people.size();
            int rest = ofLevel[level] * size % people.size();
            sum += Math.max(0, here[level] - share - (rest > 0 ? 1 : 0)) + Math.max(0, share - here[level]);
        }
        return sum;
    }

    /** One walk from one seating. */
    private final class Search {
        private final Random chance;
        private final int[] groupOf;
        private final int[] sizes = new int[groups];
        private final long[] costs = new long[groups];
        private final int[] buffer = new int[people.size()];
        private long now;
        private int[] best;
        private long bestCost;

        Search(int[] start, Random chance) {
            this.chance = chance;
            groupOf = start;
            for (int group = 0; group < groups; group++) {
                int[] members = members(groupOf, group);
                sizes[group] = members.length;
                costs[group] = cost(members, members.length);
                now += costs[group];
            }
            best = groupOf.clone();
            bestCost = now;
        }

        void run(long enough) {
            for (int step = 0; step < STEPS && bestCost > enough && groups > 1; step++) {
                step(3.0 * (1 - (double) step / STEPS));
                if (now < bestCost) {
                    bestCost = now;
                    best = groupOf.clone();
                }
            }
        }

        private void step(double heat) {
            int from = chance.nextInt(groupOf.length);
            int to = chance.nextInt(groupOf.length);
            int one = groupOf[from];
            int other = groupOf[to];
            if (one == other) {
                return;
            }
            // Either the block moves over, or another comes back for it, and perhaps one more.
            int third = chance.nextInt(groupOf.length);
            boolean isMove = chance.nextInt(4) == 0;
            int[] back = isMove
                    ? new int[0]
                    : third != to && groupOf[third] == other && blocks.all().get(from).length > 1
                            ? new int[] {to, third}
                            : new int[] {to};
            int shift = blocks.all().get(from).length
                    - Arrays.stream(back)
                            .map(block -> blocks.all().get(block).length)
                            .sum();
            if (!isSize(sizes[one] - shift) || !isSize(sizes[other] + shift)) {
                return;
            }
            exchange(from, back, one, other);
            if (clashes(from) || Arrays.stream(back).anyMatch(this::clashes) || !isTaken(one, other, heat)) {
                exchange(from, back, other, one);
            } else {
                sizes[one] -= shift;
                sizes[other] += shift;
            }
        }

        private boolean isSize(int size) {
            return size >= least && size <= most;
        }

        private void exchange(int from, int[] back, int one, int other) {
            groupOf[from] = other;
            for (int block : back) {
                groupOf[block] = one;
            }
        }

        private boolean clashes(int block) {
            for (int other = 0; other < groupOf.length; other++) {
                if (blocks.apart()[block][other] && groupOf[other] == groupOf[block]) {
                    return true;
                }
            }
            return false;
        }

        private boolean isTaken(int one, int other, double heat) {
            long costOne = costOf(one);
            long costOther = costOf(other);
            long worse = costOne + costOther - costs[one] - costs[other];
            if (worse > 0 && chance.nextDouble() >= Math.exp(-worse / Math.max(heat, 1e-9))) {
                return false;
            }
            costs[one] = costOne;
            costs[other] = costOther;
            now += worse;
            return true;
        }

        private long costOf(int group) {
            int count = 0;
            for (int block = 0; block < groupOf.length; block++) {
                if (groupOf[block] == group) {
                    for (int one : blocks.all().get(block)) {
                        buffer[count++] = one;
                    }
                }
            }
            return cost(buffer, count);
        }
    }
}
