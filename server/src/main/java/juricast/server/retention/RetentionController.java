package juricast.server.retention;

import static juricast.server.access.Position.LEAD;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import juricast.core.identity.LessonId;
import juricast.core.keeping.Retention;
import juricast.core.reading.Matter;
import juricast.core.rules.Count;
import juricast.core.rules.Rule;
import juricast.core.rules.Rulebook;
import juricast.server.access.For;
import juricast.server.classes.Classes;
import juricast.server.data.School;
import juricast.server.people.People;
import juricast.server.record.Forgotten;
import juricast.server.record.Holds;
import juricast.server.rules.Settings;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is kept how long and by which rule, what goes next week, what went, and what is held (need N4). */
@RestController
@RequestMapping("/api/kept")
class RetentionController {
    private static final Duration NEXT = Duration.ofDays(7);
    private static final Duration WENT = Duration.ofDays(60);
    private static final int MOST = 100;

    private final LessonForgetting lessons;
    private final ObjectProvider<KeptKind> kinds;
    private final Forgotten forgotten;
    private final Holds holds;
    private final Settings settings;
    private final Classes classes;
    private final People people;
    private final School school;
    private final int backupsKept;
    private final Clock clock;

    RetentionController(
            LessonForgetting lessons,
            ObjectProvider<KeptKind> kinds,
            Forgotten forgotten,
            Holds holds,
            Settings settings,
            Classes classes,
            People people,
            School school,
            @Value("${juricast.backups.keep}") int backupsKept,
            Clock clock) {
        this.lessons = lessons;
        this.kinds = kinds;
        this.forgotten = forgotten;
        this.holds = holds;
        this.settings = settings;
        this.classes = classes;
        this.people = people;
        this.school = school;
        this.backupsKept = backupsKept;
        this.clock = clock;
    }

    /** @param backupsKept how many backups are kept, in which what went is still found */
    record KeptAndForgotten(List<KeptLine> kinds, List<HeldBackLine> held, List<ForgottenLine> went, int backupsKept) {}

    /** @param days as the school has it; classes and lessons may have it otherwise */
    record KeptLine(Retention kind, String rule, String title, int days, boolean ofLessons, int nextWeek, int held) {}

    record HeldBackLine(String lesson, String title, String why, String by, Instant since) {}

    record ForgottenLine(Instant at, String kind, String about, String rule, int count) {}

    /** What is kept how long, what goes next, and what went. */
    @GetMapping
    @For(value = LEAD, shows = Matter.KEPT_AND_FORGOTTEN)
    KeptAndForgotten page() {
        Instant now = clock.instant();
        Rulebook book = settings.ofSchool();
        return new KeptAndForgotten(
                Arrays.stream(Retention.values())
                        .map(kind -> line(kind, book, now))
                        .toList(),
                holds.all().stream()
                        .map(one -> new HeldBackLine(
                                one.lesson().value(),
                                titled(one.lesson().value()),
                                one.why(),
                                people.nameOf(one.by()),
                                one.at()))
                        .toList(),
                forgotten.latest(now.minus(WENT), MOST).stream()
                        .map(one ->
                                new ForgottenLine(one.at(), one.kind(), titled(one.about()), one.rule(), one.count()))
                        .toList(),
                backupsKept);
    }

    private KeptLine line(Retention kind, Rulebook book, Instant now) {
        Rule<Count> rule = kind.rule();
        KeptKind.Coming coming = LessonForgetting.KINDS.contains(kind)
                ? lessons.coming(kind, now.plus(NEXT))
                : kinds.stream()
                        .filter(one -> one.kind() == kind)
                        .findFirst()
                        .map(one -> one.coming(now.plus(NEXT)))
                        .orElseThrow();
        return new KeptLine(
                kind,
                rule.key(),
                rule.title(),
                book.value(rule, Rule.ANSWERS, now).number(),
                kind.isOfLessons(),
                coming.due(),
                coming.held());
    }

    /** A lesson by its title and day; what is no lesson as it was noted. */
    private String titled(String about) {
        if (about.isEmpty()) {
            return "";
        }
        return classes.lesson(new LessonId(about))
                .map(one ->
                        "%s, %s".formatted(one.title(), school.day(one.time().from())))
                .orElse(about);
    }
}
