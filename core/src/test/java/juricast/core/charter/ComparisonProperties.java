package juricast.core.charter;

import static juricast.core.rules.AnySetting.NOW;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.Role;
import juricast.core.rules.AnySetting;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Fact;
import juricast.core.rules.Rule;
import juricast.core.rules.Setting;
import juricast.core.rules.Situation;
import juricast.core.rules.Value;
import juricast.core.time.Span;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

class ComparisonProperties {
    private static final Timetable SCHOOL = timetable();

    /** The long way: every lesson resolved twice, in every planned situation and every half minute. */
    private static Set<String> everyLessonTwice(SchoolRules before, SchoolRules after, Rule<?> rule) {
        var found = new HashSet<String>();
        Map<ClassId, PlannedClass> classes = new HashMap<>();
        SCHOOL.classes().forEach(one -> classes.put(one.id(), one));
        for (PlannedLesson lesson : SCHOOL.lessons()) {
            PlannedClass of = classes.get(lesson.ofClass());
            for (Set<Fact> some : subsets(lesson.expected())) {
                Situation situation = Situation.ORDINARY
                        .ofYear(of.year())
                        .withPresent(of.pupils())
                        .at(lesson.time());
                for (Fact fact : some) {
                    situation = situation.with(fact, !situation.is(fact));
                }
                for (Instant at = NOW; at.isBefore(lesson.time().until()); at = at.plusSeconds(30)) {
                    if (at.isBefore(lesson.time().from())) {
                        continue;
                    }
                    Value was = before.of(of, lesson).in(situation).value(rule, Role.PUPIL, at);
                    Value is = after.of(of, lesson).in(situation).value(rule, Role.PUPIL, at);
                    if (!was.equals(is)) {
                        found.add(lesson.id() + " " + was.text() + " " + is.text());
                    }
                }
            }
        }
        return found;
    }

    @Property(tries = 150)
    void a_comparison_agrees_with_resolving_everything_twice(
            @ForAll("rules") SchoolRules before, @ForAll("rules") SchoolRules after) {
        Comparison comparison = Comparison.of(before, after, SCHOOL, NOW);
        var found = new HashSet<String>();
        comparison.shifts().stream()
                .filter(shift -> shift.rule() == Catalogue.SPEAK)
                .forEach(shift -> shift.lessons()
                        .forEach(one -> found.add(one.where().id() + " "
                                + shift.before().text() + " " + shift.after().text())));

        assertThat(found).isEqualTo(everyLessonTwice(before, after, Catalogue.SPEAK));
    }

    @Property(tries = 150)
    void each_case_it_points_to_shows_the_change(
            @ForAll("rules") SchoolRules before, @ForAll("rules") SchoolRules after) {
        for (Comparison.Shift shift : Comparison.of(before, after, SCHOOL, NOW).shifts()) {
            shift.classes().forEach(one -> {
                assertThat(before.of(one.where()).in(one.situation()).value(shift.rule(), shift.role(), one.at()))
                        .isEqualTo(shift.before());
                assertThat(after.of(one.where()).in(one.situation()).value(shift.rule(), shift.role(), one.at()))
                        .isEqualTo(shift.after());
            });
            shift.lessons().forEach(one -> {
                PlannedClass of = SCHOOL.classes().stream()
                        .filter(each -> each.id().equals(one.where().ofClass()))
                        .findFirst()
                        .orElseThrow();
                assertThat(before.of(of, one.where()).in(one.situation()).value(shift.rule(), shift.role(), one.at()))
                        .isEqualTo(shift.before());
                assertThat(after.of(of, one.where()).in(one.situation()).value(shift.rule(), shift.role(), one.at()))
                        .isEqualTo(shift.after());
            });
        }
    }

    @Property(tries = 100)
    void a_set_of_rules_compared_with_itself_shows_nothing(@ForAll("rules") SchoolRules rules) {
        assertThat(Comparison.of(rules, rules, SCHOOL, NOW).isEmpty()).isTrue();
    }

    @Property(tries = 100)
    void findings_that_appear_and_go_are_those_of_two_whole_analyses(
            @ForAll("rules") SchoolRules before, @ForAll("rules") SchoolRules after) {
        var was = new HashSet<>(Analysis.of(before, SCHOOL, NOW));
        var is = new HashSet<>(Analysis.of(after, SCHOOL, NOW));

        Analysis.Change change = Analysis.between(before, after, SCHOOL, NOW);

        assertThat(change.appearing()).allMatch(is::contains).noneMatch(was::contains);
        assertThat(change.vanishing()).allMatch(was::contains).noneMatch(is::contains);
        is.removeAll(was);
        assertThat(change.appearing()).hasSameSizeAs(is);
    }

    @Property(tries = 100)
    void an_analysis_never_finds_fault_with_a_setting_that_decides_somewhere(@ForAll("rules") SchoolRules rules) {
        List<Finding> findings = Analysis.of(rules, SCHOOL, NOW);

        for (PlannedClass of : SCHOOL.classes()) {
            Situation base = Situation.ORDINARY.ofYear(of.year()).withPresent(of.pupils());
            Setting deciding = rules.of(of)
                    .in(base)
                    .ruling(Catalogue.SPEAK, Role.PUPIL, NOW)
                    .decider()
                    .setting()
                    .orElse(null);
            if (deciding != null) {
                Place place = rules.placeOf(deciding, of);
                assertThat(findings)
                        .filteredOn(one -> one.causes().get(0).place().equals(place)
                                && one.causes().get(0).setting().equals(deciding))
                        .extracting(Finding::kind)
                        .doesNotContain(Finding.Kind.NEVER_COUNTS, Finding.Kind.IMPOSSIBLE_CONDITION);
            }
        }
    }

    @Provide
    Arbitrary<SchoolRules> rules() {
        Arbitrary<Place> places = Arbitraries.of(
                Place.SCHOOL,
                Place.ofYear(7),
                Place.of(new ClassId("a")),
                Place.of(new LessonId("a1")),
                Place.ofSet("guest-talk"));
        var written = Combinators.combine(places, AnySetting.one(Catalogue.SPEAK))
                .as((place, setting) -> Map.entry(place, setting))
                .filter(one -> one.getValue().layer() != juricast.core.rules.Layer.PERSON)
                .map(one -> Map.entry(
                        one.getKey(),
                        one.getValue().inBundle("", one.getKey().kind().layer())))
                .list()
                .ofMaxSize(10);
        return Combinators.combine(written, Arbitraries.of(true, false)).as((all, used) -> {
            Map<Place, List<Setting>> by = new HashMap<>();
            all.forEach(one ->
                    by.computeIfAbsent(one.getKey(), place -> new ArrayList<>()).add(one.getValue()));
            List<SetUse> uses = used
                    ? List.of(new SetUse(new ClassId("b"), "guest-talk", NOW.minusSeconds(60), NOW.plusSeconds(90)))
                    : List.of();
            return new SchoolRules(by, uses, Map.of("guest-talk", "Guest talk"));
        });
    }

    private static Set<Set<Fact>> subsets(Set<Fact> all) {
        List<Fact> facts = List.copyOf(all);
        var subsets = new LinkedHashSet<Set<Fact>>();
        IntStream.range(0, 1 << facts.size()).forEach(bits -> {
            var some = EnumSet.noneOf(Fact.class);
            IntStream.range(0, facts.size()).filter(n -> (bits >> n & 1) == 1).forEach(n -> some.add(facts.get(n)));
            subsets.add(some);
        });
        return subsets;
    }

    private static Timetable timetable() {
        var classes = List.of(
                new PlannedClass(new ClassId("a"), 7, 10),
                new PlannedClass(new ClassId("b"), 9, 20),
                new PlannedClass(new ClassId("c"), 7, 10));
        var lessons = new ArrayList<PlannedLesson>();
        for (PlannedClass of : classes) {
            lessons.add(lesson(of, 1, -12, Set.of()));
            lessons.add(lesson(of, 2, 1, Set.of(Fact.VISITOR_PRESENT, Fact.RECORDING)));
            lessons.add(lesson(of, 3, 2, Set.of(Fact.VISITOR_PRESENT)));
        }
        return new Timetable(classes, lessons);
    }

    private static PlannedLesson lesson(PlannedClass of, int number, int minutes, Set<Fact> expected) {
        Instant from = NOW.plus(Duration.ofMinutes(minutes));
        return new PlannedLesson(
                new LessonId(of.id().value() + number),
                of.id(),
                new Span(from, from.plus(Duration.ofMinutes(30))),
                expected);
    }
}
