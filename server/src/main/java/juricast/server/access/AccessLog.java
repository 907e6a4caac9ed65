package juricast.server.access;

import jakarta.servlet.http.HttpServletRequest;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.identity.PlainName;
import juricast.core.limits.Limits;
import juricast.server.data.Database;
import org.springframework.stereotype.Component;

/** Who looked at what about whom, and who signed in or failed to (need N9): for the lead, and never with what was seen. */
@Component
public class AccessLog {
    /** Lines of one page. */
    public static final int PAGE = 200;

    private final Database database;
    private final Clock clock;

    AccessLog(Database database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    /** What somebody did. */
    public enum Kind {
        SIGNED_IN,
        SIGN_IN_FAILED,
        SIGNED_OUT,
        LOOKED,
        TOOK_AWAY,
        CHANGED_ACCOUNT
    }

    /**
     * One note.
     *
     * @param who a person's id; what was typed, where a sign-in failed for nobody the school knows
     * @param about a person's id; empty where it is about nobody alone
     * @param place what was looked at, as "register of lesson x"
     */
    public record Note(long number, Instant at, Kind kind, String who, String about, String place, String address) {}

    public void note(Kind kind, PersonId who, HttpServletRequest request) {
        write(kind, who.value(), "", "", request.getRemoteAddr());
    }

    public void note(Kind kind, PersonId who, String about, String place, HttpServletRequest request) {
        write(kind, who.value(), about, place, request.getRemoteAddr());
    }

    /** A sign-in that failed. @param typed as whom; only its beginning is kept, for somebody may have typed a password there */
    public void failed(Optional<PersonId> person, String typed, HttpServletRequest request) {
        String plain = PlainName.of(typed.substring(0, Math.min(typed.length(), Limits.NAME)));
        String guarded = plain.substring(0, Math.min(plain.length(), 3)) + "…";
        write(Kind.SIGN_IN_FAILED, person.map(PersonId::value).orElse(guarded), "", "", request.getRemoteAddr());
    }

    private void write(Kind kind, String who, String about, String place, String address) {
        database.append(sql -> sql.sql(
                        """
                INSERT INTO access_entry (at, kind, who, about, place, address)
                VALUES (:at, :kind, :who, :about, :place, :address)""")
                .param("at", clock.millis())
                .param("kind", kind.name())
                .param("who", who)
                .param("about", about)
                .param("place", place)
                .param("address", address)
                .update());
    }

    /** @param before notes with a lower number, newest first @param people whose notes, as who or about whom; all if empty */
    public List<Note> find(Optional<Kind> kind, List<String> people, Instant from, Instant until, long before) {
        return database.read()
                .sql(
                        """
                    SELECT * FROM access_entry WHERE number < :before AND at >= :from AND at < :until
                      AND (:kind = '' OR kind = :kind)
                      AND (:all OR who IN (:people) OR about IN (:people))
                    ORDER BY number DESC LIMIT :most""")
                .param("before", before)
                .param("from", from.toEpochMilli())
                .param("until", until.equals(Instant.MAX) ? Long.MAX_VALUE : until.toEpochMilli())
                .param("kind", kind.map(Kind::name).orElse(""))
                .param("all", people.isEmpty())
                .param("people", people.isEmpty() ? List.of("") : people)
                .param("most", PAGE)
                .query((row, n) -> note(row))
                .list();
    }

    /** Who looked at one thing, the latest first. @param place as it was noted */
    public List<Note> looksAt(String place, int most) {
        return database.read()
                .sql("SELECT * FROM access_entry WHERE place = :place ORDER BY number DESC LIMIT :most")
                .param("place", place)
                .param("most", most)
                .query((row, n) -> note(row))
                .list();
    }

    private static Note note(ResultSet row) throws SQLException {
        return new Note(
                row.getLong("number"),
                Instant.ofEpochMilli(row.getLong("at")),
                Kind.valueOf(row.getString("kind")),
                row.getString("who"),
                row.getString("about"),
                row.getString("place"),
                row.getString("address"));
    }

    /** Deletes what is older than the rule keeps. @return how many notes */
    public int forget(Instant olderThan) {
        return database.append(sql -> sql.sql("DELETE FROM access_entry WHERE at < :before")
                .param("before", olderThan.toEpochMilli())
                .update());
    }
}
