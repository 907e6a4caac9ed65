package juricast.server.lesson;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;

/** What was made once for all who look at one state of a lesson: thirty seats then cost little more than one. */
public final class Shared {
    private final Map<Key, Object> made = new ConcurrentHashMap<>();

    /** One and the same object, not an equal one: comparing views field by field would cost what sharing saves. */
    private record Key(Object one, Object other) {
        @Override
        public boolean equals(Object that) {
            return that instanceof Key key && one == key.one && other.equals(key.other);
        }

        @Override
        public int hashCode() {
            return System.identityHashCode(one) + other.hashCode();
        }
    }

    /** A key part that is only equal to itself. */
    private record Same(Object object) {
        @Override
        public boolean equals(Object that) {
            return that instanceof Same same && object == same.object;
        }

        @Override
        public int hashCode() {
            return System.identityHashCode(object);
        }
    }

    /**
     * What was made of the one before, or is made now. What is made may ask for something else that is shared, so two who come
     * at once may both make it; all are given the same one.
     *
     * @param kind what of it: anything with equality
     */
    @SuppressWarnings("unchecked")
    public <T> T once(Object one, Object kind, Supplier<T> make) {
        var key = new Key(one, kind);
        Object known = made.get(key);
        if (known == null) {
            Object next = make.get();
            Object first = made.putIfAbsent(key, next);
            known = first == null ? next : first;
        }
        return (T) known;
    }

    /** What was made of two objects. */
    <T> T ofBoth(Object one, Object other, Supplier<T> make) {
        return once(one, new Same(other), make);
    }
}
