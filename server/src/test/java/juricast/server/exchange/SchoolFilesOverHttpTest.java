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
import juricast.server.data.Database;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

class SchoolFilesOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private final TestBrowser maren = SERVER.signedIn("maren-oddlund");

    private Map<String, String> written(SchoolZip.Version version) throws IOException {
        var files = new LinkedHashMap<String, String>();
        try (var zip = new ZipInputStream(
                new ByteArrayInputStream(SERVER.bean(SchoolSheets.class).write(version)))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                files.put(entry.getName(), new String(zip.readAllBytes(), UTF_8));
            }
        }
        return files;
    }

    private Map<String, String> written() throws IOException {
        return written(SchoolZip.Version.FIRST);
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
                .containsPattern("ines-carrow,,,true,[0-9a-f-]{36},student");
        assertThat(files.get("enrollments.csv"))
                .containsPattern("tidal-navigation-8,[0-9a-f-]{36},orla-venn,teacher,true");

        JsonNode same = send("/preview", files).json();
        assertThat(same.get("wrong").findValuesAsString("message"))
                .as("what the lead is, and tables that are not read, is told")
                .hasSize(3)
                .allMatch(one -> one.contains("neither pupils nor") || one.contains("not read"));
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
        files.put("users.csv", files.get("users.csv") + "new-1,,,true,,student,n,,Nial,Quist,,9001,,,,,08,\r\n");
        files.put("classes.csv", files.get("classes.csv") + "nets,,,Net Making 8,08,c,,scheduled,,,term-1,,,\r\n");
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
        assertThat(shown.get("wrong").toString()).contains("nowhere");

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
    void the_later_version_comes_back_in_without_a_change_and_has_its_roles_in_a_table_of_their_own()
            throws IOException {
        Map<String, String> files = written(SchoolZip.Version.SECOND);
        assertThat(files.get("manifest.csv")).contains("oneroster.version,1.2", "file.roles,bulk");
        assertThat(files.get("users.csv")).doesNotContain(",role,");
        assertThat(files.get("roles.csv")).contains("orla-venn,primary,teacher");

        JsonNode same = send("/preview", files).json();
        for (String what : new String[] {"pupils", "renamed", "moved", "classes", "joins", "leaves"}) {
            assertThat(same.get(what)).as(what).isEmpty();
        }
        assertThat(maren.bytes("/api/school-files?version=1.2")).isNotEmpty();
        assertThat(maren.get("/api/school-files?version=2").status()).isEqualTo(400);
    }

    @Test
    void an_id_that_looks_like_a_formula_goes_out_as_it_is_and_the_next_delta_knows_who_it_was() throws IOException {
        Map<String, String> files = written();
        files.put("users.csv", files.get("users.csv") + "=x-7,,,true,,student,n,,Aud,Quist,,9007,,,,,08,\r\n");
        files.put("enrollments.csv", files.get("enrollments.csv") + "e7,,,weather-lab-9,,=x-7,student,,,\r\n");
        JsonNode shown = send("/preview", files).json();
        assertThat(send("?fingerprint=" + shown.get("fingerprint").asString(), files)
                        .status())
                .isEqualTo(200);

        var delta = Map.of(
                "manifest.csv", "propertyName,value\nfile.users,delta\nfile.enrollments,delta\nfile.classes,delta\n",
                "users.csv", "sourcedId,role,givenName,familyName,grades\n=x-7,student,Aud,Quist-Lund,10\n",
                "classes.csv", "sourcedId,title\n",
                "enrollments.csv",
                        "sourcedId,status,classSourcedId,userSourcedId,role\ne7,tobedeleted,weather-lab-9,=x-7,student\n");
        JsonNode next = send("/preview", delta).json();
        assertThat(next.get("pupils")).isEmpty();
        assertThat(next.get("renamed").toString()).contains("Aud Quist becomes Aud Quist-Lund");
        assertThat(next.get("moved").toString()).contains("year 10");
        assertThat(next.get("leaves").toString()).isEqualTo("[\"Weather Lab 9: Aud Quist\"]");
        assertThat(send("?fingerprint=" + next.get("fingerprint").asString(), delta)
                        .status())
                .isEqualTo(200);
        assertThat(send("/preview", delta).json().get("moved")).isEmpty();

        SERVER.bean(Database.class).append(sql -> sql.sql(
                        "INSERT INTO person (id, name, position, number, year) VALUES ('-formula', 'Odd Id', 'PUPIL', '', 8)")
                .update());
        assertThat(written().get("users.csv")).contains("\r\n-formula,,,true");
        SERVER.bean(Database.class).append(sql -> sql.sql("DELETE FROM person WHERE id = '-formula'")
                .update());
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
