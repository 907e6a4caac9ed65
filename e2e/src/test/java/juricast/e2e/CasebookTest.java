package juricast.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** From an act to a step, its incident, a follow-up, a pack, and the pack altered: a teacher, two pupils and the lead. */
class CasebookTest {
    private OwnLesson own = new OwnLesson("", "", "");

    @Test
    void what_is_done_in_a_lesson_is_met_by_one_press_and_can_be_proven_long_after() {
        try (RunningSchool school = RunningSchool.demo()) {
            Screen thora = new Screen(school.newBrowser()).signInAs("Thora Melling");
            own = OwnLesson.plan(thora, "Rope Work 8", "anton-prowse", List.of("Ines Carrow", "Jory Pell"));
            thora.open("/lessons/" + own.lesson() + "/desk");
            thora.button("Open").click();
            Screen ines = own.knocks(school, "Ines Carrow");
            Screen jory = own.knocks(school, "Jory Pell");
            thora.button("Let all 2 in").waitFor();
            thora.page.keyboard().press("a");
            assertThat(thora.text("2 of 2 here")).isVisible();

            remind(thora, jory);
            backToTheDoor(thora, jory);
            worry(thora, ines, jory);
            Screen maren = new Screen(school.newBrowser()).signInAs("Maren Oddlund");
            incident(maren);
            pack(maren);
            lookAcross(maren);
            for (Screen one : List.of(thora, ines, jory, maren)) {
                Assertions.assertThat(one.complaints()).isEmpty();
            }
        }
    }

    /** The proposed step, by two keys and one choice. */
    private static void remind(Screen thora, Screen jory) {
        thora.page.keyboard().press("c");
        thora.field("Another pupil").selectOption("jory-pell");
        thora.exactly("Chatter beside the lesson").click();
        assertThat(thora.text("“Chatter beside the lesson” stands at step 1.")).isVisible();
        thora.exactly("Will not do as asked").click();
        assertThat(thora.text("Proposed: step 2, a reminder")).isVisible();
        Accessibility.check(thora.page);
        thora.button("Take step 2").click();
        assertThat(jory.text("Thora Melling reminds you")).isVisible();
        assertThat(thora.page
                        .getByRole(AriaRole.IMG)
                        .and(thora.page.getByLabel("Step 2, A reminder, for will not do as asked (Thora Melling)")))
                .isVisible();
    }

    /** Another step than the proposed one, with a reason; it is no removal, and an adult lets in again. */
    private static void backToTheDoor(Screen thora, Screen jory) {
        thora.choose("More for Jory Pell", "A step of the ladder…");
        thora.exactly("Will not do as asked").click();
        thora.button("Back to the door").click();
        assertThat(thora.text("Step 4 is higher than the ladder proposes")).isVisible();
        thora.field("Why another step").fill("a minute to calm down");
        thora.button("Take step 4").click();
        assertThat(jory.text("You were asked to wait at the door for a moment")).isVisible();
        Accessibility.check(jory.page);
        thora.button("Let in as Jory Pell").click();
        assertThat(jory.text("Raise my hand")).isVisible();
    }

    private static void worry(Screen thora, Screen ines, Screen jory) {
        ines.button("Something is wrong…").click();
        ines.checkbox("Only the safeguarding lead").waitFor();
        Accessibility.check(ines.page);
        ines.field("In your words, if you like").fill("he writes to me at night");
        ines.button("Say it quietly").click();
        assertThat(ines.text("The adults read it, and nobody else.")).isVisible();
        assertThat(thora.text("Ines Carrow says quietly that something is wrong"))
                .isVisible();
        assertThat(thora.text("he writes to me at night")).isVisible();
        thora.button("I see to it").click();
        Assertions.assertThat(jory.page.content()).doesNotContain("at night", "quietly that something");
        thora.page.keyboard().press("y");
    }

    private void incident(Screen maren) {
        maren.open("/casebook");
        maren.field("Find by names, words or kinds").fill("rope jory");
        maren.exactly("Find").click();
        maren.link("Will not do as asked").first().click();
        assertThat(maren.text("Step 2, a reminder, for Jory Pell by Thora Melling; proposed, taken as proposed."))
                .isVisible();
        assertThat(maren.text("proposed was step")).isVisible();
        assertThat(maren.text("Nothing is missing between event")).isVisible();
        Accessibility.check(maren.page);
        maren.page.keyboard().press("n");
        maren.field("In your words").fill("He and Ines sit apart from now on.");
        maren.button("Write it").click();
        assertThat(maren.text("He and Ines sit apart from now on.")).isVisible();
        maren.button("Follow up…").click();
        maren.field("What is to be done").fill("Call home");
        maren.field("By whom").selectOption("maren-oddlund");
        maren.button("Ask for it").click();
        assertThat(maren.button("Done…")).isVisible();
        maren.field("Somebody else had a part in it").selectOption("ines-carrow");
        assertThat(maren.field("What Ines Carrow had to do with it")).isVisible();
    }

    /** As it was taken it is whole; with one byte altered it is not. */
    private static void pack(Screen maren) {
        Download taken = maren.page.waitForDownload(
                () -> maren.link("Evidence pack").first().click());
        byte[] pack = bytes(taken);
        Download copy = maren.page.waitForDownload(
                () -> maren.link("a copy for the parents of Jory Pell").click());
        maren.open("/today");
        assertThat(maren.region("To do from the casebook")).containsText("Call home");

        maren.open("/casebook/evidence");
        drop(maren, pack);
        assertThat(found(maren)).containsText("It is whole, and ours");
        Accessibility.check(maren.page);
        pack[pack.length / 3] ^= 1;
        drop(maren, pack);
        assertThat(found(maren)).containsText("It is not whole.");
        byte[] covered = bytes(copy);
        Assertions.assertThat(new String(covered, java.nio.charset.StandardCharsets.UTF_8))
                .contains("Jory Pell")
                .doesNotContain("Ines", "Carrow");
        drop(maren, covered);
        assertThat(found(maren)).containsText("as a copy for the parents of Jory Pell");
    }

    private static byte[] bytes(Download download) {
        try {
            return Files.readAllBytes(download.path());
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    private static void drop(Screen screen, byte[] pack) {
        screen.field("A pack to be checked").setInputFiles(new FilePayload("pack.zip", "application/zip", pack));
    }

    private static Locator found(Screen screen) {
        return screen.page.getByLabel("What was found");
    }

    /** The demo holds one pattern and one unfairness to find. */
    private static void lookAcross(Screen maren) {
        maren.open("/casebook/patterns");
        assertThat(maren.text("Zeb Corran to Mira Solberg, 4 times")).isVisible();
        maren.open("/casebook/fairness");
        assertThat(maren.page.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("Greta Lomond")))
                .containsText("apart");
        assertThat(maren.text("step 2 was proposed for both").first()).isVisible();
    }
}
