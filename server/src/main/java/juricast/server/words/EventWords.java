package juricast.server.words;

import juricast.core.board.BoardEvent;
import juricast.core.chat.ChatEvent;
import juricast.core.chat.Readers;
import juricast.core.door.DoorEvent;
import juricast.core.ending.EndingEvent;
import juricast.core.entry.Outcome;
import juricast.core.identity.PersonId;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.Visit;
import juricast.core.material.MaterialEvent;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsEvent;
import juricast.core.signals.SignalsEvent;
import juricast.core.supervision.SupervisionEvent;
import juricast.server.people.People;
import org.springframework.stereotype.Component;

/** What happened in a lesson, one sentence for each event, for adults who look back. Words of pupils are not repeated in it. */
@Component
public class EventWords {
    private final People people;

    EventWords(People people) {
        this.people = people;
    }

    /** @param before the lesson as it was, which knows whose visits are meant */
    public String of(LessonEvent event, LessonPlan plan, LessonState before) {
        return event.match(new Sentence(plan, before));
    }

    private final class Sentence implements LessonEvent.Cases<String> {
        private final LessonPlan plan;
        private final LessonState before;

        Sentence(LessonPlan plan, LessonState before) {
            this.plan = plan;
            this.before = before;
        }

        private String name(PersonId person) {
            return plan.member(person).map(one -> one.name()).orElseGet(() -> people.nameOf(person));
        }

        private String who(juricast.core.identity.VisitId visit) {
            return before.visit(visit).map(this::who).orElse("Somebody");
        }

        private String who(Visit visit) {
            return visit.person().map(this::name).orElse("“" + visit.arrival().claimedName() + "”");
        }

        private String by(PersonId by) {
            return by.equals(PersonId.CLOCK) || by.equals(PersonId.RULES) ? "" : " (" + name(by) + ")";
        }

        private String what(Appliance what) {
            return what.name().toLowerCase(java.util.Locale.ROOT).replace('_', ' ');
        }

        @Override
        public String opened(DoorEvent.Opened event) {
            return name(event.by()) + " opened the lesson";
        }

        @Override
        public String adultJoined(DoorEvent.AdultJoined event) {
            return name(event.person()) + " came in";
        }

        @Override
        public String knocked(DoorEvent.Knocked event) {
            String who =
                    event.person().map(this::name).orElse("“" + event.arrival().claimedName() + "”");
            return event.verdict().outcome() == Outcome.TURN_AWAY
                    ? who + " was turned away at the door"
                    : who + " knocked";
        }

        @Override
        public String judged(DoorEvent.Judged event) {
            return who(event.visit()) + " was judged again at the door";
        }

        @Override
        public String admitted(DoorEvent.Admitted event) {
            return name(event.person()) + " was let in" + by(event.by());
        }

        @Override
        public String turnedAway(DoorEvent.TurnedAway event) {
            return who(event.visit()) + " was turned away" + by(event.by());
        }

        @Override
        public String left(DoorEvent.Left event) {
            return who(event.visit()) + " left";
        }

        @Override
        public String takenOff(DoorEvent.TakenOff event) {
            return name(event.person()) + " no longer belongs to this lesson, and is out";
        }

        @Override
        public String guestLetIn(DoorEvent.GuestLetIn event) {
            return "“%s” is on no list, and is a guest of this lesson: %s%s"
                    .formatted(event.name(), event.note(), by(event.by()));
        }

        @Override
        public String connectionLost(DoorEvent.ConnectionLost event) {
            return who(event.visit()) + " lost the connection";
        }

        @Override
        public String cameBack(DoorEvent.CameBack event) {
            return who(event.visit()) + " came back";
        }

        @Override
        public String turnedOn(RightsEvent.TurnedOn event) {
            return "%s switched the %s on".formatted(name(event.person()), what(event.what()));
        }

        @Override
        public String turnedOff(RightsEvent.TurnedOff event) {
            return event.by().equals(event.person())
                    ? "%s switched the %s off".formatted(name(event.person()), what(event.what()))
                    : "The %s of %s was switched off%s"
                            .formatted(what(event.what()), name(event.person()), by(event.by()));
        }

        @Override
        public String handRaised(SignalsEvent.HandRaised event) {
            return name(event.person()) + " raised a hand";
        }

        @Override
        public String handLowered(SignalsEvent.HandLowered event) {
            return "The hand of %s went down".formatted(name(event.person()));
        }

        @Override
        public String said(ChatEvent.Said event) {
            return "%s wrote %s".formatted(name(event.from()), to(event.to()));
        }

        private String to(Readers to) {
            return switch (to.kind()) {
                case CLASS -> "to the class";
                case ADULTS -> "to the adults";
                default -> "to " + to.one().map(this::name).orElse("somebody");
            };
        }

        @Override
        public String liveSet(RightsEvent.LiveSet event) {
            return "%s: %s%s"
                    .formatted(
                            event.set().rule().title(),
                            RuleWords.value(event.set().rule(), event.set().value()),
                            by(event.by()));
        }

        @Override
        public String passGiven(RightsEvent.PassGiven event) {
            return "%s got a pass: %s%s"
                    .formatted(name(event.person()), event.right().title(), by(event.by()));
        }

        @Override
        public String curbGiven(RightsEvent.CurbGiven event) {
            return "%s got a curb: %s%s"
                    .formatted(name(event.person()), event.right().title(), by(event.by()));
        }

        @Override
        public String loanEnded(RightsEvent.LoanEnded event) {
            return "%s of %s is as before".formatted(event.right().title(), name(event.person()));
        }

        @Override
        public String renamed(DoorEvent.Renamed event) {
            return "%s is shown as “%s”".formatted(name(event.person()), event.name());
        }

        @Override
        public String removed(DoorEvent.Removed event) {
            return "%s was removed: %s%s".formatted(name(event.person()), event.why(), by(event.by()));
        }

        @Override
        public String allowedBack(DoorEvent.AllowedBack event) {
            return "%s may come back%s".formatted(name(event.person()), by(event.by()));
        }

        @Override
        public String dismissed(DoorEvent.Dismissed event) {
            return "The lesson was ended for everyone" + by(event.by());
        }

        @Override
        public String keptBack(DoorEvent.KeptBack event) {
            return "All but %s went; a last word%s".formatted(name(event.person()), by(event.by()));
        }

        @Override
        public String seenOut(DoorEvent.SeenOut event) {
            return who(event.visit()) + " has gone";
        }

        @Override
        public String closed(EndingEvent.Closed event) {
            return switch (event.step()) {
                case LINK_RETIRED -> "The link was retired";
                case CHAT_KEPT -> "The chat was kept: %d messages".formatted(event.count());
                case BOARD_KEPT -> "The board was kept: %d lines".formatted(event.count());
                case REGISTER_DRAFTED -> "The register was drafted: %d were in".formatted(event.count());
            };
        }

        @Override
        public String stanceSwitched(RightsEvent.StanceSwitched event) {
            return "Stance: %s%s".formatted(event.to().name(), by(event.by()));
        }

        @Override
        public String stopped(SupervisionEvent.Stopped event) {
            return "Everything was stopped" + by(event.by());
        }

        @Override
        public String stopExplained(SupervisionEvent.StopExplained event) {
            return "Why everything was stopped: %s%s".formatted(event.why(), by(event.by()));
        }

        @Override
        public String resumed(SupervisionEvent.Resumed event) {
            return "It went on" + by(event.by());
        }

        @Override
        public String wentQuiet(SupervisionEvent.WentQuiet event) {
            return "The room went quiet by itself: no adult was in it";
        }

        @Override
        public String supervised(SupervisionEvent.Supervised event) {
            return "An adult is in the room again" + by(event.by());
        }

        @Override
        public String chargeTaken(DoorEvent.ChargeTaken event) {
            return name(event.by()) + " took charge";
        }

        @Override
        public String signShown(SignalsEvent.SignShown event) {
            return event.sign()
                    .map(sign -> "%s signals: %s"
                            .formatted(
                                    name(event.person()),
                                    sign.name()
                                            .toLowerCase(java.util.Locale.ROOT)
                                            .replace('_', ' ')))
                    .orElse(name(event.person()) + " took the signal back");
        }

        @Override
        public String signsCleared(SignalsEvent.SignsCleared event) {
            return "The signals were cleared" + by(event.by());
        }

        @Override
        public String handedOut(MaterialEvent.HandedOut event) {
            return "Handed out: %s%s".formatted(event.title(), by(event.by()));
        }

        @Override
        public String takenBack(MaterialEvent.TakenBack event) {
            return "Something handed out was taken back" + by(event.by());
        }

        @Override
        public String focused(SignalsEvent.Focused event) {
            return event.on()
                    .map(one -> "%s stands before everybody%s".formatted(name(one), by(event.by())))
                    .orElse("Nobody stands before everybody any more" + by(event.by()));
        }

        @Override
        public String lightened(RightsEvent.Lightened event) {
            return (event.on() ? "The lesson became light: no pictures" : "The lesson has pictures again")
                    + by(event.by());
        }

        @Override
        public String captioned(MaterialEvent.Captioned event) {
            return "A caption was written" + by(event.by());
        }

        @Override
        public String held(ChatEvent.Held event) {
            return "%s wrote %s; it waited for an adult".formatted(name(event.from()), to(event.to()));
        }

        @Override
        public String released(ChatEvent.Released event) {
            return "A message that waited was %s%s"
                    .formatted(event.letThrough() ? "let through" : "kept back", by(event.by()));
        }

        @Override
        public String drawn(BoardEvent.Drawn event) {
            return name(event.person()) + " drew on the board";
        }

        @Override
        public String wiped(BoardEvent.Wiped event) {
            return event.of()
                    .map(one -> "The marks of %s were wiped%s".formatted(name(one), by(event.by())))
                    .orElse("The board was wiped" + by(event.by()));
        }

        @Override
        public String sweepNoticed(DoorEvent.SweepNoticed event) {
            return "“%s” tried %d doors of the school".formatted(event.name(), event.doors());
        }
    }
}
