package juricast.server.afterwards;

import static juricast.server.access.Position.LEAD;
import static juricast.server.access.Position.PUPIL;
import static juricast.server.access.Position.TEACHER;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import juricast.core.afterwards.Afterwards;
import juricast.core.board.BoardPage;
import juricast.core.chat.SentFile;
import juricast.core.chat.Words;
import juricast.core.identity.LessonId;
import juricast.core.keeping.Retention;
import juricast.core.live.PlaceId;
import juricast.core.reading.Matter;
import juricast.server.access.For;
import juricast.server.access.Noted;
import juricast.server.access.Position;
import juricast.server.access.SignedIn;
import juricast.server.board.PageDrawing;
import juricast.server.chat.ChatJson;
import juricast.server.chat.LessonFiles;
import juricast.server.classes.Classes;
import juricast.server.classes.Reading;
import juricast.server.files.Download;
import juricast.server.lesson.LiveLessons;
import juricast.server.lesson.Snapshot;
import juricast.server.material.MaterialJson;
import juricast.server.problems.Problem;
import juricast.server.retention.LessonForgetting;
import juricast.server.words.GroupNames;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What was kept of a lesson: words, board, files and material, for its adults, and for its pupils what the rules leave them. */
@RestController
@RequestMapping("/api/lessons/{lesson}/afterwards")
class AfterwardsController {
    private final LiveLessons lessons;
    private final Classes classes;
    private final Reading reading;
    private final LessonFiles files;
    private final PageDrawing drawing;
    private final LessonForgetting forgetting;

    AfterwardsController(
            LiveLessons lessons,
            Classes classes,
            Reading reading,
            LessonFiles files,
            PageDrawing drawing,
            LessonForgetting forgetting) {
        this.lessons = lessons;
        this.classes = classes;
        this.reading = reading;
        this.files = files;
        this.drawing = drawing;
        this.forgetting = forgetting;
    }

    /**
     * @param isAdult whether one reads as an adult: the register and the replay are theirs too
     * @param words nothing where the rules keep them from who asks
     * @param boards the same, that of the class first
     * @param material the same
     * @param erased when each kind of what is shown here was erased, where its time is over
     */
    record AfterLesson(
            String lesson,
            String title,
            Instant from,
            Instant until,
            boolean isAdult,
            @Nullable List<ChatJson.Heard> words,
            @Nullable List<BoardKept> boards,
            @Nullable List<MaterialJson.Handout> material,
            Map<Retention, Instant> erased) {}

    /** The board of one place. @param name of the group; nothing for the class @param pages the ids of its pages, in order */
    record BoardKept(String place, @Nullable String name, List<Integer> pages) {}

    /** Everything that is kept of a lesson for who asks. 409 as long as it is not over, or if it was never held. */
    @GetMapping
    @Noted("what was kept of a lesson")
    @For({TEACHER, LEAD, PUPIL})
    AfterLesson afterwards(@PathVariable String lesson, @AuthenticationPrincipal SignedIn caller) {
        Seen seen = seen(lesson, caller);
        Snapshot at = seen.at;
        return new AfterLesson(
                lesson,
                at.plan().title(),
                at.plan().time().from(),
                at.plan().time().until(),
                seen.isAdult,
                seen.kept
                        .words()
                        .map(words -> ChatJson.heard(words, at, caller.person()))
                        .orElse(null),
                seen.kept
                        .boards()
                        .map(boards -> boards.stream()
                                .map(board -> new BoardKept(
                                        board.place().value(),
                                        board.place().equals(PlaceId.TOGETHER)
                                                ? null
                                                : GroupNames.of(board.place(), at.state()),
                                        board.pages().stream()
                                                .map(BoardPage::id)
                                                .toList()))
                                .toList())
                        .orElse(null),
                seen.kept
                        .material()
                        .map(all -> MaterialJson.handouts(all, at.plan()))
                        .orElse(null),
                new TreeMap<>(forgetting.forgotten(at.plan().lesson())));
    }

    /** A file that was sent in the lesson, for who may read the words it came with. */
    @GetMapping("/files/{number}")
    @Noted(value = "a file of a lesson", takenAway = true)
    @For({TEACHER, LEAD, PUPIL})
    ResponseEntity<byte[]> file(
            @PathVariable String lesson, @PathVariable int number, @AuthenticationPrincipal SignedIn caller) {
        Optional<SentFile> sent = seen(lesson, caller).kept.words().orElse(List.of()).stream()
                .filter(one -> one.number() == number)
                .map(Words::file)
                .flatMap(Optional::stream)
                .findFirst();
        return files.download(sent);
    }

    /** One page of a board, as a drawing. */
    @GetMapping(path = "/board.svg", produces = "image/svg+xml")
    @Noted(value = "a board of a lesson", takenAway = true)
    @For({TEACHER, LEAD, PUPIL})
    ResponseEntity<byte[]> page(
            @PathVariable String lesson,
            @RequestParam String place,
            @RequestParam int page,
            @AuthenticationPrincipal SignedIn caller) {
        Seen seen = seen(lesson, caller);
        String title = "The board of " + seen.at.plan().title();
        BoardPage found = seen.kept.boards().orElse(List.of()).stream()
                .filter(board -> board.place().value().equals(place))
                .flatMap(board -> board.pages().stream())
                .filter(one -> one.id() == page)
                .findFirst()
                .orElseThrow(() -> Problem.notThere("This page of the board"));
        return Download.svg(title, drawing.svg(found, title));
    }

    private record Seen(Snapshot at, boolean isAdult, Afterwards kept) {}

    private Seen seen(String lesson, SignedIn caller) {
        boolean isAdult = caller.position() != Position.PUPIL;
        LessonId id = isAdult ? reading.ofLesson(caller, Matter.REPLAY, lesson).id() : own(lesson);
        Snapshot at = lessons.look(id);
        if (!isAdult && !isOfClass(at, caller)) {
            throw Problem.notThere("This lesson");
        }
        if (!at.state().there().isOver()) {
            throw Problem.refused(
                    "not-over",
                    "This lesson is not over",
                    "What was written, drawn and handed out is read here afterwards.",
                    "Come back when it has ended.");
        }
        return new Seen(
                at,
                isAdult,
                isAdult
                        ? Afterwards.ofAdult(at.plan(), at.state())
                        : Afterwards.ofPupil(at.events(), at.plan(), at.rules(), caller.person(), lessons.now()));
    }

    private LessonId own(String lesson) {
        return classes.lesson(new LessonId(lesson))
                .orElseThrow(() -> Problem.notThere("This lesson"))
                .id();
    }

    private static boolean isOfClass(Snapshot at, SignedIn caller) {
        return at.plan()
                .member(caller.person())
                .filter(one -> one.role().isPupil())
                .isPresent();
    }
}
