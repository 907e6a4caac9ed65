package juricast.server.words;

import juricast.core.audience.CorridorView.Kind;
import juricast.core.audience.CorridorView.Worry;
import juricast.core.live.LessonPlan;
import juricast.server.data.School;
import org.springframework.stereotype.Component;

/** What is wrong in a lesson, in one sentence for who looks across the school. */
@Component
public class WorryWords {
    private final School school;

    WorryWords(School school) {
        this.school = school;
    }

    /** Whether somebody must go there now. */
    public static boolean isGrave(Kind kind) {
        return kind.compareTo(Kind.NO_ADULT) <= 0;
    }

    public String of(Worry worry, LessonPlan plan) {
        String since = school.clockTime(worry.since());
        String who = String.join(", ", worry.who());
        return switch (worry.kind()) {
            case QUIET_WITHOUT_ADULT -> "No adult since %s. The room has gone quiet by itself.".formatted(since);
            case STOPPED -> "Everything was stopped at %s.".formatted(since);
            case SWEEP -> "“%s” goes from door to door of the school. It waits everywhere.".formatted(who);
            case WORRY_ABOUT_ADULT -> "At %s a pupil has raised a worry about an adult. It stands in the casebook."
                    .formatted(since);
            case RECORD_DAMAGED -> "Its record is damaged and cannot be read; nobody can act in it. A backup may have it whole.";
            case NO_ADULT -> "No adult in the room since %s.".formatted(since);
            case GROUP_CALLS -> "A group calls for an adult since %s: %s.".formatted(since, who);
            case PUPILS_WORRY -> "At %s a pupil has said that something is wrong. It stands in the casebook."
                    .formatted(since);
            case GROUP_ALONE -> "No adult has looked in since %s: %s.".formatted(since, who);
            case REMOVED_KNOCKS -> "%s was removed and knocks again.".formatted(who);
            case RECORDING_MISSING -> "It has to be recorded, and has not been since %s.".formatted(since);
            case NOT_OPENED -> "Nobody has opened it; it should have begun at %s."
                    .formatted(school.clockTime(plan.time().from()));
            case STRANGER_AT_OPEN_DOOR -> "The door is open, and somebody unknown is there: %s.".formatted(who);
            case TOO_FEW_ADULTS -> "Fewer adults are in than the rules ask for.";
            case GUEST_LET_IN -> "On no list, and let in by an adult's word: %s.".formatted(who);
            case WAITS_LONG -> "Waits at the door since %s: %s.".formatted(since, who);
            case WORDS_WAIT -> "Messages wait for an adult since %s.".formatted(since);
            case OVER_TIME -> "Over time: should have ended at %s.".formatted(since);
        };
    }
}
