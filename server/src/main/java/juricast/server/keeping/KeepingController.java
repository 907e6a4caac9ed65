package juricast.server.keeping;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
import juricast.core.keeping.Departure;
import juricast.core.keeping.Drift;
import juricast.core.keeping.Kept;
import juricast.core.reading.Matter;
import juricast.core.rules.Rule;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.classes.Period;
import juricast.server.classes.Reading;
import juricast.server.data.School;
import juricast.server.people.People;
import juricast.server.words.RuleWords;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** Where lessons drifted from their plan, and how often: the school for its safeguarding lead, the own classes for a teacher. */
@RestController
@RequestMapping("/api/keeping")
class KeepingController {
    private static final int USUAL_DAYS = 28;
    private static final int LESSONS_SHOWN = 40;

    private final Keepings keepings;
    private final Reading reading;
    private final People people;
    private final School school;
    private final Clock clock;

    KeepingController(Keepings keepings, Reading reading, People people, School school, Clock clock) {
        this.keepings = keepings;
        this.reading = reading;
        this.people = people;
        this.school = school;
        this.clock = clock;
    }

    /** @param habits rules that are set otherwise so often that the plan does not fit @param lessons the latest that drifted */
    record KeepingPage(
            String from,
            String until,
            KeptSum all,
            List<KeptPart> habits,
            List<KeptPart> rules,
            List<KeptPart> adults,
            List<KeptPart> classes,
            List<KeptLesson> lessons,
            int driftedInAll) {}

    /** See {@link Drift.Sum}. */
    record KeptSum(int lessons, int departed, int times, long minutes, long aloneMinutes, int lessonsAlone) {
        static KeptSum of(Drift.Sum sum) {
            return new KeptSum(
                    sum.lessons(),
                    sum.departed(),
                    sum.times(),
                    sum.length().toMinutes(),
                    sum.alone().toMinutes(),
                    sum.lessonsAlone());
        }
    }

    /** @param id what lessons are asked for with */
    record KeptPart(String id, String name, KeptSum sum) {}

    record KeptLesson(String lesson, String title, Instant starts, long aloneMinutes, List<KeptDeparture> departures) {}

    /** @param of whom it was about; nobody for everybody */
    record KeptDeparture(
            Departure.Kind kind, String title, @Nullable String value, @Nullable String of, String by, long minutes) {}

    /** How lessons kept to their plan. @param rule and @param ofClass show the lessons of one rule or class only */
    @GetMapping
    @For({TEACHER, LEAD})
    KeepingPage keeping(
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String until,
            @RequestParam(defaultValue = "") String rule,
            @RequestParam(defaultValue = "") String ofClass,
            @AuthenticationPrincipal SignedIn caller) {
        Instant now = clock.instant();
        var period = Period.of(from, until, school.zone(), now, USUAL_DAYS);
        Map<ClassId, String> titles = reading.titles(caller, Matter.KEEPING);
        List<Kept> lessons = keepings.of(period.span()).stream()
                .filter(one -> titles.containsKey(one.ofClass()))
                .toList();
        Drift drift = Drift.of(lessons);
        List<KeptPart> rules = drift.rules().entrySet().stream()
                .map(one -> new KeptPart(one.getKey().key(), one.getKey().title(), KeptSum.of(one.getValue())))
                .toList();
        List<Kept> drifted = lessons.stream()
                .filter(one -> !one.departures().isEmpty() || !one.alone().isZero())
                .filter(one -> ofClass.isEmpty() || one.ofClass().value().equals(ofClass))
                .filter(one -> rule.isEmpty()
                        || one.departures().stream()
                                .anyMatch(each -> each.rule().key().equals(rule)))
                .sorted(Comparator.comparing(Kept::at).reversed())
                .toList();
        Map<PersonId, String> names = people.names();
        return new KeepingPage(
                period.from().toString(),
                period.until().toString(),
                KeptSum.of(drift.all()),
                drift.rules().entrySet().stream()
                        .filter(one -> one.getValue().isHabit())
                        .map(one ->
                                new KeptPart(one.getKey().key(), one.getKey().title(), KeptSum.of(one.getValue())))
                        .toList(),
                rules,
                drift.adults().entrySet().stream()
                        .map(one -> new KeptPart(
                                one.getKey().value(),
                                names.getOrDefault(one.getKey(), one.getKey().value()),
                                KeptSum.of(one.getValue())))
                        .toList(),
                drift.classes().entrySet().stream()
                        .map(one -> new KeptPart(
                                one.getKey().value(), titles.get(one.getKey()), KeptSum.of(one.getValue())))
                        .toList(),
                drifted.stream()
                        .limit(LESSONS_SHOWN)
                        .map(one -> new KeptLesson(
                                one.lesson().value(),
                                titles.get(one.ofClass()),
                                one.at(),
                                one.alone().toMinutes(),
                                one.departures().stream()
                                        .filter(each -> rule.isEmpty()
                                                || each.rule().key().equals(rule))
                                        .map(each -> departure(each, names))
                                        .toList()))
                        .toList(),
                drifted.size());
    }

    private static KeptDeparture departure(Departure one, Map<PersonId, String> names) {
        return new KeptDeparture(
                one.kind(),
                one.rule().title(),
                one.value().map(text -> value(one.rule(), text)).orElse(null),
                one.of()
                        .map(person -> names.getOrDefault(person, person.value()))
                        .orElse(null),
                names.getOrDefault(one.by(), one.by().value()),
                Math.max(1, Math.round(one.time().length().toSeconds() / 60.0)));
    }

    /** In words; as it was written where the rule does not have that value any more. */
    private static String value(Rule<?> rule, String text) {
        return rule.type()
                .parse(text)
                .map(value -> RuleWords.value(rule, value))
                .orElse(text);
    }
}
