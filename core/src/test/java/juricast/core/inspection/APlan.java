package juricast.core.inspection;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.charter.Place;
import juricast.core.charter.SchoolRules;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.joining.JoinWord;
import juricast.core.rules.Fact;
import juricast.core.rules.Layer;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Setting;
import juricast.core.rules.Value;
import juricast.core.time.Span;
import juricast.core.timetable.SchoolCalendar;

/** A plan to inspect, in the words of the tests. All is well in it until a test says otherwise. Times are of Monday. */
final class APlan {
    static final LocalDate MONDAY = LocalDate.parse("2026-09-14");
    static final Instant NOW = Instant.parse("2026-09-13T12:00:00Z");
    private static final ZoneId ZONE = ZoneId.of("Atlantic/Faroe");
    private static final List<String> WORDS =
            List.of("amber-kelp-47", "jolly-walrus-82", "rusty-lantern-15", "topaz-fjord-63");

    private final Map<ClassId, InspectedClass> classes = new HashMap<>();
    private final List<InspectedLesson> lessons = new ArrayList<>();
    private final Map<Place, List<Setting>> written = new HashMap<>();
    private SchoolCalendar calendar = new SchoolCalendar(
            List.of(new SchoolCalendar.Days("Autumn", MONDAY.minusDays(14), MONDAY.plusDays(90))),
            List.of(new SchoolCalendar.Days("Gale week", MONDAY.plusDays(35), MONDAY.plusDays(39))),
            Set.of(DayOfWeek.MONDAY, DayOfWeek.TUESDAY, DayOfWeek.WEDNESDAY, DayOfWeek.THURSDAY, DayOfWeek.FRIDAY),
            LocalTime.of(8, 0),
            LocalTime.of(16, 0));

    /** A class with a pupil of its own besides the given ones, so that nobody is alone with one. */
    APlan aClass(String title, String adults, String... pupils) {
        var all = new ArrayList<>(List.of(title + " one", title + " two"));
        all.addAll(Arrays.asList(pupils));
        return aClassOf(title, adults, all.stream().map(PersonId::new).collect(Collectors.toSet()));
    }

    APlan aClassOf(String title, String adults, Set<PersonId> pupils) {
        var id = new ClassId(title);
        classes.put(
                id,
                new InspectedClass(
                        id,
                        title,
                        8,
                        people(adults),
                        pupils,
                        new JoinWord(WORDS.get(classes.size() % WORDS.size())),
                        classes.size()));
        return this;
    }

    /** Who is to stay apart in groups of a class, and was not, or would not be. */
    APlan notApart(String title, InspectedClass.KeptApart... who) {
        classes.computeIfPresent(new ClassId(title), (id, of) -> of.notApart(List.of(who)));
        return this;
    }

    /** Pupils of a class of whom nobody knows that they may be recorded. */
    APlan unrecorded(String title, String... pupils) {
        classes.computeIfPresent(
                new ClassId(title),
                (id, of) ->
                        of.unrecorded(Arrays.stream(pupils).map(PersonId::new).toList()));
        return this;
    }

    APlan withWord(String title, String word) {
        classes.computeIfPresent(
                new ClassId(title),
                (id, of) -> new InspectedClass(
                        id, of.title(), of.year(), of.adults(), of.pupils(), new JoinWord(word), of.link()));
        return this;
    }

    APlan withLinkOf(String title, String other) {
        int link = classes.get(new ClassId(other)).link();
        classes.computeIfPresent(
                new ClassId(title),
                (id, of) -> new InspectedClass(id, of.title(), of.year(), of.adults(), of.pupils(), of.word(), link));
        return this;
    }

    APlan lesson(String title, String from, String until, Fact... expected) {
        return lessonOn(MONDAY, title, from, until, List.of(), expected);
    }

    APlan lessonOn(
            LocalDate day,
            String title,
            String from,
            String until,
            List<InspectedLesson.Cover> covers,
            Fact... expected) {
        lessons.add(new InspectedLesson(
                new LessonId(title + " " + day + " " + from),
                new ClassId(title),
                new Span(at(day, from), at(day, until)),
                covers,
                Set.of(expected)));
        return this;
    }

    <V extends Value> APlan says(Rule<V> rule, Role role, V value) {
        written.computeIfAbsent(Place.SCHOOL, place -> new ArrayList<>())
                .add(Setting.of(
                        new RuleValue(rule, value),
                        role,
                        Layer.SCHOOL,
                        Setting.Force.USUAL,
                        new PersonId("maren"),
                        NOW.minusSeconds(86_400)));
        return this;
    }

    static InspectedLesson.Cover cover(String adult, String insteadOf, String until) {
        return new InspectedLesson.Cover(new PersonId(adult), Optional.of(new PersonId(insteadOf)), at(MONDAY, until));
    }

    static Instant at(LocalDate day, String clock) {
        return day.atTime(LocalTime.parse(clock)).atZone(ZONE).toInstant();
    }

    private static List<PersonId> people(String names) {
        return names.isEmpty()
                ? List.of()
                : Arrays.stream(names.split(", ")).map(PersonId::new).toList();
    }

    PlannedSchool school() {
        return PlannedSchool.of(
                ZONE, calendar, List.copyOf(classes.values()), people("orla, tam, ilse, pernel"), lessons);
    }

    SchoolRules rules() {
        return new SchoolRules(written, List.of(), Map.of());
    }

    Inspection inspected() {
        return Inspection.of(school(), rules(), NOW);
    }

    List<FindingKind> kinds() {
        return inspected().findings().stream().map(Finding::kind).toList();
    }

    Finding only(FindingKind kind) {
        List<Finding> all = inspected().findings().stream()
                .filter(one -> one.kind() == kind)
                .toList();
        if (all.size() != 1) {
            throw new AssertionError(
                    "One %s was expected, found %s".formatted(kind, inspected().findings()));
        }
        return all.get(0);
    }
}
