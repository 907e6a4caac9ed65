package juricast.server.access;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import juricast.core.identity.PersonId;
import juricast.server.data.Database;
import juricast.server.data.Ids;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.stereotype.Component;

/** Sign-ins that outlive a restart. Only a hash of each token is kept. */
@Component
public class Sessions {
    /** A school day; then one signs in again. */
    static final Duration LASTS = Duration.ofHours(12);

    private final Database database;
    private final CsrfTokenRepository tokens;
    private final Clock clock;
    private final Map<String, Known> found = new ConcurrentHashMap<>();
    private final AtomicLong ended = new AtomicLong();

    Sessions(Database database, CsrfTokenRepository tokens, Clock clock) {
        this.database = database;
        this.tokens = tokens;
        this.clock = clock;
    }

    /** Signs somebody in on this browser in place of whoever was, with another token against forged requests. */
    public void signIn(PersonId person, HttpServletRequest request, HttpServletResponse response) {
        Cookies.session(request).ifPresent(this::end);
        Cookies.setSession(request, response, begin(person));
        tokens.saveToken(tokens.generateToken(request), request, response);
    }

    /** A token for a new session; those that have ended are forgotten. */
    private String begin(PersonId person) {
        String token = Ids.next();
        database.append(sql -> {
            sql.sql("DELETE FROM session WHERE expires <= :now")
                    .param("now", clock.millis())
                    .update();
            return sql.sql("INSERT INTO session (token_hash, person, expires) VALUES (:hash, :person, :expires)")
                    .param("hash", Ids.hash(token))
                    .param("person", person.value())
                    .param("expires", clock.millis() + LASTS.toMillis())
                    .update();
        });
        found.values().removeIf(known -> known.expires <= clock.millis());
        return token;
    }

    /** Who is signed in by a token. Every request asks, so it is read anew only when a person or a sign-in has changed. */
    public Optional<SignedIn> find(String token) {
        String hash = Ids.hash(token);
        // Taken before reading: what changes meanwhile makes what was read out of date.
        var asOf = new AsOf(database.revision(), ended.get());
        Known known = found.get(hash);
        if (known == null || !known.asOf.equals(asOf)) {
            known = read(hash, asOf).orElse(null);
        }
        if (known == null || known.expires <= clock.millis()) {
            found.remove(hash);
            return Optional.empty();
        }
        found.put(hash, known);
        return Optional.of(known.who);
    }

    private record AsOf(long revision, long ended) {}

    private record Known(SignedIn who, long expires, AsOf asOf) {}

    private Optional<Known> read(String hash, AsOf asOf) {
        return database.read()
                .sql(
                        """
                    SELECT person.id, person.name, person.position, expires
                    FROM session JOIN person ON person.id = session.person WHERE token_hash = :hash""")
                .param("hash", hash)
                .query((row, n) -> new Known(
                        new SignedIn(
                                new PersonId(row.getString("id")),
                                row.getString("name"),
                                Position.valueOf(row.getString("position"))),
                        row.getLong("expires"),
                        asOf))
                .optional();
    }

    public void end(String token) {
        database.append(sql -> sql.sql("DELETE FROM session WHERE token_hash = :hash")
                .param("hash", Ids.hash(token))
                .update());
        ended.incrementAndGet();
    }

    /** Signs a person out everywhere. */
    public void endAll(PersonId person) {
        database.append(sql -> sql.sql("DELETE FROM session WHERE person = :person")
                .param("person", person.value())
                .update());
        ended.incrementAndGet();
    }
}
