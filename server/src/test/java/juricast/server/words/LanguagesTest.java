package juricast.server.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Properties;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.board.BoardRefusal;
import juricast.core.chat.ChatRefusal;
import juricast.core.clocks.ClocksRefusal;
import juricast.core.door.DoorRefusal;
import juricast.core.entry.ReasonCode;
import juricast.core.groups.GroupsRefusal;
import juricast.core.live.Refusal;
import juricast.core.questions.QuestionsRefusal;
import juricast.core.rights.RightsRefusal;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Fact;
import juricast.core.rules.ValueType;
import juricast.core.slates.SlatesRefusal;
import juricast.server.languages.Language;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class LanguagesTest {
    private static final Pattern PLACE = Pattern.compile("\\{(\\d)}");

    /** What only adults are told: the rest of what a lesson refuses, a pupil may have to read. */
    private static final Set<Refusal.Code> ONLY_TO_ADULTS = Set.of(
            Refusal.Common.ADULT_NOT_IN,
            Refusal.Common.RULE_BOUND,
            DoorRefusal.TOO_EARLY_TO_OPEN,
            DoorRefusal.ALREADY_OPEN,
            DoorRefusal.NOT_REMOVED,
            DoorRefusal.LAST_ADULT,
            DoorRefusal.REMOVED_HERE,
            BoardRefusal.LAST_PAGE,
            BoardRefusal.TOO_MANY_PAGES,
            SlatesRefusal.NOBODY_HAS_ONE,
            RightsRefusal.WRONG_LENGTH,
            RightsRefusal.NOT_FOR_THEM,
            RightsRefusal.NOTHING_TO_UNDO,
            ChatRefusal.NO_SUCH_WORDS,
            ClocksRefusal.NO_CLOCK,
            ClocksRefusal.NO_LENGTH,
            QuestionsRefusal.QUESTION_TOO_LONG,
            QuestionsRefusal.TOO_FEW_OR_MANY_CHOICES,
            QuestionsRefusal.CHOICES_ALIKE,
            QuestionsRefusal.RIGHT_IS_NO_ANSWER,
            QuestionsRefusal.STILL_OPEN,
            QuestionsRefusal.TOO_FEW_TO_SHOW,
            QuestionsRefusal.NO_SUCH_GROUP,
            GroupsRefusal.NO_GROUPS,
            GroupsRefusal.NAME_TAKEN,
            GroupsRefusal.TOO_MANY_GROUPS,
            GroupsRefusal.NOT_ON_LIST,
            GroupsRefusal.TWICE,
            GroupsRefusal.TOO_SMALL,
            GroupsRefusal.BINDING_WISH,
            GroupsRefusal.WRONG_LENGTH,
            GroupsRefusal.TOO_LONG,
            GroupsRefusal.ALREADY_OUT);

    /** What is said by the words of a rule, not by the code. */
    private static final Set<Refusal.Code> BY_RULE = Set.of(Refusal.Common.RULE_CLOSED, Refusal.Common.RULE_ON_REQUEST);

    /** Those of the parts in which a pupil acts; the others refuse adults only. */
    private static Stream<Refusal.Code> toPupils() {
        return Stream.<Refusal.Code[]>of(
                        Refusal.Common.values(),
                        DoorRefusal.values(),
                        BoardRefusal.values(),
                        SlatesRefusal.values(),
                        RightsRefusal.values(),
                        ChatRefusal.values(),
                        ClocksRefusal.values(),
                        QuestionsRefusal.values(),
                        GroupsRefusal.values())
                .flatMap(Arrays::stream)
                .filter(code -> !ONLY_TO_ADULTS.contains(code) && !BY_RULE.contains(code));
    }

    @Test
    void whatever_a_pupil_may_be_told_beside_the_sentences_is_in_every_language() throws IOException {
        Properties german = read("beside_de");
        Stream<String> verdicts = Arrays.stream(ReasonCode.values())
                .map(code -> "verdict." + code.name().toLowerCase(Locale.ROOT).replace('_', '-'));
        Stream<String> rights = Catalogue.ALL.stream()
                .filter(rule -> rule.type() == ValueType.PERMISSION
                        && !rule.pupilWords().isEmpty())
                .map(rule -> "right." + rule.key());
        Stream<String> why = Stream.of(
                        Catalogue.RIGHTS,
                        Catalogue.RARELY_OPEN,
                        List.of(Catalogue.HELP_DOOR, Catalogue.HELP_HANDS, Catalogue.HELP_CHAT))
                .flatMap(List::stream)
                .map(rule -> "because." + rule.key());
        Stream<String> facts = Arrays.stream(Fact.values())
                .map(fact -> fact.name().toLowerCase(Locale.ROOT).replace('_', '-'))
                .flatMap(fact -> Stream.of("when.is." + fact, "when.not." + fact));
        Stream<String> refused =
                toPupils().map(RefusalWords::keyOf).flatMap(key -> Stream.of(key + ".title", key + ".do"));
        assertThat(german.stringPropertyNames())
                .containsAll(Stream.of(verdicts, rights, why, facts, refused)
                        .flatMap(one -> one)
                        .toList());
        german.stringPropertyNames().stream()
                .filter(key -> key.startsWith("problem.") && key.endsWith(".title"))
                .map(key -> key.substring(0, key.lastIndexOf('.')))
                .forEach(problem -> assertThat(german.stringPropertyNames())
                        .as("a problem is said whole")
                        .contains(problem + ".detail", problem + ".do"));
        german.forEach((key, sentence) ->
                assertThat(sentence.toString()).as(key.toString()).isNotBlank().doesNotContain("'"));
    }

    private static Properties sentences(Language language) throws IOException {
        return read("sentences"
                + (language == Language.ENGLISH ? "" : "_" + language.locale().getLanguage()));
    }

    private static Properties read(String file) throws IOException {
        try (Reader reader = new InputStreamReader(
                LanguagesTest.class.getResourceAsStream("/languages/" + file + ".properties"),
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
