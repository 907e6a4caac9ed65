/** Merits of a lesson on the way in, on the wire, on the disk and in words; what it decides stands in {@link juricast.core.merits}. */
package juricast.server.merits;
