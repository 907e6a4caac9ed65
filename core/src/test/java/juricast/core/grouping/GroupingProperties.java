package juricast.core.grouping;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import juricast.core.identity.PersonId;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

/** What is true of any proposal, for any class and whatever it wishes. */
class GroupingProperties {
    /** A class, what it wishes, and how groups are wanted. */
    record Given(List<PersonId> people, Recipe recipe, Wishes wishes, Met met) {}

    @Provide
    Arbitrary<Given> classes() {
        return Combinators.combine(
                        Arbitraries.integers().between(4, 40),
                        Arbitraries.integers().between(1, 9),
                        Arbitraries.integers().between(0, 9),
                        Arbitraries.longs())
                .as(GroupingProperties::given);
    }

    private static Given given(int size, int groups, int wishes, long seed) {
        var chance = new Random(seed);
        List<PersonId> people =
                IntStream.range(0, size).mapToObj(n -> new PersonId("p" + n)).toList();
        var all = new ArrayList<Wish>();
        for (int n = 0; n < wishes; n++) {
            var who = new HashSet<PersonId>();
            while (who.size() < 2 + chance.nextInt(2)) {
                who.add(people.get(chance.nextInt(size)));
            }
            var kind = chance.nextInt(3) == 0 ? Wish.Kind.TOGETHER : Wish.Kind.APART;
            all.add(new Wish(kind, who, chance.nextBoolean(), "", new PersonId("maren")));
        }
        Map<PersonId, Integer> levels = new HashMap<>();
        people.forEach(one -> levels.put(one, 1 + chance.nextInt(3)));
        Set<PersonId> trusted = Set.of(people.get(0), people.get(size / 2));
        var recipe = new Recipe(
                Recipe.By.NUMBER,
                Math.min(groups, size / 2),
                chance.nextBoolean(),
                chance.nextBoolean(),
                chance.nextBoolean(),
                2,
                seed);
        var met = new ArrayList<List<Set<PersonId>>>();
        for (int lesson = 0; lesson < chance.nextInt(4); lesson++) {
            var by = new Recipe(Recipe.By.NUMBER, Math.min(3, size / 2), false, false, false, 2, seed + lesson);
            met.add(Grouping.propose(people, by, Wishes.NONE, Met.NOBODY).groups().stream()
                    .map(Set::copyOf)
                    .toList());
        }
        return new Given(people, recipe, new Wishes(all, levels, trusted), new Met(met));
    }

    @Property(tries = 150)
    void everybody_is_in_one_group_and_no_kept_wish_is_broken(@ForAll("classes") Given given) {
        Proposal made = Grouping.propose(given.people, given.recipe, given.wishes, given.met);

        assertThat(made.groups().stream().flatMap(List::stream)).containsExactlyInAnyOrderElementsOf(given.people);
        assertThat(made.groups()).hasSize(given.recipe.count());
        assertThat(made.groups()).allSatisfy(group -> assertThat(group.size()).isGreaterThanOrEqualTo(2));
        List<Wish> dropped =
                made.contradictions().stream().map(Contradiction::dropped).toList();
        assertThat(dropped)
                .as("only what is named as impossible is broken")
                .containsAll(given.wishes.broken(made.groups()));
        if (made.even()) {
            var sizes = made.groups().stream().mapToInt(List::size).summaryStatistics();
            assertThat(sizes.getMax() - sizes.getMin()).isLessThan(2);
        }
        assertThat(made.metAtLeast()).isBetween(0, made.metAgain());
    }

    /** A binding wish is dropped only where it truly cannot be: what it is said to stand against has no solution, however uneven. */
    @Property(tries = 60)
    void a_binding_wish_is_dropped_only_where_no_groups_keep_it(@ForAll("classes") Given large) {
        List<PersonId> people = large.people.subList(0, Math.min(8, large.people.size()));
        var recipe = new Recipe(
                Recipe.By.NUMBER, Math.min(3, people.size() / 2), false, false, false, 2, large.recipe.seed());
        Proposal made = Grouping.propose(people, recipe, large.wishes, Met.NOBODY);

        for (Contradiction one : made.contradictions()) {
            if (one.dropped().binding()) {
                var together = new ArrayList<>(one.with());
                together.add(one.dropped());
                assertThat(exists(people, recipe.count(), 2, together))
                        .as("groups that keep " + together)
                        .isFalse();
            }
        }
    }

    /** For small classes all groups there are can be tried: none meets fewer than the bound, and what is found is the best. */
    @Property(tries = 40)
    void of_a_small_class_the_best_is_found_and_the_bound_is_one(@ForAll("classes") Given large) {
        List<PersonId> people = large.people.subList(0, Math.min(8, large.people.size()));
        var recipe = new Recipe(
                Recipe.By.NUMBER, Math.min(3, people.size() / 2), false, true, false, 2, large.recipe.seed());
        Proposal made = Grouping.propose(people, recipe, Wishes.NONE, large.met);

        int best = least(people, recipe.count(), large.met.among(people));
        assertThat(made.metAgain()).isEqualTo(best);
        assertThat(made.metAtLeast()).isLessThanOrEqualTo(best);
    }

    private static boolean exists(List<PersonId> people, int groups, int smallest, List<Wish> wishes) {
        return all(people.size(), groups).anyMatch(seats -> {
            List<List<PersonId>> made = made(people, groups, seats);
            return made.stream().allMatch(group -> group.size() >= smallest)
                    && wishes.stream().noneMatch(wish -> wish.isBrokenBy(made));
        });
    }

    private static int least(List<PersonId> people, int groups, boolean[][] met) {
        int even = people.size() / groups;
        return all(people.size(), groups)
                .filter(seats -> IntStream.range(0, groups).allMatch(group -> {
                    long size = IntStream.of(seats).filter(one -> one == group).count();
                    return size == even || size == even + 1 && people.size() % groups > 0;
                }))
                .mapToInt(seats -> {
                    int pairs = 0;
                    for (int one = 0; one < seats.length; one++) {
                        for (int other = one + 1; other < seats.length; other++) {
                            pairs += seats[one] == seats[other] && met[one][other] ? 1 : 0;
                        }
                    }
                    return pairs;
                })
                .min()
                .orElseThrow();
    }

    /** Every way to put so many people into so many groups. */
    private static java.util.stream.Stream<int[]> all(int people, int groups) {
        int ways = (int) Math.pow(groups, people);
        return IntStream.range(0, ways).mapToObj(way -> {
            var seats = new int[people];
            int rest = way;
            for (int i = 0; i < people; i++) {
                seats[i] = rest % groups;
                rest /= groups;
            }
            return seats;
        });
    }

    private static List<List<PersonId>> made(List<PersonId> people, int groups, int[] seats) {
        return IntStream.range(0, groups)
                .mapToObj(group -> IntStream.range(0, seats.length)
                        .filter(i -> seats[i] == group)
                        .mapToObj(people::get)
                        .toList())
                .toList();
    }
}
