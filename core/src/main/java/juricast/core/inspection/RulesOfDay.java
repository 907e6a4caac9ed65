package juricast.core.inspection;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import juricast.core.charter.Place;
import juricast.core.charter.SchoolRules;
import juricast.core.identity.ClassId;
import juricast.core.identity.Role;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Choice;
import juricast.core.rules.Door;
import juricast.core.rules.Fact;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Situation;
import juricast.core.rules.Value;
import juricast.core.rules.YesNo;

/**
 * The rules in force in each planned lesson on its day, as far as the inspection asks. What holds in a class holds in all its
 * lessons until an edge of its settings, so a year of lessons costs some resolutions for each class, not some for each
 * lesson; only lessons with rules of their own are resolved one by one. First and last minutes are not looked at: a lesson is
 * judged as it is in the middle.
 */
final class RulesOfDay {
    private static final Role WHOLE_LESSON = Rule.ANSWERS;

    private final SchoolRules rules;
    /** Several may look at one inspection at once; what two of them work out is the same. */
    private final Map<Key, List<Stretch>> known = new ConcurrentHashMap<>();

    private record Key(ClassId id, Set<Fact> expected) {}

    RulesOfDay(SchoolRules rules) {
        this.rules = rules;
    }

    /** The values that hold in one lesson; minutes, people, bits and letters as the rules count them. */
    record Values(
            int gap,
            int adults,
            int capacity,
            int helpAtOnce,
            int earlyForPupils,
            int linkShown,
            int wordBits,
            int wordLetters,
            int groupAlone,
            Door door,
            boolean adultsFirst,
            boolean neverAloneWithOne,
            Permission visitors,
            Permission groups,
            Permission privateChat,
            Permission wholeScreen,
            Choice recording,
            Choice consent) {
        static Values of(Rulebook book, Instant at) {
            return new Values(
                    book.value(Catalogue.GAP, WHOLE_LESSON, at).count(),
                    book.value(Catalogue.ADULTS_PRESENT, WHOLE_LESSON, at).number(),
                    book.value(Catalogue.CAPACITY, WHOLE_LESSON, at).number(),
                    book.value(Catalogue.HELP_AT_ONCE, WHOLE_LESSON, at).number(),
                    book.value(Catalogue.EARLY_MINUTES, Role.PUPIL, at).count(),
                    book.value(Catalogue.LINK_SHOWN, Role.PUPIL, at).count(),
                    book.value(Catalogue.WORD_STRENGTH, WHOLE_LESSON, at).number(),
                    book.value(Catalogue.WORD_DISTANCE, WHOLE_LESSON, at).number(),
                    book.value(Catalogue.GROUP_ALONE, WHOLE_LESSON, at).count(),
                    book.value(Catalogue.DOOR, Role.PUPIL, at),
                    book.value(Catalogue.ADULTS_FIRST, Role.PUPIL, at) == YesNo.YES,
                    book.value(Catalogue.NEVER_ALONE_WITH_ONE, WHOLE_LESSON, at) == YesNo.YES,
                    book.value(Catalogue.VISITORS, Role.VISITOR, at),
                    book.value(Catalogue.MAKE_GROUPS, Role.LEAD_ADULT, at),
                    book.value(Catalogue.PRIVATE_CHAT, Role.PUPIL, at),
                    book.value(Catalogue.WHOLE_SCREEN, Role.PUPIL, at),
                    value(book, Catalogue.RECORDING_MODE, at),
                    book.value(Catalogue.CONSENT, Role.PUPIL, at));
        }

        private static <V extends Value> V value(Rulebook book, Rule<V> rule, Instant at) {
            return book.value(rule, WHOLE_LESSON, at);
        }
    }

    private record Stretch(Instant from, Instant until, Values values) {}

    Values of(InspectedClass of, InspectedLesson lesson) {
        Instant at = lesson.time().from();
        if (rules.at(Place.of(lesson.id())).isEmpty()) {
            return of(of, lesson.expected(), at);
        }
        Rulebook book = rules.of(of.forRules(), lesson.forRules());
        return Values.of(with(lesson.expected(), book), at);
    }

    /** What holds in a class at that moment, when nothing special is planned. */
    Values of(InspectedClass of, Instant at) {
        return of(of, Set.of(), at);
    }

    private Values of(InspectedClass of, Set<Fact> expected, Instant at) {
        List<Stretch> stretches =
                known.computeIfAbsent(new Key(of.id(), expected), key -> new CopyOnWriteArrayList<>());
        for (Stretch one : stretches) {
            if (!at.isBefore(one.from) && at.isBefore(one.until)) {
                return one.values;
            }
        }
        Rulebook book = with(expected, rules.of(of.forRules()));
        var stretch = new Stretch(at, book.nextEdge(at), Values.of(book, at));
        stretches.add(stretch);
        return stretch.values;
    }

    private static Rulebook with(Set<Fact> expected, Rulebook book) {
        Situation situation = book.situation();
        for (Fact fact : expected) {
            situation = situation.with(fact, true);
        }
        return book.in(situation);
    }
}
