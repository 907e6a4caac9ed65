package juricast.server.rules;

import java.time.Instant;
import java.util.List;
import juricast.core.rules.Fact;
import juricast.core.rules.Rulebook;
import juricast.core.rules.Situation;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Reads the situation somebody asks about. */
@Component
class Situations {
    /**
     * A situation as it is asked for.
     *
     * @param facts what is so; nothing for the ordinary
     * @param present how many are present; nothing for the whole class
     * @param at the instant, in milliseconds since 1970; nothing for now
     */
    record Asked(@Nullable List<String> facts, @Nullable Integer present, @Nullable Long at) {}

    Rulebook in(Rulebook book, Asked asked) {
        Situation situation = book.situation();
        if (asked.facts != null) {
            for (Fact fact : Fact.values()) {
                situation = situation.with(fact, asked.facts.contains(fact.text()));
            }
        }
        return book.in(asked.present == null ? situation : situation.withPresent(Math.max(0, asked.present)));
    }

    Instant at(Asked asked, Instant now) {
        return asked.at == null ? now : Instant.ofEpochMilli(asked.at);
    }
}
