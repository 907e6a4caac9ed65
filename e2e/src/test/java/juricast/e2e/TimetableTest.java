package juricast.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
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

    @Test
    void a_calendar_and_a_roster_are_brought_in_and_a_renewed_link_refuses_kindly() {
        try (RunningSchool school = RunningSchool.demo()) {
            Screen orla = signedIn(school, "Orla Venn");
            bringInACalendar(orla);
            bringInARoster(orla);
            Screen maren = signedIn(school, "Maren Oddlund");
            mendWhatTheFileBrought(maren);
            Screen stranger = new Screen(school.newBrowser());
            renewALink(orla, stranger);
            pupilIsTold(school, maren);
            Assertions.assertThat(orla.complaints()).isEmpty();
            Assertions.assertThat(stranger.complaints()).isEmpty();
        }
    }

    private static FilePayload file(String name, String type, String... lines) {
        return new FilePayload(name, type, String.join("\r\n", lines).getBytes(StandardCharsets.UTF_8));
    }

    /** Two extra lessons on Saturdays, one of a class nobody knows, and one that is not understood. */
    private void bringInACalendar(Screen orla) {
        orla.open("/timetable");
        orla.button("Files…").click();
        orla.field("Timetable file")
                .setInputFiles(file(
                        "autumn.ics",
                        "text/calendar",
                        "BEGIN:VCALENDAR",
                        "BEGIN:VEVENT",
                        "UID:extra",
                        "SUMMARY:Tidal Navigation 8",
                        "DTSTART:20260919T100500",
                        "DURATION:PT50M",
                        "RRULE:FREQ=WEEKLY;COUNT=2",
                        "END:VEVENT",
                        "BEGIN:VEVENT",
                        "UID:odd",
                        "SUMMARY:Seabirds",
                        "DTSTART:20260923T140500",
                        "DURATION:PT50M",
                        "END:VEVENT",
                        "BEGIN:VEVENT",
                        "UID:broken",
                        "SUMMARY:Tidal Navigation 8",
                        "DTSTART;TZID=Nowhere:20260919T140500",
                        "DURATION:PT50M",
                        "END:VEVENT",
                        "END:VCALENDAR",
                        ""));
        Locator preview = orla.region("What the file would change");
        assertThat(preview).containsText("Tidal Navigation 8: 2 new");
        assertThat(preview).containsText("Line 15: The zone “Nowhere” is not known");
        Accessibility.check(orla.page);
        orla.field("Class meant by Seabirds").selectOption("Seabird Ecology 8");
        assertThat(preview).containsText("Seabird Ecology 8: 1 new");
        orla.button("Take this timetable").click();
        assertThat(orla.text("Timetable taken: 3 new, 0 changed, 0 cancelled")).isVisible();
    }

    private void bringInARoster(Screen orla) {
        orla.open("/classes/tidal-navigation-8");
        orla.field("Roster file")
                .setInputFiles(file(
                        "roster.csv", "text/csv", "name,year", "Ines Carrow,8", "Jory Pell,8", "Somebody New,8", ",8"));
        Locator preview = orla.region("What the file would change");
        assertThat(preview).containsText("1 are new to the school: Somebody New");
        assertThat(preview).containsText("Line 5: The name is missing.");
        orla.button("Take this roster").click();
        assertThat(orla.text("The roster is taken: 1 came")).isVisible();
        orla.tab("Adults").click();
        assertThat(orla.text("second adult")).isVisible();
        Accessibility.check(orla.page);
    }

    private void mendWhatTheFileBrought(Screen maren) {
        maren.open("/inspection");
        Locator saturdays = maren.region("On a day without school");
        assertThat(saturdays).containsText("Tidal Navigation 8");
        saturdays
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("Mend all")))
                .click();
        assertThat(maren.text("would be gone")).isVisible();
        maren.button("Carry it out").click();
        assertThat(maren.text("mends carried out.")).isVisible();
        assertThat(saturdays).hasCount(0);
    }

    private void renewALink(Screen orla, Screen stranger) {
        orla.open("/classes/tidal-navigation-8");
        orla.tab("Joining").click();
        orla.button("Copy as text").click();
        assertThat(orla.text("Copied")).isVisible();
        String note = (String) orla.page.evaluate("navigator.clipboard.readText()");
        Accessibility.check(orla.page);
        orla.button("Renew the link for pupils").click();
        orla.exactly("Renew it").click();
        assertThat(orla.button("Renew it")).hasCount(0);
        stranger.open(note.replaceAll("(?s).*Join: (\\S+).*", "$1"));
        stranger.field("Your first and last name").fill("Ines Carrow");
        stranger.field("Join word").fill(note.replaceAll("(?s).*Join word: (\\S+).*", "$1"));
        stranger.agree().button("Knock").click();
        assertThat(stranger.text("This link was renewed and counts no more. Ask your teacher for the new one."))
                .isVisible();
    }

    /** Signed in, a pupil finds the new way without the note, and was written to. */
    private void pupilIsTold(RunningSchool school, Screen maren) {
        Screen ines = signedIn(school, "Ines Carrow");
        assertThat(ines.region("Your next lesson")).containsText("Tidal Navigation 8");
        Accessibility.check(ines.page);
        ines.link("Go to the door").click();
        assertThat(ines.text("You come as Ines Carrow")).isVisible();
        maren.open("/outbox");
        assertThat(maren.text("Tidal Navigation 8 has a new link")).isVisible();
        assertThat(maren.text("Your timetable has changed")).isVisible();
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
        return new Screen(school.newBrowser()).signInAs(name);
    }
}
