/** Whose line to the school is weak, as their own browser notices it by how late news comes (need F11). */
package juricast.core.lines;
