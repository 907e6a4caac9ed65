package juricast.server.upkeep;

import static juricast.server.access.Position.LEAD;

import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import juricast.core.accounts.AccountRules;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.limits.Limits;
import juricast.core.reading.Matter;
import juricast.server.access.AccessLog;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.classes.Classes;
import juricast.server.data.School;
import juricast.server.data.WrittenDay;
import juricast.server.files.Download;
import juricast.server.files.TableFile;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import juricast.server.rules.Settings;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Who looked at what about whom, for the lead: searched, taken away as a table, and forgotten by rule (need N9). */
@RestController
@RequestMapping("/api")
class LooksController {
    private static final Pattern PLACE = Pattern.compile("(.*) of (lesson|class) (\\S+)");
    private static final int MOST_OF_A_TABLE = 50_000;

    private final AccessLog log;
    private final People people;
    private final Classes classes;
    private final School school;
    private final Settings settings;
    private final Clock clock;

    LooksController(AccessLog log, People people, Classes classes, School school, Settings settings, Clock clock) {
        this.log = log;
        this.people = people;
        this.classes = classes;
        this.school = school;
        this.settings = settings;
        this.clock = clock;
    }

    /** @param keptDays how long such notes are kept, by the charter @param next where to go on; nothing at the end */
    record LooksPage(List<LookLine> lines, int keptDays, @Nullable Long next) {}

    record LookLine(
            long number, Instant at, AccessLog.Kind kind, String who, String about, String place, String address) {}

    /** Who looked at what, the latest first. @param name of who looked, or about whom @param before the number of the last line of the page before */
    @GetMapping("/looks")
    @For(value = LEAD, shows = Matter.ACCOUNTS)
    @Noted("who looked at what")
    LooksPage page(
            @RequestParam(required = false) AccessLog.@Nullable Kind kind,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String until,
            @RequestParam(defaultValue = "9007199254740991") long before) {
        List<LookLine> lines = lines(kind, name, from, until, before);
        Instant now = clock.instant();
        long days = Duration.between(now, new AccountRules(settings.ofSchool(), now).noteKeptUntil(now))
                .toDays();
        return new LooksPage(
                lines, (int) days, lines.size() < AccessLog.PAGE ? null : lines.get(lines.size() - 1).number);
    }

    /** The same as a table. */
    @GetMapping(path = "/looks.csv", produces = "text/csv")
    @For(value = LEAD, shows = Matter.ACCOUNTS)
    @Noted(value = "who looked at what, as a table", takenAway = true)
    ResponseEntity<byte[]> table(
            @RequestParam(required = false) AccessLog.@Nullable Kind kind,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String until) {
        var rows = new ArrayList<List<String>>();
        long before = Long.MAX_VALUE;
        List<LookLine> page = lines(kind, name, from, until, before);
        while (!page.isEmpty() && rows.size() < MOST_OF_A_TABLE) {
            for (LookLine one : page) {
                rows.add(List.of(
                        one.at.toString(),
                        one.kind.name().toLowerCase(Locale.ROOT).replace('_', '-'),
                        one.who,
                        one.about,
                        one.place,
                        one.address));
            }
            before = page.get(page.size() - 1).number;
            page = lines(kind, name, from, until, before);
        }
        return Download.csv(
                "who-looked", TableFile.write(List.of("at", "kind", "who", "about", "what", "address"), rows));
    }

    private List<LookLine> lines(AccessLog.@Nullable Kind kind, String name, String from, String until, long before) {
        Map<PersonId, String> names = people.names();
        String wanted =
                name.substring(0, Math.min(name.length(), Limits.NAME)).strip().toLowerCase(Locale.ROOT);
        List<String> found = wanted.isEmpty()
                ? List.of()
                : names.entrySet().stream()
                        .filter(one -> one.getValue().toLowerCase(Locale.ROOT).contains(wanted))
                        .map(one -> one.getKey().value())
                        .toList();
        if (!wanted.isEmpty() && found.isEmpty()) {
            return List.of();
        }
        return log
                .find(Optional.ofNullable(kind), found, day(from, Instant.EPOCH, 0), day(until, Instant.MAX, 1), before)
                .stream()
                .map(one -> new LookLine(
                        one.number(),
                        one.at(),
                        one.kind(),
                        named(names, one.who()),
                        one.about().isEmpty() ? "" : named(names, one.about()),
                        place(one.place()),
                        one.address()))
                .toList();
    }

    private static String named(Map<PersonId, String> names, String id) {
        return names.getOrDefault(new PersonId(id), id);
    }

    /** With the title of the lesson or class in place of its id. */
    private String place(String noted) {
        Matcher of = PLACE.matcher(noted);
        if (!of.matches()) {
            return noted;
        }
        String id = of.group(3);
        Optional<String> title = of.group(2).equals("class")
                ? classes.find(new ClassId(id)).map(Classes.SchoolClass::title)
                : classes.lesson(new LessonId(id)).map(lesson -> "%s, %s %s"
                        .formatted(
                                lesson.title(),
                                school.day(lesson.time().from()),
                                school.clockTime(lesson.time().from())));
        return title.map(said -> of.group(1) + ": " + said).orElse(noted);
    }

    private Instant day(String text, Instant none, int plus) {
        try {
            return text.isEmpty()
                    ? none
                    : WrittenDay.parse(text)
                            .plusDays(plus)
                            .atStartOfDay(school.zone())
                            .toInstant();
        } catch (DateTimeException unreadable) {
            throw Problem.notReadable(
                    "This is no day", "Nothing was looked for.", "Give a day such as 2027-07-01.", List.of());
        }
    }
}
