package juricast.server.tell;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.lesson.ASmallClass;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** The demo begins on Monday 14 September at ten past ten; Tidal Navigation 8 is on. */
@TestMethodOrder(org.junit.jupiter.api.MethodOrderer.MethodName.class)
class TellingOverHttpTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private static final String TIDES = "/api/classes/tidal-navigation-8";
    private final TestBrowser orla = SERVER.signedIn("orla-venn");
    private final TestBrowser maren = SERVER.signedIn("maren-oddlund");

    private static List<JsonNode> each(JsonNode array) {
        return IntStream.range(0, array.size()).mapToObj(array::get).toList();
    }

    private static String token(String address) {
        return address.replaceAll(".*/join/", "");
    }

    private List<String> sent(String query) {
        SERVER.bean(Rounds.class).go();
        return each(maren.get("/api/outbox?" + query).json().get("messages")).stream()
                .map(one ->
                        one.get("name").asString() + ": " + one.get("subject").asString() + " | "
                                + one.get("body").asString())
                .toList();
    }

    @Test
    void a_joining_note_says_little_to_pupils_and_what_is_recorded_to_parents() {
        JsonNode joining = orla.get(TIDES + "/joining").json();
        String address = joining.get("link").asString();
        assertThat(joining.at("/forPupils/text").asString())
                .contains(
                        "Tidal Navigation 8",
                        "Monday 14 September",
                        address,
                        joining.get("word").asString())
                .doesNotContain("record");
        assertThat(joining.at("/inFull/text").asString()).contains("Orla Venn and Tam Birket", "Recording:", "record");
        assertThat(joining.at("/inFull/html").asString()).contains("<a href=\"" + address + "\">");
        assertThat(SERVER.signedIn("anton-prowse").get(TIDES + "/joining").status())
                .isEqualTo(403);
    }

    @Test
    void the_qr_code_leads_where_the_link_does() throws Exception {
        String svg = orla.get(TIDES + "/link.svg").text();
        Matcher size = Pattern.compile("viewBox=\"0 0 (\\d+)").matcher(svg);
        assertThat(size.find()).isTrue();
        int width = Integer.parseInt(size.group(1)) * 4;
        int[] pixels =
                IntStream.generate(() -> 0xffffff).limit((long) width * width).toArray();
        Pattern.compile("M(\\d+) (\\d+)h1v1h-1z").matcher(svg).results().forEach(dot -> {
            int left = Integer.parseInt(dot.group(1)) * 4;
            int top = Integer.parseInt(dot.group(2)) * 4;
            for (int i = 0; i < 16; i++) {
                pixels[(top + i / 4) * width + left + i % 4] = 0;
            }
        });
        var read = new QRCodeReader()
                .decode(new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(width, width, pixels))));
        assertThat(read.getText())
                .isEqualTo(orla.get(TIDES + "/joining").json().get("link").asString());
    }

    @Test
    void a_join_word_is_refused_below_the_rule_and_shows_its_neighbours() {
        JsonNode weak = orla.get(TIDES + "/word?of=gull").json();
        assertThat(weak.get("fault").asString()).contains("too easy to guess", "18");
        assertThat(orla.put(TIDES + "/word", "{\"word\":\"gull\"}").status()).isEqualTo(409);
        String other = SERVER.signedIn("thora-melling")
                .get("/api/classes/weather-lab-11/word")
                .json()
                .get("word")
                .asString();
        String query = TIDES + "/word?of=" + other.replaceFirst("\\d$", other.endsWith("1") ? "2" : "1");
        JsonNode near = orla.get(query).json();
        assertThat(near.get("fault").asString()).contains("too near");
        assertThat(near.at("/neighbours/0/ofClass").asString()).isEqualTo("Weather Lab 11");
        assertThat(near.at("/neighbours/0/word").isMissingNode())
                .as("she has no class there, so she does not get in by guessing near it")
                .isTrue();
        assertThat(maren.get(query).json().at("/neighbours/0/word").asString()).isEqualTo(other);
        assertThat(orla.put(TIDES + "/word", "{\"word\":\"<b>\"}").status()).isEqualTo(409);

        String proposed =
                orla.get(TIDES + "/word/suggestions").json().at("/0/word").asString();
        assertThat(orla.put(TIDES + "/word", "{\"word\":\" %s \"}".formatted(proposed.replace('-', ' ')))
                        .status())
                .isEqualTo(200);
        assertThat(orla.get(TIDES + "/joining").json().get("word").asString()).isEqualTo(proposed);
    }

    @Test
    void a_pupil_sees_the_own_lessons_and_the_link_only_when_and_if_the_rules_show_it() {
        TestBrowser ines = SERVER.signedIn("ines-carrow");
        JsonNode day = ines.get("/api/my-day").json();
        List<JsonNode> today = each(day.get("today"));
        // Other tests of this server make classes of hers, too.
        assertThat(today)
                .extracting(one -> one.get("title").asString())
                .filteredOn(title -> !title.startsWith("Locked Doors"))
                .isNotEmpty()
                .allSatisfy(title -> assertThat(title).endsWith(" 8"));
        JsonNode tides = today.stream()
                .filter(one -> one.get("state").asString().equals("OPEN"))
                .findFirst()
                .orElseThrow();
        assertThat(tides.get("joinPath").asString()).startsWith("/join/");
        assertThat(today.get(today.size() - 1).has("joinPath"))
                .as("hours ahead")
                .isFalse();
        assertThat(ines.get("/api/today").status()).isEqualTo(403);

        assertThat(orla.put(TIDES + "/link/shown", "{\"shown\":false}")
                        .json()
                        .get("shown")
                        .asBoolean())
                .isFalse();
        JsonNode hidden = each(ines.get("/api/my-day").json().get("today")).stream()
                .filter(one -> one.get("id").equals(tides.get("id")))
                .findFirst()
                .orElseThrow();
        assertThat(hidden.has("joinPath")).isFalse();
        assertThat(hidden.has("shownFrom")).isFalse();
        assertThat(orla.get("/api/rules/class:tidal-navigation-8/history").text())
                .contains("See the link");
        orla.put(TIDES + "/link/shown", "{\"shown\":true}");
    }

    @Test
    void a_visitors_own_link_names_them_leads_to_one_lesson_and_is_renewed_without_touching_the_class() {
        String lesson = each(orla.get(TIDES).json().get("lessons")).stream()
                .filter(one -> one.get("phase").asString().equals("OPEN"))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asString();
        String plan = "/api/lessons/" + lesson + "/plan";
        JsonNode invited = orla.put(plan, "{\"visitors\":[\"Tove Saltmarsh\"],\"recording\":false,\"groups\":false}")
                .json()
                .at("/invited/0");
        String link = token(invited.get("link").asString());
        TestBrowser tove = SERVER.browser();
        JsonNode door = tove.get("/api/doorsteps/" + link).json();
        assertThat(door.get("kind").asString()).isEqualTo("VISITOR");
        assertThat(door.get("name").asString()).isEqualTo("Tove Saltmarsh");
        assertThat(door.get("needsWord").asBoolean()).isFalse();
        String visit = tove.post("/api/doorsteps/" + link + "/knock", "{\"name\":\"Orla Venn\",\"agreed\":true}")
                .json()
                .get("visit")
                .asString();
        JsonNode seat = tove.get("/api/seats/" + visit).json();
        assertThat(seat.at("/mine/door/status").asString()).isEqualTo("WAITING");
        assertThat(orla.get("/api/lessons/" + lesson + "/desk").text()).contains("Tove Saltmarsh");

        String renewed =
                token(orla.post(plan + "/visitors/" + invited.get("person").asString() + "/renew", "{}")
                        .json()
                        .at("/invited/0/link")
                        .asString());
        assertThat(renewed).isNotEqualTo(link);
        TestBrowser other = SERVER.browser();
        String late = other.post("/api/doorsteps/" + link + "/knock", "{\"name\":\"x\",\"agreed\":true}")
                .json()
                .get("visit")
                .asString();
        assertThat(other.get("/api/seats/" + late).text()).contains("TURNED_AWAY", "renewed");
        assertThat(sent("kind=INVITATION&name=Tove"))
                .as("the new link went out to her")
                .anySatisfy(one -> assertThat(one).contains(renewed));
    }

    @Test
    void the_link_for_staff_is_no_way_in_for_pupils_and_leads_an_adult_to_the_desk() {
        String link = token(orla.get(TIDES + "/joining").json().get("staffLink").asString());
        assertThat(SERVER.browser()
                        .post("/api/doorsteps/" + link + "/knock", "{\"name\":\"Ines Carrow\",\"agreed\":true}")
                        .text())
                .contains("for the adults of the class");
        assertThat(SERVER.signedIn("ines-carrow")
                        .get("/api/doorsteps/" + link)
                        .json()
                        .has("desk"))
                .isFalse();
        assertThat(orla.get("/api/doorsteps/" + link).json().get("desk").asString())
                .endsWith("/desk");
        String pupils = token(orla.get(TIDES + "/joining").json().get("link").asString());
        assertThat(orla.get("/api/doorsteps/" + pupils).json().has("desk"))
                .as("an adult who uses the pupils' link is recognised")
                .isTrue();
        assertThat(SERVER.signedIn("anton-prowse")
                        .get("/api/doorsteps/" + pupils)
                        .json()
                        .has("desk"))
                .isFalse();
    }

    @Test
    void a_renewed_link_for_staff_leads_nowhere_and_a_visitors_link_leads_to_no_other_lesson() {
        String staff =
                token(orla.get(TIDES + "/joining").json().get("staffLink").asString());
        orla.post(TIDES + "/staff-link/renew", "{}");
        assertThat(orla.get("/api/doorsteps/" + staff).text()).contains("leads nowhere");
        String next = token(orla.get(TIDES + "/joining").json().get("staffLink").asString());
        assertThat(orla.get("/api/doorsteps/" + next).json().has("desk")).isTrue();

        JsonNode later = each(orla.get(TIDES).json().get("lessons")).stream()
                .filter(one -> one.get("starts").asString().compareTo("2026-09-16") > 0)
                .findFirst()
                .orElseThrow();
        String plan = "/api/lessons/" + later.get("id").asString() + "/plan";
        String link = token(orla.put(plan, "{\"visitors\":[\"Dagny Wrenfield\"],\"recording\":false,\"groups\":false}")
                .json()
                .at("/invited/0/link")
                .asString());
        JsonNode door = SERVER.browser().get("/api/doorsteps/" + link).json();
        assertThat(door.has("lesson")).as("another lesson of the class is on").isFalse();
        assertThat(door.get("next")).isEqualTo(later.get("starts"));
        assertThat(SERVER.browser()
                        .post("/api/doorsteps/" + link + "/knock", "{\"name\":\"x\",\"agreed\":true}")
                        .text())
                .contains("There is no lesson now");
        orla.put(plan, "{\"visitors\":[],\"recording\":false,\"groups\":false}");
        assertThat(SERVER.browser().get("/api/doorsteps/" + link).json().has("name"))
                .as("who is invited no more has no name at the door")
                .isFalse();
    }

    @Test
    void a_calendar_has_ones_own_lessons_and_no_link_and_its_old_address_is_gone_after_a_renewal() {
        TestBrowser ines = SERVER.signedIn("ines-carrow");
        String address = ines.get("/api/feed").json().get("address").asString();
        String path = address.substring(address.indexOf("/feeds/"));
        var feed = SERVER.browser().get(path);
        assertThat(feed.status()).isEqualTo(200);
        assertThat(feed.text())
                .startsWith("BEGIN:VCALENDAR")
                .contains("SUMMARY:Tidal Navigation 8", "With Orla Venn and Tam Birket")
                .doesNotContain("/join/", "Weather Lab 11");
        assertThat(feed.text().lines().filter("BEGIN:VEVENT"::equals).count()).isGreaterThan(20);

        String next = ines.post("/api/feed/renew", "{}").json().get("address").asString();
        assertThat(next).isNotEqualTo(address);
        assertThat(SERVER.browser().get(path).status()).isEqualTo(410);
        assertThat(SERVER.browser()
                        .get("/feeds/AAAAAQAAAAAAAAAAAAAAAAAAAAAAAAAA.ics")
                        .status())
                .isEqualTo(410);
        String ofClass = orla.get(TIDES + "/feed").json().get("address").asString();
        assertThat(SERVER.browser()
                        .get(ofClass.substring(ofClass.indexOf("/feeds/")))
                        .text())
                .contains("X-WR-CALNAME:Tidal Navigation 8")
                .doesNotContain("Weather Lab");
    }

    @Test
    void a_calendar_says_the_way_in_only_to_whom_the_rules_show_it_and_never_for_a_whole_class() {
        var small = new ASmallClass(SERVER);
        TestBrowser ines = SERVER.signedIn("ines-carrow");
        String own = ines.get("/api/feed").json().get("address").asString().replaceFirst("^.*/feeds/", "/feeds/");
        String ofClass = small.thora
                .get(small.ofClass + "/feed")
                .json()
                .get("address")
                .asString()
                .replaceFirst("^.*/feeds/", "/feeds/");

        small.rule("links.in-calendars", "PUPIL", "open");
        String unfolded = SERVER.browser().get(own).text().replace("\r\n ", "");
        assertThat(unfolded).contains("The way in: http", "/join/" + small.token, "URL:http");
        assertThat(SERVER.browser().get(ofClass).text())
                .contains("Locked Doors")
                .doesNotContain("/join/");
        small.rule("links.visible", "PUPIL", "closed");
        assertThat(SERVER.browser().get(own).text()).doesNotContain("/join/");
        // Other tests ask that each lesson of hers shows its link.
        small.rule("links.visible", "PUPIL", "open");
    }

    @Test
    void a_calendar_says_when_each_entry_was_changed_counts_an_undo_and_is_sent_once() {
        TestBrowser tam = SERVER.signedIn("tam-birket");
        String path = tam.get("/api/feed").json().get("address").asString().replaceFirst("^.*/feeds/", "/feeds/");
        TestBrowser.Answer first = SERVER.browser().get(path);
        String tag = first.header("ETag");
        assertThat(SERVER.browser().get(path, "If-None-Match", tag).status()).isEqualTo(304);
        SERVER.advance(Duration.ofMinutes(1));
        assertThat(SERVER.browser().get(path).header("ETag"))
                .as("nothing changed")
                .isEqualTo(tag);
        assertThat(first.text()).contains("REFRESH-INTERVAL;VALUE=DURATION:PT1H", "LAST-MODIFIED:");
        assertThat(first.text().split("\r\n")).allMatch(line -> line.getBytes(StandardCharsets.UTF_8).length <= 75);

        JsonNode lessons = orla.get(TIDES).json().get("lessons");
        String lesson = lessons.get(lessons.size() - 1).get("id").asString();
        assertThat(sequence(path, lesson)).isZero();
        String change = maren.post(
                        "/api/timetable/lessons/" + lesson + "/change",
                        "{\"cancelled\":true,\"following\":false,\"why\":\"storm\"}")
                .json()
                .get("change")
                .asString();
        assertThat(sequence(path, lesson)).isEqualTo(1);
        assertThat(SERVER.browser().get(path).header("ETag")).isNotEqualTo(tag);
        assertThat(maren.post("/api/timetable/changes/" + change + "/undo", "{}")
                        .status())
                .isEqualTo(200);
        assertThat(sequence(path, lesson))
                .as("what comes after has a higher number")
                .isEqualTo(2);

        maren.post(
                "/api/timetable/lessons/" + lesson + "/cover",
                "{\"adult\":\"anton-prowse\",\"insteadOf\":\"tam-birket\",\"why\":\"ill\"}");
        assertThat(SERVER.browser().get(path).text())
                .as("a lesson that somebody else gives is none of theirs")
                .doesNotContain("UID:lesson-" + lesson + "\r");
    }

    private static int sequence(String path, String lesson) {
        String text = SERVER.browser().get(path).text();
        String entry = text.substring(text.indexOf("UID:lesson-" + lesson + "\r"));
        return Integer.parseInt(entry.replaceFirst("(?s).*?SEQUENCE:(\\d+).*", "$1"));
    }

    @Test
    void words_of_the_school_are_used_and_what_they_may_not_say_is_told() {
        String path = "/api/outbox/templates/NEW_LINK";
        assertThat(maren.put(path, "{\"subject\":\"x\",\"body\":\"{link} {nmae}\"}")
                        .text())
                .contains("{link}, {nmae}", "{name}");
        assertThat(maren.put(path, "{\"subject\":\"New way to {class}\",\"body\":\"Ahoy {name}\"}")
                        .status())
                .isEqualTo(200);
        assertThat(orla.put(path, "{\"subject\":\"x\",\"body\":\"y\"}").status())
                .isEqualTo(403);
        orla.post(TIDES + "/link/renew", "{}");
        assertThat(sent("kind=NEW_LINK&name=ines%20carrow"))
                .containsExactly("Ines Carrow: New way to Tidal Navigation 8 | Ahoy Ines Carrow");
        sent("");
        assertThat(sent("kind=NEW_LINK&name=ines%20carrow")).as("once").hasSize(1);
        assertThat(maren.put(path, "{}").text()).contains("the old one counts no more");
    }

    /** Last, because it moves the clock. */
    @Test
    void z_reminders_and_nudges_and_changes_go_out_once_each_by_themselves() {
        List<JsonNode> coming =
                each(orla.get("/api/timetable?days=1&from=2026-09-15").json().get("lessons"));
        JsonNode lesson = coming.get(0);
        String title = lesson.get("title").asString();
        orla.post(
                "/api/timetable/lessons/" + lesson.get("id").asString() + "/change",
                "{\"cancelled\":true,\"following\":false,\"why\":\"Gale warning\"}");
        assertThat(sent("kind=CHANGE"))
                .isNotEmpty()
                .anySatisfy(one -> assertThat(one).contains(title, "is cancelled", "Gale warning"))
                .noneSatisfy(one -> assertThat(one).startsWith("Orla Venn"));
        JsonNode change =
                orla.get("/api/timetable?days=1&from=2026-09-15").json().at("/changes/0/id");
        orla.post("/api/timetable/changes/" + change.asString() + "/undo", "{}");
        assertThat(sent("kind=CHANGE")).anySatisfy(one -> assertThat(one).contains(title, "is held"));

        // From 10:10 on to just before the next period, so that its reminders are due.
        String before = String.join("\n", sent("kind=REMINDER"));
        SERVER.advance(Duration.ofMinutes(38));
        List<String> reminders = sent("kind=REMINDER");
        assertThat(reminders).hasSizeGreaterThan(20).anySatisfy(one -> assertThat(one)
                .contains("begins at", "Your way in: http://localhost"));
        assertThat(String.join("\n", reminders)).isNotEqualTo(before);
        assertThat(sent("kind=REMINDER"))
                .as("once each")
                .doesNotHaveDuplicates()
                .hasSameSizeAs(reminders);
        assertThat(sent("kind=NUDGE"))
                .as("who is missing from a lesson that is on")
                .anySatisfy(one -> assertThat(one).contains("you are missed"));
        assertThat(SERVER.signedIn("anton-prowse").get("/api/outbox?name=").text())
                .as("a teacher sees those of the own classes")
                .doesNotContain("Tidal Navigation 8");
    }

    /** After the one above, for the same reason. */
    @Test
    void zz_a_link_is_renewed_by_the_clock_where_nobody_dismissed_the_last_lesson_it_was_good_for() {
        TestBrowser thora = SERVER.signedIn("thora-melling");
        String id = thora.post("/api/classes", "{\"title\":\"Night Signals\",\"year\":8}")
                .json()
                .get("id")
                .asString();
        thora.post(
                "/api/classes/" + id + "/series",
                """
                {"first":"2026-09-14","until":"2026-09-14","days":["MONDAY"],"start":"20:00","minutes":30}""");
        thora.put(
                "/api/rules/class:" + id + "/draft",
                "{\"rule\":\"links.renewal\",\"role\":\"LEAD_ADULT\",\"value\":\"each-lesson\",\"binding\":false}");
        thora.post("/api/rules/class:" + id + "/draft/in-force", "{}");
        JsonNode before = thora.get("/api/classes/" + id + "/joining").json();
        assertThat(before.get("renewal").asString()).contains("after each lesson");
        Rounds rounds = SERVER.bean(Rounds.class);
        rounds.go();
        assertThat(thora.get("/api/classes/" + id + "/joining").json().get("link"))
                .as("the lesson is still to come")
                .isEqualTo(before.get("link"));

        SERVER.advance(Duration.ofHours(11));
        rounds.go();
        JsonNode after = SERVER.signedIn("thora-melling")
                .get("/api/classes/" + id + "/joining")
                .json();
        assertThat(after.get("link")).isNotEqualTo(before.get("link"));
        rounds.go();
        assertThat(SERVER.signedIn("thora-melling")
                        .get("/api/classes/" + id + "/joining")
                        .json()
                        .get("link"))
                .as("once")
                .isEqualTo(after.get("link"));
    }
}
