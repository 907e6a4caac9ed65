package juricast.core.audience;

import static juricast.core.chat.ChatPart.CHAT;
import static juricast.core.conduct.ConductPart.CONDUCT;
import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.groups.GroupsPart.GROUPS;
import static juricast.core.help.HelpPart.HELP;
import static juricast.core.recording.RecordingPart.RECORDING;
import static juricast.core.rights.RightsPart.RIGHTS;
import static juricast.core.supervision.SupervisionPart.SUPERVISION;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import juricast.core.chat.HeldWords;
import juricast.core.conduct.Worry.About;
import juricast.core.entry.ReasonCode;
import juricast.core.groups.Group;
import juricast.core.groups.GroupsState;
import juricast.core.help.HelpEvent;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.PlaceId;
import juricast.core.live.Stance;
import juricast.core.live.Visit;
import juricast.core.recording.Coverage;
import juricast.core.recording.RecordingEvent;
import juricast.core.recording.RecordingState;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Door;
import juricast.core.rules.LiveRules;
import juricast.core.rules.PlannedRules;
import juricast.core.rules.Rule;

/** All lessons that are live, or should be, worst first (need M1). */
public record CorridorView(List<Line> lines) {
    /** How long somebody may stand at a door before it is a worry. */
    static final Duration LONG_WAIT = Duration.ofMinutes(3);

    /** How long after its planned start a lesson may be unopened. */
    static final Duration LATE_OPENING = Duration.ofMinutes(2);

    /** How long a recording that has to be may be missing: a notice, an answer and one more try take less. */
    static final Duration MISSING_RECORDING = Duration.ofMinutes(1);

    /** What can be wrong in a lesson, worst first. */
    public enum Kind {
        QUIET_WITHOUT_ADULT,
        STOPPED,
        SWEEP,
        /** Of the lesson's own adults, a lead among them, nobody is told of it: it may be about them. */
        WORRY_ABOUT_ADULT,
        RECORD_DAMAGED,
        NO_ADULT,
        GROUP_CALLS,
        PUPILS_WORRY,
        GROUP_ALONE,
        REMOVED_KNOCKS,
        RECORDING_MISSING,
        NOT_OPENED,
        STRANGER_AT_OPEN_DOOR,
        TOO_FEW_ADULTS,
        GUEST_LET_IN,
        WAITS_LONG,
        WORDS_WAIT,
        OVER_TIME
    }

    /** One thing that is wrong. @param who names of those it is about, as they call themselves at the door */
    public record Worry(Kind kind, Instant since, List<String> who) {}

    /** One lesson. @param worries worst first, then oldest */
    public record Line(
            LessonPlan plan,
            DoorDesk.Phase phase,
            List<Member> adultsIn,
            int present,
            int waiting,
            Door door,
            Optional<String> stance,
            List<Worry> worries) {
        /** The same as one lead may see it. */
        public Line seenBy(PersonId lead) {
            boolean isOneOfThem =
                    plan.adults().stream().anyMatch(one -> one.person().equals(lead));
            return isOneOfThem
                    ? new Line(
                            plan,
                            phase,
                            adultsIn,
                            present,
                            waiting,
                            door,
                            stance,
                            worries.stream()
                                    .filter(one -> one.kind() != Kind.WORRY_ABOUT_ADULT)
                                    .toList())
                    : this;
        }
    }

    private static final Comparator<Worry> WORST =
            Comparator.comparing(Worry::kind).thenComparing(Worry::since);

    private static final Comparator<Optional<Worry>> WORST_FIRST_CALM_LAST =
            (one, other) -> one.isPresent() && other.isPresent()
                    ? WORST.compare(one.get(), other.get())
                    : Boolean.compare(one.isEmpty(), other.isEmpty());

    /** Worst first; lessons without a worry after them, by their start. */
    public static CorridorView of(List<Line> lessons) {
        return new CorridorView(lessons.stream()
                .sorted(Comparator.comparing(
                                (Line line) -> line.worries.stream().findFirst(), WORST_FIRST_CALM_LAST)
                        .thenComparing(line -> line.plan.time().from())
                        .thenComparing(line -> line.plan.title()))
                .toList());
    }

    /** One lesson as it stands. */
    public static Line line(LessonPlan plan, LessonState lesson, PlannedRules planned, Instant now) {
        LiveRules rules = lesson.rules(planned);
        Door door = rules.value(Catalogue.DOOR, Role.PUPIL, now);
        List<Member> adults = plan.members().stream()
                .filter(one -> lesson.of(DOOR).isPresent(one.person())
                        && (one.role().isAdultInCharge() || lesson.of(DOOR).tookCharge(one.person())))
                .toList();
        var worries = new ArrayList<Worry>();
        if (lesson.of(DOOR).isOpen()) {
            room(plan, lesson, worries, now);
            groups(lesson, rules, worries, now);
            recording(lesson, rules, worries, now);
            door(lesson, door, worries, now);
            int needed =
                    rules.value(Catalogue.ADULTS_PRESENT, Rule.ANSWERS, now).number();
            if (!adults.isEmpty()
                    && adults.size() < needed
                    && !now.isBefore(plan.time().from())) {
                worries.add(new Worry(Kind.TOO_FEW_ADULTS, plan.time().from(), List.of()));
            }
        } else if (!lesson.of(DOOR).isOver() && !now.isBefore(plan.time().from().plus(LATE_OPENING))) {
            worries.add(new Worry(Kind.NOT_OPENED, plan.time().from(), List.of()));
        }
        worries.sort(WORST);
        int present = (int) plan.classList().stream()
                .filter(one -> lesson.of(DOOR).isPresent(one.person()))
                .count();
        return new Line(
                plan,
                DoorDesk.phase(lesson),
                adults,
                present,
                lesson.of(DOOR).waiting().size(),
                door,
                lesson.of(RIGHTS).stance().map(Stance::name),
                List.copyOf(worries));
    }

    /** A lesson whose record cannot be read: nothing is known of it but that somebody must look after it. */
    public static Line damaged(LessonPlan plan) {
        return new Line(
                plan,
                DoorDesk.Phase.OPEN,
                List.of(),
                0,
                0,
                Door.SHUT,
                Optional.empty(),
                List.of(new Worry(Kind.RECORD_DAMAGED, plan.time().from(), List.of())));
    }

    private static void room(LessonPlan plan, LessonState lesson, List<Worry> worries, Instant now) {
        Optional<Instant> alone = lesson.of(DOOR).aloneSince();
        if (lesson.of(SUPERVISION).quietSince().isPresent() && alone.isPresent()) {
            worries.add(new Worry(Kind.QUIET_WITHOUT_ADULT, alone.get(), List.of()));
        } else {
            alone.ifPresent(since -> worries.add(new Worry(Kind.NO_ADULT, since, List.of())));
        }
        lesson.of(SUPERVISION).stopped().ifPresent(stop -> worries.add(new Worry(Kind.STOPPED, stop.at(), List.of())));
        if (!lesson.of(DOOR).guests().isEmpty()) {
            worries.add(new Worry(
                    Kind.GUEST_LET_IN,
                    lesson.of(DOOR).guests().get(0).at(),
                    lesson.of(DOOR).guests().stream()
                            .map(guest -> "%s (%s)".formatted(guest.name(), guest.note()))
                            .toList()));
        }
        raised(lesson, Kind.WORRY_ABOUT_ADULT, about -> about == About.AN_ADULT, worries);
        raised(lesson, Kind.PUPILS_WORRY, about -> about != About.AN_ADULT, worries);
        lesson.of(CHAT).held().stream()
                .map(HeldWords::at)
                .filter(at -> !now.isBefore(at.plus(LONG_WAIT)))
                .findFirst()
                .ifPresent(at -> worries.add(new Worry(Kind.WORDS_WAIT, at, List.of())));
        Instant until = lesson.of(HELP)
                .begun()
                .map(HelpEvent.Begun::until)
                .orElse(plan.time().until());
        if (now.isAfter(until.plus(LATE_OPENING))) {
            worries.add(new Worry(Kind.OVER_TIME, until, List.of()));
        }
    }

    /** Never which pupil: that stands in the casebook, where it is noted who looks. */
    private static void raised(LessonState lesson, Kind kind, Predicate<About> about, List<Worry> worries) {
        lesson.of(CONDUCT).open().stream()
                .filter(one -> about.test(one.raised().about()))
                .map(one -> one.since())
                .findFirst()
                .ifPresent(since -> worries.add(new Worry(kind, since, List.of())));
    }

    /** What has to be recorded is not; a pause only when its minutes are over, and while the class is in groups nothing is missed. */
    private static void recording(LessonState lesson, LiveRules rules, List<Worry> worries, Instant now) {
        RecordingState is = lesson.of(RECORDING);
        if (!is.required() || is.running().isPresent()) {
            return;
        }
        Coverage.Cause cause = Coverage.cause(is);
        Optional<Instant> since =
                switch (cause) {
                    case PAUSED -> is.paused()
                            .map(RecordingEvent.Paused::at)
                            .filter(at -> !now.isBefore(at.plus(rules.value(Catalogue.PAUSE_MINUTES, Rule.ANSWERS, now)
                                    .length()
                                    .multipliedBy(2))));
                    case NO_CONSENT -> is.waiting()
                            .map(RecordingEvent.Waits::at)
                            .filter(at -> isMissed(at, now));
                    case LATE, FAILED, ENDED -> is.unmet().filter(at -> isMissed(at, now));
                    case GROUPS -> Optional.empty();
                };
        since.ifPresent(at -> worries.add(new Worry(Kind.RECORDING_MISSING, at, List.of())));
    }

    private static boolean isMissed(Instant since, Instant now) {
        return !now.isBefore(since.plus(MISSING_RECORDING));
    }

    /** Groups that call for an adult or have been without one for too long, by their names. */
    private static void groups(LessonState lesson, LiveRules rules, List<Worry> worries, Instant now) {
        GroupsState groups = lesson.of(GROUPS);
        if (!groups.isApart()) {
            return;
        }
        groups.calls().values().stream()
                .map(GroupsState.Call::since)
                .min(Comparator.naturalOrder())
                .ifPresent(since -> worries.add(new Worry(Kind.GROUP_CALLS, since, names(groups, one -> groups.calls()
                        .containsKey(one)))));
        Duration mayBe = rules.value(Catalogue.GROUP_ALONE, Rule.ANSWERS, now).length();
        Predicate<PlaceId> isTooLong = place -> groups.standing(place)
                .aloneSince()
                .filter(since -> !now.isBefore(since.plus(mayBe)))
                .isPresent();
        groups.groups().stream()
                .map(Group::id)
                .filter(isTooLong)
                .flatMap(place -> groups.standing(place).aloneSince().stream())
                .min(Comparator.naturalOrder())
                .ifPresent(since -> worries.add(new Worry(Kind.GROUP_ALONE, since, names(groups, isTooLong))));
    }

    private static List<String> names(GroupsState groups, Predicate<PlaceId> which) {
        return groups.groups().stream()
                .filter(group -> which.test(group.id()))
                .map(Group::name)
                .toList();
    }

    private static void door(LessonState lesson, Door door, List<Worry> worries, Instant now) {
        List<Visit> waiting =
                lesson.of(DOOR).waiting().stream().filter(Visit::connected).toList();
        lesson.of(DOOR).sweeps().values().stream()
                .findFirst()
                .ifPresent(sweep -> worries.add(new Worry(Kind.SWEEP, sweep.at(), List.of(sweep.name()))));
        gather(waiting, ReasonCode.REMOVED_EARLIER, Kind.REMOVED_KNOCKS, worries);
        if (door == Door.OPEN) {
            gather(waiting, ReasonCode.NOT_ON_LIST, Kind.STRANGER_AT_OPEN_DOOR, worries);
        }
        List<Visit> tooLong = waiting.stream()
                .filter(visit -> !now.isBefore(visit.knockedAt().plus(LONG_WAIT)))
                .filter(visit -> !visit.verdict().has(ReasonCode.TOO_EARLY))
                .toList();
        if (!tooLong.isEmpty()) {
            worries.add(new Worry(Kind.WAITS_LONG, tooLong.get(0).knockedAt(), names(tooLong)));
        }
    }

    private static void gather(List<Visit> waiting, ReasonCode code, Kind kind, List<Worry> worries) {
        List<Visit> found =
                waiting.stream().filter(visit -> visit.verdict().has(code)).toList();
        if (!found.isEmpty()) {
            worries.add(new Worry(kind, found.get(0).knockedAt(), names(found)));
        }
    }

    private static List<String> names(List<Visit> visits) {
        return visits.stream().map(visit -> visit.arrival().claimedName()).toList();
    }
}
