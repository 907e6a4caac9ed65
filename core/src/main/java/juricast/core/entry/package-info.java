/**
 * Who is let in, who waits and who is turned away, always with reasons (needs E1 to E6). Begin with {@link
 * juricast.core.entry.Entry}, the list of checks; {@link juricast.core.entry.NameMatch} says who an arrival may be.
 */
package juricast.core.entry;
