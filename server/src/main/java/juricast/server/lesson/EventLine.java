package juricast.server.lesson;

import jakarta.servlet.AsyncContext;
import jakarta.servlet.AsyncEvent;
import jakarta.servlet.AsyncListener;
import jakarta.servlet.ServletOutputStream;
import jakarta.servlet.ServletResponse;
import jakarta.servlet.ServletResponseWrapper;
import jakarta.servlet.WriteListener;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpHeaders;

/**
 * A stream of server-sent events to one browser. Writing never waits for the browser: a line that cannot take more says so,
 * and tells when it can again, so that one pupil's weak connection holds up nobody else.
 */
public final class EventLine implements Viewer.Line, WriteListener, AsyncListener {
    private final AsyncContext context;
    private final ServletResponse response;
    private final ServletOutputStream out;
    private final int buffer;
    private Runnable whenReady = () -> {};
    private Runnable whenEnded = () -> {};
    private boolean ready;
    private boolean unflushed;
    private boolean over;

    /** Begins to answer a request as a stream, which lasts until one of both ends it. */
    public EventLine(HttpServletRequest request, HttpServletResponse response) throws IOException {
        response.setContentType("text/event-stream;charset=UTF-8");
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
        this.response = unwrapped(response);
        out = this.response.getOutputStream();
        buffer = response.getBufferSize();
        context = request.startAsync();
        context.setTimeout(0);
        context.addListener(this);
    }

    /** What the filters have put around it has done its part when the stream begins, and would be gone through by every event. */
    private static ServletResponse unwrapped(ServletResponse response) {
        return response instanceof ServletResponseWrapper around ? unwrapped(around.getResponse()) : response;
    }

    /** Lets it go. @param ready is told whenever the line can take something again @param ended is told once it is over */
    @Override
    public void begin(Runnable ready, Runnable ended) {
        whenReady = ready;
        whenEnded = ended;
        out.setWriteListener(this);
    }

    @Override
    public synchronized boolean isReady() {
        return ready && !over;
    }

    /** Asks the container once, when all is written: each question costs a third of a write, and it asks itself before each. */
    @Override
    public synchronized void write(byte[] event) throws IOException {
        out.write(event);
        // What fits into the buffer has not touched the line yet.
        unflushed = event.length >= buffer && !out.isReady();
        if (!unflushed) {
            response.flushBuffer();
        }
        ready = !unflushed && out.isReady();
    }

    @Override
    public void onWritePossible() throws IOException {
        synchronized (this) {
            if (unflushed && out.isReady()) {
                response.flushBuffer();
                unflushed = false;
            }
            ready = !unflushed && out.isReady();
        }
        whenReady.run();
    }

    /** Ends it, if it has not ended by itself meanwhile. */
    @Override
    public void end() {
        boolean first;
        synchronized (this) {
            first = !over;
            over = true;
        }
        if (first) {
            complete();
            whenEnded.run();
        }
    }

    private void complete() {
        try {
            context.complete();
        } catch (IllegalStateException endedAlready) {
            // That is what was wanted.
        }
    }

    @Override
    public void onError(Throwable failed) {
        end();
    }

    /** A browser that is gone is no fault of ours: unless it is completed here, the container would answer with an error. */
    @Override
    public void onError(AsyncEvent event) {
        complete();
        end();
    }

    @Override
    public void onComplete(AsyncEvent event) {
        end();
    }

    @Override
    public void onTimeout(AsyncEvent event) {
        end();
    }

    @Override
    public void onStartAsync(AsyncEvent event) {
        // It is begun once.
    }
}
