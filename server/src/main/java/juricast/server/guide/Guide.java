package juricast.server.guide;

import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** The texts, read once. */
@Component
class Guide {
    private final List<Page> pages;

    Guide() throws IOException {
        try (InputStream file = Objects.requireNonNull(Guide.class.getResourceAsStream("/guide/pages.json"))) {
            pages = List.of(JsonMapper.builder().build().readValue(file, Page[].class));
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

    /** The text of a page; the first whose pattern fits. */
    Optional<Page> of(String address) {
        return pages.stream().filter(one -> Pattern.matches(one.at, address)).findFirst();
    }

    List<Page> on(Card card) {
        return pages.stream().filter(one -> one.card == card).toList();
    }
}
