package juricast.server.words;

import java.util.List;
import juricast.core.live.Erased;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.server.people.People;
import org.springframework.stereotype.Component;

/** What happened in a lesson, one sentence for each event, for adults who look back. Each part has its own. */
@Component
public class EventWords {
    private final People people;
    private final List<PartWords> parts;

    EventWords(People people, List<PartWords> parts) {
        this.people = people;
        this.parts = parts;
    }

    /**
     * @param before the lesson as it was, which knows whose visits are meant
     * @throws IllegalArgumentException if no part has words for it
     */
    public PartWords.Told of(LessonEvent event, LessonPlan plan, LessonState before) {
        if (event instanceof Erased) {
            return PartWords.Told.little("What happened here was erased");
        }
        var story = new Story(plan, before, people::nameOf);
        return parts.stream()
                .filter(one -> one.part().events().isInstance(event))
                .findFirst()
                .map(one -> one.told(event, story))
                .orElseThrow(() -> new IllegalArgumentException("No part has words for " + event));
    }
}
