package juricast.bench;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Duration;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Lessons of thirty pupils, each with a stream of its own, and an adult at each desk: the load of all measurements of live
 * lessons. Loopback only, bounded in count and time; the load comes from the same two cores.
 */
final class Rooms implements AutoCloseable {
    static final int SEATS = 30;
    /** So long before the first order is due all of them are ready to go. */
    private static final long LEAD_NANOS = TimeUnit.MILLISECONDS.toNanos(60);

    private static final JsonMapper JSON = new JsonMapper();

    private final String address;
    private final HttpClient http =
            HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();
    private final ScheduledExecutorService clock = Executors.newScheduledThreadPool(4);
    final List<Room> rooms = new ArrayList<>();
    /** Microseconds from when an order was due to when a seat heard of it, one for each seat and order. */
    final List<Long> news = Collections.synchronizedList(new ArrayList<>());

    private final Lines lines;
    private String teacher = "";
    /** Titles of classes differ, also from those of rooms built before. */
    private static int classes;

    Rooms(String address) throws IOException {
        this.address = address;
        URI server = URI.create(address);
        this.lines = new Lines(server.getHost(), server.getPort());
    }

    /** One lesson, and when the order that its seats wait for was due. */
    static final class Room {
        final String lesson;
        final String door;
        final String word;
        final DeskLine desk;
        final Desk ear = new Desk();
        /** Made once: putting it together takes as long as a good part of carrying the order out. */
        final String orderHead;
        /** Whether the class is in groups, as far as the application has acknowledged. */
        volatile boolean isOut;
        /** Whether an order about groups was given that nobody has acknowledged. */
        volatile boolean isInDoubt;
        /** Orders that the application has acknowledged. */
        final Set<Integer> acknowledged = ConcurrentHashMap.newKeySet();

        final List<Seat> seats = Collections.synchronizedList(new ArrayList<>());
        volatile long due;
        volatile CountDownLatch heard = new CountDownLatch(0);

        Room(String lesson, String door, String word, DeskLine desk, String teacher) {
            this.desk = desk;
            // As the pages do: they hear of what they ordered from their stream.
            this.lesson = lesson;
            this.orderHead = head("/words", teacher);
            this.door = door;
            this.word = word;
        }

        private String head(String path, String teacher) {
            return "POST %s%s HTTP/1.1\r\nCookie: %s\r\nX-XSRF-TOKEN: %s\r\n"
                    .formatted(lesson, path, teacher, token(teacher));
        }
    }

    /** An order that the desks give again and again. @param path below that of the lesson */
    record Order(String path, String body) {
        static final Order SEND_OUT = new Order("/groups/send-out", "{\"invite\":false}");
        static final Order TOGETHER = new Order("/groups/call-back", "{\"seconds\":0}");
    }

    /** Draws up groups in every lesson, so that they can be sent out. */
    void drawUp(int groups) throws IOException, InterruptedException {
        for (Room room : rooms) {
            json(send(
                    "POST",
                    room.lesson + "/groups/made",
                    "{\"by\":\"NUMBER\",\"count\":%d,\"balanced\":false,\"mixed\":false,\"times\":5,\"trusted\":false,\"seed\":1}"
                            .formatted(groups),
                    teacher));
        }
    }

    /** Every desk gives this order. @param gapMillis between two of them; 0 for all at once */
    List<Long> all(Order order, long gapMillis) throws Exception {
        return timed(rooms.size(), gapMillis, (room, due, answers, done) -> {
            expect(room, due);
            room.desk.give(
                    room.head(order.path, teacher), order.body, answer -> acknowledged(answer, due, answers, done));
        });
    }

    /** Makes classes with a lesson that is open, and forgets those made before. */
    void build(int lessons) throws Exception {
        rooms.clear();
        HttpResponse<String> first = get("/api/standing", "");
        teacher = cookies(first, "");
        HttpResponse<String> signedIn = send("POST", "/api/demo/session/thora-melling", "{}", teacher);
        teacher = cookies(signedIn, teacher);
        String zone = JSON.readTree(first.body()).get("zone").asString();
        var start = java.time.Instant.now().atZone(ZoneId.of(zone)).plusMinutes(3);
        for (int i = 0; i < lessons; i++) {
            String path = "/api/classes/"
                    + json(send(
                                    "POST",
                                    "/api/classes",
                                    "{\"title\":\"Bell %d of %d\",\"year\":8}".formatted(i, ++classes),
                                    teacher))
                            .get("id")
                            .asString();
            roster(path);
            json(send(
                    "POST",
                    path + "/series",
                    """
                    {"first":"%1$s","until":"%1$s","days":["%2$s"],"start":"%3$s","minutes":60}"""
                            .formatted(
                                    start.toLocalDate(),
                                    start.getDayOfWeek(),
                                    start.toLocalTime().toString().substring(0, 5)),
                    teacher));
            JsonNode page = json(get(path, teacher));
            String lesson = "/api/lessons/" + page.at("/lessons/0/id").asString();
            JsonNode joining = json(get(path + "/joining", teacher));
            String door = "/api/doorsteps/" + joining.get("link").asString().replaceAll(".*/join/", "");
            teacher = cookies(get(door, teacher), teacher);
            json(send("POST", lesson + "/open", "{}", teacher));
            // An adult without a line is taken for lost, and the room would go quiet.
            var room = new Room(lesson, door, joining.get("word").asString(), new DeskLine(lines), teacher);
            follow(lesson + "/desk/stream", teacher, room.ear);
            rooms.add(room);
        }
    }

    /** Everybody comes to the doorstep, knocks, and gets a stream. @return microseconds to each verdict */
    List<Long> ring(int seconds) throws Exception {
        var verdicts = Collections.synchronizedList(new ArrayList<Long>());
        var done = new CountDownLatch(rooms.size() * SEATS);
        var failed = new AtomicInteger();
        long began = System.nanoTime() + TimeUnit.SECONDS.toNanos(1);
        int arrivals = rooms.size() * SEATS;
        for (int i = 0; i < arrivals; i++) {
            Room room = rooms.get(i % rooms.size());
            String name = nameOf(i / rooms.size());
            long due = began + TimeUnit.SECONDS.toNanos(seconds) * i / arrivals;
            clock.schedule(
                    () -> arrive(room, name, due, verdicts, done, failed),
                    due - System.nanoTime(),
                    TimeUnit.NANOSECONDS);
        }
        if (!done.await(seconds * 4L, TimeUnit.SECONDS) || failed.get() > 0) {
            throw new IllegalStateException("%d came, %d failed".formatted(verdicts.size(), failed.get()));
        }
        for (Room room : rooms) {
            json(send("POST", room.lesson + "/admit-all-listed", "{}", teacher));
        }
        TimeUnit.SECONDS.sleep(3);
        return verdicts;
    }

    private void arrive(
            Room room, String name, long due, List<Long> verdicts, CountDownLatch done, AtomicInteger failed) {
        http.sendAsync(request("GET", room.door, null, ""), BodyHandlers.ofString())
                .thenCompose(doorstep -> {
                    String cookies = cookies(doorstep, "");
                    long knocks = Math.max(due, System.nanoTime());
                    String body = "{\"name\":\"%s\",\"word\":\"%s\",\"agreed\":true}".formatted(name, room.word);
                    return http.sendAsync(request("POST", room.door + "/knock", body, cookies), BodyHandlers.ofString())
                            .thenAccept(knocked -> {
                                verdicts.add((System.nanoTime() - knocks) / 1000);
                                String visit = json(knocked).get("visit").asString();
                                listen(room, "/api/seats/" + visit + "/stream", cookies);
                            });
                })
                .whenComplete((fine, wrong) -> {
                    if (wrong != null) {
                        failed.incrementAndGet();
                    }
                    done.countDown();
                });
    }

    private void listen(Room room, String path, String cookies) {
        var seat = new Seat(room, path.replace("/stream", ""), cookies);
        room.seats.add(seat);
        follow(path, cookies, seat);
    }

    /** A line that fails is opened again, as browsers do. */
    private void follow(String path, String cookies, Ear ear) {
        lines.open(path, cookies, ear, () -> {
            if (!clock.isShutdown()) {
                reopened.incrementAndGet();
                clock.schedule(() -> follow(path, cookies, ear), 1, TimeUnit.SECONDS);
            }
        });
    }

    /** Keeps the adult in the room: who has no line is taken for lost, and the room would go quiet. */
    static final class Desk implements Ear {
        /** What it was told and when, in nanoseconds. */
        final List<Told> log = Collections.synchronizedList(new ArrayList<>());

        private volatile int last;

        record Told(int number, long at) {}

        @Override
        public int last() {
            return last;
        }

        @Override
        public void told(int number) {
            last = Math.max(last, number);
            log.add(new Told(number, System.nanoTime()));
        }

        @Override
        public void order(int order) {
            // What it orders itself is no news to it.
        }
    }

    /** One seat's stream: what it was told, and which orders it has heard of, each once if all is well. */
    final class Seat implements Ear {
        final BitSet heard = new BitSet();
        volatile int twice;
        /** How many messages it was told. */
        final AtomicInteger messages = new AtomicInteger();

        final String path;
        final String cookies;
        private final Room room;
        private int last;
        private long heardOf;

        Seat(Room room, String path, String cookies) {
            this.room = room;
            this.path = path;
            this.cookies = cookies;
        }

        /** The head of a request from this seat. @param below where, below its own path */
        String head(String below) {
            return "POST %s%s HTTP/1.1\r\nCookie: %s\r\nX-XSRF-TOKEN: %s\r\n"
                    .formatted(path, below, cookies, token(cookies));
        }

        @Override
        public int last() {
            return last;
        }

        @Override
        public void told(int number) {
            messages.incrementAndGet();
            long due = room.due;
            if (number > last && due != 0 && heardOf != due) {
                heardOf = due;
                news.add((System.nanoTime() - due) / 1000);
                room.heard.countDown();
            }
            last = Math.max(last, number);
        }

        @Override
        public synchronized void order(int order) {
            if (heard.get(order)) {
                twice++;
            }
            heard.set(order);
        }

        /** Which of these orders it has not heard of. */
        synchronized long missing(Set<Integer> orders) {
            return orders.stream().filter(one -> !heard.get(one)).count();
        }
    }

    /** @param gapMillis between two orders; 0 for all at once */
    List<Long> orders(int count, long gapMillis) throws Exception {
        return timed(count, gapMillis, this::give);
    }

    /** What a desk does when it is due. */
    private interface Given {
        void give(Room room, long due, List<Long> answers, CompletableFuture<Void> done);
    }

    private List<Long> timed(int count, long gapMillis, Given given) throws Exception {
        var answers = Collections.synchronizedList(new ArrayList<Long>());
        var answered = new ArrayList<CompletableFuture<Void>>();
        long began = System.nanoTime() + LEAD_NANOS;
        for (int i = 0; i < count; i++) {
            Room room = rooms.get(i % rooms.size());
            long due = began + TimeUnit.MILLISECONDS.toNanos(gapMillis * i);
            var one = new CompletableFuture<Void>();
            answered.add(one);
            clock.schedule(() -> given.give(room, due, answers, one), due - System.nanoTime(), TimeUnit.NANOSECONDS);
        }
        CompletableFuture.allOf(answered.toArray(CompletableFuture[]::new)).get(2, TimeUnit.MINUTES);
        for (Room room : rooms) {
            if (!room.heard.await(10, TimeUnit.SECONDS)) {
                throw new IllegalStateException(room.heard.getCount() + " seats did not hear of an order");
            }
        }
        return answers;
    }

    final AtomicInteger reopened = new AtomicInteger();
    private final AtomicInteger turn = new AtomicInteger();

    void give(Room room, long due, List<Long> answers, CompletableFuture<Void> done) {
        expect(room, due);
        // Every order is news: the word on the desk is always another one.
        int order = turn.incrementAndGet();
        String body = "{\"to\":\"CLASS\",\"text\":\"order " + order + "\"}";
        room.desk.give(room.orderHead, body, answer -> {
            if (answer.startsWith("HTTP/1.1 200")) {
                room.acknowledged.add(order);
            }
            acknowledged(answer, due, answers, done);
        });
    }

    /** Sends the class into groups, or brings it together, whichever it is not. */
    void turnGroups(Room room) {
        boolean out = !room.isOut;
        Order order = out ? Order.SEND_OUT : Order.TOGETHER;
        room.isInDoubt = true;
        room.desk.give(room.head(order.path, teacher), order.body, answer -> {
            if (answer.startsWith("HTTP/1.1 200")) {
                room.isOut = out;
                room.isInDoubt = false;
            }
        });
    }

    private static void expect(Room room, long due) {
        room.heard = new CountDownLatch(SEATS);
        room.due = due;
    }

    private static void acknowledged(String answer, long due, List<Long> answers, CompletableFuture<Void> done) {
        if (answer.startsWith("HTTP/1.1 200")) {
            answers.add((System.nanoTime() - due) / 1000);
            done.complete(null);
        } else {
            done.completeExceptionally(new IllegalStateException(answer));
        }
    }

    private void roster(String path) throws Exception {
        var rows = new StringBuilder("name\r\n");
        for (int i = 0; i < SEATS; i++) {
            rows.append(nameOf(i)).append("\r\n");
        }
        String file = "--part\r\nContent-Disposition: form-data; name=\"file\"; filename=\"r.csv\"\r\n\r\n" + rows;
        String preview = json(upload(path + "/roster/preview", file + "\r\n--part--\r\n"))
                .get("fingerprint")
                .asString();
        upload(
                path + "/roster",
                file + "\r\n--part\r\nContent-Disposition: form-data; name=\"fingerprint\"\r\n\r\n" + preview
                        + "\r\n--part--\r\n");
    }

    private static String nameOf(int i) {
        return "Pupil " + Character.toString('A' + i % 26) + "number" + Character.toString('a' + i / 26) + " Measured";
    }

    private HttpResponse<String> upload(String path, String body) throws IOException, InterruptedException {
        return http.send(
                HttpRequest.newBuilder(request("POST", path, body, teacher), (name, value) -> true)
                        .setHeader("Content-Type", "multipart/form-data; boundary=part")
                        .build(),
                BodyHandlers.ofString());
    }

    private HttpResponse<String> get(String path, String cookies) throws IOException, InterruptedException {
        return http.send(request("GET", path, null, cookies), BodyHandlers.ofString());
    }

    private HttpResponse<String> send(String method, String path, String body, String cookies)
            throws IOException, InterruptedException {
        return http.send(request(method, path, body, cookies), BodyHandlers.ofString());
    }

    private static String token(String cookies) {
        return cookies.replaceAll("(?s).*XSRF-TOKEN=([^;]*).*", "$1");
    }

    private HttpRequest request(String method, String path, String body, String cookies) {
        return HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", token(cookies))
                .header("Cookie", cookies.isEmpty() ? "none=1" : cookies)
                .timeout(Duration.ofMinutes(20))
                .method(method, body == null ? BodyPublishers.noBody() : BodyPublishers.ofString(body))
                .build();
    }

    private static JsonNode json(HttpResponse<String> answer) {
        if (answer.statusCode() != 200) {
            throw new IllegalStateException(answer.uri() + ": " + answer.body());
        }
        return JSON.readTree(answer.body());
    }

    /** One desk gives an order, and waits for it. */
    void order(Room room, String path, String body) throws IOException, InterruptedException {
        json(send("POST", room.lesson + path, body, teacher));
    }

    /** Ends all lessons. */
    void dismiss() throws IOException, InterruptedException {
        for (Room room : rooms) {
            json(send("POST", room.lesson + "/dismiss", "{}", teacher));
        }
    }

    /** The lines that all share, for more of them. */
    Lines lines() {
        return lines;
    }

    /** What stands on a desk. */
    String desk(Room room) throws IOException, InterruptedException {
        return get(room.lesson + "/desk", teacher).body();
    }

    @Override
    public void close() throws IOException {
        clock.shutdownNow();
        lines.close();
    }

    /** The cookies of before with those that an answer sets. */
    private static String cookies(HttpResponse<?> answer, String before) {
        var all = new java.util.LinkedHashMap<String, String>();
        for (String one : before.split("; ")) {
            if (one.contains("=")) {
                all.put(one.substring(0, one.indexOf('=')), one);
            }
        }
        for (String set : answer.headers().allValues("set-cookie")) {
            String one = set.split(";", 2)[0];
            all.put(one.substring(0, one.indexOf('=')), one);
        }
        return all.values().stream().collect(Collectors.joining("; "));
    }
}
