/** Groups of a lesson on the way in, on the wire, on the disk and in words; what it decides stands in {@link juricast.core.groups}. */
package juricast.server.groups;
