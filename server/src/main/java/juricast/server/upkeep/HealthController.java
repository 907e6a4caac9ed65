package juricast.server.upkeep;

import io.swagger.v3.oas.annotations.Hidden;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.List;
import juricast.server.access.For;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** For programs that look after programs: alive, ready and why not, and measures behind a token. Nothing of the school is in them. */
@RestController
@Hidden
class HealthController {
    private final Upkeep upkeep;
    private final Measures measures;
    private final String token;

    HealthController(Upkeep upkeep, Measures measures, @Value("${juricast.metrics-token}") String token) {
        this.upkeep = upkeep;
        this.measures = measures;
        this.token = token;
    }

    record Health(boolean alive, boolean ready, List<Upkeep.Check> checks) {}

    /** 503 while lessons cannot be held. */
    @GetMapping(path = "/health", produces = MediaType.APPLICATION_JSON_VALUE)
    @For(anyone = true)
    ResponseEntity<Health> health() {
        List<Upkeep.Check> checks = upkeep.checks();
        boolean ready = checks.stream().allMatch(Upkeep.Check::ready);
        return ResponseEntity.status(ready ? HttpStatus.OK : HttpStatus.SERVICE_UNAVAILABLE)
                .cacheControl(CacheControl.noStore())
                .body(new Health(true, ready, checks));
    }

    /** In the OpenMetrics format. 404 without the token, as if there were none. */
    @GetMapping("/metrics")
    @For(anyone = true)
    ResponseEntity<String> metrics(
            @RequestHeader(name = HttpHeaders.AUTHORIZATION, required = false) @Nullable String authorization) {
        boolean isAllowed = !token.isBlank()
                && authorization != null
                && MessageDigest.isEqual(
                        authorization.getBytes(StandardCharsets.UTF_8),
                        ("Bearer " + token).getBytes(StandardCharsets.UTF_8));
        return isAllowed
                ? ResponseEntity.ok()
                        .cacheControl(CacheControl.noStore())
                        .contentType(MediaType.parseMediaType(Measures.FORMAT))
                        .body(measures.text())
                : ResponseEntity.notFound().build();
    }
}
