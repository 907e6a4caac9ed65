package juricast.server.front;

import jakarta.servlet.http.HttpServletRequest;
import java.util.HashSet;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.webmvc.autoconfigure.WebMvcRegistrations;
import org.springframework.stereotype.Component;
import org.springframework.util.StringUtils;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Finds an endpoint by the shape of its path: how many parts it has, and the last of them. The framework files only paths without
 * variables and asks all other endpoints, one after the other; at two hundred and fifty of them that was a sixth of what an order cost.
 * What this does not find, the framework still looks for in its own way.
 */
@Component
final class PathFirst implements WebMvcRegistrations {
    @Override
    public RequestMappingHandlerMapping getRequestMappingHandlerMapping() {
        return new ByShape();
    }

    private static final class ByShape extends RequestMappingHandlerMapping {
        private static final String VARIABLE = "{}";

        private final Set<String> filed = new HashSet<>();

        @Override
        protected Set<String> getDirectPaths(RequestMappingInfo endpoint) {
            Set<String> shapes = endpoint.getPatternValues().stream()
                    .filter(pattern -> !pattern.contains("*"))
                    .map(pattern -> shape(pattern, pattern.endsWith("}") ? VARIABLE : last(pattern)))
                    .collect(Collectors.toSet());
            filed.addAll(shapes);
            return shapes;
        }

        @Override
        protected @Nullable HandlerMethod lookupHandlerMethod(String path, HttpServletRequest request)
                throws Exception {
            String shape = shape(path, last(path));
            return super.lookupHandlerMethod(filed.contains(shape) ? shape : shape(path, VARIABLE), request);
        }

        private static String last(String path) {
            return path.substring(path.lastIndexOf('/') + 1);
        }

        private static String shape(String path, String last) {
            return StringUtils.countOccurrencesOf(path, "/") + " " + last;
        }
    }
}
