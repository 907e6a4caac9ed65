/** The board of a lesson on the way in, on the wire, on the disk and in words; what it decides stands in {@link juricast.core.board}. */
package juricast.server.board;
