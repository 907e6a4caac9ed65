package juricast.core.chat;

import juricast.core.live.Copies;

/** One step of the fold. @param was the state before it @param number the number of the event */
record ChatFold(ChatState was, int number) implements ChatEvent.Cases<ChatState> {
    @Override
    public ChatState said(ChatEvent.Said event) {
        var words = new Words(number, number, event.from(), event.to(), event.text(), event.file(), event.at());
        return new ChatState(
                Copies.plus(was.words(), words),
                was.held(),
                was.files() + (event.file().isPresent() ? 1 : 0));
    }

    @Override
    public ChatState held(ChatEvent.Held event) {
        var held = new HeldWords(number, event.from(), event.to(), event.text(), event.file(), event.why(), event.at());
        return new ChatState(
                was.words(),
                Copies.plus(was.held(), held),
                was.files() + (event.file().isPresent() ? 1 : 0));
    }

    @Override
    public ChatState released(ChatEvent.Released event) {
        var words = was.held().stream()
                .filter(one -> one.number() == event.number() && event.letThrough())
                .findFirst()
                .map(one -> new Words(number, one.number(), one.from(), one.to(), one.text(), one.file(), event.at()))
                .map(one -> Copies.plus(was.words(), one))
                .orElse(was.words());
        return new ChatState(
                words,
                was.held().stream()
                        .filter(one -> one.number() != event.number())
                        .toList(),
                was.files());
    }
}
