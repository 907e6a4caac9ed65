/**
 * Live lessons: orders come in over HTTP, are decided by the core, stored, and shown to every open browser at once. Begin
 * with {@link juricast.server.lesson.LiveLessons}.
 */
package juricast.server.lesson;
