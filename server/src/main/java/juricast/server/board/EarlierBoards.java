package juricast.server.board;

import static juricast.core.board.BoardPart.BOARD;

import java.time.Instant;
import java.util.List;
import juricast.core.board.BoardEvent;
import juricast.core.identity.LessonId;
import juricast.core.lesson.Parts;
import juricast.core.live.PlaceId;
import juricast.server.classes.Classes;
import juricast.server.data.Database;
import juricast.server.lesson.Records;
import org.springframework.stereotype.Component;

/** Boards of finished lessons, to be opened again. */
@Component
class EarlierBoards {
    private static final int MOST = 60;

    private final Database database;
    private final Records records;

    EarlierBoards(Database database, Records records) {
        this.database = database;
        this.records = records;
    }

    List<PagesController.EarlierBoard> of(List<Classes.SchoolClass> classes) {
        return classes.isEmpty()
                ? List.of()
                : database.read()
                        .sql(
                                """
                            SELECT lesson_activities.lesson, class.title, lesson.starts, pages, marks FROM lesson_activities
                              JOIN lesson ON lesson.id = lesson_activities.lesson
                              JOIN class ON class.id = lesson_activities.class
                            WHERE lesson_activities.class IN (:classes) AND (marks > 0 OR pages > 1)
                              AND NOT EXISTS (SELECT 1 FROM lesson_forgot
                                WHERE lesson_forgot.lesson = lesson_activities.lesson AND kind IN ('BOARD', 'REGISTERS'))
                            ORDER BY lesson.starts DESC LIMIT :most""")
                        .param(
                                "classes",
                                classes.stream().map(one -> one.id().value()).toList())
                        .param("most", MOST)
                        .query((row, n) -> new PagesController.EarlierBoard(
                                row.getString(1),
                                row.getString(2),
                                Instant.ofEpochMilli(row.getLong(3)),
                                row.getInt(4),
                                row.getInt(5)))
                        .list();
    }

    /** The board of the class as the lesson left it; pages with nothing on them are left out. */
    List<BoardEvent.BroughtPage> pages(LessonId lesson) {
        return Parts.NEW.after(records.of(lesson).events()).of(BOARD).of(PlaceId.TOGETHER).pages().stream()
                .filter(page -> !page.isEmpty())
                .map(page -> new BoardEvent.BroughtPage(
                        page.under(),
                        page.sheet().marks().stream()
                                .map(mark -> new BoardEvent.BroughtMark(mark.author(), mark.drawing()))
                                .toList()))
                .toList();
    }
}
