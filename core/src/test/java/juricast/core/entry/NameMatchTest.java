package juricast.core.entry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import juricast.core.entry.NameMatch.Certainty;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class NameMatchTest {
    private static final List<Member> LIST = Stream.of(
                    "Ines Carrow",
                    "Kester Tabb",
                    "Jory Pell",
                    "Dagny Høltmann",
                    "Éloïse d'Arrac",
                    "Mira Solberg",
                    "Mira Solbert",
                    "小川 光",
                    "Bo Lindqvar")
            .map(name -> new Member(new PersonId(name), name, Role.PUPIL))
            .toList();

    @ParameterizedTest
    @CsvSource({
        "ines carrow, Ines Carrow",
        "'Carrow, Ines', Ines Carrow",
        "  INES   CARROW , Ines Carrow",
        "Dagny Holtmann, Dagny Høltmann",
        "Eloise d’Arrac, Éloïse d'Arrac",
        "小川 光, 小川 光",
        "Jory Pell's tablet, Jory Pell",
        "Mira Solberg, Mira Solberg"
    })
    void the_same_name_is_found_through_case_accents_order_and_device_words(String claimed, String meant) {
        var match = NameMatch.find(claimed, LIST);

        assertThat(match.certainty()).isEqualTo(Certainty.EXACT);
        assertThat(match.candidates()).extracting(Member::name).containsExactly(meant);
    }

    @ParameterizedTest
    @CsvSource({"Ines Carow, Ines Carrow", "Jori Pell, Jory Pell", "Bo Lindqvarr, Bo Lindqvar"})
    void a_slip_of_the_hand_is_similar_never_exact(String claimed, String meant) {
        var match = NameMatch.find(claimed, LIST);

        assertThat(match.certainty()).isEqualTo(Certainty.SIMILAR);
        assertThat(match.candidates()).extracting(Member::name).containsExactly(meant);
    }

    @Test
    void two_pupils_close_together_mean_ask_never_guess() {
        var match = NameMatch.find("Mira Solber", LIST);

        assertThat(match.certainty()).isEqualTo(Certainty.UNCLEAR);
        assertThat(match.candidates()).extracting(Member::name).contains("Mira Solberg", "Mira Solbert");
    }

    @ParameterizedTest
    @ValueSource(strings = {"kestrel-tab-4", "Galaxy", "", "🐙🐙🐙", "<b>x</b>", "12345", "tablet of s", "Bo"})
    void what_is_nobodys_name_is_never_taken_for_somebody(String claimed) {
        assertThat(NameMatch.find(claimed, LIST).certainty()).isEqualTo(Certainty.NONE);
    }
}
