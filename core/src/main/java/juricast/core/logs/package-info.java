/** Joins and leaves written by another service: read, reconciled by a person, and then presence (need L5). Begin with {@link juricast.core.logs.LogReading}. */
package juricast.core.logs;
