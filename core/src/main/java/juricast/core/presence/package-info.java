/**
 * Who was there, when and for how long, computed from a lesson's events (need L1). Begin with {@link
 * juricast.core.presence.Attendance}.
 */
package juricast.core.presence;
