package juricast.server.people;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Locale;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.server.access.Cookies;
import juricast.server.access.For;
import juricast.server.access.Position;
import juricast.server.access.Sessions;
import juricast.server.access.SignedIn;
import juricast.server.access.TryLimit;
import juricast.server.data.Database;
import juricast.server.data.Ids;
import juricast.server.data.School;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.bind.annotation.*;

/** The first start, signing in and out, and who one is. */
@RestController
@RequestMapping("/api")
class SignInController {

    private final People people;
    private final Sessions sessions;
    private final School school;
    private final Database database;
    private final PasswordEncoder passwords;
    private final Clock clock;
    private final boolean demo;
    private final TryLimit limit;
    private final String nobodysHash;

    SignInController(
            People people,
            Sessions sessions,
            School school,
            Database database,
            PasswordEncoder passwords,
            Clock clock,
            @Value("${juricast.demo}") boolean demo) {
        this.people = people;
        this.sessions = sessions;
        this.school = school;
        this.database = database;
        this.passwords = passwords;
        this.clock = clock;
        this.demo = demo;
        this.limit = new TryLimit(8, Duration.ofMinutes(5), clock);
        this.nobodysHash = passwords.encode(Ids.next());
    }

    /** Where one stands: is there a school, who is signed in, what time is it there. */
    record Standing(boolean founded, boolean demo, String school, String zone, Instant now, @Nullable Me me) {}

    /** The person who is signed in. */
    record Me(String id, String name, Position position) {}

    /** Name and password. */
    record SignIn(String name, String password) {}

    /** The school and its first safeguarding lead. */
    record FirstStart(String school, String zone, String name, String signIn, String password) {}

    /** Also hands out the CSRF cookie that every change needs. */
    @GetMapping("/standing")
    @For(anyone = true)
    Standing standing(@AuthenticationPrincipal @Nullable SignedIn caller, CsrfToken csrf) {
        csrf.getToken();
        Optional<School.Identity> founded = school.identity();
        return new Standing(
                founded.isPresent(),
                demo,
                founded.map(School.Identity::name).orElse(""),
                school.zone().getId(),
                clock.instant(),
                caller == null ? null : new Me(caller.person().value(), caller.name(), caller.position()));
    }

    /** Makes the school and its first account. 409 if there is one. */
    @PostMapping("/first-start")
    @For(anyone = true)
    Standing firstStart(
            @RequestBody FirstStart wanted, HttpServletRequest request, HttpServletResponse response, CsrfToken csrf) {
        var wrong = new ArrayList<Problem.Wrong>();
        AccountFields.checkText(wrong, "school", wanted.school, "Give the school's name");
        AccountFields.checkText(wrong, "name", wanted.name, "Give your name");
        AccountFields.checkText(wrong, "signIn", wanted.signIn, "Choose a name to sign in with");
        AccountFields.checkPassword(wrong, wanted.password);
        try {
            java.time.ZoneId.of(wanted.zone == null ? "" : wanted.zone);
        } catch (DateTimeException unknown) {
            wrong.add(new Problem.Wrong("zone", "There is no time zone “" + wanted.zone + "”"));
        }
        AccountFields.refuse(wrong);
        if (!school.found(wanted.school.strip(), wanted.zone)) {
            throw Problem.refused(
                    "founded-before",
                    "This school has its first account already",
                    "Nothing was changed.",
                    "Sign in, or ask the safeguarding lead for an account.");
        }
        var lead = new People.Person(
                new PersonId(Ids.next()),
                wanted.name.strip(),
                Position.LEAD,
                "",
                0,
                wanted.signIn.strip().toLowerCase(Locale.ROOT));
        database.write(sql -> {
            People.add(sql, lead, passwords.encode(wanted.password));
            return lead;
        });
        return signedIn(lead, request, response, csrf);
    }

    /** 401 if name and password do not fit, whichever it is. */
    @PostMapping("/session")
    @For(anyone = true)
    Standing signIn(
            @RequestBody SignIn wanted, HttpServletRequest request, HttpServletResponse response, CsrfToken csrf) {
        String name = wanted.name == null ? "" : wanted.name.strip().toLowerCase(Locale.ROOT);
        String password = wanted.password == null ? "" : wanted.password;
        String key = name + " from " + request.getRemoteAddr();
        if (limit.isReached(key)) {
            throw Problem.tooMany("Too many tries", "Wait five minutes, then try again, or ask for a new password.");
        }
        Optional<People.Account> account = people.account(name);
        // As much work for a name that does not exist, so that the time tells nobody who has an account.
        boolean fits = AccountFields.fits(password)
                && passwords.matches(
                        password, account.map(People.Account::passwordHash).orElse(nobodysHash));
        if (account.isEmpty() || !fits) {
            limit.failed(key);
            throw Problem.refused(
                    "does-not-fit",
                    "Name and password do not fit together",
                    "You are not signed in.",
                    "Check both; capital letters count in the password.");
        }
        limit.succeeded(key);
        return signedIn(account.get().person(), request, response, csrf);
    }

    @DeleteMapping("/session")
    @For(anyone = true)
    void signOut(HttpServletRequest request, HttpServletResponse response) {
        Cookies.session(request).ifPresent(sessions::end);
        Cookies.clearSession(request, response);
    }

    private Standing signedIn(
            People.Person person, HttpServletRequest request, HttpServletResponse response, CsrfToken csrf) {
        sessions.signIn(person.id(), request, response);
        return standing(new SignedIn(person.id(), person.name(), person.position()), csrf);
    }
}
