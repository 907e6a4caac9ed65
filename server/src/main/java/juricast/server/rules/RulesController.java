package juricast.server.rules;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.PUPIL;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import juricast.core.charter.Edit;
import juricast.core.charter.Place;
import juricast.core.identity.Role;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Condition;
import juricast.core.rules.Reach;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Ruling;
import juricast.core.rules.Setting;
import juricast.core.rules.Value;
import juricast.core.rules.ValueType;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.data.School;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import juricast.server.rules.RulesDocument.Rules;
import juricast.server.rules.Settings.Marked;
import juricast.server.words.ConditionWords;
import juricast.server.words.RuleWords;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** The rules of every place: the charter, year groups, classes, lessons and ready-made sets; and drafts of them. */
@RestController
@RequestMapping("/api")
class RulesController {
    /** Characters of a note, and edits in a draft. */
    private static final int NOTE = 300;

    private static final int EDITS = 500;

    private final Settings settings;
    private final Drafts drafts;
    private final DraftedRules drafted;
    private final Documents documents;
    private final Consequences consequences;
    private final Books books;
    private final RulesAccess access;
    private final Situations situations;
    private final RuleWords words;
    private final People people;
    private final School school;
    private final Clock clock;

    RulesController(
            Settings settings,
            Drafts drafts,
            DraftedRules drafted,
            Documents documents,
            Consequences consequences,
            Books books,
            RulesAccess access,
            Situations situations,
            RuleWords words,
            People people,
            School school,
            Clock clock) {
        this.settings = settings;
        this.drafts = drafts;
        this.drafted = drafted;
        this.documents = documents;
        this.consequences = consequences;
        this.books = books;
        this.access = access;
        this.situations = situations;
        this.words = words;
        this.people = people;
        this.school = school;
        this.clock = clock;
    }

    /**
     * One change.
     *
     * @param when the condition as it is written; empty for always
     * @param value nothing to take back what the place says
     * @param until the last day on which it counts; empty for ever
     */
    record EditRequest(
            @Nullable String rule,
            @Nullable Role role,
            @Nullable String when,
            @Nullable String value,
            boolean binding,
            @Nullable String note,
            @Nullable String until) {}

    /** @param from the first day on which a draft counts, as 2026-09-14; empty for now */
    record FromRequest(@Nullable String from) {}

    /** One entry of the history. */
    record PastLine(
            String at,
            String by,
            String title,
            String role,
            String value,
            String when,
            boolean binding,
            String note,
            String counted,
            String ended) {}

    /** A case as it is, and as it would be. */
    record TwoWhys(RuleWords.Why before, RuleWords.Why after) {}

    /** All rules at a place, with what they are and why. */
    @GetMapping("/rules/{place}")
    @For({LEAD, TEACHER})
    Rules rules(
            @PathVariable String place,
            @RequestParam(required = false) @Nullable String on,
            @AuthenticationPrincipal SignedIn caller) {
        Place seen = access.seen(caller, place);
        return on == null || on.isEmpty()
                ? documents.now(seen, caller, access.mayChange(caller, seen), now())
                : documents.on(seen, DraftedRules.day(on), now());
    }

    /** Adds a change to the caller's draft. 409 if a layer above binds it to something stricter. */
    @PutMapping("/rules/{place}/draft")
    @For({LEAD, TEACHER})
    Rules edit(@PathVariable String place, @RequestBody EditRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        Place changed = access.changed(caller, place);
        Edit edit = edit(changed, wanted);
        refuseLooser(edit);
        if (drafts.of(caller.person(), changed).size() >= EDITS) {
            throw Problem.refused(
                    "draft-full", "This draft is full", "Nothing was added.", "Put it in force, then go on.");
        }
        String mark = settings.mark(changed, edit.rule(), edit.role(), edit.when(), now());
        drafts.add(caller.person(), changed, new Marked(edit, mark));
        return documents.now(changed, caller, true, now());
    }

    /**
     * Sets one value of one lesson at once: what it changes is seen at a glance, so it needs no draft. A draft for that lesson
     * stays as it is. 409 for any other place, or if a layer above binds it to something stricter.
     */
    @PutMapping("/rules/{place}/at-once")
    @For({LEAD, TEACHER})
    Rules atOnce(
            @PathVariable String place, @RequestBody EditRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        Place changed = access.changed(caller, place);
        if (changed.kind() != Place.Kind.LESSON) {
            throw Problem.refused(
                    "needs-a-draft",
                    "This counts in many lessons",
                    "Nothing was changed.",
                    "Put it into a draft, look at what it changes, then put it in force.");
        }
        Edit edit = edit(changed, wanted);
        refuseLooser(edit);
        Instant now = now();
        String mark = settings.mark(changed, edit.rule(), edit.role(), edit.when(), now);
        settings.putInForce(List.of(new Marked(edit, mark)), caller.person(), now, now);
        return documents.now(changed, caller, true, now);
    }

    /** Takes one change out of the caller's draft, or all. */
    @DeleteMapping("/rules/{place}/draft")
    @For({LEAD, TEACHER})
    Rules discard(
            @PathVariable String place,
            @RequestParam(required = false) @Nullable String rule,
            @RequestParam(required = false) @Nullable Role role,
            @RequestParam(defaultValue = "") String when,
            @AuthenticationPrincipal SignedIn caller) {
        Place changed = access.changed(caller, place);
        if (rule == null) {
            drafts.replace(caller.person(), changed, List.of());
        } else {
            drafts.remove(
                    caller.person(),
                    changed,
                    edit(changed, new EditRequest(rule, role, when, null, false, null, null)));
        }
        return documents.now(changed, caller, true, now());
    }

    /** What the caller's draft would change. */
    @PostMapping("/rules/{place}/draft/consequences")
    @For({LEAD, TEACHER})
    Consequences.Report consequences(
            @PathVariable String place, @RequestBody FromRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        Place changed = access.changed(caller, place);
        Instant now = now();
        Instant from = drafted.from(wanted.from, now);
        return consequences.between(settings.all(), drafted.of(changed, caller, now, from), now, from);
    }

    /** Why a case is as it is, and why it would be as the draft has it. */
    @GetMapping("/rules/{place}/draft/why")
    @For({LEAD, TEACHER})
    TwoWhys whyOfCase(
            @PathVariable String place,
            @RequestParam String rule,
            @RequestParam Role role,
            @RequestParam String of,
            @RequestParam(defaultValue = "") String from,
            Situations.Asked asked,
            @AuthenticationPrincipal SignedIn caller) {
        Place changed = access.changed(caller, place);
        Place one = Place.parse(of).orElseThrow(() -> Problem.notThere("This class"));
        Rule<?> known = known(rule, role);
        Instant now = now();
        Instant at = situations.at(asked, now);
        Rulebook before = situations.in(books.at(settings.all(), one), asked, at);
        Rulebook after =
                situations.in(books.at(drafted.of(changed, caller, now, drafted.from(from, now)), one), asked, at);
        return new TwoWhys(words.forAdults(before, known, role, at), words.forAdults(after, known, role, at));
    }

    /** Puts the caller's draft in force, all of it or nothing. 409 if somebody else has changed the same since. */
    @PostMapping("/rules/{place}/draft/in-force")
    @For({LEAD, TEACHER})
    Rules putInForce(
            @PathVariable String place, @RequestBody FromRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        Place changed = access.changed(caller, place);
        Instant now = now();
        Instant from = drafted.from(wanted.from, now);
        List<Marked> draft = drafts.of(caller.person(), changed);
        List<Edit> tooShort = draft.stream()
                .map(Marked::edit)
                .filter(one -> !from.isBefore(one.until()))
                .toList();
        if (!tooShort.isEmpty()) {
            throw unreadable(
                    "“%s” would end before it begins"
                            .formatted(tooShort.get(0).rule().title()),
                    "Let it begin earlier or end later.",
                    "until");
        }
        List<Edit> overtaken = settings.putInForce(draft, caller.person(), now, from);
        if (!overtaken.isEmpty()) {
            throw Problem.refused(
                    "changed-meanwhile",
                    "Somebody else has changed the same rules meanwhile",
                    overtaken.stream().map(one -> one.rule().title()).distinct().toList()
                            + " Nothing was put in force; your draft is as it was.",
                    "Look at what they set, then keep yours or take it out of the draft.");
        }
        drafts.replace(caller.person(), changed, List.of());
        return documents.now(changed, caller, true, now());
    }

    /** Why a rule is as it is for a role, in a situation, at an instant. */
    @GetMapping("/rules/{place}/why")
    @For({LEAD, TEACHER})
    RuleWords.Why why(
            @PathVariable String place,
            @RequestParam String rule,
            @RequestParam Role role,
            Situations.Asked asked,
            @AuthenticationPrincipal SignedIn caller) {
        Place seen = access.seen(caller, place);
        Instant at = situations.at(asked, now());
        return words.forAdults(situations.in(books.at(settings.all(), seen), asked, at), known(rule, role), role, at);
    }

    /** All that ever was set at a place, latest first. */
    @GetMapping("/rules/{place}/history")
    @For({LEAD, TEACHER})
    List<PastLine> history(@PathVariable String place, @AuthenticationPrincipal SignedIn caller) {
        return settings.history(access.seen(caller, place)).stream()
                .map(this::pastLine)
                .toList();
    }

    /** What is wrong in the rules themselves. */
    @GetMapping("/rules-findings")
    @For(LEAD)
    List<Consequences.FindingLine> findings() {
        return consequences.findings(settings.all(), now());
    }

    /** The house rules for pupils, where everybody signed in may read them. */
    @GetMapping("/charter/for-pupils")
    @For({LEAD, TEACHER, PUPIL})
    List<RuleWords.Why> forPupils() {
        Rulebook charter = settings.ofSchool();
        return Catalogue.RIGHTS.stream()
                .map(right -> words.forPupils(charter, right, Role.PUPIL, now()))
                .toList();
    }

    private PastLine pastLine(Settings.Kept kept) {
        Setting setting = kept.setting();
        Rule<?> rule = setting.set().rule();
        boolean open = setting.until().equals(Setting.FOR_EVER);
        return new PastLine(
                moment(setting.at()),
                people.nameOf(setting.by()),
                rule.title(),
                rule.isOfWholeLesson() ? "the lesson" : RuleWords.role(setting.role()),
                RuleWords.value(rule, setting.set().value()),
                ConditionWords.of(setting.when()),
                setting.isBinding(),
                setting.note(),
                kept.everCounted()
                        ? "from " + moment(setting.from()) + (open ? "" : " to " + moment(setting.until()))
                        : "never: taken back before it began",
                kept.endedBy().isEmpty()
                        ? ""
                        : "ended by %s, %s"
                                .formatted(
                                        people.nameOf(new juricast.core.identity.PersonId(kept.endedBy())),
                                        moment(kept.endedAt())));
    }

    private String moment(Instant at) {
        return school.day(at) + ", " + school.clockTime(at);
    }

    private Edit edit(Place place, EditRequest wanted) {
        Role role = Optional.ofNullable(wanted.role).orElse(Rule.ANSWERS);
        Rule<?> rule = known(String.valueOf(wanted.rule), role);
        Condition when = Condition.parse(wanted.when == null ? "" : wanted.when)
                .orElseThrow(() -> unreadable(
                        "“%s” is no condition".formatted(wanted.when),
                        "Choose up to %d circumstances, with numbers in their range.".formatted(Condition.MOST),
                        "when"));
        Reach.neverMet(rule, role, when).ifPresent(never -> {
            throw unreadable(
                    "“%s” can never make a difference here".formatted(ConditionWords.of(Condition.of(never))),
                    "Nothing that asks for this rule can know it. Choose another condition, or none.",
                    "when");
        });
        Optional<Value> value = Optional.ofNullable(wanted.value).map(text -> value(rule, text));
        String note = wanted.note == null ? "" : wanted.note.strip();
        if (note.length() > NOTE) {
            throw unreadable("The note is too long", "Shorten it to %d characters.".formatted(NOTE), "note");
        }
        boolean forEver = wanted.until == null || wanted.until.isEmpty();
        Instant until = forEver
                ? Setting.FOR_EVER
                : DraftedRules.day(wanted.until)
                        .plusDays(1)
                        .atStartOfDay(school.zone())
                        .toInstant();
        if (!until.isAfter(now())) {
            throw unreadable("The last day is over already", "Choose a day that is to come.", "until");
        }
        return new Edit(place, rule, role, when, value, wanted.binding && value.isPresent(), note, until);
    }

    static Value value(Rule<?> rule, String text) {
        return RuleValue.of(rule.key(), text)
                .map(RuleValue::value)
                .orElseThrow(() -> Problem.notReadable(
                        "“%s” is no value of “%s”".formatted(text, rule.title()),
                        "Nothing was changed.",
                        rule.type().form() == ValueType.Form.NUMBER
                                ? "Give a whole number from %d to %d."
                                        .formatted(
                                                rule.type().min(), rule.type().max())
                                : "Choose one of the values shown.",
                        List.of(new Problem.Wrong("value", "out of range"))));
    }

    static Rule<?> known(String rule, Role role) {
        Rule<?> found = Catalogue.byKey(rule).orElseThrow(() -> Problem.notThere("This rule"));
        if (!found.speaksOf(role)) {
            throw Problem.notThere("This role");
        }
        return found;
    }

    private void refuseLooser(Edit edit) {
        if (edit.value().isEmpty()) {
            return;
        }
        Rulebook above = books.above(settings.all(), edit.place());
        Ruling<?> ruling =
                above.in(Books.during(above.situation(), edit.when())).ruling(edit.rule(), edit.role(), now());
        if (!ruling.allows(edit.value().get())) {
            throw words.bound(ruling);
        }
    }

    static Problem unreadable(String title, String whatToDo, String field) {
        return Problem.notReadable(
                title, "Nothing was changed.", whatToDo, new ArrayList<>(List.of(new Problem.Wrong(field, title))));
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }
}
