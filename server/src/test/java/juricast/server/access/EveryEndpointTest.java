package juricast.server.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import juricast.core.identity.PersonId;
import juricast.core.reading.Matter;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.access.Endpoints.Endpoint;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerExecutionChain;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.springframework.web.util.ServletRequestPathUtils;

/** Goes through every endpoint with every position and none. */
class EveryEndpointTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    @Test
    void each_endpoint_names_who_may_call_it() {
        assertThat(endpoints()).hasSizeGreaterThan(50).allSatisfy(endpoint -> {
            For named = endpoint.handler().getMethodAnnotation(For.class);
            assertThat(named).as(endpoint.path()).isNotNull();
            assertThat(named.anyone() == (named.value().length == 0))
                    .as(endpoint.path())
                    .isTrue();
        });
    }

    @Test
    void what_an_endpoint_shows_of_the_whole_school_is_for_those_whom_the_table_of_readers_names() {
        var showing = endpoints()
                .filter(one -> one.handler().getMethodAnnotation(For.class).shows().length > 0)
                .toList();
        assertThat(showing).extracting(Endpoint::path).contains("/api/people", "/api/corridor", "/api/looks");
        for (Endpoint endpoint : showing) {
            for (Matter matter :
                    endpoint.handler().getMethodAnnotation(For.class).shows()) {
                for (Position position : Position.values()) {
                    var caller = new SignedIn(new PersonId("any"), "Any", position, "", SignedIn.Missing.NOTHING);
                    assertThat(endpoint.isFor(position))
                            .as("%s as %s", endpoint.path(), position)
                            .isEqualTo(
                                    caller.reader(Set.of(), Set.of(), Set.of()).mayReadAll(matter));
                }
            }
        }
    }

    @Test
    void each_endpoint_is_closed_to_those_it_does_not_name() {
        Map<Position, TestBrowser> browsers = new TreeMap<>(Map.of(
                Position.LEAD, SERVER.signedIn("maren-oddlund"),
                Position.TEACHER, SERVER.signedIn("anton-prowse"),
                Position.PUPIL, SERVER.signedIn("ines-carrow")));
        endpoints().filter(endpoint -> !endpoint.path().equals("/api/session")).forEach(endpoint -> {
            TestBrowser nobody = SERVER.browser();
            int withoutSignIn = call(nobody, endpoint);
            For named = endpoint.handler().getMethodAnnotation(For.class);
            assertThat(withoutSignIn == 401)
                    .as("%s %s without sign-in: %d", endpoint.method(), endpoint.path(), withoutSignIn)
                    .isEqualTo(!named.anyone());
            browsers.forEach((position, browser) -> {
                int status = call(browser, endpoint);
                if (!endpoint.isFor(position)) {
                    assertThat(status)
                            .as("%s %s as %s", endpoint.method(), endpoint.path(), position)
                            .isEqualTo(403);
                } else {
                    assertThat(status)
                            .as("%s %s as %s", endpoint.method(), endpoint.path(), position)
                            .isLessThan(500)
                            .isNotEqualTo(401);
                }
            });
        });
    }

    @Test
    void each_endpoint_is_the_one_that_answers_at_its_path() {
        assertThat(endpoints()).hasSizeGreaterThan(50).allSatisfy(endpoint -> {
            var request = new MockHttpServletRequest(
                    endpoint.method(), endpoint.path().replaceAll("\\{[a-z]+}", "nothing"));
            request.addHeader("Content-Type", endpoint.takes());
            ServletRequestPathUtils.parseAndCache(request);
            HandlerExecutionChain found =
                    SERVER.bean(RequestMappingHandlerMapping.class).getHandler(request);
            assertThat(found).as(endpoint.path()).isNotNull();
            assertThat(((HandlerMethod) found.getHandler()).getMethod())
                    .as("%s %s", endpoint.method(), endpoint.path())
                    .isEqualTo(endpoint.handler().getMethod());
        });
    }

    @Test
    void a_path_that_is_there_for_another_method_or_for_nobody_is_refused_as_such() {
        TestBrowser orla = SERVER.signedIn("orla-venn");
        String lesson = "/api/lessons/tidal-navigation-8-1.3-2";

        assertThat(orla.send("DELETE", lesson + "/desk", null, "application/json")
                        .status())
                .isEqualTo(405);
        assertThat(orla.get(lesson + "/words").status()).isEqualTo(405);
        assertThat(orla.get(lesson + "/nothing-of-this-name").status()).isEqualTo(404);
        assertThat(orla.get("/api/desk").status()).isEqualTo(404);
    }

    @Test
    void a_teacher_gets_nothing_of_other_teachers_classes_and_lessons() {
        TestBrowser anton = SERVER.signedIn("anton-prowse");

        assertThat(anton.get("/api/lessons/tidal-navigation-8-1.3-2/desk").status())
                .isEqualTo(403);
        assertThat(anton.get("/api/lessons/tidal-navigation-8-1.3-2/register").status())
                .isEqualTo(403);
        assertThat(anton.get("/api/classes/tidal-navigation-8").status()).isEqualTo(403);
        assertThat(anton.post("/api/lessons/tidal-navigation-8-1.3-2/dismiss", "{}")
                        .status())
                .isEqualTo(403);
        assertThat(anton.get("/api/rules/class:tidal-navigation-8").status()).isEqualTo(403);
        assertThat(anton.get("/api/rules/lesson:tidal-navigation-8-1.3-2").status())
                .isEqualTo(403);
    }

    @Test
    void a_change_without_the_token_is_refused_as_another_site_would_send_it() {
        TestBrowser orla = SERVER.signedIn("orla-venn");

        assertThat(orla.forgedPost("/api/lessons/tidal-navigation-8-1.3-2/mute-all", "{\"keepMuted\":true}")
                        .status())
                .isEqualTo(403);
    }

    private static Stream<Endpoint> endpoints() {
        return Endpoints.of(SERVER);
    }

    private static int call(TestBrowser browser, Endpoint endpoint) {
        String path = endpoint.path()
                .replace("{role}", "PUPIL")
                .replace("{what}", "CAMERA")
                .replace("{failure}", "DISK_FULL")
                .replace("{wish}", "1")
                .replaceAll("\\{[a-z]+}", "nothing");
        boolean file = endpoint.takes().startsWith("multipart/");
        return file
                ? browser.upload(path + "?to=CLASS", "name\nA".getBytes(), "x").status()
                : browser.send(
                                endpoint.method(),
                                path,
                                endpoint.method().equals("GET") ? null : "{}",
                                "application/json")
                        .status();
    }
}
