package juricast.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import java.time.Duration;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** A safeguarding lead changes a rule for visitors' lessons, from the draft to a pupil's seat on the day after. */
class CharterTest {
    private static final String PRIVATE = "Whisper to one pupil, Pupil";

    @Test
    void a_rule_for_visitors_lessons_from_the_draft_to_a_pupils_seat() {
        try (RunningSchool school = RunningSchool.demo()) {
            Screen maren = signedIn(school, "Maren Oddlund");
            draftTheRule(maren);
            lookAtWhatChanges(maren);
            putInForceFromTomorrow(maren);

            school.clock().advance(Duration.ofHours(23).plusMinutes(43));
            Screen orla = signedIn(school, "Orla Venn");
            Screen ines = signedIn(school, "Ines Carrow");
            Screen tove = new Screen(school.newBrowser());
            beginALessonWithAVisitor(orla, ines, tove);
            theTeacherIsToldWhyNot(orla);
            thePupilReadsIt(ines);
            whenTheVisitorHasGoneItIsTheUsualAgain(ines, tove);

            for (Screen screen : List.of(maren, orla, ines, tove)) {
                Assertions.assertThat(screen.complaints()).isEmpty();
            }
        }
    }

    @Test
    void what_two_people_change_at_once_is_shown_to_the_later_one() {
        try (RunningSchool school = RunningSchool.demo()) {
            Screen orla = signedIn(school, "Orla Venn");
            Screen tam = signedIn(school, "Tam Birket");
            for (Screen one : List.of(orla, tam)) {
                one.open("/rules/class:tidal-navigation-8");
                one.checkbox("Set here").uncheck();
                one.button("Write to the whole class, Pupil").click();
                one.page
                        .locator(one == orla ? "input[value=on-request]" : "input[value=closed]")
                        .check();
                one.button("Add to the draft").click();
                assertThat(one.region("Draft")).containsText("Write to the whole class, pupil");
            }
            tam.button("Put in force").click();
            assertThat(tam.text("1 change counts from now on.")).isVisible();
            orla.button("Put in force").click();
            assertThat(orla.region("Draft")).containsText("Somebody else has changed the same rules meanwhile");
            assertThat(orla.region("Draft")).containsText("Tam Birket set it to closed meanwhile");
            Accessibility.check(orla.page);
            orla.button("Keep mine").click();
            assertThat(orla.text("Tam Birket set it to closed meanwhile")).not().isVisible();
            orla.button("Put in force").click();
            assertThat(orla.button("Write to the whole class, Pupil: on request"))
                    .isVisible();

            orla.open("/sets");
            orla.field("Name").fill("Fog drill");
            orla.field("Begin with").selectOption("Tidal Navigation 8");
            orla.button("Make it").click();
            assertThat(orla.region("Fog drill")).containsText("Write to the whole class, pupil: on request");
            Accessibility.check(orla.page);
            orla.open("/rules/class:tidal-navigation-8");
            orla.field("Use a set").selectOption("Quiet work");
            assertThat(orla.text("planned lessons would change:")).isVisible();
            orla.button("Use it from now on").click();
            assertThat(orla.button("Stop using Quiet work")).isVisible();
        }
    }

    private void draftTheRule(Screen maren) {
        maren.open("/charter");
        maren.field("Search the rules").fill("privately");
        maren.button(PRIVATE).click();
        assertThat(maren.text("Pupils read: “You may not whisper to one pupil.”"))
                .isVisible();
        maren.page.locator("input[value=closed]").check();
        maren.checkbox("Binding What stands below").check();
        maren.field("Only under a condition").selectOption("a visitor is present");
        Accessibility.check(maren.page);
        maren.button("Add to the draft").click();
        Locator draft = maren.region("Draft");
        assertThat(draft).containsText("3classes change");
        assertThat(draft).containsText("3settings get overruled");
        assertThat(draft).containsText("nothing of its own closed, binding");
    }

    private void lookAtWhatChanges(Screen maren) {
        maren.button("See all that changes").click();
        maren.button("Harbour Law 9, Wednesday 16 September").click();
        Locator why = maren.region("Why, in Harbour Law 9");
        assertThat(why).containsText("Class rules, by Ruben Stavely");
        assertThat(why).containsText("Charter, binding, while a visitor is present, by Maren Oddlund");
        assertThat(why).containsText("does not count: bound above");
        Accessibility.check(maren.page);
    }

    private void putInForceFromTomorrow(Screen maren) {
        maren.field("From when").selectOption("tomorrow");
        assertThat(maren.text("What changes from Tuesday 15 September")).isVisible();
        maren.button("Put in force").click();
        assertThat(maren.text("1 change counts from 2026-09-15.")).isVisible();
        assertThat(maren.text("from Tuesday 15 September, while a visitor is present"))
                .isVisible();
        Accessibility.check(maren.page);
    }

    private void beginALessonWithAVisitor(Screen orla, Screen ines, Screen tove) {
        orla.open("/classes/seabird-ecology-8");
        orla.tab("Joining").click();
        orla.button("Copy as text").click();
        assertThat(orla.text("Copied")).isVisible();
        String note = (String) orla.page.evaluate("navigator.clipboard.readText()");
        orla.open("/lessons/seabird-ecology-8-2.3-2/desk");
        orla.button("Open the lesson").click();
        assertThat(orla.text("of 31 here")).isVisible();

        ines.text("Go to the door").click();
        ines.agree().button("Knock").click();
        assertThat(ines.text("You are at the door")).isVisible();
        tove.open(note.replaceAll("(?s).*Join: (\\S+).*", "$1"));
        tove.field("Your first and last name").fill("Tove Saltmarsh");
        tove.field("Join word").fill(note.replaceAll("(?s).*Join word: (\\S+).*", "$1"));
        tove.agree().button("Knock").click();
        assertThat(orla.text("Ines Carrow waits")).isVisible();
        orla.page.keyboard().press("a");
        assertThat(ines.text("Raise my hand")).isVisible();
        assertThat(orla.text("let in by an adult only")).isVisible();
        orla.button("Let in as Tove Saltmarsh").click();
        assertThat(tove.text("Raise my hand")).isVisible();
    }

    private void theTeacherIsToldWhyNot(Screen orla) {
        orla.choose("Whisper for the class", "open for all pupils");
        assertThat(orla.alert()).containsText("Charter binds this: Whisper to one pupil.");
        assertThat(orla.alert()).containsText("“closed” by Maren Oddlund, while a visitor is present,");
        assertThat(orla.alert()).containsText("Only the safeguarding lead, in the charter.");
        Accessibility.check(orla.page);
    }

    private void thePupilReadsIt(Screen ines) {
        assertThat(ines.text("closed while a visitor is present")).isVisible();
        ines.page.getByLabel("Why: Whisper to one pupil").click();
        assertThat(ines.text("Our school's rules, while a visitor is present: closed"))
                .isVisible();
        Accessibility.check(ines.page);
        ines.page.keyboard().press("Escape");
    }

    private void whenTheVisitorHasGoneItIsTheUsualAgain(Screen ines, Screen tove) {
        tove.button("Leave the lesson").click();
        tove.button("Leave").click();
        assertThat(ines.text("closed while a visitor is present")).not().isVisible();
        assertThat(ines.page.getByLabel("Why: Whisper to one pupil").locator(".."))
                .containsText("not at our school");
    }

    private static Screen signedIn(RunningSchool school, String name) {
        return new Screen(school.newBrowser()).signInAs(name);
    }
}
