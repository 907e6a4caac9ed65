package juricast.core.grouping;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import juricast.core.identity.PersonId;

/**
 * What a class keeps for making groups.
 *
 * @param all wishes, in the order in which they were set
 * @param levels what the teacher has marked for balanced groups, 1 to {@link #LEVELS}; nothing of this is ever shown to a pupil
 * @param trusted pupils of whom one is wanted in each group
 */
public record Wishes(List<Wish> all, Map<PersonId, Integer> levels, Set<PersonId> trusted) {
    /** How many levels a school has words for. */
    public static final int LEVELS = 3;

    public static final Wishes NONE = new Wishes(List.of(), Map.of(), Set.of());

    /** @throws IllegalArgumentException if a level is none */
    public Wishes {
        all = List.copyOf(all);
        levels = Map.copyOf(levels);
        trusted = Set.copyOf(trusted);
        levels.values().forEach(level -> {
            if (level < 1 || level > LEVELS) {
                throw new IllegalArgumentException("A level is 1 to %d, not %d".formatted(LEVELS, level));
            }
        });
    }

    /** What these groups break, in the order in which it was set. */
    public List<Wish> broken(Collection<? extends Collection<PersonId>> groups) {
        return all.stream().filter(wish -> wish.isBrokenBy(groups)).toList();
    }

    /** The same, of the lead's. */
    public List<Wish> bindingBroken(Collection<? extends Collection<PersonId>> groups) {
        return broken(groups).stream().filter(Wish::binding).toList();
    }
}
