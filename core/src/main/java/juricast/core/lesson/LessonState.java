package juricast.core.lesson;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import juricast.core.entry.Arrival;
import juricast.core.entry.Doorway;
import juricast.core.entry.Outcome;
import juricast.core.entry.Reason;
import juricast.core.entry.ReasonCode;
import juricast.core.entry.Verdict;
import juricast.core.identity.DeviceId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.limits.Limits;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Fact;
import juricast.core.rules.Layer;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Setting;
import juricast.core.rules.Setting.Force;
import juricast.core.rules.Situation;

/**
 * A lesson as its events left it. It refuses nothing: what has happened has happened. A state never changes; {@link
 * #after} copies the small collections that an event touches and shares the rest.
 */
public final class LessonState {
    /** Before anything has happened. */
    public static final LessonState NEW = new LessonState();

    private int number;
    private Optional<LessonEvent.Opened> opened = Optional.empty();
    private Optional<Instant> dismissedAt = Optional.empty();
    private Map<VisitId, Visit> visits = Map.of();
    private Map<PersonId, Set<Appliance>> on = Map.of();
    private Map<PersonId, Instant> hands = Map.of();
    private Map<PersonId, Integer> spoken = Map.of();
    private List<Setting> live = List.of();
    private Map<PersonId, List<Setting>> loans = Map.of();
    private Map<PersonId, String> shownNames = Map.of();
    private Map<PersonId, Removal> removals = Map.of();
    private List<Words> words = List.of();
    private Optional<Stance> stance = Optional.empty();
    private List<Setting> stanceSettings = List.of();
    private Optional<Instant> stanceSince = Optional.empty();
    private Optional<LessonEvent.Stopped> stopped = Optional.empty();
    private Optional<Instant> aloneSince = Optional.empty();
    private Optional<Instant> quietSince = Optional.empty();
    private Optional<LessonEvent.Lightened> light = Optional.empty();
    private List<Setting> imposed = List.of();
    private Set<PersonId> inCharge = Set.of();
    private Map<PersonId, Sign> signs = Map.of();
    private List<Material> materials = List.of();
    private Optional<PersonId> focus = Optional.empty();
    private List<Caption> captions = List.of();
    private List<HeldWords> held = List.of();
    private int files;
    private List<BoardLine> board = List.of();
    private int boardNumber;
    private Map<DeviceId, LessonEvent.SweepNoticed> sweeps = Map.of();
    private Optional<LessonEvent.KeptBack> lastWord = Optional.empty();
    private List<LessonEvent.Closed> closing = List.of();
    private Set<PersonId> wereIn = Set.of();
    private List<LessonEvent.GuestLetIn> guests = List.of();
    private List<EndedPass> passesEnded = List.of();

    /** Made when first asked for: views ask it of everybody, and most states are never looked at. */
    private volatile Optional<Map<PersonId, List<Visit>>> visitsByPerson = Optional.empty();

    private LessonState() {}

    private LessonState(LessonState before) {
        number = before.number + 1;
        opened = before.opened;
        dismissedAt = before.dismissedAt;
        visits = before.visits;
        on = before.on;
        hands = before.hands;
        spoken = before.spoken;
        live = before.live;
        loans = before.loans;
        shownNames = before.shownNames;
        removals = before.removals;
        words = before.words;
        stance = before.stance;
        stanceSettings = before.stanceSettings;
        stanceSince = before.stanceSince;
        stopped = before.stopped;
        aloneSince = before.aloneSince;
        quietSince = before.quietSince;
        light = before.light;
        imposed = before.imposed;
        inCharge = before.inCharge;
        signs = before.signs;
        materials = before.materials;
        focus = before.focus;
        captions = before.captions;
        held = before.held;
        files = before.files;
        board = before.board;
        boardNumber = before.boardNumber;
        sweeps = before.sweeps;
        lastWord = before.lastWord;
        closing = before.closing;
        wereIn = before.wereIn;
        guests = before.guests;
        passesEnded = before.passesEnded;
    }

    /** One step of the fold: a lesson is {@code NEW} and then all its events in order. */
    public LessonState after(LessonEvent event) {
        var next = new LessonState(this);
        event.match(next.new Fold());
        next.aloneSince = next.isAlone() ? aloneSince.or(() -> Optional.of(event.at())) : Optional.empty();
        return next;
    }

    /** All events in order. */
    public LessonState after(List<LessonEvent> events) {
        LessonState state = this;
        for (LessonEvent event : events) {
            state = state.after(event);
        }
        return state;
    }

    /**
     * Whether such events only add to what was written: rights, presence and all that is switched, raised or handed out stay
     * one and the same.
     */
    public static boolean addOnlyWords(List<LessonEvent> events) {
        return events.stream().allMatch(LessonEvent.Said.class::isInstance);
    }

    /** How many events there were; the number of the last one. */
    public int number() {
        return number;
    }

    public boolean isOpen() {
        return opened.isPresent() && dismissedAt.isEmpty();
    }

    public boolean isOver() {
        return dismissedAt.isPresent();
    }

    public Optional<LessonEvent.Opened> opened() {
        return opened;
    }

    public Optional<Instant> dismissedAt() {
        return dismissedAt;
    }

    /** All visits, in order of arrival. */
    public List<Visit> visits() {
        return List.copyOf(visits.values());
    }

    public Optional<Visit> visit(VisitId id) {
        return Optional.ofNullable(visits.get(id));
    }

    /** The visit of this device that has not ended, if it has one. */
    public Optional<Visit> visitOf(DeviceId device) {
        return visits.values().stream()
                .filter(visit -> visit.goesOn() && visit.arrival().device().equals(device))
                .findFirst();
    }

    /** The visits that are or may be of this person, in order of arrival. */
    public List<Visit> visitsOf(PersonId person) {
        if (visitsByPerson.isEmpty()) {
            var found = new HashMap<PersonId, List<Visit>>();
            for (Visit visit : visits.values()) {
                if (visit.person().isPresent()) {
                    found.computeIfAbsent(visit.person().get(), one -> new ArrayList<>())
                            .add(visit);
                }
            }
            visitsByPerson = Optional.of(found);
        }
        return visitsByPerson.get().getOrDefault(person, List.of());
    }

    public List<Visit> waiting() {
        return visits.values().stream().filter(Visit::isWaiting).toList();
    }

    public boolean isPresent(PersonId person) {
        return visits.values().stream().anyMatch(visit -> visit.isPresent() && visit.isOf(person));
    }

    /** How many pupils and visitors are in, whether heard of just now or not: their places are kept. */
    public int occupants() {
        return (int) visits.values().stream()
                .filter(visit -> visit.status() == Visit.Status.IN
                        && !visit.role().isAdultInCharge()
                        && visit.role() != Role.OBSERVER)
                .map(Visit::person)
                .distinct()
                .count();
    }

    /** Who is present, with the devices they are on. */
    public Map<PersonId, Set<DeviceId>> present() {
        return visits.values().stream()
                .filter(Visit::isPresent)
                .collect(Collectors.groupingBy(
                        visit -> visit.person().orElseThrow(),
                        LinkedHashMap::new,
                        Collectors.mapping(visit -> visit.arrival().device(), Collectors.toSet())));
    }

    public boolean anAdultIsIn() {
        return visits.values().stream()
                .anyMatch(visit -> visit.isPresent() && visit.role().isAdultInCharge());
    }

    public Set<Appliance> on(PersonId person) {
        return on.getOrDefault(person, Set.of());
    }

    /** Everyone who has something switched on. */
    public Set<PersonId> withSomethingOn() {
        return on.keySet();
    }

    /** Raised hands and since when, longest first. */
    public Map<PersonId, Instant> hands() {
        return hands;
    }

    /** How often this person has switched the microphone on. */
    public int timesSpoken(PersonId person) {
        return spoken.getOrDefault(person, 0);
    }

    /** Passes and curbs of a person that have not been ended yet. */
    public List<Setting> loans(PersonId person) {
        return loans.getOrDefault(person, List.of());
    }

    public Map<PersonId, List<Setting>> loans() {
        return loans;
    }

    public Optional<String> shownName(PersonId person) {
        return Optional.ofNullable(shownNames.get(person));
    }

    public Optional<Removal> removal(PersonId person) {
        return Optional.ofNullable(removals.get(person));
    }

    public List<Words> words() {
        return words;
    }

    /** How many files were sent, those that wait for an adult and those kept back included. */
    public int files() {
        return files;
    }

    /** The stance the lesson is in, if one was switched on. */
    public Optional<Stance> stance() {
        return stance;
    }

    public Optional<Instant> stanceSince() {
        return stanceSince;
    }

    /** Live orders that are in force, the latest word on each rule. */
    public List<Setting> liveOrders() {
        return live;
    }

    /** The stop that lasts, if everything is stopped. */
    public Optional<LessonEvent.Stopped> stopped() {
        return stopped;
    }

    /** Since when pupils are in the room without an adult, if they are. */
    public Optional<Instant> aloneSince() {
        return aloneSince;
    }

    /** Since when the room is quiet because no adult came back in time, if it is. */
    public Optional<Instant> quietSince() {
        return quietSince;
    }

    public boolean isLight() {
        return light.isPresent();
    }

    /** Whether this person took charge of the room though not planned as its adult. */
    public boolean tookCharge(PersonId person) {
        return inCharge.contains(person);
    }

    /**
     * Whether this person may give all orders, and needs nobody to lend them a right: the lead adult, who took charge, and
     * every second adult as long as neither of those is in the room.
     */
    public boolean leads(PersonId person, LessonPlan plan) {
        if (isLead(person, plan)) {
            return true;
        }
        boolean isAdult =
                plan.member(person).filter(one -> one.role().isAdultInCharge()).isPresent();
        return isAdult
                && visits.values().stream()
                        .noneMatch(visit -> visit.isPresent()
                                && visit.person()
                                        .filter(one -> isLead(one, plan))
                                        .isPresent());
    }

    private boolean isLead(PersonId person, LessonPlan plan) {
        return tookCharge(person) && plan.member(person).isPresent()
                || plan.member(person)
                        .filter(one -> one.role() == Role.LEAD_ADULT)
                        .isPresent();
    }

    /** Signals that are shown now. */
    public Map<PersonId, Sign> signs() {
        return signs;
    }

    /** What hangs for everybody to find, in the order it was handed out. */
    public List<Material> materials() {
        return materials;
    }

    /** Who is put before everybody, while present. */
    public Optional<PersonId> focus() {
        return focus.filter(this::isPresent);
    }

    /** The latest captions. */
    public List<Caption> captions() {
        return captions;
    }

    /** Messages that wait for an adult, longest first. */
    public List<HeldWords> held() {
        return held;
    }

    /** The lines on the board. */
    public List<BoardLine> board() {
        return board;
    }

    /** The number of the event that last changed the board. */
    public int boardNumber() {
        return boardNumber;
    }

    /** Devices that went from door to door of the school, as this lesson was told. */
    public Map<DeviceId, LessonEvent.SweepNoticed> sweeps() {
        return sweeps;
    }

    /** Who shows something to everybody. */
    public Optional<PersonId> showing() {
        return on.entrySet().stream()
                .filter(one -> one.getValue().stream().anyMatch(Appliance::isShowing))
                .map(Map.Entry::getKey)
                .findFirst();
    }

    /** Whether this person agreed to the house rules when they last knocked; nothing before they have. */
    public Optional<Boolean> agreed(PersonId person) {
        List<Visit> all = visitsOf(person);
        return all.isEmpty()
                ? Optional.empty()
                : Optional.of(all.get(all.size() - 1).arrival().agreed());
    }

    /** The last word with one pupil that goes on, if it does. */
    public Optional<LessonEvent.KeptBack> lastWord() {
        return lastWord;
    }

    /** Whether somebody of the class list was let in at any time. */
    public boolean wasIn(PersonId person) {
        return wereIn.contains(person);
    }

    /** A pass that somebody ended before its time. */
    public record EndedPass(PersonId person, Setting pass, PersonId by, Instant at) {}

    /** The passes to speak that were ended together with the last one. */
    public List<EndedPass> passesEnded() {
        return passesEnded;
    }

    /** Those on no list whom an adult let in. */
    public List<LessonEvent.GuestLetIn> guests() {
        return guests;
    }

    /** What was done by itself when the lesson ended. */
    public List<LessonEvent.Closed> closing() {
        return closing;
    }

    /** For whom the lesson is over and who has not gone yet, adults aside. */
    public List<Visit> leaving() {
        return visits.values().stream()
                .filter(visit -> visit.status() == Visit.Status.DISMISSED
                        && visit.connected()
                        && visit.person().isPresent()
                        && !visit.role().isAdultInCharge()
                        && visit.role() != Role.OBSERVER)
                .toList();
    }

    /** The rules of the class together with what this lesson's adults ordered for all, in the situation of now. */
    public Rulebook rules(Rulebook planned) {
        return planned.with(stanceSettings).with(live).with(imposed).in(situation(planned.situation()));
    }

    /** Pupils are in, and no adult is. */
    private boolean isAlone() {
        boolean pupils = false;
        for (Visit visit : visits.values()) {
            if (visit.isPresent()) {
                if (visit.role().isAdultInCharge()) {
                    return false;
                }
                pupils |= visit.role() != Role.OBSERVER;
            }
        }
        return pupils && isOpen();
    }

    /** The rules for one person, passes and curbs included. */
    public Rulebook rulesFor(PersonId person, Rulebook planned) {
        Rulebook all = rules(planned);
        return all.with(loans(person)).in(all.situation().with(Fact.SCHOOL_ACCOUNT, hasAccount(person)));
    }

    /** What conditions ask about, as far as a lesson knows it; year and time are those of the plan. */
    private Situation situation(Situation planned) {
        var present = new HashSet<PersonId>();
        boolean visitor = false;
        boolean adult = false;
        for (Visit visit : visits.values()) {
            if (visit.isPresent()) {
                adult |= visit.role().isAdultInCharge();
                visitor |= visit.role() == Role.VISITOR;
                if (!visit.role().isAdultInCharge() && visit.role() != Role.OBSERVER) {
                    present.add(visit.person().orElseThrow());
                }
            }
        }
        return planned.withPresent(present.size())
                .with(Fact.VISITOR_PRESENT, visitor)
                .with(Fact.ADULT_PRESENT, adult);
    }

    /** Adults and whoever signed in; not who came in by a name alone. */
    public boolean hasAccount(PersonId person) {
        for (Visit visit : visitsOf(person)) {
            if (visit.goesOn() && !visit.arrival().hasAccount()) {
                return false;
            }
        }
        return true;
    }

    Doorway doorway(LessonPlan plan, Rulebook planned) {
        Map<PersonId, Set<DeviceId>> removed =
                removals.values().stream().collect(Collectors.toMap(Removal::person, Removal::devices));
        Set<DeviceId> turnedAway = visits.values().stream()
                .filter(visit -> visit.status() == Visit.Status.TURNED_AWAY
                        && visit.verdict().outcome() != Outcome.TURN_AWAY)
                .map(visit -> visit.arrival().device())
                .collect(Collectors.toSet());
        return new Doorway(
                plan.time(),
                plan.classList(),
                rules(planned),
                anAdultIsIn(),
                isOver(),
                present(),
                occupants(),
                removed,
                turnedAway,
                sweeps.keySet());
    }

    private final class Fold implements LessonEvent.Cases<Void> {
        @Override
        public Void opened(LessonEvent.Opened event) {
            opened = Optional.of(event);
            return null;
        }

        @Override
        public Void adultJoined(LessonEvent.AdultJoined event) {
            var arrival = new Arrival(
                    event.visit(),
                    event.device(),
                    event.person().value(),
                    Optional.of(event.person()),
                    Arrival.Link.CURRENT,
                    true);
            var verdict =
                    new Verdict(Outcome.ADMIT, List.of(new Reason(ReasonCode.ON_CLASS_LIST, List.of(event.person()))));
            put(new Visit(
                    arrival, Optional.of(event.person()), event.role(), Visit.Status.IN, verdict, event.at(), true));
            return null;
        }

        @Override
        public Void knocked(LessonEvent.Knocked event) {
            var status =
                    event.verdict().outcome() == Outcome.TURN_AWAY ? Visit.Status.TURNED_AWAY : Visit.Status.WAITING;
            put(new Visit(event.arrival(), event.person(), event.role(), status, event.verdict(), event.at(), true));
            return null;
        }

        @Override
        public Void judged(LessonEvent.Judged event) {
            change(event.visit(), visit -> visit.with(event.verdict())
                    .with(
                            event.verdict().outcome() == Outcome.TURN_AWAY
                                    ? Visit.Status.TURNED_AWAY
                                    : Visit.Status.WAITING));
            return null;
        }

        @Override
        public Void admitted(LessonEvent.Admitted event) {
            change(event.visit(), visit -> visit.admitted(event.person(), event.role()));
            if (!wereIn.contains(event.person())) {
                var all = new HashSet<>(wereIn);
                all.add(event.person());
                wereIn = all;
            }
            return null;
        }

        @Override
        public Void turnedAway(LessonEvent.TurnedAway event) {
            change(event.visit(), visit -> visit.with(Visit.Status.TURNED_AWAY));
            return null;
        }

        @Override
        public Void left(LessonEvent.Left event) {
            change(event.visit(), visit -> visit.with(Visit.Status.LEFT));
            quieten(event.visit());
            return null;
        }

        @Override
        public Void takenOff(LessonEvent.TakenOff event) {
            change(event.visit(), visit -> visit.with(Visit.Status.LEFT));
            quieten(event.visit());
            loans = without(loans, event.person());
            return null;
        }

        @Override
        public Void guestLetIn(LessonEvent.GuestLetIn event) {
            guests = plus(guests, event);
            return null;
        }

        @Override
        public Void connectionLost(LessonEvent.ConnectionLost event) {
            change(event.visit(), visit -> visit.connected(false));
            quieten(event.visit());
            return null;
        }

        @Override
        public Void cameBack(LessonEvent.CameBack event) {
            change(event.visit(), visit -> visit.connected(true));
            return null;
        }

        @Override
        public Void turnedOn(LessonEvent.TurnedOn event) {
            var now = EnumSet.of(event.what());
            now.addAll(on(event.person()));
            on = with(on, event.person(), now);
            if (event.what() == Appliance.MICROPHONE) {
                spoken = with(spoken, event.person(), timesSpoken(event.person()) + 1);
            }
            return null;
        }

        @Override
        public Void turnedOff(LessonEvent.TurnedOff event) {
            var rest = EnumSet.noneOf(Appliance.class);
            rest.addAll(on(event.person()));
            rest.remove(event.what());
            on = rest.isEmpty() ? without(on, event.person()) : with(on, event.person(), rest);
            return null;
        }

        @Override
        public Void handRaised(LessonEvent.HandRaised event) {
            hands = with(hands, event.person(), event.at());
            return null;
        }

        @Override
        public Void handLowered(LessonEvent.HandLowered event) {
            hands = without(hands, event.person());
            return null;
        }

        /** See {@link #addOnlyWords}. */
        @Override
        public Void said(LessonEvent.Said event) {
            words = plus(words, new Words(number, event.from(), event.to(), event.text(), event.file(), event.at()));
            files += event.file().isPresent() ? 1 : 0;
            return null;
        }

        @Override
        public Void liveSet(LessonEvent.LiveSet event) {
            List<Setting> next = live;
            for (Role role : rolesOf(event.set().rule())) {
                // The last word on a rule counts; those before it are in the record.
                next = next.stream()
                        .filter(one -> one.role() != role
                                || !one.set().rule().equals(event.set().rule()))
                        .toList();
                next = plus(next, Setting.of(event.set(), role, Layer.LIVE_ORDER, Force.USUAL, event.by(), event.at()));
            }
            live = next;
            return null;
        }

        @Override
        public Void passGiven(LessonEvent.PassGiven event) {
            var value = new RuleValue(event.right(), Permission.OPEN);
            lend(event.person(), value, Force.PASS, event.by(), event.at(), event.until());
            return null;
        }

        @Override
        public Void curbGiven(LessonEvent.CurbGiven event) {
            var value = new RuleValue(event.right(), Permission.CLOSED);
            lend(event.person(), value, Force.CURB, event.by(), event.at(), event.until());
            return null;
        }

        @Override
        public Void loanEnded(LessonEvent.LoanEnded event) {
            if (event.right().equals(Catalogue.SPEAK)) {
                List<EndedPass> sameMoment = passesEnded.stream()
                        .filter(one -> one.at.equals(event.at()))
                        .toList();
                passesEnded = loans(event.person()).stream()
                        .filter(loan -> loan.set().rule().equals(event.right()) && loan.force() == Force.PASS)
                        .findFirst()
                        .map(loan -> plus(sameMoment, new EndedPass(event.person(), loan, event.by(), event.at())))
                        .orElse(sameMoment);
            }
            loans = with(loans, event.person(), loansWithout(event.person(), event.right()));
            return null;
        }

        @Override
        public Void renamed(LessonEvent.Renamed event) {
            shownNames = with(shownNames, event.person(), event.name());
            return null;
        }

        @Override
        public Void removed(LessonEvent.Removed event) {
            Set<DeviceId> devices = visits.values().stream()
                    .filter(visit -> visit.status() == Visit.Status.IN && visit.isOf(event.person()))
                    .map(visit -> visit.arrival().device())
                    .collect(Collectors.toSet());
            removals = with(
                    removals,
                    event.person(),
                    new Removal(event.person(), devices, event.why(), event.by(), event.at()));
            everyVisit(visit -> visit.status() == Visit.Status.IN && visit.isOf(event.person())
                    ? visit.with(Visit.Status.REMOVED)
                    : visit);
            on = without(on, event.person());
            hands = without(hands, event.person());
            signs = without(signs, event.person());
            loans = without(loans, event.person());
            return null;
        }

        @Override
        public Void allowedBack(LessonEvent.AllowedBack event) {
            removals = without(removals, event.person());
            return null;
        }

        @Override
        public Void stanceSwitched(LessonEvent.StanceSwitched event) {
            stance = Optional.of(event.to());
            stanceSince = Optional.of(event.at());
            stanceSettings = event.to().settings(event.by(), event.at());
            if (!event.keptLive()) {
                live = live.stream()
                        .filter(one -> !event.to().speaksOf(one.set().rule()))
                        .toList();
            }
            return null;
        }

        @Override
        public Void stopped(LessonEvent.Stopped event) {
            stopped = Optional.of(event);
            impose();
            return null;
        }

        @Override
        public Void stopExplained(LessonEvent.StopExplained event) {
            stopped = stopped.map(one -> new LessonEvent.Stopped(event.why(), one.by(), one.at()));
            return null;
        }

        @Override
        public Void resumed(LessonEvent.Resumed event) {
            stopped = Optional.empty();
            impose();
            return null;
        }

        @Override
        public Void wentQuiet(LessonEvent.WentQuiet event) {
            quietSince = Optional.of(event.at());
            impose();
            return null;
        }

        @Override
        public Void supervised(LessonEvent.Supervised event) {
            quietSince = Optional.empty();
            impose();
            return null;
        }

        @Override
        public Void chargeTaken(LessonEvent.ChargeTaken event) {
            var all = new HashSet<>(inCharge);
            all.add(event.by());
            inCharge = Set.copyOf(all);
            everyVisit(visit -> visit.isOf(event.by()) ? visit.admitted(event.by(), Role.SECOND_ADULT) : visit);
            return null;
        }

        @Override
        public Void lightened(LessonEvent.Lightened event) {
            light = event.on() ? Optional.of(event) : Optional.empty();
            impose();
            return null;
        }

        @Override
        public Void signShown(LessonEvent.SignShown event) {
            signs = event.sign()
                    .map(sign -> with(signs, event.person(), sign))
                    .orElseGet(() -> without(signs, event.person()));
            return null;
        }

        @Override
        public Void signsCleared(LessonEvent.SignsCleared event) {
            signs = Map.of();
            return null;
        }

        @Override
        public Void handedOut(LessonEvent.HandedOut event) {
            materials = plus(materials, new Material(number, event.by(), event.title(), event.body(), event.at()));
            return null;
        }

        @Override
        public Void takenBack(LessonEvent.TakenBack event) {
            materials = materials.stream()
                    .filter(one -> one.number() != event.number())
                    .toList();
            return null;
        }

        @Override
        public Void focused(LessonEvent.Focused event) {
            focus = event.on();
            return null;
        }

        @Override
        public Void captioned(LessonEvent.Captioned event) {
            List<Caption> all = plus(captions, new Caption(number, event.by(), event.text(), event.at()));
            captions = all.subList(Math.max(0, all.size() - Limits.CAPTIONS), all.size());
            return null;
        }

        @Override
        public Void held(LessonEvent.Held event) {
            held = plus(
                    held,
                    new HeldWords(
                            number, event.from(), event.to(), event.text(), event.file(), event.why(), event.at()));
            files += event.file().isPresent() ? 1 : 0;
            return null;
        }

        @Override
        public Void released(LessonEvent.Released event) {
            held.stream()
                    .filter(one -> one.number() == event.number() && event.letThrough())
                    .findFirst()
                    .ifPresent(one -> words =
                            plus(words, new Words(number, one.from(), one.to(), one.text(), one.file(), event.at())));
            held = held.stream().filter(one -> one.number() != event.number()).toList();
            return null;
        }

        @Override
        public Void drawn(LessonEvent.Drawn event) {
            board = plus(board, new BoardLine(number, event.person(), event.line()));
            boardNumber = number;
            return null;
        }

        @Override
        public Void wiped(LessonEvent.Wiped event) {
            board = event.of()
                    .map(author -> board.stream()
                            .filter(line -> !line.author().equals(author))
                            .toList())
                    .orElse(List.of());
            boardNumber = number;
            return null;
        }

        @Override
        public Void sweepNoticed(LessonEvent.SweepNoticed event) {
            sweeps = with(sweeps, event.device(), event);
            return null;
        }

        /** What binds everybody now, each from when it began. */
        private void impose() {
            var all = new ArrayList<Setting>();
            stopped.ifPresent(one -> all.addAll(Imposed.STOP.settings(one.by(), one.at())));
            quietSince.ifPresent(since -> all.addAll(Imposed.QUIET.settings(PersonId.RULES, since)));
            lastWord.ifPresent(one -> all.addAll(Imposed.LAST_WORD.settings(one.by(), one.at())));
            light.ifPresent(one -> all.addAll(Imposed.LIGHT.settings(one.by(), one.at())));
            imposed = List.copyOf(all);
        }

        @Override
        public Void dismissed(LessonEvent.Dismissed event) {
            dismissedAt = Optional.of(event.at());
            stopped = Optional.empty();
            quietSince = Optional.empty();
            light = Optional.empty();
            lastWord = Optional.empty();
            impose();
            signs = Map.of();
            focus = Optional.empty();
            everyVisit(visit -> visit.goesOn() ? visit.with(Visit.Status.DISMISSED) : visit);
            on = Map.of();
            hands = Map.of();
            loans = Map.of();
            return null;
        }

        @Override
        public Void keptBack(LessonEvent.KeptBack event) {
            lastWord = Optional.of(event);
            focus = Optional.empty();
            impose();
            for (VisitId id : event.gone()) {
                change(id, visit -> visit.with(Visit.Status.DISMISSED));
                quieten(id);
            }
            return null;
        }

        @Override
        public Void seenOut(LessonEvent.SeenOut event) {
            change(event.visit(), visit -> visit.connected(false));
            return null;
        }

        @Override
        public Void closed(LessonEvent.Closed event) {
            closing = plus(closing, event);
            return null;
        }

        private void put(Visit visit) {
            visits = with(visits, visit.id(), visit);
        }

        private void change(VisitId id, UnaryOperator<Visit> how) {
            visit(id).map(how).ifPresent(this::put);
        }

        private void everyVisit(UnaryOperator<Visit> how) {
            var next = new LinkedHashMap<>(visits);
            next.replaceAll((id, visit) -> how.apply(visit));
            visits = next;
        }

        /** Nothing stays on, and no hand stays up, of somebody with no device left in the room. */
        private void quieten(VisitId id) {
            visit(id)
                    .flatMap(Visit::person)
                    .filter(person -> !isPresent(person))
                    .ifPresent(person -> {
                        on = without(on, person);
                        hands = without(hands, person);
                        signs = without(signs, person);
                    });
        }

        private void lend(PersonId to, RuleValue value, Force force, PersonId by, Instant from, Instant until) {
            Role role = visits.values().stream()
                    .filter(visit -> visit.isOf(to))
                    .map(Visit::role)
                    .findFirst()
                    .orElse(Role.PUPIL);
            var setting = Setting.of(value, role, Layer.PERSON, force, by, from).ending(until);
            loans = with(loans, to, plus(loansWithout(to, value.rule()), setting));
        }

        private List<Setting> loansWithout(PersonId person, Rule<?> right) {
            return loans(person).stream()
                    .filter(loan -> !loan.set().rule().equals(right))
                    .toList();
        }
    }

    /** A live order speaks to pupils and class monitors; the door stands before visitors too. */
    static List<Role> rolesOf(Rule<?> rule) {
        return rule.equals(Catalogue.DOOR)
                ? List.of(Role.CLASS_MONITOR, Role.PUPIL, Role.VISITOR)
                : List.of(Role.CLASS_MONITOR, Role.PUPIL);
    }

    private static <K, V> Map<K, V> with(Map<K, V> map, K key, V value) {
        var next = new LinkedHashMap<>(map);
        next.put(key, value);
        return Collections.unmodifiableMap(next);
    }

    private static <K, V> Map<K, V> without(Map<K, V> map, K key) {
        if (!map.containsKey(key)) {
            return map;
        }
        var next = new LinkedHashMap<>(map);
        next.remove(key);
        return Collections.unmodifiableMap(next);
    }

    private static <T> List<T> plus(List<T> list, T one) {
        var next = new ArrayList<>(list);
        next.add(one);
        return Collections.unmodifiableList(next);
    }
}
