package juricast.bench;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.SocketChannel;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.function.Consumer;

/**
 * The connection over which one desk gives its orders, kept open as a browser keeps it, one order at a time. A general-purpose
 * client would use as much of the two cores for a hundred orders as the application.
 */
final class DeskLine implements Lines.Reader {
    private static final String END_OF_HEAD = "\r\n\r\n";
    private static final String LENGTH = "content-length: ";

    private final Lines lines;
    private final Deque<Order> orders = new ArrayDeque<>();
    private final StringBuilder answer = new StringBuilder();
    private SocketChannel channel;

    /** @param answered is told the answer's head and body, or why there is none */
    private record Order(byte[] request, Consumer<String> answered) {}

    DeskLine(Lines lines) {
        this.lines = lines;
    }

    /** Gives an order. {@code answered} is told on the thread that reads all lines, and must not hold it up. */
    synchronized void give(String head, String body, Consumer<String> answered) {
        byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
        String request = head + "Host: localhost\r\nContent-Type: application/json\r\nContent-Length: " + bytes.length
                + END_OF_HEAD + body;
        orders.add(new Order(request.getBytes(StandardCharsets.UTF_8), answered));
        if (orders.size() == 1) {
            send();
        }
    }

    private void send() {
        try {
            if (channel == null) {
                channel = lines.connect(this);
            }
            var bytes = ByteBuffer.wrap(orders.element().request);
            while (bytes.hasRemaining()) {
                channel.write(bytes);
            }
        } catch (IOException broken) {
            ended();
        }
    }

    @Override
    public synchronized void take(ByteBuffer bytes) {
        answer.append(StandardCharsets.UTF_8.decode(bytes));
        int head = answer.indexOf(END_OF_HEAD);
        if (head < 0) {
            return;
        }
        int length =
                answer.substring(0, head).toLowerCase(java.util.Locale.ROOT).indexOf(LENGTH);
        int body = length < 0
                ? 0
                : Integer.parseInt(answer.substring(length + LENGTH.length()).split("\r", 2)[0]);
        if (answer.length() >= head + END_OF_HEAD.length() + body) {
            String all = answer.toString();
            answer.setLength(0);
            orders.remove().answered.accept(all);
            if (!orders.isEmpty()) {
                send();
            }
        }
    }

    /** What was under way has no answer; the next order opens the connection again. */
    @Override
    public synchronized void ended() {
        channel = null;
        answer.setLength(0);
        while (!orders.isEmpty()) {
            orders.remove().answered.accept("the connection ended");
        }
    }
}
