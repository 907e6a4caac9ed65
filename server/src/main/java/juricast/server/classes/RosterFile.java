package juricast.server.classes;

import juricast.core.roster.RosterReading;
import juricast.server.files.TableFile;

/** A roster as a file. @param encoding how it was read @param guessed whether that was a guess */
record RosterFile(RosterReading reading, String encoding, boolean guessed) {
    /** 400 if the file cannot be read at all. */
    static RosterFile read(byte[] bytes) {
        TableFile table = TableFile.read(bytes, "a roster", RosterReading.MOST_ROWS);
        return new RosterFile(
                RosterReading.of(
                        table.heading(),
                        table.lines().stream()
                                .map(line -> new RosterReading.Line(
                                        line.number(),
                                        line.cells().stream()
                                                .map(TableFile::plain)
                                                .toList()))
                                .toList()),
                table.encoding(),
                table.guessed());
    }
}
