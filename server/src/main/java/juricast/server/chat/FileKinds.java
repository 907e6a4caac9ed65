package juricast.server.chat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.DataFormatException;
import java.util.zip.Inflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.apache.tika.Tika;

/**
 * What may be sent, by content and by ending, which must fit each other: a script is a text whose ending starts it, and a program in a
 * document's clothes is what its content says. Documents are archives themselves, so they are looked into; whatever can act when it
 * is opened is refused.
 */
final class FileKinds {
    private static final Tika TIKA = new Tika();
    private static final int MOST_ENTRIES = 4000;
    /** Bytes that are unpacked to look at; a document that hides more behind so little is none. */
    private static final int MOST_UNPACKED = 60_000_000;

    private static final Set<String> OFFICE_PARTS = Set.of(
            "xml",
            "rels",
            "png",
            "jpg",
            "jpeg",
            "gif",
            "emf",
            "wmf",
            "svg",
            "tif",
            "tiff",
            "bmp",
            "webp",
            "mp3",
            "m4a",
            "wav",
            "mp4",
            "mov",
            "wdp",
            "fntdata",
            "odttf",
            "ttf",
            "otf",
            "rdf",
            "txt",
            "jfif",
            "vml",
            "thumbnail",
            "");
    private static final Pattern ACTS = Pattern.compile(
            "vbaproject|vbadata|activex|/embeddings/|externallinks/|^basic/|^scripts/|^object ?\\d",
            Pattern.CASE_INSENSITIVE);
    /** What a PDF says of code to run, programs to start, files it brings, and that nobody may look into it. */
    private static final Pattern PDF_ACTS =
            Pattern.compile("/(JavaScript|JS|Launch|EmbeddedFiles?|RichMedia|XFA|Encrypt)\\b");

    private static final Pattern PDF_ESCAPE = Pattern.compile("#([2-7][0-9a-fA-F])");

    private static final Pattern PDF_STREAM = Pattern.compile("/ObjStm\\b.{0,400}?stream\\r?\\n", Pattern.DOTALL);

    private FileKinds() {}

    /** One ending. @param kind as the rule for files in the chat names it @param types what the content may be */
    private record Allowed(String ending, String kind, Set<String> types) {}

    private static final Map<String, Allowed> ALLOWED = Stream.of(
                    allowed("documents", "pdf", "application/pdf"),
                    allowed("documents", "txt", "text/plain"),
                    allowed("documents", "csv", "text/plain", "text/csv"),
                    allowed("documents", "md", "text/plain", "text/markdown", "text/x-web-markdown"),
                    allowed("documents", "rtf", "application/rtf"),
                    allowed("documents", "docx", office("wordprocessingml.document")),
                    allowed("documents", "xlsx", office("spreadsheetml.sheet")),
                    allowed("slides", "pptx", office("presentationml.presentation")),
                    allowed("documents", "odt", open("text")),
                    allowed("documents", "ods", open("spreadsheet")),
                    allowed("slides", "odp", open("presentation")),
                    allowed("pictures", "odg", open("graphics")),
                    allowed("pictures", "png", "image/png"),
                    allowed("pictures", "jpg", "image/jpeg"),
                    allowed("pictures", "jpeg", "image/jpeg"),
                    allowed("pictures", "gif", "image/gif"),
                    allowed("pictures", "webp", "image/webp"),
                    allowed("pictures", "bmp", "image/bmp"),
                    allowed("pictures", "heic", "image/heic", "image/heif"),
                    allowed("pictures", "tif", "image/tiff"),
                    allowed("pictures", "tiff", "image/tiff"),
                    allowed("sound", "mp3", "audio/mpeg"),
                    allowed("sound", "ogg", "audio/ogg", "audio/vorbis", "audio/opus", "application/ogg"),
                    allowed("sound", "opus", "audio/opus", "audio/ogg"),
                    allowed("sound", "wav", "audio/vnd.wave", "audio/x-wav", "audio/wav"),
                    allowed("sound", "m4a", "audio/mp4", "audio/x-m4a", "video/mp4", "application/mp4"),
                    allowed("sound", "flac", "audio/x-flac", "audio/flac"),
                    allowed("sound", "aac", "audio/x-aac", "audio/aac"),
                    allowed("video", "mp4", "video/mp4", "application/mp4", "video/x-m4v", "video/quicktime"),
                    allowed("video", "webm", "video/webm", "application/x-matroska", "video/x-matroska"),
                    allowed("video", "mov", "video/quicktime", "application/quicktime"))
            .collect(Collectors.toMap(Allowed::ending, Function.identity()));

    private static Allowed allowed(String kind, String ending, String... types) {
        return new Allowed(ending, kind, Set.of(types));
    }

    private static String[] office(String name) {
        return new String[] {
            "application/vnd.openxmlformats-officedocument." + name, "application/zip", "application/x-tika-ooxml"
        };
    }

    private static String[] open(String name) {
        return new String[] {"application/vnd.oasis.opendocument." + name, "application/zip"};
    }

    /** A kind, or why it is none. */
    record Told(String kind, String why) {
        <R> R either(Function<String, R> ifKind, Function<String, R> ifNot) {
            return kind.isEmpty() ? ifNot.apply(why) : ifKind.apply(kind);
        }
    }

    private static Told not(String why) {
        return new Told("", why);
    }

    static Told of(String name, byte[] bytes) {
        String ending = name.contains(".")
                ? name.substring(name.lastIndexOf('.') + 1).strip().toLowerCase(Locale.ROOT)
                : "";
        Allowed allowed = ALLOWED.get(ending);
        if (allowed == null) {
            return not(
                    ending.isEmpty()
                            ? "Its name has no ending that says what it is."
                            : "Files that end in “.%s” are not sent.".formatted(ending));
        }
        // By its bytes alone: the ending must fit them, and not the other way round.
        String content = TIKA.detect(bytes);
        boolean fits =
                allowed.types.contains(content) || allowed.types.contains(TIKA.detect(bytes, name)) && isText(content);
        if (!fits) {
            return not("It ends in “.%s”, but its content is something else.".formatted(ending));
        }
        boolean isArchive = bytes.length > 3 && bytes[0] == 'P' && bytes[1] == 'K';
        if (allowed.types.contains("application/zip")) {
            return isArchive ? document(allowed, bytes) : not("It is no whole document.");
        }
        if (isArchive) {
            return not("It is packed.");
        }
        if (ending.equals("pdf") && acts(bytes)) {
            return not("This PDF can run something, brings other files with it, or cannot be looked into.");
        }
        return new Told(allowed.kind, "");
    }

    private static boolean isText(String content) {
        return content.equals("text/plain");
    }

    /** Its parts must be those of a document, and none may act. */
    private static Told document(Allowed allowed, byte[] bytes) {
        int entries = 0;
        long unpacked = 0;
        boolean isOffice = false;
        boolean isOpen = false;
        try (var zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                String name = entry.getName();
                String part = name.substring(name.lastIndexOf('/') + 1);
                String ending = part.contains(".")
                        ? part.substring(part.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT)
                        : "";
                if (++entries > MOST_ENTRIES || ACTS.matcher(name).find()) {
                    return not("This document holds macros, programs or other files.");
                }
                byte[] content = zip.readNBytes(MOST_UNPACKED);
                unpacked += content.length;
                if (unpacked >= MOST_UNPACKED) {
                    return not("It unpacks to far more than it seems.");
                }
                if (!OFFICE_PARTS.contains(ending) || isProgramOrArchive(content)) {
                    return not("This document holds “%s”, which is no part of a document.".formatted(part));
                }
                if (name.equals("[Content_Types].xml")) {
                    String types = new String(content, StandardCharsets.UTF_8);
                    if (types.toLowerCase(Locale.ROOT).contains("macroenabled")) {
                        return not("This document holds macros.");
                    }
                    isOffice = allowed.types.stream().anyMatch(types::contains);
                }
                if (name.equals("mimetype")) {
                    isOpen = allowed.types.contains(new String(content, StandardCharsets.US_ASCII).strip());
                }
                if (name.endsWith("content.xml")
                        && new String(content, StandardCharsets.UTF_8).contains("<script:event-listener")) {
                    return not("This document runs something when it is opened.");
                }
            }
        } catch (IOException | IllegalArgumentException broken) {
            return not("It is no whole document.");
        }
        return isOffice || isOpen
                ? new Told(allowed.kind, "")
                : not("It ends in “.%s”, but its content is something else.".formatted(allowed.ending));
    }

    private static boolean isProgramOrArchive(byte[] content) {
        String type = content.length == 0 ? "" : TIKA.detect(content);
        return type.contains("executable")
                || type.contains("msdownload")
                || type.contains("x-sh")
                || type.contains("zip")
                || type.contains("x-7z")
                || type.contains("rar")
                || type.contains("java");
    }

    /** In the open, and in the packed objects of newer files; what cannot be looked into may act. */
    private static boolean acts(byte[] pdf) {
        String text = new String(pdf, StandardCharsets.ISO_8859_1);
        if (PDF_ACTS.matcher(unescaped(text)).find()) {
            return true;
        }
        var unpacked = new byte[MOST_UNPACKED / 20];
        long all = 0;
        Matcher stream = PDF_STREAM.matcher(text);
        while (stream.find()) {
            int length = inflate(pdf, stream.end(), unpacked);
            all += length;
            if (length == 0
                    || length == unpacked.length
                    || all > MOST_UNPACKED
                    || PDF_ACTS.matcher(unescaped(new String(unpacked, 0, length, StandardCharsets.ISO_8859_1)))
                            .find()) {
                return true;
            }
        }
        return false;
    }

    /** Any letter of a name may be written as its number (ISO 32000-1, 7.3.5). */
    private static String unescaped(String pdf) {
        return PDF_ESCAPE
                .matcher(pdf)
                .replaceAll(letter ->
                        Matcher.quoteReplacement(String.valueOf((char) Integer.parseInt(letter.group(1), 16))));
    }

    /** @return how many bytes came out; 0 if it is packed in another way */
    private static int inflate(byte[] bytes, int from, byte[] into) {
        var inflater = new Inflater();
        inflater.setInput(bytes, from, bytes.length - from);
        try {
            return inflater.inflate(into);
        } catch (DataFormatException notPacked) {
            return 0;
        } finally {
            inflater.end();
        }
    }
}
