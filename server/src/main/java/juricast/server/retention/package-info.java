/**
 * How long each kind of data is kept, by which rule, what goes next and what went (need N4); and all that is kept about one pupil.
 * Begin with {@link juricast.server.retention.KeptKind}.
 */
package juricast.server.retention;
