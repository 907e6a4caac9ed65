package juricast.server.timetable;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.charter.SchoolRules;
import juricast.core.inspection.Finding;
import juricast.core.inspection.Inspection;
import juricast.core.inspection.Mend;
import juricast.core.limits.Limits;
import juricast.core.reading.Matter;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.classes.Reading;
import juricast.server.data.Ids;
import juricast.server.data.School;
import juricast.server.data.WrittenDay;
import juricast.server.problems.Problem;
import juricast.server.rules.DraftedRules;
import juricast.server.words.FindingWords;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** The weak spots of what is planned: shown, mended after a preview, or accepted with a reason and an end. */
@RestController
@RequestMapping("/api/inspection")
class InspectionController {
    private static final int TREND_DAYS = 42;
    private static final int LONGEST_ACCEPTED_DAYS = 200;

    private final Inspections inspections;
    private final Changes changes;
    private final Reading reading;
    private final Seen seen;
    private final School school;
    private final DraftedRules rules;
    private final DangersAhead ahead;
    private final Clock clock;

    InspectionController(
            Inspections inspections,
            Changes changes,
            Reading reading,
            Seen seen,
            School school,
            DraftedRules rules,
            DangersAhead ahead,
            Clock clock) {
        this.inspections = inspections;
        this.changes = changes;
        this.reading = reading;
        this.seen = seen;
        this.school = school;
        this.rules = rules;
        this.ahead = ahead;
        this.clock = clock;
    }

    /** @param lessons how many were inspected @param trend how it stood on former days; of the whole school, for the lead */
    record InspectionPage(
            int lessons,
            List<Seen.WeakSpot> open,
            List<Seen.WeakSpot> accepted,
            List<Inspections.InspectedDay> trend) {}

    record WeakSpotKeys(List<String> keys) {}

    /**
     * What mends would bring.
     *
     * @param fingerprint names exactly this; it is sent back to carry it out
     * @param mends what would be done, each once
     * @param gone how many of the weak spots would be gone
     * @param appearing those that would be new
     */
    record MendPreview(
            String fingerprint, List<String> mends, List<Seen.WeakSpot> gone, List<Seen.WeakSpot> appearing) {}

    /** @param appearing weak spots that a draft makes @param gone those that it takes away */
    record DraftEffect(List<Seen.WeakSpot> appearing, List<Seen.WeakSpot> gone) {}

    record MendRequest(List<String> keys, String fingerprint) {}

    record MendsMade(String change, int mends) {}

    record AcceptRequest(String key, String why, String until) {}

    record ReopenRequest(String key) {}

    /** Weak spots of the timetable, with how each is mended. */
    @GetMapping
    @For({LEAD, TEACHER})
    InspectionPage page(@AuthenticationPrincipal SignedIn caller) {
        Inspection inspection = inspections.now();
        Map<String, Inspections.Acceptance> accepted = inspections.accepted();
        List<Finding> all = seen.of(caller, inspection.findings());
        List<Finding> open = Inspections.open(inspection, accepted.keySet());
        FindingWords.Names names = seen.names(inspection);
        return new InspectionPage(
                inspection.school().size(),
                seen.lines(seen.of(caller, open), names, accepted),
                seen.lines(
                        all.stream()
                                .filter(one -> accepted.containsKey(one.key()))
                                .toList(),
                        names,
                        accepted),
                reading.mayReadAll(caller, Matter.WEAK_SPOTS) ? inspections.trend(open, TREND_DAYS) : List.of());
    }

    /** Weak spots of today and of the next day with lessons that concern the caller, the worst first. */
    @GetMapping("/soon")
    @For({LEAD, TEACHER})
    List<Seen.WeakSpot> soon(@AuthenticationPrincipal SignedIn caller) {
        return seen.lines(ahead.soon(caller), seen.names(inspections.now()), Map.of());
    }

    /**
     * What the caller's draft of the rules at a place would bring: weak spots that it makes, and those that it takes away.
     *
     * @param from the first day on which the draft counts; empty for now
     */
    @GetMapping("/draft/{place}")
    @For({LEAD, TEACHER})
    DraftEffect draft(
            @PathVariable String place,
            @RequestParam(defaultValue = "") String from,
            @AuthenticationPrincipal SignedIn caller) {
        SchoolRules drafted = rules.of(caller, place, from);
        Inspection before = inspections.now();
        Inspection after = Inspection.of(before.school(), drafted, clock.instant());
        FindingWords.Names names = seen.names(before);
        Set<String> had = keys(before.findings());
        Set<String> have = keys(after.findings());
        return new DraftEffect(
                seen.lines(
                        seen.of(caller, after.findings()).stream()
                                .filter(one -> !had.contains(one.key()))
                                .toList(),
                        names,
                        Map.of()),
                seen.lines(
                        seen.of(caller, before.findings()).stream()
                                .filter(one -> !have.contains(one.key()))
                                .toList(),
                        names,
                        Map.of()));
    }

    /** Shows what mends would bring; nothing is changed. */
    @PostMapping("/preview")
    @For({LEAD, TEACHER})
    MendPreview preview(@RequestBody WeakSpotKeys wanted, @AuthenticationPrincipal SignedIn caller) {
        return preview(wanted.keys, caller);
    }

    private MendPreview preview(@Nullable List<String> keys, SignedIn caller) {
        Inspection before = inspections.now();
        List<Mend> mends = mends(keys, caller, before);
        Inspection after = before.after(mends);
        FindingWords.Names names = seen.names(before);
        Set<String> had = keys(before.findings());
        Set<String> have = keys(after.findings());
        // A new word is chosen when it is carried out; that it is strong and far from all others is certain.
        Set<String> newWords = before.findings().stream()
                .filter(one -> one.mend()
                        .filter(mend -> mend instanceof Mend.NewWord && mends.contains(mend))
                        .isPresent())
                .map(Finding::key)
                .collect(Collectors.toSet());
        List<Finding> gone = before.findings().stream()
                .filter(one -> !have.contains(one.key()) || newWords.contains(one.key()))
                .toList();
        List<Finding> appearing = after.findings().stream()
                .filter(one -> !had.contains(one.key()))
                .toList();
        return new MendPreview(
                Ids.hash(mends.toString() + gone + appearing),
                mends.stream().map(mend -> seen.mend(mend, names)).toList(),
                seen.lines(gone, names, Map.of()),
                seen.lines(appearing, names, Map.of()));
    }

    /** Carries out what the preview showed, as one change that can be undone. 409 if it would bring something else by now. */
    @PostMapping("/mend")
    @For({LEAD, TEACHER})
    MendsMade mend(@RequestBody MendRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        MendPreview shown = preview(wanted.keys, caller);
        if (!shown.fingerprint.equals(wanted.fingerprint)) {
            throw Problem.refused(
                    "changed-meanwhile",
                    "The plan has changed since the preview",
                    "Nothing was changed.",
                    "Look at the new preview, then mend it.");
        }
        List<Mend> mends = mends(wanted.keys, caller, inspections.now());
        String what = mends.size() == 1 ? shown.mends.get(0) : "%d mends".formatted(mends.size());
        return new MendsMade(changes.mend(mends, what, caller.person(), new SecureRandom()), mends.size());
    }

    private List<Mend> mends(@Nullable List<String> keys, SignedIn caller, Inspection inspection) {
        Set<String> wanted = Set.copyOf(keys == null ? List.of() : keys);
        List<Mend> mends = seen.mendable(caller, inspection).stream()
                .filter(one -> wanted.contains(one.key()))
                .flatMap(one -> one.mend().stream())
                .distinct()
                .toList();
        if (mends.isEmpty()) {
            throw Problem.refused(
                    "nothing-to-mend",
                    "There is nothing to mend",
                    "These weak spots are gone, are not of your lessons, or must be mended by hand.",
                    "Look at the inspection again.");
        }
        return mends;
    }

    /** Answers for a weak spot until a day; it is then not counted. */
    @PostMapping("/accept")
    @For(LEAD)
    InspectionPage accept(@RequestBody AcceptRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        LocalDate today = school.date(clock.instant());
        LocalDate until = date(wanted.until);
        String why = wanted.why == null ? "" : wanted.why.strip();
        boolean isKnown =
                inspections.now().findings().stream().anyMatch(one -> one.key().equals(wanted.key));
        if (why.isEmpty()
                || why.length() > Limits.REASON
                || until.isBefore(today)
                || until.isAfter(today.plusDays(LONGEST_ACCEPTED_DAYS))
                || !isKnown) {
            throw Problem.notReadable(
                    "This cannot be accepted",
                    "The weak spot is as it was.",
                    "Say why in up to %d characters, and until when: at most %d days from now."
                            .formatted(Limits.REASON, LONGEST_ACCEPTED_DAYS),
                    List.of(new Problem.Wrong(why.isEmpty() ? "why" : "until", "needed")));
        }
        inspections.accept(wanted.key, why, until, caller.person());
        return page(caller);
    }

    /** Takes back that somebody answers for a weak spot. */
    @PostMapping("/reopen")
    @For(LEAD)
    InspectionPage reopen(@RequestBody ReopenRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        inspections.reopen(String.valueOf(wanted.key));
        return page(caller);
    }

    private static LocalDate date(@Nullable String text) {
        try {
            return WrittenDay.parse(String.valueOf(text));
        } catch (DateTimeParseException unreadable) {
            return LocalDate.MIN;
        }
    }

    private static Set<String> keys(List<Finding> findings) {
        return findings.stream().map(Finding::key).collect(Collectors.toSet());
    }
}
