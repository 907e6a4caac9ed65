package juricast.server.lesson;

import static juricast.server.lesson.ASmallClass.eventually;
import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Queue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Stream;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.record.FinishedLessons;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.slf4j.LoggerFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class StreamTest {
    private static final String DESK = "/api/lessons/tidal-navigation-8-1.3-2";

    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo().wherePupilsLoseTheirLine();

    @Test
    void a_change_reaches_an_open_line_and_one_that_comes_back_gets_exactly_what_it_missed() throws Exception {
        TestBrowser orla = SERVER.signedIn("orla-venn");
        orla.post(DESK + "/join", "{}");
        BlockingQueue<JsonNode> views = listen(orla, DESK + "/desk/stream", 0);
        JsonNode first = next(views);
        assertThat(first.get("words").size()).isGreaterThan(5);

        orla.post(DESK + "/words", "{\"to\":\"CLASS\",\"text\":\"first\"}");
        JsonNode second = nextWithWords(views);
        assertThat(texts(second)).containsExactly("first");
        assertThat(second.get("number").asInt())
                .isGreaterThan(first.get("number").asInt());

        orla.post(DESK + "/words", "{\"to\":\"CLASS\",\"text\":\"missed one\"}");
        orla.post(DESK + "/words", "{\"to\":\"CLASS\",\"text\":\"missed two\"}");
        JsonNode back = nextWithWords(
                listen(orla, DESK + "/desk/stream", second.get("number").asInt()));
        assertThat(texts(back)).containsExactly("missed one", "missed two");
    }

    @Test
    void signs_of_life_come_while_sums_of_lessons_that_are_over_take_long() {
        var small = new ASmallClass(SERVER).open();
        small.thora.post(small.lesson + "/dismiss", "");
        Queue<String> heard = new ConcurrentLinkedQueue<>();
        SERVER.signedIn("orla-venn").lines(DESK + "/desk/stream", 0, heard::add);
        SERVER.bean(FinishedLessons.class).meanwhileNothing(() -> {
            eventually(StreamTest::aSumIsWaitedFor);
            heard.clear();
            eventually(() -> heard.contains("event:beat"));
        });
    }

    private static boolean aSumIsWaitedFor() {
        return Thread.getAllStackTraces().entrySet().stream()
                .anyMatch(one -> one.getKey().getState() == Thread.State.BLOCKED
                        && Stream.of(one.getValue())
                                .anyMatch(at -> at.getClassName().equals(FinishedLessons.class.getName())));
    }

    @Test
    void a_stream_is_for_its_own_device_only() {
        assertThat(SERVER.browser().get("/api/seats/nothing/stream").status()).isEqualTo(404);
        assertThat(SERVER.signedIn("anton-prowse").get(DESK + "/desk/stream").status())
                .isEqualTo(403);
    }

    @Test
    void a_change_of_the_plan_is_told_also_when_somebody_else_has_looked_before_the_clock() throws Exception {
        TestBrowser orla = SERVER.signedIn("orla-venn");
        BlockingQueue<JsonNode> told = listen(orla, DESK + "/desk/stream", 0);
        next(told);

        orla.put(DESK + "/running-order", "{\"steps\":[{\"stance\":\"closing\",\"minutes\":7}],\"byTheClock\":false}");
        SERVER.bean(LiveLessons.class).look(new juricast.core.identity.LessonId("tidal-navigation-8-1.3-2"));

        JsonNode news = next(told);
        while (!news.at("/course/written").toString().contains("\"minutes\":7")) {
            news = next(told);
        }
    }

    @Test
    void who_opens_a_lesson_from_the_page_that_looked_at_it_stays_in() throws Exception {
        TestBrowser ilse = SERVER.signedIn("ilse-brandt");
        String desk = "/api/lessons/"
                + ilse.get("/api/today").json().findValues("id").stream()
                        .map(JsonNode::asString)
                        .filter(id -> id.startsWith("knotwork"))
                        .findFirst()
                        .orElseThrow();
        next(listen(ilse, desk + "/desk/stream", 0));
        assertThat(ilse.post(desk + "/open", "{}").status()).isEqualTo(200);

        for (int round = 0; round < 32; round++) {
            SERVER.bean(LessonClock.class).noticeSilence();
        }

        assertThat(ilse.get(desk + "/desk").json().at("/mine/door/in").asBoolean())
                .isTrue();
    }

    @Test
    void a_browser_that_is_torn_away_is_no_fault_of_ours() throws Exception {
        var faults = new ListAppender<ILoggingEvent>();
        faults.start();
        ((Logger) LoggerFactory.getLogger("juricast.server.problems.ProblemAnswers")).addAppender(faults);
        TestBrowser orla = SERVER.signedIn("orla-venn");
        for (int n = 0; n < 5; n++) {
            try (Socket browser = orla.socket(DESK + "/desk/stream")) {
                assertThat(browser.getInputStream().readNBytes(900))
                        .asString()
                        .contains("HTTP/1.1 200", "X-Content-Type-Options: nosniff", "Cache-Control: no-store");
                browser.setSoLinger(true, 0);
            }
            for (int order = 0; order < 3; order++) {
                orla.post(DESK + "/words", "{\"to\":\"CLASS\",\"text\":\"is anybody there %d\"}".formatted(order));
                SERVER.bean(Viewers.class).heartbeat();
            }
        }
        assertThat(faults.list).isEmpty();
    }

    @Test
    void an_older_view_never_follows_a_newer_one() throws Exception {
        var line = new Slow();
        ExecutorService executor = Executors.newFixedThreadPool(4);
        Viewer viewer = counting(line);

        for (int n = 0; n < 40; n++) {
            executor.execute(viewer::tell);
        }
        executor.shutdown();

        assertThat(executor.awaitTermination(10, TimeUnit.SECONDS)).isTrue();
        assertThat(List.copyOf(line.sent)).hasSize(40).isSorted();
    }

    @Test
    void a_line_that_can_take_no_more_holds_nobody_up_and_is_told_the_newest_when_it_can() {
        var line = new Slow();
        Viewer viewer = counting(line);
        viewer.tell();
        line.ready = false;
        for (int n = 0; n < 1000; n++) {
            viewer.tell();
            viewer.heartbeat(Instant.EPOCH);
        }
        assertThat(line.sent)
                .as("nothing is written, and no view is made for nobody")
                .containsExactly(1);
        line.ready = true;
        viewer.tell();
        assertThat(line.sent).containsExactly(1, 2);
    }

    @Test
    void a_view_that_cannot_be_made_ends_the_line_so_that_it_is_opened_anew() {
        var line = new Slow();
        var viewer = new Viewer(
                Viewer.Audience.SEAT,
                line,
                lesson -> lesson.there().visits(),
                0,
                after -> {
                    throw new IllegalStateException("a fault");
                },
                () -> true,
                new JsonMapper());
        viewer.tell();
        assertThat(line.ended).isTrue();
    }

    @Test
    void a_line_ends_when_its_viewer_may_look_no_more_or_it_cannot_be_found_out() {
        var line = new Slow();
        var allowed = new AtomicBoolean(true);
        var viewer = new Viewer(
                Viewer.Audience.DESK,
                line,
                lesson -> List.of(),
                0,
                after -> new Shown(1, 1, Instant.EPOCH, new Count(1), new Shown.Nothing(), "", () -> "", new Shared()),
                allowed::get,
                new JsonMapper());
        assertThat(viewer.endIfNotAllowed()).isFalse();
        allowed.set(false);
        viewer.tell();
        assertThat(line.ended).isTrue();
        assertThat(line.sent).isEmpty();

        var another = new Slow();
        var doubtful = new Viewer(
                Viewer.Audience.DESK,
                another,
                lesson -> List.of(),
                0,
                after -> new Shown(1, 1, Instant.EPOCH, new Count(1), new Shown.Nothing(), "", () -> "", new Shared()),
                () -> {
                    throw new IllegalStateException("the file does not answer");
                },
                new JsonMapper());
        assertThat(doubtful.endIfNotAllowed()).isTrue();
        assertThat(another.ended).isTrue();
    }

    /** Each view is one more than the last. */
    private static Viewer counting(Viewer.Line line) {
        var made = new AtomicInteger();
        return new Viewer(
                Viewer.Audience.SEAT,
                line,
                lesson -> lesson.there().visits(),
                0,
                after -> {
                    int number = made.incrementAndGet();
                    return new Shown(
                            number,
                            number,
                            Instant.EPOCH,
                            new Count(number),
                            new Shown.Nothing(),
                            "",
                            () -> "",
                            new Shared());
                },
                () -> true,
                new JsonMapper());
    }

    /** The older a view, the longer its way: unguarded, those behind would overtake it. */
    private static final class Slow implements Viewer.Line {
        final ConcurrentLinkedQueue<Integer> sent = new ConcurrentLinkedQueue<>();
        volatile boolean ready = true;
        volatile boolean ended;

        @Override
        public void begin(Runnable whenReady, Runnable whenEnded) {}

        @Override
        public boolean isReady() {
            return ready;
        }

        @Override
        public void write(byte[] event) {
            String text = new String(event, StandardCharsets.UTF_8);
            int number = Integer.parseInt(text.replaceAll("(?s)^id:(\\d+).*", "$1"));
            LockSupport.parkNanos(number % 2 * 300_000L);
            sent.add(number);
        }

        @Override
        public void end() {
            ended = true;
        }
    }

    private record Count(int count) {}

    private static BlockingQueue<JsonNode> listen(TestBrowser browser, String path, int last) {
        var views = new LinkedBlockingQueue<JsonNode>();
        var json = new JsonMapper();
        browser.lines(path, last, line -> {
            if (line.startsWith("data:")) {
                views.add(json.readTree(line.substring(5)));
            }
        });
        return views;
    }

    private static JsonNode next(BlockingQueue<JsonNode> views) throws InterruptedException {
        JsonNode view = views.poll(10, TimeUnit.SECONDS);
        assertThat(view).as("a view within ten seconds").isNotNull();
        return view;
    }

    /** Passes over views that only show the same again, as after a tick of the clock. */
    private static JsonNode nextWithWords(BlockingQueue<JsonNode> views) throws InterruptedException {
        JsonNode view = next(views);
        while (!view.has("words")) {
            view = next(views);
        }
        return view;
    }

    private static List<String> texts(JsonNode view) {
        var texts = new ArrayList<String>();
        view.get("words").forEach(words -> texts.add(words.get("text").asString()));
        return texts;
    }
}
