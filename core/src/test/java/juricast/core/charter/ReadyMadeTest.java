package juricast.core.charter;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import juricast.core.rules.Reach;
import org.junit.jupiter.api.Test;

class ReadyMadeTest {
    @Test
    void every_phase_of_a_lesson_has_a_set_that_says_each_thing_once() {
        assertThat(ReadyMade.SHIPPED)
                .extracting(ReadyMade::name)
                .containsExactly(
                        "Settling",
                        "Explaining",
                        "Discussion",
                        "Quiet work",
                        "Groups",
                        "Guest talk",
                        "Assessment",
                        "Closing");
        assertThat(ReadyMade.SHIPPED).allSatisfy(set -> {
            assertThat(set.purpose()).endsWith(".");
            assertThat(set.settings().stream().map(one -> new Cell(one.set().rule(), one.role())))
                    .doesNotHaveDuplicates()
                    .isNotEmpty();
            assertThat(set.settings())
                    .allSatisfy(one -> assertThat(Reach.neverMet(one.set().rule(), one.role(), one.when()))
                            .as(one.set().rule().key())
                            .isEmpty());
        });
    }

    @Test
    void places_are_read_as_they_were_written_and_nothing_else_is() {
        for (Place place : new Place[] {Place.SCHOOL, Place.ofYear(8), Place.of(ASchool.LAW.id()), Place.ofSet("x")}) {
            assertThat(Place.parse(place.text())).contains(place);
        }
        assertThat(Place.parse("class:")).isEqualTo(Optional.empty());
        assertThat(Place.parse("ward:7")).isEmpty();
        assertThat(Place.parse("school:1")).isEmpty();
    }
}
