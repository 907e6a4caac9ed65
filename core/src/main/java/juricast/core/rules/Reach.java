package juricast.core.rules;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import juricast.core.identity.Role;

/**
 * Which circumstances the decisions that ask for a rule can meet both so and not so (need A4). A condition with another one in it would
 * be accepted, put in force, and never make a difference; so it is neither offered nor taken.
 */
public final class Reach {
    /** Those who may or may not be signed in; adults always are, and a visitor never is. */
    private static final Set<Role> WITH_OR_WITHOUT_ACCOUNT = EnumSet.of(Role.PUPIL, Role.CLASS_MONITOR);

    /** What is known of a lesson before anybody has come. */
    private static final Set<Fact> PLANNED =
            EnumSet.of(Fact.VISITOR_PRESENT, Fact.RECORDING, Fact.IN_GROUPS, Fact.HELP_HOUR);

    private Reach() {}

    /** When the decisions about a rule are made, and so what they can know. */
    private enum Moment {
        /** By what is planned, at the planned start. */
        OF_THE_PLAN,
        /** By what is planned, but at every moment before and in the lesson. */
        OF_THE_PLAN_BY_THE_CLOCK,
        /** By who is there and what goes on. */
        OF_THE_LESSON,
        /** Of the whole school, in no lesson. */
        OF_THE_SCHOOL
    }

    private static Moment moment(Rule<?> rule) {
        return switch (rule.enforced()) {
            case IN_THE_REGISTER, IN_THE_INSPECTION, IN_THE_RECORD -> Moment.OF_THE_PLAN;
            case ON_THE_OWN_PAGE, IN_THE_OUTBOX -> Moment.OF_THE_PLAN_BY_THE_CLOCK;
            case AT_SIGN_IN -> Moment.OF_THE_SCHOOL;
                // What nothing asks for yet says so by itself; its conditions are for the day on which something does.
            case AT_THE_DOOR, IN_THE_LESSON, IN_THE_CORRIDOR, NOT_YET -> Moment.OF_THE_LESSON;
        };
    }

    /** One circumstance of each kind there is; numbers in them are examples. */
    private static final List<Circumstance> KINDS = Stream.<Circumstance>concat(
                    Arrays.stream(Fact.values()).<Circumstance>map(fact -> new Circumstance.Is(fact, true)),
                    Stream.<Circumstance>of(
                            new Circumstance.FirstMinutes(1),
                            new Circumstance.LastMinutes(1),
                            new Circumstance.Years(List.of(7)),
                            new Circumstance.AtLeast(1),
                            new Circumstance.AtMost(1)))
            .toList();

    /** The kinds of circumstances that can matter to a rule for one of its roles at least, by the first word of their text. */
    public static List<String> offered(Rule<?> rule) {
        return KINDS.stream()
                .filter(one -> rule.roles().stream().anyMatch(role -> meets(rule, role, one)))
                .map(one -> one.text().split(" ")[0])
                .toList();
    }

    /** The first part of a condition that decisions about this rule and role never meet both ways; nothing if it can matter. */
    public static Optional<Circumstance> neverMet(Rule<?> rule, Role role, Condition condition) {
        return condition.all().stream().filter(one -> !meets(rule, role, one)).findFirst();
    }

    /** Whether decisions about this rule and role can find the circumstance both so and not so. */
    public static boolean meets(Rule<?> rule, Role role, Circumstance circumstance) {
        Moment moment = moment(rule);
        boolean isLive = moment == Moment.OF_THE_LESSON;
        boolean isByTheClock = isLive || moment == Moment.OF_THE_PLAN_BY_THE_CLOCK;
        return circumstance.match(new Circumstance.Cases<>() {
            @Override
            public Boolean is(Circumstance.Is one) {
                if (one.fact() == Fact.SCHOOL_ACCOUNT) {
                    return isLive && !rule.isOfWholeLesson() && WITH_OR_WITHOUT_ACCOUNT.contains(role);
                }
                // Whether there may be a recording cannot depend on whether there is one.
                boolean isItself = rule == Catalogue.RECORDING_MODE && one.fact() == Fact.RECORDING;
                return !isItself && (isLive || moment != Moment.OF_THE_SCHOOL && PLANNED.contains(one.fact()));
            }

            @Override
            public Boolean firstMinutes(Circumstance.FirstMinutes one) {
                return isByTheClock;
            }

            @Override
            public Boolean lastMinutes(Circumstance.LastMinutes one) {
                return isByTheClock;
            }

            @Override
            public Boolean years(Circumstance.Years one) {
                return moment != Moment.OF_THE_SCHOOL;
            }

            @Override
            public Boolean atLeast(Circumstance.AtLeast one) {
                return isLive;
            }

            @Override
            public Boolean atMost(Circumstance.AtMost one) {
                return isLive;
            }
        });
    }
}
