package juricast.server.classes;

import java.util.List;
import java.util.Optional;
import juricast.core.roster.RosterColumns;
import juricast.core.roster.RosterReading;
import juricast.server.files.TableFile;

/** A roster as a file. @param heading of its columns @param encoding how it was read @param guessed whether that was a guess */
record RosterFile(List<String> heading, RosterReading reading, String encoding, boolean guessed) {
    /** 400 if the file cannot be read at all. @param said which column is what; empty to go by the heading */
    static RosterFile read(byte[] bytes, Optional<RosterColumns> said) {
        TableFile table = TableFile.read(bytes, "a roster", RosterReading.MOST_ROWS);
        return new RosterFile(
                table.heading(),
                RosterReading.of(
                        table.heading(),
                        table.lines().stream()
                                .map(line -> new RosterReading.Line(
                                        line.number(),
                                        line.cells().stream()
                                                .map(TableFile::plain)
                                                .toList()))
                                .toList(),
                        said),
                table.encoding(),
                table.guessed());
    }
}
