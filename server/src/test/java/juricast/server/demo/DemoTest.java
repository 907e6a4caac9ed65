package juricast.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.access.Position;
import juricast.server.cast.Mischief;
import juricast.server.lesson.ASmallClass;
import juricast.server.people.People;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

class DemoTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    @Test
    void the_school_is_whole_and_has_lessons_finished_live_and_coming() {
        People people = SERVER.bean(People.class);
        TestBrowser maren = SERVER.signedIn("maren-oddlund");

        assertThat(people.inPosition(Position.PUPIL)).hasSize(186);
        assertThat(people.inPosition(Position.TEACHER).size()
                        + people.inPosition(Position.LEAD).size())
                .isEqualTo(16);
        assertThat(maren.get("/api/classes").json().size()).isEqualTo(34);
        String today = maren.get("/api/today").text();
        assertThat(today).contains("\"OVER\"", "\"OPEN\"", "\"PLANNED\"");
    }

    @Test
    void nobody_teaches_or_learns_in_two_lessons_at_once_in_the_timetable_that_ships() {
        var database = SERVER.bean(juricast.server.data.Database.class);
        int clashes = database.read()
                .sql(
                        """
                    SELECT count(*) FROM lesson a JOIN lesson b ON a.id < b.id AND a.starts = b.starts
                    JOIN class_member ma ON ma.class = a.class JOIN class_member mb ON mb.class = b.class
                    WHERE ma.person = mb.person""")
                .query(Integer.class)
                .single();

        assertThat(clashes).isZero();
    }

    @Test
    void the_cast_shows_every_kind_of_arrival_and_goes_on_with_the_clock() {
        TestBrowser orla = SERVER.signedIn("orla-venn");
        String lesson = "/api/lessons/tidal-navigation-8-1.3-2";
        // The third period began at 09:55; by 10:07 everything that is scripted before the start of the demo has
        // happened.
        JsonNode desk = orla.get(lesson + "/desk").json();
        String waiting = desk.at("/door/waiting").toString();

        assertThat(waiting)
                .contains("kestrel-tab-4", "already here on another device", "Wulf Harrowgate", "was removed earlier")
                .contains("\"listed\":true");
        assertThat(desk.at("/rights/pupils").toString()).contains("\"PASS\"", "\"CURB\"");

        int before = desk.get("number").asInt();
        SERVER.advance(Duration.ofMinutes(20));
        org.assertj.core.api.Assertions.assertThat(
                        waitFor(() -> orla.get(lesson + "/desk").text().contains("I have the second curve")))
                .isTrue();
        assertThat(orla.get(lesson + "/desk").json().get("number").asInt()).isGreaterThan(before);
    }

    @Test
    void every_mischief_can_be_played_and_an_intruder_is_noticed_at_the_third_door() {
        TestBrowser corvin = SERVER.signedIn("corvin-hale");
        JsonNode stage = corvin.get("/api/demo/stage").json();
        assertThat(stage.get("scripts")).hasSameSizeAs(Mischief.values());
        String live = "";
        for (JsonNode one : stage.get("lessons")) {
            live = one.get("title").asString().equals("Weather Lab 9")
                    ? one.get("lesson").asString()
                    : live;
        }
        String lesson = "/api/lessons/" + live;
        corvin.post(lesson + "/stance", "{\"stance\":\"discussion\",\"keepLive\":false}");
        for (Mischief one : Mischief.values()) {
            assertThat(corvin.post("/api/demo/stage/" + live + "/mischief/" + one.name(), "{}")
                            .status())
                    .isEqualTo(200);
        }
        corvin.put("/api/demo/stage/speed", "{\"speed\":60}");
        SERVER.advance(Duration.ofSeconds(3));

        assertThat(waitFor(() -> {
                    String desk = corvin.get(lesson + "/desk").text();
                    return desk.contains("holds a link")
                            && desk.contains("tried several doors")
                            && desk.contains("CAN ANYBODY HEAR ME");
                }))
                .as("links wait, the intruder is known, the shouting is read")
                .isTrue();
        assertThat(corvin.get(lesson + "/desk").text())
                .as("a program is not homework, whatever it is called")
                .doesNotContain("homework.pdf");
        corvin.put("/api/demo/stage/speed", "{\"speed\":1}");
        assertThat(corvin.put("/api/demo/stage/speed", "{\"speed\":61}").status())
                .isEqualTo(400);

        corvin.post(lesson + "/join", "{}");
        corvin.post(lesson + "/dismiss", "{}");
        assertThat(corvin.get(lesson + "/desk").json().at("/ending/leaving")).isNotEmpty();
        corvin.put("/api/demo/stage/speed", "{\"speed\":60}");
        SERVER.advance(Duration.ofSeconds(3));
        assertThat(waitFor(() -> corvin.get(lesson + "/desk")
                        .json()
                        .at("/ending/leaving")
                        .isEmpty()))
                .as("the cast goes home")
                .isTrue();
        corvin.put("/api/demo/stage/speed", "{\"speed\":1}");
    }

    @Test
    void earlier_lessons_have_registers() {
        JsonNode register = SERVER.signedIn("maren-oddlund")
                .get("/api/lessons/seabird-ecology-8-1.1-2/register")
                .json();

        assertThat(register.get("draft").asBoolean()).isFalse();
        assertThat(register.get("lines").size()).isEqualTo(30);
        assertThat(register.at("/sums/0/mark").asString()).isEqualTo("PRESENT");
        assertThat(register.at("/sums/0/count").asInt()).isBetween(20, 30);
    }

    /** Asks until it is so, for ten seconds at most. */
    private static boolean waitFor(java.util.function.BooleanSupplier so) {
        long deadline = System.nanoTime() + 60_000_000_000L;
        while (!so.getAsBoolean()) {
            if (System.nanoTime() > deadline) {
                return false;
            }
            Thread.onSpinWait();
        }
        return true;
    }

    @Test
    void who_signs_in_as_one_of_the_cast_finds_the_place_at_the_door_free() {
        TestBrowser aoife = SERVER.signedIn("aoife-lund");
        String door = aoife.get("/api/my-day").text().replaceAll("(?s).*\"joinPath\":\"([^\"]+)\".*", "$1");
        String seat = "/api/seats/"
                + aoife.post(
                                door.replace("/join/", "/api/doorsteps/") + "/knock",
                                "{\"name\":\"Aoife Lund\",\"agreed\":true}")
                        .json()
                        .get("visit")
                        .asString();

        ASmallClass.eventually(
                () -> !aoife.get(seat).text().contains("Somebody of this name is in the lesson already"));
        assertThat(aoife.get(seat).json().at("/mine/door/status").asString()).isEqualTo("WAITING");
    }
}
