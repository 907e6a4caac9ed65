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
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The bell: a hundred lessons of thirty pupils, who all come within half a minute, each with a stream; then orders on the
 * desks, spread over time and all in one instant. Everything is timed from the moment it was due, so that waiting behind
 * other rooms counts. Loopback only, bounded in count and time; the load comes from the same two cores.
 */
final class Bell {
    private static final int LESSONS = Integer.getInteger("bell.lessons", 100);
    private static final int WARM_UP = 20;
    private static final int WARM_UP_ORDERS = 1000;
    private static final int WARM_UP_GAP = 20;
    private static final int SEATS = 30;
    private static final int ARRIVAL_SECONDS = 30;
    private static final int SPREAD_ORDERS = 500;
    private static final int SPREAD_SECONDS = 20;
    private static final int ROUNDS = 10;
    private static final JsonMapper JSON = new JsonMapper();

    private final String address;
    private final HttpClient http =
            HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();
    private final ScheduledExecutorService clock = Executors.newScheduledThreadPool(4);
    private final List<Room> rooms = new ArrayList<>();
    private final List<Long> news = Collections.synchronizedList(new ArrayList<>());
    private final Lines lines;
    private String teacher = "";

    private Bell(String address) throws IOException {
        this.address = address;
        URI server = URI.create(address);
        this.lines = new Lines(server.getHost(), server.getPort());
    }

    /** One lesson, and when the order that its seats wait for was due. */
    private static final class Room {
        final String lesson;
        final String door;
        final String word;
        final List<Seat> seats = Collections.synchronizedList(new ArrayList<>());
        volatile long due;
        volatile CountDownLatch heard = new CountDownLatch(0);

        Room(String lesson, String door, String word) {
            this.lesson = lesson;
            this.door = door;
            this.word = word;
        }
    }

    static void measure(RunningJar demo) throws Exception {
        var bell = new Bell(demo.address());
        // Some rooms before the others, and then a rest: a school's server has been running when the bell rings.
        bell.build(WARM_UP);
        bell.ring(ARRIVAL_SECONDS / 2);
        bell.orders(WARM_UP_ORDERS, WARM_UP_GAP);
        for (int round = 0; round < ROUNDS; round++) {
            bell.orders(WARM_UP, 0);
        }
        bell.rooms.clear();
        bell.build(LESSONS);
        demo.rest();
        print("verdict durable and answered, from the moment of the knock", bell.ring(ARRIVAL_SECONDS));
        demo.rest();
        bell.spread();
        demo.rest();
        bell.atOnce();
        System.out.printf("  lines that were opened again: %d of %d%n", bell.reopened.get(), LESSONS * SEATS);
        bell.clock.shutdownNow();
        bell.lines.close();
    }

    private void build(int lessons) throws Exception {
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
                                    "{\"title\":\"Bell %d of %d\",\"year\":8}".formatted(i, lessons),
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
            String door = "/api/doorsteps/" + page.get("link").asString().replaceAll(".*/join/", "");
            teacher = cookies(get(door, teacher), teacher);
            json(send("POST", lesson + "/open", "{}", teacher));
            // An adult without a line is taken for lost, and the room would go quiet.
            lines.open(lesson + "/desk/stream", teacher, 0, number -> {}, () -> {});
            rooms.add(new Room(lesson, door, page.get("word").asString()));
        }
    }

    /** Everybody comes to the doorstep, knocks, and gets a stream. */
    private List<Long> ring(int seconds) throws Exception {
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
        var seat = new Seat(room);
        room.seats.add(seat);
        follow(path, cookies, seat);
    }

    /** A line that fails is opened again, as browsers do. */
    private void follow(String path, String cookies, Seat seat) {
        lines.open(path, cookies, seat.last, seat::told, () -> {
            if (!clock.isShutdown()) {
                reopened.incrementAndGet();
                clock.schedule(() -> follow(path, cookies, seat), 1, TimeUnit.SECONDS);
            }
        });
    }

    /** One seat's stream; each view it brings has the number of the last event it shows. */
    private final class Seat {
        private final Room room;
        private int last;
        private long heardOf;

        Seat(Room room) {
            this.room = room;
        }

        void told(int number) {
            long due = room.due;
            if (number > last && due != 0 && heardOf != due) {
                heardOf = due;
                news.add((System.nanoTime() - due) / 1000);
                room.heard.countDown();
            }
            last = Math.max(last, number);
        }
    }

    /** Orders of all desks one after the other, at even distances. */
    private void spread() throws Exception {
        orders(SPREAD_ORDERS / 5, 100); // the first ones warm up and are not counted
        news.clear();
        List<Long> answers = orders(SPREAD_ORDERS, SPREAD_SECONDS * 1000 / SPREAD_ORDERS);
        print("order answered at the desk, spread over time", answers);
        print("order to the seat, spread over time", List.copyOf(news));
    }

    /** All desks in the same instant. */
    private void atOnce() throws Exception {
        news.clear();
        var answers = new ArrayList<Long>();
        for (int round = 0; round < ROUNDS; round++) {
            answers.addAll(orders(LESSONS, 0));
            TimeUnit.SECONDS.sleep(2);
        }
        print("order answered at the desk, all in one instant", answers);
        print("order to the seat, all in one instant", List.copyOf(news));
    }

    /** @param gapMillis between two orders; 0 for all at once */
    private List<Long> orders(int count, long gapMillis) throws Exception {
        var answers = Collections.synchronizedList(new ArrayList<Long>());
        var answered = new ArrayList<CompletableFuture<Void>>();
        long began = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(300);
        for (int i = 0; i < count; i++) {
            Room room = rooms.get(i % rooms.size());
            long due = began + TimeUnit.MILLISECONDS.toNanos(gapMillis * i);
            var one = new CompletableFuture<Void>();
            answered.add(one);
            clock.schedule(() -> give(room, due, answers, one), due - System.nanoTime(), TimeUnit.NANOSECONDS);
        }
        CompletableFuture.allOf(answered.toArray(CompletableFuture[]::new)).get(2, TimeUnit.MINUTES);
        for (Room room : rooms) {
            if (!room.heard.await(10, TimeUnit.SECONDS)) {
                throw new IllegalStateException(room.heard.getCount() + " seats did not hear of an order");
            }
        }
        return answers;
    }

    private final AtomicInteger reopened = new AtomicInteger();
    private final AtomicInteger turn = new AtomicInteger();

    private void give(Room room, long due, List<Long> answers, CompletableFuture<Void> done) {
        room.heard = new CountDownLatch(SEATS);
        room.due = due;
        // Every order is news: the word on the desk is always another one.
        String body = "{\"to\":\"CLASS\",\"text\":\"order %d\"}".formatted(turn.incrementAndGet());
        http.sendAsync(request("POST", room.lesson + "/words", body, teacher), BodyHandlers.ofString())
                .whenComplete((answer, wrong) -> {
                    if (wrong != null || answer.statusCode() != 204) {
                        done.completeExceptionally(
                                new IllegalStateException(wrong == null ? answer.body() : wrong.getMessage()));
                    } else {
                        answers.add((System.nanoTime() - due) / 1000);
                        done.complete(null);
                    }
                });
    }

    private static void print(String what, List<Long> micros) {
        System.out.printf(
                "  %-60s median %6.1f ms, p99 %6.1f ms (%d)%n",
                what, Figures.median(micros) / 1000.0, Figures.percentile(micros, 99) / 1000.0, micros.size());
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

    private HttpRequest request(String method, String path, String body, String cookies) {
        String token = cookies.replaceAll("(?s).*XSRF-TOKEN=([^;]*).*", "$1");
        return HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", token)
                // As the pages do: they hear of what they ordered from their stream.
                .header("Prefer", method.equals("POST") && path.endsWith("/words") ? "return=minimal" : "none")
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
