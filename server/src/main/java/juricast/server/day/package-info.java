/**
 * What waits for an adult today, gathered from the subjects that know it (need N13). A subject tells it by a bean that is {@link
 * juricast.server.day.Waits}; this package knows none of them.
 */
package juricast.server.day;
