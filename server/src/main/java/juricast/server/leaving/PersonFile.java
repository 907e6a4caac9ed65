package juricast.server.leaving;

import java.io.IOException;
import java.io.OutputStream;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import juricast.core.board.BoardEvent;
import juricast.core.chat.ChatEvent;
import juricast.core.conduct.ConductEvent;
import juricast.core.door.DoorEvent;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;
import juricast.core.material.MaterialEvent;
import juricast.core.merits.MeritsEvent;
import juricast.core.presence.Presence;
import juricast.core.questions.Answer;
import juricast.core.questions.QuestionsEvent;
import juricast.core.slates.SlatesEvent;
import juricast.core.time.Span;
import juricast.server.data.Database;
import juricast.server.files.Archive;
import juricast.server.files.TableFile;
import juricast.server.people.People;
import juricast.server.record.Journal;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Everything about one pupil as one archive of tables, with a manifest that names each with its SHA-256. */
@Component
class PersonFile {
    private final Database database;
    private final Journal journal;
    private final JsonMapper json;

    PersonFile(Database database, Journal journal, JsonMapper json) {
        this.database = database;
        this.journal = journal;
        this.json = json;
    }

    /** One table, its heading first. */
    private record Sheet(String name, List<String> heading, List<List<String>> rows) {}

    record Manifest(String format, int version, String name, Instant taken, List<Archive.Part> parts) {}

    /** What is kept in tables about a person: for each, its columns and the question. */
    private static final Map<String, Asked> TABLES = tables();

    private record Asked(List<String> heading, String sql) {}

    private static Map<String, Asked> tables() {
        var all = new LinkedHashMap<String, Asked>();
        all.put(
                "classes",
                new Asked(
                        List.of("Class", "Role", "Since", "Until"),
                        "SELECT title, role, since AS at1, until AS at2 FROM class_member JOIN class ON class.id = class WHERE person = :person"));
        all.put(
                "consents",
                new Asked(
                        List.of("Consent", "By", "Paper", "From", "Until", "Noted"),
                        "SELECT said, giver, paper, starts AS at1, ends AS at2, at AS at3 FROM consent WHERE person = :person"));
        all.put(
                "corrections",
                new Asked(
                        List.of("Lesson", "Mark", "Reason", "At"),
                        "SELECT lesson, mark, reason, at AS at1 FROM correction WHERE person = :person"));
        all.put(
                "groups",
                new Asked(
                        List.of("Lesson", "Group", "From", "Until"),
                        "SELECT lesson, name, starts AS at1, ends AS at2 FROM lesson_place WHERE person = :person"));
        all.put(
                "marks-for-groups",
                new Asked(
                        List.of("Class", "Level", "Trusted"),
                        "SELECT title, level, trusted FROM group_mark JOIN class ON class.id = class WHERE person = :person"));
        all.put(
                "stays-elsewhere",
                new Asked(
                        List.of("Lesson", "From", "Until"),
                        "SELECT lesson, starts AS at1, ends AS at2 FROM outside_stay JOIN outside_log ON outside_log.id = log WHERE person = :person"));
        all.put(
                "recordings-watched",
                new Asked(
                        List.of("Recording", "Begun", "Watched milliseconds"),
                        "SELECT title, begun AS at1, watched FROM recording_watched JOIN recording ON recording.id = recording WHERE person = :person"));
        all.put(
                "asked-to-watch",
                new Asked(
                        List.of("Recording", "Why", "At"),
                        "SELECT title, why, at AS at1 FROM recording_wish JOIN recording ON recording.id = recording WHERE person = :person"));
        all.put(
                "messages",
                new Asked(
                        List.of("Kind", "Subject", "Words", "At"),
                        "SELECT kind, subject, body, at AS at1 FROM message WHERE person = :person"));
        all.put(
                "sign-ins-and-looks",
                new Asked(
                        List.of("What", "By", "About", "Where", "At"),
                        "SELECT kind, who, about, place, at AS at1 FROM access_entry WHERE who = :person OR about = :person"));
        return all;
    }

    void write(OutputStream out, People.Person person, Instant now) throws IOException {
        var archive = new Archive(out);
        archive.put(
                "person.csv",
                "text/csv",
                TableFile.write(
                        List.of("Name", "Number", "Year", "Signs in as"),
                        List.of(List.of(
                                person.name(), person.number(), String.valueOf(person.year()), person.signIn()))));
        for (Map.Entry<String, Asked> one : TABLES.entrySet()) {
            put(archive, table(one.getKey(), one.getValue(), person.id()));
        }
        for (Sheet sheet : ofLessons(person.id(), now)) {
            put(archive, sheet);
        }
        archive.put(
                "manifest.json",
                "application/json",
                json.writeValueAsString(new Manifest("juricast-person", 1, person.name(), now, archive.parts())));
        archive.finish();
    }

    private static void put(Archive archive, Sheet sheet) throws IOException {
        archive.put(sheet.name + ".csv", "text/csv", TableFile.write(sheet.heading, sheet.rows));
    }

    private Sheet table(String name, Asked asked, PersonId person) {
        List<List<String>> rows = database
                .read()
                .sql(asked.sql)
                .param("person", person.value())
                .query((row, n) -> {
                    var cells = new ArrayList<String>();
                    for (int i = 1; i <= row.getMetaData().getColumnCount(); i++) {
                        boolean isTime = row.getMetaData().getColumnLabel(i).startsWith("at");
                        cells.add(
                                isTime
                                        ? Instant.ofEpochMilli(row.getLong(i)).toString()
                                        : Optional.ofNullable(row.getString(i)).orElse(""));
                    }
                    return cells;
                })
                .list()
                .stream()
                .map(List::copyOf)
                .toList();
        return new Sheet(name, asked.heading, rows);
    }

    /** What lessons say: when they were in, what they wrote, drew, were praised or removed for. */
    private List<Sheet> ofLessons(PersonId person, Instant now) {
        var in = new ArrayList<List<String>>();
        var words = new ArrayList<List<String>>();
        var drawn = new ArrayList<List<String>>();
        var noted = new ArrayList<List<String>>();
        for (LessonId lesson : lessons(person)) {
            List<LessonEvent> record;
            try {
                record = journal.read(lesson).events();
            } catch (Journal.DamagedRecord damaged) {
                noted.add(List.of(lesson.value(), "its record is damaged and cannot be read", "", ""));
                continue;
            }
            var stays = Presence.of(record, now).get(person);
            if (stays != null) {
                for (Span stay : stays.stays()) {
                    in.add(List.of(
                            lesson.value(), stay.from().toString(), stay.until().toString()));
                }
            }
            record.forEach(event -> one(lesson, event, person, words, drawn, noted));
        }
        return List.of(
                new Sheet("lessons", List.of("Lesson", "In from", "Until"), in),
                new Sheet("words", List.of("Lesson", "At", "To", "Words"), words),
                new Sheet("drawn", List.of("Lesson", "At", "Points"), drawn),
                new Sheet("noted", List.of("Lesson", "What", "Why", "At"), noted));
    }

    private static void one(
            LessonId lesson,
            LessonEvent event,
            PersonId person,
            List<List<String>> words,
            List<List<String>> drawn,
            List<List<String>> noted) {
        String at = event.at().toString();
        if (event instanceof ChatEvent.Said said && said.from().equals(person)) {
            words.add(List.of(lesson.value(), at, to(said.to().kind().name()), said.text()));
        } else if (event instanceof ChatEvent.Held held && held.from().equals(person)) {
            words.add(List.of(lesson.value(), at, to(held.to().kind().name()), held.text()));
        } else if (event instanceof MaterialEvent.Captioned captioned
                && captioned.by().equals(person)) {
            words.add(List.of(lesson.value(), at, "captions", captioned.text()));
        } else if (event instanceof BoardEvent.Drawn line && line.person().equals(person)) {
            drawn.add(List.of(
                    lesson.value(),
                    at,
                    line.drawing().points().stream().map(String::valueOf).collect(Collectors.joining(" "))));
        } else if (event instanceof SlatesEvent.Drawn slate && slate.person().equals(person)) {
            drawn.add(List.of(
                    lesson.value(),
                    at,
                    slate.drawing().text()
                            + slate.drawing().points().stream()
                                    .map(String::valueOf)
                                    .collect(Collectors.joining(" "))));
        } else if (event instanceof QuestionsEvent.Answered answered
                && answered.person().equals(person)) {
            noted.add(List.of(lesson.value(), "an answer", answer(answered.answer()), at));
        } else if (event instanceof MeritsEvent.Given merit && merit.person().equals(person)) {
            noted.add(List.of(lesson.value(), "a merit", merit.reason(), at));
        } else if (event instanceof DoorEvent.Removed removed
                && removed.person().equals(person)) {
            noted.add(List.of(lesson.value(), "removed", removed.why(), at));
        } else if (event instanceof DoorEvent.SentToDoor sent && sent.person().equals(person)) {
            noted.add(List.of(lesson.value(), "sent back to the door", "", at));
        } else if (event instanceof ConductEvent.StepTaken step && step.isAgainst(person)) {
            noted.add(List.of(lesson.value(), step.step().name(), step.act().name(), at));
        } else if (event instanceof ConductEvent.WorryRaised worry
                && worry.person().equals(person)) {
            noted.add(List.of(lesson.value(), "said that something is wrong", worry.words(), at));
        }
    }

    /** Choices by their numbers, as in the lesson's results. */
    private static String answer(Answer given) {
        return given.text()
                .or(() -> given.number().map(BigDecimal::toPlainString))
                .orElseGet(() -> given.picked().stream()
                        .map(place -> "choice " + (place + 1))
                        .collect(Collectors.joining(", ")));
    }

    private static String to(String kind) {
        return kind.toLowerCase(Locale.ROOT);
    }

    /** All lessons held by classes while the person was in them. */
    private List<LessonId> lessons(PersonId person) {
        return database.read()
                .sql(
                        """
                    SELECT DISTINCT lesson.id, lesson.starts FROM lesson JOIN lesson_stage ON lesson_stage.lesson = lesson.id
                    JOIN class_member ON class_member.class = lesson.class AND person = :person
                      AND class_member.since <= lesson.ends AND class_member.until > lesson.starts
                    ORDER BY lesson.starts""")
                .param("person", person.value())
                .query((row, n) -> new LessonId(row.getString(1)))
                .list();
    }
}
