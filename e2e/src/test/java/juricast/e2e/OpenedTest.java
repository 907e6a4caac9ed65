package juricast.e2e;

import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** What opens over a screen is usable by everybody, as the screens are: sheets, menus, help, and the line that finds. */
class OpenedTest {
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
    void over_a_teachers_desk_by_night() {
        Screen orla = new Screen(school.newBrowser(1024, 768, ColorScheme.DARK)).signInAs("Orla Venn");
        orla.open("/lessons/tidal-navigation-8-1.3-2/desk").text("of 30 here").waitFor();
        for (String key : new String[] {"?", "/", "q"}) {
            orla.page.keyboard().press(key);
            Accessibility.checkOpened(orla.page);
        }
        orla.page.keyboard().press("/");
        orla.page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.COMBOBOX).fill("tidal");
        orla.page.getByRole(AriaRole.OPTION).first().waitFor();
        Accessibility.checkOpened(orla.page);
        for (String control : new String[] {"More for Hanne Ruud", "Stance", "Dismiss class"}) {
            press(orla, control);
        }
        orla.choose("More for Hanne Ruud", "Remove");
        Accessibility.checkOpened(orla.page);
    }

    @Test
    void over_a_teachers_screens_of_before_and_after() {
        Screen orla = new Screen(school.newBrowser(1024, 768, ColorScheme.LIGHT)).signInAs("Orla Venn");
        orla.open("/timetable").text("Latest changes").waitFor();
        press(orla, "Files");
        press(orla, "New lessons");
        orla.open("/lessons/seabird-ecology-8-1.1-2/register")
                .text("Export as CSV")
                .waitFor();
        press(orla, "A log of another service");
        orla.open("/charter").text("The door when a lesson opens").waitFor();
        orla.exactly("Watched words").click();
        Accessibility.checkOpened(orla.page);
    }

    @Test
    void over_a_leads_screens_on_a_phone() {
        Screen maren = new Screen(school.newBrowser(390, 844, ColorScheme.LIGHT)).signInAs("Maren Oddlund");
        maren.open("/casebook").text("Write one down").waitFor();
        press(maren, "Write one down");
        maren.open("/people").text("Add a person").waitFor();
        press(maren, "Account of");
        maren.open("/casebook/1").text("Nothing is missing").waitFor();
        press(maren, "Follow up…");
    }

    private static void press(Screen screen, String control) {
        screen.button(control).click();
        Accessibility.checkOpened(screen.page);
    }
}
