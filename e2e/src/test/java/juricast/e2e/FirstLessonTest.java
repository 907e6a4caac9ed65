package juricast.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** From nothing to a first lesson with a pupil in it: one account, and every act counted. */
class FirstLessonTest {
    private int acts;

    private void press(Locator what) {
        acts++;
        what.click();
    }

    private void fill(Screen who, String field, String text) {
        acts++;
        who.field(field).fill(text);
    }

    @Test
    void an_empty_school_holds_its_first_lesson_in_at_most_25_acts() {
        try (RunningSchool school = RunningSchool.empty()) {
            Screen ada = new Screen(school.newBrowser());
            ada.open("/");
            fill(ada, "Setup word", RunningSchool.SETUP_WORD);
            fill(ada, "School", "Skerry School");
            ada.field("Time zone").fill("UTC"); // filled in by the browser of a person who is there
            fill(ada, "Your name", "Ada Quill");
            fill(ada, "Name to sign in with", "ada");
            fill(ada, "Password", "three sheets of cork");
            press(ada.button("Begin"));
            Locator steps = ada.region("First steps");
            assertThat(steps).isVisible();

            press(ada.button("Take “Usual”"));
            press(ada.button("Put in force"));
            assertThat(ada.text("changes count from now on.")).isVisible();

            press(ada.link("Plan"));
            press(ada.link("Make a class"));
            fill(ada, "Title", "Harbour Law 9");
            fill(ada, "Begins at", "10:20");
            press(ada.button("Make the class and its lessons"));
            assertThat(ada.text("1 lesson is planned.")).isVisible();
            String link = ada.text("/join/").textContent();

            press(ada.link("Its roster"));
            fill(ada, "Or paste a list of names", "Ines Carrow\nJory Pell");
            press(ada.button("Show what it would add"));
            press(ada.button("Take this roster"));
            assertThat(ada.text("2 pupils")).isVisible();
            ada.tab("Joining").click(); // only to read the word: a person has it from the note
            String word = ada.region("Join word").locator("p").first().textContent();

            press(ada.link("Today"));
            press(ada.region("Your next lesson").getByText("Get ready"));
            press(ada.button("Open the lesson"));

            Screen ines = new Screen(school.newBrowser());
            ines.open(link);
            fill(ines, "Your first and last name", "Ines Carrow");
            fill(ines, "Join word", word);
            acts++;
            ines.agree();
            press(ines.button("Knock"));
            assertThat(ines.text("Raise my hand")).isVisible();
            assertThat(ada.text("1 of 2 here")).isVisible();
            System.out.println("From nothing to a first lesson: " + acts + " acts");
            Assertions.assertThat(acts).isLessThanOrEqualTo(25);
            Assertions.assertThat(ada.complaints()).isEmpty();
            ada.open("/today");
            assertThat(steps).containsText("Terms and holidays");
            Accessibility.check(ada.page);
        }
    }
}
