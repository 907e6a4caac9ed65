package juricast.server.exchange;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import juricast.core.exchange.SchoolFiles;
import juricast.core.roster.RosterReading;
import juricast.server.files.TableFile;
import juricast.server.problems.Problem;

/** The archive that the OneRoster CSV binding asks for: its tables, and a manifest that says which there are. */
final class SchoolZip {
    /** Bytes of one table, unpacked: nobody fills the memory with a small archive of nothing. */
    private static final int MOST_BYTES = 20_000_000;

    private static final Set<String> NEEDED = Set.of("users.csv", "classes.csv", "enrollments.csv");

    private SchoolZip() {}

    /** Of the binding. */
    enum Version {
        FIRST("1.1", ALL),
        SECOND("1.2", ALL_OF_SECOND);

        private final String number;
        private final List<String> tables;

        Version(String number, List<String> tables) {
            this.number = number;
            this.tables = tables;
        }

        static Optional<Version> of(String number) {
            return Stream.of(values()).filter(one -> one.number.equals(number)).findFirst();
        }
    }

    /** 400 if it is no archive, or too large. */
    static Map<String, SchoolFiles.Table> read(byte[] bytes) {
        var tables = new HashMap<String, SchoolFiles.Table>();
        try (var zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                String name = entry.getName().replaceFirst(".*/", "").toLowerCase(Locale.ROOT);
                if (entry.isDirectory()) {
                    continue;
                }
                if (!SchoolFiles.READ.contains(name)) {
                    tables.put(name, new SchoolFiles.Table(List.of(), List.of()));
                    continue;
                }
                byte[] table = zip.readNBytes(MOST_BYTES + 1);
                if (table.length > MOST_BYTES) {
                    throw unreadable("%s is larger than %d MB.".formatted(name, MOST_BYTES / 1_000_000));
                }
                tables.put(name, table(table, name));
            }
        } catch (IOException | IllegalArgumentException broken) {
            throw unreadable("It is no archive, or a damaged one.");
        }
        if (tables.keySet().stream().noneMatch(NEEDED::contains)) {
            throw unreadable("None of users.csv, classes.csv and enrollments.csv is in it.");
        }
        return tables;
    }

    private static SchoolFiles.Table table(byte[] bytes, String name) {
        TableFile read = TableFile.read(bytes, name, SchoolFiles.MOST_ROWS);
        return new SchoolFiles.Table(
                read.heading(),
                read.lines().stream()
                        .map(line -> new RosterReading.Line(
                                line.number(),
                                line.cells().stream().map(TableFile::plain).toList()))
                        .toList());
    }

    private static Problem unreadable(String why) {
        return Problem.notReadable(
                "This cannot be read as the files of a school",
                why + " Nothing was changed.",
                "Choose the archive (.zip) that the other program wrote.",
                List.of());
    }

    /** One table to write. */
    record Sheet(String name, List<String> heading, List<List<String>> rows) {}

    /** Writes tables with the manifest of a version, all of them in bulk. Ids are written as they are: programs read them. */
    static byte[] write(Version version, List<Sheet> sheets, String system) {
        var out = new ByteArrayOutputStream();
        try (var zip = new ZipOutputStream(out)) {
            put(zip, "manifest.csv", manifest(version, sheets, system));
            for (Sheet sheet : sheets) {
                put(zip, sheet.name + ".csv", TableFile.write(sheet.heading, sheet.rows, SchoolZip::isForPrograms));
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return out.toByteArray();
    }

    private static boolean isForPrograms(String column) {
        return column.toLowerCase(Locale.ROOT).contains("sourcedid")
                || column.equals("identifier")
                || column.equals("username");
    }

    private static void put(ZipOutputStream zip, String name, byte[] bytes) throws IOException {
        // Without the mark that spreadsheets like: programs that read these files take it for part of the first
        // heading.
        String text = new String(bytes, StandardCharsets.UTF_8).replaceFirst("^\uFEFF", "");
        zip.putNextEntry(new ZipEntry(name));
        zip.write(text.getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
    }

    private static final List<String> ALL = List.of(
            "academicSessions",
            "categories",
            "classes",
            "classResources",
            "courses",
            "courseResources",
            "demographics",
            "enrollments",
            "lineItems",
            "orgs",
            "resources",
            "results",
            "users");

    private static final List<String> ALL_OF_SECOND = List.of(
            "academicSessions",
            "categories",
            "classes",
            "classResources",
            "courses",
            "courseResources",
            "demographics",
            "enrollments",
            "lineItemLearningObjectiveIds",
            "lineItems",
            "lineItemScoreScales",
            "orgs",
            "resources",
            "resultLearningObjectiveIds",
            "results",
            "resultScoreScales",
            "roles",
            "scoreScales",
            "userProfiles",
            "userResources",
            "users");

    private static byte[] manifest(Version version, List<Sheet> sheets, String system) {
        var rows = new java.util.ArrayList<List<String>>();
        rows.add(List.of("manifest.version", "1.0"));
        rows.add(List.of("oneroster.version", version.number));
        Set<String> written = sheets.stream().map(Sheet::name).collect(java.util.stream.Collectors.toSet());
        version.tables.forEach(name -> rows.add(List.of("file." + name, written.contains(name) ? "bulk" : "absent")));
        rows.add(List.of("source.systemName", "Juricast"));
        rows.add(List.of("source.systemCode", system));
        return TableFile.write(List.of("propertyName", "value"), rows);
    }
}
