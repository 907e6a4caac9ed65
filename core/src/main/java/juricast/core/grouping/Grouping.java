package juricast.core.grouping;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import juricast.core.identity.PersonId;

/**
 * Proposes groups (need H1). Wishes come first, the lead's before the teacher's: one after the other is added as long as people can
 * still be seated, and of what then stands against each other the smallest set is named. What is left free goes to even groups, to
 * trusted pupils, to balance and to new company, in this order, by {@link Betterment}.
 */
public final class Grouping {
    private final List<PersonId> people;
    private final Recipe recipe;
    private final Wishes wishes;
    private final int groups;
    private final Random chance;

    /** The sizes groups have; wider than even ones only where binding wishes need it. */
    private int least;

    private int most;

    private final List<Wish> kept = new ArrayList<>();
    private final List<Contradiction> contradictions = new ArrayList<>();

    private Grouping(List<PersonId> people, Recipe recipe, Wishes wishes) {
        this.people = new ArrayList<>(people);
        this.recipe = recipe;
        this.wishes = wishes;
        groups = recipe.groupsOf(people.size());
        chance = new Random(recipe.seed());
        Collections.shuffle(this.people, chance);
        least = people.size() / groups;
        most = (people.size() + groups - 1) / groups;
    }

    /** Why no groups can be made at all. */
    public enum Impossible {
        NOBODY_HERE,
        MORE_GROUPS_THAN_PEOPLE,
        /** Smaller than the rule, or than two. */
        TOO_SMALL
    }

    /** What stands in the way of making groups of these people, if anything. */
    public static Optional<Impossible> impossible(int people, Recipe recipe) {
        if (people == 0) {
            return Optional.of(Impossible.NOBODY_HERE);
        }
        int groups = recipe.groupsOf(people);
        if (groups > people) {
            return Optional.of(Impossible.MORE_GROUPS_THAN_PEOPLE);
        }
        return people / groups < recipe.smallest() ? Optional.of(Impossible.TOO_SMALL) : Optional.empty();
    }

    /**
     * Groups of these people; the same for the same seed.
     *
     * @param met who was together lately
     * @throws IllegalArgumentException if it is {@link #impossible}
     */
    public static Proposal propose(List<PersonId> people, Recipe recipe, Wishes wishes, Met met) {
        impossible(people.size(), recipe).ifPresent(why -> {
            throw new IllegalArgumentException("No groups: " + why);
        });
        return new Grouping(people, recipe, wishes).proposal(met);
    }

    /**
     * Which group somebody goes to who comes later: the smallest in which no wish is broken; where each breaks one, the smallest in
     * which no binding wish is.
     *
     * @return empty if there is none
     */
    public static <G> Optional<G> placeFor(
            PersonId late, Map<G, ? extends Collection<PersonId>> groups, Wishes wishes) {
        return smallest(late, groups, wishes, false).or(() -> smallest(late, groups, wishes, true));
    }

    private static <G> Optional<G> smallest(
            PersonId late, Map<G, ? extends Collection<PersonId>> groups, Wishes wishes, boolean bindingOnly) {
        return groups.entrySet().stream()
                .filter(one -> wishes.all().stream()
                        .filter(wish -> (wish.binding() || !bindingOnly)
                                && wish.people().contains(late))
                        .noneMatch(wish -> breaks(wish, late, one.getKey(), groups)))
                .min(Comparator.comparing(one -> one.getValue().size()))
                .map(Map.Entry::getKey);
    }

    private static <G> boolean breaks(Wish wish, PersonId late, G to, Map<G, ? extends Collection<PersonId>> groups) {
        var with = new ArrayList<Collection<PersonId>>();
        groups.forEach((group, members) -> {
            var then = new ArrayList<>(members);
            then.remove(late);
            if (group.equals(to)) {
                then.add(late);
            }
            with.add(then);
        });
        return wish.isBrokenBy(with);
    }

    private Proposal proposal(Met met) {
        int even = most;
        int evenLeast = least;
        wishes.all().stream()
                .filter(this::isAboutUs)
                .sorted(Comparator.comparing(Wish::binding).reversed())
                .forEach(this::keepOrName);
        Seating.Blocks blocks = Seating.blocks(people, kept).orElseThrow();
        var better = new Betterment(people, recipe, blocks, dropped(), wishes, met, groups, least, most);
        int[] best = better.from(
                () -> Seating.of(blocks, groups, least, most, chance).orElseThrow(), chance);
        List<List<PersonId>> made = better.groups(best);
        return new Proposal(
                made,
                contradictions,
                better.metAgain(best),
                Math.min(better.metAgain(best), better.metAtLeast()),
                better.withoutTrusted(best),
                made.stream().allMatch(group -> group.size() >= evenLeast && group.size() <= even));
    }

    private boolean isAboutUs(Wish wish) {
        return wish.people().stream().filter(people::contains).count() > 1;
    }

    private List<Wish> dropped() {
        return contradictions.stream().map(Contradiction::dropped).toList();
    }

    private void keepOrName(Wish wish) {
        var with = new ArrayList<>(kept);
        with.add(wish);
        Optional<Sizes> sizes = sizesFor(with, wish.binding());
        if (sizes.isPresent()) {
            kept.add(wish);
            least = sizes.get().least;
            most = sizes.get().most;
        } else {
            contradictions.add(new Contradiction(wish, standingAgainst(wish)));
        }
    }

    private record Sizes(int least, int most) {}

    /** The sizes with which all of these are kept: those of now, or for the lead's word as little uneven as it goes. */
    private Optional<Sizes> sizesFor(List<Wish> all, boolean binding) {
        for (int slack = 0; slack <= (binding ? people.size() : 0); slack++) {
            var sizes = new Sizes(
                    Math.max(Math.min(least, recipe.smallest()), least - slack), Math.min(people.size(), most + slack));
            boolean fits = Seating.blocks(people, all)
                    .flatMap(blocks -> Seating.of(blocks, groups, sizes.least, sizes.most, chance))
                    .isPresent();
            if (fits) {
                return Optional.of(sizes);
            }
        }
        return Optional.empty();
    }

    /** Leaves out one after the other, and for good where it stays impossible: what is left all has a part in it. */
    private List<Wish> standingAgainst(Wish wish) {
        var rest = new ArrayList<>(kept);
        for (Wish one : kept) {
            var without = new ArrayList<>(rest);
            without.remove(one);
            without.add(wish);
            if (sizesFor(without, wish.binding()).isEmpty()) {
                rest.remove(one);
            }
        }
        return rest;
    }
}
