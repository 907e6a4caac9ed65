package juricast.core.live;

/** What somebody, or the clock, wants of a live lesson. Each but the clock's belongs to exactly one {@link Part}. */
public interface LessonOrder {
    /** The clock: nobody wants anything, and whatever follows by itself from the time does. */
    record Tick() implements LessonOrder {}
}
