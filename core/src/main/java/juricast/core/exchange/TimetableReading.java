package juricast.core.exchange;

import java.time.LocalDateTime;
import java.util.List;
import juricast.core.time.Span;

/**
 * What a file of another program says of lessons, and what in it is not understood. Nothing is left out silently: each entry
 * of the file is either in {@code entries} or told in {@code faults}.
 */
public record TimetableReading(List<Entry> entries, List<Fault> faults) {
    /** Entries of one file: a school has some 400 classes with a few series each. */
    public static final int MOST_ENTRIES = 20_000;
    /** Lessons that all entries of one file have together: a school year of a large school. */
    public static final int MOST_LESSONS = 60_000;

    public TimetableReading {
        entries = List.copyOf(entries);
        faults = List.copyOf(faults);
    }

    /**
     * One lesson or series.
     *
     * @param uid what names it in the program it comes from; the same in each later file
     * @param line where it begins in the file, from 1
     * @param others where entries begin that change lessons of it
     * @param title what it is called there; empty only where all of it is called off
     */
    public record Entry(String uid, int line, List<Integer> others, String title, List<Lesson> lessons) {
        public Entry {
            others = List.copyOf(others);
            lessons = List.copyOf(lessons);
        }

        public Entry(String uid, int line, String title, List<Lesson> lessons) {
            this(uid, line, List.of(), title, lessons);
        }
    }

    /**
     * One lesson of it.
     *
     * @param slot when its series has it, in the file's own local time: names it for ever, also when it is moved
     * @param cancelled whether the file says that it is not held
     */
    public record Lesson(LocalDateTime slot, Span time, boolean cancelled) {}

    /** Something to be told. @param line in the file, from 1; 0 for the file as a whole @param quote what stood there */
    public record Fault(int line, Problem problem, String quote) {}

    /** What is to be told of something in a file. */
    public enum Problem {
        NOT_A_CALENDAR,
        NO_ENTRIES,
        TOO_MANY_ENTRIES,
        TOO_MANY_LESSONS,
        STRAY_LINE,
        BROKEN_LINE,
        NOT_ENDED,
        NOT_A_LESSON,
        AN_ANSWER,
        NO_UID,
        SAME_UID_TWICE,
        NO_START,
        ALL_DAY,
        NOT_A_TIME,
        UNKNOWN_ZONE,
        NOT_A_LENGTH,
        RULE_NOT_UNDERSTOOD,
        TOO_MANY_OF_ONE_SERIES,
        CHANGES_NOTHING_KNOWN,
        CHANGED_TWICE,
        ALL_LEFT_OUT,
        AFTER_THE_YEAR,
        NO_TITLE,
        NO_SUCH_COLUMN,
        ID_OF_ANOTHER_CLASS,
        STATE_NOT_UNDERSTOOD,
        DAY_OR_MONTH_FIRST,
        PARTLY_AFTER_THE_YEAR(true),
        WITHOUT_AN_END(true),
        ZONE_OTHERWISE(true),
        ZONE_OF_FILE(true),
        OTHER_TITLE(true),
        RULE_OF_ONE(true),
        LEFT_OUT_NOTHING(true),
        PERHAPS_ONLY(true),
        TWICE_AT_ONE_TIME(true),
        LETTERS_GUESSED(true),
        DATES_READ_AS(true),
        NOT_READ(true);

        private final boolean taken;

        Problem() {
            this(false);
        }

        Problem(boolean taken) {
            this.taken = taken;
        }

        /** Whether it is about something that is taken all the same. */
        public boolean isTaken() {
            return taken;
        }
    }
}
