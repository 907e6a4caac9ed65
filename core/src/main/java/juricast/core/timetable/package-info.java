/**
 * When lessons are (needs B2, B7): series and how they repeat, the school's calendar. Begin with
 * {@link juricast.core.timetable.Series}.
 */
package juricast.core.timetable;
