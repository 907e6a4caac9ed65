package juricast.core.board;

import java.util.List;
import juricast.core.identity.PersonId;
import juricast.core.live.PlaceId;

/**
 * A line on the board with its author (need F6).
 *
 * @param number the number of its event
 * @param in the place whose page it is on
 * @param line x and y in turn, each from 0 to 1000 of the board's width and height
 */
public record BoardLine(int number, PersonId author, PlaceId in, List<Integer> line) {}
