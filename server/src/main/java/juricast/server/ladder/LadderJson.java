package juricast.server.ladder;

import java.time.Duration;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import juricast.core.ladder.ActKind;
import juricast.core.ladder.Ladder;
import juricast.core.ladder.Measure;
import juricast.core.ladder.Severity;
import juricast.core.ladder.Step;
import juricast.core.ladder.YearsOwn;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Fact;
import org.jspecify.annotations.Nullable;

/** The ladder on the wire and on the disk. */
public final class LadderJson {
    private LadderJson() {}

    /** @param heavier situations in which an act stands one step higher */
    public record LadderBody(List<StepBody> steps, List<ActBody> acts, List<String> heavier) {}

    /**
     * One step.
     *
     * @param halfDays after how many days it counts half
     * @param right of a curb: which right it closes
     * @param minutes of a curb: how long; 0 for all else
     * @param opensIncident whether an incident is opened by it
     */
    public record StepBody(
            String id,
            String name,
            Measure measure,
            Step.Who who,
            int halfDays,
            @Nullable String right,
            int minutes,
            boolean parents,
            boolean opensIncident) {}

    /** A kind of act. @param from at which step it stands, from 1 */
    public record ActBody(String id, String name, Severity severity, int from) {}

    /** What a year has otherwise. */
    public record YearBody(Map<String, YearStepBody> steps, Map<String, Integer> from) {}

    public record YearStepBody(int halfDays, boolean parents) {}

    public static LadderBody of(Ladder ladder) {
        return new LadderBody(
                ladder.steps().stream()
                        .map(one -> new StepBody(
                                one.id(),
                                one.name(),
                                one.measure(),
                                one.who(),
                                (int) one.counts().toDays(),
                                one.right().map(rule -> rule.key()).orElse(null),
                                (int) one.length().toMinutes(),
                                one.parents(),
                                one.opensIncident()))
                        .toList(),
                ladder.acts().stream()
                        .map(one -> new ActBody(one.id(), one.name(), one.severity(), one.from()))
                        .toList(),
                ladder.heavier().stream().map(Fact::text).sorted().toList());
    }

    /** @throws IllegalArgumentException if it cannot be, in words */
    public static Ladder read(LadderBody body) {
        var heavier = new HashSet<Fact>();
        for (String text : body.heavier) {
            heavier.add(java.util.Arrays.stream(Fact.values())
                    .filter(one -> one.text().equals(text))
                    .findFirst()
                    .orElseThrow(() -> new IllegalArgumentException("Nothing is called “%s”".formatted(text))));
        }
        return new Ladder(
                body.steps.stream().map(LadderJson::step).toList(),
                body.acts.stream()
                        .map(one -> new ActKind(one.id, named(one.name), one.severity, one.from))
                        .toList(),
                heavier);
    }

    private static Step step(StepBody body) {
        return new Step(
                body.id,
                named(body.name),
                body.measure,
                body.who,
                Duration.ofDays(body.halfDays),
                Optional.ofNullable(body.right).map(key -> Catalogue.rightByKey(key)
                        .orElseThrow(() -> new IllegalArgumentException("No right is called “%s”".formatted(key)))),
                Duration.ofMinutes(body.minutes),
                body.parents,
                body.opensIncident);
    }

    private static String named(String name) {
        String plain = name.strip();
        if (plain.isEmpty() || plain.length() > 80) {
            throw new IllegalArgumentException("A name has 1 to 80 characters");
        }
        return plain;
    }

    public static YearBody of(YearsOwn own) {
        var steps = new LinkedHashMap<String, YearStepBody>();
        own.steps()
                .forEach((id, one) ->
                        steps.put(id, new YearStepBody((int) one.counts().toDays(), one.parents())));
        return new YearBody(steps, own.from());
    }

    /** @throws IllegalArgumentException if it cannot be, in words */
    public static YearsOwn read(YearBody body) {
        Map<String, YearsOwn.StepsOwn> steps = body.steps.entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, one -> {
                    Duration counts = Duration.ofDays(one.getValue().halfDays);
                    if (counts.compareTo(Step.SHORTEST) < 0 || counts.compareTo(Step.LONGEST) > 0) {
                        throw new IllegalArgumentException("A step counts half after 1 to 730 days");
                    }
                    return new YearsOwn.StepsOwn(counts, one.getValue().parents);
                }));
        if (body.from.values().stream().anyMatch(one -> one < 1 || one > Ladder.MOST_STEPS)) {
            throw new IllegalArgumentException("Steps are counted from 1");
        }
        return new YearsOwn(steps, body.from);
    }
}
