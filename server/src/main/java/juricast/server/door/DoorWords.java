package juricast.server.door;

import static juricast.server.words.PartWords.Told.little;
import static juricast.server.words.PartWords.Told.much;
import static juricast.server.words.PartWords.Told.some;

import java.util.Optional;
import juricast.core.door.DoorEvent;
import juricast.core.door.DoorPart;
import juricast.core.door.DoorRefusal;
import juricast.core.entry.Outcome;
import juricast.core.live.LessonEvent;
import juricast.core.live.Part;
import juricast.core.rules.Catalogue;
import juricast.server.data.School;
import juricast.server.problems.Problem;
import juricast.server.words.PartWords;
import juricast.server.words.Refused;
import juricast.server.words.RuleWords;
import juricast.server.words.Story;
import org.springframework.stereotype.Component;

/** What happened, and what was refused, in sentences. */
@Component
class DoorWords implements PartWords {
    private final School school;

    DoorWords(School school) {
        this.school = school;
    }

    @Override
    public Part<?, ?, ?> part() {
        return DoorPart.DOOR;
    }

    @Override
    public Told told(LessonEvent event, Story story) {
        return ((DoorEvent) event).match(new Sentences(story));
    }

    @Override
    public Optional<Problem> problem(Refused refused) {
        return refused.refusal().code() instanceof DoorRefusal code
                ? Optional.of(problem(code, refused))
                : Optional.empty();
    }

    private Problem problem(DoorRefusal code, Refused refused) {
        return switch (code) {
            case TOO_EARLY_TO_OPEN -> refused.say(
                    "It is too early to open",
                    "You may open from %s: %s before the start, by the charter."
                            .formatted(
                                    school.clockTime(refused.plan()
                                            .time()
                                            .from()
                                            .minus(((juricast.core.rules.Minutes) refused.refusal()
                                                            .ruling()
                                                            .orElseThrow()
                                                            .value())
                                                    .length())),
                                    RuleWords.value(
                                            Catalogue.EARLY_MINUTES,
                                            refused.refusal()
                                                    .ruling()
                                                    .orElseThrow()
                                                    .value())));
            case ALREADY_OPEN -> refused.say(
                    refused.who() + " has opened this lesson already", "You can come in to help.");
            case NO_SUCH_VISIT -> refused.say("Nobody stands there any more", "Look at the list again.");
            case NOT_WAITING -> refused.say(
                    (refused.who().isEmpty() ? "This arrival" : refused.who()) + " does not wait any more",
                    "Look at the list again.");
            case WHO_IS_IT -> refused.say("Nobody knows who this is", "Let them in as somebody on the class list.");
            case NOT_ON_LIST -> refused.say("This person is not on the class list", "Choose somebody who is.");
            case TOO_EARLY_TO_ADMIT -> refused.say(
                    "It is too early to let pupils in", "They are let in when the charter's time has come.");
            case NOT_REMOVED -> refused.say(refused.who() + " was not removed", "Nothing needs to be done.");
            case LAST_ADULT -> refused.say(
                    "You are the only adult in the room",
                    "Dismiss the class, or wait until another adult is in. Pupils are never left alone.");
            case TOO_MANY_ARRIVALS -> refused.say(
                    "Too many have knocked at this door", "Ask your teacher, who can let you in another way.");
            case ROOM_IS_FULL -> refused.say("The room is full by the rules", "Let them in when somebody has gone.");
            case ONE_BY_ONE -> refused.say(
                    "Everyone is let in one by one", "Let in each person alone; the rules of this lesson ask for it.");
            case HELP_IS_FULL -> refused.say(
                    "As many as may be are in this help hour", "Let them in when somebody has gone.");
            case ALONE_WITH_ONE -> refused.say(
                    "No adult is alone with one pupil here",
                    "Let another pupil, a second adult or the safeguarding lead come in with them, or record it: the rules ask for it.");
            case REMOVED_HERE -> refused.say(
                    "A safeguarding lead has put you out of this lesson", "Ask the safeguarding lead.");
        };
    }

    private record Sentences(Story story) implements DoorEvent.Cases<PartWords.Told> {
        @Override
        public PartWords.Told opened(DoorEvent.Opened event) {
            return much(story.name(event.by()) + " opened the lesson");
        }

        @Override
        public PartWords.Told adultJoined(DoorEvent.AdultJoined event) {
            return some(story.name(event.person()) + " came in");
        }

        @Override
        public PartWords.Told knocked(DoorEvent.Knocked event) {
            String who =
                    event.person().map(story::name).orElse("“" + event.arrival().claimedName() + "”");
            return little(
                    event.verdict().outcome() == Outcome.TURN_AWAY
                            ? who + " was turned away at the door"
                            : who + " knocked");
        }

        @Override
        public PartWords.Told judged(DoorEvent.Judged event) {
            return little(story.who(event.visit()) + " was judged again at the door");
        }

        @Override
        public PartWords.Told admitted(DoorEvent.Admitted event) {
            return some(story.name(event.person()) + " was let in" + story.by(event.by()));
        }

        @Override
        public PartWords.Told turnedAway(DoorEvent.TurnedAway event) {
            return some(story.who(event.visit()) + " was turned away" + story.by(event.by()));
        }

        @Override
        public PartWords.Told left(DoorEvent.Left event) {
            return some(story.who(event.visit()) + " left");
        }

        @Override
        public PartWords.Told takenOff(DoorEvent.TakenOff event) {
            return much(story.name(event.person()) + " no longer belongs to this lesson, and is out");
        }

        @Override
        public PartWords.Told guestLetIn(DoorEvent.GuestLetIn event) {
            return much("“%s” is on no list, and is a guest of this lesson: %s%s"
                    .formatted(event.name(), event.note(), story.by(event.by())));
        }

        @Override
        public PartWords.Told connectionLost(DoorEvent.ConnectionLost event) {
            return some(story.who(event.visit()) + " lost the connection");
        }

        @Override
        public PartWords.Told cameBack(DoorEvent.CameBack event) {
            return some(story.who(event.visit()) + " came back");
        }

        @Override
        public PartWords.Told renamed(DoorEvent.Renamed event) {
            return little("%s is shown as “%s”".formatted(story.name(event.person()), event.name()));
        }

        @Override
        public PartWords.Told removed(DoorEvent.Removed event) {
            return much(
                    "%s was removed: %s%s".formatted(story.name(event.person()), event.why(), story.by(event.by())));
        }

        @Override
        public PartWords.Told sentToDoor(DoorEvent.SentToDoor event) {
            return much("%s was sent back to the door%s".formatted(story.name(event.person()), story.by(event.by())));
        }

        @Override
        public PartWords.Told allowedBack(DoorEvent.AllowedBack event) {
            return some("%s may come back%s".formatted(story.name(event.person()), story.by(event.by())));
        }

        @Override
        public PartWords.Told sweepNoticed(DoorEvent.SweepNoticed event) {
            return much("“%s” tried %d doors of the school".formatted(event.name(), event.doors()));
        }

        @Override
        public PartWords.Told chargeTaken(DoorEvent.ChargeTaken event) {
            return much(story.name(event.by()) + " took charge");
        }

        @Override
        public PartWords.Told dismissed(DoorEvent.Dismissed event) {
            return much("The lesson was ended for everyone" + story.by(event.by()));
        }

        @Override
        public PartWords.Told keptBack(DoorEvent.KeptBack event) {
            return much("All but %s went; a last word%s".formatted(story.name(event.person()), story.by(event.by())));
        }

        @Override
        public PartWords.Told seenOut(DoorEvent.SeenOut event) {
            return little(story.who(event.visit()) + " has gone");
        }
    }
}
