/** Slates of a lesson on the way in, on the wire, on the disk and in words; what is decided stands in {@link juricast.core.slates}. */
package juricast.server.slates;
