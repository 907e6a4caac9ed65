package juricast.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetSocketAddress;
import java.net.StandardSocketOptions;
import java.nio.ByteBuffer;
import java.nio.channels.SelectionKey;
import java.nio.channels.Selector;
import java.nio.channels.SocketChannel;
import java.nio.charset.StandardCharsets;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;

/**
 * Thousands of streams of server-sent events on one thread, of which only numbers are read: the load comes from the
 * cores that are measured, and a general-purpose HTTP client would use more of them than the application.
 */
final class Lines implements AutoCloseable {
    private static final byte[] ID = "id:".getBytes(StandardCharsets.US_ASCII);
    private static final byte[] ORDER = "\"text\":\"order ".getBytes(StandardCharsets.US_ASCII);

    /** What takes what comes on one connection. It is told on the thread that reads all of them. */
    interface Reader {
        void take(ByteBuffer bytes);

        void ended();
    }

    private final InetSocketAddress address;
    private final Selector selector = Selector.open();
    private final Queue<Line> wanted = new ConcurrentLinkedQueue<>();
    private final Queue<Registration> adopted = new ConcurrentLinkedQueue<>();
    private final Thread reader = new Thread(this::read, "lines");
    private final ByteBuffer buffer = ByteBuffer.allocateDirect(1 << 16);
    private volatile boolean closed;

    Lines(String host, int port) throws IOException {
        address = new InetSocketAddress(host, port);
        reader.setDaemon(true);
        reader.start();
    }

    /**
     * Opens a stream. Its thread must not be held up by what is told.
     *
     * @param ended is told when the stream has ended, or was refused
     */
    void open(String path, String cookies, Ear ear, Runnable ended) {
        wanted.add(new Line(path, cookies, ear, ended));
        selector.wakeup();
    }

    /** A connection on which {@code reader} hears what comes; writing is the caller's. */
    SocketChannel connect(Reader reader) throws IOException {
        SocketChannel channel = SocketChannel.open(address);
        channel.setOption(StandardSocketOptions.TCP_NODELAY, true);
        channel.configureBlocking(false);
        adopted.add(() -> channel.register(selector, SelectionKey.OP_READ, reader));
        selector.wakeup();
        return channel;
    }

    private interface Registration {
        void register() throws IOException;
    }

    /**
     * One stream: which byte of "id:" it waits for at the beginning of a line, then the digits; and the same of orders,
     * wherever they stand.
     */
    private static final class Line implements Reader {
        final String head;
        final Ear ear;
        final Runnable ended;
        int matched;
        int number;
        int ordered;
        int order;

        Line(String path, String cookies, Ear ear, Runnable ended) {
            this.head =
                    "GET %s HTTP/1.1\r\nHost: localhost\r\nAccept: text/event-stream\r\nConnection: close\r\nCookie: %s\r\nLast-Event-ID: %d\r\n\r\n"
                            .formatted(path, cookies, ear.last());
            this.ear = ear;
            this.ended = ended;
        }

        @Override
        public void ended() {
            ended.run();
        }

        @Override
        public void take(ByteBuffer bytes) {
            // Fields would be written for every byte, and the load tool must not take its time from the application.
            int id = matched;
            int found = ordered;
            for (int i = bytes.position(); i < bytes.limit(); i++) {
                byte one = bytes.get(i);
                if (found < ORDER.length) {
                    found = one == ORDER[found] ? found + 1 : one == ORDER[0] ? 1 : 0;
                } else if (one >= '0' && one <= '9') {
                    order = order * 10 + one - '0';
                } else {
                    ear.order(order);
                    found = 0;
                    order = 0;
                }
                if (one == '\n') {
                    if (id == ID.length) {
                        ear.told(number);
                    }
                    id = 0;
                    number = 0;
                } else if (id == ID.length) {
                    number = one >= '0' && one <= '9' ? number * 10 + one - '0' : number;
                } else if (id >= 0) {
                    id = one == ID[id] ? id + 1 : -1;
                }
            }
            matched = id;
            ordered = found;
        }
    }

    /**
     * Looks twice in a thousandth of a second, which counts in what is measured. Woken by each of thousands of packets, it
     * would take its time from the application.
     */
    private static final long PAUSE = TimeUnit.MICROSECONDS.toNanos(500);

    private void read() {
        while (!closed) {
            try {
                LockSupport.parkNanos(PAUSE);
                selector.select(key -> {
                    if (key.isConnectable()) {
                        ask(key);
                    } else {
                        take(key);
                    }
                });
                for (Registration one = adopted.poll(); one != null; one = adopted.poll()) {
                    one.register();
                }
                for (Line line = wanted.poll(); line != null; line = wanted.poll()) {
                    SocketChannel channel = SocketChannel.open();
                    channel.configureBlocking(false);
                    channel.connect(address);
                    channel.register(selector, SelectionKey.OP_CONNECT, line);
                }
            } catch (IOException broken) {
                throw new UncheckedIOException(broken);
            }
        }
    }

    private void ask(SelectionKey key) {
        try {
            SocketChannel channel = (SocketChannel) key.channel();
            channel.finishConnect();
            channel.write(ByteBuffer.wrap(((Line) key.attachment()).head.getBytes(StandardCharsets.US_ASCII)));
            key.interestOps(SelectionKey.OP_READ);
        } catch (IOException broken) {
            end(key);
        }
    }

    private void take(SelectionKey key) {
        buffer.clear();
        try {
            if (((SocketChannel) key.channel()).read(buffer) < 0) {
                end(key);
                return;
            }
        } catch (IOException broken) {
            end(key);
            return;
        }
        buffer.flip();
        ((Reader) key.attachment()).take(buffer);
    }

    private static void end(SelectionKey key) {
        key.cancel();
        try {
            key.channel().close();
        } catch (IOException closedAlready) {
            // That is what was wanted.
        }
        ((Reader) key.attachment()).ended();
    }

    @Override
    public void close() throws IOException {
        closed = true;
        selector.wakeup();
        for (SelectionKey key : selector.keys()) {
            key.channel().close();
        }
        selector.close();
    }
}
