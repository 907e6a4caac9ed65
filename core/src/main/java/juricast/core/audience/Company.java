package juricast.core.audience;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.rights.RightsPart.RIGHTS;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.PlaceId;
import juricast.core.rights.Appliance;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.Rulebook;

/**
 * Who is in the same place of a lesson, as far as somebody may see it: by name, by camera, both or neither (needs A8, F1).
 *
 * @param people those of the class list who are there; none of them where neither may be seen
 * @param passedOn who passes the lesson on to people outside, which everybody in the room is told
 */
public record Company(List<Seen> people, List<String> passedOn) {
    public static final Company FROM_OUTSIDE = new Company(List.of(), List.of());

    /**
     * One of them.
     *
     * @param name empty where only cameras may be seen
     * @param camera whether the picture of their camera is seen
     * @param background whether a picture of their own is behind them
     */
    public record Seen(String name, boolean camera, boolean background) {}

    /** What decides how much is seen: those for whom it is alike see the same. */
    public record Sight(PlaceId place, boolean names, boolean cameras) {}

    public static Sight sight(LessonState lesson, SharedRights rights, PersonId me, Role role, Instant now) {
        Rulebook book = rights.book(me);
        return new Sight(
                lesson.where().placeOf(me),
                book.value(Catalogue.SEE_LIST, role, now) == Permission.OPEN,
                book.value(Catalogue.SEE_CAMERAS, role, now) == Permission.OPEN);
    }

    public static Company of(LessonPlan plan, LessonState lesson, Sight sight) {
        return new Company(
                plan.classList().stream()
                        .filter(one -> isThere(one, lesson, sight.place))
                        .map(one -> seen(one, lesson, sight))
                        .filter(one -> sight.names || one.camera)
                        .toList(),
                passesOn(plan, lesson).stream().map(plan::nameOf).toList());
    }

    /** Who passes the lesson on to people outside, by name in order. */
    public static List<PersonId> passesOn(LessonPlan plan, LessonState lesson) {
        return lesson.of(RIGHTS).withSomethingOn().stream()
                .filter(one -> lesson.of(RIGHTS).on(one).contains(Appliance.PASSING_ON))
                .sorted(Comparator.comparing(plan::nameOf))
                .toList();
    }

    private static boolean isThere(Member one, LessonState lesson, PlaceId place) {
        return lesson.of(DOOR).isPresent(one.person())
                && lesson.where().placeOf(one.person()).equals(place);
    }

    private static Seen seen(Member one, LessonState lesson, Sight sight) {
        Set<Appliance> on = lesson.of(RIGHTS).on(one.person());
        boolean camera = sight.cameras && on.contains(Appliance.CAMERA);
        return new Seen(sight.names ? one.name() : "", camera, camera && on.contains(Appliance.BACKGROUND));
    }
}
