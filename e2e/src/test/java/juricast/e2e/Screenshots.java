package juricast.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
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
    private static final String TIDAL = "tidal-navigation-8-1.3-2";

    private static RunningSchool school;

    @BeforeAll
    static void start() {
        school = RunningSchool.demo();
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
        take(orla, "today");
        orla.navigate("/lessons/" + TIDAL + "/desk");
        orla.getByText("of 30 here").waitFor();
        take(orla, "desk");
        orla.navigate("/lessons/seabird-ecology-8-1.1-2/register");
        orla.getByText("Export as CSV").waitFor();
        take(orla, "register");
        orla.navigate("/classes/tidal-navigation-8");
        orla.getByText("Import a roster").waitFor();
        take(orla, "class");
    }

    @Test
    void desk_by_night_and_why() {
        Page orla = signedIn("Orla Venn", 1280, 800, ColorScheme.DARK);
        orla.navigate("/lessons/" + TIDAL + "/desk");
        orla.getByText("of 30 here").waitFor();
        take(orla, "desk-dark");
        Page tam = signedIn("Tam Birket", 1280, 800, ColorScheme.LIGHT);
        tam.navigate("/lessons/" + TIDAL + "/desk");
        tam.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Rafe Dunnock, Share"))
                .click();
        tam.getByText("Why is it so?").click();
        tam.getByText("decides").waitFor();
        take(tam, "why");
    }

    @Test
    void opening() {
        Page ilse = signedIn("Ilse Brandt", 1280, 800, ColorScheme.LIGHT);
        ilse.navigate("/lessons/knotwork-rigging-7-1.3-20-2/desk");
        ilse.getByText("Not open yet").waitFor();
        take(ilse, "opening");
    }

    @Test
    void charter() {
        Page maren = signedIn("Maren Oddlund", 1280, 800, ColorScheme.LIGHT);
        maren.navigate("/charter");
        maren.getByText("The door when a lesson opens").waitFor();
        take(maren, "charter");
    }

    @Test
    void doorstep_and_seat() {
        Page bo = signedIn("Bo Lindqvar", 390, 844, ColorScheme.LIGHT);
        bo.getByText("Go to the door").click();
        bo.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Knock"))
                .click();
        bo.getByText("You are at the door").waitFor();
        take(bo, "doorstep-phone");

        Page una = signedIn("Ciro Vance", 1280, 800, ColorScheme.LIGHT);
        una.getByText("Go to the door").click();
        una.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Knock"))
                .click();
        una.getByText("You are at the door").waitFor();
        Page orla = signedIn("Orla Venn", 1280, 800, ColorScheme.LIGHT);
        orla.navigate("/lessons/" + TIDAL + "/desk");
        orla.getByText("Come in").or(orla.getByText("Dismiss class")).first().waitFor();
        orla.keyboard().press("a");
        assertThat(una.getByText("Raise my hand")).isVisible();
        orla.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Ciro Vance, Speak"))
                .click();
        orla.getByText("pass for 5 min").click();
        una.getByText("until 10:22").waitFor();
        una.getByLabel("To whom").selectOption("ADULTS");
        una.getByLabel("Write", new Page.GetByLabelOptions().setExact(true))
                .fill("my boat had to wait for the tide, sorry");
        una.keyboard().press("Enter");
        una.getByText("to your teachers:").waitFor();
        take(una, "seat");
        una.setViewportSize(390, 844);
        take(una, "seat-phone");
    }

    @Test
    void entrance() {
        Page anyone = school.newBrowser();
        anyone.navigate("/sign-in");
        anyone.getByText("be anybody").waitFor();
        anyone.getByText("Maren Oddlund").waitFor();
        take(anyone, "sign-in");
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
        page.evaluate("document.fonts.ready");
        page.screenshot(new Page.ScreenshotOptions().setPath(PICTURES.resolve(name + ".png")));
    }
}
