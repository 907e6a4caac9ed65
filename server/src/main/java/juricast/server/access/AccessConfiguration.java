package juricast.server.access;

import static org.springframework.security.config.Customizer.withDefaults;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.authority.AuthorityUtils;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.session.NullAuthenticatedSessionStrategy;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfTokenRequestAttributeHandler;
import org.springframework.security.web.csrf.CsrfTokenRequestHandler;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Sessions, CSRF protection and headers by Spring Security; who may call what by {@link Gate}. */
@Configuration
class AccessConfiguration implements WebMvcConfigurer {
    private final ObjectProvider<Noting> noting;

    AccessConfiguration(ObjectProvider<Noting> noting) {
        this.noting = noting;
    }

    /** Scripts, styles, fonts and signs are the same for everybody and kept by whoever likes: they bring no cookie. */
    @Bean
    @Order(1)
    SecurityFilterChain shipped(HttpSecurity http) throws Exception {
        return http.securityMatcher("/assets/**", "/favicon.svg")
                .csrf(csrf -> csrf.disable())
                .sessionManagement(session -> session.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .logout(logout -> logout.disable())
                .requestCache(cache -> cache.disable())
                .anonymous(anonymous -> anonymous.disable())
                .headers(headers -> headers.defaultsDisabled().contentTypeOptions(withDefaults()))
                .build();
    }

    @Bean
    SecurityFilterChain security(HttpSecurity http, Sessions sessions, Bodies bodies, CsrfTokenRepository tokens)
            throws Exception {
        // The framework would make a new token for every request of who is signed in; one for each sign-in is enough.
        return http.csrf(csrf -> csrf.csrfTokenRepository(tokens)
                        .csrfTokenRequestHandler(plainTokens())
                        .sessionAuthenticationStrategy(new NullAuthenticatedSessionStrategy()))
                .sessionManagement(session -> session.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .logout(logout -> logout.disable())
                .requestCache(cache -> cache.disable())
                .anonymous(anonymous -> anonymous.disable())
                .headers(headers -> headers.referrerPolicy(policy -> policy.policy(
                        org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy
                                .NO_REFERRER)))
                .addFilterBefore(new WhoCalls(sessions), CsrfFilter.class)
                // Before the token is looked for, which may already read a body.
                .addFilterAfter(bodies, WhoCalls.class)
                .build();
    }

    /**
     * The token stands in a cookie and a header and never in a page, so it need not be masked anew for every answer against
     * guessing by compressed size. Every first answer brings it, because its name is asked for.
     */
    private static CsrfTokenRequestHandler plainTokens() {
        var handler = new CsrfTokenRequestAttributeHandler();
        handler.setCsrfRequestAttributeName(null);
        return handler;
    }

    @Bean
    CsrfTokenRepository tokens() {
        CookieCsrfTokenRepository tokens = CookieCsrfTokenRepository.withHttpOnlyFalse();
        tokens.setCookieCustomizer(cookie -> cookie.sameSite("Strict"));
        return tokens;
    }

    @Bean
    PasswordEncoder passwords() {
        return new BCryptPasswordEncoder();
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(new Gate());
        registry.addInterceptor(noting.getObject());
    }

    /** Finds out who calls, from the session cookie. */
    private static final class WhoCalls extends OncePerRequestFilter {
        private final Sessions sessions;

        WhoCalls(Sessions sessions) {
            this.sessions = sessions;
        }

        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            if (request.getRequestURI().startsWith("/api/")) {
                Cookies.session(request).flatMap(sessions::find).ifPresent(who -> SecurityContextHolder.getContext()
                        .setAuthentication(new UsernamePasswordAuthenticationToken(
                                who,
                                List.of(),
                                AuthorityUtils.createAuthorityList(
                                        "ROLE_" + who.position().name()))));
            }
            chain.doFilter(request, response);
        }
    }
}
