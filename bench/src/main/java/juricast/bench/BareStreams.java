package juricast.bench;

import java.io.IOException;
import java.net.InetSocketAddress;
import java.nio.ByteBuffer;
import java.nio.channels.ServerSocketChannel;
import java.nio.channels.SocketChannel;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;

/**
 * What the machine itself needs at this hour: one event to as many streams, written by two threads that do nothing else and
 * heard by the same load tool. What an application takes is to be seen beside it.
 */
final class BareStreams {
    private static final int WRITERS = 2;
    /** About as long as what a seat is told of one message. */
    private static final String DATA = "x".repeat(280);

    private BareStreams() {}

    /** @return microseconds from when it was due to each stream that heard it, round after round */
    static List<Long> measure(int streams, int rounds) throws Exception {
        var news = Collections.synchronizedList(new ArrayList<Long>());
        ExecutorService writers = Executors.newFixedThreadPool(WRITERS);
        try (var server = ServerSocketChannel.open().bind(new InetSocketAddress("localhost", 0));
                var lines = new Lines("localhost", server.socket().getLocalPort())) {
            var round = new Round();
            var open = new ArrayList<SocketChannel>();
            for (int i = 0; i < streams; i++) {
                lines.open("/", "none=1", round.ear(news), () -> {});
                SocketChannel one = server.accept();
                one.read(ByteBuffer.allocate(1024)); // what it asks is of no interest
                open.add(one);
            }
            for (int number = 1; number <= rounds; number++) {
                byte[] event = "id:%d\ndata:%s\n\n".formatted(number, DATA).getBytes(StandardCharsets.US_ASCII);
                round.begin(streams);
                for (int writer = 0; writer < WRITERS; writer++) {
                    List<SocketChannel> share =
                            open.subList(streams * writer / WRITERS, streams * (writer + 1) / WRITERS);
                    writers.execute(() -> share.forEach(one -> write(one, event)));
                }
                if (!round.heard.await(10, TimeUnit.SECONDS)) {
                    throw new IllegalStateException(round.heard.getCount() + " streams did not hear");
                }
                TimeUnit.SECONDS.sleep(1);
            }
            for (SocketChannel one : open) {
                one.close();
            }
        } finally {
            writers.shutdown();
        }
        return news;
    }

    private static void write(SocketChannel line, byte[] event) {
        try {
            line.write(ByteBuffer.wrap(event));
        } catch (IOException gone) {
            throw new IllegalStateException(gone);
        }
    }

    private static final class Round {
        volatile long due;
        volatile CountDownLatch heard = new CountDownLatch(0);

        void begin(int streams) {
            heard = new CountDownLatch(streams);
            due = System.nanoTime();
        }

        Ear ear(List<Long> news) {
            return new Ear() {
                @Override
                public int last() {
                    return 0;
                }

                @Override
                public void told(int number) {
                    news.add((System.nanoTime() - due) / 1000);
                    heard.countDown();
                }

                @Override
                public void order(int order) {
                    // There are none.
                }
            };
        }
    }
}
