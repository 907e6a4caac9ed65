package juricast.server.chat;

import static juricast.server.words.PartWords.Told.little;
import static juricast.server.words.PartWords.Told.some;

import java.util.Optional;
import juricast.core.chat.ChatEvent;
import juricast.core.chat.ChatPart;
import juricast.core.chat.ChatRefusal;
import juricast.core.chat.Readers;
import juricast.core.limits.Limits;
import juricast.core.live.LessonEvent;
import juricast.core.live.Part;
import juricast.server.problems.Problem;
import juricast.server.words.GroupNames;
import juricast.server.words.PartWords;
import juricast.server.words.Refused;
import juricast.server.words.Story;
import org.springframework.stereotype.Component;

/** What happened, and what was refused, in sentences. */
@Component
class ChatWords implements PartWords {
    @Override
    public Part<?, ?, ?> part() {
        return ChatPart.CHAT;
    }

    @Override
    public Told told(LessonEvent event, Story story) {
        return ((ChatEvent) event).match(new Sentences(story));
    }

    @Override
    public Optional<Problem> problem(Refused refused) {
        return refused.refusal().code() instanceof ChatRefusal code
                ? Optional.of(problem(code, refused))
                : Optional.empty();
    }

    private static Problem problem(ChatRefusal code, Refused refused) {
        return switch (code) {
            case TOO_FAST -> refused.say(
                    "Not sent",
                    "You have written a lot in the last minute. Nothing is lost.",
                    "Wait a moment, then send it.");
            case NO_SUCH_WORDS -> refused.say("This message does not wait any more", "Look at the list again.");
            case TOO_MANY_FILES -> refused.say(
                    "This file was not sent",
                    "This lesson has taken %d files; more are not kept.".formatted(Limits.FILES),
                    "Hand out a link instead, or write it down.");
            case NO_SUCH_PLACE -> refused.say("This group is out no more", "Nothing is lost.", "Write to all instead.");
            case NO_ADULT_READS -> refused.say(
                    "No adult is here who could read along",
                    "Between pupils and visitors everything is read by an adult. Write to the class, or wait for an adult.");
        };
    }

    private record Sentences(Story story) implements ChatEvent.Cases<PartWords.Told> {
        @Override
        public PartWords.Told said(ChatEvent.Said event) {
            return little("%s wrote %s".formatted(story.name(event.from()), to(event.to())));
        }

        @Override
        public PartWords.Told held(ChatEvent.Held event) {
            return some("%s wrote %s; it waited for an adult".formatted(story.name(event.from()), to(event.to())));
        }

        @Override
        public PartWords.Told released(ChatEvent.Released event) {
            return some("A message that waited was %s%s"
                    .formatted(event.letThrough() ? "let through" : "kept back", story.by(event.by())));
        }

        private String to(Readers to) {
            return switch (to.kind()) {
                case CLASS -> "to the class";
                case PLACE -> "to "
                        + to.place()
                                .map(place -> GroupNames.of(place, story.before()))
                                .orElse("a group");
                case ADULTS -> "to the adults";
                case ONE -> "to " + to.one().map(story::name).orElse("somebody");
            };
        }
    }
}
