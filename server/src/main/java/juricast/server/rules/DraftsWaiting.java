package juricast.server.rules;

import java.util.stream.Stream;
import juricast.core.day.Duty;
import juricast.core.day.Waiting;
import juricast.server.access.SignedIn;
import juricast.server.day.Waits;
import org.springframework.stereotype.Component;

/** Changes of rules that somebody has thought out and not put in force. */
@Component
class DraftsWaiting implements Waits {
    private final Drafts drafts;

    DraftsWaiting(Drafts drafts) {
        this.drafts = drafts;
    }

    @Override
    public Stream<Waiting> of(SignedIn adult) {
        return Stream.of(new Waiting(Duty.DRAFT, drafts.countOf(adult.person())));
    }
}
