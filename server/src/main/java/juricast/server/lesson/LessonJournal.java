package juricast.server.lesson;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.LinkedBlockingQueue;
import juricast.core.identity.LessonId;
import juricast.core.lesson.ClosingStep;
import juricast.core.lesson.LessonEvent;
import juricast.server.classes.Classes;
import juricast.server.data.Database;
import juricast.server.data.Ids;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * The record of all lessons. What several lessons want to append at the same time goes to the disk in one transaction,
 * so that the bell costs some transactions, not thousands.
 */
@Component
class LessonJournal implements DisposableBean {
    private static final int BATCH = 256;
    /** Stands before the first event. */
    static final String BEGINNING = "0";

    private static final String INSERT =
            """
            INSERT INTO lesson_event (lesson, number, kind, body, hash)
            SELECT ?1, ?2, ?3, ?4, ?5 WHERE ?2 = 1 +
            (SELECT coalesce(max(number), 0) FROM lesson_event WHERE lesson = ?1)""";

    private final Database database;
    private final BlockingQueue<Entry> queue = new LinkedBlockingQueue<>();
    private final Thread writer = new Thread(this::writeForEver, "lesson-journal");

    LessonJournal(Database database) {
        this.database = database;
        writer.setDaemon(true);
        writer.start();
    }

    /** A lesson's record as read: its events and the hash of the last. */
    record Record(List<LessonEvent> events, String hash) {}

    private record Entry(
            LessonId lesson, int after, String hash, List<LessonEvent> events, CompletableFuture<String> done) {}

    /**
     * Appends events after event number {@code after}, whose hash is {@code hash}.
     *
     * @return the hash of the last event, once all are on the disk; it fails if a number is taken or leaves a gap
     */
    CompletableFuture<String> append(LessonId lesson, int after, String hash, List<LessonEvent> events) {
        var entry = new Entry(lesson, after, hash, events, new CompletableFuture<>());
        queue.add(entry);
        return entry.done;
    }

    /** @throws DamagedRecord if an event is missing or was altered */
    Record read(LessonId lesson) {
        record Row(int number, String kind, String body, String hash) {}
        List<Row> rows = database.read()
                .sql("SELECT number, kind, body, hash FROM lesson_event WHERE lesson = :lesson ORDER BY number")
                .param("lesson", lesson.value())
                .query((row, n) -> new Row(row.getInt(1), row.getString(2), row.getString(3), row.getString(4)))
                .list();
        var events = new ArrayList<LessonEvent>();
        String hash = BEGINNING;
        for (Row row : rows) {
            hash = hash(hash, row.number, row.kind, row.body);
            if (row.number != events.size() + 1 || !hash.equals(row.hash)) {
                throw new DamagedRecord(lesson, row.number);
            }
            events.add(LessonEventJson.read(row.kind, row.body));
        }
        return new Record(List.copyOf(events), hash);
    }

    /** Lessons that have events but no end: those to go on with after a restart. */
    List<LessonId> begunAndNotOver() {
        return database.read()
                .sql(
                        """
                    SELECT DISTINCT lesson FROM lesson_event WHERE lesson NOT IN
                    (SELECT lesson FROM lesson_event WHERE kind = 'Dismissed')""")
                .query((row, n) -> new LessonId(row.getString(1)))
                .list();
    }

    /** A record that is not as it was written. */
    static final class DamagedRecord extends RuntimeException {
        private static final long serialVersionUID = 1;

        DamagedRecord(LessonId lesson, int number) {
            super("The record of lesson %s is damaged at event %d: one is missing or was altered"
                    .formatted(lesson, number));
        }
    }

    private void writeForEver() {
        while (!Thread.currentThread().isInterrupted()) {
            var batch = new ArrayList<Entry>();
            try {
                batch.add(queue.take());
            } catch (InterruptedException stopped) {
                return;
            }
            queue.drainTo(batch, BATCH - 1);
            write(batch);
        }
    }

    private void write(List<Entry> batch) {
        try {
            List<String> hashes = database.append(sql -> insert(sql, batch));
            for (int i = 0; i < batch.size(); i++) {
                batch.get(i).done.complete(hashes.get(i));
            }
        } catch (RuntimeException failed) {
            // One bad entry must not spoil those of other lessons: nothing of the batch is stored, so each goes alone.
            if (batch.size() == 1) {
                batch.get(0).done.completeExceptionally(failed);
            } else {
                batch.forEach(entry -> write(List.of(entry)));
            }
        }
    }

    /** @return the hash of each entry's last event */
    private List<String> insert(JdbcClient sql, List<Entry> batch) {
        var rows = new ArrayList<Object[]>();
        var hashes = new ArrayList<String>();
        for (Entry entry : batch) {
            String hash = entry.hash;
            int number = entry.after;
            for (LessonEvent event : entry.events) {
                number++;
                String kind = LessonEventJson.kind(event);
                String body = LessonEventJson.body(event);
                hash = hash(hash, number, kind, body);
                rows.add(new Object[] {entry.lesson.value(), number, kind, body, hash});
            }
            hashes.add(hash);
        }
        int[] added = database.each(INSERT, rows);
        for (int i = 0; i < added.length; i++) {
            if (added[i] == 0) {
                throw new IllegalStateException(
                        "Event %s of %s does not fit".formatted(rows.get(i)[1], rows.get(i)[0]));
            }
        }
        // In one transaction with the event, so that neither is without the other after a crash.
        batch.forEach(entry -> retireLink(sql, entry));
        return hashes;
    }

    private static void retireLink(JdbcClient sql, Entry entry) {
        for (LessonEvent event : entry.events) {
            if (event instanceof LessonEvent.Closed closed && closed.step() == ClosingStep.LINK_RETIRED) {
                Classes.renewLinkAfter(sql, entry.lesson, closed.at());
            }
        }
    }

    private static String hash(String before, int number, String kind, String body) {
        return Ids.hash(before + "\n" + number + "\n" + kind + "\n" + body);
    }

    @Override
    public void destroy() throws InterruptedException {
        writer.interrupt();
        writer.join(5000);
    }
}
