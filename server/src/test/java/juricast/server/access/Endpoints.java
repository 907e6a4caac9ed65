package juricast.server.access;

import java.util.Arrays;
import java.util.stream.Stream;
import juricast.server.RunningServer;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Every endpoint of the API, as the running server has them. */
final class Endpoints {
    private Endpoints() {}

    record Endpoint(String method, String path, String takes, HandlerMethod handler) {
        boolean isFor(Position position) {
            For named = handler.getMethodAnnotation(For.class);
            return named.anyone() || Arrays.asList(named.value()).contains(position);
        }
    }

    static Stream<Endpoint> of(RunningServer server) {
        return server.bean(RequestMappingHandlerMapping.class).getHandlerMethods().entrySet().stream()
                .filter(one -> one.getValue().getBeanType().getName().startsWith("juricast."))
                .flatMap(one -> one.getKey().getPatternValues().stream()
                        .filter(path -> path.startsWith("/api/"))
                        .flatMap(path -> one.getKey().getMethodsCondition().getMethods().stream()
                                .map(RequestMethod::name)
                                .map(method -> new Endpoint(method, path, takes(one.getKey()), one.getValue()))));
    }

    private static String takes(RequestMappingInfo info) {
        return info.getConsumesCondition().getConsumableMediaTypes().stream()
                .filter(MediaType::isConcrete)
                .map(MediaType::toString)
                .findFirst()
                .orElse(MediaType.APPLICATION_JSON_VALUE);
    }
}
