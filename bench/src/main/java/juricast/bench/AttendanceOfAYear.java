package juricast.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.util.ArrayList;
import java.util.Random;
import java.util.stream.IntStream;
import juricast.core.attendance.Attended;
import juricast.core.attendance.Tally;
import juricast.core.attendance.Year;
import juricast.core.register.Mark;

/**
 * The attendance of a school year: 60,000 lessons of 30 pupils, 1.8 million lines in the table as the application keeps it, read
 * from the file and added up by pupil, class and week. On one thread.
 */
final class AttendanceOfAYear {
    private static final int LESSONS = 60_000;
    private static final int PUPILS = 1_200;
    private static final int IN_A_LESSON = 30;
    private static final int CLASSES = 400;
    private static final int WEEKS = 40;
    private static final int TIMES = 10;

    private AttendanceOfAYear() {}

    static void measure() throws Exception {
        Path file = Files.createTempDirectory("juricast-bench").resolve("attendance.db");
        try (Connection open = DriverManager.getConnection("jdbc:sqlite:" + file)) {
            fill(open);
        }
        int[] classes = IntStream.rangeClosed(0, LESSONS).map(n -> n % CLASSES).toArray();
        int[] weeks = IntStream.rangeClosed(0, LESSONS)
                .map(n -> n * WEEKS / (LESSONS + 1))
                .toArray();
        var read = new ArrayList<Long>();
        var summed = new ArrayList<Long>();
        for (int n = 0; n < TIMES + 3; n++) {
            try (Connection open = DriverManager.getConnection("jdbc:sqlite:" + file)) {
                long began = System.nanoTime();
                Year year = read(open);
                long after = System.nanoTime();
                int lines = total(year.byPerson(PUPILS + 1))
                        + total(year.byLesson(classes, CLASSES))
                        + total(year.byLesson(weeks, WEEKS));
                long done = System.nanoTime();
                if (lines != 3 * year.size()) {
                    throw new IllegalStateException("Lines were lost");
                }
                if (n >= 3) {
                    read.add((after - began) / 1000 + (done - after) / 1000);
                    summed.add((done - after) / 1000);
                }
            }
        }
        Figures.print("from the file to sums by pupil, class and week", read);
        Figures.print("of that, the sums once it is read", summed);
    }

    private static int total(Tally[] tallies) {
        int sum = 0;
        for (Tally one : tallies) {
            sum += one.expected() + one.excused();
        }
        return sum;
    }

    private static Year read(Connection open) throws Exception {
        var year = new Year();
        try (var rows = open.createStatement().executeQuery("SELECT person, lesson, packed FROM attendance")) {
            while (rows.next()) {
                year.add(rows.getInt(1), rows.getInt(2), rows.getLong(3));
            }
        }
        return year;
    }

    private static void fill(Connection open) throws Exception {
        open.setAutoCommit(false);
        try (var make = open.createStatement()) {
            make.execute(
                    "CREATE TABLE attendance (person INTEGER NOT NULL, lesson INTEGER NOT NULL, packed INTEGER NOT NULL,"
                            + " PRIMARY KEY (person, lesson)) WITHOUT ROWID");
            make.execute("CREATE INDEX attendance_by_lesson ON attendance (lesson, person, packed)");
        }
        var random = new Random(3);
        Mark[] marks = {Mark.PRESENT, Mark.PRESENT, Mark.PRESENT, Mark.LATE, Mark.ABSENT, Mark.EXCUSED};
        try (var add = open.prepareStatement("INSERT INTO attendance VALUES (?, ?, ?)")) {
            for (int lesson = 1; lesson <= LESSONS; lesson++) {
                for (int n = 0; n < IN_A_LESSON; n++) {
                    add.setInt(1, 1 + (lesson % 40 * IN_A_LESSON + n) % PUPILS);
                    add.setInt(2, lesson);
                    add.setLong(3, Attended.packed(marks[random.nextInt(marks.length)], 0, 45, 50, false));
                    add.addBatch();
                }
                if (lesson % 500 == 0) {
                    add.executeBatch();
                }
            }
        }
        open.commit();
    }
}
