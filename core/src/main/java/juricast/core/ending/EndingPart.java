package juricast.core.ending;

import static juricast.core.live.Decision.done;
import static juricast.core.live.Refusal.Common.NOT_PRESENT;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import juricast.core.board.BoardPart;
import juricast.core.chat.ChatPart;
import juricast.core.door.DoorEvent;
import juricast.core.door.DoorPart;
import juricast.core.door.DoorState;
import juricast.core.door.LastWord;
import juricast.core.groups.GroupsPart;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.live.Decision;
import juricast.core.live.LessonEvent;
import juricast.core.live.News;
import juricast.core.live.Part;
import juricast.core.live.Refusal;
import juricast.core.live.Room;
import juricast.core.live.Visit;
import juricast.core.recording.RecordingPart;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;

/** How a lesson ends: for everybody, for all but one, and what is then done by itself (needs K1 to K3). */
public final class EndingPart implements Part<EndingState, EndingOrder, EndingEvent> {
    public static final EndingPart ENDING = new EndingPart();

    private EndingPart() {}

    @Override
    public String name() {
        return "ending";
    }

    @Override
    public Class<EndingOrder> orders() {
        return EndingOrder.class;
    }

    @Override
    public Class<EndingEvent> events() {
        return EndingEvent.class;
    }

    @Override
    public EndingState begin() {
        return EndingState.NEW;
    }

    @Override
    public EndingState after(EndingState was, EndingEvent event, int number) {
        return event.match(was);
    }

    @Override
    public Decision decide(EndingState is, EndingOrder order, Room room) {
        return order.match(new Rules(room, room.of(DoorPart.DOOR)));
    }

    private record Rules(Room room, DoorState door) implements EndingOrder.Cases<Decision> {
        @Override
        public Decision dismiss(EndingOrder.Dismiss order) {
            return room.who()
                    .adult(order.by(), Catalogue.HELP_DISMISS)
                    .orElseGet(() -> done(new DoorEvent.Dismissed(order.by(), room.now())));
        }

        @Override
        public Decision keepBack(EndingOrder.KeepBack order) {
            return room.who().adult(order.by(), Catalogue.HELP_DISMISS).orElseGet(() -> {
                PersonId pupil = order.person();
                boolean isOfList = room.plan().classList().stream()
                        .anyMatch(one -> one.person().equals(pupil));
                if (!isOfList || !door.isPresent(pupil)) {
                    return Refusal.of(NOT_PRESENT, pupil);
                }
                if (door.lastWord().isPresent()) {
                    return Refusal.of(EndingRefusal.LAST_WORD);
                }
                List<VisitId> gone = door.visits().stream()
                        .filter(visit -> visit.goesOn()
                                && !visit.isOf(pupil)
                                && !visit.role().isAdultInCharge()
                                && visit.role() != Role.OBSERVER)
                        .map(Visit::id)
                        .toList();
                return LastWord.aloneWithOne(room)
                        .orElseGet(() -> done(new DoorEvent.KeptBack(pupil, gone, order.by(), room.now())));
            });
        }
    }

    /** A last word that must not go on ends at once; when all is over, the closing steps are done. */
    @Override
    public List<LessonEvent> follows(EndingState is, Room room, News news) {
        if (news.has(event -> event instanceof DoorEvent.Dismissed)) {
            return closing(room);
        }
        boolean mustEnd = room.of(DoorPart.DOOR).lastWord().isPresent()
                && !room.there().isOver()
                && LastWord.aloneWithOne(room).isPresent();
        return mustEnd ? List.of(new DoorEvent.Dismissed(PersonId.RULES, room.now())) : List.of();
    }

    /** So that nobody has to think of them (need K2). */
    private static List<LessonEvent> closing(Room room) {
        var steps = new ArrayList<LessonEvent>();
        var renewal = room.rules().value(Catalogue.LINK_RENEWAL, Rule.ANSWERS, room.now());
        if (room.plan().sequel().endsTheLink(renewal, room.plan().time())) {
            steps.add(new EndingEvent.Closed(ClosingStep.LINK_RETIRED, 1, room.now()));
        }
        int words = room.of(ChatPart.CHAT).words().size();
        steps.add(new EndingEvent.Closed(ClosingStep.CHAT_KEPT, words, room.now()));
        int lines = room.of(BoardPart.BOARD).marks().size();
        steps.add(new EndingEvent.Closed(ClosingStep.BOARD_KEPT, lines, room.now()));
        Duration recorded = room.of(RecordingPart.RECORDING).recorded(room.now());
        if (!recorded.isZero()) {
            steps.add(new EndingEvent.Closed(ClosingStep.RECORDING_KEPT, (int) recorded.toMinutes(), room.now()));
        }
        int groups = room.of(GroupsPart.GROUPS).lastGroups();
        if (groups > 0) {
            steps.add(new EndingEvent.Closed(ClosingStep.GROUPS_CLOSED, groups, room.now()));
        }
        DoorState door = room.of(DoorPart.DOOR);
        int wereIn = (int) room.plan().classList().stream()
                .filter(one -> one.role() != Role.VISITOR && door.wasIn(one.person()))
                .count();
        steps.add(new EndingEvent.Closed(ClosingStep.REGISTER_DRAFTED, wereIn, room.now()));
        return steps;
    }
}
