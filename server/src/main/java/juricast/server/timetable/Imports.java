package juricast.server.timetable;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.exchange.TimetableChange;
import juricast.core.exchange.TimetableReading;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.time.Span;
import juricast.server.access.SignedIn;
import juricast.server.classes.Calendar;
import juricast.server.classes.Classes;
import juricast.server.data.Database;
import juricast.server.data.Ids;
import juricast.server.data.School;
import juricast.server.data.Topic;
import juricast.server.ical.CalendarText;
import juricast.server.problems.Problem;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Takes timetables made elsewhere: compared with the plan first, then carried out as one change, or not at all. */
@Component
class Imports {
    private final Database database;
    private final School school;
    private final Classes classes;
    private final Calendar calendar;
    private final Clock clock;

    Imports(Database database, School school, Classes classes, Calendar calendar, Clock clock) {
        this.database = database;
        this.school = school;
        this.classes = classes;
        this.calendar = calendar;
        this.clock = clock;
    }

    /**
     * What a file says and what taking it would change.
     *
     * @param notYours how many changes lie in classes of others, which are left out
     */
    record Compared(TimetableReading file, TimetableChange change, int notYours) {
        /** Names exactly this change. */
        String fingerprint() {
            return Ids.hash(change.toString());
        }
    }

    /** @param meant which class is meant by a title that no class bears */
    Compared compare(byte[] bytes, Map<String, String> meant, SignedIn caller) {
        TimetableReading file = read(bytes);
        List<Classes.SchoolClass> all = classes.all();
        var byTitle = new HashMap<String, ClassId>();
        all.forEach(one -> byTitle.put(TimetableChange.key(one.title()), one.id()));
        Set<String> known = all.stream().map(one -> one.id().value()).collect(Collectors.toSet());
        meant.forEach((title, id) -> {
            if (known.contains(id)) {
                byTitle.put(TimetableChange.key(title), new ClassId(id));
            }
        });
        Instant now = clock.instant();
        TimetableChange whole = TimetableChange.between(file, byTitle, school(now), now);
        if (caller.isLead()) {
            return new Compared(file, whole, 0);
        }
        TimetableChange mine = whole.only(classes.of(caller.person(), now).stream()
                .map(Classes.SchoolClass::id)
                .collect(Collectors.toSet()));
        return new Compared(file, mine, size(whole) - size(mine));
    }

    private static int size(TimetableChange change) {
        return change.added().size() + change.changed().size();
    }

    private TimetableReading read(byte[] bytes) {
        LocalDate today = school.date(clock.instant());
        return CalendarText.isOne(bytes)
                ? CalendarFile.read(
                        bytes,
                        school.zone(),
                        calendar.now().end().filter(today::isBefore).orElse(today.plusYears(1)))
                : LessonTable.read(bytes, school.zone());
    }

    /** Every lesson that has not begun, cancelled ones too. */
    private List<TimetableChange.Known> school(Instant now) {
        return database.read()
                .sql(
                        """
                    SELECT lesson.*, coalesce(series.uid, '') AS uid FROM lesson
                    LEFT JOIN series ON series.id = lesson.series WHERE starts > :now ORDER BY starts, lesson.id""")
                .param("now", now.toEpochMilli())
                .query((row, n) -> new TimetableChange.Known(
                        new LessonId(row.getString("id")),
                        new ClassId(row.getString("class")),
                        row.getString("uid"),
                        Optional.of(row.getString("slot"))
                                .filter(slot -> !slot.isEmpty())
                                .map(LocalDateTime::parse),
                        new Span(
                                Instant.ofEpochMilli(row.getLong("starts")), Instant.ofEpochMilli(row.getLong("ends"))),
                        row.getInt("cancelled") != 0))
                .list();
    }

    /** Carries a change out as a whole. @param callOff whether what is missing is not to be held @return its name */
    String take(TimetableChange change, boolean callOff, String what, String why, PersonId by) {
        return database.write(
                sql -> {
                    Instant now = clock.instant();
                    String name = Plan.begin(sql, what, why, by, now);
                    // First what is not held any more: it makes room for what comes in its place.
                    List<Plan.Wanted> wanted = Stream.concat(
                                    change.changed().stream()
                                            .map(one -> new Plan.Wanted(
                                                    planned(one.lesson()), one.time(), one.cancelled())),
                                    change.missing().stream()
                                            .filter(one -> callOff)
                                            .map(one -> new Plan.Wanted(planned(one), one.time(), true)))
                            .sorted(java.util.Comparator.comparing((Plan.Wanted one) -> !one.cancelled()))
                            .toList();
                    move(sql, name, wanted);
                    add(sql, name, change.added(), by, now);
                    return name;
                },
                Topic.PLAN);
    }

    /** A lesson may stand where another is to go, so those that can be moved are moved until none is left. */
    private void move(JdbcClient sql, String change, List<Plan.Wanted> wanted) {
        List<Plan.Wanted> left = wanted;
        while (!left.isEmpty()) {
            var waiting = new ArrayList<Plan.Wanted>();
            for (Plan.Wanted one : left) {
                if (!Plan.change(sql, change, one)) {
                    waiting.add(one);
                }
            }
            if (waiting.size() == left.size()) {
                throw Problem.refused(
                        "not-possible",
                        "The plan could not be changed",
                        "%d lessons would begin when another of their class does, or were changed meanwhile. Nothing was changed."
                                .formatted(waiting.size()),
                        "Look at the new preview. Lessons that change places have to be moved by hand.");
            }
            left = waiting;
        }
    }

    private void add(JdbcClient sql, String change, List<TimetableChange.Added> added, PersonId by, Instant now) {
        record Source(ClassId ofClass, String uid) {}
        var series = new HashMap<Source, String>();
        for (TimetableChange.Added one : added) {
            String of = series.computeIfAbsent(
                    new Source(one.ofClass(), one.uid()),
                    source -> Plan.series(sql, source.ofClass, source.uid, one, school.zone(), by, now));
            Plan.add(sql, change, new LessonId(Ids.next()), one, of);
        }
    }

    private static Plan.Planned planned(TimetableChange.Known one) {
        return new Plan.Planned(one.id(), one.ofClass(), one.time(), one.cancelled(), "", "", false);
    }
}
