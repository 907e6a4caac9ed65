package juricast.server.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.util.Properties;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class LanguagesTest {
    private static final Pattern PLACE = Pattern.compile("\\{(\\d)}");

    private static Properties sentences(Language language) throws IOException {
        String file =
                language == Language.ENGLISH ? "" : "_" + language.locale().getLanguage();
        try (Reader reader = new InputStreamReader(
                LanguagesTest.class.getResourceAsStream("/languages/sentences" + file + ".properties"),
                StandardCharsets.UTF_8)) {
            var all = new Properties();
            all.load(reader);
            return all;
        }
    }

    private static String places(Object sentence) {
        return PLACE.matcher(sentence.toString())
                .results()
                .map(one -> one.group(1))
                .sorted()
                .collect(Collectors.joining(" "));
    }

    @ParameterizedTest
    @EnumSource(Language.class)
    void every_language_says_everything_and_says_it_about_the_same(Language language) throws IOException {
        Properties english = sentences(Language.ENGLISH);
        Properties other = sentences(language);
        assertThat(other.keySet()).isEqualTo(english.keySet());
        english.forEach((key, sentence) -> {
            assertThat(places(other.get(key))).as("what is put into " + key).isEqualTo(places(sentence));
            // One straight apostrophe, and everything after it would be said as it is written.
            assertThat(other.get(key).toString())
                    .as(key.toString())
                    .isNotBlank()
                    .doesNotContain("'");
        });
        if (language != Language.ENGLISH) {
            assertThat(english.keySet().stream().filter(key -> other.get(key).equals(english.get(key))))
                    .as("left untranslated")
                    .isEmpty();
        }
    }

    @ParameterizedTest
    @CsvSource({"de, GERMAN", "de-AT, GERMAN", "en, ENGLISH", "fi, ENGLISH", "'', ENGLISH", "'not a tag', ENGLISH"})
    void a_tag_finds_its_language_or_english(String tag, Language language) {
        assertThat(Language.of(tag)).isEqualTo(language);
    }
}
