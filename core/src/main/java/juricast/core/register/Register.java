package juricast.core.register;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.lesson.LessonEvent;
import juricast.core.lesson.LessonPlan;
import juricast.core.presence.Attendance;
import juricast.core.presence.Presence;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rulebook;
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
     * Works it out. A pupil is late whose knock came later than the rule's minutes after the planned start; the wait at
     * the door is not counted (need L2).
     *
     * @param dismissedAt when the lesson was ended, or now while it runs
     * @param rules the rules of that day
     * @param corrections the latest of each pupil
     */
    public static Register of(
            LessonPlan plan,
            List<LessonEvent> events,
            Instant dismissedAt,
            Rulebook rules,
            Map<PersonId, Correction> corrections) {
        Map<PersonId, Attendance> attendances = Presence.of(events, dismissedAt);
        Span window =
                new Span(plan.time().from(), dismissedAt).within(plan.time()).orElse(plan.time());
        List<RegisterLine> lines = plan.classList().stream()
                .filter(one -> one.role() != Role.VISITOR)
                .map(pupil -> line(
                        pupil,
                        attendances.getOrDefault(pupil.person(), Attendance.none(pupil.person())),
                        window,
                        rules,
                        Optional.ofNullable(corrections.get(pupil.person()))))
                .toList();
        return new Register(window, lines);
    }

    /** How many lines bear this mark. */
    public long count(Mark mark) {
        return lines.stream().filter(line -> line.mark() == mark).count();
    }

    private static RegisterLine line(
            Member pupil, Attendance attendance, Span window, Rulebook rules, Optional<Correction> correction) {
        Duration lateAfter =
                rules.value(Catalogue.LATE_AFTER, pupil.role(), window.from()).length();
        boolean cameIn = attendance.cameAt().isPresent() && !attendance.stays().isEmpty();
        Duration after = attendance
                .cameAt()
                .map(came -> Duration.between(window.from(), came))
                .orElse(Duration.ZERO);
        boolean late = cameIn && after.compareTo(lateAfter) > 0;
        Mark mark = !cameIn ? Mark.ABSENT : late ? Mark.LATE : Mark.PRESENT;
        int lateMinutes = late ? Math.max(1, (int) after.toMinutes()) : 0;
        long minutes = attendance.timeWithin(window).toMinutes();
        return new RegisterLine(pupil, mark, lateMinutes, minutes, attendance, correction);
    }
}
