package juricast.core.entry;

import java.util.Comparator;
import java.util.List;

/** What becomes of one arrival. Every reason is kept; the strictest decides and stands first. */
public record Verdict(Outcome outcome, List<Reason> reasons) {
    /** @throws IllegalArgumentException if there is no reason, for no verdict goes unexplained */
    public Verdict {
        reasons = List.copyOf(reasons);
        if (reasons.isEmpty()) {
            throw new IllegalArgumentException("A verdict must have a reason");
        }
    }

    /** The strictest of what was found; equally strict reasons stay in the order in which an adult would ask. */
    static Verdict of(List<Reason> found) {
        List<Reason> sorted = found.stream()
                .sorted(Comparator.comparing((Reason reason) -> reason.code().outcome())
                        .reversed())
                .toList();
        return new Verdict(
                sorted.isEmpty() ? Outcome.WAIT : sorted.get(0).code().outcome(), sorted);
    }

    public boolean has(ReasonCode code) {
        return reasons.stream().anyMatch(reason -> reason.code() == code);
    }

    /** Whether it would come in but for the door, or but for somebody who comes in with it: it is company for another. */
    public boolean wantsOnlyCompany() {
        return outcome == Outcome.WAIT
                && reasons.stream()
                        .map(Reason::code)
                        .allMatch(code -> code.isAboutTheDoor() || code == ReasonCode.WOULD_BE_ALONE);
    }

    /** Whether only the door keeps this arrival out, so that "let in all on the list" may cover it (need E3). */
    public boolean onlyTheDoorIsBetween() {
        return outcome == Outcome.WAIT
                && reasons.stream().allMatch(reason -> reason.code().isAboutTheDoor());
    }
}
