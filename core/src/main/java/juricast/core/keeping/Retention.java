package juricast.core.keeping;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.stream.IntStream;
import juricast.core.chat.ChatEvent;
import juricast.core.live.LessonEvent;
import juricast.core.rules.Catalogue;
import juricast.core.rules.PlannedRules;
import juricast.core.rules.Rule;

/** What of a lesson's record is kept for a time only, and until when. That it happened is kept for ever; what it said is not. */
public final class Retention {
    private Retention() {}

    /**
     * Until when what was written in a lesson is kept.
     *
     * @param over when the lesson ended
     * @param rules those of the lesson, asked for what they say as of {@code over}
     */
    public static Instant chatKeptUntil(Instant over, PlannedRules rules) {
        int days = rules.value(Catalogue.CHAT_KEPT, Rule.ANSWERS, over).number();
        return over.plus(Duration.ofDays(days));
    }

    /** The same for what was recorded of it. */
    public static Instant recordingKeptUntil(Instant over, PlannedRules rules) {
        return over.plus(Duration.ofDays(
                rules.value(Catalogue.RECORDING_KEPT, Rule.ANSWERS, over).number()));
    }

    /** The numbers of the events that say what was written, counted from 1. */
    public static List<Integer> written(List<LessonEvent> record) {
        return IntStream.range(0, record.size())
                .filter(i -> record.get(i) instanceof ChatEvent.Written)
                .mapToObj(i -> i + 1)
                .toList();
    }
}
