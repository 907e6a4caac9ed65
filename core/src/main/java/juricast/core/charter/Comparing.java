package juricast.core.charter;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.charter.Cases.Case;
import juricast.core.charter.Comparison.InClass;
import juricast.core.charter.Comparison.InLesson;
import juricast.core.charter.Comparison.Overruling;
import juricast.core.charter.Comparison.Shift;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.rules.Fact;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Ruling;
import juricast.core.rules.Ruling.Effect;
import juricast.core.rules.Setting;
import juricast.core.rules.Situation;
import juricast.core.rules.Value;

/** Works out a {@link Comparison}, cell by cell. */
final class Comparing {
    private final SchoolRules before;
    private final SchoolRules after;
    private final Instant from;
    private final Timetable school;
    private final Map<ClassId, List<PlannedLesson>> lessons = new HashMap<>();
    private final Map<ClassId, List<Setting>> ownBefore = new HashMap<>();
    private final Map<ClassId, List<Setting>> ownAfter = new HashMap<>();
    private final Map<Key, Turn> turns = new LinkedHashMap<>();
    private final Map<Held, Set<ClassId>> overruled = new LinkedHashMap<>();
    private final Map<Held, Set<ClassId>> freed = new LinkedHashMap<>();

    Comparing(SchoolRules before, SchoolRules after, Timetable school, Instant from) {
        this.before = before;
        this.after = after;
        this.school = school;
        this.from = from;
        for (PlannedLesson lesson : school.lessons()) {
            if (lesson.time().until().isAfter(from)) {
                lessons.computeIfAbsent(lesson.ofClass(), id -> new ArrayList<>())
                        .add(lesson);
            }
        }
        for (PlannedClass one : school.classes()) {
            ownBefore.put(one.id(), before.own(one));
            ownAfter.put(one.id(), after.own(one));
        }
    }

    private record Key(Cell cell, Value before, Value after) {}

    private record Turn(List<InClass> classes, List<InLesson> lessons) {}

    private record Held(Place place, Setting setting, Setting by) {}

    /** A value in one case that is not what it was. */
    private record Difference(Case at, Value before, Value after) {}

    /** What decides about a cell in a class: classes with equal ones need be judged once. */
    private record Signature(int year, int pupils, List<Setting> before, List<Setting> after) {}

    /** What decides about a cell in a lesson without settings of its own. */
    private record Pattern(Set<Fact> expected, int piece, Duration length) {}

    /** A signature judged: what differs in classes, and in lessons by their pattern. */
    private record Judged(
            Signature of,
            List<Instant> edges,
            List<Difference> differences,
            List<Turned> held,
            Map<Pattern, List<Difference>> lessons) {}

    /** A setting that is overruled now and was not, or the other way round. */
    private record Turned(Setting setting, Setting by, boolean isOverruled) {}

    Comparison result() {
        for (Cell cell : changedCells()) {
            new OfCell(cell).compare();
        }
        var shifts = new ArrayList<Shift>();
        turns.forEach((key, turn) -> shifts.add(new Shift(
                key.cell.rule(),
                key.cell.role(),
                key.before,
                key.after,
                List.copyOf(turn.classes),
                List.copyOf(turn.lessons))));
        return new Comparison(shifts, overrulings(overruled), overrulings(freed));
    }

    private static List<Overruling> overrulings(Map<Held, Set<ClassId>> held) {
        return held.entrySet().stream()
                .map(one -> new Overruling(
                        one.getKey().place, one.getKey().setting, one.getKey().by, Set.copyOf(one.getValue())))
                .toList();
    }

    private Set<Cell> changedCells() {
        var cells = new LinkedHashSet<Cell>();
        var places = new LinkedHashSet<Place>(before.written().keySet());
        places.addAll(after.written().keySet());
        for (Place place : places) {
            if (place.kind() == Place.Kind.SCHOOL
                    || place.kind() == Place.Kind.YEAR
                    || place.kind() == Place.Kind.LESSON) {
                differing(before.at(place), after.at(place)).forEach(cells::add);
            }
        }
        // What sets say comes to classes with their uses.
        school.classes().forEach(one -> differing(ownBefore.get(one.id()), ownAfter.get(one.id()))
                .forEach(cells::add));
        return cells;
    }

    private static Stream<Cell> differing(List<Setting> a, List<Setting> b) {
        if (a.equals(b)) {
            return Stream.empty();
        }
        var first = new HashSet<>(a);
        var second = new HashSet<>(b);
        return Stream.concat(
                        a.stream().filter(one -> !second.contains(one)),
                        b.stream().filter(one -> !first.contains(one)))
                .map(Cell::of);
    }

    /** The comparison of one rule for one role. */
    private final class OfCell {
        private final Cell cell;
        private final List<Setting> charterBefore;
        private final List<Setting> charterAfter;
        private final Map<Signature, Judged> judged = new HashMap<>();
        private final boolean numbersMatter;
        private final Set<LessonId> lessonsSay;

        OfCell(Cell cell) {
            this.cell = cell;
            this.charterBefore = cell.of(before.at(Place.SCHOOL));
            this.charterAfter = cell.of(after.at(Place.SCHOOL));
            this.numbersMatter = Stream.of(before, after)
                    .flatMap(rules -> rules.written().values().stream())
                    .flatMap(List::stream)
                    .anyMatch(one -> cell.has(one)
                            && one.when().all().stream()
                                    .anyMatch(
                                            when -> when.thresholds().findAny().isPresent()));
            this.lessonsSay = Stream.of(before, after)
                    .flatMap(rules -> rules.written().entrySet().stream())
                    .filter(one -> one.getKey().kind() == Place.Kind.LESSON
                            && one.getValue().stream().anyMatch(cell::has))
                    .map(one -> new LessonId(one.getKey().id()))
                    .collect(Collectors.toSet());
        }

        void compare() {
            for (PlannedClass one : school.classes()) {
                var signature = new Signature(
                        one.year(),
                        numbersMatter ? one.pupils() : 0,
                        speaking(charterBefore, before, one, ownBefore),
                        speaking(charterAfter, after, one, ownAfter));
                Judged judgement = judged.computeIfAbsent(signature, this::judge);
                List<Difference> differences = judgement.differences;
                Situation base = Situation.ORDINARY.ofYear(one.year()).withPresent(one.pupils());
                first(differences).forEach(found -> turn(found)
                        .classes
                        .add(new InClass(
                                one,
                                found.at.situation().withPresent(present(found.at.situation(), base)),
                                found.at.at())));
                judgement.held.forEach(turned -> note(turned, one, Optional.empty()));
                if (!differences.isEmpty() || !lessonsSay.isEmpty()) {
                    for (PlannedLesson lesson : lessons.getOrDefault(one.id(), List.of())) {
                        inLesson(one, lesson, judgement, base);
                    }
                }
            }
        }

        private int present(Situation found, Situation base) {
            return numbersMatter ? found.present() : base.present();
        }

        private List<Setting> speaking(
                List<Setting> charter, SchoolRules rules, PlannedClass of, Map<ClassId, List<Setting>> own) {
            List<Setting> year = cell.of(rules.at(Place.ofYear(of.year())));
            List<Setting> narrow = cell.of(own.get(of.id()));
            return year.isEmpty() && narrow.isEmpty()
                    ? charter
                    : Stream.of(charter, year, narrow).flatMap(List::stream).toList();
        }

        private Judged judge(Signature of) {
            if (of.before.equals(of.after)) {
                return new Judged(of, List.of(), List.of(), List.of(), new HashMap<>());
            }
            // Lessons can differ from now on, and whenever a setting begins or ends later.
            List<Instant> edges = Stream.concat(
                            Stream.of(from),
                            both(of.before, of.after).stream().flatMap(one -> Stream.of(one.from(), one.until())))
                    .filter(at -> !at.isBefore(from) && at.isBefore(Setting.FOR_EVER))
                    .distinct()
                    .sorted()
                    .toList();
            Situation base = Situation.ORDINARY.ofYear(of.year).withPresent(of.pupils);
            List<Case> cases = possible(of, edges, base);
            return new Judged(
                    of,
                    edges,
                    differences(of.before, of.after, cases),
                    turned(of.before, of.after, cases),
                    new HashMap<>());
        }

        private List<Case> possible(Signature of, List<Instant> edges, Situation base) {
            var cases = new ArrayList<Case>();
            for (Instant begin : edges) {
                cases.addAll(Cases.possible(both(of.before, of.after), base, Set.of(Fact.values()), begin));
            }
            return cases;
        }

        private List<Difference> differences(List<Setting> old, List<Setting> next, Collection<Case> cases) {
            Rulebook was = Rulebook.of(old);
            Rulebook is = Rulebook.of(next);
            var found = new ArrayList<Difference>();
            for (Case one : cases) {
                Value a = was.in(one.situation()).value(cell.rule(), cell.role(), one.at());
                Value b = is.in(one.situation()).value(cell.rule(), cell.role(), one.at());
                if (!a.equals(b)) {
                    found.add(new Difference(one, a, b));
                }
            }
            return found;
        }

        private void inLesson(PlannedClass of, PlannedLesson lesson, Judged judgement, Situation base) {
            boolean says = lessonsSay.contains(lesson.id());
            List<Setting> own = says ? cell.of(before.at(Place.of(lesson.id()))) : List.of();
            List<Setting> ownThen = says ? cell.of(after.at(Place.of(lesson.id()))) : List.of();
            if (own.isEmpty() && ownThen.isEmpty()) {
                first(patternOf(lesson, judgement, base))
                        .forEach(found -> turn(found).lessons.add(new InLesson(lesson, found.at, of.pupils())));
                return;
            }
            List<Setting> was = both(judgement.of.before, own);
            List<Setting> is = both(judgement.of.after, ownThen);
            Instant since =
                    from.isAfter(lesson.time().from()) ? from : lesson.time().from();
            List<Case> cases = Cases.planned(both(was, is), base, lesson.time(), lesson.expected(), since);
            first(differences(was, is, cases))
                    .forEach(found -> turn(found).lessons.add(new InLesson(lesson, found.at, of.pupils())));
            turned(was, is, cases).forEach(turned -> note(turned, of, Optional.of(lesson.id())));
        }

        private List<Difference> patternOf(PlannedLesson lesson, Judged judgement, Situation base) {
            int piece = 0;
            for (Instant edge : judgement.edges) {
                if (edge.isAfter(lesson.time().from())
                        && edge.isBefore(lesson.time().until())) {
                    // Something begins or ends in the middle of it: no other lesson is like this one.
                    return judge(lesson, judgement.of, base);
                }
                piece += edge.isAfter(lesson.time().from()) ? 0 : 1;
            }
            var pattern = new Pattern(lesson.expected(), piece, lesson.time().length());
            return judgement.lessons.computeIfAbsent(pattern, key -> judge(lesson, judgement.of, base));
        }

        private List<Difference> judge(PlannedLesson lesson, Signature signature, Situation base) {
            Instant since =
                    from.isAfter(lesson.time().from()) ? from : lesson.time().from();
            return differences(
                    signature.before,
                    signature.after,
                    Cases.planned(
                            both(signature.before, signature.after), base, lesson.time(), lesson.expected(), since));
        }

        private List<Turned> turned(List<Setting> old, List<Setting> next, List<Case> cases) {
            Rulebook was = Rulebook.of(old);
            Rulebook is = Rulebook.of(next);
            var turned = new LinkedHashSet<Turned>();
            for (Case one : cases) {
                Map<Setting, Setting> a = held(was.in(one.situation()).ruling(cell.rule(), cell.role(), one.at()));
                Map<Setting, Setting> b = held(is.in(one.situation()).ruling(cell.rule(), cell.role(), one.at()));
                b.forEach((setting, by) -> {
                    if (!a.containsKey(setting)) {
                        turned.add(new Turned(setting, by, true));
                    }
                });
                a.forEach((setting, by) -> {
                    if (!b.containsKey(setting) && next.contains(setting)) {
                        turned.add(new Turned(setting, by, false));
                    }
                });
            }
            return List.copyOf(turned);
        }

        private void note(Turned turned, PlannedClass of, Optional<LessonId> lesson) {
            Place place = lesson.filter(id -> turned.setting.layer() == Place.Kind.LESSON.layer())
                    .map(Place::of)
                    .orElseGet(() -> after.placeOf(turned.setting, of));
            (turned.isOverruled ? overruled : freed)
                    .computeIfAbsent(new Held(place, turned.setting, turned.by), key -> new LinkedHashSet<>())
                    .add(of.id());
        }

        private Turn turn(Difference found) {
            return turns.computeIfAbsent(
                    new Key(cell, found.before, found.after), key -> new Turn(new ArrayList<>(), new ArrayList<>()));
        }
    }

    /** Of each turn from one value to another, the first case. */
    private static Collection<Difference> first(List<Difference> all) {
        if (all.size() < 2) {
            return all;
        }
        var first = new LinkedHashMap<List<Value>, Difference>();
        all.forEach(one -> first.putIfAbsent(List.of(one.before, one.after), one));
        return first.values();
    }

    /** Which settings are overruled, and by which binding one. */
    private static Map<Setting, Setting> held(Ruling<?> ruling) {
        var held = new HashMap<Setting, Setting>();
        for (Ruling.Step step : ruling.chain()) {
            if (step.effect() == Effect.OVERRULED) {
                held.put(step.setting().orElseThrow(), ruling.floor().orElseThrow());
            }
        }
        return held;
    }

    private static List<Setting> both(List<Setting> a, List<Setting> b) {
        return a.equals(b) || b.isEmpty()
                ? a
                : Stream.concat(a.stream(), b.stream()).toList();
    }
}
