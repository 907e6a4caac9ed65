package juricast.bench;

import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** Somebody of the demo who is signed in and asks the running application. */
final class AsPerson {
    private final CookieManager cookies = new CookieManager();
    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private final String address;

    AsPerson(RunningJar demo, String person) throws Exception {
        this(demo.address(), person);
    }

    AsPerson(String address, String person) throws Exception {
        this.address = address;
        send("GET", "/api/standing", null);
        send("POST", "/api/demo/session/" + person, "{}");
    }

    /** Follows a lesson, as an open page does: who does not is soon taken for gone. */
    void follow(String path) {
        client.sendAsync(
                HttpRequest.newBuilder(URI.create(address + path)).build(), HttpResponse.BodyHandlers.discarding());
    }

    /** A file as it comes. */
    byte[] bytes(String path) throws Exception {
        HttpResponse<byte[]> answer = client.send(
                HttpRequest.newBuilder(URI.create(address + path)).build(), HttpResponse.BodyHandlers.ofByteArray());
        if (answer.statusCode() >= 400) {
            throw new IllegalStateException(path + ": " + answer.statusCode());
        }
        return answer.body();
    }

    /** Sends a file in a form. */
    String upload(String path, byte[] file) throws Exception {
        byte[] head = "--part\r\nContent-Disposition: form-data; name=\"file\"; filename=\"file\"\r\n\r\n"
                .getBytes(StandardCharsets.US_ASCII);
        byte[] end = "\r\n--part--\r\n".getBytes(StandardCharsets.US_ASCII);
        HttpResponse<String> answer = client.send(
                HttpRequest.newBuilder(URI.create(address + path))
                        .header("Content-Type", "multipart/form-data; boundary=part")
                        .header("X-XSRF-TOKEN", token())
                        .POST(HttpRequest.BodyPublishers.ofByteArrays(List.of(head, file, end)))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        return answer.body();
    }

    private String token() {
        return cookies.getCookieStore().getCookies().stream()
                .filter(one -> one.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("none");
    }

    String send(String method, String path, String body) throws Exception {
        return send(method, path, body, "application/json");
    }

    String send(String method, String path, String body, String type) throws Exception {
        HttpResponse<String> answer = client.send(
                HttpRequest.newBuilder(URI.create(address + path))
                        .header("Content-Type", type)
                        .header("X-XSRF-TOKEN", token())
                        .method(
                                method,
                                body == null
                                        ? HttpRequest.BodyPublishers.noBody()
                                        : HttpRequest.BodyPublishers.ofString(body))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() >= 400) {
            throw new IllegalStateException(path + ": " + answer.body());
        }
        return answer.body();
    }
}
