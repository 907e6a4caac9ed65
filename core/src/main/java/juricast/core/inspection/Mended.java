package juricast.core.inspection;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.time.Span;

/** A plan as it would be after some mends, so that what they bring is seen before they are carried out. */
final class Mended implements Mend.Cases<Optional<Mended.Change>> {
    /** What becomes of one lesson; nothing if it is left out. */
    record Change(LessonId lesson, Function<InspectedLesson, Optional<InspectedLesson>> how) {}

    private Mended() {}

    static PlannedSchool plan(PlannedSchool school, List<Mend> mends) {
        var changes = new HashMap<LessonId, Function<InspectedLesson, Optional<InspectedLesson>>>();
        var each = new Mended();
        mends.stream()
                .flatMap(mend -> mend.match(each).stream())
                .forEach(change -> changes.merge(
                        change.lesson,
                        change.how,
                        (first, second) -> lesson -> first.apply(lesson).flatMap(second)));
        return school.changing(changes);
    }

    /** Of several that shorten the same lesson, the earliest end counts. */
    @Override
    public Optional<Change> endEarlier(Mend.EndEarlier mend) {
        return change(
                mend.lesson(),
                lesson -> lesson.at(
                        new Span(lesson.time().from(), earlier(lesson.time().until(), mend.until()))));
    }

    @Override
    public Optional<Change> leaveOut(Mend.LeaveOut mend) {
        return Optional.of(new Change(mend.lesson(), lesson -> Optional.empty()));
    }

    @Override
    public Optional<Change> cover(Mend.Cover mend) {
        return change(mend.lesson(), lesson -> covered(lesson, mend.insteadOf(), mend.by()));
    }

    @Override
    public Optional<Change> addAdult(Mend.AddAdult mend) {
        return change(mend.lesson(), lesson -> lesson.coveredBy(with(lesson, mend.adult(), Optional.empty())));
    }

    @Override
    public Optional<Change> coverLonger(Mend.CoverLonger mend) {
        return change(
                mend.lesson(),
                lesson -> lesson.coveredBy(lesson.covers().stream()
                        .map(one -> new InspectedLesson.Cover(
                                one.adult(), one.insteadOf(), later(one.until(), mend.until())))
                        .toList()));
    }

    /** Which word it will be is the chance of the moment; that it is strong and far from all others is certain. */
    @Override
    public Optional<Change> newWord(Mend.NewWord mend) {
        return Optional.empty();
    }

    private static Optional<Change> change(LessonId lesson, Function<InspectedLesson, InspectedLesson> how) {
        return Optional.of(new Change(lesson, how.andThen(Optional::of)));
    }

    /** Who covers can be covered too: whoever was to be replaced first stays replaced. */
    private static InspectedLesson covered(InspectedLesson lesson, PersonId insteadOf, PersonId by) {
        boolean isCover = lesson.covers().stream().anyMatch(one -> one.adult().equals(insteadOf));
        return lesson.coveredBy(
                isCover
                        ? lesson.covers().stream()
                                .map(one -> one.adult().equals(insteadOf) ? cover(lesson, by, one.insteadOf()) : one)
                                .toList()
                        : with(lesson, by, Optional.of(insteadOf)));
    }

    private static List<InspectedLesson.Cover> with(
            InspectedLesson lesson, PersonId adult, Optional<PersonId> insteadOf) {
        return Stream.concat(lesson.covers().stream(), Stream.of(cover(lesson, adult, insteadOf)))
                .toList();
    }

    private static InspectedLesson.Cover cover(InspectedLesson lesson, PersonId adult, Optional<PersonId> insteadOf) {
        return new InspectedLesson.Cover(adult, insteadOf, lesson.time().until());
    }

    private static Instant earlier(Instant a, Instant b) {
        return a.isBefore(b) ? a : b;
    }

    private static Instant later(Instant a, Instant b) {
        return a.isAfter(b) ? a : b;
    }
}
