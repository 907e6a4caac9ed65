package juricast.server.evidence;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;

/**
 * A ZIP that can be written in one way only: entries in the order of their names, not compressed, without times, comments or extra
 * fields. So whoever reads one writes it again and compares every byte, and nothing can hide beside or between the entries.
 */
final class CanonicalZip {
    /** Bytes of all entries together. */
    static final int MOST_BYTES = 200_000_000;

    private static final int MOST_ENTRIES = 2_000;
    private static final Pattern NAME = Pattern.compile("[a-z0-9][a-z0-9._-]*(/[a-z0-9][a-z0-9._-]*)?");

    private CanonicalZip() {}

    /** @throws IllegalArgumentException if a name is none that a pack may have */
    static byte[] write(Map<String, byte[]> entries) {
        var bytes = new ByteArrayOutputStream();
        try (var zip = new ZipOutputStream(bytes)) {
            zip.setMethod(ZipOutputStream.STORED);
            for (Map.Entry<String, byte[]> one : new TreeMap<>(entries).entrySet()) {
                if (!NAME.matcher(one.getKey()).matches()) {
                    throw new IllegalArgumentException("No file of a pack is called " + one.getKey());
                }
                var entry = new ZipEntry(one.getKey());
                var crc = new CRC32();
                crc.update(one.getValue());
                entry.setSize(one.getValue().length);
                entry.setCompressedSize(one.getValue().length);
                entry.setCrc(crc.getValue());
                entry.setTimeLocal(LocalDateTime.of(1980, 2, 1, 0, 0));
                zip.putNextEntry(entry);
                zip.write(one.getValue());
                zip.closeEntry();
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return bytes.toByteArray();
    }

    /** @throws NotAPack if it is no such ZIP, byte for byte */
    static Map<String, byte[]> read(byte[] file) {
        var entries = new TreeMap<String, byte[]>();
        long all = 0;
        try (var zip = new ZipInputStream(new ByteArrayInputStream(file))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                if (!NAME.matcher(entry.getName()).matches()) {
                    throw new NotAPack("it holds a file of a name that no pack has");
                }
                byte[] bytes = zip.readNBytes((int) (MOST_BYTES - all + 1));
                all += bytes.length;
                if (all > MOST_BYTES || entries.size() >= MOST_ENTRIES) {
                    throw new NotAPack("it is larger than any pack");
                }
                if (entries.put(entry.getName(), bytes) != null) {
                    throw new NotAPack("%s is in it twice".formatted(entry.getName()));
                }
            }
        } catch (IOException | IllegalArgumentException broken) {
            throw new NotAPack("it cannot be read as a ZIP: " + broken.getMessage());
        }
        if (entries.isEmpty()) {
            throw new NotAPack("it is no ZIP, or an empty one");
        }
        if (!Arrays.equals(file, write(entries))) {
            throw new NotAPack(
                    "something stands beside, between or around its files, or they are not as a pack has them");
        }
        return entries;
    }

    /** What is no pack as the school writes it. */
    static final class NotAPack extends RuntimeException {
        private static final long serialVersionUID = 1;

        NotAPack(String why) {
            super(why);
        }
    }
}
