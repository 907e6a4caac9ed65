package juricast.core.door;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.Copies;
import juricast.core.live.Visit;

/** All visits of a lesson, in order of arrival. It never changes. */
final class Visits {
    static final Visits NONE = new Visits(Map.of());

    private final Map<VisitId, Visit> all;

    /** Made when first asked for: views ask it of everybody, and most states are never looked at. */
    private volatile Optional<Map<PersonId, List<Visit>>> byPerson = Optional.empty();

    private Visits(Map<VisitId, Visit> all) {
        this.all = all;
    }

    Collection<Visit> all() {
        return all.values();
    }

    Optional<Visit> of(VisitId id) {
        return Optional.ofNullable(all.get(id));
    }

    /** The visits that are or may be of this person. */
    List<Visit> of(PersonId person) {
        if (byPerson.isEmpty()) {
            var found = new HashMap<PersonId, List<Visit>>();
            for (Visit visit : all.values()) {
                visit.person().ifPresent(known -> found.computeIfAbsent(known, one -> new ArrayList<>())
                        .add(visit));
            }
            byPerson = Optional.of(found);
        }
        return byPerson.get().getOrDefault(person, List.of());
    }

    Visits with(Visit visit) {
        return new Visits(Copies.with(all, visit.id(), visit));
    }

    Visits changed(VisitId id, UnaryOperator<Visit> how) {
        return of(id).map(how).map(this::with).orElse(this);
    }

    Visits each(UnaryOperator<Visit> how) {
        var next = new LinkedHashMap<>(all);
        next.replaceAll((id, visit) -> how.apply(visit));
        return new Visits(Collections.unmodifiableMap(next));
    }
}
