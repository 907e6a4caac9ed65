/** Clocks, and who is first to answer, on the way in, on the wire, on the disk and in words; what is decided stands in {@link juricast.core.clocks}. */
package juricast.server.clocks;
