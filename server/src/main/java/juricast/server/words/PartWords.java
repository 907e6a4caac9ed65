package juricast.server.words;

import java.util.Optional;
import juricast.core.live.LessonEvent;
import juricast.core.live.Part;
import juricast.server.problems.Problem;

/** What one part of a lesson has to say: a sentence for each of its events, and a problem for each of its refusals. */
public interface PartWords {
    Part<?, ?, ?> part();

    /** A sentence about an event of this part, for adults who look back. Words of pupils are not repeated in it. */
    Told told(LessonEvent event, Story story);

    /** What is said about a refusal; nothing if its code is not of this part. */
    default Optional<Problem> problem(Refused refused) {
        return Optional.empty();
    }

    /** A sentence, and how much it matters to who looks back. */
    record Told(String sentence, Weight weight) {
        /** Of what is told to nobody who looks back at the lesson. */
        public static final Told NOTHING = new Told("", Weight.LITTLE);

        public boolean isNothing() {
            return sentence.isEmpty();
        }

        public static Told little(String sentence) {
            return new Told(sentence, Weight.LITTLE);
        }

        public static Told some(String sentence) {
            return new Told(sentence, Weight.SOME);
        }

        public static Told much(String sentence) {
            return new Told(sentence, Weight.MUCH);
        }
    }

    /** What an adult looks for first: discipline and the room as a whole, then the door and rights, then the rest. */
    enum Weight {
        LITTLE,
        SOME,
        MUCH
    }
}
