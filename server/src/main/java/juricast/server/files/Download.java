package juricast.server.files;

import java.nio.charset.StandardCharsets;
import java.util.Locale;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** Answers with files that a browser keeps. */
public final class Download {
    private Download() {}

    /** @param name without an ending, in words */
    public static ResponseEntity<byte[]> csv(String name, byte[] table) {
        return file(name, ".csv", "text/csv;charset=UTF-8", table);
    }

    /** @param name without an ending, in words */
    public static ResponseEntity<byte[]> pdf(String name, byte[] paper) {
        return file(name, ".pdf", "application/pdf", paper);
    }

    /** @param name without an ending, in words */
    public static ResponseEntity<byte[]> zip(String name, byte[] archive) {
        return file(name, ".zip", "application/zip", archive);
    }

    /** @param name without an ending, in words */
    public static ResponseEntity<byte[]> svg(String name, String drawing) {
        return file(name, ".svg", "image/svg+xml", drawing.getBytes(StandardCharsets.UTF_8));
    }

    private static ResponseEntity<byte[]> file(String name, String ending, String type, byte[] content) {
        String plain = name.toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}\\p{N}]+", "-")
                .replaceAll("^-|-$", "");
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(plain + ending, StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .contentType(MediaType.parseMediaType(type))
                .body(content);
    }
}
