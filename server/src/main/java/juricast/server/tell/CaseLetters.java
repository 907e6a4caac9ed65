package juricast.server.tell;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.server.data.Addresses;
import org.springframework.stereotype.Component;

/** What the casebook has to say to people outside of it. Nothing is said twice, however often it is asked for. */
@Component
public class CaseLetters {
    private final Outbox outbox;
    private final Addresses addresses;

    CaseLetters(Outbox outbox, Addresses addresses) {
        this.addresses = addresses;
        this.outbox = outbox;
    }

    /**
     * Writes to a pupil's parents, in the school's words around these.
     *
     * @param about what it is about, by which it is known
     * @param ofClass the id and the title of the class, if it was in one
     */
    public void toParents(
            PersonId pupil, String name, String about, Optional<String> ofClass, String title, String text) {
        outbox.send(List.of(new Outbox.Wanted(
                MessageKind.PARENTS,
                about,
                ofClass,
                Optional.empty(),
                new Member(pupil, "Parents of " + name, Role.VISITOR),
                Map.of("pupil", name, "text", text, "class", title))));
    }

    /** Tells safeguarding leads that there is a worry to read; never what it says. */
    public void toLeads(Map<PersonId, String> leads, String about) {
        outbox.send(leads.entrySet().stream()
                .map(one -> new Outbox.Wanted(
                        MessageKind.WORRY,
                        about,
                        Optional.empty(),
                        Optional.empty(),
                        new Member(one.getKey(), one.getValue(), Role.SECOND_ADULT),
                        Map.of("class", "", "page", addresses.of("/casebook"))))
                .toList());
    }
}
