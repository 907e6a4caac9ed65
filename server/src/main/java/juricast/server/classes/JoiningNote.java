package juricast.server.classes;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import juricast.core.time.Span;
import juricast.server.data.School;
import org.springframework.stereotype.Component;

/** The little that pupils need to join: when, where, the word (need C1). */
@Component
class JoiningNote {
    private final School school;

    JoiningNote(School school) {
        this.school = school;
    }

    String text(Classes.SchoolClass ofClass, Optional<Span> next, String address) {
        String when = next.map(this::when).orElse("The time will follow.");
        return """
                %s
                %s
                Join: %s
                Join word: %s
                Come with your first and last name. You are let in when your teacher is there.
                """
                .formatted(ofClass.title(), when, address, ofClass.word().text());
    }

    private String when(Span lesson) {
        Instant from = lesson.from();
        return "%s, %s to %s (%d min)"
                .formatted(
                        school.day(from),
                        school.clockTime(from),
                        school.clockTime(lesson.until()),
                        Duration.between(from, lesson.until()).toMinutes());
    }
}
