package juricast.server.chat;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class FileKindsTest {
    private static final String TYPES =
            """
            <Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Override PartName="/word/document.xml"
            ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml"/></Types>""";

    private static String told(String name, byte[] content) {
        return FileKinds.of(name, content).either(kind -> kind, why -> "no: " + why);
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.ISO_8859_1);
    }

    private static byte[] zip(Map<String, byte[]> parts) {
        var out = new ByteArrayOutputStream();
        try (var zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> part : parts.entrySet()) {
                zip.putNextEntry(new ZipEntry(part.getKey()));
                zip.write(part.getValue());
            }
        } catch (IOException inMemory) {
            throw new AssertionError(inMemory);
        }
        return out.toByteArray();
    }

    /** A text document with one part more. */
    private static byte[] docx(String part, byte[] content) {
        var parts = new TreeMap<String, byte[]>();
        parts.put("[Content_Types].xml", bytes(TYPES));
        parts.put("word/document.xml", bytes("<w:document/>"));
        parts.put(part, content);
        return zip(parts);
    }

    private static byte[] pdf(String inside) {
        return bytes(
                "%PDF-1.7\n1 0 obj\n<< /Type /Catalog " + inside + " >>\nendobj\ntrailer << /Root 1 0 R >>\n%%EOF\n");
    }

    @Test
    void what_lessons_need_is_sent() {
        assertThat(told("answers.txt", bytes("1. north by east\n2. two knots\n")))
                .isEqualTo("documents");
        assertThat(told("tides.csv", bytes("hour,height\n1,2.4\n"))).isEqualTo("documents");
        assertThat(told("essay.DOCX", docx("word/media/chart.png", bytes("\u0089PNG\r\n\u001a\nrest"))))
                .isEqualTo("documents");
        assertThat(told("chart.png", bytes("\u0089PNG\r\n\u001a\n0000IHDR"))).isEqualTo("pictures");
        assertThat(told("sheet.pdf", pdf(""))).isEqualTo("documents");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"bat", "cmd", "vbs", "js", "ps1", "sh", "hta", "lnk", "url", "html", "svg", "reg", "jar", "py"})
    void a_text_whose_ending_starts_it_is_not_sent(String ending) {
        assertThat(told("homework." + ending, bytes("echo harmless words\n"))).startsWith("no: Files that end in");
        assertThat(told("homework.txt." + ending, bytes("echo harmless words\n")))
                .startsWith("no: ");
    }

    @Test
    void archives_and_what_wears_the_clothes_of_something_else_are_not_sent() {
        byte[] packed = zip(Map.of("game.exe", bytes("MZ")));
        byte[] program =
                bytes("MZ\u0090\0\u0003\0\0\0\u0004\0\0\0\u00ff\u00ff\0\0This program cannot be run in DOS mode");
        for (String name : new String[] {"a.zip", "a.docx", "a.pdf", "a.png", "a.txt", "a"}) {
            assertThat(told(name, packed)).as(name).startsWith("no: ");
            assertThat(told(name, program)).as(name).startsWith("no: ");
        }
        assertThat(told("picture.png", bytes("<script>alert(1)</script>"))).contains("its content is something else");
        assertThat(told("essay.docx", bytes("only words"))).startsWith("no: ");
    }

    @ParameterizedTest
    @CsvSource({
        "word/vbaProject.bin, code",
        "word/embeddings/oleObject1.bin, code",
        "word/activeX/activeX1.xml, <x/>",
        "word/media/run.exe, code",
        "word/media/chart.png, MZ this is a program",
        "homework.zip, code"
    })
    void a_document_that_carries_something_which_acts_is_not_sent(String part, String content) {
        byte[] carried = content.startsWith("MZ") ? zip(Map.of("x", bytes(content))) : bytes(content);
        assertThat(told("essay.docx", docx(part, carried))).startsWith("no: This document holds");
    }

    @Test
    void macros_are_found_by_what_a_document_says_of_itself() {
        byte[] macros = zip(Map.of("[Content_Types].xml", bytes(TYPES.replace("document.main", "macroEnabled.main"))));
        assertThat(told("essay.docx", macros)).isEqualTo("no: This document holds macros.");
        assertThat(told("essay.docm", macros)).startsWith("no: ");
    }

    @Test
    void a_document_that_unpacks_without_end_is_let_go_of_early() {
        assertThat(told("essay.docx", docx("word/a.xml", new byte[70_000_000]))).contains("unpacks to far more");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/OpenAction << /S /JavaScript /JS (app.alert(1)) >>",
                "/OpenAction << /S /#4aava#53cript >>",
                "/OpenAction << /S /J#61v#61Script >>",
                "/AA << /O << /S /Launch /F (calc) >> >>",
                "/Names << /EmbeddedFiles 3 0 R >>",
                "/Encrypt 4 0 R"
            })
    void a_pdf_that_acts_is_not_sent(String inside) {
        assertThat(told("sheet.pdf", pdf(inside))).startsWith("no: This PDF");
    }

    @Test
    void what_acts_is_found_in_packed_objects_too_and_what_cannot_be_unpacked_is_not_believed() {
        assertThat(told("sheet.pdf", packedObjects("<< /Type /Page >>"))).isEqualTo("documents");
        assertThat(told("sheet.pdf", packedObjects("<< /S /JavaScript /JS (x) >>")))
                .startsWith("no: This PDF");
        assertThat(told("sheet.pdf", pdf("/Type /ObjStm >>\nstream\nnot packed as usual\nendstream <<")))
                .startsWith("no: This PDF");
    }

    private static byte[] packedObjects(String inside) {
        var deflater = new Deflater();
        deflater.setInput(bytes(inside));
        deflater.finish();
        var packed = new byte[1000];
        int length = deflater.deflate(packed);
        deflater.end();
        String stream = new String(packed, 0, length, StandardCharsets.ISO_8859_1);
        return pdf(">>\nendobj\n2 0 obj\n<< /Type /ObjStm /N 1 /First 4 /Filter /FlateDecode >>\nstream\n" + stream
                + "\nendstream\nendobj\n3 0 obj <<");
    }
}
