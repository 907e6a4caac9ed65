package juricast.server.words;

import java.util.Locale;
import java.util.stream.Collectors;
import juricast.core.live.LessonPlan;
import juricast.core.live.Refusal;
import juricast.server.problems.Problem;

/** A refusal on its way to whoever gave the order. @param toPupil whether it is said in a pupil's words */
public record Refused(Refusal refusal, LessonPlan plan, boolean toPupil) {
    /** Whom it is about, by name; may be nobody. */
    public String who() {
        return refusal.about().stream().map(plan::nameOf).collect(Collectors.joining(", "));
    }

    /** Nothing was changed by it. */
    public Problem say(String title, String whatToDo) {
        return say(title, "Nothing was changed.", whatToDo);
    }

    public Problem say(String title, String detail, String whatToDo) {
        String type = refusal.code().name().toLowerCase(Locale.ROOT).replace('_', '-');
        return Problem.refused(type, title, detail, whatToDo);
    }
}
