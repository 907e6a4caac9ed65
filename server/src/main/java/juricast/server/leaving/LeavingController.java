package juricast.server.leaving;

import static juricast.server.access.Position.LEAD;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.util.List;
import juricast.core.identity.PersonId;
import juricast.core.reading.Matter;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.Position;
import juricast.server.access.SignedIn;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import org.springframework.http.HttpHeaders;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** All about one pupil for the family, and the erasure of what no rule keeps (need N4). */
@RestController
@RequestMapping("/api/people/{person}")
class LeavingController {
    private final People people;
    private final PersonFile file;
    private final Leaving leaving;
    private final Clock clock;

    LeavingController(People people, PersonFile file, Leaving leaving, Clock clock) {
        this.people = people;
        this.file = file;
        this.leaving = leaving;
        this.clock = clock;
    }

    /** All that is kept about one pupil, for the family, as one archive. */
    @GetMapping(path = "/file", produces = "application/zip")
    @Noted(value = "everything about a pupil", takenAway = true)
    @For(value = LEAD, shows = Matter.KEPT_AND_FORGOTTEN)
    void file(@PathVariable String person, HttpServletResponse response) throws IOException {
        People.Person pupil = pupil(person);
        response.setContentType("application/zip");
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
        response.setHeader(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"all-about-one-pupil.zip\"");
        file.write(response.getOutputStream(), pupil, clock.instant());
    }

    /** @param kept what rules keep on, and until when at the latest */
    record LeavingPage(String name, List<LeftLine> goes, List<StaysLine> kept) {}

    record LeftLine(String what, int count) {}

    record StaysLine(String what, String rule, int days, int count) {}

    /** What would be erased if this pupil left, and what rules keep on. */
    @GetMapping("/leaving")
    @Noted("what is kept about a pupil")
    @For(value = LEAD, shows = Matter.KEPT_AND_FORGOTTEN)
    LeavingPage look(@PathVariable String person) {
        People.Person pupil = pupil(person);
        return page(pupil, leaving.goes(pupil.id()));
    }

    /** @param name of the pupil, typed once more */
    record LeavingRequest(String name) {}

    /** Erases it. What rules keep goes when its time has come. */
    @PostMapping("/leaving")
    @For(LEAD)
    LeavingPage erase(
            @PathVariable String person, @RequestBody LeavingRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        People.Person pupil = pupil(person);
        if (!wanted.name.strip().equals(pupil.name())) {
            throw Problem.notReadable(
                    "That is not the name of this pupil",
                    "Nothing was erased.",
                    "Type “%s” as it stands there.".formatted(pupil.name()),
                    List.of(new Problem.Wrong("name", "the name of the pupil")));
        }
        return page(pupil, leaving.erase(pupil.id(), caller.person(), clock.instant()));
    }

    private LeavingPage page(People.Person pupil, List<Leaving.Counted> goes) {
        return new LeavingPage(
                pupil.name(),
                goes.stream()
                        .filter(one -> one.count() > 0)
                        .map(one -> new LeftLine(one.what(), one.count()))
                        .toList(),
                leaving.stays(pupil.id(), clock.instant()).stream()
                        .map(one -> new StaysLine(one.what(), one.rule(), one.days(), one.count()))
                        .toList());
    }

    private People.Person pupil(String person) {
        return people.find(new PersonId(person))
                .filter(one -> one.position() == Position.PUPIL)
                .orElseThrow(() -> Problem.notThere("This pupil"));
    }
}
