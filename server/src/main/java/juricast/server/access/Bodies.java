package juricast.server.access;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import juricast.server.problems.BodyTooLarge;
import juricast.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerExceptionResolver;
import org.springframework.web.servlet.HandlerExecutionChain;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Bounds what a request brings before anything of it is parsed or kept: words and orders are small, and only whom an
 * endpoint for files names may send it more. Whoever is not known can therefore make the server hold next to nothing.
 */
@Component
class Bodies extends OncePerRequestFilter {
    /** Bytes of a body that is no file. */
    static final int MOST = 64 * 1024;

    private final ObjectProvider<RequestMappingHandlerMapping> endpoints;
    private final ObjectProvider<HandlerExceptionResolver> answers;

    Bodies(
            @Qualifier("requestMappingHandlerMapping") ObjectProvider<RequestMappingHandlerMapping> endpoints,
            @Qualifier("handlerExceptionResolver") ObjectProvider<HandlerExceptionResolver> answers) {
        this.endpoints = endpoints;
        this.answers = answers;
    }

    /** It stands in the security chain, where it is known who calls; not a second time before it. */
    @Configuration
    static class OnlyThere {
        @Bean
        FilterRegistrationBean<Bodies> notBySelf(Bodies bodies) {
            var registration = new FilterRegistrationBean<>(bodies);
            registration.setEnabled(false);
            return registration;
        }
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long length = request.getContentLengthLong();
        boolean isFile = String.valueOf(request.getContentType()).startsWith("multipart/");
        if (length == 0 || length < 0 && request.getHeader("Transfer-Encoding") == null) {
            chain.doFilter(request, response);
            return;
        }
        try {
            int most = isFile || length > MOST || length < 0 ? most(request) : MOST;
            if (length > most || isFile && most == MOST) {
                throw Problem.tooLarge(most);
            }
            chain.doFilter(length < 0 ? new Counted(request, most) : request, response);
        } catch (Problem problem) {
            // What is not wanted is not read either, but for what the web server swallows so that the answer is heard.
            answers.getObject().resolveException(request, response, null, problem);
        }
    }

    private int most(HttpServletRequest request) {
        HandlerMethod method = endpoint(request);
        Takes takes = method == null ? null : method.getMethodAnnotation(Takes.class);
        if (takes == null) {
            return MOST;
        }
        Gate.letThrough(method);
        return takes.value();
    }

    private @Nullable HandlerMethod endpoint(HttpServletRequest request) {
        try {
            HandlerExecutionChain found = endpoints.getObject().getHandler(request);
            return found != null && found.getHandler() instanceof HandlerMethod method ? method : null;
        } catch (Exception noneThere) {
            // There is no such endpoint, or none for this method: that is said where it is looked for again.
            return null;
        }
    }

    /** A body that does not say how long it is. */
    private static final class Counted extends HttpServletRequestWrapper {
        private final int most;

        Counted(HttpServletRequest request, int most) {
            super(request);
            this.most = most;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            ServletInputStream all = super.getInputStream();
            return new ServletInputStream() {
                private int read;

                @Override
                public int read() throws IOException {
                    int one = all.read();
                    count(one < 0 ? 0 : 1);
                    return one;
                }

                @Override
                public int read(byte[] into, int at, int length) throws IOException {
                    int some = all.read(into, at, length);
                    count(Math.max(0, some));
                    return some;
                }

                private void count(int more) throws BodyTooLarge {
                    read += more;
                    if (read > most) {
                        throw new BodyTooLarge(most);
                    }
                }

                @Override
                public boolean isFinished() {
                    return all.isFinished();
                }

                @Override
                public boolean isReady() {
                    return all.isReady();
                }

                @Override
                public void setReadListener(ReadListener listener) {
                    all.setReadListener(listener);
                }
            };
        }
    }
}
