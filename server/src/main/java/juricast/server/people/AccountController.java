package juricast.server.people;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.PUPIL;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import juricast.server.access.AccessLog;
import juricast.server.access.For;
import juricast.server.access.Sessions;
import juricast.server.access.SignedIn;
import juricast.server.data.School;
import juricast.server.files.QrCode;
import juricast.server.problems.Problem;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.web.bind.annotation.*;

/** One's own account: password, second factor, and where one is signed in (need N7). */
@RestController
@RequestMapping("/api/account")
class AccountController {
    private final People people;
    private final Sessions sessions;
    private final SignInLimits limits;
    private final Factors factors;
    private final PasswordEncoder passwords;
    private final School school;
    private final AccessLog log;

    AccountController(
            People people,
            Sessions sessions,
            SignInLimits limits,
            Factors factors,
            PasswordEncoder passwords,
            School school,
            AccessLog log) {
        this.people = people;
        this.sessions = sessions;
        this.limits = limits;
        this.factors = factors;
        this.passwords = passwords;
        this.school = school;
        this.log = log;
    }

    /** @param hasPassword none in the demo for who was made without one */
    record AccountPage(
            String name,
            String signIn,
            boolean hasPassword,
            SignedIn.Missing missing,
            boolean factor,
            int recoveryCodes,
            List<SignInLine> signIns) {}

    /** @param here whether it is the one that asks */
    record SignInLine(String id, Instant began, Instant expires, String browser, boolean here) {}

    record PasswordRequest(String current, String password) {}

    /** @param picture of the address, as SVG, for a telephone's camera */
    record OfferedFactor(String secret, String address, String picture) {}

    record FactorRequest(String password, String code) {}

    record OwnPassword(String password) {}

    /** Shown this once. */
    record RecoveryCodes(List<String> codes) {}

    /** Your own account: how you sign in, the second factor, where you are signed in. */
    @GetMapping
    @For(
            value = {LEAD, TEACHER, PUPIL},
            unfinished = true)
    AccountPage page(@AuthenticationPrincipal SignedIn caller) {
        People.Person me = people.find(caller.person()).orElseThrow(() -> Problem.notThere("Your account"));
        return new AccountPage(
                me.name(),
                me.signIn(),
                people.account(me.signIn()).isPresent(),
                caller.missing(),
                factors.has(me.id()),
                factors.recoveryCodes(me.id()),
                sessions.of(me.id()).stream()
                        .map(one -> new SignInLine(
                                one.id(),
                                one.began(),
                                one.expires(),
                                one.browser(),
                                one.id().equals(caller.session())))
                        .toList());
    }

    /** Changes the password and signs out everywhere else. */
    @PutMapping("/password")
    @For(
            value = {LEAD, TEACHER, PUPIL},
            unfinished = true)
    void password(
            @RequestBody PasswordRequest wanted, @AuthenticationPrincipal SignedIn caller, HttpServletRequest request) {
        People.Person me = right(caller, wanted.current, request);
        var wrong = new ArrayList<Problem.Wrong>();
        AccountFields.checkPassword(
                wrong,
                "password",
                wanted.password,
                List.of(me.name(), me.signIn(), school.identity().orElseThrow().name()));
        if (wanted.password.equals(wanted.current)) {
            wrong.add(new Problem.Wrong("password", "This is the one you have now"));
        }
        AccountFields.refuse(wrong);
        people.setPassword(me.id(), passwords.encode(wanted.password));
        sessions.endAllBut(me.id(), caller.session());
        log.note(AccessLog.Kind.CHANGED_ACCOUNT, me.id(), me.id().value(), "own password", request);
    }

    /** A secret for a telephone; it counts once a code of it was given. */
    @PostMapping("/factor")
    @For(
            value = {LEAD, TEACHER, PUPIL},
            unfinished = true)
    OfferedFactor offer(@AuthenticationPrincipal SignedIn caller) {
        People.Person me = people.find(caller.person()).orElseThrow();
        byte[] secret = factors.offer(me.id());
        String address =
                SecondFactor.uri(secret, school.identity().orElseThrow().name(), me.signIn());
        return new OfferedFactor(SecondFactor.text(secret), address, QrCode.svg(address));
    }

    /** Turns the second factor on, once a code of it is right. */
    @PutMapping("/factor")
    @For(
            value = {LEAD, TEACHER, PUPIL},
            unfinished = true)
    RecoveryCodes confirm(
            @RequestBody FactorRequest wanted, @AuthenticationPrincipal SignedIn caller, HttpServletRequest request) {
        People.Person me = right(caller, wanted.password, request);
        List<String> codes = factors.confirm(me.id(), wanted.code)
                .orElseThrow(() -> Problem.refused(
                        "second-factor-wrong",
                        "This code is not right",
                        "Nothing was set up.",
                        "Give the six digits that the telephone shows now; its clock must be right."));
        log.note(AccessLog.Kind.CHANGED_ACCOUNT, me.id(), me.id().value(), "second factor set up", request);
        return new RecoveryCodes(codes);
    }

    /** Turns the second factor off. */
    @PostMapping("/factor/end")
    @For({LEAD, TEACHER, PUPIL})
    AccountPage endFactor(
            @RequestBody OwnPassword wanted, @AuthenticationPrincipal SignedIn caller, HttpServletRequest request) {
        People.Person me = right(caller, wanted.password, request);
        factors.end(me.id());
        log.note(AccessLog.Kind.CHANGED_ACCOUNT, me.id(), me.id().value(), "second factor ended", request);
        return page(caller);
    }

    /** Ends one of your sign-ins. */
    @DeleteMapping("/sign-ins/{session}")
    @For(
            value = {LEAD, TEACHER, PUPIL},
            unfinished = true)
    AccountPage endSignIn(@PathVariable String session, @AuthenticationPrincipal SignedIn caller) {
        if (!sessions.end(caller.person(), session)) {
            throw Problem.notThere("This sign-in");
        }
        return page(caller);
    }

    /** Whoever found a screen unlocked must not take the account over. */
    private People.Person right(SignedIn caller, String password, HttpServletRequest request) {
        People.Person me = people.find(caller.person()).orElseThrow();
        var account = people.account(me.signIn());
        SignInLimits.Try tried = limits.take(me.signIn(), account, request);
        boolean fits = AccountFields.fits(password)
                && account.isPresent()
                && passwords.matches(password, account.get().passwordHash());
        if (!fits) {
            throw Problem.notReadable(
                    "This is not your password",
                    "Nothing was changed.",
                    "Give the password, or the code, with which you signed in.",
                    List.of(new Problem.Wrong("current", "Not your password")));
        }
        tried.wasRight();
        return me;
    }
}
