package juricast.server.ical;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * The lines of a file as they were before they were folded (section 3.1), each with the number of the line on which it begins.
 *
 * @param isGuessed whether the bytes were no UTF-8 and were read as letters of western Europe
 */
public record CalendarText(List<Line> lines, boolean isGuessed) {
    private static final Charset WESTERN = Charset.forName("windows-1252");
    private static final int LOOKED_AT = 200;
    private static final int LONGEST = 75;

    /** @param number of the first of the lines it was folded into, from 1 */
    public record Line(int number, String text) {
        public boolean begins(String block) {
            return text.strip().equalsIgnoreCase("BEGIN:" + block);
        }

        public boolean ends(String block) {
            return text.strip().equalsIgnoreCase("END:" + block);
        }
    }

    /** Folds lines so that none is longer than 75 octets (section 3.1), and cuts no letter. */
    public static String folded(String text) {
        var all = new StringBuilder(text.length() + text.length() / 20);
        for (String line : text.split("\r?\n")) {
            int octets = 0;
            for (int at = 0; at < line.length(); at = line.offsetByCodePoints(at, 1)) {
                String letter = Character.toString(line.codePointAt(at));
                int more = letter.getBytes(StandardCharsets.UTF_8).length;
                if (octets + more > LONGEST) {
                    all.append("\r\n ");
                    octets = 1;
                }
                all.append(letter);
                octets += more;
            }
            all.append("\r\n");
        }
        return all.toString();
    }

    /** Whether a file is meant as a calendar. */
    public static boolean isOne(byte[] file) {
        byte[] first = java.util.Arrays.copyOf(file, Math.min(file.length, LOOKED_AT));
        Charset wide = wide(first);
        String begins = new String(first, wide == null ? StandardCharsets.UTF_8 : wide);
        return begins.replace("\uFEFF", "")
                .stripLeading()
                .toUpperCase(Locale.ROOT)
                .startsWith("BEGIN:VCAL");
    }

    /** Reads UTF-8, or UTF-16 with or without a mark. A letter of several bytes may have been cut by a fold. */
    public static CalendarText of(byte[] file) {
        Charset wide = wide(file);
        byte[] bytes = wide == null ? file : new String(file, wide).getBytes(StandardCharsets.UTF_8);
        List<Folded> whole = unfolded(bytes);
        boolean isUtf8 = whole.stream().allMatch(Folded::isUtf8);
        Charset letters = isUtf8 ? StandardCharsets.UTF_8 : WESTERN;
        return new CalendarText(
                whole.stream()
                        .map(one ->
                                new Line(one.number, one.bytes.toString(letters).replace("\uFEFF", "")))
                        .filter(one -> !one.text.isBlank())
                        .toList(),
                !isUtf8);
    }

    /** UTF-16 is known by its mark, or by every other byte being empty, as it is in what a calendar begins with. */
    private static @org.jspecify.annotations.Nullable Charset wide(byte[] file) {
        if (file.length < 4) {
            return null;
        }
        int first = file[0] & 0xFF;
        int second = file[1] & 0xFF;
        if (first == 0xFE && second == 0xFF || first == 0 && second != 0) {
            return StandardCharsets.UTF_16BE;
        }
        return first == 0xFF && second == 0xFE || second == 0 && first != 0 ? StandardCharsets.UTF_16LE : null;
    }

    private record Folded(int number, ByteArrayOutputStream bytes) {
        boolean isUtf8() {
            try {
                StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes.toByteArray()));
                return true;
            } catch (CharacterCodingException other) {
                return false;
            }
        }
    }

    private static List<Folded> unfolded(byte[] file) {
        var all = new ArrayList<Folded>();
        int number = 0;
        int at = 0;
        while (at < file.length) {
            int end = at;
            while (end < file.length && file[end] != '\n' && file[end] != '\r') {
                end++;
            }
            number++;
            boolean goesOn = !all.isEmpty() && end > at && (file[at] == ' ' || file[at] == '\t');
            if (goesOn) {
                all.get(all.size() - 1).bytes.write(file, at + 1, end - at - 1);
            } else if (end > at) {
                var line = new Folded(number, new ByteArrayOutputStream(end - at));
                line.bytes.write(file, at, end - at);
                all.add(line);
            }
            boolean isPair = end + 1 < file.length && file[end] == '\r' && file[end + 1] == '\n';
            at = end + (isPair ? 2 : 1);
        }
        return all;
    }
}
