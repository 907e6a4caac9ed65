package juricast.bench;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;

/** A thousand recordings of lessons as the safeguarding lead sees them, with what had to be recorded and what was. */
final class ListOfRecordings {
    private static final int RECORDINGS = 1000;
    private static final int TIMES = 30;

    private ListOfRecordings() {}

    static void measure(RunningJar demo) throws Exception {
        fill(demo);
        var lead = new AsPerson(demo, "maren-oddlund");
        var took = new ArrayList<Long>();
        int bytes = 0;
        for (int n = 0; n < 2 * TIMES; n++) {
            long began = System.nanoTime();
            bytes = lead.send("GET", "/api/recordings", null).length();
            if (n >= TIMES) {
                took.add((System.nanoTime() - began) / 1000);
            }
        }
        System.out.printf("  %d kB%n", bytes / 1000);
        Figures.print("a thousand recordings of four weeks", took);
    }

    private static void fill(RunningJar demo) throws SQLException {
        try (Connection file = DriverManager.getConnection("jdbc:sqlite:" + demo.file())) {
            file.setAutoCommit(false);
            try (var lesson = file.prepareStatement(
                            "INSERT INTO lesson (id, class, starts, ends) VALUES (?1, "
                                    + "(SELECT id FROM class LIMIT 1 OFFSET ?2 % (SELECT count(*) FROM class)), ?3, ?3 + 2700000)");
                    var recording = file.prepareStatement("INSERT INTO recording"
                            + " (id, lesson, class, title, begun, alive, ended, length, kept_until)"
                            + " SELECT id, id, class, 'Lesson', starts, ends, ends, ends - starts, ends + 7776000000"
                            + " FROM lesson WHERE id = ?1");
                    var coverage = file.prepareStatement("INSERT INTO lesson_coverage (lesson, class, at, recorded,"
                            + " required, covered, late, paused, failed, no_consent, in_groups, ended)"
                            + " SELECT id, class, ends, 2600000, 2700000, 2600000, 60000, 40000, 0, 0, 0, 0"
                            + " FROM lesson WHERE id = ?1")) {
                long latest = Instant.now().minus(Duration.ofDays(1)).toEpochMilli();
                for (int n = 0; n < RECORDINGS; n++) {
                    String id = "big-" + n;
                    lesson.setString(1, id);
                    lesson.setInt(2, n);
                    lesson.setLong(3, latest - n * Duration.ofMinutes(37).toMillis());
                    lesson.executeUpdate();
                    recording.setString(1, id);
                    recording.executeUpdate();
                    coverage.setString(1, id);
                    coverage.executeUpdate();
                }
            }
            file.commit();
        }
    }
}
