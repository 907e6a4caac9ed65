package juricast.core.chat;

import juricast.core.live.Decision;
import juricast.core.live.Part;
import juricast.core.live.Room;

/** What is written and sent, and what waits for an adult before anyone else reads it (needs F3, F4). */
public final class ChatPart implements Part<ChatState, ChatOrder, ChatEvent> {
    public static final ChatPart CHAT = new ChatPart();

    private ChatPart() {}

    @Override
    public String name() {
        return "chat";
    }

    @Override
    public Class<ChatOrder> orders() {
        return ChatOrder.class;
    }

    @Override
    public Class<ChatEvent> events() {
        return ChatEvent.class;
    }

    @Override
    public ChatState begin() {
        return ChatState.NEW;
    }

    @Override
    public ChatState after(ChatState was, ChatEvent event, int number) {
        return event.match(new ChatFold(was, number));
    }

    @Override
    public Decision decide(ChatState is, ChatOrder order, Room room) {
        return order.match(new ChatRules(is, room));
    }
}
