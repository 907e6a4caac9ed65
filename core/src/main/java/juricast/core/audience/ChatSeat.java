package juricast.core.audience;

import static juricast.core.chat.ChatPart.CHAT;
import static juricast.core.groups.GroupsPart.GROUPS;

import java.time.Instant;
import java.util.List;
import juricast.core.chat.HeldWords;
import juricast.core.chat.Readers;
import juricast.core.chat.Words;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.identity.VisitId;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.Visit;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Permission;

/**
 * What one person may write to whom.
 *
 * @param classmates whom this person may write to alone; empty unless the rules open it. With a visitor, or for one, the adults
 *     read along
 * @param held this person's own messages that wait for an adult
 */
public record ChatSeat(List<Member> classmates, List<HeldWords> held) {
    public static final ChatSeat FROM_OUTSIDE = new ChatSeat(List.of(), List.of());

    public static ChatSeat of(
            LessonPlan plan, LessonState lesson, SharedRights rights, PersonId me, Role role, Instant now) {
        boolean mayWriteToOne = rights.book(me).value(Catalogue.PRIVATE_CHAT, role, now) == Permission.OPEN;
        return new ChatSeat(
                mayWriteToOne
                        ? plan.classList().stream()
                                .filter(one -> !one.person().equals(me)
                                        && lesson.there().isPresent(one.person()))
                                .toList()
                        : List.of(),
                lesson.of(CHAT).held().stream()
                        .filter(one -> one.from().equals(me))
                        .toList());
    }

    /** Whether this person may keep a copy of what they read; the school keeps its record either way. */
    public static boolean mayKeep(SharedRights rights, PersonId me, Role role, Instant now) {
        return rights.book(me).value(Catalogue.CHAT_SAVE, role, now) == Permission.OPEN;
    }

    /** Only what this arrival may read. @param after only words with a higher number are wanted */
    public static List<Words> words(LessonState lesson, VisitId id, int after) {
        return lesson.there()
                .visit(id)
                .filter(visit -> visit.status() == Visit.Status.IN)
                .flatMap(Visit::person)
                .map(me -> lesson.of(CHAT).after(after).stream()
                        .filter(words -> mayRead(lesson, me, words))
                        .toList())
                .orElse(List.of());
    }

    /** Whether somebody who is in may read it. What was written in a place is read by those who were in it then. */
    public static boolean mayRead(LessonState lesson, PersonId me, Words words) {
        return words.to()
                        .place()
                        .filter(place -> lesson.of(GROUPS).whereabouts().wasIn(me, place, words.written()))
                        .isPresent()
                || words.to().kind() == Readers.Kind.CLASS
                || words.from().equals(me)
                || words.to().one().filter(me::equals).isPresent();
    }
}
