package juricast.server.timetable;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.inspection.Finding;
import juricast.core.inspection.Inspection;
import juricast.core.inspection.Mend;
import juricast.core.inspection.Severity;
import juricast.core.reading.About;
import juricast.core.reading.Matter;
import juricast.core.reading.Reader;
import juricast.core.time.Span;
import juricast.server.access.SignedIn;
import juricast.server.classes.Reading;
import juricast.server.people.People;
import juricast.server.words.FindingWords;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Findings as somebody may see them: the safeguarding lead all of them, an adult those of the own lessons. */
@Component
class Seen {
    private final Reading reading;
    private final People people;
    private final FindingWords words;
    private final Clock clock;

    Seen(Reading reading, People people, FindingWords words, Clock clock) {
        this.reading = reading;
        this.people = people;
        this.words = words;
        this.clock = clock;
    }

    /**
     * One weak spot on the wire.
     *
     * @param severity how much it matters
     * @param heading what kind it is
     * @param starts when the lesson is that it is about; nothing where it is about a class
     * @param otherTitle the class it clashes with
     * @param rule the key of the rule of the charter behind it
     * @param mend how the program can mend it, as something to press
     * @param accepted who answers for it, why and until when
     */
    record WeakSpot(
            String key,
            String kind,
            Severity severity,
            String heading,
            String classId,
            String title,
            @Nullable String lesson,
            java.time.@Nullable Instant starts,
            java.time.@Nullable Instant ends,
            @Nullable String otherTitle,
            java.time.@Nullable Instant otherStarts,
            java.time.@Nullable Instant otherEnds,
            String sentence,
            String why,
            @Nullable String rule,
            @Nullable String ruleTitle,
            @Nullable String mend,
            Inspections.@Nullable Acceptance accepted) {}

    /** The findings about the classes that this adult belongs to, or about the lessons in which they cover. */
    List<Finding> of(SignedIn caller, List<Finding> findings) {
        Reader reader = reading.reader(caller);
        return findings.stream()
                .filter(one -> reader.mayRead(Matter.WEAK_SPOTS, about(one)))
                .toList();
    }

    private static About about(Finding finding) {
        // A class may clash with itself.
        var classes = new HashSet<>(Set.of(finding.ofClass()));
        finding.otherClass().ifPresent(classes::add);
        return About.classes(classes);
    }

    /** Names and times that the words of a school's findings need. */
    FindingWords.Names names(Inspection inspection) {
        return names(inspection, inspection.school().days().keySet());
    }

    /** The same for findings of some days only. */
    FindingWords.Names names(Inspection inspection, Collection<LocalDate> days) {
        var times = new HashMap<LessonId, Span>();
        days.forEach(day -> inspection
                .school()
                .days()
                .getOrDefault(day, List.of())
                .forEach(one -> times.put(one.id(), one.time())));
        Map<PersonId, String> known = people.names();
        return new FindingWords.Names(
                inspection.school().classes()::get, times::get, id -> known.getOrDefault(id, "somebody who has left"));
    }

    List<WeakSpot> lines(
            List<Finding> findings, FindingWords.Names names, Map<String, Inspections.Acceptance> accepted) {
        return findings.stream().map(one -> line(one, names, accepted)).toList();
    }

    private WeakSpot line(Finding finding, FindingWords.Names names, Map<String, Inspections.Acceptance> accepted) {
        Span time = finding.lesson().map(names.times()).orElse(null);
        Span other = finding.other().map(names.times()).orElse(null);
        return new WeakSpot(
                finding.key(),
                finding.kind().name(),
                finding.kind().severity(),
                FindingWords.heading(finding.kind()),
                finding.ofClass().value(),
                names.classes().apply(finding.ofClass()).title(),
                finding.lesson().map(LessonId::value).orElse(null),
                time == null ? null : time.from(),
                time == null ? null : time.until(),
                finding.otherClass()
                        .map(id -> names.classes().apply(id).title())
                        .orElse(null),
                other == null ? null : other.from(),
                other == null ? null : other.until(),
                words.sentence(finding, names),
                FindingWords.why(finding.kind()),
                finding.kind().rule().map(rule -> rule.key()).orElse(null),
                finding.kind().rule().map(rule -> rule.title()).orElse(null),
                finding.mend()
                        .filter(mend -> isToCome(mend, names))
                        .map(mend -> words.mend(mend, names))
                        .orElse(null),
                accepted.get(finding.key()));
    }

    String sentence(Finding finding, FindingWords.Names names) {
        return words.sentence(finding, names);
    }

    String mend(Mend mend, FindingWords.Names names) {
        return words.mend(mend, names);
    }

    /** What this person may mend: the lead everything, an adult only what changes lessons of the own classes. */
    List<Finding> mendable(SignedIn caller, Inspection inspection) {
        FindingWords.Names names = names(inspection);
        Set<ClassId> mine = reading.reader(caller).adultOf();
        return inspection.findings().stream()
                .filter(one -> one.mend().filter(mend -> isToCome(mend, names)).isPresent())
                .filter(one -> caller.isLead()
                        || mine.contains(one.ofClass())
                                && one.otherClass().map(mine::contains).orElse(true))
                .toList();
    }

    /** What has begun is not planned anew, also not to mend what comes after it. */
    private boolean isToCome(Mend mend, FindingWords.Names names) {
        return mend.changes()
                .map(lesson -> names.times().apply(lesson).from().isAfter(clock.instant()))
                .orElse(true);
    }
}
