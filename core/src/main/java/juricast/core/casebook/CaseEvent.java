package juricast.core.casebook;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.ClassId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.ladder.Measure;
import juricast.core.ladder.Severity;

/** What has happened with an incident. Never edited: a correction stands beside. */
public sealed interface CaseEvent {
    PersonId by();

    Instant at();

    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R opened(Opened event);

        R partTaken(PartTaken event);

        R evidenceAdded(EvidenceAdded event);

        R stepAdded(StepAdded event);

        R stepWithdrawn(StepWithdrawn event);

        R noted(Noted event);

        R classified(Classified event);

        R followUpSet(FollowUpSet event);

        R followUpMoved(FollowUpMoved event);

        R followUpDone(FollowUpDone event);

        R decided(Decided event);

        R linked(Linked event);

        R mergedInto(MergedInto event);

        R absorbed(Absorbed event);

        R splitOff(SplitOff event);

        R talked(Talked event);

        R parentsWritten(ParentsWritten event);

        R packMade(PackMade event);

        R closed(Closed event);

        R reopened(Reopened event);
    }

    /** From where an incident comes. */
    enum Origin {
        /** A step of the ladder. */
        STEP,
        /** Everything was stopped. */
        STOP,
        /** Somebody went from door to door. */
        SWEEP,
        /** A pupil said that something is wrong. */
        WORRY,
        /** A moment that was marked to be looked at later. */
        MOMENT,
        /** Somebody wrote it down afterwards. */
        WRITTEN,
        /** Another one turned out to be two. */
        SPLIT
    }

    /** The kind of act: its id in the school's list, and what it was called then. */
    record Act(String id, String name) {}

    /** @param lesson if it was in one @param moment when it began */
    record Where(Optional<LessonId> lesson, Optional<ClassId> ofClass, Instant moment) {}

    /**
     * From whom it is kept.
     *
     * @param leadOnly whether only safeguarding leads read it
     * @param from people who read nothing of it, without being said to have done anything
     */
    record Kept(boolean leadOnly, List<PersonId> from) {
        public static final Kept FROM_NOBODY = new Kept(false, List.of());

        public Kept {
            from = List.copyOf(from);
        }
    }

    /** Whom a step was taken against. @param proposed which step was proposed, from 1 */
    record Met(PersonId person, int proposed) {}

    /** @param level where it stood, from 1 */
    record StepTold(String id, String name, Measure measure, int level) {}

    /** An incident was opened. @param title what it is in a few words */
    record Opened(
            Origin origin, String title, Act act, Severity severity, Where where, Kept kept, PersonId by, Instant at)
            implements CaseEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.opened(this);
        }
    }

    /** Somebody has a part in it, or has none after all. */
    record PartTaken(PersonId person, Optional<CasePart> part, PersonId by, Instant at) implements CaseEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.partTaken(this);
        }
    }

    /**
     * Events of a lesson that belong to it.
     *
     * @param first the number of the first
     * @param last the number of the last, inclusive
     */
    record EvidenceAdded(LessonId lesson, int first, int last, PersonId by, Instant at) implements CaseEvent {
        /** @throws IllegalArgumentException if it has no events */
        public EvidenceAdded {
            if (first < 1 || last < first) {
                throw new IllegalArgumentException("No events stand from %d to %d".formatted(first, last));
            }
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.evidenceAdded(this);
        }
    }

    /**
     * A step of the ladder was taken in a lesson.
     *
     * @param number of its event there
     * @param met whom it was taken against
     */
    record StepAdded(
            LessonId lesson, int number, List<Met> met, Act act, StepTold step, String why, PersonId by, Instant at)
            implements CaseEvent {
        public StepAdded {
            met = List.copyOf(met);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.stepAdded(this);
        }
    }

    /** A step was taken in error. @param number of its event in the lesson */
    record StepWithdrawn(LessonId lesson, int number, String why, PersonId by, Instant at) implements CaseEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.stepWithdrawn(this);
        }
    }

    /** Somebody wrote something to it. @param corrects the number of the event it stands beside as a correction */
    record Noted(String text, boolean leadOnly, Optional<Integer> corrects, PersonId by, Instant at)
            implements CaseEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.noted(this);
        }
    }

    /** What kind of act it is, and how grave. */
    record Classified(Act act, Severity severity, PersonId by, Instant at) implements CaseEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.classified(this);
        }
    }

    /** Somebody is to do something until a day. */
    record FollowUpSet(String what, PersonId who, LocalDate until, PersonId by, Instant at) implements CaseEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.followUpSet(this);
        }
    }

    /** A follow-up is due on another day. @param followUp the number of the event that set it */
    record FollowUpMoved(int followUp, LocalDate until, String why, PersonId by, Instant at) implements CaseEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.followUpMoved(this);
        }
    }

    /** A follow-up was done. @param followUp the number of the event that set it */
    record FollowUpDone(int followUp, String words, PersonId by, Instant at) implements CaseEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.followUpDone(this);
        }
    }

    /** What was decided. */
    record Decided(String text, PersonId by, Instant at) implements CaseEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.decided(this);
        }
    }

    /** It has to do with another one. */
    record Linked(IncidentId other, String how, PersonId by, Instant at) implements CaseEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.linked(this);
        }
    }

    /** It turned out to be the same as another one, which goes on in its place. */
    record MergedInto(IncidentId other, PersonId by, Instant at) implements CaseEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.mergedInto(this);
        }
    }

    /** Another one turned out to be the same as this one. */
    record Absorbed(IncidentId other, PersonId by, Instant at) implements CaseEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.absorbed(this);
        }
    }

    /** It turned out to be two; some people are in the other one now. */
    record SplitOff(IncidentId into, List<PersonId> people, PersonId by, Instant at) implements CaseEvent {
        public SplitOff {
            people = List.copyOf(people);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.splitOff(this);
        }
    }

    /** Somebody talked with a pupil, who is let into lessons of the series again. */
    record Talked(PersonId pupil, String words, PersonId by, Instant at) implements CaseEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.talked(this);
        }
    }

    /** A pupil's parents were written to. */
    record ParentsWritten(PersonId pupil, String text, PersonId by, Instant at) implements CaseEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.parentsWritten(this);
        }
    }

    /** It left the school as an evidence pack. @param covered whether names of others were covered in it */
    record PackMade(String sha256, boolean covered, PersonId by, Instant at) implements CaseEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.packMade(this);
        }
    }

    /** Nothing more is to be done. */
    record Closed(String words, PersonId by, Instant at) implements CaseEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.closed(this);
        }
    }

    /** It is worked on again. */
    record Reopened(String why, PersonId by, Instant at) implements CaseEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.reopened(this);
        }
    }
}
