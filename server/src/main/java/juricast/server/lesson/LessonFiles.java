package juricast.server.lesson;

import juricast.core.identity.LessonId;
import juricast.core.lesson.SentFile;
import juricast.core.limits.Limits;
import juricast.server.data.Database;
import juricast.server.data.Ids;
import juricast.server.problems.Problem;
import org.apache.tika.Tika;
import org.springframework.stereotype.Component;

/** The bytes of files that were sent in lessons. What a file is, is told from its bytes; programs are none of the kinds. */
@Component
public class LessonFiles {
    private final Database database;
    private final Tika tika = new Tika();

    LessonFiles(Database database) {
        this.database = database;
    }

    /** What a file is. @throws Problem if it is empty, too large, or of no kind that may be sent */
    public SentFile told(String name, byte[] bytes) {
        String title = name.replaceAll("[\\p{Cntrl}/\\\\]", " ").strip();
        if (title.isEmpty() || title.length() > Limits.FILE_NAME || bytes.length == 0) {
            throw refused(
                    "The file is empty, or its name is longer than " + Limits.FILE_NAME + " characters.",
                    "Choose another file, or give it a shorter name.");
        }
        if (bytes.length > Limits.FILE_BYTES) {
            throw refused("It is larger than 1.9 MB.", "Send a smaller one, such as one page or a smaller picture.");
        }
        String kind = kind(tika.detect(bytes, title));
        if (kind.isEmpty()) {
            throw refused(
                    "It is no document, picture, slides, sound or video that can be told from its content.",
                    "Programs and packed files cannot be sent. A PDF or a picture always can be told.");
        }
        return new SentFile(Ids.next(), title, kind, bytes.length);
    }

    /** Keeps its bytes, before anybody is told of it. */
    public void keep(LessonId lesson, SentFile file, byte[] bytes) {
        database.append(sql -> sql.sql("INSERT INTO lesson_file (id, lesson, bytes) VALUES (:id, :lesson, :bytes)")
                .param("id", file.id())
                .param("lesson", lesson.value())
                .param("bytes", bytes)
                .update());
    }

    /** Forgets a file that was refused after all. */
    void drop(SentFile file) {
        database.append(sql -> sql.sql("DELETE FROM lesson_file WHERE id = :id")
                .param("id", file.id())
                .update());
    }

    byte[] bytes(SentFile file) {
        return database.read()
                .sql("SELECT bytes FROM lesson_file WHERE id = :id")
                .param("id", file.id())
                .query(byte[].class)
                .optional()
                .orElseThrow(() -> Problem.notThere("This file"));
    }

    private static Problem refused(String why, String whatToDo) {
        return Problem.refused("file", "This file was not sent", why, whatToDo);
    }

    /** Pictures that can hold scripts, pages and macros are none of these. */
    private static String kind(String type) {
        if (type.contains("macro") || type.contains("svg")) {
            return "";
        }
        if (type.contains("presentation") || type.equals("application/vnd.ms-powerpoint")) {
            return "slides";
        }
        boolean document =
                switch (type) {
                    case "application/pdf",
                            "text/plain",
                            "text/csv",
                            "text/markdown",
                            "text/x-web-markdown",
                            "application/rtf",
                            "application/msword",
                            "application/vnd.ms-excel" -> true;
                    default -> type.startsWith("application/vnd.oasis.opendocument.")
                            || type.startsWith("application/vnd.openxmlformats-officedocument.");
                };
        return document
                ? "documents"
                : type.startsWith("image/")
                        ? "pictures"
                        : type.startsWith("audio/") ? "sound" : type.startsWith("video/") ? "video" : "";
    }
}
