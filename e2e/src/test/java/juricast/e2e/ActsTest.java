package juricast.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** How many acts everyday work takes: a click, a key, a filled field, a change of page. The counts stand in docs/acts.md. */
class ActsTest {
    /** Does and counts. What is only looked at is no act, and neither is the pointer's rest on something. */
    private static final class Hand {
        private final Screen screen;
        private int acts;

        Hand(Screen screen) {
            this.screen = screen;
        }

        Hand press(Locator what) {
            acts++;
            what.click();
            return this;
        }

        Hand key(String key) {
            acts++;
            screen.page.keyboard().press(key);
            return this;
        }

        Hand fill(String field, String text) {
            acts++;
            screen.field(field).fill(text);
            return this;
        }

        Hand choose(String field, String option) {
            acts++;
            screen.field(field).selectOption(new com.microsoft.playwright.options.SelectOption().setLabel(option));
            return this;
        }

        /** The pointer is on a value of the charter. */
        Hand on(String rule) {
            screen.button(rule).hover();
            return this;
        }

        void took(int most, String what) {
            Assertions.assertThat(acts).as(what).isLessThanOrEqualTo(most);
            System.out.println(what + ": " + acts + " acts");
            acts = 0;
        }
    }

    private static void hasDraft(Screen maren, int changes) {
        assertThat(maren.page
                        .getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Changes in the draft"))
                        .getByRole(AriaRole.LISTITEM))
                .hasCount(changes);
    }

    @Test
    void rules_of_the_whole_school_are_bound_by_keys_and_put_in_force_by_one_act() {
        try (RunningSchool school = RunningSchool.demo()) {
            Screen maren = new Screen(school.newBrowser()).signInAs("Maren Oddlund");
            maren.open("/charter");
            assertThat(maren.button("Whisper to one pupil, Pupil")).isVisible();
            Hand hand = new Hand(maren);
            hand.on("Whisper to one pupil, Pupil").key("Shift+C");
            hasDraft(maren, 1);
            hand.on("Which files, Pupil").key("b");
            hasDraft(maren, 2);
            hand.on("Coming back after a removal, Pupil").key("Shift+Digit1");
            hasDraft(maren, 3);
            hand.press(maren.button("Put in force"));
            assertThat(maren.text("3 changes count from now on.")).isVisible();
            hand.took(5, "three rules bound for the whole school, in force");

            String[][] six = {
                {"Write to the whole class, Pupil", "r"},
                {"Speak, Pupil", "c"},
                {"Camera, Pupil", "c"},
                {"Share a screen, Visitor", "c"},
                {"A second device, Pupil", "c"},
                {"Send links, Pupil", "c"},
            };
            for (int n = 0; n < six.length; n++) {
                hand.on(six[n][0]).key(six[n][1]);
                hasDraft(maren, n + 1);
            }
            hand.press(maren.button("Put in force"));
            assertThat(maren.text("6 changes count from now on.")).isVisible();
            hand.took(8, "six rules for the whole school, in force");
            Assertions.assertThat(maren.complaints()).isEmpty();
        }
    }

    @Test
    void a_weekly_class_from_a_set_stands_with_its_link_and_weekdays_are_one_press() {
        try (RunningSchool school = RunningSchool.demo()) {
            Screen orla = new Screen(school.newBrowser()).signInAs("Orla Venn");
            Hand hand = new Hand(orla);
            hand.press(orla.link("Plan")).press(orla.link("Make a class"));
            hand.fill("Title", "Knotwork & Rigging 10").choose("Rules", "Quiet work");
            hand.press(orla.exactly("Wed")).fill("Begins at", "14:00");
            hand.press(orla.button("Make the class and its lessons"));
            assertThat(orla.text("lessons are planned")).isVisible();
            hand.press(orla.button("Copy the link"));
            Assertions.assertThat((String) orla.page.evaluate("navigator.clipboard.readText()"))
                    .contains("/join/");
            hand.took(8, "a weekly class from a kept set of rules, its link copied");

            orla.open("/classes");
            hand.press(orla.link("Knotwork & Rigging 10")).press(orla.tab("Lessons"));
            hand.press(orla.button("Mon to Fri")).fill("Last date", "2026-09-30");
            hand.fill("Begins at", "08:00").press(orla.button("Schedule"));
            assertThat(orla.text("/join/")).isVisible();
            hand.took(6, "weekdays until a date, the link shown");
        }
    }

    @Test
    void rights_are_lent_and_taken_back_by_one_press_each_and_planned_for_one_lesson_by_two() {
        try (RunningSchool school = RunningSchool.demo()) {
            Screen orla = new Screen(school.newBrowser()).signInAs("Orla Venn");
            orla.link("Go to the desk").click();
            Locator row = orla.row("Jory Pell");
            Locator draw = row.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Jory Pell, Draw"));
            Hand hand = new Hand(orla);
            hand.press(draw);
            assertThat(row.getByText("Jory Pell, Draw: open, lent")
                            .or(row.getByText("Draw: open"))
                            .first())
                    .isAttached();
            hand.press(draw);
            assertThat(row.getByText("Jory Pell, Draw: closed")).isAttached();
            hand.took(2, "a drawing right lent to one pupil and taken back");

            hand.key("s");
            Locator speak = orla.row("Wen Ostrander")
                    .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Speak"));
            assertThat(speak).not().containsText("on request");
            hand.press(speak);
            hand.took(2, "one pupil speaks, and it is taken back");

            orla.open("/lessons/weather-lab-8-1.6-2/desk");
            hand.press(orla.page.getByTitle("Share a screen")).press(orla.choice("on request in this lesson"));
            assertThat(orla.text("Planned for this lesson: Share, on request")).isVisible();
            hand.took(2, "who may present in one planned lesson");
        }
    }
}
