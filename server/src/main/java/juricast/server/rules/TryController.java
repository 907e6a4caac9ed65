package juricast.server.rules;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import juricast.core.charter.Place;
import juricast.core.charter.SchoolRules;
import juricast.core.identity.Role;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Fact;
import juricast.core.rules.Rule;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Ruling;
import juricast.core.rules.Setting;
import juricast.core.rules.Value;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.data.School;
import juricast.server.data.WrittenDay;
import juricast.server.problems.Problem;
import juricast.server.rules.Settings.Marked;
import juricast.server.words.ConditionWords;
import juricast.server.words.RuleWords;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** Tries rules out: everything a role may do in a place, at a moment, in a situation, as it is or as a draft has it. */
@RestController
@RequestMapping("/api/try")
class TryController {
    private final Settings settings;
    private final Drafts drafts;
    private final Books books;
    private final RulesAccess access;
    private final Situations situations;
    private final RuleWords words;
    private final School school;
    private final Clock clock;

    TryController(
            Settings settings,
            Drafts drafts,
            Books books,
            RulesAccess access,
            Situations situations,
            RuleWords words,
            School school,
            Clock clock) {
        this.settings = settings;
        this.drafts = drafts;
        this.books = books;
        this.access = access;
        this.situations = situations;
        this.words = words;
        this.school = school;
        this.clock = clock;
    }

    /**
     * Every right in one situation.
     *
     * @param at the moment it is about, in words
     * @param facts what can be so or not so
     */
    record Tried(String at, long moment, List<FactLine> facts, List<TriedArea> areas) {}

    record FactLine(String fact, String words, boolean so) {}

    record TriedArea(String title, List<TriedRight> rules) {}

    /** @param because what decides, in a few words */
    record TriedRight(
            String rule,
            String title,
            String value,
            String words,
            boolean right,
            boolean bound,
            String because,
            String until) {}

    /**
     * @param day the day, as 2026-09-14; empty for today
     * @param time the time of day, as 10:05; empty for now
     * @param stance a ready-made set switched on in the lesson; empty for none
     * @param draft whether the caller's draft of the charter and of the place counts
     */
    record Moment(@Nullable String day, @Nullable String time, @Nullable String stance, @Nullable Boolean draft) {}

    /** What a role may in a situation, and why: a try that changes nothing. */
    @GetMapping("/{place}/{role}")
    @For({LEAD, TEACHER})
    Tried tried(
            @PathVariable String place,
            @PathVariable Role role,
            Situations.Asked asked,
            Moment moment,
            @AuthenticationPrincipal SignedIn caller) {
        Place seen = access.seen(caller, place);
        Instant at = at(moment, asked);
        Rulebook book = book(seen, caller, moment, asked, at);
        var areas = new ArrayList<TriedArea>();
        for (var area : juricast.core.rules.Area.values()) {
            List<TriedRight> rights = Catalogue.ALL.stream()
                    .filter(rule -> rule.area() == area && rule.speaksOf(role))
                    .map(rule -> right(book, rule, role, at))
                    .toList();
            if (!rights.isEmpty()) {
                areas.add(new TriedArea(area.title(), rights));
            }
        }
        var facts = new ArrayList<FactLine>();
        for (Fact fact : Fact.values()) {
            facts.add(new FactLine(
                    fact.text(),
                    ConditionWords.fact(fact, true),
                    book.situation().is(fact)));
        }
        return new Tried(school.day(at) + ", " + school.clockTime(at), at.toEpochMilli(), facts, areas);
    }

    /** Why one of them is so. */
    @GetMapping("/{place}/{role}/why/{rule}")
    @For({LEAD, TEACHER})
    RuleWords.Why why(
            @PathVariable String place,
            @PathVariable Role role,
            @PathVariable String rule,
            Situations.Asked asked,
            Moment moment,
            @AuthenticationPrincipal SignedIn caller) {
        Place seen = access.seen(caller, place);
        Instant at = at(moment, asked);
        return words.forAdults(book(seen, caller, moment, asked, at), RulesController.known(rule, role), role, at);
    }

    private Rulebook book(Place place, SignedIn caller, Moment moment, Situations.Asked asked, Instant at) {
        SchoolRules rules = settings.all();
        if (Boolean.TRUE.equals(moment.draft)) {
            for (Place drafted : List.of(Place.SCHOOL, place)) {
                rules = rules.after(
                        drafts.of(caller.person(), drafted).stream()
                                .map(Marked::edit)
                                .toList(),
                        caller.person(),
                        now(),
                        now());
            }
        }
        Rulebook book = books.at(rules, place);
        if (moment.stance != null && !moment.stance.isEmpty()) {
            access.seen(caller, Place.ofSet(moment.stance).text());
            book = rules.inStance(book, moment.stance);
        }
        return situations.in(book, asked, at);
    }

    private <V extends Value> TriedRight right(Rulebook book, Rule<V> rule, Role role, Instant at) {
        Ruling<V> ruling = book.ruling(rule, role, at);
        return new TriedRight(
                rule.key(),
                rule.title(),
                ruling.value().text(),
                RuleWords.value(rule, ruling.value()),
                rule.isRight(),
                ruling.floor().isPresent(),
                ruling.decider()
                        .setting()
                        .map(one -> RuleWords.layer(one)
                                + (one.isBinding() ? ", binding" : "")
                                + (one.when().isAlways() ? "" : ", " + ConditionWords.of(one.when())))
                        .orElse("usual"),
                ruling.until().equals(Setting.FOR_EVER)
                        ? ""
                        : book.changes(rule, role, at)
                                .map(next -> school.day(next.at()) + ", " + school.clockTime(next.at()) + ": "
                                        + RuleWords.value(rule, next.ruling().value()))
                                .orElse(""));
    }

    private Instant at(Moment moment, Situations.Asked asked) {
        Instant now = situations.at(asked, now());
        try {
            var day = moment.day == null || moment.day.isEmpty() ? school.date(now) : WrittenDay.parse(moment.day);
            var time = moment.time == null || moment.time.isEmpty()
                    ? now.atZone(school.zone()).toLocalTime()
                    : java.time.LocalTime.parse(moment.time);
            return day.atTime(time).atZone(school.zone()).toInstant();
        } catch (java.time.DateTimeException wrong) {
            throw Problem.notReadable(
                    "This is no moment",
                    "Nothing was tried.",
                    "Write the day as 2026-09-14 and the time as 10:05.",
                    List.of(new Problem.Wrong("day", wrong.getMessage())));
        }
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }
}
