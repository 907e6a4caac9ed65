package juricast.server.watching;

import java.time.Duration;
import java.util.List;
import juricast.core.watching.Playback;

/** Captions in the time of a recording, as WebVTT of the World Wide Web Consortium. */
final class VttFile {
    /** A line stays until the next one, and at the most this long. */
    private static final Duration SHOWN = Duration.ofSeconds(7);

    /** Two of one moment are shown one after the other, each for long enough to be a cue. */
    private static final Duration SHORTEST = Duration.ofMillis(1);

    private VttFile() {}

    static String of(String title, List<Playback.Text> captions) {
        var file = new StringBuilder("WEBVTT - " + oneLine(title) + "\n");
        for (int i = 0; i < captions.size(); i++) {
            Duration from = captions.get(i).at();
            Duration until = from.plus(SHOWN);
            if (i + 1 < captions.size() && captions.get(i + 1).at().compareTo(until) < 0) {
                until = captions.get(i + 1).at();
            }
            until = until.compareTo(from) > 0 ? until : from.plus(SHORTEST);
            file.append('\n').append(i + 1).append('\n');
            file.append(time(from)).append(" --> ").append(time(until)).append('\n');
            file.append("<v ")
                    .append(escaped(oneLine(captions.get(i).name())))
                    .append('>')
                    .append(escaped(captions.get(i).text()).replaceAll("\\s*\\R\\s*", "\n"))
                    .append('\n');
        }
        return file.toString();
    }

    /** What would begin a tag, an entity or another cue; an empty line would end this one, and is none any more. */
    private static String escaped(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
    }

    private static String oneLine(String text) {
        return text.replaceAll("\\s+", " ").replace("-->", "→");
    }

    private static String time(Duration at) {
        return "%02d:%02d:%02d.%03d".formatted(at.toHours(), at.toMinutesPart(), at.toSecondsPart(), at.toMillisPart());
    }
}
