package juricast.server.groups;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import juricast.core.grouping.Prepared;
import juricast.core.grouping.Wish;
import juricast.core.grouping.Wishes;
import juricast.core.identity.ClassId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.server.access.SignedIn;
import juricast.server.classes.AccessToClasses;
import juricast.server.classes.Classes;
import juricast.server.grouping.ClassWishes;
import juricast.server.grouping.PastGroups;
import juricast.server.grouping.PreparedGroups;
import juricast.server.grouping.WishWords;
import juricast.server.people.People;
import org.springframework.stereotype.Component;

/** The page on which adults of a class read and keep what groups are made by. */
@Component
class ClassGroupsPages {
    private final Classes classes;
    private final People people;
    private final ClassWishes wishes;
    private final PreparedGroups prepared;
    private final PastGroups past;
    private final AccessToClasses access;
    private final Clock clock;

    ClassGroupsPages(
            Classes classes,
            People people,
            ClassWishes wishes,
            PreparedGroups prepared,
            PastGroups past,
            AccessToClasses access,
            Clock clock) {
        this.classes = classes;
        this.people = people;
        this.wishes = wishes;
        this.prepared = prepared;
        this.past = past;
        this.access = access;
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

    ClassGroups of(ClassId id, SignedIn caller) {
        Function<PersonId, String> name = names(id);
        Map<PersonId, ClassWishes.Mark> marks =
                wishes.marks(id).stream().collect(Collectors.toMap(ClassWishes.Mark::person, Function.identity()));
        Wishes all = wishes.of(id);
        return new ClassGroups(
                pupils(id).stream()
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
                wishes.kept(id).stream().map(one -> wish(one, name, caller, id)).toList(),
                prepared.of(id).stream().map(one -> set(one, all, name)).toList(),
                past.metIn(id, clock.instant(), 10).size());
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

    /** Those of whom groups are made. */
    List<Member> pupils(ClassId id) {
        return classes.members(id, clock.instant()).stream()
                .filter(one -> one.role() == Role.PUPIL || one.role() == Role.CLASS_MONITOR)
                .toList();
    }

    /** Names of those in the class, and of whoever set something in it. */
    Function<PersonId, String> names(ClassId id) {
        Map<PersonId, String> known = classes.members(id, clock.instant()).stream()
                .collect(Collectors.toMap(Member::person, Member::name, (one, again) -> one));
        return person -> known.computeIfAbsent(person, one -> people.nameOf(one));
    }
}
