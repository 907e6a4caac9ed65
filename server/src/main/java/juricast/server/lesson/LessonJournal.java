package juricast.server.lesson;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicLong;
import juricast.core.ending.ClosingStep;
import juricast.core.ending.EndingEvent;
import juricast.core.identity.LessonId;
import juricast.core.live.LessonEvent;
import juricast.server.classes.Classes;
import juricast.server.data.Database;
import juricast.server.data.Ids;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * The record of all lessons. What several lessons want to append at the same time goes to the disk in one transaction,
 * so that the bell costs some transactions, not thousands.
 */
@Component
class LessonJournal implements DisposableBean {
    private static final int BATCH = 256;
    /** Longer than the file waits for a lock of another program; nobody stands before a button for longer. */
    private static final Duration LONGEST = Duration.ofSeconds(15);

    /** Stands before the first event. */
    static final String BEGINNING = "0";

    private static final String INSERT =
            """
            INSERT INTO lesson_event (lesson, number, kind, body, hash)
            SELECT ?1, ?2, ?3, ?4, ?5 WHERE ?2 = 1 +
            (SELECT coalesce(max(number), 0) FROM lesson_event WHERE lesson = ?1)""";

    private static final Logger LOG = LoggerFactory.getLogger(LessonJournal.class);

    private final Database database;
    private final Duration longest;
    private final AtomicLong written = new AtomicLong();
    private volatile boolean isClosed;
    private final BlockingQueue<Entry> queue = new LinkedBlockingQueue<>();
    private final Thread writer = new Thread(this::writeForEver, "lesson-journal");

    @Autowired
    LessonJournal(Database database) {
        this(database, LONGEST);
    }

    /** @param longest how long an append may take */
    LessonJournal(Database database, Duration longest) {
        this.database = database;
        this.longest = longest;
        writer.setDaemon(true);
        writer.start();
    }

    /** A lesson's record as read: its events and the hash of the last. */
    record Record(List<LessonEvent> events, String hash) {}

    /** @param isTaken whether it is being written, or will never be: whoever gives it up first */
    private record Entry(
            LessonId lesson,
            int after,
            String hash,
            List<LessonEvent> events,
            CompletableFuture<String> done,
            AtomicBoolean isTaken,
            long since) {}

    /** After this one nothing more comes. */
    private static final Entry LAST = new Entry(
            new LessonId("none"), 0, "", List.of(), new CompletableFuture<>(), new AtomicBoolean(true), Long.MAX_VALUE);

    /** Events of which it is not known that they are on the disk; they may be. */
    static final class NotKept extends RuntimeException {
        private static final long serialVersionUID = 1;

        NotKept(Throwable cause) {
            super("Events could not be kept", cause);
        }
    }

    /**
     * Appends events after event number {@code after}, whose hash is {@code hash}, and waits for the disk, but not for ever.
     *
     * @return the hash of the last event, once all are on the disk
     * @throws NotKept if a number is taken or leaves a gap, or the disk or the memory fails, or all of it takes too long
     */
    String append(LessonId lesson, int after, String hash, List<LessonEvent> events) {
        var entry = new Entry(
                lesson, after, hash, events, new CompletableFuture<>(), new AtomicBoolean(), System.nanoTime());
        if (isClosed) {
            throw new NotKept(new IllegalStateException("The program is being stopped"));
        }
        queue.add(entry);
        try {
            return entry.done.get(longest.toMillis(), TimeUnit.MILLISECONDS);
        } catch (ExecutionException failed) {
            throw new NotKept(failed.getCause());
        } catch (TimeoutException tooLong) {
            // If nobody has begun to write it, nobody will.
            entry.isTaken.set(true);
            throw new NotKept(tooLong);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            entry.isTaken.set(true);
            throw new NotKept(stopped);
        }
    }

    /** Whether it writes: its thread is there, and nothing waits longer than it should. */
    boolean isWriting() {
        Entry oldest = queue.peek();
        return writer.isAlive() && (oldest == null || System.nanoTime() - oldest.since < longest.toNanos());
    }

    /** How many appends wait. */
    int waiting() {
        return queue.size();
    }

    /** How many events were written since the start. */
    long written() {
        return written.get();
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
            try {
                events.add(LessonEventJson.read(row.kind, row.body));
            } catch (RuntimeException unreadable) {
                throw new DamagedRecord(lesson, row.number, unreadable);
            }
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
    public static final class DamagedRecord extends RuntimeException {
        private static final long serialVersionUID = 1;

        private final transient LessonId lesson;
        private final int number;

        DamagedRecord(LessonId lesson, int number) {
            super("The record of lesson %s is damaged at event %d: one is missing or was altered"
                    .formatted(lesson, number));
            this.lesson = lesson;
            this.number = number;
        }

        DamagedRecord(LessonId lesson, int number, Throwable unreadable) {
            super(
                    "The record of lesson %s is damaged at event %d: it cannot be read".formatted(lesson, number),
                    unreadable);
            this.lesson = lesson;
            this.number = number;
        }

        LessonId lesson() {
            return lesson;
        }

        /** The first event that is missing, altered or unreadable. */
        int number() {
            return number;
        }
    }

    /** Whatever happens to one batch, the next is written: a fault of memory or of the program stops no other order. */
    private void writeForEver() {
        boolean isEnding = false;
        while (!isEnding) {
            try {
                var batch = new ArrayList<Entry>();
                batch.add(queue.take());
                queue.drainTo(batch, BATCH - 1);
                isEnding = batch.remove(LAST);
                batch.removeIf(entry -> entry.isTaken.getAndSet(true));
                if (!batch.isEmpty()) {
                    write(batch);
                }
            } catch (InterruptedException stopped) {
                break;
            } catch (Throwable failed) {
                LOG.error("The journal could not write; it goes on with the next", failed);
            }
        }
        var stopped = new IllegalStateException("The program is being stopped");
        queue.forEach(entry -> entry.done.completeExceptionally(stopped));
    }

    private void write(List<Entry> batch) {
        try {
            List<String> hashes = database.append(sql -> insert(sql, batch));
            for (int i = 0; i < batch.size(); i++) {
                written.addAndGet(batch.get(i).events.size());
                batch.get(i).done.complete(hashes.get(i));
            }
        } catch (Throwable failed) {
            if (batch.size() == 1 || failed instanceof Error) {
                batch.forEach(entry -> entry.done.completeExceptionally(failed));
            } else {
                // One bad entry must not spoil those of other lessons: nothing of the batch is stored, so each goes
                // alone.
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
            if (event instanceof EndingEvent.Closed closed && closed.step() == ClosingStep.LINK_RETIRED) {
                Classes.renewLinkAfter(sql, entry.lesson, closed.at());
            }
        }
    }

    static String hash(String before, int number, String kind, String body) {
        return Ids.hash(before + "\n" + number + "\n" + kind + "\n" + body);
    }

    @Override
    public void destroy() throws InterruptedException {
        isClosed = true;
        // What is being written is written to its end, and what was queued before is written too.
        queue.add(LAST);
        writer.join(5000);
        writer.interrupt();
    }
}
