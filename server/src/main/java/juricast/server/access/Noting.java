package juricast.server.access;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;

/** Notes looks at what is {@link Noted}. */
@Component
class Noting implements HandlerInterceptor {
    private final AccessLog log;

    Noting(AccessLog log) {
        this.log = log;
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable Exception failed) {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        if (handler instanceof HandlerMethod method
                && method.hasMethodAnnotation(Noted.class)
                && response.getStatus() < 300
                && who != null
                && who.getPrincipal() instanceof SignedIn caller) {
            Noted noted = method.getMethodAnnotation(Noted.class);
            Map<String, String> named = named(request);
            String of = Optional.ofNullable(named.get("lesson"))
                    .map(lesson -> " of lesson " + lesson)
                    .or(() -> Optional.ofNullable(named.get("recording")).map(id -> " of recording " + id))
                    .or(() -> Optional.ofNullable(named.get("incident")).map(id -> " of incident " + id))
                    .or(() -> Optional.ofNullable(named.get("id")).map(id -> " of class " + id))
                    .orElse("");
            log.note(
                    noted.takenAway() ? AccessLog.Kind.TOOK_AWAY : AccessLog.Kind.LOOKED,
                    caller.person(),
                    named.getOrDefault("person", ""),
                    noted.value() + of,
                    request);
        }
    }

    @SuppressWarnings("unchecked") // the framework says what it puts there
    private static Map<String, String> named(HttpServletRequest request) {
        Object found = request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
        return found == null ? Map.of() : (Map<String, String>) found;
    }
}
