package juricast.server.ending;

import java.util.List;
import juricast.core.ending.ClosingStep;
import juricast.core.ending.EndingEvent;
import juricast.core.identity.LessonId;
import juricast.core.live.LessonEvent;
import juricast.server.classes.Classes;
import juricast.server.record.Follower;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Retires the link that led to a lesson, with the closing step that says so (need B3). */
@Component
class LinkRetiring implements Follower {
    @Override
    public void within(JdbcClient sql, LessonId lesson, List<LessonEvent> events) {
        LessonEvent.of(events, EndingEvent.Closed.class)
                .filter(closed -> closed.step() == ClosingStep.LINK_RETIRED)
                .forEach(closed -> Classes.renewLinkAfter(sql, lesson, closed.at()));
    }
}
