/** Welcomes and announcements on the way in, on the wire, on the disk and in words; what is decided stands in {@link juricast.core.notices}. */
package juricast.server.notices;
