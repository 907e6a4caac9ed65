/** Weak lines on the way in, on the wire, on the disk and in words; what they lead to stands in {@link juricast.core.lines}. */
package juricast.server.lines;
