package juricast.server.editing;

import java.util.Arrays;
import juricast.server.data.Ids;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.http.server.ServerHttpRequest;
import org.springframework.http.server.ServerHttpResponse;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import org.springframework.web.servlet.mvc.method.annotation.ResponseBodyAdvice;
import tools.jackson.databind.json.JsonMapper;

/**
 * Tags what is edited as a whole with a hash of itself (RFC 9110, 8.8.3), and lets a change through only if what is changed is
 * still as it was when the editor began.
 */
@RestControllerAdvice
public class Editions implements ResponseBodyAdvice<Object> {
    private final JsonMapper json;

    Editions(JsonMapper json) {
        this.json = json;
    }

    /**
     * Goes on if the request does not say what it changes, or what it says is so still.
     *
     * @param current the answer of the endpoint from which the editor has it
     * @throws Problem 412 if somebody else has changed it since
     */
    public void mustBe(Object current) {
        if (RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes asked) {
            String wanted = asked.getRequest().getHeader(HttpHeaders.IF_MATCH);
            boolean isSame = wanted == null
                    || wanted.equals("*")
                    || Arrays.stream(wanted.split(",")).map(String::strip).anyMatch(tag(current)::equals);
            if (!isSame) {
                throw Problem.changedMeanwhile();
            }
        }
    }

    private String tag(Object body) {
        return '"' + Ids.hash(json.writeValueAsString(body)) + '"';
    }

    @Override
    public boolean supports(MethodParameter answer, Class<? extends HttpMessageConverter<?>> converter) {
        return answer.hasMethodAnnotation(Edited.class);
    }

    @Override
    public @Nullable Object beforeBodyWrite(
            @Nullable Object body,
            MethodParameter answer,
            MediaType type,
            Class<? extends HttpMessageConverter<?>> converter,
            ServerHttpRequest request,
            ServerHttpResponse response) {
        if (body != null) {
            response.getHeaders().setETag(tag(body));
        }
        return body;
    }
}
