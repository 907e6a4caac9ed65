/** The school's ladder as it is kept, and what a pupil brings along to a lesson. Begin with {@link juricast.server.ladder.Ladders}. */
package juricast.server.ladder;
