package juricast.server.groups;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.grouping.Wish;
import juricast.core.grouping.Wishes;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.limits.Limits;
import juricast.core.reading.Matter;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.SignedIn;
import juricast.server.classes.AccessToClasses;
import juricast.server.classes.Classes;
import juricast.server.classes.Reading;
import juricast.server.grouping.ClassWishes;
import juricast.server.problems.Problem;
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

    private final Reading reading;
    private final AccessToClasses access;
    private final ClassWishes wishes;
    private final ClassGroupsPages pages;

    ClassGroupsController(Reading reading, AccessToClasses access, ClassWishes wishes, ClassGroupsPages pages) {
        this.reading = reading;
        this.access = access;
        this.wishes = wishes;
        this.pages = pages;
    }

    record WishRequest(Wish.Kind kind, @Nullable List<String> people, @Nullable String reason) {}

    record MarksRequest(@Nullable List<MarkRequest> marks) {}

    record MarkRequest(String person, int level, boolean trusted) {}

    record LevelsRequest(@Nullable List<String> words) {}

    /** What a class keeps for making groups: wishes, levels, prepared sets. */
    @GetMapping("/classes/{id}/groups")
    @Noted("who stays apart in groups, and levels")
    @For({TEACHER, LEAD})
    ClassGroupsPages.ClassGroups groups(@PathVariable String id, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = reading.ofClass(caller, Matter.GROUPING, id);
        return pages.of(found.id(), caller);
    }

    /** A lasting wish of the class. What the safeguarding lead sets binds. */
    @PostMapping("/classes/{id}/wishes")
    @For({TEACHER, LEAD})
    ClassGroupsPages.ClassGroups wish(
            @PathVariable String id, @RequestBody WishRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.ofAdultsOrLead(caller, id);
        Set<PersonId> who = ids(wanted.people);
        Set<PersonId> listed =
                pages.pupils(found.id()).stream().map(Member::person).collect(Collectors.toSet());
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
        return pages.of(found.id(), caller);
    }

    /** Ends a wish about who sits with whom. */
    @DeleteMapping("/classes/{id}/wishes/{wish}")
    @For({TEACHER, LEAD})
    ClassGroupsPages.ClassGroups end(
            @PathVariable String id, @PathVariable long wish, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.ofAdultsOrLead(caller, id);
        ClassWishes.Kept kept = wishes.kept(found.id()).stream()
                .filter(one -> one.id() == wish)
                .findFirst()
                .orElseThrow(() -> Problem.notThere("This wish"));
        if (kept.wish().binding() && !caller.isLead()) {
            throw Problem.notYours("The safeguarding lead has set this", "Ask the safeguarding lead.");
        }
        wishes.end(wish, caller.person());
        return pages.of(found.id(), caller);
    }

    /** Levels and trusted pupils, of those that are named. */
    @PutMapping("/classes/{id}/group-marks")
    @For({TEACHER, LEAD})
    ClassGroupsPages.ClassGroups mark(
            @PathVariable String id, @RequestBody MarksRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.ofAdultsOrLead(caller, id);
        List<MarkRequest> marks = wanted.marks == null ? List.of() : wanted.marks;
        Set<String> listed = pages.pupils(found.id()).stream()
                .map(one -> one.person().value())
                .collect(Collectors.toSet());
        if (marks.stream()
                .anyMatch(one -> one.level < 0 || one.level > Wishes.LEVELS || !listed.contains(one.person))) {
            throw wrong("Mark pupils of this class with one of the levels, or none.");
        }
        wishes.mark(
                found.id(),
                marks.stream()
                        .map(one -> new ClassWishes.Mark(new PersonId(one.person), one.level, one.trusted))
                        .toList());
        return pages.of(found.id(), caller);
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

    private static Set<PersonId> ids(@Nullable List<String> ids) {
        return ids == null ? Set.of() : ids.stream().map(PersonId::new).collect(Collectors.toSet());
    }

    static Problem wrong(String whatToDo) {
        return Problem.notReadable("This cannot be kept", "Nothing was changed.", whatToDo, List.of());
    }
}
