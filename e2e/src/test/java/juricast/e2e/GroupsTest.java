package juricast.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** A lesson in groups: an adult, a second adult and six pupils, each in a browser of their own. */
class GroupsTest {
    private static final List<String> PUPILS =
            List.of("Ines Carrow", "Jory Pell", "Edda Quillan", "Farah Tolland", "Gethin Oakes", "Bo Lindqvar");

    private final Map<String, Screen> pupils = new LinkedHashMap<>();
    private String ofClass = "";
    private String lesson = "";
    private OwnLesson own = new OwnLesson("", "", "");

    @Test
    void a_class_is_prepared_sent_out_visited_helped_joined_late_and_called_back() {
        try (RunningSchool school = RunningSchool.demo()) {
            Screen thora = new Screen(school.newBrowser()).signInAs("Thora Melling");
            Screen anton = new Screen(school.newBrowser()).signInAs("Anton Prowse");
            own = OwnLesson.plan(thora, "Net Mending 8", "anton-prowse", PUPILS);
            ofClass = own.ofClass();
            lesson = own.lesson();
            prepare(thora);
            allButOneAreIn(school, thora, anton);
            sendOut(thora);
            visit(thora, anton);
            callForHelp(thora);
            joinLate(school, thora);
            callBack(school, thora);
            afterwards(school, thora);
            for (Screen screen : pupils.values()) {
                Assertions.assertThat(screen.complaints()).isEmpty();
            }
            Assertions.assertThat(thora.complaints()).isEmpty();
        }
    }

    /** Who stays apart is kept; groups are made, changed and kept under a name. */
    private void prepare(Screen thora) {
        thora.open("/classes/" + ofClass);
        thora.tab("Groups").click();
        thora.field("Pupil 1").selectOption("ines-carrow");
        thora.field("Pupil 2").selectOption("jory-pell");
        thora.field("Why").fill("they finish each other's work");
        thora.exactly("Keep").click();
        assertThat(thora.text("Ines Carrow and Jory Pell stay apart")).isVisible();
        thora.field("Level of Ines Carrow").selectOption("steady");
        Accessibility.check(thora.page);
        thora.button("Prepare groups…").click();
        thora.field("Name").fill("Rope work");
        thora.field("What is to be done").fill("Mend the tear in the drawing");
        thora.field("Pupils in each").fill("3");
        thora.exactly("Make groups").click();
        thora.field("Name of group 1").fill("Quay");
        thora.field("Name of group 2").fill("Pier");
        Accessibility.check(thora.page);
        thora.exactly("Keep these groups").click();
        assertThat(thora.text("Quay:")).isVisible();
    }

    private void allButOneAreIn(RunningSchool school, Screen thora, Screen anton) {
        thora.open("/lessons/" + lesson + "/desk");
        thora.button("Open").click();
        for (String pupil : PUPILS.subList(0, 5)) {
            pupils.put(pupil, own.knocks(school, pupil));
        }
        thora.button("Let all 5 in").waitFor();
        thora.page.keyboard().press("a");
        assertThat(thora.text("5 of 6 here")).isVisible();
        anton.open("/lessons/" + lesson + "/desk");
        anton.button("Come in").click();
        // Three are a group here, and so are two, as this lesson is of six.
        thora.sends("PUT", "/api/lessons/" + lesson + "/live-setting", "{\"rule\":\"chat.class\",\"value\":\"open\"}");
    }

    private void sendOut(Screen thora) {
        thora.exactly("Groups").click();
        thora.field("Prepared groups").selectOption("Rope work");
        assertThat(thora.field("Name of Quay")).isVisible();
        // With one of three away a group is too small, and that is said before anybody goes.
        thora.exactly("Send out").click();
        assertThat(thora.alert()).containsText("A group is too small");
        thora.field("How many").fill("1");
        thora.field("Of what").selectOption("groups");
        thora.button("Make groups of 5").click();
        assertThat(thora.text("This cannot be kept: Ines Carrow and Jory Pell stay apart"))
                .isVisible();
        assertThat(thora.text("Not as wished: Ines Carrow and Jory Pell stay apart"))
                .isVisible();
        thora.exactly("Add a group").click();
        assertThat(thora.field("Name of Group 2")).isVisible();
        String alone = "Jory Pell";
        thora.exactly(alone).focus();
        thora.page.keyboard().press("2");
        assertThat(group(thora, "Group 2")).containsText(alone);
        thora.exactly("Edda Quillan").click();
        thora.choice("2 Group 2").click();
        thora.exactly("Farah Tolland").dragTo(group(thora, "Group 2"));
        assertThat(group(thora, "Group 2")).containsText("Farah Tolland");
        thora.exactly("Gethin Oakes").focus();
        thora.page.keyboard().press("2");
        assertThat(thora.text("Not as wished")).hasCount(0);
        Accessibility.check(thora.page);
        // A group of one is sent nowhere.
        thora.exactly("Send out").click();
        assertThat(thora.alert()).containsText("A group is too small: Ines Carrow");
        twoAreAGroup(thora);
        thora.exactly("Gethin Oakes").focus();
        thora.page.keyboard().press("1");
        assertThat(group(thora, "Group 1")).containsText("Gethin Oakes");
        thora.exactly("Send out").click();
    }

    /** The class may say so: the charter has the smallest group as its usual setting only. */
    private void twoAreAGroup(Screen thora) {
        String rules = "/api/rules/class:" + ofClass;
        thora.sends(
                "PUT",
                rules + "/draft",
                "{\"rule\":\"groups.smallest\",\"role\":\"LEAD_ADULT\",\"value\":\"2\",\"binding\":false}");
        Assertions.assertThat(thora.sends("POST", rules + "/draft/in-force", "{}"))
                .doesNotContain("whatToDo");
    }

    private static Locator group(Screen screen, String name) {
        return screen.page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName(name));
    }

    /** A group's line in the hall. */
    private static Locator line(Screen screen, String name) {
        return screen.page.getByRole(
                AriaRole.ROW, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private void visit(Screen thora, Screen anton) {
        Screen ines = pupils.get("Ines Carrow");
        assertThat(ines.text("You are in Group 1")).isVisible();
        assertThat(ines.text("Mend the tear in the drawing")).isVisible();
        assertThat(ines.region("Your group")).containsText("Gethin Oakes");
        Accessibility.check(ines.page);
        assertThat(thora.text("5 in 2 groups")).isVisible();
        line(thora, "Group 1").getByText("Look in").click();
        assertThat(ines.text("Thora Melling looks in")).isVisible();
        line(anton, "Group 2").getByText("go in").click();
        Screen jory = pupils.get("Jory Pell");
        assertThat(jory.text("Anton Prowse is with you")).isVisible();
        jory.field("Write").fill("we have the rope");
        jory.page.keyboard().press("Enter");
        assertThat(line(thora, "Group 2")).containsText("we have the rope");
        assertThat(pupils.get("Edda Quillan").text("we have the rope")).isVisible();
        Assertions.assertThat(ines.page.content()).doesNotContain("we have the rope");
        line(thora, "Group 1").getByText("Look away").click();
        Accessibility.check(thora.page);
    }

    private void callForHelp(Screen thora) {
        pupils.get("Gethin Oakes").button("Call an adult").click();
        assertThat(pupils.get("Ines Carrow").text("An adult was called")).isVisible();
        assertThat(thora.text("Group 1 calls for an adult")).isVisible();
        thora.page.keyboard().press("g");
        assertThat(line(thora, "Group 1")).containsText("Thora Melling is here");
        assertThat(thora.text("Group 1 calls for an adult")).hasCount(0);
        assertThat(pupils.get("Ines Carrow").text("Thora Melling is with you")).isVisible();
    }

    private void joinLate(RunningSchool school, Screen thora) {
        pupils.put("Bo Lindqvar", own.knocks(school, "Bo Lindqvar"));
        thora.text("on the class list waits").or(thora.button("Let in")).first().waitFor();
        thora.page.keyboard().press("a");
        assertThat(thora.text("Bo Lindqvar comes late")).isVisible();
        assertThat(pupils.get("Bo Lindqvar").text("You are with the class together"))
                .isVisible();
        thora.exactly("To Group 1").click();
        assertThat(pupils.get("Bo Lindqvar").text("You are in Group 1")).isVisible();
        assertThat(thora.text("6 in 2 groups")).isVisible();
    }

    private void callBack(RunningSchool school, Screen thora) {
        school.clock().advance(Duration.ofMinutes(2));
        thora.page.keyboard().press("b");
        assertThat(pupils.get("Jory Pell").text("Everybody is called back")).isVisible();
        pupils.get("Jory Pell").button("Back to the class").click();
        assertThat(pupils.get("Jory Pell").text("You are in Group")).hasCount(0);
        thora.page.keyboard().press("b");
        assertThat(thora.text("6 of 6 here")).isVisible();
        assertThat(pupils.get("Ines Carrow").text("You are in Group")).hasCount(0);
    }

    private void afterwards(RunningSchool school, Screen thora) {
        school.clock().advance(Duration.ofMinutes(1));
        thora.button("Dismiss class").click();
        thora.button("Dismiss now").click();
        assertThat(thora.text("The register is drafted: 6 were here")).isVisible();
        thora.open("/lessons/" + lesson + "/replay");
        assertThat(thora.region("In groups")).containsText("Bo Lindqvar");
        Accessibility.check(thora.page);
        thora.open("/lessons/" + lesson + "/register");
        assertThat(thora.row("Ines Carrow")).isVisible();
    }
}
