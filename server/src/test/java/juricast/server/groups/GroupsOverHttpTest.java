package juricast.server.groups;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.lesson.ASmallClass;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** A class in groups, over HTTP: what is kept for it, a lesson in several places, and what remains of it. */
class GroupsOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private final ASmallClass small = new ASmallClass(SERVER);
    private final Map<String, TestBrowser> browsers = new LinkedHashMap<>();
    private final Map<String, String> seats = new LinkedHashMap<>();
    private final List<String> pupils = new ArrayList<>();

    /** Six pupils of year 8, all in. */
    private GroupsOverHttpTest sixAreIn() {
        JsonNode others = small.maren.get("/api/people").json();
        others.valueStream()
                .filter(one -> one.get("position").asString().equals("PUPIL"))
                .filter(one -> !List.of("ines-carrow", "jory-pell")
                        .contains(one.get("id").asString()))
                .limit(4)
                .forEach(one -> {
                    pupils.add(one.get("id").asString());
                    small.thora.post(
                            small.ofClass + "/pupils",
                            "{\"person\":\"%s\"}".formatted(one.get("id").asString()));
                });
        pupils.add(0, "jory-pell");
        pupils.add(0, "ines-carrow");
        small.open();
        for (String pupil : pupils) {
            TestBrowser browser = SERVER.signedIn(pupil);
            browsers.put(pupil, browser);
            seats.put(pupil, small.sits(browser, "me"));
        }
        return this;
    }

    private JsonNode groups() {
        return small.desk().get("groups");
    }

    private JsonNode seat(String pupil) {
        return browsers.get(pupil).get(seats.get(pupil)).json();
    }

    private TestBrowser.Answer made(int count) {
        return small.thora.post(
                small.lesson + "/groups/made",
                "{\"by\":\"NUMBER\",\"count\":%d,\"balanced\":false,\"mixed\":false,\"times\":5,\"trusted\":false,\"seed\":5}"
                        .formatted(count));
    }

    private TestBrowser.Answer sent() {
        return small.thora.post(small.lesson + "/groups/send-out", "{\"minutes\":10,\"invite\":false}");
    }

    private String groupOf(String pupil) {
        return groups().get("tables")
                .valueStream()
                .filter(table -> table.get("mates").toString().contains("\"" + pupil + "\""))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asString();
    }

    private String notWith(String pupil) {
        return pupils.stream()
                .filter(other -> !groupOf(other).equals(groupOf(pupil)))
                .findFirst()
                .orElseThrow();
    }

    private static void ok(TestBrowser.Answer answer) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    }

    @Test
    void a_lesson_goes_apart_and_comes_together_and_nobody_is_told_what_is_not_theirs() throws Exception {
        sixAreIn();
        ok(made(2));
        ok(small.thora.put(small.lesson + "/groups/task", "{\"text\":\"Find high water\"}"));
        ok(sent());
        String ines = "ines-carrow";
        String other = notWith(ines);
        assertThat(seat(ines).at("/groups/here/task").asString()).isEqualTo("Find high water");
        assertThat(seat(ines).at("/groups/here/with").size()).isEqualTo(3);

        var told = new LinkedBlockingQueue<String>();
        browsers.get(other).lines(seats.get(other) + "/stream", 0, told::add);
        assertThat(told.poll(10, TimeUnit.SECONDS)).isNotNull();
        ok(small.thora.put(small.lesson + "/live-setting", "{\"rule\":\"chat.class\",\"value\":\"open\"}"));
        ok(browsers.get(ines).post(seats.get(ines) + "/words", "{\"to\":\"CLASS\",\"text\":\"SECRET of the group\"}"));
        ok(browsers.get(ines).post(seats.get(ines) + "/group/help", "{}"));
        ok(small.thora.post(
                small.lesson + "/words",
                "{\"to\":\"PLACE\",\"place\":\"%s\",\"text\":\"SECRET of Thora\"}".formatted(groupOf(ines))));
        ok(small.thora.post(small.lesson + "/words", "{\"to\":\"CLASS\",\"text\":\"five minutes\"}"));

        JsonNode table = groups().get("tables")
                .valueStream()
                .filter(one -> one.get("id").asString().equals(groupOf(ines)))
                .findFirst()
                .orElseThrow();
        assertThat(table.at("/call/by").asString()).isEqualTo("Ines Carrow");
        assertThat(table.at("/last/text").asString()).contains("SECRET");
        assertThat(groups().at("/next/why").asString()).isEqualTo("CALLS");
        assertThat(small.desk().get("needs").toString()).contains("GROUP_CALLS");
        var lines = new StringBuilder();
        while (!lines.toString().contains("five minutes")) {
            String line = told.poll(10, TimeUnit.SECONDS);
            assertThat(line).as("what the other group was told" + lines).isNotNull();
            lines.append(line);
        }
        assertThat(lines.toString()).doesNotContain("SECRET").doesNotContain("helpSince");
        assertThat(seat(ines).get("words").toString()).contains("SECRET of Thora");

        ok(small.thora.post(small.lesson + "/groups/" + groupOf(ines) + "/go-in", "{}"));
        assertThat(seat(ines).at("/groups/here/adults").toString()).contains("Thora Melling");
        assertThat(groups().at("/tables").toString()).doesNotContain("\"call\":{");
        ok(browsers.get(ines).delete(seats.get(ines) + "/group"));
        assertThat(seat(ines).at("/groups").has("here")).isFalse();
        ok(small.thora.post(small.lesson + "/groups/call-back", "{\"seconds\":30}"));
        assertThat(sent().text()).contains("Everybody is on the way back");
        SERVER.advance(Duration.ofSeconds(31));
        small.theClockTicks();
        assertThat(groups().has("out")).isFalse();
    }

    @Test
    void what_is_kept_for_making_groups_is_for_adults_and_the_leads_word_binds() {
        sixAreIn();
        String wish = "{\"kind\":\"APART\",\"people\":[\"ines-carrow\",\"jory-pell\"],\"reason\":\"SECRET quarrel\"}";
        ok(small.maren.post(small.ofClass + "/wishes", wish));
        JsonNode kept = small.thora.get(small.ofClass + "/groups").json();
        assertThat(kept.at("/wishes/0/binding").asBoolean()).isTrue();
        assertThat(kept.at("/wishes/0/says").asString())
                .isEqualTo("Ines Carrow and Jory Pell stay apart, by the safeguarding lead");
        long id = kept.at("/wishes/0/id").asLong();
        assertThat(small.thora.delete(small.ofClass + "/wishes/" + id).status()).isEqualTo(403);
        assertThat(SERVER.signedIn("orla-venn").get(small.ofClass + "/groups").status())
                .isEqualTo(403);
        assertThat(browsers.get("ines-carrow").get(small.ofClass + "/groups").status())
                .isEqualTo(403);
        ok(small.thora.put(
                small.ofClass + "/group-marks",
                "{\"marks\":[{\"person\":\"ines-carrow\",\"level\":3,\"trusted\":true}]}"));
        assertThat(small.maren
                        .put("/api/group-levels", "{\"words\":[\"SECRET one\",\"two\",\"two\"]}")
                        .status())
                .isEqualTo(400);
        ok(small.maren.put("/api/group-levels", "{\"words\":[\"SECRET one\",\"two\",\"three\"]}"));

        JsonNode answer = made(2).json();
        assertThat(answer.get("says")).isEmpty();
        assertThat(groupOf("ines-carrow")).isNotEqualTo(groupOf("jory-pell"));
        assertThat(small.thora
                        .put(
                                small.lesson + "/people/jory-pell/group",
                                "{\"to\":\"%s\"}".formatted(groupOf("ines-carrow")))
                        .text())
                .contains("The safeguarding lead has ruled otherwise for Ines Carrow, Jory Pell");
        ok(sent());
        assertThat(browsers.get("ines-carrow").get(seats.get("ines-carrow")).text())
                .doesNotContain("SECRET")
                .doesNotContain("trusted")
                .doesNotContain("level");
        ok(small.maren.delete(small.ofClass + "/wishes/" + id));
    }

    @Test
    void what_cannot_be_made_says_why_and_leaves_what_is_there() {
        sixAreIn();
        ok(made(2));
        assertThat(made(7).text()).contains("7 groups of 6 pupils cannot be");
        assertThat(made(3).text()).contains("Groups would be smaller than 3");
        assertThat(made(0).status()).isEqualTo(400);
        assertThat(groups().get("tables")).hasSize(2);
        assertThat(small.thora.post(small.lesson + "/groups/as-last-time", "{}").text())
                .contains("has not been in groups yet");
        assertThat(small.thora
                        .post(small.lesson + "/groups/send-out", "{\"minutes\":60,\"invite\":false}")
                        .text())
                .contains("longer than groups may last");
        assertThat(small.thora
                        .post(small.lesson + "/groups/send-out", "{\"minutes\":0,\"invite\":false}")
                        .text())
                .contains("That is no length");
        JsonNode preview = small.thora.get(small.lesson + "/groups/preview").json();
        assertThat(preview.get("recording").asString()).contains("cannot be recorded");
        assertThat(preview.get("rights")).isNotEmpty();
    }

    @Test
    void who_is_invited_accepts_and_who_comes_late_is_sent() {
        sixAreIn();
        String last = pupils.get(5);
        browsers.get(last).post(seats.get(last) + "/leave", "{}");
        ok(
                small.thora.post(
                        small.lesson + "/groups/made",
                        "{\"by\":\"SIZE\",\"count\":5,\"balanced\":true,\"mixed\":true,\"times\":5,\"trusted\":true,\"seed\":0}"));
        ok(small.thora.post(small.lesson + "/groups/send-out", "{\"invite\":true}"));
        assertThat(seat("ines-carrow").at("/mine/groups/name").asString()).isEqualTo("Group 1");
        assertThat(seat("ines-carrow").at("/mine/groups/with").size()).isEqualTo(5);
        ok(browsers.get("ines-carrow").post(seats.get("ines-carrow") + "/group", "{}"));
        assertThat(seat("ines-carrow").at("/groups/here/name").asString()).isEqualTo("Group 1");

        seats.put(last, small.sits(browsers.get(last), "me"));
        assertThat(groups().at("/late/0/id").asString()).isEqualTo(last);
        assertThat(browsers.get(last).post(seats.get(last) + "/group", "{}").status())
                .as("the rule says: by an adult's word")
                .isEqualTo(409);
        ok(small.thora.put(small.lesson + "/people/" + last + "/group", "{\"to\":\"g1\"}"));
        assertThat(seat(last).at("/groups/here/name").asString()).isEqualTo("Group 1");
    }

    @Test
    void what_remains_of_groups_is_used_again_and_found_where_somebody_was_to_stay_apart() {
        sixAreIn();
        ok(made(2));
        String ines = "ines-carrow";
        String mate = pupils.stream()
                .filter(one -> !one.equals(ines) && groupOf(one).equals(groupOf(ines)))
                .findFirst()
                .orElseThrow();
        ok(sent());
        SERVER.advance(Duration.ofMinutes(4));
        ok(small.thora.post(small.lesson + "/dismiss", "{}"));
        SERVER.bean(GroupsKept.class).goThrough();
        ok(small.thora.post(
                small.ofClass + "/wishes",
                "{\"kind\":\"APART\",\"people\":[\"%s\",\"%s\"],\"reason\":\"they quarrel\"}".formatted(ines, mate)));

        JsonNode stays = small.thora.get("/api/pupils/" + ines + "/groups").json();
        assertThat(stays.at("/0/with").size()).isEqualTo(2);
        assertThat(SERVER.signedIn("orla-venn")
                        .get("/api/pupils/" + mate + "/groups")
                        .text())
                .as("another teacher reads nothing of it")
                .doesNotContain("Locked Doors");
        JsonNode replay = small.thora.get(small.lesson + "/replay").json();
        assertThat(replay.get("groups")).hasSize(6);
        assertThat(replay.at("/keptApart/0/reason").asString()).isEqualTo("they quarrel");
        assertThat(replay.at("/aloneInGroups/0/seconds").asInt()).isEqualTo(240);
        assertThat(small.maren.get("/api/inspection").text()).contains("In one group, and kept apart");
    }

    @Test
    void prepared_groups_are_kept_changed_placed_in_the_running_order_and_drawn_up() {
        sixAreIn();
        String prepared =
                "{\"name\":\"Tide tables\",\"task\":\"Find high water\",\"groups\":[{\"name\":\"North\",\"people\":[\"ines-carrow\",\"%s\",\"%s\"]},{\"name\":\"South\",\"people\":[\"jory-pell\",\"%s\"]}]}"
                        .formatted(pupils.get(2), pupils.get(3), pupils.get(4));
        JsonNode kept = small.thora.post(small.ofClass + "/prepared", prepared).json();
        String id = kept.at("/prepared/0/id").asString();
        assertThat(small.thora
                        .post(small.ofClass + "/prepared", prepared.replace("South", "north"))
                        .status())
                .isEqualTo(400);
        ok(small.thora.put(small.ofClass + "/prepared/" + id, prepared.replace("Tide tables", "Tides")));
        ok(small.thora.put(
                small.lesson + "/running-order",
                "{\"steps\":[{\"stance\":\"closing\",\"minutes\":30,\"groups\":\"%s\"}],\"byTheClock\":false}"
                        .formatted(id)));
        assertThat(small.thora
                        .put(
                                small.lesson + "/running-order",
                                "{\"steps\":[{\"stance\":\"closing\",\"minutes\":30,\"groups\":\"none\"}],\"byTheClock\":false}")
                        .status())
                .isEqualTo(404);
        SERVER.advance(Duration.ofMinutes(6));
        assertThat(small.desk().get("needs").toString()).contains("Groups “Tides” are planned now");

        ok(small.thora.post(small.lesson + "/groups/prepared/" + id, "{}"));
        assertThat(groups().at("/tables/1/mates").size())
                .as("who is in none of them goes where they are needed")
                .isEqualTo(3);
        assertThat(groups().get("task").asString()).isEqualTo("Find high water");
        assertThat(SERVER.signedIn("orla-venn")
                        .delete(small.ofClass + "/prepared/" + id)
                        .status())
                .isEqualTo(403);
        assertThat(small.thora.delete(small.ofClass + "/prepared/" + id).json().get("prepared"))
                .isEmpty();
    }

    @Test
    void the_next_lesson_of_the_class_takes_up_the_groups_of_the_last_and_knows_who_met() {
        sixAreIn();
        ok(made(2));
        String together = groups().get("tables").toString();
        ok(sent());
        SERVER.advance(Duration.ofMinutes(3));
        // Planned before the first one ends, or its link would have led to the last lesson.
        small.schedule(Duration.ofMinutes(50), 45);
        ok(small.thora.post(small.lesson + "/dismiss", "{}"));
        SERVER.bean(GroupsKept.class).goThrough();

        String next = "/api/lessons/"
                + small.thora
                        .get(small.ofClass)
                        .json()
                        .get("lessons")
                        .valueStream()
                        .map(one -> one.get("id").asString())
                        .filter(id -> !small.lesson.endsWith(id))
                        .findFirst()
                        .orElseThrow();
        SERVER.advance(Duration.ofMinutes(49));
        ok(small.thora.post(next + "/open", "{}"));
        for (String pupil : pupils) {
            ok(browsers.get(pupil)
                    .post(
                            "/api/doorsteps/" + small.token + "/knock",
                            "{\"name\":\"me\",\"word\":\"%s\",\"agreed\":true}".formatted(small.word)));
        }
        ok(small.thora.post(next + "/admit-all-listed", "{}"));
        assertThat(small.thora.get(next + "/desk").json().at("/door/pupils").toString())
                .as("all are in")
                .doesNotContain("MISSING", "WAITING");
        ok(small.thora.post(next + "/groups/as-last-time", "{}"));
        JsonNode again = small.thora.get(next + "/desk").json().get("groups");
        assertThat(again.get("how").asString()).isEqualTo("as last time");
        again.get("tables").forEach(table -> {
            assertThat(table.get("mates")).hasSize(3);
            table.get("mates").forEach(mate -> assertThat(together)
                    .contains(mate.get("id").asString()));
        });
        JsonNode mixed = small.thora
                .post(
                        next + "/groups/made",
                        "{\"by\":\"NUMBER\",\"count\":2,\"balanced\":false,\"mixed\":true,\"times\":5,\"trusted\":false,\"seed\":1}")
                .json();
        assertThat(mixed.get("metAgain").asInt())
                .as("of three and three, one pair of each at least meets again")
                .isEqualTo(mixed.get("metAtLeast").asInt())
                .isEqualTo(2);
        assertThat(small.thora
                        .get(next + "/groups/preview")
                        .json()
                        .get("lastTimes")
                        .asInt())
                .isEqualTo(1);
    }

    @Test
    void each_group_has_a_board_page_and_files_of_its_own() {
        sixAreIn();
        ok(made(2));
        ok(sent());
        ok(small.thora.put(small.lesson + "/live-setting", "{\"rule\":\"share.draw\",\"value\":\"open\"}"));
        String ines = "ines-carrow";
        String other = notWith(ines);
        ok(
                browsers.get(ines)
                        .post(
                                seats.get(ines) + "/board/marks",
                                "{\"page\":0,\"drawing\":{\"shape\":\"LINE\",\"ink\":\"RED\",\"width\":2,\"points\":[1,1,9,9]}}"));
        assertThat(browsers.get(ines).get(seats.get(ines) + "/board").json().get("marks"))
                .hasSize(1);
        assertThat(browsers.get(other).get(seats.get(other) + "/board").json().get("marks"))
                .isEmpty();
        assertThat(small.thora.get(small.lesson + "/board").json().get("marks")).isEmpty();
        assertThat(small.thora
                        .get(small.lesson + "/board?in=" + groupOf(ines))
                        .json()
                        .get("marks"))
                .hasSize(1);
        ok(small.thora.delete(small.lesson + "/board?in=" + groupOf(ines)));
        assertThat(browsers.get(ines).get(seats.get(ines) + "/board").json().get("marks"))
                .isEmpty();
        assertThat(small.thora
                        .post(
                                small.lesson + "/words",
                                "{\"to\":\"PLACE\",\"place\":\"g99\",\"text\":\"is anybody there\"}")
                        .text())
                .contains("out no more");
    }
}
