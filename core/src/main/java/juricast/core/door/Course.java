package juricast.core.door;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.live.Imposed;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Door;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting;

/**
 * How far a lesson is.
 *
 * @param lastWord the last word with one pupil that goes on, if it does
 * @param imposed what that imposes; the same list as long as it goes on
 */
record Course(
        Optional<DoorEvent.Opened> opened,
        Optional<Instant> dismissedAt,
        Optional<DoorEvent.KeptBack> lastWord,
        List<Setting> imposed) {
    static final Course PLANNED = new Course(Optional.empty(), Optional.empty(), Optional.empty(), List.of());

    /** Everybody but one pupil has gone: nobody comes in any more (need K3). */
    private static final Imposed LAST_WORD =
            Imposed.of("a last word with one pupil", new RuleValue(Catalogue.DOOR, Door.SHUT));

    Course openedBy(DoorEvent.Opened event) {
        return new Course(Optional.of(event), dismissedAt, lastWord, imposed);
    }

    Course endedAt(Instant at) {
        return new Course(opened, Optional.of(at), Optional.empty(), List.of());
    }

    Course butForOne(DoorEvent.KeptBack event) {
        return new Course(opened, dismissedAt, Optional.of(event), LAST_WORD.settings(event.by(), event.at()));
    }
}
