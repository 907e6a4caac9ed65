/** Sizes and counts that nobody may exceed, in one place. */
package juricast.core.limits;
