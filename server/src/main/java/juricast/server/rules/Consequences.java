package juricast.server.rules;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Collectors;
import juricast.core.charter.Analysis;
import juricast.core.charter.Comparison;
import juricast.core.charter.Finding;
import juricast.core.charter.Place;
import juricast.core.charter.SchoolRules;
import juricast.core.charter.Timetable;
import juricast.core.identity.ClassId;
import juricast.core.identity.Role;
import juricast.core.rules.Fact;
import juricast.core.rules.Rule;
import juricast.core.rules.Situation;
import juricast.core.rules.Value;
import juricast.server.classes.Classes;
import juricast.server.classes.Planning;
import juricast.server.data.School;
import juricast.server.people.People;
import juricast.server.words.ConditionWords;
import juricast.server.words.PlaceWords;
import juricast.server.words.RuleWords;
import org.springframework.stereotype.Component;

/** Says what a change of the rules would change: numbers first, then the list, then any single case (need A7). */
@Component
class Consequences {
    /** Lessons listed for one change of a value; their number is always whole. */
    private static final int LISTED = 60;

    private final Planning planning;
    private final Classes classes;
    private final PlaceWords places;
    private final People people;
    private final School school;

    Consequences(Planning planning, Classes classes, PlaceWords places, People people, School school) {
        this.planning = planning;
        this.classes = classes;
        this.places = places;
        this.people = people;
        this.school = school;
    }

    /** @param from from when the change counts, in words */
    record Report(
            String from,
            int classes,
            int lessons,
            List<ShiftLine> shifts,
            List<HeldLine> overruled,
            List<HeldLine> freed,
            List<FindingLine> appearing,
            List<FindingLine> vanishing) {}

    /** One value that turns into another. @param stricter whether it becomes so; false also where there is no order */
    record ShiftLine(
            String rule,
            String title,
            Role role,
            String roleWords,
            String before,
            String beforeWords,
            String after,
            String afterWords,
            boolean stricter,
            List<CaseLine> classes,
            int lessonCount,
            List<CaseLine> lessons) {}

    /**
     * A case to look at.
     *
     * @param place the class or lesson
     * @param situation what is so in this case, in words; empty for nothing out of the ordinary
     * @param facts what is so, for asking why
     * @param at the instant, in milliseconds since 1970
     * @param minute minutes since its lesson began, where a class is meant; -1 for a planned lesson
     */
    record CaseLine(
            String place,
            String title,
            String when,
            String situation,
            List<String> facts,
            int present,
            long at,
            int minute) {}

    /** A setting held back by a binding one, or not any more. */
    record HeldLine(String place, String title, String says, String by, List<String> classes) {}

    record FindingLine(String kind, String title, List<String> causes, String place) {}

    /** What changes between two sets of rules, from an instant on. */
    Report between(SchoolRules before, SchoolRules after, Instant now, Instant from) {
        Timetable timetable = planning.timetable(now);
        // Beside each other: neither needs the other, each takes a tenth of a second for a large school, and somebody
        // waits.
        var analysis = CompletableFuture.supplyAsync(() -> Analysis.between(before, after, timetable, from));
        Comparison comparison = Comparison.of(before, after, timetable, from);
        Analysis.Change findings = analysis.join();
        Map<ClassId, String> titles = titles();
        return new Report(
                from.equals(now) ? "now" : school.day(from) + ", " + school.clockTime(from),
                comparison.classes().size(),
                comparison.lessons().size(),
                comparison.shifts().stream().map(shift -> line(shift, titles)).toList(),
                held(comparison.overruled(), after, titles),
                held(comparison.freed(), after, titles),
                findings.appearing().stream().map(one -> line(one, after)).toList(),
                findings.vanishing().stream().map(one -> line(one, before)).toList());
    }

    /** What is wrong in the rules as they are. */
    List<FindingLine> findings(SchoolRules rules, Instant now) {
        return Analysis.of(rules, planning.timetable(now), now).stream()
                .map(one -> line(one, rules))
                .toList();
    }

    private Map<ClassId, String> titles() {
        var titles = new HashMap<ClassId, String>();
        classes.all().forEach(one -> titles.put(one.id(), one.title()));
        return titles;
    }

    private ShiftLine line(Comparison.Shift shift, Map<ClassId, String> titles) {
        return new ShiftLine(
                shift.rule().key(),
                shift.rule().title(),
                shift.role(),
                shift.rule().isOfWholeLesson() ? "the lesson" : RuleWords.role(shift.role()),
                shift.before().text(),
                RuleWords.value(shift.rule(), shift.before()),
                shift.after().text(),
                RuleWords.value(shift.rule(), shift.after()),
                isStricter(shift.rule(), shift.after(), shift.before()),
                shift.classes().stream()
                        .map(one -> new CaseLine(
                                Place.of(one.where().id()).text(),
                                titles.getOrDefault(one.where().id(), ""),
                                "",
                                words(one.situation()),
                                facts(one.situation()),
                                one.situation().present(),
                                one.at().toEpochMilli(),
                                one.situation()
                                        .lesson()
                                        .map(time -> (int) Duration.between(time.from(), one.at())
                                                .toMinutes())
                                        .orElse(-1)))
                        .toList(),
                shift.lessons().size(),
                shift.lessons().stream()
                        .limit(LISTED)
                        .map(one -> new CaseLine(
                                Place.of(one.where().id()).text(),
                                titles.getOrDefault(one.where().ofClass(), ""),
                                school.day(one.where().time().from()) + ", "
                                        + school.clockTime(one.where().time().from()),
                                words(one.situation()),
                                facts(one.situation()),
                                one.situation().present(),
                                one.at().toEpochMilli(),
                                -1))
                        .toList());
    }

    private static <V extends Value> boolean isStricter(Rule<V> rule, Value value, Value than) {
        return rule.type().isOrdered()
                && rule.type().isWithin(rule.type().cast(value), rule.type().cast(than));
    }

    /** What is out of the ordinary in a situation. */
    private static String words(Situation situation) {
        return Arrays.stream(Fact.values())
                .filter(fact -> situation.is(fact) != Situation.ORDINARY.is(fact))
                .map(fact -> ConditionWords.fact(fact, situation.is(fact)))
                .collect(Collectors.joining(", "));
    }

    private static List<String> facts(Situation situation) {
        return situation.facts().stream().map(Fact::text).toList();
    }

    private List<HeldLine> held(List<Comparison.Overruling> all, SchoolRules rules, Map<ClassId, String> titles) {
        var lines = new ArrayList<HeldLine>();
        for (Comparison.Overruling one : all) {
            lines.add(new HeldLine(
                    one.place().text(),
                    places.of(one.place(), rules.setNames()),
                    says(one.setting()),
                    says(one.by()),
                    one.classes().stream()
                            .map(id -> titles.getOrDefault(id, id.value()))
                            .sorted()
                            .toList()));
        }
        return lines;
    }

    private FindingLine line(Finding finding, SchoolRules rules) {
        String what = finding.rule().title()
                + (finding.rule().isOfWholeLesson() ? "" : ", " + RuleWords.role(finding.role()));
        Finding.Written first = finding.causes().get(0);
        return new FindingLine(
                finding.kind().name(),
                switch (finding.kind()) {
                    case CONTRADICTORY_BINDINGS -> what + ": two binding settings contradict each other";
                    case PASS_NEVER_GIVEN -> what + ": on request, but no pass can ever be given";
                    case IMPOSSIBLE_CONDITION -> what + ": this condition cannot come about";
                    case NEVER_COUNTS -> what + ": this setting never counts";
                },
                finding.causes().stream()
                        .map(one -> places.of(one.place(), rules.setNames()) + ": " + says(one.setting()))
                        .toList(),
                first.place().text());
    }

    private String says(juricast.core.rules.Setting setting) {
        String when = setting.when().isAlways() ? "" : ", " + ConditionWords.of(setting.when());
        return "%s %s%s%s, by %s"
                .formatted(
                        setting.set().rule().title(),
                        RuleWords.value(setting.set().rule(), setting.set().value()),
                        setting.isBinding() ? ", binding" : "",
                        when,
                        people.nameOf(setting.by()));
    }
}
