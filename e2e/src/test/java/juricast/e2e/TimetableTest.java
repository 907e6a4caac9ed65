package juricast.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** A week is looked over before anyone joins: weak spots are mended, a lesson is covered, one is moved and moved back. */
class TimetableTest {
    @Test
    void a_lead_mends_in_bulk_and_a_teacher_moves_and_covers() {
        try (RunningSchool school = RunningSchool.demo()) {
            Screen maren = signedIn(school, "Maren Oddlund");
            mendADayOff(maren);
            Screen orla = signedIn(school, "Orla Venn");
            moveByKeyboard(orla);
            cover(orla);
            Screen anton = signedIn(school, "Anton Prowse");
            anton.open("/timetable");
            assertThat(lesson(anton, "Seabird Ecology 8, 10:15")).isVisible();
            Assertions.assertThat(maren.complaints()).isEmpty();
            Assertions.assertThat(orla.complaints()).isEmpty();
        }
    }

    private void mendADayOff(Screen maren) {
        maren.open("/inspection");
        Locator dayOff = maren.region("In a holiday");
        dayOff.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("Mend all")))
                .click();
        assertThat(maren.text("would be gone")).isVisible();
        Accessibility.check(maren.page);
        maren.button("Carry it out").click();
        assertThat(maren.text("mends carried out.")).isVisible();
        assertThat(dayOff).hasCount(0);
        maren.button("Undo").click();
        assertThat(dayOff).isVisible();
    }

    private void moveByKeyboard(Screen orla) {
        orla.open("/timetable");
        lesson(orla, "Seabird Ecology 8, 10:05").focus();
        for (int n = 0; n < 2; n++) {
            orla.page.keyboard().press("Shift+ArrowRight");
        }
        assertThat(orla.field("Begins")).hasValue("10:15");
        orla.field("Why").fill("The ferry is late");
        orla.button("Only this lesson").click();
        assertThat(orla.text("moved from")).isVisible();
        assertThat(lesson(orla, "Seabird Ecology 8, 10:15")).isVisible();
        Accessibility.check(orla.page);
    }

    private void cover(Screen orla) {
        lesson(orla, "Seabird Ecology 8, 10:15").click();
        orla.exactly("Cover").click();
        orla.field("Who comes").selectOption("Anton Prowse");
        orla.field("Why").fill("Harbour board");
        orla.button("Arrange cover").click();
        assertThat(orla.page.getByRole(AriaRole.STATUS).first()).containsText("Anton Prowse covers for Orla Venn");
        assertThat(lesson(orla, "Seabird Ecology 8, 10:15"))
                .hasAccessibleName(Pattern.compile("with Anton Prowse \\(cover\\)"));
    }

    private static Locator lesson(Screen screen, String begins) {
        return screen.page
                .getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^" + begins + ".*planned")))
                .first();
    }

    private static Screen signedIn(RunningSchool school, String name) {
        Screen screen = new Screen(school.newBrowser());
        screen.open("/sign-in");
        screen.field("Find a person").fill(name);
        screen.page
                .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name))
                .click();
        screen.page.waitForURL("**/today");
        return screen;
    }
}
