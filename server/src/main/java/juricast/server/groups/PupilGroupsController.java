package juricast.server.groups;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.groups.WhoWasWhere;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.reading.Matter;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.Position;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.classes.Reading;
import juricast.server.grouping.PastGroups;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** In which groups a pupil was, when, and with whom. */
@RestController
class PupilGroupsController {
    private static final Duration SHOWN = Duration.ofDays(60);

    private final Reading reading;
    private final Classes classes;
    private final People people;
    private final PastGroups past;
    private final Clock clock;

    PupilGroupsController(Reading reading, Classes classes, People people, PastGroups past, Clock clock) {
        this.reading = reading;
        this.classes = classes;
        this.people = people;
        this.past = past;
        this.clock = clock;
    }

    /** One stay. @param with by name, whoever was in the group meanwhile */
    record PupilStay(String lesson, String title, String group, Instant from, Instant until, List<String> with) {}

    /** The last weeks, latest first; a teacher sees the own classes only. */
    @GetMapping("/api/pupils/{person}/groups")
    @Noted("in which groups the pupil was")
    @For({TEACHER, LEAD})
    List<PupilStay> of(@PathVariable String person, @AuthenticationPrincipal SignedIn caller) {
        People.Person pupil = people.find(new PersonId(person))
                .filter(one -> one.position() == Position.PUPIL)
                .orElseThrow(() -> Problem.notThere("This pupil"));
        Instant now = clock.instant();
        Set<ClassId> theirs = classes.of(pupil.id(), now).stream()
                .map(Classes.SchoolClass::id)
                .collect(Collectors.toSet());
        Map<ClassId, String> readable = reading.ofPupil(caller, Matter.GROUPING, pupil.id(), pupil.name(), theirs);
        Map<LessonId, List<WhoWasWhere.Stay>> lessons = new HashMap<>();
        return past.of(pupil.id(), readable.keySet(), now.minus(SHOWN)).stream()
                .map(one -> stay(one, lessons.computeIfAbsent(one.lesson(), past::ofLesson)))
                .toList();
    }

    private PupilStay stay(PastGroups.Stay one, List<WhoWasWhere.Stay> all) {
        WhoWasWhere.Stay stay = one.stay();
        return new PupilStay(
                one.lesson().value(),
                one.title(),
                stay.name(),
                stay.time().from(),
                stay.time().until(),
                all.stream()
                        .filter(other -> other.place().equals(stay.place())
                                && !other.person().equals(stay.person())
                                && other.time().within(stay.time()).isPresent())
                        .map(other -> people.nameOf(other.person()))
                        .distinct()
                        .sorted()
                        .toList());
    }
}
