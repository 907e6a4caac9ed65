package juricast.server.record;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicLong;
import juricast.core.identity.LessonId;
import juricast.core.live.Erased;
import juricast.core.live.LessonEvent;
import juricast.server.data.Database;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * The record of all lessons. What several lessons want to append at the same time goes to the disk in one transaction,
 * so that the bell costs some transactions, not thousands.
 */
@Component
public class Journal implements DisposableBean {
    private static final int BATCH = 256;
    /** Longer than the file waits for a lock of another program; nobody stands before a button for longer. */
    private static final Duration LONGEST = Duration.ofSeconds(15);

    private static final String INSERT =
            """
            INSERT INTO lesson_event (lesson, number, kind, body, salt, body_hash, hash)
            SELECT ?1, ?2, ?3, ?4, ?5, ?6, ?7 WHERE ?2 = 1 +
            (SELECT coalesce(max(number), 0) FROM lesson_event WHERE lesson = ?1)""";

    private static final String ANCHOR =
            """
            INSERT INTO record_anchor (lesson, number, hash, mac) VALUES (?1, ?2, ?3, ?4)
            ON CONFLICT (lesson) DO UPDATE SET number = ?2, hash = ?3, mac = ?4""";

    private static final Logger LOG = LoggerFactory.getLogger(Journal.class);

    private final Database database;
    private final StoredEvents events;
    private final Chain chain;
    private final ObjectProvider<Follower> followers;
    private final Duration longest;
    private final AtomicLong written = new AtomicLong();
    private volatile boolean isClosed;
    private final BlockingQueue<Entry> queue = new LinkedBlockingQueue<>();
    private final Thread writer = new Thread(this::writeForEver, "lesson-journal");

    @Autowired
    Journal(
            Database database,
            StoredEvents events,
            ObjectProvider<Follower> followers,
            @Value("${juricast.data}") String file) {
        this(database, events, followers, RecordChains.chain(file), LONGEST);
    }

    /** @param longest how long an append may take */
    Journal(Database database, StoredEvents events, ObjectProvider<Follower> followers, Chain chain, Duration longest) {
        this.events = events;
        this.followers = followers;
        this.chain = chain;
        this.database = database;
        this.longest = longest;
        writer.setDaemon(true);
        writer.start();
    }

    /** A lesson's record as read: its events and the hash of the last. */
    public record Record(List<LessonEvent> events, byte[] hash) {}

    /** @param isTaken whether it is being written, or will never be: whoever gives it up first */
    private record Entry(
            LessonId lesson,
            int after,
            byte[] hash,
            List<LessonEvent> events,
            CompletableFuture<byte[]> done,
            AtomicBoolean isTaken,
            long since) {}

    /** After this one nothing more comes. */
    private static final Entry LAST = new Entry(
            new LessonId("none"),
            0,
            new byte[0],
            List.of(),
            new CompletableFuture<>(),
            new AtomicBoolean(true),
            Long.MAX_VALUE);

    /** Events of which it is not known that they are on the disk; they may be. */
    public static final class NotKept extends RuntimeException {
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
    public byte[] append(LessonId lesson, int after, byte[] hash, List<LessonEvent> events) {
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
    public boolean isWriting() {
        Entry oldest = queue.peek();
        return writer.isAlive() && (oldest == null || System.nanoTime() - oldest.since < longest.toNanos());
    }

    /** How many appends wait. */
    public int waiting() {
        return queue.size();
    }

    /** How many events were written since the start. */
    public long written() {
        return written.get();
    }

    /** What stands before the first event of a lesson. */
    public byte[] beginning() {
        return chain.beginning();
    }

    /** Writes the whole record of a lesson that has none yet, before anybody looks at it: for lessons played ahead. */
    public void write(LessonId id, List<LessonEvent> events) {
        append(id, 0, beginning(), events);
    }

    /** @throws DamagedRecord if an event is missing, was altered or cannot be read */
    public Record read(LessonId lesson) {
        var all = new ArrayList<LessonEvent>();
        byte[] hash = chain.beginning();
        for (Line line : proven(lesson)) {
            all.add(event(lesson, line, all));
            hash = line.hash();
        }
        return new Record(List.copyOf(all), hash);
    }

    private LessonEvent event(LessonId lesson, Line line, List<LessonEvent> before) {
        Optional<String> body = line.said();
        if (body.isEmpty()) {
            return new Erased(
                    line.kind(),
                    before.isEmpty()
                            ? Instant.EPOCH
                            : before.get(before.size() - 1).at());
        }
        try {
            return events.read(line.kind(), body.get());
        } catch (RuntimeException unreadable) {
            throw new DamagedRecord(lesson, line.number(), unreadable);
        }
    }

    /** The lines of a record, once it is proved that they are all there and as they were written. */
    private List<Line> proven(LessonId lesson) {
        List<Line> lines = lines(database.read(), lesson);
        firstDamaged(lesson, lines).ifPresent(number -> {
            throw new DamagedRecord(lesson, number);
        });
        return lines;
    }

    private static List<Line> lines(JdbcClient sql, LessonId lesson) {
        return sql.sql("SELECT " + Line.COLUMNS + " FROM lesson_event WHERE lesson = :lesson ORDER BY number")
                .param("lesson", lesson.value())
                .query((row, n) -> Line.of(row))
                .list();
    }

    /** The number of the first event that is missing, put in or altered, if one is. */
    Optional<Integer> firstDamaged(LessonId lesson) {
        return firstDamaged(lesson, lines(database.read(), lesson));
    }

    private Optional<Integer> firstDamaged(LessonId lesson, List<Line> lines) {
        Optional<RecordChains.Anchor> anchor = RecordChains.Anchor.of(database.read(), lesson);
        return RecordChains.firstDamaged(chain, lesson, lines, anchor);
    }

    /** Whether any lesson's record was taken out whole, or put in. */
    boolean isComplete() {
        return RecordChains.isComplete(chain, database.read());
    }

    /**
     * Events with what proves them, for evidence.
     *
     * @param first the number of the first event wanted, from 1
     * @param last the number of the last, inclusive
     * @throws DamagedRecord if the record is not as it was written
     * @throws IllegalArgumentException if it has no such events
     */
    public Excerpt excerpt(LessonId lesson, int first, int last) {
        List<Line> lines = proven(lesson);
        if (first < 1 || last < first || last > lines.size()) {
            throw new IllegalArgumentException(
                    "The record of %s has events 1 to %d, not %d to %d".formatted(lesson, lines.size(), first, last));
        }
        byte[] before = first == 1 ? chain.beginning() : lines.get(first - 2).hash();
        return Excerpt.of(lesson, before, lines.subList(first - 1, last));
    }

    /** Whether an excerpt is of this school's records, and as it was written. */
    public boolean proves(Excerpt excerpt) {
        byte[] hash = excerpt.hashBefore();
        int number = excerpt.first() - 1;
        for (Line line : excerpt.chained()) {
            if (!line.follows(chain, excerpt.lesson(), number, hash)) {
                return false;
            }
            hash = line.hash();
            number = line.number();
        }
        return true;
    }

    /** Lessons that have events but no end: those to go on with after a restart. */
    public List<LessonId> begunAndNotOver() {
        return database.read()
                .sql(
                        """
                    SELECT lesson FROM record_anchor WHERE NOT EXISTS
                    (SELECT 1 FROM lesson_stage WHERE lesson = record_anchor.lesson AND over IS NOT NULL)""")
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

        public LessonId lesson() {
            return lesson;
        }

        /** The first event that is missing, altered or unreadable. */
        public int number() {
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
            List<byte[]> hashes = database.append(sql -> insert(sql, batch));
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
    private List<byte[]> insert(JdbcClient sql, List<Entry> batch) {
        var rows = new ArrayList<Object[]>();
        var anchors = new ArrayList<Object[]>();
        var hashes = new ArrayList<byte[]>();
        for (Entry entry : batch) {
            byte[] hash = entry.hash;
            int number = entry.after;
            for (LessonEvent event : entry.events) {
                number++;
                String kind = events.kind(event);
                String body = events.body(event);
                byte[] salt = Chain.salt();
                byte[] bodyHash = Chain.bodyHash(salt, body);
                hash = chain.next(hash, entry.lesson, number, kind, bodyHash);
                rows.add(new Object[] {entry.lesson.value(), number, kind, body, salt, bodyHash, hash});
            }
            anchors.add(new Object[] {entry.lesson.value(), number, hash, chain.anchor(entry.lesson, number, hash)});
            hashes.add(hash);
        }
        int[] added = database.each(INSERT, rows);
        for (int i = 0; i < added.length; i++) {
            if (added[i] == 0) {
                throw new IllegalStateException(
                        "Event %s of %s does not fit".formatted(rows.get(i)[1], rows.get(i)[0]));
            }
        }
        database.each(ANCHOR, anchors);
        long begun = batch.stream().filter(entry -> entry.after == 0).count();
        RecordChains.count(chain, sql, begun, rows.size());
        // In one transaction with the event, so that neither is without the other after a crash.
        batch.forEach(entry -> followers.forEach(one -> one.within(sql, entry.lesson, entry.events)));
        return hashes;
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
