package juricast.core.audience;

import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.rights.RightsPart.RIGHTS;
import static juricast.core.signals.SignalsPart.SIGNALS;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import juricast.core.chat.Readers;
import juricast.core.chat.Words;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.Removal;
import juricast.core.live.Visit;
import juricast.core.presence.Attendance;
import juricast.core.presence.Presence;
import juricast.core.rights.Appliance;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Door;
import juricast.core.rules.PlannedRules;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Ruling;
import juricast.core.rules.Setting;

/**
 * A lesson as its adults see it: all of it, but for what pupils are allowed to write to each other alone.
 *
 * @param rights what holds for all pupils, one ruling for each of {@link Catalogue#RIGHTS}
 * @param waiting who stands at the door, longest first
 * @param refused arrivals that were turned away, latest first
 */
public record DeskView(
        int number,
        Instant now,
        Phase phase,
        Ruling<Door> door,
        List<Ruling<?>> rights,
        List<AdultRow> adults,
        List<Row> rows,
        List<Visit> waiting,
        List<Visit> refused,
        List<PersonId> hands,
        List<Words> words) {
    /** How far a lesson is. */
    public enum Phase {
        PLANNED,
        OPEN,
        OVER
    }

    /** Where somebody of the class list is. */
    public enum Whereabouts {
        MISSING,
        WAITING,
        IN,
        CONNECTION_LOST,
        GONE,
        REMOVED
    }

    /**
     * One adult.
     *
     * @param leads whether this adult may give all orders now
     * @param help what a second adult may do for who leads, one for each of {@link Catalogue#HELP}; empty for who leads
     */
    public record AdultRow(Member member, boolean isIn, boolean leads, List<Cell> help) {}

    /**
     * One pupil: where, since when, what is on, what they may, and what they help with now.
     *
     * @param backBy of who was in and is not now: until when the register bridges it, so that they are expected back
     */
    public record Row(
            Member member,
            Optional<String> shownName,
            Whereabouts whereabouts,
            Optional<Instant> backBy,
            Attendance attendance,
            Set<Appliance> on,
            Optional<Instant> handSince,
            int timesSpoken,
            List<Cell> rights,
            List<Cell> help,
            Optional<Removal> removal) {}

    /** One right of one pupil, and the pass or curb on it that has not ended. */
    public record Cell(Ruling<?> ruling, Optional<Setting> loan) {}

    private static final Duration REFUSED_SHOWN = Duration.ofMinutes(30);

    public static DeskView of(
            LessonPlan plan, LessonState lesson, List<LessonEvent> events, PlannedRules rules, Instant now) {
        return of(plan, lesson, events, SharedRights.of(lesson, rules, now), now);
    }

    /** The same from rights that were worked out before. */
    public static DeskView of(
            LessonPlan plan, LessonState lesson, List<LessonEvent> events, SharedRights rights, Instant now) {
        Instant end = lesson.of(DOOR).dismissedAt().orElse(now);
        Map<PersonId, Attendance> attendances = Presence.of(events, end);
        Rulebook live = rights.all();
        return new DeskView(
                lesson.number(),
                now,
                phase(lesson),
                live.ruling(Catalogue.DOOR, Role.PUPIL, now),
                Catalogue.RIGHTS.stream()
                        .<Ruling<?>>map(right -> live.ruling(right, Role.PUPIL, now))
                        .toList(),
                plan.adults().stream()
                        .map(adult -> adult(adult, plan, lesson, rights, now))
                        .toList(),
                plan.classList().stream()
                        .map(pupil -> row(pupil, lesson, attendances, rights, now))
                        .toList(),
                lesson.of(DOOR).waiting(),
                lesson.of(DOOR).visits().stream()
                        .filter(visit -> visit.status() == Visit.Status.TURNED_AWAY
                                && visit.knockedAt().isAfter(now.minus(REFUSED_SHOWN)))
                        .sorted(Comparator.comparing(Visit::knockedAt).reversed())
                        .toList(),
                List.copyOf(lesson.of(SIGNALS).hands().keySet()),
                words(plan, lesson, 0));
    }

    /** What was written after a number, but for what pupils wrote to each other alone. */
    public static List<Words> words(LessonPlan plan, LessonState lesson, int after) {
        return SeatView.wordsAfter(lesson, after).stream()
                .filter(words -> isForAdults(words, plan))
                .toList();
    }

    /**
     * Until when it stays as it is while nothing happens, but for what the rules change: who is expected back, and who was
     * refused, is shown for a while.
     */
    public Instant until() {
        return Stream.concat(
                        rows.stream().flatMap(row -> row.backBy().stream()),
                        refused.stream().map(visit -> visit.knockedAt().plus(REFUSED_SHOWN)))
                .min(Comparator.naturalOrder())
                .orElse(Instant.MAX);
    }

    /** How far the lesson is. */
    public static Phase phase(LessonState lesson) {
        return lesson.of(DOOR).isOver() ? Phase.OVER : lesson.of(DOOR).isOpen() ? Phase.OPEN : Phase.PLANNED;
    }

    private static AdultRow adult(Member adult, LessonPlan plan, LessonState lesson, SharedRights rights, Instant now) {
        boolean leads = lesson.of(DOOR).leads(adult.person(), plan);
        return new AdultRow(
                adult,
                lesson.of(DOOR).isPresent(adult.person()),
                leads,
                leads ? List.of() : rights.help(adult.person(), adult.role(), now));
    }

    private static Row row(
            Member pupil, LessonState lesson, Map<PersonId, Attendance> attendances, SharedRights rights, Instant now) {
        PersonId person = pupil.person();
        Whereabouts where = whereabouts(person, lesson);
        Attendance attendance = attendances.getOrDefault(person, Attendance.none(person));
        return new Row(
                pupil,
                lesson.of(DOOR).shownName(person),
                where,
                lesson.of(DOOR).isOver() ? Optional.empty() : backBy(pupil, where, attendance, rights.all(), now),
                attendance,
                lesson.of(RIGHTS).on(person),
                Optional.ofNullable(lesson.of(SIGNALS).hands().get(person)),
                lesson.of(RIGHTS).timesSpoken(person),
                rights.cells(person, pupil.role(), now),
                rights.helpGiven(person, pupil.role(), now),
                lesson.of(DOOR).removal(person));
    }

    private static Optional<Instant> backBy(
            Member pupil, Whereabouts where, Attendance attendance, Rulebook rules, Instant now) {
        boolean isAway = where == Whereabouts.CONNECTION_LOST || where == Whereabouts.GONE;
        return attendance
                .lastOut()
                .filter(out -> isAway)
                .map(out -> out.plus(
                        rules.value(Catalogue.BRIDGE, pupil.role(), now).length()))
                .filter(now::isBefore);
    }

    private static Whereabouts whereabouts(PersonId person, LessonState lesson) {
        List<Visit> visits = lesson.of(DOOR).visitsOf(person);
        if (visits.stream().anyMatch(Visit::isPresent)) {
            return Whereabouts.IN;
        }
        if (has(visits, Visit.Status.IN)) {
            return Whereabouts.CONNECTION_LOST;
        }
        if (lesson.of(DOOR).removal(person).isPresent()) {
            return Whereabouts.REMOVED;
        }
        if (has(visits, Visit.Status.WAITING)) {
            return Whereabouts.WAITING;
        }
        boolean wasIn = has(visits, Visit.Status.LEFT)
                || has(visits, Visit.Status.DISMISSED)
                || has(visits, Visit.Status.REMOVED);
        return wasIn ? Whereabouts.GONE : Whereabouts.MISSING;
    }

    private static boolean has(List<Visit> visits, Visit.Status status) {
        return visits.stream().anyMatch(visit -> visit.status() == status);
    }

    /** Adults read along where one of them writes or reads, and wherever somebody from outside does. */
    private static boolean isForAdults(Words words, LessonPlan plan) {
        return words.to().kind() != Readers.Kind.ONE
                || Stream.concat(Stream.of(words.from()), words.to().one().stream())
                        .anyMatch(person -> plan.isFormer(person)
                                || plan.member(person)
                                        .map(Member::role)
                                        .filter(role ->
                                                role.isAdultInCharge() || role == Role.VISITOR || role == Role.OBSERVER)
                                        .isPresent());
    }
}
