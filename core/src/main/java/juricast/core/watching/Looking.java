package juricast.core.watching;

import java.time.Instant;
import java.util.Optional;
import juricast.core.identity.Role;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;
import juricast.core.rules.PlannedRules;
import juricast.core.rules.Rule;
import juricast.core.rules.Ruling;

/**
 * Somebody who wants to watch a recording, or to take a copy (need I4).
 *
 * @param role what they were in the lesson; nothing if they did not belong to it
 * @param isLead whether they are the safeguarding lead, who may always
 * @param letWatch until when an adult let them watch, after they had asked
 * @param letDownload the same for a copy
 */
public record Looking(Optional<Role> role, boolean isLead, Optional<Instant> letWatch, Optional<Instant> letDownload) {
    /** What they are told. */
    public enum Answer {
        YES,
        /** They may ask an adult of the class. */
        ASK,
        NO
    }

    /** Whether they may watch it, by the rules as of now; the answer may change as long as the recording is kept. */
    public Answer watch(PlannedRules rules, Instant now) {
        return may(Catalogue.WATCH_RECORDING, letWatch, rules, now);
    }

    /** Whether they may take a copy. Who may not watch may not. */
    public Answer download(PlannedRules rules, Instant now) {
        Answer watch = watch(rules, now);
        Answer copy = may(Catalogue.DOWNLOAD_RECORDING, letDownload, rules, now);
        return watch.compareTo(copy) > 0 ? watch : copy;
    }

    private Answer may(Rule<Permission> right, Optional<Instant> granted, PlannedRules rules, Instant now) {
        if (isLead) {
            return Answer.YES;
        }
        if (role.isEmpty()) {
            return Answer.NO;
        }
        return switch (ruling(right, rules, now).value()) {
            case OPEN -> Answer.YES;
            case ON_REQUEST -> granted.filter(now::isBefore).isPresent() ? Answer.YES : Answer.ASK;
            case CLOSED -> Answer.NO;
        };
    }

    private Ruling<Permission> ruling(Rule<Permission> right, PlannedRules rules, Instant now) {
        return rules.ruling(right, role.orElseThrow(), now);
    }
}
