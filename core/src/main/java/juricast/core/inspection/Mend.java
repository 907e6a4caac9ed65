package juricast.core.inspection;

import java.time.Instant;
import java.util.Optional;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;

/** A change of the plan that mends a finding, and that the program can carry out. */
public sealed interface Mend {
    <R> R match(Cases<R> cases);

    /** The lesson it changes; nothing if it changes a class. */
    default Optional<LessonId> changes() {
        return match(new Cases<>() {
            @Override
            public Optional<LessonId> endEarlier(EndEarlier mend) {
                return Optional.of(mend.lesson);
            }

            @Override
            public Optional<LessonId> leaveOut(LeaveOut mend) {
                return Optional.of(mend.lesson);
            }

            @Override
            public Optional<LessonId> cover(Cover mend) {
                return Optional.of(mend.lesson);
            }

            @Override
            public Optional<LessonId> addAdult(AddAdult mend) {
                return Optional.of(mend.lesson);
            }

            @Override
            public Optional<LessonId> coverLonger(CoverLonger mend) {
                return Optional.of(mend.lesson);
            }

            @Override
            public Optional<LessonId> newWord(NewWord mend) {
                return Optional.empty();
            }
        });
    }

    /** One method for each mend. */
    interface Cases<R> {
        R endEarlier(EndEarlier mend);

        R leaveOut(LeaveOut mend);

        R cover(Cover mend);

        R addAdult(AddAdult mend);

        R coverLonger(CoverLonger mend);

        R newWord(NewWord mend);
    }

    /** The lesson ends at another time, so that there are minutes before the next one. */
    record EndEarlier(LessonId lesson, Instant until) implements Mend {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.endEarlier(this);
        }
    }

    /** The lesson is cancelled; its series is as it was. */
    record LeaveOut(LessonId lesson) implements Mend {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.leaveOut(this);
        }
    }

    /** Somebody who is free stands in for an adult in this lesson. */
    record Cover(LessonId lesson, PersonId insteadOf, PersonId by) implements Mend {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.cover(this);
        }
    }

    /** Somebody who is free comes besides the adults there are. */
    record AddAdult(LessonId lesson, PersonId adult) implements Mend {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.addAdult(this);
        }
    }

    /** Who covers stays until the lesson ends. */
    record CoverLonger(LessonId lesson, Instant until) implements Mend {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.coverLonger(this);
        }
    }

    /** The class gets another join word. */
    record NewWord(ClassId ofClass) implements Mend {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.newWord(this);
        }
    }
}
