package juricast.server.casebook;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import juricast.core.casebook.CaseDecision;
import juricast.core.casebook.CaseEvent;
import juricast.core.casebook.CaseOrder;
import juricast.core.casebook.CasePart;
import juricast.core.casebook.CaseRefusal;
import juricast.core.casebook.CaseRules;
import juricast.core.casebook.Deed;
import juricast.core.casebook.Holding;
import juricast.core.casebook.Incident;
import juricast.core.casebook.IncidentId;
import juricast.core.casebook.Joining;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
import juricast.core.ladder.Ladder;
import juricast.core.ladder.Severity;
import juricast.core.reading.About;
import juricast.core.reading.Matter;
import juricast.core.reading.Tie;
import juricast.server.access.AccessLog;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.Position;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.classes.Reading;
import juricast.server.data.Ids;
import juricast.server.data.School;
import juricast.server.files.Download;
import juricast.server.ladder.LadderJson;
import juricast.server.ladder.Ladders;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import juricast.server.rules.Settings;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The casebook as a list, one incident as a page, and what is done with it. */
@RestController
@RequestMapping("/api/casebook")
class CasebookController {
    /** What is noted when somebody looks at one; {@link AccessLog} adds its number. */
    private static final String LOOK = "the page";

    private static final int PAGE = 60;

    private final Casebook casebook;
    private final CaseIndex index;
    private final CaseReading caseReading;
    private final CaseStory story;
    private final CaseWords words;
    private final CaseMessages messages;
    private final PackMaker packs;
    private final WhySteps whySteps;
    private final Reading reading;
    private final Classes classes;
    private final Ladders ladders;
    private final People people;
    private final Settings settings;
    private final AccessLog log;
    private final School school;
    private final Clock clock;

    CasebookController(
            Casebook casebook,
            CaseIndex index,
            CaseReading caseReading,
            CaseStory story,
            CaseWords words,
            CaseMessages messages,
            PackMaker packs,
            WhySteps whySteps,
            Reading reading,
            Classes classes,
            Ladders ladders,
            People people,
            Settings settings,
            AccessLog log,
            School school,
            Clock clock) {
        this.casebook = casebook;
        this.index = index;
        this.caseReading = caseReading;
        this.story = story;
        this.words = words;
        this.messages = messages;
        this.packs = packs;
        this.whySteps = whySteps;
        this.reading = reading;
        this.classes = classes;
        this.ladders = ladders;
        this.people = people;
        this.settings = settings;
        this.log = log;
        this.school = school;
        this.clock = clock;
    }

    /** The casebook: incidents that may be read, the latest first, and what is to be done. @param find words, names or kinds; empty for all @param before only those with a lower number */
    @GetMapping
    @Noted("the casebook")
    @For({TEACHER, LEAD})
    CaseJson.CasebookPage page(
            @RequestParam(defaultValue = "") String find,
            @RequestParam(defaultValue = "false") boolean open,
            @RequestParam(defaultValue = "2147483647") int before,
            @AuthenticationPrincipal SignedIn caller) {
        boolean leads = reading.reader(caller).mayRead(Matter.INCIDENT_FOR_LEADS, About.SCHOOL);
        Optional<List<IncidentId>> only = find.isBlank() ? Optional.empty() : Optional.of(index.find(find, leads));
        var lines = new ArrayList<CaseIndex.Row>();
        int from = before;
        boolean more = false;
        // Most of what is there may be for others to read, so it is gone on with until a page is full.
        while (lines.size() <= PAGE) {
            List<CaseIndex.Row> rows = index.rows(only, open, from, 4 * PAGE);
            lines.addAll(caseReading.of(caller, rows));
            if (rows.size() < 4 * PAGE) {
                break;
            }
            from = rows.get(rows.size() - 1).id().number();
        }
        if (lines.size() > PAGE) {
            more = true;
            lines.subList(PAGE, lines.size()).clear();
        }
        return new CaseJson.CasebookPage(
                lines(lines),
                more,
                todos(caller, leads),
                open || !find.isBlank()
                        ? lines.size()
                        : (int) lines.stream()
                                .filter(one ->
                                        one.closed().isEmpty() && one.merged().isEmpty())
                                .count(),
                LadderJson.of(ladders.ofSchool()).acts());
    }

    private List<CaseJson.IncidentLine> lines(List<CaseIndex.Row> rows) {
        Map<Integer, List<PersonId>> did = index.people(rows, CasePart.DID);
        Map<Integer, List<PersonId>> suffered = index.people(rows, CasePart.SUFFERED);
        Map<String, String> titles = new HashMap<>();
        return rows.stream()
                .map(one -> new CaseJson.IncidentLine(
                        one.id().number(),
                        one.title(),
                        one.actName(),
                        Severity.valueOf(one.severity()),
                        one.origin(),
                        one.leadOnly(),
                        one.ofClass()
                                .map(id -> titles.computeIfAbsent(id, this::classTitle))
                                .orElse(null),
                        one.moment(),
                        one.closed().isEmpty() && one.merged().isEmpty(),
                        one.highest(),
                        names(did.getOrDefault(one.id().number(), List.of())),
                        names(suffered.getOrDefault(one.id().number(), List.of()))))
                .toList();
    }

    private String classTitle(String id) {
        return classes.find(new ClassId(id)).map(Classes.SchoolClass::title).orElse("");
    }

    private List<String> names(List<PersonId> some) {
        return some.stream().map(people::nameOf).toList();
    }

    private List<CaseJson.TodoLine> todos(SignedIn caller, boolean leads) {
        return index.todos(leads ? Optional.empty() : Optional.of(caller.person())).stream()
                .filter(one -> caseReading.find(caller, one.incident()).isPresent())
                .map(this::todo)
                .toList();
    }

    private CaseJson.TodoLine todo(CaseIndex.Todo one) {
        return new CaseJson.TodoLine(
                one.incident().number(),
                one.title(),
                one.number(),
                one.who().value(),
                people.nameOf(one.who()),
                one.what(),
                LocalDate.parse(one.until()),
                LocalDate.parse(one.until()).isBefore(today()));
    }

    private LocalDate today() {
        return school.date(clock.instant());
    }

    /** What is to be done by the caller, the most urgent first: for the own day. */
    @GetMapping("/mine")
    @For({TEACHER, LEAD})
    List<CaseJson.TodoLine> mine(@AuthenticationPrincipal SignedIn caller) {
        return todos(caller, false);
    }

    /** Whom somebody may mean, by a part of the name; of at least two letters. */
    @GetMapping("/people")
    @For(
            value = {TEACHER, LEAD},
            shows = Matter.COLLEAGUES)
    List<CaseJson.CasePerson> people(@RequestParam(defaultValue = "") String find) {
        String wanted = find.strip().toLowerCase(Locale.ROOT);
        return wanted.length() < 2
                ? List.of()
                : Arrays.stream(Position.values())
                        .flatMap(one -> people.inPosition(one).stream())
                        .filter(one -> one.name().toLowerCase(Locale.ROOT).contains(wanted))
                        .limit(12)
                        .map(one -> new CaseJson.CasePerson(one.id().value(), one.name()))
                        .toList();
    }

    /** One incident from top to bottom; the look is noted. */
    @GetMapping("/{incident}")
    @Noted(LOOK)
    @For({TEACHER, LEAD})
    CaseJson.IncidentPage incident(@PathVariable int incident, @AuthenticationPrincipal SignedIn caller) {
        return page(caseReading.of(caller, incident), caller);
    }

    private CaseJson.IncidentPage page(CaseReading.Readable readable, SignedIn caller) {
        Incident is = readable.incident();
        List<Casebook.Numbered> events = casebook.events(is.id());
        CaseEvent.EvidenceAdded first =
                is.evidence().isEmpty() ? null : is.evidence().get(0);
        int last = first == null
                ? 0
                : is.evidence().stream()
                        .filter(one -> one.lesson().equals(first.lesson()))
                        .mapToInt(CaseEvent.EvidenceAdded::last)
                        .max()
                        .orElse(0);
        int begin = first == null
                ? 0
                : is.evidence().stream()
                        .filter(one -> one.lesson().equals(first.lesson()))
                        .mapToInt(CaseEvent.EvidenceAdded::first)
                        .min()
                        .orElse(0);
        return new CaseJson.IncidentPage(
                is.id().number(),
                is.opened().title(),
                is.act().id(),
                is.act().name(),
                is.severity(),
                is.opened().origin().name(),
                is.isForLeads(),
                is.where().lesson().map(one -> one.value()).orElse(null),
                is.where().ofClass().map(one -> one.value()).orElse(null),
                is.where().ofClass().map(one -> classTitle(one.value())).orElse(null),
                is.where().moment(),
                is.isOpen(),
                is.mergedInto().map(IncidentId::number).orElse(null),
                is.people().entrySet().stream()
                        .map(one -> new CaseJson.IncidentPart(
                                one.getKey().value(), people.nameOf(one.getKey()), one.getValue()))
                        .toList(),
                story.of(is, events, readable.leads()),
                is.open().stream()
                        .map(one -> todo(new CaseIndex.Todo(
                                is.id(),
                                is.opened().title(),
                                one.number(),
                                one.who(),
                                one.what(),
                                one.until().toString())))
                        .toList(),
                is.links().stream()
                        .flatMap(one -> caseReading.find(caller, one).stream())
                        .map(one -> new CaseJson.IncidentLink(
                                one.incident().id().number(),
                                one.incident().opened().title()))
                        .toList(),
                is.out().stream().map(this::line).toList(),
                whySteps.of(is, ladder(Optional.of(is))).orElse(null),
                new CaseJson.IncidentProof(
                        is.evidence().stream()
                                .mapToInt(one -> one.last() - one.first() + 1)
                                .sum(),
                        is.number(),
                        begin,
                        last),
                readable.leads() ? looks(is.id()) : null,
                Holding.until(is.closedAt(), settings.ofSchool()).orElse(null),
                Arrays.stream(Deed.values())
                        .filter(one -> one.isFor(readable.ties()))
                        .toList(),
                LadderJson.of(ladders.ofSchool()).acts(),
                staff(),
                pupils(is));
    }

    private CaseJson.CasePerson line(PersonId person) {
        return new CaseJson.CasePerson(person.value(), people.nameOf(person));
    }

    private List<CaseJson.CaseLook> looks(IncidentId id) {
        return log.looksAt("%s of incident %d".formatted(LOOK, id.number()), 12).stream()
                .map(one -> new CaseJson.CaseLook(
                        people.nameOf(new PersonId(one.who())), one.at(), one.kind() == AccessLog.Kind.TOOK_AWAY))
                .toList();
    }

    private List<CaseJson.CasePerson> staff() {
        return Arrays.stream(new Position[] {LEAD, TEACHER})
                .flatMap(one -> people.inPosition(one).stream())
                .map(one -> new CaseJson.CasePerson(one.id().value(), one.name()))
                .toList();
    }

    /** Those of the class, who may have a part in it. */
    private List<CaseJson.CasePerson> pupils(Incident is) {
        return is.where().ofClass().stream()
                .flatMap(of -> classes.members(of, clock.instant()).stream())
                .map(one -> new CaseJson.CasePerson(one.person().value(), one.name()))
                .toList();
    }

    /**
     * @param lesson in which it was, if it was in one
     * @param moment when it was
     */
    record WriteIncidentRequest(
            String title,
            String act,
            Severity severity,
            @Nullable String lesson,
            Instant moment,
            List<String> did,
            List<String> suffered,
            boolean leadOnly) {}

    record IncidentMade(int incident) {}

    /** Writes down an incident that no step or worry opened. */
    @PostMapping
    @For({TEACHER, LEAD})
    IncidentMade write(@RequestBody WriteIncidentRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        Optional<Classes.Planned> lesson = Optional.ofNullable(wanted.lesson)
                .filter(one -> !one.isBlank())
                .map(one -> reading.ofLesson(caller, Matter.REGISTER, one));
        if (wanted.moment.isAfter(clock.instant())) {
            throw Problem.notReadable(
                    "This has not been yet", "An incident is of the past.", "Choose another time.", List.of());
        }
        List<PersonId> did = wanted.did.stream().map(PersonId::new).toList();
        List<PersonId> suffered = wanted.suffered.stream().map(PersonId::new).toList();
        did.forEach(this::known);
        suffered.forEach(this::known);
        var where = new CaseEvent.Where(
                lesson.map(Classes.Planned::id), lesson.map(Classes.Planned::ofClass), wanted.moment);
        var ties = reading.reader(caller).ties(About.SCHOOL);
        var decided = rules(Optional.empty(), ties)
                .decide(new CaseOrder.Write(
                        wanted.title,
                        wanted.act,
                        wanted.severity,
                        where,
                        did,
                        suffered,
                        wanted.leadOnly,
                        caller.person()));
        return new IncidentMade(decided.either(
                events -> casebook.open(withWriter(events, caller)).number(), why -> {
                    throw words.problem(why);
                }));
    }

    /** Whoever wrote it down has a part in it, and so reads it again. */
    private static List<CaseEvent> withWriter(List<CaseEvent> events, SignedIn caller) {
        var all = new ArrayList<>(events);
        all.add(new CaseEvent.PartTaken(
                caller.person(),
                Optional.of(CasePart.ACTED),
                caller.person(),
                events.get(0).at()));
        return all;
    }

    private void known(PersonId person) {
        people.find(person).orElseThrow(() -> Problem.notThere("This person"));
    }

    private CaseRules rules(Optional<Incident> is, Set<Tie> ties) {
        return new CaseRules(is, ties, ladder(is), today(), clock.instant());
    }

    private Ladder ladder(Optional<Incident> is) {
        return is.flatMap(one -> one.where().ofClass())
                .flatMap(classes::find)
                .map(one -> ladders.of(one.year()))
                .orElseGet(ladders::ofSchool);
    }

    private CaseJson.IncidentPage order(int number, SignedIn caller, CaseOrder order) {
        Set<Tie> ties = caseReading.of(caller, number).ties();
        casebook.order(new IncidentId(number), is -> rules(Optional.of(is), ties)
                        .decide(order))
                .ifPresent(why -> {
                    throw words.problem(why);
                });
        return page(caseReading.of(caller, number), caller);
    }

    /** @param part nothing: has no part in it after all */
    record PartRequest(String person, @Nullable CasePart part) {}

    /** Says in which part somebody is in an incident. */
    @PutMapping("/{incident}/people")
    @For({TEACHER, LEAD})
    CaseJson.IncidentPage part(
            @PathVariable int incident, @RequestBody PartRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        var person = new PersonId(wanted.person);
        known(person);
        return order(
                incident, caller, new CaseOrder.TakePart(person, Optional.ofNullable(wanted.part), caller.person()));
    }

    /** @param corrects the number of the event it corrects */
    record CaseNoteRequest(String text, boolean leadOnly, @Nullable Integer corrects) {}

    /** Adds a note, or a correction beside another one. */
    @PostMapping("/{incident}/notes")
    @For({TEACHER, LEAD})
    CaseJson.IncidentPage note(
            @PathVariable int incident, @RequestBody CaseNoteRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        return order(
                incident,
                caller,
                new CaseOrder.Note(
                        wanted.text, wanted.leadOnly, Optional.ofNullable(wanted.corrects), caller.person()));
    }

    record ClassifyRequest(String act, Severity severity) {}

    /** Says of which kind and how grave an incident is. */
    @PutMapping("/{incident}/kind")
    @For({TEACHER, LEAD})
    CaseJson.IncidentPage classify(
            @PathVariable int incident, @RequestBody ClassifyRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        return order(incident, caller, new CaseOrder.Classify(wanted.act, wanted.severity, caller.person()));
    }

    record FollowUpRequest(String what, String who, LocalDate until) {}

    /** Asks somebody to do something until a day. */
    @PostMapping("/{incident}/follow-ups")
    @For({TEACHER, LEAD})
    CaseJson.IncidentPage followUp(
            @PathVariable int incident, @RequestBody FollowUpRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        var who = new PersonId(wanted.who);
        people.find(who)
                .filter(one -> one.position() != Position.PUPIL)
                .orElseThrow(() -> Problem.notThere("This adult"));
        return order(incident, caller, new CaseOrder.SetFollowUp(wanted.what, who, wanted.until, caller.person()));
    }

    /** @param text what came of it, or why it is later; plain words */
    record FollowUpTextRequest(@Nullable String text, @Nullable LocalDate until) {}

    /** Something that was to be done is done. */
    @PostMapping("/{incident}/follow-ups/{number}/done")
    @For({TEACHER, LEAD})
    CaseJson.IncidentPage done(
            @PathVariable int incident,
            @PathVariable int number,
            @RequestBody FollowUpTextRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        return order(incident, caller, new CaseOrder.DoFollowUp(number, text(wanted.text), caller.person()));
    }

    /** Puts off what is to be done until a later day. */
    @PostMapping("/{incident}/follow-ups/{number}/later")
    @For({TEACHER, LEAD})
    CaseJson.IncidentPage later(
            @PathVariable int incident,
            @PathVariable int number,
            @RequestBody FollowUpTextRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        LocalDate until = wanted.until == null ? today() : wanted.until;
        return order(incident, caller, new CaseOrder.MoveFollowUp(number, until, text(wanted.text), caller.person()));
    }

    /** The incident with all that it rests on, in one file that can be checked. @param cover a pupil, for whose parents it is */
    @GetMapping("/{incident}/pack")
    @Noted(value = LOOK, takenAway = true)
    @For({TEACHER, LEAD})
    ResponseEntity<byte[]> pack(
            @PathVariable int incident,
            @RequestParam(defaultValue = "") String cover,
            @AuthenticationPrincipal SignedIn caller) {
        CaseReading.Readable readable = caseReading.of(caller, incident);
        Incident is = readable.incident();
        Optional<PersonId> covered =
                Optional.of(cover).filter(one -> !one.isBlank()).map(PersonId::new);
        if (!Deed.PACK.isFor(readable.ties())) {
            throw words.problem(CaseRefusal.NOT_YOURS);
        }
        if (covered.filter(one -> !is.people().containsKey(one)).isPresent()) {
            throw words.problem(CaseRefusal.NOT_IN_IT);
        }
        byte[] pack = packs.make(is, covered, caller.person(), clock.instant());
        casebook.order(
                is.id(),
                now -> CaseDecision.done(
                        new CaseEvent.PackMade(Ids.hash(pack), covered.isPresent(), caller.person(), clock.instant())));
        return Download.zip("evidence incident %d%s".formatted(incident, covered.isPresent() ? " copy" : ""), pack);
    }

    record CaseTextRequest(@Nullable String text) {}

    /** Writes down what was decided. */
    @PostMapping("/{incident}/decisions")
    @For({TEACHER, LEAD})
    CaseJson.IncidentPage decide(
            @PathVariable int incident, @RequestBody CaseTextRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        return order(incident, caller, new CaseOrder.Decide(text(wanted.text), caller.person()));
    }

    record PupilTextRequest(String pupil, @Nullable String text) {}

    /** Somebody talked with a pupil, who is let into the series again. */
    @PostMapping("/{incident}/talks")
    @For({TEACHER, LEAD})
    CaseJson.IncidentPage talked(
            @PathVariable int incident,
            @RequestBody PupilTextRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        return order(
                incident, caller, new CaseOrder.Talk(new PersonId(wanted.pupil), text(wanted.text), caller.person()));
    }

    /** Writes to the parents of a pupil, in the school's words. */
    @PostMapping("/{incident}/parents")
    @For({TEACHER, LEAD})
    CaseJson.IncidentPage parents(
            @PathVariable int incident,
            @RequestBody PupilTextRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        CaseJson.IncidentPage page = order(
                incident,
                caller,
                new CaseOrder.WriteParents(new PersonId(wanted.pupil), text(wanted.text), caller.person()));
        messages.send();
        return page;
    }

    record LinkRequest(int other, @Nullable String how) {}

    /** Links two incidents. */
    @PostMapping("/{incident}/links")
    @For({TEACHER, LEAD})
    CaseJson.IncidentPage link(
            @PathVariable int incident, @RequestBody LinkRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        caseReading.of(caller, wanted.other);
        return order(
                incident, caller, new CaseOrder.Link(new IncidentId(wanted.other), text(wanted.how), caller.person()));
    }

    /** Closes an incident. */
    @PostMapping("/{incident}/close")
    @For({TEACHER, LEAD})
    CaseJson.IncidentPage close(
            @PathVariable int incident, @RequestBody CaseTextRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        return order(incident, caller, new CaseOrder.Close(text(wanted.text), caller.person()));
    }

    /** Opens a closed incident again. */
    @PostMapping("/{incident}/reopen")
    @For({TEACHER, LEAD})
    CaseJson.IncidentPage reopen(
            @PathVariable int incident, @RequestBody CaseTextRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        return order(incident, caller, new CaseOrder.Reopen(text(wanted.text), caller.person()));
    }

    record MergeRequest(int into) {}

    /** It is the same as another one, which goes on in its place. */
    @PostMapping("/{incident}/merge")
    @For({TEACHER, LEAD})
    IncidentMade merge(
            @PathVariable int incident, @RequestBody MergeRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        CaseReading.Readable one = caseReading.of(caller, incident);
        CaseReading.Readable into = caseReading.of(caller, wanted.into);
        Joining.Two two = Joining.merge(one.incident(), into.incident(), one.ties(), caller.person(), clock.instant())
                .either(both -> both, why -> {
                    throw words.problem(why);
                });
        return new IncidentMade(casebook.both(one.incident(), Optional.of(into.incident()), id -> two)
                .number());
    }

    record SplitRequest(List<String> people, @Nullable String title) {}

    /** It is two: some of its people are in a new one from now on. */
    @PostMapping("/{incident}/split")
    @For({TEACHER, LEAD})
    IncidentMade split(
            @PathVariable int incident, @RequestBody SplitRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        CaseReading.Readable one = caseReading.of(caller, incident);
        List<PersonId> out =
                wanted.people.stream().distinct().map(PersonId::new).toList();
        return new IncidentMade(casebook.both(one.incident(), Optional.empty(), into -> Joining.split(
                                one.incident(),
                                into,
                                out,
                                text(wanted.title),
                                one.ties(),
                                caller.person(),
                                clock.instant())
                        .either(both -> both, why -> {
                            throw words.problem(why);
                        }))
                .number());
    }

    private static String text(@Nullable String text) {
        return text == null ? "" : text;
    }
}
