package juricast.server.lesson;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.data.Database;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** What a first-time teacher found broken, over HTTP. */
class BrokenInUseTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private ASmallClass here;

    @BeforeEach
    void an_open_lesson() {
        here = new ASmallClass(SERVER).open();
    }

    private void sets(String rule, String role, String when, String value) {
        assertThat(here.thora
                        .put(
                                "/api/rules/" + here.ofClass.replace("/api/classes/", "class:") + "/draft",
                                "{\"rule\":\"%s\",\"role\":\"%s\",\"when\":\"%s\",\"value\":\"%s\",\"binding\":false}"
                                        .formatted(rule, role, when, value))
                        .status())
                .isEqualTo(200);
        assertThat(here.thora
                        .post("/api/rules/" + here.ofClass.replace("/api/classes/", "class:") + "/draft/in-force", "{}")
                        .status())
                .isEqualTo(200);
    }

    @Test
    void a_child_on_no_roster_is_let_in_as_a_guest_with_a_note_that_the_lead_sees() {
        TestBrowser runa = SERVER.browser();
        String seat = here.knocks(runa, "Runa Fell");
        String visit = seat.replace("/api/seats/", "");
        assertThat(here.thora
                        .post(here.lesson + "/visits/" + visit + "/admit", "{\"as\":\"runa\"}")
                        .status())
                .isEqualTo(409);
        assertThat(guest(visit, "Runa Fell", "").status()).isEqualTo(409);
        assertThat(guest(visit, " \u200b ", "cousin").status()).isEqualTo(400);

        assertThat(guest(visit, "Runa Fell", "Cousin of Ines, her mother rang").status())
                .isEqualTo(200);

        assertThat(runa.get(seat).json().at("/mine/door/status").asString()).isEqualTo("IN");
        assertThat(here.maren.get("/api/corridor").text()).contains("Runa Fell (Cousin of Ines, her mother rang)");
        assertThat(here.thora.get(here.lesson + "/replay").text()).contains("is a guest of this lesson");
        here.thora.post(here.lesson + "/dismiss", "{}");
        assertThat(here.desk().at("/ending/closing").toString())
                .as("a guest is none of the class who were here")
                .contains("\"REGISTER_DRAFTED\",\"count\":0");
        assertThat(here.thora.get(here.lesson + "/register").status()).isEqualTo(200);
    }

    private TestBrowser.Answer guest(String visit, String name, String note) {
        return here.thora.post(
                here.lesson + "/visits/" + visit + "/admit-guest",
                "{\"name\":\"%s\",\"note\":\"%s\"}".formatted(name, note));
    }

    @Test
    void between_a_pupil_and_a_visitor_the_adults_read_along_whatever_is_set() {
        sets("chat.private", "PUPIL", "", "open");
        sets("chat.private", "VISITOR", "", "open");
        TestBrowser ines = SERVER.signedIn("ines-carrow");
        String seat = here.sits(ines, "Ines Carrow");
        TestBrowser jory = SERVER.signedIn("jory-pell");
        here.sits(jory, "Jory Pell");
        TestBrowser runa = SERVER.browser();
        String runaSeat = here.knocks(runa, "Runa Fell");
        guest(runaSeat.replace("/api/seats/", ""), "Runa Fell", "a net-maker");
        JsonNode readers = ines.get(seat).json().at("/mine/chat/classmates");
        JsonNode visitor = readers.valueStream()
                .filter(one -> one.get("name").asString().equals("Runa Fell"))
                .findFirst()
                .orElseThrow();
        assertThat(visitor.get("readAlong").asBoolean()).isTrue();
        assertThat(readers.valueStream()
                        .filter(one -> one.get("name").asString().equals("Jory Pell"))
                        .noneMatch(one -> one.get("readAlong").asBoolean()))
                .isTrue();

        assertThat(ines.post(
                                seat + "/words",
                                "{\"to\":\"ONE\",\"person\":\"%s\",\"text\":\"where do you live\"}"
                                        .formatted(visitor.get("id").asString()))
                        .status())
                .isEqualTo(200);
        ines.post(seat + "/words", "{\"to\":\"ONE\",\"person\":\"jory-pell\",\"text\":\"among us pupils\"}");

        assertThat(here.desk().get("words").toString())
                .contains("where do you live")
                .doesNotContain("among us pupils");
        assertThat(runa.get(runaSeat).text()).contains("where do you live");
    }

    @Test
    void a_door_that_is_shut_for_those_without_an_account_lets_none_of_them_in_with_the_others() {
        sets("entry.door", "PUPIL", "not school-account", "shut");
        TestBrowser signedIn = SERVER.signedIn("ines-carrow");
        String inesSeat = here.knocks(signedIn, "Ines Carrow");
        TestBrowser stranger = SERVER.browser();
        String takenName = here.knocks(stranger, "Jory Pell");

        here.thora.post(here.lesson + "/admit-all-listed", "{}");

        assertThat(signedIn.get(inesSeat).json().at("/mine/door/status").asString())
                .isEqualTo("IN");
        assertThat(stranger.get(takenName).json().at("/mine/door/status").asString())
                .isEqualTo("WAITING");
    }

    @Test
    void mute_all_ends_passes_to_speak_and_takes_them_back_for_some_seconds() {
        TestBrowser ines = SERVER.signedIn("ines-carrow");
        String seat = here.sits(ines, "Ines Carrow");
        sets("voice.speak", "PUPIL", "", "on-request");
        here.thora.post(here.lesson + "/passes", "{\"person\":\"ines-carrow\",\"rule\":\"voice.speak\",\"minutes\":5}");
        assertThat(ines.post(seat + "/on/MICROPHONE", "{}").status()).isEqualTo(200);

        here.thora.post(here.lesson + "/mute-all", "{\"keepMuted\":true}");

        assertThat(ines.post(seat + "/on/MICROPHONE", "{}").status()).isEqualTo(409);
        assertThat(here.thora.post(here.lesson + "/mute-all/undo", "{}").status())
                .isEqualTo(200);
        assertThat(ines.post(seat + "/on/MICROPHONE", "{}").status()).isEqualTo(200);

        here.thora.post(here.lesson + "/mute-all", "{\"keepMuted\":true}");
        SERVER.advance(Duration.ofSeconds(20));
        assertThat(here.thora.post(here.lesson + "/mute-all/undo", "{}").status())
                .isEqualTo(409);
    }

    @Test
    void who_was_removed_is_told_when_they_may_come_back() {
        TestBrowser ines = SERVER.signedIn("ines-carrow");
        String seat = here.sits(ines, "Ines Carrow");
        here.thora.post(here.lesson + "/people/ines-carrow/remove", "{\"why\":\"shouting\"}");
        assertThat(ines.get(seat).json().at("/mine/door/allowedBack").asBoolean())
                .isFalse();

        here.thora.post(here.lesson + "/people/ines-carrow/allow-back", "{}");

        assertThat(ines.get(seat).json().at("/mine/door/allowedBack").asBoolean())
                .isTrue();
    }

    @Test
    void who_looks_on_is_seen_where_the_rule_says_so() {
        TestBrowser ines = SERVER.signedIn("ines-carrow");
        String seat = here.sits(ines, "Ines Carrow");
        here.maren.post(here.lesson + "/join", "{}");

        assertThat(ines.get(seat).json().get("observers").toString()).contains("Maren Oddlund");
        assertThat(here.desk().at("/door/observers").toString()).contains("Maren Oddlund");
        sets("supervision.see-observers", "PUPIL", "", "no");
        assertThat(ines.get(seat).json().get("observers")).isEmpty();
        assertThat(here.desk().at("/door/observers").toString()).contains("Maren Oddlund");
    }

    @Test
    void a_trusted_pupil_is_class_monitor_in_the_class_or_one_lesson_until_a_day() {
        TestBrowser ines = SERVER.signedIn("ines-carrow");
        String seat = here.sits(ines, "Ines Carrow");
        assertThat(rights(ines, seat)).doesNotContain("help.hands");
        sets("help.hands", "CLASS_MONITOR", "", "open");
        String today = SERVER.today().toString();
        assertThat(here.thora
                        .put(
                                here.ofClass + "/monitors/ines-carrow",
                                "{\"until\":\"%s\",\"lesson\":\"%s\"}".formatted(today, here.id()))
                        .json()
                        .get("monitors")
                        .toString())
                .contains("Ines Carrow", today);

        assertThat(rights(ines, seat)).contains("help.hands");
        here.thora.delete(here.ofClass + "/monitors/ines-carrow?lesson=" + here.id());
        assertThat(rights(ines, seat)).doesNotContain("help.hands");

        here.thora.put(here.ofClass + "/monitors/ines-carrow", "{\"until\":\"%s\"}".formatted(today));
        assertThat(rights(ines, seat)).contains("help.hands");
        SERVER.advance(Duration.ofDays(1));
        TestBrowser thora = SERVER.signedIn("thora-melling");
        assertThat(thora.get(here.ofClass).json().get("monitors")).isEmpty();
        assertThat(thora.put(here.ofClass + "/monitors/ines-carrow", "{\"until\":\"2020-01-01\"}")
                        .status())
                .isEqualTo(400);
        assertThat(thora.put(here.ofClass + "/monitors/anton-prowse", "{\"until\":\"%s\"}".formatted(SERVER.today()))
                        .status())
                .isEqualTo(404);
    }

    private static String rights(TestBrowser browser, String seat) {
        JsonNode help = browser.get(seat).json().at("/rights/help");
        return help == null ? "" : help.toString();
    }

    @Test
    void pupils_come_into_a_class_one_by_one_and_go_and_a_class_is_renamed() {
        assertThat(here.thora
                        .get(here.ofClass + "/candidates?name=ciro")
                        .json()
                        .valueStream()
                        .map(one -> one.get("name").asString()))
                .isNotEmpty()
                .allMatch(name -> name.toLowerCase().contains("ciro"));
        assertThat(here.thora
                        .post(here.ofClass + "/pupils", "{\"name\":\"Ines  Carrow\"}")
                        .status())
                .as("nobody is there twice")
                .isEqualTo(409);
        assertThat(here.thora
                        .post(here.ofClass + "/pupils", "{\"name\":\"Runa Fell Adarsh\",\"year\":8}")
                        .json()
                        .get("pupils")
                        .toString())
                .contains("Runa Fell Adarsh");
        assertThat(here.thora
                        .delete(here.ofClass + "/pupils/jory-pell")
                        .json()
                        .get("pupils")
                        .toString())
                .doesNotContain("Jory Pell");
        assertThat(here.thora
                        .put(here.ofClass + "/title", "{\"title\":\"Tidal Navigation 8\"}")
                        .status())
                .isEqualTo(409);
        assertThat(here.thora
                        .put(here.ofClass + "/title", "{\"title\":\" Knots  and Nets %s \"}".formatted(here.id()))
                        .json()
                        .get("title")
                        .asString())
                .isEqualTo("Knots and Nets " + here.id());
        assertThat(SERVER.signedIn("basil-undercroft")
                        .post(here.ofClass + "/pupils", "{\"person\":\"jory-pell\"}")
                        .status())
                .isEqualTo(403);
    }

    @Test
    void what_is_scheduled_tells_what_clashes_and_is_undone_as_a_whole() {
        JsonNode made = here.schedule(Duration.ofMinutes(60), 40);
        assertThat(made.get("added").asInt()).isEqualTo(1);
        JsonNode clash = here.schedule(Duration.ofMinutes(70), 40);
        assertThat(clash.get("appearing").size()).isPositive();

        assertThat(here.thora
                        .post("/api/timetable/changes/" + clash.get("change").asString() + "/undo", "{}")
                        .status())
                .isEqualTo(200);
        assertThat(here.thora.get(here.ofClass).json().get("lessons").size()).isEqualTo(2);
    }

    @Test
    void this_and_all_following_of_a_tuesday_leaves_the_thursdays() {
        here.thora.post(
                here.ofClass + "/series",
                "{\"first\":\"2026-10-06\",\"until\":\"2026-10-30\",\"days\":[\"TUESDAY\",\"THURSDAY\"],\"start\":\"14:00\",\"minutes\":40}");
        String tuesday = SERVER.bean(Database.class)
                .read()
                .sql("SELECT id FROM lesson WHERE class = :class AND slot LIKE '2026-10-06%'")
                .param("class", here.ofClass.replace("/api/classes/", ""))
                .query(String.class)
                .single();

        here.thora.post(
                "/api/timetable/lessons/" + tuesday + "/change",
                "{\"cancelled\":true,\"following\":true,\"why\":\"the ferry\"}");

        assertThat(SERVER.bean(Database.class)
                        .read()
                        .sql(
                                """
                    SELECT DISTINCT strftime('%w', substr(slot, 1, 10)) FROM lesson
                    WHERE class = :class AND slot >= '2026-10-06' AND cancelled = 1""")
                        .param("class", here.ofClass.replace("/api/classes/", ""))
                        .query(String.class)
                        .list())
                .containsExactly("2");
    }

    @Test
    void the_next_lesson_at_the_doorstep_is_not_the_one_that_was_just_dismissed() {
        here.thora.post(here.lesson + "/dismiss", "{}");

        assertThat(SERVER.browser().get("/api/doorsteps/" + here.token).json().has("next"))
                .isFalse();
    }

    @Test
    void one_damaged_lesson_stops_no_page_about_many_and_is_said_in_words_where_it_is_asked_for() {
        TestBrowser ines = SERVER.signedIn("ines-carrow");
        here.sits(ines, "Ines Carrow");
        SERVER.bean(Database.class)
                .write(sql -> sql.sql("UPDATE lesson_event SET body = replace(body, 'thora', 'thxra') WHERE lesson = ?")
                        .param(here.id().value())
                        .update());
        SERVER.restart();
        TestBrowser maren = SERVER.signedIn("maren-oddlund");

        JsonNode line = maren.get("/api/corridor")
                .json()
                .get("lessons")
                .valueStream()
                .filter(one -> one.get("lesson").asString().equals(here.id().value()))
                .findFirst()
                .orElseThrow();
        assertThat(line.get("alerts").toString()).contains("record is damaged");
        assertThat(SERVER.signedIn("ines-carrow").get("/api/my-day").status()).isEqualTo(200);
        var asked = SERVER.signedIn("thora-melling").get(here.lesson + "/desk");
        assertThat(asked.status()).isEqualTo(409);
        assertThat(asked.text()).contains("From event", "backup");
        assertThat(SERVER.browser().get("/api/doorsteps/" + here.token).status())
                .isEqualTo(409);
    }

    @Test
    void a_seat_is_known_from_the_moment_in_which_the_doors_open_after_a_start() {
        TestBrowser ines = SERVER.signedIn("ines-carrow");
        String seat = here.sits(ines, "Ines Carrow");
        var answers = new ArrayList<Integer>();

        SERVER.restart(address -> answers.add(ines.movedTo(address).get(seat).status()));

        assertThat(answers).containsExactly(200);
    }

    @Test
    void a_stance_of_the_running_order_is_proposed_when_its_time_has_come() {
        here.thora.put(
                here.lesson + "/running-order",
                "{\"steps\":[{\"stance\":\"settling\",\"minutes\":5},{\"stance\":\"explaining\",\"minutes\":20}],\"byTheClock\":false}");
        LiveLessons lessons = SERVER.bean(LiveLessons.class);
        SERVER.advance(Duration.ofMinutes(6));
        SERVER.bean(LessonClock.class).tick();
        assertThat(lessons.look(here.id()).isDue(SERVER.now())).isFalse();

        SERVER.advance(Duration.ofMinutes(5));

        assertThat(lessons.look(here.id()).isDue(SERVER.now()))
                .as("whoever looks on is told within a quarter of a second")
                .isTrue();
    }
}
