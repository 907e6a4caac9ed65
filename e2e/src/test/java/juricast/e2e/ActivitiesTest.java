package juricast.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** A question, who is first, slates, and a board with a scribbler: an adult and five pupils, each in a browser of their own. */
class ActivitiesTest {
    private static final List<String> PUPILS =
            List.of("Ines Carrow", "Jory Pell", "Edda Quillan", "Farah Tolland", "Gethin Oakes");

    private final Map<String, Screen> pupils = new LinkedHashMap<>();
    private OwnLesson own = new OwnLesson("", "", "");

    @Test
    void a_class_is_asked_called_drawn_with_and_praised() {
        try (RunningSchool school = RunningSchool.demo()) {
            Screen thora = new Screen(school.newBrowser()).signInAs("Thora Melling");
            own = OwnLesson.plan(thora, "Lamp Signals 8", "anton-prowse", PUPILS);
            thora.sends(
                    "PUT",
                    "/api/classes/" + own.ofClass() + "/welcome",
                    "{\"text\":\"Good morning, have your lamp at hand.\"}");
            allAreIn(school, thora);
            ask(thora);
            showWhatWasRight(thora);
            callForTheFirst(school, thora);
            slates(thora);
            scribbler(thora);
            phone(school, thora);
            praiseAndAnnounce(thora);
            afterwards(thora);
            pupils.values().forEach(screen -> Assertions.assertThat(screen.complaints())
                    .isEmpty());
            Assertions.assertThat(thora.complaints()).isEmpty();
        }
    }

    private void allAreIn(RunningSchool school, Screen thora) {
        thora.open("/lessons/" + own.lesson() + "/desk");
        thora.button("Open").click();
        for (String pupil : PUPILS) {
            pupils.put(pupil, own.knocks(school, pupil));
        }
        assertThat(ines().text("Good morning, have your lamp at hand.")).isVisible();
        thora.button("Let all 5 in").waitFor();
        thora.page.keyboard().press("a");
        assertThat(thora.text("5 of 5 here")).isVisible();
        ines().button("I have read it").click();
    }

    private Screen ines() {
        return pupils.get("Ines Carrow");
    }

    private Screen jory() {
        return pupils.get("Jory Pell");
    }

    /** Made on the spot by two presses; four answer, and what four answered is not shown to the class. */
    private void ask(Screen thora) {
        thora.page.keyboard().press("q");
        thora.button("My own answers").click();
        thora.field("The question").fill("Which signal asks for help?");
        thora.field("Choice 1").fill("three short, three long");
        thora.field("Choice 2").fill("one long");
        thora.field("Choice 1 is right").check();
        Accessibility.check(thora.page);
        thora.button("Ask the class").click();
        assertThat(ines().text("Which signal asks for help?")).isVisible();
        Accessibility.check(ines().page);
        ines().button("one long").click();
        assertThat(ines().text("You may change it until it closes")).isVisible();
        ines().button("three short, three long").click();
        for (String pupil : PUPILS.subList(1, 4)) {
            pupils.get(pupil).button("one long").click();
        }
        assertThat(thora.text("4 of 5 have answered")).isVisible();
        assertThat(thora.text("Not yet: Gethin Oakes")).isVisible();
        assertThat(thora.button("Show, no names")).isDisabled();
        thora.button("nudge").click();
        assertThat(pupils.get("Gethin Oakes").text("Your teacher waits for your answer"))
                .isVisible();
        pupils.get("Gethin Oakes").button("three short, three long").click();
        assertThat(thora.text("5 of 5 have answered")).isVisible();
        Accessibility.check(thora.page);
    }

    private void showWhatWasRight(Screen thora) {
        thora.page.keyboard().press("q");
        thora.button("Show what is right").click();
        assertThat(ines().text("That is right")).isVisible();
        assertThat(jory().text("That is not right")).isVisible();
        assertThat(jory().text("2 of 5 were right")).isVisible();
        // Nobody else's name is anywhere on a pupil's page.
        Assertions.assertThat(jory().page.content()).doesNotContain("Ines Carrow", "Edda Quillan");
        Accessibility.check(jory().page);
        thora.button("Put it away").click();
        assertThat(ines().text("Which signal asks for help?")).hasCount(0);
    }

    private void callForTheFirst(RunningSchool school, Screen thora) {
        thora.page.keyboard().press("f");
        thora.field("What is asked").fill("The lamp of the north pier");
        thora.button("Call: it opens in 3 seconds").click();
        assertThat(jory().text("The lamp of the north pier")).isVisible();
        school.clock().advance(Duration.ofSeconds(4));
        jory().exactly("I know it").click();
        assertThat(jory().text("You have the word")).isVisible();
        assertThat(ines().text("has the word")).isVisible();
        school.clock().advance(Duration.ofSeconds(1));
        ines().exactly("I know it").click();
        assertThat(ines().text("One has the word before you")).isVisible();
        assertThat(thora.text("1. Jory Pell")).isVisible();
        thora.page.keyboard().press("f");
        assertThat(ines().text("You have the word")).isVisible();
        thora.exactly("Done").click();
    }

    private void slates(Screen thora) {
        thora.page.keyboard().press("e");
        // The sheet has the keys of what it offers from when it is there to be read.
        assertThat(thora.text("Or leave it empty and say it.")).isVisible();
        thora.page.keyboard().press("4");
        assertThat(thora.text("0 of 5 in")).isVisible();
        draw(ines(), "Your slate");
        assertThat(thora.page.getByRole(AriaRole.IMG, named("The slate of Edda Quillan, 0 marks")))
                .isVisible();
        thora.page.getByRole(AriaRole.LISTITEM).getByText("Ines Carrow").click();
        assertThat(thora.page.getByRole(AriaRole.IMG, named("The slate of Ines Carrow, 1 marks")))
                .isVisible();
        Accessibility.check(thora.page);
        Accessibility.check(ines().page);
        ines().button("Hand it in").click();
        assertThat(thora.text("1 of 5 in")).isVisible();
        thora.button("without the name").click();
        assertThat(jory().page.getByText("One of the slates")).isVisible();
        thora.page.keyboard().press("c");
        assertThat(jory().text("It is handed in")).isVisible();
        thora.button("Put slates away").click();
        assertThat(jory().text("One of the slates")).hasCount(0);
    }

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name).setExact(true);
    }

    /** A stroke by hand across a sheet. */
    private static void draw(Screen screen, String sheet) {
        Locator svg = screen.page
                .getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName(sheet + ","))
                .first();
        svg.scrollIntoViewIfNeeded();
        BoundingBox box = svg.boundingBox();
        var mouse = screen.page.mouse();
        mouse.move(box.x + box.width * 0.2, box.y + box.height * 0.3);
        mouse.down();
        for (int i = 1; i <= 6; i++) {
            mouse.move(box.x + box.width * (0.2 + 0.1 * i), box.y + box.height * (0.3 + 0.05 * (i % 3)));
        }
        mouse.up();
    }

    /** One pupil scribbles; one act takes the pen and wipes, and nothing of it comes back. */
    private void scribbler(Screen thora) {
        thora.sends(
                "PUT",
                "/api/lessons/" + own.lesson() + "/live-setting",
                "{\"rule\":\"share.draw\",\"value\":\"open\"}");
        thora.page.keyboard().press("p");
        draw(thora, "Board");
        jory().button("Look at the board").click();
        draw(jory(), "Board");
        draw(jory(), "Board");
        ines().button("Look at the board").click();
        assertThat(ines().text("Whose marks are these? (3)")).isVisible();
        Accessibility.check(thora.page);
        thora.button("Take the pen and wipe").click();
        assertThat(ines().text("Whose marks are these? (1)")).isVisible();
        assertThat(jory().text("drawing is closed to you now")).isVisible();
        draw(ines(), "Board");
        assertThat(thora.text("Whose marks are these? (2)")).isVisible();
        ines().button("Undo mine").click();
        assertThat(thora.text("Whose marks are these? (1)")).isVisible();
        thora.choose("Pages and files", "An empty page");
        assertThat(thora.text("2 of 2")).isVisible();
        assertThat(ines().page.getByRole(AriaRole.IMG, named("Board, 0 marks"))).isVisible();
    }

    private void phone(RunningSchool school, Screen thora) {
        thora.choose("Pages and files", "A picture from my phone");
        String url = thora.page.locator("code").textContent();
        Accessibility.check(thora.page);
        Screen phone = new Screen(school.newBrowser(390, 844, com.microsoft.playwright.options.ColorScheme.LIGHT));
        phone.open(url.substring(url.indexOf("/bring/")));
        phone.text("A picture for the board").waitFor();
        Accessibility.check(phone.page);
        phone.page.locator("input[type=file]").setInputFiles(Path.of("../docs/screenshots/desk.png"));
        assertThat(phone.text("It is on the board")).isVisible();
        thora.page.keyboard().press("Escape");
        assertThat(ines().page.locator("image")).hasCount(1);
        phone.open(url.substring(url.indexOf("/bring/")));
        assertThat(phone.text("This link is of no use any more")).isVisible();
    }

    private void praiseAndAnnounce(Screen thora) {
        thora.page.keyboard().press("x");
        thora.field("Ines Carrow").check();
        thora.field("Jory Pell").check();
        Accessibility.check(thora.page);
        thora.button("for good work").click();
        assertThat(ines().text("You got a merit")).isVisible();
        thora.button("Take it back").click();
        thora.page.keyboard().press("Escape");
        thora.page.keyboard().press("u");
        thora.field("Announcement").fill("The ferry leaves at noon.");
        thora.button("Put it up").click();
        assertThat(jory().text("The ferry leaves at noon.")).isVisible();
        thora.button("Take it down").click();
        assertThat(jory().text("The ferry leaves at noon.")).hasCount(0);
        thora.page.keyboard().press("t");
        thora.page.keyboard().press("1");
        assertThat(ines().page.getByRole(AriaRole.REGION, named("The clock"))).isVisible();
        // The key means the clock that the desk shows; the pupils may have been told of it first.
        assertThat(thora.button("Pause")).isVisible();
        thora.page.keyboard().press("t");
        assertThat(ines().text("The clock is paused").first()).isVisible();
    }

    private void afterwards(Screen thora) {
        String table = thora.sends("GET", "/api/lessons/" + own.lesson() + "/results.csv", "");
        Assertions.assertThat(new String(table.getBytes(StandardCharsets.UTF_8), StandardCharsets.UTF_8))
                .contains("Ines Carrow", "three short, three long");
        thora.open("/lessons/" + own.lesson() + "/results");
        assertThat(thora.text("Which signal asks for help?")).isVisible();
        Accessibility.check(thora.page);
        thora.open("/classes/" + own.ofClass());
        thora.tab("Questions").click();
        thora.button("New set of questions").click();
        Accessibility.check(thora.page);
        thora.field("Name of the set").fill("Lamps");
        thora.field("The question").fill("How many flashes?");
        thora.field("Choice 1").fill("three");
        thora.field("Choice 2").fill("four");
        thora.button("Keep them").click();
        assertThat(thora.text("How many flashes?")).isVisible();
        Accessibility.check(thora.page);
    }
}
