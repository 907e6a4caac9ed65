package juricast.core.chat;

import juricast.core.limits.Limits;

/**
 * A file that was sent with words. The record keeps what it was; its bytes are kept beside the record.
 *
 * @param id under which its bytes are kept
 * @param name as its sender called it
 * @param kind one of the kinds of the rule "Which files", told from its bytes and not from its name
 * @param bytes how large it is, 1 to {@link Limits#FILE_BYTES}
 */
public record SentFile(String id, String name, String kind, int bytes) {
    /** @throws IllegalArgumentException if it is empty or too large, or has no name */
    public SentFile {
        if (bytes < 1 || bytes > Limits.FILE_BYTES) {
            throw new IllegalArgumentException("A file has 1 to %d bytes, not %d".formatted(Limits.FILE_BYTES, bytes));
        }
        if (name.isBlank() || name.length() > Limits.FILE_NAME) {
            throw new IllegalArgumentException("A file has a name of 1 to %d characters".formatted(Limits.FILE_NAME));
        }
    }
}
