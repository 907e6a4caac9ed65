package juricast.server.exchange;

import static juricast.server.access.Position.LEAD;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import juricast.core.exchange.SchoolChange;
import juricast.core.exchange.SchoolFiles;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.Takes;
import juricast.server.data.Ids;
import juricast.server.problems.Problem;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.*;

/** A whole school as files: out, and in after a preview. */
@RestController
@RequestMapping("/api/school-files")
class SchoolFilesController {
    private static final int MOST_BYTES = 12_000_000;
    private static final int SHOWN = 60;

    private final SchoolExchange exchange;
    private final SchoolSheets sheets;

    SchoolFilesController(SchoolExchange exchange, SchoolSheets sheets) {
        this.exchange = exchange;
        this.sheets = sheets;
    }

    /**
     * What the files would change.
     *
     * @param fingerprint names exactly this change; it is sent back to carry it out
     * @param classes new classes, with who is in each already known class: sentences
     * @param schools in the files, if somebody has to say first which one is meant
     * @param wrong what is not taken, with file and line; the first of them
     */
    record SchoolPreview(
            String fingerprint,
            List<String> pupils,
            List<String> renamed,
            List<String> moved,
            List<String> classes,
            List<String> joins,
            List<String> leaves,
            List<SchoolOfFiles> schools,
            List<WrongEntry> wrong,
            int wrongInAll) {}

    /** @param users how many of the files' users belong to it */
    record SchoolOfFiles(String id, String name, int users) {}

    record WrongEntry(String file, int line, String message) {}

    /** The whole school as an archive of the OneRoster CSV binding. */
    @GetMapping(produces = "application/zip")
    @Noted(value = "the whole school, as files", takenAway = true)
    @For(LEAD)
    ResponseEntity<byte[]> write(@RequestParam(defaultValue = "1.1") String version) {
        SchoolZip.Version wanted = SchoolZip.Version.of(version)
                .orElseThrow(() -> Problem.notReadable(
                        "There is no such version",
                        "Nothing was written.",
                        "Ask for 1.1 or 1.2.",
                        List.of(new Problem.Wrong("version", "1.1 or 1.2"))));
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"school.zip\"")
                .body(sheets.write(wanted));
    }

    /** What an archive of the OneRoster CSV binding would change. */
    @PostMapping(path = "/preview", consumes = MediaType.ALL_VALUE)
    @Takes(MOST_BYTES + Takes.SLACK)
    @For(LEAD)
    SchoolPreview preview(HttpServletRequest file, @RequestParam(defaultValue = "") String school) throws IOException {
        return preview(exchange.compare(bytes(file), said(school)));
    }

    /** Carries out what the preview showed. 409 if the school or the file is not as it was then. */
    @PostMapping(consumes = MediaType.ALL_VALUE)
    @Takes(MOST_BYTES + Takes.SLACK)
    @For(LEAD)
    SchoolPreview take(
            HttpServletRequest file,
            @RequestParam(defaultValue = "") String fingerprint,
            @RequestParam(defaultValue = "") String school)
            throws IOException {
        SchoolExchange.Compared compared = exchange.compare(bytes(file), said(school));
        SchoolChange change = compared.change();
        SchoolPreview shown = preview(compared);
        if (!shown.fingerprint.equals(fingerprint)) {
            throw Problem.refused(
                    "changed-meanwhile",
                    "The school or the file has changed since the preview",
                    "Nothing was changed.",
                    "Look at the new preview, then take it.");
        }
        if (change.isEmpty()) {
            throw Problem.refused(
                    "no-change", "There is nothing to take", "The school is as it was.", "Choose another file.");
        }
        exchange.take(change);
        return shown;
    }

    private static Optional<String> said(String school) {
        return Optional.of(school).filter(one -> !one.isEmpty());
    }

    private static byte[] bytes(HttpServletRequest file) throws IOException {
        byte[] bytes = file.getInputStream().readNBytes(MOST_BYTES + 1);
        if (bytes.length > MOST_BYTES) {
            throw Problem.notReadable(
                    "This file is too large",
                    "Nothing was changed.",
                    "Choose an archive of at most %d MB.".formatted(MOST_BYTES / 1_000_000),
                    List.of(new Problem.Wrong("file", "too large")));
        }
        return bytes;
    }

    private static SchoolPreview preview(SchoolExchange.Compared compared) {
        SchoolChange change = compared.change();
        return new SchoolPreview(
                Ids.hash(change.toString()),
                change.pupils().stream().map(SchoolFiles.User::name).toList(),
                change.renamed().stream()
                        .map(one -> "%s becomes %s".formatted(one.from(), one.to()))
                        .toList(),
                change.moved().stream()
                        .map(one -> "%s: year %d".formatted(one.name(), one.year()))
                        .toList(),
                change.classes().stream().map(one -> one.group().title()).toList(),
                change.joins().stream()
                        .map(one -> "%s: %s"
                                .formatted(one.ofClass().title(), one.who().name()))
                        .toList(),
                change.leaves().stream()
                        .map(one -> "%s: %s".formatted(one.title(), one.name()))
                        .toList(),
                compared.schools().stream()
                        .map(one -> new SchoolOfFiles(one.id(), one.name(), one.users()))
                        .toList(),
                change.faults().stream()
                        .limit(SHOWN)
                        .map(one -> new WrongEntry(one.file(), one.line(), sentence(one)))
                        .toList(),
                change.faults().size());
    }

    private static String sentence(SchoolFiles.Fault fault) {
        String quote = fault.quote().length() > 60 ? fault.quote().substring(0, 60) + "…" : fault.quote();
        return switch (fault.problem()) {
            case MISSING_FILE -> "This table is missing.";
            case MISSING_COLUMN -> "The column “%s” is missing, so the table was not read.".formatted(quote);
            case TOO_MANY_ROWS -> "More than %d rows, so the table was not read.".formatted(SchoolFiles.MOST_ROWS);
            case NO_ID -> "The sourcedId is missing.";
            case SAME_ID_TWICE -> "“%s” stands in a line above.".formatted(quote);
            case NO_NAME -> "“%s” has no name, or one that is too long.".formatted(quote);
            case NO_SUCH_USER -> "No user is called “%s”.".formatted(quote);
            case NO_SUCH_CLASS -> "No class is called “%s”.".formatted(quote);
            case UNKNOWN_ROLE -> "“%s” has no role that is known here.".formatted(quote);
            case DELETED -> "“%s” is marked as to be deleted. Nobody is deleted by a file.".formatted(quote);
            case SEVERAL_OF_THAT_NAME -> "“%s” is the name of several people, or stands here twice. Give the number (identifier)."
                    .formatted(quote);
            case ADULT_NOT_KNOWN -> "“%s” is an adult whom the school does not know. Add them under People first."
                    .formatted(quote);
            case OTHER_YEAR_OF_THAT_NAME -> "The school has “%s” in another year. Nobody was made: give the number (identifier), or mend the year first."
                    .formatted(quote);
            case NOT_FOR_CLASSES -> "%s users are neither pupils nor teaching adults, and are left out."
                    .formatted(quote);
            case OF_ANOTHER_SCHOOL -> "%s rows are of another school, and are left out.".formatted(quote);
            case ENDED -> "%s enrolments are over.".formatted(quote);
            case NOT_BEGUN -> "This enrolment begins on %s; take the files again then.".formatted(quote);
            case NOT_A_DAY -> "“%s” is not a day; the enrolment is taken as if it were not there.".formatted(quote);
            case ADULT_STAYS -> "“%s” is no adult of this class any more, as the file says. End that on the page of the class."
                    .formatted(quote);
            case FILE_NOT_READ -> "This table is not read: nothing of it is kept here.";
            case COLUMNS_NOT_READ -> "Of people these are not kept here: %s.".formatted(quote);
            case CLASS_WITHOUT_LEAD -> "“%s” would have no adult who leads it.".formatted(quote);
        };
    }
}
