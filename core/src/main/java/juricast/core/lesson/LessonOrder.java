package juricast.core.lesson;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import juricast.core.entry.Arrival;
import juricast.core.entry.Sweep;
import juricast.core.identity.DeviceId;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.rules.Permission;
import juricast.core.rules.Rule;
import juricast.core.rules.RuleValue;

/** What somebody, or the clock, wants of a live lesson. */
public sealed interface LessonOrder {
    <R> R match(Cases<R> cases);

    /** One method for each: a new kind stops the build at every reader that does not know it yet. */
    interface Cases<R> {
        R open(Open order);

        R join(Join order);

        R knock(Knock order);

        R admit(Admit order);

        R admitGuest(AdmitGuest order);

        R admitAllListed(AdmitAllListed order);

        R turnAway(TurnAway order);

        R leave(Leave order);

        R loseConnection(LoseConnection order);

        R comeBack(ComeBack order);

        R turnOn(TurnOn order);

        R turnOff(TurnOff order);

        R muteAll(MuteAll order);

        R undoMuteAll(UndoMuteAll order);

        R raiseHand(RaiseHand order);

        R lowerHand(LowerHand order);

        R say(Say order);

        R sendFile(SendFile order);

        R setLive(SetLive order);

        R givePass(GivePass order);

        R giveCurb(GiveCurb order);

        R endLoan(EndLoan order);

        R rename(Rename order);

        R remove(Remove order);

        R allowBack(AllowBack order);

        R dismiss(Dismiss order);

        R keepBack(KeepBack order);

        R tick(Tick order);

        R switchStance(SwitchStance order);

        R stopEverything(StopEverything order);

        R resume(Resume order);

        R takeCharge(TakeCharge order);

        R showSign(ShowSign order);

        R clearSigns(ClearSigns order);

        R handOut(HandOut order);

        R takeBack(TakeBack order);

        R focus(Focus order);

        R lighten(Lighten order);

        R caption(Caption order);

        R release(Release order);

        R draw(Draw order);

        R wipe(Wipe order);

        R noticeSweep(NoticeSweep order);
    }

    /** An adult opens the lesson privately: in charge from now on, before anyone is let in (need D1). */
    record Open(PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.open(this);
        }
    }

    /** An adult comes in, or comes in again on another device. */
    record Join(VisitId visit, DeviceId device, PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.join(this);
        }
    }

    /** Somebody stands at the door. */
    record Knock(Arrival arrival) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.knock(this);
        }
    }

    /** An adult lets one arrival in, under the name of somebody on the class list. */
    record Admit(VisitId visit, Optional<PersonId> as, PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.admit(this);
        }
    }

    /** An adult lets in somebody on no list, as a guest of this lesson. @param as the guest, invited for it just now */
    record AdmitGuest(VisitId visit, PersonId as, String note, PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.admitGuest(this);
        }
    }

    /** An adult lets in everyone who is surely on the class list; the rest waits on (need E3). */
    record AdmitAllListed(PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.admitAllListed(this);
        }
    }

    /** An adult turns one arrival away. */
    record TurnAway(VisitId visit, PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.turnAway(this);
        }
    }

    /** Somebody goes by themselves. */
    record Leave(VisitId visit) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.leave(this);
        }
    }

    /** A device is not heard of any more. */
    record LoseConnection(VisitId visit) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.loseConnection(this);
        }
    }

    /** A device that was lost is heard again. */
    record ComeBack(VisitId visit) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.comeBack(this);
        }
    }

    /** Somebody switches something of their own on. */
    record TurnOn(VisitId visit, Appliance what) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.turnOn(this);
        }
    }

    /** Somebody switches something of their own off, or an adult does so for a pupil. */
    record TurnOff(PersonId person, Appliance what, PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.turnOff(this);
        }
    }

    /** An adult mutes all pupils; they may unmute themselves if the rules say so, or not, if kept muted. */
    record MuteAll(boolean keepMuted, PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.muteAll(this);
        }
    }

    /** Takes the last "mute all" back, within some seconds: who had a pass to speak has it again. */
    record UndoMuteAll(PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.undoMuteAll(this);
        }
    }

    /** Somebody asks to be heard. */
    record RaiseHand(VisitId visit) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.raiseHand(this);
        }
    }

    /** A hand goes down, by its owner or an adult. */
    record LowerHand(PersonId person, PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.lowerHand(this);
        }
    }

    /** Somebody writes. */
    record Say(VisitId visit, Readers to, String text) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.say(this);
        }
    }

    /** Somebody sends a file. */
    record SendFile(VisitId visit, Readers to, SentFile file) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.sendFile(this);
        }
    }

    /** An adult changes a rule for all pupils while the lesson runs: the door or a right. */
    record SetLive(RuleValue set, PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.setLive(this);
        }
    }

    /** An adult lends a right for a time; a raised hand is taken by it. */
    record GivePass(PersonId person, Rule<Permission> right, Duration length, PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.givePass(this);
        }
    }

    /** An adult closes a right to one person for a time. */
    record GiveCurb(PersonId person, Rule<Permission> right, Duration length, PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.giveCurb(this);
        }
    }

    /** An adult ends a pass or curb before its time. */
    record EndLoan(PersonId person, Rule<Permission> right, PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.endLoan(this);
        }
    }

    /** Somebody wants to be shown under another name. */
    record Rename(VisitId visit, String name) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.rename(this);
        }
    }

    /** An adult removes somebody (need G2). */
    record Remove(PersonId person, String why, PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.remove(this);
        }
    }

    /** An adult allows somebody who was removed to come back. */
    record AllowBack(PersonId person, PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.allowBack(this);
        }
    }

    /** An adult ends the lesson for everyone (need K1). */
    record Dismiss(PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.dismiss(this);
        }
    }

    /** An adult ends the lesson for all but one pupil, for a last word (need K3). */
    record KeepBack(PersonId person, PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.keepBack(this);
        }
    }

    /** The clock: what has ended by itself is ended. */
    record Tick() implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.tick(this);
        }
    }

    /** An adult switches to another stance; live orders about its rules are kept on top, or dropped. */
    record SwitchStance(Stance to, boolean keepLive, PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.switchStance(this);
        }
    }

    /**
     * An adult stops everything at once: muted, chat, drawing and sharing closed, the door shut (need G4). Given again while
     * everything is stopped, it says why.
     */
    record StopEverything(String why, PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.stopEverything(this);
        }
    }

    /** An adult brings back what was before everything was stopped. */
    record Resume(PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.resume(this);
        }
    }

    /** An observer takes charge of a room that has no adult (need M2). */
    record TakeCharge(PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.takeCharge(this);
        }
    }

    /** Somebody shows a signal, or takes it back (need F12). */
    record ShowSign(VisitId visit, Optional<Sign> sign) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.showSign(this);
        }
    }

    /** An adult clears all signals, to ask anew. */
    record ClearSigns(PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.clearSigns(this);
        }
    }

    /** Somebody hangs up material that latecomers still find (need F9). */
    record HandOut(PersonId person, String title, String body) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.handOut(this);
        }
    }

    /** An adult takes material back. */
    record TakeBack(int number, PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.takeBack(this);
        }
    }

    /** An adult puts one person before everybody, or ends it (need F8). */
    record Focus(Optional<PersonId> on, PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.focus(this);
        }
    }

    /** An adult makes the lesson light for weak links, or ends it (need F11). */
    record Lighten(boolean on, PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.lighten(this);
        }
    }

    /** Somebody appointed writes what is being said (need F13). */
    record Caption(VisitId visit, String text) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.caption(this);
        }
    }

    /** An adult lets a held message through, or keeps it back (need F3). */
    record Release(int number, boolean letThrough, PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.release(this);
        }
    }

    /** Somebody draws a line on the board (need F6). */
    record Draw(VisitId visit, List<Integer> line) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.draw(this);
        }
    }

    /** Somebody wipes the marks of one author, or an adult all of them; a person may always wipe their own. */
    record Wipe(Optional<PersonId> of, PersonId by) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.wipe(this);
        }
    }

    /** The school noticed somebody who goes from door to door (need E7). */
    record NoticeSweep(Sweep sweep) implements LessonOrder {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.noticeSweep(this);
        }
    }
}
