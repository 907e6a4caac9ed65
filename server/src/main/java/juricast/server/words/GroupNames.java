package juricast.server.words;

import static juricast.core.groups.GroupsPart.GROUPS;

import juricast.core.groups.Group;
import juricast.core.live.LessonState;
import juricast.core.live.PlaceId;

/** What a place of a lesson is called. */
public final class GroupNames {
    private GroupNames() {}

    public static String of(PlaceId place, LessonState lesson) {
        return place.equals(PlaceId.TOGETHER)
                ? "those together"
                : lesson.of(GROUPS).group(place).map(Group::name).orElse("a group");
    }
}
