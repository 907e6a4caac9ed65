/** A help hour on the wire, on the disk and in words; what is decided stands in {@link juricast.core.help}. */
package juricast.server.help;
