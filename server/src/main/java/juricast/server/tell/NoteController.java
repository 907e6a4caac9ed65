package juricast.server.tell;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import juricast.core.charter.Edit;
import juricast.core.charter.Place;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.Role;
import juricast.core.joining.JoinWord;
import juricast.core.joining.WayIn;
import juricast.core.reading.Matter;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Condition;
import juricast.core.rules.Permission;
import juricast.core.rules.PlannedRules;
import juricast.core.rules.Rule;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Setting;
import juricast.core.time.Span;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.classes.AccessToClasses;
import juricast.server.classes.Classes;
import juricast.server.classes.JoinLinks;
import juricast.server.classes.Reading;
import juricast.server.data.Addresses;
import juricast.server.data.Database;
import juricast.server.files.QrCode;
import juricast.server.languages.Language;
import juricast.server.problems.Problem;
import juricast.server.rules.Settings;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** How a class is joined: notes, links, QR code, join word, and whether pupils see the link. */
@RestController
@RequestMapping("/api/classes/{id}")
class NoteController {
    /** So far ahead it is looked for what comes again every week. */
    private static final Duration WEEKS = Duration.ofDays(35);

    private static final int SUGGESTIONS = 4;
    private static final int LONGEST_WORD = 40;

    private final Reading reading;
    private final AccessToClasses access;
    private final Classes classes;
    private final JoinLinks links;
    private final JoiningNote notes;
    private final Settings settings;
    private final Addresses addresses;
    private final Database database;
    private final Clock clock;

    NoteController(
            Reading reading,
            AccessToClasses access,
            Classes classes,
            JoinLinks links,
            JoiningNote notes,
            Settings settings,
            Addresses addresses,
            Database database,
            Clock clock) {
        this.addresses = addresses;
        this.reading = reading;
        this.access = access;
        this.classes = classes;
        this.links = links;
        this.notes = notes;
        this.settings = settings;
        this.database = database;
        this.clock = clock;
    }

    /**
     * @param link that pupils open
     * @param staffLink that leads adults to the desk after signing in
     * @param shown whether pupils see the link on their own page
     * @param shownMinutes how long before a lesson
     * @param shownBound whether a layer above keeps the class from showing it
     * @param renewal until when the link is good, in words
     * @param forPupils the short note
     * @param inFull the note for parents and visitors
     */
    record Joining(
            String link,
            String staffLink,
            String word,
            double bits,
            boolean shown,
            int shownMinutes,
            boolean shownBound,
            String renewal,
            JoiningNote.Note forPupils,
            JoiningNote.Note inFull) {}

    /** @param bits how hard it is to guess @param fault why it cannot be taken; nothing if it can */
    record WordCheck(
            String word, double bits, int wantedBits, List<WordNeighbour> neighbours, @Nullable String fault) {}

    /**
     * A word of another class that is near.
     *
     * @param word nothing for a class whose way in the caller may not read
     * @param letters in how many letters it differs
     */
    record WordNeighbour(String ofClass, @Nullable String word, int letters, boolean soundsAlike) {}

    record WordRequest(String word) {}

    record ShownRequest(boolean shown) {}

    /** Of the next weeks, so that a change of the timetable far away does not stand in today's note. */
    private String weekly(
            List<Classes.Planned> coming, Predicate<Classes.Planned> which, Instant now, Language language) {
        return notes.weekly(
                coming.stream()
                        .filter(which)
                        .map(Classes.Planned::time)
                        .filter(time -> time.from().isBefore(now.plus(WEEKS)))
                        .toList(),
                language);
    }

    /** How a class is joined: link, word, and what may be written of them. @param language of the notes, as "en" or "de" */
    @GetMapping("/joining")
    @For({TEACHER, LEAD})
    Joining joining(
            @PathVariable String id,
            @RequestParam(defaultValue = "en") String language,
            @AuthenticationPrincipal SignedIn caller) {
        var inLanguage = Language.of(language);
        Classes.SchoolClass found = reading.ofClass(caller, Matter.WAY_IN, id);
        Instant now = clock.instant();
        List<Classes.Planned> coming = classes.lessonsOf(found.id()).stream()
                .filter(one -> one.time().until().isAfter(now))
                .toList();
        Set<LessonId> helpHours = classes.helpHoursOf(found.id());
        Optional<Classes.Planned> next =
                coming.stream().filter(one -> !helpHours.contains(one.id())).findFirst();
        PlannedRules rules = next.map(one -> settings.ofLesson(one.id()))
                .orElseGet(() -> new PlannedRules(settings.ofClass(found.id())));
        Instant at = next.map(one -> one.time().from()).filter(now::isBefore).orElse(now);
        String link = absolute(links.ofClass(found));
        var about = new JoiningNote.About(
                found,
                classes.members(found.id(), now).stream()
                        .filter(one -> one.role().isAdultInCharge())
                        .map(Member::name)
                        .toList(),
                next.map(Classes.Planned::time),
                new JoiningNote.Weeks(
                        weekly(coming, one -> !helpHours.contains(one.id()), now, inLanguage),
                        weekly(coming, one -> helpHours.contains(one.id()), now, inLanguage)),
                link,
                found.word().text(),
                inLanguage);
        WayIn way = WayIn.of(
                rules, Role.PUPIL, next.map(Classes.Planned::time).orElse(new Span(at, at.plusSeconds(60))), now);
        return new Joining(
                link,
                absolute(links.ofStaff(found)),
                found.word().text(),
                found.word().bits(),
                way.shown().isPresent(),
                (int) rules.value(Catalogue.LINK_SHOWN, Role.PUPIL, at).length().toMinutes(),
                rules.ruling(Catalogue.LINK_VISIBLE, Role.PUPIL, at).floor().isPresent(),
                switch (rules.value(Catalogue.LINK_RENEWAL, Rule.ANSWERS, at).text()) {
                    case "each-lesson" -> "A new link is made after each lesson.";
                    case "each-week" -> "A new link is made after each week.";
                    case "each-term" -> "A new link is made after each term.";
                    default -> "The link stays the same for the whole series.";
                },
                notes.shortOne(about),
                notes.fullOne(about, rules.book(), at));
    }

    private String absolute(String path) {
        return addresses.of(path);
    }

    /** The link of the class as a QR code. */
    @GetMapping(path = "/link.svg", produces = "image/svg+xml")
    @For({TEACHER, LEAD})
    ResponseEntity<String> qrCode(@PathVariable String id, @AuthenticationPrincipal SignedIn caller) {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noStore())
                .body(QrCode.svg(absolute(links.ofClass(reading.ofClass(caller, Matter.WAY_IN, id)))));
    }

    /** How good a word would be; without one, how good the present one is. */
    @GetMapping("/word")
    @For({TEACHER, LEAD})
    WordCheck word(
            @PathVariable String id,
            @RequestParam(defaultValue = "") String of,
            @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = reading.ofClass(caller, Matter.WAY_IN, id);
        return check(caller, found, of.isBlank() ? found.word() : new JoinWord(plain(of)));
    }

    /** Words that could be taken. */
    @GetMapping("/word/suggestions")
    @For({TEACHER, LEAD})
    List<WordCheck> suggestions(@PathVariable String id, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = reading.ofClass(caller, Matter.WAY_IN, id);
        Set<JoinWord> taken = classes.joinWords();
        return Stream.generate(() -> check(caller, found, JoinWord.choose(new SecureRandom(), taken)))
                .limit(50)
                .filter(one -> one.fault == null)
                .limit(SUGGESTIONS)
                .toList();
    }

    /** Takes a word. 409 if the rules ask for a better one. */
    @PutMapping("/word")
    @For({TEACHER, LEAD})
    WordCheck choose(
            @PathVariable String id, @RequestBody WordRequest wanted, @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.runBy(caller, id);
        var word = new JoinWord(plain(wanted.word == null ? "" : wanted.word));
        String fault = check(caller, found, word).fault;
        if (fault != null) {
            throw Problem.refused(
                    "word-not-good", fault, "The word is as it was.", "Choose another, or take one that is proposed.");
        }
        database.write(sql -> {
            Classes.renameWord(sql, found.id(), word);
            return null;
        });
        return check(caller, access.runBy(caller, id), word);
    }

    private static String plain(String word) {
        return word.strip().toLowerCase(java.util.Locale.ROOT).replaceAll("\\s+", "-");
    }

    private WordCheck check(SignedIn caller, Classes.SchoolClass found, JoinWord word) {
        Rulebook rules = settings.ofClass(found.id());
        Instant now = clock.instant();
        int bits = rules.value(Catalogue.WORD_STRENGTH, Rule.ANSWERS, now).number();
        int letters = rules.value(Catalogue.WORD_DISTANCE, Rule.ANSWERS, now).number();
        JoinWord.Said said = word.said();
        Set<ClassId> known = reading.titles(caller, Matter.WAY_IN).keySet();
        var near = new ArrayList<WordNeighbour>();
        boolean tooNear = false;
        for (Classes.SchoolClass other : classes.all()) {
            if (other.id().equals(found.id())) {
                continue;
            }
            JoinWord.Said otherSaid = other.word().said();
            boolean alike = said.heard().equals(otherSaid.heard());
            // Those within twice the distance are shown: the nearest one can be told from none at all.
            if (said.isNearerThan(letters * 2 + 1, otherSaid)) {
                near.add(new WordNeighbour(
                        other.title(),
                        known.contains(other.id()) ? other.word().text() : null,
                        word.distanceTo(other.word()),
                        alike));
            }
            tooNear |= said.isNearerThan(letters, otherSaid);
        }
        near.sort(Comparator.comparingInt(WordNeighbour::letters));
        return new WordCheck(word.text(), word.bits(), bits, near, fault(word, bits, letters, tooNear));
    }

    private static @Nullable String fault(JoinWord word, int bits, int letters, boolean tooNear) {
        if (!word.text().matches("[\\p{L}\\p{N}][\\p{L}\\p{N}-]{2,}")
                || word.text().length() > LONGEST_WORD) {
            return "A join word has 3 to %d letters, digits and hyphens".formatted(LONGEST_WORD);
        }
        if (word.bits() < bits) {
            return "This word is too easy to guess: %d bits, and the rules ask for %d"
                    .formatted((int) word.bits(), bits);
        }
        return tooNear
                ? "This word is too near to that of another class: it must differ in %d letters, and sound different"
                        .formatted(letters)
                : null;
    }

    /** Shows the link on the pupils' own pages, or hides it: a setting of this class, kept with who and when. */
    @PutMapping("/link/shown")
    @For({TEACHER, LEAD})
    Joining show(
            @PathVariable String id,
            @RequestBody ShownRequest wanted,
            @RequestParam(defaultValue = "en") String language,
            @AuthenticationPrincipal SignedIn caller) {
        Classes.SchoolClass found = access.runBy(caller, id);
        Instant now = clock.instant();
        database.write(sql -> {
            for (Role role : List.of(Role.PUPIL, Role.CLASS_MONITOR)) {
                var edit = new Edit(
                        Place.of(found.id()),
                        Catalogue.LINK_VISIBLE,
                        role,
                        Condition.ALWAYS,
                        Optional.of(wanted.shown ? Permission.OPEN : Permission.CLOSED),
                        false,
                        "",
                        Setting.FOR_EVER);
                Settings.write(sql, edit, caller.person(), now, now);
            }
            return null;
        });
        return joining(id, language, caller);
    }
}
