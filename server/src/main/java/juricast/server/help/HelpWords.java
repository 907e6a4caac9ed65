package juricast.server.help;

import static juricast.server.words.PartWords.Told.much;

import java.util.Optional;
import juricast.core.help.HelpEvent;
import juricast.core.help.HelpPart;
import juricast.core.help.HelpRefusal;
import juricast.core.live.LessonEvent;
import juricast.core.live.Part;
import juricast.server.problems.Problem;
import juricast.server.words.PartWords;
import juricast.server.words.Refused;
import juricast.server.words.Story;
import org.springframework.stereotype.Component;

/** What happened, and what was refused, in sentences. */
@Component
class HelpWords implements PartWords {
    @Override
    public Part<?, ?, ?> part() {
        return HelpPart.HELP;
    }

    @Override
    public Told told(LessonEvent event, Story story) {
        return ((HelpEvent) event)
                .match(begun -> much(
                        begun.stayed()
                                ? "The lesson is over, and %s stays for questions".formatted(story.name(begun.by()))
                                : "The help hour has begun"));
    }

    @Override
    public Optional<Problem> problem(Refused refused) {
        return refused.refusal().code() instanceof HelpRefusal code
                ? Optional.of(
                        switch (code) {
                            case IS_ONE_ALREADY -> refused.say(
                                    "This is a help hour already", "Nothing needs to be done.");
                            case LESSON_GOES_ON -> refused.say(
                                    "The lesson goes on for more than %d minutes"
                                            .formatted(HelpPart.BEFORE_THE_END.toMinutes()),
                                    "Stay for questions when it is nearly over.");
                            case IN_GROUPS -> refused.say("The class is in groups", "Call everybody back first.");
                            case WRONG_LENGTH -> refused.say(
                                    "A help hour lasts %d to %d minutes".formatted(HelpPart.SHORTEST, HelpPart.LONGEST),
                                    "Choose a length between these.");
                        })
                : Optional.empty();
    }
}
