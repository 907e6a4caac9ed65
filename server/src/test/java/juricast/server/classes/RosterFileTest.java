package juricast.server.classes;

import static java.nio.charset.StandardCharsets.UTF_16LE;
import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.Charset;
import java.util.Optional;
import juricast.core.roster.RosterReading.Row;
import juricast.server.problems.Problem;
import org.junit.jupiter.api.Test;

class RosterFileTest {
    @Test
    void encodings_and_delimiters_of_school_programs_are_read() {
        assertThat(names("\uFEFFname;year\nÉloïse d'Arrac;8".getBytes(UTF_8))).containsExactly("Éloïse d'Arrac");
        assertThat(names("\uFEFFname\tyear\nDagny Høltmann\t8".getBytes(UTF_16LE)))
                .containsExactly("Dagny Høltmann");
        assertThat(names("name\n\"Carrow, Ines\"\n\n\n\"Pell, Jory\"".getBytes(UTF_8)))
                .containsExactly("Ines Carrow", "Jory Pell");

        var guessed = RosterFile.read("name\nÉloïse".getBytes(Charset.forName("windows-1252")), Optional.empty());
        assertThat(guessed.guessed()).isTrue();
        assertThat(guessed.reading().rows()).extracting(Row::name).containsExactly("Éloïse");
    }

    @Test
    void what_is_no_roster_is_refused_with_what_to_do() {
        assertThatThrownBy(() -> RosterFile.read(new byte[0], Optional.empty())).isInstanceOf(Problem.class);
        assertThatThrownBy(() -> RosterFile.read(new byte[] {'P', 'K', 3, 4, 0, 0, 0}, Optional.empty()))
                .isInstanceOfSatisfying(
                        Problem.class,
                        problem -> assertThat(problem.body().detail()).contains("spreadsheet"));
        assertThatThrownBy(() -> RosterFile.read("name\n\"never closed".getBytes(UTF_8), Optional.empty()))
                .isInstanceOfSatisfying(
                        Problem.class,
                        problem -> assertThat(problem.body().whatToDo()).contains("CSV"));
    }

    private static java.util.List<String> names(byte[] file) {
        return RosterFile.read(file, Optional.empty()).reading().rows().stream()
                .map(Row::name)
                .toList();
    }
}
