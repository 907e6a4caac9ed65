package juricast.server.access;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Arrays;
import java.util.Set;
import juricast.server.problems.Problem;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;

/** Stands before every endpoint of ours and lets nobody through whom it does not name. */
final class Gate implements HandlerInterceptor {
    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        // A stream that ends is dispatched once more; it was let through when it began.
        boolean again = request.getDispatcherType() == DispatcherType.ASYNC;
        if (again || !(handler instanceof HandlerMethod method) || isNotOurs(method)) {
            return true;
        }
        letThrough(method);
        return true;
    }

    /** @throws Problem if the endpoint does not name the caller */
    static void letThrough(HandlerMethod method) {
        For named = method.getMethodAnnotation(For.class);
        if (named != null && named.anyone()) {
            return;
        }
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        if (who == null || !(who.getPrincipal() instanceof SignedIn caller)) {
            throw Problem.notSignedIn();
        }
        if (named == null
                || !Arrays.asList(named.value()).contains(caller.position())
                || !Arrays.stream(named.shows()).allMatch(caller.reader(Set.of(), Set.of(), Set.of())::mayReadAll)) {
            throw Problem.notYours("This is not for you to do", "Ask the safeguarding lead or a teacher of the class.");
        }
        if (!named.unfinished()) {
            refuseUnfinished(caller);
        }
    }

    private static void refuseUnfinished(SignedIn caller) {
        switch (caller.missing()) {
            case OWN_PASSWORD -> throw Problem.first(
                    "own-password-first",
                    "Choose a password of your own first",
                    "You came in by a code that counts once. Choose a password under Your account.");
            case SECOND_FACTOR -> throw Problem.first(
                    "second-factor-first",
                    "Set up a second factor first",
                    "Your school asks for one of those in your position. Set it up under Your account.");
            case NOTHING -> {}
        }
    }

    /** The API description and the framework's error page have no data of the school. */
    private static boolean isNotOurs(HandlerMethod method) {
        return !method.getBeanType().getName().startsWith("juricast.");
    }
}
