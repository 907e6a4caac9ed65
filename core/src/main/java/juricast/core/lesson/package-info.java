/**
 * One live lesson: orders are decided into events, events fold into the state, and views are what each audience may
 * see of it (needs D1, E3 to E5, F1 to F3, G2, K1). Begin with {@link juricast.core.live.LessonRules}.
 */
package juricast.core.lesson;
