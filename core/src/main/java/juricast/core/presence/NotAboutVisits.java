package juricast.core.presence;

import juricast.core.lesson.LessonEvent;

/** The events that bring nobody in or out. A new kind of event stands here, or with the reader of visits. */
abstract class NotAboutVisits implements LessonEvent.Cases<Void> {
    @Override
    public Void opened(LessonEvent.Opened event) {
        return null;
    }

    @Override
    public Void guestLetIn(LessonEvent.GuestLetIn event) {
        return null;
    }

    @Override
    public Void turnedOn(LessonEvent.TurnedOn event) {
        return null;
    }

    @Override
    public Void turnedOff(LessonEvent.TurnedOff event) {
        return null;
    }

    @Override
    public Void handRaised(LessonEvent.HandRaised event) {
        return null;
    }

    @Override
    public Void handLowered(LessonEvent.HandLowered event) {
        return null;
    }

    @Override
    public Void said(LessonEvent.Said event) {
        return null;
    }

    @Override
    public Void liveSet(LessonEvent.LiveSet event) {
        return null;
    }

    @Override
    public Void passGiven(LessonEvent.PassGiven event) {
        return null;
    }

    @Override
    public Void curbGiven(LessonEvent.CurbGiven event) {
        return null;
    }

    @Override
    public Void loanEnded(LessonEvent.LoanEnded event) {
        return null;
    }

    @Override
    public Void renamed(LessonEvent.Renamed event) {
        return null;
    }

    @Override
    public Void allowedBack(LessonEvent.AllowedBack event) {
        return null;
    }

    @Override
    public Void stanceSwitched(LessonEvent.StanceSwitched event) {
        return null;
    }

    @Override
    public Void stopped(LessonEvent.Stopped event) {
        return null;
    }

    @Override
    public Void stopExplained(LessonEvent.StopExplained event) {
        return null;
    }

    @Override
    public Void resumed(LessonEvent.Resumed event) {
        return null;
    }

    @Override
    public Void wentQuiet(LessonEvent.WentQuiet event) {
        return null;
    }

    @Override
    public Void supervised(LessonEvent.Supervised event) {
        return null;
    }

    @Override
    public Void chargeTaken(LessonEvent.ChargeTaken event) {
        return null;
    }

    @Override
    public Void signShown(LessonEvent.SignShown event) {
        return null;
    }

    @Override
    public Void signsCleared(LessonEvent.SignsCleared event) {
        return null;
    }

    @Override
    public Void handedOut(LessonEvent.HandedOut event) {
        return null;
    }

    @Override
    public Void takenBack(LessonEvent.TakenBack event) {
        return null;
    }

    @Override
    public Void focused(LessonEvent.Focused event) {
        return null;
    }

    @Override
    public Void lightened(LessonEvent.Lightened event) {
        return null;
    }

    @Override
    public Void captioned(LessonEvent.Captioned event) {
        return null;
    }

    @Override
    public Void held(LessonEvent.Held event) {
        return null;
    }

    @Override
    public Void released(LessonEvent.Released event) {
        return null;
    }

    @Override
    public Void drawn(LessonEvent.Drawn event) {
        return null;
    }

    @Override
    public Void wiped(LessonEvent.Wiped event) {
        return null;
    }

    @Override
    public Void sweepNoticed(LessonEvent.SweepNoticed event) {
        return null;
    }

    @Override
    public Void seenOut(LessonEvent.SeenOut event) {
        return null;
    }

    @Override
    public Void closed(LessonEvent.Closed event) {
        return null;
    }
}
