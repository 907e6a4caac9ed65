package juricast.core.register;

import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.help.HelpEvent;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonPlan;
import juricast.core.presence.Attendance;
import juricast.core.presence.Presence;
import juricast.core.rules.Catalogue;
import juricast.core.rules.PlannedRules;
import juricast.core.rules.Rule;
import juricast.core.time.Span;

/**
 * The register of one lesson.
 *
 * @param window the time that counts: from the planned start to the planned end, or to the dismissal if that was earlier
 */
public record Register(Span window, List<RegisterLine> lines) {
    public Register {
        lines = List.copyOf(lines);
    }

    /**
     * Works it out (need L2). A pupil is late whose knock came later than the rule's minutes after the planned start, and left
     * early who was last there more than the rule's minutes before the end; the wait at the door counts as being there. Of
     * several things that are true, the one that says most stands in the register: absent before late, late before left early,
     * and partly where neither beginning nor end was missed.
     *
     * @param ended when the lesson was ended, or now while it runs; what was a help hour after it does not count
     * @param rules the rules of that day
     * @param corrections the latest of each pupil
     * @param elsewhere stays that another service wrote down, reconciled by a person
     */
    public static Register of(
            LessonPlan plan,
            List<LessonEvent> events,
            Instant ended,
            PlannedRules rules,
            Map<PersonId, Correction> corrections,
            Map<PersonId, List<Span>> elsewhere) {
        Instant dismissedAt = overInto(events).filter(ended::isAfter).orElse(ended);
        var attendances = new HashMap<>(Presence.of(events, dismissedAt));
        elsewhere.forEach((person, stays) ->
                attendances.merge(person, Attendance.none(person).with(stays), (here, there) -> here.with(stays)));
        Span window = Span.between(plan.time().from(), dismissedAt)
                .flatMap(held -> held.within(plan.time()))
                .orElse(plan.time());
        List<RegisterLine> lines = plan.classList().stream()
                .filter(one -> one.role() != Role.VISITOR)
                .map(pupil -> line(
                        pupil,
                        attendances.getOrDefault(pupil.person(), Attendance.none(pupil.person())),
                        window,
                        rules,
                        Optional.ofNullable(corrections.get(pupil.person()))))
                .toList();
        return new Register(
                window,
                plan.helpHour() ? lines.stream().map(RegisterLine::ofHelpHour).toList() : lines);
    }

    /** When a lesson went over into a help hour. */
    private static Optional<Instant> overInto(List<LessonEvent> events) {
        return events.stream()
                .filter(one -> one instanceof HelpEvent.Begun begun && begun.stayed())
                .map(LessonEvent::at)
                .findFirst();
    }

    /**
     * The same where some were not expected when it began, such as who joined the class while it ran: there if they came, and
     * neither late nor absent.
     */
    public Register with(Set<PersonId> notExpected) {
        return new Register(
                window,
                lines.stream()
                        .map(line -> notExpected.contains(line.pupil().person()) ? line.notExpected() : line)
                        .toList());
    }

    /**
     * The same where some who were not there have watched what was recorded, for long enough to count (need I6).
     *
     * @param percent of it that each has watched, 0 to 100; who is not named has watched nothing
     * @param rules the rules of that day, which may not count watching at all
     */
    public Register watched(Map<PersonId, Integer> percent, PlannedRules rules) {
        int counts = rules.value(Catalogue.WATCHED_COUNTS, Rule.ANSWERS, window.from())
                .number();
        if (counts == 0) {
            return this;
        }
        Set<PersonId> enough = percent.entrySet().stream()
                .filter(one -> one.getValue() >= counts)
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
        return new Register(
                window,
                lines.stream()
                        .map(line -> enough.contains(line.pupil().person()) ? line.watched() : line)
                        .toList());
    }

    /** The register of a lesson that was called off: nobody was expected. */
    public static Register calledOff(LessonPlan plan) {
        return new Register(
                plan.time(),
                plan.classList().stream()
                        .filter(one -> one.role() != Role.VISITOR)
                        .map(pupil -> new RegisterLine(
                                pupil,
                                Mark.NOT_EXPECTED,
                                0,
                                0,
                                0,
                                0,
                                0,
                                Duration.ZERO,
                                Attendance.none(pupil.person()),
                                Optional.empty()))
                        .toList());
    }

    /** How many lines bear this mark. */
    public long count(Mark mark) {
        return lines.stream().filter(line -> line.mark() == mark).count();
    }

    private static RegisterLine line(
            Member pupil, Attendance attendance, Span window, PlannedRules rules, Optional<Correction> correction) {
        var limits = Limits.of(rules, pupil, window);
        boolean cameIn = attendance.cameAt().isPresent() && !attendance.stays().isEmpty();
        int late = cameIn ? limits.minutesLate(attendance, window) : 0;
        int early = cameIn ? limits.minutesEarly(attendance, window) : 0;
        int share = (int) (100
                * attendance.timeThereWithin(window, limits.bridge).toMillis()
                / window.length().toMillis());
        Mark mark = !cameIn || share < limits.absentBelow
                ? Mark.ABSENT
                : late > 0
                        ? Mark.LATE
                        : early > 0 ? Mark.LEFT_EARLY : share < limits.partlyBelow ? Mark.PARTLY : Mark.PRESENT;
        return new RegisterLine(
                pupil,
                mark,
                late,
                early,
                share,
                attendance.timeWithin(window, limits.bridge).toMinutes(),
                attendance.drops(limits.bridge),
                attendance.longestGap(limits.bridge),
                attendance,
                correction);
    }

    /** What the rules of the day say of one pupil. */
    private record Limits(Duration lateAfter, Duration leftEarly, int absentBelow, int partlyBelow, Duration bridge) {
        static Limits of(PlannedRules rules, Member pupil, Span window) {
            return new Limits(
                    rules.value(Catalogue.LATE_AFTER, pupil.role(), window.from())
                            .length(),
                    rules.value(Catalogue.LEFT_EARLY, pupil.role(), window.from())
                            .length(),
                    rules.value(Catalogue.ABSENT_BELOW, pupil.role(), window.from())
                            .number(),
                    rules.value(Catalogue.PARTLY_BELOW, pupil.role(), window.from())
                            .number(),
                    rules.value(Catalogue.BRIDGE, pupil.role(), window.from()).length());
        }

        int minutesLate(Attendance attendance, Span window) {
            Duration after = Duration.between(window.from(), attendance.cameAt().orElseThrow());
            return after.compareTo(lateAfter) > 0 ? Math.max(1, (int) after.toMinutes()) : 0;
        }

        int minutesEarly(Attendance attendance, Span window) {
            Duration before = Duration.between(attendance.lastThere().orElseThrow(), window.until());
            return before.compareTo(leftEarly) > 0 ? Math.max(1, (int) before.toMinutes()) : 0;
        }
    }
}
