/** A word of praise that is kept: given by an adult, seen as the rules say (need J5). */
package juricast.core.merits;
