package juricast.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.time.Duration;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** One lesson, from an empty school to the register, with an adult, two pupils and a stranger in their own browsers. */
class OneLessonTest {
    private static final String ROSTER =
            """
            Family name;First name;Year
            Carrow;Ines;8
            Pell;Jory;8
            ;;8
            Tabb;Kester;Year 40
            """;

    @Test
    void one_lesson_from_the_roster_to_the_register() throws IOException {
        try (RunningSchool school = RunningSchool.empty()) {
            Screen maren = new Screen(school.newBrowser());
            Screen orla = new Screen(school.newBrowser());
            Screen ines = new Screen(school.newBrowser());
            Screen jory = new Screen(school.newBrowser());
            Screen stranger = new Screen(school.newBrowser());

            foundTheSchool(maren);
            writeTheCharter(maren);
            comeInByCode(orla, giveAnAccount(maren));
            String link = planALesson(orla);
            String word = orla.region("Join word").locator("p").first().textContent();

            arrive(ines, link, word, "Ines Carrow");
            arrive(stranger, link, word, "Wulf Harrowgate");
            open(orla, ines);
            letIn(school, orla, ines, jory, stranger, link, word);
            steer(school, orla, ines, jory);
            removeAndRefuse(orla, jory, link, word);
            dismiss(school, orla, ines);
            register(orla);

            for (Screen screen : List.of(maren, orla, ines, jory, stranger)) {
                Assertions.assertThat(screen.complaints()).isEmpty();
            }
        }
    }

    private void foundTheSchool(Screen maren) {
        maren.open("/");
        maren.page.waitForURL("**/first-start");
        Accessibility.check(maren.page);
        maren.field("Setup word").fill("somebody who found the page first");
        maren.field("School").fill("Halvorn Reach School");
        maren.field("Time zone").fill("UTC");
        maren.field("Your name").fill("Maren Oddlund");
        maren.field("Name to sign in with").fill("maren");
        maren.field("Password").fill("nine islands, two ships");
        maren.button("Begin").click();
        assertThat(maren.alert()).containsText("setup word");
        maren.field("Setup word").fill(RunningSchool.SETUP_WORD);
        maren.button("Begin").click();
        maren.page.waitForURL("**/today");
        assertThat(maren.region("First steps")).isVisible();
        Accessibility.check(maren.page);
        maren.link("Rules").click();
    }

    private void writeTheCharter(Screen maren) {
        maren.field("Search the rules").fill("privately");
        maren.button("Whisper to one pupil, Pupil").click();
        maren.checkbox("Binding What stands below").check();
        Accessibility.check(maren.page);
        maren.button("Add to the draft").click();
        maren.button("Put in force").click();
        assertThat(maren.text("1 change counts from now on.")).isVisible();
        assertThat(maren.button("Whisper to one pupil, Pupil: closed, binding")).isVisible();
        maren.button("Whisper to one pupil, Pupil").click();
        assertThat(maren.text("Charter, binding, by Maren Oddlund")).isVisible();
        Accessibility.check(maren.page);
    }

    private String giveAnAccount(Screen maren) {
        maren.link("School").click();
        maren.link("People").click();
        maren.field("Name").fill("Orla Venn");
        maren.field("Name to sign in with").fill("orla");
        maren.exactly("Add").click();
        assertThat(maren.text("Hand it over in person")).isVisible();
        Accessibility.check(maren.page);
        maren.button("Copy the code").click();
        assertThat(maren.text("Copied")).isVisible();
        return (String) maren.page.evaluate("navigator.clipboard.readText()");
    }

    /** The code opens nothing but the choice of a password, and nothing at all a second time. */
    private void comeInByCode(Screen orla, String code) {
        orla.open("/sign-in");
        orla.field("Name").fill("orla");
        orla.field("Password").fill(code);
        orla.button("Sign in").click();
        orla.page.waitForURL("**/account");
        Accessibility.check(orla.page);
        orla.field("The code you came in with").fill(code);
        orla.field("New password").fill("three sheets of cork");
        orla.field("The same again").fill("three sheets of cork");
        orla.button("Change it").click();
        assertThat(orla.text("Changed.")).isVisible();
        orla.link("Today").click();
    }

    /** Makes a class, imports its roster, schedules it, refines a rule; gives the joining link. */
    private String planALesson(Screen orla) {
        assertThat(orla.text("No lesson today")).isVisible();
        Accessibility.check(orla.page);
        orla.link("Plan").click();
        orla.link("Classes").click();
        orla.link("Make a class").click();
        orla.field("Title").fill("Tidal Navigation 8");
        assertThat(orla.field("Year group")).hasValue("8");
        Accessibility.check(orla.page);
        orla.exactly("Mon").click();
        orla.exactly("Thu").click();
        orla.field("First date").fill("2026-09-14");
        orla.field("Last date").fill("2026-10-30");
        orla.field("Begins at").fill("10:20");
        orla.button("Make the class and its lessons").click();
        assertThat(orla.text("14 lessons are planned.")).isVisible();
        orla.link("Its roster").click();

        orla.field("Roster file")
                .setInputFiles(new FilePayload("roster.csv", "text/csv", ROSTER.getBytes(StandardCharsets.UTF_8)));
        assertThat(orla.text("2 are new to the school:")).isVisible();
        assertThat(orla.text("Line 4: The name is missing.")).isVisible();
        assertThat(orla.text("Line 5: “Year 40” is not a year group")).isVisible();
        Accessibility.check(orla.page);
        orla.button("Take this roster").click();
        assertThat(orla.text("Tidal Navigation 8")).isVisible();
        assertThat(orla.text("2 pupils")).isVisible();

        orla.tab("Lessons").click();
        orla.field("On").fill("2026-09-15");
        orla.field("Begins at").fill("08:20");
        orla.button("Schedule").click();
        assertThat(orla.text("1 lesson is planned.")).isVisible();
        Accessibility.check(orla.page);

        orla.link("Rules of this class").click();
        orla.field("Search the rules").fill("privately");
        orla.button("Whisper to one pupil, Pupil").click();
        orla.page.locator("input[value=open]").check();
        orla.button("Add to the draft").click();
        assertThat(orla.alert()).containsText("Charter binds this: Whisper to one pupil");
        Accessibility.check(orla.page);
        orla.page.goBack();

        orla.tab("Joining").click();
        orla.button("Copy as text").click();
        assertThat(orla.text("Copied")).isVisible();
        String note = (String) orla.page.evaluate("navigator.clipboard.readText()");
        Assertions.assertThat(note).contains("Monday 14 September, 10:20 to 11:10 (50 min)", "Join word:");
        Accessibility.check(orla.page);
        return note.replaceAll("(?s).*Join: (\\S+).*", "$1");
    }

    private void arrive(Screen who, String link, String word, String name) {
        who.open(link);
        who.field("Your first and last name").fill(name);
        who.field("Join word").fill("not the word");
        who.agree().button("Knock").click();
        assertThat(who.alert()).containsText("That is not the join word of this class");
        assertThat(who.field("Your first and last name")).hasValue(name);
        who.field("Join word").fill(word.toUpperCase(java.util.Locale.ROOT));
        Accessibility.check(who.page);
        who.agree().button("Knock").click();
        assertThat(who.text("You are at the door")).isVisible();
    }

    private void open(Screen orla, Screen ines) {
        orla.link("Today").click();
        orla.link("Get ready").click();
        assertThat(orla.text("Not open yet")).isVisible();
        assertThat(orla.text("Wulf Harrowgate")).isVisible();
        assertThat(ines.text("Your teacher is not there yet")).isVisible();
        Accessibility.check(ines.page);
        Accessibility.check(orla.page);
        orla.button("Open the lesson").click();
        assertThat(ines.text("Your teacher sees you and will let you in")).isVisible();
    }

    private void letIn(
            RunningSchool school, Screen orla, Screen ines, Screen jory, Screen stranger, String link, String word) {
        assertThat(orla.text("Ines Carrow waits")).isVisible();
        assertThat(orla.text("“Wulf Harrowgate”")).isVisible();
        Accessibility.check(orla.page);
        orla.page.keyboard().press("a");
        assertThat(ines.text("Raise my hand")).isVisible();
        assertThat(stranger.text("This name is not on the class list")).isVisible();
        assertThat(orla.text("1 of 2 here")).isVisible();

        arrive(jory, link, word, "a tablet of the boatshed");
        assertThat(orla.text("“a tablet of the boatshed”")).isVisible();
        letInAs(orla, "a tablet of the boatshed", "Jory Pell");
        assertThat(jory.text("Raise my hand")).isVisible();
        assertThat(jory.text("Jory Pell")).isVisible();

        Screen second = new Screen(school.newBrowser());
        arrive(second, link, word, "Ines Carrow");
        assertThat(orla.text("Ines Carrow is already here on another device.")).isVisible();
        orla.page
                .getByRole(com.microsoft.playwright.options.AriaRole.ARTICLE)
                .filter(new com.microsoft.playwright.Locator.FilterOptions().setHasText("already here"))
                .getByText("Turn away")
                .click();
        assertThat(second.text("You cannot come in now")).isVisible();
        orla.page
                .getByRole(com.microsoft.playwright.options.AriaRole.ARTICLE)
                .filter(new com.microsoft.playwright.Locator.FilterOptions().setHasText("Wulf Harrowgate"))
                .getByText("Turn away")
                .click();
        assertThat(stranger.text("You cannot come in now")).isVisible();
        Accessibility.check(stranger.page);
    }

    /** Says who somebody unknown is; once more if news redrew the page under the hand, as a person would. */
    private void letInAs(Screen orla, String unknown, String name) {
        com.microsoft.playwright.Locator card = orla.page
                .getByRole(com.microsoft.playwright.options.AriaRole.ARTICLE)
                .filter(new com.microsoft.playwright.Locator.FilterOptions().setHasText(unknown));
        com.microsoft.playwright.Locator who = orla.field("Who is " + unknown + "?");
        for (int attempt = 1; attempt <= 3 && card.count() > 0; attempt++) {
            if (who.count() == 0) {
                card.getByText("Let in as…").click();
            }
            who.selectOption(name);
            try {
                card.waitFor(new com.microsoft.playwright.Locator.WaitForOptions()
                        .setState(com.microsoft.playwright.options.WaitForSelectorState.DETACHED)
                        .setTimeout(15_000));
            } catch (com.microsoft.playwright.TimeoutError redrawn) {
                orla.page.keyboard().press("Escape");
            }
        }
        assertThat(card).hasCount(0);
    }

    private void steer(RunningSchool school, Screen orla, Screen ines, Screen jory) {
        ines.button("Raise my hand").click();
        assertThat(orla.text("Ines Carrow raises a hand")).isVisible();
        orla.page.keyboard().press("s");
        assertThat(ines.text("until 10:19, then it ends by itself")).isVisible();
        ines.button("Switch my microphone on").click();
        assertThat(orla.row("Ines Carrow")).containsText("speaks");
        school.clock().advance(Duration.ofMinutes(2));
        assertThat(ines.text("when a teacher calls you: raise your hand")).isVisible();
        assertThat(orla.row("Ines Carrow")).not().containsText("speaks");

        orla.choose("Speak for the class", "open for all pupils");
        jory.button("Switch my microphone on").click();
        assertThat(orla.row("Jory Pell")).containsText("speaks");
        orla.choose("More for Jory Pell", "Mute");
        assertThat(jory.button("Switch my microphone on")).isVisible();
        jory.button("Switch my microphone on").click();
        assertThat(orla.row("Jory Pell")).containsText("speaks");
        orla.page.keyboard().press("m");
        assertThat(orla.row("Jory Pell")).not().containsText("speaks");
        assertThat(jory.button("Switch my microphone on")).not().isVisible();

        orla.choose("Write for the class", "closed for all pupils");
        assertThat(ines.text("closed for now by your teacher")).isVisible();
        ines.field("Write").fill("can I still write?");
        ines.button("Send").click();
        assertThat(ines.alert()).containsText("Not sent.");
        assertThat(ines.field("Write")).hasValue("can I still write?");
        Accessibility.check(ines.page);
        ines.page.getByLabel("Why: Write to the whole class").click();
        assertThat(ines.text("Your teacher, at 10:19")).isVisible();
        ines.page.keyboard().press("Escape");
        ines.field("To whom").selectOption("ADULTS");
        ines.button("Send").click();
        assertThat(orla.text("can I still write?")).isVisible();
        assertThat(jory.text("can I still write?")).not().isVisible();
        orla.choose("Write for the class", "open for all pupils");
        orla.page.keyboard().press("w");
        orla.page.keyboard().type("Charts out, page 4, please. <b>Now</b>");
        orla.page.keyboard().press("Enter");
        assertThat(ines.text("Charts out, page 4, please. <b>Now</b>")).isVisible();
        assertThat(jory.text("Charts out, page 4, please. <b>Now</b>")).isVisible();
    }

    private void removeAndRefuse(Screen orla, Screen jory, String link, String word) {
        orla.choose("More for Jory Pell", "Remove from the lesson…");
        orla.field("What happened").fill("shouting after two reminders");
        Accessibility.check(orla.page);
        orla.exactly("Remove").click();
        assertThat(jory.text("You were sent out of the lesson")).isVisible();
        Accessibility.check(jory.page);
        arrive(jory, link, word, "Jory Pell");
        assertThat(jory.text("Your teacher decides whether you may come back")).isVisible();
        assertThat(orla.text("Jory Pell was removed earlier in this lesson")).isVisible();
        orla.page.keyboard().press("a");
        assertThat(orla.row("Jory Pell")).containsText("removed");
        orla.exactly("Turn away").click();
        assertThat(jory.text("You cannot come in now")).isVisible();

        orla.page.keyboard().press("d");
        assertThat(orla.exactly("shut")).hasAttribute("aria-pressed", "true");
        jory.open(link);
        jory.field("Your first and last name").fill("Kester Tabb");
        jory.field("Join word").fill(word);
        jory.agree().button("Knock").click();
        assertThat(orla.text("“Kester Tabb”")).isVisible();
    }

    private void dismiss(RunningSchool school, Screen orla, Screen ines) {
        Accessibility.check(orla.page);
        school.clock().advance(Duration.ofMinutes(40));
        orla.exactly("Dismiss class").click();
        orla.exactly("Dismiss now").click();
        assertThat(ines.text("The lesson is over")).isVisible();
        Accessibility.check(ines.page);
        assertThat(orla.text("The door is shut. This was done by itself")).isVisible();
    }

    private void register(Screen orla) throws IOException {
        orla.link("Look at the register").click();
        assertThat(orla.row("Ines Carrow")).containsText("present");
        // In for two minutes before the lesson began, then removed: absent by the rules, whatever a glance would say.
        assertThat(orla.row("Jory Pell")).containsText("absent");
        orla.button("Correct Jory Pell").click();
        orla.field("Mark").selectOption("EXCUSED");
        orla.button("Keep the correction").click();
        orla.field("Reason").fill("went to the nurse, told by phone");
        Accessibility.check(orla.page);
        orla.button("Keep the correction").click();
        assertThat(orla.row("Jory Pell")).containsText("excused");
        assertThat(orla.row("Jory Pell")).containsText("computed: absent");
        orla.button("Sign the register").click();
        assertThat(orla.text("Signed by")).isVisible();
        assertThat(orla.button("Correct Jory Pell")).hasCount(0);
        Accessibility.check(orla.page);
        Download csv =
                orla.page.waitForDownload(() -> orla.link("Export as CSV").click());
        // Opened again, every line of the table says what its row on the screen says.
        try (var table = CSVFormat.DEFAULT
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(Files.readString(csv.path()).substring(1)))) {
            List<CSVRecord> lines = table.getRecords();
            Assertions.assertThat(lines).hasSize(2);
            for (CSVRecord line : lines) {
                assertThat(orla.row(line.get("Pupil"))).containsText(line.get("Mark"));
                assertThat(orla.row(line.get("Pupil"))).containsText(line.get("Minutes present"));
                assertThat(orla.row(line.get("Pupil"))).containsText(line.get("Reason of correction"));
                Assertions.assertThat(line.get("Class")).isEqualTo("Tidal Navigation 8");
            }
        }
        Download paper = orla.page.waitForDownload(() -> orla.link("As PDF").click());
        Assertions.assertThat(Files.readAllBytes(paper.path())).startsWith("%PDF-".getBytes(StandardCharsets.US_ASCII));
    }
}
