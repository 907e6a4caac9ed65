package juricast.server.lesson;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * What an order is answered with: the view as it is then, or, for who says {@code Prefer: return=minimal} (RFC 7240) since
 * a stream brings the view anyway, only that it was carried out.
 */
@Component
class Answers {
    private static final String MINIMAL = "return=minimal";

    private final HttpServletRequest request;
    private final HttpServletResponse response;

    /** Both stand for the request of the calling thread. */
    Answers(HttpServletRequest request, HttpServletResponse response) {
        this.request = request;
        this.response = response;
    }

    <T> @Nullable T with(Supplier<T> view) {
        if (!MINIMAL.equals(request.getHeader("Prefer"))) {
            return view.get();
        }
        response.setStatus(HttpServletResponse.SC_NO_CONTENT);
        response.setHeader("Preference-Applied", MINIMAL);
        return null;
    }
}
