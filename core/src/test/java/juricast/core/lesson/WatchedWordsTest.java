package juricast.core.lesson;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import juricast.core.live.WatchedWords;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.AlphaChars;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class WatchedWordsTest {
    private static final WatchedWords LIST = WatchedWords.of(List.of("Loser", "shut up", "ass", "fée"));

    @ParameterizedTest
    @ValueSource(
            strings = {
                "loser",
                "What a LOSER!",
                "l0s3r",
                "looooser",
                "Shut  up, Jory",
                "shut\nUP",
                "l o s e r",
                "l.o.s.e.r",
                "a$$",
                "la fee",
                "you (loser)",
                "ｌｏｓｅｒ",
                "𝓵𝓸𝓼𝓮𝓻"
            })
    void sees_through_case_accents_repeats_digits_gaps_and_ornament(String text) {
        assertThat(LIST.isIn(text)).isTrue();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "closer",
                "losers' bench?",
                "classic",
                "I shut the door, up there",
                "up shut",
                "105 e r",
                "",
                "?!",
                "as",
                "looser"
            })
    void a_word_inside_another_or_a_phrase_torn_apart_is_not_meant(String text) {
        assertThat(LIST.isIn(text)).isFalse();
    }

    @Test
    void an_empty_list_finds_nothing_and_a_list_keeps_what_was_written() {
        assertThat(WatchedWords.NONE.isIn("loser")).isFalse();
        assertThat(WatchedWords.of(List.of("", "?!")).isIn("?!")).isFalse();
        assertThat(LIST.words()).containsExactly("Loser", "shut up", "ass", "fée");
    }

    @Property
    void what_is_on_the_list_is_found_wherever_it_stands_alone(
            @ForAll @AlphaChars @StringLength(min = 2, max = 12) String word,
            @ForAll @AlphaChars @StringLength(max = 20) String before,
            @ForAll @AlphaChars @StringLength(max = 20) String after) {
        var list = WatchedWords.of(List.of(word));

        assertThat(list.isIn(before + " " + word.toUpperCase() + "! " + after)).isTrue();
    }
}
