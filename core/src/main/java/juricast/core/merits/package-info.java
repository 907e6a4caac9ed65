/** A word of praise that is kept: given by an adult, seen by the pupil and the adults (need J5 in its smallest form). */
package juricast.core.merits;
