package juricast.core.inspection;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.charter.SchoolRules;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
import juricast.core.joining.JoinWord;
import juricast.core.rules.Door;
import juricast.core.rules.Fact;
import juricast.core.rules.Permission;
import juricast.core.time.Span;
import juricast.core.timetable.SchoolCalendar;

/**
 * The weak spots of everything that is planned. Lessons of different days have nothing to do with each other, so each day is
 * inspected by itself and kept: a change re-inspects the days it touches and nothing else. Within a day lessons are swept in
 * order of time, and whether two classes share pupils is worked out once for the whole year.
 */
public final class Inspection {
    private static final Comparator<Finding> GRAVEST_FIRST =
            Comparator.comparing((Finding one) -> one.kind().severity()).thenComparing(Finding::kind);

    /** Pupils with whom one adult has no eyes left for the door. */
    private static final int A_CROWD = 30;

    /** No mend makes a lesson shorter than this. */
    private static final Duration SHORTEST_AFTER_A_MEND = Duration.ofMinutes(20);

    private final PlannedSchool school;
    private final SchoolRules rules;
    private final RulesOfDay rulesOfDay;
    private final SharedPupils shared;
    private final Map<LocalDate, Day> days;
    private final List<Finding> ofWords;
    private final Instant asOf;

    private Inspection(
            PlannedSchool school,
            SchoolRules rules,
            Instant asOf,
            RulesOfDay rulesOfDay,
            SharedPupils shared,
            List<Finding> ofWords,
            Map<LocalDate, Day> known) {
        this.school = school;
        this.rules = rules;
        this.rulesOfDay = rulesOfDay;
        this.shared = shared;
        this.asOf = asOf;
        this.ofWords = ofWords;
        days = new TreeMap<>();
        school.days().forEach((day, lessons) -> {
            Day before = known.get(day);
            days.put(day, before != null ? before : new DayInspection(day, lessons).inspected());
        });
    }

    /** What was found on a day. @param classes those that have a lesson on it */
    private record Day(List<Finding> findings, Set<ClassId> classes) {}

    /** Nothing is planned, so nothing is found. */
    public static final Inspection NOTHING = of(
            PlannedSchool.of(ZoneOffset.UTC, SchoolCalendar.NONE, List.of(), List.of(), List.of()),
            SchoolRules.EMPTY,
            Instant.EPOCH);

    /** Inspects everything. @param asOf when it is asked: the words and links of classes are judged by the rules of then */
    public static Inspection of(PlannedSchool school, SchoolRules rules, Instant asOf) {
        var rulesOfDay = new RulesOfDay(rules);
        List<Finding> ofWords = words(school, rulesOfDay, asOf);
        return new Inspection(school, rules, asOf, rulesOfDay, new SharedPupils(school.classes()), ofWords, Map.of());
    }

    /** The same after a change of the plan. Days with the very same lessons are not inspected again. */
    public Inspection after(PlannedSchool changed) {
        boolean sameClasses =
                changed.classes().equals(school.classes()) && changed.staff().equals(school.staff());
        if (!sameClasses || !changed.calendar().equals(school.calendar())) {
            return of(changed, rules, asOf);
        }
        var known = new HashMap<LocalDate, Day>();
        changed.days().forEach((day, lessons) -> {
            if (lessons.equals(school.days().get(day))) {
                known.put(day, days.get(day));
            }
        });
        return new Inspection(changed, rules, asOf, rulesOfDay, shared, ofWords, known);
    }

    /** The same plan, as it would be after some mends. */
    public Inspection after(List<Mend> mends) {
        return after(Mended.plan(school, mends));
    }

    public PlannedSchool school() {
        return school;
    }

    /** Everything found, the gravest first; among equals by day. */
    public List<Finding> findings() {
        return Stream.of(
                        ofWords.stream(),
                        withoutLessons().stream(),
                        days.values().stream().flatMap(day -> day.findings.stream()))
                .flatMap(found -> found)
                .sorted(GRAVEST_FIRST)
                .toList();
    }

    /** The same of lessons on some days only, in order of the days: a week is looked at more often than a year. */
    public List<Finding> findings(LocalDate first, int count) {
        return first.datesUntil(first.plusDays(count))
                .map(days::get)
                .filter(Objects::nonNull)
                .flatMap(day -> day.findings.stream())
                .toList();
    }

    private List<Finding> withoutLessons() {
        var planned = new HashSet<ClassId>();
        days.values().forEach(day -> planned.addAll(day.classes));
        return school.classes().values().stream()
                .filter(one -> !planned.contains(one.id()))
                .sorted(Comparator.comparing(InspectedClass::title))
                .map(one -> Finding.ofClass(FindingKind.NO_MORE_LESSONS, one))
                .toList();
    }

    /** Join words and when links are shown: a matter of classes, not of lessons. */
    private static List<Finding> words(PlannedSchool school, RulesOfDay rules, Instant at) {
        List<InspectedClass> all = school.classes().values().stream()
                .sorted(Comparator.comparing(InspectedClass::title))
                .toList();
        List<JoinWord.Said> said = all.stream().map(one -> one.word().said()).toList();
        var found = new ArrayList<Finding>();
        for (int i = 0; i < all.size(); i++) {
            InspectedClass one = all.get(i);
            RulesOfDay.Values values = rules.of(one, at);
            if (one.word().bits() < values.wordBits()) {
                found.add(Finding.ofClass(FindingKind.WORD_TOO_WEAK, one)
                        .measured((int) one.word().bits(), values.wordBits())
                        .mendedBy(new Mend.NewWord(one.id())));
            }
            if (values.linkShown() < values.earlyForPupils()) {
                found.add(Finding.ofClass(FindingKind.LINK_HIDDEN_TOO_LONG, one)
                        .measured(values.linkShown(), values.earlyForPupils()));
            }
            for (int j = i + 1; j < all.size(); j++) {
                if (said.get(i).isNearerThan(values.wordLetters(), said.get(j))) {
                    found.add(Finding.ofClass(FindingKind.WORD_TOO_NEAR, one)
                            .near(all.get(j))
                            .measured(one.word().distanceTo(all.get(j).word()), values.wordLetters())
                            .mendedBy(new Mend.NewWord(one.id())));
                    break;
                }
            }
        }
        return found;
    }

    /** A lesson with what the sweep asks most, as numbers: a year has some million pairs. @param place of its class */
    private record Planned(
            InspectedLesson lesson, InspectedClass of, int place, long from, long until, List<PersonId> adults) {
        static Planned of(InspectedLesson lesson, InspectedClass of, SharedPupils shared) {
            return new Planned(
                    lesson,
                    of,
                    shared.place(of.id()),
                    lesson.time().from().toEpochMilli(),
                    lesson.time().until().toEpochMilli(),
                    lesson.adults(of));
        }
    }

    /** One day. */
    private final class DayInspection {
        private final LocalDate day;
        private final List<InspectedLesson> lessons;
        private final List<Finding> found = new ArrayList<>();

        DayInspection(LocalDate day, List<InspectedLesson> lessons) {
            this.day = day;
            this.lessons = lessons;
        }

        Day inspected() {
            List<Planned> planned = lessons.stream()
                    .filter(one -> school.classes().containsKey(one.ofClass()))
                    .map(one -> Planned.of(one, school.classes().get(one.ofClass()), shared))
                    .toList();
            for (int i = 0; i < planned.size(); i++) {
                Planned one = planned.get(i);
                RulesOfDay.Values values = rulesOfDay.of(one.of, one.lesson);
                adults(one.lesson, one.of, values);
                when(one.lesson);
                room(one.lesson, one.of, values);
                plans(one.lesson, one.of, values);
                rights(one.lesson, values);
                // From then on nothing that begins can be too close.
                long quiet = one.until + 60_000L * values.gap();
                for (int j = i + 1; j < planned.size() && planned.get(j).from < quiet; j++) {
                    pair(one, planned.get(j), values);
                }
            }
            return new Day(
                    List.copyOf(found), planned.stream().map(one -> one.of.id()).collect(Collectors.toSet()));
        }

        private void adults(InspectedLesson lesson, InspectedClass of, RulesOfDay.Values values) {
            List<PersonId> adults = lesson.adults(of);
            if (adults.isEmpty()) {
                found.add(mendedByAnother(Finding.ofLesson(FindingKind.NO_ADULT, lesson), lesson));
            } else if (adults.size() < values.adults()) {
                found.add(mendedByAnother(
                        Finding.ofLesson(FindingKind.TOO_FEW_ADULTS, lesson).measured(adults.size(), values.adults()),
                        lesson));
            }
            for (InspectedLesson.Cover cover : lesson.covers()) {
                boolean isTheOnlyOne = adults.equals(List.of(cover.adult()));
                if (isTheOnlyOne && cover.until().isBefore(lesson.time().until())) {
                    found.add(Finding.ofLesson(FindingKind.COVER_ENDS_EARLY, lesson)
                            .about(List.of(cover.adult()))
                            .measured(minutes(cover.until(), lesson.time().until()), 0)
                            .mendedBy(new Mend.CoverLonger(
                                    lesson.id(), lesson.time().until())));
                }
            }
            if (values.neverAloneWithOne() && of.pupils().size() == 1 && adults.size() == 1) {
                found.add(mendedByAnother(
                        Finding.ofLesson(FindingKind.ALONE_WITH_ONE_PUPIL, lesson)
                                .about(List.copyOf(of.pupils())),
                        lesson));
            }
            if (values.adults() == 1 && adults.size() == 1 && of.pupils().size() > A_CROWD) {
                found.add(mendedByAnother(
                        Finding.ofLesson(FindingKind.NOBODY_TO_HELP, lesson)
                                .measured(of.pupils().size(), A_CROWD),
                        lesson));
            }
        }

        private void when(InspectedLesson lesson) {
            ZoneId zone = school.zone();
            LocalDateTime from = LocalDateTime.ofInstant(lesson.time().from(), zone);
            LocalDateTime until = LocalDateTime.ofInstant(lesson.time().until(), zone);
            var leaveOut = new Mend.LeaveOut(lesson.id());
            DayOfWeek weekday = day.getDayOfWeek();
            if (school.calendar().holidayOn(day).isPresent()) {
                found.add(Finding.ofLesson(FindingKind.IN_A_HOLIDAY, lesson).mendedBy(leaveOut));
            } else if (school.calendar().isOutOfTerm(day)) {
                found.add(Finding.ofLesson(FindingKind.OUT_OF_TERM, lesson).mendedBy(leaveOut));
            } else if (!school.calendar().isSchoolDay(weekday)) {
                found.add(Finding.ofLesson(FindingKind.ON_A_DAY_OFF, lesson).mendedBy(leaveOut));
            } else if (!school.calendar().keepsHours(from, until)) {
                found.add(Finding.ofLesson(FindingKind.OUTSIDE_SCHOOL_HOURS, lesson));
            }
        }

        private void room(InspectedLesson lesson, InspectedClass of, RulesOfDay.Values values) {
            if (of.pupils().isEmpty()) {
                found.add(Finding.ofLesson(FindingKind.NO_ROSTER, lesson));
            }
            if (of.pupils().size() > values.capacity()) {
                found.add(Finding.ofLesson(FindingKind.MORE_THAN_THE_ROOM_HOLDS, lesson)
                        .measured(of.pupils().size(), values.capacity()));
            }
            if (!values.adultsFirst()) {
                found.add(Finding.ofLesson(FindingKind.PUPILS_BEFORE_AN_ADULT, lesson));
            }
        }

        private void plans(InspectedLesson lesson, InspectedClass of, RulesOfDay.Values values) {
            if (lesson.expected().contains(Fact.VISITOR_PRESENT)) {
                if (values.visitors() == Permission.CLOSED) {
                    found.add(Finding.ofLesson(FindingKind.VISITOR_FORBIDDEN, lesson));
                } else if (values.door() == Door.OPEN) {
                    found.add(Finding.ofLesson(FindingKind.STRANGERS_AT_AN_OPEN_DOOR, lesson));
                }
            }
            if (lesson.expected().contains(Fact.RECORDING)
                    && values.recording().text().equals("forbidden")) {
                found.add(Finding.ofLesson(FindingKind.RECORDING_FORBIDDEN, lesson));
            }
            if (lesson.expected().contains(Fact.IN_GROUPS)) {
                if (values.groups() == Permission.CLOSED) {
                    found.add(Finding.ofLesson(FindingKind.GROUPS_FORBIDDEN, lesson));
                } else if (lesson.adults(of).size() == 1 && values.groupAlone() == 0) {
                    found.add(mendedByAnother(Finding.ofLesson(FindingKind.GROUPS_WITH_ONE_ADULT, lesson), lesson));
                }
            }
        }

        private void rights(InspectedLesson lesson, RulesOfDay.Values values) {
            if (values.privateChat() == Permission.OPEN) {
                found.add(Finding.ofLesson(FindingKind.PUPILS_WRITE_UNSEEN, lesson));
            }
            if (values.wholeScreen() == Permission.OPEN) {
                found.add(Finding.ofLesson(FindingKind.WHOLE_SCREENS_OPEN, lesson));
            }
        }

        /** @param two begins when {@code one} does or later, and before the gap after it is over */
        private void pair(Planned one, Planned two, RulesOfDay.Values values) {
            if (one.of.link() == two.of.link() && two.from < one.until) {
                found.add(Finding.ofLesson(FindingKind.LINK_TWICE, two.lesson).against(one.lesson));
            }
            for (PersonId adult : one.adults) {
                if (two.adults.contains(adult)) {
                    adult(adult, one, two, values);
                }
            }
            if (shared.areSome(one.place, two.place)) {
                pupils(one, two, values);
            }
        }

        private void adult(PersonId adult, Planned one, Planned two, RulesOfDay.Values values) {
            if (two.from < one.until) {
                Finding twice = Finding.ofLesson(FindingKind.ADULT_TWICE, two.lesson)
                        .against(one.lesson)
                        .about(List.of(adult))
                        .measured(overlap(one.lesson.time(), two.lesson.time()), 0);
                found.add(freeAdult(two.lesson)
                        .map(free -> twice.mendedBy(new Mend.Cover(two.lesson.id(), adult, free)))
                        .orElse(twice));
            } else {
                found.add(tooClose(FindingKind.GAP_FOR_ADULT, List.of(adult), one, two, values));
            }
        }

        private void pupils(Planned one, Planned two, RulesOfDay.Values values) {
            boolean atOnce = two.from < one.until;
            if (atOnce && one.place != two.place) {
                found.add(Finding.ofLesson(FindingKind.PUPIL_TWICE, two.lesson)
                        .against(one.lesson)
                        .about(shared.of(one.of, two.of))
                        .measured(overlap(one.lesson.time(), two.lesson.time()), 0));
            } else if (!atOnce) {
                found.add(tooClose(FindingKind.GAP_FOR_PUPILS, shared.of(one.of, two.of), one, two, values));
            }
        }

        private Finding tooClose(
                FindingKind kind, List<PersonId> whom, Planned one, Planned two, RulesOfDay.Values values) {
            Finding close = Finding.ofLesson(kind, two.lesson)
                    .against(one.lesson)
                    .about(whom)
                    .measured((int) ((two.from - one.until) / 60_000), values.gap());
            return endEarlier(one.lesson, two.lesson, values.gap())
                    .map(close::mendedBy)
                    .orElse(close);
        }

        private Optional<Mend> endEarlier(InspectedLesson lesson, InspectedLesson next, int gap) {
            Instant until = next.time().from().minus(Duration.ofMinutes(gap));
            boolean leavesEnough = !until.isBefore(lesson.time().from().plus(SHORTEST_AFTER_A_MEND));
            return leavesEnough ? Optional.of(new Mend.EndEarlier(lesson.id(), until)) : Optional.empty();
        }

        private Finding mendedByAnother(Finding finding, InspectedLesson lesson) {
            return freeAdult(lesson)
                    .map(free -> finding.mendedBy(new Mend.AddAdult(lesson.id(), free)))
                    .orElse(finding);
        }

        /** Somebody of the staff who has no lesson then: who has the fewest that day, so that it is shared out. */
        private Optional<PersonId> freeAdult(InspectedLesson lesson) {
            var load = new HashMap<PersonId, Integer>();
            var busy = new HashSet<PersonId>();
            for (InspectedLesson one : lessons) {
                InspectedClass of = school.classes().get(one.ofClass());
                if (of == null) {
                    continue;
                }
                boolean atOnce = one.time().from().isBefore(lesson.time().until())
                        && lesson.time().from().isBefore(one.time().until());
                for (PersonId adult : one.adults(of)) {
                    load.merge(adult, 1, Integer::sum);
                    if (atOnce) {
                        busy.add(adult);
                    }
                }
            }
            return school.staff().stream()
                    .filter(one -> !busy.contains(one))
                    .min(Comparator.comparing((PersonId one) -> load.getOrDefault(one, 0))
                            .thenComparing(PersonId::value));
        }
    }

    private static int minutes(Instant from, Instant until) {
        return (int) Duration.between(from, until).toMinutes();
    }

    private static int overlap(Span one, Span other) {
        return one.within(other).map(both -> (int) both.length().toMinutes()).orElse(0);
    }
}
