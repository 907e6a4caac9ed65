package juricast.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import juricast.core.charter.Analysis;
import juricast.core.charter.Comparison;
import juricast.core.charter.Finding;
import juricast.core.charter.SchoolRules;
import juricast.core.charter.Timetable;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Circumstance;
import juricast.core.rules.Condition;
import juricast.core.rules.Fact;
import juricast.core.rules.Layer;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleTable;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Ruling;
import juricast.core.rules.Setting;
import juricast.core.rules.Setting.Force;
import juricast.core.rules.Situation;
import juricast.core.time.Span;
import org.casbin.jcasbin.main.Enforcer;
import org.casbin.jcasbin.model.Model;
import org.openjdk.jmh.annotations.*;
import org.openjdk.jmh.infra.Blackhole;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** What a question to the rules costs, on one core, with a general-purpose authorisation library beside it. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.NANOSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
@SuppressWarnings("PMD")
public class RulesBenchmark {
    private static final Instant NOW = FullSchool.NOW;

    private Rulebook book;
    private RuleTable table;
    private List<RuleTable.Person> people;
    private Enforcer library;
    private Timetable school;
    private SchoolRules before;
    private SchoolRules after;

    @Setup
    public void prepare() {
        var lesson = new Span(NOW.minus(Duration.ofMinutes(5)), NOW.plus(Duration.ofMinutes(45)));
        var situation = Situation.ORDINARY.ofYear(8).withPresent(28).at(lesson).with(Fact.VISITOR_PRESENT, true);
        book = Rulebook.of(fourLayers()).in(situation);
        table = book.table(Role.PUPIL, NOW);
        people = new ArrayList<>();
        people.add(new RuleTable.Person(Role.LEAD_ADULT, true, List.of()));
        for (int n = 1; n < 30; n++) {
            var pass = set(Catalogue.SPEAK, Layer.PERSON, Force.PASS, Permission.OPEN, Condition.ALWAYS);
            people.add(new RuleTable.Person(Role.PUPIL, n % 7 != 0, n % 5 == 0 ? List.of(pass) : List.of()));
        }
        library = library();
        school = FullSchool.timetable();
        before = FullSchool.rules(school);
        after = before.after(FullSchool.draft(), new PersonId("lead"), NOW, NOW.plus(Duration.ofDays(1)));
    }

    /** Every right of pupils has settings of school, year group, class and lesson, two of them with conditions. */
    private static List<Setting> fourLayers() {
        var settings = new ArrayList<Setting>();
        for (Rule<?> rule : Catalogue.ALL) {
            if (rule.isRight() && rule.speaksOf(Role.PUPIL)) {
                settings.add(set(
                        rule,
                        Layer.SCHOOL,
                        Force.BINDING,
                        Permission.ON_REQUEST,
                        Condition.during(Fact.VISITOR_PRESENT)));
                settings.add(set(rule, Layer.YEAR_GROUP, Force.USUAL, Permission.OPEN, Condition.ALWAYS));
                settings.add(set(
                        rule,
                        Layer.CLASS,
                        Force.USUAL,
                        Permission.CLOSED,
                        Condition.of(new Circumstance.FirstMinutes(10), new Circumstance.AtLeast(25))));
                settings.add(set(rule, Layer.LESSON, Force.USUAL, Permission.OPEN, Condition.ALWAYS));
            }
        }
        return settings;
    }

    private static Setting set(Rule<?> rule, Layer layer, Force force, Permission value, Condition when) {
        return Setting.of(
                        new RuleValue(rule, value),
                        Role.PUPIL,
                        layer,
                        force,
                        new PersonId("lead"),
                        NOW.minusSeconds(3600))
                .during(when);
    }

    /** The same four layers over the same rules as policies with priorities: the nearest to it that the library knows. */
    private static Enforcer library() {
        var model = new Model();
        model.addDef("r", "r", "layer, role, right, visitor, minute, present");
        model.addDef("p", "p", "priority, layer, role, right, visitor, minute, present, eft");
        model.addDef("e", "e", "priority(p.eft) || deny");
        model.addDef(
                "m",
                "m",
                "r.role == p.role && r.right == p.right && (p.visitor == \"any\" || r.visitor == p.visitor)"
                        + " && (p.minute == \"any\" || r.minute == p.minute) && (p.present == \"any\" || r.present == p.present)");
        var enforcer = new Enforcer(model);
        for (Rule<?> rule : Catalogue.ALL) {
            if (rule.isRight() && rule.speaksOf(Role.PUPIL)) {
                enforcer.addPolicy("1", "school", "pupil", rule.key(), "visitor", "any", "any", "deny");
                enforcer.addPolicy("2", "class", "pupil", rule.key(), "any", "first", "many", "deny");
                enforcer.addPolicy("3", "year", "pupil", rule.key(), "any", "any", "any", "allow");
                enforcer.addPolicy("4", "lesson", "pupil", rule.key(), "any", "any", "any", "allow");
            }
        }
        return enforcer;
    }

    @Benchmark
    public void oneWithItsChain(Blackhole reader) {
        Ruling<Permission> ruling = book.ruling(Catalogue.CLASS_CHAT, Role.PUPIL, NOW);
        for (Ruling.Step step : ruling.chain()) {
            reader.consume(step.effect());
            reader.consume(step.setting());
        }
        reader.consume(ruling.until());
    }

    @Benchmark
    public Permission oneFromTheTable() {
        return table.value(Catalogue.CLASS_CHAT);
    }

    @Benchmark
    public List<RuleTable> wholeClass() {
        return RuleTable.ofClass(book, people, NOW);
    }

    @Benchmark
    public boolean oneByTheLibrary() {
        return library.enforce("lesson", "pupil", "chat.class", "visitor", "first", "many");
    }

    @Benchmark
    @OutputTimeUnit(TimeUnit.MILLISECONDS)
    public Comparison draftAgainstTheSchool() {
        return Comparison.of(before, after, school, NOW.plus(Duration.ofDays(1)));
    }

    @Benchmark
    @OutputTimeUnit(TimeUnit.MILLISECONDS)
    public List<Finding> analysisOfTheSchool() {
        return Analysis.of(before, school, NOW);
    }

    static void measure() throws RunnerException {
        new Runner(new OptionsBuilder()
                        .include(RulesBenchmark.class.getSimpleName())
                        .jvmArgs("-Xmx1g")
                        .build())
                .run();
    }
}
