package juricast.server.register;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.time.Span;
import juricast.server.data.Database;
import org.springframework.stereotype.Component;

/** What attendance is counted by besides pupils and times: the class of a lesson, its subject, the adult who led it. */
@Component
class LessonFacts {
    private static final Facts UNKNOWN = new Facts("", "", "", "");

    private final Database database;

    LessonFacts(Database database) {
        this.database = database;
    }

    /** @param adult who led the class then, or covered for them; empty if nobody did */
    record Facts(String title, String subject, String adultId, String adult) {}

    /** What is known of the lessons of some time. */
    record Known(Map<LessonId, Facts> facts) {
        Facts of(LessonId lesson) {
            return facts.getOrDefault(lesson, UNKNOWN);
        }
    }

    Known of(Span window) {
        var facts = new HashMap<LessonId, Facts>();
        database.read()
                .sql(
                        """
                    SELECT lesson.id, class.title, class.subject,
                           coalesce(cover.id, lead.id, '') AS adult_id, coalesce(cover.name, lead.name, '') AS adult
                    FROM lesson JOIN class ON class.id = lesson.class
                    LEFT JOIN class_member ON class_member.class = class.id AND role = 'LEAD_ADULT'
                        AND since <= starts AND class_member.until > starts
                    LEFT JOIN person AS lead ON lead.id = class_member.person
                    LEFT JOIN lesson_cover ON lesson_cover.lesson = lesson.id AND ended_at = 0
                        AND instead_of = class_member.person
                    LEFT JOIN person AS cover ON cover.id = lesson_cover.adult
                    WHERE starts >= :from AND starts < :until""")
                .param("from", window.from().toEpochMilli())
                .param("until", window.until().toEpochMilli())
                .query(row -> {
                    facts.put(
                            new LessonId(row.getString("id")),
                            new Facts(
                                    row.getString("title"),
                                    row.getString("subject"),
                                    row.getString("adult_id"),
                                    row.getString("adult")));
                });
        return new Known(facts);
    }

    /** A lesson in the timetable. */
    record Planned(Attendances.Held held, boolean calledOff) {}

    /** All lessons of a class in some time, called off ones too, in order. */
    List<Planned> ofClass(ClassId id, Span window) {
        return database.read()
                .sql(
                        """
                    SELECT id, class, starts, ends, cancelled FROM lesson
                    WHERE class = :class AND starts >= :from AND starts < :until ORDER BY starts, id""")
                .param("class", id.value())
                .param("from", window.from().toEpochMilli())
                .param("until", window.until().toEpochMilli())
                .query((row, n) -> new Planned(
                        new Attendances.Held(
                                new LessonId(row.getString("id")),
                                new ClassId(row.getString("class")),
                                span(row.getLong("starts"), row.getLong("ends"))),
                        row.getInt("cancelled") != 0))
                .list();
    }

    /** When each pupil belonged to a class, also those who have left it. */
    Map<PersonId, List<Span>> pupilsOf(ClassId id) {
        return pupilsOf("class = :id", id.value());
    }

    /** The same of the class of a lesson. */
    Map<PersonId, List<Span>> membersAt(LessonId lesson) {
        return pupilsOf("class = (SELECT class FROM lesson WHERE lesson.id = :id)", lesson.value());
    }

    private Map<PersonId, List<Span>> pupilsOf(String which, String id) {
        var times = new HashMap<PersonId, List<Span>>();
        database.read()
                .sql(
                        """
                    SELECT person, since, until FROM class_member
                    WHERE %s AND role IN ('PUPIL', 'CLASS_MONITOR') AND until > since"""
                                .formatted(which))
                .param("id", id)
                .query(row -> {
                    times.computeIfAbsent(new PersonId(row.getString("person")), one -> new ArrayList<>())
                            .add(span(row.getLong("since"), row.getLong("until")));
                });
        return times;
    }

    private static Span span(long from, long until) {
        return new Span(Instant.ofEpochMilli(from), Instant.ofEpochMilli(until));
    }
}
