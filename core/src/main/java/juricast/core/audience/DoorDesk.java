package juricast.core.audience;

import static juricast.core.door.DoorPart.DOOR;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import juricast.core.door.DoorState;
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
import juricast.core.rules.Catalogue;
import juricast.core.rules.Door;
import juricast.core.rules.LiveRules;
import juricast.core.rules.Ruling;

/**
 * Who is here, who waits and who was refused, for the adults of a lesson.
 *
 * @param waiting who stands at the door, longest first
 * @param refused arrivals that were turned away, latest first
 */
public record DoorDesk(
        Phase phase,
        Ruling<Door> door,
        List<AdultRow> adults,
        List<Row> rows,
        List<Visit> waiting,
        List<Visit> refused) {
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

    /** One adult. @param leads whether this adult may give all orders now */
    public record AdultRow(Member member, boolean isIn, boolean leads) {}

    /**
     * One pupil: where, and since when.
     *
     * @param backBy of who was in and is not now: until when the register bridges it, so that they are expected back
     * @param agreed whether they agreed to the house rules; nothing before they have knocked
     */
    public record Row(
            Member member,
            Optional<String> shownName,
            Whereabouts whereabouts,
            Optional<Instant> backBy,
            Attendance attendance,
            Optional<Boolean> agreed,
            Optional<Removal> removal) {}

    private static final Duration REFUSED_SHOWN = Duration.ofMinutes(30);

    public static DoorDesk of(
            LessonPlan plan, LessonState lesson, List<LessonEvent> events, LiveRules rules, Instant now) {
        DoorState door = lesson.of(DOOR);
        Map<PersonId, Attendance> attendances =
                Presence.of(events, door.dismissedAt().orElse(now));
        return new DoorDesk(
                phase(lesson),
                rules.ruling(Catalogue.DOOR, Role.PUPIL, now),
                plan.adults().stream()
                        .map(adult ->
                                new AdultRow(adult, door.isPresent(adult.person()), door.leads(adult.person(), plan)))
                        .toList(),
                plan.classList().stream()
                        .map(pupil -> row(pupil, door, attendances, rules, now))
                        .toList(),
                door.waiting(),
                door.visits().stream()
                        .filter(visit -> visit.status() == Visit.Status.TURNED_AWAY
                                && visit.knockedAt().isAfter(now.minus(REFUSED_SHOWN)))
                        .sorted(Comparator.comparing(Visit::knockedAt).reversed())
                        .toList());
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
        return lesson.there().isOver() ? Phase.OVER : lesson.there().isOpen() ? Phase.OPEN : Phase.PLANNED;
    }

    private static Row row(
            Member pupil, DoorState door, Map<PersonId, Attendance> attendances, LiveRules rules, Instant now) {
        PersonId person = pupil.person();
        Whereabouts where = whereabouts(person, door);
        Attendance attendance = attendances.getOrDefault(person, Attendance.none(person));
        return new Row(
                pupil,
                door.shownName(person),
                where,
                door.isOver() ? Optional.empty() : backBy(pupil, where, attendance, rules, now),
                attendance,
                door.agreed(person),
                door.removal(person));
    }

    private static Optional<Instant> backBy(
            Member pupil, Whereabouts where, Attendance attendance, LiveRules rules, Instant now) {
        boolean isAway = where == Whereabouts.CONNECTION_LOST || where == Whereabouts.GONE;
        return attendance
                .lastOut()
                .filter(out -> isAway)
                .map(out -> out.plus(
                        rules.value(Catalogue.BRIDGE, pupil.role(), now).length()))
                .filter(now::isBefore);
    }

    private static Whereabouts whereabouts(PersonId person, DoorState door) {
        List<Visit> visits = door.visitsOf(person);
        if (visits.stream().anyMatch(Visit::isPresent)) {
            return Whereabouts.IN;
        }
        if (has(visits, Visit.Status.IN)) {
            return Whereabouts.CONNECTION_LOST;
        }
        if (door.removal(person).isPresent()) {
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
}
