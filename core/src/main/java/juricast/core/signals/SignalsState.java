package juricast.core.signals;

import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import juricast.core.identity.PersonId;
import juricast.core.live.Copies;
import juricast.core.live.Gone;
import juricast.core.live.WhoIsThere;

/**
 * Hands and signals that are up now.
 *
 * @param hands raised hands and since when, longest first
 * @param signs signals that are shown now
 * @param focused who was put before everybody, present or not
 */
public record SignalsState(Map<PersonId, Instant> hands, Map<PersonId, Sign> signs, Optional<PersonId> focused)
        implements SignalsEvent.Cases<SignalsState> {
    static final SignalsState NEW = new SignalsState(Map.of(), Map.of(), Optional.empty());

    /** Who is put before everybody, while present. */
    public Optional<PersonId> focus(WhoIsThere there) {
        return focused.filter(there::isPresent);
    }

    SignalsState without(Gone gone) {
        if (gone.isEverybody()) {
            return NEW;
        }
        Map<PersonId, Instant> handsLeft = Copies.without(hands, gone.who());
        Map<PersonId, Sign> signsLeft = Copies.without(signs, gone.who());
        Optional<PersonId> stays = gone.how() == Gone.How.DISMISSED ? Optional.empty() : focused;
        return handsLeft == hands && signsLeft == signs && stays.equals(focused)
                ? this
                : new SignalsState(handsLeft, signsLeft, stays);
    }

    @Override
    public SignalsState handRaised(SignalsEvent.HandRaised event) {
        return new SignalsState(Copies.with(hands, event.person(), event.at()), signs, focused);
    }

    @Override
    public SignalsState handLowered(SignalsEvent.HandLowered event) {
        return new SignalsState(Copies.without(hands, event.person()), signs, focused);
    }

    @Override
    public SignalsState signShown(SignalsEvent.SignShown event) {
        Map<PersonId, Sign> next = event.sign()
                .map(sign -> Copies.with(signs, event.person(), sign))
                .orElseGet(() -> Copies.without(signs, event.person()));
        return new SignalsState(hands, next, focused);
    }

    @Override
    public SignalsState signsCleared(SignalsEvent.SignsCleared event) {
        return new SignalsState(hands, Map.of(), focused);
    }

    @Override
    public SignalsState focused(SignalsEvent.Focused event) {
        return new SignalsState(hands, signs, event.on());
    }
}
