package juricast.server.chat;

import static juricast.core.chat.ChatPart.CHAT;
import static juricast.core.groups.GroupsPart.GROUPS;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import juricast.core.audience.ChatSeat;
import juricast.core.audience.DeskView;
import juricast.core.chat.HeldWords;
import juricast.core.chat.Readers;
import juricast.core.chat.SentFile;
import juricast.core.chat.Words;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.PlaceId;
import juricast.core.live.Visit;
import juricast.server.lesson.Snapshot;
import juricast.server.words.GroupNames;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** What was written, on the wire. Words go beside the pieces of all parts: each is told once, by its number. */
@Component
public class ChatJson {
    private final JsonMapper json;

    ChatJson(JsonMapper json) {
        this.json = json;
    }

    /** @param held messages that wait for an adult */
    public record DeskChat(List<HeldMessage> held) {}

    /** A message that waits for an adult. @param because why, in words */
    public record HeldMessage(
            int number,
            Instant at,
            String person,
            String name,
            String to,
            String text,
            @Nullable FileLine file,
            String because) {}

    /** A file that was sent; its name is the text. */
    public record FileLine(String kind, int bytes) {}

    public record Message(
            int number,
            Instant at,
            String from,
            String fromName,
            Readers.Kind to,
            String toName,
            @Nullable String place,
            String text,
            @Nullable FileLine file) {}

    /**
     * @param classmates whom one may write to alone
     * @param held how many own messages wait for an adult
     * @param mayKeep whether a copy of what one reads may be kept
     */
    public record SeatMineChat(List<Reader> classmates, int held, boolean mayKeep) {}

    /** Whom one may write to alone. @param readAlong whether the adults read along, as with everybody from outside */
    public record Reader(String id, String name, boolean readAlong) {}

    /** Something written. @param mine whether this person wrote it */
    public record Heard(
            int number,
            Instant at,
            boolean mine,
            String from,
            Readers.Kind to,
            String toName,
            String text,
            @Nullable FileLine file) {}

    public DeskChat desk(Snapshot at) {
        return at.piece(
                "chat desk",
                "all",
                List.of(CHAT, GROUPS),
                () -> new DeskChat(at.state().of(CHAT).held().stream()
                        .map(held -> held(held, at.plan(), at.state()))
                        .toList()));
    }

    private static HeldMessage held(HeldWords held, LessonPlan plan, LessonState state) {
        return new HeldMessage(
                held.number(),
                held.at(),
                held.from().value(),
                plan.nameOf(held.from()),
                held.to().one().map(plan::nameOf).orElseGet(() -> held.to()
                        .place()
                        .map(place -> GroupNames.of(place, state))
                        .orElse("the class")),
                held.text(),
                file(held.file()),
                switch (held.why()) {
                    case LINK -> "holds a link";
                    case WORD -> "holds a word of the school's list";
                    case FILE -> "is a file, looked at first by the rules";
                    case EVERY_MESSAGE -> "is read first, by the rules";
                });
    }

    /** What adults read of what was written after a number. */
    public static List<Message> messages(Snapshot at, int after) {
        return DeskView.words(at.plan(), at.state(), after).stream()
                .map(words -> message(words, at))
                .toList();
    }

    /** The same as JSON; empty where nothing was written. */
    public String messagesJson(Snapshot at, int after) {
        return at.shared().once(at, "messages after " + after, () -> {
            List<Message> messages = messages(at, after);
            return messages.isEmpty() ? "" : json.writeValueAsString(messages);
        });
    }

    public SeatMineChat seatMine(Snapshot at, Visit visit, PersonId me, Role role, Instant now) {
        ChatSeat seen = ChatSeat.of(at.plan(), at.state(), at.rights(now), me, role, now);
        return new SeatMineChat(
                seen.classmates().stream()
                        .map(one -> new Reader(
                                one.person().value(),
                                one.name(),
                                visit.role() == Role.VISITOR || one.role() == Role.VISITOR))
                        .toList(),
                seen.held().size(),
                ChatSeat.mayKeep(at.rights(now), me, role, now));
    }

    /** What one arrival may read of what was written after a number. */
    public static List<Heard> heard(Snapshot at, VisitId visit, int after) {
        Optional<PersonId> me = at.state().there().visit(visit).flatMap(Visit::person);
        return ChatSeat.words(at.state(), visit, after).stream()
                .map(words -> heard(words, at, me.equals(Optional.of(words.from()))))
                .toList();
    }

    /** Words that somebody may read, as they read them. */
    public static List<Heard> heard(List<Words> words, Snapshot at, PersonId me) {
        return words.stream().map(one -> heard(one, at, one.from().equals(me))).toList();
    }

    /** The same as JSON. What was written to everybody reads the same for all but who wrote it, so it is encoded once. */
    public String heardJson(Snapshot at, VisitId visit, Optional<PersonId> me, int after) {
        Written written = at.shared().once(at, after, () -> written(at, after));
        if (written.words.isEmpty()) {
            return "";
        }
        if (written.toAll && me.filter(written.authors::contains).isEmpty()) {
            return written.encoded;
        }
        List<Heard> mine = heard(at, visit, after);
        return mine.isEmpty() ? "" : json.writeValueAsString(mine);
    }

    /** What was written after a number. @param encoded as it reads for who wrote none of it; empty unless all is to all */
    private record Written(List<Words> words, boolean toAll, Set<PersonId> authors, String encoded) {}

    private Written written(Snapshot at, int after) {
        List<Words> words = at.state().of(CHAT).after(after);
        boolean toAll = words.stream().allMatch(one -> one.to().kind() == Readers.Kind.CLASS);
        return new Written(
                words,
                toAll,
                words.stream().map(Words::from).collect(Collectors.toSet()),
                toAll
                        ? json.writeValueAsString(
                                words.stream().map(one -> heard(one, at, false)).toList())
                        : "");
    }

    private static @Nullable FileLine file(Optional<SentFile> sent) {
        return sent.map(one -> new FileLine(one.kind(), one.bytes())).orElse(null);
    }

    private static Message message(Words words, Snapshot at) {
        LessonPlan plan = at.plan();
        return new Message(
                words.number(),
                words.at(),
                words.from().value(),
                plan.nameOf(words.from()),
                words.to().kind(),
                toName(words, at),
                words.to().place().map(PlaceId::value).orElse(null),
                words.text(),
                file(words.file()));
    }

    private static String toName(Words words, Snapshot at) {
        return words.to().one().map(at.plan()::nameOf).orElseGet(() -> words.to()
                .place()
                .map(place -> GroupNames.of(place, at.state()))
                .orElse(""));
    }

    private static Heard heard(Words words, Snapshot at, boolean mine) {
        return new Heard(
                words.number(),
                words.at(),
                mine,
                at.plan().nameOf(words.from()),
                words.to().kind(),
                toName(words, at),
                words.text(),
                file(words.file()));
    }
}
