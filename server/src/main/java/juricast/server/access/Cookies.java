package juricast.server.access;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Arrays;
import java.util.Optional;
import juricast.core.identity.DeviceId;
import juricast.server.data.Ids;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;

/** The two cookies: who is signed in, and which device it is. Scripts can read neither. */
public final class Cookies {
    private static final String SESSION = "juricast_session";
    private static final String DEVICE = "juricast_device";

    private Cookies() {}

    /** The session that the caller names, if any. */
    public static Optional<String> session(HttpServletRequest request) {
        return find(request, SESSION);
    }

    static void setSession(HttpServletRequest request, HttpServletResponse response, String token) {
        set(request, response, SESSION, token, Sessions.LASTS);
    }

    public static void clearSession(HttpServletRequest request, HttpServletResponse response) {
        set(request, response, SESSION, "", Duration.ZERO);
    }

    /** The device that calls, if it has called before. */
    public static Optional<DeviceId> device(HttpServletRequest request) {
        return find(request, DEVICE).map(secret -> new DeviceId(Ids.hash(secret)));
    }

    /** The device that calls; a new one gets its cookie. */
    public static DeviceId deviceOrNew(HttpServletRequest request, HttpServletResponse response) {
        return device(request).orElseGet(() -> renewDevice(request, response));
    }

    /** Makes the device that calls another one, for whoever uses it next. */
    public static DeviceId renewDevice(HttpServletRequest request, HttpServletResponse response) {
        String secret = Ids.next();
        set(request, response, DEVICE, secret, Duration.ofDays(400));
        return new DeviceId(Ids.hash(secret));
    }

    private static void set(
            HttpServletRequest request, HttpServletResponse response, String name, String value, Duration age) {
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(name, value)
                        .httpOnly(true)
                        .sameSite("Strict")
                        .secure(request.isSecure())
                        .path("/")
                        .maxAge(age)
                        .build()
                        .toString());
    }

    private static Optional<String> find(HttpServletRequest request, String name) {
        return Optional.ofNullable(request.getCookies()).stream()
                .flatMap(Arrays::stream)
                .filter(cookie ->
                        cookie.getName().equals(name) && !cookie.getValue().isEmpty())
                .map(Cookie::getValue)
                .findFirst();
    }
}
