package juricast.core.lesson;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import juricast.core.entry.Arrival;
import juricast.core.entry.Verdict;
import juricast.core.identity.DeviceId;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;

/** What has happened in a lesson. Stored for ever and never edited: a new shape is a new event. */
public sealed interface LessonEvent {
    <R> R match(Cases<R> cases);

    /** When it happened. */
    Instant at();

    /** Whether an arrival that waits may have to be judged again after it. */
    default boolean changesTheDoorway() {
        return false;
    }

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R opened(Opened event);

        R adultJoined(AdultJoined event);

        R knocked(Knocked event);

        R judged(Judged event);

        R admitted(Admitted event);

        R turnedAway(TurnedAway event);

        R left(Left event);

        R takenOff(TakenOff event);

        R guestLetIn(GuestLetIn event);

        R connectionLost(ConnectionLost event);

        R cameBack(CameBack event);

        R turnedOn(TurnedOn event);

        R turnedOff(TurnedOff event);

        R handRaised(HandRaised event);

        R handLowered(HandLowered event);

        R said(Said event);

        R liveSet(LiveSet event);

        R passGiven(PassGiven event);

        R curbGiven(CurbGiven event);

        R loanEnded(LoanEnded event);

        R renamed(Renamed event);

        R removed(Removed event);

        R allowedBack(AllowedBack event);

        R dismissed(Dismissed event);

        R keptBack(KeptBack event);

        R seenOut(SeenOut event);

        R closed(Closed event);

        R stanceSwitched(StanceSwitched event);

        R stopped(Stopped event);

        R stopExplained(StopExplained event);

        R resumed(Resumed event);

        R wentQuiet(WentQuiet event);

        R supervised(Supervised event);

        R chargeTaken(ChargeTaken event);

        R signShown(SignShown event);

        R signsCleared(SignsCleared event);

        R handedOut(HandedOut event);

        R takenBack(TakenBack event);

        R focused(Focused event);

        R lightened(Lightened event);

        R captioned(Captioned event);

        R held(Held event);

        R released(Released event);

        R drawn(Drawn event);

        R wiped(Wiped event);

        R sweepNoticed(SweepNoticed event);
    }

    /** An adult took charge. */
    record Opened(PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.opened(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** An adult came in on a device. */
    record AdultJoined(VisitId visit, DeviceId device, PersonId person, Role role, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.adultJoined(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** Somebody knocked and was judged; {@code person} is who on the list is meant, if that is clear enough. */
    record Knocked(Arrival arrival, Optional<PersonId> person, Role role, Verdict verdict, Instant at)
            implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.knocked(this);
        }
    }

    /** A waiting arrival was judged again, because something had changed. */
    record Judged(VisitId visit, Verdict verdict, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.judged(this);
        }
    }

    /** An arrival came in as {@code person}. */
    record Admitted(VisitId visit, PersonId person, Role role, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.admitted(this);
        }

        /** Who is in may be somebody who waits on another device too, and there is one place less. */
        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** An adult turned an arrival away. */
    record TurnedAway(VisitId visit, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.turnedAway(this);
        }
    }

    /** A visit ended by itself. */
    record Left(VisitId visit, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.left(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** Somebody who was in charge here, or visited, is neither any more, and is out at once. */
    record TakenOff(VisitId visit, PersonId person, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.takenOff(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** An adult vouched for somebody on no list, for this lesson; the safeguarding lead is told the note. */
    record GuestLetIn(VisitId visit, PersonId person, String name, String note, PersonId by, Instant at)
            implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.guestLetIn(this);
        }
    }

    /** A device fell silent; its visit may go on. */
    record ConnectionLost(VisitId visit, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.connectionLost(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** A lost device was heard again. */
    record CameBack(VisitId visit, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.cameBack(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** A person switched something on. */
    record TurnedOn(PersonId person, Appliance what, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.turnedOn(this);
        }
    }

    /** Something was switched off, by its owner, an adult or the rules. */
    record TurnedOff(PersonId person, Appliance what, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.turnedOff(this);
        }
    }

    /** A hand went up. */
    record HandRaised(PersonId person, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.handRaised(this);
        }
    }

    /** A hand went down. */
    record HandLowered(PersonId person, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.handLowered(this);
        }
    }

    /** Something was written, or a file was sent under its name. */
    record Said(PersonId from, Readers to, String text, Optional<SentFile> file, Instant at) implements LessonEvent {
        public Said(PersonId from, Readers to, String text, Instant at) {
            this(from, to, text, Optional.empty(), at);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.said(this);
        }
    }

    /** A rule was changed for all pupils of the lesson. */
    record LiveSet(RuleValue set, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.liveSet(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** A right was lent. */
    record PassGiven(PersonId person, Rule<Permission> right, Instant until, PersonId by, Instant at)
            implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.passGiven(this);
        }
    }

    /** A right was closed to one person. */
    record CurbGiven(PersonId person, Rule<Permission> right, Instant until, PersonId by, Instant at)
            implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.curbGiven(this);
        }
    }

    /** A pass or curb ended. */
    record LoanEnded(PersonId person, Rule<Permission> right, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.loanEnded(this);
        }
    }

    /** A person is shown under another name. */
    record Renamed(PersonId person, String name, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.renamed(this);
        }
    }

    /** A person was removed with all their devices. */
    record Removed(PersonId person, String why, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.removed(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** A removed person may come again. */
    record AllowedBack(PersonId person, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.allowedBack(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** The lesson ended for everyone. */
    record Dismissed(PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.dismissed(this);
        }
    }

    /** The lesson ended for everyone but one pupil and the adults (need K3). @param gone the visits it ended for */
    record KeptBack(PersonId person, List<VisitId> gone, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.keptBack(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** Somebody for whom the lesson is over has really gone. */
    record SeenOut(VisitId visit, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.seenOut(this);
        }
    }

    /** One closing step after the dismissal (need K2). @param count how many of what it is about there were */
    record Closed(ClosingStep step, int count, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.closed(this);
        }
    }

    /** The stance changed. */
    record StanceSwitched(Stance to, boolean keptLive, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.stanceSwitched(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** Everything was stopped. */
    record Stopped(String why, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.stopped(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** An adult wrote down why everything was stopped. */
    record StopExplained(String why, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.stopExplained(this);
        }
    }

    /** What was before the stop is back. */
    record Resumed(PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.resumed(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** The room went quiet by itself: pupils were without an adult for longer than the rule allows (need E5). */
    record WentQuiet(Instant aloneSince, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.wentQuiet(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** An adult is back in a room that had gone quiet. */
    record Supervised(PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.supervised(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** An observer took charge of a room without an adult. */
    record ChargeTaken(PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.chargeTaken(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }

    /** A signal was shown, or taken back. */
    record SignShown(PersonId person, Optional<Sign> sign, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.signShown(this);
        }
    }

    /** All signals were cleared. */
    record SignsCleared(PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.signsCleared(this);
        }
    }

    /** Material was hung up. */
    record HandedOut(PersonId by, String title, String body, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.handedOut(this);
        }
    }

    /** Material was taken back. */
    record TakenBack(int number, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.takenBack(this);
        }
    }

    /** One person stands before everybody, or nobody any more. */
    record Focused(Optional<PersonId> on, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.focused(this);
        }
    }

    /** The lesson became light, or is no longer. */
    record Lightened(boolean on, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.lightened(this);
        }
    }

    /** Something that was said, in writing. */
    record Captioned(PersonId by, String text, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.captioned(this);
        }
    }

    /** A message waits for an adult before anyone else reads it. */
    record Held(PersonId from, Readers to, String text, Optional<SentFile> file, Hold why, Instant at)
            implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.held(this);
        }
    }

    /** An adult decided about a held message. */
    record Released(int number, boolean letThrough, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.released(this);
        }
    }

    /** A line was drawn on the board. */
    record Drawn(PersonId person, List<Integer> line, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.drawn(this);
        }
    }

    /** The marks of one author were wiped, or all. */
    record Wiped(Optional<PersonId> of, PersonId by, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.wiped(this);
        }
    }

    /** A device went from door to door of the school; it waits at every one from now on (need E7). */
    record SweepNoticed(DeviceId device, String name, int doors, Instant at) implements LessonEvent {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.sweepNoticed(this);
        }

        @Override
        public boolean changesTheDoorway() {
            return true;
        }
    }
}
