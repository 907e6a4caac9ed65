/**
 * All rules of a school together: who wrote what where, what a change of them would change before it counts (need A7),
 * what is wrong in them, and the ready-made sets (need A5). Begin with {@link juricast.core.charter.SchoolRules}.
 */
package juricast.core.charter;
