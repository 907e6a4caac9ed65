package juricast.core.ending;

import java.util.List;
import juricast.core.live.Copies;

/** @param closing what was done by itself when the lesson had ended */
public record EndingState(List<EndingEvent.Closed> closing) implements EndingEvent.Cases<EndingState> {
    static final EndingState NEW = new EndingState(List.of());

    @Override
    public EndingState closed(EndingEvent.Closed event) {
        return new EndingState(Copies.plus(closing, event));
    }
}
