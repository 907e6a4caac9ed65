package juricast.server.lesson;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Predicate;
import juricast.core.lesson.Visit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.MediaType;
import org.springframework.web.servlet.mvc.method.annotation.ResponseBodyEmitter;
import tools.jackson.databind.json.JsonMapper;

/**
 * One open browser. It is told the whole view first and then what differs from what it was told last, so a slow line skips
 * what is outdated instead of piling it up; what is written is never skipped, because each view brings all words after
 * the last number that went out.
 */
final class Viewer {
    /** Makes the view with the words after a number. */
    interface View {
        Shown after(int wordsNumber);
    }

    private static final Logger LOG = LoggerFactory.getLogger(Viewer.class);
    private static final MediaType EVENTS = new MediaType("text", "plain", StandardCharsets.UTF_8);

    private final ResponseBodyEmitter line;
    private final Predicate<Visit> mine;
    private final View view;
    private final JsonMapper json;
    private final Executor executor;
    private final AtomicBoolean scheduled = new AtomicBoolean();
    private int last;
    private @Nullable Shown told;

    /** @param mine whose visit this browser keeps connected; a desk is looked at before its adult has one */
    Viewer(ResponseBodyEmitter line, Predicate<Visit> mine, int last, View view, JsonMapper json, Executor executor) {
        this.line = line;
        this.mine = mine;
        this.last = last;
        this.view = view;
        this.json = json;
        this.executor = executor;
    }

    ResponseBodyEmitter line() {
        return line;
    }

    boolean isOf(Visit visit) {
        return mine.test(visit);
    }

    /** Ends the line, if it has not ended by itself meanwhile. */
    void end() {
        try {
            line.complete();
        } catch (IllegalStateException endedAlready) {
            // That is what was wanted.
        }
    }

    /** Something may have changed. */
    void wake() {
        if (scheduled.compareAndSet(false, true)) {
            executor.execute(this::send);
        }
    }

    /** Keeps the line alive, and finds out that it is not. */
    void heartbeat() {
        executor.execute(() -> write(":still here\n\n"));
    }

    /** One at a time, writing included: an older view that is written after a newer one would stay on the screen. */
    private synchronized void send() {
        scheduled.set(false);
        Shown next;
        try {
            next = view.after(last);
        } catch (RuntimeException failed) {
            // Nobody must sit before a page that has silently gone stale: a line that ends is opened anew.
            LOG.error("A view could not be made; its line ends", failed);
            end();
            return;
        }
        // As one piece: in parts, each part would be a packet of its own to each of thirty seats.
        String news = told == null ? "view\ndata:" + next.whole(json) : next.since(told, json);
        String event = told == null ? news : "change\ndata:" + news;
        last = next.told();
        told = next;
        if (!news.isEmpty()) {
            write("id:" + next.told() + "\nevent:" + event + "\n\n");
        }
    }

    private void write(String event) {
        try {
            line.send(event, EVENTS);
        } catch (IOException | IllegalStateException gone) {
            // Nobody is left to be told; the browser opens a new line if it still wants one.
            end();
        }
    }
}
