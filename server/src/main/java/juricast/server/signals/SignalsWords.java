package juricast.server.signals;

import static juricast.server.words.PartWords.Told.little;
import static juricast.server.words.PartWords.Told.some;

import java.util.Locale;
import juricast.core.live.LessonEvent;
import juricast.core.live.Part;
import juricast.core.signals.SignalsEvent;
import juricast.core.signals.SignalsPart;
import juricast.server.words.PartWords;
import juricast.server.words.Story;
import org.springframework.stereotype.Component;

/** What happened, and what was refused, in sentences. */
@Component
class SignalsWords implements PartWords {
    @Override
    public Part<?, ?, ?> part() {
        return SignalsPart.SIGNALS;
    }

    @Override
    public Told told(LessonEvent event, Story story) {
        return ((SignalsEvent) event).match(new Sentences(story));
    }

    private record Sentences(Story story) implements SignalsEvent.Cases<PartWords.Told> {
        @Override
        public PartWords.Told handRaised(SignalsEvent.HandRaised event) {
            return little(story.name(event.person()) + " raised a hand");
        }

        @Override
        public PartWords.Told handLowered(SignalsEvent.HandLowered event) {
            return little("The hand of %s went down".formatted(story.name(event.person())));
        }

        @Override
        public PartWords.Told signShown(SignalsEvent.SignShown event) {
            return little(event.sign()
                    .map(sign -> "%s signals: %s"
                            .formatted(
                                    story.name(event.person()),
                                    sign.name().toLowerCase(Locale.ROOT).replace('_', ' ')))
                    .orElse(story.name(event.person()) + " took the signal back"));
        }

        @Override
        public PartWords.Told signsCleared(SignalsEvent.SignsCleared event) {
            return little("The signals were cleared" + story.by(event.by()));
        }

        @Override
        public PartWords.Told focused(SignalsEvent.Focused event) {
            return some(event.on()
                    .map(one -> "%s stands before everybody%s".formatted(story.name(one), story.by(event.by())))
                    .orElse("Nobody stands before everybody any more" + story.by(event.by())));
        }

        @Override
        public PartWords.Told focusAsked(SignalsEvent.FocusAsked event) {
            return little("%s was asked to stand before everybody%s"
                    .formatted(story.name(event.person()), story.by(event.by())));
        }

        @Override
        public PartWords.Told focusDeclined(SignalsEvent.FocusDeclined event) {
            return little(story.name(event.person()) + " would rather not stand before everybody");
        }
    }
}
