package juricast.core.drawing;

import juricast.core.identity.PersonId;

/** Something drawn, with its author (need F6). @param number the number of the event by which it was drawn */
public record Mark(int number, PersonId author, Drawing drawing) {}
