package juricast.server.rules;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.charter.Place;
import juricast.core.identity.LessonId;
import juricast.core.live.LessonPlan;
import juricast.core.live.RunningOrder;
import juricast.core.live.Stance;
import juricast.server.classes.Planning;
import juricast.server.data.Database;
import juricast.server.data.Topic;
import juricast.server.grouping.PreparedGroups;
import org.springframework.stereotype.Component;

/** Ready-made sets as stances of a lesson, and the running order of a class or of one lesson. */
@Component
public class Stances {
    private final ReadyMadeSets sets;
    private final Settings settings;
    private final Planning planning;
    private final PreparedGroups prepared;
    private final Database database;
    private volatile Known known = new Known(-1, -1, List.of());

    Stances(ReadyMadeSets sets, Settings settings, Planning planning, PreparedGroups prepared, Database database) {
        this.sets = sets;
        this.settings = settings;
        this.planning = planning;
        this.prepared = prepared;
        this.database = database;
    }

    /** A step as it is written down. @param groups the prepared groups in which the class works meanwhile; empty for none */
    public record Written(String stance, int minutes, String groups) {}

    /** What was read, after how many writes, and for which minute. */
    private record Known(long revision, long minute, List<Owned> stances) {}

    /** A stance and whose it is; empty text for one of the school. */
    private record Owned(String owner, Stance stance) {}

    /** What may be switched on in a lesson: the sets of the school, then those that its own adults have made. */
    public List<Stance> of(LessonPlan plan, Instant now) {
        return all(now).stream()
                .filter(one -> one.owner.isEmpty()
                        || plan.adults().stream()
                                .anyMatch(adult -> adult.person().value().equals(one.owner)))
                .map(Owned::stance)
                .toList();
    }

    /** All sets, as they are now. Every desk asks with every event, so they are read once a minute. */
    private List<Owned> all(Instant now) {
        long revision = database.revision(Topic.RULES);
        long minute = now.getEpochSecond() / 60;
        Known last = known;
        if (last.revision != revision || last.minute != minute) {
            last = new Known(revision, minute, read(now));
            known = last;
        }
        return last.stances;
    }

    private List<Owned> read(Instant now) {
        return sets.all().stream()
                .map(one -> new Owned(one.owner(), stance(one, now)))
                .toList();
    }

    public Optional<Stance> find(String id, Instant now) {
        return sets.find(id).map(one -> stance(one, now));
    }

    private Stance stance(ReadyMadeSets.Named set, Instant now) {
        return new Stance(
                set.id(),
                set.name(),
                settings.all().at(Place.ofSet(set.id())).stream()
                        .filter(one -> one.isInForce(now))
                        .map(one -> new Stance.Part(one.set(), one.role(), one.when()))
                        .toList());
    }

    /** The running order of a lesson: its own, or that of its class, or none. */
    public RunningOrder of(LessonId lesson, Instant now) {
        Place own = Place.of(lesson);
        return at(own, now)
                .or(() -> at(Place.of(planning.lesson(lesson).ofClass()), now))
                .orElse(RunningOrder.NONE);
    }

    private Optional<RunningOrder> at(Place place, Instant now) {
        Optional<Boolean> byTheClock = database.read()
                .sql("SELECT by_the_clock FROM running_order WHERE place = :place")
                .param("place", place.text())
                .query(Boolean.class)
                .optional();
        return byTheClock.map(clock -> new RunningOrder(
                database
                        .read()
                        .sql(
                                "SELECT set_id, minutes, prepared FROM running_step WHERE place = :place ORDER BY position")
                        .param("place", place.text())
                        .query((row, n) -> new Written(row.getString(1), row.getInt(2), row.getString(3)))
                        .list()
                        .stream()
                        .flatMap(step -> find(step.stance, now)
                                .map(stance -> new RunningOrder.Step(stance, step.minutes, prepared.find(step.groups)))
                                .stream())
                        .toList(),
                clock));
    }

    /** Replaces the running order of a place, whole or not at all. */
    public void write(Place place, List<Written> steps, boolean byTheClock) {
        database.write(
                sql -> {
                    sql.sql("DELETE FROM running_step WHERE place = :place")
                            .param("place", place.text())
                            .update();
                    sql.sql("INSERT INTO running_order (place, by_the_clock) VALUES (:place, :clock)"
                                    + " ON CONFLICT (place) DO UPDATE SET by_the_clock = excluded.by_the_clock")
                            .param("place", place.text())
                            .param("clock", byTheClock)
                            .update();
                    for (int i = 0; i < steps.size(); i++) {
                        sql.sql("INSERT INTO running_step (place, position, set_id, minutes, prepared)"
                                        + " VALUES (:place, :position, :stance, :minutes, :groups)")
                                .param("place", place.text())
                                .param("position", i)
                                .param("stance", steps.get(i).stance)
                                .param("minutes", steps.get(i).minutes)
                                .param("groups", steps.get(i).groups)
                                .update();
                    }
                    return null;
                },
                Topic.RULES);
    }
}
