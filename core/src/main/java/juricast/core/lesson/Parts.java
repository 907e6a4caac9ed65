package juricast.core.lesson;

import java.util.List;
import juricast.core.board.BoardPart;
import juricast.core.chat.ChatPart;
import juricast.core.clocks.ClocksPart;
import juricast.core.conduct.ConductPart;
import juricast.core.door.DoorPart;
import juricast.core.ending.EndingPart;
import juricast.core.groups.GroupsPart;
import juricast.core.help.HelpPart;
import juricast.core.lines.LinesPart;
import juricast.core.live.LessonState;
import juricast.core.live.Part;
import juricast.core.material.MaterialPart;
import juricast.core.merits.MeritsPart;
import juricast.core.notices.NoticesPart;
import juricast.core.questions.QuestionsPart;
import juricast.core.recording.RecordingPart;
import juricast.core.rights.RightsPart;
import juricast.core.signals.SignalsPart;
import juricast.core.slates.SlatesPart;
import juricast.core.supervision.SupervisionPart;

/** Which parts a lesson has. A part knows those above it in this list and none below; what follows by itself is asked from the end. */
public final class Parts {
    public static final List<Part<?, ?, ?>> ALL = List.of(
            DoorPart.DOOR,
            GroupsPart.GROUPS,
            SignalsPart.SIGNALS,
            RightsPart.RIGHTS,
            LinesPart.LINES,
            ChatPart.CHAT,
            BoardPart.BOARD,
            MaterialPart.MATERIAL,
            SupervisionPart.SUPERVISION,
            RecordingPart.RECORDING,
            HelpPart.HELP,
            QuestionsPart.QUESTIONS,
            ClocksPart.CLOCKS,
            SlatesPart.SLATES,
            NoticesPart.NOTICES,
            MeritsPart.MERITS,
            ConductPart.CONDUCT,
            EndingPart.ENDING);

    /** A lesson in which nothing has happened yet. */
    public static final LessonState NEW = LessonState.begin(ALL);

    private Parts() {}
}
