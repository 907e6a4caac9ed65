package juricast.server.timetable;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** The demo begins on Monday 14 September at ten past ten. */
class ImportOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private static int made;
    private TestBrowser thora;
    private String title;
    private String id;

    @BeforeEach
    void a_class_of_her_own() {
        thora = SERVER.signedIn("thora-melling");
        title = "Flag Codes " + ++made;
        id = thora.post("/api/classes", "{\"title\":\"%s\",\"year\":8}".formatted(title))
                .json()
                .get("id")
                .asString();
    }

    private String calendar(String title, String... lines) {
        return "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nUID:u" + made + "\r\nSUMMARY:" + title + "\r\n"
                + String.join("\r\n", lines) + "\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
    }

    private String threeWeeks(String start) {
        return calendar(title, "DTSTART:202609" + start, "DURATION:PT50M", "RRULE:FREQ=WEEKLY;COUNT=3");
    }

    private JsonNode preview(TestBrowser who, String file, String meant) {
        var answer = who.send(
                "POST", "/api/timetable/import/preview?meant=" + URLEncoder.encode(meant, UTF_8), file, "text/plain");
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private TestBrowser.Answer take(TestBrowser who, String file, String meant, String fingerprint, boolean callOff) {
        return who.send(
                "POST",
                "/api/timetable/import?meant=%s&fingerprint=%s&callOff=%s&name=autumn.ics"
                        .formatted(URLEncoder.encode(meant, UTF_8), fingerprint, callOff),
                file,
                "text/plain");
    }

    private TestBrowser.Answer take(String file, boolean callOff) {
        return take(
                thora, file, "{}", preview(thora, file, "{}").get("fingerprint").asString(), callOff);
    }

    private List<String> starts() {
        JsonNode lessons = thora.get("/api/classes/" + id).json().get("lessons");
        return IntStream.range(0, lessons.size())
                .mapToObj(i -> lessons.get(i).get("starts").asString())
                .toList();
    }

    @Test
    void a_calendar_is_taken_exactly_as_it_was_shown_and_once_only_and_can_be_undone() {
        String file = threeWeeks("19T090000Z");
        JsonNode shown = preview(thora, file, "{}");
        assertThat(shown.at("/classes/0/title").asString()).isEqualTo(title);
        assertThat(shown.at("/classes/0/added").asInt()).isEqualTo(3);
        assertThat(shown.at("/classes/0/lines/0").asString()).contains("Saturday 19 September", "is new");
        assertThat(starts()).as("nothing yet").isEmpty();
        assertThat(take(
                                thora,
                                threeWeeks("20T090000Z"),
                                "{}",
                                shown.get("fingerprint").asString(),
                                false)
                        .status())
                .as("another file")
                .isEqualTo(409);

        var taken = take(file, false);
        assertThat(taken.status()).as(taken.text()).isEqualTo(200);
        assertThat(starts()).containsExactly("2026-09-19T09:00:00Z", "2026-09-26T09:00:00Z", "2026-10-03T09:00:00Z");
        assertThat(preview(thora, file, "{}").get("same").asInt()).isEqualTo(3);
        assertThat(take(file, false).text()).contains("nothing to take");

        String change = taken.json().get("change").asString();
        assertThat(thora.post("/api/timetable/changes/" + change + "/undo", "{}")
                        .status())
                .isEqualTo(200);
        assertThat(starts()).isEmpty();
        assertThat(take(file, false).json().get("changed").asInt())
                .as("taken again after the undo, they are held again")
                .isEqualTo(3);
        assertThat(starts()).hasSize(3);
    }

    @Test
    void a_later_file_moves_what_it_moved_and_what_it_has_no_more_is_cancelled_only_if_wanted() {
        take(threeWeeks("19T090000Z"), false);
        String later = calendar(
                title,
                "DTSTART:20260919T090000Z",
                "DURATION:PT50M",
                "RRULE:FREQ=WEEKLY;COUNT=2",
                "END:VEVENT",
                "BEGIN:VEVENT",
                "UID:u" + made,
                "RECURRENCE-ID:20260926T090000Z",
                "DTSTART:20260927T100000Z",
                "DURATION:PT30M");
        JsonNode shown = preview(thora, later, "{}");
        assertThat(shown.at("/classes/0/changed").asInt()).isEqualTo(1);
        assertThat(shown.at("/classes/0/missing").asInt()).isEqualTo(1);

        take(later, false);
        assertThat(starts()).containsExactly("2026-09-19T09:00:00Z", "2026-09-27T10:00:00Z", "2026-10-03T09:00:00Z");
        take(later, true);
        assertThat(starts()).containsExactly("2026-09-19T09:00:00Z", "2026-09-27T10:00:00Z");
    }

    @Test
    void lessons_that_would_change_places_are_left_to_a_person_and_nothing_is_half_done() {
        take(threeWeeks("19T090000Z"), false);
        String swapped = calendar(
                title,
                "DTSTART:20260919T090000Z",
                "DURATION:PT50M",
                "RRULE:FREQ=WEEKLY;COUNT=3",
                "END:VEVENT",
                "BEGIN:VEVENT",
                "UID:u" + made,
                "RECURRENCE-ID:20260919T090000Z",
                "DTSTART:20260926T090000Z",
                "DURATION:PT50M",
                "END:VEVENT",
                "BEGIN:VEVENT",
                "UID:u" + made,
                "RECURRENCE-ID:20260926T090000Z",
                "DTSTART:20260919T090000Z",
                "DURATION:PT40M",
                "END:VEVENT",
                "BEGIN:VEVENT",
                "UID:new" + made,
                "SUMMARY:" + title,
                "DTSTART:20260921T170000Z",
                "DURATION:PT40M");
        assertThat(preview(thora, swapped, "{}").at("/classes/0/changed").asInt())
                .isEqualTo(2);
        var taken = take(swapped, false);
        assertThat(taken.status()).isEqualTo(409);
        assertThat(taken.text()).contains("change places");
        assertThat(starts())
                .as("also the new one was not taken")
                .containsExactly("2026-09-19T09:00:00Z", "2026-09-26T09:00:00Z", "2026-10-03T09:00:00Z");
    }

    @Test
    void a_taken_timetable_is_not_undone_over_a_later_change() {
        String change =
                take(threeWeeks("19T090000Z"), false).json().get("change").asString();
        String first =
                thora.get("/api/classes/" + id).json().at("/lessons/0/id").asString();
        thora.post(
                "/api/timetable/lessons/" + first + "/change",
                "{\"minutes\":30,\"following\":false,\"why\":\"Shorter\"}");
        assertThat(thora.post("/api/timetable/changes/" + change + "/undo", "{}")
                        .status())
                .isEqualTo(409);
        assertThat(starts()).hasSize(3);
    }

    @Test
    void a_title_that_is_no_class_is_asked_about_and_lessons_of_others_are_left_out() {
        String file = calendar("Flags, the codes", "DTSTART:20260920T090000Z", "DURATION:PT50M");
        assertThat(preview(thora, file, "{}").at("/unknown/0/title").asString()).isEqualTo("Flags, the codes");
        String meant = "{\"Flags, the codes\":\"%s\"}".formatted(id);
        JsonNode shown = preview(thora, file, meant);
        assertThat(shown.get("unknown")).isEmpty();
        assertThat(take(thora, file, meant, shown.get("fingerprint").asString(), false)
                        .status())
                .isEqualTo(200);
        assertThat(starts()).containsExactly("2026-09-20T09:00:00Z");

        String others = calendar("Tidal Navigation 8", "DTSTART:20260920T130000Z", "DURATION:PT50M");
        assertThat(preview(thora, others, "{}").get("notYours").asInt()).isEqualTo(1);
        assertThat(take(others, false).status()).isEqualTo(409);
        assertThat(preview(SERVER.signedIn("maren-oddlund"), others, "{}").toString())
                .as("the lead plans for all")
                .contains("\"title\":\"Tidal Navigation 8\",\"added\":1");
    }

    @Test
    void what_is_not_understood_is_told_with_its_line_and_nothing_of_it_is_taken() {
        String file = calendar(title, "DTSTART:20260919T090000Z", "DURATION:PT50M", "RRULE:FREQ=SECONDLY");
        JsonNode shown = preview(thora, file, "{}");
        assertThat(shown.at("/wrong/0/line").asInt()).isEqualTo(3);
        assertThat(shown.at("/wrong/0/message").asString()).contains("FREQ=SECONDLY");
        assertThat(take(file, false).status()).isEqualTo(409);

        String huge = "x".repeat(12_100_000);
        assertThat(thora.send("POST", "/api/timetable/import/preview", huge, "text/plain")
                        .status())
                .isEqualTo(400);
        assertThat(thora.send("POST", "/api/timetable/import/preview?meant=[", file, "text/plain")
                        .status())
                .isEqualTo(400);
    }

    @Test
    void a_table_that_went_out_comes_back_in_changed() {
        take(threeWeeks("19T090000Z"), false);
        String table = thora.get("/api/timetable/lessons.csv?from=2026-09-14&until=2026-10-31")
                .text();
        assertThat(table.lines().toList().get(0)).contains("id,class,date,starts,ends,adults,state");
        List<String> mine =
                table.lines().filter(line -> line.contains(title + ",")).toList();
        assertThat(mine).hasSize(3);
        String moved = mine.get(0).replaceFirst(",\\d\\d:\\d\\d,\\d\\d:\\d\\d,", ",16:00,16:40,");
        String cancelled = mine.get(1).replace("planned", "cancelled");
        String file = table.lines().findFirst().orElseThrow() + "\n" + moved + "\n" + cancelled + "\n" + mine.get(2)
                + "\n,\"=1+1\",2026-09-21,10:00,10:50,,\n,no such class,today,10:00,11:00,,\n";
        JsonNode shown = preview(thora, file, "{}");
        assertThat(shown.at("/classes/0/changed").asInt()).isEqualTo(2);
        assertThat(shown.get("same").asInt()).isEqualTo(1);
        assertThat(shown.at("/unknown/0/title").asString()).isEqualTo("=1+1");
        assertThat(shown.at("/wrong/0/line").asInt()).isEqualTo(6);
        assertThat(take(file, false).status()).isEqualTo(200);
        assertThat(starts()).hasSize(2);
        String stranger = mine.get(2).replace(title, "Tidal Navigation 8");
        JsonNode mixed = preview(thora, table.lines().findFirst().orElseThrow() + "\n" + stranger + "\n", "{}");
        assertThat(mixed.at("/wrong/0/message").asString()).contains("not one of “Tidal Navigation 8”");
        assertThat(mixed.get("classes").toString()).doesNotContain("Tidal");
        assertThat(SERVER.signedIn("maren-oddlund")
                        .get("/api/timetable/lessons.csv?from=2026-09-14&until=2028-10-31")
                        .status())
                .isEqualTo(400);
    }

    @Test
    void a_calendar_of_ten_megabytes_is_read_in_bounded_time() {
        String events = IntStream.range(0, 19_000)
                .mapToObj(i ->
                        "BEGIN:VEVENT\r\nUID:big" + i + "\r\nSUMMARY:" + title + "\r\nDESCRIPTION:" + "x".repeat(420)
                                + "\r\nDTSTART:2026091" + (5 + i % 4) + "T090000Z\r\nDURATION:PT50M\r\nEND:VEVENT\r\n")
                .collect(Collectors.joining());
        String file = "BEGIN:VCALENDAR\r\n" + events + "END:VCALENDAR\r\n";
        assertThat(file.length()).isGreaterThan(10_000_000);
        JsonNode shown = preview(thora, file, "{}");
        assertThat(shown.at("/classes/0/added").asInt()).as("each time once").isEqualTo(4);
        assertThat(shown.get("wrongInAll").asInt())
                .as("each that begins when another does, and that notes are not kept")
                .isEqualTo(18_997);
    }
}
