package juricast.server.access;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import juricast.server.data.Addresses;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Answers only who asks for this program by its own name, before anything else is done for them. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class KnownHost extends OncePerRequestFilter {
    private final Addresses addresses;

    KnownHost(Addresses addresses) {
        this.addresses = addresses;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String host = request.getHeader(HttpHeaders.HOST);
        if (host != null && addresses.isOurs(host)) {
            chain.doFilter(request, response);
        } else {
            response.setStatus(HttpStatus.MISDIRECTED_REQUEST.value());
            response.setContentType("text/plain;charset=UTF-8");
            response.getWriter().write("This is not the address under which this school is found.\n");
        }
    }
}
