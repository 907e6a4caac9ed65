package juricast.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.FileChooser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** A disorderly lesson and a room without an adult, with all who belong to it: as they see it in their browsers. */
class DisorderTest {
    private static final String DESK = "/lessons/tidal-navigation-8-1.3-2/desk";

    @Test
    void an_adult_steers_through_a_disorderly_lesson() {
        try (RunningSchool school = RunningSchool.demo()) {
            Screen orla = signedIn(school, "Orla Venn");
            Screen ines = atTheDoor(school, "Ines Carrow");
            Screen bo = atTheDoor(school, "Bo Lindqvar");
            orla.open(DESK);
            orla.button("Come in").or(orla.button("Dismiss class")).first().waitFor();
            // The cast had brought both, and stepped aside when somebody signed in as them.
            assertThat(ines.text("Your teacher sees you and will let you in.")).isVisible();
            assertThat(bo.text("Your teacher sees you and will let you in.")).isVisible();
            orla.page.keyboard().press("a");
            assertThat(ines.text("Raise my hand")).isVisible();
            assertThat(bo.text("Raise my hand")).isVisible();
            assertThat(ines.text("Tide table for the week")).isVisible();

            decideWhatIsHeld(orla, ines, bo);
            switchToDiscussion(orla, ines);
            signal(orla, ines);
            holdALink(orla, ines, bo);
            draw(orla, ines, bo);
            stopAndBringBack(orla, ines);
            trustWithHands(orla, ines, bo);
            endWithALastWord(school, orla, ines, bo);
        }
    }

    /** A right lent for some minutes, used from the own seat, and taken back at once. */
    private static void trustWithHands(Screen orla, Screen ines, Screen bo) {
        orla.button("Stance: Discussion").click();
        orla.choice("Explaining").click();
        orla.exactly("Switch").click();
        bo.button("Raise my hand").click();
        orla.button("More for Ines Carrow").click();
        orla.choice("Trust with helping…").click();
        orla.choice("Call on raised hands").click();
        ines.button("Let speak Bo Lindqvar").click();
        assertThat(bo.text("then it ends by itself")).isVisible();
        assertThat(orla.row("Ines Carrow")).containsText("helps");
        Accessibility.check(ines.page);
        orla.button("More for Ines Carrow").click();
        orla.choice("Trust with helping…").click();
        orla.choice("end it now").click();
        assertThat(ines.region("You help")).hasCount(0);
    }

    /** Tam Birket is in the room, so a last word is allowed; all others go home, and are seen to. */
    private static void endWithALastWord(RunningSchool school, Screen orla, Screen ines, Screen bo) {
        orla.choose("More for Ines Carrow", "A last word, all others out…");
        orla.button("Send the others home").click();
        assertThat(bo.text("The lesson is over")).isVisible();
        assertThat(ines.text("Raise my hand")).isVisible();
        assertThat(orla.text("A last word with Ines Carrow")).isVisible();
        orla.button("Dismiss class").click();
        orla.button("Dismiss now").click();
        assertThat(orla.text("The register is drafted:")).isVisible();
        assertThat(orla.text("still leaving")).isVisible();
        school.clock().advance(Duration.ofSeconds(10));
        assertThat(orla.text("Everyone has gone")).isVisible();
        assertThat(ines.text("The lesson is over")).isVisible();
        Accessibility.check(orla.page);
    }

    /** A word of the school's list waits for an adult. Files go where words may go, and nowhere else. */
    private static void decideWhatIsHeld(Screen orla, Screen ines, Screen bo) {
        assertThat(orla.text("It holds a word of the school's list")).isVisible();
        orla.button("Keep back").click();
        assertThat(orla.text("It holds a word of the school's list")).not().isVisible();
        Download tide =
                ines.page.waitForDownload(() -> ines.link("high-water.txt").click());
        Assertions.assertThat(tide.path()).content().contains("in winter time");
        Assertions.assertThat(bo.page.content()).doesNotContain("l0sers");

        FileChooser files =
                orla.page.waitForFileChooser(() -> orla.button("File…").click());
        files.setFiles(file("narrows.txt", "Mind the rock"));
        assertThat(ines.link("narrows.txt")).isVisible();
        files = ines.page.waitForFileChooser(() -> ines.button("File…").click());
        files.setFiles(file("gulls.txt", "Two gulls"));
        assertThat(ines.alert()).containsText("To write to the whole class you need a teacher's yes");
        Assertions.assertThat(bo.page.content()).doesNotContain("gulls.txt");
    }

    private static FilePayload file(String name, String text) {
        return new FilePayload(name, "text/plain", text.getBytes(StandardCharsets.UTF_8));
    }

    private static void switchToDiscussion(Screen orla, Screen ines) {
        assertThat(ines.text("Now: Explaining")).isVisible();
        orla.button("Stance: Explaining").click();
        orla.choice("Discussion").click();
        assertThat(orla.page.getByRole(AriaRole.DIALOG)).containsText("Write to the whole class");
        Accessibility.check(orla.page);
        orla.exactly("Switch").click();
        assertThat(ines.text("Now: Discussion")).isVisible();
        assertThat(orla.button("Stance: Discussion")).isVisible();
    }

    private static void signal(Screen orla, Screen ines) {
        ines.button("I cannot hear").click();
        assertThat(orla.text("Ines Carrow cannot hear")).isVisible();
        assertThat(ines.button("I cannot hear")).hasAttribute("aria-pressed", "true");
        ines.button("I cannot hear").click();
        assertThat(orla.text("Ines Carrow cannot hear")).not().isVisible();
    }

    private static void holdALink(Screen orla, Screen ines, Screen bo) {
        write(ines, "look at www.gulls.example they nest there");
        assertThat(ines.text("A message of yours waits for a teacher")).isVisible();
        assertThat(orla.text("Ines Carrow writes to the class")).isVisible();
        assertThat(bo.text("www.gulls.example")).not().isVisible();
        orla.button("Let through").click();
        assertThat(bo.text("www.gulls.example")).isVisible();
        for (int i = 0; i < 7; i++) {
            write(ines, "flood " + i);
        }
        ines.field("Write").fill("one more");
        ines.button("Send").click();
        assertThat(ines.alert()).containsText("You have written a lot in the last minute");
        assertThat(ines.field("Write")).hasValue("one more");
    }

    private static void write(Screen who, String text) {
        who.field("Write").fill(text);
        who.button("Send").click();
        assertThat(who.field("Write")).hasValue("");
    }

    private static void draw(Screen orla, Screen ines, Screen bo) {
        bo.button("Look at the board").click();
        ines.button("Look at the board").click();
        assertThat(ines.text("You look on; drawing is closed to you now.")).isVisible();
        orla.button("Ines Carrow, Draw").click();
        assertThat(ines.text("You look on; drawing is closed to you now."))
                .not()
                .isVisible();
        Locator board = ines.page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("Board, 1 mark"));
        board.scrollIntoViewIfNeeded();
        BoundingBox box = board.boundingBox();
        ines.page.mouse().move(box.x + 30, box.y + 30);
        ines.page.mouse().down();
        ines.page.mouse().move(box.x + 120, box.y + 60);
        ines.page.mouse().move(box.x + 180, box.y + 40);
        ines.page.mouse().up();
        assertThat(bo.page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("Board, 2 marks")))
                .isVisible();
        orla.page.keyboard().press("p");
        orla.button("Take the pen and wipe").click();
        assertThat(bo.page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("Board, 1 mark")))
                .isVisible();
        assertThat(ines.text("You look on; drawing is closed to you now.")).isVisible();
        orla.page.keyboard().press("l");
    }

    private static void stopAndBringBack(Screen orla, Screen ines) {
        orla.button("Stop everything").click();
        assertThat(orla.text("Everything is stopped since")).isVisible();
        assertThat(orla.exactly("shut")).hasAttribute("aria-pressed", "true");
        assertThat(ines.text("Your teacher has stopped everything for a moment"))
                .isVisible();
        Accessibility.check(orla.page);
        Accessibility.check(ines.page);
        orla.button("Bring back what was").click();
        assertThat(ines.text("Now: Discussion")).isVisible();
        assertThat(orla.exactly("knock")).hasAttribute("aria-pressed", "true");
    }

    @Test
    void the_lead_finds_the_room_without_an_adult_and_takes_charge() {
        try (RunningSchool school = RunningSchool.demo()) {
            Screen maren = signedIn(school, "Maren Oddlund");
            maren.link("Today").click();
            maren.link("Corridor").click();
            Locator first = maren.page
                    .getByRole(AriaRole.ROW)
                    .filter(new Locator.FilterOptions().setHasText("No adult"))
                    .first();
            assertThat(first).containsText("Signal Mathematics 11");
            Accessibility.check(maren.page);
            first.getByText("I see to it").click();
            assertThat(first).containsText("You see to it.");

            first.getByText("Step in").click();
            maren.button("Look in").click();
            assertThat(maren.text("You look on, and may act at any time.")).isVisible();
            // A lead may order at once; whoever takes charge is the adult of the room, which is another thing.
            assertThat(maren.button("Dismiss class")).isVisible();
            maren.button("Take charge").click();
            assertThat(maren.text("You look on, and may act at any time."))
                    .not()
                    .isVisible();
            maren.link("Back to today's lessons").click();
            assertThat(maren.text("if you go, the pupils are alone")).isVisible();
            maren.link("Go all the same").click();
            maren.link("Today").click();
            maren.link("Corridor").click();
            assertThat(maren.page
                            .getByRole(AriaRole.ROW)
                            .filter(new Locator.FilterOptions().setHasText("Signal Mathematics 11")))
                    .containsText("Maren Oddlund");
        }
    }

    private static Screen signedIn(RunningSchool school, String name) {
        Screen screen = new Screen(school.newBrowser());
        return screen.signIn(name.toLowerCase(java.util.Locale.ROOT).replace(' ', '.'), "lantern-tide-9");
    }

    private static Screen atTheDoor(RunningSchool school, String name) {
        Screen pupil = signedIn(school, name);
        pupil.text("Go to the door").click();
        pupil.agree().button("Knock").click();
        assertThat(pupil.text("You are at the door")).isVisible();
        return pupil;
    }
}
