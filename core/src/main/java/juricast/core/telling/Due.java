package juricast.core.telling;

import static juricast.core.door.DoorPart.DOOR;

import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.LessonPlan;
import juricast.core.live.LessonState;
import juricast.core.live.Visit;
import juricast.core.rules.Catalogue;
import juricast.core.rules.PlannedRules;
import juricast.core.rules.Rule;

/** A message that is due about a lesson: to be sent once to each person, however often it is asked for. */
public record Due(Kind kind, Member to) {
    /** What it says. */
    public enum Kind {
        /** The lesson begins in some minutes. */
        REMINDER,
        /** The lesson has begun, and this pupil is neither in nor at the door. */
        NUDGE
    }

    /**
     * What is due now: reminders to everybody who is expected, from the rule's minutes before the start until the start;
     * nudges to pupils of the class who have not come, from the rule's minutes after the start until the planned end, while
     * the lesson is open. Nobody is nudged before a lesson that no adult has opened: they could not come in.
     *
     * @param rules those of the lesson; 0 minutes mean that nothing is sent
     */
    public static List<Due> of(LessonPlan plan, LessonState lesson, PlannedRules rules, Instant now) {
        // To a help hour nobody has to come.
        if (plan.helpHour()) {
            return List.of();
        }
        Instant starts = plan.time().from();
        var before = rules.value(Catalogue.REMINDER_MINUTES, Rule.ANSWERS, now).length();
        var after = rules.value(Catalogue.NUDGE_MINUTES, Rule.ANSWERS, now).length();
        boolean reminds = !before.isZero()
                && !now.isBefore(starts.minus(before))
                && now.isBefore(starts)
                && !lesson.of(DOOR).isOver();
        boolean nudges = !after.isZero()
                && !now.isBefore(starts.plus(after))
                && now.isBefore(plan.time().until())
                && lesson.of(DOOR).isOpen();
        if (!reminds && !nudges) {
            return List.of();
        }
        Set<PersonId> here = hereOrWaiting(lesson);
        return Stream.concat(
                        plan.members().stream()
                                .filter(one -> reminds && one.role() != Role.OBSERVER)
                                .filter(one -> !here.contains(one.person()))
                                .map(one -> new Due(Kind.REMINDER, one)),
                        missing(plan, lesson).stream().filter(one -> nudges).map(one -> new Due(Kind.NUDGE, one)))
                .toList();
    }

    /** Pupils of the class who are neither in nor at the door and have not been in (need L3). */
    public static List<Member> missing(LessonPlan plan, LessonState lesson) {
        Set<PersonId> here = hereOrWaiting(lesson);
        return plan.classList().stream()
                .filter(one -> one.role() != Role.VISITOR)
                .filter(one -> !here.contains(one.person()) && !lesson.of(DOOR).wasIn(one.person()))
                .toList();
    }

    private static Set<PersonId> hereOrWaiting(LessonState lesson) {
        return Stream.concat(
                        lesson.of(DOOR).waiting().stream(),
                        lesson.of(DOOR).visits().stream().filter(Visit::isPresent))
                .flatMap(visit -> visit.person().stream())
                .collect(Collectors.toSet());
    }
}
