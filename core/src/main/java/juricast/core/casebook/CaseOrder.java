package juricast.core.casebook;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import juricast.core.casebook.CaseEvent.Where;
import juricast.core.identity.PersonId;
import juricast.core.ladder.Severity;

/** What somebody wants to do with an incident. Merging and splitting are about two and stand in {@link Joining}. */
public sealed interface CaseOrder {
    PersonId by();

    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R write(Write order);

        R takePart(TakePart order);

        R note(Note order);

        R classify(Classify order);

        R setFollowUp(SetFollowUp order);

        R moveFollowUp(MoveFollowUp order);

        R doFollowUp(DoFollowUp order);

        R decide(Decide order);

        R link(Link order);

        R talk(Talk order);

        R writeParents(WriteParents order);

        R close(Close order);

        R reopen(Reopen order);
    }

    /** Somebody writes an incident down. */
    record Write(
            String title,
            String act,
            Severity severity,
            Where where,
            List<PersonId> did,
            List<PersonId> suffered,
            boolean leadOnly,
            PersonId by)
            implements CaseOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.write(this);
        }
    }

    /** Somebody has a part in it, or has none after all. */
    record TakePart(PersonId person, Optional<CasePart> part, PersonId by) implements CaseOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.takePart(this);
        }
    }

    /** @param corrects the number of the event it corrects */
    record Note(String text, boolean leadOnly, Optional<Integer> corrects, PersonId by) implements CaseOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.note(this);
        }
    }

    /** What kind of act it is, and how grave. */
    record Classify(String act, Severity severity, PersonId by) implements CaseOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.classify(this);
        }
    }

    /** Somebody is to do something until a day. */
    record SetFollowUp(String what, PersonId who, LocalDate until, PersonId by) implements CaseOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.setFollowUp(this);
        }
    }

    /** A follow-up gets another day. */
    record MoveFollowUp(int followUp, LocalDate until, String why, PersonId by) implements CaseOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.moveFollowUp(this);
        }
    }

    /** A follow-up was done. */
    record DoFollowUp(int followUp, String words, PersonId by) implements CaseOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.doFollowUp(this);
        }
    }

    /** What is decided. */
    record Decide(String text, PersonId by) implements CaseOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.decide(this);
        }
    }

    /** It has to do with another one. */
    record Link(IncidentId other, String how, PersonId by) implements CaseOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.link(this);
        }
    }

    /** Somebody has talked with a pupil who is out of the series. */
    record Talk(PersonId pupil, String words, PersonId by) implements CaseOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.talk(this);
        }
    }

    /** A pupil's parents are written to. */
    record WriteParents(PersonId pupil, String text, PersonId by) implements CaseOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.writeParents(this);
        }
    }

    /** Nothing more is to be done. */
    record Close(String words, PersonId by) implements CaseOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.close(this);
        }
    }

    /** It is worked on again. */
    record Reopen(String why, PersonId by) implements CaseOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.reopen(this);
        }
    }
}
