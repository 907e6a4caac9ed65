package juricast.server.access;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import juricast.core.identity.PersonId;
import juricast.server.data.Database;
import juricast.server.data.Ids;
import juricast.server.data.Topic;
import juricast.server.problems.Problem;
import org.springframework.http.HttpHeaders;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.stereotype.Component;

/** Sign-ins that outlive a restart. Only a hash of each token is kept. */
@Component
public class Sessions {
    /** A school day; then one signs in again. */
    static final Duration LASTS = Duration.ofHours(12);

    private static final int BROWSER = 120;

    private final Database database;
    private final CsrfTokenRepository tokens;
    private final FactorRule factorRule;
    private final Clock clock;
    private final Map<String, Known> found = new ConcurrentHashMap<>();
    private final AtomicLong ended = new AtomicLong();

    Sessions(Database database, CsrfTokenRepository tokens, FactorRule factorRule, Clock clock) {
        this.database = database;
        this.tokens = tokens;
        this.factorRule = factorRule;
        this.clock = clock;
    }

    /** Whether the school asks for a second factor of those in a position. */
    public interface FactorRule {
        boolean asksFor(Position position);
    }

    /** A sign-in that goes on. @param id names it, but signs nobody in @param browser what it says of itself */
    public record SignIn(String id, Instant began, Instant expires, String browser) {}

    /** Signs somebody in on this browser in place of whoever was, with another token against forged requests. */
    public SignedIn signIn(PersonId person, HttpServletRequest request, HttpServletResponse response) {
        Cookies.session(request).ifPresent(this::end);
        String browser = Optional.ofNullable(request.getHeader(HttpHeaders.USER_AGENT))
                .map(said -> said.replaceAll("[^\\x20-\\x7e]", ""))
                .map(said -> said.substring(0, Math.min(BROWSER, said.length())))
                .orElse("");
        String token = begin(person, browser);
        Cookies.setSession(request, response, token);
        tokens.saveToken(tokens.generateToken(request), request, response);
        return find(token)
                .orElseThrow(() -> Problem.notYours("This account has ended", "Ask the safeguarding lead for it."));
    }

    /** A token for a new session; those that have ended are forgotten. */
    private String begin(PersonId person, String browser) {
        String token = Ids.next();
        database.append(sql -> {
            sql.sql("DELETE FROM session WHERE expires <= :now")
                    .param("now", clock.millis())
                    .update();
            return sql.sql(
                            """
                    INSERT INTO session (token_hash, person, expires, began, browser)
                    VALUES (:hash, :person, :expires, :began, :browser)""")
                    .param("hash", Ids.hash(token))
                    .param("person", person.value())
                    .param("expires", clock.millis() + LASTS.toMillis())
                    .param("began", clock.millis())
                    .param("browser", browser)
                    .update();
        });
        found.values().removeIf(known -> known.expires <= clock.millis());
        return token;
    }

    /**
     * Who is signed in by a token. Every request asks, so it is read anew only when a person, a sign-in or a rule has changed: rules
     * say what an account must have.
     */
    public Optional<SignedIn> find(String token) {
        return named(Ids.hash(token));
    }

    /** Who is signed in by the sign-in of that name: nobody once it has ended, whichever way. */
    public Optional<SignedIn> named(String session) {
        // Taken before reading: what changes meanwhile makes what was read out of date.
        var asOf = new AsOf(database.revision(Topic.PEOPLE, Topic.ACCOUNTS, Topic.RULES), ended.get());
        Known known = found.get(session);
        if (known == null || !known.asOf.equals(asOf)) {
            known = read(session, asOf).orElse(null);
        }
        if (known == null || known.expires <= clock.millis()) {
            found.remove(session);
            return Optional.empty();
        }
        found.put(session, known);
        return Optional.of(known.who);
    }

    private record AsOf(long revision, long ended) {}

    private record Known(SignedIn who, long expires, AsOf asOf) {}

    private Optional<Known> read(String hash, AsOf asOf) {
        return database.read()
                .sql(
                        """
                    SELECT person.id, name, position, code_until, factor IS NOT NULL AS factor,
                        min(expires, coalesce(account_ends, expires)) AS until
                    FROM session JOIN person ON person.id = session.person WHERE token_hash = :hash""")
                .param("hash", hash)
                .query((row, n) -> {
                    Position position = Position.valueOf(row.getString("position"));
                    SignedIn.Missing missing = row.getLong("code_until") > 0
                            ? SignedIn.Missing.OWN_PASSWORD
                            : !row.getBoolean("factor") && factorRule.asksFor(position)
                                    ? SignedIn.Missing.SECOND_FACTOR
                                    : SignedIn.Missing.NOTHING;
                    return new Known(
                            new SignedIn(
                                    new PersonId(row.getString("id")), row.getString("name"), position, hash, missing),
                            row.getLong("until"),
                            asOf);
                })
                .optional();
    }

    /** The sign-ins of one person, newest first. */
    public List<SignIn> of(PersonId person) {
        return database.read()
                .sql(
                        """
                    SELECT token_hash, began, expires, browser FROM session
                    WHERE person = :person AND expires > :now ORDER BY began DESC""")
                .param("person", person.value())
                .param("now", clock.millis())
                .query((row, n) -> new SignIn(
                        row.getString(1),
                        Instant.ofEpochMilli(row.getLong(2)),
                        Instant.ofEpochMilli(row.getLong(3)),
                        row.getString(4)))
                .list();
    }

    public void end(String token) {
        endNamed(Ids.hash(token));
    }

    private void endNamed(String session) {
        database.append(sql -> sql.sql("DELETE FROM session WHERE token_hash = :hash")
                .param("hash", session)
                .update());
        ended.incrementAndGet();
    }

    /** Ends one of a person's own sign-ins. @return false if it is none of theirs */
    public boolean end(PersonId person, String session) {
        boolean theirs = of(person).stream().anyMatch(one -> one.id().equals(session));
        if (theirs) {
            endNamed(session);
        }
        return theirs;
    }

    /** Signs a person out everywhere. */
    public void endAll(PersonId person) {
        endAllBut(person, "");
    }

    /** Signs a person out everywhere but where they are just now. */
    public void endAllBut(PersonId person, String session) {
        database.append(sql -> endAllBut(sql, person, session));
        ended.incrementAndGet();
    }

    private static int endAllBut(JdbcClient sql, PersonId person, String session) {
        return sql.sql("DELETE FROM session WHERE person = :person AND token_hash <> :but")
                .param("person", person.value())
                .param("but", session)
                .update();
    }
}
