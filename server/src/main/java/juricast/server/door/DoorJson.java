package juricast.server.door;

import static juricast.core.door.DoorPart.DOOR;

import java.time.Instant;
import java.util.List;
import java.util.Set;
import juricast.core.audience.DoorDesk;
import juricast.core.audience.DoorSeat;
import juricast.core.door.DoorEvent;
import juricast.core.door.DoorState;
import juricast.core.entry.Arrival;
import juricast.core.entry.Reason;
import juricast.core.entry.ReasonCode;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.Visit;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.core.rules.YesNo;
import juricast.core.time.Span;
import juricast.server.lesson.Snapshot;
import juricast.server.words.VerdictWords;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The door on the wire. */
@Component
public class DoorJson {
    private final VerdictWords words;

    DoorJson(VerdictWords words) {
        this.words = words;
    }

    /**
     * Who is here, who waits and who was refused.
     *
     * @param value the door for all pupils
     * @param bound whether the charter or class binds it
     * @param oneByOne whether nobody is let in but alone
     * @param observers who looks on, where the rule lets the adults see it
     */
    public record DeskDoor(
            DoorDesk.Phase phase,
            @Nullable Instant openedAt,
            @Nullable Instant dismissedAt,
            String value,
            boolean bound,
            boolean oneByOne,
            List<DeskAdult> adults,
            List<String> observers,
            List<DeskPupil> pupils,
            List<Waiting> waiting,
            List<Refused> refused) {}

    /** @param leads whether this adult may give all orders */
    public record DeskAdult(String id, String name, Role role, boolean in, boolean leads) {}

    /**
     * One pupil.
     *
     * @param agreed whether they agreed to the house rules; nothing as long as they have not knocked
     * @param removedWhy what the adult wrote
     */
    public record DeskPupil(
            String id,
            String name,
            @Nullable String shownName,
            DoorDesk.Whereabouts whereabouts,
            @Nullable Instant backBy,
            List<DeskStretch> stays,
            List<DeskStretch> waits,
            @Nullable Boolean agreed,
            @Nullable String removedWhy) {}

    /** Time at the door or in the lesson. @param until none while it goes on */
    public record DeskStretch(Instant from, @Nullable Instant until) {}

    /** Somebody at the door. @param person who on the list is meant, if that is clear @param listed may be let in with all @param way where they come from, if not by the school's own page */
    public record Waiting(
            String visit,
            String name,
            @Nullable String person,
            @Nullable String personName,
            Instant since,
            boolean connected,
            boolean listed,
            List<DoorReason> reasons,
            Arrival.@Nullable Way way) {}

    /**
     * Why somebody waits or was turned away.
     *
     * @param rule the rule behind it, where it is not a matter of fact
     * @param matters whether who decides about this very person needs it: that everyone knocks, and that somebody is listed, is
     *     seen already
     */
    public record DoorReason(ReasonCode code, String text, @Nullable String rule, boolean matters) {}

    public record Refused(String visit, String name, Instant at, List<DoorReason> reasons) {}

    /** What is the asking adult's own. @param observing whether they look on without being in charge */
    public record DeskMineDoor(boolean in, boolean observing, boolean leading, boolean overseeing) {}

    /** Where one arrival is. @param why the reasons at the door; empty once inside @param byTelephone whether there is nothing to see by */
    public record SeatMineDoor(
            Visit.Status status,
            List<String> why,
            @Nullable String name,
            @Nullable String shownName,
            boolean allowedBack,
            boolean byTelephone) {}

    private static final Set<ReasonCode> SEEN_ANYWAY = Set.of(ReasonCode.DOOR_KNOCK, ReasonCode.ON_CLASS_LIST);

    public DeskDoor desk(Snapshot at, Instant now) {
        return at.timed("door", "all", List.of(DOOR), now, () -> make(at, now), made -> made.until).desk;
    }

    /** Who is where, as the core has it. */
    public DoorDesk seen(Snapshot at, Instant now) {
        return at.timed("door", "all", List.of(DOOR), now, () -> make(at, now), made -> made.until).seen;
    }

    private record Made(DoorDesk seen, DeskDoor desk, Instant until) {}

    private Made make(Snapshot at, Instant now) {
        DoorDesk seen = DoorDesk.of(at.plan(), at.state(), at.events(), at.live(), now);
        DoorState door = at.state().of(DOOR);
        var desk = new DeskDoor(
                seen.phase(),
                door.opened().map(DoorEvent.Opened::at).orElse(null),
                door.dismissedAt().orElse(null),
                seen.door().value().text(),
                seen.door().floor().isPresent(),
                at.live().value(Catalogue.ONE_BY_ONE, Rule.ANSWERS, now) == YesNo.YES,
                seen.adults().stream()
                        .map(one -> new DeskAdult(
                                one.member().person().value(),
                                one.member().name(),
                                one.member().role(),
                                one.isIn(),
                                one.leads()))
                        .toList(),
                at.live().value(Catalogue.SEE_OBSERVERS, Role.LEAD_ADULT, now) == YesNo.YES
                        ? DoorSeat.observers(at.plan(), at.state())
                        : List.of(),
                seen.rows().stream().map(row -> pupil(row, now)).toList(),
                seen.waiting().stream().map(visit -> waiting(visit, at)).toList(),
                seen.refused().stream()
                        .map(visit -> new Refused(
                                visit.id().value(),
                                visit.arrival().claimedName(),
                                visit.knockedAt(),
                                reasons(visit, at)))
                        .toList());
        return new Made(seen, desk, seen.until());
    }

    public static DeskMineDoor deskMine(Snapshot at, PersonId me) {
        DoorState door = at.state().of(DOOR);
        boolean observes =
                at.plan().member(me).filter(one -> one.role() == Role.OBSERVER).isPresent() && !door.tookCharge(me);
        return new DeskMineDoor(
                door.isPresent(me),
                observes,
                door.leads(me, at.plan()),
                at.plan().isLead(me));
    }

    public SeatMineDoor seatMine(Snapshot at, Visit visit) {
        DoorSeat seen = DoorSeat.of(at.plan(), at.state(), visit);
        return new SeatMineDoor(
                seen.status(),
                seen.reasons().stream()
                        .map(code -> words.forArrival(code, at.plan(), at.live().all()))
                        .toList(),
                seen.name().orElse(null),
                seen.shownName().orElse(null),
                seen.allowedBack(),
                visit.arrival().from(Arrival.Way.TELEPHONE).isPresent());
    }

    private static DeskPupil pupil(DoorDesk.Row row, Instant now) {
        Member member = row.member();
        return new DeskPupil(
                member.person().value(),
                member.name(),
                row.shownName().orElse(null),
                row.whereabouts(),
                row.backBy().orElse(null),
                stretches(row.attendance().stays(), row.whereabouts() == DoorDesk.Whereabouts.IN, now),
                stretches(row.attendance().waits(), row.whereabouts() == DoorDesk.Whereabouts.WAITING, now),
                row.agreed().orElse(null),
                row.removal().map(one -> one.why()).orElse(null));
    }

    /** A time that goes on has no end, so that the desk need not be told every second that it goes on. */
    private static List<DeskStretch> stretches(List<Span> spans, boolean goesOn, Instant now) {
        return spans.stream()
                .map(span -> new DeskStretch(span.from(), goesOn && span.until().equals(now) ? null : span.until()))
                .toList();
    }

    private Waiting waiting(Visit visit, Snapshot at) {
        return new Waiting(
                visit.id().value(),
                visit.arrival().claimedName(),
                visit.person().map(PersonId::value).orElse(null),
                visit.person().map(at.plan()::nameOf).orElse(null),
                visit.knockedAt(),
                visit.connected(),
                visit.verdict().onlyTheDoorIsBetween(),
                reasons(visit, at),
                visit.arrival().outside().map(Arrival.Outside::way).orElse(null));
    }

    private List<DoorReason> reasons(Visit visit, Snapshot at) {
        return visit.verdict().reasons().stream()
                .map(reason -> reason(reason, at))
                .toList();
    }

    private DoorReason reason(Reason reason, Snapshot at) {
        return new DoorReason(
                reason.code(),
                words.forAdults(reason, at.plan(), at.live().all()),
                reason.code().rule().map(Rule::key).orElse(null),
                !SEEN_ANYWAY.contains(reason.code()));
    }
}
