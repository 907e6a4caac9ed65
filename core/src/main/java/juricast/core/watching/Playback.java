package juricast.core.watching;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import juricast.core.drawing.Drawing;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.questions.Results;
import juricast.core.recording.Coverage;

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
