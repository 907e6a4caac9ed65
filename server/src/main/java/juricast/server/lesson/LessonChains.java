package juricast.server.lesson;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import juricast.server.data.Backup;
import org.springframework.stereotype.Component;

/** Goes through the records of all lessons in a file, whatever file it is. */
@Component
public class LessonChains implements Backup.Chains {
    @Override
    public List<String> damagedIn(Connection file) throws SQLException {
        var damaged = new ArrayList<String>();
        try (Statement sql = file.createStatement();
                ResultSet row = sql.executeQuery(
                        "SELECT lesson, number, kind, body, hash FROM lesson_event ORDER BY lesson, number")) {
            String lesson = "";
            String hash = LessonJournal.BEGINNING;
            int number = 0;
            boolean isDamaged = false;
            while (row.next()) {
                if (!row.getString(1).equals(lesson)) {
                    lesson = row.getString(1);
                    hash = LessonJournal.BEGINNING;
                    number = 0;
                    isDamaged = false;
                }
                number++;
                hash = LessonJournal.hash(hash, row.getInt(2), row.getString(3), row.getString(4));
                if (!isDamaged && (row.getInt(2) != number || !hash.equals(row.getString(5)))) {
                    isDamaged = true;
                    damaged.add("lesson %s at event %d".formatted(lesson, number));
                }
            }
        }
        return damaged;
    }
}
