/** What is said to whom about lessons, before and at their beginning (need C3). Begin with {@link juricast.core.telling.Due}. */
package juricast.core.telling;
