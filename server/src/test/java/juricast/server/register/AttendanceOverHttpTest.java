package juricast.server.register;

import static org.assertj.core.api.Assertions.assertThat;

import com.lowagie.text.pdf.PdfReader;
import com.lowagie.text.pdf.parser.PdfTextExtractor;
import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import juricast.core.identity.PersonId;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.access.Position;
import juricast.server.access.SignedIn;
import juricast.server.data.School;
import juricast.server.files.Paper;
import juricast.server.lesson.ASmallClass;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** The demo has a week of lessons that are over. */
class AttendanceOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private static final String REGISTER = "/api/lessons/seabird-ecology-8-1.1-2/register";
    private static final String GRID = "/api/classes/seabird-ecology-8/attendance";
    private final TestBrowser orla = SERVER.signedIn("orla-venn");
    private final TestBrowser maren = SERVER.signedIn("maren-oddlund");

    @BeforeEach
    void what_is_over_is_gone_through() {
        SERVER.bean(Attendances.class).goThrough();
    }

    private static List<JsonNode> each(JsonNode array) {
        return IntStream.range(0, array.size()).mapToObj(array::get).toList();
    }

    private JsonNode pupil(String person) {
        return each(orla.get(GRID).json().get("pupils")).stream()
                .filter(one -> one.get("person").asString().equals(person))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void all_registers_of_a_period_go_out_as_one_table_for_the_lead_alone() {
        TestBrowser lead = SERVER.signedIn("maren-oddlund");
        List<String> lines = new ArrayList<>();
        ASmallClass.eventually(() -> {
            lines.clear();
            lead.get("/api/attendance/table.csv?from=2026-09-07&until=2026-09-14")
                    .text()
                    .lines()
                    .forEach(lines::add);
            return lines.size() > 200;
        });
        assertThat(lines.get(0))
                .contains("Lesson,Starts,Class,Pupil number,Pupil,Year,Mark,Code,Minutes late", "Signed by");
        assertThat(lines.get(1)).containsPattern("^[^,]+,2026-09-\\d\\d \\d\\d:\\d\\d,");
        assertThat(lines.subList(1, lines.size())).allMatch(line -> line.split(",", -1).length >= 15);
        TestBrowser teacher = SERVER.signedIn("orla-venn");
        assertThat(teacher.get("/api/attendance/table.csv").status()).isEqualTo(403);
    }

    @Test
    void a_class_is_a_grid_that_agrees_with_each_of_its_registers() {
        JsonNode grid = orla.get(GRID).json();
        assertThat(grid.get("lessons").size()).isGreaterThan(1);
        for (int column = 0; column < grid.get("lessons").size(); column++) {
            String id = grid.at("/lessons/" + column + "/id").asString();
            JsonNode register = orla.get("/api/lessons/" + id + "/register").json();
            for (JsonNode line : each(register.get("lines"))) {
                int at = column;
                JsonNode cell = each(grid.get("pupils")).stream()
                        .filter(one -> one.get("person").equals(line.get("person")))
                        .map(one -> one.get("cells").get(at))
                        .findFirst()
                        .orElseThrow();
                assertThat(cell.get("mark")).isEqualTo(line.get("mark"));
                assertThat(cell.get("minutes").asLong())
                        .isEqualTo(line.get("minutes").asLong());
            }
        }
        String table = orla.get(GRID + ".csv").text();
        assertThat(table.lines().toList()).hasSize(1 + grid.get("pupils").size());
        assertThat(SERVER.signedIn("anton-prowse").get(GRID).status()).isEqualTo(403);
        assertThat(orla.get(GRID + "?from=2020-01-01&until=2026-01-01").status())
                .isEqualTo(400);
    }

    @Test
    void a_correction_counts_everywhere_at_once_and_a_signed_register_is_opened_again_only_with_a_reason() {
        JsonNode line = each(orla.get(REGISTER).json().get("lines")).stream()
                .filter(one -> one.get("mark").asString().equals("PRESENT"))
                .findFirst()
                .orElseThrow();
        String person = line.get("person").asString();
        int expected = pupil(person).at("/rate/expected").asInt();
        String correction =
                "{\"person\":\"%s\",\"mark\":\"EXCUSED\",\"lateMinutes\":0,\"reason\":\"sick bed\"}".formatted(person);
        assertThat(orla.post(REGISTER + "/corrections", correction).status()).isEqualTo(200);
        assertThat(pupil(person).at("/rate/expected").asInt()).isEqualTo(expected - 1);
        assertThat(maren.get("/api/pupils/" + person + "/attendance").text()).contains("\"mark\":\"EXCUSED\"");

        assertThat(orla.post(REGISTER + "/sign", "{}").json().at("/signed/by").asString())
                .isEqualTo("Orla Venn");
        assertThat(orla.post(REGISTER + "/corrections", correction).text()).contains("This register is signed");
        assertThat(orla.post(REGISTER + "/sign", "{}").status()).isEqualTo(409);
        assertThat(orla.post(REGISTER + "/reopen", "{\"reason\":\" \"}").status())
                .isEqualTo(400);
        assertThat(orla.post(REGISTER + "/reopen", "{\"reason\":\"a parent called\"}")
                        .json()
                        .has("signed"))
                .isFalse();
        assertThat(orla.post(REGISTER + "/corrections", correction).status()).isEqualTo(200);
        assertThat(orla.post("/api/lessons/tidal-navigation-8-1.3-2/register/sign", "{}")
                        .status())
                .as("it still runs")
                .isEqualTo(409);
    }

    @Test
    void a_teacher_sees_a_pupil_in_the_own_classes_and_the_lead_in_all() {
        JsonNode all = maren.get("/api/pupils/ines-carrow/attendance").json();
        JsonNode own = orla.get("/api/pupils/ines-carrow/attendance").json();
        assertThat(own.at("/whole/expected").asInt())
                .isPositive()
                .isLessThan(all.at("/whole/expected").asInt());
        assertThat(own.get("classes").toString()).doesNotContain("Harbour Law");
        assertThat(SERVER.signedIn("anton-prowse")
                        .get("/api/pupils/orla-venn/attendance")
                        .status())
                .as("no pupil")
                .isEqualTo(404);
        int lookedAt = maren.get("/api/attendance").json().get("lookedAt").asInt();
        assertThat(lookedAt).isGreaterThan(100);
        assertThat(orla.get("/api/attendance").json().get("lookedAt").asInt()).isBetween(1, lookedAt - 1);
    }

    /** A lesson of a class of three that nobody opened here: it was held in another service, and is over. */
    private static final class HeldElsewhere {
        private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm");
        static final String DECIDED =
                "decided=" + URLEncoder.encode("{\"J Pell\":\"jory-pell\",\"a guest\":\"-\"}", StandardCharsets.UTF_8);
        final TestBrowser thora = SERVER.signedIn("thora-melling");
        final String ofClass;
        final String lesson;
        final String file;

        HeldElsewhere(String title) {
            ofClass = "/api/classes/"
                    + thora.post("/api/classes", "{\"title\":\"%s\",\"year\":8}".formatted(title))
                            .json()
                            .get("id")
                            .asString();
            byte[] roster = "name\nInes Carrow\nJory Pell\nBo Lindqvar\n".getBytes(StandardCharsets.UTF_8);
            thora.upload(
                    ofClass + "/roster",
                    roster,
                    thora.upload(ofClass + "/roster/preview", roster, "")
                            .json()
                            .get("fingerprint")
                            .asString());
            LocalDateTime starts = SERVER.now()
                    .atZone(SERVER.bean(School.class).zone())
                    .toLocalDateTime()
                    .plusMinutes(3);
            thora.post(
                    ofClass + "/series",
                    """
                    {"first":"%1$s","until":"%1$s","days":["%2$s"],"start":"%3$s","minutes":50}"""
                            .formatted(starts.toLocalDate(), starts.getDayOfWeek(), CLOCK.format(starts)));
            lesson = "/api/lessons/"
                    + thora.get(ofClass).json().at("/lessons/0/id").asString();
            SERVER.advance(Duration.ofHours(1));
            file =
                    """
                    Participant,Join Time,Leave Time
                    Ines Carrow,%s,%s
                    Ines Carrow,%s,%s
                    J Pell,%s,%s
                    Bo Lindqvar,%s,
                    a guest,%s,%s
                    """
                            .formatted(Stream.of(-2, 20, 22, 50, 9, 50, 0, 0, 50)
                                    .map(minute -> CLOCK.format(starts.plusMinutes(minute)))
                                    .toArray());
        }

        JsonNode preview(String said) {
            return thora.send("POST", lesson + "/logs/preview?" + said, file, "text/csv")
                    .json();
        }

        TestBrowser.Answer take(String said) {
            String fingerprint = preview(said).get("fingerprint").asString();
            return thora.send(
                    "POST", lesson + "/logs?" + said + "&name=log.csv&fingerprint=" + fingerprint, file, "text/csv");
        }

        JsonNode register() {
            return thora.get(lesson + "/register").json();
        }

        int lessonsInTheGrid() {
            return thora.get(ofClass + "/attendance").json().get("lessons").size();
        }
    }

    @Test
    void a_log_of_another_service_waits_until_a_person_has_decided_every_name() {
        var held = new HeldElsewhere("Knot Theory");

        JsonNode shown = held.preview("");

        assertThat(shown.get("open").asInt()).isEqualTo(2);
        assertThat(shown.at("/wrong/0/message").asString()).contains("Bo Lindqvar has no time of leaving");
        assertThat(held.take("").text()).contains("2 names are open");
        assertThat(held.register().get("draft").asBoolean()).isTrue();
        assertThat(held.preview(HeldElsewhere.DECIDED).get("open").asInt()).isZero();
        assertThat(orla.send("POST", held.lesson + "/logs/preview", held.file, "text/csv")
                        .status())
                .as("another teacher's")
                .isEqualTo(403);
    }

    @Test
    void a_log_of_another_service_becomes_presence_and_can_be_taken_back() {
        var held = new HeldElsewhere("Splices");
        assertThat(held.take(HeldElsewhere.DECIDED).status()).isEqualTo(200);

        JsonNode register = held.register();

        assertThat(register.get("draft").asBoolean()).isFalse();
        JsonNode jory = each(register.get("lines")).stream()
                .filter(one -> one.get("person").asString().equals("jory-pell"))
                .findFirst()
                .orElseThrow();
        assertThat(jory.get("mark").asString()).isEqualTo("LATE");
        assertThat(jory.get("lateMinutes").asInt()).isEqualTo(9);
        assertThat(held.lessonsInTheGrid()).isEqualTo(1);

        String log = held.lesson + "/logs/" + register.at("/logs/0/id").asString();
        assertThat(held.thora.delete(log).status()).isEqualTo(200);
        assertThat(held.register().get("draft").asBoolean()).isTrue();
        assertThat(held.lessonsInTheGrid()).isZero();
        assertThat(held.thora.delete(log).status()).isEqualTo(404);
    }

    @Test
    void the_next_file_with_the_same_headings_is_read_as_the_last_one_was() {
        var held = new HeldElsewhere("Rigging");
        String swapped = HeldElsewhere.DECIDED + "&columns=0,1,2,-1";
        held.take(swapped);

        assertThat(held.preview("").get("remembered").asBoolean()).isTrue();
        assertThat(held.preview("columns=1,1,2,-1").at("/names/0/name").asString())
                .as("unless somebody says otherwise")
                .contains(":");
        assertThat(held.thora
                        .send("POST", held.lesson + "/logs/preview?columns=a", held.file, "text/csv")
                        .status())
                .isEqualTo(400);
    }

    private static final String SETTINGS = "/api/register-settings";

    @Test
    void registers_are_written_in_the_schools_own_codes_and_stay_as_they_were_written() {
        String limits = "\"limits\":{\"inARow\":2,\"belowPercent\":100,\"dropPoints\":15,\"lateTimes\":4}";
        String codes =
                """
                {"codes":[{"code":"P","meaning":"there","mark":"PRESENT"},
                          {"code":"V","meaning":"voyage","mark":"EXCUSED"},
                          {"code":"S","meaning":"sick","mark":"EXCUSED"}],%s}"""
                        .formatted(limits);
        String before = maren.get(SETTINGS).text();
        int needing = maren.get("/api/attendance").json().get("pupils").size();
        assertThat(maren.put(SETTINGS, codes.replace("\"V\"", "\"=V\"")).status())
                .isEqualTo(400);
        assertThat(maren.put(SETTINGS, codes.replace("100", "101")).status()).isEqualTo(400);
        assertThat(maren.get(SETTINGS).text()).isEqualTo(before);
        assertThat(maren.put(SETTINGS, codes).status()).isEqualTo(200);
        assertThat(maren.get("/api/attendance").json().get("pupils").size()).isGreaterThan(needing);

        String lesson = "/api/lessons/seabird-ecology-8-2.3-1/register";
        String person = orla.get(lesson).json().at("/lines/0/person").asString();
        orla.post(lesson + "/reopen", "{\"reason\":\"a code was wrong\"}");
        String correction =
                "{\"person\":\"%s\",\"mark\":\"%s\",\"code\":\"S\",\"lateMinutes\":0,\"reason\":\"told by phone\"}";
        assertThat(orla.post(lesson + "/corrections", correction.formatted(person, "ABSENT"))
                        .status())
                .as("a code of another mark")
                .isEqualTo(400);
        assertThat(orla.post(lesson + "/corrections", correction.formatted(person, "EXCUSED"))
                        .status())
                .isEqualTo(200);
        assertThat(orla.get(lesson + ".csv").text()).contains(",excused,S,").contains(",present,P,");
        assertThat(orla.get(GRID + ".csv").text()).contains(",S").contains(",P");
        assertThat(orla.get("/api/pupils/" + person + "/attendance.csv").text()).contains(",excused,S,");

        assertThat(maren.put(SETTINGS, "{\"codes\":[],%s}".formatted(limits)).status())
                .isEqualTo(200);
        assertThat(orla.get(lesson + ".csv").text()).contains(",excused,S,").doesNotContain(",P,");
    }

    @Test
    void who_was_not_expected_has_a_box_that_says_why_and_no_lesson_counts_for_it() {
        TestBrowser thora = SERVER.signedIn("thora-melling");
        String id = "seabird-ecology-9";
        String grid = "/api/classes/" + id + "/attendance?from=2026-08-20&until=2026-09-20";
        JsonNode before = thora.get(grid).json();
        int held = before.get("lessons").size();
        JsonNode lesson = each(thora.get("/api/classes/" + id).json().get("lessons")).stream()
                .filter(one -> one.get("starts").asString().compareTo("2026-09-14T11") > 0)
                .findFirst()
                .orElseThrow();
        assertThat(thora.post(
                                "/api/timetable/lessons/" + lesson.get("id").asString() + "/change",
                                """
                {"cancelled":true,"following":false,"why":"Gale"}""")
                        .status())
                .isEqualTo(200);
        byte[] roster = "name\n\u0141ucja \u017babka\n".getBytes(java.nio.charset.StandardCharsets.UTF_8);
        String path = "/api/classes/" + id + "/roster";
        thora.upload(
                path,
                roster,
                thora.upload(path + "/preview", roster, "")
                        .json()
                        .get("fingerprint")
                        .asString());

        JsonNode after = thora.get(grid).json();
        assertThat(each(after.get("lessons")).stream()
                        .filter(one -> one.get("calledOff").asBoolean())
                        .count())
                .isEqualTo(1);
        JsonNode joined = each(after.get("pupils")).stream()
                .filter(one -> one.get("name").asString().startsWith("\u0141ucja"))
                .findFirst()
                .orElseThrow();
        assertThat(joined.at("/rate/expected").asInt()).isZero();
        assertThat(each(joined.get("cells")).stream().map(one -> one.get("why").asString()))
                .hasSize(held + 1)
                .contains("JOINED_LATER", "CALLED_OFF");
        assertThat(after.at("/whole/expected")).isEqualTo(before.at("/whole/expected"));
        JsonNode register = thora.get("/api/lessons/" + lesson.get("id").asString() + "/register")
                .json();
        assertThat(register.get("calledOff").asBoolean()).isTrue();
        assertThat(each(register.get("lines")))
                .allMatch(line -> line.get("mark").asString().equals("NOT_EXPECTED"));
    }

    @Test
    void every_rate_of_the_school_is_made_of_the_lessons_it_leads_to() {
        JsonNode page = orla.get("/api/attendance").json();
        for (String by :
                List.of("class:classes", "subject:subjects", "weekday:weekdays", "hour:hours", "adult:adults")) {
            List<JsonNode> rates = each(page.get(by.split(":")[1]));
            assertThat(rates).as(by).isNotEmpty();
            for (JsonNode one : rates) {
                JsonNode behind = orla.get("/api/attendance/lessons?by=%s&of=%s"
                                .formatted(
                                        by.split(":")[0],
                                        java.net.URLEncoder.encode(
                                                one.get("id").asString(), java.nio.charset.StandardCharsets.UTF_8)))
                        .json();
                assertThat(behind.get("title")).isEqualTo(one.get("name"));
                assertThat(each(behind.get("lessons")).stream()
                                .mapToInt(lesson -> lesson.at("/rate/expected").asInt())
                                .sum())
                        .as(one.toString())
                        .isEqualTo(one.at("/rate/expected").asInt());
            }
        }
        assertThat(orla.get("/api/attendance/lessons?by=class&of=harbour-law-9").status())
                .as("not her class")
                .isEqualTo(404);
        assertThat(orla.get("/api/attendance/lessons?by=moon&of=1").status()).isEqualTo(400);
    }

    private static String textOf(byte[] pdf) throws IOException {
        var reader = new PdfReader(pdf);
        var text = new StringBuilder();
        for (int page = 1; page <= reader.getNumberOfPages(); page++) {
            text.append(new PdfTextExtractor(reader).getTextFromPage(page)).append(' ');
        }
        return text.toString().replaceAll("\\s+", " ");
    }

    @Test
    void on_paper_stands_what_stands_on_the_screen() throws IOException {
        var lead = new SignedIn(
                new PersonId("maren-oddlund"), "Maren Oddlund", Position.LEAD, "", SignedIn.Missing.NOTHING);
        String id = "seabird-ecology-8-1.1-2";
        var controller = SERVER.bean(RegisterController.class);
        RegisterController.RegisterPage page = controller.register(id, lead);
        assertThat(textOf(controller.pdf(id, lead).getBody()))
                .contains("Register: Seabird Ecology 8", "Halvorn Reach School", "Page 1")
                .contains(
                        page.lines().stream().map(RegisterController.Line::name).toList());

        var attendance = SERVER.bean(AttendanceController.class);
        AttendancePages.ClassGrid grid = attendance.grid("tidal-navigation-8", "", "", lead);
        assertThat(textOf(attendance.paper("tidal-navigation-8", "", "", lead).getBody()))
                .contains(
                        "Attendance: Tidal Navigation 8",
                        grid.whole().attended() + " of " + grid.whole().expected())
                .contains(grid.pupils().stream()
                        .map(AttendancePages.GridPupil::name)
                        .toList());
        AttendancePages.PupilPage ines = attendance.pupil("ines-carrow", "", "", lead);
        assertThat(textOf(attendance.pupilPaper("ines-carrow", "", "", lead).getBody()))
                .contains(
                        "Attendance: Ines Carrow",
                        "Lesson by lesson",
                        ines.whole().attended() + " of ");
        assertThat(SERVER.signedIn("anton-prowse").get(GRID + ".pdf").status()).isEqualTo(403);
    }

    /** Letters of other languages are written too: the fonts are within the file. */
    @Test
    void a_name_of_any_european_language_can_be_written_on_paper() throws IOException {
        byte[] pdf = Paper.portrait(
                "t",
                "f",
                document -> document.add(
                        Paper.line("\u0141ucja \u017babka, \u0396\u03ce\u03b7, \u0416\u0443\u043a", Paper.TEXT, 0)));
        assertThat(textOf(pdf)).contains("\u0141ucja \u017babka, \u0396\u03ce\u03b7, \u0416\u0443\u043a");
    }
}
