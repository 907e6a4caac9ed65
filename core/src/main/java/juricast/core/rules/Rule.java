package juricast.core.rules;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import juricast.core.identity.Role;

/**
 * One thing that is regulated (need A1). Rules are the constants of {@link Catalogue}; two rules are equal only if they
 * are the same constant.
 */
public final class Rule<V extends Value> {
    /** A rule that is about a lesson as a whole is kept under the role that answers for it. */
    public static final Role ANSWERS = Role.LEAD_ADULT;

    /** Which part of the program sees to it that a rule is kept. */
    public enum Enforced {
        AT_THE_DOOR,
        IN_THE_LESSON,
        IN_THE_REGISTER,
        IN_THE_CORRIDOR,
        /** Planned lessons are inspected for it. */
        IN_THE_INSPECTION,
        /** On the page of the person that it speaks of. */
        ON_THE_OWN_PAGE,
        /** When messages go out. */
        IN_THE_OUTBOX,
        /** In what is kept of a lesson afterwards. */
        IN_THE_RECORD,
        /** When somebody signs in, and in what is kept about that. */
        AT_SIGN_IN,
        /** Written down, explained and compared, but nothing asks for it yet. */
        NOT_YET
    }

    private final int index;
    private final String key;
    private final Area area;
    private final ValueType<V> type;
    private final String title;
    private final String meaning;
    private final String reason;
    private final String pupilWords;
    private final Enforced enforced;
    private final boolean wholeLesson;
    private final Map<Role, V> usual;
    private final List<V> byRole;

    Rule(int index, Text text, ValueType<V> type, Enforced enforced, boolean wholeLesson, Map<Role, V> usual) {
        this.index = index;
        this.key = text.key;
        this.area = text.area;
        this.type = type;
        this.title = text.title;
        this.meaning = text.meaning;
        this.reason = text.reason;
        this.pupilWords = text.pupilWords;
        this.enforced = enforced;
        this.wholeLesson = wholeLesson;
        this.usual = new EnumMap<>(usual);
        if (usual.isEmpty() || !usual.values().stream().allMatch(type::has)) {
            throw new IllegalArgumentException("A rule must have a usual value in its range for every role: " + key);
        }
        var found = new ArrayList<V>();
        for (Role role : Role.values()) {
            found.add(usual.get(role));
        }
        this.byRole = found;
    }

    /** The words of a rule, see the accessors of the same names. */
    record Text(String key, Area area, String title, String meaning, String reason, String pupilWords) {}

    /** Its place in {@link Catalogue#ALL}. */
    int index() {
        return index;
    }

    /** Its stable name in files and on the wire. */
    public String key() {
        return key;
    }

    public Area area() {
        return area;
    }

    public ValueType<V> type() {
        return type;
    }

    /** For adults, as a heading. */
    public String title() {
        return title;
    }

    /** What a setting of it does, in one sentence. */
    public String meaning() {
        return meaning;
    }

    /** Why it matters for safeguarding. */
    public String reason() {
        return reason;
    }

    /** What it is about in a pupil's words: for a right, the end of "You may …", else the end of "How it is with …". */
    public String pupilWords() {
        return pupilWords;
    }

    public Enforced enforced() {
        return enforced;
    }

    /** Whether it is about the lesson, not about one person in it; its one value is kept under {@link #ANSWERS}. */
    public boolean isOfWholeLesson() {
        return wholeLesson;
    }

    /** Whether it is a right: open, on request or closed. */
    public boolean isRight() {
        return type == ValueType.PERMISSION;
    }

    /** The roles it speaks of, in the order of {@link Role}. */
    public List<Role> roles() {
        return List.copyOf(usual.keySet());
    }

    public boolean speaksOf(Role role) {
        return byRole.get(role.ordinal()) != null;
    }

    /** The usual value for a role. @throws IllegalArgumentException if the rule does not speak of it */
    public V usualFor(Role role) {
        V value = byRole.get(role.ordinal());
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
