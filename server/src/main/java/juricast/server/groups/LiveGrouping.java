package juricast.server.groups;

import static juricast.core.groups.GroupsPart.GROUPS;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import juricast.core.grouping.Grouping;
import juricast.core.grouping.Met;
import juricast.core.grouping.Prepared;
import juricast.core.grouping.Proposal;
import juricast.core.grouping.Recipe;
import juricast.core.groups.Group;
import juricast.core.groups.GroupsOrder;
import juricast.core.groups.WhoWasWhere;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Fact;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Ruling;
import juricast.server.classes.Classes;
import juricast.server.grouping.PastGroups;
import juricast.server.grouping.PreparedGroups;
import juricast.server.grouping.WishWords;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.Snapshot;
import juricast.server.problems.Problem;
import org.springframework.stereotype.Component;

/** Makes groups of those who are in a live lesson. */
@Component
class LiveGrouping {
    private final LiveLessons lessons;
    private final Classes classes;
    private final PreparedGroups prepared;
    private final PastGroups past;

    LiveGrouping(LiveLessons lessons, Classes classes, PreparedGroups prepared, PastGroups past) {
        this.prepared = prepared;
        this.lessons = lessons;
        this.classes = classes;
        this.past = past;
    }

    /** Groups that were made. @param says what cannot be kept, in words @param metAtLeast no groups of these sizes come below */
    record GroupsMade(int number, List<String> says, int metAgain, int metAtLeast, long seed) {}

    /**
     * What holds in groups, and what they can be made from.
     *
     * @param recording what is and is not recorded there, in words
     * @param lastTimes how many times the class has been in groups, up to ten
     */
    record GroupsPreview(
            List<InGroups> rights,
            String recording,
            int minutes,
            int smallest,
            int aloneMinutes,
            List<PreparedName> prepared,
            int lastTimes) {}

    /** Groups that were prepared for the class. */
    record PreparedName(String id, String name) {}

    /** A right of pupils. @param now as it is with the class together @param inGroups as it is in a group without an adult */
    record InGroups(String rule, String title, Permission now, Permission inGroups) {}

    ClassId classOf(LessonId lesson) {
        return classes.lesson(lesson)
                .orElseThrow(() -> Problem.notThere("This lesson"))
                .ofClass();
    }

    GroupsMade make(LessonId id, PreparedController.RecipeRequest wanted, PersonId by, Consumer<GroupsOrder> order) {
        Snapshot now = lessons.look(id);
        List<PersonId> people = free(now);
        Recipe recipe = PreparedController.recipe(
                wanted,
                now.live()
                        .value(Catalogue.GROUP_SIZE, Rule.ANSWERS, lessons.now())
                        .number(),
                lessons.now().toEpochMilli());
        Grouping.impossible(people.size(), recipe).ifPresent(why -> {
            throw WishWords.impossible(why, people.size(), recipe);
        });
        Proposal proposal = Grouping.propose(people, recipe, now.plan().wishes(), met(id, now, wanted.lately()));
        order.accept(new GroupsOrder.DrawUp(named(proposal.groups(), now), how(recipe), recipe.seed(), by));
        return new GroupsMade(
                lessons.look(id).state().number(),
                WishWords.of(proposal, now.plan()::nameOf),
                proposal.metAgain(),
                proposal.metAtLeast(),
                recipe.seed());
    }

    private static String how(Recipe recipe) {
        var how = new ArrayList<String>();
        if (recipe.balanced()) {
            how.add("balanced");
        }
        if (recipe.mixed()) {
            how.add("mixed anew");
        }
        return how.isEmpty() ? "by chance" : String.join(", ", how);
    }

    /** Those of the class list who are here and in no group that stays. */
    private static List<PersonId> free(Snapshot now) {
        Set<PersonId> locked = new HashSet<>();
        now.state().of(GROUPS).groups().stream().filter(Group::locked).forEach(group -> locked.addAll(group.people()));
        return now.plan().classList().stream()
                .map(Member::person)
                .filter(person -> now.state().there().isPresent(person) && !locked.contains(person))
                .toList();
    }

    private static List<GroupsOrder.Wanted> named(List<List<PersonId>> groups, Snapshot now) {
        Set<String> taken = new HashSet<>();
        now.state().of(GROUPS).groups().stream().filter(Group::locked).forEach(group -> taken.add(group.name()));
        var all = new ArrayList<GroupsOrder.Wanted>();
        int number = 1;
        for (List<PersonId> people : groups) {
            while (taken.contains("Group " + number)) {
                number++;
            }
            all.add(new GroupsOrder.Wanted("Group " + number++, people));
        }
        return all;
    }

    /** The last times in groups, those of this lesson first. */
    private Met met(LessonId id, Snapshot now, int times) {
        List<List<Set<PersonId>>> rounds =
                new ArrayList<>(WhoWasWhere.of(now.events(), lessons.now()).rounds());
        java.util.Collections.reverse(rounds);
        rounds.addAll(past.metIn(classOf(id), before(now), times));
        return new Met(rounds).last(times);
    }

    private static Instant before(Snapshot now) {
        return now.plan().time().from();
    }

    /** The last groups of the class, without those who are away; who is new goes where they are needed. */
    GroupsOrder.DrawUp asLast(LessonId id, PersonId by) {
        Snapshot now = lessons.look(id);
        List<PastGroups.Group> last = past.ofClass(classOf(id), before(now), 1).stream()
                .findFirst()
                .orElseThrow(() -> Problem.refused(
                        "no-last-time",
                        "This class has not been in groups yet",
                        "Nothing was changed.",
                        "Make groups by chance, or by hand."));
        return of(
                now,
                last.stream()
                        .map(group -> new Prepared.Named(group.name(), group.people()))
                        .toList(),
                "as last time",
                by);
    }

    GroupsOrder.DrawUp of(LessonId id, Prepared prepared, PersonId by) {
        return of(lessons.look(id), prepared.groups(), "prepared as “%s”".formatted(prepared.name()), by);
    }

    private static GroupsOrder.DrawUp of(Snapshot now, List<Prepared.Named> groups, String how, PersonId by) {
        List<PersonId> free = free(now);
        Map<String, List<PersonId>> made = new LinkedHashMap<>();
        groups.forEach(group -> made.put(
                group.name(),
                new ArrayList<>(group.people().stream().filter(free::contains).toList())));
        Set<PersonId> placed = new HashSet<>();
        groups.forEach(group -> placed.addAll(group.people()));
        free.stream().filter(person -> !placed.contains(person)).forEach(person -> Grouping.placeFor(
                        person, made, now.plan().wishes())
                .ifPresent(name -> made.get(name).add(person)));
        return new GroupsOrder.DrawUp(
                made.entrySet().stream()
                        .map(one -> new GroupsOrder.Wanted(one.getKey(), one.getValue()))
                        .toList(),
                how,
                0,
                by);
    }

    GroupsPreview preview(Snapshot at) {
        ClassId ofClass = classOf(at.plan().lesson());
        Instant now = lessons.now();
        Rulebook together = at.live().all();
        Rulebook apart =
                together.in(together.situation().with(Fact.IN_GROUPS, true).with(Fact.ADULT_PRESENT, false));
        List<InGroups> rights = Catalogue.RIGHTS.stream()
                .map(rule -> new InGroups(
                        rule.key(),
                        rule.title(),
                        together.value(rule, Role.PUPIL, now),
                        apart.value(rule, Role.PUPIL, now)))
                .toList();
        Ruling<?> recording = together.ruling(Catalogue.RECORDING_MODE, Rule.ANSWERS, now);
        return new GroupsPreview(
                rights,
                recording(recording.value().text()),
                apart.value(Catalogue.GROUP_MINUTES, Rule.ANSWERS, now).count(),
                apart.value(Catalogue.GROUP_SIZE, Rule.ANSWERS, now).number(),
                apart.value(Catalogue.GROUP_ALONE, Rule.ANSWERS, now).count(),
                prepared.of(ofClass).stream()
                        .map(one -> new PreparedName(one.id(), one.name()))
                        .toList(),
                past.metIn(ofClass, now, 10).size());
    }

    /** A recorder stands with the class together; what is said in groups reaches it nowhere (need H5). */
    private static String recording(String mode) {
        String kept = "Their words and board pages are kept with the lesson.";
        return switch (mode) {
            case "required" -> "This lesson is to be recorded, and what is said in groups cannot be. " + kept;
            case "forbidden" -> "Nothing is recorded in this lesson. " + kept;
            default -> "What is said in groups cannot be recorded. " + kept;
        };
    }
}
