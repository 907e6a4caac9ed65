package juricast.server.questions;

import java.util.List;
import juricast.core.live.Part;
import juricast.core.questions.QuestionsEvent;
import juricast.core.questions.QuestionsPart;
import juricast.server.record.StoredKind;
import juricast.server.record.StoredPart;
import org.springframework.stereotype.Component;

/** Under which names events of this part stand on the disk, for ever. */
@Component
class QuestionsStored implements StoredPart {
    @Override
    public Part<?, ?, ?> part() {
        return QuestionsPart.QUESTIONS;
    }

    @Override
    public List<StoredKind> kinds() {
        return List.of(
                StoredKind.named("question-asked", QuestionsEvent.Asked.class),
                StoredKind.named("question-answered", QuestionsEvent.Answered.class),
                StoredKind.named("question-extended", QuestionsEvent.Extended.class),
                StoredKind.named("question-nudged", QuestionsEvent.Nudged.class),
                StoredKind.named("question-closed", QuestionsEvent.Closed.class),
                StoredKind.named("question-shown", QuestionsEvent.Shown.class),
                StoredKind.named("question-put-away", QuestionsEvent.PutAway.class));
    }
}
