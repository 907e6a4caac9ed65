package juricast.server.people;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.stream.Stream;
import juricast.core.identity.PersonId;
import juricast.server.data.Codes;
import juricast.server.data.Database;
import juricast.server.data.Ids;
import juricast.server.data.Topic;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The second factors of accounts, and the codes for the day on which the telephone is lost. */
@Component
class Factors {
    private static final int RECOVERY_CODES = 8;
    private static final Duration SET_UP_WITHIN = Duration.ofMinutes(15);

    private final Database database;
    private final Clock clock;
    private final Cache<PersonId, byte[]> offered = Caffeine.newBuilder()
            .maximumSize(1000)
            .expireAfterWrite(SET_UP_WITHIN)
            .build();

    Factors(Database database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    private record Kept(byte[] secret, long lastStep) {}

    private Optional<Kept> of(PersonId person) {
        return database.read()
                .sql("SELECT factor, factor_step FROM person WHERE id = :id AND factor IS NOT NULL")
                .param("id", person.value())
                .query((row, n) -> new Kept(row.getBytes(1), row.getLong(2)))
                .optional();
    }

    boolean has(PersonId person) {
        return of(person).isPresent();
    }

    /** How many recovery codes were not used yet. */
    int recoveryCodes(PersonId person) {
        return database.read()
                .sql("SELECT count(*) FROM recovery_code WHERE person = :person")
                .param("person", person.value())
                .query(Integer.class)
                .single();
    }

    /** Nothing for who has none. @throws Problem if a code is wanted, or the one given is wrong */
    void check(PersonId person, @Nullable String code, Runnable ifWrong) {
        Optional<Kept> kept = of(person);
        if (kept.isEmpty()) {
            return;
        }
        if (code == null || code.isBlank()) {
            throw Problem.refused(
                    "second-factor",
                    "Your code is needed too",
                    "You are not signed in yet. Name and password are right.",
                    "Give the six digits that your telephone shows, or one of your recovery codes.");
        }
        boolean isRight = code.length() <= 40 && (useStep(person, kept.get(), code) || useRecovery(person, code));
        if (!isRight) {
            ifWrong.run();
            throw Problem.refused(
                    "second-factor-wrong",
                    "This code is not right",
                    "You are not signed in.",
                    "Wait for the next six digits; the telephone's clock must be right. A code counts once.");
        }
    }

    private boolean useStep(PersonId person, Kept kept, String code) {
        OptionalLong step = SecondFactor.step(kept.secret, code.replace(" ", ""), clock.instant(), kept.lastStep);
        // The statement itself says whether nobody was quicker with the same code.
        return step.isPresent()
                && database.append(sql -> sql.sql(
                                        "UPDATE person SET factor_step = :step WHERE id = :id AND factor_step < :step")
                                .param("step", step.getAsLong())
                                .param("id", person.value())
                                .update())
                        == 1;
    }

    private boolean useRecovery(PersonId person, String code) {
        return database.append(sql -> sql.sql("DELETE FROM recovery_code WHERE person = :person AND hash = :hash")
                        .param("person", person.value())
                        .param("hash", Ids.hash(Codes.plain(code)))
                        .update())
                == 1;
    }

    /** A secret to be set up; it counts once a code of it was given. */
    byte[] offer(PersonId person) {
        byte[] secret = SecondFactor.newSecret();
        offered.put(person, secret);
        return secret;
    }

    /** Takes the secret that was offered. @return the recovery codes, shown this once; nothing if the code is wrong */
    Optional<List<String>> confirm(PersonId person, String code) {
        byte[] secret = offered.getIfPresent(person);
        OptionalLong step = secret == null
                ? OptionalLong.empty()
                : SecondFactor.step(secret, code.replace(" ", ""), clock.instant(), 0);
        if (step.isEmpty()) {
            return Optional.empty();
        }
        List<String> codes = Stream.generate(Codes::next).limit(RECOVERY_CODES).toList();
        database.write(
                sql -> {
                    end(sql, person);
                    codes.forEach(one -> sql.sql("INSERT INTO recovery_code (person, hash) VALUES (:person, :hash)")
                            .param("person", person.value())
                            .param("hash", Ids.hash(Codes.plain(one)))
                            .update());
                    return sql.sql("UPDATE person SET factor = :secret, factor_step = :step WHERE id = :id")
                            .param("secret", secret)
                            .param("step", step.getAsLong())
                            .param("id", person.value())
                            .update();
                },
                Topic.ACCOUNTS);
        offered.invalidate(person);
        return Optional.of(codes);
    }

    void end(PersonId person) {
        database.write(sql -> end(sql, person), Topic.ACCOUNTS);
    }

    private static int end(JdbcClient sql, PersonId person) {
        sql.sql("DELETE FROM recovery_code WHERE person = :person")
                .param("person", person.value())
                .update();
        return sql.sql("UPDATE person SET factor = NULL, factor_step = 0 WHERE id = :id")
                .param("id", person.value())
                .update();
    }
}
