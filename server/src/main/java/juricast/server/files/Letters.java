package juricast.server.files;

import com.lowagie.text.Chunk;
import com.lowagie.text.Font;
import com.lowagie.text.Phrase;
import com.lowagie.text.pdf.BaseFont;
import com.lowagie.text.pdf.LayoutProcessor;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Text in letters of any script that the program has type for: each run of it in the first type that has it, those that are
 * written from right to left so. What no type has stands as a box, and whoever writes the paper is told.
 */
final class Letters {
    /** A box; it is in the usual type. */
    static final String MISSING = "\u25A1";

    /** Those that are laid out come last. */
    private static final List<Script> OTHERS = List.of(
            new Script("DroidSansFallbackFull.ttf", false, false),
            new Script("NotoSansArabic-Regular.ttf", true, true),
            new Script("NotoSansHebrew-Regular.ttf", true, true),
            new Script("NotoSansDevanagari-Regular.ttf", true, false),
            new Script("NotoSansThai-Regular.ttf", true, false));

    /** One more type. Where letters change by their neighbours, or run from right to left, the Java platform lays them out. */
    private static final class Script {
        private final String file;
        private final BaseFont base;
        private final boolean isFromRight;
        private final Map<Float, Font> sizes = new ConcurrentHashMap<>();

        Script(String file, boolean isLaidOut, boolean isFromRight) {
            this.file = file;
            this.isFromRight = isFromRight;
            // Once it is enabled every type that is read is laid out by the platform; the usual type was read before.
            if (isLaidOut && !LayoutProcessor.isEnabled()) {
                LayoutProcessor.enableKernLiga();
            }
            base = read(file);
        }

        boolean has(int letter) {
            return base.charExists(letter);
        }

        Font in(Font style) {
            return sizes.computeIfAbsent(style.getSize(), size -> {
                var font = new Font(base, size);
                if (isFromRight) {
                    LayoutProcessor.setRunDirectionRtl(font);
                }
                return font;
            });
        }

        private static BaseFont read(String file) {
            try (InputStream in = Letters.class.getResourceAsStream("/letters/" + file)) {
                return BaseFont.createFont(
                        "letters/" + file, BaseFont.IDENTITY_H, BaseFont.EMBEDDED, true, in.readAllBytes(), null);
            } catch (IOException missing) {
                throw new UncheckedIOException(missing);
            }
        }

        @Override
        public String toString() {
            return file;
        }
    }

    private Letters() {}

    static Phrase phrase(String text, Font style) {
        var phrase = new Phrase();
        phrase.setFont(style);
        var run = new StringBuilder();
        Font now = style;
        for (int letter : text.codePoints().toArray()) {
            boolean isNeutral =
                    Character.isWhitespace(letter) || Character.getType(letter) == Character.DASH_PUNCTUATION;
            Font next =
                    isNeutral && run.length() > 0 && now.getBaseFont().charExists(letter) ? now : type(letter, style);
            if (next != now && run.length() > 0) {
                phrase.add(new Chunk(run.toString(), now));
                run.setLength(0);
            }
            now = next;
            run.append(isWritten(letter, style) ? Character.toString(letter) : MISSING);
        }
        if (run.length() > 0 || text.isEmpty()) {
            phrase.add(new Chunk(run.toString(), now));
        }
        return phrase;
    }

    /** Whether every letter of it can be written. */
    static boolean canWrite(String text, Font style) {
        return text.codePoints().allMatch(letter -> isWritten(letter, style));
    }

    private static boolean isWritten(int letter, Font style) {
        return Character.isWhitespace(letter)
                || Character.getType(letter) == Character.FORMAT
                || style.getBaseFont().charExists(letter)
                || OTHERS.stream().anyMatch(one -> one.has(letter));
    }

    private static Font type(int letter, Font style) {
        if (style.getBaseFont().charExists(letter)) {
            return style;
        }
        return OTHERS.stream()
                .filter(one -> one.has(letter))
                .findFirst()
                .map(one -> one.in(style))
                .orElse(style);
    }
}
