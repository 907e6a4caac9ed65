package juricast.server.rules;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import juricast.core.charter.Edit;
import juricast.core.charter.Place;
import juricast.core.charter.SchoolRules;
import juricast.core.charter.SetUse;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
import juricast.core.reading.About;
import juricast.core.reading.Matter;
import juricast.core.reading.Reader;
import juricast.core.rules.Setting;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.classes.AccessToClasses;
import juricast.server.classes.Classes;
import juricast.server.classes.Reading;
import juricast.server.data.Ids;
import juricast.server.problems.Problem;
import juricast.server.words.ConditionWords;
import juricast.server.words.RuleWords;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;

/** The ready-made sets, and the classes that use them. */
@RestController
@RequestMapping("/api")
class SetsController {
    private static final int NAME = 60;
    private static final int PURPOSE = 300;

    private final ReadyMadeSets sets;
    private final Settings settings;
    private final Consequences consequences;
    private final RulesAccess access;
    private final Reading reading;
    private final AccessToClasses classAccess;
    private final Classes classes;
    private final Clock clock;

    SetsController(
            ReadyMadeSets sets,
            Settings settings,
            Consequences consequences,
            RulesAccess access,
            Reading reading,
            AccessToClasses classAccess,
            Classes classes,
            Clock clock) {
        this.sets = sets;
        this.settings = settings;
        this.consequences = consequences;
        this.access = access;
        this.reading = reading;
        this.classAccess = classAccess;
        this.classes = classes;
        this.clock = clock;
    }

    /** @param says what it sets, in words @param usedBy the classes that use it @param own whether the caller may change it */
    record ReadySet(
            String id,
            String name,
            String purpose,
            boolean ofSchool,
            boolean own,
            List<String> says,
            List<String> usedBy) {}

    /** @param copyOf a place whose own settings the new set begins with: another set, or a class; nothing for an empty one */
    record NewSet(@Nullable String name, @Nullable String purpose, @Nullable String copyOf) {}

    private static boolean mayRead(Reader reader, ReadyMadeSets.Named set) {
        return set.owner().isEmpty()
                ? reader.mayReadAll(Matter.CHARTER)
                : reader.mayRead(Matter.OWN_SETS, About.person(new PersonId(set.owner()), Set.of()));
    }

    /** Sets of rules: ready-made ones, the school's, one's own. */
    @GetMapping("/sets")
    @For({LEAD, TEACHER})
    List<ReadySet> sets(@AuthenticationPrincipal SignedIn caller) {
        Instant now = now();
        SchoolRules rules = settings.all();
        Reader reader = reading.reader(caller);
        Map<ClassId, String> titles = new HashMap<>();
        classes.all().forEach(one -> titles.put(one.id(), one.title()));
        return sets.all().stream()
                .filter(one -> mayRead(reader, one))
                .map(one -> new ReadySet(
                        one.id(),
                        one.name(),
                        one.purpose(),
                        one.owner().isEmpty(),
                        access.mayChangeSet(caller, one),
                        says(rules.at(Place.ofSet(one.id())), now),
                        sets.users(one.id(), now).stream()
                                .map(id -> titles.getOrDefault(id, id.value()))
                                .toList()))
                .toList();
    }

    /** Makes a set: the school's for the safeguarding lead, one's own for a teacher. 409 if the name is taken. */
    @PostMapping("/sets")
    @For({LEAD, TEACHER})
    List<ReadySet> add(@RequestBody NewSet wanted, @AuthenticationPrincipal SignedIn caller) {
        String name = text(wanted.name, NAME, "name");
        if (name.isEmpty()) {
            throw unreadable("A set needs a name", "name");
        }
        String id = Ids.next();
        var set = new ReadyMadeSets.Named(
                id,
                name,
                text(wanted.purpose, PURPOSE, "purpose"),
                caller.isLead() ? "" : caller.person().value());
        Instant now = now();
        List<Edit> says = wanted.copyOf == null
                ? List.of()
                : settings.all().at(access.seen(caller, wanted.copyOf)).stream()
                        .filter(one -> one.isInForce(now))
                        .map(one -> new Edit(
                                Place.ofSet(id),
                                one.set().rule(),
                                one.role(),
                                one.when(),
                                Optional.of(one.set().value()),
                                one.isBinding(),
                                one.note(),
                                Setting.FOR_EVER))
                        .toList();
        if (!sets.add(set, says, now)) {
            throw Problem.refused(
                    "name-taken",
                    "There is a set called “%s”".formatted(name),
                    "Nothing was added.",
                    "Choose another name.");
        }
        return sets(caller);
    }

    /** Deletes a set. 409 while classes use it. */
    @DeleteMapping("/sets/{id}")
    @For({LEAD, TEACHER})
    List<ReadySet> delete(@PathVariable String id, @AuthenticationPrincipal SignedIn caller) {
        access.changed(caller, Place.ofSet(id).text());
        Instant now = now();
        if (!sets.delete(id, now)) {
            List<String> users = sets.users(id, now).stream()
                    .map(one ->
                            classes.find(one).map(Classes.SchoolClass::title).orElse(one.value()))
                    .toList();
            throw Problem.refused(
                    "set-in-use",
                    "Classes use this set: " + String.join(", ", users),
                    "Nothing was deleted.",
                    "Let them use another one first.");
        }
        return sets(caller);
    }

    /** What would change if a class used a set, or no longer did. */
    @GetMapping("/classes/{id}/sets/{set}/consequences")
    @For({LEAD, TEACHER})
    Consequences.Report consequences(
            @PathVariable String id,
            @PathVariable String set,
            @RequestParam(defaultValue = "true") boolean use,
            @AuthenticationPrincipal SignedIn caller) {
        ClassId of = reading.ofClass(caller, Matter.RULES, id).id();
        known(set);
        Instant now = now();
        SchoolRules before = settings.all();
        var uses = new ArrayList<>(before.uses());
        if (use) {
            uses.add(new SetUse(of, set, now, Setting.FOR_EVER));
        } else {
            uses.removeIf(one -> one.byClass().equals(of) && one.set().equals(set));
        }
        return consequences.between(before, before.using(uses), now, now);
    }

    /** Lets a class use a set from now on. */
    @PutMapping("/classes/{id}/sets/{set}")
    @For({TEACHER, LEAD})
    void use(@PathVariable String id, @PathVariable String set, @AuthenticationPrincipal SignedIn caller) {
        ClassId of = classAccess.runBy(caller, id).id();
        known(set);
        sets.use(of, set, caller.person(), now());
    }

    /** A class uses a set of rules no more. */
    @DeleteMapping("/classes/{id}/sets/{set}")
    @For({TEACHER, LEAD})
    void stopUsing(@PathVariable String id, @PathVariable String set, @AuthenticationPrincipal SignedIn caller) {
        ClassId of = classAccess.runBy(caller, id).id();
        sets.stopUsing(of, set, now());
    }

    private void known(String set) {
        sets.find(set).orElseThrow(() -> Problem.notThere("This set"));
    }

    private static List<String> says(List<Setting> settings, Instant now) {
        return settings.stream()
                .filter(one -> one.isInForce(now))
                .map(one -> "%s, %s: %s%s"
                        .formatted(
                                one.set().rule().title(),
                                one.set().rule().isOfWholeLesson() ? "the lesson" : RuleWords.role(one.role()),
                                RuleWords.value(one.set().rule(), one.set().value()),
                                one.when().isAlways() ? "" : " " + ConditionWords.of(one.when())))
                .toList();
    }

    private static String text(@Nullable String text, int most, String field) {
        String stripped = text == null ? "" : text.strip();
        if (stripped.length() > most) {
            throw unreadable("Shorten the %s to %d characters".formatted(field, most), field);
        }
        return stripped;
    }

    private static Problem unreadable(String title, String field) {
        return Problem.notReadable(title, "Nothing was added.", title + ".", List.of(new Problem.Wrong(field, title)));
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }
}
