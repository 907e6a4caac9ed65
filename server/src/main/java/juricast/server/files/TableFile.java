package juricast.server.files;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import juricast.server.problems.Problem;
import org.apache.commons.csv.CSVException;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A table as CSV (RFC 4180): read in whatever encoding and with whatever delimiter school programs write, written so that a
 * spreadsheet opens it and takes nothing in it for a formula.
 *
 * @param encoding how it was read
 * @param guessed whether that was a guess, so that names with accents deserve a look
 */
public record TableFile(List<String> heading, List<Line> lines, String encoding, boolean guessed) {
    /** What a spreadsheet would calculate instead of showing. */
    private static final String FORMULA_SIGNS = "=+-@\t\r\n＝＋－＠|";

    private static final Pattern UNSEEN_BEGINNING = Pattern.compile("^[\\p{Cf}\\p{Zs}\\u0000]+");

    /** One line below the heading. @param number of its last line in the file, from 1 */
    public record Line(int number, List<String> cells) {}

    /**
     * Reads a file. 400 if it cannot be read at all.
     *
     * @param what it is to be, as in "a roster"
     * @param mostLines further ones are not read; one more than that is kept, so that the reader can tell
     */
    public static TableFile read(byte[] bytes, String what, int mostLines) {
        if (bytes.length == 0) {
            throw unreadable(what, "The file is empty.");
        }
        Charset charset = charset(bytes);
        String text = new String(bytes, charset).replaceFirst("^\uFEFF", "");
        if (text.indexOf('\0') >= 0) {
            throw unreadable(what, "It is not a text file; it may be a spreadsheet.");
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
                } else if (lines.size() <= mostLines) {
                    lines.add(new Line((int) parser.getCurrentLineNumber(), record.toList()));
                }
            }
            return new TableFile(
                    heading, lines, charset.displayName(), charset.name().startsWith("windows"));
        } catch (CSVException | UncheckedIOException broken) {
            throw unreadable(what, "A quotation mark may be missing: " + broken.getMessage());
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }

    /** Writes a table. Cells that a spreadsheet would take for a formula begin with an apostrophe. */
    public static byte[] write(List<String> heading, List<List<String>> rows) {
        return write(heading, rows, column -> false);
    }

    /** @param exact by its heading: a column that only programs read, whose cells are written as they are */
    public static byte[] write(List<String> heading, List<List<String>> rows, Predicate<String> exact) {
        boolean[] asItIs = new boolean[heading.size()];
        for (int i = 0; i < asItIs.length; i++) {
            asItIs[i] = exact.test(heading.get(i));
        }
        var out = new StringWriter();
        // The mark at the beginning tells spreadsheets that it is UTF-8.
        out.write('\uFEFF');
        try (var csv = CSVFormat.RFC4180.print(out)) {
            csv.printRecord(heading);
            for (List<String> row : rows) {
                csv.printRecord(IntStream.range(0, row.size())
                        .mapToObj(i -> i < asItIs.length && asItIs[i] ? row.get(i) : harmless(row.get(i)))
                        .toList());
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return out.toString().getBytes(StandardCharsets.UTF_8);
    }

    private static String harmless(String cell) {
        // A spreadsheet leaves out what is not seen before it looks for a formula.
        String seen = UNSEEN_BEGINNING.matcher(cell).replaceFirst("");
        return !seen.isEmpty() && FORMULA_SIGNS.indexOf(seen.charAt(0)) >= 0 ? "'" + cell : cell;
    }

    /** A cell as it was before it was made harmless. */
    public static String plain(String cell) {
        String said = cell.strip();
        boolean guarded = said.length() > 1 && said.charAt(0) == '\'' && FORMULA_SIGNS.indexOf(said.charAt(1)) >= 0;
        return guarded ? said.substring(1) : said;
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

    private static Problem unreadable(String what, String why) {
        return Problem.notReadable(
                "This file cannot be read as " + what,
                why + " Nothing was changed.",
                "Save it as CSV: a heading, and a line for each entry below it.",
                List.of());
    }
}
