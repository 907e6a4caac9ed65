package juricast.core.inspection;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.recording.WhoMay;
import juricast.core.rules.Door;
import juricast.core.rules.Fact;
import juricast.core.rules.Permission;
import juricast.core.time.Span;

/** The lessons of one day, swept in order of time: each by itself, and each with those that run beside it or follow too closely. */
final class DayInspection {
    /** Pupils with whom one adult has no eyes left for the door. */
    private static final int A_CROWD = 30;

    /** No mend makes a lesson shorter than this. */
    private static final Duration SHORTEST_AFTER_A_MEND = Duration.ofMinutes(20);

    private final PlannedSchool school;
    private final SharedPupils shared;
    private final RulesOfDay rulesOfDay;
    private final LocalDate day;
    private final List<InspectedLesson> lessons;
    private final List<Finding> found = new ArrayList<>();

    DayInspection(
            PlannedSchool school,
            SharedPupils shared,
            RulesOfDay rulesOfDay,
            LocalDate day,
            List<InspectedLesson> lessons) {
        this.school = school;
        this.shared = shared;
        this.rulesOfDay = rulesOfDay;
        this.day = day;
        this.lessons = lessons;
    }

    /** What is weak in it, lesson by lesson. */
    List<Finding> found() {
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
                        .mendedBy(
                                new Mend.CoverLonger(lesson.id(), lesson.time().until())));
            }
        }
        if (values.neverAloneWithOne() && of.pupils().size() == 1 && adults.size() == 1) {
            found.add(mendedByAnother(
                    Finding.ofLesson(FindingKind.ALONE_WITH_ONE_PUPIL, lesson).about(List.copyOf(of.pupils())),
                    lesson));
        }
        if (isHelpHour(lesson)
                && values.neverAloneWithOne()
                && adults.size() == 1
                && values.helpAtOnce() == 1
                && !isRecorded(lesson, values)) {
            found.add(mendedByAnother(Finding.ofLesson(FindingKind.NOBODY_CAN_COME, lesson), lesson));
        }
        if (!isHelpHour(lesson)
                && values.adults() == 1
                && adults.size() == 1
                && of.pupils().size() > A_CROWD) {
            found.add(mendedByAnother(
                    Finding.ofLesson(FindingKind.NOBODY_TO_HELP, lesson)
                            .measured(of.pupils().size(), A_CROWD),
                    lesson));
        }
    }

    private static boolean isHelpHour(InspectedLesson lesson) {
        return lesson.expected().contains(Fact.HELP_HOUR);
    }

    private static boolean isRecorded(InspectedLesson lesson, RulesOfDay.Values values) {
        return lesson.expected().contains(Fact.RECORDING)
                || values.recording().text().equals("required");
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
        if (!isHelpHour(lesson) && of.pupils().size() > values.capacity()) {
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
        recording(lesson, of, values);
        if (lesson.expected().contains(Fact.IN_GROUPS)) {
            if (values.groups() == Permission.CLOSED) {
                found.add(Finding.ofLesson(FindingKind.GROUPS_FORBIDDEN, lesson));
            } else if (lesson.adults(of).size() == 1 && values.groupAlone() == 0) {
                found.add(mendedByAnother(Finding.ofLesson(FindingKind.GROUPS_WITH_ONE_ADULT, lesson), lesson));
            }
        }
    }

    /** What has to be recorded where not everybody may be (need I5). */
    private void recording(InspectedLesson lesson, InspectedClass of, RulesOfDay.Values values) {
        if (of.unrecorded().isEmpty() || !values.recording().text().equals("required")) {
            return;
        }
        Optional<FindingKind> kind =
                switch (WhoMay.Without.of(values.consent())) {
                    case NO_RECORDING -> Optional.of(FindingKind.RECORDING_PREVENTED);
                    case CLOSED, WAITS -> Optional.of(FindingKind.RECORDED_WITHOUT_SOME);
                    case NOT_ASKED -> Optional.empty();
                };
        kind.ifPresent(one -> found.add(Finding.ofLesson(one, lesson).about(of.unrecorded())));
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
        // Nobody has to come to a help hour, so it takes no pupil from a lesson and needs no gap.
        if (!isHelpHour(one.lesson) && !isHelpHour(two.lesson) && shared.areSome(one.place, two.place)) {
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
        } else if (!(isHelpHour(two.lesson) && one.of.id().equals(two.of.id()))) {
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

    private static int minutes(Instant from, Instant until) {
        return (int) Duration.between(from, until).toMinutes();
    }

    private static int overlap(Span one, Span other) {
        return one.within(other).map(both -> (int) both.length().toMinutes()).orElse(0);
    }
}
