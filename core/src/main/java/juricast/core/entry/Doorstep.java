package juricast.core.entry;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import juricast.core.identity.DeviceId;
import juricast.core.identity.LessonId;
import juricast.core.identity.PersonId;
import juricast.core.identity.VisitId;
import juricast.core.time.Span;

/**
 * What comes of somebody who stands before a door with a link in hand, before the lesson itself judges them (needs B3, D3, E6). The
 * order in which it is asked is the rule: the link, the name, the word within its limits, the agreement to the house rules, a lesson
 * that is there, and last whether they knock too often. So nobody guesses a word for nothing, and nobody is counted as knocking who
 * only ticked no box.
 */
public final class Doorstep {
    /** How long before its planned start a lesson is the one that a link leads to. */
    public static final Duration LEADS_FROM = Duration.ofMinutes(60);

    /** How long after its planned end it still is, if nobody has ended it. */
    public static final Duration LEADS_UNTIL = Duration.ofMinutes(30);

    private Doorstep() {}

    /** Whom a link is for. */
    public enum Link {
        PUPILS,
        VISITOR,
        STAFF
    }

    /**
     * Who comes.
     *
     * @param current whether the link still counts
     * @param member the account, of who is signed in and on the list
     * @param invited whose own link it is
     * @param name as they are called: the invitation's, the account's, or what they say; empty where that is no name
     * @param word the join word they say
     * @param agreed whether the house rules were read and agreed to
     * @param outside where they come from, if from outside the school
     */
    public record Comer(
            Link link,
            boolean current,
            Optional<PersonId> member,
            Optional<PersonId> invited,
            String name,
            String word,
            boolean agreed,
            Optional<Arrival.Outside> outside,
            DeviceId device) {
        /** Those of the class who are signed in need no word; nor does who comes by a link of their own, which names them. */
        boolean needsWord() {
            return needsWord(link, member.isPresent()) && !calls();
        }

        /** Who calls by telephone has no keys for a word, and no name before an adult has asked for it. */
        private boolean calls() {
            return outside.filter(one -> one.way() == Arrival.Way.TELEPHONE).isPresent();
        }

        /** The same before anybody has said anything. */
        public static boolean needsWord(Link link, boolean isMember) {
            return link == Link.PUPILS && !isMember;
        }

        private Arrival arrives(VisitId visit) {
            // An own link that counts no more names nobody.
            Optional<PersonId> who = invited.filter(one -> current).or(() -> member);
            Arrival.Link how =
                    !current ? Arrival.Link.RETIRED : link == Link.VISITOR ? Arrival.Link.OWN : Arrival.Link.CURRENT;
            return new Arrival(visit, device, name, who, how, agreed, outside);
        }
    }

    /** A lesson that a link may lead to. */
    public record Near(LessonId lesson, Span time, boolean isOpen, boolean isOver) {}

    /**
     * What is asked only when it comes to it, because asking counts.
     *
     * @param isWordRight counts a try, and says whether the word is right
     * @param mayKnock counts a knock, and says whether it is not one too many
     */
    public record Counted(BooleanSupplier isWordRight, BooleanSupplier mayKnock) {}

    /** Somebody of the same device who is in already, if so. */
    public record Before(VisitId visit, Arrival arrival) {}

    /** Why nobody knocks. */
    public enum Refusal {
        FOR_STAFF,
        NO_NAME,
        WRONG_WORD,
        HOUSE_RULES,
        NO_LESSON_NOW,
        TOO_MANY_KNOCKS
    }

    /** What comes of it: exactly one of the three. */
    public record Answer(Optional<Refusal> refusal, Optional<VisitId> again, Optional<Arrival> knocks) {
        static Answer refused(Refusal why) {
            return new Answer(Optional.of(why), Optional.empty(), Optional.empty());
        }
    }

    /** The lesson that a link leads to now: one that is open goes first, then one whose time is near. */
    public static Optional<LessonId> leadsTo(List<Near> near, Instant now) {
        return near.stream()
                .filter(Near::isOpen)
                .findFirst()
                .or(() -> near.stream()
                        .filter(one -> !now.isBefore(one.time.from().minus(LEADS_FROM))
                                && now.isBefore(one.time.until().plus(LEADS_UNTIL))
                                && !one.isOver)
                        .findFirst())
                .map(Near::lesson);
    }

    /**
     * @param lesson whether there is one that the link leads to now
     * @param before who is in on this device already
     * @param visit the visit they will have
     */
    public static Answer knock(Comer comer, boolean lesson, Optional<Before> before, VisitId visit, Counted counted) {
        if (comer.link == Link.STAFF) {
            return Answer.refused(Refusal.FOR_STAFF);
        }
        if (comer.name.isEmpty()) {
            return Answer.refused(Refusal.NO_NAME);
        }
        if (comer.needsWord() && !counted.isWordRight.getAsBoolean()) {
            return Answer.refused(Refusal.WRONG_WORD);
        }
        if (!comer.agreed) {
            return Answer.refused(Refusal.HOUSE_RULES);
        }
        if (!lesson) {
            return Answer.refused(Refusal.NO_LESSON_NOW);
        }
        Arrival arrival = comer.arrives(visit);
        Optional<VisitId> again =
                before.filter(one -> isOfSame(one.arrival, arrival)).map(Before::visit);
        if (again.isPresent()) {
            return new Answer(Optional.empty(), again, Optional.empty());
        }
        return counted.mayKnock.getAsBoolean()
                ? new Answer(Optional.empty(), Optional.empty(), Optional.of(arrival))
                : Answer.refused(Refusal.TOO_MANY_KNOCKS);
    }

    /** Whether the same person comes again: by the account, or by the name where there is none. */
    private static boolean isOfSame(Arrival before, Arrival now) {
        return before.account().equals(now.account())
                && before.outside().equals(now.outside())
                && (now.account().isPresent() || before.claimedName().equalsIgnoreCase(now.claimedName()));
    }
}
