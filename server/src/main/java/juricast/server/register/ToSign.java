package juricast.server.register;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import juricast.core.day.Duty;
import juricast.core.day.Waiting;
import juricast.core.identity.PersonId;
import juricast.core.time.Span;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.data.Database;
import juricast.server.day.Waits;
import org.springframework.stereotype.Component;

/** Registers of lessons that an adult has run and that nobody has signed. */
@Component
class ToSign implements Waits {
    /** What nobody signed in this time is not asked for again every day; it stays open on the attendance pages. */
    private static final Duration ASKED_FOR = Duration.ofDays(28);

    private final Classes classes;
    private final Database database;
    private final Clock clock;

    ToSign(Classes classes, Database database, Clock clock) {
        this.classes = classes;
        this.database = database;
        this.clock = clock;
    }

    @Override
    public Stream<Waiting> of(SignedIn adult) {
        return Stream.of(new Waiting(Duty.REGISTER, lessons(adult.person()).size()));
    }

    /** The oldest first. */
    List<Classes.Planned> lessons(PersonId adult) {
        Instant now = clock.instant();
        Set<String> unsigned = unsigned(now.minus(ASKED_FOR));
        return classes.ownLessons(adult, new Span(now.minus(ASKED_FOR), now), now).stream()
                .filter(one -> unsigned.contains(one.id().value()))
                .toList();
    }

    /** Of the whole school in one question: every page asks for it. */
    private Set<String> unsigned(Instant since) {
        return Set.copyOf(database.read()
                .sql(
                        """
                    SELECT lesson FROM lesson_stage WHERE over > :since AND NOT EXISTS (
                        SELECT 1 FROM register_signed WHERE register_signed.lesson = lesson_stage.lesson AND reopened_at = 0)""")
                .param("since", since.toEpochMilli())
                .query(String.class)
                .list());
    }
}
