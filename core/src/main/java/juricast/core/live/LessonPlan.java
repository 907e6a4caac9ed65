package juricast.core.live;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import juricast.core.consent.Consents;
import juricast.core.grouping.Wishes;
import juricast.core.identity.LessonId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.ladder.Conduct;
import juricast.core.time.Span;

/**
 * What was planned for a lesson before anyone came: its time and who belongs to it.
 *
 * @param members also the observers who may look in
 * @param order the planned stances
 * @param watched the school's words that are looked at first
 * @param sequel what comes after it
 * @param beside who has to do with it without being one of its people
 * @param wishes what its class keeps for making groups
 * @param consents what was said about recording its people
 * @param welcome how arriving people are welcomed
 * @param conduct the school's ladder, and what its pupils bring along
 * @param helpHour whether it is no lesson but an hour in which questions are answered
 */
public record LessonPlan(
        LessonId lesson,
        String title,
        Span time,
        List<Member> members,
        RunningOrder order,
        WatchedWords watched,
        Sequel sequel,
        Beside beside,
        Wishes wishes,
        Consents consents,
        Optional<Welcome> welcome,
        Conduct conduct,
        boolean helpHour) {
    /**
     * People beside those of the lesson.
     *
     * @param leads the school's safeguarding leads, who may act in every lesson
     * @param former adults and visitors who are none of its people any more but were in it: they have a name in the record, and
     *     no authority
     */
    public record Beside(Set<PersonId> leads, List<Member> former) {
        public static final Beside NOBODY = new Beside(Set.of(), List.of());

        public Beside {
            leads = Set.copyOf(leads);
            former = List.copyOf(former);
        }
    }

    public LessonPlan {
        members = List.copyOf(members);
    }

    public LessonPlan(LessonId lesson, String title, Span time, List<Member> members) {
        this(
                lesson,
                title,
                time,
                members,
                RunningOrder.NONE,
                WatchedWords.NONE,
                Sequel.NONE,
                Beside.NOBODY,
                Wishes.NONE,
                Consents.NONE,
                Optional.empty(),
                Conduct.USUAL,
                false);
    }

    /** The same with what is planned and watched in it. The running order of a class is for its lessons, not for a help hour. */
    public LessonPlan with(RunningOrder planned, WatchedWords words) {
        RunningOrder ofThis = helpHour ? RunningOrder.NONE : planned;
        return new LessonPlan(
                lesson, title, time, members, ofThis, words, sequel, beside, wishes, consents, welcome, conduct,
                helpHour);
    }

    /** The same with what follows it. */
    public LessonPlan before(Sequel next) {
        return new LessonPlan(
                lesson, title, time, members, order, watched, next, beside, wishes, consents, welcome, conduct,
                helpHour);
    }

    /** The same with others as its members, and who is beside them. */
    public LessonPlan of(List<Member> others, Beside besides) {
        return new LessonPlan(
                lesson, title, time, others, order, watched, sequel, besides, wishes, consents, welcome, conduct,
                helpHour);
    }

    /** The same with what its class keeps for making groups. */
    public LessonPlan wishing(Wishes kept) {
        return new LessonPlan(
                lesson, title, time, members, order, watched, sequel, beside, kept, consents, welcome, conduct,
                helpHour);
    }

    /** The same with what was said about recording its people. */
    public LessonPlan consenting(Consents said) {
        return new LessonPlan(
                lesson, title, time, members, order, watched, sequel, beside, wishes, said, welcome, conduct, helpHour);
    }

    /** The same with how arriving people are welcomed. */
    public LessonPlan welcoming(Optional<Welcome> words) {
        return new LessonPlan(
                lesson, title, time, members, order, watched, sequel, beside, wishes, consents, words, conduct,
                helpHour);
    }

    /** The same with a ladder, and what its pupils bring along. */
    public LessonPlan meeting(Conduct how) {
        return new LessonPlan(
                lesson, title, time, members, order, watched, sequel, beside, wishes, consents, welcome, how, helpHour);
    }

    /** The same as a help hour, or not. */
    public LessonPlan helpHour(boolean is) {
        return new LessonPlan(
                lesson, title, time, members, order, watched, sequel, beside, wishes, consents, welcome, conduct, is);
    }

    /** Whether this person is a safeguarding lead of the school. */
    public boolean isLead(PersonId person) {
        return beside.leads.contains(person);
    }

    /** Whether this person was in charge here, or visited, and is neither any more. */
    public boolean isFormer(PersonId person) {
        return beside.former.stream().anyMatch(one -> one.person().equals(person));
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
        return known(person).map(Member::name).orElse(person.value());
    }

    private Optional<Member> known(PersonId person) {
        return member(person).or(() -> beside.former.stream()
                .filter(one -> one.person().equals(person))
                .findFirst());
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

    /** What they are in it, or were. @throws IllegalArgumentException if the person never belonged to this lesson */
    public Role roleOf(PersonId person) {
        return known(person)
                .map(Member::role)
                .orElseThrow(() -> new IllegalArgumentException("Not of this lesson: " + person));
    }
}
