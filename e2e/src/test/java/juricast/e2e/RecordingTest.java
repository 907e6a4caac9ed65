package juricast.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A lesson that has to be recorded, from the rule to the night in which the recording goes: an adult, two pupils, the lead. */
class RecordingTest {
    @TempDir
    Path folder;

    private String ofClass = "";
    private String lesson = "";

    @Test
    void a_lesson_is_recorded_paused_fails_is_watched_taken_along_and_forgotten() throws Exception {
        try (RunningSchool school = RunningSchool.demo()) {
            Screen thora = new Screen(school.newBrowser()).signInAs("Thora Melling");
            Screen maren = new Screen(school.newBrowser()).signInAs("Maren Oddlund");
            plan(thora, maren);
            thora.open("/lessons/" + lesson + "/desk");
            thora.button("Open").click();
            Screen ines = comesIn(school, thora, "Ines Carrow");
            Screen jory = comesIn(school, thora, "Jory Pell");
            isRecorded(school, thora, ines, jory);
            paused(school, thora, ines, jory);
            fails(school, thora, maren);
            school.clock().advance(Duration.ofMinutes(10));
            thora.exactly("Dismiss class").click();
            thora.exactly("Dismiss now").click();
            assertThat(thora.text("The recording is kept")).isVisible();
            watched(school, ines);
            taken(maren);
            forgotten(school);
            for (Screen screen : new Screen[] {thora, maren, ines, jory}) {
                Assertions.assertThat(screen.complaints()).isEmpty();
            }
        }
    }

    /** Maren notes that Jory is not to be recorded; Thora's class has to be. */
    private void plan(Screen thora, Screen maren) {
        ofClass = after(
                thora.sends("POST", "/api/classes", "{\"title\":\"Sail Loft 8\",\"year\":8,\"secondAdult\":\"\"}"),
                "\"id\":\"");
        for (String pupil : new String[] {"ines-carrow", "jory-pell"}) {
            thora.sends("POST", "/api/classes/" + ofClass + "/pupils", "{\"person\":\"%s\"}".formatted(pupil));
        }
        thora.sends(
                "POST",
                "/api/classes/" + ofClass + "/series",
                "{\"first\":\"2026-09-14\",\"until\":\"2026-09-14\",\"days\":[\"MONDAY\"],\"start\":\"10:20\",\"minutes\":45}");
        String page = thora.sends("GET", "/api/classes/" + ofClass, "");
        lesson = after(page.substring(page.indexOf("\"lessons\"")), "\"id\":\"");
        for (String rule : new String[] {
            "{\"rule\":\"recording.mode\",\"role\":\"LEAD_ADULT\",\"value\":\"required\",\"binding\":false,\"when\":\"\"}",
            "{\"rule\":\"voice.speak\",\"role\":\"PUPIL\",\"value\":\"open\",\"binding\":false,\"when\":\"\"}"
        }) {
            thora.sends("PUT", "/api/rules/class:" + ofClass + "/draft", rule);
        }
        thora.sends("POST", "/api/rules/class:" + ofClass + "/draft/in-force", "{\"from\":\"\"}");
        maren.open("/consents?ofClass=" + ofClass);
        maren.row("Jory Pell").getByRole(AriaRole.BUTTON).click();
        maren.field("What was said").selectOption("REFUSED");
        maren.field("On which paper or form").fill("letter of 10 September");
        Accessibility.check(maren.page);
        maren.button("Note it").click();
        assertThat(maren.row("Jory Pell")).containsText("refused");
    }

    private static String after(String json, String mark) {
        String rest = json.substring(json.indexOf(mark) + mark.length());
        return rest.substring(0, rest.indexOf('"'));
    }

    private Screen comesIn(RunningSchool school, Screen thora, String name) {
        String token = after(thora.sends("GET", "/api/classes/" + ofClass + "/joining", ""), "/join/");
        Screen pupil = new Screen(school.newBrowser(390, 844, ColorScheme.LIGHT))
                .signInAs(name)
                .open("/join/" + token);
        assertThat(pupil.text("This lesson is recorded: what is said to all")).isVisible();
        pupil.agree().button("Knock").click();
        thora.button("Let ").waitFor();
        thora.page.keyboard().press("a");
        pupil.button("Leave the lesson").waitFor();
        return pupil;
    }

    private void isRecorded(RunningSchool school, Screen thora, Screen ines, Screen jory) {
        assertThat(thora.text("Everybody was told.")).isVisible();
        assertThat(ines.button("A recording begins in")).isVisible();
        school.clock().advance(Duration.ofSeconds(10));
        assertThat(thora.button("Recording 0 min")).isVisible();
        assertThat(ines.button("This lesson is recorded")).isVisible();
        assertThat(jory.text("You are not recorded.")).isVisible();
        assertThat(ines.text("You are not recorded.")).hasCount(0);
        assertThat(thora.text("Not recorded: Jory Pell (refused)")).isVisible();
        Accessibility.check(thora.page);
        Accessibility.check(jory.page);
        ines.button("This lesson is recorded").click();
        assertThat(ines.text("Later it may be watched by")).isVisible();
        ines.page.keyboard().press("Escape");
        thora.sends("PUT", "/api/lessons/" + lesson + "/live-setting", "{\"rule\":\"chat.class\",\"value\":\"open\"}");
        thora.sends("POST", "/api/lessons/" + lesson + "/captions", "{\"text\":\"Hoist & hold <now>\"}");
        thora.sends("POST", "/api/lessons/" + lesson + "/words", "{\"to\":\"CLASS\",\"text\":\"Jory has the needle\"}");
        school.clock().advance(Duration.ofMinutes(2));
    }

    private void paused(RunningSchool school, Screen thora, Screen ines, Screen jory) {
        thora.page.keyboard().press("r");
        assertThat(thora.text("somebody confides (Thora Melling)")).isVisible();
        assertThat(ines.button("The recording is paused")).isVisible();
        assertThat(jory.text("You are not recorded.")).hasCount(0);
        thora.sends("POST", "/api/lessons/" + lesson + "/words", "{\"to\":\"CLASS\",\"text\":\"said in the pause\"}");
        school.clock().advance(Duration.ofMinutes(6));
        assertThat(thora.text("The recording is still paused")).isVisible();
        thora.page.keyboard().press("r");
        assertThat(ines.button("This lesson is recorded")).isVisible();
    }

    private void fails(RunningSchool school, Screen thora, Screen maren) {
        thora.sends("POST", "/api/demo/stage/" + lesson + "/recorder/DISK_FULL", "");
        assertThat(thora.text("The recorder does not record: its disk is full").first())
                .isVisible();
        thora.button("Try again now").click();
        assertThat(thora.button("Recording 2 min")).isVisible();
        Assertions.assertThat(maren.sends("GET", "/api/corridor", "")).doesNotContain("has to be recorded");
    }

    /** On a phone, by the pupil, from what the server works out a moment after the lesson. */
    private void watched(RunningSchool school, Screen ines) {
        ines.open("/today");
        ines.link("Sail Loft 8").waitFor();
        ines.open("/recordings/" + lesson + "/watch");
        assertThat(ines.text("Hoist & hold <now>")).isVisible();
        assertThat(ines.text("[name left out] has the needle")).isVisible();
        assertThat(ines.text("said in the pause")).hasCount(0);
        assertThat(ines.text("1 person is left out")).hasCount(0);
        assertThat(ines.text("One person is left out of it")).isVisible();
        Accessibility.check(ines.page);
        ines.button("Play").click();
        // The sound is a real one: the browser itself plays it.
        assertThat(ines.page.getByRole(AriaRole.SLIDER)).not().hasAttribute("aria-valuenow", "0");
        ines.button("Pause").click();
        ines.button("Next segment").click();
        assertThat(ines.page.getByRole(AriaRole.SLIDER)).hasAttribute("aria-valuetext", Pattern.compile("2:00 of .*"));
    }

    /** The copy opened by other programs than ours: the archiver of the JDK, and the system's own for sums. */
    private void taken(Screen maren) throws IOException, InterruptedException {
        maren.open("/recordings/" + lesson);
        assertThat(maren.text("Who has watched:")).isVisible();
        Download download = maren.page.waitForDownload(
                () -> maren.link("Take a copy (.zip)").click());
        Path zip = folder.resolve("copy.zip");
        download.saveAs(zip);
        run("jar", "xf", zip.toString());
        String manifest = Files.readString(folder.resolve("manifest.json"));
        Matcher part = Pattern.compile("\"name\":\"([^\"]+)\"[^}]*\"sha256\":\"([0-9a-f]{64})\"")
                .matcher(manifest);
        var sums = new StringBuilder();
        while (part.find()) {
            sums.append(part.group(2)).append("  ").append(part.group(1)).append('\n');
        }
        Files.writeString(folder.resolve("sums"), sums);
        Assertions.assertThat(sums.toString()).contains("sound.wav", "captions.vtt", "words.csv");
        run("sha256sum", "--check", "--strict", "sums");
        Assertions.assertThat(Files.readString(folder.resolve("captions.vtt")))
                .contains("Hoist &amp; hold &lt;now&gt;");
    }

    private void run(String... command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command)
                .directory(folder.toFile())
                .redirectErrorStream(true)
                .start();
        String said = new String(process.getInputStream().readAllBytes());
        Assertions.assertThat(process.waitFor(30, TimeUnit.SECONDS)).isTrue();
        Assertions.assertThat(process.exitValue()).as(said).isZero();
    }

    /** Six weeks and a night later it is gone, and says so. */
    private void forgotten(RunningSchool school) {
        school.clock().advance(Duration.ofDays(43).minusHours(8));
        Screen maren = new Screen(school.newBrowser()).signInAs("Maren Oddlund");
        maren.open("/kept");
        maren.page.waitForCondition(() -> {
            maren.page.reload();
            maren.text("What went").waitFor();
            return maren.text("Recordings: Sail Loft 8").count() > 0;
        });
        Accessibility.check(maren.page);
        maren.open("/recordings/" + lesson);
        assertThat(maren.text("Deleted on")).isVisible();
        assertThat(maren.exactly("Watch")).hasCount(0);
    }
}
