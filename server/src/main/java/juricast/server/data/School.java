package juricast.server.data;

import java.security.SecureRandom;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import juricast.core.joining.LinkKey;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The school itself: its name, its zone, and the key its links are made with. */
@Component
public class School {
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm", Locale.UK);
    private static final DateTimeFormatter DAY_AND_YEAR = DateTimeFormatter.ofPattern("EEEE d MMMM uuuu", Locale.UK);
    private static final DateTimeFormatter WRITTEN = DateTimeFormatter.ofPattern("uuuu-MM-dd HH:mm");
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.UK);

    /** Made when the school was founded, and never changed. */
    private volatile @Nullable LinkKey linkKey;

    private final Database database;
    private volatile Optional<Identity> known = Optional.empty();

    /** @throws CannotStart if the file is of another kind than the program was started for */
    School(Database database, @Value("${juricast.demo}") boolean demo) {
        this.database = database;
        database.read()
                .sql("SELECT demo FROM school")
                .query(Boolean.class)
                .optional()
                .ifPresent(isDemo -> {
                    if (isDemo != demo) {
                        throw new CannotStart(
                                isDemo
                                        ? "This file holds the made-up school of the demo. In it everybody may sign in as anybody."
                                        : "This file holds a real school. As a demo, everybody could sign in as anybody in it.",
                                isDemo
                                        ? "Start it with ./juricast demo --keep, or name another file for your school: --juricast.data=FILE"
                                        : "Start it with ./juricast serve, or name another file for the demo: --juricast.data=FILE");
                    }
                });
    }

    /** A name and a zone. */
    public record Identity(String name, ZoneId zone) {}

    /** Nothing until the school was founded, at the first start; from then on always the same. */
    public Optional<Identity> identity() {
        if (known.isEmpty()) {
            known = database.read()
                    .sql("SELECT name, zone FROM school")
                    .query((row, n) -> new Identity(row.getString("name"), ZoneId.of(row.getString("zone"))))
                    .optional();
        }
        return known;
    }

    /** The school's zone; UTC before it was founded. */
    public ZoneId zone() {
        return identity().map(Identity::zone).orElse(ZoneId.of("UTC"));
    }

    /**
     * As part of a write.
     *
     * @param demo whether it is made up; a file never becomes another kind of school
     * @throws DateTimeException if there is no such zone
     * @return false if the school was founded before
     */
    public static boolean found(JdbcClient sql, String name, String zone, boolean demo) {
        byte[] key = new byte[32];
        new SecureRandom().nextBytes(key);
        return sql.sql(
                                """
                        INSERT INTO school (only_one, name, zone, link_key, demo)
                        VALUES (1, :name, :zone, :key, :demo) ON CONFLICT DO NOTHING""")
                        .param("name", name)
                        .param("zone", ZoneId.of(zone).getId())
                        .param("key", key)
                        .param("demo", demo ? 1 : 0)
                        .update()
                == 1;
    }

    /** @throws java.util.NoSuchElementException before the school was founded */
    public LinkKey linkKey() {
        LinkKey known = linkKey;
        if (known == null) {
            known = new LinkKey(database.read()
                    .sql("SELECT link_key FROM school")
                    .query((row, n) -> row.getBytes(1))
                    .optional()
                    .orElseThrow());
            linkKey = known;
        }
        return known;
    }

    /** A key for links of another kind than those of classes. */
    public LinkKey linkKey(String purpose) {
        return linkKey().forPurpose(purpose);
    }

    /** The time of day at the school, as 10:05. */
    public String clockTime(Instant instant) {
        return CLOCK.format(instant.atZone(zone()));
    }

    /** The day at the school, as Monday 14 September. */
    public String day(Instant instant) {
        return DAY.format(instant.atZone(zone()));
    }

    /** The same in a language. */
    public String day(Instant instant, Locale language) {
        return DAY.withLocale(language).format(instant.atZone(zone()));
    }

    /** As "Monday 14 September 2026", for paper, which is read in another year. */
    public String dayAndYear(Instant instant) {
        return DAY_AND_YEAR.format(instant.atZone(zone()));
    }

    /** As "2026-09-14 10:15", for tables. */
    public String written(Instant instant) {
        return WRITTEN.format(instant.atZone(zone()));
    }

    public LocalDate date(Instant instant) {
        return instant.atZone(zone()).toLocalDate();
    }
}
