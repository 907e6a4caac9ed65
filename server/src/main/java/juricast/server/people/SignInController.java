package juricast.server.people;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.limits.Limits;
import juricast.server.access.AccessLog;
import juricast.server.access.Cookies;
import juricast.server.access.For;
import juricast.server.access.Position;
import juricast.server.access.Sessions;
import juricast.server.access.SignedIn;
import juricast.server.access.SignedOut;
import juricast.server.data.Database;
import juricast.server.data.Ids;
import juricast.server.data.School;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.ApplicationEventPublisher;
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
    private final SetupWord setupWord;
    private final SignInLimits limits;
    private final Factors factors;
    private final AccessLog log;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final boolean demo;

    SignInController(
            People people,
            Sessions sessions,
            School school,
            Database database,
            PasswordEncoder passwords,
            SetupWord setupWord,
            SignInLimits limits,
            Factors factors,
            AccessLog log,
            ApplicationEventPublisher events,
            Clock clock,
            @Value("${juricast.demo}") boolean demo) {
        this.people = people;
        this.sessions = sessions;
        this.school = school;
        this.database = database;
        this.passwords = passwords;
        this.setupWord = setupWord;
        this.limits = limits;
        this.factors = factors;
        this.log = log;
        this.events = events;
        this.clock = clock;
        this.demo = demo;
    }

    /** Where one stands: is there a school, who is signed in, what time is it there. */
    record Standing(boolean founded, boolean demo, String school, String zone, Instant now, @Nullable Me me) {}

    /** The person who is signed in. */
    record Me(String id, String name, Position position, SignedIn.Missing missing) {}

    /** Name and password. @param code of the second factor, or a recovery code, once it is asked for */
    record SignIn(String name, String password, @Nullable String code) {}

    /** The school and its first safeguarding lead. @param setupWord what was printed where the program was started */
    record FirstStart(String school, String zone, String name, String signIn, String password, String setupWord) {}

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
                caller == null
                        ? null
                        : new Me(caller.person().value(), caller.name(), caller.position(), caller.missing()));
    }

    /** Makes the school and its first account, both or neither. 409 if there is one. */
    @PostMapping("/first-start")
    @For(anyone = true)
    Standing firstStart(
            @RequestBody FirstStart wanted, HttpServletRequest request, HttpServletResponse response, CsrfToken csrf) {
        limits.takeSetup(request);
        var wrong = new ArrayList<Problem.Wrong>();
        String schoolName = AccountFields.name(wrong, "school", wanted.school, "Give the school's name");
        String name = AccountFields.name(wrong, "name", wanted.name, "Give your name");
        String signIn = AccountFields.signIn(wrong, wanted.signIn);
        AccountFields.checkPassword(wrong, "password", wanted.password, List.of(schoolName, name, signIn));
        if (!isZone(wanted.zone)) {
            wrong.add(new Problem.Wrong("zone", "There is no such time zone"));
        }
        if (!setupWord.is(wanted.setupWord)) {
            wrong.add(new Problem.Wrong("setupWord", "It stands where the program was started, as “setup word”"));
        }
        AccountFields.refuse(wrong);
        var lead = new People.Person(new PersonId(Ids.next()), name, Position.LEAD, "", 0, signIn);
        String hash = passwords.encode(wanted.password);
        boolean isFirst = database.write(sql -> {
            boolean founded = School.found(sql, schoolName, wanted.zone, false);
            if (founded) {
                People.add(sql, lead, hash);
            }
            return founded;
        });
        if (!isFirst) {
            throw Problem.refused(
                    "founded-before",
                    "This school has its first account already",
                    "Nothing was changed.",
                    "Sign in, or ask the safeguarding lead for an account.");
        }
        return signIn(lead, request, response, csrf);
    }

    private static boolean isZone(String zone) {
        try {
            return zone.length() <= Limits.NAME && !ZoneId.of(zone).getId().isEmpty();
        } catch (DateTimeException unknown) {
            return false;
        }
    }

    /** 409 if name and password do not fit, whichever it is, or if a code of the second factor is wanted besides. */
    @PostMapping("/session")
    @For(anyone = true)
    Standing signIn(
            @RequestBody SignIn wanted, HttpServletRequest request, HttpServletResponse response, CsrfToken csrf) {
        boolean isReadable = wanted.name.length() <= 4 * Limits.NAME && AccountFields.fits(wanted.password);
        String name = isReadable ? AccountFields.signIn(wanted.name) : "";
        Optional<People.Account> account = people.account(name);
        SignInLimits.Try tried = limits.take(name, account, request);
        // As much work for a name that does not exist, so that the time tells nobody who has an account.
        boolean fits = passwords.matches(
                        isReadable ? wanted.password : "",
                        account.map(People.Account::passwordHash).orElse(limits.nobodysHash()))
                && isReadable;
        if (account.isEmpty() || !fits || account.get().hasEndedAt(clock.instant())) {
            log.failed(account.map(one -> one.person().id()), name, request);
            throw Problem.refused(
                    "does-not-fit",
                    "Name and password do not fit together",
                    "You are not signed in.",
                    "Check both; capital letters count in the password.");
        }
        People.Person person = account.get().person();
        factors.check(person.id(), wanted.code, () -> log.failed(Optional.of(person.id()), name, request));
        tried.wasRight(Cookies.deviceOrNew(request, response));
        return signIn(person, request, response, csrf);
    }

    /** Leaves whatever this person is in on this device, and makes the device another one: the next to use it is not the last. */
    @DeleteMapping("/session")
    @For(anyone = true)
    void signOut(
            @AuthenticationPrincipal @Nullable SignedIn caller,
            HttpServletRequest request,
            HttpServletResponse response) {
        if (caller != null) {
            Cookies.device(request).ifPresent(device -> events.publishEvent(new SignedOut(caller.person(), device)));
            log.note(AccessLog.Kind.SIGNED_OUT, caller.person(), request);
        }
        Cookies.session(request).ifPresent(sessions::end);
        Cookies.clearSession(request, response);
        Cookies.renewDevice(request, response);
    }

    private Standing signIn(
            People.Person person, HttpServletRequest request, HttpServletResponse response, CsrfToken csrf) {
        SignedIn caller = sessions.signIn(person.id(), request, response);
        log.note(AccessLog.Kind.SIGNED_IN, person.id(), request);
        return standing(caller, csrf);
    }
}
