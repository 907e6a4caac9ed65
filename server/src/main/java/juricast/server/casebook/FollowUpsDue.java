package juricast.server.casebook;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Optional;
import java.util.stream.Stream;
import juricast.core.day.Duty;
import juricast.core.day.Waiting;
import juricast.server.access.SignedIn;
import juricast.server.data.School;
import juricast.server.day.Waits;
import org.springframework.stereotype.Component;

/** What the casebook asks of an adult by today, or has asked before. */
@Component
class FollowUpsDue implements Waits {
    private final CaseIndex index;
    private final CaseReading reading;
    private final School school;
    private final Clock clock;

    FollowUpsDue(CaseIndex index, CaseReading reading, School school, Clock clock) {
        this.index = index;
        this.reading = reading;
        this.school = school;
        this.clock = clock;
    }

    @Override
    public Stream<Waiting> of(SignedIn adult) {
        LocalDate today = school.date(clock.instant());
        long due = index.todos(Optional.of(adult.person())).stream()
                .filter(one -> !LocalDate.parse(one.until()).isAfter(today))
                .filter(one -> reading.find(adult, one.incident()).isPresent())
                .count();
        return Stream.of(new Waiting(Duty.FOLLOW_UP, (int) due));
    }
}
