/**
 * Timetables that were made elsewhere: what a file says, and what taking it would change (need B9). Begin with
 * {@link juricast.core.exchange.TimetableChange}.
 */
package juricast.core.exchange;
