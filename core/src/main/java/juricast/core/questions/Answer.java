package juricast.core.questions;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * What somebody answered.
 *
 * @param picked places of choices, from 0; for an order all of them, first to last
 */
public record Answer(List<Integer> picked, Optional<BigDecimal> number, Optional<String> text) {
    public Answer {
        picked = List.copyOf(picked);
        text = text.map(String::strip);
    }

    public static Answer choosing(Integer... these) {
        return new Answer(List.of(these), Optional.empty(), Optional.empty());
    }

    public static Answer number(String value) {
        return new Answer(List.of(), Optional.of(new BigDecimal(value)), Optional.empty());
    }

    public static Answer text(String words) {
        return new Answer(List.of(), Optional.empty(), Optional.of(words));
    }

    boolean isOnlyPicked() {
        return number.isEmpty() && text.isEmpty();
    }
}
