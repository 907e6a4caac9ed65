/** Clocks that all see, and who is first to answer (needs J2, J3). */
package juricast.core.clocks;
