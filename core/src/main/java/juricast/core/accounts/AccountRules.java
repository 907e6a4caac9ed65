package juricast.core.accounts;

import java.time.Duration;
import java.time.Instant;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.core.rules.Rulebook;
import juricast.core.rules.YesNo;

/** What a school's rules say of its accounts at an instant. @param school the rules of the whole school, of no class */
public record AccountRules(Rulebook school, Instant now) {
    /** Whether a safeguarding lead must show a second factor when signing in. */
    public boolean leadsNeedFactor() {
        return school.value(Catalogue.LEADS_FACTOR, Rule.ANSWERS, now) == YesNo.YES;
    }

    /** Until when a note of who looked at what, made at {@code at}, is kept. */
    public Instant noteKeptUntil(Instant at) {
        return at.plus(Duration.ofDays(
                school.value(Catalogue.LOOKS_KEPT, Rule.ANSWERS, now).number()));
    }
}
