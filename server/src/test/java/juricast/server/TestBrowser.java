package juricast.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpHeaders;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.CompletableFuture;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What a browser does over HTTP: keeps cookies, and sends the CSRF token back. */
public final class TestBrowser {
    private static final JsonMapper JSON = new JsonMapper();

    private final String address;
    private final CookieManager cookies;
    private final HttpClient client;

    TestBrowser(String address) {
        this(address, new CookieManager());
        get("/api/standing");
    }

    private TestBrowser(String address, CookieManager cookies) {
        this.address = address;
        this.cookies = cookies;
        this.client = HttpClient.newBuilder().cookieHandler(cookies).build();
    }

    public static JsonNode read(String json) {
        return JSON.readTree(json);
    }

    /** The same browser, with its cookies, at another address of the server. */
    public TestBrowser movedTo(String other) {
        return new TestBrowser(other, cookies);
    }

    /** Another browser that has got hold of this one's cookies. */
    public TestBrowser thief() {
        var copied = new CookieManager();
        cookies.getCookieStore().getCookies().forEach(cookie -> copied.getCookieStore()
                .add(URI.create(address), (HttpCookie) cookie.clone()));
        return new TestBrowser(address, copied);
    }

    /** An answer. @param view where the page is that an order was given from; empty if it was none */
    public record Answer(int status, String text, Supplier<JsonNode> view, HttpHeaders headers) {
        /** A header, empty if there is none. */
        public String header(String name) {
            return headers.firstValue(name).orElse("");
        }

        /** What came; after an order in a lesson, the desk or the seat as it is now, as the page would be told by its stream. */
        public JsonNode json() {
            JsonNode came = JSON.readTree(text);
            return came.isObject() && came.size() == 1 && came.has("number") ? view.get() : came;
        }
    }

    private static final Pattern LIVE = Pattern.compile("(/api/lessons/[^/]+|/api/seats/[^/]+)/.*");

    private Supplier<JsonNode> viewBehind(URI order) {
        Matcher live = LIVE.matcher(order.getPath());
        return () -> {
            if (!live.matches()) {
                throw new AssertionError("No page is behind " + order);
            }
            String page = live.group(1);
            return get(page.startsWith("/api/lessons") ? page + "/desk" : page).json();
        };
    }

    /** The same browser once somebody has chosen a language in it. */
    public TestBrowser speaking(String language) {
        var cookie = new HttpCookie("language", language);
        cookie.setPath("/");
        cookie.setVersion(0);
        cookies.getCookieStore().add(URI.create(address), cookie);
        return this;
    }

    public Answer get(String path) {
        return send("GET", path, null, "application/json");
    }

    /** The same with a header besides. */
    public Answer get(String path, String header, String value) {
        return send(request("GET", path, null, "application/json")
                .header(header, value)
                .build());
    }

    /** Changes something that is as it was when this tag was given. */
    public Answer put(String path, String tag, String body) {
        return send(request("PUT", path, body, "application/json")
                .header("If-Match", tag)
                .build());
    }

    public Answer post(String path, String body) {
        return send("POST", path, body, "application/json");
    }

    public Answer put(String path, String body) {
        return send("PUT", path, body, "application/json");
    }

    public Answer delete(String path) {
        return send("DELETE", path, null, "application/json");
    }

    /** Uploads a roster, and a fingerprint if it is not empty. */
    public Answer upload(String path, byte[] file, String fingerprint) {
        return upload(path, "roster.csv", file, fingerprint);
    }

    /** Uploads a file under a name. */
    public Answer upload(String path, String name, byte[] file, String fingerprint) {
        String text = new String(file, StandardCharsets.ISO_8859_1);
        String body = "--part\r\nContent-Disposition: form-data; name=\"file\"; filename=\"" + name + "\"\r\n\r\n"
                + text
                + (fingerprint.isEmpty()
                        ? ""
                        : "\r\n--part\r\nContent-Disposition: form-data; name=\"fingerprint\"\r\n\r\n" + fingerprint)
                + "\r\n--part--\r\n";
        return send("POST", path, body, "multipart/form-data; boundary=part");
    }

    /** A file as it comes. */
    public byte[] bytes(String path) {
        return fetch(request("GET", path, null, "application/json").build());
    }

    /** A part of a file; nothing where there is no such part. */
    public byte[] range(String path, String range) {
        return fetch(request("GET", path, null, "application/json")
                .header("Range", range)
                .build());
    }

    private byte[] fetch(HttpRequest request) {
        try {
            HttpResponse<byte[]> answer = client.send(request, HttpResponse.BodyHandlers.ofByteArray());
            return answer.statusCode() < 300 ? answer.body() : new byte[0];
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        } catch (InterruptedException stopped) {
            throw new IllegalStateException(stopped);
        }
    }

    /** Sends without the token, as another site would make a browser do. */
    public Answer forgedPost(String path, String body) {
        return send(HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(body))
                .build());
    }

    public Answer send(String method, String path, String body, String type) {
        return send(request(method, path, body, type).build());
    }

    private HttpRequest.Builder request(String method, String path, String body, String type) {
        var publisher = body == null
                ? HttpRequest.BodyPublishers.noBody()
                : HttpRequest.BodyPublishers.ofString(body, charset(type));
        return HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", type)
                .header("X-XSRF-TOKEN", token())
                .method(method, publisher);
    }

    /** Listens to a stream, from the number that was seen last. @return done once the server has ended it */
    public CompletableFuture<Void> lines(String path, int last, java.util.function.Consumer<String> hear) {
        return client.sendAsync(
                        HttpRequest.newBuilder(URI.create(address + path))
                                .header("Last-Event-ID", Integer.toString(last))
                                .build(),
                        HttpResponse.BodyHandlers.ofLines())
                // On a thread of its own, also if the answer has begun before this is said: a line lasts.
                .thenAcceptAsync(answer -> answer.body().forEach(hear), task -> {
                    var listener = new Thread(task, "listens");
                    listener.setDaemon(true);
                    listener.start();
                });
    }

    private static java.nio.charset.Charset charset(String type) {
        return type.startsWith("multipart") || type.contains("zip")
                ? StandardCharsets.ISO_8859_1
                : StandardCharsets.UTF_8;
    }

    private Answer send(HttpRequest request) {
        try {
            HttpResponse<String> answer = client.send(request, HttpResponse.BodyHandlers.ofString());
            return new Answer(answer.statusCode(), answer.body(), viewBehind(request.uri()), answer.headers());
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        } catch (InterruptedException stopped) {
            throw new IllegalStateException(stopped);
        }
    }

    /** A connection of its own that has asked for this and not read anything yet. */
    public Socket socket(String path) throws IOException {
        URI at = URI.create(address + path);
        var socket = new Socket(at.getHost(), at.getPort());
        String all = cookies.getCookieStore().getCookies().stream()
                .map(cookie -> cookie.getName() + "=" + cookie.getValue())
                .collect(Collectors.joining("; "));
        socket.getOutputStream()
                .write("GET %s HTTP/1.1\r\nHost: localhost\r\nCookie: %s\r\n\r\n"
                        .formatted(path, all)
                        .getBytes(StandardCharsets.US_ASCII));
        return socket;
    }

    /** The token against forged requests that this browser holds. */
    public String token() {
        return cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("none");
    }
}
