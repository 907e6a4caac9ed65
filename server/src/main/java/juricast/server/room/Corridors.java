package juricast.server.room;

import static juricast.core.door.DoorPart.DOOR;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.audience.CorridorView;
import juricast.core.day.Duty;
import juricast.core.day.Waiting;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.reading.Matter;
import juricast.core.time.Span;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.classes.Reading;
import juricast.server.data.Database;
import juricast.server.day.Waits;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.Snapshot;
import juricast.server.record.RecordWatch;
import juricast.server.words.WorryWords;
import org.springframework.stereotype.Component;

/** All lessons that run or should, as the corridor sees them, and which of their worries somebody has taken over. */
@Component
class Corridors implements Waits {
    /** Lessons this far from now belong to the corridor if they should be open. */
    private static final Duration AHEAD = Duration.ofHours(2);

    private static final Duration BACK = Duration.ofHours(12);

    private final LiveLessons lessons;
    private final Classes classes;
    private final Reading reading;
    private final Database database;
    private final RecordWatch records;

    Corridors(LiveLessons lessons, Classes classes, Reading reading, Database database, RecordWatch records) {
        this.lessons = lessons;
        this.classes = classes;
        this.reading = reading;
        this.database = database;
        this.records = records;
    }

    record Taken(String lesson, String kind, long since, String by) {}

    /** Lessons around now, whether they run or not. */
    List<Classes.Planned> around(Instant now) {
        return classes.lessons(new Span(now.minus(BACK), now.plus(AHEAD)));
    }

    CorridorView view(PersonId lead, Instant now) {
        List<CorridorView.Line> live = around(now).stream()
                .flatMap(one -> line(one, now).stream())
                .map(one -> one.seenBy(lead))
                .toList();
        return CorridorView.of(
                Stream.concat(live.stream(), damagedBesides(live, now)).toList());
    }

    /** Worries that somebody has taken over, by {@link #key}. */
    Map<String, Taken> taken(Instant now) {
        return database
                .read()
                .sql("SELECT lesson, kind, since, taken_by FROM alert_taken WHERE taken_at > :from")
                .param("from", now.minus(BACK).toEpochMilli())
                .query((row, n) -> new Taken(row.getString(1), row.getString(2), row.getLong(3), row.getString(4)))
                .list()
                .stream()
                .collect(Collectors.toMap(one -> key(one.lesson, one.kind, one.since), one -> one));
    }

    static String key(String lesson, String kind, long since) {
        return lesson + " " + kind + " " + since;
    }

    static String key(CorridorView.Line line, CorridorView.Worry worry) {
        return key(
                line.plan().lesson().value(), worry.kind().name(), worry.since().toEpochMilli());
    }

    /** Lessons in which somebody must go there now and nobody has said that they do; for who watches all. */
    @Override
    public Stream<Waiting> of(SignedIn adult) {
        if (!reading.mayReadAll(adult, Matter.CORRIDOR)) {
            return Stream.empty();
        }
        Instant now = lessons.now();
        Set<String> taken = taken(now).keySet();
        long worried = view(adult.person(), now).lines().stream()
                .filter(line -> line.worries().stream()
                        .anyMatch(worry -> WorryWords.isGrave(worry.kind()) && !taken.contains(key(line, worry))))
                .count();
        return Stream.of(new Waiting(Duty.WORRY, (int) worried));
    }

    /** Lessons of another day whose records were found damaged: nobody would open them to see it. */
    private Stream<CorridorView.Line> damagedBesides(List<CorridorView.Line> told, Instant now) {
        Set<LessonId> known = told.stream().map(line -> line.plan().lesson()).collect(Collectors.toSet());
        return records.damaged().stream()
                .map(RecordWatch.Damaged::lesson)
                .filter(lesson -> !known.contains(lesson))
                .flatMap(lesson -> classes.plan(lesson, now).stream())
                .map(CorridorView::damaged);
    }

    /** The line of a lesson that goes on, or should. */
    Optional<CorridorView.Line> line(Classes.Planned planned, Instant now) {
        Optional<Snapshot> live = lessons.lookIfReadable(planned.id());
        boolean isItsTime = !planned.time().from().isAfter(now)
                && now.isBefore(planned.time().until());
        if (live.isEmpty()) {
            // It may have been opened before its time: that cannot be read either.
            return classes.plan(planned.id(), now)
                    .filter(plan -> now.isBefore(planned.time().until()))
                    .map(CorridorView::damaged);
        }
        return live.filter(one ->
                        !one.state().of(DOOR).isOver() && (one.state().of(DOOR).isOpen() || isItsTime))
                .map(one -> CorridorView.line(one.plan(), one.state(), one.rules(), now));
    }
}
