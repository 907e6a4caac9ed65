/** iCalendar files (RFC 5545) as they are written: letters, lines, blocks and zones. Begin with {@link juricast.server.ical.Blocks}. */
package juricast.server.ical;
