package juricast.server.merits;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.PUPIL;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.identity.ClassId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.limits.Limits;
import juricast.core.merits.SeenBy;
import juricast.core.reading.Matter;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.Position;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.classes.Reading;
import juricast.server.data.Database;
import juricast.server.editing.Edited;
import juricast.server.editing.Editions;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import juricast.server.rules.Settings;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Merits over weeks: of a class with who never gets any, of a pupil, of oneself; and what they are usually given for. */
@RestController
@RequestMapping("/api")
class MeritsPagesController {
    private final Editions editions;
    private static final int MOST_REASONS = 12;

    private final Database database;
    private final MeritReasons reasons;
    private final Classes classes;
    private final Reading reading;
    private final People people;
    private final Settings settings;
    private final Clock clock;

    MeritsPagesController(
            Editions editions,
            Database database,
            MeritReasons reasons,
            Classes classes,
            Reading reading,
            People people,
            Settings settings,
            Clock clock) {
        this.editions = editions;
        this.database = database;
        this.reasons = reasons;
        this.classes = classes;
        this.reading = reading;
        this.people = people;
        this.settings = settings;
        this.clock = clock;
    }

    /**
     * @param weeks how many weeks are looked back
     * @param pupils all of the class, those with fewest first
     * @param never the names of those with none in that time
     */
    record ClassMerits(String ofClass, String title, int weeks, List<PupilMerits> pupils, List<String> never) {}

    /** @param byWeek how many in each week, oldest first */
    record PupilMerits(String person, String name, int count, List<Integer> byWeek) {}

    /** Merits of a class, and who never gets any. */
    @GetMapping("/classes/{id}/merits")
    @Noted("merits of the class")
    @For({TEACHER, LEAD})
    ClassMerits ofClass(
            @PathVariable String id,
            @RequestParam(defaultValue = "6") int weeks,
            @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = reading.ofClass(caller, Matter.MERITS, id);
        int back = Math.max(1, Math.min(52, weeks));
        Instant now = clock.instant();
        Map<String, int[]> counts = new HashMap<>();
        database.read()
                .sql("SELECT person, at FROM merit WHERE class = :class AND at > :from")
                .param("class", found.id().value())
                .param("from", now.minus(Duration.ofDays(7L * back)).toEpochMilli())
                .query(row -> {
                    long ago = Duration.between(Instant.ofEpochMilli(row.getLong(2)), now)
                                    .toDays()
                            / 7;
                    int week = (int) Math.max(0, Math.min(back - 1L, back - 1 - ago));
                    counts.computeIfAbsent(row.getString(1), any -> new int[back])[week]++;
                });
        List<PupilMerits> pupils = classes.members(found.id(), now).stream()
                .filter(one -> one.role() == Role.PUPIL || one.role() == Role.CLASS_MONITOR)
                .map(one -> pupil(one, counts.getOrDefault(one.person().value(), new int[back])))
                .sorted(Comparator.comparingInt(PupilMerits::count).thenComparing(PupilMerits::name))
                .toList();
        return new ClassMerits(
                found.id().value(),
                found.title(),
                back,
                pupils,
                pupils.stream()
                        .filter(one -> one.count == 0)
                        .map(PupilMerits::name)
                        .toList());
    }

    private static PupilMerits pupil(Member one, int[] weeks) {
        List<Integer> byWeek = Arrays.stream(weeks).boxed().toList();
        return new PupilMerits(
                one.person().value(),
                one.name(),
                byWeek.stream().mapToInt(Integer::intValue).sum(),
                byWeek);
    }

    /** One that was given. @param by who gave it */
    record GivenMerit(String lesson, String title, Instant at, String reason, String by) {}

    /** Merits of one pupil. */
    @GetMapping("/pupils/{person}/merits")
    @Noted("merits of the pupil")
    @For({TEACHER, LEAD})
    List<GivenMerit> ofPupil(@PathVariable String person, @AuthenticationPrincipal SignedIn caller) {
        People.Person pupil = people.find(new PersonId(person))
                .filter(one -> one.position() == Position.PUPIL)
                .orElseThrow(() -> Problem.notThere("This pupil"));
        Set<ClassId> theirs = classesOf(pupil.id());
        Map<ClassId, String> readable = reading.ofPupil(caller, Matter.MERITS, pupil.id(), pupil.name(), theirs);
        theirs.retainAll(readable.keySet());
        return given(pupil.id(), theirs);
    }

    /** One's own, of classes whose rules let pupils see them. */
    @GetMapping("/my-merits")
    @For({PUPIL, TEACHER, LEAD})
    List<GivenMerit> mine(@AuthenticationPrincipal SignedIn caller) {
        Set<ClassId> seen = classesOf(caller.person()).stream()
                .filter(one -> SeenBy.of(settings.ofClass(one), clock.instant()).isSeenByPupil())
                .collect(Collectors.toSet());
        return given(caller.person(), seen);
    }

    private Set<ClassId> classesOf(PersonId person) {
        return classes.of(person, clock.instant()).stream()
                .map(Classes.SchoolClass::id)
                .collect(Collectors.toSet());
    }

    private List<GivenMerit> given(PersonId person, Set<ClassId> of) {
        return of.isEmpty()
                ? List.of()
                : database.read()
                        .sql(
                                """
                            SELECT lesson, class.title, at, reason, by FROM merit JOIN class ON class.id = merit.class
                            WHERE person = :person AND class IN (:classes) ORDER BY at DESC LIMIT 200""")
                        .param("person", person.value())
                        .param("classes", of.stream().map(ClassId::value).toList())
                        .query((row, n) -> new GivenMerit(
                                row.getString(1),
                                row.getString(2),
                                Instant.ofEpochMilli(row.getLong(3)),
                                row.getString(4),
                                people.nameOf(new PersonId(row.getString(5)))))
                        .list();
    }

    record Reasons(List<String> reasons) {}

    record ReasonsRequest(@Nullable List<String> reasons) {}

    /** What merits are given for. */
    @GetMapping("/merit-reasons")
    @For(
            value = {TEACHER, LEAD},
            shows = Matter.CHARTER)
    @Edited
    Reasons reasons() {
        return new Reasons(reasons.all());
    }

    /** Writes what merits are given for. */
    @PutMapping("/merit-reasons")
    @For(LEAD)
    @Edited
    Reasons writeReasons(@RequestBody ReasonsRequest wanted) {
        editions.mustBe(reasons());
        var plain = new ArrayList<String>();
        for (String one : wanted.reasons == null ? List.<String>of() : wanted.reasons) {
            if (one != null && !one.isBlank() && !plain.contains(one.strip())) {
                plain.add(one.strip());
            }
        }
        if (plain.isEmpty()
                || plain.size() > MOST_REASONS
                || plain.stream().anyMatch(one -> one.length() > Limits.TITLE)) {
            throw Problem.refused(
                    "merit-reasons",
                    "These reasons cannot be kept so",
                    "Nothing was changed.",
                    "Give from one to %d reasons of up to %d characters.".formatted(MOST_REASONS, Limits.TITLE));
        }
        reasons.write(plain);
        return reasons();
    }
}
