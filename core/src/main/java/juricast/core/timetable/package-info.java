/** When lessons are (need B2). Begin with {@link juricast.core.timetable.WeeklySeries}. */
package juricast.core.timetable;
