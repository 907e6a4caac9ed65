package juricast.core.questions;

import static juricast.core.live.Decision.done;
import static juricast.core.rules.Catalogue.SEE_ANSWERS;
import static juricast.core.rules.Catalogue.SHOW_RESULTS;
import static juricast.core.rules.Catalogue.START_ACTIVITY;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import juricast.core.door.Acting;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.Decision;
import juricast.core.live.LessonEvent;
import juricast.core.live.News;
import juricast.core.live.Part;
import juricast.core.live.PlaceId;
import juricast.core.live.Refusal;
import juricast.core.live.Room;
import juricast.core.live.Visit;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;

/** Questions to the class (need J1): one at a time, each person answers once or until it closes, the class sees no names. */
public final class QuestionsPart implements Part<QuestionsState, QuestionsOrder, QuestionsEvent> {
    public static final QuestionsPart QUESTIONS = new QuestionsPart();
    /** How long a question may be open by the clock. */
    public static final Duration LONGEST = Duration.ofMinutes(60);
    /** Questions of one lesson. */
    public static final int MOST = 200;

    private QuestionsPart() {}

    @Override
    public String name() {
        return "questions";
    }

    @Override
    public Class<QuestionsOrder> orders() {
        return QuestionsOrder.class;
    }

    @Override
    public Class<QuestionsEvent> events() {
        return QuestionsEvent.class;
    }

    @Override
    public QuestionsState begin() {
        return QuestionsState.NEW;
    }

    @Override
    public QuestionsState after(QuestionsState was, QuestionsEvent event, int number) {
        return event.match(new QuestionsState.Fold(was, number));
    }

    @Override
    public Decision decide(QuestionsState is, QuestionsOrder order, Room room) {
        return order.match(new Rules(is, room));
    }

    /** Who is asked: those of the place who may answer and are there. */
    public static List<PersonId> whoIsAsked(AskedQuestion one, Room room) {
        return room.there().visits().stream()
                .filter(Visit::isPresent)
                .flatMap(visit -> visit.person().stream())
                .distinct()
                .filter(person -> isAsked(one, person, room)
                        && room.who().right(person, Catalogue.ANSWER).isEmpty())
                .toList();
    }

    private static boolean isAsked(AskedQuestion one, PersonId person, Room room) {
        return one.asked().of().map(room.where().placeOf(person)::equals).orElse(true)
                && Catalogue.ANSWER.speaksOf(room.who().roleOf(person));
    }

    /** Closes what nobody can answer any more: its time is up, its group is no more, or the lesson is over. */
    @Override
    public List<LessonEvent> follows(QuestionsState is, Room room, News news) {
        return is.now()
                .filter(AskedQuestion::isOpen)
                .filter(one ->
                        one.until().filter(until -> !room.now().isBefore(until)).isPresent()
                                || one.asked()
                                        .of()
                                        .filter(of -> !room.where().places().contains(of))
                                        .isPresent()
                                || room.there().isOver())
                .<List<LessonEvent>>map(
                        one -> List.of(new QuestionsEvent.Closed(one.number(), Optional.empty(), room.now())))
                .orElse(List.of());
    }

    @Override
    public Optional<Instant> due(QuestionsState is, Room room) {
        return is.now().filter(AskedQuestion::isOpen).flatMap(AskedQuestion::until);
    }

    private record Rules(QuestionsState is, Room room) implements QuestionsOrder.Cases<Decision> {
        @Override
        public Decision ask(QuestionsOrder.Ask order) {
            return room.who()
                    .adult(order.by(), START_ACTIVITY)
                    .or(() -> order.question().wrong().map(Refusal::of))
                    .or(() -> refused(is.now().filter(AskedQuestion::isOpen).isPresent(), QuestionsRefusal.STILL_OPEN))
                    .or(() -> refused(is.asked().size() >= MOST, Refusal.Common.TOO_MUCH))
                    .or(() ->
                            refused(order.of().filter(of -> !isGroup(of)).isPresent(), QuestionsRefusal.NO_SUCH_GROUP))
                    .orElseGet(() -> asked(order));
        }

        private Decision asked(QuestionsOrder.Ask order) {
            var events = new ArrayList<LessonEvent>();
            // What was before the class makes room.
            is.now().ifPresent(one -> events.add(new QuestionsEvent.PutAway(one.number(), order.by(), room.now())));
            events.add(new QuestionsEvent.Asked(
                    order.question(),
                    order.prepared(),
                    order.changeable(),
                    seeNames(),
                    order.of(),
                    order.length().map(length -> room.now().plus(shorter(length))),
                    order.by(),
                    room.now()));
            return new Decision.Done(events);
        }

        private List<Role> seeNames() {
            return Stream.of(Role.LEAD_ADULT, Role.SECOND_ADULT)
                    .filter(role -> room.rules().value(SEE_ANSWERS, role, room.now()) == Permission.OPEN)
                    .toList();
        }

        private boolean isGroup(PlaceId of) {
            return !of.equals(PlaceId.TOGETHER) && room.where().places().contains(of);
        }

        private static Duration shorter(Duration length) {
            return length.compareTo(LONGEST) > 0 ? LONGEST : length.isNegative() ? Duration.ZERO : length;
        }

        @Override
        public Decision answer(QuestionsOrder.Give order) {
            return Acting.present(
                    room, order.visit(), person -> question(order.question(), one -> answer(order, person, one)));
        }

        private Decision answer(QuestionsOrder.Give order, PersonId person, AskedQuestion one) {
            Answer before = one.answers().get(person);
            return refused(!isAsked(one, person, room), QuestionsRefusal.NOT_ASKED)
                    .or(() -> room.who().right(person, Catalogue.ANSWER))
                    .or(() -> refused(!one.isOpenAt(room.now()), QuestionsRefusal.CLOSED))
                    .or(() -> refused(!one.question().takes(order.answer()), QuestionsRefusal.NO_ANSWER_TO_THIS))
                    .or(() -> Optional.of(done()).filter(same -> order.answer().equals(before)))
                    .or(() -> refused(before != null && !one.asked().changeable(), QuestionsRefusal.ANSWERED_ALREADY))
                    .orElseGet(
                            () -> done(new QuestionsEvent.Answered(one.number(), person, order.answer(), room.now())));
        }

        @Override
        public Decision extend(QuestionsOrder.Extend order) {
            return mine(
                    order.by(),
                    order.question(),
                    one -> one.isOpen()
                            ? done(new QuestionsEvent.Extended(
                                    one.number(),
                                    later(one.until().orElse(room.now()), order.more()),
                                    order.by(),
                                    room.now()))
                            : Refusal.of(QuestionsRefusal.CLOSED));
        }

        private Instant later(Instant until, Duration more) {
            Instant last = room.now().plus(LONGEST);
            Instant wanted = until.plus(shorter(more));
            return wanted.isAfter(last) ? last : wanted;
        }

        @Override
        public Decision nudge(QuestionsOrder.Nudge order) {
            return mine(order.by(), order.question(), one -> {
                if (!one.isOpen()) {
                    return Refusal.of(QuestionsRefusal.CLOSED);
                }
                List<PersonId> missing = whoIsAsked(one, room).stream()
                        .filter(person -> !one.answers().containsKey(person))
                        .toList();
                return missing.isEmpty()
                        ? done()
                        : done(new QuestionsEvent.Nudged(one.number(), missing, order.by(), room.now()));
            });
        }

        @Override
        public Decision close(QuestionsOrder.Close order) {
            return mine(order.by(), order.question(), one -> one.isOpen() ? done(closed(one, order.by())) : done());
        }

        private QuestionsEvent.Closed closed(AskedQuestion one, PersonId by) {
            return new QuestionsEvent.Closed(one.number(), Optional.of(by), room.now());
        }

        @Override
        public Decision show(QuestionsOrder.Show order) {
            return room.who()
                    .adult(order.by(), SHOW_RESULTS)
                    .orElseGet(() -> question(order.question(), one -> {
                        if (one.isAway()) {
                            return Refusal.of(QuestionsRefusal.NO_SUCH_QUESTION);
                        }
                        if (one.answers().size() < Results.FEWEST_FOR_CLASS) {
                            return Refusal.of(QuestionsRefusal.TOO_FEW_TO_SHOW);
                        }
                        boolean right = order.right() && one.question().hasRight();
                        var shown = new QuestionsEvent.Shown(one.number(), right, order.by(), room.now());
                        return one.shown().equals(Optional.of(right))
                                ? done()
                                : one.isOpen() ? done(closed(one, order.by()), shown) : done(shown);
                    }));
        }

        @Override
        public Decision putAway(QuestionsOrder.PutAway order) {
            return mine(order.by(), order.question(), one -> {
                var away = new QuestionsEvent.PutAway(one.number(), order.by(), room.now());
                return one.isAway() ? done() : one.isOpen() ? done(closed(one, order.by()), away) : done(away);
            });
        }

        /** For who may ask: what is done with a question that was asked. */
        private Decision mine(PersonId by, int number, Function<AskedQuestion, Decision> then) {
            return room.who().adult(by, START_ACTIVITY).orElseGet(() -> question(number, then));
        }

        private Decision question(int number, Function<AskedQuestion, Decision> then) {
            return is.question(number).map(then).orElseGet(() -> Refusal.of(QuestionsRefusal.NO_SUCH_QUESTION));
        }

        private static Optional<Decision> refused(boolean isSo, Refusal.Code code) {
            return isSo ? Optional.of(Refusal.of(code)) : Optional.empty();
        }
    }
}
