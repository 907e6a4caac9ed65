package juricast.core.questions;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.live.Copies;
import juricast.core.live.LessonPlan;

/**
 * A question that was asked, with its answers.
 *
 * @param number the number of the event by which it was asked
 * @param answers the latest of each person, in the order of first answers
 * @param first when each answered first
 * @param until when it closes by itself, as last said
 * @param shown whether the class sees how it was answered, and then whether it is told what was right
 */
public record AskedQuestion(
        int number,
        QuestionsEvent.Asked asked,
        Map<PersonId, Answer> answers,
        Map<PersonId, Instant> first,
        Optional<Instant> until,
        Set<PersonId> nudged,
        Optional<Instant> closed,
        Optional<Boolean> shown,
        boolean isAway) {
    public static AskedQuestion of(int number, QuestionsEvent.Asked asked) {
        return new AskedQuestion(
                number, asked, Map.of(), Map.of(), asked.until(), Set.of(), Optional.empty(), Optional.empty(), false);
    }

    public Question question() {
        return asked.question();
    }

    public boolean isOpen() {
        return closed.isEmpty();
    }

    /** Whether answers are taken at that moment: not once its time is up, whether or not the clock has been asked since. */
    public boolean isOpenAt(Instant now) {
        return isOpen() && until.map(now::isBefore).orElse(true);
    }

    /** How long somebody took for the first answer. */
    public Optional<Duration> took(PersonId person) {
        return Optional.ofNullable(first.get(person)).map(at -> Duration.between(asked.at(), at));
    }

    /**
     * Whether this adult sees who answered what, as promised when it was asked. Whoever was not planned as lead adult counts as a
     * second adult; a safeguarding lead sees what any adult sees.
     */
    public boolean isNamedFor(PersonId adult, LessonPlan plan) {
        Role role = plan.member(adult)
                .map(Member::role)
                .filter(Role::isAdultInCharge)
                .orElse(Role.SECOND_ADULT);
        return asked.seenBy().contains(role)
                || plan.isLead(adult) && !asked.seenBy().isEmpty();
    }

    /** How it was answered, for who may know that. */
    public Results results() {
        return Results.of(question(), List.copyOf(answers.values()));
    }

    AskedQuestion answered(QuestionsEvent.Answered event) {
        return new AskedQuestion(
                number,
                asked,
                Copies.with(answers, event.person(), event.answer()),
                first.containsKey(event.person()) ? first : Copies.with(first, event.person(), event.at()),
                until,
                Copies.without(nudged, event.person()),
                closed,
                shown,
                isAway);
    }

    AskedQuestion until(Instant later) {
        return new AskedQuestion(number, asked, answers, first, Optional.of(later), nudged, closed, shown, isAway);
    }

    AskedQuestion nudged(List<PersonId> people) {
        return new AskedQuestion(number, asked, answers, first, until, Set.copyOf(people), closed, shown, isAway);
    }

    AskedQuestion closed(Instant at) {
        return new AskedQuestion(number, asked, answers, first, until, Set.of(), Optional.of(at), shown, isAway);
    }

    AskedQuestion shown(boolean right) {
        return new AskedQuestion(number, asked, answers, first, until, Set.of(), closed, Optional.of(right), isAway);
    }

    AskedQuestion away() {
        return new AskedQuestion(number, asked, answers, first, until, Set.of(), closed, Optional.empty(), true);
    }
}
