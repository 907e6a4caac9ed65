package juricast.server.lesson;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import juricast.core.identity.LessonId;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import tools.jackson.databind.JsonNode;

/** A class of Thora's with Anton as second adult, Ines and Jory, and a lesson of theirs that begins in five minutes. */
public final class ASmallClass {
    private static final AtomicInteger MADE = new AtomicInteger();

    public final RunningServer server;
    public final TestBrowser thora;
    public final TestBrowser anton;
    public final TestBrowser maren;
    public final String ofClass;
    public final String lesson;
    public final String token;
    public final String word;

    public ASmallClass(RunningServer server) {
        this.server = server;
        thora = server.signedIn("thora-melling");
        anton = server.signedIn("anton-prowse");
        maren = server.signedIn("maren-oddlund");
        ofClass = "/api/classes/"
                + thora.post(
                                "/api/classes",
                                "{\"title\":\"Locked Doors %d\",\"year\":8,\"secondAdult\":\"anton-prowse\"}"
                                        .formatted(MADE.incrementAndGet()))
                        .json()
                        .get("id")
                        .asString();
        thora.post(ofClass + "/pupils", "{\"person\":\"ines-carrow\"}");
        thora.post(ofClass + "/pupils", "{\"person\":\"jory-pell\"}");
        schedule(Duration.ofMinutes(5), 45);
        lesson = "/api/lessons/" + thora.get(ofClass).json().at("/lessons/0/id").asString();
        JsonNode joining = thora.get(ofClass + "/joining").json();
        token = joining.get("link").asString().replaceAll(".*/join/", "");
        word = joining.get("word").asString();
    }

    public JsonNode schedule(Duration ahead, int minutes) {
        String time = server.bean(Clock.class)
                .instant()
                .plus(ahead)
                .atZone(server.bean(juricast.server.data.School.class).zone())
                .toString()
                .substring(0, 16);
        String day = time.substring(0, 10);
        return thora.post(
                        ofClass + "/series",
                        "{\"first\":\"%s\",\"until\":\"%s\",\"days\":[\"%s\"],\"start\":\"%s\",\"minutes\":%d}"
                                .formatted(
                                        day,
                                        day,
                                        java.time.LocalDate.parse(day).getDayOfWeek(),
                                        time.substring(11),
                                        minutes))
                .json();
    }

    public ASmallClass open() {
        thora.post(lesson + "/open", "{}");
        return this;
    }

    public LessonId id() {
        return new LessonId(lesson.substring(lesson.lastIndexOf('/') + 1));
    }

    /** @return the path of the seat */
    public String knocks(TestBrowser browser, String name) {
        return "/api/seats/"
                + browser.post(
                                "/api/doorsteps/" + token + "/knock",
                                "{\"name\":\"%s\",\"word\":\"%s\",\"agreed\":true}".formatted(name, word))
                        .json()
                        .get("visit")
                        .asString();
    }

    /** Knocks and is let in with all on the list. */
    public String sits(TestBrowser browser, String name) {
        String seat = knocks(browser, name);
        thora.post(lesson + "/admit-all-listed", "{}");
        return seat;
    }

    /** A rule of this class alone, in force from now on. */
    public void rule(String key, String role, String value) {
        String place = "/api/rules/class:" + ofClass.substring(ofClass.lastIndexOf('/') + 1);
        ok(thora.put(
                place + "/draft",
                "{\"rule\":\"%s\",\"role\":\"%s\",\"value\":\"%s\",\"binding\":false}".formatted(key, role, value)));
        ok(thora.post(place + "/draft/in-force", "{\"from\":\"\"}"));
    }

    private static void ok(TestBrowser.Answer answer) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    }

    /** Waits for what the server does by itself; one that never comes fails the test. */
    public static void eventually(BooleanSupplier isSo) {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(60);
        while (!isSo.getAsBoolean()) {
            assertThat(System.nanoTime()).as("it has not come").isLessThan(end);
            Thread.onSpinWait();
        }
    }

    /** What is due by now happens. */
    public void theClockTicks() {
        server.bean(LessonClock.class).tick();
    }

    public JsonNode desk() {
        return thora.get(lesson + "/desk").json();
    }
}
