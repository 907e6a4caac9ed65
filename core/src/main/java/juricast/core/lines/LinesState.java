package juricast.core.lines;

import java.time.Instant;
import java.util.Comparator;
import java.util.Map;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.Copies;
import juricast.core.live.Gone;

/**
 * @param weak whose line is weak, and since when
 * @param leftAt how many lines were weak when an adult left the lesson as it was; 0 if nobody did, or all carry again
 */
public record LinesState(Map<PersonId, Instant> weak, int leftAt) implements LinesEvent.Cases<LinesState> {
    static final LinesState NEW = new LinesState(Map.of(), 0);
    /** Fewer are a matter between a pupil and their line. */
    static final int SEVERAL = 2;
    /** And of those present at least one in so many. */
    static final int ONE_IN = 10;

    /**
     * Since when so many lines are weak that a light lesson is worth proposing, if they are: at least {@value #SEVERAL}, and one in
     * {@value #ONE_IN} of those present; after an adult has left it, only when still more are.
     *
     * @param present how many pupils are in
     */
    public Optional<Instant> proposesLight(int present) {
        int enough = Math.max(Math.max(SEVERAL, (present + ONE_IN - 1) / ONE_IN), leftAt + 1);
        return weak.values().stream()
                .sorted(Comparator.naturalOrder())
                .skip(enough - 1L)
                .findFirst();
    }

    LinesState without(Gone gone) {
        Map<PersonId, Instant> still = Copies.without(weak, gone.who());
        return still == weak ? this : of(still);
    }

    private LinesState of(Map<PersonId, Instant> next) {
        return new LinesState(next, next.isEmpty() ? 0 : leftAt);
    }

    @Override
    public LinesState weakened(LinesEvent.Weakened event) {
        return of(Copies.with(weak, event.person(), event.at()));
    }

    @Override
    public LinesState recovered(LinesEvent.Recovered event) {
        return of(Copies.without(weak, event.person()));
    }

    @Override
    public LinesState left(LinesEvent.Left event) {
        return new LinesState(weak, weak.size());
    }
}
