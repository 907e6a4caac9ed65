package juricast.core.groups;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;
import juricast.core.live.PlaceId;

/** What happened with groups. */
public sealed interface GroupsEvent extends LessonEvent {
    <R> R match(Cases<R> cases);

    /** Groups were drawn up, or changed before or while somebody is in them. */
    sealed interface Drawing extends GroupsEvent {
        <R> R drawing(Drawn<R> cases);

        @Override
        default <R> R match(Cases<R> cases) {
            return drawing(cases);
        }
    }

    /** Somebody is in another place by it. */
    sealed interface Moving extends GroupsEvent {
        /** Whether it is this person. */
        boolean moves(PersonId person);
    }

    /** One method for each kind of drawing up. */
    interface Drawn<R> {
        R drawnUp(DrawnUp event);

        R taskWritten(TaskWritten event);

        R moved(Moved event);

        R renamed(Renamed event);

        R locked(Locked event);

        R added(Added event);

        R emptied(Emptied event);
    }

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> extends Drawn<R> {
        R sentOut(SentOut event);

        R wentIn(WentIn event);

        R cameOut(CameOut event);

        R prolonged(Prolonged event);

        R calledBack(CalledBack event);

        R together(Together event);

        R lookedIn(LookedIn event);

        R lookedAway(LookedAway event);

        R helpCalled(HelpCalled event);

        R helpSettled(HelpSettled event);

        R wentQuiet(WentQuiet event);

        R seenAgain(SeenAgain event);
    }

    /** Groups were made, in place of those before. */
    record DrawnUp(List<Group> groups, String how, long seed, PersonId by, Instant at) implements Drawing {
        public DrawnUp {
            groups = List.copyOf(groups);
        }

        @Override
        public <R> R drawing(Drawn<R> cases) {
            return cases.drawnUp(this);
        }
    }

    /** What is to be done in groups was written down. */
    record TaskWritten(String text, PersonId by, Instant at) implements Drawing {
        @Override
        public <R> R drawing(Drawn<R> cases) {
            return cases.taskWritten(this);
        }
    }

    /** Somebody was put into another group, or into none. */
    record Moved(PersonId person, Optional<PlaceId> to, PersonId by, Instant at) implements Drawing {
        @Override
        public <R> R drawing(Drawn<R> cases) {
            return cases.moved(this);
        }
    }

    /** A group got another name. */
    record Renamed(PlaceId group, String name, PersonId by, Instant at) implements Drawing {
        @Override
        public <R> R drawing(Drawn<R> cases) {
            return cases.renamed(this);
        }
    }

    /** A group is to stay as it is, or no longer. */
    record Locked(PlaceId group, boolean on, PersonId by, Instant at) implements Drawing {
        @Override
        public <R> R drawing(Drawn<R> cases) {
            return cases.locked(this);
        }
    }

    /** A group was added. */
    record Added(PlaceId group, String name, PersonId by, Instant at) implements Drawing {
        @Override
        public <R> R drawing(Drawn<R> cases) {
            return cases.added(this);
        }
    }

    /** Nobody is meant to be in a group any more. */
    record Emptied(PlaceId group, PersonId by, Instant at) implements Drawing {
        @Override
        public <R> R drawing(Drawn<R> cases) {
            return cases.emptied(this);
        }
    }

    /** The class went apart. @param went who went at once @param invited who was asked to go */
    record SentOut(Instant until, List<PersonId> went, List<PersonId> invited, PersonId by, Instant at)
            implements Moving {
        public SentOut {
            went = List.copyOf(went);
            invited = List.copyOf(invited);
        }

        @Override
        public boolean moves(PersonId person) {
            return went.contains(person);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.sentOut(this);
        }
    }

    /** Somebody, pupil or adult, is in a group now. */
    record WentIn(PersonId person, PlaceId group, PersonId by, Instant at) implements Moving {
        @Override
        public boolean moves(PersonId one) {
            return one.equals(person);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.wentIn(this);
        }
    }

    /** Somebody, pupil or adult, is with the class together again. */
    record CameOut(PersonId person, PersonId by, Instant at) implements Moving {
        @Override
        public boolean moves(PersonId one) {
            return one.equals(person);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.cameOut(this);
        }
    }

    /** The time in groups ends then, and nobody is called back any more. */
    record Prolonged(Instant until, PersonId by, Instant at) implements GroupsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.prolonged(this);
        }
    }

    /** Everybody was called back, and has until then to come by themselves. */
    record CalledBack(Instant backAt, PersonId by, Instant at) implements GroupsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.calledBack(this);
        }
    }

    /** The class is together again. */
    record Together(PersonId by, Instant at) implements Moving {
        @Override
        public boolean moves(PersonId person) {
            return true;
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.together(this);
        }
    }

    /** An adult looks into a group. */
    record LookedIn(PersonId by, PlaceId group, Instant at) implements GroupsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.lookedIn(this);
        }
    }

    /** An adult looks into no group any more. */
    record LookedAway(PersonId by, Instant at) implements GroupsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.lookedAway(this);
        }
    }

    /** A group calls for an adult. */
    record HelpCalled(PlaceId group, PersonId person, Instant at) implements GroupsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.helpCalled(this);
        }
    }

    /** An adult saw to it. */
    record HelpSettled(PlaceId group, PersonId by, Instant at) implements GroupsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.helpSettled(this);
        }
    }

    /** A group went quiet by itself: it was without an adult for longer than the rule allows. */
    record WentQuiet(PlaceId group, Instant aloneSince, Instant at) implements GroupsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.wentQuiet(this);
        }
    }

    /** An adult's eye is on a group again that had gone quiet. */
    record SeenAgain(PlaceId group, Instant at) implements GroupsEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.seenAgain(this);
        }
    }
}
