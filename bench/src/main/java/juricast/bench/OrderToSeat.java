package juricast.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Thirty pupils with a stream each; a teacher closes and reopens the chat, and each seat's news is timed. */
final class OrderToSeat {
    private static final int PUPILS = 30;
    private static final int ORDERS = 200;
    private static final JsonMapper JSON = new JsonMapper();

    private final String address;
    private final ConcurrentHashMap<Integer, News> news = new ConcurrentHashMap<>();

    /** When the seats heard of the event with one number, by the clock of this machine. */
    private static final class News {
        private final List<Long> nanos = Collections.synchronizedList(new ArrayList<>());
        private final CountDownLatch arrived = new CountDownLatch(PUPILS);

        void arrive() {
            nanos.add(System.nanoTime());
            arrived.countDown();
        }
    }

    private OrderToSeat(String address) {
        this.address = address;
    }

    static void measure(String address) throws Exception {
        new OrderToSeat(address).run();
    }

    private void run() throws Exception {
        Client teacher = new Client();
        teacher.send("POST", "/api/demo/session/thora-melling", "{}");
        JsonNode standing = teacher.send("GET", "/api/standing", null);
        String zone = standing.get("zone").asString();
        var now = java.time.Instant.now().atZone(java.time.ZoneId.of(zone)).plusMinutes(2);
        String classPath = "/api/classes/"
                + teacher.send("POST", "/api/classes", "{\"title\":\"Measured Class\",\"year\":8}")
                        .get("id")
                        .asString();
        teacher.roster(classPath);
        teacher.send(
                "POST",
                classPath + "/series",
                """
                {"first":"%1$s","until":"%1$s","days":["%2$s"],"start":"%3$s","minutes":60}"""
                        .formatted(
                                now.toLocalDate(),
                                now.getDayOfWeek(),
                                now.toLocalTime().toString().substring(0, 5)));
        JsonNode page = teacher.send("GET", classPath, null);
        String lesson = "/api/lessons/" + page.at("/lessons/0/id").asString();
        JsonNode joining = teacher.send("GET", classPath + "/joining", null);
        String token = joining.get("link").asString().replaceAll(".*/join/", "");
        teacher.send("POST", lesson + "/open", "{}");
        var ready = new CountDownLatch(PUPILS);
        for (int i = 0; i < PUPILS; i++) {
            Client pupil = new Client();
            String visit = pupil.send(
                            "POST",
                            "/api/doorsteps/" + token + "/knock",
                            """
                    {"name":"%s","word":"%s","agreed":true}"""
                                    .formatted(nameOf(i), joining.get("word").asString()))
                    .get("visit")
                    .asString();
            var listener = new Thread(() -> pupil.listen("/api/seats/" + visit + "/stream", ready));
            listener.setDaemon(true);
            listener.start();
        }
        ready.await(30, TimeUnit.SECONDS);
        teacher.send("POST", lesson + "/admit-all-listed", "{}");
        TimeUnit.SECONDS.sleep(2);
        var answered = new ArrayList<Long>();
        var micros = new ArrayList<Long>();
        for (int i = 0; i < ORDERS; i++) {
            String value = i % 2 == 0 ? "closed" : "open";
            long began = System.nanoTime();
            int number = teacher.send(
                            "PUT",
                            lesson + "/live-setting",
                            "{\"rule\":\"chat.class\",\"value\":\"%s\"}".formatted(value))
                    .get("number")
                    .asInt();
            answered.add((System.nanoTime() - began) / 1000);
            News ofOrder = of(number);
            if (!ofOrder.arrived.await(5, TimeUnit.SECONDS)) {
                throw new IllegalStateException("A seat did not hear of order " + number);
            }
            ofOrder.nanos.forEach(heard -> micros.add((heard - began) / 1000));
        }
        // The first orders warm the machine up and are not what a lesson feels like.
        List<Long> warm = List.copyOf(micros).subList(PUPILS * 50, micros.size());
        System.out.printf(
                "  at the seat: median %.1f ms, p99 %.1f ms (%d seats, %d orders, %d news)%n",
                Figures.median(warm) / 1000.0, Figures.percentile(warm, 99) / 1000.0, PUPILS, ORDERS - 50, warm.size());
        List<Long> answers = answered.subList(50, answered.size());
        System.out.printf(
                "  answered at the desk, on the disk: median %.1f ms, p99 %.1f ms%n",
                Figures.median(answers) / 1000.0, Figures.percentile(answers, 99) / 1000.0);
    }

    private News of(int number) {
        return news.computeIfAbsent(number, unheard -> new News());
    }

    private static String nameOf(int i) {
        return "Pupil " + Character.toString('A' + i % 26) + "number" + Character.toString('a' + i / 26) + " Measured";
    }

    /** One browser's cookies. */
    private final class Client {
        private final CookieManager cookies = new CookieManager();
        private final HttpClient http =
                HttpClient.newBuilder().cookieHandler(cookies).build();

        Client() throws Exception {
            send("GET", "/api/standing", null);
        }

        JsonNode send(String method, String path, String body) throws Exception {
            return send(method, path, body, "application/json");
        }

        void roster(String classPath) throws Exception {
            var rows = new StringBuilder("name\r\n");
            for (int i = 0; i < PUPILS; i++) {
                rows.append(nameOf(i)).append("\r\n");
            }
            String file = "--part\r\nContent-Disposition: form-data; name=\"file\"; filename=\"r.csv\"\r\n\r\n" + rows;
            String type = "multipart/form-data; boundary=part";
            String fingerprint = send("POST", classPath + "/roster/preview", file + "\r\n--part--\r\n", type)
                    .get("fingerprint")
                    .asString();
            send(
                    "POST",
                    classPath + "/roster",
                    file + "\r\n--part\r\nContent-Disposition: form-data; name=\"fingerprint\"\r\n\r\n" + fingerprint
                            + "\r\n--part--\r\n",
                    type);
        }

        private JsonNode send(String method, String path, String body, String type) throws Exception {
            String token = cookies.getCookieStore().getCookies().stream()
                    .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                    .map(cookie -> cookie.getValue())
                    .findFirst()
                    .orElse("");
            HttpResponse<String> answer = http.send(
                    HttpRequest.newBuilder(URI.create(address + path))
                            .header("Content-Type", type)
                            .header("X-XSRF-TOKEN", token)
                            .method(
                                    method,
                                    body == null
                                            ? HttpRequest.BodyPublishers.noBody()
                                            : HttpRequest.BodyPublishers.ofString(body))
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
            if (answer.statusCode() != 200) {
                throw new IllegalStateException(method + " " + path + ": " + answer.body());
            }
            return answer.body().isEmpty() ? JSON.createObjectNode() : JSON.readTree(answer.body());
        }

        void listen(String path, CountDownLatch ready) {
            try {
                http.send(
                                HttpRequest.newBuilder(URI.create(address + path))
                                        .build(),
                                HttpResponse.BodyHandlers.ofLines())
                        .body()
                        .forEach(line -> {
                            if (line.startsWith("id:")) {
                                ready.countDown();
                                of(Integer.parseInt(line.substring(3).strip())).arrive();
                            }
                        });
            } catch (IOException | UncheckedIOException ended) {
                // The application is stopped when the figures are in.
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            }
        }
    }
}
