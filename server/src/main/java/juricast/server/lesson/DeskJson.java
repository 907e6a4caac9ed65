package juricast.server.lesson;

import static juricast.core.board.BoardPart.BOARD;
import static juricast.core.chat.ChatPart.CHAT;
import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.ending.EndingPart.ENDING;
import static juricast.core.material.MaterialPart.MATERIAL;
import static juricast.core.rights.RightsPart.RIGHTS;
import static juricast.core.signals.SignalsPart.SIGNALS;
import static juricast.core.supervision.SupervisionPart.SUPERVISION;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import juricast.core.audience.DeskView;
import juricast.core.audience.SeatView;
import juricast.core.chat.HeldWords;
import juricast.core.chat.Readers;
import juricast.core.chat.SentFile;
import juricast.core.chat.Words;
import juricast.core.ending.ClosingStep;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.RunningOrder;
import juricast.core.live.Stance;
import juricast.core.live.Visit;
import juricast.core.material.Caption;
import juricast.core.material.Material;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsPart;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.core.rules.Ruling;
import juricast.core.rules.Setting;
import juricast.core.rules.Setting.Force;
import juricast.core.rules.YesNo;
import juricast.core.signals.Sign;
import juricast.core.supervision.SupervisionEvent;
import juricast.core.time.Span;
import juricast.server.rules.Stances;
import juricast.server.words.VerdictWords;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** The desk's view on the wire, with sentences in place of codes. */
@Component
class DeskJson {
    private final VerdictWords door;
    private final Stances stances;
    private final JsonMapper json;

    DeskJson(VerdictWords door, Stances stances, JsonMapper json) {
        this.door = door;
        this.stances = stances;
        this.json = json;
    }

    /** A live lesson for its adults. @param words those written after the number the browser knows */
    record Desk(
            int number,
            Instant now,
            String lesson,
            String title,
            Instant starts,
            Instant ends,
            DeskView.Phase phase,
            @Nullable Instant openedAt,
            @Nullable Instant dismissedAt,
            String me,
            boolean iAmIn,
            DoorValue door,
            List<Column> columns,
            List<DeskAdult> adults,
            List<Pupil> pupils,
            List<Waiting> waiting,
            List<Refused> refused,
            Steering steering,
            List<HeldMessage> held,
            List<Handout> materials,
            List<SignCount> signs,
            List<CaptionLine> captions,
            List<Column> help,
            Ending ending,
            List<Message> words) {}

    /**
     * How a lesson ends.
     *
     * @param lastWord the pupil who was kept for a last word
     * @param leaving for whom it is over and who has not gone yet
     * @param closing what was done by itself
     */
    record Ending(@Nullable String lastWord, List<String> leaving, List<ClosingLine> closing) {}

    record ClosingLine(ClosingStep step, int count) {}

    /**
     * What the lesson as a whole is doing.
     *
     * @param leading whether the asking person may give all orders, and lend others the right to
     * @param observing whether the asking person looks on without being in charge
     * @param overseeing whether the asking person is a safeguarding lead, who may act without being in charge
     * @param observers who looks on, where the rule lets the adults see it
     * @param mayTakeCharge whether the asking person observes and the room has no adult
     * @param stances what may be switched on
     * @param order the planned stances at their times
     * @param written the same as they were written, each with its own minutes, whether or not the lesson is long enough
     * @param due the stance the running order proposes now
     * @param showing who shows something to everybody
     */
    record Steering(
            boolean leading,
            boolean observing,
            boolean overseeing,
            List<String> observers,
            boolean mayTakeCharge,
            @Nullable String stance,
            @Nullable Instant stanceSince,
            List<StanceChoice> stances,
            List<OrderStep> order,
            List<WrittenStep> written,
            boolean byTheClock,
            @Nullable String due,
            int liveOrders,
            @Nullable Instant stoppedAt,
            @Nullable String stoppedBecause,
            @Nullable Instant aloneSince,
            boolean quiet,
            boolean light,
            @Nullable String focus,
            @Nullable String showing,
            @Nullable String showingName,
            int board) {}

    record StanceChoice(String id, String name) {}

    record WrittenStep(String stance, String name, int minutes) {}

    record OrderStep(String stance, String name, Instant from, Instant until) {}

    /** A message that waits for an adult. @param because why, in words */
    record HeldMessage(
            int number,
            Instant at,
            String person,
            String name,
            String to,
            String text,
            @Nullable FileLine file,
            String because) {}

    /** A file that was sent; its name is the text. */
    record FileLine(String kind, int bytes) {}

    record Handout(int number, Instant at, String by, String title, String body) {}

    record SignCount(Sign sign, int count, List<String> names) {}

    record CaptionLine(int number, Instant at, String by, String text) {}

    /** A value for all pupils. @param bound whether the charter or class binds it */
    record DoorValue(String value, boolean bound) {}

    /** One right as a column. */
    record Column(String rule, String title, String value, boolean bound) {}

    /** @param leads whether this adult may give all orders @param help what a second adult may do for who leads */
    record DeskAdult(String id, String name, Role role, boolean in, boolean leads, List<Cell> help) {}

    /**
     * One pupil as a row.
     *
     * @param handSince when the hand went up
     * @param help what they help with now
     * @param agreed whether they agreed to the house rules; nothing as long as they have not knocked
     * @param removedWhy what the adult wrote
     */
    record Pupil(
            String id,
            String name,
            @Nullable String shownName,
            DeskView.Whereabouts whereabouts,
            @Nullable Instant backBy,
            List<DeskStretch> stays,
            List<DeskStretch> waits,
            boolean microphone,
            boolean camera,
            boolean screen,
            @Nullable Instant handSince,
            int timesSpoken,
            List<Cell> cells,
            List<Cell> help,
            @Nullable Boolean agreed,
            @Nullable Sign sign,
            @Nullable String removedWhy) {}

    /** Time at the door or in the lesson. @param until none while it goes on */
    record DeskStretch(Instant from, @Nullable Instant until) {}

    /** A right of one pupil. @param loan pass, curb or none @param until when the pass or curb ends */
    record Cell(String rule, String value, boolean bound, Loan loan, @Nullable Instant until) {}

    enum Loan {
        NONE,
        PASS,
        CURB
    }

    /** Somebody at the door. @param person who on the list is meant, if that is clear @param listed may be let in with all */
    record Waiting(
            String visit,
            String name,
            @Nullable String person,
            @Nullable String personName,
            Instant since,
            boolean connected,
            boolean listed,
            List<DoorReason> reasons) {}

    /** Why somebody waits or was turned away. @param rule the rule behind it, where it is not a matter of fact */
    record DoorReason(String text, @Nullable String rule) {}

    record Refused(String visit, String name, Instant at, List<DoorReason> reasons) {}

    record Message(
            int number,
            Instant at,
            String from,
            String fromName,
            Readers.Kind to,
            String toName,
            String text,
            @Nullable FileLine file) {}

    /** What every adult sees alike and words do not change. @param until when the clock next changes something in it */
    record Standing(
            DeskView.Phase phase,
            DoorValue door,
            List<Column> rights,
            List<DeskAdult> adults,
            List<Pupil> pupils,
            List<Waiting> waiting,
            List<Refused> refused,
            Instant until) {}

    /** Made anew only when it may have changed: thirty rows cost most of a desk, and most of what is new is words. */
    private Standing standing(Snapshot lesson, Instant now) {
        LiveLesson.Seen seen = lesson.seen(now);
        Standing last = seen.desk().get();
        if (last == null || !now.isBefore(last.until)) {
            last = standing(
                    lesson, DeskView.of(lesson.plan(), lesson.state(), lesson.events(), seen.rights(), now), now);
            seen.desk().set(last);
        }
        return last;
    }

    private Standing standing(Snapshot lesson, DeskView view, Instant now) {
        return new Standing(
                view.phase(),
                new DoorValue(view.door().value().text(), isBound(view.door())),
                view.rights().stream()
                        .map(right -> new Column(
                                right.rule().key(),
                                right.rule().title(),
                                right.value().text(),
                                isBound(right)))
                        .toList(),
                view.adults().stream()
                        .map(one -> new DeskAdult(
                                one.member().person().value(),
                                one.member().name(),
                                one.member().role(),
                                one.isIn(),
                                one.leads(),
                                one.help().stream().map(DeskJson::cell).toList()))
                        .toList(),
                view.rows().stream().map(row -> pupil(row, lesson, now)).toList(),
                view.waiting().stream().map(visit -> waiting(visit, lesson)).toList(),
                view.refused().stream()
                        .map(visit -> new Refused(
                                visit.id().value(),
                                visit.arrival().claimedName(),
                                visit.knockedAt(),
                                reasons(visit, lesson)))
                        .toList(),
                view.until());
    }

    Desk of(Snapshot lesson, PersonId me, int after, Instant now) {
        LessonPlan plan = lesson.plan();
        LessonState state = lesson.state();
        Standing standing = standing(lesson, now);
        return new Desk(
                state.number(),
                now,
                plan.lesson().value(),
                plan.title(),
                plan.time().from(),
                plan.time().until(),
                standing.phase,
                lesson.state().of(DOOR).opened().map(one -> one.at()).orElse(null),
                lesson.state().of(DOOR).dismissedAt().orElse(null),
                me.value(),
                lesson.state().of(DOOR).isPresent(me),
                standing.door,
                standing.rights,
                standing.adults,
                standing.pupils,
                standing.waiting,
                standing.refused,
                steering(lesson, me, now),
                state.of(CHAT).held().stream().map(held -> held(held, plan)).toList(),
                handouts(state.of(MATERIAL).handouts(), plan),
                Arrays.stream(Sign.values())
                        .map(sign -> count(sign, state, plan))
                        .filter(one -> one.count > 0)
                        .toList(),
                captions(state.of(MATERIAL).captions(), plan),
                Catalogue.HELP.stream()
                        .map(rule -> new Column(rule.key(), rule.title(), "", false))
                        .toList(),
                ending(state, plan),
                DeskView.words(plan, state, after).stream()
                        .map(words -> message(words, plan))
                        .toList());
    }

    /** The same for a stream. */
    Shown shown(Snapshot lesson, PersonId me, int after, Instant now) {
        Desk desk = of(lesson, me, after, now);
        String words = desk.words.isEmpty() ? "" : json.writeValueAsString(desk.words);
        return new Shown(desk.number, desk.number, now, desk, new Shown.Nothing(), words, lesson.shared());
    }

    private Steering steering(Snapshot lesson, PersonId me, Instant now) {
        LessonState state = lesson.state();
        LessonPlan plan = lesson.plan();
        boolean observes =
                plan.member(me).filter(one -> one.role() == Role.OBSERVER).isPresent()
                        && !state.of(DOOR).tookCharge(me);
        return new Steering(
                state.of(DOOR).leads(me, plan),
                observes,
                plan.isLead(me),
                lesson.live().value(Catalogue.SEE_OBSERVERS, Role.LEAD_ADULT, now) == YesNo.YES
                        ? SeatView.observers(plan, state)
                        : List.of(),
                observes && state.of(DOOR).isOpen() && !state.of(DOOR).anAdultIsIn(),
                state.of(RIGHTS).stance().map(Stance::name).orElse(null),
                state.of(RIGHTS).stanceSince().orElse(null),
                stances.of(plan, now).stream()
                        .map(one -> new StanceChoice(one.id(), one.name()))
                        .toList(),
                plan.order().over(plan.time()).stream()
                        .map(one -> new OrderStep(
                                one.stance().id(),
                                one.stance().name(),
                                one.time().from(),
                                one.time().until()))
                        .toList(),
                plan.order().steps().stream()
                        .map(one ->
                                new WrittenStep(one.stance().id(), one.stance().name(), one.minutes()))
                        .toList(),
                plan.order().byTheClock(),
                state.of(DOOR).isOpen()
                        ? RightsPart.dueStance(state.of(RIGHTS), lesson.at(now).room())
                                .map(RunningOrder.Planned::stance)
                                .filter(due -> !state.of(RIGHTS)
                                        .stance()
                                        .map(Stance::id)
                                        .equals(Optional.of(due.id())))
                                .map(Stance::id)
                                .orElse(null)
                        : null,
                state.of(RIGHTS).liveOrders().stream()
                        .map(one -> one.set().rule())
                        .filter(rule -> !rule.equals(Catalogue.DOOR))
                        .collect(Collectors.toSet())
                        .size(),
                state.of(SUPERVISION)
                        .stopped()
                        .map(SupervisionEvent.Stopped::at)
                        .orElse(null),
                state.of(SUPERVISION)
                        .stopped()
                        .map(SupervisionEvent.Stopped::why)
                        .orElse(null),
                state.of(DOOR).aloneSince().orElse(null),
                state.of(SUPERVISION).quietSince().isPresent(),
                state.of(RIGHTS).isLight(),
                state.of(SIGNALS).focus(state.there()).map(PersonId::value).orElse(null),
                state.of(RIGHTS).showing().map(PersonId::value).orElse(null),
                state.of(RIGHTS).showing().map(plan::nameOf).orElse(null),
                state.of(BOARD).changed());
    }

    private static Ending ending(LessonState state, LessonPlan plan) {
        return new Ending(
                state.of(DOOR).lastWord().map(one -> plan.nameOf(one.person())).orElse(null),
                state.of(DOOR).leaving().stream()
                        .flatMap(visit -> visit.person().stream())
                        .map(plan::nameOf)
                        .distinct()
                        .toList(),
                state.of(ENDING).closing().stream()
                        .map(one -> new ClosingLine(one.step(), one.count()))
                        .toList());
    }

    private static HeldMessage held(HeldWords held, LessonPlan plan) {
        return new HeldMessage(
                held.number(),
                held.at(),
                held.from().value(),
                plan.nameOf(held.from()),
                held.to().one().map(plan::nameOf).orElse("the class"),
                held.text(),
                file(held.file()),
                switch (held.why()) {
                    case LINK -> "holds a link";
                    case WORD -> "holds a word of the school's list";
                    case FILE -> "is a file, looked at first by the rules";
                    case EVERY_MESSAGE -> "is read first, by the rules";
                });
    }

    static List<Handout> handouts(List<Material> materials, LessonPlan plan) {
        return materials.stream()
                .map(one -> new Handout(one.number(), one.at(), plan.nameOf(one.by()), one.title(), one.body()))
                .toList();
    }

    private static SignCount count(Sign sign, LessonState state, LessonPlan plan) {
        List<String> names = state.of(SIGNALS).signs().entrySet().stream()
                .filter(one -> one.getValue() == sign)
                .map(one -> plan.nameOf(one.getKey()))
                .toList();
        return new SignCount(sign, names.size(), names);
    }

    static List<CaptionLine> captions(List<Caption> captions, LessonPlan plan) {
        return captions.stream()
                .skip(Math.max(0, captions.size() - 3L))
                .map(one -> new CaptionLine(one.number(), one.at(), plan.nameOf(one.by()), one.text()))
                .toList();
    }

    private static boolean isBound(Ruling<?> ruling) {
        return ruling.floor().isPresent();
    }

    private static Pupil pupil(DeskView.Row row, Snapshot lesson, Instant now) {
        Member member = row.member();
        LessonState state = lesson.state();
        return new Pupil(
                member.person().value(),
                member.name(),
                row.shownName().orElse(null),
                row.whereabouts(),
                row.backBy().orElse(null),
                stretches(row.attendance().stays(), row.whereabouts() == DeskView.Whereabouts.IN, now),
                stretches(row.attendance().waits(), row.whereabouts() == DeskView.Whereabouts.WAITING, now),
                row.on().contains(Appliance.MICROPHONE),
                row.on().contains(Appliance.CAMERA),
                row.on().stream().anyMatch(Appliance::isShowing),
                row.handSince().orElse(null),
                row.timesSpoken(),
                cells(row.rights(), lesson),
                cells(row.help(), lesson),
                state.of(DOOR).agreed(member.person()).orElse(null),
                state.of(SIGNALS).signs().get(member.person()),
                row.removal().map(one -> one.why()).orElse(null));
    }

    /** Most rows have the same cells, one and the same object for all of them. */
    private static List<Cell> cells(List<DeskView.Cell> seen, Snapshot lesson) {
        return lesson.shared().once(seen, "on the wire", () -> seen.stream()
                .map(DeskJson::cell)
                .toList());
    }

    private static Cell cell(DeskView.Cell cell) {
        return new Cell(
                cell.ruling().rule().key(),
                cell.ruling().value().text(),
                isBound(cell.ruling()),
                loan(cell.loan()),
                cell.loan().map(Setting::until).orElse(null));
    }

    static Loan loan(Optional<Setting> loan) {
        return loan.map(one -> one.force() == Force.PASS ? Loan.PASS : Loan.CURB)
                .orElse(Loan.NONE);
    }

    /** A time that goes on has no end, so that the desk need not be told every second that it goes on. */
    private static List<DeskStretch> stretches(List<Span> spans, boolean goesOn, Instant now) {
        return spans.stream()
                .map(span -> new DeskStretch(span.from(), goesOn && span.until().equals(now) ? null : span.until()))
                .toList();
    }

    private Waiting waiting(Visit visit, Snapshot lesson) {
        return new Waiting(
                visit.id().value(),
                visit.arrival().claimedName(),
                visit.person().map(PersonId::value).orElse(null),
                visit.person().map(lesson.plan()::nameOf).orElse(null),
                visit.knockedAt(),
                visit.connected(),
                visit.verdict().onlyTheDoorIsBetween(),
                reasons(visit, lesson));
    }

    private List<DoorReason> reasons(Visit visit, Snapshot lesson) {
        return visit.verdict().reasons().stream()
                .map(reason -> new DoorReason(
                        door.forAdults(reason, lesson.plan(), lesson.live().all()),
                        reason.code().rule().map(Rule::key).orElse(null)))
                .toList();
    }

    static @Nullable FileLine file(Optional<SentFile> sent) {
        return sent.map(one -> new FileLine(one.kind(), one.bytes())).orElse(null);
    }

    static Message message(Words words, LessonPlan plan) {
        return new Message(
                words.number(),
                words.at(),
                words.from().value(),
                plan.nameOf(words.from()),
                words.to().kind(),
                words.to().one().map(plan::nameOf).orElse(""),
                words.text(),
                file(words.file()));
    }
}
