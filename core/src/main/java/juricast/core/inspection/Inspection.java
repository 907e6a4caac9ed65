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
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import juricast.core.charter.SchoolRules;
import juricast.core.identity.ClassId;
import juricast.core.identity.PersonId;
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
    private final Map<LocalDate, List<Finding>> days;
    private final List<Finding> ofClasses;
    private final Instant asOf;

    private Inspection(
            PlannedSchool school,
            SchoolRules rules,
            Instant asOf,
            RulesOfDay rulesOfDay,
            SharedPupils shared,
            Map<LocalDate, List<Finding>> known) {
        this.school = school;
        this.rules = rules;
        this.rulesOfDay = rulesOfDay;
        this.shared = shared;
        this.asOf = asOf;
        days = new TreeMap<>();
        school.days().forEach((day, lessons) -> {
            List<Finding> before = known.get(day);
            days.put(day, before != null ? before : new DayInspection(day, lessons).findings());
        });
        ofClasses = classes(asOf);
    }

    /** Nothing is planned, so nothing is found. */
    public static final Inspection NOTHING = of(
            PlannedSchool.of(ZoneOffset.UTC, SchoolCalendar.NONE, List.of(), List.of(), List.of()),
            SchoolRules.EMPTY,
            Instant.EPOCH);

    /** Inspects everything. @param asOf when it is asked: the words and links of classes are judged by the rules of then */
    public static Inspection of(PlannedSchool school, SchoolRules rules, Instant asOf) {
        return new Inspection(school, rules, asOf, new RulesOfDay(rules), new SharedPupils(school.classes()), Map.of());
    }

    /** The same after a change of the plan. Days with the very same lessons are not inspected again. */
    public Inspection after(PlannedSchool changed) {
        boolean sameClasses = changed.classes().equals(school.classes());
        if (!sameClasses || !changed.calendar().equals(school.calendar())) {
            return of(changed, rules, asOf);
        }
        var known = new HashMap<LocalDate, List<Finding>>();
        changed.days().forEach((day, lessons) -> {
            if (lessons.equals(school.days().get(day))) {
                known.put(day, days.get(day));
            }
        });
        return new Inspection(changed, rules, asOf, rulesOfDay, shared, known);
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
        return Stream.concat(ofClasses.stream(), days.values().stream().flatMap(List::stream))
                .sorted(GRAVEST_FIRST)
                .toList();
    }

    /** What was found about the lessons of one day. */
    public List<Finding> on(LocalDate day) {
        return days.getOrDefault(day, List.of());
    }

    private List<Finding> classes(Instant at) {
        Set<ClassId> planned = new HashSet<>();
        school.days().values().forEach(lessons -> lessons.forEach(lesson -> planned.add(lesson.ofClass())));
        List<InspectedClass> all = school.classes().values().stream()
                .sorted(Comparator.comparing(InspectedClass::title))
                .toList();
        var found = new ArrayList<Finding>();
        for (InspectedClass one : all) {
            RulesOfDay.Values values = rulesOfDay.of(one, at);
            if (one.word().bits() < values.wordBits()) {
                found.add(Finding.ofClass(FindingKind.WORD_TOO_WEAK, one)
                        .measured((int) one.word().bits(), values.wordBits())
                        .mendedBy(new Mend.NewWord(one.id())));
            }
            if (values.linkShown() < values.earlyForPupils()) {
                found.add(Finding.ofClass(FindingKind.LINK_HIDDEN_TOO_LONG, one)
                        .measured(values.linkShown(), values.earlyForPupils()));
            }
            if (!planned.contains(one.id())) {
                found.add(Finding.ofClass(FindingKind.NO_MORE_LESSONS, one));
            }
            all.stream()
                    .filter(other -> other.title().compareTo(one.title()) > 0)
                    .filter(other -> one.word().isNearerThan(values.wordLetters(), other.word()))
                    .findFirst()
                    .ifPresent(other -> found.add(Finding.ofClass(FindingKind.WORD_TOO_NEAR, one)
                            .near(other)
                            .measured(one.word().distanceTo(other.word()), values.wordLetters())
                            .mendedBy(new Mend.NewWord(one.id()))));
        }
        return found;
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

        List<Finding> findings() {
            for (int i = 0; i < lessons.size(); i++) {
                InspectedLesson lesson = lessons.get(i);
                InspectedClass of = school.classes().get(lesson.ofClass());
                if (of == null) {
                    continue;
                }
                RulesOfDay.Values values = rulesOfDay.of(of, lesson);
                adults(lesson, of, values);
                when(lesson);
                room(lesson, of, values);
                plans(lesson, of, values);
                rights(lesson, values);
                // Every later lesson that begins before this one has been over for the gap it needs.
                Instant quiet = lesson.time().until().plus(Duration.ofMinutes(values.gap()));
                for (int j = i + 1; j < lessons.size(); j++) {
                    InspectedLesson next = lessons.get(j);
                    if (!next.time().from().isBefore(quiet)) {
                        break;
                    }
                    InspectedClass nextClass = school.classes().get(next.ofClass());
                    if (nextClass != null) {
                        pair(lesson, of, next, nextClass, values);
                    }
                }
            }
            return List.copyOf(found);
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

        /** @param next begins when {@code lesson} does or later, and before the gap after it is over */
        private void pair(
                InspectedLesson lesson,
                InspectedClass of,
                InspectedLesson next,
                InspectedClass nextClass,
                RulesOfDay.Values values) {
            boolean atOnce = next.time().from().isBefore(lesson.time().until());
            if (atOnce && of.link() == nextClass.link()) {
                found.add(Finding.ofLesson(FindingKind.LINK_TWICE, next).against(lesson));
            }
            int gap = minutes(lesson.time().until(), next.time().from());
            Optional<Mend> earlier = endEarlier(lesson, next, values.gap());
            for (PersonId adult : lesson.adults(of)) {
                if (!next.adults(nextClass).contains(adult)) {
                    continue;
                }
                if (atOnce) {
                    Finding twice = Finding.ofLesson(FindingKind.ADULT_TWICE, next)
                            .against(lesson)
                            .about(List.of(adult))
                            .measured(overlap(lesson.time(), next.time()), 0);
                    found.add(freeAdult(next)
                            .map(free -> twice.mendedBy(new Mend.Cover(next.id(), adult, free)))
                            .orElse(twice));
                } else {
                    Finding close = Finding.ofLesson(FindingKind.GAP_FOR_ADULT, next)
                            .against(lesson)
                            .about(List.of(adult))
                            .measured(gap, values.gap());
                    found.add(earlier.map(close::mendedBy).orElse(close));
                }
            }
            if (of.id().equals(nextClass.id()) || shared.areSome(of.id(), nextClass.id())) {
                List<PersonId> both = shared.of(of, nextClass);
                if (atOnce && !of.id().equals(nextClass.id())) {
                    found.add(Finding.ofLesson(FindingKind.PUPIL_TWICE, next)
                            .against(lesson)
                            .about(both)
                            .measured(overlap(lesson.time(), next.time()), 0));
                } else if (!atOnce && !both.isEmpty()) {
                    Finding close = Finding.ofLesson(FindingKind.GAP_FOR_PUPILS, next)
                            .against(lesson)
                            .about(both)
                            .measured(gap, values.gap());
                    found.add(earlier.map(close::mendedBy).orElse(close));
                }
            }
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
