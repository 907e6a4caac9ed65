package juricast.server.words;

import java.util.function.Function;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.Visit;

/**
 * What sentences about a lesson need to know of people.
 *
 * @param before the lesson as it was, which knows whose visits are meant
 * @param others names of people who are not of this lesson
 */
public record Story(LessonPlan plan, LessonState before, Function<PersonId, String> others) {
    public String name(PersonId person) {
        return plan.member(person).map(one -> one.name()).orElseGet(() -> others.apply(person));
    }

    public String who(VisitId visit) {
        return before.there().visit(visit).map(this::who).orElse("Somebody");
    }

    private String who(Visit visit) {
        return visit.person().map(this::name).orElse("“" + visit.arrival().claimedName() + "”");
    }

    /** Who ordered it, in brackets; nothing where it followed by itself. */
    public String by(PersonId by) {
        return by.equals(PersonId.CLOCK) || by.equals(PersonId.RULES) ? "" : " (" + name(by) + ")";
    }
}
