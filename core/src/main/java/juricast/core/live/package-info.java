/**
 * What all parts of a live lesson have in common: {@link juricast.core.live.Part} and the {@link juricast.core.live.Room} it may
 * ask; {@link juricast.core.live.LessonRules} finds the part of an order and gathers what follows by itself.
 */
package juricast.core.live;
