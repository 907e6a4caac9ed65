package juricast.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Every screen with a full school: usable by everybody, by day and night, on a small laptop, and on a pupil's phone. */
class EveryScreenTest {
    private static RunningSchool school;

    @BeforeAll
    static void start() {
        school = RunningSchool.demoLaidOutAnew();
    }

    @AfterAll
    static void stop() {
        school.close();
    }

    @Test
    void a_teachers_screens_on_a_small_laptop() {
        Screen orla = signedIn("Orla Venn", 1024, 768, ColorScheme.LIGHT);
        check(orla, "/lessons/tidal-navigation-8-1.3-2/desk", "of 30 here");
        check(orla, "/lessons/weather-lab-8-1.6-2/desk", "Not open yet");
        check(orla, "/lessons/seabird-ecology-8-1.1-2/register", "Export as CSV");
        check(orla, "/lessons/seabird-ecology-8-1.1-2/replay", "Against the plan");
        check(orla, "/lessons/seabird-ecology-8-1.1-2/results", "Was the pace right today?");
        check(orla, "/timetable", "Latest changes");
        check(orla, "/inspection", "What concerns your classes");
        check(orla, "/classes/tidal-navigation-8/attendance", "written by an adult");
        check(orla, "/attendance/settings", "The safeguarding lead keeps them");
        check(orla, "/keeping", "went as planned");
        check(orla, "/recordings", "lessons that had to be recorded");
        check(orla, "/recordings/tidal-navigation-8-3.2-1", "Who has watched");
        check(orla, "/recordings/tidal-navigation-8-3.2-1/watch", "Said and written");
        check(orla, "/consents", "Who may be recorded");
        check(orla, "/classes", "Your classes");
        check(orla, "/classes/tidal-navigation-8", "Import a roster");
        check(orla, "/charter", "The door when a lesson opens");
        check(orla, "/rules/class:tidal-navigation-8", "Ready-made sets:");
        check(orla, "/rules/lesson:tidal-navigation-8-3.2-2", "Planned for this lesson");
        check(orla, "/sets", "Make a set");
        check(orla, "/try", "Put another case beside it");
        check(orla, "/looks", "The look");
        check(orla, "/account", "Where you are signed in");
    }

    /** Colours are asked for on every screen in both; here all the rest is, too. */
    @Test
    void the_same_by_night() {
        Screen orla = signedIn("Orla Venn", 1280, 800, ColorScheme.DARK);
        check(orla, "/today", "live now");
        check(orla, "/lessons/tidal-navigation-8-1.3-2/desk", "of 30 here");
        check(orla, "/lessons/seabird-ecology-8-1.1-2/register", "Export as CSV");
        check(orla, "/charter", "The door when a lesson opens");
        check(orla, "/timetable", "Latest changes");
        check(orla, "/recordings/tidal-navigation-8-3.2-1/watch", "Said and written");
        check(orla, "/looks", "The look");
    }

    @Test
    void thirty_pupils_and_what_is_urgent_fit_without_scrolling() {
        Screen orla = signedIn("Orla Venn", 1280, 800, ColorScheme.LIGHT);
        orla.open("/lessons/tidal-navigation-8-1.3-2/desk");
        orla.text("of 30 here").waitFor();

        var last = orla.row("Zeb Corran").boundingBox();
        assertThat(last.y + last.height).isLessThan(800);
        assertThat(orla.page.evaluate("document.documentElement.scrollHeight <= innerHeight"))
                .isEqualTo(true);
    }

    @Test
    void a_class_in_groups_fits_a_small_laptop_by_day_and_by_night() {
        for (ColorScheme scheme : List.of(ColorScheme.LIGHT, ColorScheme.DARK)) {
            Screen corvin = signedIn("Corvin Hale", 1024, 768, scheme);
            check(corvin, "/lessons/weather-lab-9-1.3-2/desk", "in 6 groups");
            assertThat(corvin.page.evaluate("document.documentElement.scrollHeight <= innerHeight"))
                    .as("the page is not scrolled")
                    .isEqualTo(true);
            var last = corvin.row("Shingle").boundingBox();
            assertThat(last.y + last.height).as("and no line is below its edge").isLessThan(740);
            corvin.exactly("List").click();
            corvin.text("of 26 here").waitFor();
            checkHere(corvin);
        }
    }

    @Test
    void the_desk_is_run_by_touch_on_a_tablet() {
        Screen orla = signedIn("Orla Venn", new Screen(school.newTablet()));
        orla.open("/lessons/tidal-navigation-8-1.3-2/desk");
        orla.text("of 30 here").waitFor();
        checkHere(orla);
        assertThat(
                        (List<?>)
                                orla.page.evaluate(
                                        """
                () => [...document.querySelectorAll('button')]
                    .filter(one => one.offsetParent && !one.closest('p, h1, h2') && one.textContent.trim())
                    .filter(one => getComputedStyle(one).textDecorationLine !== 'underline')
                    .filter(one => one.getBoundingClientRect().height < 32)
                    .map(one => one.textContent)"""))
                .as("every button has the height of a finger")
                .isEmpty();
        orla.button("More for Hanne Ruud").tap();
        orla.choice("Put in focus for everyone").tap();
        orla.text("is asked to be shown to everyone").waitFor();
        orla.exactly("Stop everything Esc Esc").tap();
        orla.button("Bring back what was").tap();
        orla.text("Everything is stopped since")
                .waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.HIDDEN));
    }

    @Test
    void what_adults_need_away_from_a_desk_fits_a_phone() {
        Screen orla = signedIn("Orla Venn", 390, 844, ColorScheme.LIGHT);
        for (String path : List.of(
                "/today",
                "/lessons/seabird-ecology-8-1.1-2/register",
                "/casebook",
                "/classes/new",
                "/attendance",
                "/account")) {
            fits(orla, path);
        }
        Screen maren = signedIn("Maren Oddlund", 390, 844, ColorScheme.DARK);
        for (String path : List.of("/today", "/corridor", "/casebook/1", "/upkeep")) {
            fits(maren, path);
        }
    }

    /** Nothing goes sideways but what is a table by nature, within its own frame. */
    private static void fits(Screen screen, String path) {
        screen.open(path);
        screen.page.locator("h1").first().waitFor();
        checkHere(screen);
    }

    @Test
    void a_leads_screens() {
        Screen maren = signedIn("Maren Oddlund", 1024, 768, ColorScheme.LIGHT);
        check(maren, "/today", "live now");
        check(maren, "/classes", "All classes");
        check(maren, "/people", "Add a person");
        check(maren, "/stand-in", "Play the next one now");
        check(maren, "/corridor", "worst first");
        check(maren, "/timetable?by=class", "lessons");
        check(maren, "/inspection", "Mend all");
        check(maren, "/attendance", "Who needs attention");
        check(maren, "/pupils/ines-carrow/attendance", "Lesson by lesson");
        check(maren, "/outbox", "The school's words");
        check(maren, "/calendar", "Days and hours of lessons");
        check(maren, "/casebook", "Write one down");
        check(maren, "/casebook/1", "Nothing is missing");
        check(maren, "/casebook/patterns", "The same two again");
        check(maren, "/casebook/fairness", "What this page cannot know");
        check(maren, "/casebook/evidence", "Read it aloud");
        check(maren, "/ladder", "Stands at step");
        check(maren, "/kept", "Known devices");
        check(maren, "/upkeep", "Who looked at what about whom");
    }

    @Test
    void a_pupils_way_in_on_a_phone() {
        Screen bo = signedIn("Bo Lindqvar", 360, 720, ColorScheme.DARK);
        check(bo, "/today", "Go to the door");
        bo.text("Go to the door").click();
        bo.button("Knock").waitFor();
        checkHere(bo);
        bo.agree().button("Knock").click();
        bo.text("You are at the door").waitFor();
        checkHere(bo);

        Screen orla = signedIn("Orla Venn", 1024, 768, ColorScheme.LIGHT);
        orla.open("/lessons/tidal-navigation-8-1.3-2/desk");
        bo.text("Your teacher sees you and will let you in.").waitFor();
        orla.button("Let all").or(orla.button("Let in")).first().waitFor();
        orla.page.keyboard().press("a");
        bo.text("Raise my hand").waitFor();
        checkHere(bo);
        assertThat(bo.page.evaluate("window.scrollY"))
                .as("what comes first stays first, however much is written")
                .isEqualTo(0);
        bo.button("Something is wrong…").click();
        Accessibility.checkOpened(bo.page);
    }

    private static void check(Screen screen, String path, String awaited) {
        screen.open(path);
        screen.text(awaited).waitFor();
        checkHere(screen);
    }

    private static void checkHere(Screen screen) {
        Accessibility.check(screen.page);
        assertThat(screen.page.evaluate("document.documentElement.scrollWidth <= innerWidth"))
                .as("nothing sticks out sideways on %s", screen.page.url())
                .isEqualTo(true);
        assertThat(screen.complaints()).isEmpty();
        Accessibility.checkColoursTurned(screen.page);
    }

    private static Screen signedIn(String name, int width, int height, ColorScheme scheme) {
        return signedIn(name, new Screen(school.newBrowser(width, height, scheme)));
    }

    private static Screen signedIn(String name, Screen screen) {
        return screen.signInAs(name);
    }
}
