package juricast.server.groups;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import juricast.core.grouping.Grouping;
import juricast.core.grouping.Met;
import juricast.core.grouping.Prepared;
import juricast.core.grouping.Proposal;
import juricast.core.grouping.Recipe;
import juricast.core.grouping.Wish;
import juricast.core.grouping.Wishes;
import juricast.core.identity.ClassId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.limits.Limits;
import juricast.core.reading.Matter;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.SignedIn;
import juricast.server.classes.AccessToClasses;
import juricast.server.classes.Classes;
import juricast.server.classes.Reading;
import juricast.server.data.Ids;
import juricast.server.grouping.ClassWishes;
import juricast.server.grouping.PastGroups;
import juricast.server.grouping.PreparedGroups;
import juricast.server.grouping.WishWords;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import juricast.server.rules.Settings;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What a class keeps for making groups, and groups prepared before a lesson. */
@RestController
@RequestMapping("/api")
class ClassGroupsController {
    private static final int WISHES = 100;
    private static final int PREPARED = 40;

    private final Reading reading;
    private final AccessToClasses access;
    private final Classes classes;
    private final People people;
    private final ClassWishes wishes;
    private final PreparedGroups prepared;
    private final PastGroups past;
    private final Settings settings;
    private final Clock clock;

    ClassGroupsController(
            Reading reading,
            AccessToClasses access,
            Classes classes,
            People people,
            ClassWishes wishes,
            PreparedGroups prepared,
            PastGroups past,
            Settings settings,
            Clock clock) {
        this.reading = reading;
        this.access = access;
        this.classes = classes;
        this.people = people;
        this.wishes = wishes;
        this.prepared = prepared;
        this.past = past;
        this.settings = settings;
        this.clock = clock;
    }

    /**
     * What there is for making groups of a class.
     *
     * @param levels the school's words for the levels, the first one first
     * @param lastTimes how many times the class has been in groups, up to ten
     */
    record ClassGroups(
            List<PupilMark> pupils,
            List<String> levels,
            List<KeptWish> wishes,
            List<PreparedSet> prepared,
            int lastTimes) {}

    /** @param level 1 to 3; 0 for none */
    record PupilMark(String id, String name, int level, boolean trusted) {}

    /** @param says it in words @param mayEnd whether the asking adult may take it back */
    record KeptWish(
            long id,
            Wish.Kind kind,
            List<String> people,
            boolean binding,
            String says,
            String reason,
            String byName,
            Instant at,
            boolean mayEnd) {}

    /** @param breaks wishes that it breaks, in words */
    record PreparedSet(String id, String name, String task, List<PreparedOne> groups, List<String> breaks) {}

    record PreparedOne(String name, List<String> people) {}

    record WishRequest(Wish.Kind kind, @Nullable List<String> people, @Nullable String reason) {}

    record MarksRequest(@Nullable List<MarkRequest> marks) {}

    record MarkRequest(String person, int level, boolean trusted) {}

    record LevelsRequest(@Nullable List<String> words) {}

    record PreparedRequest(@Nullable String name, @Nullable String task, @Nullable List<PreparedOne> groups) {}

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

    @GetMapping("/classes/{id}/groups")
    @Noted("who stays apart in groups, and levels")
    @For({TEACHER, LEAD})
    ClassGroups groups(@PathVariable String id, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = reading.ofClass(caller, Matter.GROUPING, id);
        Function<PersonId, String> name = names(found.id());
        Map<PersonId, ClassWishes.Mark> marks = wishes.marks(found.id()).stream()
                .collect(Collectors.toMap(ClassWishes.Mark::person, Function.identity()));
        Wishes all = wishes.of(found.id());
        return new ClassGroups(
                pupils(found.id()).stream()
                        .map(one -> new PupilMark(
                                one.person().value(),
                                one.name(),
                                marks.containsKey(one.person())
                                        ? marks.get(one.person()).level()
                                        : 0,
                                marks.containsKey(one.person())
                                        && marks.get(one.person()).trusted()))
                        .toList(),
                wishes.levels(),
                wishes.kept(found.id()).stream()
                        .map(one -> wish(one, name, caller, found.id()))
                        .toList(),
                prepared.of(found.id()).stream().map(one -> set(one, all, name)).toList(),
                past.metIn(found.id(), clock.instant(), 10).size());
    }

    private KeptWish wish(ClassWishes.Kept kept, Function<PersonId, String> name, SignedIn caller, ClassId ofClass) {
        Wish wish = kept.wish();
        return new KeptWish(
                kept.id(),
                wish.kind(),
                wish.people().stream().map(PersonId::value).sorted().toList(),
                wish.binding(),
                WishWords.of(wish, name),
                wish.reason(),
                name.apply(wish.by()),
                kept.at(),
                wish.binding() ? caller.isLead() : access.isAdultOrLead(caller, ofClass));
    }

    private static PreparedSet set(Prepared one, Wishes all, Function<PersonId, String> name) {
        return new PreparedSet(
                one.id(),
                one.name(),
                one.task(),
                one.groups().stream()
                        .map(group -> new PreparedOne(
                                group.name(),
                                group.people().stream().map(PersonId::value).toList()))
                        .toList(),
                all.broken(one.people()).stream()
                        .map(wish -> WishWords.of(wish, name))
                        .toList());
    }

    private List<Member> pupils(ClassId id) {
        return classes.members(id, clock.instant()).stream()
                .filter(one -> one.role() == Role.PUPIL || one.role() == Role.CLASS_MONITOR)
                .toList();
    }

    /** Names of those in the class, and of whoever set something in it. */
    private Function<PersonId, String> names(ClassId id) {
        Map<PersonId, String> known = classes.members(id, clock.instant()).stream()
                .collect(Collectors.toMap(Member::person, Member::name, (one, again) -> one));
        return person -> known.computeIfAbsent(person, one -> people.nameOf(one));
    }

    /** A lasting wish of the class. What the safeguarding lead sets binds. */
    @PostMapping("/classes/{id}/wishes")
    @For({TEACHER, LEAD})
    ClassGroups wish(
            @PathVariable String id, @RequestBody WishRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.ofAdultsOrLead(caller, id);
        Set<PersonId> who = ids(wanted.people);
        Set<PersonId> listed = pupils(found.id()).stream().map(Member::person).collect(Collectors.toSet());
        String reason = wanted.reason == null ? "" : wanted.reason.strip();
        if (who.size() < 2 || !listed.containsAll(who)) {
            throw wrong("Choose two pupils of this class or more.");
        }
        if (reason.length() > Limits.REASON || caller.isLead() && reason.isEmpty()) {
            throw wrong("Say why, in up to %d characters. Only adults read it.".formatted(Limits.REASON));
        }
        if (wishes.kept(found.id()).size() >= WISHES) {
            throw wrong("A class keeps up to %d of them. Take one back first.".formatted(WISHES));
        }
        wishes.add(found.id(), new Wish(wanted.kind, who, caller.isLead(), reason, caller.person()));
        return groups(id, caller);
    }

    @DeleteMapping("/classes/{id}/wishes/{wish}")
    @For({TEACHER, LEAD})
    ClassGroups end(@PathVariable String id, @PathVariable long wish, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.ofAdultsOrLead(caller, id);
        ClassWishes.Kept kept = wishes.kept(found.id()).stream()
                .filter(one -> one.id() == wish)
                .findFirst()
                .orElseThrow(() -> Problem.notThere("This wish"));
        if (kept.wish().binding() && !caller.isLead()) {
            throw Problem.notYours("The safeguarding lead has set this", "Ask the safeguarding lead.");
        }
        wishes.end(wish, caller.person());
        return groups(id, caller);
    }

    /** Levels and trusted pupils, of those that are named. */
    @PutMapping("/classes/{id}/group-marks")
    @For({TEACHER, LEAD})
    ClassGroups mark(
            @PathVariable String id, @RequestBody MarksRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.ofAdultsOrLead(caller, id);
        List<MarkRequest> marks = wanted.marks == null ? List.of() : wanted.marks;
        Set<String> listed =
                pupils(found.id()).stream().map(one -> one.person().value()).collect(Collectors.toSet());
        if (marks.stream()
                .anyMatch(one -> one.level < 0 || one.level > Wishes.LEVELS || !listed.contains(one.person))) {
            throw wrong("Mark pupils of this class with one of the levels, or none.");
        }
        wishes.mark(
                found.id(),
                marks.stream()
                        .map(one -> new ClassWishes.Mark(new PersonId(one.person), one.level, one.trusted))
                        .toList());
        return groups(id, caller);
    }

    /** The school's own words for the levels. */
    @PutMapping("/group-levels")
    @For(LEAD)
    List<String> levels(@RequestBody LevelsRequest wanted) {
        List<String> words = wanted.words == null
                ? List.of()
                : wanted.words.stream().map(String::strip).toList();
        boolean good = words.size() == Wishes.LEVELS
                && words.stream().allMatch(one -> !one.isEmpty() && one.length() <= Limits.NAME)
                && new HashSet<>(words).size() == words.size();
        if (!good) {
            throw wrong("Give three different words, of up to %d characters.".formatted(Limits.NAME));
        }
        wishes.name(words);
        return wishes.levels();
    }

    /** Groups of the whole class, to prepare a lesson by; nothing is kept by asking. */
    @PostMapping("/classes/{id}/groups/proposal")
    @For({TEACHER, LEAD})
    ProposedGroups propose(
            @PathVariable String id, @RequestBody RecipeRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.ofAdultsOrLead(caller, id);
        List<PersonId> all = pupils(found.id()).stream().map(Member::person).toList();
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
                WishWords.of(proposal, names(found.id())),
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

    @PostMapping("/classes/{id}/prepared")
    @For({TEACHER, LEAD})
    ClassGroups prepare(
            @PathVariable String id, @RequestBody PreparedRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.ofAdultsOrLead(caller, id);
        if (prepared.of(found.id()).size() >= PREPARED) {
            throw wrong("A class keeps up to %d prepared groups. Delete some first.".formatted(PREPARED));
        }
        prepared.write(found.id(), checked(Ids.next(), found.id(), wanted), caller.person());
        return groups(id, caller);
    }

    @PutMapping("/classes/{id}/prepared/{set}")
    @For({TEACHER, LEAD})
    ClassGroups change(
            @PathVariable String id,
            @PathVariable String set,
            @RequestBody PreparedRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.ofAdultsOrLead(caller, id);
        known(found.id(), set);
        prepared.write(found.id(), checked(set, found.id(), wanted), caller.person());
        return groups(id, caller);
    }

    @DeleteMapping("/classes/{id}/prepared/{set}")
    @For({TEACHER, LEAD})
    ClassGroups delete(@PathVariable String id, @PathVariable String set, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.ofAdultsOrLead(caller, id);
        known(found.id(), set);
        prepared.delete(set);
        return groups(id, caller);
    }

    private void known(ClassId id, String set) {
        if (prepared.ofClass(set).filter(id::equals).isEmpty()) {
            throw Problem.notThere("These prepared groups");
        }
    }

    private Prepared checked(String id, ClassId ofClass, PreparedRequest wanted) {
        String name = wanted.name == null ? "" : wanted.name.strip();
        String task = wanted.task == null ? "" : wanted.task.strip();
        List<PreparedOne> groups = wanted.groups == null ? List.of() : wanted.groups;
        if (name.isEmpty() || name.length() > Limits.NAME || task.length() > Limits.MESSAGE) {
            throw wrong("Give them a name of up to %d characters, and a task of up to %d."
                    .formatted(Limits.NAME, Limits.MESSAGE));
        }
        List<String> named = groups.stream().flatMap(one -> one.people.stream()).toList();
        Set<String> listed =
                pupils(ofClass).stream().map(one -> one.person().value()).collect(Collectors.toSet());
        boolean good = !groups.isEmpty()
                && groups.size() <= Limits.GROUPS
                && groups.stream().allMatch(one -> !one.name.isBlank() && one.name.length() <= Limits.NAME)
                && groups.stream()
                                .map(one -> one.name.strip().toLowerCase(java.util.Locale.ROOT))
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
                                one.name.strip(),
                                one.people.stream().map(PersonId::new).toList()))
                        .toList());
    }

    private static Set<PersonId> ids(@Nullable List<String> ids) {
        return ids == null ? Set.of() : ids.stream().map(PersonId::new).collect(Collectors.toSet());
    }

    private static Problem wrong(String whatToDo) {
        return Problem.notReadable("This cannot be kept", "Nothing was changed.", whatToDo, List.of());
    }
}
