package juricast.server.rules;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import juricast.core.charter.Edit;
import juricast.core.charter.Place;
import juricast.core.charter.PlannedClass;
import juricast.core.charter.SchoolRules;
import juricast.core.identity.Role;
import juricast.core.rules.Area;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Condition;
import juricast.core.rules.Reach;
import juricast.core.rules.Rule;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Ruling;
import juricast.core.rules.Ruling.Effect;
import juricast.core.rules.Setting;
import juricast.core.rules.Value;
import juricast.core.rules.ValueType;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.classes.Planning;
import juricast.server.data.School;
import juricast.server.people.People;
import juricast.server.rules.RulesDocument.*;
import juricast.server.rules.Settings.Marked;
import juricast.server.words.ConditionWords;
import juricast.server.words.PlaceWords;
import juricast.server.words.RuleWords;
import org.springframework.stereotype.Component;

/** Writes the rules of a place down as a document. */
@Component
class Documents {
    private final Settings settings;
    private final Drafts drafts;
    private final Books books;
    private final ReadyMadeSets sets;
    private final Planning planning;
    private final Classes classes;
    private final PlaceWords places;
    private final People people;
    private final School school;

    Documents(
            Settings settings,
            Drafts drafts,
            Books books,
            ReadyMadeSets sets,
            Planning planning,
            Classes classes,
            PlaceWords places,
            People people,
            School school) {
        this.settings = settings;
        this.drafts = drafts;
        this.books = books;
        this.sets = sets;
        this.planning = planning;
        this.classes = classes;
        this.places = places;
        this.people = people;
        this.school = school;
    }

    /** The rules that count now, and those of the caller's draft as if it counted already. */
    Rules now(Place place, SignedIn caller, boolean editable, Instant now) {
        List<Marked> draft = editable ? drafts.of(caller.person(), place) : List.of();
        SchoolRules rules = settings.all();
        SchoolRules shown = rules.after(draft.stream().map(Marked::edit).toList(), caller.person(), now, now);
        return write(place, rules, shown, draft, editable, "", now);
    }

    /** The rules as they were, or will be, at the end of a day. */
    Rules on(Place place, LocalDate day, Instant now) {
        Instant end = day.plusDays(1).atStartOfDay(school.zone()).toInstant().minusMillis(1);
        boolean today = school.date(now).equals(day);
        SchoolRules rules = settings.all();
        return write(place, rules, rules, List.of(), false, day.toString(), today ? now : end);
    }

    private Rules write(
            Place place,
            SchoolRules rules,
            SchoolRules shown,
            List<Marked> draft,
            boolean editable,
            String on,
            Instant at) {
        var page = new PageOf(place, shown, draft, at);
        return new Rules(
                place.text(),
                places.of(place, rules.setNames()),
                editable,
                on,
                Arrays.stream(Area.values())
                        .map(area -> new Chapter(
                                area,
                                area.title(),
                                area.about(),
                                Catalogue.ALL.stream()
                                        .filter(rule -> rule.area() == area)
                                        .map(page::line)
                                        .toList()))
                        .toList(),
                draft.stream().map(one -> draftLine(one, rules, at)).toList(),
                setsAt(place, rules, at));
    }

    private List<SetLine> setsAt(Place place, SchoolRules rules, Instant at) {
        return books.classAt(place)
                .map(of -> rules.uses().stream()
                        .filter(use ->
                                use.byClass().equals(of.id()) && !at.isBefore(use.from()) && at.isBefore(use.until()))
                        .flatMap(use -> sets.find(use.set()).stream())
                        .map(one -> new SetLine(one.id(), one.name(), one.purpose()))
                        .toList())
                .orElse(List.of());
    }

    private DraftLine draftLine(Marked marked, SchoolRules rules, Instant at) {
        Edit edit = marked.edit();
        Optional<Setting> before = rules.at(edit.place()).stream()
                .filter(one -> edit.isAbout(one) && one.isInForce(at))
                .findFirst();
        String mark = settings.mark(edit.place(), edit.rule(), edit.role(), edit.when(), at);
        String now = before.map(
                        one -> RuleWords.value(edit.rule(), one.set().value()) + (one.isBinding() ? ", binding" : ""))
                .orElse("nothing of its own");
        return new DraftLine(
                edit.rule().key(),
                edit.rule().title(),
                edit.role(),
                edit.rule().isOfWholeLesson() ? "the lesson" : RuleWords.role(edit.role()),
                edit.when().text(),
                ConditionWords.of(edit.when()),
                now,
                edit.value().map(Value::text).orElse(""),
                edit.value()
                        .map(value -> RuleWords.value(edit.rule(), value) + (edit.binding() ? ", binding" : ""))
                        .orElse("taken back"),
                edit.binding(),
                edit.note(),
                edit.until().equals(Setting.FOR_EVER)
                        ? ""
                        : school.date(edit.until().minusMillis(1)).toString(),
                mark.equals(marked.mark())
                        ? ""
                        : before.map(one -> "%s set it to %s meanwhile".formatted(people.nameOf(one.by()), now))
                                .orElse("Somebody changed it meanwhile"));
    }

    /** One document being written. */
    private final class PageOf {
        private final Place place;
        private final SchoolRules rules;
        private final List<Marked> draft;
        private final Instant at;
        private final Rulebook book;
        private final Rulebook above;
        private final Map<Rule<?>, List<String>> overruled;

        PageOf(Place place, SchoolRules rules, List<Marked> draft, Instant at) {
            this.place = place;
            this.rules = rules;
            this.draft = draft;
            this.at = at;
            this.book = books.at(rules, place);
            this.above = books.above(rules, place);
            this.overruled = overruledBelow();
        }

        <V extends Value> RuleLine line(Rule<V> rule) {
            ValueType<V> type = rule.type();
            return new RuleLine(
                    rule.key(),
                    rule.title(),
                    rule.meaning(),
                    rule.reason(),
                    rule.pupilWords(),
                    rule.area().alsoCalled(),
                    type.form(),
                    type.unit() == ValueType.Unit.NONE ? "" : type.unit().name().toLowerCase(java.util.Locale.ROOT),
                    type.isOrdered(),
                    rule.isRight(),
                    rule.isOfWholeLesson(),
                    switch (rule.enforced()) {
                        case AT_THE_DOOR -> "at the door";
                        case IN_THE_LESSON -> "in the lesson";
                        case IN_THE_REGISTER -> "in the register";
                        case IN_THE_CORRIDOR -> "in the corridor";
                        case IN_THE_INSPECTION -> "in the inspection of planned lessons";
                        case ON_THE_OWN_PAGE -> "on everybody's own page";
                        case IN_THE_OUTBOX -> "in the outbox";
                        case IN_THE_RECORD -> "in what is kept of a lesson";
                        case AT_SIGN_IN -> "at sign-in";
                        case NOT_YET -> "";
                    },
                    type.choices().stream()
                            .map(value -> new Choice(value.text(), RuleWords.value(rule, value)))
                            .toList(),
                    type.min(),
                    type.max(),
                    rule.roles().stream().map(role -> cell(rule, role)).toList(),
                    conditions(rule),
                    Reach.offered(rule),
                    overruled.getOrDefault(rule, List.of()));
        }

        private CellLine cell(Rule<?> rule, Role role) {
            Ruling<?> ruling = book.ruling(rule, role, at);
            Optional<Setting> own = own(rule, role, Condition.ALWAYS);
            return line(
                    rule,
                    role,
                    ruling.value(),
                    own,
                    above.ruling(rule, role, at).floor().isPresent(),
                    own.filter(one -> isOverruled(ruling, one)).isPresent(),
                    Condition.ALWAYS,
                    ruling.decider().setting());
        }

        private CellLine line(
                Rule<?> rule,
                Role role,
                Value value,
                Optional<Setting> own,
                boolean bound,
                boolean isOverruled,
                Condition when,
                Optional<Setting> decider) {
            return new CellLine(
                    role,
                    value.text(),
                    RuleWords.value(rule, value),
                    own.isPresent(),
                    own.map(one -> one.set().value().text()).orElse(""),
                    own.filter(Setting::isBinding).isPresent(),
                    bound,
                    isOverruled,
                    !rule.usualFor(role).equals(value),
                    draft.stream()
                            .anyMatch(one -> one.edit().rule() == rule
                                    && one.edit().role() == role
                                    && one.edit().when().equals(when)),
                    own.map(Setting::note).orElse(""),
                    decider.filter(one -> own.isEmpty()).map(this::source).orElse(""),
                    own.isPresent() || decider.filter(this::isOfThisPlace).isPresent());
        }

        private String source(Setting setting) {
            return setting.bundle().isEmpty() ? RuleWords.layer(setting) : setting.bundle();
        }

        private boolean isOfThisPlace(Setting setting) {
            return place.kind() != Place.Kind.SCHOOL
                    && setting.layer() == place.kind().layer();
        }

        private Optional<Setting> own(Rule<?> rule, Role role, Condition when) {
            return rules.at(place).stream()
                    .filter(one -> one.set().rule() == rule
                            && one.role() == role
                            && one.when().equals(when)
                            && one.isInForce(at))
                    .findFirst();
        }

        private boolean isOverruled(Ruling<?> ruling, Setting own) {
            return ruling.chain().stream()
                    .anyMatch(step -> step.effect() == Effect.OVERRULED
                            && step.setting().filter(own::equals).isPresent());
        }

        /** When something different counts: under a condition, or from a day to come. */
        private record Otherwise(Condition when, Instant from) {}

        private List<ConditionLine> conditions(Rule<?> rule) {
            var lines = new LinkedHashMap<Otherwise, Map<Role, Setting>>();
            for (Role role : rule.roles()) {
                for (Setting one : book.settings(rule, role)) {
                    // On a former day, only what had been written by then was to come.
                    boolean toCome = one.from().isAfter(at) && !one.at().isAfter(at);
                    if (toCome || !one.when().isAlways() && one.isInForce(at)) {
                        lines.computeIfAbsent(
                                        new Otherwise(one.when(), toCome ? one.from() : Instant.MIN),
                                        when -> new EnumMap<>(Role.class))
                                .put(role, one);
                    }
                }
            }
            var found = new ArrayList<ConditionLine>();
            lines.forEach((other, byRole) -> {
                var situation = Books.during(book.situation(), other.when);
                boolean toCome = other.from.isAfter(at);
                var cells = new ArrayList<CellLine>();
                byRole.forEach((role, setting) -> {
                    boolean isOwn = rules.at(place).contains(setting);
                    Ruling<?> ruling = book.in(situation).ruling(rule, role, toCome ? other.from : at);
                    cells.add(line(
                            rule,
                            role,
                            setting.set().value(),
                            isOwn ? Optional.of(setting) : Optional.empty(),
                            !isOwn && setting.isBinding(),
                            isOwn && isOverruled(ruling, setting),
                            other.when,
                            Optional.of(setting)));
                });
                found.add(new ConditionLine(
                        other.when.text(), ConditionWords.of(other.when), toCome ? school.day(other.from) : "", cells));
            });
            return found;
        }

        /** For each rule of the charter or a year, the classes of which something is overruled. */
        private Map<Rule<?>, List<String>> overruledBelow() {
            if (place.kind() != Place.Kind.SCHOOL && place.kind() != Place.Kind.YEAR) {
                return Map.of();
            }
            var found = new HashMap<Rule<?>, List<String>>();
            Map<juricast.core.identity.ClassId, String> titles = new HashMap<>();
            for (PlannedClass of : planning.timetable(at).classes()) {
                List<Setting> own = rules.own(of);
                if (own.isEmpty()) {
                    continue;
                }
                if (titles.isEmpty()) {
                    classes.all().forEach(one -> titles.put(one.id(), one.title()));
                }
                Rulebook all = rules.of(of);
                for (Setting setting : own) {
                    Ruling<?> ruling = all.in(Books.during(all.situation(), setting.when()))
                            .ruling(setting.set().rule(), setting.role(), at);
                    if (isOverruled(ruling, setting)) {
                        List<String> where = found.computeIfAbsent(setting.set().rule(), rule -> new ArrayList<>());
                        String title = titles.getOrDefault(of.id(), of.id().value());
                        if (!where.contains(title)) {
                            where.add(title);
                        }
                    }
                }
            }
            return found;
        }
    }
}
