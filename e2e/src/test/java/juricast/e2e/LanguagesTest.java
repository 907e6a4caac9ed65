package juricast.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** What pupils read in another language, chosen on the device and kept there; and in a script that is read from the right. */
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

    @Test
    void a_pupil_has_day_seat_and_account_in_german_while_the_teacher_reads_english() {
        try (RunningSchool school = RunningSchool.demo()) {
            Screen thora = new Screen(school.newBrowser()).signInAs("Thora Melling");
            var own = OwnLesson.plan(thora, "Lamp Signals 8", "anton-prowse", List.of("Ines Carrow", "Jory Pell"));
            Screen jory = own.knocks(school, "Jory Pell");
            Screen ines = new Screen(school.newBrowser(390, 844, ColorScheme.LIGHT)).signInAs("Ines Carrow");
            ines.button("Deutsch").click();
            assertThat(ines.text("Hallo, Ines")).isVisible();
            Accessibility.check(ines.page);
            ines.open("/account");
            assertThat(ines.field("Neues Passwort")).isVisible();
            ines.button("Wozu ist diese Seite da?").click();
            assertThat(ines.text("Beende Anmeldungen, die nicht deine sind")).isVisible();

            ines.open("/join/" + own.token())
                    .page
                    .getByLabel("Ich habe sie gelesen")
                    .check();
            ines.button("Anklopfen").click();
            assertThat(ines.text("Du bist an der Tür")).isVisible();
            Accessibility.check(ines.page);
            thora.open("/lessons/" + own.lesson() + "/desk")
                    .button("Open the lesson")
                    .click();
            assertThat(ines.text("Deine Lehrkraft sieht dich und lässt dich herein."))
                    .isVisible();
            thora.button("Let all 2 in").click();
            assertThat(ines.button("Hand heben")).isVisible();
            assertThat(ines.text("wenn eine Lehrkraft dich drannimmt: heb die Hand"))
                    .isVisible();
            assertThat(jory.text("when a teacher calls you: raise your hand")).isVisible();
            assertThat(thora.button("Mute all")).isVisible();
            ines.button("Hand heben").click();
            assertThat(ines.text("du bist als Nächstes dran")).isVisible();
            ines.button("Warum: Sprechen").click();
            assertThat(ines.text("Es ist auf Anfrage")).isVisible();
            ines.page.keyboard().press("Escape");
            thora.sends(
                    "PUT",
                    "/api/lessons/" + own.lesson() + "/live-setting",
                    "{\"rule\":\"chat.class\",\"value\":\"closed\"}");
            assertThat(ines.text("gerade von deiner Lehrkraft geschlossen")).isVisible();
            ines.page
                    .getByLabel("Schreiben", new Page.GetByLabelOptions().setExact(true))
                    .fill("Ahoi");
            ines.button("Senden").click();
            assertThat(ines.alert()).containsText("An deine Lehrkräfte schreiben kannst du immer.");
            Accessibility.check(ines.page);
            ines.page.evaluate("document.documentElement.dir = 'rtl'");
            Assertions.assertThat(ines.page.evaluate("document.documentElement.scrollWidth <= innerWidth"))
                    .isEqualTo(true);

            ines.button("Die Stunde verlassen").click();
            ines.exactly("Verlassen").click();
            assertThat(ines.text("Du bist gegangen")).isVisible();
            Assertions.assertThat(ines.complaints()).isEmpty();
        }
    }
}
