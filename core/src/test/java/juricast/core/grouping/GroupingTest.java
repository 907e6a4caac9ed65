package juricast.core.grouping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import juricast.core.identity.PersonId;
import org.junit.jupiter.api.Test;

/** Groups as they are proposed, by example. */
class GroupingTest {
    private static final PersonId MAREN = new PersonId("maren");

    private static List<PersonId> people(int count) {
        return IntStream.range(0, count).mapToObj(GroupingTest::person).toList();
    }

    private static PersonId person(int n) {
        return new PersonId("p" + n);
    }

    private static Wish wish(Wish.Kind kind, boolean binding, int... who) {
        var people = IntStream.of(who).mapToObj(GroupingTest::person).toList();
        return new Wish(kind, Set.copyOf(people), binding, "they quarrel", MAREN);
    }

    private static Wishes wishes(Wish... all) {
        return new Wishes(List.of(all), Map.of(), Set.of());
    }

    private static Recipe into(int groups) {
        return new Recipe(Recipe.By.NUMBER, groups, false, false, false, 2, 7);
    }

    private static List<Integer> sizes(Proposal proposal) {
        return proposal.groups().stream().map(List::size).sorted().toList();
    }

    @Test
    void groups_by_number_and_by_size_are_as_even_as_can_be() {
        assertThat(sizes(Grouping.propose(people(23), into(5), Wishes.NONE, Met.NOBODY)))
                .containsExactly(4, 4, 5, 5, 5);
        var byThrees = new Recipe(Recipe.By.SIZE, 3, false, false, false, 2, 1);
        assertThat(sizes(Grouping.propose(people(7), byThrees, Wishes.NONE, Met.NOBODY)))
                .containsExactly(3, 4);
        assertThat(sizes(Grouping.propose(people(8), byThrees, Wishes.NONE, Met.NOBODY)))
                .containsExactly(2, 3, 3);
    }

    @Test
    void the_same_seed_gives_the_same_groups_and_another_others() {
        var one = Grouping.propose(people(20), into(5), Wishes.NONE, Met.NOBODY);
        var again = Grouping.propose(people(20), into(5), Wishes.NONE, Met.NOBODY);
        var other = Grouping.propose(
                people(20), new Recipe(Recipe.By.NUMBER, 5, false, false, false, 2, 8), Wishes.NONE, Met.NOBODY);
        assertThat(again).isEqualTo(one);
        assertThat(other.groups()).isNotEqualTo(one.groups());
    }

    @Test
    void what_cannot_be_is_said_before_anything_is_made() {
        assertThat(Grouping.impossible(0, into(2))).contains(Grouping.Impossible.NOBODY_HERE);
        assertThat(Grouping.impossible(4, into(5))).contains(Grouping.Impossible.MORE_GROUPS_THAN_PEOPLE);
        assertThat(Grouping.impossible(5, into(3))).contains(Grouping.Impossible.TOO_SMALL);
        assertThatThrownBy(() -> Grouping.propose(people(4), into(5), Wishes.NONE, Met.NOBODY))
                .hasMessageContaining("MORE_GROUPS");
        assertThatThrownBy(() -> into(0)).hasMessageContaining("at least one");
    }

    @Test
    void three_who_stay_apart_in_two_groups_are_a_contradiction_and_only_they_are_named() {
        var apart = wish(Wish.Kind.APART, false, 0, 1);
        var alsoApart = wish(Wish.Kind.APART, false, 1, 2);
        var closing = wish(Wish.Kind.APART, false, 2, 0);
        var unrelated = wish(Wish.Kind.TOGETHER, false, 4, 5);
        var proposal = Grouping.propose(people(8), into(2), wishes(apart, unrelated, alsoApart, closing), Met.NOBODY);

        assertThat(proposal.contradictions()).containsExactly(new Contradiction(closing, List.of(apart, alsoApart)));
        assertThat(wishes(apart, unrelated, alsoApart).broken(proposal.groups()))
                .isEmpty();
        assertThat(sizes(proposal)).containsExactly(4, 4);
    }

    @Test
    void the_leads_word_comes_before_the_teachers_and_before_even_groups() {
        var friends = wish(Wish.Kind.TOGETHER, false, 0, 1);
        var apart = wish(Wish.Kind.APART, true, 0, 1);
        var proposal = Grouping.propose(people(6), into(2), wishes(friends, apart), Met.NOBODY);
        assertThat(proposal.contradictions()).containsExactly(new Contradiction(friends, List.of(apart)));

        var four = wish(Wish.Kind.TOGETHER, true, 0, 1, 2, 3);
        var uneven = Grouping.propose(people(6), into(2), wishes(four), Met.NOBODY);
        assertThat(uneven.contradictions()).isEmpty();
        assertThat(uneven.even()).isFalse();
        assertThat(sizes(uneven)).containsExactly(2, 4);

        var fourFriends = wish(Wish.Kind.TOGETHER, false, 0, 1, 2, 3);
        var even = Grouping.propose(people(6), into(2), wishes(fourFriends), Met.NOBODY);
        assertThat(even.contradictions()).containsExactly(new Contradiction(fourFriends, List.of()));
        assertThat(sizes(even)).containsExactly(3, 3);
        assertThat(even.groups())
                .as("as many of them together as go into a group of three")
                .anySatisfy(group -> assertThat(group).isSubsetOf(person(0), person(1), person(2), person(3)));
    }

    @Test
    void levels_are_spread_and_each_group_has_somebody_trusted() {
        var levels = new LinkedHashMap<PersonId, Integer>();
        people(12).forEach(one -> levels.put(one, 1 + levels.size() % 3));
        var known = new Wishes(List.of(), levels, Set.of(person(0), person(3), person(6), person(9)));
        var recipe = new Recipe(Recipe.By.NUMBER, 4, true, false, true, 2, 3);
        var proposal = Grouping.propose(people(12), recipe, known, Met.NOBODY);

        assertThat(proposal.withoutTrusted()).isZero();
        assertThat(proposal.groups()).allSatisfy(group -> {
            assertThat(group.stream().map(levels::get)).containsExactlyInAnyOrder(1, 2, 3);
            assertThat(group).containsAnyElementsOf(known.trusted());
        });
        var two = new Wishes(List.of(), Map.of(), Set.of(person(0), person(3)));
        assertThat(Grouping.propose(people(12), recipe, two, Met.NOBODY).withoutTrusted())
                .as("two trusted pupils are not in four groups, and that is said")
                .isEqualTo(2);
    }

    @Test
    void a_latecomer_goes_to_the_smallest_group_in_which_no_wish_is_broken() {
        Map<String, List<PersonId>> groups = new LinkedHashMap<>();
        groups.put("a", List.of(person(1), person(2)));
        groups.put("b", List.of(person(3), person(4), person(5)));
        groups.put("c", List.of(person(6), person(7), person(8)));
        assertThat(Grouping.placeFor(person(0), groups, Wishes.NONE)).contains("a");
        assertThat(Grouping.placeFor(person(0), groups, wishes(wish(Wish.Kind.APART, false, 0, 2))))
                .contains("b");
        assertThat(Grouping.placeFor(person(0), groups, wishes(wish(Wish.Kind.TOGETHER, false, 0, 7))))
                .contains("c");
        var everywhere = wishes(
                wish(Wish.Kind.APART, true, 0, 1),
                wish(Wish.Kind.APART, false, 0, 3),
                wish(Wish.Kind.APART, true, 0, 6));
        assertThat(Grouping.placeFor(person(0), groups, everywhere))
                .as("a teacher's wish gives way to the lead's")
                .contains("b");
        assertThat(Grouping.placeFor(person(0), Map.of("a", groups.get("a")), everywhere))
                .isEmpty();
    }

    @Test
    void new_company_is_found_where_there_is_any_and_what_must_meet_again_is_known() {
        List<Set<PersonId>> last = IntStream.range(0, 4)
                .mapToObj(group ->
                        Set.of(person(group * 4), person(group * 4 + 1), person(group * 4 + 2), person(group * 4 + 3)))
                .toList();
        var mixed = new Recipe(Recipe.By.NUMBER, 4, false, true, false, 2, 5);
        var proposal = Grouping.propose(people(16), mixed, Wishes.NONE, new Met(List.of(last)));
        assertThat(proposal.metAgain()).isZero();

        var halves = new Recipe(Recipe.By.NUMBER, 2, false, true, false, 2, 5);
        var again = Grouping.propose(people(16), halves, Wishes.NONE, new Met(List.of(last)));
        assertThat(again.metAgain())
                .as("of each four two and two meet again, and nobody can better it")
                .isEqualTo(8)
                .isEqualTo(again.metAtLeast());
    }

    @Test
    void a_class_of_forty_with_ten_weeks_of_groups_behind_it_comes_near_the_bound() {
        var lessons = new java.util.ArrayList<List<Set<PersonId>>>();
        var mixed = new Recipe(Recipe.By.SIZE, 4, false, true, false, 3, 11);
        for (int week = 0; week < 6; week++) {
            var proposal = Grouping.propose(people(40), mixed, Wishes.NONE, new Met(lessons));
            assertThat(proposal.metAgain() - proposal.metAtLeast())
                    .as("week " + week)
                    .isLessThanOrEqualTo(week < 4 ? 0 : 3);
            lessons.add(0, proposal.groups().stream().map(Set::copyOf).toList());
        }
    }
}
