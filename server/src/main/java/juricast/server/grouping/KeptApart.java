package juricast.server.grouping;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import juricast.core.grouping.Prepared;
import juricast.core.grouping.Wish;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
import juricast.core.inspection.InspectedClass;
import org.springframework.stereotype.Component;

/** Finds pupils who are to stay apart and do not: in prepared groups, and in those of the last weeks. */
@Component
public class KeptApart {
    /** What happened longer ago is no weak spot any more. */
    private static final Duration LOOKED_BACK = Duration.ofDays(14);

    private final ClassWishes wishes;
    private final PreparedGroups prepared;
    private final PastGroups past;

    KeptApart(ClassWishes wishes, PreparedGroups prepared, PastGroups past) {
        this.wishes = wishes;
        this.prepared = prepared;
        this.past = past;
    }

    public List<InspectedClass.KeptApart> in(ClassId id, Instant now) {
        List<Wish> apart = wishes.of(id).all().stream()
                .filter(wish -> wish.kind() == Wish.Kind.APART)
                .toList();
        if (apart.isEmpty()) {
            return List.of();
        }
        List<List<List<PersonId>>> plans =
                prepared.of(id).stream().map(Prepared::people).toList();
        var all = new ArrayList<InspectedClass.KeptApart>();
        for (Wish wish : apart) {
            if (plans.stream().anyMatch(wish::isBrokenBy)) {
                all.add(new InspectedClass.KeptApart(sorted(wish.people()), 0));
            }
            past.together(id, wish.people(), now.minus(LOOKED_BACK)).forEach((who, met) -> {
                int minutes = Math.toIntExact(Math.max(1, met.toMinutes()));
                all.add(new InspectedClass.KeptApart(sorted(who), minutes));
            });
        }
        return all.stream().distinct().toList();
    }

    private static List<PersonId> sorted(Collection<PersonId> people) {
        return people.stream().sorted((a, b) -> a.value().compareTo(b.value())).toList();
    }
}
