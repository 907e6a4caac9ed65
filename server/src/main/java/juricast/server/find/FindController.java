package juricast.server.find;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.find.Act;
import juricast.core.find.Findable;
import juricast.core.find.Findable.Kind;
import juricast.core.find.Findable.When;
import juricast.core.find.Finder;
import juricast.core.find.Finder.Found;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.reading.About;
import juricast.core.reading.Matter;
import juricast.core.reading.Reader;
import juricast.core.rules.Catalogue;
import juricast.core.time.Span;
import juricast.server.access.For;
import juricast.server.access.Position;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.classes.Reading;
import juricast.server.data.School;
import juricast.server.people.People;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Finds people, classes, lessons, rules and what can be done with them by a typed line. */
@RestController
@RequestMapping("/api/find")
class FindController {
    private static final int SHOWN = 9;
    private static final int LONGEST = 200;
    private static final Duration BACK = Duration.ofDays(7);
    private static final Duration AHEAD = Duration.ofDays(14);

    private final Classes classes;
    private final Reading reading;
    private final People people;
    private final School school;
    private final Clock clock;

    FindController(Classes classes, Reading reading, People people, School school, Clock clock) {
        this.classes = classes;
        this.reading = reading;
        this.people = people;
        this.school = school;
        this.clock = clock;
    }

    /**
     * @param detail when a lesson is, or which class somebody is in
     * @param rule the key of the rule that a question is about
     * @param lesson the lesson in which a question is answered: one that runs, else the nearest
     * @param ofClass its class, where it has one
     * @param starts when that lesson begins
     */
    record FoundLine(
            Act act,
            Kind kind,
            String id,
            String name,
            String detail,
            @Nullable String rule,
            @Nullable String ruleTitle,
            @Nullable String lesson,
            @Nullable String ofClass,
            @Nullable Instant starts,
            @Nullable Instant ends) {}

    /** What the caller may mean by a typed line, the likeliest first. */
    @GetMapping
    @For({TEACHER, LEAD})
    List<FoundLine> find(@RequestParam(defaultValue = "") String typed, @AuthenticationPrincipal SignedIn caller) {
        String line = typed.length() > LONGEST ? typed.substring(0, LONGEST) : typed;
        Known known = known(caller);
        return Finder.of(line, known.all, known.reader, SHOWN).stream()
                .map(one -> line(one, known))
                .toList();
    }

    /** @param near of each class the lesson that is nearest @param classesOf of each pupil, those that were read */
    private record Known(
            Reader reader,
            List<Findable> all,
            Map<LessonId, Classes.Planned> lessons,
            Map<ClassId, Classes.Planned> near,
            Map<PersonId, List<Classes.SchoolClass>> classesOf) {}

    private Known known(SignedIn caller) {
        Instant now = clock.instant();
        var all = new ArrayList<Findable>();
        var lessons = new LinkedHashMap<LessonId, Classes.Planned>();
        var near = new HashMap<ClassId, Classes.Planned>();
        Set<LessonId> covers = classes.coveredBy(caller.person(), new Span(now.minus(BACK), now.plus(AHEAD))).stream()
                .map(Classes.Planned::id)
                .collect(Collectors.toSet());
        Reader reader = reading.reader(caller, covers);
        for (Classes.Planned one : classes.lessons(new Span(now.minus(BACK), now.plus(AHEAD)))) {
            lessons.put(one.id(), one);
            near.merge(
                    one.ofClass(),
                    one,
                    (a, b) -> distance(a.time(), now).compareTo(distance(b.time(), now)) <= 0 ? a : b);
            all.add(new Findable(
                    Kind.LESSON,
                    one.id().value(),
                    one.title(),
                    school.dayAndYear(one.time().from()),
                    when(one.time(), now),
                    distance(one.time(), now),
                    Matter.TIMETABLE,
                    About.ofLesson(one.id(), one.ofClass())));
        }
        var classesOf = new LinkedHashMap<PersonId, List<Classes.SchoolClass>>();
        var names = new HashMap<PersonId, String>();
        for (Classes.SchoolClass one : reading.classes(caller, Matter.CLASS_LIST)) {
            all.add(new Findable(
                    Kind.CLASS,
                    one.id().value(),
                    one.title(),
                    one.subject(),
                    When.ANY,
                    Duration.ZERO,
                    Matter.CLASS,
                    About.ofClass(one.id())));
            for (Member member : classes.members(one.id(), now)) {
                if (member.role() == Role.PUPIL || member.role() == Role.CLASS_MONITOR) {
                    classesOf
                            .computeIfAbsent(member.person(), id -> new ArrayList<>())
                            .add(one);
                    names.put(member.person(), member.name());
                }
            }
        }
        classesOf.forEach((person, in) -> all.add(new Findable(
                Kind.PUPIL,
                person.value(),
                names.get(person),
                "",
                When.ANY,
                Duration.ZERO,
                Matter.ATTENDANCE,
                About.person(person, in.stream().map(Classes.SchoolClass::id).collect(Collectors.toSet())))));
        for (Position position : List.of(TEACHER, LEAD)) {
            people.inPosition(position)
                    .forEach(one -> all.add(new Findable(
                            Kind.ADULT,
                            one.id().value(),
                            one.name(),
                            "",
                            When.ANY,
                            Duration.ZERO,
                            Matter.ACCOUNTS,
                            About.SCHOOL)));
        }
        Catalogue.ALL.forEach(rule -> all.add(new Findable(
                Kind.RULE,
                rule.key(),
                rule.title(),
                rule.meaning() + " " + rule.key().replace('.', ' ') + " "
                        + rule.area().alsoCalled(),
                When.ANY,
                Duration.ZERO,
                Matter.CHARTER,
                About.SCHOOL)));
        return new Known(reader, all, lessons, near, classesOf);
    }

    private FoundLine line(Found found, Known known) {
        Findable what = found.what();
        Optional<ClassId> ofClass =
                switch (what.kind()) {
                    case CLASS -> Optional.of(new ClassId(what.id()));
                    case LESSON -> Optional.of(
                            known.lessons.get(new LessonId(what.id())).ofClass());
                    case PUPIL -> known.classesOf.get(new PersonId(what.id())).stream()
                            .map(Classes.SchoolClass::id)
                            .filter(known.near::containsKey)
                            .min(java.util.Comparator.comparing(
                                    id -> distance(known.near.get(id).time(), clock.instant())));
                    case ADULT, RULE -> Optional.empty();
                };
        String lesson = what.kind() == Kind.LESSON
                ? what.id()
                : ofClass.map(known.near::get).map(one -> one.id().value()).orElse(null);
        return new FoundLine(
                found.act(),
                what.kind(),
                what.id(),
                what.name(),
                detail(what, known),
                found.rule().map(Findable::id).orElse(null),
                found.rule().map(Findable::name).orElse(null),
                lesson,
                ofClass.map(ClassId::value).orElse(null),
                lesson == null
                        ? null
                        : known.lessons.get(new LessonId(lesson)).time().from(),
                lesson == null
                        ? null
                        : known.lessons.get(new LessonId(lesson)).time().until());
    }

    private String detail(Findable what, Known known) {
        return switch (what.kind()) {
            case LESSON -> {
                Span time = known.lessons.get(new LessonId(what.id())).time();
                yield school.day(time.from()) + ", " + school.clockTime(time.from());
            }
            case PUPIL -> known.classesOf.get(new PersonId(what.id())).stream()
                    .map(Classes.SchoolClass::title)
                    .limit(3)
                    .collect(Collectors.joining(", "));
            case CLASS, ADULT, RULE -> "";
        };
    }

    private static When when(Span time, Instant now) {
        return now.isBefore(time.from()) ? When.TO_COME : now.isBefore(time.until()) ? When.NOW : When.PAST;
    }

    /** How long until it begins or since it ended; nothing while it lasts. */
    private static Duration distance(Span time, Instant now) {
        return now.isBefore(time.from())
                ? Duration.between(now, time.from())
                : now.isBefore(time.until()) ? Duration.ZERO : Duration.between(time.until(), now);
    }
}
