package juricast.server.rights;

import static juricast.server.words.PartWords.Told.little;
import static juricast.server.words.PartWords.Told.much;
import static juricast.server.words.PartWords.Told.some;

import java.time.Duration;
import java.util.Locale;
import java.util.Optional;
import juricast.core.live.LessonEvent;
import juricast.core.live.Part;
import juricast.core.rights.Appliance;
import juricast.core.rights.RightsEvent;
import juricast.core.rights.RightsPart;
import juricast.core.rights.RightsRefusal;
import juricast.server.problems.Problem;
import juricast.server.words.PartWords;
import juricast.server.words.Refused;
import juricast.server.words.RuleWords;
import juricast.server.words.Story;
import org.springframework.stereotype.Component;

/** What happened, and what was refused, in sentences. */
@Component
class RightsWords implements PartWords {
    @Override
    public Part<?, ?, ?> part() {
        return RightsPart.RIGHTS;
    }

    @Override
    public Told told(LessonEvent event, Story story) {
        return ((RightsEvent) event).match(new Sentences(story));
    }

    @Override
    public Optional<Problem> problem(Refused refused) {
        return refused.refusal().code() instanceof RightsRefusal code
                ? Optional.of(problem(code, refused))
                : Optional.empty();
    }

    private static Problem problem(RightsRefusal code, Refused refused) {
        return switch (code) {
            case ALREADY_ALLOWED -> refused.say("They may do that already", "No pass is needed.");
            case WRONG_LENGTH -> refused.say("That is no length for a pass", "Choose 1 to 120 minutes.");
            case SOMEBODY_SHOWS -> refused.say(
                    (refused.who().isEmpty() ? "Somebody" : refused.who()) + " is showing something",
                    refused.toPupil()
                            ? "Wait until they have finished, or raise your hand."
                            : "Stop their sharing first.");
            case NOT_FOR_THEM -> refused.say(
                    refused.who() + " cannot be given that", "Choose something that is meant for them.");
            case NOTHING_TO_UNDO -> refused.say(
                    "There is nothing to take back any more", "Give the passes again one by one.");
        };
    }

    private record Sentences(Story story) implements RightsEvent.Cases<PartWords.Told> {
        @Override
        public PartWords.Told turnedOn(RightsEvent.TurnedOn event) {
            return little("%s switched the %s on".formatted(story.name(event.person()), what(event.what())));
        }

        @Override
        public PartWords.Told turnedOff(RightsEvent.TurnedOff event) {
            return little(
                    event.by().equals(event.person())
                            ? "%s switched the %s off".formatted(story.name(event.person()), what(event.what()))
                            : "The %s of %s was switched off%s"
                                    .formatted(what(event.what()), story.name(event.person()), story.by(event.by())));
        }

        @Override
        public PartWords.Told liveSet(RightsEvent.LiveSet event) {
            return some("%s: %s%s%s"
                    .formatted(
                            event.set().rule().title(),
                            RuleWords.value(event.set().rule(), event.set().value()),
                            event.until()
                                    .map(until -> " for %d min"
                                            .formatted(Duration.between(event.at(), until)
                                                    .toMinutes()))
                                    .orElse(""),
                            story.by(event.by())));
        }

        @Override
        public PartWords.Told liveEnded(RightsEvent.LiveEnded event) {
            return little("%s is as it was before".formatted(event.rule().title()));
        }

        @Override
        public PartWords.Told passGiven(RightsEvent.PassGiven event) {
            return some("%s got a pass: %s%s"
                    .formatted(story.name(event.person()), event.right().title(), story.by(event.by())));
        }

        @Override
        public PartWords.Told curbGiven(RightsEvent.CurbGiven event) {
            return some("%s got a curb: %s%s"
                    .formatted(story.name(event.person()), event.right().title(), story.by(event.by())));
        }

        @Override
        public PartWords.Told loanEnded(RightsEvent.LoanEnded event) {
            return little("%s of %s is as before".formatted(event.right().title(), story.name(event.person())));
        }

        @Override
        public PartWords.Told stanceSwitched(RightsEvent.StanceSwitched event) {
            return much("Stance: %s%s".formatted(event.to().name(), story.by(event.by())));
        }

        @Override
        public PartWords.Told lightened(RightsEvent.Lightened event) {
            return little((event.on() ? "The lesson became light: no pictures" : "The lesson has pictures again")
                    + story.by(event.by()));
        }

        private static String what(Appliance what) {
            return switch (what) {
                case BACKGROUND -> "picture behind the camera";
                case PASSING_ON -> "passing on to people outside";
                default -> what.name().toLowerCase(Locale.ROOT).replace('_', ' ');
            };
        }
    }
}
