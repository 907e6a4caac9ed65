package juricast.bench;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;

/**
 * The week of the whole school, from request to data, in a school of 400 further classes with 24 pupils each, 60,000 lessons in
 * a year; when nothing has changed since, and right after a lesson was moved, when the plan is read and inspected anew.
 */
final class WeekView {
    private static final ZoneId ZONE = ZoneId.of("Atlantic/Faroe");
    private static final int CLASSES = 400;
    private static final int PUPILS = 24;
    private static final int DAYS = 200;
    private static final int PER_DAY = 300;
    private static final int TIMES = 30;

    private final AsPerson lead;

    private WeekView(AsPerson lead) {
        this.lead = lead;
    }

    static void measure(RunningJar demo) throws Exception {
        LocalDate monday = LocalDate.now(ZONE).plusWeeks(1).with(DayOfWeek.MONDAY);
        fill(demo, monday);
        var lead = new AsPerson(demo, "maren-oddlund");
        var school = new WeekView(lead);
        String week = "/api/timetable?days=7&from=" + monday;
        school.move(0); // from here on the application knows of what was filled in
        var still = new ArrayList<Long>();
        var changed = new ArrayList<Long>();
        int bytes = 0;
        for (int n = 0; n < 2 * TIMES; n++) {
            school.move(n + 1);
            long began = System.nanoTime();
            bytes = lead.send("GET", week, null).length();
            long first = System.nanoTime() - began;
            began = System.nanoTime();
            lead.send("GET", week, null);
            long second = System.nanoTime() - began;
            if (n >= TIMES) {
                changed.add(first / 1000);
                still.add(second / 1000);
            }
        }
        System.out.printf("  %d lessons in the week, %d kB%n", PER_DAY * 5, bytes / 1000);
        Figures.print("the week, nothing changed since", still);
        Figures.print("the week, right after a lesson was changed", changed);
    }

    /** Makes one lesson longer or shorter, each time another one. */
    private void move(int n) throws Exception {
        lead.send(
                "POST",
                "/api/timetable/lessons/big-%d/change".formatted(PER_DAY + n),
                "{\"minutes\":%d,\"following\":false,\"why\":\"Measured\"}".formatted(40 + n % 5));
    }

    private static void fill(RunningJar demo, LocalDate monday) throws SQLException {
        try (Connection file = DriverManager.getConnection("jdbc:sqlite:" + demo.file())) {
            file.setAutoCommit(false);
            try (var ofClass = file.prepareStatement(
                            "INSERT INTO class (id, title, year, link_number, renewal, join_word) VALUES (?, ?, ?, ?, 0, ?)");
                    var person = file.prepareStatement(
                            "INSERT INTO person (id, name, position, number, year) VALUES (?, ?, ?, '', ?)");
                    var member = file.prepareStatement(
                            "INSERT INTO class_member (class, person, role, since, until) VALUES (?, ?, ?, 0,"
                                    + " (SELECT max(until) FROM class_member))");
                    var lesson =
                            file.prepareStatement("INSERT INTO lesson (id, class, starts, ends) VALUES (?, ?, ?, ?)")) {
                for (int n = 0; n < 1200; n++) {
                    run(person, "big-pupil-" + n, "Pupil " + n, "PUPIL", 7 + n / PUPILS % 5);
                }
                for (int n = 0; n < 90; n++) {
                    run(person, "big-staff-" + n, "Staff " + n, "TEACHER", 0);
                }
                for (int n = 0; n < CLASSES; n++) {
                    run(ofClass, "big-" + n, "Class " + n, 7 + n % 5, 10_000 + n, "word-%d-%d".formatted(n, n * 7919));
                    run(member, "big-" + n, "big-staff-" + n % 90, "LEAD_ADULT");
                    for (int pupil = 0; pupil < PUPILS; pupil++) {
                        run(member, "big-" + n, "big-pupil-" + (n / 8 * PUPILS + pupil) % 1200, "PUPIL");
                    }
                }
                int made = 0;
                List<LocalDate> days = monday.datesUntil(monday.plusDays(2L * DAYS))
                        .filter(day -> day.getDayOfWeek().compareTo(DayOfWeek.SATURDAY) < 0)
                        .limit(DAYS)
                        .toList();
                for (LocalDate day : days) {
                    for (int n = 0; n < PER_DAY; n++) {
                        int period = n / 50;
                        int group = n % 50;
                        long from = day.atTime(LocalTime.of(8 + period, 5))
                                .atZone(ZONE)
                                .toInstant()
                                .toEpochMilli();
                        int of = group * 8 + (period + day.getDayOfYear() + group) % 8;
                        run(lesson, "big-" + made++, "big-" + of, from, from + 50 * 60_000L);
                    }
                }
            }
            file.commit();
        }
    }

    private static void run(java.sql.PreparedStatement statement, Object... values) throws SQLException {
        for (int i = 0; i < values.length; i++) {
            statement.setObject(i + 1, values[i]);
        }
        statement.executeUpdate();
    }
}
