package juricast.core.merits;

import java.time.Instant;
import java.util.Locale;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.core.rules.Rulebook;

/** Who sees which merits somebody got; each sees what those before see too. */
public enum SeenBy {
    ADULTS,
    PUPIL,
    CLASS;

    /** As the rules say it at this moment. */
    public static SeenBy of(Rulebook rules, Instant now) {
        return valueOf(
                rules.value(Catalogue.MERITS_SEEN, Rule.ANSWERS, now).text().toUpperCase(Locale.ROOT));
    }

    /** Whether who got it sees it too. */
    public boolean isSeenByPupil() {
        return this != ADULTS;
    }

    /** Whether everybody in the class sees it. */
    public boolean isSeenByClass() {
        return this == CLASS;
    }
}
