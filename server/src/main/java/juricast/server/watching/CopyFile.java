package juricast.server.watching;

import java.io.IOException;
import java.io.OutputStream;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import juricast.core.watching.Piece;
import juricast.core.watching.Playback;
import juricast.server.files.Archive;
import juricast.server.files.TableFile;
import juricast.server.files.WebVtt;
import juricast.server.recording.Medium;
import juricast.server.recording.Recordings.Recording;
import tools.jackson.databind.json.JsonMapper;

/**
 * A recording as one archive of open formats: sound, captions, words, board pages, what was handed out, and a manifest that names
 * each part with its SHA-256 (schema: {@code formats/recording.schema.json}). It is written as it is made; nothing of it is
 * gathered in memory but one page at a time.
 */
final class CopyFile {
    private final Archive archive;

    private CopyFile(OutputStream out) {
        archive = new Archive(out);
    }

    /** @param leftOut how many people are left out because they are not to be recorded @param gaps of the lesson's time */
    record Manifest(
            String format,
            int version,
            String title,
            Instant begun,
            long lengthMs,
            Instant taken,
            int leftOut,
            List<Segment> segments,
            List<Gap> gaps,
            List<Stance> stances,
            List<Archive.Part> parts) {}

    record Segment(Instant from, Instant until) {}

    /** Something is missing. Why is for the adults of the class to know: a copy may come into anybody's hands. */
    record Gap(Instant from, Instant until) {}

    record Stance(long atMs, String name) {}

    static void write(OutputStream out, Recording recording, Playback shown, Medium sound, Instant now, JsonMapper json)
            throws IOException {
        var file = new CopyFile(out);
        file.archive.put("sound." + sound.ending(), sound.type(), to -> sound.write(to, 0, sound.bytes()));
        file.archive.put(
                "captions.vtt",
                "text/vtt",
                WebVtt.of(
                        recording.title(),
                        shown.captions().stream()
                                .map(one -> new WebVtt.Line(one.at(), one.name(), one.text()))
                                .toList()));
        if (!shown.words().isEmpty()) {
            file.archive.put(
                    "words.csv",
                    "text/csv",
                    TableFile.write(
                            List.of("Seconds", "Name", "Words"),
                            shown.words().stream()
                                    .map(one -> List.of(String.valueOf(one.at().toSeconds()), one.name(), one.text()))
                                    .toList()));
        }
        file.archive.put(
                "voices.csv",
                "text/csv",
                TableFile.write(List.of("Name", "From second", "Until second"), voices(shown)));
        for (int i = 0; i < shown.pages().size(); i++) {
            file.archive.put(
                    "board-%d.svg".formatted(i + 1),
                    "image/svg+xml",
                    BoardSvg.of(shown.pages().get(i)));
        }
        if (!shown.polls().isEmpty()) {
            file.archive.put(
                    "answers.csv",
                    "text/csv",
                    TableFile.write(List.of("Second", "Question", "Answer", "How many"), polls(shown)));
        }
        for (int i = 0; i < shown.handouts().size(); i++) {
            Playback.Handout one = shown.handouts().get(i);
            file.archive.put(
                    "handed-out-%d.txt".formatted(i + 1), "text/plain", one.title() + "\n\n" + one.body() + "\n");
        }
        file.manifest(recording, shown, now, json);
        file.archive.finish();
    }

    private static List<List<String>> polls(Playback shown) {
        return shown.polls().stream()
                .flatMap(poll -> poll.results().lines().stream()
                        .map(line -> List.of(
                                String.valueOf(poll.at().toSeconds()),
                                poll.question(),
                                line.words().isEmpty() ? "something else" : line.words(),
                                String.valueOf(line.count()))))
                .toList();
    }

    private static List<List<String>> voices(Playback shown) {
        var rows = new ArrayList<List<String>>();
        for (Playback.Voice voice : shown.voices()) {
            for (Piece piece : voice.heard()) {
                rows.add(List.of(
                        voice.name(),
                        String.valueOf(piece.from().toSeconds()),
                        String.valueOf(piece.until().toSeconds())));
            }
        }
        return rows;
    }

    private void manifest(Recording recording, Playback shown, Instant now, JsonMapper json) throws IOException {
        var manifest = new Manifest(
                "juricast-recording",
                1,
                recording.title(),
                recording.begun(),
                shown.line().length().toMillis(),
                now,
                shown.leftOut(),
                shown.line().segments().stream()
                        .map(one -> new Segment(one.from(), one.until()))
                        .toList(),
                shown.gaps().stream()
                        .map(one -> new Gap(one.time().from(), one.time().until()))
                        .toList(),
                shown.stances().stream()
                        .map(one -> new Stance(one.at().toMillis(), one.name()))
                        .toList(),
                archive.parts());
        archive.put("manifest.json", "application/json", json.writeValueAsString(manifest));
    }
}
