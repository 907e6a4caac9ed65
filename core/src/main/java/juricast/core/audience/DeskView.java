package juricast.core.audience;

import static juricast.core.chat.ChatPart.CHAT;

import java.time.Instant;
import java.util.List;
import java.util.stream.Stream;
import juricast.core.chat.Readers;
import juricast.core.chat.Words;
import juricast.core.identity.Member;
import juricast.core.identity.Role;
import juricast.core.live.LessonEvent;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.rules.PlannedRules;

/**
 * A lesson as its adults see it: all of it, but for what pupils are allowed to write to each other alone. Of parts whose whole state
 * they see there is no piece here.
 *
 * @param needs what asks for an adult now
 */
public record DeskView(
        int number,
        Instant now,
        DoorDesk door,
        RightsDesk rights,
        GroupsDesk groups,
        List<Need> needs,
        List<Words> words) {
    public static DeskView of(
            LessonPlan plan, LessonState lesson, List<LessonEvent> events, PlannedRules rules, Instant now) {
        SharedRights shared = SharedRights.of(lesson, rules, now);
        DoorDesk door = DoorDesk.of(plan, lesson, events, shared.rules(), now);
        return new DeskView(
                lesson.number(),
                now,
                door,
                RightsDesk.of(plan, lesson, shared, now),
                GroupsDesk.of(plan, lesson, rules, now),
                Needs.of(plan, lesson, rules, door, now).list(),
                words(plan, lesson, 0));
    }

    /** What was written after a number, but for what pupils wrote to each other alone. */
    public static List<Words> words(LessonPlan plan, LessonState lesson, int after) {
        return lesson.of(CHAT).after(after).stream()
                .filter(words -> isForAdults(words, plan))
                .toList();
    }

    /** Adults read along where one of them writes or reads, and wherever somebody from outside does. */
    private static boolean isForAdults(Words words, LessonPlan plan) {
        return words.to().kind() != Readers.Kind.ONE
                || Stream.concat(Stream.of(words.from()), words.to().one().stream())
                        .anyMatch(person -> plan.isFormer(person)
                                || plan.member(person)
                                        .map(Member::role)
                                        .filter(role ->
                                                role.isAdultInCharge() || role == Role.VISITOR || role == Role.OBSERVER)
                                        .isPresent());
    }
}
