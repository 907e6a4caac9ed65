package juricast.core.audience;

import static juricast.core.chat.ChatPart.CHAT;
import static juricast.core.conduct.ConductPart.CONDUCT;
import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.groups.GroupsPart.GROUPS;
import static juricast.core.lines.LinesPart.LINES;
import static juricast.core.recording.RecordingPart.RECORDING;
import static juricast.core.rights.RightsPart.RIGHTS;
import static juricast.core.signals.SignalsPart.SIGNALS;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import juricast.core.chat.HeldWords;
import juricast.core.conduct.Worry;
import juricast.core.groups.Apart;
import juricast.core.groups.GroupsState;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.PlaceId;
import juricast.core.live.Room;
import juricast.core.live.Stance;
import juricast.core.live.Visit;
import juricast.core.presence.Attendance;
import juricast.core.recording.Failure;
import juricast.core.recording.RecordingState;
import juricast.core.rights.RightsPart;
import juricast.core.rules.Catalogue;
import juricast.core.rules.PlannedRules;
import juricast.core.rules.Rule;
import juricast.core.rules.Setting;
import juricast.core.signals.Sign;

/**
 * The one queue that asks an adult for attention, oldest first: what is in it, from when on, and in which order is decided here and
 * not on a screen.
 */
public record Needs(List<Need> list) {
    /** How long before its end a pass is told, so that it can be made longer. */
    static final Duration ENDS_SOON = Duration.ofMinutes(1);

    /** Signals that ask an adult to do something; the others are only counted. */
    private static final Set<Sign> ASKING = Set.of(Sign.CANNOT_HEAR, Sign.BREAK);

    private static final Needs NONE = new Needs(List.of());

    /** A pause that was asked about in vain comes before everything; else the oldest. Of equally old ones the one at the door goes first. */
    private static final Comparator<Need> OLDEST_FIRST = Comparator.comparing((Need need) -> !isInsistent(need))
            .thenComparing(Need::since)
            .thenComparing(Need::kind);

    /** How often a pause is asked about quietly. */
    private static final int QUIETLY = 1;

    private static boolean isInsistent(Need need) {
        return need.kind() == Need.Kind.RECORDING_PAUSED && need.number() > QUIETLY;
    }

    /** @param door who is where, as it is shown beside it */
    public static Needs of(LessonPlan plan, LessonState lesson, PlannedRules rules, DoorDesk door, Instant now) {
        if (!lesson.there().isOpen()) {
            return NONE;
        }
        List<Need> all = Stream.of(
                        atTheDoor(lesson),
                        groups(new Room(plan, lesson, rules, now)),
                        recording(lesson, rules, now),
                        worries(lesson),
                        held(lesson),
                        stance(new Room(plan, lesson, rules, now)),
                        signals(lesson),
                        lines(lesson),
                        lost(door),
                        ending(lesson, now))
                .flatMap(needs -> needs)
                .sorted(OLDEST_FIRST)
                .toList();
        return new Needs(all);
    }

    private static Stream<Need> atTheDoor(LessonState lesson) {
        List<Visit> here =
                lesson.of(DOOR).waiting().stream().filter(Visit::connected).toList();
        List<Visit> listed = here.stream()
                .filter(visit -> visit.verdict().onlyTheDoorIsBetween())
                .toList();
        Stream<Need> together = listed.stream()
                .map(Visit::knockedAt)
                .min(Comparator.naturalOrder())
                .map(since -> Need.of(Need.Kind.LISTED, since)
                        .at(listed.stream().map(Visit::id).toList()))
                .stream();
        Stream<Need> oneByOne = here.stream()
                .filter(visit -> !listed.contains(visit))
                .map(visit -> Need.of(Need.Kind.UNSURE, visit.knockedAt()).at(List.of(visit.id())));
        return Stream.concat(together, oneByOne);
    }

    private static Stream<Need> groups(Room room) {
        GroupsState groups = room.of(GROUPS);
        var apart = new Apart(groups, room);
        Stream<Need> calls = groups.calls().entrySet().stream()
                .map(call -> Need.of(Need.Kind.GROUP_CALLS, call.getValue().since())
                        .about(call.getKey().value()));
        Stream<Need> alone = tooLongAlone(groups, apart.mayBeAlone())
                .filter(one -> !room.now().isBefore(one.at) && !groups.calls().containsKey(one.place))
                .min(Comparator.comparing(TooLong::at))
                .map(one -> Need.of(Need.Kind.GROUP_ALONE, one.at).about(one.place.value()))
                .stream();
        Stream<Need> late = apart.late().stream().map(person -> Need.of(Need.Kind.GROUP_LATE, cameIn(room, person))
                .of(person)
                .about(apart.placeFor(person).map(PlaceId::value).orElse("")));
        // Also where the clock sends them: what it could not send, as too few are here, is for an adult to see to.
        Stream<Need> step = apart
                .dueStep()
                .map(due -> Need.of(Need.Kind.GROUPS_PLANNED, due.time().from())
                        .about(due.groups().orElseThrow().id()))
                .stream();
        return Stream.of(calls, alone, late, step).flatMap(needs -> needs);
    }

    private record TooLong(PlaceId place, Instant at) {}

    private static Stream<TooLong> tooLongAlone(GroupsState groups, Duration mayBeAlone) {
        return groups.standing().entrySet().stream()
                .filter(one -> !one.getKey().equals(PlaceId.TOGETHER))
                .flatMap(one -> one.getValue().aloneSince().stream()
                        .map(since -> new TooLong(one.getKey(), since.plus(mayBeAlone))));
    }

    private static Instant cameIn(Room room, PersonId person) {
        return room.there().visitsOf(person).stream()
                .filter(Visit::isPresent)
                .map(Visit::knockedAt)
                .max(Comparator.naturalOrder())
                .orElse(room.now());
    }

    private static Stream<Need> recording(LessonState lesson, PlannedRules planned, Instant now) {
        RecordingState is = lesson.of(RECORDING);
        if (is.phase() == RecordingState.Phase.FAILED) {
            return Stream.of(Need.of(Need.Kind.RECORDING_FAILS, is.since())
                    .about(is.failure().map(Failure::name).orElse("")));
        }
        Duration each = pauseMinutes(lesson, planned, now);
        return is.paused().stream().flatMap(pause -> {
            int times = (int) (Duration.between(pause.at(), now).toMillis() / each.toMillis());
            return times < 1
                    ? Stream.empty()
                    : Stream.of(Need.of(Need.Kind.RECORDING_PAUSED, pause.at()).numbered(times));
        });
    }

    private static Duration pauseMinutes(LessonState lesson, PlannedRules planned, Instant now) {
        return lesson.rules(planned)
                .value(Catalogue.PAUSE_MINUTES, Rule.ANSWERS, now)
                .length();
    }

    /** When a pause is asked about next. */
    private static Stream<Instant> pauseAsked(LessonState lesson, PlannedRules planned, Instant now) {
        return lesson.of(RECORDING).paused().stream().map(pause -> {
            Duration each = pauseMinutes(lesson, planned, now);
            long times = Duration.between(pause.at(), now).toMillis() / each.toMillis();
            return pause.at().plus(each.multipliedBy(times + 1));
        });
    }

    /** Those for the safeguarding lead alone are no need of the lesson's adults. */
    private static Stream<Need> worries(LessonState lesson) {
        return lesson.of(CONDUCT).open().stream().filter(Worry::isForAdults).map(one -> Need.of(
                        Need.Kind.WORRY, one.since())
                .of(one.raised().person())
                .numbered(one.number()));
    }

    private static Stream<Need> held(LessonState lesson) {
        return lesson.of(CHAT).held().stream().map(Needs::held);
    }

    private static Need held(HeldWords words) {
        return Need.of(Need.Kind.HELD, words.at()).of(words.from()).numbered(words.number());
    }

    /** What the running order has for now; where it switches by the clock, nobody is asked. */
    private static Stream<Need> stance(Room room) {
        return RightsPart.dueStance(room.of(RIGHTS), room)
                .filter(due -> !room.of(RIGHTS)
                        .stance()
                        .map(Stance::id)
                        .equals(Optional.of(due.stance().id())))
                .map(due -> Need.of(Need.Kind.STANCE, due.time().from())
                        .about(due.stance().id()))
                .stream();
    }

    private static Stream<Need> signals(LessonState lesson) {
        Stream<Need> hands = lesson.of(SIGNALS).hands().entrySet().stream()
                .map(hand -> Need.of(Need.Kind.HAND, hand.getValue()).of(hand.getKey()));
        Stream<Need> signs = lesson.of(SIGNALS).shown().stream()
                .filter(shown -> ASKING.contains(shown.sign()))
                .map(shown -> Need.of(Need.Kind.SIGN, shown.since())
                        .of(shown.person())
                        .about(shown.sign().name()));
        return Stream.concat(hands, signs);
    }

    private static Stream<Need> lines(LessonState lesson) {
        int present = (int) lesson.there().visits().stream()
                .filter(visit -> visit.isPresent() && visit.role().isPupil())
                .count();
        return lesson.of(RIGHTS).isLight()
                ? Stream.empty()
                : lesson.of(LINES).proposesLight(present).stream().map(since -> Need.of(Need.Kind.LINES_WEAK, since)
                        .numbered(lesson.of(LINES).weak().size()));
    }

    private static Stream<Need> lost(DoorDesk door) {
        return door.rows().stream()
                .filter(row -> row.whereabouts() == DoorDesk.Whereabouts.CONNECTION_LOST)
                .flatMap(row -> lastSeen(row.attendance()).stream()
                        .map(at -> Need.of(Need.Kind.LOST, at).of(row.member().person())));
    }

    private static Optional<Instant> lastSeen(Attendance attendance) {
        return attendance.lastOut();
    }

    private static Stream<Need> ending(LessonState lesson, Instant now) {
        return passes(lesson)
                .filter(pass -> !now.isBefore(pass.loan.until().minus(ENDS_SOON)) && now.isBefore(pass.loan.until()))
                .map(pass -> Need.of(Need.Kind.ENDING, pass.loan.until().minus(ENDS_SOON))
                        .of(pass.person)
                        .ending(pass.loan.set().rule(), pass.loan.until()));
    }

    /** When the clock alone next puts something into the queue. */
    public static Instant next(LessonState lesson, PlannedRules rules, Instant now) {
        GroupsState groups = lesson.of(GROUPS);
        Stream<Instant> alone = groups.isApart()
                ? tooLongAlone(
                                groups,
                                lesson.rules(rules)
                                        .value(Catalogue.GROUP_ALONE, Rule.ANSWERS, now)
                                        .length())
                        .map(TooLong::at)
                : Stream.empty();
        return Stream.of(
                        passes(lesson).map(pass -> pass.loan.until().minus(ENDS_SOON)),
                        alone,
                        pauseAsked(lesson, rules, now))
                .flatMap(all -> all)
                .filter(now::isBefore)
                .min(Comparator.naturalOrder())
                .orElse(Instant.MAX);
    }

    private record Pass(PersonId person, Setting loan) {}

    private static Stream<Pass> passes(LessonState lesson) {
        return lesson.of(RIGHTS).allLoans().entrySet().stream().flatMap(entry -> entry.getValue().stream()
                .filter(loan -> loan.force() == Setting.Force.PASS)
                .map(loan -> new Pass(entry.getKey(), loan)));
    }
}
