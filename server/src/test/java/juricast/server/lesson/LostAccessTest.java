package juricast.server.lesson;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.BiConsumer;
import java.util.stream.Stream;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Whoever may look no more hears no more, whichever way they lost it. */
class LostAccessTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private static final long WITHIN_MS = 1000;

    private ASmallClass here;

    @BeforeEach
    void an_open_lesson() {
        TestBrowser maren = SERVER.signedIn("maren-oddlund");
        for (String whose : new String[] {"anton-prowse", "ines-carrow"}) {
            maren.put("/api/people/" + whose + "/end", "{\"ends\":null}");
        }
        here = new ASmallClass(SERVER).open();
    }

    static Stream<Arguments> waysOfAnAdult() {
        return Stream.of(
                way("taken off the class", (one, anton) -> one.thora.delete(one.ofClass + "/adults/anton-prowse")),
                way("signed out", (one, anton) -> anton.delete("/api/session")),
                way(
                        "a new code given",
                        (one, anton) ->
                                one.maren.put("/api/people/anton-prowse/account", "{\"signIn\":\"anton.prowse\"}")),
                way(
                        "the account ended",
                        (one, anton) -> one.maren.put("/api/people/anton-prowse/end", "{\"ends\":\"2026-01-01\"}")),
                way("this sign-in ended from another", (one, anton) -> {
                    TestBrowser other = SERVER.signedIn("anton-prowse");
                    other.get("/api/account").json().get("signIns").forEach(line -> {
                        if (!line.get("here").asBoolean()) {
                            other.delete(
                                    "/api/account/sign-ins/" + line.get("id").asString());
                        }
                    });
                }));
    }

    private static Arguments way(String name, BiConsumer<ASmallClass, TestBrowser> lose) {
        return Arguments.of(name, lose);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("waysOfAnAdult")
    void an_adults_line_ends_within_a_second_and_words_for_adults_do_not_arrive(
            String name, BiConsumer<ASmallClass, TestBrowser> lose) throws Exception {
        TestBrowser anton = SERVER.signedIn("anton-prowse");
        anton.post(here.lesson + "/join", "{}");
        var heard = new LinkedBlockingQueue<String>();
        CompletableFuture<Void> ended = anton.lines(here.lesson + "/desk/stream", 0, heard::add);
        assertThat(heard.poll(5, TimeUnit.SECONDS)).isNotNull();

        lose.accept(here, anton);

        ended.get(WITHIN_MS, TimeUnit.MILLISECONDS);
        here.thora.post(here.lesson + "/words", "{\"to\":\"ADULTS\",\"text\":\"SECRET among adults\"}");
        assertThat(String.join("", heard)).doesNotContain("SECRET");
        assertThat(anton.get(here.lesson + "/desk").status()).isIn(401, 403);
    }

    static Stream<Arguments> waysOfAPupil() {
        return Stream.of(
                way("signed out", (one, ines) -> ines.delete("/api/session")),
                way(
                        "a new code given",
                        (one, ines) ->
                                one.maren.put("/api/people/ines-carrow/account", "{\"signIn\":\"ines.carrow\"}")),
                way(
                        "the account ended",
                        (one, ines) -> one.maren.put("/api/people/ines-carrow/end", "{\"ends\":\"2026-01-01\"}")));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("waysOfAPupil")
    void a_pupils_line_ends_with_the_sign_in_it_came_by(String name, BiConsumer<ASmallClass, TestBrowser> lose)
            throws Exception {
        TestBrowser ines = SERVER.signedIn("ines-carrow");
        String seat = here.sits(ines, "Ines Carrow");
        BlockingQueue<String> heard = new LinkedBlockingQueue<>();
        CompletableFuture<Void> ended = ines.lines(seat + "/stream", 0, heard::add);
        assertThat(heard.poll(5, TimeUnit.SECONDS)).isNotNull();

        lose.accept(here, ines);

        ended.get(WITHIN_MS, TimeUnit.MILLISECONDS);
        assertThat(ines.get(seat).status()).isEqualTo(404);
        assertThat(ines.post(seat + "/words", "{\"to\":\"ADULTS\",\"text\":\"still me\"}")
                        .status())
                .isEqualTo(404);
    }

    @Test
    void who_opens_line_after_line_holds_no_more_than_a_few() throws Exception {
        TestBrowser ines = SERVER.signedIn("ines-carrow");
        String seat = here.sits(ines, "Ines Carrow");
        var lines = new ArrayList<CompletableFuture<Void>>();
        for (int n = 0; n < 20; n++) {
            BlockingQueue<String> heard = new LinkedBlockingQueue<>();
            lines.add(ines.lines(seat + "/stream", 0, heard::add));
            assertThat(heard.poll(5, TimeUnit.SECONDS)).isNotNull();
        }

        for (CompletableFuture<Void> early : lines.subList(0, 14)) {
            early.get(5, TimeUnit.SECONDS);
        }
        assertThat(lines.subList(14, 20)).noneMatch(CompletableFuture::isDone);
        assertThat(ines.get(seat).status()).isEqualTo(200);
    }

    @Test
    void a_sign_in_ends_with_the_school_day_and_its_line_with_it() throws Exception {
        TestBrowser ines = SERVER.signedIn("ines-carrow");
        String seat = here.sits(ines, "Ines Carrow");
        CompletableFuture<Void> ended = ines.lines(seat + "/stream", 0, line -> {});
        ines.get(seat);

        SERVER.advance(Duration.ofHours(13));

        ended.get(WITHIN_MS, TimeUnit.MILLISECONDS);
    }

    @Test
    void an_adult_taken_off_the_class_is_out_at_once_and_orders_nothing_also_after_signing_in_anew() {
        TestBrowser ines = SERVER.browser();
        String seat = here.sits(ines, "Ines Carrow");
        TestBrowser anton = SERVER.signedIn("anton-prowse");
        anton.post(here.lesson + "/join", "{}");
        assertThat(anton.post(here.lesson + "/mute-all", "{\"keepMuted\":false}")
                        .status())
                .isEqualTo(200);

        here.thora.delete(here.ofClass + "/adults/anton-prowse");
        SERVER.bean(LessonClock.class).tick();

        TestBrowser anew = SERVER.signedIn("anton-prowse");
        for (TestBrowser any : new TestBrowser[] {anton, anew}) {
            for (String order : new String[] {"/mute-all", "/stop", "/dismiss", "/join", "/words", "/resume"}) {
                assertThat(any.post(
                                        here.lesson + order,
                                        order.equals("/words")
                                                ? "{\"to\":\"ONE\",\"person\":\"ines-carrow\",\"text\":\"psst\"}"
                                                : order.equals("/mute-all") ? "{\"keepMuted\":true}" : "{}")
                                .status())
                        .as(order)
                        .isEqualTo(403);
            }
        }
        assertThat(SERVER.bean(LiveLessons.class)
                        .state(here.id())
                        .there()
                        .visitsOf(new juricast.core.identity.PersonId("anton-prowse")))
                .noneMatch(visit -> visit.goesOn());
        assertThat(here.thora.get(here.lesson + "/replay").text())
                .contains("Anton Prowse no longer belongs to this lesson, and is out");
        assertThat(ines.get(seat).json().at("/mine/door/status").asString()).isEqualTo("IN");
    }

    @Test
    void a_lead_acts_in_any_lesson_without_coming_in_and_puts_an_adult_out_who_does_not_come_back() {
        TestBrowser ines = SERVER.browser();
        String seat = here.sits(ines, "Ines Carrow");
        here.anton.post(here.lesson + "/join", "{}");

        assertThat(here.maren
                        .post(here.lesson + "/stop", "{\"why\":\"looked at\"}")
                        .status())
                .isEqualTo(200);
        assertThat(here.maren.post(here.lesson + "/resume", "{}").status()).isEqualTo(200);
        assertThat(here.maren
                        .post(here.lesson + "/mute-all", "{\"keepMuted\":false}")
                        .status())
                .isEqualTo(200);
        assertThat(here.maren
                        .post(here.lesson + "/people/anton-prowse/remove", "{\"why\":\"an allegation\"}")
                        .status())
                .isEqualTo(200);
        assertThat(here.anton.post(here.lesson + "/join", "{}").status()).isEqualTo(409);
        assertThat(here.anton
                        .post(here.lesson + "/mute-all", "{\"keepMuted\":false}")
                        .status())
                .isIn(403, 409);
        assertThat(here.thora
                        .post(here.lesson + "/people/maren-oddlund/remove", "{\"why\":\"x\"}")
                        .status())
                .as("no adult puts another one out but a lead")
                .isEqualTo(409);
        assertThat(here.maren
                        .post(here.lesson + "/people/ines-carrow/remove", "{\"why\":\"x\"}")
                        .status())
                .isEqualTo(200);
        assertThat(ines.get(seat).json().at("/mine/door/status").asString()).isEqualTo("REMOVED");
        assertThat(here.maren.post(here.lesson + "/dismiss", "{}").status()).isEqualTo(200);
    }

    @Test
    void on_a_shared_device_nobody_becomes_who_sat_there_before() {
        TestBrowser device = SERVER.signedIn("ines-carrow");
        String inesSeat = here.sits(device, "Ines Carrow");
        device.post(inesSeat + "/words", "{\"to\":\"ADULTS\",\"text\":\"I am Ines\"}");
        device.delete("/api/session");
        assertThat(here.desk()
                        .at("/door/pupils")
                        .valueStream()
                        .filter(row -> row.get("name").asString().equals("Ines Carrow"))
                        .map(row -> row.get("whereabouts").asString()))
                .containsExactly("GONE");

        device.post("/api/demo/session/jory-pell", "{}");
        assertThat(device.get("/api/doorsteps/" + here.token).json().has("visit"))
                .isFalse();
        String jorySeat = here.sits(device, "Jory Pell");
        assertThat(jorySeat).isNotEqualTo(inesSeat);
        assertThat(device.get(inesSeat).status()).isEqualTo(404);
        assertThat(device.get(jorySeat).json().at("/mine/door/name").asString()).isEqualTo("Jory Pell");
        assertThat(device.get(jorySeat).text()).doesNotContain("I am Ines");
    }

    @Test
    void without_signing_out_a_second_pupil_on_the_device_puts_the_first_out_and_gets_a_visit_of_the_own() {
        TestBrowser device = SERVER.signedIn("ines-carrow");
        String inesSeat = here.sits(device, "Ines Carrow");

        device.post("/api/demo/session/jory-pell", "{}");

        assertThat(device.get(inesSeat).status()).isEqualTo(404);
        String jorySeat = here.sits(device, "Jory Pell");
        assertThat(jorySeat).isNotEqualTo(inesSeat);
        assertThat(device.get(jorySeat).json().at("/mine/door/name").asString()).isEqualTo("Jory Pell");
    }
}
