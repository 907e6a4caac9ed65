package juricast.server.classes;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import juricast.core.roster.RosterReading;
import juricast.core.roster.RosterReading.Line;
import juricast.server.problems.Problem;
import org.apache.commons.csv.CSVException;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A roster as a file: CSV in whatever encoding and with whatever delimiter school programs write.
 *
 * @param encoding how it was read
 * @param guessed whether that was a guess, so that names with accents deserve a look
 */
record RosterFile(RosterReading reading, String encoding, boolean guessed) {
    /** 400 if the file cannot be read at all. */
    static RosterFile read(byte[] bytes) {
        if (bytes.length == 0) {
            throw unreadable("The file is empty.");
        }
        Charset charset = charset(bytes);
        String text = new String(bytes, charset).replaceFirst("^\uFEFF", "");
        if (text.indexOf('\0') >= 0) {
            throw unreadable("It is not a text file; it may be a spreadsheet.");
        }
        try (var parser = CSVParser.parse(
                new StringReader(text),
                CSVFormat.DEFAULT
                        .builder()
                        .setDelimiter(delimiter(text))
                        .setIgnoreEmptyLines(true)
                        .get())) {
            List<String> heading = List.of();
            var lines = new ArrayList<Line>();
            for (CSVRecord record : parser) {
                if (heading.isEmpty()) {
                    heading = record.toList();
                } else if (lines.size() <= RosterReading.MOST_ROWS) {
                    lines.add(new Line((int) parser.getCurrentLineNumber(), record.toList()));
                }
            }
            boolean guessed = charset.name().startsWith("windows");
            return new RosterFile(RosterReading.of(heading, lines), charset.displayName(), guessed);
        } catch (CSVException | UncheckedIOException broken) {
            throw unreadable("A quotation mark may be missing: " + broken.getMessage());
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }

    private static Charset charset(byte[] bytes) {
        if (bytes.length >= 2 && (bytes[0] & 0xff) == 0xff && (bytes[1] & 0xff) == 0xfe) {
            return StandardCharsets.UTF_16LE;
        }
        if (bytes.length >= 2 && (bytes[0] & 0xff) == 0xfe && (bytes[1] & 0xff) == 0xff) {
            return StandardCharsets.UTF_16BE;
        }
        try {
            StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(bytes));
            return StandardCharsets.UTF_8;
        } catch (CharacterCodingException notUtf8) {
            return Charset.forName("windows-1252");
        }
    }

    private static String delimiter(String text) {
        String first = text.lines().findFirst().orElse("");
        return List.of(";", "\t", ",").stream()
                .filter(first::contains)
                .findFirst()
                .orElse(",");
    }

    private static Problem unreadable(String why) {
        return Problem.notReadable(
                "This file cannot be read as a roster",
                why + " Nothing was changed.",
                "Save it as CSV: a heading with “name”, and a line for each pupil.",
                List.of());
    }
}
