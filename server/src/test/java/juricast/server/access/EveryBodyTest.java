package juricast.server.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.RecordComponent;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Stream;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.access.Endpoints.Endpoint;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import tools.jackson.databind.json.JsonMapper;

/** Sends every endpoint what it does not expect. Whatever is sent, the fault is told to be the sender's and never is ours. */
class EveryBodyTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private static final JsonMapper JSON = new JsonMapper();
    private static final String HUGE = "x".repeat(50_000);
    /** What is not seen, turns the line round, ends strings in other languages, or is half a letter. */
    private static final List<String> ODD = List.of(
            "\u0000",
            "\u202Eabc\u200B",
            "＝1+1",
            "'; DROP TABLE person; --",
            "\uD83D",
            "🛶".repeat(30),
            "../../etc",
            "%00%0a",
            "\t\n ");

    private static final List<Object> WRONG = List.of(
            999_999_999,
            Integer.MIN_VALUE,
            Long.MAX_VALUE,
            -1,
            0.5,
            true,
            List.of(List.of(1)),
            Map.of("a", Map.of()),
            "",
            "2026-02-30",
            "+999999999-12-31",
            "+999999999-12-31T00:00");

    private record Case(String what, String body) {}

    @Test
    void nothing_that_a_body_says_is_our_fault() {
        Map<Position, TestBrowser> browsers = Map.of(
                Position.LEAD, SERVER.signedIn("maren-oddlund"),
                Position.TEACHER, SERVER.signedIn("orla-venn"),
                Position.PUPIL, SERVER.signedIn("ines-carrow"));
        var bodies = 0;
        var faults = new TreeSet<String>();
        for (Endpoint endpoint : Endpoints.of(SERVER).toList()) {
            Optional<Class<?>> body = body(endpoint);
            List<Case> cases = body.map(this::cases).orElse(List.of());
            for (Position position : List.of(Position.TEACHER, Position.LEAD, Position.PUPIL)) {
                if (endpoint.isFor(position)) {
                    for (Case one : cases) {
                        bodies++;
                        var answer = browsers.get(position)
                                .send(endpoint.method(), path(endpoint), one.body, "application/json");
                        boolean mustBeRefused = one.what.startsWith("unknown") || one.what.startsWith("missing");
                        if (answer.status() >= 500 || mustBeRefused && answer.status() < 400) {
                            faults.add("%d %s %s as %s, %s"
                                    .formatted(
                                            answer.status(), endpoint.method(), endpoint.path(), position, one.what));
                        }
                    }
                    break;
                }
            }
        }
        assertThat(faults).isEmpty();
        assertThat(bodies).isGreaterThan(1500);
    }

    @Test
    void nothing_that_an_address_says_is_our_fault() {
        Map<Position, TestBrowser> browsers = Map.of(
                Position.LEAD, SERVER.signedIn("maren-oddlund"),
                Position.TEACHER, SERVER.signedIn("orla-venn"),
                Position.PUPIL, SERVER.signedIn("ines-carrow"));
        List<String> odd = List.of(
                "%F0%9F%9B%B6", "%E2%80%AE", "x".repeat(3000), "-1", "999999999999", "%2B999999999-12-31", "%5B%5D");
        var faults = new TreeSet<String>();
        for (Endpoint endpoint : Endpoints.of(SERVER).toList()) {
            Position position = Stream.of(Position.TEACHER, Position.LEAD, Position.PUPIL)
                    .filter(endpoint::isFor)
                    .findFirst()
                    .orElseThrow();
            if (!endpoint.method().equals("GET") || endpoint.path().endsWith("/stream")) {
                continue;
            }
            for (String value : odd) {
                String query = String.join(
                        "&",
                        Arrays.stream(endpoint.handler().getMethodParameters())
                                .filter(one -> one.hasParameterAnnotation(RequestParam.class))
                                .map(one -> one.getParameter().getName() + "=" + value)
                                .toList());
                for (String path : List.of(
                        path(endpoint) + (query.isEmpty() ? "" : "?" + query),
                        endpoint.path().replaceAll("\\{[a-z]+}", value.length() > 1000 ? "x" : value))) {
                    var answer = browsers.get(position).get(path);
                    assertThat(answer.status())
                            .as("%s: %s", path, answer.text())
                            .isLessThan(500);
                }
            }
        }
        assertThat(faults).isEmpty();
    }

    private static Optional<Class<?>> body(Endpoint endpoint) {
        return Arrays.stream(endpoint.handler().getMethodParameters())
                .filter(one -> one.hasParameterAnnotation(RequestBody.class))
                .<Class<?>>map(MethodParameter::getParameterType)
                .findFirst();
    }

    /** One field after the other is missing, null, wrong, huge or odd; the others are as they should be. */
    private List<Case> cases(Class<?> record) {
        Map<String, Object> whole = whole(record);
        var cases = new ArrayList<Case>(List.of(
                new Case("nothing", ""),
                new Case("null", "null"),
                new Case("a list", "[]"),
                new Case("a number", "7"),
                new Case("half", "{\"a\":"),
                new Case("deep", "[".repeat(5000)),
                new Case("unknown field", JSON.writeValueAsString(with(whole, "canceled", true)))));
        for (RecordComponent field : record.getRecordComponents()) {
            boolean isOptional = field.getAnnotatedType().isAnnotationPresent(org.jspecify.annotations.Nullable.class);
            var without = new LinkedHashMap<>(whole);
            without.remove(field.getName());
            cases.add(new Case(
                    (isOptional ? "without " : "missing ") + field.getName(), JSON.writeValueAsString(without)));
            cases.add(new Case(
                    (isOptional ? "null " : "missing, null ") + field.getName(),
                    JSON.writeValueAsString(with(whole, field.getName(), null))));
            List<Object> values = new ArrayList<>(WRONG);
            values.addAll(ODD);
            values.add(HUGE);
            if (Collection.class.isAssignableFrom(field.getType())) {
                values.add(Arrays.asList((Object) null));
                values.add(List.of("", HUGE.substring(0, 20_000)));
                values.add(List.of(0, 1, 2, 3, -5));
            }
            for (Object value : values) {
                cases.add(new Case(
                        field.getName() + " is "
                                + String.valueOf(value)
                                        .substring(
                                                0,
                                                Math.min(
                                                        30,
                                                        String.valueOf(value).length())),
                        JSON.writeValueAsString(with(whole, field.getName(), value))));
            }
        }
        return cases;
    }

    private static Map<String, Object> with(Map<String, Object> whole, String field, Object value) {
        var changed = new LinkedHashMap<>(whole);
        changed.put(field, value);
        return changed;
    }

    private static Map<String, Object> whole(Class<?> record) {
        var whole = new LinkedHashMap<String, Object>();
        for (RecordComponent field : record.getRecordComponents()) {
            whole.put(field.getName(), usual(field));
        }
        return whole;
    }

    private static Object usual(RecordComponent field) {
        Class<?> type = field.getType();
        if (type == int.class || type == Integer.class || type == long.class) {
            return 5;
        }
        if (type == boolean.class || type == Boolean.class) {
            return false;
        }
        if (type.isEnum()) {
            return ((Enum<?>) type.getEnumConstants()[0]).name();
        }
        if (type == Instant.class) {
            return "2026-09-14T10:00:00Z";
        }
        if (Collection.class.isAssignableFrom(type)) {
            return List.of();
        }
        if (type.isRecord()) {
            return whole(type);
        }
        return switch (field.getName()) {
            case "from", "until", "through", "first", "ends" -> "2026-09-15";
            case "person", "adult" -> "ines-carrow";
            case "rule" -> "voice.speak";
            case "value" -> "open";
            default -> "A word";
        };
    }

    private static String path(Endpoint endpoint) {
        return endpoint.path()
                .replace("{lesson}", "tidal-navigation-8-1.3-2")
                .replace("{id}", "tidal-navigation-8")
                .replace("{person}", "jory-pell")
                .replace("{place}", "class:tidal-navigation-8")
                .replace("{role}", "PUPIL")
                .replace("{what}", "CAMERA")
                .replaceAll("\\{[a-z]+}", "nothing");
    }
}
