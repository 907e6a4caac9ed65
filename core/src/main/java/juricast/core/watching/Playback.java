package juricast.core.watching;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import juricast.core.drawing.Drawing;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.questions.Results;
import juricast.core.recording.Coverage;
import juricast.core.time.Span;

/**
 * A recording as it is watched now, and downloaded: all of it on one time line, in places counted from its beginning. Nothing of
 * those who may not be recorded is in it, their names neither (need I3); nothing that was said to one alone, to the adults, or in a
 * group.
 *
 * @param captions what was said, in writing
 * @param words what was written to the class, with names; empty where the recording is kept alone
 * @param pages the board, page by page; empty where the recording is kept alone
 * @param polls what the class was shown of how questions were answered; empty where the recording is kept alone
 * @param gaps what is missing of what had to be recorded, in the time of the lesson
 * @param leftOut how many people are left out of it
 */
public record Playback(
        Timeline line,
        List<Voice> voices,
        List<Text> captions,
        List<Text> words,
        List<Page> pages,
        List<Handout> handouts,
        List<Poll> polls,
        List<Stage> stances,
        List<Coverage.Gap> gaps,
        int leftOut) {
    /** The same cut to some stretches of time, as sound with its captions and nothing else. */
    public Playback heardIn(List<Span> times) {
        List<Span> segments = line.segments().stream()
                .flatMap(segment -> times.stream().flatMap(time -> segment.within(time).stream()))
                .toList();
        var cut = new Timeline(Span.united(segments, Duration.ZERO));
        List<Piece> kept = cut.segments().stream()
                .flatMap(segment -> line.pieces(segment).stream())
                .toList();
        return new Playback(
                cut,
                voices.stream()
                        .map(one -> new Voice(one.person, one.name, one.role, within(kept, one.heard)))
                        .filter(one -> !one.heard.isEmpty())
                        .toList(),
                captions.stream()
                        .flatMap(one -> within(kept, one.at).map(at -> new Text(at, one.name, one.text)).stream())
                        .toList(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                leftOut);
    }

    /** Where in the pieces put end to end a place of the whole is. */
    private static Optional<Duration> within(List<Piece> kept, Duration place) {
        Duration before = Duration.ZERO;
        for (Piece piece : kept) {
            if (piece.has(place)) {
                return Optional.of(before.plus(place).minus(piece.from()));
            }
            before = before.plus(piece.length());
        }
        return Optional.empty();
    }

    private static List<Piece> within(List<Piece> kept, List<Piece> heard) {
        var all = new ArrayList<Piece>();
        Duration before = Duration.ZERO;
        for (Piece piece : kept) {
            Duration moved = before.minus(piece.from());
            heard.forEach(one -> Piece.between(
                            later(one.from(), piece.from()).plus(moved),
                            earlier(one.until(), piece.until()).plus(moved))
                    .ifPresent(all::add));
            before = before.plus(piece.length());
        }
        return Piece.united(all);
    }

    private static Duration later(Duration one, Duration other) {
        return one.compareTo(other) > 0 ? one : other;
    }

    private static Duration earlier(Duration one, Duration other) {
        return one.compareTo(other) < 0 ? one : other;
    }

    /** When somebody is heard. */
    public record Voice(PersonId person, String name, Role role, List<Piece> heard) {}

    /** Something written by somebody. */
    public record Text(Duration at, String name, String text) {}

    /** One page of the board: from its first mark until all was wiped. */
    public record Page(List<Stroke> strokes) {}

    /** @param until when it was taken off, if it was */
    public record Stroke(Duration from, Optional<Duration> until, Drawing drawing) {}

    /** Something that was handed out. */
    public record Handout(Duration at, String title, String body) {}

    /** How a question was answered, as the class was shown it: without names, and of fewer than five answers not at all. */
    public record Poll(Duration at, String question, Results results) {}

    /** A stance of the lesson. */
    public record Stage(Duration at, String name) {}
}
