package juricast.server.upkeep;

import java.util.stream.Stream;
import juricast.core.day.Duty;
import juricast.core.day.Waiting;
import juricast.server.access.SignedIn;
import juricast.server.day.Waits;
import org.springframework.stereotype.Component;

/** What is not well with the program, for who looks after it. */
@Component
class UpkeepWaits implements Waits {
    private final Upkeep upkeep;

    UpkeepWaits(Upkeep upkeep) {
        this.upkeep = upkeep;
    }

    @Override
    public Stream<Waiting> of(SignedIn adult) {
        return adult.isLead()
                ? Stream.of(new Waiting(Duty.UPKEEP, (int)
                        upkeep.checks().stream().filter(one -> !one.well()).count()))
                : Stream.empty();
    }
}
