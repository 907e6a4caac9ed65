package juricast.core.conduct;

import juricast.core.ladder.Earlier;

/** A step of this lesson. @param number of its event @param withdrawn whether it counts no more */
public record Taken(int number, ConductEvent.StepTaken event, boolean withdrawn) {
    Earlier earlier() {
        return new Earlier(
                event.act().id(),
                event.step().id(),
                event.step().name(),
                event.step().level(),
                event.step().counts(),
                event.at());
    }
}
