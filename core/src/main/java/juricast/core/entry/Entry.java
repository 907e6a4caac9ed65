package juricast.core.entry;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import juricast.core.entry.NameMatch.Certainty;
import juricast.core.identity.DeviceId;
import juricast.core.identity.Member;
import juricast.core.identity.PersonId;
import juricast.core.identity.Role;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Door;
import juricast.core.rules.Fact;
import juricast.core.rules.Minutes;
import juricast.core.rules.Permission;
import juricast.core.rules.ReEntry;
import juricast.core.rules.Rule;
import juricast.core.rules.YesNo;

/** Judges arrivals. A check is a function that gives a reason or nothing; the strictest decides, and all are kept. */
public final class Entry {
    /** One question asked of an arrival. */
    @FunctionalInterface
    private interface Check {
        Optional<Reason> reason(Arrival arrival, Known known, Doorway doorway, Instant now);
    }

    // In the order an adult would ask, so equally strict reasons are read out in that order.
    private static final List<Check> CHECKS = List.of(
            Entry::lessonIsOver,
            Entry::linkIsRetired,
            Entry::removedEarlier,
            Entry::outOfSeries,
            Entry::sentToDoor,
            Entry::noVisitors,
            Entry::turnedAwayEarlier,
            Entry::sweep,
            Entry::byTelephone,
            Entry::outsideAccount,
            Entry::nameOnTheList,
            Entry::alreadyHere,
            Entry::visitor,
            Entry::roomIsFull,
            Entry::helpIsFull,
            Entry::wouldBeAlone,
            Entry::tooEarly,
            Entry::noAdultYet,
            Entry::door,
            Entry::onClassList);

    private Entry() {}

    /** The verdict, and who on the list the arrival is taken for, if that is certain enough to propose it. */
    public static Judgement judge(Arrival arrival, Doorway before, Instant now) {
        Doorway doorway = before.asFor(arrival);
        Known known = know(arrival, doorway);
        Verdict verdict = Verdict.of(CHECKS.stream()
                .flatMap(check -> check.reason(arrival, known, doorway, now).stream())
                .toList());
        return new Judgement(verdict, known.member().map(Member::person));
    }

    /** A verdict together with the person it is about, if one on the class list is meant. */
    public record Judgement(Verdict verdict, Optional<PersonId> person) {}

    private record Known(NameMatch match) {
        Optional<Member> member() {
            boolean one = match.certainty() == Certainty.EXACT || match.certainty() == Certainty.SIMILAR;
            return one ? Optional.of(match.candidates().get(0)) : Optional.empty();
        }

        Role role() {
            return member().map(Member::role).orElse(Role.PUPIL);
        }

        /** Whether this person is meant, or one of several who may be. */
        boolean mayBe(PersonId person) {
            return match.certainty() != Certainty.NONE
                    && match.candidates().stream().anyMatch(one -> one.person().equals(person));
        }

        PersonId[] people() {
            return match.candidates().stream().map(Member::person).toArray(PersonId[]::new);
        }
    }

    private static Known know(Arrival arrival, Doorway doorway) {
        Optional<String> number = arrival.from(Arrival.Way.TELEPHONE);
        if (number.isPresent()) {
            // A number is no name: it is known once an adult has let it in as somebody.
            List<Member> named = doorway.list().stream()
                    .filter(member -> member.person().equals(doorway.named().get(number.get())))
                    .toList();
            return new Known(new NameMatch(named.isEmpty() ? Certainty.NONE : Certainty.EXACT, named));
        }
        if (arrival.account().isEmpty()) {
            return new Known(NameMatch.find(arrival.claimedName(), doorway.list()));
        }
        // An account goes before any name: someone signed in who is not of this class is never matched by name.
        List<Member> listed = doorway.list().stream()
                .filter(member -> member.person().equals(arrival.account().get()))
                .toList();
        return new Known(new NameMatch(listed.isEmpty() ? Certainty.NONE : Certainty.EXACT, listed));
    }

    private static Optional<Reason> lessonIsOver(Arrival arrival, Known known, Doorway doorway, Instant now) {
        return reasonIf(doorway.inside().over(), ReasonCode.LESSON_OVER);
    }

    private static Optional<Reason> linkIsRetired(Arrival arrival, Known known, Doorway doorway, Instant now) {
        return reasonIf(arrival.link() == Arrival.Link.RETIRED, ReasonCode.LINK_RETIRED);
    }

    private static Optional<Reason> removedEarlier(Arrival arrival, Known known, Doorway doorway, Instant now) {
        PersonId[] removed = doorway.refused().removed().entrySet().stream()
                .filter(one -> isSame(one, arrival, known))
                .map(Map.Entry::getKey)
                .toArray(PersonId[]::new);
        if (removed.length == 0) {
            return Optional.empty();
        }
        ReEntry reEntry = doorway.rules().value(Catalogue.RE_ENTRY, known.role(), now);
        return switch (reEntry) {
            case NEVER -> Optional.of(Reason.of(ReasonCode.REMOVED_FOR_GOOD, removed));
            case AFTER_APPROVAL -> Optional.of(Reason.of(ReasonCode.REMOVED_EARLIER, removed));
            case LIKE_ANYONE -> Optional.empty();
        };
    }

    /** By account or name, or by device: a removed pupil does not come back under another name (need G2). */
    private static boolean isSame(Map.Entry<PersonId, Set<DeviceId>> removed, Arrival arrival, Known known) {
        return known.mayBe(removed.getKey()) || removed.getValue().contains(arrival.device());
    }

    private static Optional<Reason> outOfSeries(Arrival arrival, Known known, Doorway doorway, Instant now) {
        PersonId[] out =
                doorway.refused().outOfSeries().stream().filter(known::mayBe).toArray(PersonId[]::new);
        return out.length == 0 ? Optional.empty() : Optional.of(Reason.of(ReasonCode.OUT_OF_SERIES, out));
    }

    private static Optional<Reason> sentToDoor(Arrival arrival, Known known, Doorway doorway, Instant now) {
        return sent(arrival, known, doorway)
                .filter(one -> !one.isOver(now))
                .map(one -> Reason.of(ReasonCode.SENT_TO_DOOR, one.person()));
    }

    private static Optional<Doorway.Sent> sent(Arrival arrival, Known known, Doorway doorway) {
        return doorway.refused().sent().stream()
                .filter(one -> known.mayBe(one.person()) || one.devices().contains(arrival.device()))
                .findFirst();
    }

    /** Who was invited before the rules closed the door to visitors does not come in either (need B8). */
    private static Optional<Reason> noVisitors(Arrival arrival, Known known, Doorway doorway, Instant now) {
        return reasonIf(
                known.role() == Role.VISITOR
                        && doorway.rules().value(Catalogue.VISITORS, Role.VISITOR, now) == Permission.CLOSED,
                ReasonCode.NO_VISITORS);
    }

    private static Optional<Reason> turnedAwayEarlier(Arrival arrival, Known known, Doorway doorway, Instant now) {
        return reasonIf(doorway.refused().turnedAway().contains(arrival.device()), ReasonCode.TURNED_AWAY_EARLIER);
    }

    private static Optional<Reason> sweep(Arrival arrival, Known known, Doorway doorway, Instant now) {
        return reasonIf(doorway.refused().sweeping().contains(arrival.device()), ReasonCode.SWEEP);
    }

    /** Who calls waits until an adult has asked who it is; where the rule is open, a number is asked only once in a lesson. */
    private static Optional<Reason> byTelephone(Arrival arrival, Known known, Doorway doorway, Instant now) {
        if (arrival.from(Arrival.Way.TELEPHONE).isEmpty()) {
            return Optional.empty();
        }
        return switch (doorway.rules().value(Catalogue.TELEPHONE, known.role(), now)) {
            case CLOSED -> Optional.of(Reason.of(ReasonCode.NO_TELEPHONE, known.people()));
            case ON_REQUEST -> Optional.of(Reason.of(ReasonCode.BY_TELEPHONE, known.people()));
            case OPEN -> reasonIf(known.member().isEmpty(), ReasonCode.BY_TELEPHONE);
        };
    }

    /** Another place vouches for an address, not for who it is here. */
    private static Optional<Reason> outsideAccount(Arrival arrival, Known known, Doorway doorway, Instant now) {
        if (arrival.from(Arrival.Way.ACCOUNT).isEmpty()) {
            return Optional.empty();
        }
        return switch (doorway.rules().value(Catalogue.OUTSIDE_ACCOUNTS, known.role(), now)) {
            case CLOSED -> Optional.of(Reason.of(ReasonCode.NO_OUTSIDE_ACCOUNT));
            case ON_REQUEST -> Optional.of(Reason.of(ReasonCode.OUTSIDE_ACCOUNT));
            case OPEN -> Optional.empty();
        };
    }

    private static Optional<Reason> nameOnTheList(Arrival arrival, Known known, Doorway doorway, Instant now) {
        if (arrival.from(Arrival.Way.TELEPHONE).isPresent()) {
            return Optional.empty();
        }
        return switch (known.match().certainty()) {
            case EXACT -> Optional.empty();
            case SIMILAR -> Optional.of(Reason.of(ReasonCode.NAME_SIMILAR, known.people()));
            case UNCLEAR -> Optional.of(Reason.of(ReasonCode.NAME_UNCLEAR, known.people()));
            case NONE -> Optional.of(Reason.of(ReasonCode.NOT_ON_LIST, known.people()));
        };
    }

    /**
     * A second device under one name may be a second person: only an account tells that it is the same (need E2). Without
     * one it always waits for an adult, whatever the rule.
     */
    private static Optional<Reason> alreadyHere(Arrival arrival, Known known, Doorway doorway, Instant now) {
        Optional<PersonId> here =
                known.member().map(Member::person).filter(doorway.inside().present()::containsKey);
        boolean vouchedFor = arrival.hasAccount();
        // Who is known by account comes before who only claims the name.
        if (here.isEmpty() || vouchedFor && doorway.inside().claimed().contains(here.get())) {
            return Optional.empty();
        }
        Permission second = doorway.rules().value(Catalogue.SECOND_DEVICE, known.role(), now);
        boolean same = arrival.account().equals(here);
        if (same && second == Permission.CLOSED) {
            return Optional.of(Reason.of(ReasonCode.NO_SECOND_DEVICE, here.get()));
        }
        return same && second == Permission.OPEN
                ? Optional.empty()
                : Optional.of(Reason.of(ReasonCode.ALREADY_HERE, here.get()));
    }

    /** Who was invited is let in by an adult, one by one, unless the rules are open to visitors. */
    private static Optional<Reason> visitor(Arrival arrival, Known known, Doorway doorway, Instant now) {
        return reasonIf(
                known.role() == Role.VISITOR
                        && doorway.rules().value(Catalogue.VISITORS, Role.VISITOR, now) == Permission.ON_REQUEST,
                ReasonCode.VISITOR);
    }

    private static Optional<Reason> roomIsFull(Arrival arrival, Known known, Doorway doorway, Instant now) {
        int room = doorway.rules().value(Catalogue.CAPACITY, Rule.ANSWERS, now).number();
        return reasonIf(!isIn(known, doorway) && doorway.inside().occupants() >= room, ReasonCode.ROOM_IS_FULL);
    }

    private static Optional<Reason> helpIsFull(Arrival arrival, Known known, Doorway doorway, Instant now) {
        int places =
                doorway.rules().value(Catalogue.HELP_AT_ONCE, Rule.ANSWERS, now).number();
        return reasonIf(
                isHelpHour(doorway) && !isIn(known, doorway) && doorway.inside().occupants() >= places,
                ReasonCode.HELP_IS_FULL);
    }

    /** One pupil comes in only with another, beside a second adult, or recorded, where the rules say so (needs B10, K3). */
    private static Optional<Reason> wouldBeAlone(Arrival arrival, Known known, Doorway doorway, Instant now) {
        Doorway.Inside inside = doorway.inside();
        boolean hasCompany = inside.occupants() > 0 || inside.ready().stream().anyMatch(one -> !known.mayBe(one));
        boolean isSeen = inside.adults() + inside.watching() >= 2
                || doorway.rules().situation().is(Fact.RECORDING);
        boolean ruled = doorway.rules().value(Catalogue.NEVER_ALONE_WITH_ONE, Rule.ANSWERS, now) == YesNo.YES;
        return reasonIf(isHelpHour(doorway) && ruled && !hasCompany && !isSeen, ReasonCode.WOULD_BE_ALONE);
    }

    private static boolean isHelpHour(Doorway doorway) {
        return doorway.rules().situation().is(Fact.HELP_HOUR);
    }

    private static boolean isIn(Known known, Doorway doorway) {
        return known.member()
                .map(Member::person)
                .filter(doorway.inside().present()::containsKey)
                .isPresent();
    }

    private static Optional<Reason> tooEarly(Arrival arrival, Known known, Doorway doorway, Instant now) {
        Minutes early = doorway.rules().value(Catalogue.EARLY_MINUTES, known.role(), now);
        return reasonIf(now.isBefore(doorway.planned().from().minus(early.length())), ReasonCode.TOO_EARLY);
    }

    private static Optional<Reason> noAdultYet(Arrival arrival, Known known, Doorway doorway, Instant now) {
        boolean ruled = doorway.rules().value(Catalogue.ADULTS_FIRST, known.role(), now) == YesNo.YES;
        return reasonIf(ruled && !doorway.inside().adultIsIn(), ReasonCode.NO_ADULT_YET);
    }

    private static Optional<Reason> door(Arrival arrival, Known known, Doorway doorway, Instant now) {
        Door door = doorway.rules().value(Catalogue.DOOR, known.role(), now);
        return switch (door) {
            case SHUT -> Optional.of(Reason.of(ReasonCode.DOOR_SHUT));
                // Whose time at the door is over was let in before: nobody has to admit them once more.
            case KNOCK -> sent(arrival, known, doorway)
                            .filter(one -> one.isOver(now))
                            .isPresent()
                    ? Optional.empty()
                    : Optional.of(Reason.of(ReasonCode.DOOR_KNOCK));
            case OPEN -> Optional.empty();
        };
    }

    private static Optional<Reason> onClassList(Arrival arrival, Known known, Doorway doorway, Instant now) {
        return known.match().certainty() == Certainty.EXACT
                ? Optional.of(Reason.of(ReasonCode.ON_CLASS_LIST, known.people()))
                : Optional.empty();
    }

    private static Optional<Reason> reasonIf(boolean holds, ReasonCode code) {
        return holds ? Optional.of(Reason.of(code)) : Optional.empty();
    }
}
