package juricast.server.people;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.PUPIL;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import juricast.core.identity.PersonId;
import juricast.core.reading.Matter;
import juricast.server.access.AccessLog;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.Position;
import juricast.server.access.Sessions;
import juricast.server.access.SignedIn;
import juricast.server.data.Codes;
import juricast.server.data.Ids;
import juricast.server.data.School;
import juricast.server.data.WrittenDay;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.web.bind.annotation.*;

/** Everybody of the school and their accounts, for the safeguarding lead (need N7). */
@RestController
@RequestMapping("/api/people")
class PeopleController {
    /** A code lies about on paper; it does not count for ever. */
    private static final Duration CODE_COUNTS = Duration.ofDays(7);

    private static final int YEARS = 13;

    private final People people;
    private final PasswordEncoder passwords;
    private final Sessions sessions;
    private final Factors factors;
    private final School school;
    private final AccessLog log;
    private final Clock clock;

    PeopleController(
            People people,
            PasswordEncoder passwords,
            Sessions sessions,
            Factors factors,
            School school,
            AccessLog log,
            Clock clock) {
        this.people = people;
        this.passwords = passwords;
        this.sessions = sessions;
        this.factors = factors;
        this.school = school;
        this.log = log;
        this.clock = clock;
    }

    /**
     * @param signIn empty where there is no account; a pupil then joins by link and word
     * @param ends the first day on which the account counts no more
     * @param ended whether that day has come
     * @param codeUntil until when a code that was given waits to be used
     */
    record PersonLine(
            String id,
            String name,
            Position position,
            int year,
            String signIn,
            @Nullable String ends,
            boolean ended,
            @Nullable Instant codeUntil,
            boolean factor) {}

    record NewPerson(String name, Position position, int year, String signIn) {}

    record AccountRequest(String signIn) {}

    record PersonRequest(String name, Position position, int year) {}

    /** @param ends the first day on which the account counts no more, as 2027-07-01; null for none */
    record EndRequest(@Nullable String ends) {}

    /** A code that counts once; shown this once. */
    record GivenCode(String person, String name, String signIn, String code, Instant until) {}

    /** Everybody with an account. */
    @GetMapping
    @For(value = LEAD, shows = Matter.ACCOUNTS)
    @Noted("everybody's accounts")
    List<PersonLine> list() {
        Map<PersonId, People.Account> accounts = people.accounts();
        Instant now = clock.instant();
        return Stream.of(Position.values())
                .flatMap(position -> people.inPosition(position).stream())
                .map(one -> line(one, Optional.ofNullable(accounts.get(one.id())), now))
                .sorted(Comparator.comparing(PersonLine::position))
                .toList();
    }

    private PersonLine line(People.Person one, Optional<People.Account> account, Instant now) {
        Optional<Instant> ends = account.flatMap(People.Account::ends);
        return new PersonLine(
                one.id().value(),
                one.name(),
                one.position(),
                one.year(),
                one.signIn(),
                ends.map(end -> school.date(end).toString()).orElse(null),
                ends.isPresent() && !now.isBefore(ends.get()),
                account.flatMap(People.Account::codeUntil).orElse(null),
                factors.has(one.id()));
    }

    /** Adds somebody with an account, reached by a code. 409 if the name to sign in with is taken. */
    @PostMapping
    @For(LEAD)
    GivenCode add(@RequestBody NewPerson wanted, @AuthenticationPrincipal SignedIn caller, HttpServletRequest request) {
        var wrong = new ArrayList<Problem.Wrong>();
        String name = AccountFields.name(wrong, "name", wanted.name, "Give the name");
        String signIn = AccountFields.signIn(wrong, wanted.signIn);
        int year = year(wrong, wanted.position, wanted.year);
        AccountFields.refuse(wrong);
        var person = new People.Person(new PersonId(Ids.next()), name, wanted.position, "", year, signIn);
        String code = Codes.next();
        Instant until = clock.instant().plus(CODE_COUNTS);
        refuseTaken(people.addIfFree(person, passwords.encode(code), until), signIn);
        log.note(AccessLog.Kind.CHANGED_ACCOUNT, caller.person(), person.id().value(), "account made", request);
        return new GivenCode(person.id().value(), name, signIn, code, until);
    }

    private static int year(List<Problem.Wrong> wrong, Position position, int year) {
        if (position == PUPIL && (year < 1 || year > YEARS)) {
            wrong.add(new Problem.Wrong("year", "A pupil has a year group, 1 to " + YEARS));
        }
        return position == PUPIL ? year : 0;
    }

    /** Corrects a name, a position or a year group. */
    @PutMapping("/{person}")
    @For(LEAD)
    List<PersonLine> correct(
            @PathVariable String person,
            @RequestBody PersonRequest wanted,
            @AuthenticationPrincipal SignedIn caller,
            HttpServletRequest request) {
        People.Person known = known(person);
        var wrong = new ArrayList<Problem.Wrong>();
        String name = AccountFields.name(wrong, "name", wanted.name, "Give the name");
        int year = year(wrong, wanted.position, wanted.year);
        AccountFields.refuse(wrong);
        if (wanted.position != LEAD) {
            refuseLastLead(known);
        }
        people.correct(known.id(), name, wanted.position, year);
        log.note(AccessLog.Kind.CHANGED_ACCOUNT, caller.person(), person, "name, position or year", request);
        return list();
    }

    /** Gives an account, or another way into it, by a code that counts once; whoever is signed in is signed out. */
    @PutMapping("/{person}/account")
    @For(LEAD)
    GivenCode account(
            @PathVariable String person,
            @RequestBody AccountRequest wanted,
            @AuthenticationPrincipal SignedIn caller,
            HttpServletRequest request) {
        People.Person known = known(person);
        var wrong = new ArrayList<Problem.Wrong>();
        String signIn = AccountFields.signIn(wrong, wanted.signIn);
        AccountFields.refuse(wrong);
        String code = Codes.next();
        Instant until = clock.instant().plus(CODE_COUNTS);
        refuseTaken(people.setAccountIfFree(known.id(), signIn, passwords.encode(code), until), signIn);
        sessions.endAll(known.id());
        log.note(AccessLog.Kind.CHANGED_ACCOUNT, caller.person(), person, "code given", request);
        return new GivenCode(person, known.name(), signIn, code, until);
    }

    /** Ends an account from a day on, at once if that day has come; or lets it count again. */
    @PutMapping("/{person}/end")
    @For(LEAD)
    List<PersonLine> end(
            @PathVariable String person,
            @RequestBody EndRequest wanted,
            @AuthenticationPrincipal SignedIn caller,
            HttpServletRequest request) {
        People.Person known = known(person);
        Optional<Instant> ends = Optional.ofNullable(wanted.ends).map(this::beginningOf);
        if (ends.isPresent()) {
            refuseLastLead(known);
        }
        people.setEnd(known.id(), ends);
        log.note(
                AccessLog.Kind.CHANGED_ACCOUNT,
                caller.person(),
                person,
                ends.isPresent() ? "account ends" : "account counts again",
                request);
        return list();
    }

    private Instant beginningOf(String day) {
        try {
            return WrittenDay.parse(day).atStartOfDay(school.zone()).toInstant();
        } catch (DateTimeException unreadable) {
            throw Problem.notReadable(
                    "This is no day",
                    "Nothing was changed.",
                    "Give a day such as 2027-07-01.",
                    List.of(new Problem.Wrong("ends", "A day such as 2027-07-01")));
        }
    }

    /** For who has lost the telephone: the password alone counts again, until another one is set up. */
    @PostMapping("/{person}/factor/end")
    @For(LEAD)
    List<PersonLine> endFactor(
            @PathVariable String person, @AuthenticationPrincipal SignedIn caller, HttpServletRequest request) {
        factors.end(known(person).id());
        log.note(AccessLog.Kind.CHANGED_ACCOUNT, caller.person(), person, "second factor ended", request);
        return list();
    }

    private People.Person known(String person) {
        return people.find(new PersonId(person)).orElseThrow(() -> Problem.notThere("This person"));
    }

    /** A school without a lead could be mended by nobody. */
    private void refuseLastLead(People.Person known) {
        boolean another = people.accounts().values().stream()
                .anyMatch(one -> one.person().position() == LEAD
                        && !one.person().id().equals(known.id())
                        && one.ends().isEmpty());
        if (known.position() == LEAD && !another) {
            throw Problem.refused(
                    "last-lead",
                    "%s is the only safeguarding lead".formatted(known.name()),
                    "Nothing was changed. A school is never without one.",
                    "Give another adult that position first.");
        }
    }

    private static void refuseTaken(boolean free, String signIn) {
        if (!free) {
            throw Problem.refused(
                    "sign-in-taken",
                    "Somebody signs in as “%s” already".formatted(signIn),
                    "Nothing was stored.",
                    "Choose another name to sign in with.");
        }
    }
}
