package juricast.core.groups;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonOrder;
import juricast.core.live.PlaceId;

/** Drawing up groups, sending out and calling back, and what adults and pupils do while the class is apart. */
public sealed interface GroupsOrder extends LessonOrder {
    <R> R match(Cases<R> cases);

    /** What is drawn up before anybody goes. */
    sealed interface Drawing extends GroupsOrder {
        PersonId by();

        <R> R drawing(Drawn<R> cases);

        @Override
        default <R> R match(Cases<R> cases) {
            return cases.drawing(this);
        }
    }

    /** One method for each way to draw up. */
    interface Drawn<R> {
        R drawUp(DrawUp order);

        R writeTask(WriteTask order);

        R move(Move order);

        R rename(Rename order);

        R lock(Lock order);

        R add(Add order);

        R empty(Empty order);
    }

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R drawing(Drawing order);

        R sendOut(SendOut order);

        R stayLonger(StayLonger order);

        R callBack(CallBack order);

        R goIn(GoIn order);

        R comeOut(ComeOut order);

        R lookIn(LookIn order);

        R lookAway(LookAway order);

        R accept(Accept order);

        R comeBack(ComeBack order);

        R callForHelp(CallForHelp order);

        R settleHelp(SettleHelp order);
    }

    /** A group that is wanted. */
    record Wanted(String name, List<PersonId> people) {
        public Wanted {
            people = List.copyOf(people);
        }
    }

    /**
     * These are the groups from now on; locked ones stay.
     *
     * @param how in words: by chance, balanced, as last time
     * @param seed what chance went by
     */
    record DrawUp(List<Wanted> groups, String how, long seed, PersonId by) implements Drawing {
        public DrawUp {
            groups = List.copyOf(groups);
        }

        @Override
        public <R> R drawing(Drawn<R> cases) {
            return cases.drawUp(this);
        }
    }

    /** What everybody is to do in the groups. */
    record WriteTask(String text, PersonId by) implements Drawing {
        @Override
        public <R> R drawing(Drawn<R> cases) {
            return cases.writeTask(this);
        }
    }

    /** Somebody is to be in another group, or in none; while the class is apart they go at once. */
    record Move(PersonId person, Optional<PlaceId> to, PersonId by) implements Drawing {
        @Override
        public <R> R drawing(Drawn<R> cases) {
            return cases.move(this);
        }
    }

    /** A group gets another name. */
    record Rename(PlaceId group, String name, PersonId by) implements Drawing {
        @Override
        public <R> R drawing(Drawn<R> cases) {
            return cases.rename(this);
        }
    }

    /** A group stays as it is when groups are made anew, or no longer. */
    record Lock(PlaceId group, boolean on, PersonId by) implements Drawing {
        @Override
        public <R> R drawing(Drawn<R> cases) {
            return cases.lock(this);
        }
    }

    /** One more group, of nobody yet. */
    record Add(String name, PersonId by) implements Drawing {
        @Override
        public <R> R drawing(Drawn<R> cases) {
            return cases.add(this);
        }
    }

    /** Nobody is meant to be in it any more; not while the class is apart. */
    record Empty(PlaceId group, PersonId by) implements Drawing {
        @Override
        public <R> R drawing(Drawn<R> cases) {
            return cases.empty(this);
        }
    }

    /** Everybody goes to their group. @param length nothing: as long as the rule lets @param invite they go when they accept */
    record SendOut(Optional<Duration> length, boolean invite, PersonId by) implements GroupsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.sendOut(this);
        }
    }

    /** The time in groups is longer; who was called back stays after all. @param by how long; zero only stays after all */
    record StayLonger(Duration length, PersonId by) implements GroupsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.stayLonger(this);
        }
    }

    /** Everybody comes together again. @param after how long they have to come by themselves; zero is at once */
    record CallBack(Duration after, PersonId by) implements GroupsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.callBack(this);
        }
    }

    /** An adult goes into a group, or on to the next (need H3). */
    record GoIn(PlaceId group, PersonId by) implements GroupsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.goIn(this);
        }
    }

    /** An adult goes back to the class together. */
    record ComeOut(PersonId by) implements GroupsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.comeOut(this);
        }
    }

    /** An adult looks into a group without being in it (need H3). */
    record LookIn(PlaceId group, PersonId by) implements GroupsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.lookIn(this);
        }
    }

    /** An adult looks into no group any more. */
    record LookAway(PersonId by) implements GroupsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.lookAway(this);
        }
    }

    /** Somebody who was invited goes; so does who came back and wants in again, as the rule about coming late says. */
    record Accept(VisitId visit) implements GroupsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.accept(this);
        }
    }

    /** Somebody comes back from a group by themselves. */
    record ComeBack(VisitId visit) implements GroupsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.comeBack(this);
        }
    }

    /** A group needs an adult now. */
    record CallForHelp(VisitId visit) implements GroupsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.callForHelp(this);
        }
    }

    /** An adult has seen to it without going in. */
    record SettleHelp(PlaceId group, PersonId by) implements GroupsOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.settleHelp(this);
        }
    }
}
