package juricast.server.rules;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import juricast.core.rules.Fact;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Situation;
import juricast.core.time.Span;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Reads the situation somebody asks about. */
@Component
class Situations {
    /** The last minute of a lesson that is not a particular one; it stands for those of a class. */
    private static final int LESSON = 59;

    /**
     * A situation as it is asked for.
     *
     * @param facts what is so; nothing for the ordinary
     * @param present how many are present; nothing for the whole class
     * @param at the instant, in milliseconds since 1970; nothing for now
     * @param minute minutes since a lesson of a class began, for rules of its first and last ones; nothing for any
     */
    record Asked(
            @Nullable List<String> facts, @Nullable Integer present, @Nullable Long at, @Nullable Integer minute) {}

    /** The book in that situation. @param now the instant it is asked about */
    Rulebook in(Rulebook book, Asked asked, Instant now) {
        Situation situation = book.situation();
        if (asked.facts != null) {
            for (Fact fact : Fact.values()) {
                situation = situation.with(fact, asked.facts.contains(fact.text()));
            }
        }
        if (asked.minute != null && asked.minute >= 0) {
            Instant began = now.minus(Math.min(asked.minute, LESSON), ChronoUnit.MINUTES);
            situation = situation.at(new Span(began, began.plus(LESSON + 1L, ChronoUnit.MINUTES)));
        }
        return book.in(asked.present == null ? situation : situation.withPresent(Math.max(0, asked.present)));
    }

    Instant at(Asked asked, Instant now) {
        return asked.at == null ? now : Instant.ofEpochMilli(asked.at);
    }
}
