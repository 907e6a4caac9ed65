package juricast.server.evidence;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import juricast.core.identity.LessonId;
import juricast.core.reading.Matter;
import juricast.server.access.For;
import juricast.server.access.Takes;
import juricast.server.record.Excerpt;
import juricast.server.record.Journal;
import juricast.server.record.SchoolSignature;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** The school's public key, and the page on which a pack is dropped to be checked. */
@RestController
@RequestMapping("/api/evidence")
class EvidenceController {
    /** Larger ones are checked by the command. */
    private static final int MOST_BYTES = 32_000_000;

    private final SchoolSignature signature;
    private final Journal journal;

    EvidenceController(SchoolSignature signature, Journal journal) {
        this.signature = signature;
        this.journal = journal;
    }

    /** @param key in Base64, as X.509 has it @param fingerprint to be read aloud */
    record EvidenceKey(String key, String fingerprint) {}

    /** The public key with which this school signs its packs. */
    @GetMapping("/key")
    @For(
            value = {TEACHER, LEAD},
            shows = Matter.CHARTER)
    EvidenceKey key() {
        return new EvidenceKey(ownKey(), PackCheck.fingerprint(ownKey()));
    }

    private String ownKey() {
        return Base64.getEncoder().encodeToString(signature.publicKey());
    }

    /**
     * @param whole whether nothing is missing, altered, moved or added
     * @param ours whether it was signed by this school
     * @param wrong what is, in words
     * @param files what is in it, and of what is covered that there is something
     */
    record PackChecked(
            boolean whole,
            boolean ours,
            String school,
            int incident,
            String title,
            String made,
            String by,
            String coveredFor,
            String fingerprint,
            int coveredParts,
            List<String> wrong,
            List<PackFile> files) {}

    record PackFile(String name, String about, int lines, boolean shown) {}

    /** Checks an evidence pack: whether anything is missing, altered, moved or of another school. */
    @PostMapping(path = "/check", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @Takes(MOST_BYTES)
    @For(
            value = {TEACHER, LEAD},
            shows = Matter.CHARTER)
    PackChecked check(@RequestParam MultipartFile file) throws IOException {
        PackCheck.Checked checked = PackCheck.check(file.getBytes());
        if (checked.manifest().isEmpty()) {
            return new PackChecked(false, false, "", 0, "", "", "", "", "", 0, checked.wrong(), List.of());
        }
        PackBody.Manifest manifest = checked.manifest().get();
        boolean ours = manifest.key().equals(ownKey());
        var wrong = new ArrayList<>(checked.wrong());
        if (ours && checked.isWhole()) {
            checked.documents().stream()
                    .filter(one -> !isOurs(one))
                    .forEach(one -> wrong.add("%s is not what this school's records say".formatted(one.name())));
        }
        var files = new ArrayList<PackFile>();
        manifest.documents()
                .forEach(one -> files.add(
                        new PackFile(one.name(), one.about(), one.lines().size(), true)));
        manifest.files().forEach(one -> files.add(new PackFile(one.name(), one.about(), 0, one.shown())));
        return new PackChecked(
                wrong.isEmpty(),
                ours,
                manifest.school(),
                manifest.incident(),
                manifest.title(),
                manifest.made(),
                manifest.by(),
                manifest.covered(),
                checked.fingerprint(),
                checked.coveredParts(),
                wrong,
                files);
    }

    /** Whether its events stand in this school's records, in this order and with none between left out. */
    private boolean isOurs(PackBody.Document document) {
        return document.lines().isEmpty()
                || document.of() == null
                || document.before() == null
                || journal.proves(new Excerpt(
                        new LessonId(document.of()),
                        document.lines().get(0).number(),
                        document.before(),
                        document.lines().stream()
                                .map(one -> new Excerpt.Proven(
                                        one.number(), one.kind(), null, null, text(one.bodyHash()), text(one.link())))
                                .toList()));
    }

    private static String text(@Nullable String text) {
        return text == null ? "" : text;
    }
}
