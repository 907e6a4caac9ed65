/** Two people who edit one thing: the second is told, and nothing of the first is lost. Begin with {@link juricast.server.editing.Editions}. */
package juricast.server.editing;
