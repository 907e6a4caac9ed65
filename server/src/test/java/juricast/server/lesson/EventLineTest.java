package juricast.server.lesson;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.inOrder;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import jakarta.servlet.AsyncContext;
import jakarta.servlet.ServletOutputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A line as the web server treats it: it says when it can take something, and is asked before anything is written. */
class EventLineTest {
    private static final byte[] SMALL = new byte[10];
    private static final byte[] LARGE = new byte[100];

    private final HttpServletResponse response = mock(HttpServletResponse.class);
    private final ServletOutputStream out = mock(ServletOutputStream.class);
    private final AtomicInteger told = new AtomicInteger();
    private final AtomicInteger ended = new AtomicInteger();
    private EventLine line;

    @BeforeEach
    void begin() throws IOException {
        var request = mock(HttpServletRequest.class);
        when(request.startAsync()).thenReturn(mock(AsyncContext.class));
        when(response.getOutputStream()).thenReturn(out);
        when(response.getBufferSize()).thenReturn(50);
        line = new EventLine(request, response);
        line.begin(told::incrementAndGet, ended::incrementAndGet);
    }

    @Test
    void it_takes_nothing_before_the_server_lets_it() throws IOException {
        assertThat(line.isReady()).isFalse();

        serverCanWrite(true);

        assertThat(line.isReady()).isTrue();
        assertThat(told).hasValue(1);
    }

    @Test
    void an_event_goes_out_at_once_and_the_next_one_when_the_browser_has_taken_it() throws IOException {
        serverCanWrite(true);
        when(out.isReady()).thenReturn(false);

        line.write(SMALL);

        var order = inOrder(out, response);
        order.verify(out).write(SMALL);
        order.verify(response).flushBuffer();
        assertThat(line.isReady()).as("the browser is slow").isFalse();

        serverCanWrite(true);
        assertThat(line.isReady()).isTrue();
        assertThat(told).as("it is told what it missed").hasValue(2);
    }

    @Test
    void the_end_of_a_long_event_goes_out_when_there_is_room_for_it() throws IOException {
        serverCanWrite(true);
        when(out.isReady()).thenReturn(false);
        line.write(LARGE);
        verify(response, never()).flushBuffer();

        serverCanWrite(false);
        verify(response, never()).flushBuffer();
        assertThat(line.isReady()).isFalse();

        serverCanWrite(true);
        verify(response).flushBuffer();
        assertThat(line.isReady()).isTrue();
    }

    @Test
    void a_line_that_has_ended_takes_nothing_and_ends_once() throws IOException {
        serverCanWrite(true);

        line.onError(new IOException("gone"));
        line.end();

        assertThat(line.isReady()).isFalse();
        assertThat(ended).hasValue(1);
        verify(out, never()).write(any(byte[].class));
    }

    private void serverCanWrite(boolean now) throws IOException {
        when(out.isReady()).thenReturn(now);
        line.onWritePossible();
    }
}
