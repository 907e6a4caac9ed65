package juricast.server.consent;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.io.IOException;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.consent.Consent;
import juricast.core.consent.ConsentReading;
import juricast.core.consent.Consents;
import juricast.core.consent.Standing;
import juricast.core.identity.ClassId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.reading.Matter;
import juricast.core.rules.Setting;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.SignedIn;
import juricast.server.access.Takes;
import juricast.server.classes.Classes;
import juricast.server.classes.Reading;
import juricast.server.data.Ids;
import juricast.server.data.School;
import juricast.server.data.WrittenDay;
import juricast.server.files.Download;
import juricast.server.files.TableFile;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;
import org.springframework.web.multipart.MultipartFile;

/** Who may be recorded: shown to the adults of a class, noted by the safeguarding lead, taken from a file. */
@RestController
@RequestMapping("/api/consents")
class ConsentController {
    private static final int LONGEST_PAPER = 200;

    private final KeptConsents kept;
    private final Reading reading;
    private final Classes classes;
    private final People people;
    private final School school;
    private final Clock clock;

    ConsentController(KeptConsents kept, Reading reading, Classes classes, People people, School school, Clock clock) {
        this.kept = kept;
        this.reading = reading;
        this.classes = classes;
        this.people = people;
        this.school = school;
        this.clock = clock;
    }

    /** Pupils whom the caller may ask about. @param given and the others: how many stand so */
    record ConsentPage(int given, int refused, int withdrawn, int unknown, List<ConsentLine> pupils) {}

    /** @param until the last day, where an end was said */
    record ConsentLine(
            String person,
            String name,
            List<String> classes,
            Standing standing,
            Consent.@Nullable Giver giver,
            String paper,
            @Nullable LocalDate since,
            @Nullable LocalDate until) {}

    /** Who may be recorded, by whose word. */
    @GetMapping
    @Noted("who may be recorded")
    @For({TEACHER, LEAD})
    ConsentPage page(@RequestParam(defaultValue = "") String ofClass, @AuthenticationPrincipal SignedIn caller) {
        Instant now = clock.instant();
        Map<PersonId, String> names = new LinkedHashMap<>();
        Map<PersonId, Set<String>> titles = new HashMap<>();
        for (Classes.SchoolClass one : reading.classes(caller, Matter.CONSENT)) {
            if (ofClass.isEmpty() || one.id().value().equals(ofClass)) {
                for (Member pupil : classes.members(one.id(), now)) {
                    if (!pupil.role().isAdultInCharge()) {
                        names.put(pupil.person(), pupil.name());
                        titles.computeIfAbsent(pupil.person(), id -> new LinkedHashSet<>())
                                .add(one.title());
                    }
                }
            }
        }
        Consents all = kept.all();
        List<ConsentLine> lines = names.entrySet().stream()
                .sorted(Map.Entry.comparingByValue())
                .map(one -> line(one.getKey(), one.getValue(), titles.get(one.getKey()), all, now))
                // Those of whom something is to be known stand first.
                .sorted(Comparator.comparing((ConsentLine one) -> one.standing == Standing.GIVEN))
                .toList();
        return new ConsentPage(
                count(lines, Standing.GIVEN),
                count(lines, Standing.REFUSED),
                count(lines, Standing.WITHDRAWN),
                count(lines, Standing.UNKNOWN),
                lines);
    }

    private static int count(List<ConsentLine> lines, Standing standing) {
        return (int) lines.stream().filter(one -> one.standing == standing).count();
    }

    private ConsentLine line(PersonId person, String name, Set<String> titles, Consents all, Instant now) {
        Optional<Consent> word = all.word(person, now);
        return new ConsentLine(
                person.value(),
                name,
                List.copyOf(titles),
                all.of(person, now),
                word.map(Consent::giver).orElse(null),
                word.map(Consent::paper).orElse(""),
                word.map(one -> day(one.from())).orElse(null),
                word.flatMap(this::lastDay).orElse(null));
    }

    private LocalDate day(Instant at) {
        return LocalDate.ofInstant(at, school.zone());
    }

    private Optional<LocalDate> lastDay(Consent one) {
        return Optional.of(one.until())
                .filter(end -> end.isBefore(Setting.FOR_EVER))
                .map(end -> day(end.minusMillis(1)));
    }

    /** One word about somebody, as it was noted. */
    record ConsentWord(
            Consent.Said said,
            Consent.Giver giver,
            String paper,
            LocalDate from,
            @Nullable LocalDate until,
            Instant at,
            String by) {}

    /** All that was ever noted about a pupil, the latest first. */
    @GetMapping("/people/{person}")
    @Noted("what was said about recording")
    @For({TEACHER, LEAD})
    List<ConsentWord> about(@PathVariable String person, @AuthenticationPrincipal SignedIn caller) {
        var pupil = new PersonId(person);
        String name = people.find(pupil)
                .orElseThrow(() -> Problem.notThere("This pupil"))
                .name();
        Set<ClassId> theirs = classes.of(pupil, clock.instant()).stream()
                .map(Classes.SchoolClass::id)
                .collect(Collectors.toSet());
        reading.ofPupil(caller, Matter.CONSENT, pupil, name, theirs);
        return kept.about(pupil).stream()
                .map(one -> new ConsentWord(
                        one.consent().said(),
                        one.consent().giver(),
                        one.consent().paper(),
                        day(one.consent().from()),
                        lastDay(one.consent()).orElse(null),
                        one.consent().at(),
                        people.nameOf(one.by())))
                .toList();
    }

    /** @param from the first day; today where none is said @param until the last day; no end where none is said */
    record ConsentRequest(
            Consent.Said said, Consent.Giver giver, String paper, @Nullable String from, @Nullable String until) {}

    /** Notes a word. What was noted before stays as it was. */
    @PostMapping("/people/{person}")
    @For(LEAD)
    List<ConsentWord> note(
            @PathVariable String person, @RequestBody ConsentRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        var pupil = new PersonId(person);
        people.find(pupil).orElseThrow(() -> Problem.notThere("This pupil"));
        String paper = wanted.paper.strip();
        if (paper.length() > LONGEST_PAPER) {
            throw unreadable("paper", "At most %d characters".formatted(LONGEST_PAPER));
        }
        Instant now = clock.instant();
        LocalDate from = wanted.from == null ? day(now) : written("from", wanted.from);
        Optional<LocalDate> until = Optional.ofNullable(wanted.until).map(day -> written("until", day));
        if (until.filter(end -> end.isBefore(from)).isPresent()) {
            throw unreadable("until", "A last day that is not before the first");
        }
        kept.note(List.of(consent(pupil, wanted.said, wanted.giver, paper, from, until, now)), caller.person());
        return about(person, caller);
    }

    private Consent consent(
            PersonId pupil,
            Consent.Said said,
            Consent.Giver giver,
            String paper,
            LocalDate from,
            Optional<LocalDate> until,
            Instant now) {
        return new Consent(
                pupil,
                said,
                giver,
                paper,
                from.atStartOfDay(school.zone()).toInstant(),
                until.map(end -> end.plusDays(1).atStartOfDay(school.zone()).toInstant())
                        .orElse(Setting.FOR_EVER),
                now);
    }

    private static LocalDate written(String field, String day) {
        try {
            return WrittenDay.parse(day);
        } catch (DateTimeException broken) {
            throw unreadable(field, "A day such as 2026-09-14");
        }
    }

    private static Problem unreadable(String field, String what) {
        return Problem.notReadable(
                "This cannot be noted as it was written",
                "Nothing was changed.",
                what + ".",
                List.of(new Problem.Wrong(field, what)));
    }

    /** As a table, which can be taken back in. */
    @GetMapping(path = "/table", produces = "text/csv")
    @Noted(value = "who may be recorded, as a table", takenAway = true)
    @For({TEACHER, LEAD})
    ResponseEntity<byte[]> table(@AuthenticationPrincipal SignedIn caller) {
        Map<String, String> numbers = new HashMap<>();
        people.pupils().forEach(one -> numbers.put(one.person().value(), one.number()));
        List<List<String>> rows = page("", caller).pupils.stream()
                .map(one -> List.of(
                        numbers.getOrDefault(one.person, ""),
                        one.name,
                        one.standing == Standing.UNKNOWN
                                ? ""
                                : one.standing.name().toLowerCase(Locale.ROOT),
                        one.giver == null ? "" : one.giver.name().toLowerCase(Locale.ROOT),
                        one.paper,
                        one.since == null ? "" : one.since.toString(),
                        one.until == null ? "" : one.until.toString()))
                .toList();
        return Download.csv("consents", TableFile.write(ConsentFile.HEADING, rows));
    }

    /** What a file would note. @param fingerprint names exactly this; it is sent back to carry it out */
    record ConsentPreview(
            String fingerprint,
            String encoding,
            boolean encodingGuessed,
            List<NewWord> noted,
            int asTheyWere,
            List<WrongRow> wrong) {}

    record NewWord(String name, Standing was, Consent.Said becomes, LocalDate from, @Nullable LocalDate until) {}

    /** @param line in the file, from 1; 0 for the file as a whole */
    record WrongRow(int line, String message) {}

    /** What a file of consents would change. */
    @PostMapping(path = "/import/preview", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @Takes(Takes.FORM)
    @For(LEAD)
    ConsentPreview preview(@RequestParam MultipartFile file) throws IOException {
        return compare(file, clock.instant()).preview;
    }

    /** Notes what the preview showed. 409 if anything is not as it was then. */
    @PostMapping(path = "/import", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @Takes(Takes.FORM)
    @For(LEAD)
    ConsentPreview take(
            @RequestParam MultipartFile file,
            @RequestParam String fingerprint,
            @AuthenticationPrincipal SignedIn caller)
            throws IOException {
        Compared compared = compare(file, clock.instant());
        if (!compared.preview.fingerprint.equals(fingerprint)) {
            throw Problem.refused(
                    "changed-meanwhile",
                    "What is noted, or the file, has changed since the preview",
                    "Nothing was changed.",
                    "Look at the new preview, then take it.");
        }
        kept.note(compared.words, caller.person());
        return compared.preview;
    }

    private record Compared(List<Consent> words, ConsentPreview preview) {}

    /** What is said already is not noted again. */
    private Compared compare(MultipartFile upload, Instant now) throws IOException {
        ConsentFile file = ConsentFile.read(upload.getBytes(), people, day(now));
        Consents all = kept.all();
        var words = new ArrayList<Consent>();
        var lines = new ArrayList<NewWord>();
        int same = file.reading().unsaid();
        for (ConsentReading.Row row : file.reading().rows()) {
            var pupil = new PersonId(row.whom().id());
            Consent word = consent(pupil, row.said(), row.giver(), row.paper(), row.from(), row.until(), now);
            if (all.about(pupil).stream().anyMatch(one -> saysTheSame(one, word))) {
                same++;
            } else {
                words.add(word);
                lines.add(new NewWord(
                        row.whom().name(),
                        all.of(pupil, now),
                        row.said(),
                        row.from(),
                        row.until().orElse(null)));
            }
        }
        List<WrongRow> wrong = file.reading().faults().stream()
                .map(fault -> new WrongRow(fault.line(), ConsentFile.sentence(fault)))
                .toList();
        var preview = new ConsentPreview(
                Ids.hash(lines.toString() + wrong), file.encoding(), file.guessed(), lines, same, wrong);
        return new Compared(words, preview);
    }

    private boolean saysTheSame(Consent one, Consent other) {
        return one.said() == other.said()
                && one.giver() == other.giver()
                && one.paper().equals(other.paper())
                && day(one.from()).equals(day(other.from()))
                && lastDay(one).equals(lastDay(other));
    }
}
