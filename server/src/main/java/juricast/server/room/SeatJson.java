package juricast.server.room;

import static juricast.core.board.BoardPart.BOARD;
import static juricast.core.clocks.ClocksPart.CLOCKS;
import static juricast.core.door.DoorPart.DOOR;
import static juricast.core.groups.GroupsPart.GROUPS;
import static juricast.core.help.HelpPart.HELP;
import static juricast.core.material.MaterialPart.MATERIAL;
import static juricast.core.merits.MeritsPart.MERITS;
import static juricast.core.notices.NoticesPart.NOTICES;
import static juricast.core.questions.QuestionsPart.QUESTIONS;
import static juricast.core.recording.RecordingPart.RECORDING;
import static juricast.core.rights.RightsPart.RIGHTS;
import static juricast.core.signals.SignalsPart.SIGNALS;
import static juricast.core.slates.SlatesPart.SLATES;
import static juricast.core.supervision.SupervisionPart.SUPERVISION;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.audience.DoorSeat;
import juricast.core.audience.SeatView;
import juricast.core.audience.SharedRights;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.live.Visit;
import juricast.server.board.BoardJson;
import juricast.server.chat.ChatJson;
import juricast.server.clocks.ClocksJson;
import juricast.server.conduct.ConductJson;
import juricast.server.door.DoorJson;
import juricast.server.drawing.DrawingJson;
import juricast.server.drawing.Strokes;
import juricast.server.groups.GroupsJson;
import juricast.server.help.HelpJson;
import juricast.server.languages.Sentences;
import juricast.server.lesson.Shown;
import juricast.server.lesson.Snapshot;
import juricast.server.lines.LinesJson;
import juricast.server.material.MaterialJson;
import juricast.server.merits.MeritsJson;
import juricast.server.notices.NoticesJson;
import juricast.server.questions.QuestionsJson;
import juricast.server.recording.RecordingJson;
import juricast.server.rights.RightsJson;
import juricast.server.signals.SignalsJson;
import juricast.server.slates.SlatesJson;
import juricast.server.supervision.SupervisionJson;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * A seat on the wire: one object for each part of what all with the same rights see alike, made and encoded once for all of them,
 * and one, with a piece for each part, of what is this person's own. It is told in the language that is spoken in the calling thread.
 */
@Component
class SeatJson {
    private final DoorJson door;
    private final RightsJson rights;
    private final ChatJson chat;
    private final Strokes strokes;

    SeatJson(DoorJson door, RightsJson rights, ChatJson chat, Strokes strokes) {
        this.strokes = strokes;
        this.door = door;
        this.rights = rights;
        this.chat = chat;
    }

    /** A lesson as one arrival sees it. */
    record Seat(
            int number,
            Instant now,
            @JsonUnwrapped Room room,
            SeatMine mine,
            List<ChatJson.Heard> words,
            List<DrawingJson.Stroke> strokes) {}

    /** What all with the same rights see alike. @param observers who looks on, where these people may see it */
    record Room(
            String title,
            Instant starts,
            Instant ends,
            List<String> adults,
            List<String> observers,
            RightsJson.SeatRights rights,
            RightsJson.SeatCompany company,
            SignalsJson.SeatSignals signals,
            BoardJson.BoardShown board,
            MaterialJson.MaterialShown material,
            SupervisionJson.SeatSupervision supervision,
            RecordingJson.SeatRecording recording,
            GroupsJson.@Nullable SeatGroups groups,
            QuestionsJson.@Nullable SeatQuestion question,
            ClocksJson.SeatClocks clocks,
            SlatesJson.SeatSlates slates,
            HelpJson.@Nullable SeatHelpHour help,
            NoticesJson.NoticesShown notices,
            MeritsJson.SeatMerits merits,
            ConductJson.SeatConduct conduct) {}

    /** What is one arrival's own. Of those who are not inside there is only the door. */
    record SeatMine(
            DoorJson.SeatMineDoor door,
            HelpJson.@Nullable SeatMineHelpHour help,
            RightsJson.@Nullable SeatMineRights rights,
            SignalsJson.@Nullable SeatMineSignals signals,
            ChatJson.@Nullable SeatMineChat chat,
            MeritsJson.@Nullable SeatMineMerits merits,
            QuestionsJson.@Nullable SeatMineQuestions question,
            ClocksJson.@Nullable SeatMineClocks clocks,
            SlatesJson.@Nullable SeatMineSlates slate,
            RecordingJson.@Nullable SeatMineRecording recording,
            GroupsJson.@Nullable SeatMineGroups groups,
            LinesJson.@Nullable SeatMineLine line,
            ConductJson.@Nullable SeatMineConduct conduct) {}

    /** As a stream tells it: what is one's own is one field beside the others. */
    private record Own(SeatMine mine) {}

    /** The whole seat, with all its words. @throws IllegalArgumentException if there is no such visit */
    Seat of(Snapshot at, VisitId id, Instant now) {
        Visit visit = SeatView.visit(at.state(), id);
        return new Seat(
                at.state().number(),
                now,
                room(at, visit, now),
                mine(at, visit, now),
                ChatJson.heard(at, id, 0),
                List.of());
    }

    /** The same for a stream, with the words after a number. */
    Shown shown(Snapshot at, VisitId id, int after, Instant now) {
        Visit visit = SeatView.visit(at.state(), id);
        boolean isIn = visit.status() == Visit.Status.IN;
        int number = at.state().number();
        return new Shown(
                number,
                isIn ? number : after,
                now,
                room(at, visit, now),
                new Own(mine(at, visit, now)),
                isIn ? chat.heardJson(at, id, visit.person(), after) : "",
                () -> isIn ? strokes.seat(at, visit.person().orElseThrow(), after) : "",
                at.shared());
    }

    private Room room(Snapshot at, Visit visit, Instant now) {
        if (visit.status() != Visit.Status.IN) {
            return at.ruled(
                    "seat outside", "all", List.of(SUPERVISION, RECORDING, HELP, NOTICES), now, () -> outside(at, now));
        }
        PersonId me = visit.person().orElseThrow();
        Role role = SeatView.roleOf(at.plan(), visit);
        SharedRights shared = at.rights(now);
        return at.ruled(
                "seat",
                List.of(shared.sameAs(me, role), Sentences.spoken()),
                List.of(
                        DOOR,
                        GROUPS,
                        SIGNALS,
                        RIGHTS,
                        RECORDING,
                        BOARD,
                        MATERIAL,
                        SUPERVISION,
                        QUESTIONS,
                        CLOCKS,
                        SLATES,
                        HELP,
                        NOTICES,
                        MERITS),
                now,
                () -> new Room(
                        at.plan().title(),
                        at.plan().time().from(),
                        at.plan().time().until(),
                        adults(at),
                        DoorSeat.observers(at.plan(), at.state(), shared, me, role, now),
                        rights.seat(at, me, role, now),
                        RightsJson.company(at, me, role, now),
                        SignalsJson.seat(at),
                        BoardJson.seat(at, at.state().where().placeOf(me)),
                        MaterialJson.seat(at, me, role, now),
                        SupervisionJson.seat(at),
                        RecordingJson.seat(at, now),
                        GroupsJson.seat(at, me, role, now),
                        QuestionsJson.seat(at, me, role, now),
                        ClocksJson.seat(at, me, role, now),
                        SlatesJson.seat(at, me, role, now),
                        HelpJson.seat(at),
                        NoticesJson.of(at),
                        MeritsJson.seat(at, now),
                        ConductJson.seat(at, now)));
    }

    private static Room outside(Snapshot at, Instant now) {
        return new Room(
                at.plan().title(),
                at.plan().time().from(),
                at.plan().time().until(),
                adults(at),
                List.of(),
                RightsJson.FROM_OUTSIDE,
                RightsJson.ALONE,
                new SignalsJson.SeatSignals(null),
                BoardJson.FROM_OUTSIDE,
                MaterialJson.FROM_OUTSIDE,
                SupervisionJson.fromOutside(at),
                RecordingJson.seat(at, now),
                null,
                null,
                ClocksJson.FROM_OUTSIDE,
                SlatesJson.FROM_OUTSIDE,
                HelpJson.seat(at),
                NoticesJson.of(at),
                MeritsJson.NOBODY,
                ConductJson.FROM_OUTSIDE);
    }

    private static List<String> adults(Snapshot at) {
        return at.plan().adults().stream().map(Member::name).toList();
    }

    private SeatMine mine(Snapshot at, Visit visit, Instant now) {
        Optional<PersonId> inside = visit.person().filter(person -> visit.status() == Visit.Status.IN);
        DoorJson.SeatMineDoor mine = door.seatMine(at, visit);
        return inside.map(me -> new SeatMine(
                        mine,
                        null,
                        RightsJson.seatMine(at, me),
                        SignalsJson.seatMine(at, me),
                        chat.seatMine(at, visit, me, SeatView.roleOf(at.plan(), visit), now),
                        MeritsJson.seatMine(at, me, now),
                        QuestionsJson.seatMine(at, me),
                        ClocksJson.seatMine(at, me),
                        SlatesJson.seatMine(at, me),
                        RecordingJson.seatMine(at, me),
                        GroupsJson.seatMine(at, me, SeatView.roleOf(at.plan(), visit), now),
                        LinesJson.seatMine(at, me),
                        ConductJson.seatMine(at, me)))
                .orElseGet(() -> new SeatMine(
                        mine,
                        HelpJson.seatMine(at, visit, now),
                        null,
                        null,
                        null,
                        null,
                        null,
                        null,
                        null,
                        null,
                        null,
                        null,
                        null));
    }
}
