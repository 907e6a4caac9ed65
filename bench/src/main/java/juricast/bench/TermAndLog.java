package juricast.bench;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import juricast.core.attendance.Attended;
import juricast.core.register.Mark;

/**
 * The grid of a class of 30 over a term of 65 further lessons, and a log of 50,000 rows for one of them: shown with every name
 * decided, then taken, then the register that comes of it.
 */
final class TermAndLog {
    private static final String CLASS = "tidal-navigation-8";
    private static final int LESSONS = 65;
    private static final int ROWS = 50_000;
    private static final int TIMES = 20;
    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HH:mm:ss'Z'");

    private TermAndLog() {}

    static void measure(RunningJar demo) throws Exception {
        Instant first = Instant.now().minus(Duration.ofDays(95));
        List<String> names = fill(demo, first);
        var orla = new AsPerson(demo, "orla-venn");
        String grid = "/api/classes/%s/attendance?from=%s&until=%s"
                .formatted(
                        CLASS,
                        first.atZone(ZoneOffset.UTC).toLocalDate(),
                        Instant.now().atZone(ZoneOffset.UTC).toLocalDate());
        int lessons = orla.send("GET", grid, null).split("\"calledOff\"").length - 1;
        if (lessons < LESSONS) {
            throw new IllegalStateException("Only %d lessons".formatted(lessons));
        }
        Figures.print("the grid of %d lessons".formatted(lessons), times(() -> orla.send("GET", grid, null)));

        String log = log(names, first);
        String at = "/api/lessons/term-0/logs";
        Figures.print(
                "a log of 50,000 rows (%d kB), read and reconciled".formatted(log.length() / 1000),
                times(() -> orla.send("POST", at + "/preview", log, "text/csv")));
        String strangers = strangers(first);
        Figures.print(
                "a log of 20,000 names that nobody of the class has, once",
                List.of(micros(() -> orla.send("POST", at + "/preview", strangers, "text/csv"))));
        String shown = orla.send("POST", at + "/preview", log, "text/csv");
        if (!shown.contains("\"open\":0,")) {
            throw new IllegalStateException("Names are open: " + shown);
        }
        String fingerprint = shown.replaceAll("(?s).*\"fingerprint\":\"([^\"]*)\".*", "$1");
        Figures.print(
                "the same, taken",
                List.of(micros(
                        () -> orla.send("POST", at + "?name=log.csv&fingerprint=" + fingerprint, log, "text/csv"))));
    }

    private static List<Long> times(Callable<String> what) throws Exception {
        var micros = new ArrayList<Long>();
        for (int n = 0; n < 2 * TIMES; n++) {
            long one = micros(what);
            if (n >= TIMES) { // the first ones warm up and are not counted
                micros.add(one);
            }
        }
        return micros;
    }

    private static long micros(Callable<String> what) throws Exception {
        long began = System.nanoTime();
        what.call();
        return (System.nanoTime() - began) / 1000;
    }

    /** A stay of each of many who are on no list. */
    private static String strangers(Instant lesson) {
        var random = new Random(11);
        String time = STAMP.format(lesson.atZone(ZoneOffset.UTC));
        String until = STAMP.format(lesson.plusSeconds(1800).atZone(ZoneOffset.UTC));
        return IntStream.range(0, 20_000)
                .mapToObj(n -> "%s Of%s,%s,%s\n"
                        .formatted(Integer.toString(random.nextInt(1 << 30), 36), Integer.toString(n, 36), time, until))
                .collect(Collectors.joining("", "Participant,Join Time,Leave Time\n", ""));
    }

    /** Short stays with short gaps, of all pupils in turn, in no order. */
    private static String log(List<String> names, Instant lesson) {
        var random = new Random(5);
        var log = new StringBuilder("Participant,Join Time,Leave Time\n");
        for (int n = 0; n < ROWS; n++) {
            Instant joined = lesson.plusSeconds(random.nextInt(2900));
            log.append(names.get(n % names.size()))
                    .append(',')
                    .append(STAMP.format(joined.atZone(ZoneOffset.UTC)))
                    .append(',')
                    .append(STAMP.format(
                            joined.plusSeconds(1 + random.nextInt(90)).atZone(ZoneOffset.UTC)))
                    .append('\n');
        }
        return log.toString();
    }

    /** @return the pupils of the class */
    private static List<String> fill(RunningJar demo, Instant first) throws SQLException {
        var names = new ArrayList<String>();
        var people = new ArrayList<String>();
        Mark[] marks = {Mark.PRESENT, Mark.PRESENT, Mark.PRESENT, Mark.LATE, Mark.ABSENT};
        var random = new Random(3);
        try (Connection file = DriverManager.getConnection("jdbc:sqlite:" + demo.file())) {
            file.setAutoCommit(false);
            try (var all = file.createStatement();
                    var rows = all.executeQuery(
                            "SELECT person.id, name FROM class_member JOIN person ON person.id = person"
                                    + " WHERE class = '" + CLASS + "' AND role = 'PUPIL'")) {
                while (rows.next()) {
                    people.add(rows.getString(1));
                    names.add(rows.getString(2));
                }
            }
            try (var old = file.createStatement()) {
                // They belong to the class for the whole term.
                old.executeUpdate("UPDATE class_member SET since = 0 WHERE class = '" + CLASS + "'");
            }
            try (var number = file.prepareStatement(
                            "INSERT INTO attendance_number (kind, id) VALUES (?, ?) ON CONFLICT DO NOTHING");
                    var lesson =
                            file.prepareStatement("INSERT INTO lesson (id, class, starts, ends) VALUES (?, ?, ?, ?)");
                    var line = file.prepareStatement("INSERT INTO attendance (person, lesson, packed) VALUES ("
                            + " (SELECT number FROM attendance_number WHERE kind = 'PERSON' AND id = ?),"
                            + " (SELECT number FROM attendance_number WHERE kind = 'LESSON' AND id = ?), ?)")) {
                for (String person : people) {
                    run(number, "PERSON", person);
                }
                for (int n = 0; n < LESSONS; n++) {
                    long from = first.plus(Duration.ofDays(n / 5 * 7L + n % 5)).toEpochMilli();
                    run(lesson, "term-" + n, CLASS, from, from + 50 * 60_000L);
                    run(number, "LESSON", "term-" + n);
                    for (String person : people) {
                        Mark mark = marks[random.nextInt(marks.length)];
                        run(line, person, "term-" + n, Attended.packed(mark, mark == Mark.LATE ? 7 : 0, 45, 50, false));
                    }
                }
            }
            file.commit();
        }
        return names;
    }

    private static void run(PreparedStatement statement, Object... values) throws SQLException {
        for (int i = 0; i < values.length; i++) {
            statement.setObject(i + 1, values[i]);
        }
        statement.executeUpdate();
    }
}
