package juricast.core.live;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The small steps of a fold: copies that keep their order, and the same object where nothing changes. */
public final class Copies {
    private Copies() {}

    public static <K, V> Map<K, V> with(Map<K, V> map, K key, V value) {
        var next = new LinkedHashMap<>(map);
        next.put(key, value);
        return Collections.unmodifiableMap(next);
    }

    public static <K, V> Map<K, V> without(Map<K, V> map, K key) {
        if (!map.containsKey(key)) {
            return map;
        }
        var next = new LinkedHashMap<>(map);
        next.remove(key);
        return Collections.unmodifiableMap(next);
    }

    public static <K, V> Map<K, V> without(Map<K, V> map, Iterable<K> keys) {
        Map<K, V> next = map;
        for (K key : keys) {
            next = without(next, key);
        }
        return next;
    }

    public static <T> List<T> plus(List<T> list, T one) {
        var next = new ArrayList<>(list);
        next.add(one);
        return Collections.unmodifiableList(next);
    }

    public static <T> Set<T> with(Set<T> set, T one) {
        if (set.contains(one)) {
            return set;
        }
        var next = new LinkedHashSet<>(set);
        next.add(one);
        return Collections.unmodifiableSet(next);
    }

    public static <T> Set<T> without(Set<T> set, T one) {
        if (!set.contains(one)) {
            return set;
        }
        var next = new LinkedHashSet<>(set);
        next.remove(one);
        return Collections.unmodifiableSet(next);
    }
}
