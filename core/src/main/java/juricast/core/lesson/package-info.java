/** Which parts a live lesson has, and in which order they stand: {@link juricast.core.lesson.Parts}. */
package juricast.core.lesson;
