package juricast.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import juricast.core.charter.Edit;
import juricast.core.charter.Place;
import juricast.core.charter.PlannedClass;
import juricast.core.charter.PlannedLesson;
import juricast.core.charter.SchoolRules;
import juricast.core.charter.SetUse;
import juricast.core.charter.Timetable;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Circumstance;
import juricast.core.rules.Condition;
import juricast.core.rules.Fact;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.Setting;
import juricast.core.rules.Value;
import juricast.core.time.Span;

/** A school of the largest size we promise: 400 classes, 60,000 planned lessons, rules at every layer with conditions. */
final class FullSchool {
    static final Instant NOW = Instant.parse("2026-09-14T10:00:00Z");
    private static final PersonId LEAD = new PersonId("lead");
    private static final int CLASSES = 400;
    private static final int LESSONS = 60_000;

    private FullSchool() {}

    static Timetable timetable() {
        var random = new Random(7);
        var classes = new ArrayList<PlannedClass>();
        for (int n = 0; n < CLASSES; n++) {
            classes.add(new PlannedClass(new ClassId("class-" + n), 7 + n % 5, 18 + random.nextInt(13)));
        }
        var lessons = new ArrayList<PlannedLesson>();
        for (int n = 0; n < LESSONS; n++) {
            Instant from = NOW.plus(Duration.ofMinutes(30))
                    .plus(Duration.ofHours(n / 30))
                    .plus(Duration.ofMinutes(n % 4));
            Set<Fact> expected = random.nextInt(20) == 0
                    ? Set.of(Fact.VISITOR_PRESENT)
                    : random.nextInt(10) == 0 ? Set.of(Fact.RECORDING, Fact.IN_GROUPS) : Set.of();
            lessons.add(new PlannedLesson(
                    new LessonId("lesson-" + n),
                    classes.get(n % CLASSES).id(),
                    new Span(from, from.plus(Duration.ofMinutes(50))),
                    expected));
        }
        return new Timetable(classes, lessons);
    }

    /** Thirty settings of the charter, a few of each year, some of every second class, one lesson in two hundred. */
    static SchoolRules rules(Timetable school) {
        var random = new Random(3);
        List<Rule<?>> rights = Catalogue.ALL.stream()
                .filter(rule -> rule.isRight() && rule.speaksOf(Role.PUPIL))
                .toList();
        Map<Place, List<Setting>> written = new HashMap<>();
        for (int n = 0; n < 30; n++) {
            write(written, Place.SCHOOL, rights.get(n % rights.size()), random, random.nextInt(3) == 0);
        }
        for (int year = 7; year <= 11; year++) {
            for (int n = 0; n < 6; n++) {
                write(written, Place.ofYear(year), rights.get(random.nextInt(rights.size())), random, false);
            }
        }
        for (int n = 0; n < CLASSES; n += 2) {
            for (int times = 0; times < 4; times++) {
                write(
                        written,
                        Place.of(school.classes().get(n).id()),
                        rights.get(random.nextInt(rights.size())),
                        random,
                        false);
            }
        }
        for (int n = 0; n < LESSONS; n += 200) {
            write(
                    written,
                    Place.of(school.lessons().get(n).id()),
                    rights.get(random.nextInt(rights.size())),
                    random,
                    false);
        }
        for (int n = 0; n < 6; n++) {
            write(written, Place.ofSet("quiet"), rights.get(n), random, false);
        }
        var uses = new ArrayList<SetUse>();
        for (int n = 0; n < CLASSES; n += 10) {
            uses.add(
                    new SetUse(school.classes().get(n).id(), "quiet", NOW.minus(Duration.ofDays(5)), Setting.FOR_EVER));
        }
        return new SchoolRules(written, uses, Map.of("quiet", "Quiet work"));
    }

    private static void write(
            Map<Place, List<Setting>> written, Place place, Rule<?> rule, Random random, boolean binding) {
        Condition when =
                switch (random.nextInt(6)) {
                    case 0 -> Condition.during(Fact.VISITOR_PRESENT);
                    case 1 -> Condition.during(Fact.RECORDING);
                    case 2 -> Condition.of(new Circumstance.FirstMinutes(10));
                    case 3 -> Condition.of(new Circumstance.AtLeast(25));
                    default -> Condition.ALWAYS;
                };
        Value value = Permission.values()[random.nextInt(3)];
        Edit edit = new Edit(place, rule, Role.PUPIL, when, Optional.of(value), binding, "", Setting.FOR_EVER);
        written.computeIfAbsent(place, any -> new ArrayList<>())
                .add(edit.setting(LEAD, NOW, NOW.minus(Duration.ofDays(30 - random.nextInt(20))))
                        .orElseThrow());
    }

    /** A draft of five changes, three of them for every lesson of the school. */
    static List<Edit> draft() {
        return List.of(
                edit(Catalogue.PRIVATE_CHAT, Permission.CLOSED, Condition.during(Fact.VISITOR_PRESENT)),
                edit(Catalogue.CLASS_CHAT, Permission.ON_REQUEST, Condition.ALWAYS),
                edit(Catalogue.SHARE_SCREEN, Permission.CLOSED, Condition.ALWAYS),
                edit(Catalogue.DRAW, Permission.CLOSED, Condition.of(new Circumstance.FirstMinutes(10))),
                edit(Catalogue.CAMERA, Permission.CLOSED, Condition.during(Fact.RECORDING)));
    }

    private static Edit edit(Rule<Permission> rule, Permission value, Condition when) {
        return new Edit(Place.SCHOOL, rule, Role.PUPIL, when, Optional.of(value), true, "", Setting.FOR_EVER);
    }
}
