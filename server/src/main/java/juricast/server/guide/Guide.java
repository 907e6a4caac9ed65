package juricast.server.guide;

import java.io.IOException;
import java.io.InputStream;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import juricast.server.languages.Language;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** The texts, read once: all of them in English, and those for pupils in the other languages too. */
@Component
class Guide {
    private final Map<Language, List<Page>> pages = new EnumMap<>(Language.class);

    Guide() throws IOException {
        List<Page> english = read("pages");
        for (Language language : Language.values()) {
            pages.put(
                    language,
                    language == Language.ENGLISH
                            ? english
                            : Stream.concat(
                                            english.stream().filter(one -> one.card != Card.PUPIL),
                                            read("pages_" + language.locale().getLanguage()).stream())
                                    .toList());
        }
    }

    private static List<Page> read(String name) throws IOException {
        try (InputStream file = Objects.requireNonNull(Guide.class.getResourceAsStream("/guide/" + name + ".json"))) {
            return List.of(JsonMapper.builder().build().readValue(file, Page[].class));
        }
    }

    /** For whom a card is printed. */
    enum Card {
        TEACHER("for teachers"),
        PUPIL("for pupils"),
        LEAD("for safeguarding leads");

        private final String words;

        Card(String words) {
            this.words = words;
        }

        String words() {
            return words;
        }
    }

    /**
     * @param at the addresses, as a pattern
     * @param what what the page is for
     * @param how what one does there
     * @param keys pairs of a key and what it does
     * @param signs what the signs on it mean
     */
    record Page(
            String at,
            Card card,
            String title,
            String what,
            List<String> how,
            List<List<String>> keys,
            List<String> signs) {}

    /** The text of a page: the first whose pattern fits, and where there is one for pupils, they read that one. */
    Optional<Page> of(String address, Language language, boolean pupil) {
        return pages(language).stream()
                .filter(one -> Pattern.matches(one.at, address))
                .min(Comparator.comparing(one -> (one.card == Card.PUPIL) != pupil));
    }

    List<Page> on(Card card, Language language) {
        return pages(language).stream().filter(one -> one.card == card).toList();
    }

    private List<Page> pages(Language language) {
        return Objects.requireNonNull(pages.get(language));
    }
}
