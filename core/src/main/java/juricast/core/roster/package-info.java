/**
 * Class lists from files: what a file says, what is wrong with it, and what taking it would change (need B1). Begin with
 * {@link juricast.core.roster.RosterReading}.
 */
package juricast.core.roster;
