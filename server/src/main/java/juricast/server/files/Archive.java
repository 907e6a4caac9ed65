package juricast.server.files;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/** A ZIP archive that is written while it is made, and knows of each part how long it is and its SHA-256. */
public final class Archive {
    private final ZipOutputStream zip;
    private final List<Part> parts = new ArrayList<>();

    public Archive(OutputStream out) {
        zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
    }

    /** One file of the archive. */
    public record Part(String name, String type, long bytes, String sha256) {}

    /** What is written into a part. */
    @FunctionalInterface
    public interface Content {
        void to(OutputStream out) throws IOException;
    }

    /** What was put until now, in order. */
    public List<Part> parts() {
        return List.copyOf(parts);
    }

    public void put(String name, String type, String text) throws IOException {
        put(name, type, text.getBytes(StandardCharsets.UTF_8));
    }

    public void put(String name, String type, byte[] bytes) throws IOException {
        put(name, type, (Content) out -> out.write(bytes));
    }

    public void put(String name, String type, Content content) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        var counted = new Counted(new DigestOutputStream(zip, sha256()));
        content.to(counted);
        zip.closeEntry();
        String sum = HexFormat.of().formatHex(counted.digest.getMessageDigest().digest());
        parts.add(new Part(name, type, counted.bytes, sum));
    }

    /** Writes the end of it; what it was written to stays open. */
    public void finish() throws IOException {
        zip.finish();
    }

    private static final class Counted extends OutputStream {
        private final DigestOutputStream digest;
        private long bytes;

        Counted(DigestOutputStream digest) {
            this.digest = digest;
        }

        @Override
        public void write(int one) throws IOException {
            digest.write(one);
            bytes++;
        }

        @Override
        public void write(byte[] some, int from, int count) throws IOException {
            digest.write(some, from, count);
            bytes += count;
        }
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
