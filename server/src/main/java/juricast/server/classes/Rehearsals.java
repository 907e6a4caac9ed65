package juricast.server.classes;

import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.rehearsal.Rehearsal;
import org.springframework.stereotype.Component;

/**
 * The rehearsals that go on. They are in memory and in no table, so that no register, timetable, record or message can come to hold
 * one; after a restart there are none.
 */
@Component
public class Rehearsals {
    private final Map<LessonId, Rehearsal> going = new ConcurrentHashMap<>();

    /** Lets one begin. */
    public void begin(Rehearsal rehearsal) {
        going.put(rehearsal.id(), rehearsal);
    }

    /** A lesson's rehearsal, if it is one. */
    public Optional<Rehearsal> find(LessonId id) {
        return Rehearsal.isOne(id) ? Optional.ofNullable(going.get(id)) : Optional.empty();
    }

    /** The one that somebody has begun last. */
    public Optional<Rehearsal> of(PersonId by) {
        return going.values().stream()
                .filter(one -> one.by().person().equals(by))
                .max((one, other) -> one.time().from().compareTo(other.time().from()));
    }

    /** The lesson in whose place it is held; of any other lesson, itself. */
    public LessonId planned(LessonId id) {
        return find(id).map(Rehearsal::of).orElse(id);
    }

    /** What is gone from memory is gone. */
    public void forget(LessonId id) {
        going.remove(id);
    }
}
