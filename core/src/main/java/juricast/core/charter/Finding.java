package juricast.core.charter;

import java.util.List;
import juricast.core.identity.Role;
import juricast.core.rules.Rule;
import juricast.core.rules.Setting;

/**
 * Something that is wrong in the rules themselves, whoever is asked.
 *
 * @param causes the settings that make it so; the one it is about stands first
 */
public record Finding(Kind kind, Rule<?> rule, Role role, List<Written> causes) {
    public Finding {
        causes = List.copyOf(causes);
    }

    /** From the gravest to the mildest. */
    public enum Kind {
        /** Two binding settings want what cannot both be; the wider one holds, and the other's author does not know. */
        CONTRADICTORY_BINDINGS,
        /** On request promises that an adult can give a pass; a binding setting forbids every pass. */
        PASS_NEVER_GIVEN,
        /** Its condition cannot come about where it counts. */
        IMPOSSIBLE_CONDITION,
        /** Wherever it could count, something else takes its place. */
        NEVER_COUNTS
    }

    /** A setting and where it is written. */
    public record Written(Place place, Setting setting) {}
}
