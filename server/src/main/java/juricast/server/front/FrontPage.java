package juricast.server.front;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import juricast.server.access.For;
import juricast.server.data.Ids;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.EncodedResourceResolver;

/** One page for all addresses of the front end; its styles carry a number that is new each time. */
@RestController
class FrontPage {
    private static final String NONCE = "%NONCE%";
    private static final String POLICY = "default-src 'self'; style-src 'self' 'nonce-%s'; img-src 'self' data:;"
            + " object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    private final String page;

    FrontPage() throws IOException {
        try (InputStream built = FrontPage.class.getResourceAsStream("/web/index.html")) {
            page = built == null
                    ? "<!doctype html><title>Juricast</title><p>The front end is not built. Run ./juricast build"
                    : new String(built.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @For(anyone = true)
    @GetMapping(
            path = {
                "/",
                "/sign-in",
                "/first-start",
                "/today",
                "/corridor",
                "/charter",
                "/rules/**",
                "/sets",
                "/try",
                "/people",
                "/account",
                "/upkeep",
                "/timetable",
                "/inspection",
                "/attendance",
                "/attendance/**",
                "/keeping",
                "/casebook",
                "/casebook/*",
                "/ladder",
                "/recordings",
                "/recordings/*",
                "/recordings/*/watch",
                "/consents",
                "/kept",
                "/pupils/**",
                "/calendar",
                "/outbox",
                "/classes",
                "/classes/**",
                "/lessons/**",
                "/join/**",
                "/seat/**",
                "/bring/*",
                "/looks",
                "/stand-in"
            },
            produces = MediaType.TEXT_HTML_VALUE)
    @io.swagger.v3.oas.annotations.Hidden
    ResponseEntity<String> page() {
        String nonce = Ids.next();
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noStore())
                .header("Content-Security-Policy", POLICY.formatted(nonce))
                .body(page.replace(NONCE, nonce));
    }

    /** Built files have their content's hash in the name, so they may be kept for ever. */
    @Configuration
    static class Files implements WebMvcConfigurer {
        @Override
        public void addResourceHandlers(ResourceHandlerRegistry registry) {
            registry.addResourceHandler("/assets/**")
                    .addResourceLocations("classpath:/web/assets/")
                    .setCacheControl(CacheControl.maxAge(Duration.ofDays(365)).cachePublic())
                    // Built files stand there compressed already, each beside its plain one; who cannot read that is
                    // served as all answers are (server.compression).
                    .resourceChain(true)
                    .addResolver(compressed());
            registry.addResourceHandler("/favicon.svg").addResourceLocations("classpath:/web/");
        }

        private static EncodedResourceResolver compressed() {
            var resolver = new EncodedResourceResolver();
            // Of several it would take the one that the browser names first, and browsers name the larger one first.
            resolver.setContentCodings(List.of("br"));
            return resolver;
        }
    }
}
