package juricast.server.room;

import java.time.Instant;
import java.util.List;
import juricast.core.identity.PersonId;
import juricast.core.live.PlaceId;
import juricast.server.board.BoardJson;
import juricast.server.chat.ChatJson;
import juricast.server.classes.Classes;
import juricast.server.classes.Rehearsals;
import juricast.server.clocks.ClocksJson;
import juricast.server.conduct.ConductJson;
import juricast.server.door.DoorJson;
import juricast.server.drawing.DrawingJson;
import juricast.server.drawing.Strokes;
import juricast.server.ending.EndingJson;
import juricast.server.groups.GroupsJson;
import juricast.server.help.HelpJson;
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

/** The desk on the wire: one object for each part, so that what is new in one is told alone. */
@Component
class DeskJson {
    private final DoorJson door;
    private final RightsJson rights;
    private final ChatJson chat;
    private final GroupsJson groups;
    private final NeedsJson needs;
    private final MeritsJson merits;
    private final Strokes strokes;
    private final Classes classes;
    private final Rehearsals rehearsals;

    DeskJson(
            DoorJson door,
            RightsJson rights,
            ChatJson chat,
            GroupsJson groups,
            NeedsJson needs,
            MeritsJson merits,
            Strokes strokes,
            Classes classes,
            Rehearsals rehearsals) {
        this.rehearsals = rehearsals;
        this.classes = classes;
        this.merits = merits;
        this.strokes = strokes;
        this.door = door;
        this.rights = rights;
        this.chat = chat;
        this.groups = groups;
        this.needs = needs;
    }

    /**
     * A live lesson for its adults.
     *
     * @param ofClass the id of its class
     * @param rehearses the lesson that it is a rehearsal of, if it is one
     * @param course stances, switched and planned
     * @param needs what asks for an adult now, oldest first
     * @param words those written after the number the browser knows
     * @param strokes what was drawn since; only in what a stream tells
     */
    record Desk(
            int number,
            Instant now,
            String lesson,
            String ofClass,
            @Nullable String rehearses,
            String title,
            Instant starts,
            Instant ends,
            DoorJson.DeskDoor door,
            RightsJson.DeskRights rights,
            RightsJson.DeskCourse course,
            SignalsJson.DeskSignals signals,
            ChatJson.DeskChat chat,
            BoardJson.BoardShown board,
            MaterialJson.MaterialShown material,
            SupervisionJson.DeskSupervision supervision,
            EndingJson.DeskEnding ending,
            QuestionsJson.DeskQuestions questions,
            ClocksJson.DeskClocks clocks,
            SlatesJson.DeskSlates slates,
            HelpJson.@Nullable DeskHelpHour help,
            NoticesJson.NoticesShown notices,
            MeritsJson.DeskMerits merits,
            ConductJson.DeskConduct conduct,
            LinesJson.DeskLines lines,
            RecordingJson.DeskRecording recording,
            GroupsJson.DeskGroups groups,
            List<NeedsJson.NeedLine> needs,
            DeskMine mine,
            List<ChatJson.Message> words,
            List<DrawingJson.Stroke> strokes) {}

    /** What is the asking adult's own. */
    record DeskMine(
            String me,
            DoorJson.DeskMineDoor door,
            SupervisionJson.DeskMineSupervision supervision,
            GroupsJson.DeskMineGroups groups,
            RecordingJson.DeskMineRecording recording,
            ConductJson.DeskMineConduct conduct) {}

    Desk of(Snapshot at, PersonId me, int after, Instant now) {
        return make(at, me, now, ChatJson.messages(at, after));
    }

    private Desk make(Snapshot at, PersonId me, Instant now, List<ChatJson.Message> words) {
        return new Desk(
                at.state().number(),
                now,
                at.plan().lesson().value(),
                at.piece("class", "all", List.of(), () -> classes.lesson(
                                at.plan().lesson())
                        .orElseThrow()
                        .ofClass()
                        .value()),
                rehearsals.find(at.plan().lesson()).map(one -> one.of().value()).orElse(null),
                at.plan().title(),
                at.plan().time().from(),
                at.plan().time().until(),
                door.desk(at, now),
                rights.desk(at, now),
                rights.course(at, now),
                SignalsJson.desk(at),
                chat.desk(at),
                BoardJson.desk(at, PlaceId.TOGETHER),
                MaterialJson.desk(at),
                SupervisionJson.desk(at),
                EndingJson.desk(at),
                QuestionsJson.desk(at, me, now),
                ClocksJson.desk(at),
                SlatesJson.desk(at),
                HelpJson.desk(at, now),
                NoticesJson.of(at),
                merits.desk(at),
                ConductJson.desk(at),
                LinesJson.desk(at),
                RecordingJson.desk(at, now),
                groups.desk(at, now),
                needs.of(at, now),
                new DeskMine(
                        me.value(),
                        DoorJson.deskMine(at, me),
                        SupervisionJson.deskMine(at, me),
                        GroupsJson.deskMine(at, me),
                        RecordingJson.deskMine(at, me, now),
                        ConductJson.deskMine(at, me)),
                words,
                List.of());
    }

    /** The same for a stream. */
    Shown shown(Snapshot at, PersonId me, int after, Instant now) {
        Desk desk = make(at, me, now, List.of());
        return new Shown(
                desk.number,
                desk.number,
                now,
                desk,
                new Shown.Nothing(),
                chat.messagesJson(at, after),
                () -> strokes.desk(at, after),
                at.shared());
    }
}
