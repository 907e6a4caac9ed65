package juricast.core.inspection;

import java.time.Instant;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;

/** A change of the plan that mends a finding, and that the program can carry out. */
public sealed interface Mend {
    <R> R match(Cases<R> cases);

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
