package juricast.server.casebook;

import static juricast.server.access.Position.LEAD;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.casebook.CaseFacts;
import juricast.core.casebook.Fairness;
import juricast.core.casebook.IncidentId;
import juricast.core.casebook.Pattern;
import juricast.core.casebook.Patterns;
import juricast.core.casebook.Share;
import juricast.core.identity.PersonId;
import juricast.core.ladder.ActKind;
import juricast.core.ladder.Ladder;
import juricast.core.ladder.Step;
import juricast.core.reading.Matter;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.classes.Period;
import juricast.server.data.Database;
import juricast.server.data.School;
import juricast.server.ladder.Ladders;
import juricast.server.people.People;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What comes again across classes, and whether like acts are met alike (needs G5, G6, E7). */
@RestController
@RequestMapping("/api/casebook")
class PatternsController {
    private static final int USUAL_DAYS = 120;

    private final CaseIndex index;
    private final CaseReading reading;
    private final Classes classes;
    private final Ladders ladders;
    private final People people;
    private final School school;
    private final Database database;
    private final Clock clock;

    PatternsController(
            CaseIndex index,
            CaseReading reading,
            Classes classes,
            Ladders ladders,
            People people,
            School school,
            Database database,
            Clock clock) {
        this.index = index;
        this.reading = reading;
        this.classes = classes;
        this.ladders = ladders;
        this.people = people;
        this.school = school;
        this.database = database;
        this.clock = clock;
    }

    /** @param incidents how many were looked at */
    record PatternsPage(LocalDate from, LocalDate until, int incidents, List<PatternLine> patterns) {}

    /** @param says what was found, in a sentence @param few whether it rests on so little that it may be chance */
    record PatternLine(Pattern.Kind kind, String says, boolean few, List<RestLine> rests) {}

    record RestLine(int number, String title, Instant moment, String classTitle) {}

    /** Patterns across classes in a stretch of time, with the incidents they rest on. */
    @GetMapping("/patterns")
    @Noted("patterns of the casebook")
    @For(value = LEAD, shows = Matter.FAIRNESS)
    PatternsPage patterns(
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String until,
            @AuthenticationPrincipal SignedIn caller) {
        Period period = period(from, until);
        List<CaseFacts> facts = facts(period, caller);
        Map<IncidentId, CaseFacts> known = byId(facts);
        Ladder ladder = ladders.ofSchool();
        return new PatternsPage(
                period.from(),
                period.until(),
                facts.size(),
                Patterns.of(facts, lessonsLed(period), school.zone()).stream()
                        .map(one -> new PatternLine(
                                one.kind(),
                                says(one, ladder),
                                one.isFew(),
                                one.rests().stream()
                                        .map(known::get)
                                        .map(rest -> new RestLine(
                                                rest.id().number(), rest.title(), rest.moment(), rest.ofClass()))
                                        .toList()))
                        .toList());
    }

    private static Map<IncidentId, CaseFacts> byId(List<CaseFacts> facts) {
        return facts.stream().collect(Collectors.toMap(CaseFacts::id, one -> one));
    }

    private Period period(String from, String until) {
        return Period.of(from, until, school.zone(), clock.instant(), USUAL_DAYS);
    }

    private List<CaseFacts> facts(Period period, SignedIn caller) {
        List<CaseIndex.Row> rows = reading.of(
                caller, index.rows(period.span().from(), period.span().until()));
        Map<String, String> titles =
                classes.all().stream().collect(Collectors.toMap(one -> one.id().value(), Classes.SchoolClass::title));
        return index.facts(rows, titles);
    }

    /** How many lessons each lead adult held, as planned. */
    private Map<PersonId, Integer> lessonsLed(Period period) {
        var led = new HashMap<PersonId, Integer>();
        database.read()
                .sql(
                        """
                    SELECT person, count(*) FROM lesson JOIN lesson_stage ON lesson_stage.lesson = lesson.id
                    JOIN class_member ON class_member.class = lesson.class AND role = 'LEAD_ADULT'
                        AND since <= starts AND until > starts
                    WHERE over IS NOT NULL AND starts >= :from AND starts < :until GROUP BY person""")
                .param("from", period.span().from().toEpochMilli())
                .param("until", period.span().until().toEpochMilli())
                .query(row -> {
                    led.put(new PersonId(row.getString(1)), row.getInt(2));
                });
        return led;
    }

    private String says(Pattern one, Ladder ladder) {
        String who = one.people().isEmpty() ? "" : people.nameOf(one.people().get(0));
        int count = one.rests().size();
        return switch (one.kind()) {
            case SAME_PAIR -> "%s to %s, %d times (of %d of theirs)"
                    .formatted(who, people.nameOf(one.people().get(1)), count, one.of());
            case SAME_HOUR -> "%s: %d of %d between %s and %02d o’clock"
                    .formatted(who, count, one.of(), one.about(), Integer.parseInt(one.about()) + 1);
            case SAME_KIND -> "%s: %d times %s (of %d)"
                    .formatted(who, count, actName(one.about(), ladder).toLowerCase(Locale.ROOT), one.of());
            case ESCALATION -> "%s: a higher step each time, %d in a row".formatted(who, count);
            case ABOVE_PROPOSED -> "%s takes steps above the proposed ones: in %d of %d"
                    .formatted(who, count, one.of());
            case NEVER_ACTS -> "%s took no step in %d lessons, in which others would have taken some"
                    .formatted(who, one.of());
            case DOOR_TO_DOOR -> "%s, %d times".formatted(one.about(), count);
        };
    }

    private static String actName(String id, Ladder ladder) {
        return ladder.act(id).map(ActKind::name).orElse(id);
    }

    /** @param steps what they are called, the mildest first */
    record FairnessPage(
            LocalDate from, LocalDate until, Fairness.By by, List<String> steps, List<FairnessOfAct> acts) {}

    /**
     * One kind of act.
     *
     * @param outside how often it ended outside the lesson
     * @param low where that share may well lie, 0 to 1; Wilson, 95 %
     * @param levels how often each step was taken, from the first
     */
    record FairnessOfAct(
            String act,
            int outside,
            int of,
            double low,
            double high,
            List<Integer> levels,
            List<FairnessGroup> groups,
            List<UnlikeLine> unlike) {}

    /** @param apart whether the share of all others lies where this one hardly can */
    record FairnessGroup(
            String name,
            int outside,
            int of,
            double low,
            double high,
            List<Integer> levels,
            boolean few,
            boolean apart) {}

    record UnlikeLine(int proposed, UnlikeOne mild, UnlikeOne hard) {}

    /** @param number of the incident, 0 where it opened none: then the lesson is looked at again */
    record UnlikeOne(int number, String lesson, String pupil, String classTitle, Instant moment, int level) {}

    /** Whether like acts are met alike, by class, year or adult. */
    @GetMapping("/fairness")
    @Noted("fairness of the casebook")
    @For(value = LEAD, shows = Matter.FAIRNESS)
    FairnessPage fairness(
            @RequestParam(defaultValue = "CLASS") Fairness.By by,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String until,
            @AuthenticationPrincipal SignedIn caller) {
        Period period = period(from, until);
        Set<IncidentId> readable = byId(facts(period, caller)).keySet();
        List<Fairness.Step> steps =
                index.steps(period.span().from(), period.span().until(), readable);
        Ladder ladder = ladders.ofSchool();
        int most = ladder.steps().size();
        return new FairnessPage(
                period.from(),
                period.until(),
                by,
                ladder.steps().stream().map(Step::name).toList(),
                Fairness.of(steps, by).stream()
                        .map(one -> new FairnessOfAct(
                                actName(one.act(), ladder),
                                one.outside().count(),
                                one.outside().of(),
                                one.outside().low(),
                                one.outside().high(),
                                levels(one.levels(), most),
                                one.groups().stream()
                                        .map(group -> line(group, by, most))
                                        .toList(),
                                one.unlike().stream()
                                        .map(pair ->
                                                new UnlikeLine(pair.proposed(), one(pair.mild()), one(pair.hard())))
                                        .toList()))
                        .toList());
    }

    private FairnessGroup line(Fairness.Group group, Fairness.By by, int most) {
        Share share = group.outside();
        String name =
                switch (by) {
                    case ADULT -> people.nameOf(new PersonId(group.name()));
                    case YEAR -> group.name().isEmpty() ? "no class" : "Year " + group.name();
                    case CLASS -> group.name().isEmpty() ? "no class" : group.name();
                };
        return new FairnessGroup(
                name,
                share.count(),
                share.of(),
                share.low(),
                share.high(),
                levels(group.levels(), most),
                group.isFew(),
                group.isApart());
    }

    private UnlikeOne one(Fairness.Step step) {
        return new UnlikeOne(
                step.incident().map(IncidentId::number).orElse(0),
                step.lesson().value(),
                people.nameOf(step.person()),
                step.ofClass(),
                step.at(),
                step.level());
    }

    private static List<Integer> levels(Map<Integer, Integer> levels, int most) {
        var all = new ArrayList<Integer>();
        for (int level = 1; level <= most; level++) {
            all.add(levels.getOrDefault(level, 0));
        }
        return all;
    }
}
