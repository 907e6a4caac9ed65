/**
 * A lesson as somebody looks on: desk, seat, corridor and replay, each put together from the pieces of the parts. Begin with
 * {@link juricast.server.room.DeskJson} and {@link juricast.server.room.SeatJson}.
 */
package juricast.server.room;
