package juricast.core.chat;

import java.util.List;
import juricast.core.live.PlaceId;

/**
 * What was written in a lesson.
 *
 * @param held messages that wait for an adult, longest first
 * @param files how many files were sent, those that wait for an adult and those kept back included
 */
public record ChatState(List<Words> words, List<HeldWords> held, int files) {
    static final ChatState NEW = new ChatState(List.of(), List.of(), 0);

    /** What waits for an adult, of what was written in one place. */
    public List<HeldWords> heldIn(PlaceId place) {
        return held.stream()
                .filter(one -> one.to().place().filter(place::equals).isPresent())
                .toList();
    }

    /** Everything that was written after a number. From the last backwards: who is told of every word asks for one of hundreds. */
    public List<Words> after(int number) {
        int first = words.size();
        while (first > 0 && words.get(first - 1).number() > number) {
            first--;
        }
        return words.subList(first, words.size());
    }
}
