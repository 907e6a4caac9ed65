package juricast.core.charter;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.rules.Layer;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Setting;
import juricast.core.rules.Situation;

/**
 * Everything that is written about rules in a school, past and to come. It never changes: a draft is another one.
 *
 * @param written the settings of each place; those of a set stand at the class layer
 * @param setNames what the sets are called, by id
 */
public record SchoolRules(Map<Place, List<Setting>> written, List<SetUse> uses, Map<String, String> setNames) {
    public static final SchoolRules EMPTY = new SchoolRules(Map.of(), List.of(), Map.of());

    public SchoolRules {
        written = Map.copyOf(written);
        uses = List.copyOf(uses);
        setNames = Map.copyOf(setNames);
    }

    /** What a place itself says. */
    public List<Setting> at(Place place) {
        return written.getOrDefault(place, List.of());
    }

    /** The charter alone. */
    public Rulebook charter() {
        return Rulebook.of(at(Place.SCHOOL));
    }

    /** The rules of a year group: the charter, and what the year refines of it. */
    public Rulebook ofYear(int year) {
        return charter().with(at(Place.ofYear(year))).in(Situation.ORDINARY.ofYear(year));
    }

    /** The rules of a class: charter, year group, the sets it uses, and its own. */
    public Rulebook of(PlannedClass of) {
        return Rulebook.of(settings(of)).in(Situation.ORDINARY.ofYear(of.year()).withPresent(of.pupils()));
    }

    /** The rules of one lesson of a class. */
    public Rulebook of(PlannedClass of, PlannedLesson lesson) {
        Rulebook book = of(of).with(at(Place.of(lesson.id())));
        return book.in(book.situation().at(lesson.time()));
    }

    /** A book with the settings of a set added as a stance. */
    public Rulebook inStance(Rulebook book, String set) {
        return book.with(at(Place.ofSet(set)).stream()
                .map(one -> one.inBundle(nameOf(set), Layer.STANCE))
                .toList());
    }

    /** What speaks for all lessons of a class. */
    List<Setting> settings(PlannedClass of) {
        var all = new ArrayList<>(at(Place.SCHOOL));
        all.addAll(at(Place.ofYear(of.year())));
        all.addAll(own(of));
        return all;
    }

    /** What a class says itself or by the sets it uses. */
    public List<Setting> own(PlannedClass of) {
        var own = new ArrayList<Setting>();
        uses.stream().filter(use -> use.byClass().equals(of.id())).forEach(use -> own.addAll(asUsed(use)));
        own.addAll(at(Place.of(of.id())));
        return own;
    }

    boolean hasOwn(LessonId lesson) {
        return written.containsKey(Place.of(lesson));
    }

    public String nameOf(String set) {
        return setNames.getOrDefault(set, set);
    }

    /** Where a setting that speaks in a class, not in one lesson, is written. */
    Place placeOf(Setting setting, PlannedClass in) {
        return switch (setting.layer()) {
            case SCHOOL -> Place.SCHOOL;
            case YEAR_GROUP -> Place.ofYear(in.year());
            default -> setNames.entrySet().stream()
                    .filter(set -> set.getValue().equals(setting.bundle()))
                    .findFirst()
                    .map(set -> Place.ofSet(set.getKey()))
                    .orElseGet(() -> Place.of(in.id()));
        };
    }

    /** The settings of a set, as long as both they and the use count. */
    private List<Setting> asUsed(SetUse use) {
        return at(Place.ofSet(use.set())).stream()
                .filter(one -> one.from().isBefore(use.until()) && use.from().isBefore(one.until()))
                .map(one -> one.beginning(later(one.from(), use.from()))
                        .ending(earlier(one.until(), use.until()))
                        .inBundle(nameOf(use.set()), Layer.CLASS))
                .toList();
    }

    /** These rules after some edits that count from an instant on. */
    public SchoolRules after(List<Edit> edits, PersonId by, Instant at, Instant from) {
        var next = new HashMap<>(written);
        for (Edit edit : edits) {
            List<Setting> now = next.getOrDefault(edit.place(), List.of());
            next.put(
                    edit.place(),
                    Stream.concat(
                                    now.stream()
                                            .flatMap(one -> edit.isAbout(one)
                                                    ? one.without(from, edit.until()).stream()
                                                    : Stream.of(one)),
                                    edit.setting(by, at, from).stream())
                            .toList());
        }
        return new SchoolRules(next, uses, setNames);
    }

    /** These rules with other uses of sets. */
    public SchoolRules using(List<SetUse> others) {
        return new SchoolRules(written, others, setNames);
    }

    private static Instant later(Instant a, Instant b) {
        return a.isAfter(b) ? a : b;
    }

    private static Instant earlier(Instant a, Instant b) {
        return a.isBefore(b) ? a : b;
    }
}
