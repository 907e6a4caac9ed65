package juricast.server.classes;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.io.IOException;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.identity.ClassId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.reading.Matter;
import juricast.core.roster.RosterChange;
import juricast.core.roster.RosterColumns;
import juricast.core.roster.RosterReading;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.Position;
import juricast.server.access.SignedIn;
import juricast.server.access.Takes;
import juricast.server.data.Database;
import juricast.server.data.Ids;
import juricast.server.data.Topic;
import juricast.server.files.TableFile;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;
import org.springframework.web.multipart.MultipartFile;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Takes class lists from CSV files: first shown, then carried out exactly as shown. */
@RestController
@RequestMapping("/api/classes/{id}/roster")
class RosterController {
    private final Reading reading;
    private final AccessToClasses access;
    private final Classes classes;
    private final People people;
    private final Database database;
    private final Clock clock;
    private final JsonMapper json;

    RosterController(
            Reading reading,
            AccessToClasses access,
            Classes classes,
            People people,
            Database database,
            Clock clock,
            JsonMapper json) {
        this.json = json;
        this.reading = reading;
        this.access = access;
        this.classes = classes;
        this.people = people;
        this.database = database;
        this.clock = clock;
    }

    /**
     * What a file would change.
     *
     * @param fingerprint names exactly this change; it is sent back to carry it out
     * @param heading of the columns, and @param columns which of them was read as what
     * @param moved in which year the file has pupils that the school has in another
     * @param asked rows that may or may not mean a pupil of the school; nothing is taken before each is answered
     */
    record Preview(
            String fingerprint,
            List<String> heading,
            RosterColumns columns,
            String encoding,
            boolean encodingGuessed,
            List<String> added,
            List<String> created,
            List<Renaming> renamed,
            List<Renaming> moved,
            List<String> dropped,
            int staying,
            List<AskedRow> asked,
            List<WrongRow> wrong) {}

    record Renaming(String from, String to) {}

    /** @param says what the row says, and @param known what the school has */
    record AskedRow(int line, String says, String known, RosterChange.Doubt why) {}

    /** @param line in the file, from 1; 0 for the file as a whole */
    record WrongRow(int line, String message) {}

    /** The class list as a table, which can be taken back in. */
    @GetMapping(path = "/table", produces = "text/csv")
    @Noted(value = "the roster, as a table", takenAway = true)
    @For({TEACHER, LEAD})
    ResponseEntity<byte[]> table(@PathVariable String id, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = reading.ofClass(caller, Matter.CLASS_LIST, id);
        Set<PersonId> mine = classes.members(found.id(), clock.instant()).stream()
                .filter(one -> !one.role().isAdultInCharge())
                .map(Member::person)
                .collect(Collectors.toSet());
        List<List<String>> rows = people.pupils().stream()
                .filter(one -> mine.contains(one.person()))
                .map(one -> List.of(
                        one.name(),
                        one.number(),
                        one.year().isPresent() ? Integer.toString(one.year().getAsInt()) : ""))
                .toList();
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"roster.csv\"")
                .contentType(MediaType.parseMediaType("text/csv;charset=UTF-8"))
                .body(TableFile.write(List.of("name", "number", "year"), rows));
    }

    /** What a class list from a file would change, and what has to be said first. */
    @PostMapping(path = "/preview", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @Takes(Takes.FORM)
    @For({TEACHER, LEAD})
    Preview preview(
            @PathVariable String id,
            @RequestParam MultipartFile file,
            @RequestParam(defaultValue = "false") boolean add,
            @RequestParam(defaultValue = "") String columns,
            @RequestParam(defaultValue = "{}") String answers,
            @AuthenticationPrincipal SignedIn caller)
            throws IOException {
        return preview(compare(access.runBy(caller, id).id(), file, new Said(add, columns, answers)));
    }

    /** Carries out what the preview showed. 409 if the class or the file is not as it was then. */
    @PostMapping(consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @Takes(Takes.FORM)
    @For({TEACHER, LEAD})
    Preview take(
            @PathVariable String id,
            @RequestParam MultipartFile file,
            @RequestParam String fingerprint,
            @RequestParam(defaultValue = "false") boolean add,
            @RequestParam(defaultValue = "") String columns,
            @RequestParam(defaultValue = "{}") String answers,
            @AuthenticationPrincipal SignedIn caller)
            throws IOException {
        ClassId ofClass = access.runBy(caller, id).id();
        Compared compared = compare(ofClass, file, new Said(add, columns, answers));
        Preview shown = preview(compared);
        if (!shown.fingerprint.equals(fingerprint)) {
            throw Problem.refused(
                    "changed-meanwhile",
                    "The class or the file has changed since the preview",
                    "Nothing was changed.",
                    "Look at the new preview, then take it.");
        }
        if (compared.file.reading().rows().isEmpty()) {
            throw Problem.refused(
                    "no-rows", "There is nobody to take", "The class is as it was.", "Mend the file first.");
        }
        if (!compared.change.asked().isEmpty()) {
            throw Problem.refused(
                    "not-answered",
                    "There is something to say first",
                    "Of %d rows it is not certain whom they mean. Nothing was changed."
                            .formatted(compared.change.asked().size()),
                    "Say of each whether it is the pupil the school has.");
        }
        database.write(sql -> carryOut(sql, ofClass, compared.change), Topic.PLAN, Topic.PEOPLE);
        return shown;
    }

    private record Compared(RosterFile file, RosterChange change) {}

    /** What a person has said of a file, as it was sent. @param add whether those who are not in the file stay in the class */
    private record Said(boolean add, String columns, String answers) {}

    private Compared compare(ClassId ofClass, MultipartFile upload, Said said) throws IOException {
        RosterFile file = RosterFile.read(upload.getBytes(), columns(said.columns));
        Set<PersonId> now = classes.members(ofClass, clock.instant()).stream()
                .filter(one -> !one.role().isAdultInCharge())
                .map(Member::person)
                .collect(Collectors.toSet());
        RosterChange change = RosterChange.between(file.reading(), people.pupils(), now, answers(said.answers));
        return new Compared(file, said.add ? change.onlyAdding() : change);
    }

    /** Five numbers: the columns of names, first names, last names, numbers and years, from 0, or -1 for none. */
    private static Optional<RosterColumns> columns(String text) {
        if (text.isEmpty()) {
            return Optional.empty();
        }
        if (!text.matches("(-1|\\d{1,3})(,(-1|\\d{1,3})){4}")) {
            throw Problem.notReadable("columns", "Five numbers of columns, from 0, or -1 where there is none");
        }
        int[] five = Arrays.stream(text.split(",")).mapToInt(Integer::parseInt).toArray();
        return Optional.of(new RosterColumns(five[0], five[1], five[2], five[3], five[4]));
    }

    private Map<Integer, RosterChange.Answer> answers(String text) {
        try {
            return json.readValue(text, new TypeReference<Map<Integer, RosterChange.Answer>>() {});
        } catch (JacksonException unreadable) {
            throw Problem.notReadable("answers", "A JSON object of lines, each SAME or ANOTHER");
        }
    }

    private int carryOut(JdbcClient sql, ClassId ofClass, RosterChange change) {
        var now = clock.instant();
        change.dropped().forEach(pupil -> Classes.part(sql, ofClass, pupil.person(), now));
        change.renamed().forEach(one -> People.rename(sql, one.pupil().person(), one.name()));
        change.moved().forEach(one -> People.move(sql, one.pupil().person(), one.year()));
        change.added().forEach(pupil -> Classes.join(sql, ofClass, pupil.person(), Role.PUPIL, now));
        for (RosterReading.Row row : change.created()) {
            var pupil = new People.Person(
                    new PersonId(Ids.next()),
                    row.name(),
                    Position.PUPIL,
                    row.number(),
                    row.year().orElse(0),
                    "");
            People.add(sql, pupil, "");
            Classes.join(sql, ofClass, pupil.id(), Role.PUPIL, now);
        }
        return change.added().size() + change.created().size();
    }

    private static Preview preview(Compared compared) {
        RosterChange change = compared.change;
        var wrong = new java.util.ArrayList<WrongRow>();
        compared.file.reading().faults().forEach(fault -> wrong.add(new WrongRow(fault.line(), sentence(fault))));
        change.unclear()
                .forEach(row -> wrong.add(new WrongRow(
                        row.line(),
                        "“%s” is the name of several pupils, stands here twice, or beside the number of another. Add or mend the pupil number."
                                .formatted(row.name()))));
        return new Preview(
                Ids.hash(change.toString()),
                compared.file.heading(),
                compared.file.reading().columns(),
                compared.file.encoding(),
                compared.file.guessed(),
                change.added().stream().map(RosterChange.Pupil::name).toList(),
                change.created().stream().map(RosterReading.Row::name).toList(),
                change.renamed().stream()
                        .map(one -> new Renaming(one.pupil().name(), one.name()))
                        .toList(),
                change.moved().stream()
                        .map(one -> new Renaming(known(one.pupil()), "year " + one.year()))
                        .toList(),
                change.dropped().stream().map(RosterChange.Pupil::name).toList(),
                change.staying().size(),
                change.asked().stream()
                        .map(one -> new AskedRow(one.row().line(), says(one.row()), known(one.pupil()), one.why()))
                        .toList(),
                List.copyOf(wrong));
    }

    private static String says(RosterReading.Row row) {
        return described(row.name(), row.number(), row.year());
    }

    private static String known(RosterChange.Pupil pupil) {
        return described(pupil.name(), pupil.number(), pupil.year());
    }

    private static String described(String name, String number, OptionalInt year) {
        return name
                + (year.isPresent() ? ", year " + year.getAsInt() : "")
                + (number.isEmpty() ? "" : ", number " + number);
    }

    private static String sentence(RosterReading.Fault fault) {
        String quote = fault.quote().length() > 60 ? fault.quote().substring(0, 60) + "…" : fault.quote();
        return switch (fault.problem()) {
            case NO_ROWS -> "There is a heading, but no pupil below it.";
            case TOO_MANY_ROWS -> "The file has more than %d rows. A roster is for one class."
                    .formatted(RosterReading.MOST_ROWS);
            case NO_NAME_COLUMN -> "No column holds names. The heading is “%s”; one must be “name”, or “first name” and “last name”."
                    .formatted(quote);
            case NO_NAME -> "The name is missing.";
            case NAME_TOO_LONG -> "“%s” is too long for a name: up to 80 characters.".formatted(quote);
            case SAME_NAME_TWICE -> "“%s” stood in a line above. Add the pupil number to tell two pupils apart."
                    .formatted(quote);
            case SAME_NUMBER_TWICE -> "The number “%s” stood in a line above.".formatted(quote);
            case NOT_A_YEAR -> "“%s” is not a year group, 1 to 13. Whoever it is stays as they are.".formatted(quote);
        };
    }
}
