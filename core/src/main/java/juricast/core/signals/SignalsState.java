package juricast.core.signals;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import juricast.core.identity.PersonId;
import juricast.core.live.Copies;
import juricast.core.live.Gone;
import juricast.core.live.WhoIsThere;

/**
 * Hands and signals that are up now.
 *
 * @param hands raised hands and since when, longest first
 * @param shown signals that are shown now, longest first
 * @param focused who was put before everybody, present or not
 * @param asked who is asked, or was and declined; nobody any more with the next word about the focus
 */
public record SignalsState(
        Map<PersonId, Instant> hands, List<Shown> shown, Optional<PersonId> focused, Optional<Asked> asked)
        implements SignalsEvent.Cases<SignalsState> {
    static final SignalsState NEW = new SignalsState(Map.of(), List.of(), Optional.empty(), Optional.empty());

    /** A signal that somebody shows. */
    public record Shown(PersonId person, Sign sign, Instant since) {}

    /** Somebody who is asked whether they would stand before everybody. @param by who asks @param declined whether they said no */
    public record Asked(PersonId person, PersonId by, boolean declined) {
        /** Whether an answer of theirs is waited for. */
        public boolean waitsFor(PersonId one) {
            return !declined && person.equals(one);
        }
    }

    /** The signal that somebody shows, if they do. */
    public Optional<Sign> sign(PersonId person) {
        return shown.stream()
                .filter(one -> one.person.equals(person))
                .map(Shown::sign)
                .findFirst();
    }

    private List<Shown> without(Collection<PersonId> people) {
        List<Shown> rest =
                shown.stream().filter(one -> !people.contains(one.person)).toList();
        return rest.size() == shown.size() ? shown : rest;
    }

    /** Who is put before everybody, while present. */
    public Optional<PersonId> focus(WhoIsThere there) {
        return focused.filter(there::isPresent);
    }

    SignalsState without(Gone gone) {
        if (gone.isEverybody()) {
            return NEW;
        }
        Map<PersonId, Instant> handsLeft = Copies.without(hands, gone.who());
        List<Shown> signsLeft = without(gone.who());
        Optional<PersonId> stays = gone.how() == Gone.How.DISMISSED ? Optional.empty() : focused;
        Optional<Asked> askedStill =
                asked.filter(one -> !gone.who().contains(one.person) && gone.how() != Gone.How.DISMISSED);
        return handsLeft == hands && signsLeft == shown && stays.equals(focused) && askedStill.equals(asked)
                ? this
                : new SignalsState(handsLeft, signsLeft, stays, askedStill);
    }

    @Override
    public SignalsState handRaised(SignalsEvent.HandRaised event) {
        return new SignalsState(Copies.with(hands, event.person(), event.at()), shown, focused, asked);
    }

    @Override
    public SignalsState handLowered(SignalsEvent.HandLowered event) {
        return new SignalsState(Copies.without(hands, event.person()), shown, focused, asked);
    }

    @Override
    public SignalsState signShown(SignalsEvent.SignShown event) {
        List<Shown> others = without(Set.of(event.person()));
        List<Shown> next = event.sign()
                .map(sign -> Copies.plus(others, new Shown(event.person(), sign, event.at())))
                .orElse(others);
        return new SignalsState(hands, next, focused, asked);
    }

    @Override
    public SignalsState signsCleared(SignalsEvent.SignsCleared event) {
        return new SignalsState(hands, List.of(), focused, asked);
    }

    @Override
    public SignalsState focused(SignalsEvent.Focused event) {
        return new SignalsState(hands, shown, event.on(), Optional.empty());
    }

    @Override
    public SignalsState focusAsked(SignalsEvent.FocusAsked event) {
        return new SignalsState(hands, shown, focused, Optional.of(new Asked(event.person(), event.by(), false)));
    }

    @Override
    public SignalsState focusDeclined(SignalsEvent.FocusDeclined event) {
        return new SignalsState(hands, shown, focused, asked.map(one -> new Asked(one.person, one.by, true)));
    }
}
