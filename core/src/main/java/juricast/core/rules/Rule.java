package juricast.core.rules;

import java.util.List;
import java.util.Map;
import juricast.core.identity.Role;

/**
 * One thing that is regulated (need A1).
 *
 * @param key stable name in files and on the wire
 * @param title for adults, as a heading
 * @param meaning what a setting of it does, in one sentence
 * @param reason why it matters for safeguarding
 * @param pupilWords what a pupil may do, as the end of "You may …"
 * @param usual the value of each role it speaks of, where no layer sets one
 */
public record Rule<V extends Value>(
        String key,
        Area area,
        ValueType<V> type,
        String title,
        String meaning,
        String reason,
        String pupilWords,
        Map<Role, V> usual) {
    public Rule {
        usual = Map.copyOf(usual);
        if (usual.isEmpty() || !usual.values().stream().allMatch(type::has)) {
            throw new IllegalArgumentException("A rule must have a usual value in its range for every role: " + key);
        }
    }

    /** The roles it speaks of, in the order of {@link Role}. */
    public List<Role> roles() {
        return usual.keySet().stream().sorted().toList();
    }

    /** The usual value for a role. @throws IllegalArgumentException if the rule does not speak of it */
    public V usualFor(Role role) {
        V value = usual.get(role);
        if (value == null) {
            throw new IllegalArgumentException("%s does not speak of %s, only of %s".formatted(key, role, roles()));
        }
        return value;
    }

    @Override
    public String toString() {
        return key;
    }
}
