package juricast.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** The door in another language, chosen there and kept on the device; and in a script that is read from the right. */
class LanguagesTest {
    @Test
    void somebody_knocks_in_german_and_the_door_fits_a_phone_also_from_right_to_left() {
        try (RunningSchool school = RunningSchool.demo()) {
            Screen thora = new Screen(school.newBrowser()).signInAs("Thora Melling");
            var own = OwnLesson.plan(thora, "Lamp Signals 8", "anton-prowse", List.of("Ines Carrow"));
            Screen ines = new Screen(school.newBrowser(390, 844, ColorScheme.LIGHT)).open("/join/" + own.token());
            ines.button("Deutsch").click();
            assertThat(ines.button("Anklopfen")).isVisible();
            assertThat(ines.text("Dein Mikrofon ist aus")).isVisible();
            Accessibility.check(ines.page);

            ines.field("Dein Vor- und Nachname").fill("Ines Carrow");
            ines.field("Kennwort").fill("wrong-word-1");
            ines.page.getByLabel("Ich habe sie gelesen").check();
            ines.button("Anklopfen").click();
            assertThat(ines.text("Das ist nicht das Kennwort dieser Klasse")).isVisible();

            ines.page.evaluate("document.documentElement.dir = 'rtl'");
            Assertions.assertThat(ines.page.evaluate("document.documentElement.scrollWidth <= innerWidth"))
                    .isEqualTo(true);
            Accessibility.check(ines.page);

            ines.page.reload();
            assertThat(ines.button("Anklopfen")).isVisible();
            ines.button("English").click();
            assertThat(ines.button("Knock")).isVisible();
            Assertions.assertThat(ines.complaints()).isEmpty();
        }
    }
}
