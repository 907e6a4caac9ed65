package juricast.core.casebook;

import java.util.LinkedHashSet;
import java.util.Set;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonState;
import juricast.core.live.Visit;

/** Who is in a lesson, in order of arrival. */
final class WhoIsIn {
    private WhoIsIn() {}

    static Set<PersonId> of(LessonState state) {
        var all = new LinkedHashSet<PersonId>();
        state.there().visits().stream().filter(Visit::isPresent).forEach(one -> one.person()
                .ifPresent(all::add));
        return all;
    }
}
