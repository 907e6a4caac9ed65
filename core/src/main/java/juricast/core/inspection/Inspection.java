package juricast.core.inspection;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.charter.SchoolRules;
import juricast.core.identity.ClassId;
import juricast.core.joining.JoinWord;
import juricast.core.timetable.SchoolCalendar;

/**
 * The weak spots of everything that is planned. Lessons of different days have nothing to do with each other, so each day is
 * inspected by itself and kept: a change re-inspects the days it touches and nothing else. Within a day lessons are swept in
 * order of time, and whether two classes share pupils is worked out once for the whole year.
 */
public final class Inspection {
    private static final Comparator<Finding> GRAVEST_FIRST =
            Comparator.comparing((Finding one) -> one.kind().severity()).thenComparing(Finding::kind);

    private final PlannedSchool school;
    private final SchoolRules rules;
    private final RulesOfDay rulesOfDay;
    private final SharedPupils shared;
    private final Map<LocalDate, Day> days;
    private final List<Finding> ofWords;
    private final Instant asOf;

    private Inspection(
            PlannedSchool school,
            SchoolRules rules,
            Instant asOf,
            RulesOfDay rulesOfDay,
            SharedPupils shared,
            List<Finding> ofWords,
            Map<LocalDate, Day> known) {
        this.school = school;
        this.rules = rules;
        this.rulesOfDay = rulesOfDay;
        this.shared = shared;
        this.asOf = asOf;
        this.ofWords = ofWords;
        days = new TreeMap<>();
        school.days().forEach((day, lessons) -> {
            Day before = known.get(day);
            days.put(day, before != null ? before : inspected(day, lessons));
        });
    }

    private Day inspected(LocalDate day, List<InspectedLesson> lessons) {
        return new Day(
                new DayInspection(school, shared, rulesOfDay, day, lessons).found(),
                lessons.stream()
                        .map(InspectedLesson::ofClass)
                        .filter(school.classes()::containsKey)
                        .collect(Collectors.toSet()));
    }

    /** What was found on a day. @param classes those that have a lesson on it */
    private record Day(List<Finding> findings, Set<ClassId> classes) {}

    /** Nothing is planned, so nothing is found. */
    public static final Inspection NOTHING = of(
            PlannedSchool.of(ZoneOffset.UTC, SchoolCalendar.NONE, List.of(), List.of(), List.of()),
            SchoolRules.EMPTY,
            Instant.EPOCH);

    /** Inspects everything. @param asOf when it is asked: the words and links of classes are judged by the rules of then */
    public static Inspection of(PlannedSchool school, SchoolRules rules, Instant asOf) {
        var rulesOfDay = new RulesOfDay(rules);
        List<Finding> ofWords = words(school, rulesOfDay, asOf);
        return new Inspection(school, rules, asOf, rulesOfDay, new SharedPupils(school.classes()), ofWords, Map.of());
    }

    /** The same after a change of the plan. Days with the very same lessons are not inspected again. */
    public Inspection after(PlannedSchool changed) {
        boolean sameClasses =
                changed.classes().equals(school.classes()) && changed.staff().equals(school.staff());
        if (!sameClasses || !changed.calendar().equals(school.calendar())) {
            return of(changed, rules, asOf);
        }
        var known = new HashMap<LocalDate, Day>();
        changed.days().forEach((day, lessons) -> {
            if (lessons.equals(school.days().get(day))) {
                known.put(day, days.get(day));
            }
        });
        return new Inspection(changed, rules, asOf, rulesOfDay, shared, ofWords, known);
    }

    /** The same plan, as it would be after some mends. */
    public Inspection after(List<Mend> mends) {
        return after(Mended.plan(school, mends));
    }

    public PlannedSchool school() {
        return school;
    }

    /** Everything found, the gravest first; among equals by day. */
    public List<Finding> findings() {
        return Stream.of(
                        ofWords.stream(),
                        withoutLessons().stream(),
                        days.values().stream().flatMap(day -> day.findings.stream()))
                .flatMap(found -> found)
                .sorted(GRAVEST_FIRST)
                .toList();
    }

    /** The same of lessons on some days only, in order of the days: a week is looked at more often than a year. */
    public List<Finding> findings(LocalDate first, int count) {
        return first.datesUntil(first.plusDays(count))
                .map(days::get)
                .filter(Objects::nonNull)
                .flatMap(day -> day.findings.stream())
                .toList();
    }

    private List<Finding> withoutLessons() {
        var planned = new HashSet<ClassId>();
        days.values().forEach(day -> planned.addAll(day.classes));
        return school.classes().values().stream()
                .filter(one -> !planned.contains(one.id()))
                .sorted(Comparator.comparing(InspectedClass::title))
                .map(one -> Finding.ofClass(FindingKind.NO_MORE_LESSONS, one))
                .toList();
    }

    /** Join words, when links are shown, who is kept apart: a matter of classes, not of lessons. */
    private static List<Finding> words(PlannedSchool school, RulesOfDay rules, Instant at) {
        List<InspectedClass> all = school.classes().values().stream()
                .sorted(Comparator.comparing(InspectedClass::title))
                .toList();
        List<JoinWord.Said> said = all.stream().map(one -> one.word().said()).toList();
        var found = new ArrayList<Finding>();
        for (int i = 0; i < all.size(); i++) {
            InspectedClass one = all.get(i);
            RulesOfDay.Values values = rules.of(one, at);
            if (one.word().bits() < values.wordBits()) {
                found.add(Finding.ofClass(FindingKind.WORD_TOO_WEAK, one)
                        .measured((int) one.word().bits(), values.wordBits())
                        .mendedBy(new Mend.NewWord(one.id())));
            }
            if (values.linkShown() < values.earlyForPupils()) {
                found.add(Finding.ofClass(FindingKind.LINK_HIDDEN_TOO_LONG, one)
                        .measured(values.linkShown(), values.earlyForPupils()));
            }
            one.apart()
                    .forEach(who -> found.add(Finding.ofClass(
                                    who.minutes() > 0 ? FindingKind.KEPT_APART_MET : FindingKind.KEPT_APART_PLANNED,
                                    one)
                            .about(who.people())
                            .measured(who.minutes(), 0)));
            for (int j = i + 1; j < all.size(); j++) {
                if (said.get(i).isNearerThan(values.wordLetters(), said.get(j))) {
                    found.add(Finding.ofClass(FindingKind.WORD_TOO_NEAR, one)
                            .near(all.get(j))
                            .measured(one.word().distanceTo(all.get(j).word()), values.wordLetters())
                            .mendedBy(new Mend.NewWord(one.id())));
                    break;
                }
            }
        }
        return found;
    }
}
