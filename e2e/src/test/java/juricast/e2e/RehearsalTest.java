package juricast.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** A lesson tried with a simulated class before the real one comes, shown around step by step. */
class RehearsalTest {
    private static Locator region(Screen thora, String name) {
        return thora.page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(name));
    }

    @Test
    void a_teacher_is_shown_around_in_a_rehearsal_by_real_acts_and_the_lesson_itself_waits_untouched() {
        try (RunningSchool school = RunningSchool.demo()) {
            Screen thora = new Screen(school.newBrowser()).signInAs("Thora Melling");
            var own = OwnLesson.plan(
                    thora,
                    "Lamp Signals 8",
                    "anton-prowse",
                    List.of("Ines Carrow", "Jory Pell", "Edda Quillan", "Farah Tolland"));
            thora.open("/lessons/" + own.lesson() + "/desk");
            thora.button("Rehearse it with a simulated class").click();
            assertThat(region(thora, "Rehearsal")).containsText("Nothing is kept, and nobody is told");
            thora.button("Show me around").click();
            Locator tour = region(thora, "Shown around");
            Accessibility.check(thora.page);

            assertThat(tour).containsText("Open the lesson.");
            thora.button("Open the lesson").click();
            assertThat(tour).containsText("In a moment somebody of the class knocks");
            school.clock().advance(Duration.ofMinutes(3));
            assertThat(tour).containsText("Let them in: press A");
            thora.page.keyboard().press("a");
            assertThat(tour).containsText("a hand goes up");
            school.clock().advance(Duration.ofMinutes(1));
            assertThat(tour).containsText("A hand is up. Press S");
            thora.page.keyboard().press("s");
            assertThat(tour).containsText("Write to all");
            thora.page.keyboard().press("w");
            thora.page.keyboard().type("Charts out, page 4");
            thora.page.keyboard().press("Enter");
            assertThat(tour).containsText("choose another stance");
            thora.button("Skip this").click();
            assertThat(tour).containsText("Close one right for one pupil");
            thora.button("Skip this").click();
            assertThat(tour).containsText("press Esc twice");
            thora.page
                    .getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Needs you"))
                    .click();
            thora.page.keyboard().press("Escape");
            thora.page.keyboard().press("Escape");
            assertThat(tour).containsText("Bring back what was before");
            Accessibility.check(thora.page);
            thora.button("Bring back what was").click();
            assertThat(tour).containsText("Dismiss the class");
            thora.button("Dismiss class").click();
            thora.button("Dismiss now").click();
            assertThat(tour).containsText("That was a whole lesson");
            assertThat(thora.text("No register was drafted")).isVisible();
            Accessibility.check(thora.page);

            thora.link("To the lesson itself").click();
            assertThat(thora.text("0 of 4 here")).isVisible();
            assertThat(thora.text("Ines Carrow").first()).isVisible();
            Assertions.assertThat(thora.complaints()).isEmpty();
        }
    }
}
