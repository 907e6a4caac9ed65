package juricast.server.people;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.PUPIL;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import juricast.core.identity.PersonId;
import juricast.server.access.For;
import juricast.server.access.Position;
import juricast.server.access.Sessions;
import juricast.server.data.Database;
import juricast.server.data.Ids;
import juricast.server.problems.Problem;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.web.bind.annotation.*;

/** Everybody of the school and their accounts, for the safeguarding lead. */
@RestController
@RequestMapping("/api/people")
class PeopleController {
    private final People people;
    private final Database database;
    private final PasswordEncoder passwords;
    private final Sessions sessions;

    PeopleController(People people, Database database, PasswordEncoder passwords, Sessions sessions) {
        this.people = people;
        this.database = database;
        this.passwords = passwords;
        this.sessions = sessions;
    }

    /** @param signIn empty where there is no account; a pupil then joins by link and word */
    record PersonLine(String id, String name, Position position, int year, String signIn) {}

    record NewPerson(String name, Position position, int year, String signIn, String password) {}

    record AccountRequest(String signIn, String password) {}

    @GetMapping
    @For(LEAD)
    List<PersonLine> list() {
        return Stream.of(Position.values())
                .flatMap(position -> people.inPosition(position).stream())
                .map(one -> new PersonLine(one.id().value(), one.name(), one.position(), one.year(), one.signIn()))
                .sorted(Comparator.comparing(PersonLine::position))
                .toList();
    }

    /** Adds somebody with an account. 409 if the name to sign in with is taken. */
    @PostMapping
    @For(LEAD)
    List<PersonLine> add(@RequestBody NewPerson wanted) {
        var wrong = new ArrayList<Problem.Wrong>();
        AccountFields.checkText(wrong, "name", wanted.name, "Give the name");
        AccountFields.checkText(wrong, "signIn", wanted.signIn, "Choose a name to sign in with");
        AccountFields.checkPassword(wrong, wanted.password);
        if (wanted.position == null || wanted.position == PUPIL && (wanted.year < 1 || wanted.year > 13)) {
            wrong.add(new Problem.Wrong("year", "A pupil has a year group, 1 to 13"));
        }
        AccountFields.refuse(wrong);
        var person = new People.Person(
                new PersonId(Ids.next()),
                wanted.name.strip(),
                wanted.position,
                "",
                wanted.position == PUPIL ? wanted.year : 0,
                signIn(wanted.signIn));
        String hash = passwords.encode(wanted.password);
        refuseTaken(people.addIfFree(person, hash), person.signIn());
        return list();
    }

    /** Gives an account, or a new name and password; whoever is signed in with the old one is signed out. */
    @PutMapping("/{person}/account")
    @For(LEAD)
    List<PersonLine> account(@PathVariable String person, @RequestBody AccountRequest wanted) {
        var id = new PersonId(person);
        people.find(id).orElseThrow(() -> Problem.notThere("This person"));
        var wrong = new ArrayList<Problem.Wrong>();
        AccountFields.checkText(wrong, "signIn", wanted.signIn, "Choose a name to sign in with");
        AccountFields.checkPassword(wrong, wanted.password);
        AccountFields.refuse(wrong);
        String hash = passwords.encode(wanted.password);
        refuseTaken(people.setAccountIfFree(id, signIn(wanted.signIn), hash), signIn(wanted.signIn));
        sessions.endAll(id);
        return list();
    }

    private static String signIn(String typed) {
        return typed.strip().toLowerCase(Locale.ROOT);
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
