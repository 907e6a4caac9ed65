package juricast.server.conduct;

import static juricast.core.conduct.ConductPart.CONDUCT;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import juricast.core.conduct.ConductEvent;
import juricast.core.conduct.ConductState;
import juricast.core.conduct.Taken;
import juricast.core.conduct.Worry;
import juricast.core.identity.PersonId;
import juricast.core.ladder.Measure;
import juricast.core.rules.Catalogue;
import juricast.core.rules.Rule;
import juricast.server.lesson.Snapshot;
import org.jspecify.annotations.Nullable;

/** Conduct on the wire. */
public final class ConductJson {
    private ConductJson() {}

    /**
     * @param steps those of this lesson, in order
     * @param worries those that the adults of the lesson may read and nobody has seen to
     * @param latest the number of the latest step, which an order names so that two adults know of each other
     */
    public record DeskConduct(List<TakenLine> steps, List<WorryLine> worries, int latest) {}

    /** @param people against whom */
    public record TakenLine(
            int number,
            List<String> people,
            String step,
            Measure measure,
            int level,
            String act,
            String why,
            Instant at,
            String by,
            boolean withdrawn) {}

    public record WorryLine(int number, String person, String name, Worry.About about, String words, Instant since) {}

    /** What is this adult's own: worries for the safeguarding lead alone, where they are one. */
    public record DeskMineConduct(List<WorryLine> worries) {}

    /** @param leadOnly whether by the rules only the safeguarding lead reads what is said here */
    public record SeatConduct(boolean leadOnly) {}

    /**
     * @param last the last step against this pupil that counts, with what it was about; nothing if there is none
     * @param raised what they said quietly, in order
     */
    public record SeatMineConduct(@Nullable MetLine last, List<RaisedLine> raised) {}

    /** @param rule the rule that was named, in a pupil's words */
    public record MetLine(int number, Measure measure, String act, @Nullable String rule, String by, Instant at) {}

    public record RaisedLine(int number, boolean leadOnly, Instant at) {}

    public static DeskConduct desk(Snapshot at) {
        return at.piece("conduct desk", "all", List.of(CONDUCT), () -> {
            ConductState is = at.state().of(CONDUCT);
            return new DeskConduct(
                    is.steps().stream().map(one -> line(one, at)).toList(),
                    is.open().stream()
                            .filter(Worry::isForAdults)
                            .map(one -> line(one, at))
                            .toList(),
                    is.latest());
        });
    }

    private static TakenLine line(Taken one, Snapshot at) {
        ConductEvent.StepTaken step = one.event();
        return new TakenLine(
                one.number(),
                step.against().stream().map(met -> met.person().value()).toList(),
                step.step().name(),
                step.step().measure(),
                step.step().level(),
                step.act().name(),
                step.why(),
                step.at(),
                at.plan().nameOf(step.by()),
                one.withdrawn());
    }

    private static WorryLine line(Worry one, Snapshot at) {
        ConductEvent.WorryRaised raised = one.raised();
        return new WorryLine(
                one.number(),
                raised.person().value(),
                at.plan().nameOf(raised.person()),
                raised.about(),
                raised.words(),
                raised.at());
    }

    public static DeskMineConduct deskMine(Snapshot at, PersonId me) {
        return new DeskMineConduct(
                at.plan().isLead(me)
                        ? at.state().of(CONDUCT).open().stream()
                                .filter(one -> !one.isForAdults())
                                .map(one -> line(one, at))
                                .toList()
                        : List.of());
    }

    public static SeatConduct seat(Snapshot at, Instant now) {
        return new SeatConduct(at.live()
                .value(Catalogue.WORRIES_READ, Rule.ANSWERS, now)
                .text()
                .equals("lead"));
    }

    public static final SeatConduct FROM_OUTSIDE = new SeatConduct(true);

    public static SeatMineConduct seatMine(Snapshot at, PersonId me) {
        ConductState is = at.state().of(CONDUCT);
        var raised = new ArrayList<RaisedLine>();
        is.worries().stream()
                .filter(one -> one.raised().person().equals(me))
                .forEach(one -> raised.add(new RaisedLine(one.number(), !one.isForAdults(), one.since())));
        // A word is said, and a referral is between adults: neither is read here.
        MetLine last = is.against(me).stream()
                .filter(one -> one.event().step().measure() != Measure.WORD
                        && one.event().step().measure() != Measure.REFERRED)
                .max(Comparator.comparing(Taken::number))
                .map(one -> new MetLine(
                        one.number(),
                        one.event().step().measure(),
                        one.event().act().name(),
                        one.event().named().map(Rule::pupilWords).orElse(null),
                        at.plan().nameOf(one.event().by()),
                        one.event().at()))
                .orElse(null);
        return new SeatMineConduct(last, raised);
    }
}
