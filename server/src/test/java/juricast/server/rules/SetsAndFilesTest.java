package juricast.server.rules;

import static juricast.server.rules.Writing.*;
import static org.assertj.core.api.Assertions.assertThat;

import com.lowagie.text.pdf.PdfReader;
import com.lowagie.text.pdf.parser.PdfTextExtractor;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import juricast.core.identity.PersonId;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Choice;
import juricast.core.rules.Layer;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Setting;
import juricast.server.RunningServer;
import juricast.server.TestBrowser;
import juricast.server.words.HouseRules;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class SetsAndFilesTest {
    @RegisterExtension
    static final RunningServer SERVER = RunningServer.demo();

    private TestBrowser maren;
    private TestBrowser thora;

    @BeforeEach
    void people() {
        maren = SERVER.signedIn("maren-oddlund");
        thora = SERVER.signedIn("thora-melling");
        SERVER.advance(Duration.ofMinutes(1));
        maren.delete("/api/rules/school/draft");
    }

    @Test
    void a_class_uses_a_set_after_seeing_what_changes_and_follows_it_when_it_is_changed() {
        String place = "class:weather-lab-11";
        JsonNode report = thora.get("/api/classes/weather-lab-11/sets/quiet-work/consequences")
                .json();
        assertThat(report.get("classes").asInt()).isEqualTo(1);
        assertThat(report.get("lessons").asInt()).isPositive();

        thora.put("/api/classes/weather-lab-11/sets/quiet-work", "{}");

        assertThat(why(thora, place, "chat.class", "")
                        .json()
                        .at("/chain/1/text")
                        .asString())
                .startsWith("Ready-made set “Quiet work” of the class, by");
        draft(maren, "set:quiet-work", "chat.class", "on-request", false, "");
        JsonNode carried =
                maren.post("/api/rules/set:quiet-work/draft/consequences", "{}").json();
        assertThat(carried.at("/shifts/0/classes/0/title").asString()).isEqualTo("Weather Lab 11");
        apply(maren, "set:quiet-work", "");
        assertThat(why(thora, place, "chat.class", "").json().get("value").asString())
                .isEqualTo("on-request");

        inForce(thora, place, "chat.class", "open", false);
        assertThat(why(thora, place, "chat.class", "").json().get("value").asString())
                .as("a deviation")
                .isEqualTo("open");

        var kept = maren.delete("/api/sets/quiet-work");
        assertThat(kept.status()).isEqualTo(409);
        assertThat(kept.json().get("title").asString()).isEqualTo("Classes use this set: Weather Lab 11");
        SERVER.advance(Duration.ofMinutes(1));
        thora.delete("/api/classes/weather-lab-11/sets/quiet-work");
        assertThat(maren.delete("/api/sets/quiet-work").status()).isEqualTo(200);
        assertThat(why(thora, place, "share.screen", "").json().at("/chain").toString())
                .doesNotContain("Quiet work");
    }

    @Test
    void a_teacher_makes_a_set_of_the_own_from_one_of_the_schools_and_nobody_else_changes_it() {
        JsonNode sets = thora.post(
                        "/api/sets",
                        "{\"name\":\"Field notes\",\"purpose\":\"Outdoors.\",\"copyOf\":\"set:discussion\"}")
                .json();
        JsonNode own = sets.get(sets.size() - 1);
        assertThat(own.get("name").asString()).isEqualTo("Field notes");
        assertThat(own.get("own").asBoolean()).isTrue();
        assertThat(own.get("says").toString()).contains("Speak, pupil: open");
        String place = "set:" + own.get("id").asString();

        assertThat(draft(SERVER.signedIn("orla-venn"), place, "voice.speak", "closed", false, "")
                        .status())
                .isEqualTo(403);
        assertThat(SERVER.signedIn("orla-venn").get("/api/sets").text()).doesNotContain("Field notes");
        assertThat(thora.post("/api/sets", "{\"name\":\"Field notes\"}").status())
                .isEqualTo(409);
        assertThat(thora.post("/api/sets", "{\"name\":\" \"}").status()).isEqualTo(400);
        assertThat(thora.delete("/api/" + place.replace("set:", "sets/")).status())
                .isEqualTo(200);
    }

    @Test
    void the_charter_goes_out_as_a_file_that_fits_its_schema_and_comes_back_without_a_change() {
        String file = maren.get("/api/charter/file").text();
        String schema = SERVER.browser().get("/api/charter/schema").text();
        assertThat(SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                        .getSchema(schema)
                        .validate(JsonMapper.builder().build().readTree(file)))
                .isEmpty();

        assertThat(read(file).json().get("draft")).isEmpty();

        JsonNode changed = read(file.replace("\"value\" : \"first-name-and-initial\"", "\"value\" : \"first-name\""))
                .json();
        assertThat(changed.get("draft")).hasSize(1);
        assertThat(changed.at("/draft/0/after").asString()).isEqualTo("first name");
        assertThat(read(file).json().get("title").asString()).isEqualTo("You have a draft already");
    }

    @Test
    void a_file_without_a_setting_takes_it_back() {
        JsonNode read = read("{\"format\":\"juricast-charter\",\"version\":1,\"settings\":[]}")
                .json();

        assertThat(read.get("draft").size()).isGreaterThan(20);
        assertThat(read.get("draft"))
                .allSatisfy(one -> assertThat(one.get("after").asString()).isEqualTo("taken back"));
        assertThat(why(maren, "school", "chat.adults", "")
                        .json()
                        .at("/chain/1/effect")
                        .asString())
                .as("nothing counts yet")
                .isEqualTo("DECIDES");
    }

    @Test
    void a_file_that_is_wrong_is_told_all_that_is_wrong_and_changes_nothing() {
        var wrong = read(
                """
                {"format":"juricast-charter","version":1,"settings":[
                {"rule":"chat.class","role":"PUPIL","value":"ajar"},
                {"rule":"chat.telepathy","role":"PUPIL","value":"open"},
                {"rule":"chat.private","role":"OBSERVER","value":"open"},
                {"rule":"chat.save","role":"PUPIL","value":"open","when":["at-least 999"]},
                {"rule":"chat.save","role":"PUPIL","value":"open","until":"2020-01-01"}]}""");
        assertThat(wrong.status()).isEqualTo(400);
        assertThat(wrong.json().get("wrong")).hasSize(5);

        assertThat(read("{\"format\":\"juricast-charter\",\"version\":2,\"settings\":[{}]}")
                        .json()
                        .get("wrong")
                        .size())
                .isGreaterThan(2);
        assertThat(read("{ not json").json().at("/wrong/0/message").asString()).startsWith("This is not JSON");
        assertThat(read("{}" + " ".repeat(600_000)).json().get("title").asString())
                .isEqualTo("This file is too large for a charter");
        assertThat(maren.get("/api/rules/school").json().get("draft")).isEmpty();
    }

    @Test
    void parents_get_the_rules_on_paper_in_words_that_say_what_they_mean() throws IOException {
        assertThat(maren.get("/api/charter/for-parents.pdf").text()).startsWith("%PDF-");

        byte[] pdf = SERVER.bean(CharterPdf.class)
                .write(
                        SERVER.bean(Settings.class).ofSchool(),
                        SERVER.bean(Clock.class).instant());
        var reader = new PdfReader(pdf);
        var text = new StringBuilder();
        for (int page = 1; page <= reader.getNumberOfPages(); page++) {
            text.append(new PdfTextExtractor(reader).getTextFromPage(page)).append(' ');
        }

        assertThat(text.toString().replaceAll("\\s+", " "))
                .contains(
                        "An adult being there before you: yes.",
                        "A second adult or a recording at a last private word: yes.",
                        "Adults in a lesson, at least: 1 person.",
                        "You may write to your teachers.",
                        "The longest time without an adult: 2 min.")
                .containsPattern("[Hh]ow long recordings are kept: [0-9]+ days\\. Long enough")
                .containsPattern("[Ww]hether lessons are recorded: optional");
    }

    @Test
    void pupils_are_told_before_they_knock_whether_they_are_recorded() {
        Map<String, String> told = Map.of(
                "required", "This lesson is recorded: what is said to all",
                "optional", "This lesson may be recorded; you are told before it begins",
                "forbidden", "This lesson is not recorded, and nobody may record it");
        for (String mode : told.keySet()) {
            var setting = Setting.of(
                    new RuleValue(Catalogue.RECORDING_MODE, new Choice(mode)),
                    Rule.ANSWERS,
                    Layer.SCHOOL,
                    Setting.Force.USUAL,
                    new PersonId("maren-oddlund"),
                    SERVER.now());
            var rules = Rulebook.of(List.of(setting));
            assertThat(String.join(" ", SERVER.bean(HouseRules.class).of(rules, SERVER.now())))
                    .as(mode)
                    .contains(told.get(mode));
        }
    }

    private TestBrowser.Answer read(String file) {
        return maren.upload("/api/charter/file", file.getBytes(StandardCharsets.UTF_8), "");
    }
}
