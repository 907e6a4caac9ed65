package juricast.server.conduct;

import static juricast.core.conduct.ConductPart.CONDUCT;
import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import juricast.core.casebook.Evidence;
import juricast.core.conduct.ConductOrder;
import juricast.core.conduct.ConductRules;
import juricast.core.conduct.Row;
import juricast.core.conduct.Worry;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.ladder.Ladder;
import juricast.core.ladder.Proposal;
import juricast.core.rules.Catalogue;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.ladder.LadderJson;
import juricast.server.lesson.DeskOrders;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.Ordered;
import juricast.server.lesson.SeatOrders;
import juricast.server.lesson.Snapshot;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Steps of the ladder with what is proposed and why, moments for later, and worries of pupils. */
@RestController
@RequestMapping("/api")
class ConductController {
    private final LiveLessons lessons;
    private final DeskOrders desk;
    private final SeatOrders seats;

    ConductController(LiveLessons lessons, DeskOrders desk, SeatOrders seats) {
        this.lessons = lessons;
        this.desk = desk;
        this.seats = seats;
    }

    /**
     * What an adult needs to act on some pupils.
     *
     * @param latest the number of the latest step, to be named when one is taken
     * @param people each with what is proposed for each kind of act
     * @param evidence what would be taken along as evidence
     */
    record StepSheet(
            LadderJson.LadderBody ladder,
            int latest,
            List<StepPerson> people,
            List<StepRow> rows,
            StepEvidence evidence) {}

    record StepPerson(String id, String name, List<ProposedStep> proposed) {}

    /** @param step which step, by its id @param why in sentences */
    record ProposedStep(String act, String step, int level, List<String> why, double sum) {}

    record StepRow(Row row, List<String> people) {}

    record StepEvidence(int minutes, int words, int files, int marks, int signals, int present, boolean recorded) {}

    /** Everything that is proposed against some pupils now. @param people their ids, with commas between; may be none */
    @GetMapping("/lessons/{lesson}/conduct")
    @For({TEACHER, LEAD})
    StepSheet sheet(
            @PathVariable String lesson,
            @RequestParam(defaultValue = "") String people,
            @RequestParam(defaultValue = "5") int minutes,
            @AuthenticationPrincipal SignedIn caller) {
        LessonId id = desk.known(lesson, caller);
        Snapshot at = lessons.look(id);
        Instant now = lessons.now();
        Ladder ladder = at.plan().conduct().ladder();
        List<PersonId> who = Arrays.stream(people.split(","))
                .filter(one -> !one.isBlank())
                .map(PersonId::new)
                .filter(one -> at.plan().member(one).isPresent())
                .distinct()
                .limit(ConductRules.MOST_PEOPLE)
                .toList();
        var rules = new ConductRules(at.state().of(CONDUCT), at.at(now).room());
        int before = Math.max(0, Math.min((int) ConductRules.MOST_EVIDENCE.toMinutes(), minutes));
        return new StepSheet(
                LadderJson.of(ladder),
                at.state().of(CONDUCT).latest(),
                who.stream()
                        .map(one -> new StepPerson(
                                one.value(),
                                at.plan().nameOf(one),
                                ladder.acts().stream()
                                        .map(act -> proposed(rules.proposal(one, act), now))
                                        .toList()))
                        .toList(),
                Arrays.stream(Row.values())
                        .map(row -> new StepRow(
                                row,
                                row.of(at.plan(), at.state(), now).stream()
                                        .map(PersonId::value)
                                        .toList()))
                        .toList(),
                evidence(at, Set.copyOf(who), before, now));
    }

    private static ProposedStep proposed(Proposal one, Instant now) {
        return new ProposedStep(one.act().id(), one.step().id(), one.level(), ProposalWords.why(one, now), one.sum());
    }

    private static StepEvidence evidence(Snapshot at, Set<PersonId> who, int minutes, Instant now) {
        Evidence found =
                Evidence.of(at.plan(), at.events(), at.rules(), who, now.minus(Duration.ofMinutes(minutes)), now);
        return new StepEvidence(
                minutes,
                found.count(Evidence.Kind.WORDS),
                found.count(Evidence.Kind.FILE),
                found.count(Evidence.Kind.MARK) + found.count(Evidence.Kind.SLATE),
                found.count(Evidence.Kind.SIGNAL),
                found.present().size(),
                found.isRecorded());
    }

    /**
     * @param right of a curb: another right than the ladder has it, by its key
     * @param minutes of a curb: another time
     * @param named the rule that is named to the pupil, by its key
     * @param evidenceMinutes how long before now its evidence begins
     * @param seen the number of the latest step that the caller knows of
     */
    record StepRequest(
            List<String> people,
            String act,
            String step,
            @Nullable String right,
            @Nullable Integer minutes,
            @Nullable String named,
            @Nullable String why,
            @Nullable Integer evidenceMinutes,
            int seen) {}

    /** Takes a step of the ladder with one or several pupils. */
    @PostMapping("/lessons/{lesson}/steps")
    @For({TEACHER, LEAD})
    Ordered step(
            @PathVariable String lesson, @RequestBody StepRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        var how = new ConductOrder.How(
                Optional.ofNullable(wanted.right)
                        .map(key -> Catalogue.rightByKey(key).orElseThrow(() -> Problem.notThere("This right"))),
                Optional.ofNullable(wanted.minutes).map(Duration::ofMinutes),
                Optional.ofNullable(wanted.named)
                        .map(key -> Catalogue.byKey(key).orElseThrow(() -> Problem.notThere("This rule"))));
        return desk.order(
                lesson,
                caller,
                new ConductOrder.TakeStep(
                        wanted.people.stream().map(PersonId::new).toList(),
                        wanted.act,
                        wanted.step,
                        how,
                        text(wanted.why),
                        wanted.evidenceMinutes == null
                                ? ConductRules.EVIDENCE
                                : Duration.ofMinutes(wanted.evidenceMinutes),
                        wanted.seen,
                        caller.person()));
    }

    record StepNoteRequest(String text) {}

    /** Writes a note to a step. */
    @PostMapping("/lessons/{lesson}/steps/{number}/notes")
    @For({TEACHER, LEAD})
    Ordered note(
            @PathVariable String lesson,
            @PathVariable int number,
            @RequestBody StepNoteRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new ConductOrder.Note(number, wanted.text, caller.person()));
    }

    record WithdrawRequest(String why) {}

    /** Withdraws a step taken in error. */
    @PostMapping("/lessons/{lesson}/steps/{number}/withdraw")
    @For({TEACHER, LEAD})
    Ordered withdraw(
            @PathVariable String lesson,
            @PathVariable int number,
            @RequestBody WithdrawRequest wanted,
            @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new ConductOrder.Withdraw(number, wanted.why, caller.person()));
    }

    record MomentRequest(@Nullable String text) {}

    /** Marks this moment to be looked at later. */
    @PostMapping("/lessons/{lesson}/moments")
    @For({TEACHER, LEAD})
    Ordered mark(
            @PathVariable String lesson, @RequestBody MomentRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new ConductOrder.MarkMoment(text(wanted.text), caller.person()));
    }

    /** An adult has seen to a worry. */
    @PostMapping("/lessons/{lesson}/worries/{number}/seen")
    @For({TEACHER, LEAD})
    Ordered seen(@PathVariable String lesson, @PathVariable int number, @AuthenticationPrincipal SignedIn caller) {
        return desk.order(lesson, caller, new ConductOrder.SettleWorry(number, caller.person()));
    }

    /** @param leadOnly whether the pupil wants only the safeguarding lead to read it */
    record WorryRequest(Worry.About about, @Nullable String words, boolean leadOnly) {}

    /** Says quietly that something is wrong. */
    @PostMapping("/seats/{visit}/worry")
    @For(anyone = true)
    Ordered raise(@PathVariable String visit, @RequestBody WorryRequest wanted, HttpServletRequest request) {
        SeatOrders.Mine mine = seats.mine(visit, request);
        return seats.order(
                mine, new ConductOrder.RaiseWorry(mine.visit(), wanted.about, text(wanted.words), wanted.leadOnly));
    }

    private static String text(@Nullable String text) {
        return text == null ? "" : text;
    }
}
