/** Attendance over many lessons: tallies, rates, and who needs attention (need L6). Begin with {@link juricast.core.attendance.Tally}. */
package juricast.core.attendance;
