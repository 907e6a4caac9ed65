/**
 * How people hear of their lessons: joining notes, the pupil's own day, calendar feeds, and the outbox. Begin with
 * {@link juricast.server.tell.Outbox}.
 */
package juricast.server.tell;
