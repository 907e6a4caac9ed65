package juricast.server.chat;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import juricast.core.chat.SentFile;
import juricast.core.identity.LessonId;
import juricast.core.identity.PlainName;
import juricast.core.limits.Limits;
import juricast.server.data.Database;
import juricast.server.data.Ids;
import juricast.server.problems.Problem;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;

/** The bytes of files that were sent in lessons. What a file is, {@link FileKinds} tells. */
@Component
public class LessonFiles {
    private final Database database;

    LessonFiles(Database database) {
        this.database = database;
    }

    /** What a file is. @throws Problem if it is empty, too large, or of no kind that may be sent */
    public SentFile told(String name, byte[] bytes) {
        String title = name.length() > 4 * Limits.FILE_NAME ? "" : PlainName.of(name.replaceAll("[/\\\\]", " "));
        if (title.isEmpty() || title.length() > Limits.FILE_NAME || bytes.length == 0) {
            throw refused(
                    "The file is empty, or its name is longer than " + Limits.FILE_NAME + " characters.",
                    "Choose another file, or give it a shorter name.");
        }
        if (bytes.length > Limits.FILE_BYTES) {
            throw refused("It is larger than 1.9 MB.", "Send a smaller one, such as one page or a smaller picture.");
        }
        return FileKinds.of(title, bytes).either(kind -> new SentFile(Ids.next(), title, kind, bytes.length), why -> {
            throw refused(
                    why,
                    "Programs, packed files and documents with macros cannot be sent. A PDF or a picture always can"
                            + " be told.");
        });
    }

    /** Keeps its bytes, before anybody is told of it. */
    public void keep(LessonId lesson, SentFile file, byte[] bytes) {
        database.append(sql -> sql.sql("INSERT INTO lesson_file (id, lesson, bytes) VALUES (:id, :lesson, :bytes)")
                .param("id", file.id())
                .param("lesson", lesson.value())
                .param("bytes", bytes)
                .update());
    }

    /** Forgets a file: one that was refused after all, or whose time is over. */
    public void drop(SentFile file) {
        database.append(sql -> sql.sql("DELETE FROM lesson_file WHERE id = :id")
                .param("id", file.id())
                .update());
    }

    public byte[] bytes(SentFile file) {
        return database.read()
                .sql("SELECT bytes FROM lesson_file WHERE id = :id")
                .param("id", file.id())
                .query(byte[].class)
                .optional()
                .orElseThrow(() -> Problem.notThere("This file"));
    }

    /** Always as something to save: a browser never opens what somebody sent inside the school's own pages. */
    public ResponseEntity<byte[]> download(Optional<SentFile> found) {
        SentFile file = found.orElseThrow(() -> Problem.notThere("This file"));
        String disposition = ContentDisposition.attachment()
                .filename(file.name(), StandardCharsets.UTF_8)
                .build()
                .toString();
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .header(HttpHeaders.CONTENT_DISPOSITION, disposition)
                .body(bytes(file));
    }

    private static Problem refused(String why, String whatToDo) {
        return Problem.refused("file", "This file was not sent", why, whatToDo);
    }
}
