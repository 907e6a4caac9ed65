package juricast.server.rehearsal;

import static juricast.server.lesson.ASmallClass.eventually;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import juricast.core.identity.LessonId;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.cast.Mischief;
import juricast.server.data.Database;
import juricast.server.lesson.ASmallClass;
import juricast.server.lesson.LiveLessons;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

class RehearsalOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    /** Every table that has to do with lessons and holds one that is a rehearsal. */
    private static List<String> tablesWithOne() {
        var database = SERVER.bean(Database.class).read();
        return database
                .sql("SELECT one.name FROM sqlite_master AS one JOIN pragma_table_info(one.name) AS held"
                        + " WHERE one.type = 'table' AND held.name = 'lesson'")
                .query(String.class)
                .list()
                .stream()
                .filter(table -> database.sql("SELECT count(*) FROM " + table + " WHERE lesson LIKE 'rehearsal-%'")
                                .query(Integer.class)
                                .single()
                        > 0)
                .toList();
    }

    private static int incidents() {
        return SERVER.bean(Database.class)
                .read()
                .sql("SELECT count(*) FROM incident_event")
                .query(Integer.class)
                .single();
    }

    private static TestBrowser.Answer done(TestBrowser.Answer answer) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer;
    }

    private static String begin(ASmallClass small, TestBrowser by) {
        return "/api/lessons/"
                + done(by.post(small.lesson + "/rehearsal", ""))
                        .json()
                        .get("lesson")
                        .asString();
    }

    private static JsonNode desk(TestBrowser browser, String lesson) {
        return done(browser.get(lesson + "/desk")).json();
    }

    @Test
    void a_lesson_is_rehearsed_with_a_class_that_is_nobodys_and_no_table_holds_anything_of_it() {
        var small = new ASmallClass(SERVER);
        int incidents = incidents();
        String rehearsal = begin(small, small.thora);

        assertThat(desk(small.thora, rehearsal).get("rehearses").asString())
                .isEqualTo(small.id().value());
        done(small.thora.post(rehearsal + "/open", "{}"));
        done(small.thora.post(rehearsal + "/join", "{}"));
        SERVER.advance(Duration.ofMinutes(3));
        eventually(() -> desk(small.thora, rehearsal).at("/door/waiting").size() >= 4);
        String waiting = desk(small.thora, rehearsal).at("/door/waiting").toString();
        assertThat(waiting).contains("kestrel-phone-9").doesNotContain("Ines", "Jory");
        done(small.thora.post(rehearsal + "/admit-all-listed", "{}"));
        SERVER.advance(Duration.ofMinutes(1));
        eventually(() -> desk(small.thora, rehearsal).get("needs").toString().contains("HAND"));

        for (Mischief one : Mischief.values()) {
            done(small.thora.post(rehearsal + "/rehearsal/mischief/" + one, ""));
        }
        SERVER.advance(Duration.ofMinutes(4));
        eventually(() ->
                desk(small.thora, rehearsal).at("/door/waiting").toString().contains("Wulf Harrowgate"));
        done(small.thora.post(rehearsal + "/dismiss", "{}"));
        assertThat(tablesWithOne()).as("nothing is kept").isEmpty();
        assertThat(incidents()).isEqualTo(incidents);
        assertThat(done(small.thora.get(small.lesson + "/rehearsal"))
                        .json()
                        .at("/held/0/by")
                        .asString())
                .isEqualTo("Thora Melling");
        assertThat(done(small.thora.get(small.lesson + "/desk"))
                        .json()
                        .at("/door/phase")
                        .asString())
                .as("the lesson itself was not touched")
                .isEqualTo("PLANNED");
    }

    @Test
    void it_goes_by_the_rules_of_its_lesson() {
        var small = new ASmallClass(SERVER);
        small.rule("chat.class", "PUPIL", "closed");
        String rehearsal = begin(small, small.thora);
        done(small.thora.post(rehearsal + "/open", "{}"));
        JsonNode why = done(small.thora.get(rehearsal + "/why/chat.class")).json();
        assertThat(why.toString()).contains("Class rules, by Thora Melling", "\"value\":\"closed\"");
    }

    @Test
    void neither_pupils_nor_other_teachers_come_near_it_and_lists_do_not_know_it() {
        var small = new ASmallClass(SERVER);
        TestBrowser ines = SERVER.signedIn("ines-carrow");
        TestBrowser orla = SERVER.signedIn("orla-venn");
        assertThat(ines.post(small.lesson + "/rehearsal", "").status()).isEqualTo(403);
        assertThat(orla.post(small.lesson + "/rehearsal", "").status()).isEqualTo(403);
        String rehearsal = begin(small, small.thora);
        done(small.thora.post(rehearsal + "/open", "{}"));

        assertThat(orla.get(rehearsal + "/desk").status()).isEqualTo(403);
        assertThat(orla.post(rehearsal + "/rehearsal/mischief/SHOUTING", "").status())
                .isEqualTo(403);
        assertThat(ines.get("/api/my-day").text()).doesNotContain("rehearsal-");
        assertThat(small.maren.get("/api/corridor").text()).doesNotContain("rehearsal-");
        assertThat(small.thora.get("/api/today").text()).doesNotContain("rehearsal-");
        assertThat(SERVER.bean(LiveLessons.class).open())
                .noneMatch(id -> id.value().startsWith("rehearsal-"));
        // Whoever comes by the link of the class stands at the door of the lesson, not of the rehearsal.
        small.knocks(ines, "Ines Carrow");
        assertThat(desk(small.thora, rehearsal).at("/door/waiting").toString()).doesNotContain("Ines");
    }

    @Test
    void what_would_be_kept_with_a_lesson_is_refused_in_words() {
        var small = new ASmallClass(SERVER);
        String rehearsal = begin(small, small.thora);
        done(small.thora.post(rehearsal + "/open", "{}"));
        done(small.thora.post(rehearsal + "/join", "{}"));
        var refused = small.thora.upload(
                rehearsal + "/files?to=CLASS", "plan.txt", "Chart 7".getBytes(StandardCharsets.UTF_8), "");
        assertThat(refused.status()).as(refused.text()).isEqualTo(409);
        assertThat(refused.text()).contains("In a rehearsal nothing is kept");
        assertThat(small.thora.post(rehearsal + "/rehearsal", "").text()).contains("This is a rehearsal already");
        assertThat(small.thora
                        .post(small.lesson + "/rehearsal/mischief/SHOUTING", "")
                        .text())
                .contains("No rehearsal is open here");
    }

    @Test
    void the_next_rehearsal_ends_the_last_and_a_safeguarding_lead_leads_their_own() {
        var small = new ASmallClass(SERVER);
        String first = begin(small, small.maren);
        done(small.maren.post(first + "/open", "{}"));
        done(small.maren.post(first + "/join", "{}"));
        var live = SERVER.bean(LiveLessons.class);
        var id = new LessonId(first.substring(first.lastIndexOf('/') + 1));
        SERVER.advance(Duration.ofSeconds(1));
        String second = begin(small, small.maren);
        assertThat(second).isNotEqualTo(first);
        eventually(() -> !live.isKnown(id) || live.state(id).there().isOver());
        done(small.maren.post(second + "/open", "{}"));

        // One that was left by closing its page ends too: who is not in it could not dismiss it.
        SERVER.advance(Duration.ofSeconds(1));
        begin(small, small.maren);
        assertThat(live.isKnown(new LessonId(second.substring(second.lastIndexOf('/') + 1))))
                .isFalse();
    }
}
