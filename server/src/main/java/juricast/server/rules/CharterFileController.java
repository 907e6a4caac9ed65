package juricast.server.rules;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import juricast.core.charter.Place;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.access.Takes;
import juricast.server.problems.Problem;
import juricast.server.rules.RulesDocument.Rules;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;
import org.springframework.web.multipart.MultipartFile;

/** The charter as a file: out, back in as a draft, and on paper for parents. */
@RestController
@RequestMapping("/api/charter")
class CharterFileController {
    /** Bytes of a charter that is read; one with every rule, role and condition in use stays far below. */
    private static final int MOST = 500_000;

    private final Settings settings;
    private final CharterIntoDraft intoDraft;
    private final CharterFile file;
    private final CharterPdf pdf;
    private final Clock clock;

    CharterFileController(
            Settings settings, CharterIntoDraft intoDraft, CharterFile file, CharterPdf pdf, Clock clock) {
        this.settings = settings;
        this.intoDraft = intoDraft;
        this.file = file;
        this.pdf = pdf;
        this.clock = clock;
    }

    /** The charter as a file, to be taken into another school or kept. */
    @GetMapping(path = "/file", produces = MediaType.APPLICATION_JSON_VALUE)
    @For({LEAD, TEACHER})
    ResponseEntity<String> export() {
        return attached("charter.json")
                .contentType(MediaType.APPLICATION_JSON)
                .body(file.write(settings.all().at(Place.SCHOOL), now()));
    }

    /** What a charter file looks like, for whoever writes one by program. */
    @GetMapping(path = "/schema", produces = "application/schema+json")
    @For(anyone = true)
    ResponseEntity<String> schema() {
        return ResponseEntity.ok(file.schema());
    }

    /** What holds in online lessons, for parents, on paper. */
    @GetMapping(path = "/for-parents.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    @For({LEAD, TEACHER})
    ResponseEntity<byte[]> forParents() {
        return attached("rules-for-live-lessons.pdf").body(pdf.write(settings.ofSchool(), now()));
    }

    /** Makes a file the caller's draft: nothing counts until its consequences were looked at. */
    @PostMapping(path = "/file", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @Takes(Takes.FORM)
    @For(LEAD)
    Rules read(@RequestParam("file") MultipartFile uploaded, @AuthenticationPrincipal SignedIn caller)
            throws IOException {
        if (uploaded.getSize() > MOST) {
            throw Problem.notReadable(
                    "This file is too large for a charter",
                    "It has %d bytes; %d are read at most. Nothing was changed.".formatted(uploaded.getSize(), MOST),
                    "Choose the file that was exported here.",
                    List.of(new Problem.Wrong("file", "too large")));
        }
        return intoDraft.take(uploaded.getBytes(), caller);
    }

    private static ResponseEntity.BodyBuilder attached(String name) {
        return ResponseEntity.ok().header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"");
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }
}
