package juricast.server.lesson;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import juricast.core.live.LessonState;
import juricast.core.live.Visit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import tools.jackson.databind.json.JsonMapper;

/**
 * One open browser. It is told the whole view first and then what differs from what it was told last, so a slow line skips
 * what is outdated instead of piling it up; what is written is never skipped, because each view brings all words after
 * the last number that went out.
 */
public final class Viewer {
    /** Makes the view with the words after a number. */
    public interface View {
        Shown after(int wordsNumber);
    }

    /** The way to the browser. Nothing here ever waits. */
    public interface Line {
        void begin(Runnable ready, Runnable ended);

        boolean isReady();

        /** To be called only while it is ready. */
        void write(byte[] event) throws IOException;

        void end();
    }

    /** Who looks on; see {@link Tellers}. */
    public enum Audience {
        SEAT,
        DESK
    }

    private static final Logger LOG = LoggerFactory.getLogger(Viewer.class);
    /** Whoever was told something in this time needs no heartbeat. */
    private static final long QUIET_NANOS = TimeUnit.SECONDS.toNanos(4);

    final Audience audience;
    private final Line line;
    private final Mine mine;
    private final View view;
    private final BooleanSupplier mayLook;
    private final JsonMapper json;
    private int last;
    private long written = System.nanoTime();
    private @Nullable Shown told;

    /** Whose visits a browser keeps connected; a desk is looked at before its adult has one. */
    public interface Mine {
        List<Visit> in(LessonState lesson);
    }

    /** @param mayLook whether they still may: once not, the line ends */
    Viewer(Audience audience, Line line, Mine mine, int last, View view, BooleanSupplier mayLook, JsonMapper json) {
        this.audience = audience;
        this.line = line;
        this.mine = mine;
        this.last = last;
        this.view = view;
        this.mayLook = mayLook;
        this.json = json;
    }

    List<Visit> mine(LessonState lesson) {
        return mine.in(lesson);
    }

    void end() {
        line.end();
    }

    /** A line ends with the sign-in it came by, and with every loss of a right to look. @return whether it has ended */
    boolean endIfNotAllowed() {
        boolean isAllowed;
        try {
            isAllowed = mayLook.getAsBoolean();
        } catch (RuntimeException failed) {
            // What cannot be found out is not allowed.
            LOG.warn("It could not be found out whether somebody may still look; the line ends", failed);
            isAllowed = false;
        }
        if (!isAllowed) {
            end();
        }
        return !isAllowed;
    }

    /** Whether it was told nothing for a while, so that a heartbeat is due. */
    synchronized boolean isQuiet() {
        return System.nanoTime() - written > QUIET_NANOS;
    }

    /** Keeps the line alive, and finds out that it is not. By its time the browser finds out how late news comes. */
    synchronized void heartbeat(Instant now) {
        if (line.isReady()) {
            write("event:beat\ndata:%d\n\n".formatted(now.toEpochMilli()).getBytes(StandardCharsets.UTF_8));
        }
    }

    /**
     * Tells what is new, if anything is. A line that cannot take it is told when it can again: only then is it worth making a
     * view. One at a time, writing included: an older view that is written after a newer one would stay on the screen.
     */
    synchronized void tell() {
        if (endIfNotAllowed() || !line.isReady()) {
            return;
        }
        Shown next;
        try {
            next = view.after(last);
        } catch (RuntimeException | Error failed) {
            // Nobody must sit before a page that has silently gone stale: a line that ends is opened anew.
            LOG.error("A view could not be made; its line ends", failed);
            end();
            return;
        }
        Optional<byte[]> news = told == null ? Optional.of(next.first(json)) : next.since(told, json);
        last = next.told();
        told = next;
        news.ifPresent(this::write);
    }

    private void write(byte[] event) {
        written = System.nanoTime();
        try {
            line.write(event);
        } catch (IOException | IllegalStateException gone) {
            // Nobody is left to be told; the browser opens a new line if it still wants one.
            end();
        }
    }
}
