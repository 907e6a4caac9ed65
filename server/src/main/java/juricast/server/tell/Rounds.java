package juricast.server.tell;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.core.telling.Due;
import juricast.core.time.Span;
import juricast.server.classes.Classes;
import juricast.server.classes.JoinLinks;
import juricast.server.classes.Planning;
import juricast.server.data.Addresses;
import juricast.server.data.Database;
import juricast.server.data.School;
import juricast.server.lesson.LiveLessons;
import juricast.server.rules.Settings;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Goes round and sees what is to be said now: reminders, nudges, changed lessons, new links, invitations; and renews links whose
 * time is over. Nothing is kept in memory but what saves work: after a crash the next round says what was not said.
 */
@Component
class Rounds {
    private static final Logger LOG = LoggerFactory.getLogger(Rounds.class);
    /** The longest that the rules may remind before. */
    private static final Duration AHEAD = Duration.ofMinutes(120);
    /** What happened longer ago than this, while nobody went round, is news to nobody. */
    private static final Duration NEWS = Duration.ofHours(24);
    /** Lessons further ahead are seen in the timetable; a change of them is no message yet. */
    private static final Duration NEAR = Duration.ofDays(14);

    private static final int LINES = 6;

    private final Outbox outbox;
    private final Classes classes;
    private final Planning planning;
    private final JoinLinks links;
    private final LiveLessons live;
    private final Settings settings;
    private final School school;
    private final Addresses addresses;
    private final Database database;
    private final Clock clock;
    private final Set<String> said = ConcurrentHashMap.newKeySet();

    Rounds(
            Outbox outbox,
            Classes classes,
            Planning planning,
            JoinLinks links,
            LiveLessons live,
            Settings settings,
            School school,
            Addresses addresses,
            Database database,
            Clock clock) {
        this.outbox = outbox;
        this.classes = classes;
        this.planning = planning;
        this.links = links;
        this.live = live;
        this.settings = settings;
        this.school = school;
        this.addresses = addresses;
        this.database = database;
        this.clock = clock;
    }

    /** One round. Also called by tests, which do not wait for the clock. */
    @Scheduled(initialDelay = 4000, fixedDelay = 5000)
    void go() {
        if (school.identity().isEmpty()) {
            return;
        }
        Instant now = live.now();
        each("reminders and nudges", () -> say(dueNow(now)));
        each("changes", () -> say(changes(now)));
        each("invitations", () -> say(invitations(now)));
        each("links", () -> {
            renewLinks(now);
            say(newLinks(now));
        });
    }

    private static void each(String what, Runnable work) {
        try {
            work.run();
        } catch (RuntimeException failed) {
            LOG.error("Going round for {} failed; the next round tries again", what, failed);
        }
    }

    private void say(List<Outbox.Wanted> wanted) {
        List<Outbox.Wanted> fresh =
                wanted.stream().filter(one -> !said.contains(key(one))).toList();
        outbox.send(fresh);
        fresh.forEach(one -> said.add(key(one)));
    }

    private static String key(Outbox.Wanted one) {
        return one.kind() + " " + one.about() + " " + one.to().person().value();
    }

    private List<Outbox.Wanted> dueNow(Instant now) {
        var wanted = new ArrayList<Outbox.Wanted>();
        for (Classes.Planned one : classes.lessons(new Span(now, now.plus(AHEAD)))) {
            // Lessons that go on are near by themselves; their rules are asked below.
            boolean isNear = live.isKnown(one.id())
                    || settings.ofLesson(one.id())
                                    .value(Catalogue.REMINDER_MINUTES, Rule.ANSWERS, now)
                                    .length()
                                    .compareTo(Duration.between(now, one.time().from()))
                            >= 0;
            List<Due> all = isNear ? live.dueIfReadable(one.id()) : List.of();
            if (all.isEmpty()) {
                continue;
            }
            List<Member> adults = classes.membersOf(one, now).stream()
                    .filter(member -> member.role().isAdultInCharge())
                    .toList();
            for (Due due : all) {
                wanted.add(new Outbox.Wanted(
                        MessageKind.valueOf(due.kind().name()),
                        one.id().value() + " " + one.time().from(),
                        Optional.of(one.ofClass().value()),
                        Optional.of(one.id().value()),
                        due.to(),
                        ofLesson(one, adults)));
            }
        }
        return wanted;
    }

    /** So long after a nudge nobody is nudged again by hand. */
    private static final Duration PATIENCE = Duration.ofMinutes(10);

    /** Nudges who is missing from a lesson now, because an adult says so. @return how many were nudged */
    int nudge(Classes.Planned lesson, List<Member> missing, Instant now) {
        Set<String> nudged = Set.copyOf(database.read()
                .sql("SELECT person FROM message WHERE kind = 'NUDGE' AND lesson = :lesson AND at > :since")
                .param("lesson", lesson.id().value())
                .param("since", now.minus(PATIENCE).toEpochMilli())
                .query(String.class)
                .list());
        List<Member> adults = classes.membersOf(lesson, now).stream()
                .filter(member -> member.role().isAdultInCharge())
                .toList();
        return outbox.send(missing.stream()
                .filter(one -> !nudged.contains(one.person().value()))
                .map(one -> new Outbox.Wanted(
                        MessageKind.NUDGE,
                        lesson.id().value() + " by hand " + now,
                        Optional.of(lesson.ofClass().value()),
                        Optional.of(lesson.id().value()),
                        one,
                        ofLesson(lesson, adults)))
                .toList());
    }

    private Map<String, String> ofLesson(Classes.Planned one, List<Member> adults) {
        var values = new HashMap<String, String>();
        values.put("class", one.title());
        values.put("day", school.day(one.time().from()));
        values.put("time", school.clockTime(one.time().from()));
        values.put("until", school.clockTime(one.time().until()));
        values.put(
                "adults",
                adults.isEmpty()
                        ? "your teacher"
                        : adults.stream().map(Member::name).collect(Collectors.joining(" and ")));
        return values;
    }

    private record Change(String id, String why, PersonId by, boolean undone) {}

    private record Touched(
            ClassId ofClass, LessonId lesson, String title, Span before, Span after, boolean was, boolean cancelled) {}

    private List<Outbox.Wanted> changes(Instant now) {
        List<Change> changes = database.read()
                .sql("SELECT * FROM plan_change WHERE made_at > :since OR undone_at > :since ORDER BY made_at, rowid")
                .param("since", now.minus(NEWS).toEpochMilli())
                .query((row, n) -> new Change(
                        row.getString("id"),
                        row.getString("why"),
                        new PersonId(row.getString("made_by")),
                        row.getLong("undone_at") > 0))
                .list();
        var wanted = new ArrayList<Outbox.Wanted>();
        for (Change change : changes) {
            String about = change.id + (change.undone ? " undone" : "");
            if (said.contains(about) || change.undone && !isSaid(change.id)) {
                continue; // told, or taken back before anybody was told of it
            }
            wanted.addAll(noticesOf(change, about, now));
            said.add(about);
        }
        return wanted;
    }

    private boolean isSaid(String about) {
        return database.read()
                        .sql("SELECT count(*) FROM message WHERE kind = 'CHANGE' AND about = :about")
                        .param("about", about)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /** One message to each person, whatever many of their lessons it is about. */
    private List<Outbox.Wanted> noticesOf(Change change, String about, Instant now) {
        var lines = new LinkedHashMap<Member, List<String>>();
        for (Touched one : touched(change.id, now)) {
            String sentence = sentence(one, change.undone);
            classes.members(one.ofClass, now).forEach(member -> lines.computeIfAbsent(member, to -> new ArrayList<>())
                    .add(sentence));
        }
        covers(change.id, now, change.undone).forEach((to, said) -> lines.computeIfAbsent(to, one -> new ArrayList<>())
                .addAll(said));
        return lines.entrySet().stream()
                .filter(one -> !one.getKey().person().equals(change.by))
                .map(one -> new Outbox.Wanted(
                        MessageKind.CHANGE,
                        about,
                        Optional.empty(),
                        Optional.empty(),
                        one.getKey(),
                        Map.of("changes", several(one.getValue()), "why", change.why)))
                .toList();
    }

    private static String several(List<String> sentences) {
        String first = String.join("\n", sentences.subList(0, Math.min(LINES, sentences.size())));
        return sentences.size() <= LINES ? first : first + "\nand %d more lessons.".formatted(sentences.size() - LINES);
    }

    private String sentence(Touched one, boolean undone) {
        Span was = undone ? one.after : one.before;
        Span is = undone ? one.before : one.after;
        boolean cancelled = undone ? one.was : one.cancelled;
        boolean cancelledBefore = undone ? one.cancelled : one.was;
        if (cancelled) {
            return "%s, %s, is cancelled.".formatted(one.title, when(was));
        }
        if (cancelledBefore) {
            return "%s is held, %s.".formatted(one.title, when(is));
        }
        return "%s, %s, is now %s.".formatted(one.title, when(was), when(is));
    }

    private String when(Span time) {
        return "%s %s to %s"
                .formatted(school.day(time.from()), school.clockTime(time.from()), school.clockTime(time.until()));
    }

    private List<Touched> touched(String change, Instant now) {
        return database.read()
                .sql(
                        """
                    SELECT lesson_change.*, lesson.class, class.title FROM lesson_change
                    JOIN lesson ON lesson.id = lesson_change.lesson JOIN class ON class.id = lesson.class
                    WHERE change = :change AND max(starts_before, starts_after) > :now
                    AND min(starts_before, starts_after) < :near ORDER BY starts_after""")
                .param("change", change)
                .param("now", now.toEpochMilli())
                .param("near", now.plus(NEAR).toEpochMilli())
                .query((row, n) -> new Touched(
                        new ClassId(row.getString("class")),
                        new LessonId(row.getString("lesson")),
                        row.getString("title"),
                        new Span(
                                Instant.ofEpochMilli(row.getLong("starts_before")),
                                Instant.ofEpochMilli(row.getLong("ends_before"))),
                        new Span(
                                Instant.ofEpochMilli(row.getLong("starts_after")),
                                Instant.ofEpochMilli(row.getLong("ends_after"))),
                        row.getInt("cancelled_before") != 0,
                        row.getInt("cancelled_after") != 0))
                .list();
    }

    /** Who is to cover, and in what. */
    private Map<Member, List<String>> covers(String change, Instant now, boolean undone) {
        record Cover(Member adult, String sentence) {}
        return database
                .read()
                .sql(
                        """
                    SELECT person.id, person.name, class.title, starts, ends FROM lesson_cover
                    JOIN lesson ON lesson.id = lesson_cover.lesson JOIN class ON class.id = lesson.class
                    JOIN person ON person.id = adult
                    WHERE change = :change AND starts > :now AND starts < :near ORDER BY starts""")
                .param("change", change)
                .param("now", now.toEpochMilli())
                .param("near", now.plus(NEAR).toEpochMilli())
                .query((row, n) -> new Cover(
                        new Member(new PersonId(row.getString("id")), row.getString("name"), Role.LEAD_ADULT),
                        (undone ? "You are not in charge any more of %s, %s." : "You are in charge of %s, %s.")
                                .formatted(
                                        row.getString("title"),
                                        when(new Span(
                                                Instant.ofEpochMilli(row.getLong("starts")),
                                                Instant.ofEpochMilli(row.getLong("ends")))))))
                .list()
                .stream()
                .collect(Collectors.groupingBy(
                        Cover::adult, LinkedHashMap::new, Collectors.mapping(Cover::sentence, Collectors.toList())));
    }

    private List<Outbox.Wanted> invitations(Instant now) {
        List<LessonId> invited = database.read()
                .sql(
                        """
                    SELECT DISTINCT lesson FROM lesson_visitor JOIN lesson ON lesson.id = lesson
                    WHERE ends > :now AND starts < :near AND cancelled = 0""")
                .param("now", now.toEpochMilli())
                .param("near", now.plus(NEAR).toEpochMilli())
                .query((row, n) -> new LessonId(row.getString(1)))
                .list();
        var wanted = new ArrayList<Outbox.Wanted>();
        for (LessonId id : invited) {
            Classes.Planned lesson = classes.lesson(id).orElseThrow();
            List<Member> adults = classes.membersOf(lesson, now).stream()
                    .filter(one -> one.role().isAdultInCharge())
                    .toList();
            for (Member visitor : planning.invited(id)) {
                String path = links.ofVisitor(id, visitor.person());
                var values = ofLesson(lesson, adults);
                values.put("link", addresses.of(path));
                wanted.add(new Outbox.Wanted(
                        MessageKind.INVITATION,
                        id.value() + " " + lesson.time().from() + " " + path,
                        Optional.of(lesson.ofClass().value()),
                        Optional.of(id.value()),
                        visitor,
                        values));
            }
        }
        return wanted;
    }

    private record Renewed(ClassId id, String title, int renewal) {}

    private List<Outbox.Wanted> newLinks(Instant now) {
        return database
                .read()
                .sql("SELECT id, title, renewal FROM class WHERE renewal > 0 AND link_since > :since")
                .param("since", now.minus(NEWS).toEpochMilli())
                .query((row, n) ->
                        new Renewed(new ClassId(row.getString("id")), row.getString("title"), row.getInt("renewal")))
                .list()
                .stream()
                .flatMap(one -> classes.members(one.id, now).stream()
                        .filter(Predicate.not(member -> member.role().isAdultInCharge()))
                        .map(member -> new Outbox.Wanted(
                                MessageKind.NEW_LINK,
                                one.id.value() + " " + one.renewal,
                                Optional.of(one.id.value()),
                                Optional.empty(),
                                member,
                                Map.of("class", one.title))))
                .toList();
    }

    /**
     * Renews links by the clock: those whose last lesson under the rule is over although nobody dismissed it. A dismissed lesson
     * has renewed its link with its last event.
     */
    private void renewLinks(Instant now) {
        database
                .read()
                .sql(
                        """
                    SELECT lesson.*, class.title FROM lesson JOIN class ON class.id = lesson.class
                    WHERE cancelled = 0 AND ends < :now AND ends > :since AND starts > link_since
                    AND NOT EXISTS (SELECT 1 FROM lesson_stage WHERE lesson = lesson.id)
                    ORDER BY ends""")
                .param("now", now.toEpochMilli())
                .param("since", now.minus(NEWS).toEpochMilli())
                .query((row, n) -> new Classes.Planned(
                        new LessonId(row.getString("id")),
                        new ClassId(row.getString("class")),
                        Classes.titleOf(row),
                        new Span(
                                Instant.ofEpochMilli(row.getLong("starts")), Instant.ofEpochMilli(row.getLong("ends"))),
                        false))
                .list()
                .stream()
                .filter(one -> classes.plan(one.id(), now)
                        .filter(plan -> plan.sequel()
                                .endsTheLink(
                                        settings.ofLesson(one.id())
                                                .value(
                                                        Catalogue.LINK_RENEWAL,
                                                        Rule.ANSWERS,
                                                        one.time().from()),
                                        one.time()))
                        .isPresent())
                .map(Classes.Planned::ofClass)
                .distinct()
                .forEach(id -> classes.renewLink(id, now));
    }
}
