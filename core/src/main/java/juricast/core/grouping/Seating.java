package juricast.core.grouping;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import juricast.core.identity.PersonId;

/**
 * Finds one way to seat people so that a list of wishes is kept, or that there is none. Those who stay together are one block;
 * blocks are placed one after the other, the one with the fewest places left first (the order of Brélaz, "New methods to color
 * the vertices of a graph", CACM 1979), and taken back where it goes wrong.
 */
final class Seating {
    /** How many placements are tried: far more than any class needs whose wishes are not a puzzle. */
    private static final int TRIES = 20_000;

    /** Blocks of people, by their places in the list. @param apart for each block, the blocks it stays apart from */
    record Blocks(List<int[]> all, boolean[][] apart) {}

    private final Blocks blocks;
    private final int groups;
    private final int least;
    private final int most;
    private final int people;
    private final Random chance;
    private final int[] groupOf;
    private final int[] sizes;
    /** For each block and group, how many in it the block stays apart from. */
    private final int[][] clashes;

    private int tries;

    private Seating(Blocks blocks, int groups, int least, int most, Random chance) {
        this.blocks = blocks;
        this.groups = groups;
        this.least = least;
        this.most = most;
        this.chance = chance;
        people = blocks.all.stream().mapToInt(block -> block.length).sum();
        groupOf = new int[blocks.all.size()];
        Arrays.fill(groupOf, -1);
        sizes = new int[groups];
        clashes = new int[groupOf.length][groups];
    }

    /** The blocks that wishes make, if none stands against itself: kept apart and together at once. */
    static Optional<Blocks> blocks(List<PersonId> people, List<Wish> wishes) {
        int[] head = new int[people.size()];
        Arrays.setAll(head, i -> i);
        for (Wish wish : wishes) {
            if (wish.kind() == Wish.Kind.TOGETHER) {
                int first = -1;
                for (int one : places(people, wish)) {
                    if (first >= 0) {
                        head[find(head, one)] = find(head, first);
                    }
                    first = one;
                }
            }
        }
        var all = new ArrayList<int[]>();
        int[] blockOf = new int[people.size()];
        for (int one = 0; one < people.size(); one++) {
            if (find(head, one) == one) {
                int block = all.size();
                int root = one;
                int[] members = IntStream.range(0, people.size())
                        .filter(other -> find(head, other) == root)
                        .toArray();
                for (int member : members) {
                    blockOf[member] = block;
                }
                all.add(members);
            }
        }
        var apart = new boolean[all.size()][all.size()];
        for (Wish wish : wishes) {
            if (wish.kind() == Wish.Kind.APART) {
                int[] who = places(people, wish);
                for (int one : who) {
                    for (int other : who) {
                        if (one != other) {
                            if (blockOf[one] == blockOf[other]) {
                                return Optional.empty();
                            }
                            apart[blockOf[one]][blockOf[other]] = true;
                        }
                    }
                }
            }
        }
        return Optional.of(new Blocks(all, apart));
    }

    private static int find(int[] head, int one) {
        int root = one;
        while (head[root] != root) {
            root = head[root];
        }
        return root;
    }

    private static int[] places(List<PersonId> people, Wish wish) {
        return IntStream.range(0, people.size())
                .filter(i -> wish.people().contains(people.get(i)))
                .toArray();
    }

    /** The group of each block, if they can be seated. */
    static Optional<int[]> of(Blocks blocks, int groups, int least, int most, Random chance) {
        var seating = new Seating(blocks, groups, least, most, chance);
        return seating.place(0, 0) ? Optional.of(seating.groupOf) : Optional.empty();
    }

    private boolean place(int placed, int seated) {
        if (++tries > TRIES || missing() > people - seated) {
            return false;
        }
        if (placed == groupOf.length) {
            return true;
        }
        int block = hardest();
        for (int group : order(block)) {
            put(block, group, 1);
            if (place(placed + 1, seated + blocks.all.get(block).length)) {
                return true;
            }
            put(block, group, -1);
        }
        return false;
    }

    /** @param count 1 to seat it, -1 to take it back */
    private void put(int block, int group, int count) {
        groupOf[block] = count > 0 ? group : -1;
        sizes[group] += count * blocks.all.get(block).length;
        for (int other = 0; other < groupOf.length; other++) {
            clashes[other][group] += blocks.apart[block][other] ? count : 0;
        }
    }

    private int missing() {
        return Arrays.stream(sizes).map(size -> Math.max(0, least - size)).sum();
    }

    /** The block with the fewest groups left to it; of those the largest, then the one with most to stay apart from. */
    private int hardest() {
        int hardest = -1;
        int key = Integer.MAX_VALUE;
        for (int block = 0; block < groupOf.length; block++) {
            if (groupOf[block] < 0) {
                int free = 0;
                for (int group = 0; group < groups; group++) {
                    free += fits(block, group) ? 1 : 0;
                }
                int ties = 0;
                for (boolean one : blocks.apart[block]) {
                    ties += one ? 1 : 0;
                }
                int mine = free * 10_000 - blocks.all.get(block).length * 100 - ties;
                if (mine < key) {
                    key = mine;
                    hardest = block;
                }
            }
        }
        return hardest;
    }

    /** Groups it fits in, smallest first, of equal ones by chance; of empty ones one is as good as the other. */
    private List<Integer> order(int block) {
        var all = new ArrayList<Integer>();
        boolean empty = false;
        int from = groups == 0 ? 0 : chance.nextInt(groups);
        for (int i = 0; i < groups; i++) {
            int group = (from + i) % groups;
            if (fits(block, group) && !(sizes[group] == 0 && empty)) {
                empty |= sizes[group] == 0;
                all.add(group);
            }
        }
        all.sort((one, other) -> sizes[one] - sizes[other]);
        return all;
    }

    private boolean fits(int block, int group) {
        return clashes[block][group] == 0 && sizes[group] + blocks.all.get(block).length <= most;
    }
}
