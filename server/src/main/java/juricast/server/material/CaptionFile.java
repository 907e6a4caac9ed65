package juricast.server.material;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonPlan;
import juricast.core.material.MaterialEvent;

/** The captions of a lesson as WebVTT, the open format of the World Wide Web Consortium. */
final class CaptionFile {
    /** A line stays until the next one, and at the most this long. */
    private static final Duration SHOWN = Duration.ofSeconds(7);

    private CaptionFile() {}

    static String of(List<LessonEvent> events, LessonPlan plan) {
        List<MaterialEvent.Captioned> lines = events.stream()
                .filter(MaterialEvent.Captioned.class::isInstance)
                .map(MaterialEvent.Captioned.class::cast)
                .toList();
        Instant begin = events.isEmpty() ? plan.time().from() : events.get(0).at();
        var file = new StringBuilder("WEBVTT - " + plan.title() + "\n");
        for (int i = 0; i < lines.size(); i++) {
            Instant from = lines.get(i).at();
            Instant until = from.plus(SHOWN);
            if (i + 1 < lines.size() && lines.get(i + 1).at().isBefore(until)) {
                until = lines.get(i + 1).at();
            }
            file.append('\n').append(i + 1).append('\n');
            file.append(time(begin, from))
                    .append(" --> ")
                    .append(time(begin, until))
                    .append('\n');
            // A cue ends at an empty line, and an arrow would begin another.
            file.append(lines.get(i).text().replace("-->", "→").replaceAll("\\s*\\R\\s*", "\n"))
                    .append('\n');
        }
        return file.toString();
    }

    private static String time(Instant begin, Instant at) {
        Duration passed = Duration.between(begin, at);
        return "%02d:%02d:%02d.%03d"
                .formatted(passed.toHours(), passed.toMinutesPart(), passed.toSecondsPart(), passed.toMillisPart());
    }
}
