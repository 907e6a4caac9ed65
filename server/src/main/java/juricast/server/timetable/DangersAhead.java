package juricast.server.timetable;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import juricast.core.day.Duty;
import juricast.core.day.Waiting;
import juricast.core.inspection.Finding;
import juricast.core.inspection.Inspection;
import juricast.core.inspection.Severity;
import juricast.server.access.SignedIn;
import juricast.server.data.School;
import juricast.server.day.Waits;
import org.springframework.stereotype.Component;

/** Weak spots of what is planned for today and the next day with lessons, as far as they concern an adult. */
@Component
class DangersAhead implements Waits {
    private final Inspections inspections;
    private final Seen seen;
    private final School school;
    private final Clock clock;

    DangersAhead(Inspections inspections, Seen seen, School school, Clock clock) {
        this.inspections = inspections;
        this.seen = seen;
        this.school = school;
        this.clock = clock;
    }

    @Override
    public Stream<Waiting> of(SignedIn adult) {
        int dangers = (int) soon(adult).stream()
                .filter(one -> one.kind().severity() == Severity.DANGER)
                .count();
        return Stream.of(new Waiting(Duty.DANGER_AHEAD, dangers));
    }

    /** Open ones only, the worst first. */
    List<Finding> soon(SignedIn adult) {
        Inspection inspection = inspections.now();
        List<LocalDate> days = days(inspection);
        return seen
                .of(adult, Inspections.open(inspection, inspections.accepted().keySet()))
                .stream()
                .filter(one -> one.lesson().isPresent() && isOn(days, one, inspection))
                .sorted(java.util.Comparator.comparing(one -> one.kind().severity()))
                .toList();
    }

    /** Today, and the next day on which there is a lesson. */
    List<LocalDate> days(Inspection inspection) {
        LocalDate today = school.date(clock.instant());
        Optional<LocalDate> next = inspection.school().days().keySet().stream()
                .filter(day -> day.isAfter(today))
                .min(LocalDate::compareTo);
        return Stream.concat(Stream.of(today), next.stream()).toList();
    }

    private static boolean isOn(List<LocalDate> days, Finding finding, Inspection inspection) {
        return days.stream()
                .flatMap(day -> inspection.school().days().getOrDefault(day, List.of()).stream())
                .anyMatch(lesson -> finding.lesson().filter(lesson.id()::equals).isPresent());
    }
}
