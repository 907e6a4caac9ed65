package juricast.server.register;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import juricast.core.attendance.Attended;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.register.Mark;
import juricast.core.time.Span;
import juricast.server.data.Database;
import juricast.server.data.School;
import juricast.server.files.TableFile;
import juricast.server.people.People;
import org.springframework.stereotype.Component;

/** What stands in all registers of a stretch of time as one table, a line for each pupil of each lesson, as other programs take it. */
@Component
class WholeSchoolTable {
    private static final List<String> HEADING = List.of(
            "Lesson",
            "Starts",
            "Class",
            "Pupil number",
            "Pupil",
            "Year",
            "Mark",
            "Code",
            "Minutes late",
            "Minutes present",
            "Lesson minutes",
            "Corrected because",
            "Corrected by",
            "Signed by",
            "Signed at");

    private final Database database;
    private final RegisterSettings settings;
    private final People people;
    private final School school;

    WholeSchoolTable(Database database, RegisterSettings settings, People people, School school) {
        this.database = database;
        this.settings = settings;
        this.people = people;
        this.school = school;
    }

    private record Written(String code, String reason, String by) {}

    private record Signed(String by, Instant at) {}

    byte[] write(Span window) {
        Map<String, Written> written = written(window);
        Map<String, Signed> signed = signed(window);
        var names = new HashMap<String, String>();
        Function<String, String> nameOf = id -> names.computeIfAbsent(id, one -> people.nameOf(new PersonId(one)));
        var rows = new ArrayList<List<String>>();
        database.read()
                .sql(
                        """
                    SELECT lesson.id, starts, class.id AS class, class.title, person.name, person.number, person.year,
                        who.id AS person, packed FROM lesson
                    JOIN class ON class.id = lesson.class
                    JOIN attendance_number AS which ON which.kind = 'LESSON' AND which.id = lesson.id
                    JOIN attendance ON attendance.lesson = which.number
                    JOIN attendance_number AS who ON who.number = attendance.person
                    JOIN person ON person.id = who.id
                    WHERE starts >= :from AND starts < :until ORDER BY starts, class.title, person.name, person.id""")
                .param("from", window.from().toEpochMilli())
                .param("until", window.until().toEpochMilli())
                .query(row -> {
                    String lesson = row.getString("id");
                    Instant starts = Instant.ofEpochMilli(row.getLong("starts"));
                    Attended is = Attended.unpacked(
                            row.getLong("packed"), new LessonId(lesson), new ClassId(row.getString("class")), starts);
                    Written correction = written.get(lesson + " " + row.getString("person"));
                    Signed signature = signed.get(lesson);
                    rows.add(List.of(
                            lesson,
                            school.written(starts),
                            row.getString("title"),
                            row.getString("number"),
                            row.getString("name"),
                            row.getInt("year") == 0 ? "" : Integer.toString(row.getInt("year")),
                            AttendanceController.words(is.mark()),
                            correction == null ? usual(is.mark()) : correction.code,
                            is.lateMinutes() == 0 ? "" : Integer.toString(is.lateMinutes()),
                            Integer.toString(is.minutes()),
                            Integer.toString(is.lessonMinutes()),
                            correction == null ? "" : correction.reason,
                            correction == null ? "" : nameOf.apply(correction.by),
                            signature == null ? "" : nameOf.apply(signature.by),
                            signature == null ? "" : school.written(signature.at)));
                });
        return TableFile.write(HEADING, rows, column -> column.equals("Lesson") || column.equals("Pupil number"));
    }

    private String usual(Mark mark) {
        return settings.codes().usual(mark).map(one -> one.code()).orElse("");
    }

    /** The latest correction of each pupil in each lesson. */
    private Map<String, Written> written(Span window) {
        var all = new HashMap<String, Written>();
        database.read()
                .sql(
                        """
                    SELECT lesson, person, code, reason, set_by FROM correction JOIN lesson ON lesson.id = correction.lesson
                    WHERE starts >= :from AND starts < :until ORDER BY correction.id""")
                .param("from", window.from().toEpochMilli())
                .param("until", window.until().toEpochMilli())
                .query(row -> {
                    all.put(
                            row.getString("lesson") + " " + row.getString("person"),
                            new Written(row.getString("code"), row.getString("reason"), row.getString("set_by")));
                });
        return all;
    }

    private Map<String, Signed> signed(Span window) {
        var all = new HashMap<String, Signed>();
        database.read()
                .sql(
                        """
                    SELECT lesson, by, at FROM register_signed JOIN lesson ON lesson.id = register_signed.lesson
                    WHERE reopened_at = 0 AND starts >= :from AND starts < :until""")
                .param("from", window.from().toEpochMilli())
                .param("until", window.until().toEpochMilli())
                .query(row -> {
                    all.put(
                            row.getString("lesson"),
                            new Signed(row.getString("by"), Instant.ofEpochMilli(row.getLong("at"))));
                });
        return all;
    }
}
