package juricast.server.lesson;

import java.nio.charset.StandardCharsets;
import org.springframework.http.MediaType;
import org.springframework.http.server.ServerHttpResponse;
import org.springframework.web.servlet.mvc.method.annotation.ResponseBodyEmitter;

/** A stream of server-sent events that are written as whole pieces, and never times out by itself. */
class EventLine extends ResponseBodyEmitter {
    EventLine() {
        super(0L);
    }

    @Override
    protected void extendResponse(ServerHttpResponse response) {
        super.extendResponse(response);
        response.getHeaders().setContentType(new MediaType("text", "event-stream", StandardCharsets.UTF_8));
        response.getHeaders().setCacheControl("no-store");
    }
}
