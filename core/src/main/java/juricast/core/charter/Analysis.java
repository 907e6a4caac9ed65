package juricast.core.charter;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import juricast.core.charter.Cases.Case;
import juricast.core.charter.Finding.Kind;
import juricast.core.charter.Finding.Written;
import juricast.core.identity.ClassId;
import juricast.core.identity.Role;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Choice;
import juricast.core.rules.Fact;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Ruling;
import juricast.core.rules.Ruling.Effect;
import juricast.core.rules.Setting;
import juricast.core.rules.Situation;

/**
 * Looks for what is wrong in a school's rules by asking every case that can make a difference, in every class: settings
 * that never count, bindings that contradict each other, conditions that cannot come about, passes that cannot be given.
 */
public final class Analysis {
    private final SchoolRules rules;
    private final Instant from;
    private final Map<Written, Fate> fates = new LinkedHashMap<>();
    private final Set<List<Object>> done = new HashSet<>();

    private final Predicate<Rule<?>> about;

    private Analysis(SchoolRules rules, Instant from, Predicate<Rule<?>> about) {
        this.rules = rules;
        this.from = from;
        this.about = about;
    }

    /** What a change makes wrong, and what it mends. */
    public record Change(List<Finding> appearing, List<Finding> vanishing) {}

    /** The difference between two analyses, asking only about rules of which anything else is said. */
    public static Change between(SchoolRules before, SchoolRules after, Timetable school, Instant from) {
        Set<Rule<?>> touched = touched(before, after, school);
        // What these two say decides which conditions can come about, and with that about all other rules.
        boolean all = touched.contains(Catalogue.RECORDING_MODE) || touched.contains(Catalogue.VISITORS);
        Predicate<Rule<?>> about = all ? rule -> true : touched::contains;
        var was = new LinkedHashSet<>(of(before, school, from, about));
        var is = new LinkedHashSet<>(of(after, school, from, about));
        return new Change(
                is.stream().filter(one -> !was.contains(one)).toList(),
                was.stream().filter(one -> !is.contains(one)).toList());
    }

    private static Set<Rule<?>> touched(SchoolRules before, SchoolRules after, Timetable school) {
        var touched = new HashSet<Rule<?>>();
        var places = new HashSet<>(before.written().keySet());
        places.addAll(after.written().keySet());
        places.forEach(place -> touch(before.at(place), after.at(place), touched));
        if (!before.uses().equals(after.uses())) {
            school.classes().forEach(one -> touch(before.own(one), after.own(one), touched));
        }
        return touched;
    }

    private static void touch(List<Setting> a, List<Setting> b, Set<Rule<?>> touched) {
        if (!a.equals(b)) {
            a.stream()
                    .filter(one -> !b.contains(one))
                    .forEach(one -> touched.add(one.set().rule()));
            b.stream()
                    .filter(one -> !a.contains(one))
                    .forEach(one -> touched.add(one.set().rule()));
        }
    }

    /** What became of one setting over all cases. */
    private static final class Fate {
        private boolean held;
        private boolean counted;
        private boolean everBound;
        private final Map<Written, Effect> instead = new LinkedHashMap<>();
    }

    /** What is wrong from an instant on, gravest first. Lessons' own settings are judged in the situation of their class. */
    public static List<Finding> of(SchoolRules rules, Timetable school, Instant from) {
        return of(rules, school, from, rule -> true);
    }

    private static List<Finding> of(SchoolRules rules, Timetable school, Instant from, Predicate<Rule<?>> about) {
        var analysis = new Analysis(rules, from, about);
        for (PlannedClass one : school.classes()) {
            analysis.ask(one, rules.settings(one), Map.of());
        }
        Map<ClassId, PlannedClass> classes = new HashMap<>();
        school.classes().forEach(one -> classes.put(one.id(), one));
        for (PlannedLesson lesson : school.lessons()) {
            PlannedClass of = classes.get(lesson.ofClass());
            if (of != null && rules.hasOwn(lesson.id()) && lesson.time().until().isAfter(from)) {
                var all = new ArrayList<>(rules.settings(of));
                var places = new HashMap<Setting, Place>();
                rules.at(Place.of(lesson.id())).forEach(one -> places.put(one, Place.of(lesson.id())));
                all.addAll(places.keySet());
                analysis.ask(of, all, places);
            }
        }
        return analysis.findings();
    }

    private void ask(PlannedClass of, List<Setting> settings, Map<Setting, Place> ofLesson) {
        var byCell = new LinkedHashMap<Cell, List<Setting>>();
        settings.stream()
                .filter(one -> about.test(one.set().rule()) && one.until().isAfter(from))
                .forEach(one -> byCell.computeIfAbsent(Cell.of(one), cell -> new ArrayList<>())
                        .add(one));
        Set<Fact> possible = possible(of, settings);
        byCell.forEach((cell, about) -> {
            // Classes of which the same is written are asked once.
            if (ofLesson.isEmpty() && !done.add(List.of(cell, about, of.year(), of.pupils(), possible))) {
                return;
            }
            ask(of, cell, about, ofLesson, possible);
        });
    }

    private void ask(
            PlannedClass of, Cell cell, List<Setting> about, Map<Setting, Place> ofLesson, Set<Fact> possible) {
        var places = new HashMap<Setting, Written>();
        for (Setting one : about) {
            Place place = ofLesson.containsKey(one) ? ofLesson.get(one) : rules.placeOf(one, of);
            places.put(one, new Written(place, original(one, place)));
        }
        places.values().forEach(one -> fates.computeIfAbsent(one, key -> new Fate()));
        Rulebook book = Rulebook.of(about);
        var edges = new TreeSet<Instant>(List.of(from));
        about.forEach(one -> edges.add(one.from()));
        for (Instant begin : edges.tailSet(from)) {
            var base = Situation.ORDINARY.ofYear(of.year()).withPresent(of.pupils());
            for (Case one : Cases.possible(about, base, possible, begin)) {
                note(book.in(one.situation()).ruling(cell.rule(), cell.role(), one.at()), places);
            }
        }
    }

    /** A setting as it is written; one that came by a set counts in a class only as long as the class uses the set. */
    private Setting original(Setting setting, Place place) {
        return rules.at(place).stream()
                .filter(one -> one.set().equals(setting.set())
                        && one.role() == setting.role()
                        && one.when().equals(setting.when())
                        && !one.from().isAfter(setting.from())
                        && !one.until().isBefore(setting.until()))
                .findFirst()
                .orElse(setting);
    }

    private void note(Ruling<?> ruling, Map<Setting, Written> places) {
        Ruling.Step decider = ruling.decider();
        for (Ruling.Step step : ruling.chain()) {
            if (step.setting().isEmpty()) {
                continue;
            }
            Setting setting = step.setting().get();
            Fate fate = fates.get(places.get(setting));
            fate.held = true;
            fate.counted |= step.effect() == Effect.DECIDES;
            fate.everBound |= ruling.floor().filter(setting::equals).isPresent();
            if (step.effect() != Effect.DECIDES) {
                Setting by = step.effect() == Effect.OVERRULED
                        ? ruling.floor().orElseThrow()
                        : decider.setting().orElse(setting);
                fate.instead.merge(places.get(by), step.effect(), (a, b) -> a == Effect.OVERRULED ? a : b);
            }
        }
    }

    /** Which facts can come about in a class: a recording not where it is forbidden, a visitor not where none may come. */
    private Set<Fact> possible(PlannedClass of, List<Setting> settings) {
        var possible = EnumSet.allOf(Fact.class);
        List<Setting> deciding = settings.stream()
                .filter(one -> one.set().rule() == Catalogue.RECORDING_MODE
                        || one.set().rule() == Catalogue.VISITORS)
                .toList();
        if (deciding.isEmpty()) {
            return possible;
        }
        Rulebook book = Rulebook.of(deciding).in(Situation.ORDINARY.ofYear(of.year()));
        var recording = book.ruling(Catalogue.RECORDING_MODE, Rule.ANSWERS, from);
        if (recording.floor().isPresent() && recording.value().equals(new Choice("forbidden"))) {
            possible.remove(Fact.RECORDING);
        }
        if (book.ruling(Catalogue.VISITORS, Role.VISITOR, from).isBoundClosed()) {
            possible.remove(Fact.VISITOR_PRESENT);
        }
        return possible;
    }

    private List<Finding> findings() {
        var found = new ArrayList<Finding>();
        fates.forEach((written, fate) -> {
            Setting setting = written.setting();
            var causes = new LinkedHashSet<Written>(List.of(written));
            fate.instead.forEach((by, effect) -> causes.add(by));
            kind(setting, fate)
                    .ifPresent(kind ->
                            found.add(new Finding(kind, setting.set().rule(), setting.role(), List.copyOf(causes))));
        });
        found.sort(Comparator.comparing(Finding::kind));
        return found;
    }

    private static Optional<Kind> kind(Setting setting, Fate fate) {
        if (!fate.held) {
            return Optional.of(Kind.IMPOSSIBLE_CONDITION);
        }
        boolean overruled = fate.instead.containsValue(Effect.OVERRULED);
        if (setting.isBinding() && overruled) {
            return Optional.of(Kind.CONTRADICTORY_BINDINGS);
        }
        if (fate.counted || fate.everBound) {
            return Optional.empty();
        }
        return Optional.of(
                overruled && setting.set().value() == Permission.ON_REQUEST
                        ? Kind.PASS_NEVER_GIVEN
                        : Kind.NEVER_COUNTS);
    }
}
