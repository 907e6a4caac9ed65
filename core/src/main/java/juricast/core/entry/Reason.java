package juricast.core.entry;

import java.util.List;
import juricast.core.identity.PersonId;

/** One reason of a verdict, and the people of the class it is about. */
public record Reason(ReasonCode code, List<PersonId> about) {
    public Reason {
        about = List.copyOf(about);
    }

    static Reason of(ReasonCode code, PersonId... about) {
        return new Reason(code, List.of(about));
    }
}
