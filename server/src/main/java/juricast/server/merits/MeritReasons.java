package juricast.server.merits;

import java.util.List;
import juricast.server.data.Database;
import org.springframework.stereotype.Component;

/** What merits are usually given for: the school's own list. */
@Component
public class MeritReasons {
    private final Database database;

    MeritReasons(Database database) {
        this.database = database;
    }

    public List<String> all() {
        return database.read()
                .sql("SELECT reason FROM merit_reason ORDER BY place")
                .query(String.class)
                .list();
    }

    void write(List<String> reasons) {
        database.write(sql -> {
            sql.sql("DELETE FROM merit_reason").update();
            for (int i = 0; i < reasons.size(); i++) {
                sql.sql("INSERT INTO merit_reason (place, reason) VALUES (:place, :reason)")
                        .param("place", i)
                        .param("reason", reasons.get(i))
                        .update();
            }
            return null;
        });
    }
}
