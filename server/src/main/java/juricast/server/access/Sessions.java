package juricast.server.access;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
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
        return token;
    }

    public Optional<SignedIn> find(String token) {
        return database.read()
                .sql(
                        """
                    SELECT person.id, person.name, person.position FROM session JOIN person ON person.id = session.person
                    WHERE token_hash = :hash AND expires > :now""")
                .param("hash", Ids.hash(token))
                .param("now", clock.millis())
                .query((row, n) -> new SignedIn(
                        new PersonId(row.getString("id")),
                        row.getString("name"),
                        Position.valueOf(row.getString("position"))))
                .optional();
    }

    public void end(String token) {
        database.append(sql -> sql.sql("DELETE FROM session WHERE token_hash = :hash")
                .param("hash", Ids.hash(token))
                .update());
    }

    /** Signs a person out everywhere. */
    public void endAll(PersonId person) {
        database.append(sql -> sql.sql("DELETE FROM session WHERE person = :person")
                .param("person", person.value())
                .update());
    }
}
