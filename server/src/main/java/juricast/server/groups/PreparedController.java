package juricast.server.groups;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.grouping.Grouping;
import juricast.core.grouping.Met;
import juricast.core.grouping.Prepared;
import juricast.core.grouping.Proposal;
import juricast.core.grouping.Recipe;
import juricast.core.identity.ClassId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.limits.Limits;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.classes.AccessToClasses;
import juricast.server.classes.Classes;
import juricast.server.data.Ids;
import juricast.server.grouping.ClassWishes;
import juricast.server.grouping.PastGroups;
import juricast.server.grouping.PreparedGroups;
import juricast.server.grouping.WishWords;
import juricast.server.problems.Problem;
import juricast.server.rules.Settings;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Groups prepared before a lesson: proposed, changed by hand, kept under a name. */
@RestController
@RequestMapping("/api/classes/{id}")
class PreparedController {
    private static final int MOST = 40;

    private final AccessToClasses access;
    private final ClassGroupsPages pages;
    private final ClassWishes wishes;
    private final PreparedGroups prepared;
    private final PastGroups past;
    private final Settings settings;
    private final Clock clock;

    PreparedController(
            AccessToClasses access,
            ClassGroupsPages pages,
            ClassWishes wishes,
            PreparedGroups prepared,
            PastGroups past,
            Settings settings,
            Clock clock) {
        this.access = access;
        this.pages = pages;
        this.wishes = wishes;
        this.prepared = prepared;
        this.past = past;
        this.settings = settings;
        this.clock = clock;
    }

    record PreparedRequest(
            @Nullable String name, @Nullable String task, @Nullable List<ClassGroupsPages.PreparedOne> groups) {}

    /**
     * @param mixed as few as can be with whom they were lately
     * @param times in how many of the last times in groups that is looked for, 1 to 20; 0: in the last five
     * @param seed 0: any
     */
    record RecipeRequest(
            Recipe.By by, int count, boolean balanced, boolean mixed, int times, boolean trusted, long seed) {
        int lately() {
            return times == 0 ? 5 : times;
        }
    }

    /** Groups as they are proposed. @param says what cannot be kept, in words @param metAtLeast no groups of these sizes come below */
    record ProposedGroups(List<List<String>> groups, List<String> says, int metAgain, int metAtLeast, long seed) {}

    /** Groups of the whole class, to prepare a lesson by; nothing is kept by asking. */
    @PostMapping("/groups/proposal")
    @For({TEACHER, LEAD})
    ProposedGroups propose(
            @PathVariable String id, @RequestBody RecipeRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.ofAdultsOrLead(caller, id);
        List<PersonId> all =
                pages.pupils(found.id()).stream().map(Member::person).toList();
        Recipe recipe = recipe(wanted, smallest(found.id()), clock.millis());
        Grouping.impossible(all.size(), recipe).ifPresent(why -> {
            throw WishWords.impossible(why, all.size(), recipe);
        });
        Met met = new Met(past.metIn(found.id(), clock.instant(), wanted.lately()));
        Proposal proposal = Grouping.propose(all, recipe, wishes.of(found.id()), met);
        return new ProposedGroups(
                proposal.groups().stream()
                        .map(group -> group.stream().map(PersonId::value).toList())
                        .toList(),
                WishWords.of(proposal, pages.names(found.id())),
                proposal.metAgain(),
                proposal.metAtLeast(),
                recipe.seed());
    }

    private int smallest(ClassId id) {
        return settings.ofClass(id)
                .value(Catalogue.GROUP_SIZE, Rule.ANSWERS, clock.instant())
                .number();
    }

    static Recipe recipe(RecipeRequest wanted, int smallest, long seed) {
        if (wanted.count < 1 || wanted.count > 200 || wanted.times < 0 || wanted.times > 20) {
            throw wrong("Choose a number from 1 to 200, and up to 20 of the last times.");
        }
        return new Recipe(
                wanted.by,
                wanted.count,
                wanted.balanced,
                wanted.mixed,
                wanted.trusted,
                smallest,
                wanted.seed == 0 ? seed : wanted.seed);
    }

    /** Prepares a set of groups for lessons to come. */
    @PostMapping("/prepared")
    @For({TEACHER, LEAD})
    ClassGroupsPages.ClassGroups prepare(
            @PathVariable String id, @RequestBody PreparedRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.ofAdultsOrLead(caller, id);
        if (prepared.of(found.id()).size() >= MOST) {
            throw wrong("A class keeps up to %d prepared groups. Delete some first.".formatted(MOST));
        }
        prepared.write(found.id(), checked(Ids.next(), found.id(), wanted), caller.person());
        return pages.of(found.id(), caller);
    }

    /** Changes a prepared set of groups. */
    @PutMapping("/prepared/{set}")
    @For({TEACHER, LEAD})
    ClassGroupsPages.ClassGroups change(
            @PathVariable String id,
            @PathVariable String set,
            @RequestBody PreparedRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.ofAdultsOrLead(caller, id);
        known(found.id(), set);
        prepared.write(found.id(), checked(set, found.id(), wanted), caller.person());
        return pages.of(found.id(), caller);
    }

    /** Deletes a prepared set of groups. */
    @DeleteMapping("/prepared/{set}")
    @For({TEACHER, LEAD})
    ClassGroupsPages.ClassGroups delete(
            @PathVariable String id, @PathVariable String set, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.ofAdultsOrLead(caller, id);
        known(found.id(), set);
        prepared.delete(set);
        return pages.of(found.id(), caller);
    }

    private void known(ClassId id, String set) {
        if (prepared.ofClass(set).filter(id::equals).isEmpty()) {
            throw Problem.notThere("These prepared groups");
        }
    }

    private Prepared checked(String id, ClassId ofClass, PreparedRequest wanted) {
        String name = wanted.name == null ? "" : wanted.name.strip();
        String task = wanted.task == null ? "" : wanted.task.strip();
        List<ClassGroupsPages.PreparedOne> groups = wanted.groups == null ? List.of() : wanted.groups;
        if (name.isEmpty() || name.length() > Limits.NAME || task.length() > Limits.MESSAGE) {
            throw wrong("Give them a name of up to %d characters, and a task of up to %d."
                    .formatted(Limits.NAME, Limits.MESSAGE));
        }
        List<String> named =
                groups.stream().flatMap(one -> one.people().stream()).toList();
        Set<String> listed =
                pages.pupils(ofClass).stream().map(one -> one.person().value()).collect(Collectors.toSet());
        boolean good = !groups.isEmpty()
                && groups.size() <= Limits.GROUPS
                && groups.stream()
                        .allMatch(one -> !one.name().isBlank() && one.name().length() <= Limits.NAME)
                && groups.stream()
                                .map(one -> one.name().strip().toLowerCase(java.util.Locale.ROOT))
                                .distinct()
                                .count()
                        == groups.size()
                && new HashSet<>(named).size() == named.size()
                && listed.containsAll(named);
        if (!good) {
            throw wrong("Up to %d groups with different names, and each pupil of this class in one of them at most."
                    .formatted(Limits.GROUPS));
        }
        return new Prepared(
                id,
                name,
                task,
                groups.stream()
                        .map(one -> new Prepared.Named(
                                one.name().strip(),
                                one.people().stream().map(PersonId::new).toList()))
                        .toList());
    }

    private static Problem wrong(String whatToDo) {
        return ClassGroupsController.wrong(whatToDo);
    }
}
