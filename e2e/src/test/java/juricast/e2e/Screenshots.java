package juricast.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/** Makes the pictures of docs/screenshots from the demo data; run by ./juricast screenshots. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class Screenshots {
    private static final Path PICTURES = Path.of(System.getProperty("juricast.pictures", "../docs/screenshots"));
    private static final Pattern FETCHING = Pattern.compile("^Fetching ");
    private static final String TIDAL = "tidal-navigation-8-1.3-2";

    private static RunningSchool school;

    @BeforeAll
    static void start() {
        school = RunningSchool.demoLaidOutAnew();
    }

    @AfterAll
    static void stop() {
        school.close();
    }

    @Test
    @Order(1) // before others let in who waits at this desk
    void pages_of_a_teacher() {
        Page orla = signedIn("Orla Venn", 1280, 800, ColorScheme.LIGHT);
        orla.getByText("live now").first().waitFor();
        orla.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Registers to sign"))
                .waitFor();
        orla.getByText("Weak spots of today").waitFor();
        take(orla, "today");
        orla.navigate("/lessons/" + TIDAL + "/desk");
        orla.getByText("of 30 here").waitFor();
        take(orla, "desk");
        orla.navigate("/lessons/seabird-ecology-8-1.1-2/register");
        orla.getByText("Export as CSV").waitFor();
        take(orla, "register");
        orla.navigate("/lessons/seabird-ecology-8-1.1-2/replay");
        orla.getByText("Against the plan").waitFor();
        orla.getByText("not come").first().waitFor();
        take(orla, "replay");
        orla.navigate("/recordings/tidal-navigation-8-3.2-1/watch");
        orla.getByText("Between these two the narrows are open").first().click();
        orla.getByText("is heard").first().waitFor();
        take(orla, "player");
    }

    @Test
    @Order(2)
    void corridor() {
        Page maren = signedIn("Maren Oddlund", 1280, 800, ColorScheme.LIGHT);
        maren.navigate("/corridor");
        maren.getByText("No adult").first().waitFor();
        take(maren, "corridor");
    }

    @Test
    void groups_and_a_seat_in_one() {
        Page corvin = signedIn("Corvin Hale", 1280, 800, ColorScheme.LIGHT);
        corvin.navigate("/lessons/weather-lab-9-1.3-2/desk");
        corvin.getByText("calls for help").waitFor();
        take(corvin, "groups");
        // Whom the cast left at home comes on a phone of their own, late.
        Page late = signedIn("Vesna Hollin", 390, 844, ColorScheme.LIGHT);
        knock(late);
        corvin.keyboard().press("a");
        corvin.getByText("Vesna Hollin comes late").waitFor();
        corvin.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("To Ledge"))
                .or(corvin.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("To Stack")))
                .first()
                .click();
        late.getByText("You are in").waitFor();
    }

    @Test
    void charter_and_what_a_draft_changes() {
        Page maren = signedIn("Maren Oddlund", 1280, 800, ColorScheme.LIGHT);
        maren.navigate("/charter#CHAT");
        var value = maren.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Whisper to one pupil, Pupil"))
                .first();
        value.click();
        maren.locator("input[value=closed]").check();
        maren.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("Binding What stands"))
                .check();
        maren.getByLabel("Only under a condition").selectOption("visitor-present");
        maren.getByText("Add to the draft").click();
        maren.getByText("planned lessons change").waitFor();
        value.click();
        maren.getByText("Who can change it").waitFor();
        value.scrollIntoViewIfNeeded();
        take(maren, "charter");
        maren.getByText("Discard").click();
        maren.getByText("Throw it away").click();
    }

    @Test
    @Order(3)
    void slates_and_a_board() {
        String lesson = "/lessons/harbour-law-10-1.3-2/desk";
        Page pernel = signedIn("Pernel Ost", 1280, 800, ColorScheme.LIGHT);
        pernel.navigate(lesson);
        pernel.getByText("have answered").waitFor();
        pernel.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Take it down"))
                .click();
        pernel.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("The slate of Amadi Holt, 1 marks"))
                .waitFor();
        take(pernel, "slates");
        pernel.keyboard().press("p");
        pernel.getByText("Take the pen and wipe").waitFor();
        take(pernel, "board");
    }

    @Test
    void doorstep_and_seat() {
        Page bo = signedIn("Bo Lindqvar", 390, 844, ColorScheme.LIGHT);
        bo.getByText("Go to the door").waitFor();
        bo.getByText("Go to the door").click();
        bo.getByLabel("I have read them and keep to them").check();
        bo.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Knock"))
                .click();
        bo.getByText("You are at the door").waitFor();
        take(bo, "doorstep-phone");

        Page una = signedIn("Ciro Vance", 1280, 800, ColorScheme.LIGHT);
        knock(una);
        Page orla = signedIn("Orla Venn", 1280, 800, ColorScheme.LIGHT);
        orla.navigate("/lessons/" + TIDAL + "/desk");
        orla.getByText("Come in").or(orla.getByText("Dismiss class")).first().waitFor();
        orla.keyboard().press("a");
        assertThat(una.getByText("Raise my hand")).isVisible();
        orla.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Ciro Vance, Speak"))
                .click();
        una.getByText("until 10:19").waitFor();
        una.getByLabel("To whom").selectOption("ADULTS");
        una.getByLabel("Write", new Page.GetByLabelOptions().setExact(true))
                .fill("my boat had to wait for the tide, sorry");
        una.keyboard().press("Enter");
        una.getByText("to your teachers:").waitFor();
        take(una, "seat");
    }

    @Test
    void timetable_and_inspection_and_attendance() {
        Page maren = signedIn("Maren Oddlund", 1280, 800, ColorScheme.LIGHT);
        maren.navigate("/attendance");
        maren.getByText("By day of the week").waitFor();
        take(maren, "attendance");
        maren.navigate("/timetable");
        maren.locator("[data-lesson*='harbour-law-8-1.5']").first().click();
        maren.getByText("Harbour board until three").waitFor();
        take(maren, "timetable");
        maren.navigate("/inspection");
        maren.getByText("Mend all").first().waitFor();
        take(maren, "inspection");
    }

    @Test
    void casebook() {
        Page maren = signedIn("Maren Oddlund", 1280, 800, ColorScheme.LIGHT);
        maren.navigate("/casebook");
        maren.getByText("Call home").first().waitFor();
        take(maren, "casebook");
        maren.getByText("Call home").first().click();
        maren.getByText("Nothing is missing").waitFor();
        take(maren, "incident");
        maren.navigate("/casebook/fairness");
        maren.getByText("Alike, met differently").first().waitFor();
        take(maren, "fairness");
        Page orla = signedIn("Orla Venn", 1280, 800, ColorScheme.LIGHT);
        orla.navigate("/lessons/" + TIDAL + "/desk");
        orla.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("More for Hanne Ruud"))
                .click();
        orla.getByText("A step of the ladder").click();
        orla.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Insults"))
                .click();
        orla.getByText("Proposed: step 2").waitFor();
        take(orla, "step");
    }

    private static void knock(Page page) {
        page.getByText("Go to the door").click();
        page.getByLabel("I have read them and keep to them").check();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Knock"))
                .click();
        page.getByText("You are at the door").waitFor();
    }

    private static Page signedIn(String name, int width, int height, ColorScheme scheme) {
        Page page = school.newBrowser(width, height, scheme);
        page.navigate("/sign-in");
        page.getByLabel("Find a person").fill(name);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name))
                .click();
        page.waitForURL("**/today");
        return page;
    }

    private static void take(Page page, String name) {
        // A picture is of a finished page.
        assertThat(page.getByText(FETCHING)).hasCount(0);
        page.evaluate("document.fonts.ready");
        page.screenshot(new Page.ScreenshotOptions().setPath(PICTURES.resolve(name + ".png")));
    }
}
