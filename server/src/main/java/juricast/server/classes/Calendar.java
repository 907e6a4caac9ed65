package juricast.server.classes;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import juricast.core.timetable.SchoolCalendar;
import juricast.core.timetable.SchoolCalendar.Days;
import juricast.server.data.Database;
import juricast.server.data.Topic;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The school's calendar, as the safeguarding lead keeps it. */
@Component
public class Calendar {
    private final Database database;
    private volatile Known known = new Known(-1, SchoolCalendar.NONE);

    Calendar(Database database) {
        this.database = database;
    }

    private record Known(long revision, SchoolCalendar calendar) {}

    private record Row(String kind, Days days) {}

    /** What is known of it; {@link SchoolCalendar#NONE} until somebody writes it. */
    public SchoolCalendar now() {
        long revision = database.revision(Topic.PLAN);
        Known last = known;
        if (last.revision != revision) {
            last = new Known(revision, read());
            known = last;
        }
        return last.calendar;
    }

    private SchoolCalendar read() {
        List<Row> rows = database.read()
                .sql("SELECT kind, name, first, last FROM calendar_days ORDER BY first")
                .query((row, n) -> new Row(
                        row.getString("kind"),
                        new Days(
                                row.getString("name"),
                                LocalDate.parse(row.getString("first")),
                                LocalDate.parse(row.getString("last")))))
                .list();
        List<Days> terms = of(rows, "TERM");
        List<Days> holidays = of(rows, "HOLIDAY");
        return database.read()
                .sql("SELECT days, opens, closes FROM calendar_hours")
                .query((row, n) -> new SchoolCalendar(
                        terms,
                        holidays,
                        Arrays.stream(row.getString("days").split(" "))
                                .map(DayOfWeek::valueOf)
                                .collect(Collectors.toSet()),
                        LocalTime.parse(row.getString("opens")),
                        LocalTime.parse(row.getString("closes"))))
                .optional()
                .orElse(new SchoolCalendar(
                        terms,
                        holidays,
                        SchoolCalendar.NONE.days(),
                        SchoolCalendar.NONE.opens(),
                        SchoolCalendar.NONE.closes()));
    }

    private static List<Days> of(List<Row> rows, String kind) {
        return rows.stream().filter(row -> row.kind.equals(kind)).map(Row::days).toList();
    }

    /** Becomes this calendar; what was said before is replaced. */
    public static void write(JdbcClient sql, SchoolCalendar calendar) {
        sql.sql("DELETE FROM calendar_days").update();
        calendar.terms().forEach(term -> insert(sql, "TERM", term));
        calendar.holidays().forEach(holiday -> insert(sql, "HOLIDAY", holiday));
        sql.sql(
                        """
                INSERT INTO calendar_hours (only_one, days, opens, closes) VALUES (1, :days, :opens, :closes)
                ON CONFLICT (only_one) DO UPDATE SET days = excluded.days, opens = excluded.opens, closes = excluded.closes""")
                .param(
                        "days",
                        calendar.days().stream().sorted().map(DayOfWeek::name).collect(Collectors.joining(" ")))
                .param("opens", calendar.opens().toString())
                .param("closes", calendar.closes().toString())
                .update();
    }

    private static void insert(JdbcClient sql, String kind, Days days) {
        sql.sql("INSERT INTO calendar_days (kind, name, first, last) VALUES (:kind, :name, :first, :last)")
                .param("kind", kind)
                .param("name", days.name())
                .param("first", days.first().toString())
                .param("last", days.last().toString())
                .update();
    }
}
