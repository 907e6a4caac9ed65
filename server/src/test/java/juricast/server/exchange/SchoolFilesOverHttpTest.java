package juricast.server.exchange;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

class SchoolFilesOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private final TestBrowser maren = SERVER.signedIn("maren-oddlund");

    private Map<String, String> written() throws IOException {
        var files = new LinkedHashMap<String, String>();
        try (var zip = new ZipInputStream(
                new ByteArrayInputStream(SERVER.bean(SchoolSheets.class).write()))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                files.put(entry.getName(), new String(zip.readAllBytes(), UTF_8));
            }
        }
        return files;
    }

    private static byte[] zip(Map<String, String> files) throws IOException {
        var out = new ByteArrayOutputStream();
        try (var zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, String> one : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(one.getKey()));
                zip.write(one.getValue().getBytes(UTF_8));
            }
        }
        return out.toByteArray();
    }

    private TestBrowser.Answer send(String path, Map<String, String> files) throws IOException {
        return maren.send(
                "POST",
                "/api/school-files" + path,
                new String(zip(files), StandardCharsets.ISO_8859_1),
                "application/zip");
    }

    @Test
    void the_school_goes_out_in_the_tables_of_the_binding_and_comes_back_in_without_a_change() throws IOException {
        Map<String, String> files = written();
        assertThat(files.keySet())
                .containsExactly(
                        "manifest.csv",
                        "academicSessions.csv",
                        "orgs.csv",
                        "courses.csv",
                        "classes.csv",
                        "users.csv",
                        "enrollments.csv");
        assertThat(files.get("manifest.csv"))
                .contains("oneroster.version,1.1", "file.users,bulk", "file.results,absent");
        assertThat(files.get("users.csv"))
                .startsWith(
                        "sourcedId,status,dateLastModified,enabledUser,orgSourcedIds,role,username,userIds,givenName")
                .contains("ines-carrow,,,true,school,student");
        assertThat(files.get("enrollments.csv")).contains("tidal-navigation-8,school,orla-venn,teacher,true");

        JsonNode same = send("/preview", files).json();
        assertThat(same.get("wrong")).as(same.toString()).isEmpty();
        for (String what : new String[] {"pupils", "renamed", "classes", "joins", "leaves"}) {
            assertThat(same.get(what)).as(what).isEmpty();
        }
        assertThat(send("?fingerprint=" + same.get("fingerprint").asString(), files)
                        .text())
                .contains("nothing to take");
    }

    @Test
    void changed_files_are_taken_as_the_preview_showed_and_not_twice() throws IOException {
        Map<String, String> files = written();
        files.put("users.csv", files.get("users.csv") + "new-1,,,true,school,student,n,,Nial,Quist,,9001,,,,,08,\r\n");
        files.put(
                "classes.csv", files.get("classes.csv") + "nets,,,Net Making 8,08,c,,scheduled,,school,term-1,,,\r\n");
        files.put(
                "enrollments.csv",
                files.get("enrollments.csv").replaceFirst("tidal-navigation-8-jory-pell[^\\r]*\\r\\n", "")
                        + "e1,,,nets,school,new-1,student,,,\r\ne2,,,nets,school,orla-venn,teacher,true,,\r\n"
                        + "e3,,,nowhere,school,new-1,student,,,\r\n");
        JsonNode shown = send("/preview", files).json();
        assertThat(shown.get("pupils").toString()).isEqualTo("[\"Nial Quist\"]");
        assertThat(shown.get("classes").toString()).isEqualTo("[\"Net Making 8\"]");
        assertThat(shown.get("joins").toString()).isEqualTo("[\"Net Making 8: Nial Quist\"]");
        assertThat(shown.get("leaves").toString()).isEqualTo("[\"Tidal Navigation 8: Jory Pell\"]");
        assertThat(shown.at("/wrong/0/message").asString()).contains("nowhere");

        String fingerprint = "?fingerprint=" + shown.get("fingerprint").asString();
        assertThat(send(fingerprint, written()).status()).as("another file").isEqualTo(409);
        assertThat(send(fingerprint, files).status()).isEqualTo(200);
        assertThat(maren.get("/api/classes").text()).contains("Net Making 8");
        assertThat(maren.get("/api/classes/tidal-navigation-8").text()).doesNotContain("Jory Pell");
        JsonNode again = send("/preview", files).json();
        assertThat(again.get("pupils")).isEmpty();
        assertThat(again.get("joins")).isEmpty();
        assertThat(send(fingerprint, files).status()).isEqualTo(409);
    }

    @Test
    void what_is_no_archive_is_told() {
        assertThat(maren.send("POST", "/api/school-files/preview", "PK nonsense", "application/zip")
                        .text())
                .contains("cannot be read as the files of a school");
        assertThat(SERVER.signedIn("orla-venn").get("/api/school-files").status())
                .isEqualTo(403);
    }
}
