/**
 * An adult's working day: what waits for them, and which lesson is the next thing (need N13). Begin with {@link
 * juricast.core.day.WorkingDay}.
 */
package juricast.core.day;
