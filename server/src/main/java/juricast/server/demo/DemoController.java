package juricast.server.demo;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import juricast.core.identity.PersonId;
import juricast.server.access.Cookies;
import juricast.server.access.For;
import juricast.server.access.Position;
import juricast.server.access.Sessions;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import org.apache.commons.csv.CSVRecord;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.web.bind.annotation.*;

/** Lets one be anybody, in the demo only. */
@RestController
@RequestMapping("/api/demo")
class DemoController {
    private final People people;
    private final Sessions sessions;
    private final boolean demo;

    DemoController(People people, Sessions sessions, @Value("${juricast.demo}") boolean demo) {
        this.people = people;
        this.sessions = sessions;
        this.demo = demo;
    }

    /** Somebody to sign in as, with a line on what there is to see. */
    record DemoPerson(String id, String name, Position position, String about) {}

    /** Everybody with an account, those with something to see first; outside the demo, nothing. */
    @GetMapping("/people")
    @For(anyone = true)
    List<DemoPerson> people() {
        if (!demo) {
            return List.of();
        }
        Map<String, String> about = new HashMap<>();
        for (CSVRecord row : DemoFile.read("staff.csv")) {
            about.put(row.get("name"), row.get("about"));
        }
        return Stream.of(Position.values())
                .flatMap(position -> people.inPosition(position).stream())
                .filter(person -> !person.signIn().isEmpty())
                .map(person -> new DemoPerson(
                        person.id().value(),
                        person.name(),
                        person.position(),
                        person.year() == 0 ? about.getOrDefault(person.name(), "") : "year " + person.year()))
                .sorted(Comparator.comparing(DemoPerson::position)
                        .thenComparing(one -> one.about().isEmpty()))
                .toList();
    }

    /** Signs in as somebody without a password. 404 outside the demo. */
    @PostMapping("/session/{person}")
    @For(anyone = true)
    void signIn(@PathVariable String person, HttpServletRequest request, HttpServletResponse response) {
        if (!demo) {
            throw Problem.notThere("The demo");
        }
        People.Person found = people.find(new PersonId(person)).orElseThrow(() -> Problem.notThere("This person"));
        Cookies.session(request).ifPresent(sessions::end);
        Cookies.setSession(request, response, sessions.begin(found.id()));
    }
}
