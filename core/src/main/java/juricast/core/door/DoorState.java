package juricast.core.door;

import java.time.Instant;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.entry.Arrival;
import juricast.core.entry.Doorway;
import juricast.core.entry.Outcome;
import juricast.core.identity.DeviceId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonPlan;
import juricast.core.live.Removal;
import juricast.core.live.Visit;
import juricast.core.live.WhoIsThere;
import juricast.core.rules.LiveRules;

/**
 * Who came to a lesson and where they are, as the events left it.
 *
 * @param alone since when pupils are in the room without an adult, if they are
 */
public record DoorState(Course course, Visits all, Known known, Optional<Instant> alone) implements WhoIsThere {
    static final DoorState NEW = new DoorState(Course.PLANNED, Visits.NONE, Known.NOTHING, Optional.empty());

    DoorState after(DoorEvent event) {
        DoorState next = event.match(new DoorFold(this));
        return next == this
                ? this
                : next.with(next.isAlone() ? alone.or(() -> Optional.of(event.at())) : Optional.empty());
    }

    DoorState with(Course next) {
        return new DoorState(next, all, known, alone);
    }

    DoorState with(Visits next) {
        return new DoorState(course, next, known, alone);
    }

    DoorState with(Known next) {
        return new DoorState(course, all, next, alone);
    }

    private DoorState with(Optional<Instant> since) {
        return new DoorState(course, all, known, since);
    }

    @Override
    public boolean isOpen() {
        return course.opened().isPresent() && course.dismissedAt().isEmpty();
    }

    @Override
    public boolean isOver() {
        return course.dismissedAt().isPresent();
    }

    public Optional<DoorEvent.Opened> opened() {
        return course.opened();
    }

    @Override
    public Optional<Instant> dismissedAt() {
        return course.dismissedAt();
    }

    /** The last word with one pupil that goes on, if it does. */
    public Optional<DoorEvent.KeptBack> lastWord() {
        return course.lastWord();
    }

    @Override
    public List<Visit> visits() {
        return List.copyOf(all.all());
    }

    @Override
    public Optional<Visit> visit(VisitId id) {
        return all.of(id);
    }

    @Override
    public List<Visit> visitsOf(PersonId person) {
        return all.of(person);
    }

    /** The visit of this device that has not ended, if it has one. */
    public Optional<Visit> visitOf(DeviceId device) {
        return all.all().stream()
                .filter(visit -> visit.goesOn() && visit.arrival().device().equals(device))
                .findFirst();
    }

    public List<Visit> waiting() {
        return all.all().stream().filter(Visit::isWaiting).toList();
    }

    @Override
    public boolean isPresent(PersonId person) {
        for (Visit visit : all.of(person)) {
            if (visit.isPresent()) {
                return true;
            }
        }
        return false;
    }

    /** How many pupils and visitors are in, whether heard of just now or not: their places are kept. */
    public int occupants() {
        return (int) all.all().stream()
                .filter(visit -> visit.status() == Visit.Status.IN
                        && !visit.role().isAdultInCharge()
                        && visit.role() != Role.OBSERVER)
                .map(Visit::person)
                .distinct()
                .count();
    }

    /** Who is present, with the devices they are on. */
    public Map<PersonId, Set<DeviceId>> present() {
        return all.all().stream()
                .filter(Visit::isPresent)
                .collect(Collectors.groupingBy(
                        visit -> visit.person().orElseThrow(),
                        LinkedHashMap::new,
                        Collectors.mapping(visit -> visit.arrival().device(), Collectors.toSet())));
    }

    @Override
    public Optional<Instant> aloneSince() {
        return alone;
    }

    /** Pupils are in, and no adult is. */
    private boolean isAlone() {
        boolean pupils = false;
        for (Visit visit : all.all()) {
            if (visit.isPresent()) {
                if (visit.role().isAdultInCharge()) {
                    return false;
                }
                pupils |= visit.role() != Role.OBSERVER;
            }
        }
        return pupils && isOpen();
    }

    @Override
    public boolean tookCharge(PersonId person) {
        return known.inCharge().contains(person);
    }

    public Optional<String> shownName(PersonId person) {
        return Optional.ofNullable(known.names().get(person));
    }

    public Optional<Removal> removal(PersonId person) {
        return Optional.ofNullable(known.removals().get(person));
    }

    /** Who was sent back to the door and has not come in since. */
    public Map<PersonId, SentOut> sentToDoor() {
        return known.sent();
    }

    /** Devices that went from door to door of the school, as this lesson was told. */
    public Map<DeviceId, DoorEvent.SweepNoticed> sweeps() {
        return known.sweeps();
    }

    /** Whether this person agreed to the house rules when they last knocked; nothing before they have. */
    public Optional<Boolean> agreed(PersonId person) {
        List<Visit> visits = all.of(person);
        return visits.isEmpty()
                ? Optional.empty()
                : Optional.of(visits.get(visits.size() - 1).arrival().agreed());
    }

    /** Whether somebody of the class list was let in at any time. */
    public boolean wasIn(PersonId person) {
        return known.wereIn().contains(person);
    }

    /** Those on no list whom an adult let in. */
    public List<DoorEvent.GuestLetIn> guests() {
        return known.guests();
    }

    /** For whom the lesson is over and who has not gone yet, adults aside. */
    public List<Visit> leaving() {
        return all.all().stream()
                .filter(visit -> visit.status() == Visit.Status.DISMISSED
                        && visit.connected()
                        && visit.person().isPresent()
                        && !visit.role().isAdultInCharge()
                        && visit.role() != Role.OBSERVER)
                .toList();
    }

    /** Who waits, is known, and would come in but for the door or for want of company. */
    Set<PersonId> ready() {
        return all.all().stream()
                .filter(visit -> visit.isWaiting()
                        && visit.connected()
                        && visit.verdict().wantsOnlyCompany())
                .flatMap(visit -> visit.person().stream())
                .collect(Collectors.toSet());
    }

    private int people(Predicate<Visit> which) {
        return (int) all.all().stream()
                .filter(visit -> visit.isPresent() && which.test(visit))
                .map(Visit::person)
                .distinct()
                .count();
    }

    /** What the checks at the door know. */
    Doorway doorway(LessonPlan plan, LiveRules rules) {
        Map<PersonId, Set<DeviceId>> removed =
                known.removals().values().stream().collect(Collectors.toMap(Removal::person, Removal::devices));
        Set<DeviceId> turnedAway = all.all().stream()
                .filter(visit -> visit.status() == Visit.Status.TURNED_AWAY
                        && visit.verdict().outcome() != Outcome.TURN_AWAY)
                .map(visit -> visit.arrival().device())
                .collect(Collectors.toSet());
        return new Doorway(
                plan.time(),
                plan.classList(),
                rules,
                new Doorway.Inside(
                        people(visit -> visit.role().isAdultInCharge()),
                        people(visit -> visit.role() == Role.OBSERVER),
                        isOver(),
                        present(),
                        claimed(),
                        occupants(),
                        ready()),
                new Doorway.Refused(
                        removed,
                        turnedAway,
                        sweeps().keySet(),
                        known.sent().values().stream()
                                .map(one -> new Doorway.Sent(one.person(), one.devices(), one.until()))
                                .toList(),
                        plan.conduct().out()),
                named());
    }

    /** Who is in by nothing but a name they claimed: no account of the school stands behind any of their devices. */
    private Set<PersonId> claimed() {
        return present().keySet().stream()
                .filter(person -> claims(person).count() == visitsIn(person).count())
                .collect(Collectors.toSet());
    }

    /** The visits of somebody who is in by a name alone. */
    Stream<Visit> claims(PersonId person) {
        return visitsIn(person).filter(visit -> visit.arrival().account().isEmpty());
    }

    private Stream<Visit> visitsIn(PersonId person) {
        return visitsOf(person).stream().filter(Visit::isPresent);
    }

    private Map<String, PersonId> named() {
        var named = new HashMap<String, PersonId>();
        for (Visit visit : visits()) {
            visit.arrival()
                    .from(Arrival.Way.TELEPHONE)
                    .filter(number -> visit.status() != Visit.Status.WAITING)
                    .ifPresent(number -> visit.person().ifPresent(person -> named.put(number, person)));
        }
        return named;
    }
}
