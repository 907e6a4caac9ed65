package juricast.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** A lesson that was held in another service: its log is reconciled by a person and becomes the register. */
class OutsideLogTest {
    private static final String LESSON = "/lessons/weather-lab-8-1.6-2";

    private static final FilePayload LOG = new FilePayload(
            "weather.csv",
            "text/csv",
            String.join(
                            "\r\n",
                            "Who came;Began;Stayed until",
                            "Ines Carrow;13:01;13:20",
                            "Ines Carrow;13:22;13:55",
                            "Jory P;13:16;13:55",
                            "Aunt Sella;13:05;13:55",
                            "Kester Tabb;13:05;",
                            "Kester Tabb;13:40;13:10")
                    .getBytes(StandardCharsets.UTF_8));

    @Test
    void a_log_is_reconciled_taken_and_looked_at_over_the_weeks() {
        try (RunningSchool school = RunningSchool.demo()) {
            Screen orla = new Screen(school.newBrowser());
            orla.signInAs("Orla Venn");
            school.clock().advance(Duration.ofHours(6));
            orla.open(LESSON + "/register");
            orla.button("Bring in a log").click();
            orla.field("Log file").setInputFiles(LOG);
            assertThat(orla.text("No column holds names")).isVisible();
            orla.field("Names").selectOption("Who came");
            orla.field("Joined").selectOption("Began");
            orla.field("Left").selectOption("Stayed until");
            assertThat(orla.text("2 rows are not taken")).isVisible();
            assertThat(orla.text("2 names are still to be decided")).isVisible();
            assertThat(orla.button("Take this log")).isDisabled();
            Accessibility.check(orla.page);
            orla.field("Who is Jory P").selectOption("Jory Pell");
            orla.field("Who is Aunt Sella").selectOption("nobody of the class");
            orla.button("Take this log").click();

            assertThat(orla.text("Also counted: weather.csv")).isVisible();
            assertThat(orla.row("Ines Carrow")).containsText("present");
            assertThat(orla.row("Ines Carrow")).containsText("50");
            assertThat(orla.row("Jory Pell")).containsText("late by 11 min");
            assertThat(orla.row("Kester Tabb")).containsText("absent");
            orla.link("the class over weeks").click();
            assertThat(orla.row("Jory Pell").getByTitle("late by 11 min, 39 min there"))
                    .isVisible();
            Assertions.assertThat(orla.complaints()).isEmpty();
        }
    }
}
