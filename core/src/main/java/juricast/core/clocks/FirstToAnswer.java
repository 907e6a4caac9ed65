package juricast.core.clocks;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.Copies;

/**
 * A call for the first to answer, and who pressed (need J3).
 *
 * <p>A press is judged by when it was made: when it arrived, less its line's delay, which is half of the shortest round trip that the
 * server itself measured (Cristian, "Probabilistic clock synchronization", Distributed Computing 3, 1989: half a round trip is wrong by at
 * most half of it). So a press was made within twice its delay before it arrived, and one is before another only where these times do
 * not meet; else they are a tie. Whoever wins alone therefore wins by arrival, whatever delay is claimed: a line that pretends to be
 * slow wins nothing by it.
 *
 * @param number of the event by which it was called
 * @param opens from when on presses count
 * @param presses in the order in which they arrived, one of each person
 * @param passed how many in the row have had the word and passed it on
 */
public record FirstToAnswer(int number, String task, Instant opens, List<Press> presses, int passed, boolean isOver) {
    /** No line is credited with a longer delay: beyond it a line is too slow to be judged fairly. */
    public static final Duration MOST_DELAY = Duration.ofMillis(200);
    /** Presses nearer to each other than this are not told apart: what passes between finger and program is not measured. */
    public static final Duration SAME = Duration.ofMillis(20);

    /** @param arrived after the opening @param delay that was taken off */
    public record Press(PersonId person, Duration arrived, Duration delay) {
        /** When it was made, after the opening: never before it. */
        public Duration made() {
            Duration made = arrived.minus(delay);
            return made.isNegative() ? Duration.ZERO : made;
        }

        /** Whether it was made before, whatever the measuring got wrong: it had arrived before the other can have been made. */
        public boolean isClearlyBefore(Press other) {
            return arrived.plus(SAME).compareTo(other.arrived.minus(other.delay.multipliedBy(2))) < 0;
        }
    }

    /** One place in the row. @param place from 1; those in a tie have the same */
    public record Placed(Press press, int place) {}

    /**
     * Everybody who pressed, first to last. Whoever nobody was clearly before shares the first place, and so on with who is left; in a tie
     * those come first who were first less often.
     *
     * @param timesFirst how often each was first before
     */
    public List<Placed> row(Map<PersonId, Integer> timesFirst) {
        var left = new ArrayList<>(presses);
        var row = new ArrayList<Placed>();
        for (int place = 1; !left.isEmpty(); place++) {
            List<Press> next = left.stream()
                    .filter(one -> left.stream().noneMatch(other -> other.isClearlyBefore(one)))
                    .sorted(Comparator.comparing((Press one) -> timesFirst.getOrDefault(one.person, 0))
                            .thenComparing(Press::made))
                    .toList();
            for (Press one : next) {
                row.add(new Placed(one, place));
            }
            left.removeAll(next);
        }
        return List.copyOf(row);
    }

    /** Whose turn it is, if anybody's. */
    public Optional<PersonId> turn(Map<PersonId, Integer> timesFirst) {
        return row(timesFirst).stream().skip(passed).findFirst().map(one -> one.press()
                .person());
    }

    public boolean hasPressed(PersonId person) {
        return presses.stream().anyMatch(one -> one.person.equals(person));
    }

    FirstToAnswer with(Press press) {
        return new FirstToAnswer(number, task, opens, Copies.plus(presses, press), passed, isOver);
    }

    FirstToAnswer passedOn() {
        return new FirstToAnswer(number, task, opens, presses, passed + 1, isOver);
    }

    FirstToAnswer over() {
        return new FirstToAnswer(number, task, opens, presses, passed, true);
    }
}
