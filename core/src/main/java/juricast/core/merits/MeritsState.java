package juricast.core.merits;

import java.util.List;
import juricast.core.identity.PersonId;
import juricast.core.live.Copies;

/** @param given all merits of the lesson, in order */
public record MeritsState(List<MeritsEvent.Given> given) implements MeritsEvent.Cases<MeritsState> {
    static final MeritsState NEW = new MeritsState(List.of());

    /** What one pupil got, in order. */
    public List<MeritsEvent.Given> of(PersonId person) {
        return given.stream().filter(one -> one.person().equals(person)).toList();
    }

    @Override
    public MeritsState given(MeritsEvent.Given event) {
        return new MeritsState(Copies.plus(given, event));
    }
}
