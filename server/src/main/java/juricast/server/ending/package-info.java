/** The ending of a lesson on the way in, on the wire, on the disk and in words; what it decides stands in {@link juricast.core.ending}. */
package juricast.server.ending;
