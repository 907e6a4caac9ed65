package juricast.server.board;

import static juricast.server.words.PartWords.Told.little;
import static juricast.server.words.PartWords.Told.some;

import java.util.Optional;
import juricast.core.board.BoardEvent;
import juricast.core.board.BoardPart;
import juricast.core.board.BoardRefusal;
import juricast.core.live.LessonEvent;
import juricast.core.live.Part;
import juricast.server.problems.Problem;
import juricast.server.words.PartWords;
import juricast.server.words.Refused;
import juricast.server.words.Story;
import org.springframework.stereotype.Component;

/** What happened, and what was refused, in sentences. */
@Component
class BoardWords implements PartWords {
    @Override
    public Part<?, ?, ?> part() {
        return BoardPart.BOARD;
    }

    @Override
    public Told told(LessonEvent event, Story story) {
        return ((BoardEvent) event).match(new Sentences(story));
    }

    @Override
    public Optional<Problem> problem(Refused refused) {
        return refused.refusal().code() instanceof BoardRefusal code
                ? Optional.of(problem(code, refused))
                : Optional.empty();
    }

    private static Problem problem(BoardRefusal code, Refused refused) {
        return switch (code) {
            case NOT_A_LINE -> refused.say("That cannot be drawn", "Draw it once more, shorter and on the page.");
            case PAGE_TURNED -> refused.say("Another page is shown now", "Draw it again on this one.");
            case NO_SUCH_PAGE -> refused.say("This page is there no more", "Look at the board again.");
            case LAST_PAGE -> refused.say("A board has a page", "Wipe it instead.");
            case PAGE_FULL -> refused.say("This page is full", "Wipe something, or take a new page.");
            case TOO_MANY_PAGES -> refused.say(
                    "That would be too many pages", "A board has up to %d; remove some.".formatted(BoardPart.PAGES));
            case NOT_YOURS -> refused.say("That is somebody else’s mark", "You can take away your own.");
        };
    }

    private record Sentences(Story story) implements BoardEvent.Cases<PartWords.Told> {
        @Override
        public Told drawn(BoardEvent.Drawn event) {
            return little(story.name(event.person()) + " drew on the board");
        }

        @Override
        public Told erased(BoardEvent.Erased event) {
            return little("%s took %d %s off the board"
                    .formatted(
                            story.name(event.person()),
                            event.marks().size(),
                            event.marks().size() == 1 ? "mark" : "marks"));
        }

        @Override
        public Told undone(BoardEvent.Undone event) {
            return little(story.name(event.person()) + " took back what was drawn last");
        }

        @Override
        public Told wiped(BoardEvent.Wiped event) {
            return little(event.of()
                    .map(one -> "The marks of %s were wiped%s".formatted(story.name(one), story.by(event.by())))
                    .orElse("The board was wiped" + story.by(event.by())));
        }

        @Override
        public Told pointed(BoardEvent.Pointed event) {
            return little(story.name(event.person()) + " pointed at something on the board");
        }

        @Override
        public Told pagesAdded(BoardEvent.PagesAdded event) {
            int pages = event.under().size();
            return some("%d %s added to the board%s"
                    .formatted(pages, pages == 1 ? "page was" : "pages were", story.by(event.by())));
        }

        @Override
        public Told pageTurned(BoardEvent.PageTurned event) {
            return little("Another page of the board was shown" + story.by(event.by()));
        }

        @Override
        public Told pageRemoved(BoardEvent.PageRemoved event) {
            return some("A page of the board was removed" + story.by(event.by()));
        }

        @Override
        public Told brought(BoardEvent.Brought event) {
            return some("The board of an earlier lesson was opened again" + story.by(event.by()));
        }
    }
}
