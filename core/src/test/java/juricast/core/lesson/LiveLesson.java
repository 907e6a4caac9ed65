package juricast.core.lesson;

import static juricast.core.door.DoorPart.DOOR;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import juricast.core.audience.DeskView;
import juricast.core.audience.SeatView;
import juricast.core.consent.Consent;
import juricast.core.consent.Consents;
import juricast.core.door.DoorOrder;
import juricast.core.entry.Arrival;
import juricast.core.grouping.Wishes;
import juricast.core.identity.DeviceId;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.ladder.Conduct;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonOrder;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonRules;
import juricast.core.live.LessonState;
import juricast.core.live.Refusal;
import juricast.core.live.RunningOrder;
import juricast.core.live.Visit;
import juricast.core.live.WatchedWords;
import juricast.core.rules.Condition;
import juricast.core.rules.Layer;
import juricast.core.rules.LiveRules;
import juricast.core.rules.PlannedRules;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Setting;
import juricast.core.rules.Setting.Force;
import juricast.core.rules.Situation;
import juricast.core.time.Span;

/** The small language of lesson tests: a lesson from 10:00 to 10:50 that plays orders and remembers its story. */
public final class LiveLesson {
    public static final PersonId ORLA = new PersonId("orla");
    public static final PersonId TAM = new PersonId("tam");
    public static final PersonId INES = new PersonId("ines");
    public static final PersonId JORY = new PersonId("jory");
    public static final PersonId KESTER = new PersonId("kester");

    public static final PersonId MAREN = new PersonId("maren");

    private static final LessonPlan PLAN = new LessonPlan(
            new LessonId("tidal"),
            "Tidal Navigation 8",
            new Span(at("10:00"), at("10:50")),
            List.of(
                    new Member(ORLA, "Orla Venn", Role.LEAD_ADULT),
                    new Member(TAM, "Tam Birket", Role.SECOND_ADULT),
                    new Member(INES, "Ines Carrow", Role.PUPIL),
                    new Member(JORY, "Jory Pell", Role.PUPIL),
                    new Member(KESTER, "Kester Tabb", Role.CLASS_MONITOR)));

    public static final PersonId TOVE = new PersonId("visitor-tove");

    private LessonPlan plan = PLAN;
    private final List<LessonEvent> events = new ArrayList<>();
    private final List<Setting> settings = new ArrayList<>();
    private final List<Consent> consents = new ArrayList<>();
    private Instant now = at("09:55");
    private Optional<Refusal> lastRefusal = Optional.empty();

    public static LiveLesson planned() {
        return new LiveLesson();
    }

    /** Open, with Orla in the room, at 10:00. */
    public static LiveLesson open() {
        return planned()
                .time("09:50")
                .order(new DoorOrder.Open(ORLA))
                .adult(ORLA)
                .time("10:00");
    }

    public static Instant at(String time) {
        return LocalDate.of(2026, 9, 14).atTime(LocalTime.parse(time)).toInstant(ZoneOffset.UTC);
    }

    public LiveLesson school(String key, String value, Force force) {
        return school(key, value, force, Condition.ALWAYS);
    }

    public LiveLesson school(String key, String value, Force force, Condition when) {
        for (Role role : RuleValue.of(key, value).orElseThrow().rule().roles()) {
            settings.add(Setting.of(
                            RuleValue.of(key, value).orElseThrow(),
                            role,
                            Layer.SCHOOL,
                            force,
                            new PersonId("maren"),
                            at("00:00"))
                    .during(when));
        }
        return this;
    }

    /** Invites Tove Saltmarsh to this lesson. */
    public LiveLesson invited() {
        var members = new ArrayList<>(plan.members());
        members.add(new Member(TOVE, "Tove Saltmarsh", Role.VISITOR));
        plan = new LessonPlan(plan.lesson(), plan.title(), plan.time(), members);
        return this;
    }

    /** Somebody who may look in. */
    public LiveLesson observedBy(PersonId observer) {
        var members = new ArrayList<>(plan.members());
        members.add(new Member(observer, "Maren Oddlund", Role.OBSERVER));
        plan = new LessonPlan(plan.lesson(), plan.title(), plan.time(), members);
        return this;
    }

    /** Planned as a help hour. */
    public LiveLesson helpHour() {
        plan = plan.helpHour(true);
        return this;
    }

    /** With what its class keeps for making groups. */
    public LiveLesson wishing(Wishes wishes) {
        plan = plan.wishing(wishes);
        return this;
    }

    /** With a word about recording one of its people, from the beginning of the year on. */
    public LiveLesson consent(PersonId person, Consent.Said said) {
        return consent(
                new Consent(person, said, Consent.Giver.PARENT, "form 4", at("00:00"), Setting.FOR_EVER, at("00:00")));
    }

    /** With the school's ladder and what its pupils bring along. */
    public LiveLesson meeting(Conduct conduct) {
        plan = plan.meeting(conduct);
        return this;
    }

    public LiveLesson consent(Consent one) {
        consents.add(one);
        plan = plan.consenting(Consents.of(consents));
        return this;
    }

    private static final List<String> MORE = List.of("Brenna Holt", "Sunniva Ashdown", "Calder Wray", "Tamsin Orrick");

    /** With up to four more pupils on the list, called "p1" and so on. */
    public LiveLesson ofMore(int pupils) {
        var members = new ArrayList<>(plan.members());
        for (int i = 1; i <= pupils; i++) {
            members.add(new Member(pupil(i), MORE.get(i - 1), Role.PUPIL));
        }
        plan = plan.of(members, LessonPlan.Beside.NOBODY);
        return this;
    }

    public static PersonId pupil(int n) {
        return new PersonId("p" + n);
    }

    public LiveLesson planned(RunningOrder order) {
        plan = plan.with(order, plan.watched());
        return this;
    }

    public Instant now() {
        return now;
    }

    /** The rules as they are for everybody now. */
    public LiveRules rulebookNow() {
        return state().rules(rulebook());
    }

    public LiveLesson time(String time) {
        now = at(time);
        return this;
    }

    public LiveLesson adult(PersonId adult) {
        return order(new DoorOrder.Join(visitOf(adult), new DeviceId("desk of " + adult), adult));
    }

    /** Somebody at the door without an account; the visit has the device's name. */
    public LiveLesson knock(String name, String device) {
        return order(new DoorOrder.Knock(Arrival.of(
                new VisitId(device), new DeviceId(device), name, Optional.empty(), Arrival.Link.CURRENT, true)));
    }

    /** A pupil of the list, let in by Orla on a device of the same name. */
    public LiveLesson present(PersonId pupil) {
        return knock(plan.nameOf(pupil), pupil.value())
                .order(new DoorOrder.Admit(new VisitId(pupil.value()), Optional.empty(), ORLA));
    }

    public LiveLesson order(LessonOrder order) {
        lastRefusal = rules().decide(order)
                .either(
                        done -> {
                            events.addAll(done);
                            return Optional.empty();
                        },
                        Optional::of);
        return this;
    }

    public Optional<Refusal.Code> refused() {
        return lastRefusal.map(Refusal::code);
    }

    public LessonState state() {
        return Parts.NEW.after(events);
    }

    public List<LessonEvent> events() {
        return List.copyOf(events);
    }

    public LessonPlan plan() {
        return plan;
    }

    public PlannedRules rulebook() {
        return new PlannedRules(
                Rulebook.of(settings).in(Situation.ORDINARY.ofYear(8).at(plan.time())));
    }

    public Visit visit(String device) {
        return state().of(DOOR)
                .visit(new VisitId(device))
                .orElseThrow(() -> new AssertionError("No visit " + device + this));
    }

    /** With words on the school's list. */
    public LiveLesson watching(String... words) {
        plan = plan.with(plan.order(), WatchedWords.of(List.of(words)));
        return this;
    }

    public SeatView seat(String device) {
        return SeatView.of(plan, state(), rulebook(), new VisitId(device), now);
    }

    public DeskView desk() {
        return DeskView.of(plan, state(), events, rulebook(), now);
    }

    public LessonRules rules() {
        return new LessonRules(plan, state(), rulebook(), now);
    }

    public static VisitId visitOf(PersonId person) {
        return new VisitId(person.value());
    }

    public static Duration minutes(int count) {
        return Duration.ofMinutes(count);
    }

    @Override
    public String toString() {
        return "\nThe story of this lesson:\n"
                + String.join("\n", events.stream().map(Object::toString).toList());
    }
}
