package juricast.server.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import juricast.core.identity.LessonId;
import juricast.server.record.Excerpt;
import juricast.server.record.SchoolSignature;
import juricast.server.record.SignatureForTests;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.json.JsonMapper;

class PackCheckTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final SchoolSignature SCHOOL = SignatureForTests.of(1);

    private static byte[] pack(Set<String> covered) {
        var writer = new PackWriter(covered);
        writer.record("record.json", "the record", excerpt(), number -> false);
        writer.text("presence.json", "who was there", List.of("Zeb Corran was in", "Mira Solberg was in"));
        writer.file("marks.svg", "marks", "<svg/>".getBytes(StandardCharsets.UTF_8), covered.isEmpty());
        return writer.signed(SCHOOL, "Halvorn Reach", 38, "Insults", "2026-09-14T10:00:00Z", "Maren Oddlund", "");
    }

    private static Excerpt excerpt() {
        var events = new ArrayList<Excerpt.Proven>();
        for (int number = 118; number <= 120; number++) {
            String body = "{\"from\":\"zeb\",\"text\":\"Mira Solberg, number %d\"}".formatted(number);
            byte[] salt = {(byte) number, 7};
            events.add(new Excerpt.Proven(
                    number,
                    "said",
                    body,
                    HexFormat.of().formatHex(salt),
                    Hashes.of(salt, Hashes.bytes(body)),
                    Hashes.of(Hashes.bytes("link" + number))));
        }
        return new Excerpt(new LessonId("tidal"), 118, "ab", events);
    }

    private static PackCheck.Checked altered(String file, UnaryOperator<String> how) {
        Map<String, byte[]> entries = new TreeMap<>(CanonicalZip.read(pack(Set.of())));
        entries.computeIfPresent(file, (name, bytes) -> how.apply(new String(bytes, StandardCharsets.UTF_8))
                .getBytes(StandardCharsets.UTF_8));
        return PackCheck.check(CanonicalZip.write(entries));
    }

    @Test
    void a_pack_as_the_school_wrote_it_is_whole() {
        PackCheck.Checked checked = PackCheck.check(pack(Set.of()));

        assertThat(checked.wrong()).isEmpty();
        assertThat(checked.coveredParts()).isZero();
        assertThat(checked.manifest().orElseThrow().incident()).isEqualTo(38);
        assertThat(checked.fingerprint()).matches("([0-9a-f]{4} ?){4}");
    }

    @Test
    void every_single_byte_that_is_altered_is_found() {
        byte[] pack = pack(Set.of());
        for (int i = 0; i < pack.length; i++) {
            byte was = pack[i];
            for (int bit : new int[] {1, 32}) {
                pack[i] = (byte) (was ^ bit);
                assertThat(PackCheck.check(pack).isWhole()).as("byte %d", i).isFalse();
            }
            pack[i] = was;
        }
        assertThat(PackCheck.check(pack).isWhole()).isTrue();
    }

    @Test
    void a_pack_that_is_cut_off_or_goes_on_is_none() {
        byte[] pack = pack(Set.of());
        for (int length = 0; length < pack.length; length += 97) {
            assertThat(PackCheck.check(java.util.Arrays.copyOf(pack, length)).isWhole())
                    .isFalse();
        }
        assertThat(PackCheck.check(java.util.Arrays.copyOf(pack, pack.length + 1))
                        .wrong()
                        .get(0))
                .contains("beside, between or around");
    }

    @Test
    void what_is_missing_doubled_moved_or_put_in_is_told_and_which() {
        assertThat(lines(all -> all.subList(1, 3)).wrong().toString()).contains("1 of 3 lines are missing");
        assertThat(lines(all -> List.of(all.get(0), all.get(1), all.get(1), all.get(2)))
                        .wrong()
                        .toString())
                .contains("event 119: it stands there twice");
        assertThat(lines(all -> List.of(all.get(1), all.get(0), all.get(2)))
                        .wrong()
                        .toString())
                .contains("not in their order");
        assertThat(altered("record.json", text -> text.replace("number 119", "number 911"))
                        .wrong()
                        .toString())
                .contains("event 119: its words were altered");
        assertThat(altered("pack.json", text -> text.replace("Insults", "Nothing"))
                        .wrong()
                        .toString())
                .contains("The signature is not that of the key");
    }

    private static PackCheck.Checked lines(UnaryOperator<List<PackBody.Line>> how) {
        return altered("record.json", text -> {
            PackBody.Document document = JSON.readValue(text, PackBody.Document.class);
            return JSON.writeValueAsString(new PackBody.Document(
                    document.name(), document.about(), document.of(), document.before(), how.apply(document.lines())));
        });
    }

    @Test
    void a_file_that_is_gone_or_added_is_told_by_its_name() {
        Map<String, byte[]> entries = new TreeMap<>(CanonicalZip.read(pack(Set.of())));
        entries.remove("marks.svg");
        assertThat(PackCheck.check(CanonicalZip.write(entries)).wrong())
                .containsExactly("marks.svg is missing (marks)");
        entries.put("marks.svg", "<svg/>".getBytes(StandardCharsets.UTF_8));
        entries.put("more.svg", new byte[1]);
        assertThat(PackCheck.check(CanonicalZip.write(entries)).wrong().toString())
                .contains("more.svg was added; the school never signed it");
    }

    @Test
    void signed_anew_with_another_key_it_is_whole_but_of_another_fingerprint() {
        var writer = new PackWriter(Set.of());
        writer.text("presence.json", "who was there", List.of("nobody"));
        byte[] other = writer.signed(SignatureForTests.of(2), "Halvorn Reach", 38, "Insults", "", "", "");

        assertThat(PackCheck.check(other).isWhole()).isTrue();
        assertThat(PackCheck.check(other).fingerprint())
                .isNotEqualTo(PackCheck.check(pack(Set.of())).fingerprint());
    }

    @Test
    void names_of_others_can_be_covered_and_it_still_verifies_and_nobody_can_prove_a_guess() {
        byte[] pack = pack(Set.of("Mira Solberg", "Mira", "Solberg"));
        PackCheck.Checked checked = PackCheck.check(pack);

        assertThat(checked.wrong()).isEmpty();
        assertThat(checked.coveredParts()).isEqualTo(3 + 3 + 1);
        assertThat(new String(pack, StandardCharsets.UTF_8))
                .doesNotContain("Mira", "Solberg")
                .contains("Zeb Corran");
        String body = "{\"from\":\"zeb\",\"text\":\"Mira Solberg, number 118\"}";
        assertThat(new String(pack, StandardCharsets.UTF_8))
                .as("the salt of the record goes with the name")
                .doesNotContain(HexFormat.of().formatHex(new byte[] {118, 7}) + "\",\"text\":\"76");
        assertThat(new String(pack, StandardCharsets.UTF_8)).doesNotContain(body);
    }

    @Test
    void tricks_with_a_zip_are_none() {
        assertThat(PackCheck.check("no zip".getBytes(StandardCharsets.UTF_8))
                        .wrong()
                        .get(0))
                .contains("no pack");
        assertThat(PackCheck.check(zipped("../pack.json")).wrong().get(0)).contains("a name that no pack has");
        assertThat(PackCheck.check(zipped("a/b/c")).isWhole()).isFalse();
        assertThat(PackCheck.check(zipped("pack.json")).isWhole())
                .as("compressed")
                .isFalse();
    }

    private static byte[] zipped(String name) {
        var bytes = new ByteArrayOutputStream();
        try (var zip = new java.util.zip.ZipOutputStream(bytes)) {
            zip.putNextEntry(new java.util.zip.ZipEntry(name));
            zip.write(Collections.nCopies(40, "x").toString().getBytes(StandardCharsets.UTF_8));
            zip.closeEntry();
        } catch (java.io.IOException impossible) {
            throw new IllegalStateException(impossible);
        }
        return bytes.toByteArray();
    }

    @Test
    void the_command_says_it_in_words_and_by_its_exit(@TempDir Path folder) throws Exception {
        Path whole = Files.write(folder.resolve("whole.zip"), pack(Set.of()));
        byte[] bytes = pack(Set.of());
        bytes[200] ^= 1;
        Path altered = Files.write(folder.resolve("altered.zip"), bytes);

        assertThat(run(whole.toString(), 0)).contains("WHOLE: nothing is missing", "incident No. 38", "3 lines");
        assertThat(run(altered.toString(), 1)).contains("NOT WHOLE");
        assertThat(run(folder.resolve("none.zip").toString(), 2)).contains("cannot be read");
    }

    private static String run(String file, int exit) {
        var out = new ByteArrayOutputStream();
        assertThat(VerifyCommand.run(file, new PrintStream(out, true, StandardCharsets.UTF_8)))
                .isEqualTo(exit);
        return out.toString(StandardCharsets.UTF_8);
    }
}
