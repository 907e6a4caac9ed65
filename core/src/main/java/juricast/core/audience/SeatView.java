package juricast.core.audience;

import static juricast.core.board.BoardPart.BOARD;
import static juricast.core.chat.ChatPart.CHAT;
import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.material.MaterialPart.MATERIAL;
import static juricast.core.rights.RightsPart.RIGHTS;
import static juricast.core.signals.SignalsPart.SIGNALS;
import static juricast.core.supervision.SupervisionPart.SUPERVISION;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import juricast.core.chat.HeldWords;
import juricast.core.chat.Readers;
import juricast.core.chat.Words;
import juricast.core.entry.Reason;
import juricast.core.entry.ReasonCode;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.Stance;
import juricast.core.live.Visit;
import juricast.core.material.Caption;
import juricast.core.material.Material;
import juricast.core.rights.Appliance;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.PlannedRules;
import juricast.core.rules.Rule;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Ruling;
import juricast.core.rules.Setting;
import juricast.core.rules.YesNo;
import juricast.core.signals.Sign;

/**
 * A lesson as one arrival sees it, from the doorstep to the dismissal. Only what this person may see is in it: no other
 * pupil's pass, curb, hand or removal, no verdict details, nobody else's private words, nobody unknown at the door.
 *
 * @param isVisitor whether they come from outside the class
 * @param reasons why somebody waits or was turned away, without the people of the class that the check thought of
 * @param name the name on the class list; empty until somebody is let in, so that the door tells nobody who is expected
 * @param room what everybody with the same rights sees alike
 * @param handsBefore how many hands are up longer than this person's
 * @param classmates whom this person may write to alone; empty unless the rules open it. With a visitor, or for one, the adults
 *     read along
 * @param allowedBack whether an adult has let a removed person come again
 * @param sign the signal this person shows
 * @param held this person's own messages that wait for an adult
 * @param words what this person may read
 */
public record SeatView(
        int number,
        Instant now,
        Visit.Status status,
        boolean isVisitor,
        List<ReasonCode> reasons,
        Optional<String> name,
        Optional<String> shownName,
        Room room,
        Set<Appliance> on,
        Optional<Instant> handSince,
        int handsBefore,
        boolean allowedBack,
        List<Member> classmates,
        Optional<Sign> sign,
        List<HeldWords> held,
        List<Words> words) {
    /**
     * The part of a seat that is the same for everybody with the same rights. It is made once for all of them, and is one
     * and the same object for all.
     *
     * @param showing who shows something to everybody
     * @param stance what the lesson is doing
     * @param quiet whether the room is quiet because no adult is in it
     * @param stopped whether an adult has stopped everything
     * @param focus the name of who stands before everybody
     * @param captions the latest, where these people may read them
     * @param boardNumber changes whenever the board does
     * @param helping what these people may help with, where they may
     * @param observers the names of those who look on, where these people may see them
     */
    public record Room(
            List<Right> rights,
            Optional<String> showing,
            Optional<String> stance,
            boolean quiet,
            boolean stopped,
            Optional<String> focus,
            List<Material> materials,
            List<Caption> captions,
            int boardNumber,
            Optional<Helping> helping,
            List<String> observers) {}

    /**
     * What a trusted pupil helps with, and just what that takes.
     *
     * @param rights what they may help with
     * @param door who waits and is surely on the class list, longest first
     * @param hands whose hand is up, longest first
     * @param chatPaused whether the class chat is closed by a live order
     */
    public record Helping(List<Right> rights, List<Waiting> door, List<Member> hands, boolean chatPaused) {}

    /** Somebody at the door, by the name on the class list. */
    public record Waiting(VisitId visit, String name) {}

    /** One right of this person. @param loan their own pass or curb on it */
    public record Right(Ruling<Permission> ruling, Optional<Setting> loan) {}

    /** @throws IllegalArgumentException if there is no such visit */
    public static SeatView of(LessonPlan plan, LessonState lesson, PlannedRules rules, VisitId id, Instant now) {
        return of(plan, lesson, SharedRights.of(lesson, rules, now), id, 0, now);
    }

    /**
     * The same from rights that were worked out before.
     *
     * @param after only words with a higher number are wanted
     * @throws IllegalArgumentException if there is no such visit
     */
    public static SeatView of(
            LessonPlan plan, LessonState lesson, SharedRights rights, VisitId id, int after, Instant now) {
        Visit visit = lesson.of(DOOR).visit(id).orElseThrow(() -> new IllegalArgumentException("No such visit: " + id));
        return visit.status() == Visit.Status.IN
                ? inside(plan, lesson, rights, visit, after, now)
                : outside(lesson, rights, visit, now);
    }

    private static SeatView outside(LessonState lesson, SharedRights shared, Visit visit, Instant now) {
        return new SeatView(
                lesson.number(),
                now,
                visit.status(),
                visit.role() == Role.VISITOR,
                visit.verdict().reasons().stream().map(Reason::code).toList(),
                Optional.empty(),
                Optional.empty(),
                shared.outside(),
                Set.of(),
                Optional.empty(),
                0,
                isAllowedBack(lesson, visit),
                List.of(),
                Optional.empty(),
                List.of(),
                List.of());
    }

    private static boolean isAllowedBack(LessonState lesson, Visit visit) {
        return visit.status() == Visit.Status.REMOVED
                && lesson.of(DOOR).isOpen()
                && visit.person()
                        .filter(one -> lesson.of(DOOR).removal(one).isEmpty())
                        .isPresent();
    }

    private static SeatView inside(
            LessonPlan plan, LessonState lesson, SharedRights shared, Visit visit, int after, Instant now) {
        PersonId me = visit.person().orElseThrow();
        // As planned now: somebody may have become class monitor since they came in.
        Role role = plan.member(me).map(Member::role).orElse(visit.role());
        Room room = shared.room(plan, me, role, now);
        boolean mayWriteToOne = shared.book(me).value(Catalogue.PRIVATE_CHAT, role, now) == Permission.OPEN;
        Optional<Instant> hand = Optional.ofNullable(lesson.of(SIGNALS).hands().get(me));
        List<PersonId> hands = List.copyOf(lesson.of(SIGNALS).hands().keySet());
        int before = hands.contains(me) ? hands.indexOf(me) : hands.size();
        List<Member> classmates = mayWriteToOne
                ? plan.classList().stream()
                        .filter(one ->
                                !one.person().equals(me) && lesson.of(DOOR).isPresent(one.person()))
                        .toList()
                : List.of();
        return new SeatView(
                lesson.number(),
                now,
                visit.status(),
                visit.role() == Role.VISITOR,
                List.of(),
                Optional.of(plan.nameOf(me)),
                lesson.of(DOOR).shownName(me),
                room,
                lesson.of(RIGHTS).on(me),
                hand,
                before,
                false,
                classmates,
                Optional.ofNullable(lesson.of(SIGNALS).signs().get(me)),
                lesson.of(CHAT).held().stream()
                        .filter(one -> one.from().equals(me))
                        .toList(),
                wordsFor(me, lesson, after));
    }

    /** What somebody without a pass or curb of their own sees, or one who has some. */
    static Room room(LessonPlan plan, LessonState lesson, SharedRights shared, PersonId me, Role role, Instant now) {
        Optional<Helping> helping = helping(plan, lesson, shared, me, role, now);
        boolean mayReadCaptions = shared.book(me).value(Catalogue.CAPTIONS, role, now) == Permission.OPEN;
        return new Room(
                shared.of(me, role, now).stream()
                        .map(ruling -> new Right(ruling, loan(lesson, me, ruling.rule(), now)))
                        .toList(),
                lesson.of(RIGHTS).showing().map(plan::nameOf),
                lesson.of(RIGHTS).stance().map(Stance::name),
                lesson.of(SUPERVISION).quietSince().isPresent(),
                lesson.of(SUPERVISION).stopped().isPresent(),
                lesson.of(SIGNALS).focus(lesson.there()).map(plan::nameOf),
                lesson.of(MATERIAL).handouts(),
                mayReadCaptions ? lesson.of(MATERIAL).captions() : List.of(),
                lesson.of(BOARD).changed(),
                helping,
                shared.book(me).value(Catalogue.SEE_OBSERVERS, role, now) == YesNo.YES
                        ? observers(plan, lesson)
                        : List.of());
    }

    private static final List<Rule<Permission>> PUPILS_HELP =
            List.of(Catalogue.HELP_DOOR, Catalogue.HELP_HANDS, Catalogue.HELP_CHAT);

    private static Optional<Helping> helping(
            LessonPlan plan, LessonState lesson, SharedRights shared, PersonId me, Role role, Instant now) {
        Rulebook book = shared.book(me);
        List<Right> rights = PUPILS_HELP.stream()
                .filter(rule -> rule.speaksOf(role) && book.value(rule, role, now) == Permission.OPEN)
                .map(rule -> new Right(book.ruling(rule, role, now), loan(lesson, me, rule, now)))
                .toList();
        if (rights.isEmpty()) {
            return Optional.empty();
        }
        boolean door = may(rights, Catalogue.HELP_DOOR);
        boolean hands = may(rights, Catalogue.HELP_HANDS);
        return Optional.of(new Helping(
                rights,
                lesson.of(DOOR).waiting().stream()
                        .filter(visit ->
                                door && visit.connected() && visit.verdict().onlyTheDoorIsBetween())
                        .flatMap(visit ->
                                visit.person().stream().map(person -> new Waiting(visit.id(), plan.nameOf(person))))
                        .toList(),
                lesson.of(SIGNALS).hands().keySet().stream()
                        .filter(person -> hands)
                        .flatMap(person -> plan.member(person).stream())
                        .toList(),
                lesson.of(RIGHTS).liveOrders().stream()
                        .anyMatch(one -> one.set().rule().equals(Catalogue.CLASS_CHAT)
                                && one.set().value() == Permission.CLOSED)));
    }

    private static boolean may(List<Right> rights, Rule<Permission> what) {
        return rights.stream().anyMatch(right -> right.ruling().rule().equals(what));
    }

    private static Optional<Setting> loan(LessonState lesson, PersonId me, Rule<?> rule, Instant now) {
        return lesson.of(RIGHTS).loans(me).stream()
                .filter(loan -> loan.set().rule().equals(rule) && loan.isInForce(now))
                .findFirst();
    }

    /** Only what this arrival may read. @param after only words with a higher number are wanted */
    public static List<Words> words(LessonState lesson, VisitId id, int after) {
        return lesson.of(DOOR)
                .visit(id)
                .filter(visit -> visit.status() == Visit.Status.IN)
                .flatMap(Visit::person)
                .map(me -> wordsFor(me, lesson, after))
                .orElse(List.of());
    }

    /** What is seen from the door: whether the room is quiet, and nothing else of it. */
    static Room fromOutside(LessonState lesson) {
        return new Room(
                List.of(),
                Optional.empty(),
                Optional.empty(),
                lesson.of(SUPERVISION).quietSince().isPresent(),
                false,
                Optional.empty(),
                List.of(),
                List.of(),
                0,
                Optional.empty(),
                List.of());
    }

    /** The names of those who are in without being in charge or of the class (need M2). */
    public static List<String> observers(LessonPlan plan, LessonState lesson) {
        return lesson.of(DOOR).visits().stream()
                .filter(visit -> visit.isPresent() && visit.role() == Role.OBSERVER)
                .flatMap(visit -> visit.person().stream())
                .distinct()
                .map(plan::nameOf)
                .toList();
    }

    private static List<Words> wordsFor(PersonId me, LessonState lesson, int after) {
        return wordsAfter(lesson, after).stream()
                .filter(words -> mayRead(me, words))
                .toList();
    }

    /**
     * Everything that was written after a number, for whomever. From the last backwards: a seat that is told of every word asks
     * for one of hundreds.
     */
    public static List<Words> wordsAfter(LessonState lesson, int after) {
        List<Words> all = lesson.of(CHAT).words();
        int first = all.size();
        while (first > 0 && all.get(first - 1).number() > after) {
            first--;
        }
        return all.subList(first, all.size());
    }

    private static boolean mayRead(PersonId me, Words words) {
        return words.to().kind() == Readers.Kind.CLASS
                || words.from().equals(me)
                || words.to().one().filter(me::equals).isPresent();
    }
}
