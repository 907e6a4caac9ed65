package juricast.server.room;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.TEACHER;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import juricast.core.grouping.Wish;
import juricast.core.groups.WhoWasWhere;
import juricast.core.identity.LessonId;
import juricast.core.keeping.Departure;
import juricast.core.lesson.Parts;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.presence.Presence;
import juricast.core.presence.Supervision;
import juricast.core.reading.Matter;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.classes.Reading;
import juricast.server.files.Archive;
import juricast.server.files.Download;
import juricast.server.files.TableFile;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.Snapshot;
import juricast.server.people.People;
import juricast.server.problems.Problem;
import juricast.server.words.EventWords;
import juricast.server.words.GroupNames;
import juricast.server.words.PartWords;
import juricast.server.words.RuleWords;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.*;
import tools.jackson.databind.json.JsonMapper;

/** A lesson looked at again: what happened, and how it stood at any moment (needs M3, M4). */
@RestController
@RequestMapping("/api/lessons/{lesson}/replay")
class ReplayController {
    private final JsonMapper json;
    private final LiveLessons lessons;
    private final DeskJson desks;
    private final EventWords words;
    private final Reading reading;
    private final People people;

    ReplayController(
            JsonMapper json, LiveLessons lessons, DeskJson desks, EventWords words, Reading reading, People people) {
        this.json = json;
        this.lessons = lessons;
        this.desks = desks;
        this.words = words;
        this.reading = reading;
        this.people = people;
    }

    /**
     * @param from the first moment, and @param until the last
     * @param alone stretches in which pupils were without an adult
     * @param departures how the lesson differed from what was planned
     * @param groups who was in which group, by when they came to it
     * @param aloneInGroups how long each group was without an adult's eye
     * @param keptApart whoever was in one group and is to stay apart, as the class keeps it today
     */
    record Replay(
            String lesson,
            String classId,
            String title,
            Instant from,
            Instant until,
            List<PastMoment> moments,
            List<Stretched> alone,
            List<DepartureLine> departures,
            List<KeeperLine> keepers,
            List<GroupStay> groups,
            List<GroupAlone> aloneInGroups,
            List<ApartMet> keptApart) {}

    /** One thing that happened. @param weight how much it matters to who looks back: 0 little, 1 some, 2 much */
    record PastMoment(int number, Instant at, String sentence, int weight) {}

    record Stretched(Instant from, Instant until) {}

    /** @param of whom it was about; nobody for everybody */
    record DepartureLine(
            Departure.Kind kind,
            String title,
            @Nullable String value,
            @Nullable String of,
            String by,
            Instant from,
            Instant until) {}

    /** Somebody in a group. @param round which time out it was, from 1 */
    record GroupStay(String person, String group, int round, Instant from, Instant until) {}

    record GroupAlone(String group, long seconds) {}

    record ApartMet(String one, String other, String group, Instant from, Instant until, String reason) {}

    /** How much one adult departed from the plan. */
    record KeeperLine(String by, int orders, long minutes) {}

    /** The same as an archive of open formats: sentences and presence as tables, everything as JSON. */
    @GetMapping(path = "/record.zip", produces = "application/zip")
    @Noted(value = "the record of the lesson, as an archive", takenAway = true)
    @For({TEACHER, LEAD})
    ResponseEntity<byte[]> record(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller)
            throws IOException {
        Replay replay = replay(lesson, caller);
        Snapshot live = lessons.look(new LessonId(lesson));
        var out = new ByteArrayOutputStream();
        var archive = new Archive(out);
        archive.put(
                "record.csv",
                "text/csv",
                TableFile.write(
                        List.of("Number", "At", "What happened"),
                        replay.moments.stream()
                                .map(one -> List.of(Integer.toString(one.number), one.at.toString(), one.sentence))
                                .toList()));
        var stays = new ArrayList<List<String>>();
        Presence.of(live.events(), replay.until).forEach((person, is) -> is.stays()
                .forEach(stay -> stays.add(List.of(
                        live.plan().nameOf(person),
                        stay.from().toString(),
                        stay.until().toString()))));
        archive.put("presence.csv", "text/csv", TableFile.write(List.of("Name", "From", "Until"), stays));
        archive.put("record.json", "application/json", json.writeValueAsBytes(replay));
        archive.put(
                "manifest.json",
                "application/json",
                json.writeValueAsBytes(new Manifest("juricast-lesson", 1, lesson, replay.title, archive.parts())));
        archive.finish();
        return Download.zip(
                "record " + replay.title + " " + replay.from.toString().substring(0, 10), out.toByteArray());
    }

    /** What is in the archive, each part with its SHA-256. */
    record Manifest(String format, int version, String lesson, String title, List<Archive.Part> parts) {}

    /** What happened in a lesson, in order, in sentences. */
    @GetMapping
    @Noted("the replay")
    @For({TEACHER, LEAD})
    Replay replay(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        Classes.Planned planned = reading.ofLesson(caller, Matter.REPLAY, lesson);
        Snapshot live = lessons.look(planned.id());
        List<LessonEvent> events = live.events();
        if (events.isEmpty()) {
            throw Problem.refused(
                    "not-begun",
                    "Nothing has happened in this lesson yet",
                    "There is nothing to look at again.",
                    "Come back when it has begun.");
        }
        Instant until = live.state().of(DOOR).dismissedAt().orElse(lessons.now());
        var moments = new ArrayList<PastMoment>();
        LessonState state = Parts.NEW;
        for (LessonEvent event : events) {
            PartWords.Told told = words.of(event, live.plan(), state);
            if (!told.isNothing()) {
                moments.add(new PastMoment(
                        state.number() + 1,
                        event.at(),
                        told.sentence(),
                        told.weight().ordinal()));
            }
            state = state.after(event);
        }
        List<Departure> departures = Departure.of(events, until);
        WhoWasWhere was = WhoWasWhere.of(events, until);
        return new Replay(
                lesson,
                planned.ofClass().value(),
                planned.title(),
                events.get(0).at(),
                until,
                moments,
                Supervision.of(events, until).alone().stream()
                        .map(one -> new Stretched(one.from(), one.until()))
                        .toList(),
                departures.stream()
                        .map(one -> new DepartureLine(
                                one.kind(),
                                one.rule().title(),
                                one.value()
                                        .map(text -> RuleWords.value(
                                                one.rule(),
                                                juricast.core.rules.RuleValue.of(
                                                                one.rule().key(), text)
                                                        .orElseThrow()
                                                        .value()))
                                        .orElse(null),
                                one.of().map(people::nameOf).orElse(null),
                                people.nameOf(one.by()),
                                one.time().from(),
                                one.time().until()))
                        .toList(),
                keepers(departures),
                was.stays().stream()
                        .filter(WhoWasWhere.Stay::isInGroup)
                        .map(stay -> new GroupStay(
                                live.plan().nameOf(stay.person()),
                                stay.name(),
                                stay.round(),
                                stay.time().from(),
                                stay.time().until()))
                        .toList(),
                was.alone().entrySet().stream()
                        .map(one -> new GroupAlone(
                                GroupNames.of(one.getKey(), live.state()),
                                one.getValue().toSeconds()))
                        .sorted(Comparator.comparing(GroupAlone::group))
                        .toList(),
                keptApart(was, live.plan()));
    }

    private static List<ApartMet> keptApart(WhoWasWhere was, LessonPlan plan) {
        return plan.wishes().all().stream()
                .filter(wish -> wish.kind() == Wish.Kind.APART)
                .flatMap(wish -> was.meetings(wish.people()).stream()
                        .map(met -> new ApartMet(
                                plan.nameOf(met.one()),
                                plan.nameOf(met.other()),
                                met.where().name(),
                                met.time().from(),
                                met.time().until(),
                                wish.reason())))
                .toList();
    }

    private List<KeeperLine> keepers(List<Departure> departures) {
        Map<String, List<Departure>> by = new TreeMap<>();
        departures.forEach(one -> by.computeIfAbsent(people.nameOf(one.by()), name -> new ArrayList<>())
                .add(one));
        return by.entrySet().stream()
                .map(one -> new KeeperLine(
                        one.getKey(),
                        one.getValue().size(),
                        one.getValue().stream()
                                .mapToLong(each -> each.time().length().toMinutes())
                                .sum()))
                .toList();
    }

    /** The lesson as it stood at a moment: everything that had happened by then and nothing after it. */
    @GetMapping("/at")
    @For({TEACHER, LEAD})
    DeskJson.Desk at(
            @PathVariable String lesson,
            @RequestParam(defaultValue = "") String moment,
            @AuthenticationPrincipal SignedIn caller) {
        Classes.Planned planned = reading.ofLesson(caller, Matter.REPLAY, lesson);
        Instant at = instant(moment);
        Snapshot live = lessons.look(planned.id());
        List<LessonEvent> past = live.events().stream()
                .takeWhile(event -> !event.at().isAfter(at))
                .toList();
        var then = Snapshot.of(live.plan(), live.rules(), Parts.NEW.after(past), past);
        return desks.of(then, caller.person(), 0, at);
    }

    private static Instant instant(String text) {
        try {
            return Instant.parse(text);
        } catch (DateTimeException unreadable) {
            throw Problem.notReadable(
                    "This moment cannot be read",
                    "Nothing was changed.",
                    "Write it as 2026-09-14T10:05:00Z.",
                    List.of(new Problem.Wrong("moment", "a moment")));
        }
    }
}
