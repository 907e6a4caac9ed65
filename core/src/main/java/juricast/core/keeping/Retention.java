package juricast.core.keeping;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
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

    /** The numbers of the events that say what was written, counted from 1. */
    public static List<Integer> written(List<LessonEvent> record) {
        var numbers = new ArrayList<Integer>();
        for (int i = 0; i < record.size(); i++) {
            LessonEvent event = record.get(i);
            if (event instanceof ChatEvent.Said || event instanceof ChatEvent.Held) {
                numbers.add(i + 1);
            }
        }
        return numbers;
    }
}
