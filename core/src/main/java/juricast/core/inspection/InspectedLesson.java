package juricast.core.inspection;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import juricast.core.charter.PlannedLesson;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.rules.Fact;
import juricast.core.time.Span;

/**
 * A planned lesson as it is inspected.
 *
 * @param covers adults who take over in this lesson only
 * @param expected what is planned to be so in it; with visitors, that one is present
 */
public record InspectedLesson(LessonId id, ClassId ofClass, Span time, List<Cover> covers, Set<Fact> expected) {
    /**
     * Somebody who is in charge of this lesson only.
     *
     * @param insteadOf the adult of the class they stand in for; nobody if they come besides
     * @param until when they go; at the end of the lesson, unless it was made longer since
     */
    public record Cover(PersonId adult, Optional<PersonId> insteadOf, Instant until) {}

    public InspectedLesson {
        covers = List.copyOf(covers);
        expected = Set.copyOf(expected);
    }

    /** Who is in charge: the adults of the class, and in place of those who are covered the ones who cover. */
    public List<PersonId> adults(InspectedClass of) {
        return covers.isEmpty()
                ? of.adults()
                : Stream.concat(
                                of.adults().stream().filter(one -> covers.stream()
                                        .noneMatch(cover -> cover.insteadOf().equals(Optional.of(one)))),
                                covers.stream().map(Cover::adult))
                        .distinct()
                        .toList();
    }

    /** The same at another time; those who cover stay as long as they said. */
    public InspectedLesson at(Span other) {
        return new InspectedLesson(id, ofClass, other, covers, expected);
    }

    public InspectedLesson coveredBy(List<Cover> others) {
        return new InspectedLesson(id, ofClass, time, others, expected);
    }

    PlannedLesson forRules() {
        return new PlannedLesson(id, ofClass, time, expected);
    }
}
