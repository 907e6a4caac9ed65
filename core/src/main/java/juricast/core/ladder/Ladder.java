package juricast.core.ladder;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Fact;

/**
 * The school's sequence of measured responses to disruption, from mildest to most final, and the kinds of acts it answers.
 *
 * @param heavier situations in which an act stands one step higher
 */
public record Ladder(List<Step> steps, List<ActKind> acts, Set<Fact> heavier) {
    public static final int MOST_STEPS = 12;
    public static final int MOST_ACTS = 40;
    /** The kind of whatever is none of the others; every ladder has it. */
    public static final String OTHER = "other";

    /** What a school begins with. */
    public static final Ladder USUAL = new Ladder(
            List.of(
                    step("word", "A word", Measure.WORD, Step.Who.ANY_ADULT, 14, false, false),
                    step("reminder", "A reminder", Measure.REMINDER, Step.Who.ANY_ADULT, 21, false, false),
                    new Step(
                            "curb",
                            "A right closed for 15 minutes",
                            Measure.CURB,
                            Step.Who.ANY_ADULT,
                            Duration.ofDays(25),
                            Optional.of(Catalogue.CLASS_CHAT),
                            Duration.ofMinutes(15),
                            false,
                            true),
                    step("door", "Back to the door", Measure.TO_THE_DOOR, Step.Who.ANY_ADULT, 30, false, true),
                    step("out", "Out of this lesson", Measure.OUT_OF_LESSON, Step.Who.ANY_ADULT, 45, true, true),
                    step(
                            "series",
                            "Out until somebody has talked",
                            Measure.OUT_OF_SERIES,
                            Step.Who.LEADING_ADULT,
                            90,
                            true,
                            true),
                    step("referred", "Referred", Measure.REFERRED, Step.Who.ANY_ADULT, 90, true, true)),
            List.of(
                    new ActKind("noise", "Noise and interrupting", Severity.SLIGHT, 1),
                    new ActKind("chatter", "Chatter beside the lesson", Severity.SLIGHT, 1),
                    new ActKind("drawing", "Drawing over others' work", Severity.MIDDLE, 2),
                    new ActKind("refusal", "Will not do as asked", Severity.MIDDLE, 2),
                    new ActKind("insult", "Insults", Severity.MIDDLE, 2),
                    new ActKind("unfit", "Unfit words or pictures", Severity.GRAVE, 4),
                    new ActKind("threat", "Threats and hounding", Severity.GRAVE, 5),
                    new ActKind("disguise", "Under another's name", Severity.GRAVE, 4),
                    new ActKind(OTHER, "Something else", Severity.MIDDLE, 1)),
            Set.of(Fact.VISITOR_PRESENT));

    private static Step step(
            String id, String name, Measure measure, Step.Who who, int days, boolean parents, boolean incident) {
        return new Step(
                id, name, measure, who, Duration.ofDays(days), Optional.empty(), Duration.ZERO, parents, incident);
    }

    /** @throws IllegalArgumentException if it has no steps, too many, two of one id, or an act beyond its last step */
    public Ladder {
        steps = List.copyOf(steps);
        acts = List.copyOf(acts);
        heavier = Set.copyOf(heavier);
        int last = steps.size();
        if (steps.isEmpty() || last > MOST_STEPS || acts.size() > MOST_ACTS) {
            throw new IllegalArgumentException(
                    "A ladder has 1 to %d steps and at most %d kinds of acts".formatted(MOST_STEPS, MOST_ACTS));
        }
        if (Stream.concat(steps.stream().map(Step::id), acts.stream().map(ActKind::id))
                        .distinct()
                        .count()
                != steps.size() + acts.size()) {
            throw new IllegalArgumentException("Two steps or kinds of acts have one name");
        }
        if (acts.stream().noneMatch(one -> one.id().equals(OTHER))) {
            throw new IllegalArgumentException("A ladder needs a kind for all else");
        }
        acts.stream().filter(one -> one.from() > last).findFirst().ifPresent(one -> {
            throw new IllegalArgumentException(
                    "\"%s\" stands at step %d of %d".formatted(one.name(), one.from(), last));
        });
    }

    public Optional<Step> step(String id) {
        return steps.stream().filter(one -> one.id().equals(id)).findFirst();
    }

    public Optional<ActKind> act(String id) {
        return acts.stream().filter(one -> one.id().equals(id)).findFirst();
    }

    /** Where a step stands, from 1; 0 where the ladder does not have it any more. */
    public int level(String id) {
        return IntStream.range(0, steps.size())
                        .filter(i -> steps.get(i).id().equals(id))
                        .findFirst()
                        .orElse(-1)
                + 1;
    }

    /** The mildest step of a measure, if there is one. */
    public Optional<Step> first(Measure measure) {
        return steps.stream().filter(one -> one.measure() == measure).findFirst();
    }

    /** As one year has it. What it says of steps and acts that are gone counts nothing. */
    public Ladder refined(YearsOwn year) {
        return new Ladder(
                steps.stream()
                        .map(one -> Optional.ofNullable(year.steps().get(one.id()))
                                .map(own -> one.with(own.counts(), own.parents()))
                                .orElse(one))
                        .toList(),
                acts.stream()
                        .map(one -> new ActKind(
                                one.id(),
                                one.name(),
                                one.severity(),
                                Math.min(steps.size(), year.from().getOrDefault(one.id(), one.from()))))
                        .toList(),
                heavier);
    }
}
