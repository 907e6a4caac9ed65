package juricast.server.grouping;

import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import juricast.core.grouping.Contradiction;
import juricast.core.grouping.Grouping;
import juricast.core.grouping.Proposal;
import juricast.core.grouping.Recipe;
import juricast.core.grouping.Wish;
import juricast.core.identity.PersonId;
import juricast.server.problems.Problem;

/** Wishes and what stands against them, in sentences. */
public final class WishWords {
    private WishWords() {}

    public static String of(Wish wish, Function<PersonId, String> name) {
        String who = wish.people().stream().map(name).sorted().collect(Collectors.joining(" and "));
        String what = wish.kind() == Wish.Kind.APART ? who + " stay apart" : who + " stay together";
        return wish.binding() ? what + ", by the safeguarding lead" : what;
    }

    /** What a proposal breaks, and what cannot be better. */
    public static List<String> of(Proposal proposal, Function<PersonId, String> name) {
        var all = new java.util.ArrayList<String>();
        proposal.contradictions().forEach(one -> all.add(against(one, name)));
        if (!proposal.even()) {
            all.add("Groups are not even: what the safeguarding lead has set comes first.");
        }
        if (proposal.withoutTrusted() > 0) {
            all.add(
                    proposal.withoutTrusted() == 1
                            ? "One group has no trusted pupil: there are not enough."
                            : proposal.withoutTrusted() + " groups have no trusted pupil: there are not enough.");
        }
        return all;
    }

    private static String against(Contradiction one, Function<PersonId, String> name) {
        String not = "This cannot be kept: " + of(one.dropped(), name) + ".";
        return one.with().isEmpty()
                ? not + " Groups of this number and size do not allow it."
                : not + " It stands against: "
                        + one.with().stream().map(wish -> of(wish, name)).collect(Collectors.joining("; ")) + ".";
    }

    /** Why no groups can be made. */
    public static Problem impossible(Grouping.Impossible why, int people, Recipe recipe) {
        String nothing = "No groups were made; those that were there are as they were.";
        return switch (why) {
            case NOBODY_HERE -> Problem.refused(
                    "nobody-here", "Nobody is here to make groups of", nothing, "Wait until pupils are in.");
            case MORE_GROUPS_THAN_PEOPLE -> Problem.refused(
                    "more-groups-than-pupils",
                    "%d groups of %d pupils cannot be".formatted(recipe.groupsOf(people), people),
                    nothing,
                    "Choose fewer groups, or larger ones.");
            case TOO_SMALL -> Problem.refused(
                    "groups-too-small",
                    "Groups would be smaller than %d".formatted(recipe.smallest()),
                    nothing,
                    "Choose fewer groups. The rule “The smallest group” says %d.".formatted(recipe.smallest()));
        };
    }
}
