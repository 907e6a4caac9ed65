package juricast.server.ladder;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.util.List;
import java.util.TreeMap;
import java.util.stream.Stream;
import juricast.core.identity.PersonId;
import juricast.core.ladder.Ladder;
import juricast.core.ladder.YearsOwn;
import juricast.core.reading.Matter;
import juricast.server.access.For;
import juricast.server.access.Position;
import juricast.server.access.SignedIn;
import juricast.server.editing.Edited;
import juricast.server.editing.Editions;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The school's ladder, written by the lead, refined by year, read by all who work here. */
@RestController
@RequestMapping("/api/ladder")
class LadderController {
    private final Editions editions;
    private final Ladders ladders;
    private final People people;
    private final Clock clock;

    LadderController(Editions editions, Ladders ladders, People people, Clock clock) {
        this.editions = editions;
        this.ladders = ladders;
        this.people = people;
        this.clock = clock;
    }

    /** @param years what each year has otherwise, with its heads; by the number of the year */
    record LadderPage(LadderJson.LadderBody ladder, List<YearLine> years, List<StaffLine> staff) {}

    record YearLine(int year, LadderJson.YearBody own, List<StaffLine> heads) {}

    record StaffLine(String id, String name) {}

    record HeadsRequest(List<String> people) {}

    /** The school's ladder, what years have otherwise, and their heads. */
    @GetMapping
    @For(
            value = {TEACHER, LEAD},
            shows = Matter.CHARTER)
    @Edited
    LadderPage page() {
        var heads = new TreeMap<>(ladders.heads());
        for (int year = 7; year <= 11; year++) {
            heads.putIfAbsent(year, List.of());
        }
        return new LadderPage(
                LadderJson.of(ladders.ofSchool()),
                heads.entrySet().stream()
                        .map(one -> new YearLine(
                                one.getKey(),
                                LadderJson.of(ladders.ofYear(one.getKey())),
                                one.getValue().stream().map(this::line).toList()))
                        .toList(),
                Stream.of(Position.LEAD, Position.TEACHER)
                        .flatMap(one -> people.inPosition(one).stream())
                        .map(one -> new StaffLine(one.id().value(), one.name()))
                        .toList());
    }

    private StaffLine line(PersonId person) {
        return new StaffLine(person.value(), people.nameOf(person));
    }

    /** Writes the school's ladder; the one before is ended, not overwritten. */
    @PutMapping
    @For(LEAD)
    @Edited
    LadderPage write(@RequestBody LadderJson.LadderBody wanted, @AuthenticationPrincipal SignedIn caller) {
        editions.mustBe(page());
        try {
            Ladder ladder = LadderJson.read(wanted);
            ladders.write(ladder, caller.person(), clock.instant());
        } catch (IllegalArgumentException wrong) {
            throw cannotBe(wrong);
        }
        return page();
    }

    /** Writes what a year has otherwise. */
    @PutMapping("/years/{year}")
    @For(LEAD)
    @Edited
    LadderPage writeYear(
            @PathVariable int year, @RequestBody LadderJson.YearBody wanted, @AuthenticationPrincipal SignedIn caller) {
        editions.mustBe(page());
        isYear(year);
        try {
            YearsOwn own = LadderJson.read(wanted);
            ladders.write(year, own, caller.person(), clock.instant());
        } catch (IllegalArgumentException wrong) {
            throw cannotBe(wrong);
        }
        return page();
    }

    /** Says who are the heads of a year. */
    @PutMapping("/years/{year}/heads")
    @For(LEAD)
    @Edited
    LadderPage writeHeads(@PathVariable int year, @RequestBody HeadsRequest wanted) {
        editions.mustBe(page());
        isYear(year);
        List<PersonId> heads =
                wanted.people.stream().distinct().map(PersonId::new).toList();
        heads.forEach(one -> people.find(one)
                .filter(found -> found.position() != Position.PUPIL)
                .orElseThrow(() -> Problem.notThere("This adult")));
        ladders.writeHeads(year, heads);
        return page();
    }

    private static void isYear(int year) {
        if (year < 1 || year > 13) {
            throw Problem.notThere("This year");
        }
    }

    private static Problem cannotBe(IllegalArgumentException wrong) {
        return Problem.notReadable(
                "This ladder cannot be", String.valueOf(wrong.getMessage()), "Change it, and save again.", List.of());
    }
}
