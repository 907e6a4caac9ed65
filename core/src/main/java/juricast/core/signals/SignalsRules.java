package juricast.core.signals;

import static juricast.core.live.Decision.done;
import static juricast.core.live.Refusal.Common.NOT_PRESENT;
import static juricast.core.live.Refusal.Common.RULE_CLOSED;

import java.util.Optional;
import juricast.core.door.Acting;
import juricast.core.identity.PersonId;
import juricast.core.live.Decision;
import juricast.core.live.LessonEvent;
import juricast.core.live.Refusal;
import juricast.core.live.Room;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;

/** Decides about hands, signals and who stands before everybody. */
record SignalsRules(SignalsState is, Room room) implements SignalsOrder.Cases<Decision> {
    @Override
    public Decision raiseHand(SignalsOrder.RaiseHand order) {
        return Acting.present(room, order.visit(), person -> room.who()
                .right(person, Catalogue.HAND)
                .orElseGet(() -> is.hands().containsKey(person)
                        ? done()
                        : done(new SignalsEvent.HandRaised(person, room.now()))));
    }

    @Override
    public Decision lowerHand(SignalsOrder.LowerHand order) {
        Optional<Decision> no = order.by().equals(order.person())
                ? Optional.empty()
                : room.who().helper(order.by(), Catalogue.HELP_HANDS);
        return no.orElseGet(() -> is.hands().containsKey(order.person())
                ? done(new SignalsEvent.HandLowered(order.person(), order.by(), room.now()))
                : done());
    }

    @Override
    public Decision handsDown(SignalsOrder.HandsDown order) {
        return room.who()
                .adult(order.by(), Catalogue.HELP_STEER)
                .orElseGet(() -> done(is.hands().keySet().stream()
                        .map(person -> new SignalsEvent.HandLowered(person, order.by(), room.now()))
                        .toArray(LessonEvent[]::new)));
    }

    @Override
    public Decision showSign(SignalsOrder.ShowSign order) {
        return Acting.present(room, order.visit(), person -> room.who()
                .right(person, Catalogue.REACTIONS)
                .orElseGet(() -> is.sign(person).equals(order.sign())
                        ? done()
                        : done(new SignalsEvent.SignShown(person, order.sign(), room.now()))));
    }

    @Override
    public Decision clearSigns(SignalsOrder.ClearSigns order) {
        return room.who()
                .adult(order.by(), Catalogue.HELP_STEER)
                .orElseGet(() ->
                        is.shown().isEmpty() ? done() : done(new SignalsEvent.SignsCleared(order.by(), room.now())));
    }

    @Override
    public Decision focus(SignalsOrder.Focus order) {
        return room.who()
                .adult(order.by(), Catalogue.HELP_STEER)
                .or(() -> order.on().flatMap(this::mayNotStandBeforeAll))
                .orElseGet(() -> put(order));
    }

    private Decision put(SignalsOrder.Focus order) {
        Optional<PersonId> asks = order.on().filter(this::isAskedFirst);
        if (asks.isPresent()) {
            return is.asked().filter(one -> one.waitsFor(asks.get())).isPresent()
                    ? done()
                    : done(new SignalsEvent.FocusAsked(asks.get(), order.by(), room.now()));
        }
        return order.on().equals(is.focus(room.there())) && is.asked().isEmpty()
                ? done()
                : done(new SignalsEvent.Focused(order.on(), order.by(), room.now()));
    }

    private boolean isAskedFirst(PersonId person) {
        return room.who().ruling(person, Catalogue.FOCUS).value() == Permission.ON_REQUEST
                && !is.focus(room.there()).equals(Optional.of(person));
    }

    @Override
    public Decision answerFocus(SignalsOrder.AnswerFocus order) {
        return Acting.present(room, order.visit(), person -> {
            Optional<SignalsState.Asked> question = is.asked().filter(one -> one.waitsFor(person));
            if (question.isEmpty()) {
                return done();
            }
            if (!order.yes()) {
                return done(new SignalsEvent.FocusDeclined(person, room.now()));
            }
            return mayNotStandBeforeAll(person)
                    .orElseGet(() -> done(new SignalsEvent.Focused(
                            Optional.of(person), question.get().by(), room.now())));
        });
    }

    private Optional<Decision> mayNotStandBeforeAll(PersonId person) {
        if (!room.there().isPresent(person)) {
            return Optional.of(Refusal.of(NOT_PRESENT, person));
        }
        var ruling = room.who().ruling(person, Catalogue.FOCUS);
        return ruling.value() == Permission.CLOSED ? Optional.of(Refusal.by(RULE_CLOSED, ruling)) : Optional.empty();
    }
}
