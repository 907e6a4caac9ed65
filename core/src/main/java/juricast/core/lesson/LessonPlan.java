package juricast.core.lesson;

import java.util.List;
import java.util.Optional;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.time.Span;

/**
 * What was planned for a lesson before anyone came: its time and who belongs to it.
 *
 * @param members also the observers who may look in
 * @param order the planned stances
 * @param watched the school's words that are looked at first
 * @param sequel what comes after it
 */
public record LessonPlan(
        LessonId lesson,
        String title,
        Span time,
        List<Member> members,
        RunningOrder order,
        WatchedWords watched,
        Sequel sequel) {
    public LessonPlan {
        members = List.copyOf(members);
    }

    public LessonPlan(LessonId lesson, String title, Span time, List<Member> members) {
        this(lesson, title, time, members, RunningOrder.NONE, WatchedWords.NONE, Sequel.NONE);
    }

    /** The same with what is planned and watched in it. */
    public LessonPlan with(RunningOrder planned, WatchedWords words) {
        return new LessonPlan(lesson, title, time, members, planned, words, sequel);
    }

    /** The same with what follows it. */
    public LessonPlan before(Sequel next) {
        return new LessonPlan(lesson, title, time, members, order, watched, next);
    }

    /** Asked many times by every decision, so it is a plain loop. */
    public Optional<Member> member(PersonId person) {
        for (Member one : members) {
            if (one.person().equals(person)) {
                return Optional.of(one);
            }
        }
        return Optional.empty();
    }

    /** The name the school knows; the id where the person has left the class since. */
    public String nameOf(PersonId person) {
        return member(person).map(Member::name).orElse(person.value());
    }

    /** The adults in charge, lead adult first. */
    public List<Member> adults() {
        return members.stream()
                .filter(one -> one.role().isAdultInCharge())
                .sorted((a, b) -> a.role().compareTo(b.role()))
                .toList();
    }

    /** Those who come in by the door, in the order of the roster. */
    public List<Member> classList() {
        return members.stream()
                .filter(one -> !one.role().isAdultInCharge() && one.role() != Role.OBSERVER)
                .toList();
    }

    /** @throws IllegalArgumentException if the person does not belong to this lesson */
    public Role roleOf(PersonId person) {
        return member(person)
                .map(Member::role)
                .orElseThrow(() -> new IllegalArgumentException("Not of this lesson: " + person));
    }
}
