package juricast.server.files;

import java.time.Duration;
import java.util.List;

/** Captions as WebVTT, the open format of the World Wide Web Consortium. */
public final class WebVtt {
    /** A line stays until the next one, and at the most this long. */
    private static final Duration SHOWN = Duration.ofSeconds(7);

    /** Two of one moment are shown one after the other, each for long enough to be a cue. */
    private static final Duration SHORTEST = Duration.ofMillis(1);

    private WebVtt() {}

    /** @param at from the beginning @param name of who speaks; empty where that is not said */
    public record Line(Duration at, String name, String text) {}

    /** @param lines in order */
    public static String of(String title, List<Line> lines) {
        var file = new StringBuilder("WEBVTT - " + oneLine(title) + "\n");
        for (int i = 0; i < lines.size(); i++) {
            Duration from = lines.get(i).at();
            Duration until = from.plus(SHOWN);
            if (i + 1 < lines.size() && lines.get(i + 1).at().compareTo(until) < 0) {
                until = lines.get(i + 1).at();
            }
            until = until.compareTo(from) > 0 ? until : from.plus(SHORTEST);
            file.append('\n').append(i + 1).append('\n');
            file.append(time(from)).append(" --> ").append(time(until)).append('\n');
            String name = oneLine(lines.get(i).name());
            file.append(name.isEmpty() ? "" : "<v " + escaped(name) + ">")
                    .append(escaped(lines.get(i).text()).replaceAll("\\s*\\R\\s*", "\n"))
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
