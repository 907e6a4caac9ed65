package juricast.server.tell;

import static juricast.server.access.Position.PUPIL;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.Member;
import juricast.core.identity.Role;
import juricast.core.joining.WayIn;
import juricast.core.live.LessonState;
import juricast.core.live.WhoIsThere;
import juricast.core.time.Span;
import juricast.server.access.For;
import juricast.server.access.SignedIn;
import juricast.server.classes.Classes;
import juricast.server.classes.JoinLinks;
import juricast.server.data.Database;
import juricast.server.data.School;
import juricast.server.lesson.LiveLessons;
import juricast.server.rules.Settings;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A pupil's own day: the lessons of the own classes and nothing of anybody else (need C2). */
@RestController
@RequestMapping("/api/my-day")
class DayController {
    private static final int DAYS_AHEAD = 14;
    private static final int LATER_DAYS_SHOWN = 4;

    private final Classes classes;
    private final JoinLinks links;
    private final LiveLessons live;
    private final Settings settings;
    private final School school;
    private final Database database;
    private final Clock clock;

    DayController(
            Classes classes,
            JoinLinks links,
            LiveLessons live,
            Settings settings,
            School school,
            Database database,
            Clock clock) {
        this.classes = classes;
        this.links = links;
        this.live = live;
        this.settings = settings;
        this.school = school;
        this.database = database;
        this.clock = clock;
    }

    /** @param today in order of time, cancelled ones too @param later the first few of the days after */
    record MyDay(List<MyLesson> today, List<MyLesson> later) {}

    /**
     * @param shownFrom from when the way to the door is shown; nothing if the rules do not show it
     * @param joinPath the way to the door, while it is shown
     */
    record MyLesson(
            String id,
            String title,
            Instant starts,
            Instant ends,
            List<String> adults,
            State state,
            @Nullable Instant shownFrom,
            @Nullable String joinPath) {
        enum State {
            COMING,
            OPEN,
            OVER,
            CANCELLED
        }
    }

    /** Your own day: lessons, their ways in, what you are asked to do. */
    @GetMapping
    @For(PUPIL)
    MyDay myDay(@AuthenticationPrincipal SignedIn caller) {
        Instant now = clock.instant();
        LocalDate date = school.date(now);
        Instant midnight = date.plusDays(1).atStartOfDay(school.zone()).toInstant();
        var today = new ArrayList<MyLesson>();
        var later = new ArrayList<MyLesson>();
        var window = new Span(
                date.atStartOfDay(school.zone()).toInstant(),
                date.plusDays(DAYS_AHEAD).atStartOfDay(school.zone()).toInstant());
        for (Classes.SchoolClass mine : classes.of(caller.person(), now)) {
            for (Classes.Planned one : planned(mine, window)) {
                boolean isToday = one.time().from().isBefore(midnight);
                (isToday ? today : later).add(line(one, mine, caller, now));
            }
        }
        var order = java.util.Comparator.comparing(MyLesson::starts).thenComparing(MyLesson::title);
        today.sort(order);
        later.sort(order);
        return new MyDay(
                today,
                later.stream()
                        .filter(one -> one.state != MyLesson.State.CANCELLED)
                        .limit(LATER_DAYS_SHOWN)
                        .toList());
    }

    private List<Classes.Planned> planned(Classes.SchoolClass mine, Span window) {
        return database.read()
                .sql(
                        """
                    SELECT lesson.*, class.title FROM lesson JOIN class ON class.id = lesson.class
                    WHERE class = :class AND ends > :from AND starts < :until ORDER BY starts""")
                .param("class", mine.id().value())
                .param("from", window.from().toEpochMilli())
                .param("until", window.until().toEpochMilli())
                .query((row, n) -> new Classes.Planned(
                        new juricast.core.identity.LessonId(row.getString("id")),
                        mine.id(),
                        Classes.titleOf(row),
                        new Span(
                                Instant.ofEpochMilli(row.getLong("starts")), Instant.ofEpochMilli(row.getLong("ends"))),
                        row.getInt("cancelled") != 0))
                .list();
    }

    private MyLesson line(Classes.Planned one, Classes.SchoolClass mine, SignedIn caller, Instant now) {
        List<Member> members = classes.membersOf(one, now);
        // Only what is near enough to be open is looked at: a look takes a lesson into memory.
        boolean isNear = !one.cancelled() && one.time().from().isBefore(now.plusSeconds(7200));
        Optional<LessonState> state = isNear ? live.stateIfReadable(one.id()) : Optional.empty();
        boolean isOpen =
                state.map(LessonState::there).filter(WhoIsThere::isOpen).isPresent();
        boolean isOver =
                state.map(LessonState::there).filter(WhoIsThere::isOver).isPresent()
                        || !isOpen && !one.time().until().isAfter(now);
        Role role = members.stream()
                .filter(member -> member.person().equals(caller.person()))
                .map(Member::role)
                .findFirst()
                .orElse(Role.PUPIL);
        WayIn way = WayIn.of(settings.ofLesson(one.id()), role, one.time(), now);
        boolean isShown = !one.cancelled() && !isOver && way.isShown(now, isOpen);
        return new MyLesson(
                one.id().value(),
                one.title(),
                one.time().from(),
                one.time().until(),
                members.stream()
                        .filter(member -> member.role().isAdultInCharge())
                        .sorted((a, b) -> a.role().compareTo(b.role()))
                        .map(Member::name)
                        .toList(),
                one.cancelled()
                        ? MyLesson.State.CANCELLED
                        : isOpen ? MyLesson.State.OPEN : isOver ? MyLesson.State.OVER : MyLesson.State.COMING,
                way.shown().map(Span::from).orElse(null),
                isShown ? links.ofClass(mine) : null);
    }
}
